package foldtwice.live.program;

import foldtwice.describe.Description;
import foldtwice.live.bus.Bus;
import foldtwice.live.bus.BusException;
import foldtwice.live.bus.Label;
import foldtwice.live.bus.Late;
import foldtwice.live.bus.Mark;
import foldtwice.live.bus.Role;
import foldtwice.live.bus.Seen;
import foldtwice.live.display.Display;
import foldtwice.live.say.Say;
import foldtwice.place.Application;
import foldtwice.place.Labels;
import foldtwice.place.NativeCommand;
import foldtwice.run.Reply;
import foldtwice.trigger.Press;
import foldtwice.trigger.Stroke;
import foldtwice.trigger.Trigger;
import java.util.List;
import java.util.Optional;

/** Has a program do its commands: by its menus, by its buttons, by keys. */
final class Commanding {

  private final Bus bus;
  private final long process;
  private final Application application;
  private final Description description;
  private final Labels labels;
  private final Optional<Display> display;
  private final Choosing choosing;
  private final Windows windows;
  private final Menus menus;
  private final Looking looking;

  /**
   * @param labels what the labels are in the language the program is in
   */
  Commanding(
      Bus bus,
      long process,
      Application application,
      Description description,
      Labels labels,
      Optional<Display> display,
      Choosing choosing,
      Windows windows,
      Menus menus,
      Looking looking) {
    this.bus = bus;
    this.process = process;
    this.application = application;
    this.description = description;
    this.labels = labels;
    this.display = display;
    this.choosing = choosing;
    this.windows = windows;
    this.menus = menus;
    this.looking = looking;
  }

  /** Whether a menu item is there, without choosing it. */
  Reply has(List<String> menuPath) throws BusException {
    return menus.find(labels.of(menuPath)) instanceof Menus.Found.Not(String expected, String found)
        ? new Reply.Refused(expected, found)
        : Reply.QUIET;
  }

  Reply choose(List<String> menuPath) throws BusException {
    Optional<Seen> dialog =
        Late.waitedFor(() -> windows.dialog().filter(d -> d.is(Mark.MODAL)), Optional::isEmpty);
    if (dialog.isPresent()) {
      return new Reply.Refused(Say.text("nodialog"), Say.text("isopen", dialog.get().name()));
    }
    List<String> labelled = labels.of(menuPath);
    Menus.Found found = menus.find(labelled);
    if (found instanceof Menus.Found.Item(Seen item) && !item.isReady()) {
      found =
          Late.waitedFor(
              () -> menus.look(labelled),
              f -> f instanceof Menus.Found.Item i && i.item().isReady());
    }
    return switch (found) {
      case Menus.Found.Not(String expected, String what) -> new Reply.Refused(expected, what);
      case Menus.Found.Item(Seen item) when !item.isReady() ->
          new Reply.Refused(
              Say.text("item", String.join(" \u203a ", menuPath)), Say.text("greyed"));
      case Menus.Found.Item(Seen item) ->
          looking.doing(() -> choosing.choose(item, opens(menuPath)), opens(menuPath));
    };
  }

  /** True when a command is known to open a dialog. */
  private boolean opens(List<String> path) {
    return application
        .commandAt(path)
        .flatMap(
            c -> description.commands().stream().filter(d -> d.id().equals(c.id())).findFirst())
        .filter(d -> !d.opens().isEmpty())
        .isPresent();
  }

  /** Does a command by its menu item, or by its button where it has none. */
  Reply fire(String command) throws BusException {
    Optional<NativeCommand> known = application.command(command);
    if (known.isEmpty()) {
      return new Reply.Refused(Say.text("command", application.name()), command);
    }
    NativeCommand c = known.get();
    if (!c.menuPath().isEmpty()) {
      return choose(c.menuPath());
    }
    for (Seen window : windows.mainFirst()) {
      Seen.Tree tree = bus.tree(window.ref(), s -> s.role() != Role.MENU_BAR, 2_000);
      Optional<Seen> button =
          tree.all()
              .filter(s -> s.role() == Role.PUSH_BUTTON || s.role() == Role.TOGGLE_BUTTON)
              .filter(s -> Label.same(s.name(), c.name()))
              .findFirst();
      if (button.isPresent()) {
        return button.get().isReady()
            ? looking.doing(() -> bus.act(button.get().ref()), false)
            : new Reply.Refused(Say.text("button", c.name()), Say.text("greyed"));
      }
    }
    return noButton(c);
  }

  private static Reply noButton(NativeCommand c) {
    boolean hasKeys =
        c.triggers().stream()
            .anyMatch(t -> t instanceof Trigger.Keys(List<Stroke> strokes) && strokes.size() == 1);
    return new Reply.Refused(
        Say.text("button", c.name()),
        hasKeys ? Say.text("onlykeys", c.name()) : Say.text("notthere"));
  }

  /** Sends keys as if they were pressed, if one of its windows has the keys. */
  Reply strike(List<Press> presses) throws BusException {
    if (display.isEmpty()) {
      return new Reply.Refused(Say.text("display"), Say.text("none"));
    }
    Optional<Display.Window> front = display.get().front();
    if (front.filter(w -> w.process() == process).isEmpty()) {
      return new Reply.Refused(
          Say.text("infront", application.name()),
          front.map(Display.Window::title).orElse(Say.text("none")));
    }
    display.get().release();
    return looking.doing(() -> presses.forEach(display.get()::strike), false);
  }
}
