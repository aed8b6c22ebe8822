package foldtwice.remedy;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.Fixture;
import foldtwice.RandomClaims;
import foldtwice.conflict.Audit;
import foldtwice.conflict.Conflict;
import foldtwice.conflict.ConflictKind;
import foldtwice.conflict.Subject;
import foldtwice.extras.Extras;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.library.Surroundings;
import foldtwice.place.Place;
import foldtwice.place.Rule;
import foldtwice.place.Station;
import foldtwice.resolve.Keymap;
import foldtwice.trigger.Notation;
import foldtwice.trigger.Platform;
import foldtwice.trigger.Shape;
import foldtwice.trigger.Trigger;
import foldtwice.words.Words;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

class RemediesTest {

  private static Audit audit(Library library) {
    return Audit.of(Subject.of(library, Fixture.keymap(library)));
  }

  private static Remedies remedies(Audit audit) {
    return new Remedies(
        audit, (station, library) -> new Surroundings(List.of(), List.of(), library));
  }

  private static Set<Object> topics(List<Conflict> conflicts) {
    return conflicts.stream().map(Conflict::topic).collect(Collectors.toSet());
  }

  /** What a remedy says it solves and causes is what an audit of everything finds after it. */
  @Property(tries = 120)
  void whatARemedySaysComesTrue(@ForAll long seed) {
    Library library = RandomClaims.library(new Random(seed), 9);
    Audit before = audit(library);
    for (Conflict c : before.conflicts()) {
      for (Remedy r : remedies(before).of(c)) {
        Library after = r.edit().on(library);
        Set<Object> then = topics(audit(after).conflicts());
        assertThat(then).as(r.way().toString()).doesNotContain(c.topic());
        Set<Object> gone = new HashSet<>(topics(before.conflicts()));
        gone.removeAll(then);
        assertThat(topics(r.solves())).as(r.way().toString()).isEqualTo(gone);
        then.removeAll(topics(before.conflicts()));
        assertThat(topics(r.causes())).as(r.way().toString()).isEqualTo(then);
        assertThat(r.edit().inverse(library).on(after)).isEqualTo(library);
        assertThat(new Words(library).way(r.way())).isNotBlank().doesNotContain("{");
      }
    }
  }

  /** Settling all that can be settled for nothing leaves nothing new behind. */
  @Property(tries = 60)
  void theCleanOnesTogetherCauseNothing(@ForAll long seed) {
    Library library = RandomClaims.library(new Random(seed), 9);
    Audit before = audit(library);
    List<Remedy> clean = remedies(before).clean(before.conflicts());
    Library then = library;
    for (Remedy r : clean) {
      then = r.edit().on(then);
    }
    Set<Object> left = topics(audit(then).conflicts());
    assertThat(topics(before.conflicts())).containsAll(left);
    assertThat(clean).allMatch(r -> r.givesUp().isEmpty());
    for (var b : then.bindings().values()) {
      assertThat(b.triggers()).as("nothing loses what sets it off").isNotEmpty();
    }
  }

  @Test
  void aCommandsKeyCanBeTakenByMovingEither() {
    Library library = Fixture.library("mine box Ctrl+D", "native box Ctrl+D");
    Audit audit = audit(library);
    List<Remedy> found = remedies(audit).of(audit.conflicts().getFirst());
    assertThat(found).filteredOn(r -> r.way() instanceof Way.Move).hasSizeGreaterThan(1);
    Remedy best = found.getFirst();
    assertThat(best.isClean()).isTrue();
    assertThat(found.getLast().givesUp()).as("the one that gives something up").isPresent();
  }

  @Test
  void aWidePlaceIsNarrowed() {
    Library library = Fixture.library("mine sheet Alt+L", "native box Alt+[KeyL]");
    Audit audit = audit(library);
    assertThat(audit.conflicts()).extracting(Conflict::kind).containsExactly(ConflictKind.COVERED);
    assertThat(remedies(audit).of(audit.conflicts().getFirst()))
        .extracting(Remedy::way)
        .contains(new Way.Narrow("mine sheet Alt+L", new Place.Within("app", "bare")));
  }

  @Test
  void twinsBecomeOne() {
    Library one = Fixture.library("mine box Alt+L", "mine box Alt+K");
    Library library =
        new Edit.PutBinding(
                one.bindings()
                    .get("mine box Alt+K")
                    .withRoutine("mine box Alt+L", java.util.Map.of()))
            .on(one);
    Audit audit = audit(library);
    Remedy join =
        remedies(audit).of(audit.conflicts().getFirst()).stream()
            .filter(r -> r.way() instanceof Way.Join)
            .findFirst()
            .orElseThrow();
    Library then = join.edit().on(library);
    assertThat(then.bindings()).hasSize(1);
    assertThat(then.bindings().values().iterator().next().triggers())
        .containsExactlyInAnyOrder(
            (Trigger) Notation.read("Alt+L"), (Trigger) Notation.read("Alt+K"));
    assertThat(
            audit.after(audit.subject().with(then, Keymap.of(then, Fixture.station()))).conflicts())
        .isEmpty();
  }

  /** Of several conflicts that one does most for comes first; nothing settles fewer than two. */
  @Property(tries = 40)
  void whatSettlesMostComesFirst(@ForAll long seed) {
    Audit audit = audit(RandomClaims.library(new Random(seed), 9));
    Set<Object> all = topics(audit.conflicts());
    List<Integer> settled =
        remedies(audit).together(audit.conflicts()).stream()
            .map(r -> (int) r.solves().stream().filter(c -> all.contains(c.topic())).count())
            .toList();
    assertThat(settled).isSortedAccordingTo(Comparator.reverseOrder()).allMatch(n -> n > 1);
  }

  @Test
  void sequencesGetAnotherFirstStrokeTogether() {
    Library library = Fixture.library("mine box G", "mine box G then A", "mine box G then B");
    Audit audit = audit(library);
    List<Remedy> found = remedies(audit).together(audit.conflicts());
    Remedy prefix =
        found.stream().filter(r -> r.way() instanceof Way.FirstStroke).findFirst().orElseThrow();
    assertThat(prefix.solves()).hasSameSizeAs(audit.conflicts());
    Library then = prefix.edit().on(library);
    assertThat(audit(then).conflicts()).isEmpty();
    assertThat(
            then.bindings().get("mine box G then A").triggers().getFirst().keyStrokes().getLast())
        .as("its last stroke stays")
        .isEqualTo(Notation.read("A").strokes().getFirst());
    assertThat(new Words(library).way(prefix.way())).contains("2 sequences on G");
  }

  @Test
  void aKeyOfADeviceIsAWayAroundARule() {
    Library library =
        Fixture.withPad(
            Fixture.library(List.of(new Rule.MostStrokes(1)), "mine box G then A"),
            true,
            3,
            Optional.empty());
    Audit audit = audit(library);
    assertThat(remedies(audit).of(audit.conflicts().getFirst()))
        .anySatisfy(
            r -> {
              assertThat(r.way())
                  .isInstanceOfSatisfying(
                      Way.Move.class, m -> assertThat(m.to()).isInstanceOf(Trigger.PadKey.class));
              assertThat(r.isClean()).isTrue();
            });
  }

  @Test
  void whatIsSwitchedOffKeepsItsTriggers() {
    Library library = Fixture.library("mine box Ctrl+D", "native box Ctrl+D");
    Audit audit = audit(library);
    Remedy off =
        remedies(audit).of(audit.conflicts().getFirst()).stream()
            .filter(r -> r.way() instanceof Way.SwitchOff)
            .findFirst()
            .orElseThrow();
    assertThat(off.givesUp()).isPresent();
    Library then = off.edit().on(library);
    assertThat(audit(then).conflicts()).isEmpty();
    assertThat(then.bindings().get("mine box Ctrl+D").switchedOn().triggers())
        .isEqualTo(library.bindings().get("mine box Ctrl+D").triggers());
  }

  /** A trigger is the library's: who else presses it is said; not who has no such key. */
  @Test
  void whoseKeysAreMovedTooIsSaid() {
    assertThat(alsoOn("Ctrl+D")).containsExactlyInAnyOrder("on-us", "on-fr");
    assertThat(alsoOn("Ctrl+ö")).as("it is on no other keyboard").isEmpty();
  }

  /**
   * The other stations on which the first remedy changes what is pressed, seen from a German one.
   */
  private static List<String> alsoOn(String keys) {
    Library library = Fixture.library("mine box " + keys, "native box " + keys);
    for (String layout : List.of("us", "de", "fr")) {
      Station station =
          new Station(
              "on-" + layout,
              layout,
              layout,
              Shape.ISO,
              Platform.CONTROL,
              List.of(),
              List.of(),
              List.of(),
              Extras.NONE);
      library = new Edit.PutStation(station).on(library);
    }
    Keymap keymap = Keymap.of(library, library.stations().get("on-de"));
    Audit audit = Audit.of(Subject.of(library, keymap));
    return remedies(audit).of(audit.conflicts().getFirst()).stream()
        .filter(r -> r.way() instanceof Way.Move)
        .findFirst()
        .orElseThrow()
        .alsoOn()
        .stream()
        .map(Station::id)
        .filter(id -> id.startsWith("on-"))
        .toList();
  }
}
