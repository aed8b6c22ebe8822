package foldtwice.live.bus;

import java.util.List;
import java.util.Set;
import java.util.stream.Stream;

/**
 * Something of a program's interface, as it was when it was looked at.
 *
 * @param name its label, without blanks around it
 * @param offers the last words of the interfaces it has, such as {@code Action} or {@code Value}
 */
public record Seen(Ref ref, Role role, String name, Set<Mark> marks, Set<String> offers) {

  public Seen {
    name = name.strip();
    offers = Set.copyOf(offers);
  }

  public boolean is(Mark mark) {
    return marks.contains(mark);
  }

  /** True when something can be done with it now. */
  public boolean isReady() {
    return is(Mark.SENSITIVE) || is(Mark.ENABLED);
  }

  /** True when it is on the screen. */
  public boolean isShown() {
    return is(Mark.SHOWING);
  }

  /** True when it offers this interface. */
  public boolean offers(String what) {
    return offers.contains(what);
  }

  /**
   * It, and what lies in it.
   *
   * @param cut true when there was more in it than is looked at
   */
  public record Tree(Seen top, List<Tree> inside, boolean cut) {
    public Tree {
      inside = List.copyOf(inside);
    }

    /** It and all that lies in it, each before what lies in it. */
    public Stream<Seen> all() {
      return Stream.concat(Stream.of(top), inside.stream().flatMap(Tree::all));
    }
  }
}
