package foldtwice.standin.base;

import foldtwice.routine.Kind;
import foldtwice.routine.Value;
import foldtwice.routine.ValueException;
import foldtwice.run.Change;
import foldtwice.run.Reply;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** The settings of a stand-in; what some of them become holds only from its next start. */
final class Settings {

  private final Map<String, Kind> kinds = new LinkedHashMap<>();
  private final Map<String, Value> values = new LinkedHashMap<>();
  private final Map<String, Value> waiting = new LinkedHashMap<>();
  private final Set<String> needRestart = new LinkedHashSet<>();

  void add(String name, String value, List<String> options, boolean fromRestart) {
    kinds.put(name, new Kind.Choice(options));
    values.put(name, new Value.Text(value));
    if (fromRestart) {
      needRestart.add(name);
    }
  }

  Map<String, Kind> kinds() {
    return kinds;
  }

  Map<String, Value> values() {
    return Collections.unmodifiableMap(values);
  }

  void takeOver(Settings other) {
    values.putAll(other.values);
    waiting.putAll(other.waiting);
  }

  Reply change(String setting, Value value) {
    Value before = values.get(setting);
    if (before == null) {
      return new Reply.Refused(
          "a setting, one of " + String.join(", ", values.keySet()), "no \"" + setting + "\"");
    }
    try {
      kinds.get(setting).check(value);
    } catch (ValueException e) {
      return new Reply.Refused(e.allowed(), value.shown());
    }
    if (needRestart.contains(setting)) {
      return later(setting, before, value);
    }
    if (before.equals(value)) {
      return Reply.QUIET;
    }
    values.put(setting, value);
    return new Reply.Done(List.of(new Change(setting, before.shown(), value.shown())));
  }

  private Reply later(String setting, Value before, Value value) {
    Value awaited = waiting.getOrDefault(setting, before);
    if (awaited.equals(value)) {
      return Reply.QUIET;
    }
    if (before.equals(value)) {
      waiting.remove(setting);
    } else {
      waiting.put(setting, value);
    }
    return new Reply.Done(
        List.of(new Change(setting + " from the next start", awaited.shown(), value.shown())));
  }

  /** What waits, each with what it waits for. */
  List<String> pending(String waitsFor) {
    return waiting.entrySet().stream()
        .map(e -> e.getKey() + " " + e.getValue().shown() + ": " + waitsFor)
        .toList();
  }

  /** What waited takes effect. */
  List<Change> takeUp() {
    List<Change> changes = new ArrayList<>();
    waiting.forEach(
        (name, value) -> {
          StandIn.compare(changes, name, values.get(name).shown(), value.shown());
          values.put(name, value);
        });
    waiting.clear();
    return changes;
  }

  void describe(Map<String, String> state) {
    values.forEach((name, value) -> state.put("setting " + name, value.shown()));
    waiting.forEach((name, value) -> state.put("setting " + name + " later", value.shown()));
  }
}
