package foldtwice.standin;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.binding.Binding;
import foldtwice.extras.Extras;
import foldtwice.fold.LoopFolder;
import foldtwice.fold.Siblings;
import foldtwice.fold.Unfolding;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.place.Place;
import foldtwice.routine.ExprNotation;
import foldtwice.routine.Head;
import foldtwice.routine.Kind;
import foldtwice.routine.Line;
import foldtwice.routine.Manner;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import foldtwice.routine.Value;
import foldtwice.run.Run;
import foldtwice.run.Trace;
import foldtwice.run.Trial;
import foldtwice.script.Ecmascript;
import foldtwice.trigger.Notation;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

/** Folded siblings and folded loops do the very same as before. */
class SiblingsTest {

  private static Line line(Step step) {
    return new Line(step);
  }

  private static Routine.Macro shift(String id, String right, String down) {
    return Routine.Macro.of(
        id,
        "Shift " + id,
        "tagpress",
        List.of(),
        List.of(
            line(new Step.Choose(Template.all(List.of("Box", "Shift \u2026")))),
            line(new Step.Fill("Right by", ExprNotation.read(right))),
            line(new Step.Fill("Down by", ExprNotation.read(down))),
            line(new Step.PressButton("Shift")),
            line(new Step.PressButton("Close"))));
  }

  private static Routine.Macro flag(String id, String colour) {
    return Routine.Macro.of(
        id,
        id,
        "vasculum",
        List.of(),
        List.of(line(new Step.Choose(Template.all(List.of("Flags", colour))))));
  }

  private static Routine.Script script(String id, String box, int times) {
    return new Routine.Script(
        Head.of(id, id, "tagpress", List.of()),
        "// "
            + id
            + "\nfor (let i = 0; i < "
            + times
            + "; i++) {\n  program.select('"
            + box
            + "');\n}\n");
  }

  private static Library library(List<Routine> routines) {
    Library library = Demo.LIBRARY;
    List<Edit> edits = new ArrayList<>();
    library.bindings().keySet().forEach(b -> edits.add(new Edit.RemoveBinding(b)));
    library.routines().keySet().forEach(r -> edits.add(new Edit.RemoveRoutine(r)));
    int n = 0;
    for (Routine r : routines) {
      edits.add(new Edit.PutRoutine(r));
      edits.add(
          new Edit.PutBinding(
              new Binding(
                  "to " + r.id(),
                  r.id(),
                  new Place.Whole(r.application()),
                  List.of(Notation.read("Ctrl+Alt+F" + (1 + n++ % 12))),
                  Map.of(),
                  1,
                  Extras.NONE)));
    }
    return new Edit.Together(edits).on(library);
  }

  private static Map<String, String> after(Library library, String binding) {
    SimulatedComputer computer = SimulatedComputer.fresh();
    Binding b = library.bindings().get(binding);
    Routine routine = library.routineOf(b).orElseThrow();
    Trial trial = new Trial(library, Demo.keymap("camera-bench"), computer, Ecmascript.ENGINE);
    Trace trace = Run.of(routine, b.arguments(), trial.around()).toEnd();
    assertThat(trace.ending()).as(binding).isInstanceOf(Trace.Finished.class);
    return computer.programs().get(routine.application()).state();
  }

  @Test
  void fourSiblingsBecomeOneAndFourBindingsGoOnWorking() {
    Library before =
        library(
            List.of(
                shift("left", "-0.5 mm", "0 mm"),
                shift("right", "0.5 mm", "0 mm"),
                shift("up", "0 mm", "-0.5 mm"),
                shift("down", "0 mm", "0.5 mm")));
    List<Siblings.Group> groups = Siblings.find(before);
    assertThat(groups).hasSize(1);
    Siblings.Group group = groups.getFirst();
    assertThat(group.added()).extracting(p -> p.name()).containsExactly("right by", "down by");
    assertThat(group.added().getFirst().kind())
        .isInstanceOfSatisfying(
            Kind.Distance.class,
            d -> {
              assertThat(d.least().shown()).isEqualTo("-1.5 mm");
              assertThat(d.most().shown()).isEqualTo("1.5 mm");
              assertThat(d.step().shown()).isEqualTo("0.5 mm");
            });
    Edit fold = Siblings.fold(before, group);
    Library folded = fold.on(before);
    assertThat(folded.routines()).containsOnlyKeys("left");
    assertThat(folded.bindings()).hasSize(4);
    for (String b : before.bindings().keySet()) {
      assertThat(after(folded, b)).as(b).isEqualTo(after(before, b));
    }
    assertThat(fold.inverse(before).on(folded)).as("one undo").isEqualTo(before);
    assertThat(Siblings.find(folded)).isEmpty();
  }

  @Test
  void constantsThatDifferAlikeShareOneParameter() {
    Siblings.Group group =
        Siblings.find(library(List.of(shift("a", "1 mm", "1 mm"), shift("b", "2 mm", "2 mm"))))
            .getFirst();
    assertThat(group.added()).hasSize(1);
  }

  @Test
  void labelsBecomeAChoiceAndTwoSingleCommandsAreLeftAlone() {
    List<Routine> three = List.of(flag("rust", "Rust"), flag("moss", "Moss"), flag("sky", "Sky"));
    Siblings.Group group = Siblings.find(library(three)).getFirst();
    assertThat(group.added().getFirst().kind())
        .isEqualTo(new Kind.Choice(List.of("Rust", "Moss", "Sky")));
    assertThat(Siblings.find(library(three.subList(0, 2)))).isEmpty();
  }

  @Test
  void scriptsAreFoldedByTheirWords() {
    Library before =
        library(
            List.of(
                script("one", "box 2", 1), script("two", "box 3", 2), script("six", "box 4", 6)));
    Siblings.Group group = Siblings.find(before).getFirst();
    assertThat(((Routine.Script) group.folded()).source())
        .contains("parameters['value 2']", "parameters['value 3']", "let i = 0", "// one");
    Library folded = Siblings.fold(before, group).on(before);
    for (String b : before.bindings().keySet()) {
      assertThat(after(folded, b)).as(b).isEqualTo(after(before, b));
    }
  }

  @Test
  void whatWouldMeanSomethingElseIsNotFolded() {
    Routine.Macro plain = shift("a", "1 mm", "0 mm");
    Routine.Macro other = shift("b", "2 mm", "0 mm");
    Routine asks = other.withManner(other.manner().asking(Manner.Asking.ALWAYS));
    assertThat(Siblings.find(library(List.of(plain, asks)))).isEmpty();
    Routine off = other.withCard(other.card().off(true));
    assertThat(Siblings.find(library(List.of(plain, off)))).isEmpty();
    Routine runs =
        new Routine.Script(Head.of("s", "S", "tagpress", List.of()), "runRoutine('b');\n");
    assertThat(Siblings.find(library(List.of(plain, other, runs)))).isEmpty();
    Routine.Macro half = shift("c", "1.5 mm", "0 mm");
    Routine.Macro inches = shift("d", "1 in", "0 mm");
    assertThat(Siblings.find(library(List.of(half, inches)))).as("both are lengths").hasSize(1);
  }

  @Test
  void stepsThatRunASiblingGoOver() {
    Routine.Macro chain =
        Routine.Macro.of(
            "chain",
            "Chain",
            "tagpress",
            List.of(),
            List.of(
                line(new Step.RunRoutine("a", Map.of())),
                line(
                    new Step.Repeat(
                        ExprNotation.read("2"),
                        List.of(line(new Step.RunRoutine("b", Map.of())))))));
    Library before =
        library(List.of(shift("a", "1 mm", "0 mm"), shift("b", "-3 mm", "0 mm"), chain));
    Library folded = Siblings.fold(before, Siblings.find(before).getFirst()).on(before);
    assertThat(after(folded, "to chain")).isEqualTo(after(before, "to chain"));
  }

  /** Random siblings of random macros: every binding does what it did. */
  @Property(tries = 60)
  void foldingSiblingsChangesNothingAnybodySees(@ForAll Random random) {
    List<Routine> members = new ArrayList<>();
    int times = random.nextInt(1, 3);
    for (int i = random.nextInt(2, 5); i > 0; i--) {
      String mm = (random.nextInt(9) - 4) / 2.0 + " mm";
      List<Line> steps = new ArrayList<>(shift("x", mm, random.nextInt(3) + " mm").steps());
      members.add(
          Routine.Macro.of(
              "m" + i,
              "M",
              "tagpress",
              List.of(),
              List.of(line(new Step.Repeat(ExprNotation.read("" + times), steps)))));
    }
    Library before = library(members);
    for (Siblings.Group group : Siblings.find(before)) {
      Library folded = Siblings.fold(before, group).on(before);
      for (String b : before.bindings().keySet()) {
        assertThat(after(folded, b)).isEqualTo(after(before, b));
      }
    }
  }

  /** Loops folded out of a recording and written out again end in the same state. */
  @Property(tries = 60)
  void foldingLoopsChangesNothingAnybodySees(@ForAll Random random) {
    List<Line> steps = new ArrayList<>();
    for (int block = random.nextInt(1, 4); block > 0; block--) {
      int turns = random.nextInt(1, 6);
      for (int t = 1; t <= turns; t++) {
        if (random.nextInt(8) > 0) {
          steps.add(
              line(
                  new Step.Select(
                      new foldtwice.routine.Whom.Named(new Template("box " + t)), false)));
        }
        steps.addAll(shift("x", t + " mm", block + " mm").steps());
      }
    }
    List<Line> folded = LoopFolder.fold(steps, Set.of());
    assertThat(Unfolding.unfold(folded)).isEqualTo(steps);
    Library library =
        library(
            List.of(
                Routine.Macro.of("long", "L", "tagpress", List.of(), steps),
                Routine.Macro.of("short", "S", "tagpress", List.of(), folded)));
    assertThat(after(library, "to short")).isEqualTo(after(library, "to long"));
  }

  @Test
  void theDemoLibraryOffersSomethingToFold() {
    List<Siblings.Group> groups = Siblings.find(Demo.LIBRARY);
    assertThat(groups).isNotEmpty();
    for (Siblings.Group g : groups) {
      Library folded = Siblings.fold(Demo.LIBRARY, g).on(Demo.LIBRARY);
      assertThat(folded.bindings()).hasSameSizeAs(Demo.LIBRARY.bindings());
      assertThat(folded.routines())
          .hasSize(Demo.LIBRARY.routines().size() - g.members().size() + 1);
      for (Value v : g.arguments().get(g.folded().id()).values()) {
        assertThat(v.shown()).isNotBlank();
      }
    }
  }
}
