package foldtwice.source;

import foldtwice.routine.Expr;
import foldtwice.routine.Line;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import foldtwice.routine.Value;
import foldtwice.routine.ValueException;
import foldtwice.source.Interface.Takes;
import foldtwice.source.Source.Spot;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;

/**
 * What a script's calls of the interface want, as far as its text says it. What is computed is
 * known by the name {@value #UNKNOWN}.
 */
public final class Named {

  /** The name of a value that is known only when the script runs. */
  public static final String UNKNOWN = "\0";

  /**
   * A call.
   *
   * @param wanted empty where what is given fits nothing, or is known only when the script runs
   * @param wrong what does not fit
   */
  public record Call(
      Spot at, Interface.Member member, Optional<Wanted> wanted, Optional<ValueException> wrong) {

    /** The step it takes, if it takes one. */
    public Optional<Step> step() {
      return wanted.filter(Wanted.Take.class::isInstance).map(w -> ((Wanted.Take) w).step());
    }
  }

  private final Set<String> names = new TreeSet<>();
  private boolean unknown;

  private Named() {}

  /** The calls of a source text, in the order in which they stand. */
  public static List<Call> calls(Source source) {
    List<Call> all = new ArrayList<>();
    for (Phrase.Call call : source.calls()) {
      Optional<Interface.Member> member = Names.member(call).filter(m -> !m.host().isEmpty());
      if (member.isPresent()) {
        all.add(
            new Named().call(Spot.of(source.text(), call.at().from()), member.get(), call.given()));
      }
    }
    return all;
  }

  /** The steps a script names, in the order in which they stand; whether it takes them is open. */
  public static List<Line> lines(Routine.Script script) {
    return calls(Source.of(script.source())).stream()
        .flatMap(c -> c.step().stream())
        .map(Line::new)
        .toList();
  }

  /** The names under which its texts know values, besides parameters. */
  public static Set<String> names(Source source) {
    Named named = new Named();
    for (Phrase.Call call : source.calls()) {
      Names.member(call)
          .ifPresent(
              m -> {
                for (int i = 0; i < call.given().size(); i++) {
                  if (m.takes(i).equals(Optional.of(Takes.NAMES))
                      && call.given().get(i) instanceof Phrase.Fields(var fields, Span at)) {
                    fields.forEach(f -> named.names.add(f.name()));
                  }
                }
              });
    }
    return named.names;
  }

  /** The parameters it asks for, each with where it does first. */
  public static Map<String, Spot> parameters(Source source) {
    Map<String, Spot> all = new LinkedHashMap<>();
    source.members().stream()
        .filter(
            m -> m.of() instanceof Phrase.Name(String name, Span at) && name.equals("parameters"))
        .forEach(m -> all.putIfAbsent(m.name(), Spot.of(source.text(), m.at().from())));
    return all;
  }

  private Call call(Spot at, Interface.Member member, List<Phrase> phrases) {
    List<Given> given = new ArrayList<>();
    for (int i = 0; i < phrases.size(); i++) {
      Phrase one = phrases.get(i);
      switch (member.takes(i).orElse(Takes.AMOUNT)) {
        case QUESTIONS -> questions(one, given);
        case NAMES -> {
          if (member.host().equals("run") && one instanceof Phrase.Fields(var fields, Span s)) {
            for (Phrase.Field f : fields) {
              given.add(text(f.name()));
              given.add(given(f.value()));
            }
          }
        }
        default -> given.add(given(one));
      }
    }
    try {
      return new Call(
          at,
          member,
          Calls.atOnce(member.host(), given).isPresent()
              ? Optional.empty()
              : Optional.of(Calls.of(member.host(), given)),
          Optional.empty());
    } catch (ValueException e) {
      return new Call(at, member, Optional.empty(), unknown ? Optional.empty() : Optional.of(e));
    }
  }

  private static Given text(String text) {
    return new Given.Plain(new Value.Text(text));
  }

  private void questions(Phrase phrase, List<Given> given) {
    if (!(phrase instanceof Phrase.Fields(var fields, Span at))) {
      unknown = true;
      return;
    }
    for (Phrase.Field question : fields) {
      given.add(text(question.name()));
      Map<String, Phrase> said = new LinkedHashMap<>();
      if (question.value() instanceof Phrase.Fields(var inner, Span s)) {
        inner.forEach(f -> said.put(f.name(), f.value()));
      }
      for (String field : Calls.QUESTION) {
        Phrase value = said.get(field);
        given.add(
            value == null
                ? new Given.Plain(field.equals("kept") ? new Value.Flag(false) : new Value.Text(""))
                : listed(value));
      }
    }
  }

  private Given listed(Phrase phrase) {
    if (!(phrase instanceof Phrase.Listed(var items, Span at))) {
      return given(phrase);
    }
    return text(String.join(", ", items.stream().map(i -> given(i).shown()).toList()));
  }

  private Given given(Phrase phrase) {
    return switch (phrase) {
      case Phrase.Words(String text, Span at) -> text(text);
      case Phrase.YesNo(boolean yes, Span at) -> new Given.Plain(new Value.Flag(yes));
      case Phrase.Digits(BigDecimal n, Span at) -> new Given.Plain(new Value.Amount(n));
      case Phrase.Prefix(String sign, Phrase.Digits(BigDecimal n, Span a), Span at)
          when sign.equals("-") ->
          new Given.Plain(new Value.Amount(n.negate()));
      case Phrase.Member(Phrase.Name(String of, Span a), String name, Span at)
          when of.equals("parameters") -> {
        unknown = true;
        yield new Given.Computed(new Expr.Name(name));
      }
      case Phrase.Mixed(var parts, Span at) -> new Given.Written(template(parts));
      case Phrase.Call call
          when Names.member(call).filter(m -> m.name().equals("amount")).isPresent()
              && call.given().size() == 1
              && call.given().getFirst() instanceof Phrase.Words(String text, Span at) ->
          amount(text);
      default -> {
        unknown = true;
        yield new Given.Computed(new Expr.Name(UNKNOWN));
      }
    };
  }

  /** What is no amount is told where it is read, as a call of its own. */
  private Given amount(String text) {
    try {
      return new Given.Plain(Calls.amount(text));
    } catch (ValueException e) {
      unknown = true;
      return new Given.Computed(new Expr.Name(UNKNOWN));
    }
  }

  private Template template(List<Phrase> parts) {
    StringBuilder out = new StringBuilder();
    for (Phrase part : parts) {
      if (part instanceof Phrase.Words(String text, Span at)) {
        out.append(text);
      } else {
        unknown = true;
        out.append('\u2039').append(UNKNOWN).append('\u203a');
      }
    }
    return new Template(out.toString());
  }
}
