package foldtwice.desktop.session;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.conflict.Audit;
import foldtwice.conflict.Conflict;
import foldtwice.conflict.Weight;
import foldtwice.library.Acceptance;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.place.Station;
import foldtwice.ready.Setup;
import foldtwice.resolve.Claim;
import foldtwice.resolve.Owner;
import foldtwice.trigger.Notation;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What an audit found, laid out to be shown: all of it, each once, where it belongs. */
class ToldTest {

  private static Library demo;

  @BeforeAll
  static void read() throws Exception {
    demo = Snapshots.demo();
  }

  private static List<Conflict> found(Library library, Station station) {
    return Audit.of(Session.subject(library, station, Setup.settled(library))).conflicts();
  }

  private static Library accepting(Library library, List<Conflict> some) {
    List<Edit> edits = new ArrayList<>();
    for (Conflict c : some) {
      edits.add(
          new Edit.Accept(
              c.fingerprint(),
              Optional.of(
                  new Acceptance(
                      c.fingerprint(),
                      "said",
                      "because",
                      "me",
                      Instant.EPOCH,
                      Optional.of(c.loss().stake())))));
    }
    return new Edit.Together(edits).on(library);
  }

  private static Set<String> yours(Conflict c) {
    return c.claims().stream()
        .map(Claim::owner)
        .filter(Owner.Yours.class::isInstance)
        .map(o -> ((Owner.Yours) o).binding())
        .collect(Collectors.toSet());
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4})
  void allOfItIsToldEachOnceWhereItBelongs(long seed) {
    Random random = new Random(seed);
    for (Station station : demo.stations().values()) {
      List<Conflict> first = found(demo, station);
      List<Conflict> some = first.stream().filter(c -> random.nextInt(4) == 0).toList();
      Library library = accepting(demo, some);
      List<Conflict> found = found(library, station);
      Told told = Told.of(found, library, Told.NOTHING);
      assertThat(told.all()).doesNotContainAnyElementsOf(told.accepted());
      List<Conflict> both = new ArrayList<>(told.all());
      both.addAll(told.accepted());
      assertThat(both).containsExactlyInAnyOrderElementsOf(found);
      assertThat(told.accepted()).hasSizeGreaterThanOrEqualTo(some.size());
      for (Weight w : Weight.values()) {
        assertThat(told.counts().getOrDefault(w, 0L))
            .isEqualTo(told.all().stream().filter(c -> c.weight() == w).count());
      }
      for (String id : library.bindings().keySet()) {
        assertThat(told.byBinding().getOrDefault(id, List.of()))
            .as(id)
            .isEqualTo(
                told.all().stream().filter(c -> yours(c).contains(id) && c.isAbout(id)).toList());
      }
    }
  }

  /** What is as it was is the very same: who shows it need not look into it. */
  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3})
  void whatIsAsItWasIsTheVerySame(long seed) {
    Random random = new Random(seed);
    Station station = demo.stations().values().iterator().next();
    Library library = demo;
    Told before = Told.of(found(library, station), library, Told.NOTHING);
    for (int i = 0; i < 6; i++) {
      var all = List.copyOf(library.bindings().values());
      library =
          new Edit.PutBinding(
                  all.get(random.nextInt(all.size()))
                      .withTriggers(List.of(Notation.read("Ctrl+Alt+F" + random.nextInt(1, 9)))))
              .on(library);
      Told now = Told.of(found(library, station), library, before);
      int same = 0;
      for (var e : now.byBinding().entrySet()) {
        List<Conflict> was = before.byBinding().get(e.getKey());
        boolean equal = e.getValue().equals(was);
        assertThat(Question.Same.is(e.getValue(), was)).as(e.getKey()).isEqualTo(equal);
        same += equal ? 1 : 0;
      }
      assertThat(same).as("most is as it was").isGreaterThan(now.byBinding().size() / 2);
      before = now;
    }
  }

  /** From edit to edit it is told as if it were told anew, whatever is lived with. */
  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5})
  void whatIsToldAfterAnEditIsWhatWouldBeToldAnew(long seed) {
    Random random = new Random(seed);
    Station station = demo.stations().values().iterator().next();
    Library library = accepting(demo, some(found(demo, station), random));
    Audit audit = Audit.of(Session.subject(library, station, Setup.settled(library)));
    Told told = Told.of(audit, library, Told.NOTHING);
    for (int i = 0; i < 25; i++) {
      library =
          random.nextInt(6) == 0
              ? accepting(library, some(told.all(), random))
              : Snapshots.someEdit(library, random).on(library);
      audit = audit.after(Session.subject(library, station, Setup.settled(library)));
      told = Told.of(audit, library, told);
      Told anew = Told.of(audit.conflicts(), library, Told.NOTHING);
      assertThat(told.all()).isEqualTo(anew.all());
      assertThat(told.accepted()).isEqualTo(anew.accepted());
      assertThat(told.counts()).isEqualTo(anew.counts());
      assertThat(told.byBinding()).isEqualTo(anew.byBinding());
      assertThat(told.livedWith()).isEqualTo(library.accepted());
      for (Conflict c : found(library, station)) {
        for (Claim claim : c.claims()) {
          assertThat(told.troubles().of(List.of(claim), Optional.empty()))
              .isEqualTo(anew.troubles().of(List.of(claim), Optional.empty()));
        }
      }
    }
  }

  private static List<Conflict> some(List<Conflict> of, Random random) {
    return of.stream().filter(c -> random.nextInt(8) == 0).toList();
  }
}
