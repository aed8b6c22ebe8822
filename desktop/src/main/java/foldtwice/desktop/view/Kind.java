package foldtwice.desktop.view;

import foldtwice.desktop.session.Session;
import java.util.List;
import java.util.function.BiFunction;

/**
 * A view, before it is made.
 *
 * @param id names its tab, its key and its texts
 * @param type what is made
 * @param make makes it
 * @param acts what can be done in it, wherever one is
 */
public record Kind<V extends View>(
    String id, Class<V> type, BiFunction<Session, Going, V> make, List<Act<V>> acts) {}
