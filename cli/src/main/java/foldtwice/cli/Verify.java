package foldtwice.cli;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import foldtwice.check.Checked;
import foldtwice.check.Checked.State;
import foldtwice.check.Checking;
import foldtwice.library.Library;
import foldtwice.library.PressCheck;
import foldtwice.library.file.CheckFile;
import foldtwice.library.file.FormatException;
import foldtwice.library.file.Json;
import foldtwice.place.Station;
import foldtwice.ready.Setup;
import foldtwice.run.Computer;
import foldtwice.standin.Checks;
import foldtwice.text.Counted;
import foldtwice.text.DiskWords;
import foldtwice.words.CheckWords;
import foldtwice.words.Words;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.Callable;
import java.util.function.Function;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

@Command(
    mixinStandardHelpOptions = true,
    name = "verify",
    description = {
      "Makes checks of presses on simulated computers and compares what comes of them.",
      "Without --station each is made on its own station, or on all when it names none.",
      "Exit 0: all hold; 1: some do not; 2: input not usable."
    })
final class Verify implements Callable<Integer> {

  @Mixin private Input input;

  @Parameters(
      index = "1",
      arity = "0..1",
      paramLabel = "CHECKS",
      description = "a list of checks; those kept in the library when not given")
  private Path file;

  /** How the results are written. */
  enum Report {
    text,
    json,
    junit
  }

  @Option(
      names = "--format",
      description = "text, json, or junit (XML as JUnit writes it)",
      defaultValue = "text")
  private Report format;

  @Spec private CommandSpec spec;

  @Override
  public Integer call() throws Unusable {
    Library library = input.library();
    Collection<PressCheck> checks = file == null ? library.checks().values() : read(file);
    if (checks.isEmpty()) {
      throw new Unusable(
          "there are no checks to make; give a file of checks, or keep some in the library");
    }
    unmakeable(library, checks);
    Station station = input.station(library);
    Function<String, Computer.File> files = input.beside()::file;
    List<Checked> made =
        input.isOneStation()
            ? Checks.on(library, station, Setup.of(library, station.id()), files, checks)
            : Checks.everywhere(library, id -> Setup.of(library, id), files, checks);
    PrintWriter out = spec.commandLine().getOut();
    switch (format) {
      case json -> out.print(Json.print(json(library, made)));
      case junit -> out.print(JUnitXml.of(library, made));
      case text -> text(library, made, new Lines(out));
    }
    out.flush();
    return Checked.count(made, State.FAILED) > 0 ? Exit.NO : Exit.WELL;
  }

  /** Checks that can be made on no station are no input to go on with. */
  private static void unmakeable(Library library, Collection<PressCheck> checks) throws Unusable {
    Words words = new Words(library);
    CheckWords said = new CheckWords(words);
    List<String> wrong = new ArrayList<>();
    for (PressCheck c : checks) {
      Checking.nowhere(c, library, words::dangling)
          .ifPresent(
              v -> wrong.add(said.title(c) + ": " + said.verdict(new Checked(c, c.station(), v))));
    }
    if (!wrong.isEmpty()) {
      throw new Unusable(
          Counted.of(wrong.size(), "check")
              + " can be made on no station: "
              + String.join("; ", wrong));
    }
  }

  private static List<PressCheck> read(Path file) throws Unusable {
    if (!Files.isRegularFile(file)) {
      throw new Unusable(file + ": no such file; give the path of a list of checks");
    }
    try {
      return CheckFile.read(Files.readAllBytes(file));
    } catch (FormatException e) {
      throw new Unusable(e.in(file.toString()).getMessage(), e);
    } catch (IOException e) {
      throw new Unusable(file + " cannot be read: " + DiskWords.reason(e), e);
    }
  }

  private static String state(Checked c) {
    return c.state().name().toLowerCase(Locale.ROOT);
  }

  private static void text(Library library, List<Checked> made, Lines out) {
    CheckWords words = new CheckWords(new Words(library));
    for (Checked c : made) {
      out.line("%-8s %-16s %s", state(c), words.station(c), words.title(c.check()));
      if (c.state() != State.HOLDS) {
        out.line("%26s expected: %s", "", words.expected(c.check().expected()));
        out.line("%26s found:    %s", "", words.verdict(c));
      }
    }
    out.line("%s", CheckWords.sum(made));
  }

  private static ObjectNode json(Library library, List<Checked> made) {
    CheckWords words = new CheckWords(new Words(library));
    ObjectNode out = Json.object().put("library", library.name());
    ArrayNode list = out.putArray("checks");
    for (Checked c : made) {
      list.addObject()
          .put("id", c.check().id())
          .put("title", words.title(c.check()))
          .put("station", c.station())
          .put("place", c.check().place().id())
          .put("presses", words.presses(c.check()))
          .put("expected", words.expected(c.check().expected()))
          .put("state", state(c))
          .put("found", words.verdict(c));
    }
    return out;
  }
}
