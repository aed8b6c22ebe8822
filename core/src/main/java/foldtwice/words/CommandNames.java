package foldtwice.words;

import foldtwice.place.Application;
import foldtwice.place.NativeCommand;
import java.util.HashSet;
import java.util.Set;

/**
 * The commands of one application by their names, each told from its namesakes as {@link
 * Words#command} does. Costs one pass over the commands, then nothing: for whoever needs many.
 */
public final class CommandNames {

  private final Set<String> shared = new HashSet<>();

  public CommandNames(Application application) {
    Set<String> names = new HashSet<>();
    application.commands().stream()
        .map(NativeCommand::name)
        .filter(name -> !names.add(name))
        .forEach(shared::add);
  }

  /** What one of its commands is called. */
  public String of(NativeCommand command) {
    return Words.command(command, shared.contains(command.name()));
  }
}
