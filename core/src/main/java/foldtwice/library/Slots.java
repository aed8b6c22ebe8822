package foldtwice.library;

import foldtwice.binding.Binding;
import foldtwice.surface.Face;
import foldtwice.surface.Toolbar;
import foldtwice.trigger.Trigger;
import java.util.ArrayList;
import java.util.List;

/** The buttons of a toolbar, put into another order. */
public final class Slots {

  private Slots() {}

  /**
   * Two slots change places, with what is bound to them and what they show.
   *
   * <p>Law: doing it twice changes nothing.
   */
  public static Edit swap(Library library, Toolbar toolbar, int one, int other) {
    Face face = toolbar.face(one);
    Toolbar swapped = toolbar.showing(one, toolbar.face(other)).showing(other, face);
    List<Edit> edits = new ArrayList<>(List.of(new Edit.PutSurface(swapped)));
    for (Binding b : library.bindings().values()) {
      List<Trigger> triggers =
          b.triggers().stream().map(t -> swapped(t, toolbar.id(), one, other)).toList();
      if (!triggers.equals(b.triggers())) {
        edits.add(new Edit.PutBinding(b.withTriggers(triggers)));
      }
    }
    return new Edit.Together(edits);
  }

  private static Trigger swapped(Trigger trigger, String toolbar, int one, int other) {
    if (!(trigger instanceof Trigger.Button(String id, int slot)) || !id.equals(toolbar)) {
      return trigger;
    }
    return slot == one
        ? new Trigger.Button(id, other)
        : slot == other ? new Trigger.Button(id, one) : trigger;
  }
}
