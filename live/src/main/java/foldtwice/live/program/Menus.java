package foldtwice.live.program;

import foldtwice.live.bus.Bus;
import foldtwice.live.bus.BusException;
import foldtwice.live.bus.Label;
import foldtwice.live.bus.Late;
import foldtwice.live.bus.Mark;
import foldtwice.live.bus.Ref;
import foldtwice.live.bus.Role;
import foldtwice.live.bus.Seen;
import foldtwice.live.say.Say;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The menus of a program, found label by label. */
final class Menus {

  private final Bus bus;
  private final Windows windows;

  /** Where an item was found last; it is looked at again before it is used. */
  private final Map<List<String>, Ref> known = new HashMap<>();

  Menus(Bus bus, Windows windows) {
    this.bus = bus;
    this.windows = windows;
  }

  /** What a search came to. */
  sealed interface Found {
    record Item(Seen item) implements Found {}

    /** There is none, or none that can be told from another. */
    record Not(String expected, String found) implements Found {}
  }

  /** The item of a path, waiting a little for menus that fill late. */
  Found find(List<String> path) throws BusException {
    Found found =
        Late.waitedFor(
            () -> look(path), f -> !(f instanceof Found.Not not && not.found().isEmpty()));
    return found instanceof Found.Not(String expected, String what) && what.isEmpty()
        ? new Found.Not(expected, Say.text("notthere"))
        : found;
  }

  /** The item of a path as it is right now; not found with an empty text when it is not there. */
  Found look(List<String> path) throws BusException {
    Ref last = known.get(path);
    if (last != null) {
      List<Seen> again = bus.look(List.of(last));
      if (!again.isEmpty() && Label.same(again.getFirst().name(), path.getLast())) {
        return new Found.Item(again.getFirst());
      }
      known.remove(path);
    }
    List<Seen> at = bars();
    if (at.isEmpty()) {
      return new Found.Not(Say.text("menubar"), "");
    }
    for (int i = 0; i < path.size(); i++) {
      String label = path.get(i);
      List<Seen> fitting = new ArrayList<>();
      for (Seen in : at) {
        fitting.addAll(named(in, label));
      }
      String expected = Say.text("item", String.join(" \u203a ", path.subList(0, i + 1)));
      if (fitting.isEmpty()) {
        return new Found.Not(expected, "");
      }
      if (fitting.size() > 1) {
        return new Found.Not(expected, Say.text("twins", fitting.size(), label));
      }
      at = List.of(fitting.getFirst());
    }
    known.put(List.copyOf(path), at.getFirst().ref());
    return new Found.Item(at.getFirst());
  }

  /** What in a menu has a label; menus of some programs lie in an unnamed one. */
  private List<Seen> named(Seen in, String label) throws BusException {
    List<Seen> fitting = new ArrayList<>();
    for (Seen s : bus.inside(in.ref())) {
      if (s.name().isEmpty() && s.role() == Role.MENU) {
        fitting.addAll(named(s, label));
      } else if (Label.same(s.name(), label) && (s.role().isItem() || s.role() == Role.MENU)) {
        fitting.add(s);
      }
    }
    return fitting;
  }

  private final Map<Ref, Ref> barOf = new HashMap<>();

  /** The menu bar of the window that is in front, or of the first that has one. */
  private List<Seen> bars() throws BusException {
    for (Seen window : windows.mainFirst()) {
      Ref known = barOf.get(window.ref());
      if (known != null) {
        List<Seen> bar = bus.look(List.of(known));
        if (!bar.isEmpty()) {
          return bar;
        }
      }
      Seen.Tree tree = windows.parts(window);
      Optional<Seen> bar = tree.all().filter(s -> s.role() == Role.MENU_BAR).findFirst();
      if (bar.isPresent()) {
        barOf.put(window.ref(), bar.get().ref());
        return List.of(bar.get());
      }
    }
    return List.of();
  }

  /** True when the item of a path is ticked. */
  boolean ticked(List<String> path) throws BusException {
    return look(path) instanceof Found.Item(Seen item) && item.is(Mark.CHECKED);
  }
}
