package foldtwice.conflict;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.Fixture;
import foldtwice.RandomClaims;
import foldtwice.binding.Binding;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.place.Place;
import foldtwice.resolve.Claim;
import foldtwice.resolve.Keymap;
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
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class AdviceTest {

  /** What is said beforehand is what the audit finds once the trigger is taken. */
  @Property(tries = 300)
  void whatIsSaidBeforehandIsWhatTheAuditFinds(@ForAll long seed) {
    Random random = new Random(seed);
    Library library = RandomClaims.library(random, 7);
    Binding binding =
        library.bindings().isEmpty() || random.nextBoolean()
            ? RandomClaims.binding(random, "new")
            : library.bindings().values().iterator().next();
    Trigger trigger = RandomClaims.trigger(random);
    Advice advice = Advice.on(Subject.of(library, Fixture.keymap(library)), binding, trigger);

    Binding taken = binding.withTriggers(List.of(trigger));
    Library after = new Edit.PutBinding(taken).on(library);
    Keymap keymap = Fixture.keymap(after);
    Claim claim = Keymap.claims(taken).getFirst();
    Set<Conflict> audited = new HashSet<>(Auditor.of(claim, taken, Subject.of(after, keymap)));
    assertThat(new HashSet<>(advice.conflicts())).isEqualTo(audited);
    assertThat(advice.isFree()).isEqualTo(audited.isEmpty());
  }

  /** Nobody named as elsewhere can be met: no state hears both. */
  @Property(tries = 300)
  void elsewhereNeverMeetsHere(@ForAll long seed) {
    Random random = new Random(seed);
    Library library = RandomClaims.library(random, 9);
    Keymap keymap = Fixture.keymap(library);
    Binding binding = RandomClaims.binding(random, "new");
    Trigger trigger = RandomClaims.trigger(random);
    List<Place> here = keymap.statesOf(binding.place());
    for (Claim c : Advice.on(Subject.of(library, keymap), binding, trigger).elsewhere()) {
      assertThat(keymap.statesOf(c.place())).doesNotContainAnyElementsOf(here);
      assertThat(keymap.paths(c.trigger())).containsAnyElementsOf(keymap.paths(trigger));
    }
  }

  /** Each conflict said in a sentence: who, where, what is lost. */
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "mine box Alt+L, mine box Alt+[KeyL]|is claimed twice in App \u203a box|Neither fires",
        "mine sheet L then B, native sheet L|never completes in App \u203a sheet|native sheet L fires before",
        "mine box Alt+L, native box Alt+[KeyL]|takes the place of native box Alt+[KeyL] (5 a week)|in App \u203a box",
        "mine box Alt+L, mine sheet Alt+[KeyL]|is taken by R in App \u203a box|so R is not reached",
        "mine box Logo+L|is kept by the desktop for: lock|Logo+L",
        "mine cell G|would type a character in App \u203a cell|G",
        "mine box \u00e4|no key of this keyboard layout makes \u00c4|cannot be made here",
        "mine box F18|this keyboard has no key F18|no device that is plugged in sends it",
      })
  void sentences(String claims, String says, String alsoSays) {
    Library library = Fixture.library(claims.split(", "));
    List<Conflict> found = Auditor.audit(Subject.of(library, Fixture.keymap(library)));
    String all = found.stream().map(new Words(library)::sentence).collect(Collectors.joining(" "));
    assertThat(all).contains(says).contains(alsoSays);
    assertThat(found)
        .allSatisfy(c -> assertThat(new Words(library).brief(c)).isNotBlank().doesNotContain("{"));
  }

  @Test
  void aTriggerItHasAlreadyIsAskedOfTheKeymapAsItIs() {
    Library library = Fixture.library("mine box Alt+L", "mine sheet Alt+[KeyL]");
    Keymap keymap = Fixture.keymap(library);
    Binding binding = library.bindings().get("mine sheet Alt+[KeyL]");
    Trigger.Keys present = (Trigger.Keys) binding.triggers().getFirst();
    assertThat(Advice.on(Subject.of(library, keymap), binding, present).conflicts())
        .extracting(Conflict::kind)
        .containsExactly(ConflictKind.COVERED);
  }
}
