package foldtwice.library.file;

import com.fasterxml.jackson.databind.JsonNode;
import foldtwice.extras.Extras;
import foldtwice.routine.Kind;
import foldtwice.routine.Value;
import foldtwice.text.Nearness;
import foldtwice.trigger.FileNotation;
import foldtwice.trigger.Stroke;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * What one reading of a document lays aside: what it has read already, for the next time; unknown
 * fields of parts that have no room for them, until what they are part of takes them; and, in a
 * lenient reading, items of lists that cannot be read, which are left out.
 */
final class Aside {

  /**
   * An item that could not be read.
   *
   * @param where its path in the document
   * @param why what was expected and found
   * @param was its JSON text
   */
  record Item(String where, String why, String was) {}

  private record Waiting(In at, JsonNode content, Map<String, String> fields) {}

  private final boolean lenient;
  private final Map<String, Stroke> strokes = new HashMap<>();
  private final IdentityHashMap<Kind, Map<String, Value>> values = new IdentityHashMap<>();
  private final List<Item> items = new ArrayList<>();
  private final List<Waiting> waiting = new ArrayList<>();
  private final List<UnknownField> unknown = new ArrayList<>();

  private Aside(boolean lenient) {
    this.lenient = lenient;
  }

  /** Whatever cannot be read ends the reading. */
  static Aside strict() {
    return new Aside(false);
  }

  /** What cannot be read is left out. */
  static Aside lenient() {
    return new Aside(true);
  }

  /** A stroke; the same text is read once. */
  Stroke stroke(String text) {
    Stroke known = strokes.get(text);
    if (known == null) {
      known = FileNotation.read(text);
      strokes.put(text, known);
    }
    return known;
  }

  /** What a text means to a kind; the same text is read once. */
  Value meant(Kind kind, String text) {
    Map<String, Value> of = values.computeIfAbsent(kind, k -> new HashMap<>());
    Value known = of.get(text);
    if (known == null) {
      known = kind.lenient(text);
      of.put(text, known);
    }
    return known;
  }

  boolean isLenient() {
    return lenient;
  }

  /** What has been left out so far. */
  List<Item> items() {
    return items;
  }

  /** The fields nobody here knows, in the order in which they were come to. */
  List<UnknownField> unknown() {
    return unknown;
  }

  /** Notes a field nobody here knows; it is kept all the same. */
  void unknown(In in, String name, Set<String> known) {
    unknown.add(new UnknownField(in.path() + "/" + name, Nearness.nearest(name, known)));
  }

  /** Leaves an item out, or ends the reading. */
  void leaveOut(In item, JsonNode node, FormatException why) throws FormatException {
    if (!lenient) {
      throw why;
    }
    items.add(new Item(item.path(), why.getMessage(), node.toString()));
  }

  /** Leaves a line of the journal out, or ends the reading. */
  void leaveOutLine(String where, String was, FormatException why) throws FormatException {
    if (!lenient) {
      throw why;
    }
    items.add(new Item(where, why.what(), was));
  }

  /** Notes what was mended, and how; nothing was left out. */
  void note(String where, String how) {
    items.add(new Item(where, how, ""));
  }

  /** Unknown fields of a part wait for what it is part of. */
  void wait(In part, JsonNode content, Map<String, String> fields) {
    waiting.add(new Waiting(part, content, fields));
  }

  /** The unknown fields of all parts of a thing, which has room for them. */
  List<Extras.Part> take(In owner) {
    if (waiting.isEmpty()) {
      return List.of();
    }
    List<Extras.Part> parts = new ArrayList<>();
    for (Iterator<Waiting> all = waiting.iterator(); all.hasNext(); ) {
      Waiting w = all.next();
      if (w.at().isWithin(owner)) {
        String names = w.at().pathFrom(owner, false);
        parts.add(
            new Extras.Part(
                names,
                w.at().pathFrom(owner, true),
                Spots.identity(names, w.content()),
                w.fields()));
        all.remove();
      }
    }
    return parts;
  }
}
