package foldtwice.library.file;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.JsonNodeType;
import foldtwice.extras.Extras;
import foldtwice.library.Rules;
import foldtwice.routine.Kind;
import foldtwice.routine.Value;
import foldtwice.text.Refusals;
import foldtwice.trigger.Stroke;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.IntStream;

/**
 * A node of a document being read, and its path, which every complaint names. Paths are put
 * together only when something is wrong.
 */
final class In {

  /** Reads one item. */
  interface Reader<T> {
    T read(In in) throws FormatException;
  }

  /** A list this long is read in parts. */
  private static final int MANY = 2_000;

  private static final int MOST_PARTS = 8;

  private final JsonNode node;
  private final In parent;
  private final String field;
  private final int index;
  private final Aside aside;

  private In(JsonNode node, In parent, String field, int index, Aside aside) {
    this.node = node;
    this.parent = parent;
    this.field = field;
    this.index = index;
    this.aside = aside;
  }

  private In(JsonNode node, In parent, String field, int index) {
    this(node, parent, field, index, parent.aside);
  }

  /** The whole document; whatever cannot be read ends the reading. */
  static In root(JsonNode node) {
    return root(node, Aside.strict());
  }

  static In root(JsonNode node, Aside aside) {
    return new In(node, null, "", -1, aside);
  }

  /** A stroke of the Shortcuts notation. */
  Stroke stroke() throws FormatException {
    String text = text();
    try {
      return aside.stroke(text);
    } catch (IllegalArgumentException e) {
      FormatException placed = fault(e.getMessage());
      placed.initCause(e);
      throw placed;
    }
  }

  /** What the text means to a kind, whether it fits or not. */
  Value meant(Kind kind) throws FormatException {
    return aside.meant(kind, text());
  }

  /** How many items this reading has left out so far. */
  int leftOut() {
    return aside.items().size();
  }

  String path() {
    if (parent == null) {
      return "";
    }
    return parent.path() + "/" + (index < 0 ? field : index);
  }

  FormatException fault(String what) {
    String path = path();
    return new FormatException(path.isEmpty() ? "the document" : path, what);
  }

  FormatException expected(String what) {
    return fault(Refusals.says("library.expected-found", what, found()));
  }

  /** What stands here, as JSON; shortened when it is long. */
  String found() {
    if (node.getNodeType() == JsonNodeType.MISSING) {
      return "nothing";
    }
    String json = node.toString();
    return json.length() > 60 ? json.substring(0, 57) + "..." : json;
  }

  In at(String name) throws FormatException {
    if (!node.isObject()) {
      throw expected(Refusals.says("library.object"));
    }
    return new In(node.path(name), this, name, -1);
  }

  /** What stands under a name; null when there is nothing. */
  private In some(String name) {
    JsonNode child = node.get(name);
    return child == null || child.isNull() ? null : new In(child, this, name, -1);
  }

  boolean has(String name) {
    return node.hasNonNull(name);
  }

  String text() throws FormatException {
    if (!node.isTextual()) {
      throw expected(Refusals.says("library.text"));
    }
    return node.textValue();
  }

  String text(String name) throws FormatException {
    return at(name).text();
  }

  String text(String name, String otherwise) throws FormatException {
    In in = some(name);
    return in == null ? otherwise : in.text();
  }

  /** An id: a text that is not empty and has no blank around it. */
  String id(String name) throws FormatException {
    return id(name, Rules::isId, "an id without blanks around it");
  }

  /** An id of which more is asked. */
  String id(String name, Predicate<String> rule, String expected) throws FormatException {
    In in = at(name);
    String id = in.text();
    if (!rule.test(id)) {
      throw in.expected(expected);
    }
    return id;
  }

  boolean flag(String name) throws FormatException {
    In in = some(name);
    if (in == null) {
      return false;
    }
    if (!in.node.isBoolean()) {
      throw in.expected(Refusals.says("library.true-or-false"));
    }
    return in.node.booleanValue();
  }

  double number(String name, double otherwise) throws FormatException {
    In in = some(name);
    if (in == null) {
      return otherwise;
    }
    if (!in.node.isNumber()
        || in.node.doubleValue() < 0
        || !Double.isFinite(in.node.doubleValue())) {
      throw in.expected(Refusals.says("library.number-or-more"));
    }
    return in.node.doubleValue();
  }

  int whole(String name) throws FormatException {
    In in = at(name);
    if (!in.node.isInt()) {
      throw in.expected(Refusals.says("library.whole-number"));
    }
    return in.node.intValue();
  }

  <E extends Enum<E>> E word(Class<E> type, String name, E otherwise) throws FormatException {
    In in = some(name);
    return in == null ? otherwise : in.word(type);
  }

  <E extends Enum<E>> E word(Class<E> type) throws FormatException {
    String word = text();
    List<String> allowed = new ArrayList<>();
    for (E e : type.getEnumConstants()) {
      if (word(e).equals(word)) {
        return e;
      }
      allowed.add(word(e));
    }
    throw expected(Refusals.says("library.one", String.join(", ", allowed)));
  }

  static String word(Enum<?> e) {
    return e.name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  <T> List<T> list(String name, Reader<T> reader) throws FormatException {
    In in = some(name);
    return in == null ? List.of() : in.list(reader);
  }

  <T> List<T> list(Reader<T> reader) throws FormatException {
    if (!node.isArray()) {
      throw expected(Refusals.says("library.list"));
    }
    int size = node.size();
    List<T> items = new ArrayList<>(size);
    for (int i = 0; i < size; i++) {
      In item = new In(node.get(i), this, "", i);
      try {
        items.add(reader.read(item));
      } catch (FormatException e) {
        aside.leaveOut(item, item.node, e);
      }
    }
    return items;
  }

  private FormatException standsTwice(String id) {
    return fault(Refusals.says("library.id-stands-twice-ids", id));
  }

  /**
   * Reads a long list on several cores, each part by itself; of several items that cannot be read
   * the first is told.
   */
  private <T> List<T> inParts(Reader<T> reader) throws FormatException {
    int size = node.size();
    int parts = Math.clamp(Runtime.getRuntime().availableProcessors(), 1, MOST_PARTS);
    record Part<T>(List<T> items, FormatException wrong, Aside own) {}
    List<Part<T>> read =
        IntStream.range(0, parts)
            .parallel()
            .mapToObj(
                part -> {
                  Aside own = Aside.strict();
                  int to = (int) ((long) size * (part + 1) / parts);
                  List<T> items = new ArrayList<>(size / parts + 1);
                  for (int i = (int) ((long) size * part / parts); i < to; i++) {
                    try {
                      items.add(reader.read(new In(node.get(i), this, "", i, own)));
                    } catch (FormatException e) {
                      return new Part<>(items, e, own);
                    }
                  }
                  return new Part<>(items, null, own);
                })
            .toList();
    List<T> all = new ArrayList<>(size);
    for (Part<T> part : read) {
      if (part.wrong() != null) {
        throw part.wrong();
      }
      all.addAll(part.items());
      aside.unknown().addAll(part.own().unknown());
    }
    return all;
  }

  /** A list of things with ids of their own; two of one id are refused. */
  <T> LinkedHashMap<String, T> byId(String name, Reader<T> reader, Function<T, String> id)
      throws FormatException {
    In all = some(name);
    if (all == null) {
      return new LinkedHashMap<>();
    }
    LinkedHashMap<String, T> map = LinkedHashMap.newLinkedHashMap(all.node.size());
    if (!aside.isLenient() && all.node.isArray() && all.node.size() >= MANY) {
      List<T> items = all.inParts(reader);
      for (int i = 0; i < items.size(); i++) {
        if (map.putIfAbsent(id.apply(items.get(i)), items.get(i)) != null) {
          throw new In(all.node.get(i), all, "", i).standsTwice(id.apply(items.get(i)));
        }
      }
      return map;
    }
    all.list(
        in -> {
          T item = reader.read(in);
          if (map.putIfAbsent(id.apply(item), item) != null) {
            throw in.standsTwice(id.apply(item));
          }
          return item;
        });
    return map;
  }

  /** An object whose values are all texts. */
  Map<String, In> fields(String name) throws FormatException {
    In in = some(name);
    if (in == null) {
      return Map.of();
    }
    if (!in.node.isObject()) {
      throw in.expected(Refusals.says("library.object"));
    }
    Map<String, In> map = new LinkedHashMap<>();
    for (var e : in.node.properties()) {
      map.put(e.getKey(), new In(e.getValue(), in, e.getKey(), -1));
    }
    return map;
  }

  /** The fields that are not among those known, kept for writing back. */
  Extras rest(Set<String> known) {
    Map<String, String> unknown = null;
    for (var e : node.properties()) {
      if (!known.contains(e.getKey())) {
        unknown = unknown == null ? new LinkedHashMap<>() : unknown;
        unknown.put(e.getKey(), e.getValue().toString());
        aside.unknown(this, e.getKey(), known);
      }
    }
    List<Extras.Part> parts = aside.take(this);
    return unknown == null && parts.isEmpty()
        ? Extras.NONE
        : new Extras(unknown == null ? Map.of() : unknown, parts);
  }

  /**
   * Hands over a part that has no room for unknown fields; if it has some, they are kept with what
   * it is part of.
   *
   * @param write how the part is written, by which it is found again
   */
  <T> T part(Set<String> known, T value, Function<T, JsonNode> write) {
    if (!isKnown(known)) {
      Map<String, String> unknown = new LinkedHashMap<>();
      node.properties().stream()
          .filter(e -> !known.contains(e.getKey()))
          .forEach(
              e -> {
                unknown.put(e.getKey(), e.getValue().toString());
                aside.unknown(this, e.getKey(), known);
              });
      aside.wait(this, write.apply(value), unknown);
    }
    return value;
  }

  private boolean isKnown(Set<String> known) {
    for (var e : node.properties()) {
      if (!known.contains(e.getKey())) {
        return false;
      }
    }
    return true;
  }

  /** True for what stands inside another. */
  boolean isWithin(In other) {
    In at = this;
    while (at != null && at != other) {
      at = at.parent;
    }
    return at != null;
  }

  /** The way from another, with places in lists or without. */
  String pathFrom(In other, boolean places) {
    if (this == other) {
      return "";
    }
    String before = parent.pathFrom(other, places);
    if (index >= 0) {
      return places ? before + "/" + index : before;
    }
    return before.isEmpty() ? field : before + "/" + field;
  }

  /** Runs a reader whose own complaint lacks the place, and adds it. */
  <T> T placing(java.util.function.Supplier<T> reader) throws FormatException {
    try {
      return reader.get();
    } catch (IllegalArgumentException e) {
      FormatException placed = fault(e.getMessage());
      placed.initCause(e);
      throw placed;
    }
  }
}
