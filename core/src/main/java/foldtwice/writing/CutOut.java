package foldtwice.writing;

import foldtwice.extras.Extras;
import foldtwice.known.Known;
import foldtwice.outline.Mentioned;
import foldtwice.outline.Outline;
import foldtwice.outline.Several;
import foldtwice.reading.Builtin;
import foldtwice.reading.Checker;
import foldtwice.routine.Expr;
import foldtwice.routine.Head;
import foldtwice.routine.Kind;
import foldtwice.routine.Line;
import foldtwice.routine.Manner;
import foldtwice.routine.Parameter;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Cuts steps out of a macro into a routine of their own, with the parameters they need; the macro
 * runs it where they were. Costs one walk over the macro.
 */
public sealed interface CutOut {

  /**
   * What comes of it.
   *
   * @param rest the macro, which runs the other
   * @param own the steps cut out
   */
  record Made(Routine.Macro rest, Routine.Macro own) implements CutOut {}

  /** The macro would do something else after it. */
  record Refused(Reason reason, String about, String step) implements CutOut {}

  /** Why steps cannot be cut out. */
  enum Reason {
    /** The chosen steps do not follow each other on one level. */
    APART,
    /** A later step needs a variable that one of them sets; a routine gives nothing back. */
    NEEDED_AFTER,
    /** One of them changes a setting until the run ends; its own run would end at once. */
    PUT_BACK
  }

  /**
   * Cuts out.
   *
   * @param id of the routine to be made
   * @param name what it is called
   */
  static CutOut of(Routine.Macro macro, List<String> chosen, String id, String name, Known known) {
    List<String> numbers = Several.outermost(macro.steps(), chosen);
    if (!Several.areTogether(macro.steps(), numbers)) {
      return new Refused(Reason.APART, "", numbers.isEmpty() ? "" : numbers.getFirst());
    }
    List<Line> lines = Several.at(macro.steps(), numbers);
    Set<String> needed = new LinkedHashSet<>();
    Set<String> set = new LinkedHashSet<>();
    names(lines, needed, set, new HashSet<>(Builtin.ALWAYS));
    Optional<Refused> refused = refused(macro, numbers, lines, set);
    if (refused.isPresent()) {
      return refused.get();
    }
    Map<String, Kind> kinds = Checker.kinds(macro, known);
    List<Parameter> parameters = new ArrayList<>();
    Map<String, Expr> arguments = new LinkedHashMap<>();
    for (String n : needed) {
      parameters.add(macro.parameter(n).orElseGet(() -> parameter(n, kinds.get(n))));
      arguments.put(n, new Expr.Name(n));
    }
    Routine.Macro own = new Routine.Macro(head(macro.head(), id, name, parameters), lines);
    Line run = new Line(new Step.RunRoutine(id, arguments));
    List<Line> rest =
        Outline.insert(Several.remove(macro.steps(), numbers), numbers.getFirst(), run);
    return new Made(macro.withSteps(rest), own);
  }

  /**
   * It needs what the macro needs of its program, and is as little looked through; where it acts
   * and when it asks is settled by the macro that runs it.
   */
  private static Head head(Head of, String id, String name, List<Parameter> parameters) {
    return Head.of(id, name, of.application(), parameters)
        .inCategory(of.category())
        .with(Manner.PLAIN.fromVersion(of.manner().fromVersion()).withAddOns(of.manner().addOns()))
        .with(of.origin());
  }

  private static Optional<Refused> refused(
      Routine.Macro macro, List<String> numbers, List<Line> lines, Set<String> set) {
    boolean after = false;
    String loop = Outline.around(numbers.getFirst()).orElse(null);
    Optional<String> lasting = lasting(lines);
    for (Outline.Row row : Outline.rows(macro.steps())) {
      boolean inside =
          numbers.stream()
              .anyMatch(n -> row.number().equals(n) || row.number().startsWith(n + "."));
      after |= inside;
      boolean again = loop != null && row.number().startsWith(loop + ".");
      if (inside || !(after || again)) {
        continue;
      }
      Optional<String> used =
          Mentioned.names(row.line().step()).stream().filter(set::contains).findFirst();
      if (used.isPresent()) {
        return Optional.of(new Refused(Reason.NEEDED_AFTER, used.get(), row.number()));
      }
      if (lasting.isPresent()) {
        return Optional.of(new Refused(Reason.PUT_BACK, lasting.get(), row.number()));
      }
    }
    return Optional.empty();
  }

  private static Optional<String> lasting(List<Line> lines) {
    return Outline.rows(lines).stream()
        .map(r -> r.line().step())
        .<String>mapMulti(
            (step, out) -> {
              switch (step) {
                case Step.ChangeSetting(String setting, var to, Step.Lasting l)
                    when l == Step.Lasting.THIS_RUN ->
                    out.accept(setting);
                case Step.Cycle(String setting, var values, Step.Lasting l)
                    when l == Step.Lasting.THIS_RUN ->
                    out.accept(setting);
                default -> {}
              }
            })
        .findFirst();
  }

  /** What the lines need from before them, and what they set, in the order of reading. */
  private static void names(
      List<Line> lines, Set<String> needed, Set<String> set, Set<String> given) {
    for (Line line : lines) {
      Step step = line.step();
      for (String name : Mentioned.names(step)) {
        if (!set.contains(name) && !given.contains(name)) {
          needed.add(name);
        }
      }
      Set<String> inside = new HashSet<>(given);
      inside.addAll(InScope.set(step, true));
      set.addAll(InScope.set(step, false));
      step.bodies().forEach(b -> names(b, needed, set, inside));
    }
  }

  private static Parameter parameter(String name, Kind kind) {
    Kind taken = kind == null ? new Kind.Words() : kind;
    return new Parameter(name, taken, taken.usual(), Extras.NONE);
  }
}
