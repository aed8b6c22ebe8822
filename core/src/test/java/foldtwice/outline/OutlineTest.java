package foldtwice.outline;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.library.RandomLibraries;
import foldtwice.place.Versions;
import foldtwice.routine.ExprNotation;
import foldtwice.routine.Line;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import foldtwice.text.Nearness;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

class OutlineTest {

  private static Line note(String text) {
    return new Line(new Step.Note(new Template(text)));
  }

  private static Line repeat(Line... body) {
    return new Line(new Step.Repeat(ExprNotation.read("2"), List.of(body)));
  }

  private static String read(List<Line> lines) {
    return Outline.rows(lines).stream()
        .map(r -> r.number() + (r.line().step() instanceof Step.Note n ? n.text().source() : "*"))
        .collect(Collectors.joining(" "));
  }

  private static final List<Line> LINES =
      List.of(note("a"), repeat(note("b"), note("c")), note("d"));

  @Test
  void linesAreNumberedInTheOrderOfReading() {
    assertThat(read(LINES)).isEqualTo("1a 2* 2.1b 2.2c 3d");
    Line either =
        new Line(
            new Step.If(
                new foldtwice.routine.Condition.SomethingSelected(),
                List.of(note("x")),
                List.of(note("y"))));
    assertThat(read(List.of(either))).isEqualTo("1* 1.1x 1.e1y");
    assertThat(Outline.at(List.of(either), "1.e1")).contains(note("y"));
    assertThat(Outline.at(LINES, "2.3")).isEmpty();
    assertThat(Outline.at(LINES, "1.1")).isEmpty();
  }

  @Test
  void aLineMovesIntoALoopAndOutOfIt() {
    assertThat(read(Outline.indent(LINES, "3"))).isEqualTo("1a 2* 2.1b 2.2c 2.3d");
    assertThat(read(Outline.outdent(LINES, "2.1"))).isEqualTo("1a 2* 2.1c 3b 4d");
    assertThat(Outline.indent(LINES, "1")).as("nothing before it").isEqualTo(LINES);
    assertThat(Outline.outdent(LINES, "1")).as("outermost").isEqualTo(LINES);
  }

  @Test
  void aLineIsDraggedUpAndDownAndInto() {
    assertThat(read(Several.move(LINES, List.of("3"), "1"))).isEqualTo("1d 2a 3* 3.1b 3.2c");
    assertThat(read(Several.move(LINES, List.of("1"), "2.2"))).isEqualTo("1* 1.1b 1.2a 1.3c 2d");
    assertThat(Several.move(LINES, List.of("2"), "2.1")).as("not into itself").isEqualTo(LINES);
  }

  /** The law of the class: removing and inserting again changes nothing. */
  @Property(tries = 200)
  void whatIsRemovedCanBePutBack(@ForAll long seed) {
    Random random = new Random(seed);
    List<Line> lines = RandomLibraries.lines(random);
    for (Outline.Row row : Outline.rows(lines)) {
      Line line = Outline.at(lines, row.number()).orElseThrow();
      assertThat(line).isEqualTo(row.line());
      assertThat(Outline.insert(Outline.remove(lines, row.number()), row.number(), line))
          .isEqualTo(lines);
    }
  }

  /** However lines are moved, none is lost and none made. */
  @Property(tries = 200)
  void movingKeepsEveryLine(@ForAll long seed) {
    Random random = new Random(seed);
    List<Line> lines = RandomLibraries.lines(random);
    List<Outline.Row> rows = Outline.rows(lines);
    if (rows.isEmpty()) {
      return;
    }
    String from = rows.get(random.nextInt(rows.size())).number();
    String to = rows.get(random.nextInt(rows.size())).number();
    assertThat(Line.count(Several.move(lines, List.of(from), to))).isEqualTo(Line.count(lines));
  }

  /** The law of the fields: writing back what stands there changes nothing. */
  @Property(tries = 200)
  void everyFieldCanBeWrittenBack(@ForAll long seed) {
    for (Outline.Row row : Outline.rows(RandomLibraries.lines(new Random(seed)))) {
      Step step = row.line().step();
      List<StepFields.Field> fields = StepFields.of(step);
      for (int i = 0; i < fields.size(); i++) {
        assertThat(StepFields.with(step, i, fields.get(i).text())).isEqualTo(step);
      }
    }
  }

  @Test
  void twoListsStandSideBySide() {
    List<String> left = List.of("a", "*", "b", "c", "d");
    List<String> right = List.of("a", "*", "b", "x", "y", "d");
    assertThat(compared(left, right)).isEqualTo("=a/a =*/* =b/b !c/x !-/y =d/d");
    assertThat(Comparison.of(left, left, row -> 0)).allMatch(Comparison.Pair::same);
  }

  private static String compared(List<String> left, List<String> right) {
    return Comparison.of(left, right, row -> 0).stream()
        .map(p -> (p.same() ? "=" : "!") + p.left().orElse("-") + "/" + p.right().orElse("-"))
        .collect(Collectors.joining(" "));
  }

  /** Each side reads as it was, and as many are equal as in the plainest way of counting them. */
  @Property(tries = 300)
  void nothingIsLostAndAsMuchAsCanBeIsEqual(@ForAll long seed) {
    Random random = new Random(seed);
    List<Integer> a = random.ints(random.nextInt(9), 0, 4).boxed().toList();
    List<Integer> b = random.ints(random.nextInt(9), 0, 4).boxed().toList();
    List<Comparison.Pair<Integer>> pairs = Comparison.of(a, b, x -> x % 2);
    assertThat(pairs.stream().flatMap(p -> p.left().stream())).containsExactlyElementsOf(a);
    assertThat(pairs.stream().flatMap(p -> p.right().stream())).containsExactlyElementsOf(b);
    assertThat(pairs.stream().filter(Comparison.Pair::same).count()).isEqualTo(longest(a, b));
  }

  /** Halved and counted 64 places at a time, the common run is as long as by one table. */
  @Property(tries = 200)
  void longListsHaveAsMuchInCommonAsByOneTable(@ForAll long seed) {
    Random random = new Random(seed);
    int numbers = 1 + random.nextInt(random.nextBoolean() ? 4 : 300);
    int[] a = random.ints(random.nextInt(400), 0, numbers).toArray();
    int[] b =
        random.nextBoolean()
            ? random.ints(random.nextInt(400), 0, numbers).toArray()
            : Arrays.stream(a).filter(x -> random.nextInt(5) > 0).toArray();
    int[] at = CommonRun.of(a, b, numbers, 1 + random.nextInt(60));
    int before = -1;
    int paired = 0;
    for (int i = 0; i < a.length; i++) {
      if (at[i] >= 0) {
        assertThat(at[i]).as("in order").isGreaterThan(before);
        assertThat(b[at[i]]).isEqualTo(a[i]);
        before = at[i];
        paired++;
      }
    }
    long byTable =
        Arrays.stream(CommonRun.of(a, b, numbers, Integer.MAX_VALUE)).filter(p -> p >= 0).count();
    assertThat(paired).isEqualTo((int) byTable);
  }

  private static long longest(List<Integer> a, List<Integer> b) {
    if (a.isEmpty() || b.isEmpty()) {
      return 0;
    }
    List<Integer> restA = a.subList(1, a.size());
    List<Integer> restB = b.subList(1, b.size());
    long skipped = Math.max(longest(restA, b), longest(a, restB));
    return a.getFirst().equals(b.getFirst())
        ? Math.max(1 + longest(restA, restB), skipped)
        : skipped;
  }

  /** Source: the distances are worked out by hand from the definition. */
  @Test
  void theNearestNameIsOffered() {
    assertThat(Nearness.distance("kitten", "sitting")).isEqualTo(3);
    assertThat(Nearness.nearest("colur", List.of("rows", "colour", "column"))).contains("colour");
    assertThat(Nearness.nearest("zzzzz", List.of("rows", "colour"))).isEmpty();
  }

  @Test
  void versionsAreOrderedNumberByNumber() {
    List<String> ordered = List.of("1", "1.8", "2", "4.0.1", "4.2", "4.10", "5");
    assertThat(Stream.of("4.10", "5", "1.8", "4.2", "2", "4.0.1", "1").sorted(Versions::compare))
        .containsExactlyElementsOf(ordered);
    assertThat(Versions.atLeast("4.0", "4")).isTrue();
    assertThat(Versions.atLeast("4.9", "4.10")).isFalse();
  }
}
