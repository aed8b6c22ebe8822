package foldtwice.words;

import static foldtwice.words.Words.TEXTS;

import foldtwice.conflict.Conflict;
import foldtwice.conflict.ConflictKind;
import foldtwice.conflict.Detail;
import foldtwice.conflict.Weight;
import foldtwice.library.Dangling;
import foldtwice.library.Library;
import foldtwice.place.Application;
import foldtwice.place.Place;
import foldtwice.place.WayIn;
import foldtwice.reading.Hindrance;
import foldtwice.ready.Entries;
import foldtwice.resolve.Claim;
import foldtwice.resolve.Owned;
import foldtwice.routine.Routine;
import foldtwice.trigger.Notation;
import foldtwice.trigger.Stroke;
import foldtwice.trigger.Trigger;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/** Says what is wrong, briefly and in sentences. */
final class ConflictWords {

  private final Words words;
  private final Library library;

  ConflictWords(Words words, Library library) {
    this.words = words;
    this.library = library;
  }

  /** In a few words, for a row of a list. */
  String brief(Conflict c) {
    return TEXTS.get("brief." + key(c), others(c), cost(c), detail(c, false));
  }

  String sentence(Conflict c) {
    String where =
        c.places().isEmpty()
            ? ""
            : c.everywhere()
                ? c.about().place() instanceof Place.Everywhere
                    ? TEXTS.get("where.everywhere")
                    : TEXTS.get("where.all", words.place(c.about().place()))
                : TEXTS.get("where.some", words.places(c.places()));
    return TEXTS.get(
        "sentence." + key(c),
        words.trigger(c.about().trigger()),
        who(c),
        others(c),
        where,
        cost(c),
        detail(c, true),
        c.claims().stream()
            .skip(1)
            .map(o -> words.trigger(o.trigger()))
            .distinct()
            .collect(Collectors.joining(", ")),
        owners(c).size(),
        claimants(c));
  }

  private List<String> owners(Conflict c) {
    return c.claims().stream().map(o -> words.owner(o.owner())).distinct().toList();
  }

  /** {@code by A, by B and by C}. */
  private String claimants(Conflict c) {
    List<String> by = owners(c).stream().map(o -> TEXTS.get("claimed.by", o)).toList();
    return by.size() < 2
        ? String.join("", by)
        : TEXTS.get("claimed.and", String.join(", ", by.subList(0, by.size() - 1)), by.getLast());
  }

  private String who(Conflict c) {
    return switch (c.detail()) {
      case Detail.NoDevice d when c.claims().size() > 1 -> TEXTS.get("bindings", c.claims().size());
      case Detail.Hindered(String routine, var by) -> ofRoutine(routine, c);
      case Detail.Settings(String routine, var names) -> ofRoutine(routine, c);
      case Detail.Undo(String routine) -> ofRoutine(routine, c);
      default -> words.owner(c.about().owner());
    };
  }

  /** The kind, and how it came about where that reads otherwise. */
  private static String key(Conflict c) {
    String id = c.kind().id();
    return switch (c.detail()) {
      case Detail.Copies(boolean differ) -> differ ? id + ".copies" : id;
      case Detail.Chain(Optional<Trigger.Keys> sends) ->
          sends.isEmpty()
              ? id + ".turns"
              : c.claims().size() > 1
                  ? id + ".taken"
                  : c.everywhere() || c.places().isEmpty() ? id : id + ".some";
      case Detail.NoDevice d -> id + ".device";
      case Detail.Hindered h when c.kind() == ConflictKind.MISSING && c.weight() == Weight.COSTS ->
          id + ".costs";
      case Detail.Dangles d -> id + ".dangles";
      case Detail.NoWay n -> id + ".way";
      case Detail.NoSlot n -> id + ".slot";
      case Detail.Down(var held, Detail.Harm harm) -> id + "." + harm;
      case Detail.Entry(var application, var entry, Entries.State state) -> id + "." + state;
      case Detail.Untyped(var stroke, Detail.Unmade why) -> id + "." + why;
      case Detail.Typed t -> id + ".instead";
      case Detail.None n
          when c.kind() == ConflictKind.TYPES_TEXT && c.about().trigger().keyStrokes().size() > 1 ->
          id + ".waits";
      default ->
          c.kind() == ConflictKind.INTERCEPTED && c.about().place() instanceof Place.Everywhere
              ? id + ".taking"
              : id;
    };
  }

  private String context(Conflict c, String context) {
    return c.about()
        .place()
        .applicationId()
        .map(a -> words.place(new Place.Within(a, context)))
        .orElse(context);
  }

  /** A rule, and the ways in for which it does not hold. */
  private String around(Conflict c, String rule) {
    String free =
        c.about().place().applicationId().map(library.applications()::get).stream()
            .flatMap(a -> a.ways().stream())
            .filter(WayIn::freeOfRules)
            .map(WayIn::name)
            .collect(Collectors.joining(", "));
    return free.isEmpty() ? rule : TEXTS.get("rule.around", rule, free);
  }

  /**
   * What there is to say beside the claims.
   *
   * @param all false for the first of several, and how many more there are
   */
  private String detail(Conflict c, boolean all) {
    return switch (c.detail()) {
      case Detail.None n -> "";
      case Detail.Held h -> "";
      case Detail.Copies d -> "";
      case Detail.Refused(var rule) -> around(c, words.rule(rule, c.about().place()));
      case Detail.Hindered(var routine, List<Hindrance> by) ->
          by.size() == 1 || all
              ? by.stream().map(words::hindrance).collect(Collectors.joining("; "))
              : TEXTS.get("hindrance.more", words.hindrance(by.getFirst()), by.size() - 1);
      case Detail.NoRoutine(String routine) -> TEXTS.get("lacks.routine", routine);
      case Detail.NoParameter(String parameter) -> TEXTS.get("lacks.parameter", parameter);
      case Detail.NoDevice(String device) ->
          library
              .device(device)
              .map(d -> TEXTS.get("wait.device", d.name()))
              .orElseGet(() -> TEXTS.get("dangling.DEVICE", device));
      case Detail.Dangles(Dangling what) -> words.dangling(what);
      case Detail.NoWay(String way) -> way;
      case Detail.NoSlot(int slots) -> Integer.toString(slots);
      case Detail.NeverStarts(List<String> startIn) ->
          TEXTS.get(
              "lacks.start",
              startIn.stream()
                  .map(context -> context(c, context))
                  .collect(Collectors.joining(", ")));
      case Detail.Argument(String parameter, String given, String allowed) ->
          given.isEmpty()
              ? TEXTS.get("wrong.empty", parameter, allowed)
              : TEXTS.get("wrong.argument", parameter, given, allowed);
      case Detail.Undo u -> "";
      case Detail.Settings(var routine, var names) -> String.join(", ", names);
      case Detail.Down(var held, var harm) -> held.words();
      case Detail.Chain(Optional<Trigger.Keys> sends) -> sends.map(Notation::write).orElse("");
      case Detail.Circle(List<Detail.Link> links) ->
          links.stream().map(this::link).collect(Collectors.joining(" "))
              + " "
              + links.stream().findFirst().map(l -> routine(l.routine())).orElse("");
      case Detail.Typed(String text) -> text;
      case Detail.Untyped(Stroke stroke, var why) -> Notation.word(stroke.key());
      case Detail.Entry(String application, String entry, var state) ->
          TEXTS.get(
              "entry.in",
              entry,
              Optional.ofNullable(library.applications().get(application))
                  .map(Application::name)
                  .orElse(application));
    };
  }

  private String link(Detail.Link link) {
    return link.presses()
        .map(k -> TEXTS.get("circle.presses", routine(link.routine()), words.trigger(k)))
        .orElseGet(() -> TEXTS.get("circle.calls", routine(link.routine())));
  }

  /** A routine, and how many bindings it has. */
  private String ofRoutine(String id, Conflict c) {
    return c.claims().size() == 1
        ? routine(id)
        : TEXTS.get("routine.bindings", routine(id), c.claims().size());
  }

  private String routine(String id) {
    return Optional.ofNullable(library.routines().get(id)).map(Routine::name).orElse(id);
  }

  private String others(Conflict c) {
    return c.claims().stream()
        .skip(1)
        .map(o -> words.owner(o.owner()))
        .distinct()
        .collect(Collectors.joining(", "));
  }

  /** What is lost with a native command: {@code 12 a week}. */
  private String cost(Conflict c) {
    return c.claims().stream()
        .skip(1)
        .map(Claim::owner)
        .flatMap(o -> Owned.command(library, o).stream())
        .findFirst()
        .map(n -> TEXTS.get("uses", Words.number(n.usesPerWeek())))
        .orElse("");
  }
}
