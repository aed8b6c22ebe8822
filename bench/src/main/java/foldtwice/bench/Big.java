package foldtwice.bench;

import foldtwice.binding.Binding;
import foldtwice.extras.Extras;
import foldtwice.library.Library;
import foldtwice.place.Application;
import foldtwice.place.Context;
import foldtwice.place.Danger;
import foldtwice.place.NativeCommand;
import foldtwice.place.Place;
import foldtwice.place.Station;
import foldtwice.routine.Kind;
import foldtwice.routine.LengthUnit;
import foldtwice.routine.Parameter;
import foldtwice.routine.Routine;
import foldtwice.routine.Value;
import foldtwice.trigger.Key;
import foldtwice.trigger.KeyCode;
import foldtwice.trigger.Modifiers;
import foldtwice.trigger.Notation;
import foldtwice.trigger.Platform;
import foldtwice.trigger.Shape;
import foldtwice.trigger.Stroke;
import foldtwice.trigger.Trigger;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;

/**
 * Libraries as large as asked: ten applications, each with its share of the contexts (pairs, one
 * inside the other) and 100 native commands; one binding in ten has a sequence of two strokes.
 */
final class Big {

  private static final int APPLICATIONS = 10;
  private static final List<KeyCode> KEYS =
      List.of(KeyCode.values()).stream().filter(k -> !k.isModifier()).toList();

  private Big() {}

  static Library library(int bindings, int contexts, long seed) {
    Random random = new Random(seed);
    LinkedHashMap<String, Application> applications = new LinkedHashMap<>();
    List<Place> places = new ArrayList<>();
    for (int a = 0; a < APPLICATIONS; a++) {
      Application application = application("app" + a, contexts / APPLICATIONS, random);
      applications.put(application.id(), application);
      application
          .allContexts()
          .forEach(c -> places.add(new Place.Within(application.id(), c.id())));
    }
    Routine routine = routine();
    LinkedHashMap<String, Binding> all = new LinkedHashMap<>();
    for (int i = 0; i < bindings; i++) {
      String id = "b" + i;
      Value dx = new Value.Length(BigDecimal.valueOf(random.nextInt(-99, 99), 1), LengthUnit.MM);
      all.put(
          id,
          new Binding(
              id,
              routine.id(),
              places.get(i % places.size()),
              List.of(trigger(random, 10)),
              Map.of("dx", dx),
              random.nextInt(400),
              Extras.NONE));
    }
    return new Library(
        "big",
        applications,
        Map.of("s", station()),
        Map.of(),
        Map.of(routine.id(), routine),
        all,
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

  private static Station station() {
    return new Station(
        "s",
        "S",
        "us",
        Shape.ISO,
        Platform.CONTROL,
        List.of(new Station.Reserved(Notation.read("Logo+L"), "lock")),
        List.of(),
        List.of(),
        Extras.NONE);
  }

  private static Application application(String id, int contexts, Random random) {
    List<Context> outer = new ArrayList<>();
    for (int c = 0; c < contexts; c += 2) {
      Context inner = context(id + "-" + (c + 1), List.of());
      outer.add(context(id + "-" + c, List.of(inner)));
    }
    List<NativeCommand> commands = new ArrayList<>();
    for (int n = 0; n < 100; n++) {
      commands.add(
          new NativeCommand(
              "n" + n,
              "Command " + n,
              "",
              List.of("Menu", "Command " + n),
              List.of(trigger(random, Integer.MAX_VALUE)),
              new Place.Whole(id),
              random.nextInt(50),
              Danger.NONE,
              java.util.Optional.empty(),
              Extras.NONE));
    }
    return new Application(id, id, "1", outer, commands, List.of(), List.of(), Extras.NONE);
  }

  private static Context context(String id, List<Context> inner) {
    return new Context(id, id, inner, false, false, false, Extras.NONE);
  }

  private static Routine routine() {
    Value.Length zero = new Value.Length(BigDecimal.ZERO, LengthUnit.MM);
    Value.Length ten = new Value.Length(BigDecimal.TEN, LengthUnit.MM);
    Parameter dx =
        new Parameter("dx", new Kind.Distance(ten.negated(), ten, zero), zero, Extras.NONE);
    return Routine.Macro.of("r", "R", "app0", List.of(dx), List.of());
  }

  private static Trigger.Keys trigger(Random random, int oneSequenceIn) {
    return random.nextInt(oneSequenceIn) == 0
        ? Trigger.Keys.of(stroke(random), stroke(random))
        : Trigger.Keys.of(stroke(random));
  }

  private static Stroke stroke(Random random) {
    return new Stroke(
        new Modifiers(random.nextInt(16)), new Key.At(KEYS.get(random.nextInt(KEYS.size()))));
  }
}
