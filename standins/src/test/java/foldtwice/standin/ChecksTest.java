package foldtwice.standin;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.binding.Binding;
import foldtwice.check.Checked;
import foldtwice.check.Checked.Lack;
import foldtwice.check.Checked.Verdict;
import foldtwice.extras.Extras;
import foldtwice.library.Edit;
import foldtwice.library.Expected;
import foldtwice.library.Library;
import foldtwice.library.PressCheck;
import foldtwice.place.Place;
import foldtwice.place.Station;
import foldtwice.ready.Heard;
import foldtwice.ready.Setup;
import foldtwice.resolve.Keymap;
import foldtwice.resolve.Outcome;
import foldtwice.resolve.Owner;
import foldtwice.resolve.Resolver;
import foldtwice.run.Computer;
import foldtwice.trigger.Notation;
import foldtwice.trigger.Signal;
import foldtwice.trigger.Trigger;
import foldtwice.words.CheckWords;
import foldtwice.words.Words;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * Checks of presses: what is expected holds exactly when it comes, and what cannot be made says
 * why.
 */
class ChecksTest {

  private static final Setup DONE = Setup.settled(Demo.LIBRARY);

  private static PressCheck check(String id, Place place, Expected expected, Trigger... presses) {
    return new PressCheck(id, "", "", place, List.of(presses), expected, Extras.NONE);
  }

  private static List<Checked> made(Library library, Station station, List<PressCheck> checks) {
    return Checks.on(
        library,
        station,
        Setup.settled(library),
        name -> new Computer.File.Refused("a file", "none"),
        checks);
  }

  private static Verdict verdict(Library library, Station station, PressCheck check) {
    return made(library, station, List.of(check)).getFirst().verdict();
  }

  /** Presses of the library in states of a station, drawn at random, expecting nothing. */
  private static List<PressCheck> drawn(Station station, long seed, int count) {
    Random random = new Random(seed);
    List<Binding> bindings = List.copyOf(Demo.LIBRARY.bindings().values());
    List<Place> states =
        Heard.of(Demo.LIBRARY, Keymap.of(Demo.LIBRARY, station), DONE).keymap().states();
    List<PressCheck> checks = new ArrayList<>();
    while (checks.size() < count) {
      Binding b = bindings.get(random.nextInt(bindings.size()));
      if (b.triggers().isEmpty()) {
        continue;
      }
      Place place = states.get(random.nextInt(states.size()));
      checks.add(
          check("c" + checks.size(), place, new Expected.Nothing(), b.triggers().getFirst()));
    }
    return checks;
  }

  /** What came, made the expectation, holds; anything else does not. */
  @ParameterizedTest
  @ValueSource(longs = {3, 14})
  void whatComesIsWhatHolds(long seed) {
    Set<Class<?>> seen = Collections.newSetFromMap(new HashMap<>());
    for (Station station : Demo.LIBRARY.stations().values()) {
      for (Checked first : made(Demo.LIBRARY, station, drawn(station, seed, 25))) {
        List<Expected> came =
            switch (first.verdict()) {
              case Verdict.Holds h -> List.of(new Expected.Nothing());
              case Verdict.Differs(List<Expected> all, var ending) -> all;
              case Verdict.Cannot c -> List.of();
            };
        if (came.size() != 1) {
          continue;
        }
        PressCheck c = first.check();
        Trigger press = c.presses().getFirst();
        assertThat(
                verdict(Demo.LIBRARY, station, check("again", c.place(), came.getFirst(), press)))
            .as("%s in %s", press, c.place().id())
            .isEqualTo(new Verdict.Holds());
        assertThat(
                verdict(
                    Demo.LIBRARY,
                    station,
                    check("other", c.place(), new Expected.Keeps("x"), press)))
            .isInstanceOf(Verdict.Differs.class);
        seen.add(came.getFirst().getClass());
      }
    }
    assertThat(seen).contains(Expected.Fires.class);
    assertThat(seen).hasSizeGreaterThan(1);
  }

  /** A check and the resolver, which knows of no program, come to the same binding. */
  @Test
  void aBindingFiresInACheckWhereTheResolverSaysSo() {
    int fired = 0;
    for (Station station : Demo.LIBRARY.stations().values()) {
      Keymap keymap = Heard.of(Demo.LIBRARY, Keymap.of(Demo.LIBRARY, station), DONE).keymap();
      for (Checked c : made(Demo.LIBRARY, station, drawn(station, 5, 30))) {
        Trigger press = c.check().presses().getFirst();
        if (!(c.verdict() instanceof Verdict.Differs(List<Expected> came, var ending))
            || press.keyStrokes().isEmpty()) {
          continue;
        }
        List<Signal> way = keymap.paths(press).getFirst();
        List<String> said =
            Resolver.outcomes(keymap, c.check().place(), way).stream()
                .flatMap(
                    o ->
                        o instanceof Outcome.Fired(var claim)
                                && claim.owner() instanceof Owner.Yours(String id)
                            ? Optional.of(id).stream()
                            : Optional.<String>empty().stream())
                .toList();
        List<String> did =
            came.stream()
                .flatMap(
                    e ->
                        switch (e) {
                          case Expected.Fires(String id, boolean well) -> Optional.of(id).stream();
                          case Expected.Lacks(String id) -> Optional.of(id).stream();
                          default -> Optional.<String>empty().stream();
                        })
                .toList();
        assertThat(did).as("%s in %s", press, c.check().place().id()).isEqualTo(said);
        fired += did.size();
      }
    }
    assertThat(fired).isGreaterThan(10);
  }

  /** Each is made on a computer of its own: none disturbs another, in whatever order. */
  @Test
  void theOrderOfChecksMattersToNone() {
    Station station = Demo.LIBRARY.stations().get("camera-bench");
    List<PressCheck> checks = new ArrayList<>(drawn(station, 8, 25));
    Map<String, Verdict> one = new HashMap<>();
    made(Demo.LIBRARY, station, checks).forEach(c -> one.put(c.check().id(), c.verdict()));
    Collections.shuffle(checks, new Random(1));
    Map<String, Verdict> other = new HashMap<>();
    made(Demo.LIBRARY, station, checks).forEach(c -> other.put(c.check().id(), c.verdict()));
    assertThat(other).isEqualTo(one);
  }

  /** When what should fire loses its trigger, the check says what comes instead. */
  @Test
  void aBindingWithoutItsTriggerIsMissed() {
    Station station = Demo.LIBRARY.stations().get("camera-bench");
    int missed = 0;
    for (Checked c : made(Demo.LIBRARY, station, drawn(station, 21, 25))) {
      if (c.verdict() instanceof Verdict.Differs(List<Expected> came, var ending)
          && came.equals(List.of(new Expected.Fires(id(came), true)))) {
        Library without =
            new Edit.PutBinding(Demo.LIBRARY.bindings().get(id(came)).withTriggers(List.of()))
                .on(Demo.LIBRARY);
        PressCheck kept =
            check("kept", c.check().place(), came.getFirst(), c.check().presses().getFirst());
        Verdict now = verdict(without, station, kept);
        assertThat(now).isInstanceOf(Verdict.Differs.class);
        assertThat(((Verdict.Differs) now).came()).doesNotContain(came.getFirst());
        assertThat(new CheckWords(new Words(without)).verdict(new Checked(kept, station.id(), now)))
            .isNotBlank()
            .doesNotContain("{");
        missed++;
      }
    }
    assertThat(missed).isPositive();
  }

  private static String id(List<Expected> came) {
    return came.getFirst() instanceof Expected.Fires(String id, boolean well) ? id : "";
  }

  /** Whatever keeps a check from being made is told, and told in words. */
  @Test
  void whatCannotBeMadeSaysWhy() {
    Library demo = Demo.LIBRARY;
    Station bench = demo.stations().get("camera-bench");
    Place somewhere = new Place.Whole("copystand");
    Place state = Keymap.of(demo, bench).states().getFirst();
    Trigger key = Notation.read("Ctrl+K");
    Trigger gone = new Trigger.PadKey("no-pad", "", "k1", Trigger.Duration.TAP);
    Set<Lack> told = EnumSet.noneOf(Lack.class);
    List<Checked> all =
        new ArrayList<>(
            made(
                demo,
                bench,
                List.of(
                    check(
                        "place",
                        new Place.Within("copystand", "nowhere"),
                        new Expected.Nothing(),
                        key),
                    check(
                        "program", new Place.Whole("no-such-program"), new Expected.Nothing(), key),
                    check("surface", state, new Expected.Nothing(), gone))));
    all.addAll(
        Checks.everywhere(
            demo,
            id -> DONE,
            name -> new Computer.File.Refused("a file", "none"),
            List.of(
                new PressCheck(
                    "station",
                    "",
                    "no-such-station",
                    somewhere,
                    List.of(key),
                    new Expected.Nothing(),
                    Extras.NONE))));
    CheckWords words = new CheckWords(new Words(demo));
    for (Checked c : all) {
      assertThat(c.verdict()).as(c.check().id()).isInstanceOf(Verdict.Cannot.class);
      told.add(((Verdict.Cannot) c.verdict()).lack());
      assertThat(c.state()).as(c.check().id()).isEqualTo(Checked.State.FAILED);
      assertThat(words.verdict(c)).isNotBlank().doesNotContain("{", "null");
      assertThat(words.title(c.check())).isNotBlank().doesNotContain("{");
    }
    assertThat(told).contains(Lack.NO_STATION, Lack.NO_PLACE, Lack.NO_SURFACE);
    assertThat(CheckWords.sum(all)).contains("4");
  }
}
