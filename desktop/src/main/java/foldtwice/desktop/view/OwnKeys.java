package foldtwice.desktop.view;

import foldtwice.resolve.Keymap;
import foldtwice.trigger.Notation;
import foldtwice.trigger.NotationException;
import foldtwice.trigger.Press;
import foldtwice.trigger.Trigger;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.ResourceBundle;
import java.util.prefs.Preferences;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * The application's own keys: by the id of an action, in the notation of everybody's. What ships is
 * in the bundle {@code foldtwice/desktop/Keys.properties}; what a person has chosen instead is kept
 * with their preferences on this computer.
 */
public final class OwnKeys {

  private static final Logger LOG = LoggerFactory.getLogger(OwnKeys.class);
  private static final String NONE = "-";
  private static OwnKeys shared;

  private final Map<String, Trigger.Keys> shipped = new LinkedHashMap<>();
  private final Map<String, Trigger.Keys> now = new LinkedHashMap<>();
  private final Map<String, String> acts = new LinkedHashMap<>();
  private final Preferences kept;

  /**
   * @param kept where what is chosen is kept
   */
  public OwnKeys(Preferences kept) {
    this.kept = kept;
    ResourceBundle bundle = ResourceBundle.getBundle("foldtwice.desktop.Keys");
    bundle.keySet().stream()
        .sorted()
        .forEach(id -> shipped.put(id, Notation.read(bundle.getString(id))));
    now.putAll(shipped);
    shipped.keySet().forEach(this::remembered);
  }

  private void remembered(String id) {
    String own = kept.get(id, "");
    if (own.equals(NONE)) {
      now.remove(id);
    } else if (!own.isEmpty()) {
      try {
        now.put(id, Notation.read(own));
      } catch (NotationException e) {
        LOG.warn("the key kept for {} cannot be read, so it has what ships: {}", id, own);
      }
    }
  }

  /** Those of this computer's person. Used on the interface thread. */
  public static OwnKeys get() {
    if (shared == null) {
      shared = new OwnKeys(Preferences.userNodeForPackage(OwnKeys.class).node("keys"));
    }
    return shared;
  }

  /** These can be given keys, in this order. */
  public void declare(List<? extends Act<?>> all) {
    all.forEach(a -> acts.put(a.id(), a.says()));
  }

  /** The actions there are, with their words. */
  public Map<String, String> acts() {
    return Collections.unmodifiableMap(acts);
  }

  /** As people read it; empty without one. */
  public String keys(String id) {
    return of(id).map(Notation::write).orElse("");
  }

  public Optional<Trigger.Keys> of(String id) {
    return Optional.ofNullable(now.get(id));
  }

  /** What an action has when nobody has chosen anything. */
  public Optional<Trigger.Keys> shipped(String id) {
    return Optional.ofNullable(shipped.get(id));
  }

  /** Gives an action a key, or none; kept at once. */
  public void give(String id, Optional<Trigger.Keys> keys) {
    keys.ifPresentOrElse(k -> now.put(id, k), () -> now.remove(id));
    if (keys.equals(shipped(id))) {
      kept.remove(id);
    } else {
      kept.put(id, keys.map(Notation::write).orElse(NONE));
    }
  }

  /** All of them, by action. */
  public Map<String, Trigger.Keys> all() {
    return Map.copyOf(now);
  }

  /** What this action's key is held against: those of all the others. */
  public Map<String, Trigger.Keys> without(String id) {
    Map<String, Trigger.Keys> others = new LinkedHashMap<>(now);
    others.remove(id);
    return others;
  }

  /** The actions whose key this press is. */
  public List<String> on(Press press, Keymap keymap) {
    return now.entrySet().stream()
        .filter(e -> keymap.paths(e.getValue()).contains(List.of(press)))
        .map(Map.Entry::getKey)
        .collect(Collectors.toList());
  }
}
