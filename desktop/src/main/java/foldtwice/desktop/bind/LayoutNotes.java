package foldtwice.desktop.bind;

import foldtwice.desktop.session.Ui;
import foldtwice.library.Library;
import foldtwice.place.Station;
import foldtwice.trigger.Layout;
import foldtwice.trigger.Modifier;
import foldtwice.trigger.Platform;
import foldtwice.trigger.Press;
import foldtwice.trigger.Stroke;
import foldtwice.trigger.Trigger;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/** How a trigger is pressed on the layouts of a library's stations: the same everywhere, or not. */
final class LayoutNotes {

  private LayoutNotes() {}

  static String of(Trigger.Keys trigger, Library library) {
    Map<String, List<String>> groups = new LinkedHashMap<>();
    for (Station s : library.stations().values()) {
      List<String> its = groups.computeIfAbsent(how(trigger, s), k -> new ArrayList<>());
      String name = s.layout().toUpperCase(Locale.ROOT);
      if (!its.contains(name)) {
        its.add(name);
      }
    }
    List<String> notes = new ArrayList<>();
    groups.forEach(
        (how, layouts) -> {
          String names = String.join(", ", layouts);
          notes.add(
              how.isEmpty()
                  ? Ui.text("sets.not", names)
                  : how.equals("=") ? Ui.text("sets.same", names) : how + " on " + names);
        });
    return String.join("; ", notes);
  }

  /**
   * "=" where it is pressed as written, the added modifiers where more is held, "" where it cannot.
   */
  private static String how(Trigger.Keys trigger, Station station) {
    Layout layout = station.keys();
    StringBuilder more = new StringBuilder();
    for (Stroke stroke : trigger.strokes()) {
      List<Press> presses =
          layout.presses(stroke).stream().filter(p -> station.shape().has(p.code())).toList();
      if (presses.isEmpty()) {
        return "";
      }
      if (station.platform() != Platform.CONTROL && !stroke.modifiers().leaveTyping()) {
        layout
            .types(presses.getFirst())
            .ifPresent(
                t ->
                    more.append(more.isEmpty() ? "" : ", ").append(Ui.text("sets.types.there", t)));
      }
      for (Modifier m : presses.getFirst().held().list()) {
        if (station.platform() == Platform.CONTROL && !stroke.modifiers().has(m)) {
          more.append(more.isEmpty() ? "" : ", ").append(Ui.text("sets.added", m.word()));
        }
      }
    }
    return more.isEmpty() ? "=" : more.toString();
  }
}
