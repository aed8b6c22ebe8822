package foldtwice.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import foldtwice.desktop.frame.ViewsTest;
import foldtwice.library.Library;
import foldtwice.library.Returning;
import foldtwice.library.file.LibraryJson;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * Law: what is shown follows. When everything in the library is called otherwise, each view says
 * what it says in a window that is opened afterwards.
 */
class FollowsTest {

  private static final ObjectMapper JSON = new ObjectMapper();

  @TempDir Path folder;

  private interface Opening {
    void open(Hands hands);
  }

  private static Map<String, Opening> places() {
    Map<String, Opening> all = new LinkedHashMap<>();
    ViewsTest.ids().forEach(tab -> all.put(tab, h -> h.click("#tab-" + tab)));
    all.put("bind, a family", FollowsTest::family);
    for (String routine : List.of("shift boxes", "open loans", "straighten")) {
      all.put("collect, " + routine, h -> h.routine(routine));
    }
    for (int row : new int[] {1, 3, 8, 12, 13, 15, 17}) {
      all.put("places, row " + row, h -> row(h, row));
    }
    all.put("bind, not a key", h -> then(h, "bind", "other-trigger"));
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

  private static void narrow(Hands hands) {
    hands.click("#tab-bind");
    hands.resize(1024, 700);
  }

  private static void family(Hands hands) {
    hands.click("#tab-bind");
    hands.choose("exposure step");
    hands.space("#family-open");
  }

  private static void row(Hands hands, int row) {
    hands.press(KeyCode.F12);
    hands.press(KeyCode.HOME);
    for (int i = 0; i < row; i++) {
      hands.press(KeyCode.DOWN);
    }
  }

  /** The same library with another name for everything that has one; and all its routines ask. */
  private static Library called(Library library, int time) throws Exception {
    JsonNode all = JSON.readTree(LibraryJson.write(library));
    for (String list : List.of("applications", "routines", "stations", "surfaces", "families")) {
      all.path(list).forEach(thing -> call(thing, time));
    }
    all.path("routines").forEach(r -> ((ObjectNode) r).put("asking", "always"));
    return LibraryJson.read(JSON.writeValueAsString(all).getBytes(StandardCharsets.UTF_8));
  }

  private static void call(JsonNode thing, int time) {
    if (thing instanceof ObjectNode o && o.path("name").isTextual()) {
      o.put("name", o.get("name").asText().replaceFirst(" no \\d+$", "") + " no " + time);
    }
    for (String inner : List.of("contexts", "inner")) {
      thing.path(inner).forEach(c -> call(c, time));
    }
  }

  @Test
  void aViewThatIsOpenSaysWhatOneOpenedAfterwardsSays() throws Exception {
    Map<String, List<String>> before = new LinkedHashMap<>();
    int time = 0;
    try (Hands hands = Hands.open(folder)) {
      hands.hurry();
      for (Map.Entry<String, Opening> place : places().entrySet()) {
        place.getValue().open(hands);
        hands.quiet();
        Library now = hands.session.now().library();
        hands.make(Returning.to(now, called(now, ++time)), "called otherwise");
        hands.quiet();
        before.put(place.getKey(), texts(hands, time));
      }
    }
    List<String> stale = new ArrayList<>();
    int said = 0;
    try (Hands hands = Hands.open(folder)) {
      hands.hurry();
      for (Map.Entry<String, Opening> place : places().entrySet()) {
        place.getValue().open(hands);
        hands.quiet();
        List<String> afresh = texts(hands, time);
        said += afresh.size();
        List<String> only = before.get(place.getKey());
        List<String> there = List.copyOf(only);
        afresh.forEach(only::remove);
        there.forEach(afresh::remove);
        if (!only.isEmpty() || !afresh.isEmpty()) {
          stale.add(place.getKey() + " says " + only + " and not " + afresh);
        }
      }
    }
    assertThat(said).isGreaterThan(1_000);
    assertThat(stale).isEmpty();
  }

  /** All that is said in the view, with what everything is called this time told apart. */
  private static List<String> texts(Hands hands, int time) {
    List<String> all = new ArrayList<>(hands.texts(".sheet"));
    all.replaceAll(t -> t.replace(" no " + time, " as it is now"));
    return all;
  }
}
