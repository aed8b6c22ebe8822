package foldtwice.words;

import foldtwice.binding.Binding;
import foldtwice.library.Library;
import foldtwice.place.Application;
import foldtwice.place.NativeCommand;
import foldtwice.place.Place;
import foldtwice.recording.Retracing;
import foldtwice.resolve.Keymap;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import foldtwice.routine.Value;
import foldtwice.trigger.Notation;
import foldtwice.trigger.Trigger;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** What already does what a person just did the long way. */
public final class ShorterWay {

  private ShorterWay() {}

  /**
   * Keys that do what was chosen from a menu: those of the command, or of a binding whose routine
   * chooses it and nothing else. Only keys the station's layout can make count.
   */
  public static Optional<String> toCommand(
      Library library, Keymap keymap, String application, List<String> menu) {
    Application app = library.applications().get(application);
    Optional<Trigger> ofCommand =
        app == null
            ? Optional.empty()
            : app.commands().stream()
                .filter(c -> c.menuPath().equals(menu))
                .map(NativeCommand::triggers)
                .flatMap(List::stream)
                .findFirst();
    return ofCommand
        .or(() -> ofBinding(library, application, menu))
        .filter(t -> canBeMade(keymap, t))
        .map(Notation::write);
  }

  private static Optional<Trigger> ofBinding(
      Library library, String application, List<String> menu) {
    Step wanted = new Step.Choose(Template.all(menu));
    for (Binding b : library.bindings().values()) {
      Optional<Routine> routine =
          library.routineOf(b).filter(r -> r.application().equals(application));
      boolean same =
          routine.isPresent()
              && switch (routine.get()) {
                case Routine.Macro m -> m.steps().size() == 1 && filled(m, b).equals(wanted);
                case Routine.Script s -> false;
                case Routine.PluginAction p -> false;
                case Routine.Stored c -> false;
              };
      if (same && !b.triggers().isEmpty()) {
        return Optional.of(b.triggers().getFirst());
      }
    }
    return Optional.empty();
  }

  /** A macro's only step with the binding's arguments put in. */
  private static Step filled(Routine.Macro macro, Binding binding) {
    Step step = macro.steps().getFirst().step();
    if (!(step instanceof Step.Choose(List<Template> menu))) {
      return step;
    }
    return new Step.Choose(
        menu.stream()
            .map(
                label ->
                    new Template(
                        label.with(
                            name ->
                                macro
                                    .parameter(name)
                                    .map(p -> Library.argument(binding, p).shown())
                                    .orElse(name))))
            .toList());
  }

  private static boolean canBeMade(Keymap keymap, Trigger trigger) {
    return !keymap.paths(trigger).isEmpty();
  }

  /**
   * A binding whose trigger does what was done last by hand.
   *
   * @param keys its trigger, in words
   * @param steps how many of the last steps
   */
  public record Lately(Binding binding, String keys, int steps) {}

  /** More steps than this are not looked back over. */
  public static final int MOST_STEPS = 8;

  /**
   * The binding that does the most of what was done last, two steps at least, in this state.
   *
   * @param last what was done, the last at the end
   */
  public static Optional<Lately> lately(
      Library library, Keymap keymap, Place state, List<Step> last) {
    Map<Routine.Macro, List<Binding>> here = new LinkedHashMap<>();
    for (Binding b : library.bindings().values()) {
      if (library.routineOf(b).orElse(null) instanceof Routine.Macro m
          && state.isOf(m.application())
          && keymap.statesOf(b.place()).contains(state)
          && trigger(keymap, b).isPresent()) {
        here.computeIfAbsent(m, x -> new ArrayList<>()).add(b);
      }
    }
    for (int n = Math.min(MOST_STEPS, last.size()); n > 1; n--) {
      List<Step> these = last.subList(last.size() - n, last.size());
      for (Map.Entry<Routine.Macro, List<Binding>> e : here.entrySet()) {
        Optional<Binding> found =
            Retracing.of(e.getKey(), these)
                .flatMap(
                    given ->
                        e.getValue().stream().filter(b -> gives(b, e.getKey(), given)).findFirst());
        if (found.isPresent()) {
          Words words = new Words(library, keymap.layout());
          String keys = words.trigger(trigger(keymap, found.get()).orElseThrow());
          return Optional.of(new Lately(found.get(), keys, n));
        }
      }
    }
    return Optional.empty();
  }

  /** The first of its triggers that can be made on the station. */
  private static Optional<Trigger> trigger(Keymap keymap, Binding b) {
    return b.triggers().stream().filter(t -> canBeMade(keymap, t)).findFirst();
  }

  /** Whether a binding gives its routine these arguments, and of the others the defaults. */
  private static boolean gives(Binding b, Routine.Macro macro, Map<String, Value> wanted) {
    return macro.parameters().stream()
        .allMatch(
            p ->
                Library.argument(b, p)
                    .shown()
                    .equals(wanted.getOrDefault(p.name(), p.otherwise()).shown()));
  }
}
