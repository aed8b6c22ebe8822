package foldtwice.words;

import static foldtwice.words.Words.TEXTS;

import com.fasterxml.jackson.databind.JsonNode;
import foldtwice.library.Library;
import foldtwice.library.Procedure;
import foldtwice.merge.Contradiction;
import foldtwice.merge.Differing;
import foldtwice.place.Application;
import foldtwice.place.Place;
import foldtwice.place.Station;
import foldtwice.routine.Routine;
import foldtwice.surface.Surface;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;

/** Says what is different between two libraries, and where two sides contradict each other. */
public final class MergeWords {

  /** Longer values are cut, in characters. */
  private static final int LONGEST = 90;

  private final Words was;
  private final Words is;

  /** In the words of two libraries, whose parts are called as they are called there. */
  public MergeWords(Words was, Words is) {
    this.was = was;
    this.is = is;
  }

  /** A row: {@code changed Shift boxes, dx +0.5 mm: triggers Alt+. → Alt+K}. */
  public String of(Differing.Row row) {
    String name = named(row.list(), row.how() == Differing.How.ADDED ? row.now() : row.id());
    return row.fields().isEmpty()
        ? name
        : TEXTS.get(
            "merge.changed",
            name,
            row.fields().stream()
                .map(f -> field(row.list(), row.id(), row.now(), f))
                .collect(Collectors.joining("; ")));
  }

  /** How a part differs, in a word. */
  public static String how(Differing.How how) {
    return TEXTS.get("merge.how." + how);
  }

  /** What both sides made of it. */
  public String of(Contradiction c) {
    return of(c, "merge.contradiction", "merge.taken.");
  }

  /** The same where one side is what is here, and the other a kit. */
  public String ofKit(Contradiction c) {
    return of(c, "merge.kit", "merge.kittaken.");
  }

  private String of(Contradiction c, String text, String taken) {
    List<String> subject = c.subject();
    String name = subject.isEmpty() ? named("", "") : named(subject.get(0), subject.get(1));
    return TEXTS.get(
        text,
        c.field().isEmpty() ? name : name + ", " + path(c.field()),
        shown(c.ours()),
        shown(c.theirs()),
        TEXTS.get(taken + c.taken()));
  }

  /** What has become of something by now: {@code Shift boxes, triggers is now Alt+K}. */
  public String standing(Contradiction c) {
    List<String> subject = c.subject();
    String name = subject.isEmpty() ? named("", "") : named(subject.get(0), subject.get(1));
    return TEXTS.get(
        "merge.standing",
        c.field().isEmpty() ? name : name + ", " + path(c.field()),
        shown(c.ours()));
  }

  /** The way to a field; names of files such as {@code usesPerWeek} as words. */
  private static String path(List<String> field) {
    return field.stream().map(MergeWords::spaced).collect(Collectors.joining(" \u203a "));
  }

  private static String spaced(String name) {
    return name.matches("[a-z]+([A-Z][a-z]+)+")
        ? name.replaceAll("([A-Z])", " $1").toLowerCase(Locale.ROOT)
        : name;
  }

  private String field(String list, String id, String now, Differing.Field f) {
    String path = path(f.path());
    if (list.equals("bindings") && f.path().equals(List.of("triggers"))) {
      return TEXTS.get("merge.field", path, triggers(was, id), triggers(is, now));
    }
    if (list.equals("bindings") && f.path().equals(List.of("place"))) {
      return TEXTS.get("merge.field", path, place(was, f.was()), place(is, f.is()));
    }
    return TEXTS.get("merge.field", path, shown(f.was()), shown(f.is()));
  }

  private static String triggers(Words words, String binding) {
    String all =
        words.library().bindings().get(binding).triggers().stream()
            .map(words::trigger)
            .collect(Collectors.joining(", "));
    return all.isEmpty() ? TEXTS.get("merge.nothing") : all;
  }

  private static String place(Words words, Optional<JsonNode> id) {
    return id.map(p -> words.place(Place.of(p.asText())))
        .orElseGet(() -> TEXTS.get("merge.nothing"));
  }

  private static String shown(Optional<JsonNode> value) {
    String text =
        value
            .map(v -> v.isTextual() ? v.asText() : v.toString())
            .orElseGet(() -> TEXTS.get("merge.nothing"));
    String line = text.replace('\n', ' ');
    return line.length() > LONGEST ? line.substring(0, LONGEST) + "\u2026" : line;
  }

  /** A part by what it is called; the library itself when there is no list. */
  public String named(String list, String id) {
    return switch (list) {
      case "" -> TEXTS.get("merge.library");
      case "bindings" ->
          in(Library::bindings, id)
              .map(
                  b -> TEXTS.get("merge.binding", words(id).binding(b), words(id).place(b.place())))
              .orElse(id);
      case "routines" -> in(Library::routines, id).map(Routine::name).orElse(id);
      case "applications" -> in(Library::applications, id).map(Application::name).orElse(id);
      case "stations" -> in(Library::stations, id).map(Station::name).orElse(id);
      case "devices", "toolbars", "menus", "offerings" ->
          in(Library::surfaces, id).map(Surface::name).orElse(id);
      case "descriptions" -> TEXTS.get("merge.description", named("applications", id));
      case "families" -> in(Library::families, id).map(f -> f.name()).orElse(id);
      case "procedures" -> in(Library::procedures, id).map(Procedure::name).orElse(id);
      default -> list + " " + id;
    };
  }

  private Words words(String binding) {
    return was.library().bindings().containsKey(binding) ? was : is;
  }

  private <T> Optional<T> in(Function<Library, Map<String, T>> list, String id) {
    return Optional.ofNullable(list.apply(was.library()).get(id))
        .or(() -> Optional.ofNullable(list.apply(is.library()).get(id)));
  }
}
