package foldtwice.source;

import foldtwice.routine.Condition;
import foldtwice.routine.Condition.Relation;
import foldtwice.routine.Expr;
import foldtwice.routine.Readout;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import foldtwice.routine.Value;
import foldtwice.text.Refusals;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What the phrases of a script are in a macro: values, conditions, what a loop goes through, and
 * what a call of the interface wants.
 */
final class FromPhrase {

  private final Source source;
  private final Scopes scopes;

  FromPhrase(Source source, Scopes scopes) {
    this.source = source;
    this.scopes = scopes;
  }

  /** What a loop goes through. */
  Step.Items items(Phrase of) throws LostException {
    return switch (of) {
      case Phrase.Listed(var items, Span at) -> {
        List<Expr> values = new ArrayList<>();
        for (Phrase item : items) {
          values.add(expr(item));
        }
        yield new Step.Items.Given(values);
      }
      case Phrase.Call call when isCall(call, "lines") && call.given().size() == 1 ->
          new Step.Items.LinesOf(expr(call.given().getFirst()));
      case Phrase.Call call
          when wanted(call).orElse(null) instanceof Wanted.Through(Step.Items items)
              && !(items instanceof Step.Items.Selected) ->
          items;
      default ->
          throw new LostException(
              of.at(), Refusals.says("source.list-no-step-goes", source.excerpt(of.at())));
    };
  }

  private static boolean isCall(Phrase.Call call, String name) {
    return Names.member(call).filter(m -> m.name().equals(name)).isPresent();
  }

  /** What has to hold. */
  Condition condition(Phrase phrase) throws LostException {
    return switch (phrase) {
      case Phrase.Prefix(String sign, Phrase of, Span at) when sign.equals("!") ->
          new Condition.Not(condition(of));
      case Phrase.Infix(Phrase left, String sign, Phrase right, Span at)
          when sign.equals("&&") || sign.equals("||") -> {
        List<Condition> all = new ArrayList<>();
        flatten(left, sign, all);
        all.add(condition(right));
        yield sign.equals("&&") ? new Condition.All(all) : new Condition.Any(all);
      }
      case Phrase.Infix(Phrase left, String sign, Phrase right, Span at)
          when relation(sign).isPresent() && (isPlain(left) || isPlain(right)) ->
          compared(left, relation(sign).get(), right);
      case Phrase.Call call
          when wanted(call).orElse(null) instanceof Wanted.Test(Condition condition) ->
          condition;
      default ->
          throw new LostException(
              phrase.at(),
              Refusals.says("source.condition-no-step-looks", source.excerpt(phrase.at())));
    };
  }

  private void flatten(Phrase phrase, String sign, List<Condition> into) throws LostException {
    if (phrase instanceof Phrase.Infix(Phrase left, String joint, Phrase right, Span at)
        && joint.equals(sign)
        && !isBracketed(phrase)) {
      flatten(left, sign, into);
      into.add(condition(right));
    } else {
      into.add(condition(phrase));
    }
  }

  /** What stands in brackets of its own stays together. */
  private boolean isBracketed(Phrase phrase) {
    String text = source.text().substring(phrase.at().from(), phrase.at().to());
    if (!text.startsWith("(")) {
      return false;
    }
    int depth = 0;
    for (int i = 0; i < text.length(); i++) {
      depth += text.charAt(i) == '(' ? 1 : text.charAt(i) == ')' ? -1 : 0;
      if (depth == 0) {
        return i == text.length() - 1;
      }
    }
    return true;
  }

  private static boolean isPlain(Phrase phrase) {
    return phrase instanceof Phrase.Words || phrase instanceof Phrase.Digits;
  }

  private static Optional<Relation> relation(String sign) {
    return switch (sign) {
      case "===", "==" -> Optional.of(Relation.IS);
      case "!==", "!=" -> Optional.of(Relation.IS_NOT);
      case "<" -> Optional.of(Relation.LESS);
      case ">" -> Optional.of(Relation.MORE);
      default -> Optional.empty();
    };
  }

  private Condition compared(Phrase left, Relation relation, Phrase right) throws LostException {
    if (left instanceof Phrase.Call call
        && wanted(call).orElse(null) instanceof Wanted.Read(Readout what)) {
      return new Condition.Reads(what, relation, expr(right));
    }
    return new Condition.Compare(expr(left), relation, expr(right));
  }

  /** What is computed. */
  Expr expr(Phrase phrase) throws LostException {
    return switch (phrase) {
      case Phrase.Words(String text, Span at) -> new Expr.Literal(new Value.Text(text));
      case Phrase.Digits(BigDecimal n, Span at) -> new Expr.Literal(new Value.Amount(n));
      case Phrase.YesNo(boolean yes, Span at) -> new Expr.Literal(new Value.Flag(yes));
      case Phrase.Prefix(String sign, Phrase.Digits n, Span at) when sign.equals("-") ->
          new Expr.Opposite(expr(n));
      case Phrase.Name(String name, Span at) -> scopes.named(name, at);
      case Phrase.Member m when scopes.parameter(m).isPresent() ->
          scopes.asGiven(scopes.parameter(m).get(), m.at());
      case Phrase.Infix(Phrase left, String sign, Phrase right, Span at)
          when sign.equals("*") || sign.equals("-") ->
          new Expr.Joined(
              expr(left),
              sign.equals("*") ? Expr.Operator.TIMES : Expr.Operator.MINUS,
              expr(right));
      case Phrase.Mixed m -> new Expr.Written(template(m));
      case Phrase.Call call when isCall(call, "amount") && plainText(call).isPresent() ->
          new Expr.Literal(Calls.amount(plainText(call).get()));
      case Phrase.Call call when wanted(call).orElse(null) instanceof Wanted.Compute(Expr e) -> e;
      default ->
          throw new LostException(
              phrase.at(),
              Refusals.says("source.value-no-step-computes", source.excerpt(phrase.at())));
    };
  }

  private static Optional<String> plainText(Phrase.Call call) {
    return call.given().size() == 1 && call.given().getFirst() instanceof Phrase.Words w
        ? Optional.of(w.text())
        : Optional.empty();
  }

  private Template template(Phrase.Mixed mixed) throws LostException {
    StringBuilder out = new StringBuilder();
    for (Phrase part : mixed.parts()) {
      switch (part) {
        case Phrase.Words(String text, Span at) when text.indexOf('\u2039') < 0 -> out.append(text);
        case Phrase.Name(String name, Span at)
            when scopes.named(name, at) instanceof Expr.Name(String n) ->
            out.append('\u2039').append(n).append('\u203a');
        case Phrase.Member m when scopes.parameter(m).isPresent() ->
            out.append('\u2039').append(scopes.parameter(m).get()).append('\u203a');
        default ->
            throw new LostException(
                part.at(), Refusals.says("source.value-no-step-puts", source.excerpt(part.at())));
      }
    }
    return new Template(out.toString());
  }

  /** What a call of the interface wants; empty for any other call. */
  Optional<Wanted> wanted(Phrase.Call call) throws LostException {
    Optional<Interface.Member> member = Names.member(call).filter(m -> !m.host().isEmpty());
    if (member.isEmpty() || member.get().host().equals("amount")) {
      return Optional.empty();
    }
    Interface.Member m = member.get();
    List<Given> given = new ArrayList<>();
    for (int i = 0; i < call.given().size(); i++) {
      Phrase one = call.given().get(i);
      switch (m.takes(i).orElse(Interface.Takes.AMOUNT)) {
        case QUESTIONS -> given.addAll(questions(one));
        case NAMES -> {
          if (m.host().equals("run")) {
            given.addAll(arguments(one));
          } else {
            sameNames(one);
          }
        }
        default -> given.add(given(one));
      }
    }
    Wanted wanted = Calls.of(m.host(), given);
    if (wanted instanceof Wanted.Take(Step step, var names) && !names.isEmpty()) {
      throw new LostException(call.at(), Refusals.says("source.text-with-as-stands"));
    }
    return Optional.of(wanted);
  }

  private Given given(Phrase phrase) throws LostException {
    return switch (phrase) {
      case Phrase.Words(String text, Span at) -> new Given.Plain(new Value.Text(text));
      case Phrase.YesNo(boolean yes, Span at) -> new Given.Plain(new Value.Flag(yes));
      case Phrase.Mixed m -> new Given.Written(template(m));
      default -> new Given.Computed(expr(phrase));
    };
  }

  /** The names a text is computed with are those of the macro. */
  private void sameNames(Phrase phrase) throws LostException {
    for (Phrase.Field f : fields(phrase)) {
      if (!expr(f.value()).equals(new Expr.Name(f.name()))) {
        throw new LostException(
            phrase.at(), Refusals.says("source.stands-for-something-else", f.name()));
      }
    }
  }

  private List<Given> arguments(Phrase phrase) throws LostException {
    List<Given> given = new ArrayList<>();
    for (Phrase.Field f : fields(phrase)) {
      given.add(new Given.Plain(new Value.Text(f.name())));
      given.add(given(f.value()));
    }
    return given;
  }

  private static List<Phrase.Field> fields(Phrase phrase) throws LostException {
    if (phrase instanceof Phrase.Fields(var fields, Span at)) {
      return fields;
    }
    throw new LostException(phrase.at(), Refusals.says("source.names-are-computed"));
  }

  private List<Given> questions(Phrase phrase) throws LostException {
    List<Given> given = new ArrayList<>();
    for (Phrase.Field question : fields(phrase)) {
      given.add(new Given.Plain(new Value.Text(question.name())));
      Map<String, Phrase> said = new LinkedHashMap<>();
      fields(question.value()).forEach(f -> said.put(f.name(), f.value()));
      for (String field : Calls.QUESTION) {
        given.add(said.containsKey(field) ? field(said.get(field)) : missing(field));
      }
    }
    return given;
  }

  private static Given missing(String field) {
    return new Given.Plain(field.equals("kept") ? new Value.Flag(false) : new Value.Text(""));
  }

  private Given field(Phrase phrase) throws LostException {
    if (!(phrase instanceof Phrase.Listed(var items, Span at))) {
      return given(phrase);
    }
    List<String> parts = new ArrayList<>();
    for (Phrase item : items) {
      parts.add(given(item).shown());
    }
    return new Given.Plain(new Value.Text(String.join(", ", parts)));
  }
}
