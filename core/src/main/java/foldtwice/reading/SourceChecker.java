package foldtwice.reading;

import foldtwice.known.Facts;
import foldtwice.known.Known;
import foldtwice.routine.Parameter;
import foldtwice.routine.Readout;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.ValueException;
import foldtwice.source.Named;
import foldtwice.source.Source;
import foldtwice.source.Source.Spot;
import foldtwice.source.Wanted;
import foldtwice.text.Nearness;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.stream.Stream;

/**
 * Finds what is wrong in the source of a script while it is written, as {@link Checker} does for
 * macros: each call of the interface whose names stand in the text is checked like the step it
 * takes. One pass over the calls.
 */
public final class SourceChecker {

  private final Routine.Script script;
  private final Known known;
  private final Optional<Facts> facts;
  private final List<SourceMark> marks = new ArrayList<>();

  private SourceChecker(Routine.Script script, Known known) {
    this.script = script;
    this.known = known;
    this.facts = known.program(script.application());
  }

  /** What seems wrong, in the order of the text. */
  public static List<SourceMark> check(Routine.Script script, Known known) {
    SourceChecker checker = new SourceChecker(script, known);
    checker.source(Source.of(script.source()));
    return List.copyOf(checker.marks);
  }

  private void source(Source source) {
    source.slip().ifPresent(s -> marks.add(new SourceMark(s.at(), "", s.what(), Optional.empty())));
    List<String> parameters = script.parameters().stream().map(Parameter::name).toList();
    Map<String, Spot> asked = Named.parameters(source);
    asked.forEach(
        (name, at) -> {
          if (!parameters.contains(name)) {
            mark(at, name, "a parameter of this script", parameters);
          }
        });
    Set<String> names = new TreeSet<>(Named.names(source));
    asked.keySet().stream().filter(n -> !parameters.contains(n)).forEach(names::add);
    Checker checker = Checker.of(script, known, names);
    for (Named.Call call : Named.calls(source)) {
      call.wrong().ifPresent(e -> wrong(call.at(), e));
      call.wanted().ifPresent(w -> wanted(call.at(), w, checker));
    }
  }

  private void wrong(Spot at, ValueException e) {
    marks.add(new SourceMark(at, e.found(), e.allowed(), Optional.empty()));
  }

  private void mark(Spot at, String found, String expected, List<String> right) {
    marks.add(new SourceMark(at, found, expected, Nearness.nearest(found, right)));
  }

  private void wanted(Spot at, Wanted wanted, Checker checker) {
    for (Mark m : checker.wanted(wanted)) {
      String found = m.found().replace("\u2039" + Named.UNKNOWN + "\u203a", "\u2026");
      marks.add(
          new SourceMark(
              at, found, m.expected(), m.nearest().filter(n -> found.equals(m.found()))));
    }
    switch (wanted) {
      case Wanted.Take(Step.Fill(String field, var value), var names) -> field(at, field);
      case Wanted.Read(Readout.Field(String field)) -> field(at, field);
      case Wanted.Take(Step.PressButton(String label), var names) ->
          inDialogs(at, label, "a button", d -> d.buttons().stream().map(Facts.Button::label));
      case Wanted.Use(String id) -> uses(at, id);
      default -> {}
    }
  }

  private void field(Spot at, String label) {
    inDialogs(at, label, "a field", d -> d.fields().stream().map(Facts.Field::label));
  }

  /** Which dialog is open is not followed: it is enough that some has it. */
  private void inDialogs(
      Spot at, String label, String what, Function<Facts.Dialog, Stream<String>> labels) {
    if (facts.filter(f -> f.tells(Facts.Aspect.DIALOGS)).isEmpty()) {
      return;
    }
    List<String> right = facts.get().dialogs().stream().flatMap(labels).distinct().toList();
    if (!right.contains(label)) {
      mark(at, label, what + " of a dialog of " + known.nameOf(script.application()), right);
    }
  }

  private void uses(Spot at, String id) {
    List<String> scripts =
        known.routines().stream()
            .filter(r -> known.routine(r).orElse(null) instanceof Routine.Script)
            .toList();
    if (!scripts.contains(id)) {
      mark(at, id, "a script of the library", scripts);
    } else if (Checker.reaches(known, id, script.id())) {
      marks.add(
          new SourceMark(at, id, "a script that does not use this one again", Optional.empty()));
    }
  }
}
