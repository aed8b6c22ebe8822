package foldtwice.merge;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.binding.Binding;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.library.RandomEdits;
import foldtwice.library.RandomLibraries;
import foldtwice.library.file.FormatException;
import foldtwice.library.file.LibraryJson;
import foldtwice.trigger.Notation;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

class TakingBackTest {

  private static Library demo() throws Exception {
    return LibraryJson.read(
        Files.readAllBytes(Path.of(System.getProperty("project.root"), "demo", "fernhollow.json")));
  }

  private static Edit keys(Library library, String id, String keys) {
    Binding b = library.bindings().get(id);
    return new Edit.PutBinding(b.withTriggers(List.of(Notation.read(keys))));
  }

  @Test
  void whatNothingStandsOnIsTakenBackAndTheRestStays() throws Exception {
    Library before = demo();
    Library after = keys(before, "b01", "Ctrl+Alt+F9").on(before);
    Library now = keys(after, "b02", "Ctrl+Alt+F10").on(after);
    TakingBack back = TakingBack.of(now, before, after);
    assertThat(back).isInstanceOf(TakingBack.Possible.class);
    Library then = ((TakingBack.Possible) back).edit().on(now);
    assertThat(then.bindings().get("b01")).isEqualTo(before.bindings().get("b01"));
    assertThat(then.bindings().get("b02")).isEqualTo(now.bindings().get("b02"));
  }

  @Test
  void whatWasChangedAgainIsNamed() throws Exception {
    Library before = demo();
    Library after = new Edit.RemoveBinding("b01").on(before);
    Library odd = new Edit.PutBinding(before.bindings().get("b01").used(3)).on(after);
    TakingBack back = TakingBack.of(odd, before, after);
    assertThat(back).isInstanceOf(TakingBack.Standing.class);
    assertThat(((TakingBack.Standing) back).now().getFirst().subject())
        .containsExactly("bindings", "b01");
  }

  @Test
  void whatIsGoneCannotBeTakenBack() throws Exception {
    Library before = demo();
    Library after = keys(before, "b01", "Ctrl+Alt+F9").on(before);
    assertThat(TakingBack.of(before, before, after)).isEqualTo(new TakingBack.Gone());
  }

  /** Law: right after a change, taking it back is what undo does; facts aside. */
  @Property(tries = 150)
  void rightAfterAChangeItIsUndo(@ForAll long seed) throws Exception {
    Library before = RandomLibraries.of(seed);
    Library after = RandomEdits.of(before, new Random(seed), 1).on(before);
    if (!isOne(after)) {
      return;
    }
    switch (TakingBack.of(after, before, after)) {
      case TakingBack.Possible(Edit edit) -> {
        Library back = edit.on(after);
        assertThat(back.bindings()).isEqualTo(before.bindings());
        assertThat(back.routines()).isEqualTo(before.routines());
        assertThat(back.applications()).isEqualTo(before.applications());
        assertThat(back.surfaces()).isEqualTo(before.surfaces());
        assertThat(back.stations()).isEqualTo(before.stations());
      }
      case TakingBack.Gone() -> assertThat(after.bindings()).isEqualTo(before.bindings());
      case TakingBack.Standing(var now) -> assertThat(now).as("nothing came later").isEmpty();
    }
  }

  private static boolean isOne(Library library) {
    try {
      return LibraryJson.read(LibraryJson.write(library).getBytes(StandardCharsets.UTF_8))
          .equals(library);
    } catch (FormatException e) {
      return false;
    }
  }
}
