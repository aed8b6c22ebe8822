package foldtwice.library;

import java.util.AbstractMap;
import java.util.AbstractSet;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.HashMap;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;

/**
 * An unmodifiable map by id, in order, whose values lie in chunks that maps with the same ids
 * share. To put another value for an id costs a copy of its chunk; a new id a copy of all. What two
 * maps with the same ids differ in is told by the chunks they do not share; what was gathered of a
 * chunk is kept with it.
 */
public final class Chunked<T> extends AbstractMap<String, T> {

  private static final int CHUNK = 64;

  private final List<String> ids;
  private final Map<String, Integer> places;
  private final List<Chunk> chunks;

  /** Some values one after another, and what was gathered of them. */
  private static final class Chunk {
    private final Object[] values;
    private final Map<Gathering<?, ?>, Object> gathered = new ConcurrentHashMap<>(2);

    Chunk(Object[] values) {
      this.values = values;
    }

    Chunk with(int place, Object value) {
      Object[] next = values.clone();
      next[place] = value;
      return new Chunk(next);
    }

    @SuppressWarnings("unchecked") // only what came in as T lies there, and what is made as R
    <T, R> R of(Gathering<T, R> gathering) {
      return (R)
          gathered.computeIfAbsent(
              gathering,
              g ->
                  gathering.how.apply(
                      (List<T>) Collections.unmodifiableList(Arrays.asList(values))));
    }
  }

  /** What is made of the values of a chunk; one for each purpose, made once. */
  static final class Gathering<T, R> {
    private final Function<List<T>, R> how;

    /**
     * @param how makes it; not changed later by anyone
     */
    Gathering(Function<List<T>, R> how) {
      this.how = how;
    }
  }

  private Chunked(List<String> ids, Map<String, Integer> places, List<Chunk> chunks) {
    this.ids = ids;
    this.places = places;
    this.chunks = chunks;
  }

  /** A map with these values, in their order. One of this kind is handed on as it is. */
  public static <T> Chunked<T> of(Map<String, T> map) {
    if (map instanceof Chunked<T> ours) {
      return ours;
    }
    List<String> ids = List.copyOf(map.keySet());
    Map<String, Integer> places = HashMap.newHashMap(ids.size());
    Object[] values = new Object[ids.size()];
    for (Entry<String, T> e : map.entrySet()) {
      values[places.size()] = e.getValue();
      places.put(e.getKey(), places.size());
    }
    List<Chunk> chunks = new ArrayList<>();
    for (int from = 0; from < values.length; from += CHUNK) {
      int to = Math.min(values.length, from + CHUNK);
      chunks.add(new Chunk(Arrays.copyOfRange(values, from, to)));
    }
    return new Chunked<>(ids, places, List.copyOf(chunks));
  }

  /** With another value in the place an id has, or with a new one after all others. */
  public Chunked<T> with(String id, T value) {
    Integer at = places.get(id);
    if (at == null) {
      Map<String, T> all = new LinkedHashMap<>(this);
      all.put(id, value);
      return of(all);
    }
    List<Chunk> next = new ArrayList<>(chunks);
    next.set(at / CHUNK, next.get(at / CHUNK).with(at % CHUNK, value));
    return new Chunked<>(ids, places, List.copyOf(next));
  }

  /**
   * What is gathered of each chunk, in order. Costs a look at each chunk, and the work for those
   * that it was never made of.
   */
  <R> List<R> gathered(Gathering<T, R> gathering) {
    List<R> all = new ArrayList<>(chunks.size());
    for (Chunk chunk : chunks) {
      all.add(chunk.of(gathering));
    }
    return all;
  }

  /** The ids that have not the very same value in both, when both have the same ids. */
  Optional<List<String>> apart(Map<String, T> other) {
    if (!(other instanceof Chunked<T> that) || !hasIdsOf(that)) {
      return Optional.empty();
    }
    List<String> apart = new ArrayList<>();
    for (int c = 0; c < chunks.size(); c++) {
      if (!isVery(chunks.get(c), that.chunks.get(c))) {
        Object[] ours = chunks.get(c).values;
        Object[] theirs = that.chunks.get(c).values;
        for (int i = 0; i < ours.length; i++) {
          if (!isVery(ours[i], theirs[i])) {
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
    return (T) chunks.get(place / CHUNK).values[place % CHUNK];
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
