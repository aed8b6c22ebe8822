package foldtwice.desktop.bind;

import foldtwice.desktop.session.Ui;
import foldtwice.library.Library;
import foldtwice.place.Station;
import foldtwice.trigger.Layout;
import foldtwice.trigger.Platform;
import foldtwice.trigger.Press;
import foldtwice.trigger.Stroke;
import foldtwice.trigger.Trigger;
import foldtwice.words.Legends;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/** How a trigger is pressed on the layouts of a library's stations: the same everywhere, or not. */
final class LayoutNotes {

  private LayoutNotes() {}

  static String of(Trigger.Keys trigger, Library library, Layout layout) {
    List<Station> stations = List.copyOf(library.stations().values());
    List<Press> first =
        stations.stream()
            .map(s -> presses(trigger, s))
            .filter(p -> p.size() == trigger.strokes().size())
            .findFirst()
            .orElse(List.of());
    Map<String, List<String>> groups = new LinkedHashMap<>();
    for (Station s : stations) {
      List<String> its =
          groups.computeIfAbsent(how(trigger, s, first, layout), k -> new ArrayList<>());
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

  /** How its strokes are pressed; fewer than it has where one cannot be. */
  private static List<Press> presses(Trigger.Keys trigger, Station station) {
    return trigger.strokes().stream()
        .flatMap(
            s ->
                station.keys().presses(s).stream()
                    .filter(p -> station.shape().has(p.code()))
                    .limit(1))
        .toList();
  }

  /**
   * "=" where it is pressed as on the first station, "" where it cannot be, else what is other: the
   * key, what is held besides, what is typed by it.
   */
  private static String how(
      Trigger.Keys trigger, Station station, List<Press> first, Layout layout) {
    List<Press> here = presses(trigger, station);
    if (here.size() < trigger.strokes().size()) {
      return "";
    }
    List<String> other = new ArrayList<>();
    for (int i = 0; i < here.size(); i++) {
      Stroke stroke = trigger.strokes().get(i);
      Press press = here.get(i);
      if (press.code() != first.get(i).code()) {
        other.add(Ui.text("sets.moved", Legends.of(layout, press.code())));
      }
      if (station.platform() != Platform.CONTROL && !stroke.modifiers().leaveTyping()) {
        station.keys().types(press).ifPresent(t -> other.add(Ui.text("sets.types.there", t)));
      }
      if (station.platform() == Platform.CONTROL) {
        press.held().besides(stroke.modifiers()).list().stream()
            .map(m -> Ui.text("sets.added", m.word()))
            .forEach(other::add);
      }
    }
    return other.isEmpty() ? "=" : String.join(", ", other);
  }
}
