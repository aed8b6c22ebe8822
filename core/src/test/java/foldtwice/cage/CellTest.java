package foldtwice.cage;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class CellTest {

  /** Does nothing until it is ended. */
  static final class Sleeper {
    private Sleeper() {}

    public static void main(String[] none) throws InterruptedException {
      Thread.sleep(60_000);
    }
  }

  /** Whoever ends one never asks it again, however long the computer takes over its end. */
  @Test
  void whatIsEndedIsNotAliveAtOnce() {
    Cage cage = new Cage(Sleeper.class, 32);
    List<Boolean> after = new ArrayList<>();
    for (int i = 0; i < 4; i++) {
      Cell cell = cage.take();
      assertThat(cell.isAlive()).isTrue();
      cell.end();
      after.add(cell.isAlive());
    }
    assertThat(after).containsOnly(false);
  }
}
