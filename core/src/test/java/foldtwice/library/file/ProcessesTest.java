package foldtwice.library.file;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.Fixture;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.api.io.TempDirFactory;

/** Several processes at one library, and processes that are killed. */
class ProcessesTest {

  /** Where libraries really are. */
  @TempDir(factory = TempDirFactory.Standard.class)
  Path folder;

  @Test
  void aKilledWriterHasLostNothingItHadAcknowledged() throws Exception {
    int kills = Integer.getInteger("kills", 6);
    Kills.Sum sum = Kills.make(folder, kills, foldtwice.Seeds.drawn());
    System.out.println("hard: " + sum);
    assertThat(sum.lost()).isZero();
    assertThat(sum.acknowledged()).isGreaterThan(6);
  }

  @Test
  void neverDoTwoHaveALibraryAtOnce() throws Exception {
    Path file = folder.resolve("library.json");
    Files.writeString(file, LibraryJson.write(Fixture.library(Kills.ID)));
    List<Process> racers = new ArrayList<>();
    for (int i = 0; i < 3; i++) {
      racers.add(Processes.start("race", file.toString(), System.getProperty("races", "1500")));
    }
    for (Process racer : racers) {
      String said = Processes.said(racer);
      System.out.println("hard: a racer " + said.strip());
      assertThat(said).doesNotContain("overlap").contains("had ");
    }
  }
}
