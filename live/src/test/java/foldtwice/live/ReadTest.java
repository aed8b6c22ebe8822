package foldtwice.live;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.describe.Does;
import foldtwice.describe.While;
import foldtwice.live.survey.Describing;
import foldtwice.live.survey.Proposal;
import foldtwice.live.survey.Survey;
import foldtwice.place.NativeCommand;
import foldtwice.routine.Kind;
import foldtwice.trigger.Notation;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A running program is read, and becomes a description. */
class ReadTest {

  private static Desktop desktop;
  private static Desktop.Window window;
  @TempDir static Path pictures;

  @BeforeAll
  static void begin() throws Exception {
    desktop = Desktop.open();
    window = desktop.window(500);
  }

  @AfterAll
  static void end() {
    if (desktop != null) {
      desktop.close();
    }
  }

  private static NativeCommand command(Proposal p, String... path) {
    return p.application().commandAt(List.of(path)).orElseThrow();
  }

  @Test
  void menusWithTheirKeysTicksAndToolsBecomeCommandsAndSettings() throws Exception {
    try (Works works = new Works(desktop, pictures, c -> false, "")) {
      Proposal read = works.proposal;
      assertThat(command(read, "Ledger", "Stamp").triggers())
          .containsExactly(Notation.read("Ctrl+Shift+M"));
      assertThat(command(read, "Ledger", "Shift lines\u2026").triggers())
          .containsExactly(Notation.read("Alt+F7"));
      assertThat(command(read, "Ledger", "More", "Bell").triggers()).isEmpty();
      assertThat(read.application().commands())
          .extracting(NativeCommand::name)
          .contains("Tick off");
      assertThat(read.description().settings())
          .extracting(s -> s.name() + " " + s.options() + " " + s.start())
          .containsExactly("Upper case [off, on] off", "View [Small, Middle, Large] Small");
      String large = command(read, "View", "Large").id();
      assertThat(read.description().commands())
          .filteredOn(c -> c.id().equals(large))
          .singleElement()
          .extracting(c -> c.does())
          .isEqualTo(List.of(new Does.Sets("View", new Does.Given.Is("Large"))));
      assertThat(read.description().values())
          .singleElement()
          .satisfies(v -> assertThat(v.name() + " " + v.start().shown()).isEqualTo("Ink 40%"));
      assertThat(read.application().contexts())
          .extracting(c -> c.name() + " " + c.takesText())
          .containsExactly("Writing true", "Window false");
    }
  }

  /** Nothing is different in a program that was read a moment ago. */
  @Test
  void readAgainThereIsNothingNew() throws Exception {
    try (Works works = new Works(desktop, pictures, c -> false, "")) {
      Survey again = works.live.survey(works.running);
      Proposal second =
          Describing.of(works.proposal.application(), works.proposal.description(), again);
      assertThat(second.differences()).isEmpty();
      assertThat(second.application()).isEqualTo(works.proposal.application());
      assertThat(second.description()).isEqualTo(works.proposal.description());
    }
  }

  @Test
  void afterAnUpdateWhatIsNewGoneAndChangedIsTold() throws Exception {
    Desktop.Window own = desktop.window(0);
    try (Live live = Live.open(desktop.where())) {
      Live.Running running =
          live.running().stream()
              .filter(r -> r.process() == own.process().pid())
              .findFirst()
              .orElseThrow();
      Proposal before = Describing.anew("w", live.survey(running));
      own.told("rename _Stamp=Seal");
      own.told("late");
      Thread.sleep(900); // the window adds the item after 600 ms
      Proposal after =
          Describing.of(before.application(), before.description(), live.survey(running));
      assertThat(after.differences())
          .extracting(d -> d.fate() + " " + d.name())
          .containsExactlyInAnyOrder(
              "NEW Ledger \u203a Seal",
              "NEW Ledger \u203a More \u203a Late one",
              "GONE Ledger \u203a Stamp");
      assertThat(after.application().commandAt(List.of("Ledger", "Stamp")))
          .as("what is gone is told, not taken away")
          .isPresent();
    } finally {
      own.process().destroyForcibly();
    }
  }

  @Test
  void anOpenDialogIsReadWithItsFieldsAndButtons() throws Exception {
    Desktop.Window own = desktop.window(0);
    try (Live live = Live.open(desktop.where())) {
      Live.Running running =
          live.running().stream()
              .filter(r -> r.process() == own.process().pid())
              .findFirst()
              .orElseThrow();
      Survey survey = live.survey(running);
      live.open(running, List.of("Ledger", "Shift lines\u2026"));
      List<Survey.Form> forms = live.forms(running);
      assertThat(forms).singleElement().extracting(Survey.Form::title).isEqualTo("Shift lines");
      Proposal read = Describing.anew("w", survey.with(forms));
      var dialog = read.description().dialogs().getFirst();
      assertThat(dialog.fields())
          .extracting(f -> f.label() + " = " + f.start())
          .containsExactly("By = 1", "Times = 1", "Way = right", "Keep marks = no");
      assertThat(dialog.fields().get(1).kind()).isInstanceOf(Kind.Decimal.class);
      assertThat(dialog.fields().get(2).kind())
          .isEqualTo(new Kind.Choice(List.of("left", "right", "both")));
      assertThat(dialog.buttons()).extracting(b -> b.label()).containsExactly("Shift", "Cancel");
      assertThat(read.description().states())
          .singleElement()
          .extracting(s -> s.holds())
          .isEqualTo(new While.DialogOpen("Shift lines"));
    } finally {
      own.process().destroyForcibly();
    }
  }

  /** Of a document nothing is kept: neither what is written in it nor its name. */
  @Test
  void nothingOfTheDocumentIsRead() throws Exception {
    try (Works works = new Works(desktop, pictures, c -> false, "")) {
      works.run(
          new foldtwice.routine.Step.TypeText(new foldtwice.routine.Template("secret words")));
      assertThat(window.text()).contains("secret words");
      assertThat(works.live.survey(works.running).toString())
          .doesNotContain("secret")
          .doesNotContain("Ledger of tests");
    }
  }
}
