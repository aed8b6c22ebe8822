package foldtwice.live.survey;

import foldtwice.extras.Extras;
import foldtwice.library.Ids;
import foldtwice.live.bus.Label;
import foldtwice.live.say.Say;
import foldtwice.place.Application;
import foldtwice.place.Danger;
import foldtwice.place.NativeCommand;
import foldtwice.place.Place;
import foldtwice.trigger.Notation;
import foldtwice.trigger.Trigger;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * The commands of a program: its menu items and the tools no item is called like.
 *
 * @param before as a library says
 */
record Commands(Application before, Survey read, Differences differences) {

  /** As they are now. */
  List<NativeCommand> now() {
    Set<String> taken =
        before.commands().stream().map(NativeCommand::id).collect(Collectors.toSet());
    Map<String, NativeCommand> changed = new HashMap<>();
    List<NativeCommand> fresh = items(taken, changed);
    fresh.addAll(tools(taken, fresh));
    List<NativeCommand> all = new ArrayList<>();
    before.commands().forEach(c -> all.add(changed.getOrDefault(c.id(), c)));
    all.addAll(fresh);
    return all;
  }

  /** What is new of the items; what is changed goes to a map, what is gone is told. */
  private List<NativeCommand> items(Set<String> taken, Map<String, NativeCommand> changed) {
    Map<List<String>, NativeCommand> byPath = new HashMap<>();
    before.commands().forEach(c -> byPath.putIfAbsent(Differences.plain(c.menuPath()), c));
    Set<String> seen = new HashSet<>();
    List<NativeCommand> fresh = new ArrayList<>();
    for (Survey.Item item : read.items()) {
      List<Trigger> keys = Accelerator.of(item.keys()).stream().toList();
      NativeCommand known = byPath.get(Differences.plain(item.path()));
      if (known == null) {
        String id = Ids.free(Ids.of(String.join(" ", item.path()), "command"), taken::contains);
        taken.add(id);
        NativeCommand c = command(id, item.path().getLast(), item.path().getFirst(), item.path());
        fresh.add(with(c, keys));
        tell(Proposal.Fate.NEW, id, path(item.path()), "", words(keys));
      } else {
        seen.add(known.id());
        if (!known.byDefault().equals(keys) && !(keys.isEmpty() && onlyOthers(known))) {
          changed.put(known.id(), with(known, keys));
          tell(
              Proposal.Fate.CHANGED,
              known.id(),
              path(known.menuPath()),
              words(known.byDefault()),
              words(keys));
        }
      }
    }
    for (NativeCommand c : before.commands()) {
      if (!c.menuPath().isEmpty() && !seen.contains(c.id()) && differences.whole()) {
        tell(Proposal.Fate.GONE, c.id(), path(c.menuPath()), words(c.byDefault()), "");
      }
    }
    return fresh;
  }

  private List<NativeCommand> tools(Set<String> taken, List<NativeCommand> items) {
    Set<String> names = new HashSet<>();
    before.commands().forEach(c -> names.add(Label.of(c.name())));
    items.forEach(c -> names.add(Label.of(c.name())));
    List<NativeCommand> fresh = new ArrayList<>();
    for (String tool : read.tools()) {
      if (names.add(Label.of(tool))) {
        String id = Ids.free(Ids.of(tool, "tool"), taken::contains);
        taken.add(id);
        fresh.add(command(id, tool, Say.text("toolbar"), List.of()));
        tell(Proposal.Fate.NEW, id, tool, "", "");
      }
    }
    return fresh;
  }

  private void tell(Proposal.Fate fate, String id, String name, String was, String now) {
    differences.differ(fate, Proposal.What.COMMAND, id, name, was, now);
  }

  /** True when it has triggers no menu would tell of. */
  private static boolean onlyOthers(NativeCommand c) {
    return c.byDefault().stream()
        .noneMatch(t -> t instanceof Trigger.Keys(var strokes) && strokes.size() == 1);
  }

  private NativeCommand command(String id, String name, String group, List<String> path) {
    return new NativeCommand(
        id,
        name,
        group,
        path,
        List.of(),
        new Place.Whole(before.id()),
        0,
        Danger.NONE,
        Optional.empty(),
        Extras.NONE);
  }

  /** With what the program brings; what a person changed stays. */
  private static NativeCommand with(NativeCommand c, List<Trigger> keys) {
    return new NativeCommand(
        c.id(),
        c.name(),
        c.group(),
        c.menuPath(),
        c.isChanged() ? c.triggers() : keys,
        Optional.of(keys),
        c.place(),
        c.usesPerWeek(),
        c.danger(),
        c.finding(),
        c.extras());
  }

  private static String path(List<String> path) {
    return String.join(" \u203a ", path);
  }

  private static String words(List<Trigger> keys) {
    return keys.stream().map(Notation::write).collect(Collectors.joining(", "));
  }
}
