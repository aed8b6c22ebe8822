package foldtwice.remedy;

import foldtwice.binding.Binding;
import foldtwice.conflict.Conflict;
import foldtwice.conflict.Detail;
import foldtwice.conflict.Subject;
import foldtwice.fold.Siblings;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.library.Removing;
import foldtwice.resolve.Claim;
import foldtwice.resolve.Owned;
import foldtwice.resolve.Owner;
import foldtwice.routine.Line;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.source.Rewriting;
import foldtwice.trigger.Trigger;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** What can be tried about a conflict, by its kind; whether it helps is for {@link Remedies}. */
final class Ideas {

  private final Library library;
  private final List<Idea> all = new ArrayList<>();
  private final Rebinding rebinding;
  private final Sending sending;
  private final Providing providing;

  Ideas(Subject subject) {
    this.library = subject.library();
    this.rebinding = new Rebinding(subject, all);
    this.sending = new Sending(subject, all);
    this.providing = new Providing(subject, all);
  }

  List<Idea> of(Conflict c) {
    switch (c.kind()) {
      case DOUBLE_CLAIM, HOLD_CLASH, CUT_SHORT, COVERED, INTERCEPTED, DISPLACES, ANSWERS_LATER -> {
        c.claims().forEach(rebinding::move);
        c.claims().forEach(claim -> rebinding.narrow(claim, c.places()));
        c.claims().forEach(rebinding::otherFirstStroke);
        c.claims().forEach(this::giveUp);
      }
      case RESERVED, UNTYPEABLE, TYPES_TEXT -> {
        rebinding.move(c.about());
        rebinding.toDevice(c.about());
        rebinding.narrow(c.about(), c.places());
        giveUp(c.about());
      }
      case NOT_ACCEPTED -> {
        rebinding.register(c.about());
        rebinding.move(c.about());
        rebinding.toDevice(c.about());
        giveUp(c.about());
      }
      case MODIFIER_DOWN -> {
        release(c.about());
        rebinding.move(c.about());
        giveUp(c.about());
      }
      case BROKEN_CHAIN -> {
        sending.chain(c);
        c.claims().stream().skip(1).forEach(rebinding::move);
      }
      case CIRCULAR -> {
        rebinding.move(c.about());
        giveUp(c.about());
      }
      case MISSING, BAD_ARGUMENT -> {
        providing.missing(c);
        if (c.detail() instanceof Detail.Dangles) {
          rebinding.move(c.about());
        }
        if (!c.isShared()) {
          giveUp(c.about());
        }
      }
      case TWINS -> twins(c);
      case LEAVES_SETTING -> putBack(c);
      case EMPTIES_UNDO -> c.claims().stream().limit(1).forEach(this::giveUp);
      case STALE_ENTRY -> {
        if (c.detail() instanceof Detail.Entry(String application, var entry, var state)) {
          all.add(new Idea(new Way.Copy(application), new Edit.Together(List.of())));
        }
      }
    }
    return all;
  }

  /** The trigger is taken away, or the binding switched off whole; a key sends no more. */
  private void giveUp(Claim claim) {
    if (claim.owner() instanceof Owner.Key key) {
      sending.silence(key);
    } else {
      rebinding.takeAway(claim);
      rebinding.switchOff(claim);
    }
  }

  private void release(Claim claim) {
    Owned.binding(library, claim.owner())
        .map(b -> library.routines().get(b.routine()))
        .flatMap(Ideas::released)
        .ifPresent(r -> all.add(new Idea(new Way.Release(r.id()), new Edit.PutRoutine(r))));
  }

  /** The same routine, which lets go of held modifiers first; of macros and scripts. */
  private static Optional<Routine> released(Routine routine) {
    return switch (routine) {
      case Routine.Macro m -> {
        List<Line> steps = new ArrayList<>();
        steps.add(new Line(new Step.Modifiers(Step.Holding.RELEASE)));
        steps.addAll(m.steps());
        yield Optional.of(new Routine.Macro(m.head(), steps));
      }
      case Routine.Script s -> Optional.of(s.withSource("program.releaseHeld();\n" + s.source()));
      default -> Optional.empty();
    };
  }

  private void twins(Conflict c) {
    List<Binding> both =
        c.claims().stream()
            .flatMap(claim -> Owned.binding(library, claim.owner()).stream())
            .toList();
    if (both.size() < 2) {
      return;
    }
    if (c.detail() instanceof Detail.Copies(boolean differ) && differ) {
      Siblings.find(library).stream()
          .filter(
              g ->
                  both.stream()
                      .allMatch(
                          b -> g.members().stream().anyMatch(m -> m.id().equals(b.routine()))))
          .findFirst()
          .ifPresent(
              g ->
                  all.add(
                      new Idea(
                          new Way.Fold(g.members().stream().map(Routine::name).toList()),
                          Siblings.fold(library, g))));
      return;
    }
    join(both.getLast(), both.getFirst());
    join(both.getFirst(), both.getLast());
    both.forEach(b -> all.add(new Idea(new Way.Remove(b.id()), Removing.of(library, List.of(b)))));
  }

  /** One stays with what sets off both, in its own place. */
  private void join(Binding keep, Binding drop) {
    Set<Trigger> triggers = new LinkedHashSet<>(keep.triggers());
    triggers.addAll(drop.triggers());
    Edit gone = Removing.of(library, List.of(drop));
    all.add(
        new Idea(
            new Way.Join(keep.id(), drop.id()),
            new Edit.Together(
                List.of(gone, new Edit.PutBinding(keep.withTriggers(List.copyOf(triggers)))))));
  }

  /** Settings that a step changes for good are changed for the run only. */
  private void putBack(Conflict c) {
    if (c.detail() instanceof Detail.Settings(String routine, var names)) {
      Optional.ofNullable(library.routines().get(routine))
          .flatMap(r -> forThisRun(r, names))
          .ifPresent(
              r -> all.add(new Idea(new Way.PutBack(routine, names), new Edit.PutRoutine(r))));
    }
  }

  private static Optional<Routine> forThisRun(Routine routine, Set<String> names) {
    return switch (routine) {
      case Routine.Macro m -> Optional.of(m.withSteps(forThisRun(m.steps(), names)));
      case Routine.Script s -> {
        String source = Rewriting.forThisRun(s.source(), names);
        yield source.equals(s.source()) ? Optional.empty() : Optional.of(s.withSource(source));
      }
      default -> Optional.empty();
    };
  }

  private static List<Line> forThisRun(List<Line> lines, Set<String> names) {
    return lines.stream()
        .map(
            line -> {
              Step step =
                  line.step()
                      .withBodies(
                          line.step().bodies().stream().map(b -> forThisRun(b, names)).toList());
              return line.with(
                  switch (step) {
                    case Step.ChangeSetting(String s, var value, var lasting)
                        when names.contains(s) ->
                        new Step.ChangeSetting(s, value, Step.Lasting.THIS_RUN);
                    case Step.Cycle(String s, var values, var lasting) when names.contains(s) ->
                        new Step.Cycle(s, values, Step.Lasting.THIS_RUN);
                    default -> step;
                  });
            })
        .toList();
  }
}
