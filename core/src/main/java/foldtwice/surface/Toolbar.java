package foldtwice.surface;

import foldtwice.extras.Extras;
import java.util.Collections;
import java.util.Map;
import java.util.TreeMap;

/**
 * A row of buttons for an application.
 *
 * @param slots how many buttons it has room for
 * @param group after how many buttons a gap is left; 0 for none
 * @param inDocument true when its buttons lie in a document, and are there while that is open
 * @param faces by slot, counted from 1
 */
public record Toolbar(
    String id,
    String name,
    String application,
    int slots,
    int group,
    boolean inDocument,
    Map<Integer, Face> faces,
    Extras extras)
    implements Surface {

  /** More slots than this nobody finds their way on. */
  public static final int MOST_SLOTS = 40;

  public Toolbar {
    if (slots < 1 || slots > MOST_SLOTS) {
      throw new IllegalArgumentException("a toolbar has 1 to " + MOST_SLOTS + " slots: " + slots);
    }
    faces = Collections.unmodifiableMap(new TreeMap<>(faces));
  }

  /** The same toolbar, a button showing this. */
  public Toolbar showing(int slot, Face face) {
    Map<Integer, Face> more = new TreeMap<>(faces);
    if (face.equals(Face.PLAIN)) {
      more.remove(slot);
    } else {
      more.put(slot, face);
    }
    return new Toolbar(id, name, application, slots, group, inDocument, more, extras);
  }

  /** The same toolbar under another name, with other room; faces beyond it are dropped. */
  public Toolbar laid(String otherName, int otherSlots, int otherGroup) {
    Map<Integer, Face> kept = new TreeMap<>(faces);
    kept.keySet().removeIf(s -> s > otherSlots);
    return new Toolbar(
        id, otherName, application, otherSlots, otherGroup, inDocument, kept, extras);
  }

  /** The same toolbar, in a document or beside it. */
  public Toolbar lying(boolean inside) {
    return new Toolbar(id, name, application, slots, group, inside, faces, extras);
  }

  public Face face(int slot) {
    return faces.getOrDefault(slot, Face.PLAIN);
  }
}
