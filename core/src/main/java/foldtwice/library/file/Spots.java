package foldtwice.library.file;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import foldtwice.extras.Extras;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;

/**
 * The objects inside one that is about to be written, where unknown fields of parts go back to. A
 * part is found by what it holds, whether it has been moved or not; of several alike the one at its
 * old place goes first. One that no list holds is found by its way alone.
 */
final class Spots {

  private static final class Spot {
    private final ObjectNode node;
    private final String names;
    private final String path;
    private final String content;
    private boolean taken;

    Spot(ObjectNode node, String names, String path) {
      this.node = node;
      this.names = names;
      this.path = path;
      this.content = identity(names, node);
    }
  }

  private final List<Spot> spots = new ArrayList<>();

  private Spots() {}

  /**
   * What a part is known by: all it holds, but for the files of programs, whose entries may be
   * written in two ways.
   */
  static String identity(String names, JsonNode part) {
    return switch (names) {
      case "files" -> part.path("station") + " " + part.path("application");
      case "files/entries" -> part.path("current") + " " + part.path("was");
      default -> part.toString();
    };
  }

  static Spots in(ObjectNode whole) {
    Spots all = new Spots();
    all.collect(whole, "", "");
    return all;
  }

  private void collect(JsonNode node, String names, String path) {
    if (node.isArray()) {
      for (int i = 0; i < node.size(); i++) {
        visit(node.get(i), names, path + "/" + i);
      }
    }
    for (var e : node.properties()) {
      String between = names.isEmpty() ? "" : "/";
      visit(e.getValue(), names + between + e.getKey(), path + between + e.getKey());
    }
  }

  private void visit(JsonNode node, String names, String path) {
    if (node instanceof ObjectNode object) {
      spots.add(new Spot(object, names, path));
    }
    collect(node, names, path);
  }

  /** Puts unknown fields back; those whose part is gone are gone with it. */
  void fill(List<Extras.Part> parts) {
    List<Extras.Part> rest = new ArrayList<>();
    for (Extras.Part part : parts) { // those that have not moved keep their places
      if (!fill(part, s -> alike(s, part) && s.path.equals(part.path()))) {
        rest.add(part);
      }
    }
    for (Extras.Part part : rest) {
      if (!fill(part, s -> alike(s, part)) && part.isFixed()) {
        fill(part, s -> s.path.equals(part.path()));
      }
    }
  }

  private static boolean alike(Spot spot, Extras.Part part) {
    return spot.names.equals(part.names()) && spot.content.equals(part.content());
  }

  private boolean fill(Extras.Part part, Predicate<Spot> fits) {
    Optional<Spot> spot = spots.stream().filter(s -> !s.taken && fits.test(s)).findFirst();
    spot.ifPresent(
        s -> {
          s.taken = true;
          Json.put(part.json(), s.node);
        });
    return spot.isPresent();
  }
}
