package foldtwice.fold;

import foldtwice.binding.Binding;
import foldtwice.extras.Extras;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.routine.Expr;
import foldtwice.routine.Kind;
import foldtwice.routine.Line;
import foldtwice.routine.Parameter;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.Value;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;

/**
 * Finds routines that are equal but for constants, and makes one with parameters of them.
 *
 * <p>The one is their least general generalisation (G. Plotkin, <em>A note on inductive
 * generalization</em>, Machine Intelligence 5, 1970; from memory) over the trees of their steps, or
 * over the words of their sources: constants that are alike in all of them stay, the others become
 * parameters, and those that differ in the same way share one. Grouped by shape first, then
 * generalised within the groups: O(total length of the routines), plus O(members × constants) a
 * group.
 */
public final class Siblings {

  /** Single steps that differ in one label only are siblings when there are so many of them. */
  private static final int FEWEST_BY_LABEL = 3;

  /**
   * Routines that can be one.
   *
   * @param members the first of them is the one that stays
   * @param folded what it becomes
   * @param arguments what each member gives the new parameters, by its id
   * @param added the new parameters
   */
  public record Group(
      List<Routine> members,
      Routine folded,
      Map<String, Map<String, Value>> arguments,
      List<Parameter> added) {
    public Group {
      members = List.copyOf(members);
      arguments = Map.copyOf(arguments);
      added = List.copyOf(added);
    }
  }

  private Siblings() {}

  /** All groups of a library, in the order of their first members. */
  public static List<Group> find(Library library) {
    Map<String, List<Routine>> byShape = new LinkedHashMap<>();
    Map<String, Pattern> patterns = new LinkedHashMap<>();
    for (Routine r : library.routines().values()) {
      Pattern.of(r)
          .filter(p -> !p.shape().isEmpty())
          .ifPresent(
              p -> {
                patterns.put(r.id(), p);
                byShape.computeIfAbsent(key(r, p), k -> new ArrayList<>()).add(r);
              });
    }
    List<String> scripts = scripts(library);
    List<Group> groups = new ArrayList<>();
    for (List<Routine> members : byShape.values()) {
      if (members.size() > 1 && mayGo(members, scripts)) {
        group(members, patterns).ifPresent(groups::add);
      }
    }
    return List.copyOf(groups);
  }

  /** True when both do the very same, whatever they are called. */
  public static boolean equal(Routine a, Routine b) {
    return a.application().equals(b.application())
        && a.parameters().equals(b.parameters())
        && switch (a) {
          case Routine.Macro m -> b instanceof Routine.Macro o && m.steps().equals(o.steps());
          case Routine.Script s -> b instanceof Routine.Script o && s.source().equals(o.source());
          case Routine.PluginAction p ->
              b instanceof Routine.PluginAction o
                  && p.addOn().equals(o.addOn())
                  && p.action().equals(o.action());
          case Routine.Stored c ->
              b instanceof Routine.Stored o
                  && c.language() == o.language()
                  && c.text().equals(o.text());
        };
  }

  /** True when both are equal but for constants. */
  public static boolean alike(Routine a, Routine b) {
    Optional<Pattern> shape = Pattern.of(a);
    return a.application().equals(b.application())
        && a.getClass() == b.getClass()
        && shape.isPresent()
        && shape.map(Pattern::shape).equals(Pattern.of(b).map(Pattern::shape));
  }

  /** What must be equal for the meaning to stay the same. */
  private static String key(Routine r, Pattern p) {
    return String.join(
        "\u0006",
        r.getClass().getSimpleName(),
        r.application(),
        r.target().toString(),
        r.parameters().toString(),
        r.manner().toString(),
        Boolean.toString(r.card().off()),
        Boolean.toString(r.origin().seen()),
        r.origin().licence(),
        p.shape());
  }

  private static List<String> scripts(Library library) {
    return library.routines().values().stream()
        .filter(r -> r instanceof Routine.Script)
        .map(r -> ((Routine.Script) r).source())
        .toList();
  }

  /** A script may run another routine by its id, which nobody can change in it for sure. */
  private static boolean mayGo(List<Routine> members, List<String> scripts) {
    return scripts.stream()
        .noneMatch(
            source ->
                members.stream()
                    .anyMatch(
                        m ->
                            source.contains("'" + m.id() + "'")
                                || source.contains("\"" + m.id() + "\"")));
  }

  private static Optional<Group> group(List<Routine> members, Map<String, Pattern> patterns) {
    List<Pattern> all = members.stream().map(m -> patterns.get(m.id())).toList();
    Pattern first = all.getFirst();
    Map<List<Value>, Parameter> parameters = new LinkedHashMap<>();
    Parameter[] at = new Parameter[first.constants().size()];
    for (int c = 0; c < at.length; c++) {
      int slot = c;
      List<Value> column = all.stream().map(p -> p.constants().get(slot).value()).toList();
      if (column.stream().distinct().count() == 1) {
        continue;
      }
      Parameter known = parameters.get(column);
      if (known == null) {
        Optional<Kind> kind = Kinds.of(first.constants().get(c).place(), column);
        if (kind.isEmpty()) {
          return Optional.empty();
        }
        known =
            new Parameter(
                free(first.names().get(c), members.getFirst(), parameters),
                kind.get(),
                column.getFirst(),
                Extras.NONE);
        parameters.put(column, known);
      }
      at[c] = known;
    }
    boolean byLabelOnly =
        at.length == 1 && first.constants().getFirst().place() == Constant.Place.LABEL;
    if (byLabelOnly && members.size() < FEWEST_BY_LABEL) {
      return Optional.empty();
    }
    Map<String, Map<String, Value>> arguments = new LinkedHashMap<>();
    for (int m = 0; m < members.size(); m++) {
      Map<String, Value> own = new LinkedHashMap<>();
      for (var e : parameters.entrySet()) {
        own.put(e.getValue().name(), e.getKey().get(m));
      }
      arguments.put(members.get(m).id(), own);
    }
    List<Parameter> added = List.copyOf(parameters.values());
    return Optional.of(
        new Group(members, folded(members.getFirst(), first, at, added), arguments, added));
  }

  private static String free(
      String wanted, Routine routine, Map<List<Value>, Parameter> parameters) {
    String name = wanted;
    for (int i = 2; isTaken(name, routine, parameters); i++) {
      name = wanted + " " + i;
    }
    return name;
  }

  private static boolean isTaken(
      String name, Routine routine, Map<List<Value>, Parameter> parameters) {
    return routine.parameter(name).isPresent()
        || parameters.values().stream().anyMatch(p -> p.name().equals(name));
  }

  private static Routine folded(
      Routine first, Pattern pattern, Parameter[] at, List<Parameter> added) {
    List<Parameter> all = new ArrayList<>(first.parameters());
    all.addAll(added);
    return switch (first) {
      case Routine.Macro m -> {
        List<Token.Slot> slots = new ArrayList<>();
        for (int c = 0; c < at.length; c++) {
          slots.add(
              at[c] == null
                  ? new Token.Slot.Fixed(pattern.constants().get(c))
                  : new Token.Slot.Given(Constant.named(at[c].name())));
        }
        yield new Routine.Macro(m.head().with(all), Pattern.written(m.steps(), slots.iterator()));
      }
      case Routine.Script s ->
          new Routine.Script(
              s.head().with(all),
              Pattern.written(
                  s.source(),
                  Arrays.stream(at)
                      .map(p -> p == null ? null : "parameters['" + p.name() + "']")
                      .toList()));
      case Routine.PluginAction p -> throw new IllegalArgumentException("no pattern: " + p.id());
      case Routine.Stored c -> throw new IllegalArgumentException("no pattern: " + c.id());
    };
  }

  /** The edit that makes one of them: every binding and every step that ran a member goes over. */
  public static Edit fold(Library library, Group group) {
    String id = group.folded().id();
    List<Edit> edits = new ArrayList<>(List.of(new Edit.PutRoutine(group.folded())));
    for (Routine r : library.routines().values()) {
      boolean member = group.arguments().containsKey(r.id());
      if (member && !r.id().equals(id)) {
        edits.add(new Edit.RemoveRoutine(r.id()));
      } else if (!member && r instanceof Routine.Macro m) {
        List<Line> moved = moved(m.steps(), group);
        if (!moved.equals(m.steps())) {
          edits.add(new Edit.PutRoutine(m.withSteps(moved)));
        }
      }
    }
    for (Binding b : library.bindings().values()) {
      Map<String, Value> own = group.arguments().get(b.routine());
      if (own != null) {
        Map<String, Value> arguments = new LinkedHashMap<>(b.arguments());
        arguments.putAll(own);
        edits.add(new Edit.PutBinding(b.withRoutine(id, arguments)));
      }
    }
    return new Edit.Together(edits);
  }

  private static List<Line> moved(List<Line> lines, Group group) {
    return lines.stream()
        .map(
            line -> {
              Step step = line.step();
              if (step instanceof Step.RunRoutine(String routine, Map<String, Expr> given)
                  && group.arguments().containsKey(routine)) {
                Map<String, Expr> arguments = new LinkedHashMap<>(given);
                group
                    .arguments()
                    .get(routine)
                    .forEach((name, value) -> arguments.put(name, Numbers.literal(value)));
                return line.with(new Step.RunRoutine(group.folded().id(), arguments));
              }
              List<List<Line>> bodies = step.bodies().stream().map(b -> moved(b, group)).toList();
              return Objects.equals(bodies, step.bodies())
                  ? line
                  : line.with(step.withBodies(bodies));
            })
        .toList();
  }
}
