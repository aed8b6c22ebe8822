package foldtwice.plan;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import foldtwice.library.Library;
import foldtwice.library.file.Disk;
import foldtwice.library.file.FormatException;
import foldtwice.library.file.Json;
import foldtwice.text.Refusals;
import foldtwice.trigger.Notation;
import foldtwice.trigger.Trigger;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * What was planned for a library and what was wished, in a file beside it, so that one can go on
 * with it later.
 *
 * @param locked ids of bindings that stay
 * @param refused triggers bindings shall not have, by their ids
 * @param plans the last of each program, and the last of all
 */
public record PlanShelf(Set<String> locked, Map<String, Set<Trigger>> refused, List<Kept> plans) {

  /** Nothing planned and nothing wished. */
  public static final PlanShelf EMPTY = new PlanShelf(Set.of(), Map.of(), List.of());

  /** A file beyond this is not one of ours, in bytes. */
  private static final long LARGEST = 64L << 20;

  private static final String FORMAT = "fold-twice-plans";

  /**
   * A plan, and for what it was made.
   *
   * @param application its id; nothing for all programs
   * @param moves how many bindings might be moved
   * @param everywhere whether for all stations
   * @param displacing whether commands of programs might lose their keys
   * @param station the id of the one it was made on
   * @param print its {@link Basis}, in a few letters
   * @param of its basis; empty where it is known only that it was another one
   */
  public record Kept(
      Optional<String> application,
      int moves,
      boolean everywhere,
      boolean displacing,
      String station,
      String print,
      Optional<Library> of,
      Plan plan) {

    /** One that was made just now, of a library. Costs writing all of it. */
    public static Kept made(
        Planning.Wanted wanted, boolean everywhere, String station, Library of, Plan plan) {
      Library basis = Basis.of(of, wanted.application(), plan);
      return new Kept(
          wanted.application(),
          wanted.moves(),
          everywhere,
          wanted.displacing(),
          station,
          Basis.print(basis),
          Optional.of(basis),
          plan);
    }

    /**
     * True when what the plan says holds on a station in a library: nothing has changed but what
     * was taken of it. Costs a pass over the library.
     */
    public boolean holds(Library library, String on) {
      return of.isPresent()
          && (everywhere || on.equals(station))
          && of.get().equals(Basis.of(library, application, plan));
    }
  }

  public PlanShelf {
    locked = Set.copyOf(locked);
    refused = Map.copyOf(refused);
    plans = List.copyOf(plans);
  }

  /** The plan of a program, or of all. */
  public Optional<Kept> of(Optional<String> application) {
    return plans.stream().filter(p -> p.application().equals(application)).findFirst();
  }

  /** With another plan in the place of the last for the same. */
  public PlanShelf with(Kept plan) {
    return new PlanShelf(
        locked,
        refused,
        Stream.concat(
                Stream.of(plan),
                plans.stream().filter(p -> !p.application().equals(plan.application())))
            .toList());
  }

  /** With other wishes. */
  public PlanShelf with(Set<String> locks, Map<String, Set<Trigger>> refusals) {
    return new PlanShelf(locks, refusals, plans);
  }

  private static Path of(Path library) {
    return library.resolveSibling(library.getFileName() + ".plans");
  }

  /**
   * What is kept beside a library; {@link #EMPTY} where nothing is. What is about bindings that are
   * gone is left out.
   *
   * @param file of the library
   * @throws FormatException when there is something that cannot be used
   */
  public static PlanShelf read(Path file, Library library) throws IOException, FormatException {
    Path shelf = of(file);
    byte[] bytes;
    try {
      if (Files.size(shelf) > LARGEST) {
        throw new FormatException(
            shelf.toString(), Refusals.says("plan.expected-at-most-bytes", LARGEST));
      }
      bytes = Files.readAllBytes(shelf);
    } catch (NoSuchFileException e) {
      return EMPTY;
    }
    try {
      return read(Json.parse(bytes), library);
    } catch (IllegalArgumentException e) {
      FormatException placed = new FormatException(shelf.toString(), e.getMessage());
      placed.initCause(e);
      throw placed;
    }
  }

  private static PlanShelf read(JsonNode in, Library library) {
    if (!in.path("format").asText().equals(FORMAT) || in.path("version").asInt() != 1) {
      throw new IllegalArgumentException("expected plans of format version 1");
    }
    Set<String> locked = new LinkedHashSet<>();
    in.path("locked").forEach(l -> locked.add(l.asText()));
    locked.retainAll(library.bindings().keySet());
    Map<String, Set<Trigger>> refused = new LinkedHashMap<>();
    for (Map.Entry<String, JsonNode> e : in.path("refused").properties()) {
      if (library.bindings().containsKey(e.getKey())) {
        Set<Trigger> its = new HashSet<>();
        e.getValue().forEach(t -> its.add(Notation.read(t.asText())));
        refused.put(e.getKey(), Set.copyOf(its));
      }
    }
    List<Kept> plans = new ArrayList<>();
    for (JsonNode p : in.path("plans")) {
      Plan plan = PlanJson.read(p, library);
      Optional<String> application =
          Optional.ofNullable(p.get("application")).map(JsonNode::asText);
      Library basis = Basis.of(library, application, plan);
      String print = p.path("of").asText();
      plans.add(
          new Kept(
              application,
              p.path("moves").asInt(),
              p.path("everywhere").asBoolean(),
              p.path("displacing").asBoolean(),
              p.path("station").asText(),
              print,
              Optional.of(basis).filter(b -> Basis.print(b).equals(print)),
              plan));
    }
    return new PlanShelf(locked, refused, plans);
  }

  /**
   * Keeps it beside a library, in the place of what was kept there.
   *
   * @param file of the library
   */
  public void write(Path file) throws IOException {
    ObjectNode out = Json.object();
    out.put("format", FORMAT).put("version", 1);
    ArrayNode locks = out.putArray("locked");
    locked.stream().sorted().forEach(locks::add);
    ObjectNode refusals = out.putObject("refused");
    refused.forEach(
        (binding, triggers) -> {
          ArrayNode its = refusals.putArray(binding);
          triggers.stream().map(Notation::write).sorted().forEach(its::add);
        });
    ArrayNode all = out.putArray("plans");
    for (Kept k : plans) {
      ObjectNode one = all.addObject();
      k.application().ifPresent(a -> one.put("application", a));
      one.put("moves", k.moves())
          .put("everywhere", k.everywhere())
          .put("displacing", k.displacing())
          .put("station", k.station())
          .put("of", k.print());
      PlanJson.write(k.plan(), one);
    }
    Disk.replace(of(file), Json.print(out).getBytes(StandardCharsets.UTF_8));
  }
}
