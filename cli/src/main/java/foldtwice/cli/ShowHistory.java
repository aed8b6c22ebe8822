package foldtwice.cli;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import foldtwice.library.file.Chronicle;
import foldtwice.library.file.FormatException;
import foldtwice.library.file.Json;
import foldtwice.library.file.LibraryFile;
import foldtwice.text.DiskWords;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

@Command(
    mixinStandardHelpOptions = true,
    name = "history",
    description = {
      "Tells what was done to a library, the last first: when, who, what.",
      "Exit 0: something; 1: nothing that matches; 2: input not usable."
    })
final class ShowHistory implements Callable<Integer> {

  private static final DateTimeFormatter WHEN =
      DateTimeFormatter.ofPattern("uuuu-MM-dd HH:mm").withZone(ZoneId.systemDefault());

  @Parameters(index = "0", paramLabel = "LIBRARY", description = "the library file")
  private Path file;

  @Option(
      names = "--find",
      paramLabel = "WORDS",
      description = "only what holds these words, in what was done, by whom, or when")
  private String words;

  @Option(
      names = "--most",
      paramLabel = "N",
      description = "no more than so many",
      defaultValue = "50")
  private int most;

  @Option(names = "--format", description = "text or json", defaultValue = "text")
  private Format format;

  @Spec private CommandSpec spec;

  @Override
  public Integer call() throws Unusable {
    if (most < 1) {
      throw new Unusable("--most: expected 1 or more, found " + most);
    }
    Chronicle all = chronicle();
    List<Chronicle.Event> found =
        all.events().reversed().stream().filter(this::matches).limit(most).toList();
    PrintWriter out = spec.commandLine().getOut();
    switch (format) {
      case json -> out.print(Json.print(json(found)));
      case text -> {
        Lines lines = new Lines(out);
        found.forEach(e -> lines.line("%s  %-10s %s", WHEN.format(e.at()), e.who(), says(e)));
      }
    }
    out.flush();
    if (all.unreadable() > 0) {
      new Lines(spec.commandLine().getErr())
          .line(
              "%s of its lines cannot be read: something has changed the history",
              String.valueOf(all.unreadable()));
    }
    return found.isEmpty() ? Exit.NO : Exit.WELL;
  }

  private Chronicle chronicle() throws Unusable {
    try {
      return LibraryFile.history(Input.there(file));
    } catch (FormatException e) {
      throw new Unusable(e.getMessage(), e);
    } catch (IOException e) {
      throw new Unusable(file + ": its history cannot be read: " + DiskWords.reason(e), e);
    }
  }

  private boolean matches(Chronicle.Event e) {
    String all = WHEN.format(e.at()) + " " + e.who() + " " + says(e);
    return words == null
        || all.toLowerCase(Locale.ROOT).contains(words.strip().toLowerCase(Locale.ROOT));
  }

  private static String says(Chronicle.Event e) {
    String what = e.says().isEmpty() ? "a change" : e.says();
    return switch (e.how()) {
      case MADE -> what;
      case TAKEN_BACK -> "taken back: " + what;
      case MADE_AGAIN -> "made again: " + what;
    };
  }

  private static ObjectNode json(List<Chronicle.Event> found) {
    ObjectNode out = Json.object();
    ArrayNode events = out.putArray("events");
    for (Chronicle.Event e : found) {
      events
          .addObject()
          .put("number", e.number())
          .put("at", e.at().toString())
          .put("who", e.who())
          .put("how", e.how().name().toLowerCase(Locale.ROOT).replace('_', '-'))
          .put("says", e.says());
    }
    return out;
  }
}
