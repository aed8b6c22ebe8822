package foldtwice.resolve;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.Fixture;
import foldtwice.RandomClaims;
import foldtwice.binding.Binding;
import foldtwice.conflict.Auditor;
import foldtwice.conflict.Subject;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.place.Place;
import foldtwice.resolve.Explanation.LayerReport;
import foldtwice.resolve.Explanation.Verdict;
import foldtwice.trigger.Signal;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;

class KeymapTest {

  /** Following an edit gives the very keymap that compiling the library anew gives. */
  @Property(tries = 200)
  void followingEditsEqualsCompilingAnew(@ForAll long seed) {
    Random random = new Random(seed);
    Library library = RandomClaims.library(random, 8);
    Keymap followed = Fixture.keymap(library);
    for (int i = 0; i < 10; i++) {
      List<Binding> all = List.copyOf(library.bindings().values());
      Optional<Binding> was =
          all.isEmpty() || random.nextInt(3) == 0
              ? Optional.empty()
              : Optional.of(all.get(random.nextInt(all.size())));
      if (was.isPresent()) {
        followed = followed.without(was.get());
        library = new Edit.RemoveBinding(was.get().id()).on(library);
      }
      if (was.isEmpty() || random.nextBoolean()) {
        Binding fresh = RandomClaims.binding(random, "n" + i);
        followed = followed.with(fresh);
        library = new Edit.PutBinding(fresh).on(library);
      }
      RandomClaims.press(random, followed); // builds some of the tables that must not go stale
    }
    Keymap anew = Fixture.keymap(library);
    assertThat(new HashSet<>(Auditor.audit(Subject.of(library, followed))))
        .isEqualTo(new HashSet<>(Auditor.audit(Subject.of(library, anew))));
    for (int i = 0; i < 40; i++) {
      Place state = RandomClaims.state(random, anew);
      List<Signal> presses = RandomClaims.presses(random, anew);
      assertThat(owners(Resolver.outcomes(followed, state, presses)))
          .isEqualTo(owners(Resolver.outcomes(anew, state, presses)));
    }
  }

  /** Who fires, what waits and what is typed; an undecided press names its claims in any order. */
  private static List<Object> owners(List<Outcome> outcomes) {
    return outcomes.stream()
        .<Object>map(
            o ->
                o instanceof Outcome.Undecided(List<Claim> claims)
                    ? new HashSet<>(claims)
                    : o instanceof Outcome.Fired(Claim claim) ? claim.owner() : o)
        .toList();
  }

  /** The explanation never tells another story than the resolver. */
  @Property(tries = 400)
  void explanationsAgreeWithTheResolver(@ForAll long seed) {
    Random random = new Random(seed);
    Library library = RandomClaims.library(random, 9);
    Keymap keymap = Fixture.keymap(library);
    for (int i = 0; i < 20; i++) {
      Place state = RandomClaims.state(random, keymap);
      Signal press = RandomClaims.presses(random, keymap).getFirst();
      Explanation why = Explanation.of(keymap, state, List.of(press));
      List<Outcome> all = new Resolver(keymap).press(Resolver.start(state), press, 0).outcomes();
      if (press.isStart()
          && all.getFirst() instanceof Outcome.Fired) { // clause 16: all of them run
        assertThat(claims(why, Verdict.TAKES))
            .containsExactlyInAnyOrderElementsOf(
                all.stream().map(o -> ((Outcome.Fired) o).claim()).toList());
        continue;
      }
      Outcome outcome = all.getFirst();
      switch (outcome) {
        case Outcome.Fired(Claim claim) ->
            assertThat(claims(why, Verdict.TAKES)).containsExactly(claim);
        case Outcome.Undecided(List<Claim> claims) ->
            assertThat(claims(why, Verdict.UNDECIDED)).containsExactlyInAnyOrderElementsOf(claims);
        case Outcome.Waiting(Optional<Claim> otherwise) -> {
          assertThat(verdicts(why)).contains(Verdict.WAITS).doesNotContain(Verdict.TAKES);
          otherwise.ifPresent(c -> assertThat(claims(why, Verdict.HELD_BACK)).contains(c));
        }
        case Outcome.Typed t ->
            assertThat(verdicts(why)).contains(Verdict.TYPES).doesNotContain(Verdict.TAKES);
        case Outcome.Unclaimed u ->
            assertThat(verdicts(why))
                .doesNotContain(Verdict.TAKES, Verdict.UNDECIDED, Verdict.WAITS, Verdict.TYPES);
      }
      assertThat(verdicts(why).stream().filter(v -> v == Verdict.TAKES).count())
          .isLessThanOrEqualTo(1);
    }
  }

  private static List<Verdict> verdicts(Explanation why) {
    return why.layers().stream().map(LayerReport::verdict).toList();
  }

  private static List<Claim> claims(Explanation why, Verdict verdict) {
    return why.layers().stream()
        .filter(l -> l.verdict() == verdict)
        .flatMap(l -> l.claims().stream())
        .toList();
  }

  /** Whatever comes, the resolver says something to every stroke and never waits for ever. */
  @Property(tries = 300)
  void everyStrokeIsAnswered(@ForAll long seed) {
    Random random = new Random(seed);
    Keymap keymap = Fixture.keymap(RandomClaims.library(random, 10));
    Resolver resolver = new Resolver(keymap);
    Resolver.State state = Resolver.start(RandomClaims.state(random, keymap));
    long now = 0;
    int used = 0;
    int pressed = 0;
    for (int i = 0; i < 30; i++) {
      Signal press = RandomClaims.presses(random, keymap).getFirst();
      now += random.nextInt(3) == 0 ? Resolver.TIME_LIMIT_MILLIS + 1 : 5;
      Resolver.Answer answer = resolver.press(state, press, now);
      pressed++;
      assertThat(answer.outcomes()).isNotEmpty();
      assertThat(answer.next().pending()).hasSizeLessThan(6);
      used += answer.outcomes().size();
      state = answer.next();
    }
    Resolver.Answer last = resolver.tick(state, now + Resolver.TIME_LIMIT_MILLIS + 1);
    assertThat(last.next().pending()).isEmpty();
    assertThat(used).isGreaterThanOrEqualTo(pressed);
  }

  /** Asked for together or one by one, it is the same. */
  @Property(tries = 100)
  void claimsOnSeveralAreTheClaimsOnEach(@ForAll long seed) {
    java.util.Random random = new java.util.Random(seed);
    foldtwice.library.Library library = foldtwice.RandomClaims.library(random, 30);
    Keymap keymap = Keymap.of(library, library.stations().get("s"));
    java.util.Set<foldtwice.trigger.Trigger> asked = new java.util.LinkedHashSet<>();
    for (int i = 0; i < 6; i++) {
      asked.add(foldtwice.RandomClaims.trigger(random));
    }
    var together = keymap.claimsOn(asked);
    for (foldtwice.trigger.Trigger t : asked) {
      assertThat(together.get(t)).containsExactlyInAnyOrderElementsOf(keymap.claimsOn(t));
    }
  }
}
