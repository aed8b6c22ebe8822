package foldtwice.desktop.session;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.conflict.Audit;
import foldtwice.conflict.Conflict;
import foldtwice.conflict.Subject;
import foldtwice.desktop.Toolkit;
import foldtwice.desktop.session.Background.Lane;
import foldtwice.library.Acceptance;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.place.Station;
import foldtwice.ready.Setup;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** What is told of what is wrong is of what is seen, whatever is edited and chosen meanwhile. */
class AuditsTest {

  private static Library demo;

  private Background background;
  private Audits audits;
  private final List<Told> told = new ArrayList<>();

  @BeforeAll
  static void start() throws Exception {
    Toolkit.start();
    demo = Snapshots.demo();
  }

  @BeforeEach
  void open() {
    background = new Background(why -> {});
    audits = new Audits(background, told::add);
  }

  @AfterEach
  void close() {
    background.close();
  }

  private static Subject subject(Library library, Station station) {
    return Session.subject(library, station, Setup.settled(library));
  }

  private void look(Subject... subjects) throws InterruptedException {
    CountDownLatch over = new CountDownLatch(1);
    Toolkit.ask(
        () -> {
          for (Subject s : subjects) {
            audits.look(s);
          }
          background.once(Lane.AUDIT, () -> true, done -> over.countDown());
          return true;
        });
    assertThat(over.await(40, TimeUnit.SECONDS)).isTrue();
    Toolkit.ask(() -> true);
  }

  private static void isOf(Told told, Subject subject) {
    List<Conflict> anew = Audit.of(subject).conflicts();
    List<Conflict> all = new ArrayList<>(told.all());
    all.addAll(told.accepted());
    assertThat(new HashSet<>(all)).isEqualTo(new HashSet<>(anew));
    assertThat(told.counts().values().stream().mapToLong(n -> n).sum())
        .isEqualTo(told.all().size());
    told.byBinding().forEach((id, its) -> assertThat(told.all()).as(id).containsAll(its));
  }

  /** Of a station that is no longer in view nothing is told, however late its audit ends. */
  @Test
  void theLastStationThatWasChosenIsTold() throws Exception {
    List<Subject> all = demo.stations().values().stream().map(s -> subject(demo, s)).toList();
    look(all.toArray(Subject[]::new));
    assertThat(told).hasSize(1);
    isOf(told.getFirst(), all.getLast());
    look(all.getFirst());
    assertThat(told).hasSize(2);
    isOf(told.getLast(), all.getFirst());
  }

  @Test
  void theSameIsNotLookedThroughTwice() throws Exception {
    Subject one = subject(demo, demo.stations().values().iterator().next());
    look(one, one);
    look(one);
    assertThat(told).hasSize(1);
  }

  /** From edit to edit, looked at again only where something changed: as looked at anew. */
  @Test
  void editAfterEditIsToldAsIfLookedAtAnew() throws Exception {
    Station station = demo.stations().values().iterator().next();
    Library library = demo;
    Random random = new Random(4);
    for (int i = 0; i < 12; i++) {
      library = Snapshots.someEdit(library, random).on(library);
      Subject now = subject(library, station);
      look(now);
      isOf(told.getLast(), now);
    }
    assertThat(told).hasSize(12);
  }

  /** What somebody lives with is told apart, and is not counted. */
  @Test
  void whatIsAcceptedIsToldApart() throws Exception {
    Station station = demo.stations().values().iterator().next();
    Conflict one = Audit.of(subject(demo, station)).conflicts().getFirst();
    Library accepted =
        new Edit.Accept(
                one.fingerprint(),
                Optional.of(
                    new Acceptance(
                        one.fingerprint(),
                        "it is so",
                        "nobody presses it",
                        "tester",
                        Instant.EPOCH,
                        Optional.of(one.loss().stake()))))
            .on(demo);
    Subject now = subject(accepted, station);
    look(now);
    isOf(told.getLast(), now);
    assertThat(told.getLast().accepted()).contains(one);
    assertThat(told.getLast().all()).doesNotContain(one);
    long before =
        Audit.of(subject(demo, station)).conflicts().stream()
            .filter(c -> c.weight() == one.weight())
            .count();
    long same = told.getLast().accepted().stream().filter(c -> c.weight() == one.weight()).count();
    assertThat(told.getLast().counts().getOrDefault(one.weight(), 0L)).isEqualTo(before - same);
  }
}
