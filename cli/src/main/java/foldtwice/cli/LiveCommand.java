package foldtwice.cli;

import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Spec;

@Command(
    mixinStandardHelpOptions = true,
    name = "live",
    description =
        "The real programs of this computer: which are running, what they offer, routines run in them,"
            + " keys caught. On Linux with X11.",
    subcommands = {LivePrograms.class, LiveRead.class, LiveRunIt.class, LiveListen.class})
final class LiveCommand implements Runnable {

  @Spec private CommandSpec spec;

  @Override
  public void run() {
    throw new ParameterException(spec.commandLine(), "which one? programs, read, run or listen");
  }
}
