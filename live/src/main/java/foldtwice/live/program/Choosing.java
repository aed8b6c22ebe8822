package foldtwice.live.program;

import foldtwice.live.bus.Bus;
import foldtwice.live.bus.BusException;
import foldtwice.live.bus.Late;
import foldtwice.live.bus.Mark;
import foldtwice.live.bus.Seen;
import foldtwice.live.display.Display;
import foldtwice.live.say.Say;
import foldtwice.live.survey.Accelerator;
import foldtwice.trigger.Key;
import foldtwice.trigger.KeyCode;
import foldtwice.trigger.Press;
import foldtwice.trigger.Stroke;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Chooses a menu item. An item that opens a dialog is chosen by its own keys where it has some:
 * some programs open it while they are still answering the call that chose it, and answer nothing
 * until it is closed.
 */
final class Choosing {

  /** How long its window may take to come to the front, in milliseconds. */
  private static final long COMES = 5_000;

  /** How long a button may take to have the keys, in milliseconds. */
  private static final long TAKES = 200;

  private final Bus bus;
  private final long process;
  private final Optional<Display> display;

  Choosing(Bus bus, long process, Optional<Display> display) {
    this.bus = bus;
    this.process = process;
    this.display = display;
  }

  /**
   * Chooses it.
   *
   * @param opens true when it is known to open a dialog
   */
  void choose(Seen item, boolean opens) throws BusException {
    boolean asks = opens || item.name().endsWith("\u2026") || item.name().endsWith("...");
    List<Press> presses = asks ? presses(item) : List.of();
    if (presses.isEmpty()) {
      bus.act(item.ref());
    } else if (isFront()) {
      display.get().release();
      presses.forEach(display.get()::strike);
    } else { // to choose it otherwise might keep the program from answering for good
      throw new BusException(BusException.Why.REFUSED, Say.text("notfront"));
    }
  }

  /**
   * Presses a button as a hand would, by the keys: a program that asks back in a dialog of its own
   * would answer nothing until that is closed, had it been told to press.
   */
  void push(Seen button) throws BusException {
    if (display.isEmpty() || !isFront() || !hasKeys(button)) {
      bus.act(button.ref());
      return;
    }
    display.get().release();
    display.get().strike(Press.of(KeyCode.SPACE));
  }

  /** Gives it the keys, if it takes them. */
  private boolean hasKeys(Seen button) throws BusException {
    if (!bus.focus(button.ref())) {
      return false;
    }
    long end = System.nanoTime() + TAKES * 1_000_000;
    while (System.nanoTime() < end) {
      if (bus.look(button.ref()).is(Mark.FOCUSED)) {
        return true;
      }
      Thread.onSpinWait();
    }
    return false;
  }

  private List<Press> presses(Seen item) throws BusException {
    if (display.isEmpty()) {
      return List.of();
    }
    List<Press> presses = new ArrayList<>();
    for (Stroke s : Accelerator.strokes(bus.keys(List.of(item.ref())).getFirst())) {
      Optional<Press> press =
          s.key() instanceof Key.Making(var keysym)
              ? display.get().making(keysym, s.modifiers())
              : Optional.empty();
      if (press.isEmpty()) {
        return List.of();
      }
      presses.add(press.get());
    }
    return presses;
  }

  /** True when a window of the program has the keys, or gets them when it is asked to. */
  private boolean isFront() {
    Display on = display.get();
    if (on.front().filter(w -> w.process() == process).isPresent()) {
      return true;
    }
    Optional<Display.Window> window =
        on.windows().stream().filter(w -> w.process() == process).reduce((a, b) -> b);
    window.ifPresent(on::raise);
    long end = System.nanoTime() + COMES * 1_000_000;
    while (window.isPresent() && System.nanoTime() < end) {
      if (on.front().filter(w -> w.process() == process).isPresent()) {
        return true;
      }
      Late.pause();
    }
    return false;
  }
}
