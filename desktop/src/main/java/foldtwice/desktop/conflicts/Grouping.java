package foldtwice.desktop.conflicts;

import foldtwice.binding.Binding;
import foldtwice.conflict.Conflict;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.place.Place;
import foldtwice.resolve.Owner;
import foldtwice.routine.Routine;
import foldtwice.surface.Device;
import foldtwice.trigger.Trigger;
import foldtwice.words.Words;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;

/** By what conflicts are put together in the list; within a group they stay ranked. */
enum Grouping {
  WEIGHT,
  KIND,
  PLACE,
  DEVICE,
  ROUTINE;

  /**
   * Tells the name of the group a conflict belongs to; what is asked again is not looked up again.
   */
  Function<Conflict, String> of(Snapshot now) {
    Map<Object, String> known = new HashMap<>();
    return switch (this) {
      case WEIGHT ->
          c ->
              known.computeIfAbsent(
                  c.weight(), w -> Ui.text("conflicts.weight." + c.weight().id()));
      case KIND -> c -> known.computeIfAbsent(c.kind(), k -> Words.kind(c.kind()));
      case PLACE -> c -> place(c, now);
      case DEVICE -> c -> device(c.about().trigger(), now);
      case ROUTINE -> c -> routine(c, now);
    };
  }

  private static String place(Conflict c, Snapshot now) {
    return c.about()
        .place()
        .applicationId()
        .or(() -> c.places().stream().findFirst().flatMap(Place::applicationId))
        .map(id -> now.words().place(new Place.Whole(id)))
        .orElse(now.words().place(new Place.Everywhere()));
  }

  private static String device(Trigger trigger, Snapshot now) {
    return switch (trigger) {
      case Trigger.PadKey(String device, var page, var key, var way) -> named(device, now);
      case Trigger.Dial(String device, var page, var dial, var turn) -> named(device, now);
      case Trigger.Keys k -> Ui.text("conflicts.keyboard");
      case Trigger.Held h -> Ui.text("conflicts.keyboard");
      case Trigger.Gesture g -> Ui.text("conflicts.pointer");
      case Trigger.Pointer p -> Ui.text("conflicts.pointer");
      case Trigger.Radial r -> Ui.text("conflicts.pointer");
      case Trigger.Button b -> Ui.text("conflicts.toolbars");
      case Trigger.AtStart a -> Ui.text("conflicts.start");
    };
  }

  private static String named(String device, Snapshot now) {
    return now.library().device(device).map(Device::name).orElse(device);
  }

  private static String routine(Conflict c, Snapshot now) {
    return c.about().owner() instanceof Owner.Yours(String id)
        ? Optional.ofNullable(now.library().bindings().get(id))
            .map(Binding::routine)
            .map(
                r ->
                    Optional.ofNullable(now.library().routines().get(r))
                        .map(Routine::name)
                        .orElse(r))
            .orElse(id)
        : now.words().owner(c.about().owner());
  }
}
