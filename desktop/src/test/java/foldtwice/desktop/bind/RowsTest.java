package foldtwice.desktop.bind;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.binding.Binding;
import foldtwice.binding.Family;
import foldtwice.binding.Pattern;
import foldtwice.binding.Proof;
import foldtwice.conflict.Conflict;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Snapshots;
import foldtwice.extras.Extras;
import foldtwice.library.Acceptance;
import foldtwice.library.Edit;
import foldtwice.library.Fingerprint;
import foldtwice.library.Library;
import foldtwice.library.file.LibraryJson;
import foldtwice.place.Application;
import foldtwice.place.Need;
import foldtwice.place.Place;
import foldtwice.place.Station;
import foldtwice.place.WayIn;
import foldtwice.ready.Setup;
import foldtwice.routine.Routine;
import foldtwice.trigger.Modifiers;
import foldtwice.trigger.Notation;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Stream;
import javafx.collections.ListChangeListener;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * Law: rows that followed whatever happened are the rows somebody sees who comes only now, and a
 * list that hears of every change has them too.
 */
class RowsTest {

  private Library library;
  private Station station;
  private Setup setup;
  private Random random;

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4})
  void followAsIfMadeAnew(long seed) throws Exception {
    random = new Random(seed);
    library =
        LibraryJson.read(
            Files.readAllBytes(
                Path.of(System.getProperty("project.root")).resolve("demo/fernhollow.json")));
    library.applications().values().forEach(this::withFewSlots);
    station = library.stations().values().iterator().next();
    setup = Setup.of(library, station.id());
    Rows rows = new Rows(RowsTest::moves);
    List<Seat> heard = new ArrayList<>();
    rows.all().addListener((ListChangeListener<Seat>) c -> hear(c, heard));
    Map<Seat, Row> seats = new HashMap<>();
    Optional<Snapshot> before = Optional.empty();
    int made = 0;
    int stayed = 0;
    for (int i = 0; i < 60; i++) {
      Library was = library;
      happen(before);
      setup = setup.following(was, library);
      Snapshot edited = Snapshots.edited(library, station, setup, before);
      rows.show(edited);
      assertShown(rows, heard, edited, i);
      stayed += stayed(seats, rows);
      made += library.equals(was) ? 0 : 1;
      if (random.nextInt(3) > 0) {
        Snapshot looked = Snapshots.looked(edited);
        rows.show(looked);
        assertShown(rows, heard, looked, i);
        before = Optional.of(looked);
      } else {
        before = Optional.of(edited);
      }
    }
    assertThat(made).as("edits that changed something").isGreaterThan(20);
    assertThat(stayed).as("bindings that changed and did not move").isPositive();
  }

  /** As if the register were in the order of triggers. */
  private static boolean moves(Row was, Row is) {
    return !was.trigger().equals(is.trigger());
  }

  /** A seat says for good where it stands; returns how many have another row than before. */
  private static int stayed(Map<Seat, Row> seats, Rows rows) {
    int stayed = 0;
    Map<Seat, Row> now = new HashMap<>();
    for (Seat seat : rows.all()) {
      Row was = seats.get(seat);
      if (was != null) {
        assertThat(seat.row().trigger()).isEqualTo(was.trigger());
        stayed += was.equals(seat.row()) ? 0 : 1;
      }
      now.put(seat, seat.row());
    }
    seats.clear();
    seats.putAll(now);
    return stayed;
  }

  /** What its ways in have numbered slots for is less than what comes by them. */
  private void withFewSlots(Application a) {
    List<WayIn> ways =
        a.ways().stream()
            .map(
                w ->
                    new WayIn(
                        w.id(),
                        w.name(),
                        w.needs(),
                        w.passesArguments(),
                        w.slots() > 0 ? 4 : 0,
                        w.freeOfRules(),
                        w.extras()))
            .toList();
    make(new Edit.PutApplication(a.withWays(ways)));
  }

  private static void assertShown(Rows rows, List<Seat> heard, Snapshot now, int at) {
    Rows anew = new Rows(RowsTest::moves);
    anew.show(now);
    List<Row> rowsAnew = anew.all().stream().map(Seat::row).toList();
    assertThat(rows.all()).extracting(Seat::row).as("after %s", at).isEqualTo(rowsAnew);
    assertThat(heard).extracting(Seat::row).as("heard, after %s", at).isEqualTo(rowsAnew);
    now.library().bindings().keySet().forEach(id -> assertThat(rows.has(id)).isTrue());
    assertThat(rows.all().stream().map(s -> rows.trouble(s.row())).toList())
        .as("what is wrong, after %s", at)
        .isEqualTo(rowsAnew.stream().map(anew::trouble).toList());
  }

  private static void hear(ListChangeListener.Change<? extends Seat> c, List<Seat> heard) {
    while (c.next()) {
      for (int i = 0; i < c.getRemovedSize(); i++) {
        heard.remove(c.getFrom());
      }
      heard.addAll(c.getFrom(), c.getAddedSubList());
    }
  }

  private void happen(Optional<Snapshot> before) {
    List<Binding> all = List.copyOf(library.bindings().values());
    Binding b = all.get(random.nextInt(all.size()));
    Routine r = List.copyOf(library.routines().values()).get(random.nextInt(5));
    switch (random.nextInt(16)) {
      case 0, 1, 2 ->
          make(
              new Edit.PutBinding(
                  b.withTriggers(List.of(Notation.read("Ctrl+Alt+F" + random.nextInt(1, 9))))));
      case 3 -> make(new Edit.RemoveBinding(b.id()));
      case 4 -> make(new Edit.PutBinding(like(b), random.nextInt(all.size() + 1)));
      case 5 ->
          make(new Edit.PutRoutine(r.with(r.head().named(r.id(), "Other " + random.nextInt(9)))));
      case 6 ->
          make(
              new Edit.PutFamily(
                  new Family(
                      "fam",
                      "Rack",
                      List.of(b.id()),
                      new Pattern.Initials(List.of(), Modifiers.NONE),
                      Extras.NONE)));
      case 7 -> accept(before.stream().flatMap(s -> s.allConflicts().stream()));
      case 8 ->
          library
              .routineOf(b)
              .ifPresent(
                  of ->
                      library =
                          library.withProof(
                              b.id(), new Proof(Instant.EPOCH, Fingerprint.of(b, of))));
      case 9 -> library.applications().values().forEach(this::somethingDone);
      case 10 -> {
        List<Station> stations = List.copyOf(library.stations().values());
        station = stations.get(random.nextInt(stations.size()));
        setup = Setup.of(library, station.id());
      }
      case 11, 12, 13, 14 -> {
        Binding slotted = numbered().orElse(b);
        make(
            new Edit.PutBinding(
                (random.nextBoolean() ? slotted : b)
                    .withPlace(
                        random.nextBoolean()
                            ? new Place.Everywhere()
                            : new Place.Whole(
                                slotted.place().applicationId().orElse("tagpress")))));
      }
      default -> {
        make(new Edit.RemoveBinding(b.id()));
        make(new Edit.PutBinding(b, random.nextInt(all.size()))); // the same at another place
      }
    }
  }

  /** One that has, or waits for, a numbered slot of its program. */
  private Optional<Binding> numbered() {
    List<Binding> all =
        library.bindings().values().stream()
            .filter(
                b ->
                    b.place()
                        .applicationId()
                        .map(library.applications()::get)
                        .flatMap(a -> a.way(b.fitting().way()))
                        .filter(w -> w.slots() > 0)
                        .isPresent())
            .toList();
    return all.isEmpty() ? Optional.empty() : Optional.of(all.get(random.nextInt(all.size())));
  }

  private static Binding like(Binding b) {
    return new Binding(
        "made " + b.id(), b.routine(), b.place(), List.of(), b.arguments(), 3, b.extras());
  }

  private void somethingDone(Application a) {
    setup = random.nextBoolean() ? setup.copied(library, a) : setup.restarted(a.id());
    setup = setup.running(a.id(), Need.HELPER_RUNNING, random.nextBoolean());
  }

  private void accept(Stream<Conflict> some) {
    some.skip(random.nextInt(4))
        .findFirst()
        .map(Conflict::fingerprint)
        .ifPresent(
            f ->
                make(
                    new Edit.Accept(
                        f,
                        Optional.of(
                            new Acceptance(
                                f, "said", "because", "me", Instant.EPOCH, Optional.empty())))));
  }

  private void make(Edit edit) {
    library = edit.on(library);
  }
}
