package foldtwice.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.Seeds;
import foldtwice.desktop.frame.ViewsTest;
import foldtwice.library.Beginning;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.library.Returning;
import foldtwice.library.file.LibraryFile;
import foldtwice.place.Station;
import foldtwice.trigger.Shape;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.concurrent.atomic.AtomicReference;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Labeled;
import javafx.scene.control.TextInputControl;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.Clipboard;
import javafx.scene.input.KeyCode;
import javafx.stage.Window;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * Law: every button that is seen, pressed with the space bar, shows that something happened; what
 * it changed can be taken back, and is kept as it is shown. What is being typed into any field
 * stays there, and so do the keys, whatever else changes, the very thing that is written to too;
 * and nobody hands it in but who types it. In a third of the places, another one each time; in all
 * when asked to be hard.
 */
class EveryButtonTest {

  @TempDir Path folder;

  /** Every place of the window with buttons of its own, by how one comes there. */
  private static Map<String, Opening> places() {
    Map<String, Opening> all = new LinkedHashMap<>();
    all.put("bind", h -> h.click("#tab-bind"));
    all.put("bind, a family", h -> then(h, "bind", "family-open"));
    all.put("bind, not a key", h -> then(h, "bind", "other-trigger"));
    for (String routine : List.of("shift boxes", "stair boxes", "open loans", "straighten")) {
      all.put("collect, " + routine, h -> h.routine(routine));
    }
    all.put(
        "collect, taking in",
        h -> {
          h.routine("shift boxes");
          h.space("#take-in");
        });
    for (int row : new int[] {1, 3, 8, 12, 13, 15, 17}) {
      all.put(
          "places, row " + row,
          h -> {
            h.press(KeyCode.F12);
            h.press(KeyCode.HOME);
            for (int i = 0; i < row; i++) {
              h.press(KeyCode.DOWN);
            }
          });
    }
    all.putAll(tabs());
    all.put("conflicts, settling", h -> then(h, "conflicts", "settle"));
    for (String leaf : List.of("kits", "compare", "history")) {
      all.put("handover, " + leaf, h -> then(h, "handover", "handover-" + leaf));
    }
    all.put(
        "collect, a run",
        h -> {
          h.routine("shift boxes");
          h.space("#step-routine");
        });
    all.put(
        "collect, a run that asks",
        h -> {
          h.routine("close a loan");
          h.space("#run-routine");
        });
    all.put(
        "bind, a run that asks",
        h -> {
          h.click("#tab-bind");
          h.choose("close a loan");
          h.space("#fire");
        });
    all.put("places, a program of one's own", h -> thenPlaces(h, "new-application"));
    all.put("places, a station of one's own", h -> thenPlaces(h, "new-station"));
    all.put("try, checks", h -> then(h, "try", "try-side-checks"));
    return all;
  }

  private static Map<String, Opening> tabs() {
    Map<String, Opening> all = new LinkedHashMap<>();
    for (String tab : ViewsTest.ids()) {
      all.put(tab, h -> h.click("#tab-" + tab));
    }
    return all;
  }

  /** Those that choose what is chosen already where they are met first. */
  private static final Set<String> IS_CHOSEN =
      Set.of("context-\u2026", "atlas-spot-\u2026", "face-noicon", "pad-\u2026", "choice-\u2026");

  private interface Opening {
    void open(Hands hands);
  }

  private static void thenPlaces(Hands hands, String button) {
    hands.press(KeyCode.F12);
    hands.space("#" + button);
  }

  private static void then(Hands hands, String tab, String button) {
    hands.click("#tab-" + tab);
    if (buttons(hands).contains(button)) { // else it is open already
      hands.space("#" + button);
    }
  }

  private final List<String> dead = new ArrayList<>();
  private final List<String> stuck = new ArrayList<>();
  private final List<String> lost = new ArrayList<>();
  private final List<String> handedIn = new ArrayList<>();
  private final Set<String> pressed = new TreeSet<>();
  private final Set<String> written = new TreeSet<>();
  private Hands hands;
  private Library first;

  /** All that is there at first said otherwise; every window begins with the same. */
  private Optional<Library> firstOtherwise = Optional.empty();

  private int windows;

  /** The library that is opened; the demo where there is none. */
  private Optional<Library> library = Optional.empty();

  @Test
  void showsWhatItDoesAndCanBeTakenBack() throws Exception {
    pressAll(places());
    assertThat(pressed).hasSizeGreaterThan(Seeds.HARD ? 110 : 35);
  }

  @Test
  void alsoWhereThereIsNothingYet() throws Exception {
    library =
        Optional.of(
            new Beginning(
                    "Nothing yet", "This computer", "de", Shape.ISO, Beginning.desktop("logo"))
                .library());
    pressAll(tabs());
    assertThat(pressed).hasSizeGreaterThan(Seeds.HARD ? 40 : 20);
  }

  private void pressAll(Map<String, Opening> places) throws Exception {
    for (var place : Seeds.oneOf(3, List.copyOf(places.entrySet()))) {
      begin();
      try {
        press(place.getKey(), place.getValue());
      } finally {
        hands.close();
      }
    }
    System.out.println(windows + " windows, " + pressed.size() + " buttons pressed: " + pressed);
    assertThat(dead).as("shown to have happened").isEmpty();
    assertThat(stuck).as("taken back").isEmpty();
    System.out.println(written.size() + " fields written in: " + written);
    assertThat(lost).as("what was being typed stays when something else changes").isEmpty();
    assertThat(handedIn).as("what is half typed is handed in by nobody else").isEmpty();
  }

  /** A window of its own: what a button before it left open does not count. */
  private void begin() throws Exception {
    Path its = Files.createDirectory(folder.resolve("window-" + windows++));
    if (library.isPresent()) {
      LibraryFile.create(its.resolve("fernhollow.json"), library.get());
    }
    hands = Hands.open(its);
    hands.hurry();
    first = hands.session.now().library();
    Hands.ask(
        () -> {
          Hands.FAULTS.read();
          return true;
        });
  }

  private Library saidOtherwise() throws Exception {
    if (firstOtherwise.isEmpty()) {
      firstOtherwise = Optional.of(Otherwise.of(first));
    }
    return firstOtherwise.get();
  }

  private boolean isAsBefore(String seen) {
    return seen(hands).equals(seen) && hands.session.now().library().equals(first);
  }

  /** One of many alike stands for all: icons, pages, places, keys of devices. */
  private static String kind(String id) {
    return id.replaceFirst(
        "^(icon|choice|atlas-page|atlas-spot|place|context|dial|device|plugged|pad|try|picker|family)-.*",
        "$1-\u2026");
  }

  /** To where a button is, in a new window where the last one does not lead there any more. */
  private void comeBack(Opening place, String id) throws Exception {
    if (buttons(hands).contains(id)) {
      return;
    }
    try {
      place.open(hands);
      if (buttons(hands).contains(id)) {
        return;
      }
    } catch (AssertionError left) {
      // a button before has led elsewhere
    }
    hands.close();
    begin();
    place.open(hands);
  }

  private void press(String name, Opening place) throws Exception {
    place.open(hands);
    List<String> its = buttons(hands);
    writeInAll(name); // which may lead elsewhere
    takenBack(hands, first);
    for (String id : its) {
      if (!pressed.add(kind(id))) {
        continue;
      }
      comeBack(place, id);
      hands.choosing(folder.resolve("asked-" + id));
      hands.giveKeys("#" + id);
      hands.quiet(); // else what is seen next may come of what was pressed before
      String before = seen(hands);
      hands.press(KeyCode.SPACE);
      if (!IS_CHOSEN.contains(kind(id))) {
        for (int i = 0; i < 400 && isAsBefore(before); i++) {
          hands.pause(25); // what is on disk or looked up comes when it is there
        }
        if (isAsBefore(before)) {
          dead.add(name + ": " + id);
        }
      }
      assertThat(Hands.ask(() -> Hands.FAULTS.lastProperty().get())).as(id).isEmpty();
      writeInAll(name + ": " + id);
      hands.press(KeyCode.ESCAPE);
      if (!takenBack(hands, first)) {
        stuck.add(name + ": " + id);
        hands.close();
        begin();
      }
    }
  }

  /**
   * Begins to write into each field that is seen for the first time, chooses another thing in each
   * chooser, and looks whether that stays.
   */
  private void writeInAll(String where) throws Exception {
    Library here = hands.session.now().library();
    Optional<Library> there = Optional.empty();
    boolean isThere = false;
    for (String field : fields(hands)) {
      if (field(field).isEmpty() || !written.add(kind(field))) {
        continue;
      }
      if (there.isEmpty()) {
        there = Optional.of(here.equals(first) ? saidOtherwise() : Otherwise.of(here));
      }
      Node node = field(field).get();
      hands.giveKeys(node);
      Station station = hands.session.now().station();
      Library now = hands.session.now().library();
      Library otherwise = isThere ? here : there.get();
      boolean chooser = node instanceof ComboBox<?>;
      Edit other =
          chooser // what is chosen is kept at once: the one who comes last is right
              ? new Edit.PutStation(station.as("elsewhere", "For " + field))
              : Returning.to(now, otherwise);
      isThere ^= !chooser;
      if (!chooser) {
        hands.press(KeyCode.END);
      }
      AtomicReference<Begun> begun = new AtomicReference<>();
      hands.pressAnd(
          chooser ? KeyCode.DOWN : KeyCode.DIGIT9,
          () -> { // at once, before anything that it asked for is there
            begun.set(new Begun(shown(field), hands.scene().getFocusOwner()));
            hands.session.make(other, "something else");
          });
      String typed = begun.get().typed();
      Node keys = begun.get().keys();
      hands.quiet();
      if (!typed(field).equals(typed) || !isLike(keys, hands.focus())) {
        lost.add(where + ": " + field + " had " + typed + " and has " + typed(field));
      }
      if (!chooser && !isLike(hands.session.now().library(), otherwise)) {
        handedIn.add(where + ": " + field);
      }
      if (typed(field).endsWith("9")) {
        hands.press(KeyCode.BACK_SPACE);
      }
    }
  }

  /** The same, or what stands in its place, called alike. */
  private static boolean isLike(Node keys, Node now) {
    return keys.equals(now)
        || (keys.getClass().equals(now.getClass()) && named(keys).equals(named(now)));
  }

  /** What stands in a field as soon as somebody begins, and what has the keys then. */
  private record Begun(String typed, Node keys) {}

  /** The field that is seen under this name now. */
  private Optional<Node> field(String name) {
    return Hands.ask(() -> found(name));
  }

  private Optional<Node> found(String name) {
    List<Node> found = new ArrayList<>();
    walk(hands.scene().getRoot(), n -> named(n).filter(name::equals).ifPresent(x -> found.add(n)));
    return found.stream().findFirst();
  }

  private String typed(String name) {
    return Hands.ask(() -> shown(name));
  }

  /** What stands in the field of this name now. */
  private String shown(String name) {
    return found(name).map(EveryButtonTest::told).orElse("nothing");
  }

  private static String told(Node field) {
    return field instanceof ComboBox<?> box
        ? "place " + box.getSelectionModel().getSelectedIndex()
        : ((TextInputControl) field).getText();
  }

  private static List<String> fields(Hands hands) {
    return Hands.ask(
        () -> {
          List<String> names = new ArrayList<>();
          walk(hands.scene().getRoot(), n -> named(n).ifPresent(names::add));
          return names;
        });
  }

  /** What a field or a chooser is called, itself or what it is the editor of. */
  private static Optional<String> named(Node node) {
    boolean text = node instanceof TextInputControl t && t.isEditable();
    boolean chooser = node instanceof ComboBox<?> box && !box.isEditable();
    if (!(text || chooser) || node.isDisabled()) {
      return Optional.empty();
    }
    return Optional.ofNullable(node.getId() != null ? node.getId() : node.getParent().getId());
  }

  /** Takes back until nothing is left to take back; true when all is as it was. */
  private static boolean takenBack(Hands hands, Library first) {
    return Hands.ask(
        () -> {
          while (hands.session.now().undoable().isPresent()) {
            hands.session.undo();
          }
          return isLike(hands.session.now().library(), first);
        });
  }

  /** The same, but for facts, such as that a binding was seen to fire. */
  private static boolean isLike(Library one, Library other) {
    return Returning.to(one, other) instanceof Edit.Together(List<Edit> left) && left.isEmpty();
  }

  private static List<String> buttons(Hands hands) {
    return Hands.ask(
        () -> {
          List<String> ids = new ArrayList<>();
          walk(
              hands.scene().getRoot(),
              n -> {
                boolean button = n instanceof ButtonBase && n.getId() != null && !n.isDisabled();
                boolean chosen =
                    n instanceof ToggleButton t && t.isSelected() && !(n instanceof CheckBox);
                if (button && !chosen && n.getId().matches("[a-z][a-z-]*")) {
                  ids.add(n.getId());
                }
              });
          return ids;
        });
  }

  private interface Visit {
    void node(Node node);
  }

  private static void walk(Node node, Visit visit) {
    if (node.isVisible()) {
      visit.node(node);
      if (node instanceof Parent parent) {
        parent.getChildrenUnmodifiable().forEach(c -> walk(c, visit));
      }
    }
  }

  /** All that a person can see of the window: texts, states, where the keys are, what popped up. */
  private static String seen(Hands hands) {
    return Hands.ask(
        () -> {
          StringBuilder all = new StringBuilder();
          walk(
              hands.scene().getRoot(),
              n -> {
                if (n instanceof Labeled l) {
                  all.append(l.getText()).append('|');
                } else if (n instanceof TextInputControl t) {
                  all.append(t.getText()).append('|');
                }
                all.append(n.getPseudoClassStates()).append(n.getStyleClass());
              });
          return all.append(Window.getWindows().size())
              .append(hands.scene().getStylesheets())
              .append(Clipboard.getSystemClipboard().getString())
              .append(hands.session.saidProperty().get())
              .toString();
        });
  }
}
