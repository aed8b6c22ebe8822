package foldtwice.library;

import foldtwice.binding.Binding;
import foldtwice.binding.Fitting;
import foldtwice.place.Application;
import foldtwice.place.Context;
import foldtwice.place.NativeCommand;
import foldtwice.place.Place;
import foldtwice.trigger.Trigger;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Native commands back to the triggers they came with, routines in their place, and out of it.
 *
 * <p>Laws: after a reset nothing of what was asked for is changed any more; putting a routine in a
 * command's place and giving the place back leaves the command as it came.
 */
public final class Resetting {

  /** A command that would get back what it came with. */
  public record Change(String application, NativeCommand command) {

    public List<Trigger> now() {
      return command.triggers();
    }

    public List<Trigger> then() {
      return command.byDefault();
    }
  }

  private Resetting() {}

  /** The changed commands of a place and of what lies in it. Costs one pass over the commands. */
  public static List<Change> changes(Library library, Place place) {
    Optional<Application> application = place.applicationId().map(library.applications()::get);
    return application.stream()
        .flatMap(
            a ->
                a.commands().stream()
                    .filter(NativeCommand::isChanged)
                    .filter(c -> lies(a, c.place(), place))
                    .map(c -> new Change(a.id(), c)))
        .toList();
  }

  private static boolean lies(Application a, Place inner, Place outer) {
    if (outer instanceof Place.Whole || inner.equals(outer)) {
      return true;
    }
    return inner instanceof Place.Within(String i, String context)
        && outer instanceof Place.Within(String o, String around)
        && a.path(context).stream().map(Context::id).anyMatch(around::equals);
  }

  /** The edit that takes some changes back. */
  public static Edit edit(List<Change> changes) {
    return new Edit.Together(
        changes.stream()
            .<Edit>map(c -> new Edit.Remap(c.application(), c.command().id(), c.then()))
            .toList());
  }

  /**
   * Puts a binding in a command's place: it gets the command's triggers where the command has them,
   * and the command, which stays in its menu, gets others.
   *
   * @param binding of the routine; its triggers and place do not matter
   * @param keeps what sets the command off from now on; may be nothing
   */
  public static Edit replace(
      Application application, NativeCommand command, Binding binding, List<Trigger> keeps) {
    Binding placed =
        binding
            .withPlace(command.place())
            .withTriggers(command.triggers())
            .withFitting(
                binding
                    .fitting()
                    .replacing(Optional.of(new Fitting.Replaced(application.id(), command.id()))));
    return new Edit.Together(
        List.of(
            new Edit.Remap(application.id(), command.id(), keeps), new Edit.PutBinding(placed)));
  }

  /** The command whose place a binding has taken, if it is there. */
  public static Optional<NativeCommand> replaced(Library library, Binding binding) {
    return binding
        .fitting()
        .replaces()
        .flatMap(
            r ->
                Optional.ofNullable(library.applications().get(r.application()))
                    .flatMap(a -> a.command(r.command())));
  }

  /**
   * An edit that takes triggers from a binding, made whole: what the binding had of a command it
   * replaced, the command gets back.
   *
   * @param edit the change to the binding itself
   * @param gone what it has no longer
   */
  public static Edit givingBack(Library library, Binding binding, List<Trigger> gone, Edit edit) {
    Optional<NativeCommand> command = replaced(library, binding);
    if (command.isEmpty()) {
      return edit;
    }
    List<Trigger> again = new ArrayList<>(command.get().triggers());
    command.get().byDefault().stream()
        .filter(t -> gone.contains(t) && !again.contains(t))
        .forEach(again::add);
    List<Trigger> ordered =
        again.containsAll(command.get().byDefault()) && command.get().byDefault().containsAll(again)
            ? command.get().byDefault()
            : again;
    String application = binding.fitting().replaces().orElseThrow().application();
    return new Edit.Together(
        List.of(edit, new Edit.Remap(application, command.get().id(), ordered)));
  }
}
