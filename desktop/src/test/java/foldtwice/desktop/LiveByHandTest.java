package foldtwice.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.binding.Binding;
import foldtwice.library.Edit;
import foldtwice.live.Desktop;
import foldtwice.live.display.Display;
import foldtwice.place.Place;
import foldtwice.place.Station;
import foldtwice.routine.ExprNotation;
import foldtwice.routine.Line;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import foldtwice.trigger.KeyCode;
import foldtwice.trigger.Modifier;
import foldtwice.trigger.Notation;
import foldtwice.trigger.Press;
import foldtwice.trigger.Trigger;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import javafx.scene.control.ComboBox;
import javax.sound.midi.Receiver;
import javax.sound.midi.ShortMessage;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * A real program is read, worked and set off from the window; its own text tells what came of it.
 */
class LiveByHandTest {

  private static final String ID = "window-py";
  private static final Press FIRES = Press.of(KeyCode.KEY_J, Modifier.CTRL);
  private static final Press STOP = Press.of(KeyCode.ESCAPE, Modifier.CTRL, Modifier.ALT);

  private static Desktop desktop;
  private static Desktop.Window window;

  @TempDir Path folder;

  @BeforeAll
  static void begin() throws Exception {
    desktop = Desktop.open();
    window = desktop.window(0);
    System.setProperty("foldtwice.live.session", desktop.where().session().orElseThrow());
    System.setProperty("foldtwice.live.display", desktop.where().display().orElseThrow());
  }

  @AfterAll
  static void end() {
    System.setProperty("foldtwice.live.session", "none");
    System.clearProperty("foldtwice.live.display");
    if (desktop != null) {
      desktop.close();
    }
  }

  private static void live(Hands hands) {
    hands.press(javafx.scene.input.KeyCode.CONTROL, javafx.scene.input.KeyCode.F9);
    hands.waitForText("#live-programs", "window.py");
  }

  private static Edit macro(String id, Step... steps) {
    List<Line> lines = new ArrayList<>();
    for (Step s : steps) {
      lines.add(new Line(s));
    }
    return new Edit.PutRoutine(Routine.Macro.of(id, id, ID, List.of(), lines), 0);
  }

  private static Step choose(String... path) {
    return new Step.Choose(Template.all(List.of(path)));
  }

  private static Edit binding(String id, String routine, String keys) {
    return new Edit.PutBinding(
        Binding.fresh(id, routine, new Place.Whole(ID), List.of(Notation.read(keys)), Map.of()));
  }

  /** Goes down in a box until what is wanted stands there. */
  private static void pick(Hands hands, String box, String words) {
    hands.giveKeys(box);
    for (int i = 0; i < 200 && !chosen(hands, box).contains(words); i++) {
      hands.press(javafx.scene.input.KeyCode.DOWN);
    }
    assertThat(chosen(hands, box)).contains(words);
  }

  private static String chosen(Hands hands, String box) {
    ComboBox<?> combo = (ComboBox<?>) hands.node(box);
    return Hands.ask(() -> String.valueOf(combo.getValue()));
  }

  private static String windowText() {
    try {
      return window.text();
    } catch (java.io.IOException e) {
      throw new java.io.UncheckedIOException(e);
    }
  }

  @Test
  void aProgramIsReadTakenInRunFiredAndStopped() throws Exception {
    window.told("clear");
    try (Hands hands = Hands.open(folder);
        Display keys = Display.open(desktop.where().display())) {
      live(hands);
      assertThat(hands.text("#live-programs")).contains("not in the library yet");

      hands.lookUp("read the chosen running program");
      hands.waitForText("#live-read-says", "new, 0 changed, 0 gone");
      hands.waitForText("#live-differences", "Ledger \u203a Stamp");
      assertThat(hands.text("#live-differences")).contains("Ledger \u203a Stamp", "Ctrl+Shift+M");
      pick(hands, "#live-dialogs", "Shift lines");
      hands.lookUp("have the program open a dialog");
      hands.waitForText("#live-differences", "By, Times, Way, Keep marks");
      hands.lookUp("take in what was read");
      assertThat(hands.session.now().library().applications()).containsKey(ID);
      hands.waitForText("#live-programs", "in the library as window.py");

      hands.lookUp("read the chosen running program");
      hands.waitForText("#live-read-says", "Nothing is different");
      hands.lookUp("leave what was read");

      hands.make(macro("Stamp twice", choose("Ledger", "Stamp"), choose("Ledger", "Stamp")), "m");
      hands.make(
          macro(
              "Wait long",
              choose("Ledger", "Stamp"),
              new Step.Pause(new Template("go on?"), List.of())),
          "m");
      hands.make(binding("live1", "Stamp twice", "Ctrl+J"), "b");
      hands.make(binding("live2", "Wait long", "Ctrl+Alt+J"), "b");
      pick(hands, "#live-routine", "Stamp twice");
      hands.lookUp("tell what stands in the way");
      hands.waitForSaid("Stamp twice could run");
      hands.waitForText("#live-fired", "Stamp twice, as it would go");
      assertThat(windowText()).isEmpty();
      hands.lookUp("run the chosen routine in its real");
      hands.waitForSaid("ran through for real");
      assertThat(windowText()).isEqualTo("[stamp][stamp]");
      assertThat(hands.text("#live-fired")).contains("Stamp twice", "[stamp]");

      hands.lookUp("take the last run in a real");
      hands.waitForSaid("taken back, in 2 steps of its own");
      assertThat(windowText()).isEmpty();
      hands.lookUp("run the chosen routine in its real");
      hands.waitUntil("it ran again", () -> windowText().equals("[stamp][stamp]"));
      hands.waitForSaid("ran through for real");

      hands.click("#listen");
      hands.waitForSaid("keys caught");
      assertThat(hands.text("#listening")).contains("caught");
      keys.strike(FIRES);
      hands.waitUntil("it fired", () -> windowText().equals("[stamp][stamp][stamp][stamp]"));
      hands.waitForSaid("ran through for real");
      assertThat(hands.session.now().library().proofs()).containsKey("live1");

      keys.strike(Press.of(KeyCode.KEY_J, Modifier.CTRL, Modifier.ALT));
      hands.waitForText("#live-fired", "go on?");
      keys.strike(STOP);
      hands.waitForSaid("emergency stop");
      hands.waitForText("#live-fired", "Given up");
      assertThat(hands.has("#listening")).isTrue();
      assertThat(hands.node("#listening").getParent().isVisible()).isFalse();
      String before = windowText();
      keys.strike(FIRES);
      hands.pause(300);
      assertThat(windowText()).isEqualTo(before);
    }
  }

  @Test
  void whatIsNotThereIsSaidAndNothingIsDone() throws Exception {
    window.told("clear");
    try (Hands hands = Hands.open(folder)) {
      live(hands);
      hands.lookUp("read the chosen running program");
      hands.waitForText("#live-read-says", "new");
      hands.lookUp("take in what was read");
      hands.make(macro("Lost", choose("Ledger", "Stamp"), choose("Ledger", "Nowhere")), "m");
      pick(hands, "#live-routine", "Lost");
      hands.lookUp("run the chosen routine in its real");
      hands.waitForText("#live-fired", "Nowhere");
      assertThat(windowText()).isEmpty();
      hands.make(
          macro(
              "Asks",
              new Step.Ask(
                  new Template("which?"),
                  List.of(
                      new Step.Question(
                          "way",
                          new foldtwice.routine.Kind.Words(),
                          ExprNotation.read("'north'")))),
              new Step.TypeText(new Template("\u2039way\u203a"))),
          "m");
      pick(hands, "#live-routine", "Asks");
      hands.lookUp("run the chosen routine in its real");
      hands.waitForText("#live-fired", "which?");
      hands.giveKeys("#asked-way");
      hands.retype("south");
      pick(hands, "#live-routine", "Lost");
      hands.lookUp("tell what stands in the way");
      hands.waitForText("#live-fired", "Lost, as it would go");
      assertThat(hands.text("#asked-way")).as("what was being answered stays").isEqualTo("south");
      hands.click("#asking-on");
      hands.waitUntil("it is typed", () -> windowText().equals("south"));
    }
  }

  /** A library can forbid it; one undo lets it again. */
  @Test
  void aLibraryForbidsLive() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      live(hands);
      var listen = hands.node("#live-listen");
      hands.waitUntil("it may listen", () -> !listen.isDisabled());
      hands.lookUp("forbid that anything of this library");
      assertThat(hands.text("#live-listening")).contains("Nothing of this library may run");
      assertThat(hands.node("#live-listen").isDisabled()).isTrue();
      assertThat(hands.session.now().library().live()).isFalse();
      hands.press(javafx.scene.input.KeyCode.CONTROL, javafx.scene.input.KeyCode.Z);
      assertThat(hands.node("#live-listen").isDisabled()).isFalse();
    }
  }

  /** A pad that is plugged in fires in the real program, while it listens. */
  @Test
  void aMidiKeyFiresLive() throws Exception {
    window.told("clear");
    try (Hands hands = Hands.open(folder)) {
      hands.choosing(Hands.root().resolve("demo/devices/corbel.json"));
      hands.press(javafx.scene.input.KeyCode.F3);
      hands.paste("#look-up", "add a device");
      hands.press(javafx.scene.input.KeyCode.ENTER);
      hands.waitUntil(
          "it is there", () -> hands.session.now().library().device("corbel").isPresent());
      Station here = hands.session.now().station();
      List<String> devices = new ArrayList<>(here.devices());
      devices.add("corbel");
      hands.make(new Edit.PutStation(here.withDevices(devices), 0), "plugged in");
      live(hands);
      hands.lookUp("read the chosen running program");
      hands.waitForText("#live-read-says", "new");
      hands.lookUp("take in what was read");
      hands.make(macro("Stamp once", choose("Ledger", "Stamp")), "m");
      hands.make(
          new Edit.PutBinding(
              Binding.fresh(
                  "livepad",
                  "Stamp once",
                  new Place.Whole(ID),
                  List.of(new Trigger.PadKey("corbel", "one", "c1", Trigger.Duration.TAP)),
                  Map.of())),
          "b");
      hands.lookUp("listen for the keys");
      hands.waitForSaid("caught");
      Receiver midi = Hands.ask(() -> hands.session.pads().receiver("corbel")).orElseThrow();
      midi.send(new ShortMessage(ShortMessage.NOTE_ON, 0, 36, 90), -1);
      midi.send(new ShortMessage(ShortMessage.NOTE_OFF, 0, 36, 0), -1);
      hands.waitUntil("it fired", () -> windowText().equals("[stamp]"));
      hands.lookUp("stop what runs in real");
    }
  }

  @Test
  void withoutAnAccessibilityBusItSaysSo() throws Exception {
    String was = System.setProperty("foldtwice.live.session", "none");
    try (Hands hands = Hands.open(folder)) {
      hands.press(javafx.scene.input.KeyCode.CONTROL, javafx.scene.input.KeyCode.F9);
      hands.waitForText("#live-reach", "at-spi2-core");
      assertThat(hands.node("#live-listen").isDisabled()).isTrue();
    } finally {
      System.setProperty("foldtwice.live.session", was);
    }
  }
}
