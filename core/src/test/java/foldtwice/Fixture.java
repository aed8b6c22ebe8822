package foldtwice;

import foldtwice.binding.Binding;
import foldtwice.extras.Extras;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.place.Application;
import foldtwice.place.Context;
import foldtwice.place.Danger;
import foldtwice.place.NativeCommand;
import foldtwice.place.Place;
import foldtwice.place.Rule;
import foldtwice.place.Station;
import foldtwice.resolve.Keymap;
import foldtwice.routine.Routine;
import foldtwice.surface.Device;
import foldtwice.surface.Page;
import foldtwice.trigger.Direction;
import foldtwice.trigger.Notation;
import foldtwice.trigger.Platform;
import foldtwice.trigger.Shape;
import foldtwice.trigger.Stroke;
import foldtwice.trigger.Trigger;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * A small library, told in rows.
 *
 * <p>The application {@code app}: {@code sheet} (only a group) with {@code box} and {@code bare}
 * inside; {@code text}, which takes text, with {@code word} inside it; {@code grid} with {@code
 * cell}, which takes text, inside; {@code pane} with {@code rim} inside, chosen by the pointer's
 * place, where a row claims something in them: {@code box+rim} is the state with the focus in the
 * one and the pointer over the other. Each row claims: {@code "mine box Alt+."} or {@code "native
 * app Ctrl+S"}; a binding's id is its row.
 */
public final class Fixture {

  private Fixture() {}

  public static Library library(String... rows) {
    return library(List.of(), rows);
  }

  public static Library library(List<Rule> rules, String... rows) {
    LinkedHashMap<String, Binding> bindings = new LinkedHashMap<>();
    List<NativeCommand> commands = new ArrayList<>();
    for (String row : rows) {
      String[] f = row.split(" ", 3);
      List<Trigger> triggers = f.length < 3 ? List.of() : List.of(trigger(f[2]));
      if (f[0].equals("mine")) {
        bindings.put(row, new Binding(row, row, place(f[1]), triggers, Map.of(), 1, Extras.NONE));
      } else {
        commands.add(
            new NativeCommand(
                row,
                row,
                "",
                List.of(),
                triggers,
                place(f[1]),
                f[0].equals("native") ? 5 : 0,
                Danger.NONE,
                Optional.empty(),
                Extras.NONE));
      }
    }
    Application app =
        new Application("app", "App", "1", contexts(rows), commands, rules, List.of(), Extras.NONE);
    Map<String, Routine> routines = new LinkedHashMap<>();
    routines.put("r", Routine.Macro.of("r", "R", "app", List.of(), List.of()));
    for (String row : bindings.keySet()) {
      routines.put(row, Routine.Macro.of(row, "R", "app", List.of(), List.of()));
    }
    return new Library(
        "test",
        Map.of("app", app),
        Map.of("s", station()),
        Map.of(),
        routines,
        bindings,
        Map.of(),
        Map.of(),
        Map.of(),
        Map.of(),
        Map.of(),
        Map.of(),
        Map.of(),
        Map.of(),
        true,
        Extras.NONE);
  }

  private static List<Context> contexts(String... rows) {
    List<Context> contexts =
        new ArrayList<>(
            List.of(
                context(
                    "sheet",
                    true,
                    false,
                    context("box", false, false),
                    context("bare", false, false)),
                context("text", false, true, context("word", false, true)),
                context("grid", false, false, context("cell", false, true))));
    if (Stream.of(rows).anyMatch(r -> r.matches("\\w+ (pane|rim) .*"))) {
      contexts.add(context("pane", false, false, context("rim", false, false)).chosen(true));
    }
    return contexts;
  }

  /**
   * Keys in their notation, or {@code held A}, {@code up A}, {@code pad k1}, {@code drag left},
   * {@code slot 1}, {@code ring up}, {@code dial left}, {@code start}.
   */
  public static Trigger trigger(String written) {
    String[] f = written.split(" ", 2);
    return switch (f[0]) {
      case "start" -> new Trigger.AtStart();
      case "held" -> new Trigger.Held(stroke(f[1]), Trigger.Edge.DOWN);
      case "up" -> new Trigger.Held(stroke(f[1]), Trigger.Edge.UP);
      case "slot" -> new Trigger.Button("bar", Integer.parseInt(f[1]));
      case "ring" -> new Trigger.Radial("ring", Direction.of(f[1]).orElseThrow());
      case "dial" ->
          new Trigger.Dial("pad", "", "d1", Trigger.Turn.valueOf(f[1].toUpperCase(Locale.ROOT)));
      case "pad" -> new Trigger.PadKey("pad", "", f[1], Trigger.Duration.TAP);
      case "drag" ->
          new Trigger.Gesture(
              Trigger.PointerButton.RIGHT, List.of(Direction.of(f[1]).orElseThrow()));
      default -> Notation.read(written);
    };
  }

  private static Stroke stroke(String written) {
    return Notation.read(written).strokes().getFirst();
  }

  public static Station station() {
    return new Station(
        "s",
        "S",
        "us",
        Shape.ANSI,
        Platform.CONTROL,
        List.of(new Station.Reserved(Notation.read("Logo+L"), "lock")),
        List.of(),
        List.of(),
        Extras.NONE);
  }

  /**
   * A library with the device {@code pad} of some keys, {@code k1} and on, beside its station.
   *
   * @param k1 what the first key sends; empty for nothing
   */
  public static Library withPad(
      Library library, boolean plugged, int keys, Optional<Page.Sends> k1) {
    List<Device.Cap> caps =
        IntStream.range(0, keys)
            .mapToObj(i -> new Device.Cap("k" + (i + 1), "", i, 0, 1, 1, "", ""))
            .toList();
    Page page = new Page("", "", "", Map.of(), Map.of()).sending("k1", k1);
    Device pad = new Device("pad", "Pad", caps, List.of(), List.of(page), Extras.NONE);
    Station s = library.stations().values().iterator().next();
    Station with = s.withDevices(plugged ? List.of("pad") : List.of());
    return new Edit.Together(List.of(new Edit.PutStation(with), new Edit.PutSurface(pad)))
        .on(library);
  }

  public static Keymap keymap(Library library) {
    return Keymap.of(library, library.stations().values().iterator().next());
  }

  public static Place place(String name) {
    return switch (name) {
      case "everywhere" -> new Place.Everywhere();
      case "app" -> new Place.Whole("app");
      default -> {
        String[] parts = name.split("\\+");
        yield parts.length == 1
            ? new Place.Within("app", name)
            : new Place.Over("app", parts[0], parts[1]);
      }
    };
  }

  private static Context context(String id, boolean group, boolean text, Context... inner) {
    return new Context(id, id, List.of(inner), group, text, false, Extras.NONE);
  }
}
