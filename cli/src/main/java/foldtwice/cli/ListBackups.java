package foldtwice.cli;

import foldtwice.library.file.Backups;
import java.io.IOException;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

@Command(
    name = "backups",
    mixinStandardHelpOptions = true,
    description = {
      "Lists the former states of a library that are kept, the last one first. Each is a library file;"
          + " in the desktop, look up \"go back\" to make one of them the library again.",
      "Exit 0: there are some; 1: there are none; 2: input not usable."
    })
final class ListBackups implements Callable<Integer> {

  @Parameters(index = "0", paramLabel = "LIBRARY", description = "the library file")
  private Path file;

  @Spec private CommandSpec spec;

  @Override
  public Integer call() throws Unusable {
    Lines out = new Lines(spec.commandLine().getOut());
    try {
      var all = Backups.of(Input.there(file));
      all.forEach(b -> out.line("%s  %s", b.at().toString(), b.file().toString()));
      return all.isEmpty() ? Exit.NO : Exit.WELL;
    } catch (IOException e) {
      throw new Unusable(file + ": its backups cannot be listed: " + e.getMessage(), e);
    }
  }
}
