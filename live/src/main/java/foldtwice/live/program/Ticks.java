package foldtwice.live.program;

import foldtwice.describe.Description;
import foldtwice.describe.Does;
import foldtwice.live.bus.BusException;
import foldtwice.live.say.Say;
import foldtwice.place.Application;
import foldtwice.place.Labels;
import foldtwice.place.NativeCommand;
import foldtwice.routine.Value;
import foldtwice.run.Reply;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;

/** Which ticked items of the menus are which settings, as a description says. */
final class Ticks {

  /**
   * An item that says how a setting is.
   *
   * @param option what the setting is while it is ticked
   */
  record Item(List<String> path, String option) {}

  /** On when its one item is ticked, else off. */
  record Setting(String name, List<Item> items, boolean turns, String off) {}

  private final Map<String, Setting> settings = new LinkedHashMap<>();

  private final Labels labels;

  /**
   * @param labels what the labels are in the language the program is in
   */
  Ticks(Application application, Description description, Labels labels) {
    this.labels = labels;
    Map<String, List<Item>> found = new LinkedHashMap<>();
    Map<String, String> turning = new LinkedHashMap<>();
    Map<String, Description.Setting> said = new LinkedHashMap<>();
    description.settings().forEach(s -> said.putIfAbsent(s.name(), s));
    for (Description.Command c : description.commands()) {
      List<String> path =
          application.command(c.id()).map(NativeCommand::menuPath).orElse(List.of());
      if (path.isEmpty() || c.does().size() != 1) {
        continue;
      }
      switch (c.does().getFirst()) {
        case Does.Turns(String name) when said.containsKey(name) -> {
          List<String> options = said.get(name).options();
          String on = options.contains("on") ? "on" : options.contains("yes") ? "yes" : "";
          options.stream()
              .filter(o -> !o.equals(on) && !on.isEmpty())
              .findFirst()
              .ifPresent(
                  off -> {
                    found.computeIfAbsent(name, n -> new ArrayList<>()).add(new Item(path, on));
                    turning.put(name, off);
                  });
        }
        case Does.Sets(String name, Does.Given.Is(String option)) when said.containsKey(name) ->
            found.computeIfAbsent(name, n -> new ArrayList<>()).add(new Item(path, option));
        default -> {} // no item that shows how it is
      }
    }
    found.forEach(
        (name, items) ->
            settings.put(
                name,
                new Setting(
                    name, items, turning.containsKey(name), turning.getOrDefault(name, ""))));
  }

  /** What a setting is now. */
  String option(Setting setting, Menus menus) throws BusException {
    for (Item item : setting.items()) {
      if (menus.ticked(labels.of(item.path()))) {
        return item.option();
      }
    }
    return setting.off();
  }

  Map<String, Setting> settings() {
    return settings;
  }

  /** What all are now, by name. */
  Map<String, Value> values(Menus menus) throws BusException {
    Map<String, Value> all = new LinkedHashMap<>();
    for (Setting s : settings.values()) {
      all.put(s.name(), new Value.Text(option(s, menus)));
    }
    return all;
  }

  /**
   * Has a setting be something else.
   *
   * @param choose chooses a menu item
   */
  Reply change(String setting, String wanted, Menus menus, Function<List<String>, Reply> choose)
      throws BusException {
    Setting known = settings.get(setting);
    if (known == null) {
      return new Reply.Refused(Say.text("setting"), setting);
    }
    if (option(known, menus).equals(wanted)) {
      return Reply.QUIET;
    }
    for (Item item : known.items()) {
      if (item.option().equals(wanted) || (known.turns() && known.off().equals(wanted))) {
        return choose.apply(item.path());
      }
    }
    List<String> options = known.items().stream().map(Item::option).toList();
    return new Reply.Refused(Say.text("oneof", setting, String.join(", ", options)), wanted);
  }
}
