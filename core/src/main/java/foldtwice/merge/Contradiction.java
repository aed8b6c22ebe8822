package foldtwice.merge;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.List;
import java.util.Optional;

/**
 * Where both sides changed the same, each to something else.
 *
 * @param path from the library inwards: the names of fields, and the ids of what is in lists
 * @param base what it was; empty for nothing
 * @param ours what one side made of it; empty when it took it out
 * @param theirs what the other made of it
 * @param bothPossible true when both can be had
 * @param taken what is in the merged library
 */
public record Contradiction(
    List<String> path,
    Optional<JsonNode> base,
    Optional<JsonNode> ours,
    Optional<JsonNode> theirs,
    boolean bothPossible,
    Take taken) {
  public Contradiction {
    path = List.copyOf(path);
  }

  /** What it is about: a list of the library, and the id of what is in it; empty for itself. */
  public List<String> subject() {
    return path.subList(0, path.size() < 2 ? 0 : 2);
  }

  /** The field of that, from its outermost. */
  public List<String> field() {
    return path.subList(path.size() < 2 ? 0 : 2, path.size());
  }
}
