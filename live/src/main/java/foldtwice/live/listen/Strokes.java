package foldtwice.live.listen;

import foldtwice.live.display.Display;
import foldtwice.live.display.Grabs;
import foldtwice.trigger.Press;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Supplier;

/**
 * Strokes that are held back until it is told what they mean, and what becomes of them. While any
 * are, every key is caught, and stays so until none is left that came meanwhile: nothing that is
 * typed overtakes what was typed before it.
 */
final class Strokes {

  private final Display display;
  private final Grabs grabs;
  private final Supplier<Set<Press>> wanted;
  private List<Press> back = List.of();
  private boolean everything;

  /**
   * None yet.
   *
   * @param wanted the presses that are caught where no stroke is held back
   */
  Strokes(Display display, Grabs grabs, Supplier<Set<Press>> wanted) {
    this.display = display;
    this.grabs = grabs;
    this.wanted = wanted;
  }

  /**
   * It is told what a press means.
   *
   * @param loose the press waits nowhere: it came while every key was caught
   * @param keep false when it goes to its program as it is
   * @param held how many strokes are held back from now on; this one the last, where it is kept
   * @param send those that go to the program now, in order
   */
  void told(Press press, boolean loose, boolean keep, int held, List<Press> send) {
    List<Press> strokes = keep ? with(press) : back;
    back = List.copyOf(strokes.subList(Math.max(0, strokes.size() - held), strokes.size()));
    if (!back.isEmpty() && !everything) {
      everything = true;
      grabs.everything(true);
    }
    if (loose && !keep) {
      send(List.of(press));
    } else if (!loose && keep) {
      grabs.keep();
    } else if (!loose) {
      grabs.pass();
    }
    send(send);
  }

  /** Nobody tells what it means: it goes to its program, after all that was held back. */
  void untold(Press press, boolean loose) {
    boolean alone = back.isEmpty();
    List<Press> strokes = with(press);
    back = List.of();
    if (!loose && alone) {
      grabs.pass();
      return;
    }
    if (!loose) {
      grabs.keep();
    }
    send(strokes);
  }

  private List<Press> with(Press press) {
    List<Press> strokes = new ArrayList<>(back);
    strokes.add(press);
    return strokes;
  }

  boolean isWaiting() {
    return !back.isEmpty();
  }

  /** Nothing is waited for any more; these go to the program. */
  void over(List<Press> send) {
    back = List.of();
    send(send);
  }

  /** All that is held back goes to the program. */
  void giveBack() {
    over(back);
  }

  /** What was pressed means nothing any more. */
  void forget() {
    back = List.of();
  }

  /**
   * Catches no more than is wanted, where nothing is held back and no key came meanwhile.
   *
   * @return true when one may have come, which has to be looked at first
   */
  boolean hasMore() {
    if (!everything || !back.isEmpty()) {
      return false;
    }
    everything = !grabs.calm();
    return everything;
  }

  private void send(List<Press> presses) {
    if (presses.isEmpty()) {
      return;
    }
    grabs.alone(
        () -> {
          if (everything) {
            grabs.everything(false);
          }
          Set<Press> without = new HashSet<>(wanted.get());
          presses.forEach(without::remove);
          grabs.catching(without);
          presses.forEach(display::strike);
          grabs.catching(wanted.get());
          if (everything) {
            grabs.everything(true);
          }
        });
  }
}
