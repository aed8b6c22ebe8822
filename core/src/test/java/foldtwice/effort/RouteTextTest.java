package foldtwice.effort;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import foldtwice.routine.Yardstick.Meant;
import foldtwice.routine.Yardstick.Move;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

class RouteTextTest {

  private static Move any(Random random, boolean slips) {
    return switch (random.nextInt(slips ? 8 : 7)) {
      case 0 -> new Move.Keys(random.nextInt(1, 900), Meant.values()[random.nextInt(3)]);
      case 1 ->
          new Move.Point(
              random.nextInt(9000), random.nextInt(1, 300), Meant.values()[random.nextInt(2)]);
      case 2 -> new Move.Clicks(random.nextInt(1, 4));
      case 3 -> new Move.Menu(random.nextInt(1, 6));
      case 4 -> new Move.Hand();
      case 5 -> new Move.Choose(random.nextInt(1, 99));
      case 6 -> new Move.Wait(random.nextInt(1, 99_000));
      default -> {
        List<Move> inside = new ArrayList<>();
        for (int i = random.nextInt(4); i > 0; i--) {
          inside.add(any(random, false));
        }
        yield new Move.Slip(random.nextInt(1, 500), inside);
      }
    };
  }

  /** What is written is read as the same. */
  @Property(tries = 300)
  void whatIsWrittenIsReadAgain(@ForAll long seed) throws Exception {
    Random random = new Random(seed);
    List<Move> moves = new ArrayList<>();
    for (int i = random.nextInt(30); i > 0; i--) {
      moves.add(any(random, true));
    }
    assertThat(RouteText.read(RouteText.write(moves))).isEqualTo(moves);
  }

  @Test
  void asPeopleWriteIt() throws Exception {
    assertThat(RouteText.read("point, click\n  type 4,end,, 2 × (3 keys, hand)"))
        .containsExactly(
            new Move.Point(300, 60, Meant.COMMAND),
            new Move.Clicks(1),
            new Move.Keys(4, Meant.ARGUMENT),
            new Move.Keys(1, Meant.END),
            new Move.Keys(3, Meant.COMMAND),
            new Move.Hand(),
            new Move.Keys(3, Meant.COMMAND),
            new Move.Hand());
    assertThat(RouteText.read("  ")).isEmpty();
  }

  @Test
  void whatCannotBeReadIsSaid() {
    for (String bad :
        List.of(
            "klick",
            "0 keys",
            "type",
            "type 0",
            "wait 0 s",
            "2 hand",
            "1 in 0 (click)",
            "1 in 20 (1 in 3 (click))",
            "(click)",
            "click)",
            "1 in 20 (click",
            "9999 × (9999 × (click))",
            "2 × (2 × (2 × (click)))",
            "point 99999999")) {
      assertThatThrownBy(() -> RouteText.read(bad))
          .as(bad)
          .isInstanceOf(RouteText.Unreadable.class)
          .hasMessageMatching("(?s)(expected|a bracket|what puts|a route).*");
    }
  }
}
