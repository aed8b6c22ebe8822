package foldtwice.cli;

import foldtwice.library.Library;
import foldtwice.live.Firing;
import foldtwice.live.Live;
import foldtwice.live.bus.BusException;
import foldtwice.live.program.LiveComputer;
import foldtwice.live.program.LiveProgram;
import foldtwice.live.program.LiveRun;
import foldtwice.live.program.Needed;
import foldtwice.place.Station;
import foldtwice.resolve.Keymap;
import foldtwice.routine.Routine;
import foldtwice.run.Status;
import foldtwice.script.Ecmascript;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

@Command(
    mixinStandardHelpOptions = true,
    name = "run",
    description = {
      "Runs a routine in its real program and prints the trace.",
      "Exit 0: it ran through; 1: it failed, or something it needs is not there; 2: input not usable."
    })
final class LiveRunIt implements Callable<Integer> {

  @Mixin private LiveHere here;

  @Mixin private Arguments given;

  @Option(names = "--dry", description = "tells what is lacking, and touches nothing")
  private boolean dry;

  @Option(names = "--format", description = "text or json", defaultValue = "text")
  private Format format;

  @Spec private CommandSpec spec;

  @Override
  public Integer call() throws Unusable {
    Library library = here.library();
    Station station = here.station(library);
    Routine found = given.routine(library);
    Lines err = new Lines(spec.commandLine().getErr());
    try (Live live = LiveHere.open()) {
      LiveComputer computer = here.computer(live, library);
      LiveProgram program = computer.programs().get(found.application());
      if (program == null) {
        throw new Unusable(found.application() + " is not running");
      }
      List<Needed.Lack> lacks = Needed.of(found, program);
      lacks.forEach(
          l -> err.line("step %s: expected %s, found %s", l.number(), l.expected(), l.found()));
      if (dry || !lacks.isEmpty()) {
        return lacks.isEmpty() ? Exit.WELL : Exit.NO;
      }
      LiveRun run =
          LiveRun.start(
              found,
              given.values(found),
              Firing.around(library, Keymap.of(library, station), computer, Ecmascript.ENGINE),
              standing -> {});
      while (true) {
        LiveRun.Standing standing = run.await(50);
        if (standing != null && standing.isOver()) {
          Run.tell(found, standing.trace(), format, spec.commandLine().getOut());
          return standing.trace().wentWell() ? Exit.WELL : Exit.NO;
        }
        if (standing != null && standing.status() instanceof Status.Asking) {
          run.answer(Map.of()); // as everywhere on the command line: the defaults
        }
      }
    } catch (BusException e) {
      throw LiveHere.silent(e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      return Exit.NO;
    }
  }
}
