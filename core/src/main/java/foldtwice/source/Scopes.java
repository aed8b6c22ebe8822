package foldtwice.source;

import foldtwice.routine.Expr;
import foldtwice.routine.Parameter;
import foldtwice.text.Refusals;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** What the names of a script stand for in the macro made of it. */
final class Scopes {

  /** A variable whose value no step computes. */
  private static final Expr LOST = new Expr.UnitOf(new Expr.UnitOf(new Expr.Name(ToMacro.TURN)));

  /** A turn that is no longer known. */
  private static final Expr GONE = new Expr.UnitOf(new Expr.Name(ToMacro.TURN));

  private static final Expr COUNTED = new Expr.Name(ToMacro.TURN);

  private final Set<String> parameters = new HashSet<>();
  private final Map<String, Span> direct = new LinkedHashMap<>();

  /** The innermost first. */
  private final Deque<Map<String, Expr>> scopes = new ArrayDeque<>();

  Scopes(List<Parameter> parameters) {
    parameters.forEach(p -> this.parameters.add(p.name()));
  }

  void open() {
    scopes.push(new LinkedHashMap<>());
  }

  /**
   * Opens the scope of a loop's body: the turn of a loop around it is not known inside.
   *
   * @param known what its names stand for
   */
  void openLoop(Map<String, Expr> known) {
    Map<String, Expr> hidden = new LinkedHashMap<>();
    for (Map<String, Expr> scope : scopes) {
      scope.forEach(
          (name, e) -> {
            if (e.equals(COUNTED) && !known.containsKey(name)) {
              hidden.put(name, GONE);
            }
          });
    }
    hidden.putAll(known);
    scopes.push(hidden);
  }

  void close() {
    scopes.pop();
  }

  /** Nor is it known after it. */
  void closeLoop() {
    scopes.pop();
    scopes.forEach(scope -> scope.replaceAll((name, e) -> e.equals(COUNTED) ? GONE : e));
  }

  boolean has(String name) {
    return scopes.stream().anyMatch(s -> s.containsKey(name));
  }

  /** Whether it has another thing of that name around the innermost scope. */
  boolean hasAround(String name) {
    return scopes.stream().skip(1).anyMatch(s -> s.containsKey(name));
  }

  /** From now on the name stands for this. */
  void put(String name, Expr meant) {
    scopes.peek().put(name, meant);
  }

  /** What it stands for is computed by no step, or not yet. */
  void lose(String name) {
    put(name, LOST);
  }

  /** The parameters that were asked for as they were given, with the first place of each. */
  Map<String, Span> direct() {
    return direct;
  }

  /** The parameter that is asked for. */
  Optional<String> parameter(Phrase phrase) {
    return phrase instanceof Phrase.Member(Phrase.Name(String of, Span a), String name, Span b)
            && of.equals("parameters")
            && parameters.contains(name)
        ? Optional.of(name)
        : Optional.empty();
  }

  /** A parameter as it was given, whatever becomes of a variable of its name. */
  Expr asGiven(String parameter, Span at) {
    direct.putIfAbsent(parameter, at);
    return new Expr.Name(parameter);
  }

  /** What a name stands for. */
  Expr named(String name, Span at) throws LostException {
    for (Map<String, Expr> scope : scopes) {
      Expr e = scope.get(name);
      if (e != null) {
        if (e.equals(GONE)) {
          throw new LostException(at, Refusals.says("source.turn-loop-around-another"));
        }
        if (e.equals(LOST)) {
          throw new LostException(at, Refusals.says("source.what-needs-which-lost", name));
        }
        return e;
      }
    }
    throw new LostException(at, Refusals.says("source.what-stands-for-not", name));
  }
}
