package foldtwice.cli;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import foldtwice.effort.Payback;
import foldtwice.effort.Skill;
import foldtwice.effort.Span;
import foldtwice.effort.UseLog;
import foldtwice.effort.Values;
import foldtwice.library.Library;
import foldtwice.library.file.FormatException;
import foldtwice.library.file.Json;
import foldtwice.place.Station;
import foldtwice.resolve.Keymap;
import foldtwice.text.Counted;
import foldtwice.text.Csv;
import foldtwice.text.DiskWords;
import foldtwice.words.EffortWords;
import foldtwice.words.Words;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

@Command(
    mixinStandardHelpOptions = true,
    name = "payback",
    description = {
      "Tells what a library saves on a station: by hand against by trigger, by the keystroke-level model.",
      "Exit 0: it saves something; 1: it saves nothing, or nothing can be told; 2: input not usable."
    })
final class ShowPayback implements Callable<Integer> {

  /** How it is written. */
  enum Report {
    text,
    json,
    csv
  }

  private static final int MOST = 12;

  @Mixin private Input input;

  @Option(names = "--format", description = "${COMPLETION-CANDIDATES}", defaultValue = "text")
  private Report format;

  @Option(
      names = "--skill",
      description = "how fast the hand is, by the classes of the model: ${COMPLETION-CANDIDATES}",
      defaultValue = "AVERAGE_SKILLED")
  private Skill skill;

  @Option(
      names = "--uses",
      paramLabel = "LOG",
      description =
          "a table of what was fired how often (docs/payback.md), instead of what the library says")
  private Path uses;

  @Spec private CommandSpec spec;

  @Override
  public Integer call() throws Unusable {
    Library library = uses == null ? input.library() : counted(input.library());
    Station station = input.station(library);
    Keymap keymap = Keymap.of(library, station);
    Payback payback = Payback.of(library, keymap, Values.of(skill));
    Words words = new Words(library, keymap.layout());
    PrintWriter out = spec.commandLine().getOut();
    switch (format) {
      case text -> text(payback, words, station, new Lines(out));
      case json -> out.print(Json.print(json(payback, words, station)));
      case csv -> out.print(csv(payback, words));
    }
    out.flush();
    return payback.aWeek().mid() > 0 ? Exit.WELL : Exit.NO;
  }

  /** The library with the uses a week that a log has. */
  private Library counted(Library library) throws Unusable {
    try (BufferedReader in = Files.newBufferedReader(uses)) {
      UseLog log = UseLog.read(in, library, rows -> true);
      Lines err = new Lines(spec.commandLine().getErr());
      log.unknown().forEach(u -> err.line("not counted: %s", u));
      if (log.uncounted() > log.unknown().size()) {
        err.line("and %s more rows", String.valueOf(log.uncounted() - log.unknown().size()));
      }
      log.fading()
          .forEach(
              f ->
                  err.line(
                      "used ever less: %s, %s a week, then %s",
                      new Words(library).binding(library.bindings().get(f.binding())),
                      Words.number(Math.rint(f.before())),
                      Words.number(Math.rint(f.now()))));
      return log.taken(library).on(library);
    } catch (IOException e) {
      throw new Unusable(uses + " cannot be read: " + DiskWords.reason(e), e);
    } catch (FormatException e) {
      throw new Unusable(e.in(uses.toString()).getMessage(), e);
    }
  }

  private static void text(Payback payback, Words words, Station station, Lines out) {
    Span saved = payback.aWeek();
    out.line("%s a week saved on %s", EffortWords.span(saved), station.name());
    Payback.Spent spent = payback.spentInAll();
    if (spent.seconds() > 0) {
      out.line(
          "%s spent; paid back after %s",
          EffortWords.time(spent.seconds()),
          Payback.weeks(spent.seconds(), saved)
              .map(
                  w ->
                      EffortWords.weeks(w.mid())
                          + ", "
                          + EffortWords.weeks(w.low())
                          + " to "
                          + EffortWords.weeks(w.high()))
              .orElse("no time at all"));
    }
    spent
        .untold()
        .forEach(
            o ->
                out.line(
                    "not counted: %s %s for %s; the price of an hour is not told in that currency",
                    o.price().toPlainString(), o.currency(), o.id()));
    out.line("saves most, a week:");
    payback.byRoutine().stream()
        .limit(MOST)
        .forEach(
            s ->
                out.line(
                    "  %-34s %s, %s",
                    payback.library().routines().get(s.id()).name(),
                    EffortWords.span(s.aWeek()),
                    bindings(s.bindings())));
    if (payback.library().stations().size() > 1) {
      out.line("saves, a week, were all of it done on one station:");
      Payback.onStations(payback.library(), payback.values())
          .values()
          .forEach(
              p ->
                  out.line(
                      "  %-34s %s, %s",
                      p.keymap().station().name(),
                      EffortWords.span(p.aWeek()),
                      bindings(p.whole().bindings())));
    }
    List<Payback.Task> tasks = payback.withoutTrigger();
    if (!tasks.isEmpty()) {
      out.line("costs most without a trigger, a week:");
      tasks.stream()
          .limit(MOST)
          .forEach(
              t ->
                  out.line(
                      "  %-34s %s, %s",
                      t.name(), EffortWords.span(t.aWeek()), words.application(t.application())));
    }
    payback.chains().forEach(c -> chain(c, out));
    payback
        .costing()
        .forEach(
            r ->
                out.line(
                    "takes longer than by hand: %s  %s",
                    words.trigger(r.trigger().orElseThrow()), words.binding(r.binding())));
    out.line(
        "%s never used; of %s the manual route is not known",
        bindings(payback.neverUsed().size()), bindings(payback.unknown().size()));
  }

  private static void chain(Payback.Chain c, Lines out) {
    out.line(
        "procedure %s: %s",
        c.procedure().name(),
        c.missing() > 0
            ? c.missing() + " of its parts cannot be set off here"
            : c.aWeek()
                .map(s -> EffortWords.span(s) + " a week saved")
                .orElse("by hand it is not known"));
  }

  private static ObjectNode json(Payback payback, Words words, Station station) {
    ObjectNode out = Json.object().put("library", payback.library().name());
    out.put("station", station.id());
    span(out.putObject("savedSecondsAWeek"), payback.aWeek());
    Payback.Spent spent = payback.spentInAll();
    out.put("spentSeconds", spent.seconds());
    Payback.weeks(spent.seconds(), payback.aWeek()).ifPresent(w -> span(out.putObject("weeks"), w));
    ArrayNode rows = out.putArray("bindings");
    for (Payback.Row r : payback.rows()) {
      ObjectNode one = rows.addObject();
      one.put("binding", r.binding().id()).put("does", words.binding(r.binding()));
      one.put("usesPerWeek", r.binding().usesPerWeek());
      r.byHand().ifPresent(h -> span(one.putObject("byHandSeconds"), h.total()));
      r.byHand().ifPresent(h -> one.put("workedOut", !r.recorded()));
      r.bound().ifPresent(b -> span(one.putObject("boundSeconds"), b.total()));
      r.aWeek().ifPresent(s -> span(one.putObject("savedSecondsAWeek"), s));
    }
    ArrayNode tasks = out.putArray("withoutTrigger");
    payback
        .withoutTrigger()
        .forEach(
            t -> {
              ObjectNode one = tasks.addObject();
              one.put("name", t.name()).put("application", t.application());
              t.binding().ifPresent(b -> one.put("binding", b));
              t.command().ifPresent(c -> one.put("command", c.id()));
              span(one.putObject("secondsAWeek"), t.aWeek());
            });
    return out;
  }

  private static void span(ObjectNode out, Span span) {
    put(out, "low", span.low());
    put(out, "mid", span.mid());
    put(out, "high", span.high());
  }

  /** Numbers that JSON has; what is endless is null. */
  private static void put(ObjectNode out, String name, double number) {
    if (Double.isFinite(number)) {
      out.put(name, Math.round(number * 1000) / 1000.0);
    } else {
      out.putNull(name);
    }
  }

  private static String csv(Payback payback, Words words) {
    List<List<String>> rows = new ArrayList<>();
    rows.add(
        List.of(
            "binding",
            "does",
            "place",
            "times a week",
            "by hand s",
            "by trigger s",
            "saved a week s",
            "from s",
            "to s"));
    for (Payback.Row r : payback.rows()) {
      rows.add(
          List.of(
              Csv.cell(r.binding().id()),
              Csv.cell(words.binding(r.binding())),
              Csv.cell(words.place(r.binding().place())),
              Words.number(r.binding().usesPerWeek()),
              number(r.byHand().map(h -> h.total().mid())),
              number(r.bound().map(b -> b.total().mid())),
              number(r.aWeek().map(Span::mid)),
              number(r.aWeek().map(Span::low)),
              number(r.aWeek().map(Span::high))));
    }
    return Csv.write(rows);
  }

  private static String number(Optional<Double> number) {
    return number.map(n -> String.format(Locale.ROOT, "%.2f", n)).orElse("");
  }

  private static String bindings(int count) {
    return Counted.of(count, "binding");
  }
}
