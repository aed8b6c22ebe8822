package foldtwice.standin;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.known.Facts;
import foldtwice.known.Known;
import foldtwice.outline.ConditionText;
import foldtwice.outline.Outline;
import foldtwice.outline.StepParts;
import foldtwice.routine.Condition;
import foldtwice.routine.Expr;
import foldtwice.routine.Form;
import foldtwice.routine.Kind;
import foldtwice.routine.Readout;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import foldtwice.routine.Value;
import foldtwice.writing.Completing;
import foldtwice.writing.Completing.Completion;
import foldtwice.writing.InScope;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What is offered while a part is typed goes on from what is written, and leads somewhere. */
class CompletingTest {

  private static final Known HERE = Demo.known("camera-bench");
  private static final Step IF =
      new Step.If(new Condition.SomethingSelected(), List.of(), List.of());

  private static List<Routine.Macro> macros() {
    return Demo.LIBRARY.routines().values().stream()
        .filter(Routine.Macro.class::isInstance)
        .map(Routine.Macro.class::cast)
        .filter(m -> HERE.program(m.application()).isPresent())
        .toList();
  }

  /** At every letter of every part of the demo: few, each once, and each goes on from there. */
  @Test
  void everyOfferGoesOnFromWhatIsWritten() {
    int offered = 0;
    for (Routine.Macro macro : macros().subList(0, 40)) {
      for (Outline.Row row : Outline.rows(macro.steps())) {
        Completing completing =
            new Completing(macro.application(), HERE, InScope.of(macro, row.number()));
        Step step = row.line().step();
        for (StepParts.Part part : StepParts.of(step)) {
          for (int end = 0; end <= part.text().length(); end += 3) {
            String written = part.text().substring(0, end);
            List<Completion> all = completing.of(step, part, written);
            assertThat(all).hasSizeLessThanOrEqualTo(2 * Completing.MOST);
            assertThat(all).doesNotHaveDuplicates();
            for (Completion c : all) {
              assertThat(c.from()).isBetween(0, written.length());
              assertThat(c.in(written)).startsWith(written.substring(0, c.from()));
              assertThat(c.in(written)).as("something comes of it").isNotEqualTo(written);
              assertThat(c.shown()).isNotBlank();
            }
            offered += all.size();
          }
        }
      }
    }
    assertThat(offered).isGreaterThan(1_000);
  }

  /** A menu path is written by taking what is offered for one label after the other. */
  @Test
  void everyMenuPathIsReachedByWhatIsOffered() {
    for (Routine.Macro macro : macros().subList(0, 12)) {
      Facts facts = HERE.program(macro.application()).orElseThrow();
      Completing completing = new Completing(macro.application(), HERE, List.of());
      for (Facts.Command c : facts.commands()) {
        if (c.menu().isEmpty()) {
          continue;
        }
        Step step = new Step.Choose(Template.all(c.menu()));
        StepParts.Part part = StepParts.of(step).getFirst();
        assertThat(typed(completing, step, part, part.text()))
            .as(part.text())
            .isLessThanOrEqualTo(3 * c.menu().size());
      }
    }
  }

  /** A condition of names a program has is mostly taken, not typed. */
  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3})
  void aConditionIsReachedByWhatIsOffered(long seed) {
    Random random = new Random(seed);
    int conditions = 0;
    for (String application : List.of("vasculum", "tagpress", "copystand", "muniment")) {
      Facts facts = HERE.program(application).orElseThrow();
      Completing completing = new Completing(application, HERE, List.of());
      StepParts.Part part =
          StepParts.of(IF).stream()
              .filter(p -> p.form() instanceof Form.Holds)
              .findFirst()
              .orElseThrow();
      for (int i = 0; i < 25; i++) {
        Optional<Condition> condition = condition(facts, random, 2);
        if (condition.isEmpty()) {
          continue;
        }
        String text = ConditionText.write(condition.get());
        if (isMisleading(text)) {
          continue;
        }
        assertThat(ConditionText.read(text)).isEqualTo(condition.get());
        int typed = typed(completing, IF, part, text);
        assertThat(typed).as(text).isLessThanOrEqualTo(4 + 2 * text.split(" and | or ").length);
        conditions++;
      }
    }
    assertThat(conditions).isGreaterThan(40);
  }

  /** Labels with words of the notation in them are typed as they are. */
  private static boolean isMisleading(String text) {
    return text.contains("menu ") && text.matches(".*\u203a.*( or | and |not |\\().*is ticked.*");
  }

  private static Optional<Condition> condition(Facts facts, Random random, int depth) {
    return switch (random.nextInt(depth > 0 ? 8 : 5)) {
      case 0 -> Optional.of(new Condition.SomethingSelected());
      case 1 ->
          any(facts.dialogs().stream().map(Facts.Dialog::title).toList(), random)
              .map(Condition.DialogOpen::new);
      case 2 -> any(HERE.windows(), random).map(Condition.InFront::new);
      case 3 ->
          any(facts.commands().stream().filter(c -> !c.menu().isEmpty()).toList(), random)
              .map(c -> new Condition.Ticked(Template.all(c.menu())));
      case 4 ->
          any(
                  facts.settings().entrySet().stream()
                      .filter(e -> e.getValue() instanceof Kind.Choice)
                      .toList(),
                  random)
              .map(
                  e ->
                      new Condition.Reads(
                          new Readout.Setting(e.getKey()),
                          Condition.Relation.IS,
                          new Expr.Literal(
                              new Value.Text(((Kind.Choice) e.getValue()).options().getFirst()))));
      case 5 -> condition(facts, random, 0).map(Condition.Not::new);
      default -> {
        Optional<Condition> one = condition(facts, random, 0);
        Optional<Condition> other = condition(facts, random, 0);
        yield one.flatMap(
            a ->
                other.map(
                    b ->
                        random.nextBoolean()
                            ? new Condition.All(List.of(a, b))
                            : new Condition.Any(List.of(a, b))));
      }
    };
  }

  private static <T> Optional<T> any(List<T> of, Random random) {
    return of.isEmpty() ? Optional.empty() : Optional.of(of.get(random.nextInt(of.size())));
  }

  /** How many letters have to be typed for a text, when what is offered is taken where it leads. */
  private static int typed(Completing completing, Step step, StepParts.Part part, String text) {
    String written = "";
    int typed = 0;
    while (!written.equals(text)) {
      String now = written;
      Optional<String> taken =
          completing.of(step, part, now).stream()
              .map(c -> c.in(now))
              .filter(w -> text.startsWith(w) && w.length() > now.length())
              .max(Comparator.comparingInt(String::length));
      if (taken.isPresent()) {
        written = taken.get();
      } else {
        written = text.substring(0, written.length() + 1);
        typed++;
      }
    }
    return typed;
  }

  /** Between the signs of an insertion nothing but names is offered, and they close it. */
  @Test
  void anInsertionIsOfNamesOnly() {
    Completing completing = new Completing("copystand", HERE, List.of("long side", "limit"));
    Step step = new Step.TypeText(new Template("x"));
    StepParts.Part part = StepParts.of(step).getFirst();
    List<String> taken = new ArrayList<>();
    for (Completion c : completing.of(step, part, "width \u2039l")) {
      taken.add(c.in("width \u2039l"));
    }
    assertThat(taken).containsExactly("width \u2039long side\u203a", "width \u2039limit\u203a");
    assertThat(completing.of(step, part, "width \u2039li")).hasSize(1);
    assertThat(completing.of(step, part, "width \u2039zz")).isEmpty();
  }
}
