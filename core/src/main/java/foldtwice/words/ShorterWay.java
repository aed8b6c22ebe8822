package foldtwice.words;

import foldtwice.binding.Binding;
import foldtwice.library.Library;
import foldtwice.outline.Comparison;
import foldtwice.place.Application;
import foldtwice.place.NativeCommand;
import foldtwice.resolve.Keymap;
import foldtwice.routine.Line;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import foldtwice.trigger.Notation;
import foldtwice.trigger.Trigger;
import java.util.List;
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

  /** A routine of the application that takes the very same steps. */
  public static Optional<Routine> toSteps(Library library, String application, List<Line> steps) {
    return library.routines().values().stream()
        .filter(r -> r.application().equals(application))
        .filter(
            r ->
                switch (r) {
                  case Routine.Macro m ->
                      m.steps().size() == steps.size()
                          && Comparison.of(m.steps(), steps).stream()
                              .allMatch(Comparison.Pair::same);
                  case Routine.Script s -> false;
                  case Routine.PluginAction p -> false;
                  case Routine.Stored c -> false;
                })
        .findFirst();
  }
}
