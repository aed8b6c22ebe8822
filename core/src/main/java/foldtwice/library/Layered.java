package foldtwice.library;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.BiConsumer;

/**
 * A map that is filled and then followed by others, each of which begins as the one before and
 * shares what it does not change: the next costs what was changed lately, and once in a while a
 * copy of the whole. May be filled by several threads.
 */
public final class Layered<K, V> {

  /** When so much has changed, the whole is copied. */
  private static final int MOST_CHANGED = 400;

  /** What is shared, and what was put over it; empty for what is there no more. */
  private record Layers<K, V>(Map<K, V> whole, Map<K, Optional<V>> over) {}

  private volatile Layers<K, V> layers;

  /** One with nothing in it. */
  public Layered() {
    this(new Layers<>(Map.of(), new ConcurrentHashMap<>()));
  }

  private Layered(Layers<K, V> layers) {
    this.layers = layers;
  }

  /** One that begins as this; this is not to be changed any more. */
  public synchronized Layered<K, V> next() {
    if (layers.over.size() > MOST_CHANGED) {
      Map<K, V> all = new HashMap<>();
      forEach(all::put);
      layers = new Layers<>(all, new ConcurrentHashMap<>());
    }
    return new Layered<>(new Layers<>(layers.whole, new ConcurrentHashMap<>(layers.over)));
  }

  /** What is there for a key. */
  public Optional<V> get(K key) {
    Layers<K, V> now = layers;
    Optional<V> over = now.over.get(key);
    return over != null ? over : Optional.ofNullable(now.whole.get(key));
  }

  public void put(K key, V value) {
    layers.over.put(key, Optional.of(value));
  }

  public void remove(K key) {
    layers.over.put(key, Optional.empty());
  }

  /** Every key with its value, in no order. */
  public void forEach(BiConsumer<? super K, ? super V> what) {
    Layers<K, V> now = layers;
    now.whole.forEach(
        (key, value) -> {
          if (!now.over.containsKey(key)) {
            what.accept(key, value);
          }
        });
    now.over.forEach((key, over) -> over.ifPresent(value -> what.accept(key, value)));
  }
}
