package foldtwice.words;

import foldtwice.outline.Outline;
import foldtwice.routine.Parameter;
import foldtwice.routine.Routine;
import java.util.ArrayList;
import java.util.List;

/** A routine of any kind as rows that can be held against those of another. */
public final class RoutineRows {

  /**
   * A row. Equal rows say the same, whatever their numbers.
   *
   * @param depth how deep a step lies inside others
   * @param verb what kind of row it is: the first word of a step, or what a fact is about
   */
  public record Row(int depth, String verb, String text) {

    /** As it reads. */
    public String shown() {
      return "  ".repeat(depth) + (verb.isEmpty() ? text : verb + " " + text);
    }

    /** Rows of the same kind in the same depth are shown beside each other where they differ. */
    public Object kind() {
      return List.of(depth, verb);
    }
  }

  private RoutineRows() {}

  /** What is declared of it, then what it does. */
  public static List<Row> of(Routine routine, Words words) {
    List<Row> rows = new ArrayList<>();
    rows.add(fact("program", words.application(routine.application())));
    rows.add(fact("target", Words.target(routine.target())));
    for (Parameter p : routine.parameters()) {
      rows.add(
          fact("parameter", p.name() + ", " + p.kind().allowed() + ": " + p.otherwise().shown()));
    }
    switch (routine) {
      case Routine.Macro m ->
          Outline.rows(m.steps())
              .forEach(
                  r ->
                      rows.add(
                          new Row(
                              r.depth(),
                              StepWords.verb(r.line().step()),
                              words.step(r.line().step())
                                  + (r.line().on() ? "" : " " + Words.TEXTS.get("rows.off")))));
      case Routine.Script s -> lines(s.source(), rows);
      case Routine.Stored c -> {
        rows.add(fact("language", Words.TEXTS.get("rows." + c.language())));
        lines(c.text().source(), rows);
      }
      case Routine.PluginAction p -> {
        rows.add(fact("addon", p.addOn()));
        rows.add(fact("action", p.action()));
      }
    }
    return rows;
  }

  private static Row fact(String about, String text) {
    return new Row(0, Words.TEXTS.get("rows." + about), text);
  }

  private static void lines(String text, List<Row> rows) {
    text.lines().forEach(l -> rows.add(new Row(0, "", l)));
  }
}
