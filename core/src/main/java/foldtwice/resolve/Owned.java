package foldtwice.resolve;

import foldtwice.binding.Binding;
import foldtwice.library.Library;
import foldtwice.place.NativeCommand;
import java.util.Optional;

/** What an owner stands for in a library. */
public final class Owned {

  private Owned() {}

  /** The native command an owner is. */
  public static Optional<NativeCommand> command(Library library, Owner owner) {
    return owner instanceof Owner.Native(String application, String command)
        ? Optional.ofNullable(library.applications().get(application))
            .flatMap(a -> a.command(command))
        : Optional.empty();
  }

  /** The binding an owner is, if it is in the library. */
  public static Optional<Binding> binding(Library library, Owner owner) {
    return owner instanceof Owner.Yours(String id)
        ? Optional.ofNullable(library.bindings().get(id))
        : Optional.empty();
  }

  /** How often a week it is wanted; 0 when nobody knows. */
  public static double uses(Library library, Owner owner) {
    return switch (owner) {
      case Owner.Yours y -> binding(library, y).map(Binding::usesPerWeek).orElse(0.0);
      case Owner.Native n -> command(library, n).map(NativeCommand::usesPerWeek).orElse(0.0);
      case Owner.Menu m -> 0;
      case Owner.Key k -> 0;
      case Owner.Desktop d -> 0;
    };
  }
}
