package foldtwice.cli;

import foldtwice.library.file.Backups;
import foldtwice.library.file.FormatException;
import foldtwice.library.file.LibraryFile;
import foldtwice.text.DiskWords;
import java.io.IOException;
import java.nio.file.Path;
import java.time.Clock;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

@Command(
    name = "backups",
    mixinStandardHelpOptions = true,
    description = {
      "Lists the former states of a library that are kept, the last one first. Each is a library file;"
          + " in the desktop, look up \"go back\" to make one of them the library again.",
      "With --keep, the state it is in now is kept among them under a name, for good.",
      "Exit 0: there are some; 1: there are none; 2: input not usable."
    })
final class ListBackups implements Callable<Integer> {

  @Parameters(index = "0", paramLabel = "LIBRARY", description = "the library file")
  private Path file;

  @Option(
      names = "--keep",
      paramLabel = "NAME",
      description = "keeps the library as it is now under this name")
  private String keep;

  @Spec private CommandSpec spec;

  @Override
  public Integer call() throws Unusable {
    Lines out = new Lines(spec.commandLine().getOut());
    try {
      if (keep != null) {
        keep();
      }
      var all = Backups.of(Input.there(file));
      all.forEach(b -> out.line("%s  %s", b.at().toString(), shown(b)));
      return all.isEmpty() ? Exit.NO : Exit.WELL;
    } catch (IOException e) {
      throw new Unusable(file + ": its backups cannot be listed: " + DiskWords.reason(e), e);
    }
  }

  private void keep() throws IOException, Unusable {
    try {
      LibraryFile.keepState(Input.there(file), keep, Clock.systemUTC());
    } catch (FormatException e) {
      throw new Unusable(file + ": " + e.getMessage(), e);
    }
  }

  private static String shown(Backups.Backup b) {
    return b.name().isEmpty() ? b.file().toString() : b.file() + "  \"" + b.name() + "\"";
  }
}
