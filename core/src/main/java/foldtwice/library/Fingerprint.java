package foldtwice.library;

import foldtwice.binding.Binding;
import foldtwice.routine.Routine;
import foldtwice.text.Digest;

/**
 * What a binding does, in a few letters: changes whenever its triggers, place, arguments or routine
 * do, and with nothing else (not with its use count).
 */
public final class Fingerprint {

  private Fingerprint() {}

  /** What of a routine matters to what it does; its name and its card do not. */
  private static String substance(Routine routine) {
    String does =
        switch (routine) {
          case Routine.Macro m -> m.steps().toString();
          case Routine.Script s -> s.source();
          case Routine.PluginAction p -> p.addOn() + " " + p.action();
          case Routine.Stored c -> c.language() + " " + c.text();
        };
    return String.join(
        "\n",
        routine.application(),
        routine.target().toString(),
        routine.parameters().toString(),
        routine.manner().toString(),
        Boolean.toString(routine.card().off()),
        does);
  }

  private static String repeats(int times) {
    return times == 0 ? "" : ", " + times + " times a second";
  }

  /** A {@link Digest}. Costs one pass over the routine's steps. */
  public static String of(Binding binding, Routine routine) {
    String substance =
        String.join(
            "\n",
            binding.place().id(),
            binding.triggers().toString(),
            binding.arguments() + repeats(binding.fitting().repeats()),
            substance(routine));
    return Digest.of(substance);
  }
}
