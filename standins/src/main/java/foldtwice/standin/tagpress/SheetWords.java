package foldtwice.standin.tagpress;

import foldtwice.routine.LengthUnit;
import foldtwice.routine.Value.Length;
import foldtwice.run.Change;
import foldtwice.standin.base.StandIn;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** What is on a sheet, and what is different between two, as people say it. */
final class SheetWords {

  private SheetWords() {}

  static String selection(Sheet sheet) {
    return sheet.selected().isEmpty()
        ? "nothing"
        : "box " + String.join(", ", sheet.selected().stream().map(String::valueOf).toList());
  }

  /** Positions and sizes are told in a unit. */
  static List<Change> differences(Sheet before, Sheet after, LengthUnit unit) {
    List<Change> changes = new ArrayList<>();
    if (!before.boxes().equals(after.boxes())) {
      boxes(before, after, unit, changes);
    }
    StandIn.compare(changes, "selection", selection(before), selection(after));
    return changes;
  }

  private static void boxes(Sheet before, Sheet after, LengthUnit unit, List<Change> changes) {
    for (Box b : after.boxes()) {
      Optional<Box> old = before.box(b.number());
      if (old.isEmpty()) {
        changes.add(new Change("box " + b.number(), "none", "made"));
      } else if (!old.get().equals(b)) {
        box(changes, old.get(), b, unit);
      }
    }
    for (Box b : before.boxes()) {
      if (after.box(b.number()).isEmpty()) {
        changes.add(new Change("box " + b.number(), "there", "deleted"));
      }
    }
  }

  private static void box(List<Change> changes, Box old, Box now, LengthUnit u) {
    String name = "box " + now.number() + " ";
    StandIn.compare(changes, name + "x", shown(old.left(u)), shown(now.left(u)));
    StandIn.compare(changes, name + "y", shown(old.top(u)), shown(now.top(u)));
    StandIn.compare(changes, name + "width", shown(old.wide(u)), shown(now.wide(u)));
    StandIn.compare(changes, name + "height", shown(old.high(u)), shown(now.high(u)));
    StandIn.compare(changes, name + "text", old.text(), now.text());
    StandIn.compare(changes, name + "lock", lock(old), lock(now));
  }

  private static String shown(Length length) {
    return Tagpress.shown(length) + " " + length.unit().symbol();
  }

  private static String lock(Box box) {
    return box.locked() ? "on" : "off";
  }
}
