package foldtwice.live.program;

import foldtwice.live.bus.Bus;
import foldtwice.live.bus.BusException;
import foldtwice.live.bus.Ref;
import foldtwice.live.say.Say;
import foldtwice.run.Reply;

/**
 * What becomes of questions a program does not answer. One that was silent when it was looked at
 * refuses the next thing it is told: it might do that late, and then it would be done twice.
 */
final class Asked {

  private final Bus bus;
  private final Ref root;
  private final String name;

  /** It did not answer when it was looked at; the next step says so. */
  private volatile boolean silent;

  /**
   * @param name what it is called
   */
  Asked(Bus bus, Ref root, String name) {
    this.bus = bus;
    this.root = root;
    this.name = name;
  }

  /** Something that asks the program. */
  interface Asking<T> {
    T ask() throws BusException;
  }

  /** What it does when it is told to, or why not. */
  Reply reply(Asking<Reply> what) {
    if (silent) {
      silent = false;
      return refused(new BusException(BusException.Why.SILENT, ""));
    }
    try {
      return what.ask();
    } catch (BusException e) {
      return refused(e);
    }
  }

  private Reply.Refused refused(BusException e) {
    return switch (e.why()) {
      case SILENT ->
          new Reply.Refused(Say.text("answer", name, Bus.LIMIT / 1000), Say.text("silent"));
      case GONE, NO_BUS ->
          new Reply.Refused(
              Say.text("running", name), Say.text(isRunning() ? "gonepart" : "ended"));
      case REFUSED -> new Reply.Refused(Say.text("offers", name), e.getMessage());
    };
  }

  /** What is asked, or this where the program does not tell. */
  <T> T or(T otherwise, Asking<T> what) {
    if (silent) {
      return otherwise;
    }
    try {
      return what.ask();
    } catch (BusException e) {
      silent = e.why() == BusException.Why.SILENT;
      return otherwise;
    }
  }

  /** True while it is on the bus. */
  boolean isRunning() {
    return or(false, () -> bus.programs().stream().anyMatch(s -> s.ref().equals(root)));
  }
}
