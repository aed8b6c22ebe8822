package foldtwice.handover;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import foldtwice.collecting.Licence;
import foldtwice.library.Library;
import foldtwice.library.file.FormatException;
import foldtwice.library.file.Json;
import foldtwice.library.file.LibraryJson;
import foldtwice.routine.Routine;
import foldtwice.sheet.About;
import foldtwice.text.Refusals;
import java.nio.charset.StandardCharsets;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Deque;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;

/**
 * A choice of bindings and routines with all they need, as one document (docs/kit.schema.json).
 *
 * <p>Law: {@code read(write(k)).equals(k)}.
 *
 * @param id what makes two of them versions of the same kit
 * @param library what is in it, as a library without stations
 */
public record Kit(Card card, String id, Library library) {

  /** What the field {@code format} says. */
  public static final String FORMAT = "fold-twice-kit";

  private static final int VERSION = 1;

  /** Larger files are no kits, in bytes. */
  public static final int MOST_BYTES = 16 * 1024 * 1024;

  private static final Pattern ID = Pattern.compile("[a-z0-9]([a-z0-9-]{0,62}[a-z0-9])?");

  /**
   * What is said of it.
   *
   * @param release which version of it this is, such as {@code 2}; may be empty
   * @param from whoever made it
   * @param licence an SPDX identifier or expression; may be empty
   */
  public record Card(String name, String release, String from, String licence, String notes) {}

  /** Something that comes along because something else needs it. */
  public record Along(String list, String id, String becauseList, String becauseId) {}

  /** A choice of parts, and what comes along with it. */
  public record Choice(Library library, List<Along> along, List<Routine> conditions) {
    public Choice {
      along = List.copyOf(along);
      conditions = List.copyOf(conditions);
    }
  }

  /**
   * What a kit of these parts would hold: they, all they need, and why; and the routines whose
   * licences set conditions on sharing.
   */
  public static Choice choose(Library library, Collection<About> some) throws FormatException {
    Set<Parts.Part> parts = new LinkedHashSet<>();
    for (About about : some) {
      about.bindings(library).forEach(b -> parts.add(new Parts.Part("bindings", b)));
      switch (about) {
        case About.OfRoutine(String r) -> parts.add(new Parts.Part("routines", r));
        case About.OfFamily(String f) -> parts.add(new Parts.Part("families", f));
        case About.OnDevice(String d) ->
            Parts.SURFACES.forEach(list -> parts.add(new Parts.Part(list, d)));
        case About.Program p -> {}
        case About.AtPlace p -> {}
        case About.MostUsed m -> {}
        case About.OfProcedure(String p) -> parts.add(new Parts.Part("procedures", p));
        case About.Everything e -> {
          library.families().keySet().forEach(f -> parts.add(new Parts.Part("families", f)));
          library.procedures().keySet().forEach(p -> parts.add(new Parts.Part("procedures", p)));
        }
      }
    }
    return choose(library, parts);
  }

  /** Those of the parts that are there, and all they need. */
  static Choice choose(Library library, Set<Parts.Part> some) throws FormatException {
    Parts parts = new Parts(library);
    Map<Parts.Part, Parts.Part> because = new LinkedHashMap<>();
    Deque<Parts.Part> next = new ArrayDeque<>(some);
    next.removeIf(p -> parts.get(p).isEmpty());
    next.forEach(p -> because.put(p, p));
    while (!next.isEmpty()) {
      Parts.Part part = next.poll();
      for (Parts.Part needed : parts.needs(part)) {
        if (because.putIfAbsent(needed, part) == null) {
          next.add(needed);
        }
      }
    }
    List<Along> along = new ArrayList<>();
    because.forEach(
        (part, of) -> {
          if (!part.equals(of)) {
            along.add(new Along(part.list(), part.id(), of.list(), of.id()));
          }
        });
    Library chosen = parts.only(because.keySet());
    return new Choice(
        chosen,
        along,
        chosen.routines().values().stream()
            .filter(r -> !r.origin().from().isEmpty()) // not what was made here
            .filter(r -> Licence.of(r.origin().licence()).hasConditions())
            .toList());
  }

  /** True for a document that says it is one. */
  public static boolean is(byte[] document) {
    try {
      return Json.parse(document).path("format").asText().equals(FORMAT);
    } catch (FormatException e) {
      return false; // no JSON, so none of these
    }
  }

  /**
   * Reads one.
   *
   * @throws FormatException when it is broken, of another kind, too large, or of a newer version
   */
  public static Kit read(byte[] document) throws FormatException {
    if (document.length > MOST_BYTES) {
      throw new FormatException(
          Refusals.says("handover.kit"),
          Refusals.says("handover.expected-at-most-mb", MOST_BYTES / 1024 / 1024));
    }
    JsonNode in = Json.parse(document);
    if (!in.path("format").asText().equals(FORMAT)) {
      throw new FormatException("/format", Refusals.says("handover.this-json-but-no", FORMAT));
    }
    if (!in.path("version").isInt() || in.path("version").asInt() != VERSION) {
      throw new FormatException(
          "/version",
          Refusals.says("handover.this-program-reads-kits", VERSION, in.path("version")));
    }
    String id = text(in, "id");
    if (!ID.matcher(id).matches()) {
      throw new FormatException("/id", Refusals.says("handover.expected-small-letters-digits", id));
    }
    if (!in.path("library").isObject()) {
      throw new FormatException("/library", Refusals.says("handover.expected-what-kit-as"));
    }
    Library library;
    try {
      library = LibraryJson.read(in.get("library").toString().getBytes(StandardCharsets.UTF_8));
    } catch (FormatException e) {
      throw e.in("/library");
    }
    if (!library.stations().isEmpty()) {
      throw new FormatException(
          "/library/stations", Refusals.says("handover.kit-brings-no-stations"));
    }
    Card card =
        new Card(
            text(in, "name"),
            text(in, "release"),
            text(in, "from"),
            text(in, "licence"),
            text(in, "notes"));
    if (card.name().isBlank()) {
      throw new FormatException("/name", Refusals.says("handover.kit-needs-name"));
    }
    return new Kit(card, id, library);
  }

  private static String text(JsonNode in, String field) throws FormatException {
    JsonNode value = in.path(field);
    if (value.isMissingNode()) {
      return "";
    }
    if (!value.isTextual()) {
      throw new FormatException(
          "/" + field, Refusals.says("handover.expected-text-found", value.getNodeType()));
    }
    return value.asText();
  }

  /** The document, in stable order, ending in a line feed. */
  public String write() {
    ObjectNode out = Json.object().put("format", FORMAT).put("version", VERSION);
    out.put("id", id).put("name", card.name());
    if (!card.release().isEmpty()) {
      out.put("release", card.release());
    }
    if (!card.from().isEmpty()) {
      out.put("from", card.from());
    }
    if (!card.licence().isEmpty()) {
      out.put("licence", card.licence());
    }
    if (!card.notes().isEmpty()) {
      out.put("notes", card.notes());
    }
    out.set("library", LibraryJson.tree(library));
    return Json.print(out);
  }
}
