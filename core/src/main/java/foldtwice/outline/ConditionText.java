package foldtwice.outline;

import foldtwice.routine.Condition;
import foldtwice.routine.Condition.Relation;
import foldtwice.routine.Expr;
import foldtwice.routine.ExprNotation;
import foldtwice.routine.Readout;
import foldtwice.routine.ValueException;
import foldtwice.text.Refusals;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * A condition as a person writes it.
 *
 * <pre>
 * any  := all ('or' all)*
 * all  := one ('and' one)*
 * one  := 'not' one | '(' any ')' | something is selected | nothing is selected
 *       | menu PATH is ticked | version at least VERSION | dialog TITLE is open
 *       | program NAME is in front | READOUT relation value | value relation value
 * relation := is | is not | is less than | is more than
 * </pre>
 *
 * <p>What can be read is written as by {@link ReadoutText}, a value as by {@link ExprNotation}. A
 * name that could be read otherwise stands in quotes. Law: {@code read(write(c)).equals(c)} as far
 * as that of expressions goes. One pass over the text, but for brackets, which are looked through
 * once for each they lie in; nesting is limited to {@value #DEEPEST}.
 */
public final class ConditionText {

  private static final int DEEPEST = 30;
  private static final String SOME = "something is selected";
  private static final String NONE = "nothing is selected";
  private static final String TICKED = "is ticked";
  private static final String OPEN = "is open";
  private static final String FRONT = "is in front";
  private static final List<String> JOINTS = List.of("and", "or", ")");

  /** The longest first, so that none is taken for a shorter one. */
  private static final List<Relation> RELATIONS =
      Stream.of(Relation.values())
          .sorted(Comparator.comparingInt((Relation r) -> -r.words().length()))
          .toList();

  private static final List<String> RELATION_WORDS =
      RELATIONS.stream().map(Relation::words).toList();

  private final Written in;
  private int depth;

  private ConditionText(Written in) {
    this.in = in;
  }

  /**
   * Reads a condition.
   *
   * @throws ValueException saying where it cannot be read and what is allowed there
   */
  public static Condition read(String text) {
    Written in = new Written(text);
    Condition condition = new ConditionText(in).any();
    in.end("the end, or and, or, and another condition");
    return condition;
  }

  private Condition any() {
    return joined("or", this::all, Condition.Any::new);
  }

  private Condition all() {
    return joined("and", this::one, Condition.All::new);
  }

  private interface Reader {
    Condition read();
  }

  private Condition joined(
      String word, Reader member, Function<List<Condition>, Condition> together) {
    List<Condition> members = new ArrayList<>();
    members.add(member.read());
    while (in.passes(word)) {
      members.add(member.read());
    }
    return members.size() == 1 ? members.getFirst() : together.apply(members);
  }

  private Condition one() {
    if (++depth > DEEPEST) {
      throw in.fault(Refusals.says("outline.conditions-nested-at-most", DEEPEST));
    }
    Condition condition =
        in.passes("not")
            ? new Condition.Not(one())
            : in.next() == '(' && isGroup() ? group() : plain();
    depth--;
    return condition;
  }

  /** A bracket is of a condition unless what it holds is compared or computed with. */
  private boolean isGroup() {
    Written behind = in.from(in.closing() + 1);
    return "+-*".indexOf(behind.next()) < 0 && !behind.stands("is");
  }

  private Condition group() {
    in.passes('(');
    Condition inside = any();
    if (!in.passes(')')) {
      throw in.fault(")");
    }
    return inside;
  }

  private Condition plain() {
    if (in.passes(SOME)) {
      return new Condition.SomethingSelected();
    }
    if (in.passes(NONE)) {
      return new Condition.Not(new Condition.SomethingSelected());
    }
    if (in.passes("menu")) {
      String path = tailed(TICKED);
      return new Condition.Ticked(StepParts.menu(path));
    }
    if (in.passes("version at least")) {
      return new Condition.VersionAtLeast(in.name(JOINTS, false));
    }
    if (in.passes("dialog")) {
      return new Condition.DialogOpen(tailed(OPEN));
    }
    if (in.passes("program")) {
      return new Condition.InFront(tailed(FRONT));
    }
    if (ReadoutText.begins(in)) {
      Readout what = ReadoutText.read(in, RELATION_WORDS, true);
      return new Condition.Reads(what, relation(), in.expr());
    }
    if (in.isOver()) {
      throw in.fault(Refusals.says("outline.condition-such-as-something"));
    }
    Expr left = in.expr();
    return new Condition.Compare(left, relation(), in.expr());
  }

  /** A name and what has to follow it. */
  private String tailed(String tail) {
    String name = in.name(List.of(tail), true);
    if (!in.passes(tail)) {
      throw in.fault(tail);
    }
    return name;
  }

  private Relation relation() {
    Optional<Relation> relation = RELATIONS.stream().filter(r -> in.passes(r.words())).findFirst();
    return relation.orElseThrow(
        () -> in.fault(Refusals.says("outline.one-of", String.join(", ", RELATION_WORDS))));
  }

  public static String write(Condition condition) {
    return switch (condition) {
      case Condition.SomethingSelected() -> SOME;
      case Condition.Not(Condition.SomethingSelected()) -> NONE;
      case Condition.Not(Condition of) -> "not " + member(of);
      case Condition.All(List<Condition> of) -> members(of, " and ");
      case Condition.Any(List<Condition> of) -> members(of, " or ");
      case Condition.Ticked(var menu) ->
          "menu " + Written.name(StepParts.path(menu), List.of(TICKED)) + " " + TICKED;
      case Condition.VersionAtLeast(String version) ->
          "version at least " + Written.name(version, JOINTS);
      case Condition.DialogOpen(String title) ->
          "dialog " + Written.name(title, List.of(OPEN)) + " " + OPEN;
      case Condition.InFront(String application) ->
          "program " + Written.name(application, List.of(FRONT)) + " " + FRONT;
      case Condition.Reads(Readout what, Relation relation, Expr value) ->
          ReadoutText.write(what, RELATION_WORDS)
              + " "
              + relation.words()
              + " "
              + ExprNotation.write(value);
      case Condition.Compare(Expr left, Relation relation, Expr right) ->
          ExprNotation.write(left) + " " + relation.words() + " " + ExprNotation.write(right);
    };
  }

  private static String members(List<Condition> of, String joint) {
    return of.stream().map(ConditionText::member).collect(Collectors.joining(joint));
  }

  private static String member(Condition of) {
    return of instanceof Condition.All || of instanceof Condition.Any
        ? "(" + write(of) + ")"
        : write(of);
  }

  /** The words a condition may begin with. */
  public static List<String> beginnings() {
    return Stream.concat(
            Stream.of(SOME, NONE, "menu", "version at least", "dialog", "program", "not"),
            ReadoutText.beginnings().stream())
        .toList();
  }
}
