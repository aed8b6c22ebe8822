package foldtwice.live.program;

import foldtwice.live.bus.BusException;
import foldtwice.run.Change;
import foldtwice.run.Reply;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * What can be told of a program's state in a few calls, and what is different after it did
 * something.
 */
final class Looking {

  /** The title of the dialog that is open. */
  static final String DIALOG = "window dialog";

  /** What is written. */
  static final String TEXT = "text";

  /** How long a step waits to see what came of it, in milliseconds. */
  private static final long SETTLES = 40;

  /** How long a dialog that a command is known to open may take, in milliseconds. */
  static final long OPENS = 2_000;

  private final Windows windows;
  private final Page page;
  private final Ticks ticks;
  private final Menus menus;
  private final Dials dials;

  Looking(Windows windows, Page page, Ticks ticks, Menus menus, Dials dials) {
    this.windows = windows;
    this.page = page;
    this.ticks = ticks;
    this.menus = menus;
    this.dials = dials;
  }

  /** Something that is told to the program. */
  interface Telling {
    void tell() throws BusException;
  }

  /**
   * Does something, and waits until what comes of it is seen, or nothing does.
   *
   * @param opens true when a dialog is to come of it
   */
  Reply doing(Telling what, boolean opens) throws BusException {
    Map<String, String> before = look();
    String dialog = before.getOrDefault(DIALOG, "");
    what.tell();
    long end = System.nanoTime() + (opens ? OPENS : SETTLES) * 1_000_000;
    Map<String, String> after = look();
    while (System.nanoTime() < end
        && (opens ? after.getOrDefault(DIALOG, "").equals(dialog) : after.equals(before))) {
      Thread.onSpinWait();
      after = look();
    }
    if (!after.equals(before)) {
      after = look(); // what comes in two parts is told as one
    }
    return new Reply.Done(changes(before, after));
  }

  /** What there is now, by name. While a dialog is open nothing else is looked at. */
  Map<String, String> look() throws BusException {
    Map<String, String> state = new LinkedHashMap<>();
    windows.dialog().ifPresent(d -> state.put(DIALOG, d.name()));
    if (state.isEmpty()) {
      page.text().ifPresent(t -> state.put(TEXT, t));
      for (Ticks.Setting s : ticks.settings().values()) {
        state.put("setting " + s.name(), ticks.option(s, menus));
      }
      dials.values().forEach((name, value) -> state.put("value " + name, value.shown()));
    }
    return state;
  }

  static List<Change> changes(Map<String, String> before, Map<String, String> after) {
    List<Change> changes = new ArrayList<>();
    Map<String, String> all = new LinkedHashMap<>(before);
    all.putAll(after);
    for (String what : all.keySet()) {
      boolean hidden =
          !what.equals(DIALOG)
              && (before.containsKey(DIALOG) || after.containsKey(DIALOG))
              && !(before.containsKey(what) && after.containsKey(what));
      String old = before.getOrDefault(what, "");
      String now = after.getOrDefault(what, "");
      if (!hidden && !old.equals(now)) {
        changes.add(what.equals(TEXT) ? Excerpt.of(what, old, now) : new Change(what, old, now));
      }
    }
    return changes;
  }
}
