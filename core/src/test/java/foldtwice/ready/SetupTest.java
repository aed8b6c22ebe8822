package foldtwice.ready;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.Fixture;
import foldtwice.binding.Binding;
import foldtwice.binding.Readiness;
import foldtwice.extras.Extras;
import foldtwice.known.Facts;
import foldtwice.known.Known;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.library.ProgramFile;
import foldtwice.place.Application;
import foldtwice.place.Need;
import foldtwice.place.WayIn;
import foldtwice.resolve.Keymap;
import foldtwice.resolve.Outcome;
import foldtwice.resolve.Owner;
import foldtwice.resolve.Resolver;
import foldtwice.routine.Routine;
import foldtwice.routine.Value;
import foldtwice.trigger.Notation;
import foldtwice.trigger.Trigger;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

class SetupTest {

  /** A computer on which the application is, with nothing else to find. */
  private static final Known HERE =
      new Known() {
        @Override
        public List<Facts> programs() {
          return List.of(Facts.unknown("app"));
        }

        @Override
        public List<Facts> otherVersions() {
          return List.of();
        }

        @Override
        public Optional<Routine> routine(String id) {
          return Optional.empty();
        }

        @Override
        public List<String> routines() {
          return List.of("r");
        }
      };

  private static WayIn way(int slots, Need... needs) {
    return way("way", slots, needs);
  }

  private static WayIn way(String id, int slots, Need... needs) {
    return new WayIn(id, id, List.of(needs), false, slots, false, Extras.NONE);
  }

  private static WayIn anyWay(Random random, String id) {
    if (random.nextInt(4) == 0) {
      return way(id, 0);
    }
    List<Need> needs = new ArrayList<>(Arrays.asList(Need.values()));
    needs.removeIf(n -> random.nextBoolean());
    return way(id, random.nextInt(3), needs.toArray(Need[]::new));
  }

  private static Library with(Library library, WayIn... ways) {
    Application a = library.applications().get("app");
    return new Edit.PutApplication(
            new Application(
                a.id(),
                a.name(),
                a.version(),
                a.contexts(),
                a.commands(),
                a.rules(),
                List.of(ways),
                a.extras()))
        .on(library);
  }

  private static Outlook look(Library library, Setup setup, String binding) {
    return Outlook.of(library, keymap(library), HERE, setup, library.bindings().get(binding));
  }

  private static Keymap keymap(Library library) {
    return Keymap.of(library, library.stations().get("s"));
  }

  /** Whose command or binding answers to a key in the box context. */
  private static Owner fires(Library library, Setup setup, String keys) {
    Heard heard = Heard.of(library, keymap(library), setup);
    Outcome o =
        Resolver.outcomes(
                heard.keymap(),
                Fixture.place("box"),
                heard.keymap().paths(Notation.read(keys)).getFirst())
            .getLast();
    return o instanceof Outcome.Fired(var claim) ? claim.owner() : new Owner.Desktop("nobody");
  }

  private static final Owner NOBODY = new Owner.Desktop("nobody");

  private static List<ProgramFile> remember(Library library, String station, Setup setup) {
    return Remembering.of(library, Map.of(station, setup));
  }

  /** What a program has in its file is the same after everything was closed and opened again. */
  @Test
  void whatAProgramHasIsRemembered() {
    Library before =
        with(Fixture.library("mine box Alt+L"), way(0, Need.FILE_COPIED, Need.RESTART));
    Application app = before.applications().get("app");
    Setup setup = Setup.of(before, "s");
    assertThat(remember(before, "s", setup)).as("all is in").isEmpty();
    Binding b = before.bindings().get("mine box Alt+L");
    Owner mine = new Owner.Yours(b.id());
    Library moved = new Edit.PutBinding(b.withTriggers(List.of(Notation.read("Alt+K")))).on(before);

    Library kept = moved.withFile(remember(moved, "s", setup).getFirst());
    Setup again = Setup.of(kept, "s");
    assertThat(fires(kept, again, "Alt+L")).as("the program has the old one").isEqualTo(mine);
    assertThat(fires(kept, again, "Alt+K")).isEqualTo(NOBODY);
    assertThat(remember(kept, "s", again)).isEmpty();

    Library copied = kept.withFile(remember(kept, "s", again.copied(kept, app)).getFirst());
    assertThat(fires(copied, Setup.of(copied, "s"), "Alt+K")).isEqualTo(mine);
    assertThat(fires(copied, Setup.of(copied, "s"), "Alt+L")).isEqualTo(NOBODY);
    assertThat(remember(copied, "another", Setup.of(copied, "another")))
        .as("each station has its own programs")
        .isEmpty();
  }

  @Test
  void whatIsNewIsHeardOnlyAfterEverythingItsWayAsksFor() {
    Library before =
        with(
            Fixture.library("native box Alt+L"),
            way(0, Need.FILE_COPIED, Need.RESTART, Need.EACH_START));
    Application app = before.applications().get("app");
    Setup setup = Setup.settled(before);
    Library library =
        new Edit.PutBinding(
                Binding.fresh(
                    "b",
                    "r",
                    Fixture.place("box"),
                    List.<Trigger>of(Notation.read("Alt+L")),
                    Map.of()))
            .on(before);
    Owner mine = new Owner.Yours("b");
    Owner theirs = new Owner.Native("app", "native box Alt+L");
    assertThat(look(library, setup, "b").stage()).isEqualTo(Readiness.PLACED);
    assertThat(fires(library, setup, "Alt+L")).isEqualTo(theirs);

    setup = setup.switchedOn(app).restarted("app");
    assertThat(look(library, setup, "b").next())
        .as("in another order nothing helps")
        .contains(new Wait.For(Need.FILE_COPIED));

    setup = setup.copied(library, app);
    assertThat(look(library, setup, "b").stage()).isEqualTo(Readiness.WAITING);
    assertThat(look(library, setup, "b").next()).contains(new Wait.For(Need.RESTART));
    assertThat(fires(library, setup, "Alt+L")).isEqualTo(theirs);

    setup = setup.restarted("app");
    assertThat(fires(library, setup, "Alt+L")).isEqualTo(theirs);
    setup = setup.switchedOn(app);
    assertThat(look(library, setup, "b").stage()).isEqualTo(Readiness.WORKING);
    assertThat(fires(library, setup, "Alt+L")).isEqualTo(mine);

    setup = setup.restarted("app");
    assertThat(look(library, setup, "b").next())
        .as("at each start anew")
        .contains(new Wait.For(Need.EACH_START));
    assertThat(fires(library, setup, "Alt+L")).isEqualTo(theirs);
  }

  @Test
  void aProgramGoesOnWithWhatItReadUntilTheChangeIsIn() {
    Library before =
        with(Fixture.library("mine box Alt+L"), way(0, Need.FILE_COPIED, Need.NEW_WINDOW));
    Application app = before.applications().get("app");
    Binding b = before.bindings().get("mine box Alt+L");
    Owner mine = new Owner.Yours(b.id());
    Setup setup = Setup.settled(before);
    assertThat(look(before, setup, b.id()).stage()).isEqualTo(Readiness.WORKING);

    Library moved = new Edit.PutBinding(b.withTriggers(List.of(Notation.read("Alt+K")))).on(before);
    assertThat(fires(moved, setup, "Alt+L")).isEqualTo(mine);
    assertThat(fires(moved, setup, "Alt+K")).isEqualTo(NOBODY);
    setup = setup.copied(moved, app).opened(app);
    assertThat(fires(moved, setup, "Alt+L")).isEqualTo(NOBODY);
    assertThat(fires(moved, setup, "Alt+K")).isEqualTo(mine);

    Library gone = new Edit.RemoveBinding(b.id()).on(moved);
    assertThat(Entries.of(gone, setup, app))
        .extracting(Entries.Entry::state)
        .containsExactly(Entries.State.STALE);
    assertThat(fires(gone, setup, "Alt+K")).as("it still stands in the file").isEqualTo(mine);
    setup = setup.copied(gone, app).opened(app);
    assertThat(Entries.of(gone, setup, app)).isEmpty();
    assertThat(fires(gone, setup, "Alt+K")).isEqualTo(NOBODY);
  }

  @Test
  void numberedPlacesAreGivenInTheOrderOfTheLibrary() {
    Library library =
        with(
            Fixture.library("mine box Alt+A", "mine box Alt+B", "mine box Alt+C"),
            way(2, Need.FILE_COPIED));
    Setup setup = Setup.settled(library);
    assertThat(look(library, setup, "mine box Alt+B").stage()).isEqualTo(Readiness.WORKING);
    assertThat(look(library, setup, "mine box Alt+C").next()).contains(new Wait.Slot(2));
    assertThat(fires(library, setup, "Alt+C")).isEqualTo(NOBODY);
    Library room = new Edit.RemoveBinding("mine box Alt+A").on(library);
    assertThat(look(room, setup, "mine box Alt+C").next())
        .as("a place is left, and it is not in the file yet")
        .contains(new Wait.For(Need.FILE_COPIED));
    setup = setup.copied(room, room.applications().get("app"));
    assertThat(look(room, setup, "mine box Alt+C").stage()).isEqualTo(Readiness.WORKING);
    assertThat(fires(room, setup, "Alt+C")).isEqualTo(new Owner.Yours("mine box Alt+C"));
  }

  @Test
  void onlyWhatDisplacesSomethingIsAskedAbout() {
    Library library =
        with(Fixture.library("native box Alt+L"), way(0, Need.FILE_COPIED, Need.FIRST_CONFIRMED));
    Application app = library.applications().get("app");
    Setup setup = Setup.settled(library);
    for (String keys : List.of("Alt+L", "Alt+K")) {
      library =
          new Edit.PutBinding(
                  Binding.fresh(
                      keys,
                      "r",
                      Fixture.place("box"),
                      List.<Trigger>of(Notation.read(keys)),
                      Map.of()))
              .on(library);
    }
    setup = setup.copied(library, app);
    assertThat(look(library, setup, "Alt+K").stage()).isEqualTo(Readiness.WORKING);
    assertThat(look(library, setup, "Alt+L").next()).contains(new Wait.For(Need.FIRST_CONFIRMED));
    assertThat(fires(library, setup, "Alt+L"))
        .isEqualTo(new Owner.Native("app", "native box Alt+L"));
    setup = setup.met(Need.FIRST_CONFIRMED, library, app, library.bindings().get("Alt+L"));
    assertThat(fires(library, setup, "Alt+L")).isEqualTo(new Owner.Yours("Alt+L"));
  }

  @Test
  void aHelperAloneLetsWhatIsNewInAtOnceAndEverythingOutWhenItStops() {
    Library before = with(Fixture.library(), way(0, Need.HELPER_RUNNING));
    Library library = with(Fixture.library("mine box Alt+L"), way(0, Need.HELPER_RUNNING));
    Setup setup = Setup.settled(before).following(library);
    assertThat(fires(library, setup, "Alt+L")).isEqualTo(new Owner.Yours("mine box Alt+L"));
    setup = setup.running("app", Need.HELPER_RUNNING, false);
    assertThat(fires(library, setup, "Alt+L")).isEqualTo(NOBODY);
    assertThat(look(library, setup, "mine box Alt+L").next())
        .contains(new Wait.For(Need.HELPER_RUNNING));
  }

  @Test
  void thinEntriesAreNamedByWhatTheyPass() {
    Library library = with(Fixture.library("mine box Alt+L"), way(0, Need.FILE_COPIED));
    Binding b = library.bindings().get("mine box Alt+L").withArgument("x", Value.Amount.of(3));
    library = new Edit.PutBinding(b).on(library);
    Application app = library.applications().get("app");
    Entries.Entry entry = Entries.of(library, Setup.settled(library), app).getFirst();
    assertThat(entry.thin()).isTrue();
    assertThat(entry.name()).isEqualTo("R: 3");
    Library changed = new Edit.PutBinding(b.withArgument("x", Value.Amount.of(4))).on(library);
    assertThat(Entries.of(changed, Setup.settled(library), app).getFirst().state())
        .isEqualTo(Entries.State.CHANGED);
  }

  /** Whatever happens in whatever order: what is told to work is what the program has. */
  @Property(tries = 300)
  void whatIsToldToWorkIsHeard(@ForAll long seed) {
    Random random = new Random(seed);
    Library library =
        with(
            Fixture.library("mine box Alt+A", "mine box Alt+B", "native box Alt+C"),
            anyWay(random, "way"),
            anyWay(random, "other"));
    Setup setup = Setup.settled(library);
    Library was = library;
    Heard before = null;
    for (int i = 0; i < 30; i++) {
      String id = "mine box Alt+" + "AB".charAt(random.nextInt(2));
      Binding b =
          Binding.fresh(
              id,
              "r",
              Fixture.place("box"),
              random.nextInt(5) == 0
                  ? List.of()
                  : List.of(Notation.read("Alt+" + "ABC".charAt(random.nextInt(3)))),
              Map.of());
      b = random.nextBoolean() ? b : b.withFitting(b.fitting().by("other"));
      Application app = library.applications().get("app");
      switch (random.nextInt(9)) {
        case 0, 1 -> library = new Edit.PutBinding(b).on(library);
        case 2, 3 -> library = new Edit.RemoveBinding(id).on(library);
        case 4 -> library = with(library, anyWay(random, "way"), anyWay(random, "other"));
        case 5, 6 ->
            setup =
                setup.running("app", Need.values()[1 + random.nextInt(3)], random.nextBoolean());
        default ->
            setup =
                setup.met(
                    Need.values()[random.nextInt(Need.values().length)],
                    library,
                    app,
                    library.bindings().getOrDefault(id, b));
      }
      Setup followed = setup.following(library);
      assertThat(setup.following(was, library)).as("from the last one").isEqualTo(followed);
      setup = followed;
      was = library;
      Heard heard = Heard.of(library, keymap(library), setup);
      before =
          before == null || random.nextInt(4) == 0
              ? heard
              : Heard.following(before, library, keymap(library), setup);
      assertThat(before.otherwise()).as("from the last one").isEqualTo(heard.otherwise());
      assertThat(before.library()).isEqualTo(heard.library());
      assertThat(List.copyOf(before.library().bindings().keySet()))
          .isEqualTo(List.copyOf(heard.library().bindings().keySet()));
      for (String keys : List.of("Alt+A", "Alt+B", "Alt+C")) {
        assertThat(before.keymap().claimsOn(Notation.read(keys)))
            .containsExactlyInAnyOrderElementsOf(heard.keymap().claimsOn(Notation.read(keys)));
      }
      for (Binding each : library.bindings().values()) {
        if (!each.triggers().isEmpty() && look(library, setup, each.id()).next().isEmpty()) {
          assertThat(heard.library().bindings().get(each.id())).isEqualTo(each);
        }
      }
      Application is = library.applications().get("app");
      for (Entries.Entry e : Entries.of(library, setup, is)) {
        if (e.state() == Entries.State.STALE) {
          assertThat(Puts.keptWay(is, e.binding()))
              .as("what is to be taken out was copied by a way there is")
              .hasValueSatisfying(way -> assertThat(Puts.isCopied(way)).isTrue());
        }
      }
      assertThat(fires(library, setup, "Alt+A"))
          .as("what is heard is what is compiled of it")
          .isEqualTo(compiled(heard.library(), "Alt+A"));
    }
  }

  private static Owner compiled(Library library, String keys) {
    Keymap keymap = keymap(library);
    Outcome o =
        Resolver.outcomes(
                keymap, Fixture.place("box"), keymap.paths(Notation.read(keys)).getFirst())
            .getLast();
    return o instanceof Outcome.Fired(var claim) ? claim.owner() : NOBODY;
  }

  /**
   * What is to be remembered is told from what an edit changed as from the whole library, as long
   * as it is remembered each time. Random edits of the library that ships.
   */
  @Test
  void whatIsToBeRememberedFollowsAnEdit() throws Exception {
    java.nio.file.Path demo =
        java.nio.file.Path.of(System.getProperty("project.root")).resolve("demo/fernhollow.json");
    Library library =
        foldtwice.library.file.LibraryJson.read(java.nio.file.Files.readAllBytes(demo));
    Random random = new Random(41);
    Map<String, Setup> setups = new java.util.HashMap<>();
    library.stations().keySet().forEach(id -> setups.put(id, Setup.of(library, id)));
    Library first = remembering(library, Remembering.of(library, setups));
    Library now = first;
    int told = 0;
    int untouched = 0;
    for (int i = 0; i < 400; i++) {
      Library next = foldtwice.library.RandomEdits.of(now, random, 0).on(now);
      List<ProgramFile> fresh = Remembering.after(now, next, setups);
      assertThat(fresh).as("edit %s", i).isEqualTo(Remembering.of(next, setups));
      if (fresh.isEmpty()) {
        untouched++;
      } else {
        told++;
      }
      now = i % 8 == 7 ? first : remembering(next, fresh);
    }
    assertThat(told).isGreaterThan(2);
    assertThat(untouched).isGreaterThan(40);
  }

  private static Library remembering(Library library, List<ProgramFile> files) {
    Library next = library;
    for (ProgramFile file : files) {
      next = next.withFile(file);
    }
    return next;
  }

  /** A binding that is told to be in its program as it was is as ready as it was. */
  @Test
  void whatIsTheSameForABindingLeavesItAsReady() throws Exception {
    java.nio.file.Path demo =
        java.nio.file.Path.of(System.getProperty("project.root")).resolve("demo/fernhollow.json");
    Library library =
        foldtwice.library.file.LibraryJson.read(java.nio.file.Files.readAllBytes(demo));
    Keymap keymap = Keymap.of(library, library.stations().values().iterator().next());
    Random random = new Random(43);
    List<Application> applications = List.copyOf(library.applications().values());
    List<Binding> bindings = List.copyOf(library.bindings().values());
    Setup setup = Setup.settled(library);
    int same = 0;
    int other = 0;
    for (int i = 0; i < 60; i++) {
      Application a = applications.get(random.nextInt(applications.size()));
      Need need = Need.values()[random.nextInt(Need.values().length)];
      Binding some = bindings.get(random.nextInt(bindings.size()));
      Setup next =
          random.nextBoolean()
              ? setup.met(need, library, a, some)
              : random.nextInt(3) > 0
                  ? setup.running(a.id(), Need.HELPER_RUNNING, false)
                  : setup.restarted(a.id());
      java.util.Set<String> apart = next.apart(library, setup);
      for (Binding b : bindings) {
        if (!apart.contains(b.id())) {
          same++;
          assertThat(Outlook.of(library, keymap, HERE, next, b))
              .isEqualTo(Outlook.of(library, keymap, HERE, setup, b));
        } else {
          other++;
        }
      }
      setup = next;
    }
    assertThat(same).isGreaterThan(1_000);
    assertThat(other).isGreaterThan(100);
  }
}
