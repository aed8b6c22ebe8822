package foldtwice.live.program;

import foldtwice.live.bus.BusException;
import foldtwice.live.bus.Late;
import foldtwice.live.bus.Seen;
import foldtwice.live.display.Display;
import foldtwice.live.say.Say;
import foldtwice.run.Change;
import foldtwice.run.Reply;
import foldtwice.trigger.KeyCode;
import foldtwice.trigger.Press;
import java.util.List;
import java.util.Optional;

/** Closes the dialog a program has open without doing anything, by Escape. */
final class Closing {

  /** How long a dialog may take to come to the front and to close, in milliseconds. */
  private static final long CLOSES = 10_000;

  /** How long after one try to close it the next one follows, in milliseconds. */
  private static final long AGAIN = 400;

  private final long process;
  private final Windows windows;
  private final Optional<Display> display;

  Closing(long process, Windows windows, Optional<Display> display) {
    this.process = process;
    this.windows = windows;
    this.display = display;
  }

  Reply close() throws BusException {
    Optional<Seen> open = windows.dialog();
    if (open.isEmpty()) {
      return Reply.QUIET;
    }
    String title = open.get().name();
    long end = System.nanoTime() + CLOSES * 1_000_000;
    long next = System.nanoTime();
    while (windows.dialog().filter(d -> d.ref().equals(open.get().ref())).isPresent()) {
      if (System.nanoTime() > end) {
        return new Reply.Refused(Say.text("closed", title), Say.text("isopen", title));
      }
      if (System.nanoTime() >= next && display.isPresent()) {
        escape(display.get(), title); // one that was not heard is lost: again
        next = System.nanoTime() + AGAIN * 1_000_000;
      }
      Late.pause();
    }
    return new Reply.Done(List.of(new Change(Looking.DIALOG, title, "")));
  }

  /** Presses Escape in a window that is in front, or brings it there. */
  private void escape(Display on, String title) throws BusException {
    Optional<Display.Window> mine =
        on.windows().stream()
            .filter(w -> w.process() == process && w.title().equals(title))
            .findFirst();
    if (mine.isPresent() && on.front().equals(mine)) {
      on.strike(Press.of(KeyCode.ESCAPE));
    } else {
      mine.ifPresent(on::raise);
    }
  }
}
