package foldtwice.live.program;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.binding.Binding;
import foldtwice.describe.Description;
import foldtwice.describe.While;
import foldtwice.extras.Extras;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.place.Application;
import foldtwice.place.Context;
import foldtwice.place.Place;
import foldtwice.trigger.Notation;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** Which bindings are not heard because nobody sees when one is in their context. */
class UntoldTest {

  private static Context context(String id, boolean text, Context... inner) {
    return new Context(id, id, List.of(inner), inner.length > 0, text, false, Extras.NONE);
  }

  private static Library library(String... places) {
    Application ledger =
        new Application(
            "ledger",
            "Ledger",
            "1",
            List.of(
                context("sheet", false, context("bare", false), context("box", false)),
                context("writing", true),
                context("shifting", true)),
            List.of(),
            List.of(),
            List.of(),
            Extras.NONE);
    Description said =
        Description.none("ledger")
            .withStates(
                List.of(new Description.State("shifting", new While.DialogOpen("Shift lines"))));
    List<Edit> edits = new ArrayList<>();
    edits.add(new Edit.PutApplication(ledger));
    edits.add(new Edit.Describe("ledger", Optional.of(said)));
    for (String place : places) {
      Place at = place.isEmpty() ? new Place.Whole("ledger") : new Place.Within("ledger", place);
      edits.add(
          new Edit.PutBinding(
              Binding.fresh("b" + place, "r", at, List.of(Notation.read("Ctrl+J")), Map.of())));
    }
    return new Edit.Together(edits).on(Library.empty("Tests"));
  }

  @Test
  void textDialogsAndTheFirstOtherContextAreSeenAndNothingElse() {
    Untold untold =
        Untold.of(library("", "sheet", "bare", "box", "writing", "shifting"), Set.of("ledger"));
    assertThat(untold.bindings().stream().map(Binding::id)).containsExactly("bbox");
    assertThat(untold.contexts()).singleElement().asString().contains("box");
  }

  @Test
  void programsThatDoNotRunAreNotTalkedOf() {
    assertThat(Untold.of(library("box"), Set.of("other")).bindings()).isEmpty();
  }
}
