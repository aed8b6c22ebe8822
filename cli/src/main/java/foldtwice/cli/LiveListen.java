package foldtwice.cli;

import foldtwice.binding.Binding;
import foldtwice.library.Library;
import foldtwice.live.Firing;
import foldtwice.live.Live;
import foldtwice.live.bus.BusException;
import foldtwice.live.program.LiveComputer;
import foldtwice.live.program.LiveRun;
import foldtwice.live.program.Untold;
import foldtwice.place.Danger;
import foldtwice.place.Station;
import foldtwice.reading.Risk;
import foldtwice.resolve.Claim;
import foldtwice.resolve.Keymap;
import foldtwice.routine.Routine;
import foldtwice.run.Trace;
import foldtwice.script.Ecmascript;
import foldtwice.standin.StandIns;
import foldtwice.text.Counted;
import foldtwice.trigger.Notation;
import foldtwice.trigger.NotationException;
import foldtwice.trigger.Press;
import foldtwice.trigger.Signal;
import foldtwice.words.StepWords;
import java.io.IOException;
import java.util.List;
import java.util.Set;
import java.util.concurrent.Callable;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.atomic.AtomicReference;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

@Command(
    mixinStandardHelpOptions = true,
    name = "listen",
    description = {
      "Catches the keys of the library's bindings on this computer and runs what they set off, until"
          + " the emergency stop is pressed or it is ended.",
      "Exit 0: it was stopped; 1: it ended by itself; 2: input not usable."
    })
final class LiveListen implements Callable<Integer> {

  @Mixin private LiveHere here;

  @Option(
      names = "--stop",
      paramLabel = "KEYS",
      description = "the emergency stop; Ctrl+Alt+Escape unless given",
      defaultValue = "Ctrl+Alt+Escape")
  private String stop;

  @Option(names = "--dangerous", description = "also run what deletes or prints")
  private boolean dangerous;

  @Spec private CommandSpec spec;

  @Override
  public Integer call() throws Unusable {
    Library library = here.library();
    Station station = here.station(library);
    Lines out = new Lines(spec.commandLine().getOut());
    CountDownLatch over = new CountDownLatch(1);
    AtomicReference<String> why = new AtomicReference<>("");
    try (Live live = LiveHere.open()) {
      LiveComputer computer = here.computer(live, library);
      var known = StandIns.around(station, library);
      try (Firing firing =
          Firing.start(
              library,
              station,
              computer,
              Live.Where.HERE,
              stop(station),
              Ecmascript.ENGINE,
              r -> dangerous || isHarmless(Risk.of(r, known, library.applications())),
              new Told(library, out, over, why))) {
        out.line(
            "listening: %s keys caught; %s gives them back",
            Integer.toString(firing.caught().size()), stop);
        Untold untold = Untold.of(library, computer.programs().keySet());
        if (!untold.bindings().isEmpty()) {
          out.line(
              "%s bindings are not heard, because running programs do not tell when one is there:"
                  + " in %s",
              Integer.toString(untold.bindings().size()), String.join(", ", untold.contexts()));
        }
        over.await();
      }
      return why.get().isEmpty() ? Exit.WELL : Exit.NO;
    } catch (BusException e) {
      throw LiveHere.silent(e);
    } catch (IOException e) {
      throw new Unusable("no keys can be caught here: " + e.getMessage(), e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      return Exit.NO;
    }
  }

  private static boolean isHarmless(Danger danger) {
    return danger != Danger.DELETES && danger != Danger.PRINTS;
  }

  private Press stop(Station station) throws Unusable {
    try {
      Signal first =
          Keymap.of(Library.empty(""), station).paths(Notation.read(stop)).stream()
              .findFirst()
              .map(List::getFirst)
              .orElseThrow(() -> new Unusable("--stop: the layout cannot make " + stop));
      return (Press) first;
    } catch (NotationException e) {
      throw new Unusable("--stop: " + e.getMessage(), e);
    }
  }

  /** Tells on the command line what happens. */
  private record Told(Library library, Lines out, CountDownLatch over, AtomicReference<String> why)
      implements Firing.Tells {

    @Override
    public void begins(Binding binding, Routine routine) {
      out.line("%s fires %s", binding.id(), routine.name());
    }

    @Override
    public void goes(Binding binding, Routine routine, LiveRun.Standing standing) {
      if (standing.isOver()) {
        Trace trace = standing.trace();
        out.line("  %s", StepWords.ending(trace.ending()));
      }
    }

    @Override
    public void refused(Binding binding, String expected, String found) {
      out.line("%s: expected %s, found %s", binding.id(), expected, found);
    }

    @Override
    public void undecided(List<Claim> claims) {
      out.line("several bindings claim this: none fires");
    }

    @Override
    public void taken(Set<Press> presses) {
      out.line(
          "%s",
          presses.isEmpty()
              ? "no other program has any of the keys now"
              : "taken by another program: " + Counted.of(presses.size(), "key"));
    }

    @Override
    public void ended(String reason) {
      why.set(reason);
      out.line("%s", reason.isEmpty() ? "stopped: all keys are free" : reason);
      over.countDown();
    }
  }
}
