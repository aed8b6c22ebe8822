package foldtwice.source;

import foldtwice.routine.Routine;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;

/** The scripts that scripts use. */
public final class Helpers {

  private Helpers() {}

  /** The ids of the scripts that one uses, as far as its text names them. */
  public static List<String> named(String source) {
    if (!source.contains("use")) {
      return List.of();
    }
    return Source.of(source).calls().stream()
        .filter(c -> Names.member(c).filter(m -> m.host().equals("use")).isPresent())
        .flatMap(c -> c.given().stream().limit(1))
        .filter(Phrase.Words.class::isInstance)
        .map(g -> ((Phrase.Words) g).text())
        .distinct()
        .toList();
  }

  /** The sources of all that a script uses, and of what those use, by their ids. */
  public static Map<String, String> of(
      Routine.Script script, Function<String, Optional<Routine>> routines) {
    Map<String, String> found = new LinkedHashMap<>();
    Deque<String> open = new ArrayDeque<>(named(script.source()));
    while (!open.isEmpty()) {
      String id = open.pop();
      if (!found.containsKey(id)
          && routines.apply(id).orElse(null) instanceof Routine.Script(var head, String source)) {
        found.put(id, source);
        open.addAll(named(source));
      }
    }
    return found;
  }
}
