package foldtwice.surface;

import foldtwice.extras.Extras;
import foldtwice.place.Place;
import foldtwice.trigger.Direction;
import foldtwice.trigger.Trigger;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/**
 * Up to eight choices around the pointer.
 *
 * @param place where it can be opened
 * @param opens what opens it
 */
public record RadialMenu(
    String id,
    String name,
    Place place,
    List<Trigger> opens,
    Map<Direction, Face> faces,
    Extras extras)
    implements Summoned {

  public RadialMenu {
    opens = List.copyOf(opens);
    faces =
        Collections.unmodifiableMap(
            faces.isEmpty() ? new EnumMap<>(Direction.class) : new EnumMap<>(faces));
  }

  public Face face(Direction choice) {
    return faces.getOrDefault(choice, Face.PLAIN);
  }

  @Override
  public RadialMenu named(String other) {
    return new RadialMenu(id, other, place, opens, faces, extras);
  }

  @Override
  public RadialMenu in(Place other) {
    return new RadialMenu(id, name, other, opens, faces, extras);
  }

  @Override
  public RadialMenu openedBy(List<Trigger> others) {
    return new RadialMenu(id, name, place, others, faces, extras);
  }

  /** The same menu, a choice showing this; nothing of its own when the face is plain. */
  public RadialMenu showing(Direction choice, Face face) {
    Map<Direction, Face> more = new EnumMap<>(Direction.class);
    more.putAll(faces);
    if (face.equals(Face.PLAIN)) {
      more.remove(choice);
    } else {
      more.put(choice, face);
    }
    return new RadialMenu(id, name, place, opens, more, extras);
  }
}
