package foldtwice.cli;

import foldtwice.live.Live;
import foldtwice.live.bus.BusException;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Spec;

@Command(
    mixinStandardHelpOptions = true,
    name = "programs",
    description =
        "Lists the running programs that tell of themselves. Exit 0; 2: live is not there.")
final class LivePrograms implements Callable<Integer> {

  @Spec private CommandSpec spec;

  @Override
  public Integer call() throws Unusable {
    try (Live live = LiveHere.open()) {
      Lines out = new Lines(spec.commandLine().getOut());
      for (Live.Running r : live.running()) {
        out.line("%-30s %s", r.name(), Long.toString(r.process()));
      }
      return Exit.WELL;
    } catch (BusException e) {
      throw LiveHere.silent(e);
    }
  }
}
