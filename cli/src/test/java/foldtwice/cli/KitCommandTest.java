package foldtwice.cli;

import static foldtwice.cli.Ran.run;
import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.library.Library;
import foldtwice.library.file.LibraryFile;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Kits from the command line. */
class KitCommandTest {

  @TempDir Path folder;
  private Path demo;
  private Path home;
  private Path kit;

  @BeforeEach
  void aLibraryAtHome() throws Exception {
    demo = Path.of(System.getProperty("project.root"), "demo", "fernhollow.json");
    home = folder.resolve("home.json");
    kit = folder.resolve("kit.json");
    assertThat(run("new", home, "--layout", "us").exit()).isZero();
  }

  @Test
  void aFamilyIsMadeAKitAndTakenIntoAnotherLibrary() throws Exception {
    Ran made =
        run(
            "kit",
            "make",
            demo,
            "--of",
            "Flag colours",
            "--from",
            "Ada",
            "--release",
            "1",
            "--out",
            kit);
    assertThat(made.err()).contains("along: routines flag-records, for bindings");
    assertThat(made.exit()).isZero();
    assertThat(run("kit", "show", kit).out())
        .contains(
            "Flag colours 1", "from Ada", "Ctrl+Shift+[Digit1]", "Flag whole records, colour Rust");

    Ran looked = run("kit", "take", home, kit, "--look");
    assertThat(looked.out()).contains("added    Flag whole records, colour Rust in Vasculum");
    assertThat(LibraryFile.look(home).bindings()).isEmpty();

    Ran taken = run("kit", "take", home, kit);
    assertThat(taken.out()).contains("added    Flag whole records, colour Rust in Vasculum");
    Library then = LibraryFile.look(home);
    assertThat(then.bindings()).hasSize(5);
    assertThat(then.families()).containsKey("flag-colours");
    assertThat(then.routines().values()).allMatch(r -> !r.origin().seen());
    assertThat(run("history", home).out()).contains("Kit taken: Flag colours 1");
    Ran again = run("kit", "take", home, kit);
    assertThat(again.out().lines())
        .noneMatch(l -> l.startsWith("added") || l.startsWith("changed"));
    assertThat(LibraryFile.look(home)).isEqualTo(then);
  }

  @Test
  void whatWouldBlockAndWhatHasToBeDoneIsTold() {
    run("kit", "make", demo, "--of", "Tagpress", "--out", kit);
    Ran taken = run("kit", "take", home, kit, "--look");
    assertThat(taken.exit()).isEqualTo(1);
    assertThat(taken.err()).contains("blocks: ");
  }

  @Test
  void whatIsNoKitIsRefusedAndNothingIsChanged() throws Exception {
    byte[] before = Files.readAllBytes(home);
    Files.writeString(kit, "{\"format\": \"fold-twice-kit\", \"version\": 9}");
    Ran newer = run("kit", "take", home, kit);
    assertThat(newer.exit()).isEqualTo(2);
    assertThat(newer.err()).contains("/version", "newer Fold Twice");
    assertThat(run("kit", "take", home, demo).err()).contains("no kit");
    assertThat(run("kit", "make", demo, "--of", "Tagpres", "--out", kit).err())
        .contains("did you mean Tagpress?");
    assertThat(
            run("kit", "make", demo, "--of", "Tagpress", "--out", folder.resolve("x/y.json"))
                .exit())
        .isEqualTo(2);
    assertThat(run("kit").exit()).isEqualTo(2);
    assertThat(Files.readAllBytes(home)).isEqualTo(before);
  }
}
