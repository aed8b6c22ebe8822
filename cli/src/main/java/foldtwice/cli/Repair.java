package foldtwice.cli;

import foldtwice.library.file.FormatException;
import foldtwice.library.file.LibraryFile;
import foldtwice.text.DiskWords;
import java.io.IOException;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

@Command(
    name = "repair",
    mixinStandardHelpOptions = true,
    description = {
      "Tells what of a library cannot be read, and sets it aside when asked to: in a folder beside the"
          + " library, with library and journal as they were.",
      "Exit 0: all of it can be read now; 1: something cannot; 2: input not usable."
    })
final class Repair implements Callable<Integer> {

  @Parameters(index = "0", paramLabel = "LIBRARY", description = "the library file")
  private Path file;

  @Option(names = "--set-aside", description = "sets aside what cannot be read")
  private boolean setAside;

  @Spec private CommandSpec spec;

  @Override
  public Integer call() throws Unusable {
    Lines out = new Lines(spec.commandLine().getOut());
    try {
      List<LibraryFile.SetAside> broken = LibraryFile.broken(Input.there(file));
      for (LibraryFile.SetAside b : broken) {
        out.line("%-30s %s", b.where(), b.why());
      }
      if (broken.isEmpty()) {
        out.line("%s can be read, all of it", file.toString());
        return Exit.WELL;
      }
      if (!setAside) {
        out.line("%d parts cannot be read; --set-aside sets them aside", broken.size());
        return Exit.NO;
      }
      LibraryFile.repair(file, System.getProperty("user.name"), Clock.systemUTC()).close();
      out.line("%d parts were set aside, beside the library", broken.size());
      return Exit.WELL;
    } catch (FormatException e) {
      throw new Unusable(e.getMessage(), e);
    } catch (IOException e) {
      throw new Unusable(file + " cannot be read or written: " + DiskWords.reason(e), e);
    }
  }
}
