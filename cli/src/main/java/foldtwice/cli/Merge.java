package foldtwice.cli;

import foldtwice.library.Library;
import foldtwice.library.file.FormatException;
import foldtwice.library.file.LibraryFile;
import foldtwice.library.file.LibraryJson;
import foldtwice.merge.Contradiction;
import foldtwice.merge.Merging;
import foldtwice.merge.Take;
import foldtwice.text.DiskWords;
import foldtwice.words.MergeWords;
import foldtwice.words.Words;
import java.io.IOException;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

@Command(
    mixinStandardHelpOptions = true,
    name = "merge",
    description = {
      "Makes one library of two that came from the same one, by meaning. What both sides changed, each"
          + " to something else, is listed; until somebody decides, both are taken where that is"
          + " possible, else ours.",
      "Exit 0: merged; 1: merged, with contradictions; 2: input not usable, nothing written."
    })
final class Merge implements Callable<Integer> {

  @Parameters(index = "0", paramLabel = "BASE", description = "what both came from")
  private Path base;

  @Parameters(index = "1", paramLabel = "OURS", description = "one side")
  private Path ours;

  @Parameters(index = "2", paramLabel = "THEIRS", description = "the other side")
  private Path theirs;

  @Option(
      names = "--out",
      paramLabel = "FILE",
      description = "where the merged library goes; printed when not given")
  private Path out;

  @Option(
      names = "--take",
      paramLabel = "SIDE",
      description = "what contradictions come to: ${COMPLETION-CANDIDATES}",
      defaultValue = "both")
  private Take take;

  @Spec private CommandSpec spec;

  @Override
  public Integer call() throws Unusable {
    Library mine = Input.library(ours);
    Library yours = Input.library(theirs);
    Merging merging = merged(Input.library(base), mine, yours);
    if (out == null) {
      spec.commandLine().getOut().print(LibraryJson.write(merging.library()));
      spec.commandLine().getOut().flush();
    } else {
      try {
        LibraryFile.write(out, merging.library(), "foldtwice merge");
      } catch (IOException e) {
        throw new Unusable(out + " cannot be written: " + DiskWords.reason(e), e);
      }
    }
    MergeWords words = new MergeWords(new Words(mine), new Words(yours));
    Lines err = new Lines(spec.commandLine().getErr());
    for (Contradiction c : merging.contradictions()) {
      err.line("%s", words.of(c));
    }
    return merging.contradictions().isEmpty() ? Exit.WELL : Exit.NO;
  }

  private Merging merged(Library was, Library mine, Library yours) throws Unusable {
    try {
      return Merging.of(was, mine, yours, path -> take);
    } catch (FormatException e) {
      throw new Unusable("what both sides changed makes no library together: " + e.getMessage(), e);
    }
  }
}
