package foldtwice.cli;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import foldtwice.library.Library;
import foldtwice.library.file.Json;
import foldtwice.resolve.Keymap;
import foldtwice.routine.Routine;
import foldtwice.routine.Value;
import foldtwice.run.Change;
import foldtwice.run.Program;
import foldtwice.run.Reply;
import foldtwice.run.Trace;
import foldtwice.run.Trial;
import foldtwice.script.Ecmascript;
import foldtwice.standin.SimulatedComputer;
import foldtwice.standin.StandIns;
import foldtwice.words.StepWords;
import java.io.PrintWriter;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

@Command(
    mixinStandardHelpOptions = true,
    name = "run",
    description = {
      "Runs a routine on a fresh stand-in of its application and prints the trace.",
      "Exit 0: it ran through; 1: it failed; 2: input not usable."
    })
final class Run implements Callable<Integer> {

  @Mixin private Input input;

  @Mixin private Arguments given;

  @Option(
      names = "--setting",
      paramLabel = "NAME=VALUE",
      description = "a setting of the stand-in to begin with, such as unit=in")
  private Map<String, String> settings = new LinkedHashMap<>();

  @Option(names = "--format", description = "text or json", defaultValue = "text")
  private Format format;

  @Spec private CommandSpec spec;

  @Override
  public Integer call() throws Unusable {
    Library library = input.library();
    Routine found = given.routine(library);
    SimulatedComputer computer =
        SimulatedComputer.of(library, input.station(library), SimulatedComputer.standingClock())
            .withFiles(input.beside()::file);
    Program program =
        computer
            .program(found.application())
            .orElseThrow(
                () ->
                    new Unusable(
                        "no stand-in for "
                            + found.application()
                            + "; routines run on "
                            + String.join(", ", StandIns.ids())));
    set(program);
    computer.bringToFront(found.application());
    Keymap keymap = Keymap.of(library, input.station(library));
    Trace trace =
        foldtwice.run.Run.of(
                found,
                given.values(found),
                new Trial(library, keymap, computer, Ecmascript.ENGINE).around())
            .toEnd();
    tell(found, trace, format, spec.commandLine().getOut());
    return trace.wentWell() ? Exit.WELL : Exit.NO;
  }

  /** Tells a trace. */
  static void tell(Routine routine, Trace trace, Format format, PrintWriter out) {
    switch (format) {
      case json -> out.print(Json.print(json(routine, trace)));
      case text -> text(routine, trace, new Lines(out));
    }
    out.flush();
  }

  private void set(Program program) throws Unusable {
    for (var setting : settings.entrySet()) {
      if (program.change(setting.getKey(), new Value.Text(setting.getValue()))
          instanceof Reply.Refused(String expected, String found)) {
        throw new Unusable(
            "--setting " + setting.getKey() + ": expected " + expected + ", found " + found);
      }
    }
  }

  private static void text(Routine routine, Trace trace, Lines out) {
    out.line("%s", routine.name());
    for (Trace.Entry e : trace.entries()) {
      String number = e instanceof Trace.Taken t ? t.number() : "";
      out.line("  %-5s %-9s %-34s %s", number, StepWords.verb(e), StepWords.line(e), changes(e));
    }
    out.line("%s", StepWords.ending(trace.ending()));
  }

  private static String changes(Trace.Entry entry) {
    return entry.changes().stream()
        .map(c -> c.what() + " " + c.before() + " \u2192 " + c.after())
        .collect(Collectors.joining("; "));
  }

  private static ObjectNode json(Routine routine, Trace trace) {
    ObjectNode out = Json.object().put("routine", routine.id());
    ArrayNode steps = out.putArray("steps");
    for (Trace.Entry e : trace.entries()) {
      ObjectNode one = steps.addObject();
      one.put("number", e instanceof Trace.Taken t ? t.number() : "");
      one.put("does", StepWords.verb(e) + " " + StepWords.line(e));
      ArrayNode changes = one.putArray("changes");
      for (Change c : e.changes()) {
        changes.addObject().put("what", c.what()).put("before", c.before()).put("after", c.after());
      }
    }
    out.put("finished", trace.wentWell());
    return out.put("ending", StepWords.ending(trace.ending()));
  }
}
