package foldtwice.live.program;

import foldtwice.library.Library;
import foldtwice.live.say.Say;
import foldtwice.place.NativeCommand;
import foldtwice.resolve.Keymap;
import foldtwice.resolve.Outcome;
import foldtwice.resolve.Owner;
import foldtwice.resolve.Resolver;
import foldtwice.run.Around;
import foldtwice.run.Computer;
import foldtwice.run.Reply;
import foldtwice.run.Strikes;
import foldtwice.trigger.Press;
import foldtwice.trigger.Signal;
import foldtwice.trigger.Trigger;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Keys a run strikes. Who takes them is told by the same keymap as everywhere; what nobody claims,
 * and commands that only have keys, are sent to the program in front as if pressed.
 */
public record LiveKeys(Library library, Keymap keymap) implements Around.Keys {

  @Override
  public Around.Struck strike(Trigger.Keys keys, Computer computer) {
    List<List<Signal>> paths = keymap.paths(keys);
    Optional<LiveProgram> front =
        computer instanceof LiveComputer live ? live.live() : Optional.empty();
    if (front.isPresent() && !paths.isEmpty() && isTheirs(paths.getFirst(), front.get())) {
      List<Press> presses = new ArrayList<>();
      for (Signal s : paths.getFirst()) {
        if (!(s instanceof Press p)) {
          return new Around.Struck.Done("", new Reply.Refused(Say.text("keysonly"), s.toString()));
        }
        presses.add(p);
      }
      return new Around.Struck.Done("", front.get().strike(presses));
    }
    return new Strikes(library, keymap).strike(keys, computer);
  }

  private boolean isTheirs(List<Signal> path, LiveProgram front) {
    return Resolver.outcomes(keymap, front.place(), path).stream()
        .allMatch(
            o ->
                switch (o) {
                  case Outcome.Unclaimed u -> true;
                  case Outcome.Fired(var claim) when claim.owner() instanceof Owner.Native n ->
                      !hasMenu(n.command(), front);
                  default -> false;
                });
  }

  private boolean hasMenu(String command, LiveProgram front) {
    return Optional.ofNullable(library.applications().get(front.application()))
        .flatMap(a -> a.command(command))
        .map(NativeCommand::menuPath)
        .filter(p -> !p.isEmpty())
        .isPresent();
  }
}
