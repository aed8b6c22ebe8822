package foldtwice.live;

import foldtwice.known.Facts;
import foldtwice.library.Library;
import foldtwice.live.bus.BusException;
import foldtwice.live.program.LiveComputer;
import foldtwice.live.program.LiveProgram;
import foldtwice.live.program.LiveRun;
import foldtwice.live.survey.Describing;
import foldtwice.live.survey.Proposal;
import foldtwice.live.survey.Survey;
import foldtwice.place.Labels;
import foldtwice.routine.Line;
import foldtwice.routine.Parameter;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import foldtwice.routine.Value;
import foldtwice.run.Around;
import foldtwice.run.Scripts;
import foldtwice.run.Trace;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;

/** A live computer of the tests' window, and what is run on it. */
final class Works implements AutoCloseable {

  static final String ID = "window-py";

  final Live live;
  final Live.Running running;
  final Survey survey;
  final Proposal proposal;
  final LiveComputer computer;
  final List<List<String>> wanted = new ArrayList<>();

  Works(Desktop desktop, Path pictures, Predicate<List<String>> allowed, String dialogOf)
      throws Exception {
    live = Live.open(desktop.where());
    running =
        live.running().stream().filter(r -> r.name().equals("window.py")).findFirst().orElseThrow();
    Survey first = live.survey(running);
    survey = dialogOf.isEmpty() ? first : first.with(List.of(form(dialogOf)));
    proposal = Describing.anew(running.id(), survey);
    computer = live.computer(library(), a -> Facts.unknown(a.id()), outside(pictures, allowed));
  }

  /** The program with labels of another language. */
  LiveProgram named(Labels labels) throws BusException {
    Library library = library();
    Facts there = Facts.unknown(ID, labels);
    return live.program(running, library.applications().get(ID), library, there);
  }

  /** A library that has it as it was read. */
  Library library() {
    return proposal.edit(false).on(Library.empty("Tests"));
  }

  /** What is the person's to give. */
  LiveComputer.Outside outside(Path pictures, Predicate<List<String>> allowed) {
    return new LiveComputer.Outside(
        name -> new foldtwice.run.Computer.File.Text("one\ntwo\n"),
        () -> "from the clipboard",
        Optional.of(pictures),
        command -> {
          wanted.add(command);
          return allowed.test(command);
        });
  }

  /** The dialog, as it is described by hand. */
  private static Survey.Form form(String title) {
    return new Survey.Form(
        title,
        List.of(
            new Survey.Field("By", Survey.Takes.TEXT, "1", List.of(), 0, 0, 0),
            new Survey.Field("Times", Survey.Takes.NUMBER, "1", List.of(), 1, 9, 1),
            new Survey.Field(
                "Way", Survey.Takes.CHOICE, "right", List.of("left", "right", "both"), 0, 0, 0),
            new Survey.Field("Keep marks", Survey.Takes.YES_NO, "no", List.of(), 0, 0, 0)),
        List.of("Shift", "Cancel"),
        List.of("Ledger", "Shift lines\u2026"));
  }

  Around around() {
    return new Around(
        computer,
        id -> Optional.empty(),
        (keys, c) ->
            new Around.Struck.Done("", new foldtwice.run.Reply.Refused("a library", "none")),
        Scripts.NONE);
  }

  Trace run(Step... steps) throws InterruptedException {
    return run(macro(List.of(), steps), Map.of());
  }

  Trace run(Routine routine, Map<String, Value> arguments) throws InterruptedException {
    LiveRun run = LiveRun.start(routine, arguments, around(), s -> {});
    return run.await(20_000).trace();
  }

  static Routine macro(List<Parameter> parameters, Step... steps) {
    List<Line> lines = new ArrayList<>();
    for (Step s : steps) {
      lines.add(new Line(s));
    }
    return Routine.Macro.of("m", "M", ID, parameters, lines);
  }

  static Step choose(String... path) {
    return new Step.Choose(Template.all(List.of(path)));
  }

  @Override
  public void close() {
    live.close();
  }
}
