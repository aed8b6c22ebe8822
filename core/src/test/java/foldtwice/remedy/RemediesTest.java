package foldtwice.remedy;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.Fixture;
import foldtwice.RandomClaims;
import foldtwice.conflict.Audit;
import foldtwice.conflict.Conflict;
import foldtwice.conflict.ConflictKind;
import foldtwice.conflict.Subject;
import foldtwice.library.Library;
import foldtwice.library.Surroundings;
import foldtwice.place.Place;
import foldtwice.resolve.Keymap;
import foldtwice.trigger.Notation;
import foldtwice.trigger.Trigger;
import foldtwice.words.Words;
import java.util.HashSet;
import java.util.List;
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
        new foldtwice.library.Edit.PutBinding(
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
}
