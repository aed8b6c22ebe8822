package foldtwice.library;

import foldtwice.Fixture;
import foldtwice.binding.Binding;
import foldtwice.binding.Family;
import foldtwice.binding.Pattern;
import foldtwice.describe.RandomDescriptions;
import foldtwice.extras.Extras;
import foldtwice.place.Application;
import foldtwice.place.Finding;
import foldtwice.place.NativeCommand;
import foldtwice.routine.Routine;
import foldtwice.routine.Value;
import foldtwice.trigger.Notation;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;

/** Edits of every kind, of things there are and of things there are not. */
public final class RandomEdits {

  private RandomEdits() {}

  /** An edit some library could be asked for, also one that has nothing to do. */
  public static Edit of(Library library, Random random, int depth) {
    List<Binding> all = List.copyOf(library.bindings().values());
    Binding some =
        all.isEmpty() || random.nextInt(4) == 0
            ? Fixture.library("mine box Alt+L").bindings().get("mine box Alt+L")
            : all.get(random.nextInt(all.size()));
    Library other = RandomLibraries.of(random.nextLong());
    List<Routine> otherRoutines = List.copyOf(other.routines().values());
    List<PressCheck> otherChecks = List.copyOf(other.checks().values());
    return switch (random.nextInt(depth == 0 ? 19 : 20)) {
      case 0 ->
          new Edit.PutBinding(
              some.withTriggers(List.of(Notation.read("F" + random.nextInt(1, 9)))));
      case 1 -> new Edit.RemoveBinding(random.nextInt(5) == 0 ? "nobody" : some.id());
      case 2 ->
          new Edit.PutBinding(
              new Binding(
                  "new" + random.nextInt(5),
                  some.routine(),
                  some.place(),
                  List.of(),
                  some.arguments(),
                  0,
                  some.extras()),
              random.nextInt(6));
      case 3 -> new Edit.PutBinding(some.withArgument("x", Value.Amount.of(random.nextInt(9))));
      case 4 ->
          new Edit.PutRoutine(
              foldtwice.routine.Routine.Macro.of(
                  "r" + random.nextInt(4), "R", "app", List.of(), RandomLibraries.lines(random)),
              random.nextInt(6));
      case 5 -> new Edit.RemoveRoutine("r" + random.nextInt(4));
      case 6 ->
          new Edit.Find(
              library.applications().keySet().stream().findFirst().orElse("nowhere"),
              library.applications().values().stream()
                  .flatMap(a -> a.commands().stream())
                  .map(c -> c.id())
                  .findFirst()
                  .orElse("nothing"),
              random.nextBoolean()
                  ? Optional.empty()
                  : Optional.of(new Finding(random.nextBoolean(), "note " + random.nextInt(3))));
      case 7 -> putOther(RandomLibraries.of(random.nextLong()), random);
      case 8 -> remove(library, random);
      case 9 -> remap(library, random);
      case 10 ->
          random.nextBoolean()
              ? new Edit.RemoveFamily(
                  library.families().keySet().stream().findFirst().orElse("none"))
              : new Edit.PutFamily(
                  new Family(
                      library.families().keySet().stream().findFirst().orElse("new"),
                      "others",
                      List.of(some.id()),
                      new Pattern.PadKeys("rowan", "", "k1"),
                      Extras.NONE),
                  random.nextInt(3));
      case 11 -> {
        String conflict =
            library.accepted().keySet().stream().findFirst().orElse("0011223344556677");
        yield new Edit.Accept(
            conflict,
            random.nextBoolean()
                ? Optional.empty()
                : Optional.of(
                    new Acceptance(
                        conflict, "", "so be it", "", java.time.Instant.EPOCH, Optional.empty())));
      }
      case 12 ->
          otherRoutines.isEmpty()
              ? new Edit.RemoveCheck(library.checks().keySet().stream().findFirst().orElse("none"))
              : new Edit.PutRoutine(otherRoutines.getFirst(), random.nextInt(6));
      case 13 ->
          otherChecks.isEmpty()
              ? new Edit.RemoveCheck(library.checks().keySet().stream().findFirst().orElse("none"))
              : new Edit.PutCheck(otherChecks.getFirst(), random.nextInt(3));
      case 14 -> // another kind for what bindings give
          library.routines().isEmpty()
              ? new Edit.RemoveRoutine("none")
              : new Edit.PutRoutine(
                  retyped(one(List.copyOf(library.routines().values()), random), otherRoutines));
      case 16 ->
          other.procedures().isEmpty()
              ? new Edit.RemoveProcedure(
                  library.procedures().keySet().stream().findFirst().orElse("none"))
              : new Edit.PutProcedure(
                  other.procedures().values().iterator().next(), random.nextInt(3));
      case 17 ->
          other.outlays().isEmpty()
              ? new Edit.Spend(
                  library.outlays().keySet().stream().findFirst().orElse("none"), Optional.empty())
              : other.outlays().values().stream()
                  .findFirst()
                  .map(o -> new Edit.Spend(o.id(), Optional.of(o)))
                  .orElseThrow();
      case 18 -> new Edit.AllowLive(random.nextBoolean());
      case 15 ->
          new Edit.RemoveRoutine(library.routines().keySet().stream().findFirst().orElse("none"));
      default -> {
        List<Edit> edits = new ArrayList<>();
        Library at = library;
        for (int i = random.nextInt(4); i > 0; i--) {
          Edit e = of(at, random, depth - 1);
          edits.add(e);
          at = e.on(at);
        }
        yield new Edit.Together(edits);
      }
    };
  }

  /** Other triggers or uses for the first native command, at times the triggers it came with. */
  private static Edit remap(Library library, Random random) {
    Application a = library.applications().values().stream().findFirst().orElse(null);
    if (a == null || a.commands().isEmpty()) {
      return random.nextBoolean()
          ? new Edit.Remap("nowhere", "nothing", List.of())
          : new Edit.Use("nowhere", "nothing", 3);
    }
    NativeCommand c = a.commands().getFirst();
    if (random.nextInt(3) == 0) {
      return new Edit.Use(a.id(), c.id(), random.nextInt(4_000) / 100.0);
    }
    return new Edit.Remap(
        a.id(),
        c.id(),
        random.nextBoolean() ? c.byDefault() : List.of(Notation.read("F" + random.nextInt(1, 9))));
  }

  /** Something of another library: a surface, a station, an application. */
  private static Edit putOther(Library other, Random random) {
    int at = random.nextInt(6);
    Edit station = new Edit.PutStation(other.stations().values().iterator().next(), at);
    return switch (random.nextInt(4)) {
      case 3 ->
          new Edit.Describe(
              RandomDescriptions.of(other.applications().values().iterator().next(), random));
      case 0 ->
          other.surfaces().isEmpty()
              ? station
              : new Edit.PutSurface(other.surfaces().values().iterator().next(), at);
      case 1 -> new Edit.PutApplication(other.applications().values().iterator().next(), at);
      default -> station;
    };
  }

  /** One that is there, or one that is not. */
  private static Edit remove(Library library, Random random) {
    return switch (random.nextInt(4)) {
      case 3 ->
          new Edit.Describe(
              library.descriptions().keySet().stream().findFirst().orElse("none"),
              Optional.empty());
      case 0 ->
          new Edit.RemoveSurface(library.surfaces().keySet().stream().findFirst().orElse("none"));
      case 1 ->
          new Edit.RemoveApplication(
              library.applications().keySet().stream().findFirst().orElse("none"));
      default ->
          new Edit.RemoveStation(library.stations().keySet().stream().findFirst().orElse("none"));
    };
  }

  private static <T> T one(List<T> all, Random random) {
    return all.get(random.nextInt(all.size()));
  }

  /** The routine with the parameters of another, in turn, so that names take another kind. */
  private static Routine retyped(Routine routine, List<Routine> others) {
    List<foldtwice.routine.Parameter> turned = new ArrayList<>();
    var own = routine.parameters();
    for (int i = 0; i < own.size(); i++) {
      var next = own.get((i + 1) % own.size());
      turned.add(
          new foldtwice.routine.Parameter(
              own.get(i).name(), next.kind(), next.otherwise(), next.extras()));
    }
    return routine.with(
        routine
            .head()
            .with(own.isEmpty() && !others.isEmpty() ? others.getFirst().parameters() : turned));
  }
}
