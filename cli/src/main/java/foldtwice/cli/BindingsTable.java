package foldtwice.cli;

import foldtwice.library.Library;
import foldtwice.library.file.Disk;
import foldtwice.library.file.FormatException;
import foldtwice.table.BindingTable;
import foldtwice.words.Words;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

@Command(
    mixinStandardHelpOptions = true,
    name = "bindings",
    description = {
      "Writes the bindings as a table (RFC 4180) to be edited in a spreadsheet, or reads one again and"
          + " tells row by row what it would change.",
      "Exit 0: written, or every row can be taken; 1: some cannot; 2: input not usable."
    })
final class BindingsTable implements Callable<Integer> {

  @Mixin private Input input;

  @Option(
      names = "--read",
      paramLabel = "TABLE",
      description = "a table that was edited; without it one is written")
  private Path read;

  @Option(
      names = "--out",
      paramLabel = "FILE",
      description = "where the table goes, or with --read the library with what can be taken")
  private Path out;

  @Spec private CommandSpec spec;

  @Override
  public Integer call() throws Unusable {
    Library library = input.library();
    try {
      return read == null ? written(library) : told(library);
    } catch (IOException e) {
      throw new Unusable(e.getMessage() + ": cannot be read or written", e);
    } catch (FormatException e) {
      throw new Unusable(e.in(read.toString()).getMessage(), e);
    }
  }

  private int written(Library library) throws IOException {
    String table = BindingTable.write(library);
    if (out == null) {
      spec.commandLine().getOut().print(table);
      spec.commandLine().getOut().flush();
    } else {
      Disk.replace(out.toAbsolutePath(), table.getBytes(StandardCharsets.UTF_8));
    }
    return Exit.WELL;
  }

  private int told(Library library) throws IOException, Unusable, FormatException {
    NewLibrary.mayGoTo(out);
    List<BindingTable.Row> rows = BindingTable.read(Files.readAllBytes(read), library);
    Lines lines = new Lines(spec.commandLine().getOut());
    Library next = BindingTable.taken(rows).on(library);
    Words words = new Words(next);
    boolean wrong = false;
    for (BindingTable.Row r : rows) {
      switch (r.outcome()) {
        case BindingTable.Outcome.Same s -> {}
        case BindingTable.Outcome.Changed(var was, var is) ->
            lines.line("row %s changes %s: %s", r.number() + "", is.id(), words.binding(is));
        case BindingTable.Outcome.New(var is) ->
            lines.line("row %s is new: %s", r.number() + "", words.binding(is));
        case BindingTable.Outcome.Wrong(String why) -> {
          wrong = true;
          lines.line("row %s cannot be taken: %s", r.number() + "", why);
        }
      }
    }
    if (out != null) {
      NewLibrary.write(out, next);
    }
    return wrong ? Exit.NO : Exit.WELL;
  }
}
