package foldtwice.desktop.bind;

import foldtwice.conflict.Advice;
import foldtwice.conflict.ConflictKind;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.place.WayIn;
import foldtwice.suggest.Suggestions;
import foldtwice.trigger.Trigger;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import javafx.scene.Node;
import javafx.scene.control.Button;

/** What can be done when an application does not accept a trigger. */
final class WaysAround {

  private WaysAround() {}

  /**
   * Its ways in for which its rules do not hold, and a key of a device, of which they do not speak.
   *
   * @param onWay takes the trigger by a way
   * @param onKey takes another trigger
   */
  static List<Node> of(
      Advice refused,
      TriggerEdits edits,
      Snapshot now,
      Consumer<WayIn> onWay,
      Consumer<Trigger> onKey) {
    List<Node> all = new ArrayList<>();
    if (refused.conflicts().stream().noneMatch(c -> c.kind() == ConflictKind.NOT_ACCEPTED)) {
      return all;
    }
    edits.application().stream()
        .flatMap(a -> a.ways().stream())
        .filter(WayIn::freeOfRules)
        .forEach(
            w ->
                all.add(
                    link(
                        all.isEmpty() ? "take-by-way" : "take-by-" + w.id(),
                        Ui.text("sets.around", w.name()),
                        () -> onWay.accept(w))));
    Suggestions.padKeys(now.library(), List.of(now.keymap()), edits.binding(), 1)
        .forEach(
            key ->
                all.add(
                    link(
                        "take-on-device",
                        Ui.text("sets.ondevice", now.words().trigger(key)),
                        () -> onKey.accept(key))));
    return all;
  }

  private static Button link(String id, String text, Runnable action) {
    Button link = Parts.button(id, text, action, "link");
    link.setMinWidth(0);
    link.setWrapText(true);
    return link;
  }
}
