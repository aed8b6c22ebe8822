package foldtwice.fold;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import foldtwice.outline.Outline;
import foldtwice.outline.StepFields;
import foldtwice.routine.Expr;
import foldtwice.routine.ExprNotation;
import foldtwice.routine.Line;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import foldtwice.routine.Value;
import foldtwice.routine.Whom;
import foldtwice.words.StepWords;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import net.jqwik.api.Assume;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * Folding by rows: {@code a} chooses A, {@code f3} fills F with 3 mm, {@code s2} selects box 2,
 * {@code m7} chooses Flags › 7.
 */
class LoopFolderTest {

  private static Line line(String word) {
    String rest = word.substring(1);
    return new Line(
        switch (word.charAt(0)) {
          case 'f' -> new Step.Fill("F", ExprNotation.read(rest + " mm"));
          case 's' -> new Step.Select(new Whom.Named(new Template("box " + rest)), false);
          case 'm' -> new Step.Choose(Template.all(List.of("Flags", rest)));
          default -> new Step.PressButton(word);
        });
  }

  private static List<Line> lines(String row) {
    return row.isBlank()
        ? List.of()
        : Arrays.stream(row.strip().split(" +")).map(LoopFolderTest::line).toList();
  }

  private static List<Line> fold(List<Line> lines) {
    return LoopFolder.fold(lines, Set.of());
  }

  private static String words(List<Line> lines) {
    return Outline.rows(lines).stream()
        .map(
            r ->
                r.number()
                    + " "
                    + StepWords.verb(r.line().step())
                    + " "
                    + StepWords.rest(r.line().step()))
        .collect(Collectors.joining("; "));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "a b c                   | 1 Press a; 2 Press b; 3 Press c",
        "a a                     | 1 Press a; 2 Press a",
        "a a a                   | 1 Repeat 3 times; 1.1 Press a",
        "f1 f2 f3 f4             | 1 Repeat 4 times; 1.1 Fill F with ‹turn› * 1 mm",
        "f5 f3 f1 f-1            | 1 Repeat 4 times; 1.1 Fill F with ‹turn› * -2 mm + 7 mm",
        "s1 s2 s3 s4             | 1 Repeat 4 times; 1.1 Select box ‹turn›",
        "s2 s3 s4 s5 s6          | 1 For each one in 'box 2', 'box 3', 'box 4', 'box 5', 'box 6'; 1.1 Select ‹one›",
        "m1 a m7 a m3 a          | 1 For each one in '1', '7', '3'; 1.1 Choose Flags › ‹one›; 1.2 Press a",
        "a a a b a a a b a a a b | 1 Repeat 3 times; 1.1 Repeat 3 times; 1.1.1 Press a; 1.2 Press b",
        "x a a a a y             | 1 Press x; 2 Repeat 4 times; 2.1 Press a; 3 Press y",
      })
  void itFoldsToTheShortest(String row, String folded) {
    assertThat(words(fold(lines(row)))).isEqualTo(folded.strip());
  }

  /** Every way to write lines as loops, straight from the definition: slow, with nothing kept. */
  private static int reference(List<Token> tokens, int depth) {
    if (tokens.isEmpty()) {
      return 0;
    }
    int best =
        Measure.of(List.of(tokens.getFirst().written()))
            + reference(tokens.subList(1, tokens.size()), depth);
    for (int p = 1; p * 2 <= tokens.size(); p++) {
      for (int k = 2; k * p <= tokens.size(); k++) {
        best = Math.min(best, loop(tokens, p, k, depth));
      }
    }
    return best;
  }

  private static int loop(List<Token> tokens, int p, int k, int depth) {
    List<List<Token.Slot>> columns = new ArrayList<>();
    for (int x = 0; x < p; x++) {
      for (int t = 0; t < k; t++) {
        Token token = tokens.get(x + t * p);
        if (!token.mayRepeat() || !token.shape().equals(tokens.get(x).shape())) {
          return Integer.MAX_VALUE;
        }
        for (int s = 0; s < token.slots().size(); s++) {
          if (t == 0) {
            columns.add(new ArrayList<>());
          }
          columns.get(columns.size() - token.slots().size() + s).add(token.slots().get(s));
        }
      }
    }
    int best = Integer.MAX_VALUE;
    List<List<Token.Slot>> lists = new ArrayList<>(columns);
    lists.add(List.of());
    for (List<Token.Slot> list : lists) {
      List<Token.Slot> merged = new ArrayList<>();
      boolean fits = true;
      for (List<Token.Slot> c : columns) {
        if (c.stream().distinct().count() == 1) {
          merged.add(c.getFirst());
        } else if (c.equals(list)) {
          merged.add(new Token.Slot.Given("‹each " + depth + "›"));
        } else if (isCounting(c)) {
          merged.add(new Token.Slot.Counted("‹turn›"));
        } else {
          fits = false;
        }
      }
      if (!fits || list.stream().anyMatch(s -> !(s instanceof Token.Slot.Fixed))) {
        continue;
      }
      boolean used =
          merged.stream().anyMatch(s -> s.equals(new Token.Slot.Given("‹each " + depth + "›")));
      List<Token> body = new ArrayList<>();
      int slot = 0;
      for (int x = 0; x < p; x++) {
        int many = tokens.get(x).slots().size();
        body.add(tokens.get(x).with(merged.subList(slot, slot + many)));
        slot += many;
      }
      int length = Measure.LINE + (used ? k : 0) + reference(body, depth + 1);
      best = Math.min(best, length + reference(tokens.subList(p * k, tokens.size()), depth));
    }
    return best;
  }

  private static boolean isCounting(List<Token.Slot> column) {
    if (column.size() < 3) {
      return false; // two turns are no evidence of counting
    }
    List<Integer> numbers = new ArrayList<>();
    boolean texts = false;
    for (Token.Slot s : column) {
      if (!(s instanceof Token.Slot.Fixed(Constant c))) {
        return false;
      }
      texts |= c.place() != Constant.Place.VALUE;
      numbers.add(Integer.valueOf(c.text().replaceAll("[^0-9-]", "")));
    }
    for (int i = 1; i < numbers.size(); i++) {
      if (numbers.get(i) - numbers.get(i - 1) != numbers.get(1) - numbers.get(0)) {
        return false;
      }
    }
    return !texts || (numbers.get(0) == 1 && numbers.get(1) == 2);
  }

  @Property(tries = 120)
  void itIsAsShortAsTheSlowReference(@ForAll Random random) {
    StringBuilder row = new StringBuilder();
    String[] words = {"a", "b", "f1", "f2", "f3", "s1", "s2", "s3", "m1", "m4"};
    int kinds = random.nextInt(1, words.length);
    for (int i = random.nextInt(9); i > 0; i--) {
      row.append(words[random.nextInt(kinds)]).append(' ');
    }
    List<Line> lines = lines(row.toString());
    List<Line> folded = fold(lines);
    assertThat(Measure.of(folded))
        .as(row + " -> " + words(folded))
        .isEqualTo(reference(lines.stream().map(Token::of).toList(), 1));
    assertThat(Unfolding.unfold(folded)).as("the very same steps").isEqualTo(lines);
  }

  /** Loops in loops, written by chance. */
  private static List<Line> written(Random random, int depth) {
    List<Line> lines = new ArrayList<>();
    for (int i = random.nextInt(1, 4); i > 0; i--) {
      int turns = random.nextInt(2, 6);
      switch (depth == 0 ? 0 : random.nextInt(3)) {
        case 1 ->
            lines.add(
                new Line(
                    new Step.Repeat(
                        new Expr.Literal(Value.Amount.of(turns)), written(random, depth - 1))));
        case 2 -> {
          List<Expr> values = new ArrayList<>();
          for (int t = 0; t < turns; t++) {
            values.add(ExprNotation.read(random.nextInt(9) + " mm"));
          }
          List<Line> body = new ArrayList<>(written(random, depth - 1));
          body.add(new Line(new Step.Fill("G", new Expr.Name("v" + depth))));
          lines.add(new Line(new Step.ForEach("v" + depth, new Step.Items.Given(values), body)));
        }
        default -> lines.add(line(new String[] {"a", "b", "c", "f2", "s1"}[random.nextInt(5)]));
      }
    }
    return lines;
  }

  private static boolean bodiesAreShort(List<Line> lines) {
    return lines.stream()
        .flatMap(l -> l.step().bodies().stream())
        .allMatch(
            body ->
                bodiesAreShort(body) && Unfolding.unfold(body).size() <= LoopFolder.LONGEST_BODY);
  }

  @Property(tries = 150)
  void itIsNeverLongerThanAMacroThatDoesTheSame(@ForAll Random random) {
    List<Line> macro = written(random, 3);
    Assume.that(bodiesAreShort(macro));
    List<Line> steps = Unfolding.unfold(macro);
    Assume.that(steps.size() <= 400);
    List<Line> folded = fold(steps);
    assertThat(Measure.of(folded)).isLessThanOrEqualTo(Measure.of(macro));
    assertThat(Unfolding.unfold(folded)).isEqualTo(steps);
    assertThat(fold(folded).size())
        .as("folding once more finds no more")
        .isLessThanOrEqualTo(folded.size());
  }

  @Test
  void namesInUseAreLeftAlone() {
    List<Line> folded = LoopFolder.fold(lines("m1 a m7 a m3 a"), Set.of("one"));
    assertThat(words(folded)).contains("this one");
    assertThat(
            StepFields.of(folded.getFirst().step().bodies().getFirst().getFirst().step())
                .getFirst()
                .text())
        .isEqualTo("Flags › ‹this one›");
  }

  @Test
  void aLoopThatStaysKeepsItsOwnTurn() {
    Line counts = new Line(new Step.Fill("F", ExprNotation.read("\u2039turn\u203a * 1 mm")));
    Line stays = new Line(new Step.Repeat(new Expr.Name("n"), List.of(counts)));
    List<Line> unfolded =
        Unfolding.unfold(
            List.of(
                new Line(
                    new Step.Repeat(
                        new Expr.Literal(Value.Amount.of(2)), List.of(counts, stays)))));
    assertThat(unfolded).containsExactly(line("f1"), stays, line("f2"), stays);
    assertThat(LoopFolder.fold(lines("a a a a"), Set.of("turn"))).isEqualTo(lines("a a a a"));
  }

  @Test
  void whatWouldGrowBeyondAllBoundsIsRefused() {
    List<Line> deep = List.of(line("a"));
    for (int i = 0; i < 5; i++) {
      deep = List.of(new Line(new Step.Repeat(new Expr.Literal(Value.Amount.of(50)), deep)));
    }
    List<Line> lines = deep;
    assertThatThrownBy(() -> Unfolding.unfold(lines))
        .isInstanceOfSatisfying(
            TooLongToFoldException.class,
            e -> assertThat(e.limit()).isEqualTo(Unfolding.MOST_LINES));
  }
}
