package foldtwice.handover;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import foldtwice.library.Library;
import foldtwice.library.file.Disk;
import foldtwice.library.file.FormatException;
import foldtwice.library.file.Json;
import foldtwice.library.file.LibraryJson;
import foldtwice.text.Refusals;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.time.Instant;
import java.time.format.DateTimeParseException;
import java.util.Optional;

/**
 * A kit that is put on for a while over a library, and what the library was before: in a file
 * beside it, which is there before the kit is put on and goes after it was taken off. So it can be
 * taken off with everything as it was, whatever happens in between.
 *
 * @param kit its name
 * @param was the library without it
 */
public record Guest(String kit, Instant since, Library was) {

  private static Path of(Path library) {
    return library.resolveSibling(library.getFileName() + ".guest");
  }

  /**
   * The guest of a library, if there is one.
   *
   * @throws FormatException when the file is there and cannot be read
   */
  public static Optional<Guest> at(Path library) throws IOException, FormatException {
    Path file = of(library);
    byte[] bytes;
    try {
      bytes = Files.readAllBytes(file);
    } catch (NoSuchFileException e) {
      return Optional.empty();
    }
    try {
      JsonNode in = Json.parse(bytes);
      return Optional.of(
          new Guest(
              in.path("guest").asText(),
              Instant.parse(in.path("since").asText()),
              LibraryJson.read(in.path("was").toString().getBytes(StandardCharsets.UTF_8))));
    } catch (DateTimeParseException e) {
      throw new FormatException(file.toString(), Refusals.says("handover.since-when-there-cannot"));
    } catch (FormatException e) {
      throw e.in(file.toString());
    }
  }

  /** Keeps what the library was, before the kit is put on. */
  public void arrive(Path library) throws IOException {
    ObjectNode out = Json.object().put("guest", kit).put("since", since.toString());
    out.set("was", LibraryJson.tree(was));
    Disk.replace(of(library), Json.print(out).getBytes(StandardCharsets.UTF_8));
  }

  /** The library is as it was. */
  public static void leave(Path library) throws IOException {
    Files.deleteIfExists(of(library));
  }
}
