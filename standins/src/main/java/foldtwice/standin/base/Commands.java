package foldtwice.standin.base;

import foldtwice.known.Effects;
import foldtwice.known.Facts;
import foldtwice.place.Labels;
import foldtwice.run.Reply;
import foldtwice.text.Nearness;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import java.util.function.Supplier;

/** The commands of a stand-in, by id and by menu path. */
final class Commands {

  /**
   * A command.
   *
   * @param opens the title of the dialog it opens
   */
  record Command(
      List<String> menu, Effects effects, Optional<String> opens, Supplier<Reply> action) {}

  private final Map<String, Command> byId = new LinkedHashMap<>();
  private final Map<List<String>, String> byMenu = new LinkedHashMap<>();
  private final Map<String, BooleanSupplier> ticks = new LinkedHashMap<>();

  /** Where two have one path, the first has it. */
  void add(
      String id, List<String> path, Effects effects, Optional<String> opens, Supplier<Reply> does) {
    byId.put(id, new Command(path, effects, opens, does));
    if (!path.isEmpty()) {
      byMenu.putIfAbsent(path, id);
    }
  }

  void tick(String command, BooleanSupplier holds) {
    ticks.put(command, holds);
  }

  Optional<Command> of(String id) {
    return Optional.ofNullable(byId.get(id));
  }

  Optional<String> at(List<String> menuPath) {
    return Optional.ofNullable(byMenu.get(menuPath));
  }

  boolean ticked(List<String> menuPath) {
    return at(menuPath).map(ticks::get).filter(BooleanSupplier::getAsBoolean).isPresent();
  }

  List<String> ids() {
    return List.copyOf(byId.keySet());
  }

  List<List<String>> menuPaths() {
    return List.copyOf(byMenu.keySet());
  }

  List<Facts.Command> facts() {
    return byId.entrySet().stream()
        .map(
            e ->
                new Facts.Command(
                    e.getKey(), e.getValue().menu(), e.getValue().effects(), e.getValue().opens()))
        .toList();
  }

  /** What a menu path that is not there should have been; first, what it is in this language. */
  String nearest(List<String> path, Labels labels) {
    if (byMenu.containsKey(labels.of(path))) {
      return ", in " + labels.language() + " " + String.join(StandIn.UNDER, labels.of(path));
    }
    return Nearness.nearest(
            String.join(StandIn.UNDER, path),
            byMenu.keySet().stream().map(p -> String.join(StandIn.UNDER, p)).toList())
        .map(p -> ", such as " + p)
        .orElse("");
  }
}
