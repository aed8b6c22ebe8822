package foldtwice.source;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Set;

/**
 * Sources of scripts with something in them written otherwise; as they are where they cannot be
 * read.
 */
public final class Rewriting {

  private static final String FOR_GOOD = "ForGood";

  /** A piece of the text, and what stands there then. */
  private record Piece(Span at, String instead) {}

  private Rewriting() {}

  /** The text asking for a parameter by another name. */
  public static String renamed(String source, String from, String to) {
    String is = Identifiers.isOne(to) ? "." + to : "[" + ToPhrase.quoted(to) + "]";
    List<Piece> pieces = new ArrayList<>();
    for (Phrase.Member m : Source.of(source).members()) {
      if (m.name().equals(from)
          && m.of() instanceof Phrase.Name(String of, Span at)
          && of.equals("parameters")) {
        pieces.add(new Piece(new Span(at.to(), m.at().to()), is));
      }
    }
    return with(source, pieces);
  }

  /** The text changing these settings for the run only. */
  public static String forThisRun(String source, Set<String> settings) {
    List<Piece> pieces = new ArrayList<>();
    for (Phrase.Call call : Source.of(source).calls()) {
      boolean forGood =
          Names.member(call).filter(m -> m.name().endsWith(FOR_GOOD)).isPresent()
              && !call.given().isEmpty()
              && call.given().getFirst() instanceof Phrase.Words w
              && settings.contains(w.text());
      if (forGood) {
        int end = call.what().at().to();
        pieces.add(new Piece(new Span(end - FOR_GOOD.length(), end), ""));
      }
    }
    return with(source, pieces);
  }

  private static String with(String source, List<Piece> pieces) {
    StringBuilder out = new StringBuilder();
    int begun = 0;
    for (Piece p :
        pieces.stream().sorted(Comparator.comparingInt(piece -> piece.at().from())).toList()) {
      out.append(source, begun, p.at().from()).append(p.instead());
      begun = p.at().to();
    }
    return out.append(source.substring(begun)).toString();
  }
}
