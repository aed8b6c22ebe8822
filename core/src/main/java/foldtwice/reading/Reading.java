package foldtwice.reading;

import foldtwice.known.Effects;
import foldtwice.known.Facts;
import foldtwice.known.Known;
import foldtwice.known.Touch;
import foldtwice.routine.Expr;
import foldtwice.routine.Line;
import foldtwice.routine.Readout;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import foldtwice.routine.Value;
import foldtwice.routine.Whom;
import foldtwice.source.Named;
import foldtwice.sql.SqlText;
import java.util.Collections;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;

/**
 * What a routine may change and what it needs, read off its steps. Running it never changes more
 * than this, unless {@link Beyond} says what cannot be read.
 *
 * @param putBack settings it changes and puts back, of itself or by steps that change them to what
 *     they were read as before; a run that fails between such steps leaves them
 * @param leaves settings it may leave changed
 * @param addOns add-ons its commands come with
 * @param programs the applications it works
 * @param needsSelection true when one of its steps refuses with nothing selected and nothing before
 *     selects anything
 */
public record Reading(
    Set<Touch> touches,
    Set<String> putBack,
    Set<String> leaves,
    Set<String> addOns,
    Set<String> programs,
    boolean needsSelection,
    boolean dialogs,
    Set<Beyond> beyond) {

  /** What may change things that cannot be read. */
  public enum Beyond {
    /** It presses keys: whoever takes them does what it does. */
    KEYS,
    /** A person works the program in the middle of it. */
    PERSON,
    /** It repeats what was done last, whatever that was. */
    AGAIN,
    /** It runs a routine that is not here. */
    MISSING_ROUTINE,
    /** A script: what its text names is read, what it comes to is known when it has run. */
    SCRIPT,
    /** An add-on's action that is not here. */
    MISSING_ACTION,
    /** A command text: what it does is up to whoever reads it. */
    COMMAND,
    /** It chooses a command or presses a button of which nothing is known. */
    UNKNOWN
  }

  /** Routines inside routines are read this deep; runs are stopped there too. */
  public static final int DEEPEST = 16;

  /**
   * Reads a routine. Costs one walk over its steps, and one over those of each routine it runs for
   * each different state in which it is run, however often that is.
   */
  public static Reading of(Routine routine, Known known) {
    Reader reader = new Reader(known);
    reader.any(routine, 0);
    return reader.result();
  }

  /** True when the routine is meant to change settings and nothing else. */
  public boolean onlySettings() {
    return touches.isEmpty() && beyond.isEmpty();
  }

  private static final class Reader {

    /** Settings that are changed where the walk is now. */
    private final Set<String> changed = new TreeSet<>();

    /** By variable, the setting whose value from before it was changed it keeps. */
    private Map<String, String> kept = new HashMap<>();

    /** Variables that got a value since the innermost branch or loop began. */
    private Set<String> written = new HashSet<>();

    /** False in scripts, whose calls are read one by one and not in their order. */
    private boolean inOrder = true;

    private final Known known;
    private final Set<Touch> touches = EnumSet.noneOf(Touch.class);
    private final Set<String> putBack = new TreeSet<>();
    private final Set<String> leaves = new TreeSet<>();
    private final Set<String> addOns = new TreeSet<>();
    private final Set<String> programs = new TreeSet<>();
    private final Set<Beyond> beyond = EnumSet.noneOf(Beyond.class);
    private boolean needsSelection;
    private boolean selects;
    private boolean dialogs;

    /** Settings the routines around this one put back in the end. */
    private Set<String> outer = Set.of();

    /**
     * What running a routine read before comes to again: all that is gathered is gathered already,
     * but for the settings that are changed after it.
     */
    private final Map<Called, Set<String>> called = new HashMap<>();

    /** All of which reading a routine depends. */
    private record Called(
        String routine,
        int depth,
        Set<String> outer,
        Set<String> changed,
        boolean selects,
        boolean views) {}

    Reader(Known known) {
      this.known = known;
    }

    Reading result() {
      leaves.addAll(changed);
      putBack.removeAll(leaves);
      return new Reading(
          Collections.unmodifiableSet(touches),
          Set.copyOf(putBack),
          Set.copyOf(leaves),
          Set.copyOf(addOns),
          Set.copyOf(programs),
          needsSelection,
          dialogs,
          Collections.unmodifiableSet(beyond));
    }

    void any(Routine routine, int depth) {
      programs.add(routine.application());
      routine.manner().addOns().forEach(a -> addOns.add(a.name()));
      Optional<Facts> facts = known.program(routine.application());
      switch (routine) {
        case Routine.Macro macro -> lines(macro.steps(), facts, new HashSet<>(), depth);
        case Routine.Script s -> {
          inOrder = false;
          lines(Named.lines(s), facts, new HashSet<>(), depth);
          beyond.add(Beyond.SCRIPT);
        }
        case Routine.PluginAction p -> {
          addOns.add(p.addOn());
          facts
              .flatMap(f -> f.action(p.addOn(), p.action()))
              .ifPresentOrElse(
                  a -> effects(a.effects(), new HashSet<>()),
                  () -> beyond.add(Beyond.MISSING_ACTION));
        }
        case Routine.Stored s -> stored(s);
      }
    }

    /** A statement shows its answer; what a command line does is up to the program it starts. */
    private void stored(Routine.Stored stored) {
      if (stored.language() == Routine.Stored.Language.SQL
          && SqlText.of(stored.text()) instanceof SqlText.One one) {
        touches.add(Touch.VIEW);
        if (one.changes()) {
          touches.add(Touch.DATA);
        }
      } else {
        beyond.add(Beyond.COMMAND);
      }
    }

    /**
     * @param sure settings that are certainly put back in the end, whatever happens to them now
     */
    private void lines(List<Line> lines, Optional<Facts> facts, Set<String> sure, int depth) {
      for (Line line : lines) {
        if (line.on()) {
          step(line.step(), facts, sure, depth);
        }
      }
    }

    private void step(Step step, Optional<Facts> facts, Set<String> sure, int depth) {
      switch (step) {
        case Step.Choose(List<Template> menu) ->
            known(
                facts.stream()
                    .flatMap(f -> f.commands().stream())
                    .filter(c -> mayBe(menu, c.menu()))
                    .map(Facts.Command::effects),
                sure);
        case Step.PressButton(String label) -> {
          dialogs = true;
          known(
              facts.stream()
                  .flatMap(f -> f.dialogs().stream())
                  .flatMap(d -> d.button(label).stream())
                  .map(Facts.Button::effects),
              sure);
        }
        case Step.Fill f -> dialogs = true;
        case Step.ChangeSetting(String setting, Expr value, Step.Lasting lasting) -> {
          if (value instanceof Expr.Name(String variable)
              && setting.equals(kept.get(variable))
              && !sure.contains(setting)) {
            changed.remove(setting);
            putBack.add(setting);
          } else {
            change(setting, lasting, sure);
          }
        }
        case Step.Cycle(String setting, var values, Step.Lasting lasting) ->
            change(setting, lasting, sure);
        case Step.Adjust a -> touches.add(Touch.OBJECTS);
        case Step.Select(Whom whom, boolean adding, var edge) -> {
          touches.add(Touch.SELECTION);
          selects |= whom != Whom.Group.NOTHING;
          if (whom instanceof Whom.Named && touches.contains(Touch.VIEW)) {
            touches.add(Touch.OBJECTS); // in a mode that was begun, choosing one may do more
          }
        }
        case Step.SelectOffset s -> touches.add(Touch.SELECTION);
        case Step.TypeText t -> {
          touches.add(Touch.OBJECTS);
          touches.add(Touch.VIEW);
        }
        case Step.PressKeys k -> beyond.add(Beyond.KEYS);
        case Step.Leave(Step.Leaving leaving) -> {
          touches.add(Touch.VIEW);
          touches.add(Touch.OBJECTS);
          facts.ifPresent(f -> firstButtons(f, leaving, sure));
        }
        case Step.Again a -> beyond.add(Beyond.AGAIN);
        case Step.Capture(Step.Area area, Template file) -> {
          if (file.source().isEmpty()) {
            touches.add(Touch.CLIPBOARD);
          } else { // the desk shows the new file, selected
            touches.addAll(List.of(Touch.FILES, Touch.OBJECTS, Touch.SELECTION));
          }
        }
        case Step.RunRoutine(String id, var arguments) -> routine(id, sure, depth);
        case Step.StartProgram(String application, var arguments) -> {
          touches.add(Touch.WINDOWS);
          programs.add(application);
        }
        case Step.BringToFront(String application) -> {
          touches.add(Touch.WINDOWS);
          programs.add(application);
        }
        case Step.Pause p -> {
          leaves.addAll(changed);
          p.offers().forEach(q -> forget(q.variable()));
          beyond.add(Beyond.PERSON);
        }
        case Step.If i -> bodies(step, facts, sure, depth);
        case Step.Repeat r -> bodies(step, facts, sure, depth);
        case Step.ForEach(String variable, Step.Items items, var body) -> {
          if (items instanceof Step.Items.Selected) {
            touches.add(Touch.SELECTION);
          }
          forget(variable);
          bodies(step, facts, sure, depth);
        }
        case Step.Read(Readout what, String variable) -> keep(what, variable);
        case Step.SetVariable(String name, var value) -> forget(name);
        case Step.Modifiers m -> {}
        case Step.WaitUntil w -> {}
        case Step.Ask(var text, List<Step.Question> questions) -> {
          leaves.addAll(changed); // somebody may give it up here
          questions.forEach(q -> forget(q.variable()));
        }
        case Step.Stop s -> {
          leaves.addAll(changed);
          changed.clear();
        }
        case Step.Note n -> {}
      }
    }

    /** What something may be; of what is not among them nothing is known. */
    private void known(Stream<Effects> may, Set<String> sure) {
      List<Effects> all = may.toList();
      all.forEach(e -> effects(e, sure));
      if (all.isEmpty()) {
        beyond.add(Beyond.UNKNOWN);
      }
    }

    /** What is certain in each of the bodies is certain after; a loop may have no turn at all. */
    private void bodies(Step step, Optional<Facts> facts, Set<String> sure, int depth) {
      Set<String> after = null;
      Set<String> before = Set.copyOf(changed);
      Set<String> anyway = new TreeSet<>(step instanceof Step.If ? Set.of() : before);
      Map<String, String> remembered = Map.copyOf(kept);
      Set<String> around = written;
      written = new HashSet<>();
      for (List<Line> body : step.bodies()) {
        Set<String> there = new HashSet<>(sure);
        changed.clear();
        changed.addAll(before);
        kept = new HashMap<>(remembered);
        lines(body, facts, there, depth);
        anyway.addAll(changed);
        if (after == null) {
          after = there;
        } else {
          after.retainAll(there);
        }
      }
      changed.clear();
      changed.addAll(anyway);
      kept = new HashMap<>(remembered);
      kept.keySet().removeAll(written);
      around.addAll(written);
      written = around;
      if (step instanceof Step.If) {
        sure.clear();
        sure.addAll(after);
      }
    }

    private void firstButtons(Facts facts, Step.Leaving leaving, Set<String> sure) {
      if (leaving == Step.Leaving.FINISH) {
        for (Facts.Dialog d : facts.dialogs()) {
          effects(d.buttons().getFirst().effects(), sure);
        }
      }
    }

    private void change(String setting, Step.Lasting lasting, Set<String> sure) {
      if (lasting == Step.Lasting.THIS_RUN) {
        putBack.add(setting);
        sure.add(setting);
      } else {
        (outer.contains(setting) ? putBack : changed).add(setting);
        sure.remove(setting);
      }
    }

    private void effects(Effects effects, Set<String> sure) {
      touches.addAll(effects.touches());
      effects.addOn().ifPresent(addOns::add);
      needsSelection |= effects.needsSelection() && !selects;
      for (String setting : effects.settings()) {
        (sure.contains(setting) || outer.contains(setting) ? putBack : changed).add(setting);
      }
      leaves.addAll(effects.takesUp()); // putting it back after that would wait again
    }

    private void forget(String variable) {
      kept.remove(variable);
      written.add(variable);
    }

    /** Remembers a setting as it was, unless it has been changed by then. */
    private void keep(Readout what, String variable) {
      forget(variable);
      if (inOrder
          && what instanceof Readout.Setting(String setting)
          && !changed.contains(setting)) {
        kept.put(variable, setting);
      }
    }

    private void routine(String id, Set<String> sure, int depth) {
      Optional<Routine> routine = known.routine(id);
      if (routine.isEmpty() || depth >= DEEPEST) {
        beyond.add(Beyond.MISSING_ROUTINE);
        return;
      }
      Set<String> before = outer;
      Map<String, String> own = kept;
      boolean order = inOrder;
      outer = new HashSet<>(outer);
      outer.addAll(sure);
      kept = new HashMap<>(); // its variables are its own
      inOrder = true;
      Called call =
          new Called(id, depth, outer, Set.copyOf(changed), selects, touches.contains(Touch.VIEW));
      Set<String> after = called.get(call);
      if (after == null) {
        any(routine.get(), depth + 1);
        called.put(call, Set.copyOf(changed));
      } else {
        changed.clear();
        changed.addAll(after);
      }
      kept = own;
      inOrder = order;
      outer = before;
    }
  }

  /** True when a menu path with insertions may turn out as this one. */
  static boolean mayBe(List<Template> menu, List<String> path) {
    if (menu.size() != path.size()) {
      return false;
    }
    for (int i = 0; i < path.size(); i++) {
      Template label = menu.get(i);
      if (label.names().isEmpty() && !label.source().equals(path.get(i))) {
        return false;
      }
      if (!label.names().isEmpty() && !fixedParts(label, path.get(i))) {
        return false;
      }
    }
    return true;
  }

  /** True when what stands before the first and after the last insertion stands there too. */
  private static boolean fixedParts(Template label, String text) {
    String before = label.source().substring(0, label.source().indexOf('\u2039'));
    String after = label.source().substring(label.source().lastIndexOf('\u203a') + 1);
    return text.length() >= before.length() + after.length()
        && text.startsWith(before)
        && text.endsWith(after);
  }

  /** A literal text an expression surely is; empty when it depends. */
  static Optional<String> constant(Expr e) {
    return e instanceof Expr.Literal(Value value) ? Optional.of(value.shown()) : Optional.empty();
  }
}
