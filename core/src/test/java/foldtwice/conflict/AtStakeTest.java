package foldtwice.conflict;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.Fixture;
import foldtwice.binding.Binding;
import foldtwice.library.Acceptance;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.library.Stake;
import foldtwice.place.Application;
import foldtwice.place.Danger;
import foldtwice.place.NativeCommand;
import foldtwice.routine.Head;
import foldtwice.routine.Line;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What would be lost, and what a person who lives with it is asked again about. */
class AtStakeTest {

  private static final String LONG = "mine box A then B";
  private static final String SHORT = "mine box A";

  /** A shorter trigger takes the keys of a longer one; the routine of the shorter is given. */
  private static Library library(Routine routine) {
    Library library = Fixture.library(LONG, SHORT);
    Application app = library.applications().get("app");
    NativeCommand wipe =
        new NativeCommand(
            "wipe",
            "Wipe",
            "",
            List.of("Edit", "Wipe"),
            List.of(),
            Fixture.place("app"),
            0,
            Danger.DELETES,
            Optional.empty(),
            foldtwice.extras.Extras.NONE);
    Binding b = library.bindings().get(SHORT).withRoutine("it", Map.of());
    return new Edit.Together(
            List.of(
                new Edit.PutApplication(app.withCommands(List.of(wipe))),
                new Edit.PutRoutine(routine),
                new Edit.PutBinding(b)))
        .on(library);
  }

  private static Routine macro(Step... steps) {
    return Routine.Macro.of(
        "it", "It", "app", List.of(), List.of(steps).stream().map(Line::new).toList());
  }

  private static Conflict cut(Library library) {
    return Auditor.audit(Subject.of(library, Fixture.keymap(library))).stream()
        .filter(c -> c.kind() == ConflictKind.CUT_SHORT)
        .findFirst()
        .orElseThrow();
  }

  /** What a command of this name in a menu, or a statement, does by mistake. */
  @ParameterizedTest
  @CsvSource(
      delimiter = ';',
      value = {
        "SELECT name FROM sheet; NONE",
        "INSERT INTO sheet VALUES (1); SAVES",
        "CREATE TABLE other (id INT); SAVES",
        "CALL tidy(1); SAVES",
        "UPDATE sheet SET name = 'x'; DELETES",
        "DELETE FROM sheet; DELETES",
        "DROP TABLE sheet; DELETES",
        "TRUNCATE TABLE sheet; DELETES",
        "this is no statement; NONE",
      })
  void statements(String sql, Danger danger) {
    Routine stored =
        new Routine.Stored(
            Head.of("it", "It", "app", List.of()), Routine.Stored.Language.SQL, new Template(sql));
    assertThat(cut(library(stored)).loss().stake().danger()).isEqualTo(danger);
  }

  @Test
  void stepsAndWhatTheyRun() {
    Step wipe = new Step.Choose(Template.all(List.of("Edit", "Wipe")));
    Step other = new Step.Choose(Template.all(List.of("Edit", "Copy")));
    assertThat(danger(macro(other))).isEqualTo(Danger.NONE);
    assertThat(danger(macro(other, wipe))).isEqualTo(Danger.DELETES);
    assertThat(danger(macro(new Step.Choose(Template.all(List.of("Edit", "\u2039what\u203a"))))))
        .as("which it may be is known when it runs")
        .isEqualTo(Danger.DELETES);
    assertThat(danger(macro(new Step.Capture(Step.Area.WINDOW, new Template("view.png")))))
        .isEqualTo(Danger.SAVES);
    assertThat(danger(macro(new Step.Capture(Step.Area.WINDOW, new Template("")))))
        .isEqualTo(Danger.NONE);
    Line off = new Line(wipe).switchedOn(false);
    assertThat(danger(Routine.Macro.of("it", "It", "app", List.of(), List.of(off))))
        .isEqualTo(Danger.NONE);
    Library two =
        new Edit.Together(
                List.of(
                    new Edit.PutRoutine(
                        Routine.Macro.of("in", "In", "app", List.of(), List.of(new Line(wipe)))),
                    new Edit.PutRoutine(macro(new Step.RunRoutine("in", Map.of())))))
            .on(library(macro(other)));
    assertThat(cut(two).loss().stake().danger()).isEqualTo(Danger.DELETES);
    Routine.Macro as = (Routine.Macro) macro(wipe);
    assertThat(danger(foldtwice.source.ToScript.of(as).routine())).isEqualTo(Danger.DELETES);
  }

  private static Danger danger(Routine routine) {
    return cut(library(routine)).loss().stake().danger();
  }

  /** An edit of a routine is looked at again in all that its bindings meet. */
  @Test
  void lookingAgainAfterARoutineBecameDangerous() {
    Library before = library(macro(new Step.Note(new Template("x"))));
    Library after =
        new Edit.PutRoutine(macro(new Step.Choose(Template.all(List.of("Edit", "Wipe")))))
            .on(before);
    Audit again =
        Audit.of(Subject.of(before, Fixture.keymap(before)))
            .after(Subject.of(after, Fixture.keymap(after)));
    assertThat(again.conflicts())
        .isEqualTo(Auditor.audit(Subject.of(after, Fixture.keymap(after))));
    assertThat(cut(after).loss().value()).isGreaterThan(cut(before).loss().value());
  }

  /** It comes back when another danger is in it, or when it is used much more; not for less. */
  @ParameterizedTest
  @CsvSource({
    "0, 0, true",
    "0, 9, true",
    "0, 10, false",
    "4, 49, true",
    "4, 50, false",
    "50, 0, true"
  })
  void whatIsAcceptedComesBack(double then, double now, boolean still) {
    Library first = used(library(macro(new Step.Note(new Template("x")))), then);
    Library accepted = accept(first);
    assertThat(cut(accepted).isAccepted(accepted)).isTrue();
    Library later = used(accepted, now);
    assertThat(cut(later).isAccepted(later)).isEqualTo(still);
    Library dangerous =
        new Edit.PutRoutine(macro(new Step.Choose(Template.all(List.of("Edit", "Wipe")))))
            .on(accepted);
    assertThat(cut(dangerous).isAccepted(dangerous)).isFalse();
    assertThat(cut(accept(dangerous)).isAccepted(accept(dangerous))).isTrue();
  }

  @Test
  void whatWasAcceptedBeforeThatWasKeptStays() {
    Library library = library(macro(new Step.Note(new Template("x"))));
    Conflict c = cut(library);
    Acceptance old =
        new Acceptance(c.fingerprint(), "", "so be it", "", Instant.EPOCH, Optional.empty());
    Library accepted = new Edit.Accept(c.fingerprint(), Optional.of(old)).on(library);
    Library later = used(accepted, 1000);
    assertThat(cut(later).isAccepted(later)).isTrue();
  }

  private static Library used(Library library, double uses) {
    Binding b = library.bindings().get(LONG);
    return new Edit.PutBinding(
            new Binding(
                b.id(),
                b.routine(),
                b.place(),
                b.triggers(),
                b.arguments(),
                uses,
                b.fitting(),
                b.extras()))
        .on(library);
  }

  private static Library accept(Library library) {
    Conflict c = cut(library);
    Stake stake = c.loss().stake();
    return new Edit.Accept(
            c.fingerprint(),
            Optional.of(
                new Acceptance(
                    c.fingerprint(), "", "so be it", "", Instant.EPOCH, Optional.of(stake))))
        .on(library);
  }
}
