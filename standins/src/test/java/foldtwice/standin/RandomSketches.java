package foldtwice.standin;

import foldtwice.describe.Description;
import foldtwice.describe.RandomDescriptions;
import foldtwice.extras.Extras;
import foldtwice.place.Application;
import foldtwice.place.Context;
import foldtwice.place.Danger;
import foldtwice.place.NativeCommand;
import foldtwice.place.Place;
import foldtwice.standin.base.Edition;
import foldtwice.standin.sketch.Sketch;
import foldtwice.trigger.Notation;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;

/** Sketches of programs nobody simulates, with names in many scripts. */
final class RandomSketches {

  private static final List<String> NAMES =
      List.of(
          "Mirror",
          "text",
          "selection",
          "\u7e54\u308b",
          "\u0422\u043a\u0430\u0442\u044c",
          "a \u203a b",
          "_x",
          "\u05d0\u05e8\u05d2");

  private RandomSketches() {}

  static Sketch any(Random random) {
    Application of = application(random);
    Description said =
        random.nextInt(3) == 0 ? Description.none(of.id()) : RandomDescriptions.onwards(of, random);
    return new Sketch(of, said, new Edition(of.version(), said.addOns()));
  }

  static Application application(Random random) {
    List<Context> contexts = new ArrayList<>();
    for (int i = random.nextInt(4); i > 0; i--) {
      boolean pointer = random.nextInt(4) == 0;
      List<Context> inner =
          random.nextInt(3) > 0
              ? List.of()
              : List.of(context("inner" + i, false, random.nextBoolean(), false, List.of()));
      contexts.add(
          context(
              "c" + i,
              !inner.isEmpty() && random.nextBoolean(),
              random.nextBoolean(),
              pointer,
              inner));
    }
    List<NativeCommand> commands = new ArrayList<>();
    for (int i = random.nextInt(7); i > 0; i--) {
      List<String> path = new ArrayList<>();
      for (int depth = random.nextInt(4); depth > 0; depth--) {
        path.add(one(random));
      }
      commands.add(
          new NativeCommand(
              "n" + i,
              one(random),
              "",
              path,
              random.nextBoolean() ? List.of() : List.of(Notation.read("Ctrl+" + (char) ('A' + i))),
              new Place.Whole("loom"),
              0,
              Danger.NONE,
              Optional.empty(),
              Extras.NONE));
    }
    return new Application(
        "loom",
        one(random),
        random.nextBoolean() ? "" : "3.10",
        contexts,
        commands,
        List.of(),
        List.of(),
        Extras.NONE);
  }

  private static Context context(
      String id, boolean group, boolean text, boolean pointer, List<Context> inner) {
    return new Context(id, id, inner, group, text, pointer, Extras.NONE);
  }

  private static String one(Random random) {
    return NAMES.get(random.nextInt(NAMES.size()));
  }
}
