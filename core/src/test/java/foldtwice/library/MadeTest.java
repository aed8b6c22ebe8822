package foldtwice.library;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.binding.Binding;
import foldtwice.place.Application;
import foldtwice.place.Place;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import foldtwice.surface.Device;
import foldtwice.surface.Face;
import foldtwice.surface.Page;
import foldtwice.surface.RadialMenu;
import foldtwice.surface.Summoned;
import foldtwice.trigger.Direction;
import foldtwice.trigger.Trigger;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;

/** What is made in one go where it is needed: pages, keys of one step, the other half of a pair. */
class MadeTest {

  /** A page comes and goes, and no key turns to one that is gone. */
  @Property(tries = 100)
  void pagesComeAndGo(@ForAll long seed) {
    for (Device d : RandomLibraries.of(seed).devices()) {
      Page fresh = Pages.fresh(d, "more");
      assertThat(d.page(fresh.id())).isEmpty();
      Device more = Pages.with(d, fresh);
      assertThat(more.page(fresh.id())).contains(fresh);
      if (!d.keys().isEmpty()) {
        String key = d.keys().getFirst().id();
        Page first = more.firstPage();
        Device turning =
            more.with(first.sending(key, Optional.of(new Page.Sends.Turn(fresh.id()))));
        Device less = Pages.without(turning, fresh.id()).orElseThrow();
        assertThat(less.pages()).hasSameSizeAs(d.pages());
        assertThat(less.pages())
            .allMatch(p -> !p.sends().containsValue(new Page.Sends.Turn(fresh.id())));
      }
      assertThat(Pages.without(more, fresh.id())).contains(d);
      if (d.pages().size() == 1) {
        assertThat(Pages.without(d, d.firstPage().id())).isEmpty();
      }
    }
  }

  /** The same step is bound by one routine, however often; one undo takes it back. */
  @Property(tries = 60)
  void aStepIsBoundByOneRoutine(@ForAll long seed) {
    Library library = RandomLibraries.of(seed);
    Optional<Application> in = library.applications().values().stream().findFirst();
    if (in.isEmpty()) {
      return;
    }
    String a = in.get().id();
    Step step = new Step.TypeText(new Template("± seen"));
    Edit once =
        OneStep.bind(library, step, "Type it", a, new Place.Whole(a), new Trigger.AtStart());
    Library then = once.on(library);
    assertThat(then.routines()).hasSize(library.routines().size() + 1);
    assertThat(then.bindings()).hasSize(library.bindings().size() + 1);
    assertThat(once.inverse(library).on(then)).isEqualTo(library);
    Library twice =
        OneStep.bind(then, step, "Type it", a, new Place.Everywhere(), new Trigger.AtStart())
            .on(then);
    assertThat(twice.routines()).isEqualTo(then.routines());
    assertThat(twice.bindings()).hasSize(library.bindings().size() + 2);
    assertThat(twice.routines().values())
        .filteredOn(r -> r.name().equals("Type it"))
        .allMatch(r -> r instanceof Routine.Macro m && m.steps().size() == 1);
  }

  /** The other half is the binding that does it, never the half itself, and it gets the trigger. */
  @Property(tries = 100)
  void theOtherHalf(@ForAll long seed) {
    Library library = RandomLibraries.of(seed);
    Trigger up = new Trigger.Dial("none", "", "none", Trigger.Turn.LEFT);
    for (Binding b : List.copyOf(library.bindings().values())) {
      Binding other = Halves.other(library, b, b.routine(), b.arguments(), up);
      assertThat(other.id()).isNotEqualTo(b.id());
      assertThat(other.triggers()).contains(up);
      assertThat(other.place()).isEqualTo(b.place());
      Binding there = library.bindings().get(other.id());
      if (there != null) {
        assertThat(other.triggers()).containsAll(there.triggers());
        assertThat(other.withTriggers(there.triggers())).isEqualTo(there);
      } else {
        assertThat(other.triggers()).containsExactly(up);
      }
      Library made = new Edit.PutBinding(other).on(library);
      assertThat(Halves.other(made, b, b.routine(), b.arguments(), up))
          .as("asked again, it is the same")
          .isEqualTo(other);
    }
  }

  @Property(tries = 60)
  void whatIsSummonedIsChangedPartByPart(@ForAll long seed) {
    Library library = RandomLibraries.of(seed);
    for (Summoned s : library.summoned()) {
      List<Trigger> openers = new ArrayList<>(s.opens());
      openers.add(new Trigger.AtStart());
      Summoned changed = s.named("other").in(new Place.Everywhere()).openedBy(openers);
      assertThat(changed.id()).isEqualTo(s.id());
      assertThat(changed.opens()).isEqualTo(openers);
      assertThat(changed.named(s.name()).in(s.place()).openedBy(s.opens())).isEqualTo(s);
      if (s instanceof RadialMenu m) {
        Face face = new Face("mine", "", "");
        RadialMenu shows = m.showing(Direction.UP, face);
        assertThat(shows.face(Direction.UP)).isEqualTo(face);
        assertThat(shows.showing(Direction.UP, m.face(Direction.UP))).isEqualTo(m);
      }
    }
  }
}
