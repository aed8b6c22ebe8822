package foldtwice.source;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;

/**
 * A source text, read.
 *
 * @param clauses what it does, in order; none when it cannot be read
 * @param slip where it cannot be read
 */
public record Source(String text, List<Clause> clauses, Optional<Slip> slip) {

  /** Somewhere in a text, counted from 1. */
  public record Spot(int line, int column) {

    /** The spot so many characters into a text. */
    static Spot of(String text, int at) {
      int line = 1;
      int from = 0;
      for (int i = 0; i < Math.min(at, text.length()); i++) {
        if (text.charAt(i) == '\n') {
          line++;
          from = i + 1;
        }
      }
      return new Spot(line, Math.max(0, at - from) + 1);
    }
  }

  /** What is wrong with it, and where. */
  public record Slip(Spot at, String what) {}

  public Source {
    clauses = List.copyOf(clauses);
  }

  /** Reads a text. One pass; nested at most as deep as the engine reads it. */
  public static Source of(String text) {
    return Parsing.of(text);
  }

  /** All calls in it, those inside others before them, in the order in which they stand. */
  List<Phrase.Call> calls() {
    List<Phrase.Call> all = new ArrayList<>();
    each(
        p -> {
          if (p instanceof Phrase.Call c) {
            all.add(c);
          }
        });
    all.sort(Comparator.comparingInt(c -> c.at().to()));
    return all;
  }

  /** All properties asked for by name. */
  List<Phrase.Member> members() {
    List<Phrase.Member> all = new ArrayList<>();
    each(
        p -> {
          if (p instanceof Phrase.Member m) {
            all.add(m);
          }
        });
    return all;
  }

  private void each(Consumer<Phrase> look) {
    clauses.forEach(c -> each(c, look));
  }

  private static void each(Clause clause, Consumer<Phrase> look) {
    switch (clause) {
      case Clause.Declared(String name, var value, Span at) -> value.ifPresent(v -> each(v, look));
      case Clause.Done(Phrase what, Span at) -> each(what, look);
      case Clause.When(Phrase holds, var then, var otherwise, Span at) -> {
        each(holds, look);
        then.forEach(c -> each(c, look));
        otherwise.forEach(c -> each(c, look));
      }
      case Clause.Each(String name, boolean fresh, Phrase of, var body, Span at) -> {
        each(of, look);
        body.forEach(c -> each(c, look));
      }
      case Clause.Counted(String name, Phrase most, var body, Span at) -> {
        each(most, look);
        body.forEach(c -> each(c, look));
      }
      case Clause.Other(var inside, var clauses, Span at) -> {
        inside.forEach(p -> each(p, look));
        clauses.forEach(c -> each(c, look));
      }
    }
  }

  private static void each(Phrase phrase, Consumer<Phrase> look) {
    look.accept(phrase);
    switch (phrase) {
      case Phrase.Call(Phrase what, var given, var visible, Span at) -> {
        each(what, look);
        given.forEach(g -> each(g, look));
      }
      case Phrase.Member(Phrase of, String name, Span at) -> each(of, look);
      case Phrase.Mixed(var parts, Span at) -> parts.forEach(p -> each(p, look));
      case Phrase.Listed(var items, Span at) -> items.forEach(p -> each(p, look));
      case Phrase.Fields(var fields, Span at) -> fields.forEach(f -> each(f.value(), look));
      case Phrase.Prefix(String sign, Phrase of, Span at) -> each(of, look);
      case Phrase.Infix(Phrase left, String sign, Phrase right, Span at) -> {
        each(left, look);
        each(right, look);
      }
      case Phrase.Function(var names, var body, Span at) -> body.forEach(c -> each(c, look));
      case Phrase.Other(var inside, var clauses, Span at) -> {
        inside.forEach(p -> each(p, look));
        clauses.forEach(c -> each(c, look));
      }
      case Phrase.Words w -> {}
      case Phrase.Digits d -> {}
      case Phrase.YesNo y -> {}
      case Phrase.Name n -> {}
    }
  }

  /** The beginning of what stands there: of its first line, 60 characters at most. */
  String excerpt(Span at) {
    String cut = text.substring(at.from(), Math.min(at.to(), text.length()));
    String line = cut.lines().findFirst().orElse("").strip();
    return line.length() > 60 ? line.substring(0, 60) + "\u2026" : line;
  }
}
