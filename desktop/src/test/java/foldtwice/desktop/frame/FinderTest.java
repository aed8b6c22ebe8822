package foldtwice.desktop.frame;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.binding.Binding;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Snapshots;
import foldtwice.desktop.session.Ui;
import foldtwice.desktop.view.Act;
import foldtwice.desktop.view.Target;
import foldtwice.library.Library;
import foldtwice.place.Application;
import foldtwice.place.NativeCommand;
import foldtwice.place.Station;
import foldtwice.ready.Setup;
import foldtwice.resolve.Claim;
import foldtwice.routine.Routine;
import foldtwice.surface.Surface;
import foldtwice.trigger.Notation;
import foldtwice.trigger.Trigger;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Whatever there is is found by its name, before what only mentions it, and leads there. */
class FinderTest {

  private static final int MOST = 60;

  private static Snapshot now;
  private static final CommandTexts COMMANDS = new CommandTexts();
  private static final List<Target> WENT = new ArrayList<>();
  private static final List<String> DID = new ArrayList<>();

  private static final List<Deeds.Deed> DEEDS =
      Stream.of("look-up", "shift everything", "open a drawer")
          .map(
              id ->
                  new Deeds.Deed(
                      id,
                      Character.toUpperCase(id.charAt(0)) + id.substring(1),
                      "an action",
                      Act.Reach.ANYWHERE,
                      () -> true,
                      () -> DID.add(id)))
          .toList();

  @BeforeAll
  static void read() throws Exception {
    Library demo = Snapshots.demo();
    Station station = demo.stations().values().iterator().next();
    now = Snapshots.edited(demo, station, Setup.of(demo, station.id()), Optional.empty());
    COMMANDS.prepare(demo);
  }

  private static List<Hit> find(String query) {
    return Finder.find(now, WENT::add, DEEDS, COMMANDS, query);
  }

  private static Target target(Hit hit) {
    WENT.clear();
    hit.go().run();
    return WENT.isEmpty() ? null : WENT.getLast();
  }

  private static String low(String text) {
    return text.toLowerCase(Locale.ROOT);
  }

  /** The hit that leads somewhere; what stands before it begins as it does. */
  private static void isFoundBy(String name, Target to) {
    List<Hit> hits = find(name);
    int at = -1;
    for (int i = 0; i < hits.size() && at < 0; i++) {
      at = to.equals(target(hits.get(i))) ? i : -1;
    }
    assertThat(at).as("%s leads to %s: %s", name, to, hits).isNotNegative();
    for (Hit before : hits.subList(0, at)) {
      assertThat(low(before.title())).as("before %s", name).contains(low(name));
    }
  }

  @Test
  void everyRoutineIsFoundByItsName() {
    for (Routine r : now.library().routines().values()) {
      isFoundBy(r.name(), new Target.Routine(r.id()));
    }
  }

  @Test
  void everyPlaceAndSurfaceIsFoundByItsName() {
    for (Application a : now.library().applications().values()) {
      Target to =
          now.known().program(a.id()).isPresent()
              ? new Target.Program(a.id())
              : new Target.Application(a.id());
      isFoundBy(a.name(), to);
    }
    for (Surface s : now.library().surfaces().values()) {
      isFoundBy(s.name(), new Target.Surface(s.id()));
    }
  }

  /** By the whole of a menu path, as it is shown. */
  @ParameterizedTest
  @ValueSource(longs = {1, 2})
  void everyCommandIsFoundByItsPath(long seed) {
    Random random = new Random(seed);
    int looked = 0;
    for (Application a : now.library().applications().values()) {
      for (NativeCommand c : a.commands()) {
        if (c.menuPath().isEmpty() || random.nextInt(4) > 0) {
          continue;
        }
        String typed = c.name();
        List<Hit> hits = find(typed);
        boolean there =
            hits.stream().anyMatch(h -> new Target.Command(a.id(), c.id()).equals(target(h)));
        assertThat(there || hits.size() == MOST).as("%s of %s", typed, a.name()).isTrue();
        looked++;
      }
    }
    assertThat(looked).isGreaterThan(20);
  }

  /** What is found has every word that was typed, somewhere; no more than a list can show. */
  @ParameterizedTest
  @ValueSource(strings = {"shift", "box size", "e", "white light", "copy tag", "open", "x y z q"})
  void everyWordThatWasTypedIsThere(String query) {
    List<Hit> hits = find(query);
    assertThat(hits).hasSizeLessThanOrEqualTo(MOST);
    for (Hit h : hits) {
      for (String word : query.split(" ")) {
        assertThat(low(h.title() + " " + h.detail())).as(h.toString()).contains(word);
      }
      assertThat(h.kind()).isNotBlank();
    }
  }

  /** What begins so comes before what only has it within, of each kind. */
  @ParameterizedTest
  @ValueSource(strings = {"s", "sh", "box", "co", "white", "sel"})
  void whatBeginsSoComesFirst(String query) {
    for (String kind : List.of("routine", "place", "surface")) {
      List<Hit> hits =
          find(query).stream().filter(h -> h.kind().equals(Ui.text("look." + kind))).toList();
      boolean within = false;
      for (Hit h : hits) {
        boolean begins = low(h.title()).startsWith(query);
        assertThat(begins && within).as("%s after what has it within: %s", h, hits).isFalse();
        within |= !begins;
      }
    }
  }

  /** A chord finds everybody who has it, each once, before all else. */
  @Test
  void aChordFindsWhoeverHasIt() {
    Set<Trigger.Keys> chords =
        now.library().bindings().values().stream()
            .flatMap(b -> b.triggers().stream())
            .filter(Trigger.Keys.class::isInstance)
            .map(Trigger.Keys.class::cast)
            .filter(k -> k.strokes().size() == 1)
            .filter(k -> !k.strokes().getFirst().modifiers().isEmpty())
            .collect(Collectors.toSet());
    assertThat(chords).hasSizeGreaterThan(40);
    for (Trigger.Keys chord : chords) {
      List<Claim> claims = now.keymap().claimsOn(chord);
      List<Hit> hits = find(Notation.write(chord));
      assertThat(hits.size()).as(Notation.write(chord)).isGreaterThanOrEqualTo(claims.size());
      Set<Target> first = new HashSet<>();
      hits.subList(0, claims.size()).forEach(h -> first.add(target(h)));
      for (Binding b : now.library().bindings().values()) {
        boolean its =
            claims.stream()
                .anyMatch(c -> c.owner().equals(new foldtwice.resolve.Owner.Yours(b.id())));
        if (its) {
          assertThat(first).as(Notation.write(chord)).contains(new Target.Binding(b.id()));
          long often =
              hits.stream().filter(h -> new Target.Binding(b.id()).equals(target(h))).count();
          assertThat(often)
              .as("%s once for each place it is heard in", b.id())
              .isLessThanOrEqualTo(claims.size());
        }
      }
    }
  }

  /** Actions are found by their words and done; the look-up does not find itself. */
  @Test
  void actionsAreDone() {
    DID.clear();
    List<Hit> hits = find("shift every");
    assertThat(hits.getFirst().title()).isEqualTo("Shift everything");
    hits.getFirst().go().run();
    assertThat(DID).containsExactly("shift everything");
    assertThat(find("look-up")).noneMatch(h -> h.title().equals("Look-up"));
    assertThat(find("OPEN A DRAWER").getFirst().title()).isEqualTo("Open a drawer");
  }

  /** Nothing typed yet: the routines; nothing that has to be sought. */
  @Test
  void nothingTypedShowsTheRoutines() {
    List<Hit> hits = find("   ");
    Set<String> kinds = hits.stream().map(Hit::kind).collect(Collectors.toSet());
    assertThat(kinds).contains(Ui.text("look.routine"));
    assertThat(kinds).doesNotContain(Ui.text("look.binding"), Ui.text("look.native"));
  }
}
