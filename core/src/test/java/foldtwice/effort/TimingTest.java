package foldtwice.effort;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import foldtwice.routine.Yardstick.Meant;
import foldtwice.routine.Yardstick.Move;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

/**
 * Against Card, Moran, Newell: The keystroke-level model for user performance time with interactive
 * systems, Communications of the ACM 23(7), 1980 (figures from memory); MacKenzie 1992 for Fitts's
 * law in Shannon's form; Hick and Hyman.
 */
class TimingTest {

  private static final Values PAPER = Values.of(Skill.AVERAGE_SKILLED).pointing(Pointing.PAPER);

  /** Replace a word of five letters, editor with a mouse: 2 M + 8 K + 2 H + P = 6.2 s. */
  @Test
  void thePapersExampleWithTheMouse() {
    Timing t =
        Timing.of(
            List.of(
                new Move.Hand(),
                new Move.Point(200, 40, Meant.ARGUMENT), // to the word
                new Move.Clicks(1),
                new Move.Hand(),
                new Move.Keys(1, Meant.COMMAND), // R
                new Move.Keys(5, Meant.ARGUMENT), // the new word
                new Move.Keys(1, Meant.END)),
            PAPER);
    assertThat(t.count(Operator.M)).isEqualTo(2);
    assertThat(t.count(Operator.K) + t.count(Operator.B)).isEqualTo(8);
    assertThat(t.count(Operator.H)).isEqualTo(2);
    assertThat(t.count(Operator.P)).isEqualTo(1);
    assertThat(t.plain().mid()).isEqualTo(6.2, within(1e-9));
    assertThat(t.left()).containsExactly(new Timing.Left(2, 1));
  }

  /** The same by the keyboard alone: 4 M + 15 K = 8.4 s. */
  @Test
  void thePapersExampleByKeyboard() {
    Timing t =
        Timing.of(
            List.of(
                new Move.Keys(1, Meant.COMMAND), // to the next line
                new Move.Keys(1, Meant.COMMAND), // S
                new Move.Keys(5, Meant.ARGUMENT),
                new Move.Keys(1, Meant.END),
                new Move.Keys(5, Meant.ARGUMENT),
                new Move.Keys(1, Meant.END),
                new Move.Keys(1, Meant.END)), // redundant
            PAPER);
    assertThat(t.count(Operator.M)).isEqualTo(4);
    assertThat(t.count(Operator.K)).isEqualTo(15);
    assertThat(t.plain().mid()).isEqualTo(8.4, within(1e-9));
    assertThat(t.left()).containsExactly(new Timing.Left(6, 3));
  }

  @Test
  void thePapersValues() {
    double[] keys = {0.08, 0.12, 0.20, 0.28, 0.50, 0.75, 1.20};
    for (Skill s : Skill.values()) {
      assertThat(s.key().mid()).isEqualTo(keys[s.ordinal()]);
    }
    assertThat(PAPER.pointing().to(1, 1).mid()).isEqualTo(1.10);
    assertThat(PAPER.hand().mid()).isEqualTo(0.40);
    assertThat(PAPER.thinking().mid()).isEqualTo(1.35);
  }

  /** The levels of a menu belong together: one thought. What follows it is another. */
  @Test
  void aMenuIsThoughtOfOnce() {
    List<Move> moves =
        List.of(
            new Move.Point(300, 60, Meant.COMMAND),
            new Move.Clicks(1),
            new Move.Point(120, 140, Meant.COMMAND),
            new Move.Clicks(1),
            new Move.Point(90, 140, Meant.COMMAND),
            new Move.Clicks(1),
            new Move.Menu(3),
            new Move.Point(300, 60, Meant.COMMAND),
            new Move.Clicks(1));
    Timing t = Timing.of(moves, PAPER);
    assertThat(t.count(Operator.M)).isEqualTo(2);
    assertThat(t.left())
        .containsExactlyInAnyOrder(
            new Timing.Left(1, 1),
            new Timing.Left(2, 2),
            new Timing.Left(3, 1),
            new Timing.Left(4, 2),
            new Timing.Left(5, 1),
            new Timing.Left(8, 1));
  }

  /** Pointing in the paper by distance, within 0.8 and 1.5 s; Fitts's law in Shannon's form. */
  @Test
  void pointingByDistance() {
    assertThat(Pointing.BY_DISTANCE.to(750, 100).mid()).isEqualTo(0.8 + 0.1 * 3, within(1e-9));
    assertThat(Pointing.BY_DISTANCE.to(1, 100).mid()).isEqualTo(0.8);
    assertThat(Pointing.BY_DISTANCE.to(1e9, 1).mid()).isEqualTo(1.5);
    Pointing fitts = new Pointing.Fitts(Span.exactly(0.1), Span.exactly(0.2), 1);
    assertThat(fitts.to(700, 100).mid()).isEqualTo(0.1 + 0.2 * 3, within(1e-9)); // log2(8)
    assertThat(fitts.to(0, 100).mid()).isEqualTo(0.1);
  }

  /** Hick and Hyman: 0.15 s for each doubling of n + 1. */
  @Test
  void choosingAmongMany() {
    assertThat(Timing.of(List.of(new Move.Choose(15)), PAPER).plain().mid())
        .isEqualTo(0.15 * 4, within(1e-9));
    assertThat(Timing.of(List.of(new Move.Choose(1)), PAPER).plain().mid())
        .isEqualTo(0.15, within(1e-9));
  }

  /** Once in twenty: a twentieth of what putting it right takes. */
  @Test
  void aSlipCountsByHowOftenItHappens() {
    List<Move> right = List.of(new Move.Keys(2, Meant.COMMAND));
    double whole = Timing.of(right, PAPER).plain().mid() + 1.35; // it has to be noticed
    assertThat(Timing.of(List.of(new Move.Slip(20, right)), PAPER).plain().mid())
        .isEqualTo(whole / 20, within(1e-9));
  }

  private static Move any(Random random) {
    return switch (random.nextInt(8)) {
      case 0 -> new Move.Keys(random.nextInt(1, 9), Meant.values()[random.nextInt(3)]);
      case 1 ->
          new Move.Point(
              random.nextInt(2000), random.nextInt(1, 300), Meant.values()[random.nextInt(2)]);
      case 2 -> new Move.Clicks(random.nextInt(1, 3));
      case 3 -> new Move.Menu(random.nextInt(1, 4));
      case 4 -> new Move.Hand();
      case 5 -> new Move.Choose(random.nextInt(1, 40));
      case 6 -> new Move.Wait(random.nextInt(1, 5000));
      default -> new Move.Slip(random.nextInt(1, 30), List.of(new Move.Clicks(1)));
    };
  }

  /**
   * Laws: a route takes no less than its physical operators, a longer one no less than a shorter
   * one, a slower hand no less than a quicker one, and the ends of a span hold its middle.
   */
  @Property(tries = 300)
  void laws(@ForAll long seed) {
    Random random = new Random(seed);
    List<Move> moves = new ArrayList<>();
    double before = 0;
    for (int i = random.nextInt(1, 25); i > 0; i--) {
      moves.add(any(random));
      Span span = Timing.of(moves, PAPER).total();
      assertThat(span.low()).isLessThanOrEqualTo(span.mid());
      assertThat(span.mid()).isLessThanOrEqualTo(span.high());
      if (!(moves.getLast() instanceof Move.Menu)) { // which may make one thought of two
        assertThat(span.mid()).isGreaterThanOrEqualTo(before - 1e-9);
      }
      before = span.mid();
    }
    Timing t = Timing.of(moves, PAPER);
    double physical =
        t.parts().stream()
            .filter(p -> p.operator() != Operator.M)
            .mapToDouble(p -> p.seconds().mid() * p.share())
            .sum();
    assertThat(t.plain().mid()).isGreaterThanOrEqualTo(physical - 1e-9);
    Values slow = Values.of(Skill.COMPLEX_CODES).pointing(Pointing.PAPER);
    assertThat(Timing.of(moves, slow).plain().mid()).isGreaterThanOrEqualTo(t.plain().mid() - 1e-9);
  }
}
