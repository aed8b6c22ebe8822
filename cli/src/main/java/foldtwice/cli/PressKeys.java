package foldtwice.cli;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import foldtwice.binding.Binding;
import foldtwice.conflict.Makeable;
import foldtwice.library.Library;
import foldtwice.library.file.Json;
import foldtwice.place.Application;
import foldtwice.place.Place;
import foldtwice.place.Station;
import foldtwice.resolve.Claim;
import foldtwice.resolve.Explanation;
import foldtwice.resolve.Keymap;
import foldtwice.resolve.Outcome;
import foldtwice.resolve.Owner;
import foldtwice.resolve.Resolver;
import foldtwice.routine.Routine;
import foldtwice.trigger.Notation;
import foldtwice.trigger.NotationException;
import foldtwice.trigger.Signal;
import foldtwice.trigger.Trigger;
import foldtwice.words.Words;
import java.io.PrintWriter;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

@Command(
    mixinStandardHelpOptions = true,
    name = "press",
    description = {
      "Tells what fires when keys are pressed in a place, and why.",
      "Exit 0: something fired; 1: nothing did; 2: input not usable."
    })
final class PressKeys implements Callable<Integer> {

  @Mixin private Input input;

  @Parameters(index = "1", paramLabel = "KEYS", description = "such as \"Alt+.\" or \"L then B\"")
  private String keys;

  @Option(
      names = "--place",
      required = true,
      paramLabel = "PLACE",
      description = "such as \"Tagpress/box selected\"")
  private String place;

  @Option(names = "--format", description = "text or json", defaultValue = "text")
  private Format format;

  @Spec private CommandSpec spec;

  /**
   * @param idle a binding that fires and whose routine does not run: it is switched off, or nobody
   *     has looked through it
   */
  private record Pressed(
      Optional<Claim> fired, List<Outcome> outcomes, Explanation why, Optional<Routine> idle) {}

  @Override
  public Integer call() throws Unusable {
    Library library = input.library();
    Station station = input.station(library);
    Keymap keymap = Keymap.of(library, station);
    Trigger.Keys trigger = trigger();
    Pressed pressed =
        press(library, keymap, state(library), presses(library, keymap, station, trigger));
    PrintWriter out = spec.commandLine().getOut();
    switch (format) {
      case json -> out.print(Json.print(json(library, pressed)));
      case text ->
          text(
              new Words(library),
              pressed,
              new Words(library).besides(trigger, station),
              new Lines(out));
    }
    out.flush();
    return pressed.fired.isPresent() ? Exit.WELL : Exit.NO;
  }

  private Place state(Library library) throws Unusable {
    Place named =
        library
            .placeNamed(place)
            .orElseThrow(
                () ->
                    new Unusable(
                        "no place \""
                            + place
                            + "\"; there are "
                            + String.join(
                                ", ", library.places().stream().map(library::nameOf).toList())));
    List<Place> states =
        library.applications().values().stream()
            .flatMap((Application a) -> a.states().stream())
            .toList();
    if (!states.contains(named)) {
      throw new Unusable(
          "\""
              + place
              + "\" is a group of places; press in one of "
              + String.join(", ", states.stream().map(library::nameOf).toList()));
    }
    return named;
  }

  private List<Signal> presses(
      Library library, Keymap keymap, Station station, Trigger.Keys trigger) throws Unusable {
    if (!Makeable.isMade(trigger, library, keymap)) {
      throw new Unusable(
          "\""
              + keys
              + "\" cannot be typed on the keyboard of "
              + station.name()
              + " ("
              + station.layout()
              + ", "
              + station.shape().name().toLowerCase(Locale.ROOT)
              + "); choose another --station or another key");
    }
    return keymap.paths(trigger).getFirst();
  }

  private Trigger.Keys trigger() throws Unusable {
    try {
      return Notation.read(keys);
    } catch (NotationException e) {
      throw new Unusable(e.getMessage(), e);
    }
  }

  private static Pressed press(Library library, Keymap keymap, Place state, List<Signal> presses) {
    List<Outcome> outcomes = Resolver.outcomes(keymap, state, presses);
    Optional<Claim> fired =
        outcomes.stream()
            .filter(o -> o instanceof Outcome.Fired)
            .map(o -> ((Outcome.Fired) o).claim())
            .reduce((first, last) -> last);
    Optional<Routine> idle =
        fired
            .filter(c -> c.owner() instanceof Owner.Yours)
            .map(c -> library.bindings().get(((Owner.Yours) c.owner()).binding()))
            .flatMap(library::routineOf)
            .filter(r -> r.card().off() || !r.origin().seen());
    return new Pressed(
        idle.isPresent() ? Optional.empty() : fired,
        outcomes,
        Explanation.of(keymap, state, presses),
        idle);
  }

  /** What a press comes to, in words; nothing for one that only leads on. */
  private static Optional<String> says(Words words, Outcome outcome) {
    return switch (outcome) {
      case Outcome.Fired(Claim claim) -> Optional.of("fires " + words.owner(claim.owner()));
      case Outcome.Undecided(List<Claim> claims) ->
          Optional.of(
              "fires nothing: "
                  + claims.stream()
                      .map(c -> words.owner(c.owner()))
                      .collect(Collectors.joining(" and "))
                  + " have an equal right to it");
      case Outcome.Typed(String text) -> Optional.of("types \"" + text + "\"");
      case Outcome.Waiting w -> Optional.empty();
      case Outcome.Unclaimed u -> Optional.of("fires nothing");
    };
  }

  private void text(Words words, Pressed pressed, Optional<String> besides, Lines out) {
    List<String> comes = pressed.outcomes.stream().flatMap(o -> says(words, o).stream()).toList();
    out.line(
        "%s %s",
        keys,
        comes.isEmpty()
            ? "waits"
            : String.join(", then ", comes).replace(", then fires ", ", then "));
    besides.ifPresent(says -> out.line("  %s", says));
    pressed.idle.ifPresent(
        r ->
            out.line(
                "  %s %s: it does not run",
                r.name(), r.card().off() ? "is switched off" : "was looked through by nobody"));
    pressed
        .why
        .layers()
        .forEach(l -> out.line("  %-26s %s", words.layer(l.layer()), words.verdict(l)));
  }

  /** One outcome; those of a sequence stand in their order, the last is what it came to. */
  private static ObjectNode outcome(Words words, Outcome outcome) {
    ObjectNode out = Json.object();
    switch (outcome) {
      case Outcome.Fired(Claim claim) -> out.set("fires", Shown.claim(words, claim));
      case Outcome.Waiting w -> out.put("waits", true);
      case Outcome.Undecided(List<Claim> claims) -> {
        ArrayNode list = out.putArray("undecided");
        claims.forEach(c -> list.add(Shown.claim(words, c)));
      }
      case Outcome.Typed(String text) -> out.put("types", text);
      case Outcome.Unclaimed(var press) -> out.set("nothing", Shown.presses(List.of(press)));
    }
    return out;
  }

  private static ObjectNode json(Library library, Pressed pressed) {
    Words words = new Words(library);
    ObjectNode out = Json.object();
    out.set("fired", pressed.fired.map(c -> Shown.claim(words, c)).orElse(null));
    Optional<Binding> binding =
        pressed
            .fired
            .filter(c -> c.owner() instanceof Owner.Yours)
            .map(c -> library.bindings().get(((Owner.Yours) c.owner()).binding()));
    out.put("binding", binding.map(Binding::id).orElse(null));
    out.put("routine", binding.map(Binding::routine).orElse(null));
    ObjectNode arguments = out.putObject("arguments");
    binding.ifPresent(
        b -> b.arguments().forEach((name, value) -> arguments.put(name, value.shown())));
    ArrayNode outcomes = out.putArray("outcomes");
    pressed.outcomes.forEach(o -> outcomes.add(outcome(words, o)));
    ArrayNode layers = out.putArray("layers");
    for (Explanation.LayerReport l : pressed.why.layers()) {
      ObjectNode one = layers.addObject().put("layer", words.layer(l.layer()));
      one.put("verdict", l.verdict().name().toLowerCase(java.util.Locale.ROOT).replace('_', '-'));
      one.put("says", words.verdict(l));
      ArrayNode claims = one.putArray("claims");
      l.claims().forEach(c -> claims.add(Shown.claim(words, c)));
      if (!l.behind().isEmpty()) {
        ArrayNode behind = one.putArray("behind");
        l.behind().forEach(c -> behind.add(Shown.claim(words, c)));
      }
    }
    return out;
  }
}
