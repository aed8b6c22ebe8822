package foldtwice.plan;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.binding.Binding;
import foldtwice.binding.Family;
import foldtwice.conflict.Auditor;
import foldtwice.conflict.Conflict;
import foldtwice.conflict.Subject;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.library.RandomLibraries;
import foldtwice.library.file.LibraryJson;
import foldtwice.place.Application;
import foldtwice.resolve.Keymap;
import foldtwice.resolve.Owner;
import foldtwice.suggest.Suggestion;
import foldtwice.suggest.Suggestions;
import foldtwice.trigger.Notation;
import foldtwice.trigger.Trigger;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

class PlanningTest {

  private static Library demo(String name) throws Exception {
    return LibraryJson.read(
        Files.readAllBytes(Path.of(System.getProperty("project.root"), "demo", name)));
  }

  private static List<Subject> subjects(Library library) {
    return library.stations().values().stream()
        .map(s -> Subject.of(library, Keymap.of(library, s)))
        .toList();
  }

  private static Planning.Wanted all(int moves) {
    return Planning.Wanted.of(Optional.empty(), moves, 30);
  }

  private static Set<String> troubles(Library library) {
    Set<String> all = new HashSet<>();
    for (Subject s : subjects(library)) {
      for (Conflict c : Auditor.audit(s)) {
        all.add(
            s.keymap().station().id()
                + c.kind()
                + c.claims().stream()
                    .map(x -> x.owner().name())
                    .collect(Collectors.toCollection(TreeSet::new)));
      }
    }
    return all;
  }

  /**
   * A plan taken whole brings no conflict that the audit did not have, never costs more than today
   * by its own measure, keeps locks and the number of moves, and its bound is not above it.
   */
  @Property(tries = 40)
  void laws(@ForAll long seed) {
    Library library = RandomLibraries.of(seed);
    if (library.stations().isEmpty()) {
      return;
    }
    Set<String> locked = library.bindings().keySet().stream().limit(2).collect(Collectors.toSet());
    int moves = (int) Math.floorMod(seed, 5L);
    Plan plan =
        Planning.of(
            subjects(library),
            new Planning.Wanted(Optional.empty(), moves, 3, seed % 2 == 0, locked, Map.of()),
            Watcher.PATIENT);
    assertThat(plan.planned()).isLessThanOrEqualTo(plan.today() + 1e-6);
    assertThat(plan.moved()).hasSizeLessThanOrEqualTo(moves);
    assertThat(plan.moved()).noneMatch(l -> locked.contains(l.binding()));
    plan.bound().ifPresent(b -> assertThat(b).isLessThanOrEqualTo(plan.planned() + 1e-6));
    List<String> ids = plan.moved().stream().map(Plan.Line::binding).toList();
    Library taken = plan.take(library, ids).on(library);
    Set<String> fresh = troubles(taken);
    fresh.removeAll(troubles(library));
    assertThat(fresh).allMatch(t -> seed % 2 == 0 && t.contains("DISPLACES"));
    for (Plan.Line l : plan.moved()) {
      assertThat(taken.bindings().get(l.binding()).triggers()).contains(l.proposed());
    }
    familiesAreWhole(library, taken);
  }

  /**
   * No plan that brings no trouble costs less than the bound: held against plans drawn at random,
   * of those that are easiest to press.
   */
  @Test
  void nothingWithoutTroubleCostsLessThanTheBound() throws Exception {
    int drawn = heldAgainst(demo("seedhouse.json"), 1, 400);
    for (long seed = 1; seed <= 60; seed++) {
      Library library = RandomLibraries.of(seed);
      drawn += library.stations().isEmpty() ? 0 : heldAgainst(library, seed, 60);
    }
    assertThat(drawn).isGreaterThan(500);
  }

  /** How many plans without trouble were drawn. */
  private static int heldAgainst(Library library, long seed, int draws) {
    List<Subject> stations = subjects(library);
    Planning.Wanted wanted =
        new Planning.Wanted(Optional.empty(), 3, 3, seed % 2 == 0, Set.of(), Map.of());
    Plan best = Planning.of(stations, wanted, Watcher.PATIENT);
    double bound = best.bound().orElse(Double.NEGATIVE_INFINITY);
    Planning planning = new Planning(stations, wanted);
    List<Choice> choices = planning.choices(Watcher.PATIENT);
    Problem problem = planning.problem(choices, List.of());
    Troubles troubles = new Troubles(stations);
    Random random = new Random(seed);
    int good = 0;
    for (int i = 0; i < draws && !choices.isEmpty(); i++) {
      List<Integer> taken = new ArrayList<>(problem.today());
      for (int m = 0; m < 3; m++) {
        int c = random.nextInt(choices.size());
        taken.set(c, random.nextInt(Math.min(6, choices.get(c).options().size())));
      }
      Solution drawn = new Solution(taken, problem.cost(taken), OptionalDouble.empty());
      if (!taken.equals(problem.today())
          && problem.holds(taken)
          && troubles.of(planning.told(planning.meant(), choices, problem, drawn, 0)).isNothing()) {
        good++;
        assertThat(drawn.cost()).as("seed " + seed).isGreaterThanOrEqualTo(bound - 1e-6);
      }
    }
    return good;
  }

  /** All of a family is moved or nothing is, and what followed its pattern follows it then. */
  private static int familiesAreWhole(Library before, Library after) {
    Laying laying = new Laying(before, subjects(before).getFirst().keymap());
    int moved = 0;
    for (Family f : before.families().values()) {
      Set<String> other =
          f.members().stream()
              .filter(m -> !Objects.equals(before.bindings().get(m), after.bindings().get(m)))
              .collect(Collectors.toSet());
      if (!other.isEmpty()) {
        moved++;
        List<String> there = f.members().stream().filter(before.bindings()::containsKey).toList();
        List<Trigger> laid =
            there.stream().map(m -> after.bindings().get(m).triggers().getFirst()).toList();
        assertThat(laying.isLaidBy(after.families().get(f.id()).pattern(), laid))
            .as(f.name())
            .isTrue();
      } else {
        assertThat(after.families().get(f.id())).isEqualTo(f);
      }
    }
    return moved;
  }

  /** Families of the demo are moved as one, where they are used often enough. */
  @Test
  void aFamilyIsOneDecision() throws Exception {
    Library demo = demo("fernhollow.json");
    List<Edit> edits = new ArrayList<>();
    demo.families()
        .values()
        .forEach(
            f ->
                f.members().stream()
                    .map(demo.bindings()::get)
                    .forEach(b -> edits.add(new Edit.PutBinding(b.used(400)))));
    Library often = new Edit.Together(edits).on(demo);
    for (String program : List.of("copystand", "trackway")) {
      Plan plan =
          Planning.of(
              subjects(often), Planning.Wanted.of(Optional.of(program), 30, 30), Watcher.PATIENT);
      assertThat(familiesAreWhole(often, plan.take(often).on(often))).as(program).isPositive();
      Plan.Line one =
          plan.moved().stream().filter(l -> l.family().isPresent()).findFirst().orElseThrow();
      Family its = often.families().get(one.family().get());
      assertThat(plan.with(one.binding())).containsAll(its.members());
      Edit taken = plan.take(often, plan.with(one.binding()));
      Library after = taken.on(often);
      assertThat(familiesAreWhole(often, after)).isPositive();
      assertThat(after.families().get(its.id()).pattern()).isNotEqualTo(its.pattern());
      assertThat(taken.inverse(often).on(after)).isEqualTo(often);
    }
  }

  /**
   * In a large library those that can gain most are looked at, the others are said not to be, and
   * the bound allows for them: another plan that moves one of these as well does not fall below it.
   */
  @Test
  void ofManyThoseThatCanGainMostAreLookedAt() throws Exception {
    Library demo = demo("seedhouse.json");
    Binding like = demo.bindings().get("b08");
    List<Edit> edits = new ArrayList<>();
    for (int i = 0; i < 400; i++) {
      Trigger t =
          Notation.read(
              "Ctrl+Alt+Shift+" + (char) ('a' + i / 26) + " then " + (char) ('a' + i % 26));
      edits.add(
          new Edit.PutBinding(
              Binding.fresh("x" + i, like.routine(), like.place(), List.of(t), Map.of())
                  .used(1 + i % 7)));
    }
    Library many = new Edit.Together(edits).on(demo);
    List<Subject> stations = subjects(many);
    Plan plan = Planning.of(stations, Planning.Wanted.of(Optional.empty(), 6, 40), Watcher.PATIENT);
    List<Plan.Line> missed =
        plan.lines().stream().filter(l -> l.fate() == Plan.Fate.LESS_TO_GAIN).toList();
    assertThat(missed).hasSizeGreaterThan(80);
    assertThat(plan.looked()).isLessThan(320);
    assertThat(plan.moved()).hasSize(6);
    assertThat(plan.gap().orElseThrow()).isPositive();
    Library taken = plan.take(many).on(many);
    Set<String> fresh = troubles(taken);
    fresh.removeAll(troubles(many));
    assertThat(fresh).isEmpty();
    double least = Suggestions.least(stations.getFirst().keymap());
    Suggestion best =
        Suggestions.onKeys(
                many,
                stations.stream().map(Subject::keymap).toList(),
                many.bindings().get(missed.getFirst().binding()),
                1)
            .getFirst();
    assertThat(best.cost()).isGreaterThanOrEqualTo(least);
  }

  /** Laying out by what was laid out gives the same: for every way of every family of the demo. */
  @Test
  void aPatternIsFoundAgain() throws Exception {
    Library demo = demo("fernhollow.json");
    int ways = 0;
    for (Subject s : subjects(demo)) {
      Laying laying = new Laying(demo, s.keymap());
      for (Family f : demo.families().values()) {
        List<Trigger> today =
            f.members().stream().map(m -> demo.bindings().get(m).triggers().getFirst()).toList();
        if (!laying.isLaidBy(f.pattern(), today)) {
          continue;
        }
        for (List<Trigger.Keys> laid : laying.of(f.pattern(), today)) {
          List<Trigger> all = List.copyOf(laid);
          assertThat(laying.isLaidBy(Laying.by(f.pattern(), all), all)).as(f.name()).isTrue();
          ways++;
        }
      }
    }
    assertThat(ways).isGreaterThan(200);
  }

  private static Library used(Library library, double timesAWeek) {
    List<Edit> edits = new ArrayList<>();
    for (Application a : library.applications().values()) {
      edits.add(
          new Edit.PutApplication(
              a.withCommands(a.commands().stream().map(c -> c.used(timesAWeek)).toList()), 0));
    }
    return new Edit.Together(edits).on(library);
  }

  /**
   * Commands nobody uses may lose their keys where that is allowed and they stay in a menu; those
   * that are used all day do not.
   */
  @Test
  void commandsOfProgramsLoseTheirKeysWhereItIsAllowedAndPays() throws Exception {
    Library seldom = used(demo("fernhollow.json"), 0);
    Planning.Wanted kept = Planning.Wanted.of(Optional.of("tagpress"), 12, 20);
    Planning.Wanted may =
        new Planning.Wanted(Optional.of("tagpress"), 12, 20, true, Set.of(), Map.of());
    Plan without = Planning.of(subjects(seldom), kept, Watcher.PATIENT);
    Plan with = Planning.of(subjects(seldom), may, Watcher.PATIENT);
    assertThat(without.displaced()).isEmpty();
    assertThat(with.displaced()).isNotEmpty();
    assertThat(with.planned()).isLessThan(without.planned());
    for (Owner.Native n : with.displaced()) {
      assertThat(seldom.applications().get(n.application()).command(n.command()).get().menuPath())
          .isNotEmpty();
    }
    Library taken = with.take(seldom).on(seldom);
    Set<String> fresh = troubles(taken);
    fresh.removeAll(troubles(seldom));
    assertThat(fresh).isNotEmpty().allMatch(t -> t.contains("DISPLACES"));
    Library often = used(seldom, 5_000);
    assertThat(Planning.of(subjects(often), may, Watcher.PATIENT).displaced()).isEmpty();
  }

  /** Six programs, on all stations; locked lines stay, refused triggers are not proposed again. */
  @Test
  void theDemoIsPlannedAndAskedAgain() throws Exception {
    Library demo = demo("fernhollow.json");
    List<Subject> stations = subjects(demo);
    Plan plan = Planning.of(stations, all(6), Watcher.PATIENT);
    assertThat(plan.moved()).hasSize(6);
    assertThat(plan.gap().orElseThrow()).isLessThanOrEqualTo(0.05 * plan.today());
    Plan.Line first = plan.moved().getFirst();
    Plan.Line second = plan.moved().get(1);
    Plan again =
        Planning.of(
            stations,
            new Planning.Wanted(
                Optional.empty(),
                6,
                30,
                false,
                Set.of(first.binding()),
                Map.of(second.binding(), Set.<Trigger>of(second.proposed()))),
            Watcher.PATIENT);
    assertThat(again.moved()).noneMatch(l -> l.binding().equals(first.binding()));
    assertThat(again.lines())
        .filteredOn(l -> l.binding().equals(first.binding()))
        .allMatch(l -> l.fate() == Plan.Fate.LOCKED);
    assertThat(again.moved())
        .noneMatch(
            l -> l.binding().equals(second.binding()) && l.proposed().equals(second.proposed()));
    assertThat(again.planned()).isGreaterThanOrEqualTo(plan.planned() - 0.1);
  }

  /** Line by line: one edit, undone as one; a line that is out of date is left out. */
  @Test
  void linesAreTaken() throws Exception {
    Library demo = demo("fernhollow.json");
    Plan plan =
        Planning.of(
            subjects(demo), Planning.Wanted.of(Optional.of("copystand"), 5, 30), Watcher.PATIENT);
    assertThat(plan.lines())
        .allMatch(
            l ->
                demo.bindings()
                    .get(l.binding())
                    .place()
                    .applicationId()
                    .equals(Optional.of("copystand")));
    List<String> three = plan.moved().stream().limit(3).map(Plan.Line::binding).toList();
    Edit edit = plan.take(demo, three);
    Library taken = edit.on(demo);
    long changed =
        taken.bindings().values().stream()
            .filter(b -> !b.equals(demo.bindings().get(b.id())))
            .count();
    assertThat(changed).isEqualTo(three.size());
    assertThat(edit.inverse(demo).on(taken)).isEqualTo(demo);
    Binding moved = demo.bindings().get(three.getFirst()).withTriggers(List.of());
    Library meanwhile = new Edit.PutBinding(moved).on(demo);
    assertThat(plan.take(meanwhile, three).on(meanwhile).bindings().get(moved.id()))
        .isEqualTo(moved);
  }

  /** Nothing to move, no room to move, no time at all: today's, and nothing breaks. */
  @Test
  void thereMayBeNothingToPlan() throws Exception {
    Library empty =
        new Edit.PutStation(demo("seedhouse.json").stations().values().iterator().next())
            .on(Library.empty("nothing"));
    Plan none = Planning.of(subjects(empty), all(5), Watcher.PATIENT);
    assertThat(none.lines()).isEmpty();
    assertThat(none.planned()).isZero();
    Plan still = Planning.of(subjects(demo("seedhouse.json")), all(0), Watcher.PATIENT);
    assertThat(still.moved()).isEmpty();
    Plan hurried =
        Planning.of(
            subjects(demo("seedhouse.json")),
            Planning.Wanted.of(Optional.empty(), 5, 0.001),
            Watcher.PATIENT);
    assertThat(hurried.planned()).isLessThanOrEqualTo(hurried.today());
  }
}
