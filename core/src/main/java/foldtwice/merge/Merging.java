package foldtwice.merge;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import foldtwice.library.Library;
import foldtwice.library.file.FormatException;
import foldtwice.library.file.Json;
import foldtwice.library.file.LibraryJson;
import java.nio.charset.StandardCharsets;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;

/**
 * Two libraries that came from the same one, made one by meaning.
 *
 * <ol>
 *   <li>What only one side changed is as that side has it: parts of the library by their ids, and
 *       each field of a part by itself.
 *   <li>Of triggers, rules, devices and the like, what either side added is in, and what either
 *       took out is not.
 *   <li>Steps and the lines of a source text go place by place.
 *   <li>What both changed, each to something else, is a {@link Contradiction}. Unless somebody
 *       decides, both are taken where that is possible; what one side took out and the other
 *       changed stays; else ours is taken.
 *   <li>Two things that came under one id are two: of bindings both are in, the second under an id
 *       of its own; of anything else one is taken whole.
 *   <li>Fields that make no whole when they come from both sides go together, as one contradiction.
 *   <li>What one side took out while something of the other side needs it stays: that is a
 *       contradiction, too.
 * </ol>
 *
 * <p>Laws: merging with an unchanged side gives the other side; two equal sides give either; the
 * order of the sides matters to nothing but contradictions; merging the outcome once more changes
 * nothing; what only one side has is never dropped. Costs a pass over the three documents.
 *
 * @param library what came of it
 */
public record Merging(Library library, List<Contradiction> contradictions) {
  public Merging {
    contradictions = List.copyOf(contradictions);
  }

  /** Both where possible, else what {@link Merging} says. */
  public static Merging of(Library base, Library ours, Library theirs) throws FormatException {
    return of(base, ours, theirs, path -> Take.BOTH);
  }

  /**
   * The same, somebody having decided.
   *
   * @param taking what is taken at the {@linkplain Contradiction#path path} of a contradiction
   * @throws FormatException when what comes of it is no library: who decides may ask for that
   */
  public static Merging of(
      Library base, Library ours, Library theirs, Function<List<String>, Take> taking)
      throws FormatException {
    if (ours.equals(theirs) || base.equals(theirs)) {
      return new Merging(ours, List.of());
    }
    if (base.equals(ours)) {
      return new Merging(theirs, List.of());
    }
    JsonNode was = tree(base);
    JsonNode one = tree(ours);
    JsonNode other = tree(theirs);
    Set<List<String>> whole = new HashSet<>();
    while (true) {
      Trees trees = new Trees(taking, whole);
      ObjectNode merged = (ObjectNode) trees.merged(was, one, other, List.of());
      new Needed(trees, was, one, other, merged).restore();
      try {
        return new Merging(
            LibraryJson.read(Json.print(merged).getBytes(StandardCharsets.UTF_8)),
            trees.contradictions());
      } catch (FormatException e) {
        if (!whole.add(part(merged, e).orElseThrow(() -> e))) {
          throw e;
        }
      }
    }
  }

  /** The part that is none any more when its fields come from both sides. */
  private static Optional<List<String>> part(JsonNode merged, FormatException fault) {
    String[] path = fault.where().split("/");
    if (path.length < 3 || !path[2].matches("\\d+")) {
      return Optional.empty();
    }
    JsonNode list = merged.path(path[1]);
    return Keyed.by(List.of(list))
        .map(key -> List.copyOf(Keyed.members(list, key).keySet()))
        .filter(ids -> Integer.parseInt(path[2]) < ids.size())
        .map(ids -> List.of(path[1], ids.get(Integer.parseInt(path[2]))));
  }

  /** As it reads when it is written: numbers are told as they come back. */
  static JsonNode tree(Library library) throws FormatException {
    return Json.parse(LibraryJson.tree(library).toString().getBytes(StandardCharsets.UTF_8));
  }
}
