package foldtwice.desktop.bind;

import foldtwice.desktop.session.Ui;
import foldtwice.library.Library;
import foldtwice.place.Station;
import foldtwice.trigger.Layout;
import foldtwice.trigger.Layouts;
import foldtwice.trigger.Modifier;
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
    for (String id :
        library.stations().values().stream().map(Station::layout).distinct().toList()) {
      groups
          .computeIfAbsent(how(trigger, Layouts.of(id).orElseThrow()), k -> new ArrayList<>())
          .add(id.toUpperCase(Locale.ROOT));
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
  private static String how(Trigger.Keys trigger, Layout layout) {
    StringBuilder more = new StringBuilder();
    for (Stroke stroke : trigger.strokes()) {
      List<Press> presses = layout.presses(stroke);
      if (presses.isEmpty()) {
        return "";
      }
      for (Modifier m : presses.getFirst().held().list()) {
        if (!stroke.modifiers().has(m)) {
          more.append(more.isEmpty() ? "" : ", ").append(Ui.text("sets.added", m.word()));
        }
      }
    }
    return more.isEmpty() ? "=" : more.toString();
  }
}
