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
}
