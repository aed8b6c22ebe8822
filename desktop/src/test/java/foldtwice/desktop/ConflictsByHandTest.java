package foldtwice.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.conflict.Conflict;
import foldtwice.conflict.ConflictKind;
import foldtwice.desktop.view.Target;
import foldtwice.library.Library;
import foldtwice.library.file.LibraryJson;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import javafx.scene.control.ListView;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Conflicts, from the list to a remedy, an acceptance and all stations. */
class ConflictsByHandTest {

  @TempDir Path folder;

  private static List<Conflict> all(Hands hands) {
    return hands.session.now().allConflicts();
  }

  private static void audited(Hands hands) {
    hands.waitUntil("it is looked through", () -> hands.session.now().audited());
  }

  /** Goes to Conflicts and narrows the list to what has these words. */
  private static void find(Hands hands, String words) {
    hands.press(KeyCode.F11);
    hands.click("#conflict-filter");
    hands.retype(words);
  }

  /** OASIS SARIF 2.1.0, the accepted ones with the others. */
  @Test
  void whatIsWrongIsSavedForOtherPrograms() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.press(KeyCode.F11);
      java.nio.file.Path file = folder.resolve("conflicts.sarif");
      hands.choosing(file);
      hands.space("#conflicts-sarif");
      hands.waitForSaid("conflicts.sarif");
      var sarif = foldtwice.library.file.Json.parse(java.nio.file.Files.readAllBytes(file));
      assertThat(sarif.path("version").asText()).isEqualTo("2.1.0");
      assertThat(sarif.at("/runs/0/results"))
          .hasSize(all(hands).size() + hands.session.now().accepted().size());
    }
  }

  @Test
  void evidenceIsPlayedARemedyTakenAndUndone() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      find(hands, "double claim");
      assertThat(hands.text("#conflict-sentence")).contains("Ctrl+Shift+A is claimed twice");
      hands.space("#play");
      hands.waitForText("#played", "claimed twice");
      hands.waitForText("#remedies", "Take Ctrl+Shift+A away");
      hands.waitForText("#remedies", "Give");
      hands.space("#take-0");
      audited(hands);
      assertThat(all(hands)).noneMatch(c -> c.kind() == ConflictKind.DOUBLE_CLAIM);
      assertThat(hands.session.saidProperty().get()).startsWith("Done: ");
      hands.press(KeyCode.CONTROL, KeyCode.Z);
      audited(hands);
      assertThat(all(hands)).anyMatch(c -> c.kind() == ConflictKind.DOUBLE_CLAIM);
    }
  }

  @Test
  void anAcceptedConflictComesBackWhenItsSubstanceChanges() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      find(hands, "ctrl d duplicate");
      int before = all(hands).size();
      Conflict accepted =
          all(hands).stream()
              .filter(c -> c.concerns("b14") && c.kind() == ConflictKind.DISPLACES)
              .findFirst()
              .orElseThrow();
      hands.space("#accept-reason"); // the keys go there, wherever it is scrolled to
      hands.type("nobody duplicates here");
      hands.press(KeyCode.ENTER);
      audited(hands);
      assertThat(all(hands)).hasSize(before - 1).doesNotContain(accepted);
      assertThat(hands.session.now().accepted()).containsExactly(accepted);
      hands.space("#scope-accepted");
      hands.click("#conflict-filter");
      hands.retype("duplicate");
      assertThat(hands.text("#acceptance")).contains("nobody duplicates here");

      hands.make(
          new foldtwice.library.Edit.PutBinding(
              hands
                  .session
                  .now()
                  .library()
                  .bindings()
                  .get("b14")
                  .withPlace(new foldtwice.place.Place.Within("tagpress", "sheet"))),
          "wider");
      audited(hands);
      assertThat(hands.session.now().accepted()).isEmpty();
      assertThat(all(hands)).anyMatch(c -> c.concerns("b14"));
      hands.press(KeyCode.F3);
      hands.press(KeyCode.ESCAPE);
      hands.click("#undo");
      audited(hands);
      assertThat(hands.session.now().accepted()).containsExactly(accepted);
      hands.click("#undo");
      audited(hands);
      assertThat(hands.session.now().accepted()).isEmpty();
      assertThat(all(hands)).hasSize(before);
    }
  }

  @Test
  void whatIsEasyIsSettledAtOnceAndUndoneAtOnce() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.press(KeyCode.F11);
      int before = all(hands).size();
      hands.space("#settle");
      hands.waitForText("#settling", "remedies that cause nothing, for");
      assertThat(hands.text("#settle-make")).matches("Make \\d+ changes");
      hands.space("#settle-0");
      hands.space("#settle-make");
      audited(hands);
      assertThat(all(hands).size()).isLessThan(before - 10);
      hands.press(KeyCode.CONTROL, KeyCode.Z);
      audited(hands);
      assertThat(all(hands)).hasSize(before);
    }
  }

  /** From one of several conflicts of one trigger to all of them, and what settles most at once. */
  @Test
  void conflictsOfOneCauseAreSettledTogether() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.make(
          new foldtwice.library.Edit.Together(
              List.of(
                  put(hands, "b14", "tagpress", "Ctrl+Alt+[KeyQ] then [KeyA]"),
                  put(hands, "b15", "tagpress", "Ctrl+Alt+[KeyQ] then [KeyB]"),
                  put(hands, "b16", "tagpress", "Ctrl+Alt+[KeyQ]"))),
          "one begins two");
      audited(hands);
      int before = all(hands).size();
      find(hands, "cut short alt q");
      hands.space("#same-cause");
      assertThat(hands.text("#conflict")).contains("2 conflicts chosen");
      hands.waitForText("#remedies", "2 in all");
      hands.space("#settle-chosen");
      hands.waitForText("#settling", "1 remedy that causes nothing, for 2 conflicts");
      hands.space("#settle-make");
      audited(hands);
      assertThat(all(hands)).hasSize(before - 2);
      hands.press(KeyCode.CONTROL, KeyCode.Z);
      audited(hands);
      assertThat(all(hands)).hasSize(before);
    }
  }

  private static foldtwice.library.Edit put(Hands hands, String id, String place, String keys) {
    return new foldtwice.library.Edit.PutBinding(
        hands
            .session
            .now()
            .library()
            .bindings()
            .get(id)
            .withPlace(new foldtwice.place.Place.Whole(place))
            .withTriggers(List.of(foldtwice.trigger.Notation.read(keys))));
  }

  @Test
  void allStationsAreSeenSideBySideAndGoneTo() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      hands.press(KeyCode.F11);
      hands.space("#scope-stations");
      hands.waitForText("#stations-matrix", "something missing");
      hands.click("#stations-matrix");
      hands.press(KeyCode.HOME);
      hands.press(KeyCode.ENTER);
      hands.waitUntil(
          "another station is in view",
          () -> !hands.session.now().station().id().equals("camera-bench"));
      hands.waitForText("#conflict-sentence", "Rowan"); // once it has been audited there
    }
  }

  /** Those of a large library are laid out beside the interface, and found all the same. */
  @Test
  void amongManyOneIsFilteredGoneToAndKept() throws Exception {
    Library demo =
        LibraryJson.read(Files.readAllBytes(Hands.root().resolve("demo/fernhollow.json")));
    Files.writeString(folder.resolve("fernhollow.json"), LibraryJson.write(Copies.cutShort(demo)));
    try (Hands hands = Hands.open(folder)) {
      hands.press(KeyCode.F11);
      hands.quiet();
      assertThat(all(hands)).hasSizeGreaterThan(600);
      listed(hands, all(hands));

      hands.click("#conflict-filter");
      hands.retype("displaces duplicate");
      hands.quiet();
      List<Conflict> left =
          all(hands).stream()
              .filter(c -> c.kind() == ConflictKind.DISPLACES)
              .filter(c -> hands.session.now().words().sentence(c).contains("Duplicate"))
              .toList();
      assertThat(left).isNotEmpty();
      listed(hands, left);

      Conflict hidden =
          all(hands).stream()
              .filter(c -> c.kind() == ConflictKind.CUT_SHORT && c.concerns("longQX"))
              .findFirst()
              .orElseThrow();
      hands.to(new Target.Conflict(hands.session.now().station().id(), hidden.topic()));
      hands.quiet();
      assertThat(hands.text("#conflict-filter")).isEmpty();
      assertThat(hands.text("#conflict-sentence"))
          .isEqualTo(hands.session.now().words().sentence(hidden));

      hands.make(
          new foldtwice.library.Edit.Together(
              List.of(put(hands, "b15", "tagpress", "Ctrl+Alt+[KeyZ] then [KeyA]"))),
          "another");
      audited(hands);
      hands.quiet();
      listed(hands, all(hands));
      assertThat(hands.text("#conflict-sentence"))
          .isEqualTo(hands.session.now().words().sentence(hidden));
      int alike = (int) all(hands).stream().filter(c -> c.hasCauseOf(hidden)).count();
      assertThat(alike).isGreaterThan(1);
      assertThat(hands.text("#same-cause")).contains(" " + alike + " ");
    }
  }

  /** As many rows as conflicts, and a heading for each weight among them. */
  private static void listed(Hands hands, List<Conflict> some) {
    long headings = some.stream().map(Conflict::weight).distinct().count();
    ListView<?> list = (ListView<?>) hands.node("#conflicts");
    int rows = Hands.ask(() -> list.getItems().size());
    assertThat(rows).isEqualTo((int) (some.size() + headings));
  }
}
