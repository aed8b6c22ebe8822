package foldtwice.outline;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.library.Edit;
import foldtwice.library.Hostile;
import foldtwice.library.Library;
import foldtwice.library.RandomLibraries;
import foldtwice.library.RefusedException;
import foldtwice.library.file.FormatException;
import foldtwice.library.file.LibraryJson;
import foldtwice.routine.Line;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.StepKinds;
import foldtwice.routine.ValueException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Collectors;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;

/**
 * Whatever a hand does to the lines of an outline, in whatever order: they stay lines that can be
 * numbered, saved and read again, and none is lost or made that was not meant to be.
 */
class OutlineLawsTest {

  private static List<String> numbers(List<Line> lines) {
    return Outline.rows(lines).stream().map(Outline.Row::number).toList();
  }

  /** Some of the lines, in any order, some of them inside others. */
  private static List<String> some(List<Line> lines, Random random) {
    List<String> all = numbers(lines);
    List<String> chosen = new ArrayList<>();
    for (int i = random.nextInt(4); i >= 0 && !all.isEmpty(); i--) {
      chosen.add(all.get(random.nextInt(all.size())));
    }
    return chosen;
  }

  /** Some that stand one after the other. */
  private static List<String> together(List<Line> lines, Random random) {
    List<String> all = numbers(lines);
    if (all.isEmpty()) {
      return List.of();
    }
    List<String> chosen = new ArrayList<>();
    String next = all.get(random.nextInt(all.size()));
    for (int i = random.nextInt(3); i >= 0 && Outline.at(lines, next).isPresent(); i--) {
      chosen.add(next);
      next = Outline.after(next);
    }
    return chosen;
  }

  /** How often each plain step is there, however deep. */
  private static Map<Step, Long> plain(List<Line> lines) {
    return Outline.rows(lines).stream()
        .map(r -> r.line().step())
        .filter(s -> s.bodies().isEmpty())
        .collect(Collectors.groupingBy(s -> s, Collectors.counting()));
  }

  private static long many(List<Line> lines) {
    return Outline.rows(lines).size();
  }

  @Property(tries = 150)
  void everyLineHasANumberOfItsOwnAndIsFoundByIt(@ForAll long seed) {
    Random random = new Random(seed);
    List<Line> lines = RandomLibraries.lines(random);
    for (int i = 0; i < 12; i++) {
      lines = worked(lines, random);
      List<String> numbers = numbers(lines);
      assertThat(new HashSet<>(numbers)).hasSameSizeAs(numbers);
      for (Outline.Row row : Outline.rows(lines)) {
        assertThat(Outline.at(lines, row.number())).contains(row.line());
        assertThat(Outline.isPlace(lines, row.number())).isTrue();
        Outline.before(row.number())
            .ifPresent(b -> assertThat(Outline.after(b)).isEqualTo(row.number()));
        if (row.depth() > 0) {
          String around = Outline.around(row.number()).orElseThrow();
          assertThat(numbers).contains(around);
        }
      }
    }
  }

  /** One thing that a hand does to an outline. */
  private static List<Line> worked(List<Line> lines, Random random) {
    List<String> all = numbers(lines);
    if (all.isEmpty()) {
      return RandomLibraries.lines(random);
    }
    String to = all.get(random.nextInt(all.size()));
    return switch (random.nextInt(9)) {
      case 0 -> Several.up(lines, together(lines, random));
      case 1 -> Several.down(lines, together(lines, random));
      case 2 -> Several.indent(lines, together(lines, random));
      case 3 -> Several.outdent(lines, some(lines, random));
      case 4 -> Several.move(lines, some(lines, random), random.nextBoolean() ? to : after(to));
      case 5 -> Several.insert(lines, to, Several.at(lines, some(lines, random)));
      case 6 -> Several.change(lines, some(lines, random), l -> l.switchedOn(!l.on()));
      case 7 -> many(lines) > 6 ? Several.remove(lines, some(lines, random)) : lines;
      default -> {
        List<String> chosen = together(lines, random);
        yield Several.around(
            lines,
            chosen,
            inside ->
                new Step.Repeat(
                    new foldtwice.routine.Expr.Literal(foldtwice.routine.Value.Amount.of(2)),
                    inside));
      }
    };
  }

  private static String after(String number) {
    return Outline.after(number);
  }

  /** Moving, indenting, wrapping: each plain step is there as often as it was. */
  @Property(tries = 200)
  void nothingIsLostAndNothingMadeByMoving(@ForAll long seed) {
    Random random = new Random(seed);
    List<Line> lines = RandomLibraries.lines(random);
    for (int i = 0; i < 8 && !lines.isEmpty(); i++) {
      Map<Step, Long> before = plain(lines);
      List<String> all = numbers(lines);
      String to = all.get(random.nextInt(all.size()));
      lines =
          switch (random.nextInt(6)) {
            case 0 -> Several.up(lines, together(lines, random));
            case 1 -> Several.down(lines, together(lines, random));
            case 2 -> Several.indent(lines, together(lines, random));
            case 3 -> Several.outdent(lines, together(lines, random));
            case 4 -> Several.move(lines, some(lines, random), to);
            default -> Several.move(lines, some(lines, random), after(to));
          };
      assertThat(plain(lines)).isEqualTo(before);
    }
  }

  /** One step back undoes one step forth, wherever it went anywhere. */
  @Property(tries = 200)
  void backIsWhereItWas(@ForAll long seed) {
    Random random = new Random(seed);
    List<Line> lines = RandomLibraries.lines(random);
    List<String> chosen = together(lines, random);
    if (chosen.isEmpty()) {
      return;
    }
    List<Line> up = Several.up(lines, chosen);
    if (!up.equals(lines)) {
      List<String> there = chosen.stream().map(n -> Outline.before(n).orElseThrow()).toList();
      assertThat(Several.down(up, there)).isEqualTo(lines);
    }
    List<Line> down = Several.down(lines, chosen);
    if (!down.equals(lines)) {
      List<String> there = chosen.stream().map(Outline::after).toList();
      assertThat(Several.up(down, there)).isEqualTo(lines);
    }
    List<Line> off = Several.change(lines, chosen, l -> l.switchedOn(!l.on()));
    assertThat(off).isNotEqualTo(lines);
    assertThat(Several.change(off, chosen, l -> l.switchedOn(!l.on()))).isEqualTo(lines);
  }

  /** What is chosen together is outermost, in the order of the lines, each once. */
  @Property(tries = 200)
  void ofSeveralTheOutermostAreMeant(@ForAll long seed) {
    Random random = new Random(seed);
    List<Line> lines = RandomLibraries.lines(random);
    List<String> chosen = some(lines, random);
    List<String> outermost = Several.outermost(lines, chosen);
    assertThat(outermost).isSubsetOf(chosen).doesNotHaveDuplicates();
    assertThat(numbers(lines).stream().filter(outermost::contains).toList()).isEqualTo(outermost);
    for (String one : chosen) {
      assertThat(outermost).anyMatch(o -> one.equals(o) || one.startsWith(o + "."));
    }
    assertThat(Several.remove(lines, chosen)).isEqualTo(Several.remove(lines, outermost));
  }

  /**
   * Whatever is typed into whatever part: it is refused saying why, or the step says it back, the
   * rest of it is as it was, and the library can be saved with it and read again.
   */
  @Property(tries = 60)
  void whateverIsTypedIntoAPartIsRefusedOrKept(@ForAll long seed) throws FormatException {
    Random random = new Random(seed);
    Library library = RandomLibraries.of(seed);
    Optional<Routine.Macro> found =
        library.routines().values().stream()
            .filter(Routine.Macro.class::isInstance)
            .map(Routine.Macro.class::cast)
            .filter(m -> !m.steps().isEmpty())
            .findFirst();
    if (found.isEmpty()) {
      return;
    }
    Routine.Macro macro = found.get();
    List<Line> lines = macro.steps();
    for (int i = 0; i < 12; i++) {
      List<Outline.Row> rows = Outline.rows(lines);
      Outline.Row row = rows.get(random.nextInt(rows.size()));
      Step step = row.line().step();
      List<StepParts.Part> parts = StepParts.of(step);
      if (parts.isEmpty()) {
        continue;
      }
      int which = random.nextInt(parts.size());
      String typed = typed(parts.get(which).text(), random);
      Step other;
      try {
        other = StepParts.with(step, parts.get(which).index(), typed);
      } catch (ValueException e) {
        assertThat(e.allowed()).as("what is allowed instead of %s", typed).isNotBlank();
        continue;
      }
      assertThat(StepKinds.of(other)).isEqualTo(StepKinds.of(step));
      assertThat(other.bodies()).isEqualTo(step.bodies());
      List<StepParts.Part> now = StepParts.of(other);
      for (int p = 0; p < parts.size(); p++) {
        if (p != which) {
          assertThat(now.get(p).text()).isEqualTo(parts.get(p).text());
        }
      }
      String says = now.get(which).text();
      assertThat(StepParts.with(other, now.get(which).index(), says))
          .as("read again as it says: %s", says)
          .isEqualTo(other);
      List<Line> next = Outline.change(lines, row.number(), l -> l.with(other));
      if (isText(typed) && isKept(library, macro.withSteps(next))) {
        lines = next;
      }
    }
  }

  /** A letter more, a letter less, or something nobody would type. */
  private static String typed(String text, Random random) {
    int at = text.isEmpty() ? 0 : random.nextInt(text.length());
    return switch (random.nextInt(4)) {
      case 0 -> Hostile.TEXTS.get(random.nextInt(Hostile.TEXTS.size()));
      case 1 -> text.substring(0, at) + text.substring(Math.min(text.length(), at + 1));
      case 2 ->
          text.substring(0, at)
              + "\u2039x, (\u203a\"".charAt(random.nextInt(7))
              + text.substring(at);
      default -> text + text;
    };
  }

  /** Half a sign is no text: no file could hold it, and no change with it is made. */
  private static boolean isText(String text) {
    return StandardCharsets.UTF_8.newEncoder().canEncode(text);
  }

  /** True when a library with it is read again as it is; false when it is refused, saying why. */
  private static boolean isKept(Library library, Routine.Macro macro) throws FormatException {
    Library next = new Edit.PutRoutine(macro).on(library);
    try {
      byte[] file = LibraryJson.write(next).getBytes(StandardCharsets.UTF_8);
      assertThat(LibraryJson.read(file).routines().get(macro.id())).isEqualTo(macro);
      return true;
    } catch (FormatException | RefusedException e) {
      assertThat(e.getMessage()).isNotBlank();
      return false;
    }
  }
}
