package foldtwice.source;

import foldtwice.source.Source.Spot;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Collectors;

/**
 * A source text that says at each call of the interface which variables are seen there. Its lines
 * are those of the original.
 */
public record Watched(String text, List<Added> added) {

  /** The name of what it calls for that. */
  public static final String CALL = "$seen";

  /** Something put in: where, of the original, and how long. */
  public record Added(int at, int length) {}

  public Watched {
    added = List.copyOf(added);
  }

  /** The text as it is, for those who do not look. */
  public static Watched not(String text) {
    return new Watched(text, List.of());
  }

  /** The text watched; as it is where it cannot be read. */
  public static Watched of(String text) {
    Source source = Source.of(text);
    List<Phrase.Call> calls =
        source.calls().stream()
            .filter(c -> Names.member(c).isPresent() && !c.visible().isEmpty())
            .sorted(Comparator.comparingInt(c -> c.at().from()))
            .toList();
    StringBuilder out = new StringBuilder();
    List<Added> added = new ArrayList<>();
    int from = 0;
    for (Phrase.Call call : calls) {
      int at = call.at().from();
      String put =
          call.visible().stream()
              .map(name -> "['" + name + "',()=>" + name + "]")
              .collect(Collectors.joining(",", CALL + "([", "])."));
      out.append(text, from, at).append(put);
      added.add(new Added(at, put.length()));
      from = at;
    }
    return new Watched(out.append(text.substring(from)).toString(), added);
  }

  /** The spot of the original that one of this text is. */
  public Spot original(Spot here) {
    int from = 0;
    for (int line = 1; line < here.line(); line++) {
      from = text.indexOf('\n', from) + 1;
    }
    int column = here.column();
    int before = 0;
    for (Added a : added) {
      int at = a.at() + before; // where it stands in this text
      if (at >= from && at < from + here.column() - 1) {
        column -= Math.min(a.length(), from + here.column() - 1 - at);
      }
      before += a.length();
    }
    return new Spot(here.line(), column);
  }
}
