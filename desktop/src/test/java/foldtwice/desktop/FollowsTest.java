package foldtwice.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.Seeds;
import foldtwice.desktop.frame.ViewsTest;
import foldtwice.desktop.session.Ui;
import foldtwice.desktop.view.Target;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.library.Returning;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import javafx.scene.control.ListView;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * Law: what is shown follows. When everything in the library is called otherwise, used more often
 * and told otherwise, when things have what others like them had, or at another station, each view
 * says what it says in a window that is opened afterwards; and what it said before, when all is as
 * it was again.
 */
class FollowsTest {

  /** How often it is drawn what is handed on. */
  private static final int DRAWS = Integer.getInteger("draws", 4);

  @TempDir Path folder;

  private interface Opening {
    void open(Hands hands);
  }

  private static Map<String, Opening> places() {
    Map<String, Opening> all = new LinkedHashMap<>();
    ViewsTest.ids().forEach(tab -> all.put(tab, h -> h.click("#tab-" + tab)));
    all.put("bind", h -> h.to(new Target.Binding("b01"))); // what is first is another then
    all.put("atlas", h -> then(h, "atlas", "pad-r1k1"));
    all.put("payback", FollowsTest::paysBack); // one of one binding
    all.put("bind, a family", FollowsTest::family);
    for (String routine : List.of("shift boxes", "open loans", "straighten")) {
      all.put("collect, " + routine, h -> routine(h, routine));
    }
    for (int row : new int[] {1, 3, 8, 12, 13, 15, 17}) {
      all.put("places, row " + row, h -> row(h, row));
    }
    for (String part : List.of("commands", "contexts", "labels")) {
      all.put("places, a table of " + part, h -> table(h, part));
    }
    for (String kind : List.of("device", "held", "pointer", "toolbar", "radial")) {
      all.put("bind, by " + kind, h -> picking(h, kind));
    }
    all.put("collect, a step", FollowsTest::step);
    all.put(
        "collect, taking in",
        h -> {
          routine(h, "shift boxes");
          h.space("#take-in");
        });
    all.put("try, checks", h -> then(h, "try", "try-side-checks"));
    all.put("conflicts, all stations", h -> then(h, "conflicts", "scope-stations"));
    for (String leaf : List.of("kits", "compare")) { // the history tells of the way there
      all.put("handover, " + leaf, h -> then(h, "handover", "handover-" + leaf));
    }
    all.put("bind, where there is little room", FollowsTest::narrow);
    return all;
  }

  private static void then(Hands hands, String tab, String button) {
    hands.click("#tab-" + tab);
    hands.space("#" + button);
  }

  private static void routine(Hands hands, String name) {
    hands.click("#tab-collect"); // in Try the keys are the program's
    hands.routine(name);
  }

  private static void picking(Hands hands, String kind) {
    hands.click("#tab-bind");
    hands.choose("straighten");
    hands.choose("shift boxes");
    hands.space("#other-trigger");
    hands.giveKeys("#picker-" + kind);
    hands.press(KeyCode.SPACE);
  }

  private static void paysBack(Hands hands) {
    hands.click("#tab-payback");
    hands.quiet();
    ListView<?> shares = (ListView<?>) hands.node("#payback-shares");
    boolean chosen =
        Hands.ask(
            () -> {
              for (Object entry : shares.getItems()) {
                if (entry.toString().contains("date-stamp")) {
                  shares.getSelectionModel().select(shares.getItems().indexOf(entry));
                  return true;
                }
              }
              return false;
            });
    assertThat(chosen).as("there is a line for it").isTrue();
  }

  private static void narrow(Hands hands) {
    hands.to(new Target.Binding("b01")); // what is first is another then
    hands.resize(1024, 700);
  }

  private static void family(Hands hands) {
    hands.click("#tab-bind");
    hands.choose("exposure step");
    hands.space("#family-open");
  }

  private static void step(Hands hands) {
    routine(hands, "open loans");
    hands.giveKeys("#outline");
    hands.press(KeyCode.HOME);
    hands.press(KeyCode.ENTER);
    assertThat(hands.has("#step-editor")).isTrue();
  }

  /** What is said of the first program of which anything is. */
  private static void table(Hands hands, String part) {
    int row = 0;
    do {
      row(hands, ++row);
    } while (!hands.has("#part-" + part) && row < 30);
    hands.space("#part-" + part);
  }

  private static void row(Hands hands, int row) {
    hands.click("#tab-places");
    hands.press(KeyCode.HOME);
    for (int i = 0; i < row; i++) {
      hands.press(KeyCode.DOWN);
    }
  }

  /** What becomes otherwise while a view is open. */
  private enum Change {
    NAMES,
    HANDED_ON,
    STATION
  }

  private final List<String> stale = new ArrayList<>();
  private int said;

  /** One change in half of the places; each change in each place when asked to be hard. */
  @Test
  void aViewThatIsOpenSaysWhatOneOpenedAfterwardsSays() throws Exception {
    long seed = Seeds.drawn();
    Random random = new Random(seed);
    List<List<Map.Entry<String, Opening>>> dealt =
        Seeds.dealt(List.copyOf(places().entrySet()), 2 * Change.values().length, seed);
    for (Change change : Change.values()) {
      List<Map.Entry<String, Opening>> its = new ArrayList<>(dealt.get(change.ordinal()));
      if (change == Change.HANDED_ON) {
        // How far the long list is scrolled hangs on what was chosen before.
        its.removeIf(place -> place.getKey().equals("conflicts"));
      }
      for (int i = 0; i < (Seeds.HARD && change == Change.HANDED_ON ? DRAWS : 1); i++) {
        follow(change, its, Files.createDirectory(folder.resolve(change.name() + i)), random);
      }
    }
    assertThat(said).isGreaterThan(500);
    assertThat(stale).isEmpty();
  }

  private void follow(
      Change change, List<Map.Entry<String, Opening>> places, Path its, Random random)
      throws Exception {
    Map<String, List<String>> open = new HashMap<>();
    List<String> stations;
    try (Hands hands = Hands.open(its)) {
      hands.hurry();
      Library first = hands.session.now().library();
      assertThat(Otherwise.lacks(first)).isEmpty();
      stations = List.copyOf(first.stations().keySet());
      Library otherwise =
          switch (change) {
            case NAMES -> Otherwise.of(first);
            case HANDED_ON -> Otherwise.handedOn(first, random);
            case STATION -> first;
          };
      Edit there = Returning.to(first, otherwise);
      Edit back = Returning.to(otherwise, first);
      for (Map.Entry<String, Opening> place : places) {
        place.getValue().open(hands);
        List<String> before = says(hands);
        go(hands, change, there, stations.getLast());
        open.put(place.getKey(), says(hands));
        go(hands, change, back, stations.getFirst());
        compare(change + ", " + place.getKey() + ", back again,", says(hands), before);
      }
      if (change != Change.STATION) {
        hands.make(there, "something else"); // which station is chosen is nothing of the library
      }
    }
    try (Hands hands = Hands.open(its)) {
      hands.hurry();
      if (change == Change.STATION) {
        station(hands, stations.getLast());
      }
      for (Map.Entry<String, Opening> place : places) {
        place.getValue().open(hands);
        List<String> afresh = says(hands);
        said += afresh.size();
        compare(change + ", " + place.getKey(), open.get(place.getKey()), afresh);
      }
    }
  }

  private static void go(Hands hands, Change change, Edit edit, String station) {
    switch (change) {
      case NAMES, HANDED_ON -> hands.make(edit, "something else");
      case STATION -> station(hands, station);
    }
  }

  private static void station(Hands hands, String id) {
    Hands.ask(
        () -> {
          hands.session.choose(hands.session.now().library().stations().get(id));
          return true;
        });
    hands.settle();
  }

  /** All that is said in the view when it has come to rest. */
  private static List<String> says(Hands hands) {
    hands.quiet();
    List<String> all = hands.texts(".sheet");
    for (int i = 0; i < 1_000 && all.contains(Ui.text("live.looking")); i++) {
      hands.pause(25); // nobody else waits for real programs
      all = hands.texts(".sheet");
    }
    return all;
  }

  /** Keeps what only one of two says. */
  private void compare(String where, List<String> one, List<String> other) {
    List<String> only = new ArrayList<>(one);
    List<String> not = new ArrayList<>(other);
    other.forEach(only::remove);
    one.forEach(not::remove);
    if (!only.isEmpty() || !not.isEmpty()) {
      stale.add(where + " says " + only + " and not " + not);
    }
  }
}
