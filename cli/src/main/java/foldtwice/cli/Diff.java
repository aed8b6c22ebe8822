package foldtwice.cli;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import foldtwice.library.Library;
import foldtwice.library.file.Json;
import foldtwice.merge.Differing;
import foldtwice.words.MergeWords;
import foldtwice.words.Words;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.Locale;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

@Command(
    mixinStandardHelpOptions = true,
    name = "diff",
    description = {
      "Tells what is different between two libraries, by meaning: order and formatting do not count.",
      "Exit 0: nothing; 1: something; 2: input not usable."
    })
final class Diff implements Callable<Integer> {

  @Parameters(index = "0", paramLabel = "A", description = "a library file")
  private Path first;

  @Parameters(index = "1", paramLabel = "B", description = "another, or the same at another time")
  private Path second;

  @Option(names = "--format", description = "text or json", defaultValue = "text")
  private Format format;

  @Spec private CommandSpec spec;

  @Override
  public Integer call() throws Unusable {
    Library was = Input.library(first);
    Library is = Input.library(second);
    Differing differing = Differing.between(was, is);
    MergeWords words = new MergeWords(new Words(was), new Words(is));
    PrintWriter out = spec.commandLine().getOut();
    switch (format) {
      case json -> out.print(Json.print(json(differing, words)));
      case text -> {
        Lines lines = new Lines(out);
        differing.rows().forEach(r -> lines.line("%-8s %s", MergeWords.how(r.how()), words.of(r)));
        if (differing.rows().isEmpty()) {
          lines.line("the same");
        }
      }
    }
    out.flush();
    return differing.rows().isEmpty() ? Exit.WELL : Exit.NO;
  }

  private static ObjectNode json(Differing differing, MergeWords words) {
    ObjectNode out = Json.object();
    ArrayNode rows = out.putArray("differences");
    for (Differing.Row row : differing.rows()) {
      ObjectNode one = rows.addObject();
      one.put("how", row.how().name().toLowerCase(Locale.ROOT));
      one.put("list", row.list()).put("id", row.id());
      if (!row.now().equals(row.id())) {
        one.put("now", row.now());
      }
      one.put("says", words.of(row));
      ArrayNode fields = one.putArray("fields");
      for (Differing.Field f : row.fields()) {
        ObjectNode field = fields.addObject();
        ArrayNode path = field.putArray("path");
        f.path().forEach(path::add);
        f.was().ifPresent(v -> field.set("was", v));
        f.is().ifPresent(v -> field.set("is", v));
      }
    }
    return out;
  }
}
