package foldtwice.standin.base;

import foldtwice.place.Place;
import foldtwice.routine.Step;
import foldtwice.routine.Whom;
import foldtwice.run.Change;
import foldtwice.run.Reply;
import foldtwice.text.Counted;
import foldtwice.text.Nearness;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A stand-in's document, with what is selected in it and what the pointer is over: each change is
 * one step of undo, or a run's changes are one together.
 *
 * @param <D> the document, the selection included; replaced whole by every change
 */
public abstract class Documented<D> extends Declared {

  private final UndoHistory<D> history = new UndoHistory<>();
  private D document;
  private String pointer = "";

  Documented(String application, Edition edition, D document) {
    super(application, edition);
    this.document = document;
  }

  /** Takes over the document of another one, its history and where its pointer is. */
  final void takeDocument(Documented<D> other) {
    document = other.document;
    pointer = other.pointer;
    history.takeOver(other.history);
  }

  /** Nothing before now can be undone, and the pointer is over nothing. */
  final void anew() {
    pointer = "";
    history.empty(document);
  }

  /** What this change of the document looks like to a person. */
  protected abstract List<Change> differences(D before, D after);

  /** The names of all objects, in their order. */
  protected abstract List<String> names();

  /** The document with these selected, in this order; each is one of {@link #names}. */
  protected abstract D selecting(List<String> names);

  /** The objects inside one; none where objects have no inside. */
  protected List<String> inside(String name) {
    return List.of();
  }

  /** The object one lies in. */
  protected Optional<String> around(String name) {
    return Optional.empty();
  }

  /**
   * Finishes what is half done, such as a text being typed, before a run, after it and before undo.
   */
  protected void settle() {}

  public final D document() {
    return document;
  }

  /** The document becomes another one; one step of undo unless a run is on. */
  protected final Reply become(D next) {
    if (next.equals(document)) {
      return Reply.QUIET;
    }
    D before = document;
    history.left(before);
    document = next;
    return new Reply.Done(differences(before, next));
  }

  /** Takes the last change back as if it had not been made. */
  protected final void takeBack() {
    if (!history.inRun()) {
      document = history.takeBack();
    }
  }

  /** The document becomes another one, and nothing before it can be undone any more. */
  protected final Reply becomeForGood(D next) {
    List<Change> changes = changes();
    changes.addAll(differences(document, next));
    compare(changes, "undo history", Counted.of(history.depth(), "step"), Counted.of(0, "step"));
    document = next;
    history.empty(next);
    return new Reply.Done(changes);
  }

  @Override
  public Reply select(Whom.Group whom, boolean adding) {
    if (!selects().contains(whom)) {
      return new Reply.Refused(
          "a way of selecting that " + application() + " has", whom.toString());
    }
    Optional<List<String>> found = Groups.of(this, whom);
    if (found.isEmpty()) {
      return new Reply.Refused(Groups.wanted(whom), "none");
    }
    List<String> names = new ArrayList<>(adding ? selected() : List.of());
    found.get().stream().filter(n -> !names.contains(n)).forEach(names::add);
    return become(selecting(names));
  }

  @Override
  public Reply selectNamed(String name, boolean adding) {
    if (!names().contains(name)) {
      return new Reply.Refused(
          "something to select"
              + Nearness.nearest(name, names()).map(n -> ", such as " + n).orElse(""),
          "no \"" + name + "\"");
    }
    List<String> next = new ArrayList<>(adding ? selected() : List.of());
    next.remove(name);
    next.add(name);
    return become(selecting(next));
  }

  /** In place of what is selected, or besides it, or, where it is selected already, no longer. */
  @Override
  public Reply click(String name, boolean adding) {
    if (name.isEmpty()) {
      return select(Whom.Group.NOTHING, false);
    }
    if (adding && selected().contains(name)) {
      List<String> rest = new ArrayList<>(selected());
      rest.remove(name);
      return become(selecting(rest));
    }
    return selectNamed(name, adding);
  }

  /** Rows go through the objects in their order; columns mean nothing unless overridden. */
  @Override
  public Reply select(int rows, int columns, Step.Edge edge) {
    if (columns != 0) {
      return new Reply.Refused("an offset by rows only", Counted.of(columns, "column"));
    }
    List<String> all = names();
    if (all.isEmpty()) {
      return new Reply.Refused("something to select", "none");
    }
    int from = somethingSelected() ? all.indexOf(selected().getLast()) : -1;
    int to = from + rows;
    if (to < 0 || to >= all.size()) {
      if (edge != Step.Edge.CLAMP) {
        return new Reply.Refused("one " + rows + " further", "the end");
      }
      to = Math.clamp(to, 0, all.size() - 1);
    }
    return become(selecting(List.of(all.get(to))));
  }

  @Override
  public final Reply point(String name) {
    if (!name.isEmpty() && !names().contains(name) && !panes().contains(name)) {
      return new Reply.Refused("something to point at", "no \"" + name + "\"");
    }
    String before = pointer;
    pointer = name;
    return before.equals(name)
        ? Reply.QUIET
        : new Reply.Done(List.of(new Change("pointer", over(before), over(name))));
  }

  private static String over(String name) {
    return name.isEmpty() ? "over nothing" : "over " + name;
  }

  /** What the pointer was put over last, whether it is still there or not; empty for nothing. */
  final String pointed() {
    return pointer;
  }

  /** The object the pointer is over; empty for none. */
  public final String pointer() {
    return names().contains(pointer) ? pointer : "";
  }

  /** The contexts that one is in by having the pointer over them. */
  protected List<String> panes() {
    return List.of();
  }

  /** The one of {@link #panes} that the pointer is over; empty for none. */
  public final String pane() {
    return panes().contains(pointer) ? pointer : "";
  }

  /** The state with the focus in this context and the pointer where it is. */
  protected final Place within(String focus) {
    return pane().isEmpty()
        ? new Place.Within(application(), focus)
        : new Place.Over(application(), focus, pane());
  }

  @Override
  public final void beginRun() {
    settle();
    history.begin(document);
  }

  @Override
  public final void endRun() {
    settle();
    history.end(document);
  }

  @Override
  public final Reply undo() {
    settle();
    return swapped(history.back(document), "something to undo");
  }

  @Override
  public final Reply redo() {
    settle();
    return swapped(history.forth(document), "something to do again");
  }

  private Reply swapped(D other, String expected) {
    if (other == null) {
      return new Reply.Refused(expected, "nothing");
    }
    D before = document;
    document = other;
    return new Reply.Done(differences(before, other));
  }

  @Override
  public final int undoDepth() {
    return history.depth();
  }
}
