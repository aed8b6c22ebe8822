package foldtwice.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.binding.Binding;
import foldtwice.handover.Kit;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.sheet.About;
import foldtwice.trigger.Notation;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.concurrent.atomic.AtomicInteger;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A kit is made in one library and taken into another. */
class KitsByHandTest {

  @TempDir Path here;
  @TempDir Path there;

  private static Library library(Hands hands) {
    return hands.session.now().library();
  }

  private static Kit kit(Library of, String name, About about) throws Exception {
    return new Kit(
        new Kit.Card(name, "", "us", "", ""), name, Kit.choose(of, List.of(about)).library());
  }

  private static String says(Path file) {
    try {
      return Files.readString(file);
    } catch (java.io.IOException e) {
      throw new java.io.UncheckedIOException(e);
    }
  }

  private static void rebind(Hands hands, String id, String keys) {
    Binding b = library(hands).bindings().get(id);
    hands.make(
        new Edit.PutBinding(b.withTriggers(List.of(Notation.read(keys)))), id + " to " + keys);
  }

  private static String keys(Hands hands, String id) {
    return Notation.write(library(hands).bindings().get(id).triggers().getFirst());
  }

  /** Makes a kit of the flag colours, by keyboard. */
  private Path made(Hands hands, String release) throws Exception {
    hands.lookUp("make a kit for another");
    hands.lookUp("find what shall go into a kit");
    hands.retype("flag colours");
    hands.giveKeys("#kit-about");
    hands.press(KeyCode.HOME);
    hands.press(KeyCode.SPACE);
    hands.waitForText("#kit-along", "5 bindings, 1 routine");
    assertThat(hands.text("#kit-along"))
        .contains("Vasculum, for Flag whole records, colour Rust in Vasculum");
    hands.paste("#kit-release", release);
    Path file = here.resolve("flags-" + release + ".json");
    hands.choosing(file);
    hands.space("#kit-save");
    hands.waitUntil(
        "it is said",
        () -> hands.session.saidProperty().get().contains(file.getFileName().toString()));
    assertThat(Kit.read(Files.readAllBytes(file)).card().name()).isEqualTo("Flag colours");
    return file;
  }

  /** Takes what is looked at, and waits until that has come of it. */
  private static void takeIn(Hands hands) {
    Library before = library(hands);
    hands.space("#kit-take-in");
    hands.waitUntil(
        "it is taken",
        () ->
            !new foldtwice.desktop.session.Question.Same(before)
                .equals(new foldtwice.desktop.session.Question.Same(library(hands))));
  }

  private static void take(Hands hands, Path kit) {
    hands.choosing(kit);
    hands.lookUp("take a kit of somebody");
    hands.waitForText("#kit-told", "conflict");
  }

  @Test
  void aKitIsMadeLookedAtAndTakenAndALaterOneMergesOver() throws Exception {
    Path first;
    Path second;
    try (Hands hands = Hands.open(here)) {
      first = made(hands, "1");
      hands.lookUp("look at the history");
      rebind(hands, "b59", "Ctrl+Alt+F9");
      rebind(hands, "b58", "Ctrl+Alt+F8");
    }
    try (Hands hands = Hands.open(here)) {
      second = made(hands, "2");
    }
    Files.writeString(
        there.resolve("fernhollow.json"),
        """
        {"format": "fold-twice-library", "version": 1, "name": "Elsewhere",
         "stations": [{"id": "desk", "name": "My desk", "layout": "us", "shape": "ansi"}]}
        """);
    try (Hands hands = Hands.open(there)) {
      take(hands, first);
      assertThat(hands.text("#kit-told"))
          .contains("Flag colours 1", "added", "Flag whole records, colour Rust");
      assertThat(library(hands).bindings()).isEmpty();
      takeIn(hands);
      assertThat(library(hands).bindings()).hasSize(5);
      assertThat(library(hands).routines().values()).allMatch(r -> !r.origin().seen());
      hands.waitForText("#kit-told", "has all of it already");
      hands.press(KeyCode.CONTROL, KeyCode.Z);
      assertThat(library(hands).bindings()).isEmpty();
      hands.waitForText("#kit-told", "added");
      takeIn(hands);
      assertThat(library(hands).bindings()).hasSize(5);
      rebind(hands, "b58", "Ctrl+Alt+F7");
      hands.space("#kit-leave");

      take(hands, second);
      hands.waitForText("#kit-told", "Flag colours 2");
      assertThat(hands.text("#kit-told"))
          .contains("Changed here and in the kit", "For what conflicts either choice is the same");
      hands.space("#kit-decide-0");
      hands.waitForText("#kit-told", "what the kit has is taken");
      hands.space("#kit-decide-0");
      hands.waitForText("#kit-told", "what is here stays");
      takeIn(hands);
      assertThat(keys(hands, "b59")).isEqualTo("Ctrl+Alt+F9");
      assertThat(keys(hands, "b58")).isEqualTo("Ctrl+Alt+F7");
      hands.press(KeyCode.CONTROL, KeyCode.Z);
      hands.waitForText("#kit-told", "Changed here and in the kit");
      hands.space("#kit-decide-0");
      hands.waitForText("#kit-told", "what the kit has is taken");
      takeIn(hands);
      assertThat(keys(hands, "b58")).isEqualTo("Ctrl+Alt+F8");
    }
  }

  /** Marked plainly, and gone with everything as it was, also when nobody closed the window. */
  @Test
  void aGuestLeavesEverythingAsItWas() throws Exception {
    Path kit;
    try (Hands hands = Hands.open(here)) {
      kit = made(hands, "1");
    }
    Files.copy(Hands.root().resolve("demo/seedhouse.json"), there.resolve("fernhollow.json"));
    Path file = there.resolve("fernhollow.json");
    Library before;
    byte[] journal;
    try (Hands hands = Hands.open(there)) {
      before = library(hands);
      assertThat(hands.text("#guest")).isEmpty();
      take(hands, kit);
      hands.space("#kit-guest");
      hands.waitForText("#guest", "Flag colours is put on since");
      hands.waitForText("#kit-told", "has all of it already");
      assertThat(library(hands).bindings()).hasSize(before.bindings().size() + 5);
      hands.make(new Edit.RemoveBinding(before.bindings().keySet().iterator().next()), "away");
      Path kept = there.resolve("fernhollow.json.journal");
      hands.waitUntil("both are on disk", () -> says(kept).contains("\"away\""));
      journal = Files.readAllBytes(kept);
      Files.copy(file, here.resolve("crashed.json"));
      Files.copy(there.resolve("fernhollow.json.guest"), here.resolve("crashed.json.guest"));
    }
    Files.copy(
        here.resolve("crashed.json"), file, java.nio.file.StandardCopyOption.REPLACE_EXISTING);
    Files.copy(
        here.resolve("crashed.json.guest"),
        there.resolve("fernhollow.json.guest"),
        java.nio.file.StandardCopyOption.REPLACE_EXISTING);
    Files.write(there.resolve("fernhollow.json.journal"), journal);
    try (Hands hands = Hands.open(there)) {
      hands.waitForText("#guest", "Flag colours is put on since");
      assertThat(library(hands).bindings()).hasSize(before.bindings().size() + 4);
      hands.space("#guest-off");
      assertThat(library(hands).bindings()).isEqualTo(before.bindings());
      assertThat(library(hands).routines()).isEqualTo(before.routines());
      assertThat(library(hands).applications()).isEqualTo(before.applications());
      assertThat(library(hands).families()).isEqualTo(before.families());
      assertThat(hands.text("#guest")).isEmpty();
      hands.waitUntil(
          "nothing is left", () -> Files.notExists(there.resolve("fernhollow.json.guest")));
    }
  }

  /** A conflict a kit would bring is settled with it, left again, and is one undo with the kit. */
  @Test
  void whatHelpsAgainstAConflictIsDoneWithTheKit() throws Exception {
    Path kit = here.resolve("one.json");
    try (Hands hands = Hands.open(here)) {
      Library demo = library(hands);
      Files.writeString(kit, kit(demo, "flags", new About.OfFamily("flag-colours")).write());
      Binding flag = demo.bindings().get(demo.families().get("flag-colours").members().getFirst());
      hands.make(
          new Edit.Together(
              List.of(
                  new Edit.RemoveFamily("flag-colours"),
                  new Edit.RemoveBinding(flag.id()),
                  new Edit.PutBinding(
                      Binding.fresh(
                          "mine", "flag-and-next", flag.place(), flag.triggers(), Map.of())))),
          "another on its key");
      hands.waitUntil("it is audited", () -> hands.session.now().audited());
      Library before = library(hands);
      take(hands, kit);
      hands.waitForText("#kit-told", "What helps:");
      assertThat(hands.text("#kit-told")).as("keys as they are printed").doesNotContain("[");
      hands.space("#kit-help-0");
      hands.waitForText("#kit-told", "With the kit:");
      hands.waitForText("#kit-told", "Nothing new would conflict");
      hands.space("#kit-unhelp-0");
      hands.waitForText("#kit-told", "What helps:");
      hands.space("#kit-help-0");
      hands.waitForText("#kit-told", "Nothing new would conflict");
      takeIn(hands);
      hands.waitUntil("it is there", () -> library(hands).bindings().containsKey(flag.id()));
      hands.waitUntil("it is audited", () -> hands.session.now().audited());
      assertThat(hands.session.now().conflictsOf(flag.id())).isEmpty();
      hands.press(KeyCode.CONTROL, KeyCode.Z);
      assertThat(library(hands)).isEqualTo(before);
    }
  }

  /** What has to be done stays in sight when the kit is in, and what was ticked off stays so. */
  @Test
  void whatHasToBeDoneIsTickedOff() throws Exception {
    Path kit = here.resolve("places.json");
    try (Hands hands = Hands.open(here)) {
      Library demo = library(hands);
      Files.writeString(kit, kit(demo, "trackway", new About.Program("trackway")).write());
    }
    Files.writeString(
        there.resolve("fernhollow.json"),
        """
        {"format": "fold-twice-library", "version": 1, "name": "Elsewhere",
         "stations": [{"id": "desk", "name": "My desk", "layout": "us", "shape": "ansi"}]}
        """);
    try (Hands hands = Hands.open(there)) {
      take(hands, kit);
      assertThat(hands.text("#kit-told")).contains("To do on My desk");
      hands.space("#kit-wait-0");
      takeIn(hands);
      hands.waitForText("#kit-told", "has all of it already");
      assertThat(hands.text("#kit-told")).contains("To do on My desk");
      assertThat(((javafx.scene.control.CheckBox) hands.node("#kit-wait-0")).isSelected()).isTrue();
    }
  }

  /** What was changed while a guest was on its way is nobody's to take back. */
  @Test
  void aGuestThatComesTooLateIsNotPutOn() throws Exception {
    try (Hands hands = Hands.open(here)) {
      Kit kit = kit(library(hands), "late", new About.OfFamily("flag-colours"));
      AtomicInteger turns = new AtomicInteger();
      Hands.ask(
          () -> {
            hands
                .session
                .guests()
                .guestProperty()
                .addListener((o, a, b) -> turns.incrementAndGet());
            hands.session.guests().putOn(kit, new Edit.RemoveBinding("b02"), () -> false);
            hands.session.make(new Edit.RemoveBinding("b01"), "meanwhile");
            return true;
          });
      hands.waitUntil("it has come and gone", () -> turns.get() == 2);
      hands.waitUntil(
          "nothing is left", () -> Files.notExists(here.resolve("fernhollow.json.guest")));
      assertThat(library(hands).bindings()).doesNotContainKey("b01").containsKey("b02");
    }
  }

  @Test
  void whatIsNoKitIsToldAndNothingIsChanged() throws Exception {
    Path odd = here.resolve("odd.json");
    Files.writeString(odd, "{\"format\": \"fold-twice-kit\", \"version\": 9}");
    try (Hands hands = Hands.open(here)) {
      Library before = library(hands);
      hands.choosing(odd);
      hands.lookUp("take a kit of somebody");
      hands.waitForText("#kit-told", "newer Fold Twice");
      assertThat(hands.node("#kit-take-in").isDisabled()).isTrue();
      hands.space("#kit-leave");
      assertThat(hands.text("#kit-along")).contains("Choose what shall go into the kit");
      assertThat(library(hands)).isSameAs(before);
    }
  }
}
