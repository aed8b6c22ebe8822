package foldtwice.handover;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import foldtwice.library.Library;
import foldtwice.library.file.Disk;
import foldtwice.library.file.FormatException;
import foldtwice.library.file.Json;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * The kits that were taken into a library, in a folder beside it: of each the last {@value #MOST}
 * versions, and under which ids they are there. Without it a later version of a kit is taken as
 * another kit.
 */
public final class KitShelf {

  /** Older versions are forgotten. */
  public static final int MOST = 5;

  /**
   * What was taken of a kit.
   *
   * @param library the kit as it was taken
   * @param ids list and id, and the id it got
   */
  public record Taken(Kit kit, Library library, Map<String, String> ids) {}

  private KitShelf() {}

  private static Path of(Path library, String kit) {
    return library.resolveSibling(library.getFileName() + ".kits").resolve(kit + ".json");
  }

  /**
   * The version of a kit that a library has: the one of which most is there as it was taken, since
   * taking the last one may have been undone; of equals the last. Empty when nothing of any is
   * there.
   *
   * @throws FormatException when the file is there and cannot be used
   */
  public static Optional<Taken> in(Library mine, Path file, String kit)
      throws IOException, FormatException {
    Parts there = new Parts(mine);
    Taken best = null;
    int most = 0;
    for (Taken t : all(file, kit)) {
      int same = Taking.same(there, new Parts(t.library()));
      if (same > 0 && same >= most) {
        best = t;
        most = same;
      }
    }
    return Optional.ofNullable(best);
  }

  private static List<Taken> all(Path library, String kit) throws IOException, FormatException {
    Path file = of(library, kit);
    byte[] bytes;
    try {
      bytes = Files.readAllBytes(file);
    } catch (NoSuchFileException e) {
      return List.of();
    }
    List<Taken> all = new ArrayList<>();
    try {
      for (JsonNode in : Json.parse(bytes).path("taken")) {
        Kit was = Kit.read(in.path("kit").toString().getBytes(StandardCharsets.UTF_8));
        Map<String, String> ids = new LinkedHashMap<>();
        for (Map.Entry<String, JsonNode> e : in.path("ids").properties()) {
          if (e.getKey().matches("[a-z]+/.+")) {
            ids.put(e.getKey(), e.getValue().asText());
          }
        }
        all.add(new Taken(was, Taking.asTaken(was, ids), ids));
      }
    } catch (FormatException e) {
      throw e.in(file.toString());
    }
    return all;
  }

  /** Keeps what was taken, for the next version. */
  public static void keep(Path library, Kit kit, Map<String, String> ids)
      throws IOException, FormatException {
    Path file = of(library, kit.id());
    List<Taken> all = new ArrayList<>(all(library, kit.id()));
    all.removeIf(t -> t.kit().equals(kit));
    all.add(new Taken(kit, kit.library(), ids));
    ObjectNode out = Json.object();
    ArrayNode taken = out.putArray("taken");
    for (Taken t : all.subList(Math.max(0, all.size() - MOST), all.size())) {
      ObjectNode one = taken.addObject();
      one.set("kit", Json.parse(t.kit().write().getBytes(StandardCharsets.UTF_8)));
      ObjectNode its = one.putObject("ids");
      t.ids().forEach(its::put);
    }
    Files.createDirectories(file.getParent());
    Disk.replace(file, Json.print(out).getBytes(StandardCharsets.UTF_8));
  }
}
