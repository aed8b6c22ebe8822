package foldtwice.library;

import foldtwice.binding.Binding;
import foldtwice.outline.Renaming;
import foldtwice.routine.Parameter;
import foldtwice.routine.Routine;
import foldtwice.routine.Template;
import foldtwice.routine.Value;
import foldtwice.routine.ValueException;
import foldtwice.source.Rewriting;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * Edits of a routine's parameters that take its steps and bindings along: a renamed parameter keeps
 * what bindings give it; what no longer fits, or is gone, is given no more.
 */
public final class Parameters {

  private Parameters() {}

  /** Adds a parameter, the last. */
  public static Edit add(Routine routine, Parameter fresh) {
    List<Parameter> all = new ArrayList<>(routine.parameters());
    all.add(fresh);
    return new Edit.PutRoutine(routine.with(routine.head().with(all)));
  }

  /** Puts a parameter in another's place. */
  public static Edit change(Library library, Routine routine, Parameter was, Parameter is) {
    List<Parameter> all =
        routine.parameters().stream().map(p -> p.name().equals(was.name()) ? is : p).toList();
    Routine next = routine.with(routine.head().with(all));
    return withBindings(library, renamed(next, was.name(), is.name()), was, is);
  }

  /** What a routine does, asking for a parameter by another name. */
  private static Routine renamed(Routine routine, String was, String is) {
    if (was.equals(is)) {
      return routine;
    }
    return switch (routine) {
      case Routine.Macro m -> m.withSteps(Renaming.in(m.steps(), was, is));
      case Routine.Script s -> s.withSource(Rewriting.renamed(s.source(), was, is));
      case Routine.Stored s ->
          s.withText(
              new Template(s.text().with(n -> "\u2039" + (n.equals(was) ? is : n) + "\u203a")));
      case Routine.PluginAction p -> p; // its parameters are the action's
    };
  }

  /** Takes a parameter away. Steps that still name it are marked where they stand. */
  public static Edit remove(Library library, Routine routine, Parameter was) {
    List<Parameter> all =
        routine.parameters().stream().filter(p -> !p.name().equals(was.name())).toList();
    return withBindings(library, routine.with(routine.head().with(all)), was, null);
  }

  private static Edit withBindings(Library library, Routine next, Parameter was, Parameter is) {
    List<Edit> edits = new ArrayList<>(List.of(new Edit.PutRoutine(next)));
    for (Binding b : Bound.to(library, next.id())) {
      if (b.arguments().containsKey(was.name())) {
        Map<String, Value> arguments = new TreeMap<>(b.arguments());
        Value given = arguments.remove(was.name());
        if (is != null && fits(is, given)) {
          arguments.put(is.name(), given);
        }
        if (!arguments.equals(b.arguments())) {
          edits.add(new Edit.PutBinding(b.withRoutine(next.id(), arguments)));
        }
      }
    }
    return edits.size() == 1 ? edits.getFirst() : new Edit.Together(edits);
  }

  private static boolean fits(Parameter parameter, Value given) {
    try {
      parameter.kind().check(given);
      return true;
    } catch (ValueException e) {
      return false; // the binding falls back on the default
    }
  }
}
