package foldtwice.library;

import java.util.AbstractMap;
import java.util.AbstractSet;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.Optional;
import java.util.Set;

/**
 * An unmodifiable map by id, in order, whose values lie in chunks that maps with the same ids
 * share. To put another value for an id costs a copy of its chunk; a new id a copy of all. What two
 * maps with the same ids differ in is told by the chunks they do not share.
 */
final class Chunked<T> extends AbstractMap<String, T> {

  private static final int CHUNK = 64;

  private final List<String> ids;
  private final Map<String, Integer> places;
  private final Object[][] chunks;

  private Chunked(List<String> ids, Map<String, Integer> places, Object[][] chunks) {
    this.ids = ids;
    this.places = places;
    this.chunks = chunks;
  }

  /** A map with these values, in their order. One of this kind is handed on as it is. */
  static <T> Chunked<T> of(Map<String, T> map) {
    if (map instanceof Chunked<T> ours) {
      return ours;
    }
    List<String> ids = List.copyOf(map.keySet());
    Map<String, Integer> places = HashMap.newHashMap(ids.size());
    Object[][] chunks = new Object[(ids.size() + CHUNK - 1) / CHUNK][];
    int at = 0;
    for (Entry<String, T> e : map.entrySet()) {
      places.put(e.getKey(), at);
      if (at % CHUNK == 0) {
        chunks[at / CHUNK] = new Object[Math.min(CHUNK, ids.size() - at)];
      }
      chunks[at / CHUNK][at % CHUNK] = e.getValue();
      at++;
    }
    return new Chunked<>(ids, places, chunks);
  }

  /** With another value in the place an id has, or with a new one after all others. */
  Chunked<T> with(String id, T value) {
    Integer at = places.get(id);
    if (at == null) {
      Map<String, T> all = new LinkedHashMap<>(this);
      all.put(id, value);
      return of(all);
    }
    Object[][] next = chunks.clone();
    next[at / CHUNK] = next[at / CHUNK].clone();
    next[at / CHUNK][at % CHUNK] = value;
    return new Chunked<>(ids, places, next);
  }

  /** The ids that have not the very same value in both, when both have the same ids. */
  Optional<List<String>> apart(Map<String, T> other) {
    if (!(other instanceof Chunked<T> that) || !hasIdsOf(that)) {
      return Optional.empty();
    }
    List<String> apart = new ArrayList<>();
    for (int c = 0; c < chunks.length; c++) {
      if (!isVery(chunks[c], that.chunks[c])) {
        for (int i = 0; i < chunks[c].length; i++) {
          if (!isVery(chunks[c][i], that.chunks[c][i])) {
            apart.add(ids.get(c * CHUNK + i));
          }
        }
      }
    }
    return Optional.of(apart);
  }

  private boolean hasIdsOf(Chunked<?> other) {
    return isVery(places, other.places);
  }

  @SuppressWarnings("ReferenceEquality") // what is shared need not be looked into
  private static boolean isVery(Object a, Object b) {
    return a == b;
  }

  @SuppressWarnings("unchecked") // only what came in as T lies there
  private T at(int place) {
    return (T) chunks[place / CHUNK][place % CHUNK];
  }

  @Override
  public T get(Object id) {
    Integer at = places.get(id);
    return at == null ? null : at(at);
  }

  @Override
  public boolean containsKey(Object id) {
    return places.containsKey(id);
  }

  @Override
  public int size() {
    return ids.size();
  }

  @Override
  public Set<Entry<String, T>> entrySet() {
    return new AbstractSet<>() {
      @Override
      public Iterator<Entry<String, T>> iterator() {
        return new Walk();
      }

      @Override
      public int size() {
        return ids.size();
      }
    };
  }

  private final class Walk implements Iterator<Entry<String, T>> {
    private int next;

    @Override
    public boolean hasNext() {
      return next < ids.size();
    }

    @Override
    public Entry<String, T> next() {
      if (!hasNext()) {
        throw new NoSuchElementException();
      }
      Entry<String, T> entry = new SimpleImmutableEntry<>(ids.get(next), at(next));
      next++;
      return entry;
    }
  }

  @Override
  @SuppressWarnings("unchecked") // apart only compares
  public boolean equals(Object other) {
    if (other instanceof Chunked<?> that && hasIdsOf(that)) {
      return apart((Map<String, T>) that).orElseThrow().stream()
          .allMatch(id -> get(id).equals(that.get(id)));
    }
    return super.equals(other);
  }

  @Override
  public int hashCode() {
    return super.hashCode();
  }
}
