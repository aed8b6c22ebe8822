package foldtwice.live.program;

import foldtwice.live.bus.Bus;
import foldtwice.live.bus.BusException;
import foldtwice.live.bus.Mark;
import foldtwice.live.bus.Ref;
import foldtwice.live.bus.Role;
import foldtwice.live.bus.Seen;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** The windows of a program. */
final class Windows {

  /** More of one window is not looked at. */
  private static final int MOST = 2_000;

  private static final Set<Role> CLOSED =
      EnumSet.of(Role.MENU_BAR, Role.TABLE, Role.TREE, Role.TREE_TABLE);

  private final Bus bus;
  private final Ref program;

  Windows(Bus bus, Ref program) {
    this.bus = bus;
    this.program = program;
  }

  private List<Seen> all() throws BusException {
    return bus.inside(program).stream().filter(s -> s.role().isWindow() && s.isShown()).toList();
  }

  /** Those that are no dialogs, the one with the keys first. */
  List<Seen> mainFirst() throws BusException {
    List<Seen> main = new ArrayList<>();
    for (Seen s : all()) {
      if (!s.role().isDialog()) {
        main.add(s.is(Mark.ACTIVE) ? 0 : main.size(), s);
      }
    }
    return main;
  }

  /** A window's own parts, without what lies in texts, tables and menus. */
  Seen.Tree parts(Seen window) throws BusException {
    return bus.tree(window.ref(), s -> !CLOSED.contains(s.role()) && !s.role().isText(), MOST);
  }

  /** The dialog that is open: the one with the keys, or else the last. */
  Optional<Seen> dialog() throws BusException {
    Optional<Seen> last = Optional.empty();
    for (Seen s : all()) {
      if (s.role().isDialog()) {
        if (s.is(Mark.ACTIVE)) {
          return Optional.of(s);
        }
        last = Optional.of(s);
      }
    }
    return last;
  }

  /** True when one of its windows has the keys. */
  boolean isFront() throws BusException {
    return all().stream().anyMatch(s -> s.is(Mark.ACTIVE));
  }

  /** The title of the window with the keys, or of the first. */
  String title() throws BusException {
    List<Seen> all = all();
    return all.stream()
        .filter(s -> s.is(Mark.ACTIVE))
        .findFirst()
        .or(() -> all.stream().findFirst())
        .map(Seen::name)
        .orElse("");
  }
}
