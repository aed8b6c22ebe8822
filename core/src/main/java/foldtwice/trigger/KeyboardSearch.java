package foldtwice.trigger;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Finds out which keyboard somebody has by what its keys type: each time the key is asked for that
 * tells most among the keyboards still possible. Immutable.
 *
 * <p>Laws: what the keyboard at hand would answer never loses it, and every question leaves fewer
 * keyboards whatever is answered; so the questions come to an end.
 *
 * @param left the keyboards still possible, in the order of {@link Layouts#IDS}
 */
public record KeyboardSearch(List<Keyboard> left) {

  /** A layout on a keyboard of a shape. */
  public record Keyboard(String layout, Shape shape) {

    /** What it types there, without what is held; empty for nothing, such as a dead key. */
    public String types(Question question) {
      return Layouts.of(layout)
          .orElseThrow()
          .types(new Press(question.spot().on(shape), question.held()))
          .orElse("");
    }
  }

  /** Where a key lies, in words that are true of every shape. */
  public sealed interface Spot {

    /** The key that lies there. */
    KeyCode on(Shape shape);

    /** A key that lies in the same place everywhere. */
    record At(KeyCode code) implements Spot {
      @Override
      public KeyCode on(Shape shape) {
        return code;
      }
    }

    /** Beside another key: which that is depends on the shape. */
    enum Beside implements Spot {
      /** The next to the right of the left Shift. */
      LEFT_SHIFT,
      /** The next to the left of the right Shift. */
      RIGHT_SHIFT,
      /** The next to the left of Backspace. */
      BACKSPACE;

      @Override
      public KeyCode on(Shape shape) {
        return switch (this) {
          case LEFT_SHIFT -> shape == Shape.ISO ? KeyCode.INTL_BACKSLASH : KeyCode.KEY_Z;
          case RIGHT_SHIFT -> shape == Shape.JIS ? KeyCode.INTL_RO : KeyCode.SLASH;
          case BACKSPACE -> shape == Shape.JIS ? KeyCode.INTL_YEN : KeyCode.EQUAL;
        };
      }
    }
  }

  /**
   * A key to press, and what to hold meanwhile.
   *
   * @param held nothing or AltGr
   */
  public record Question(Spot spot, Modifiers held) {}

  private static final List<Question> QUESTIONS = questions();

  public KeyboardSearch {
    left = List.copyOf(left);
  }

  /**
   * All keyboards that can be told: compact ones are like {@link Shape#ANSI} and not among them.
   */
  public static KeyboardSearch all() {
    return new KeyboardSearch(
        Layouts.IDS.stream()
            .flatMap(l -> Stream.of(Shape.ANSI, Shape.ISO, Shape.JIS).map(s -> new Keyboard(l, s)))
            .toList());
  }

  /** Without AltGr first: it is where it is only on some computers. */
  private static List<Question> questions() {
    List<Spot> spots = new ArrayList<>(List.of(Spot.Beside.values()));
    for (Shape.Cap cap : Shape.ANSI.caps()) {
      boolean moves = cap.code() == KeyCode.BACKSLASH; // in another row on each shape
      if (!moves
          && Layouts.of("us")
              .orElseThrow()
              .types(new Press(cap.code(), Modifiers.NONE))
              .filter(t -> !t.isBlank())
              .isPresent()) {
        spots.add(new Spot.At(cap.code()));
      }
    }
    List<Question> all = new ArrayList<>();
    for (Modifiers held : List.of(Modifiers.NONE, Modifiers.of(Modifier.ALTGR))) {
      spots.forEach(s -> all.add(new Question(s, held)));
    }
    return List.copyOf(all);
  }

  /** The key that tells most; empty when one keyboard is left or no key can tell those that are. */
  public Optional<Question> next() {
    return QUESTIONS.stream()
        .filter(q -> worst(q) < left.size())
        .min(
            Comparator.<Question>comparingInt(q -> q.held().equals(Modifiers.NONE) ? 0 : 1)
                .thenComparingLong(this::left));
  }

  /** How many are left at most. */
  private int worst(Question question) {
    return answers(question).values().stream().mapToInt(Integer::intValue).max().orElse(0);
  }

  /** How many are left on the average, times how many there are. */
  private long left(Question question) {
    return answers(question).values().stream().mapToLong(n -> (long) n * n).sum();
  }

  private Map<String, Integer> answers(Question question) {
    Map<String, Integer> answers = new HashMap<>();
    left.forEach(k -> answers.merge(k.types(question), 1, Integer::sum));
    return answers;
  }

  /**
   * What is left after an answer; none when no keyboard that ships types this there.
   *
   * @param typed what the key typed, empty for nothing
   */
  public KeyboardSearch after(Question question, String typed) {
    return new KeyboardSearch(left.stream().filter(k -> k.types(question).equals(typed)).toList());
  }
}
