package foldtwice.live.listen;

import com.sun.jna.Library;
import com.sun.jna.Memory;
import com.sun.jna.Native;
import com.sun.jna.Pointer;
import foldtwice.live.display.Display;
import foldtwice.live.display.DisplayException;
import foldtwice.live.display.Grabs;
import foldtwice.trigger.Press;
import java.io.IOException;
import java.io.InputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * The process that catches keys. It knows nothing of bindings: it is told which presses to catch,
 * everywhere and while the windows of which process are in front, and asks what to do with each. It
 * never writes down what is pressed.
 */
public final class Listener {

  /** What of the system's library is needed to wait for two things at once. */
  interface Waiting extends Library {
    int poll(Pointer descriptors, long count, int millis);
  }

  private static final int READABLE = 1;
  private static final int LOOKS_EVERY = 50;

  private final Display display;
  private final Grabs grabs;
  private final InputStream in;
  private final PrintStream out;
  private final StringBuilder line = new StringBuilder();
  private final Map<Long, Set<Press>> within = new HashMap<>();
  private final Set<Press> held = new HashSet<>();
  private Set<Press> everywhere = Set.of();
  private Set<Press> next = Set.of();
  private Set<Press> told = Set.of();
  private Optional<Press> stop = Optional.empty();
  private long front;
  private long heardAt = System.nanoTime();
  private long askedAt;
  private Optional<Press> asked = Optional.empty();

  /** Every key is caught: strokes are waited for. */
  private boolean everything;

  /** The press that is asked for was caught while every key was: it does not wait anywhere. */
  private boolean loose;

  private boolean over;

  private Listener(Display display, InputStream in, PrintStream out) {
    this.display = display;
    this.grabs = new Grabs(display);
    this.in = in;
    this.out = out;
  }

  /** Takes the name of the display; talks on standard input and output. */
  public static void main(String[] arguments) throws IOException {
    PrintStream out = new PrintStream(System.out, true, StandardCharsets.US_ASCII);
    try (Display display =
        Display.open(arguments.length == 0 ? Optional.empty() : Optional.of(arguments[0]))) {
      new Listener(display, System.in, out).listen();
    } catch (DisplayException e) {
      out.println(Wire.FAILED + " " + e.getMessage());
    }
  }

  private void listen() throws IOException {
    Waiting system = Native.load("c", Waiting.class);
    Memory descriptors = new Memory(16);
    descriptors.setInt(0, grabs.connection());
    descriptors.setShort(4, (short) READABLE);
    descriptors.setInt(8, 0);
    descriptors.setShort(12, (short) READABLE);
    front = process();
    out.println(Wire.UP);
    while (!over) {
      descriptors.setShort(6, (short) 0);
      descriptors.setShort(14, (short) 0);
      system.poll(descriptors, 2, LOOKS_EVERY);
      read(descriptors.getShort(14) != 0);
      keys();
      long now = System.nanoTime();
      if (asked.isPresent() && now - askedAt > Wire.ANSWERED * 1_000_000) {
        answer(false);
        out.println(Wire.LATE);
      }
      if (now - heardAt > Wire.SILENT * 1_000_000 || display.isGone()) {
        over = true; // the parent hangs or is gone: everything is given back
      }
    }
    grabs.catching(Set.of());
  }

  private long process() {
    return display.front().map(Display.Window::process).orElse(0L);
  }

  private void read(boolean readable) throws IOException {
    if (!readable) {
      return;
    }
    byte[] bytes = new byte[Math.max(1, in.available())];
    int n = in.read(bytes);
    if (n < 0) {
      over = true;
      return;
    }
    for (int i = 0; i < n; i++) {
      if (bytes[i] == '\n') {
        take(List.of(line.toString().split(" ")));
        line.setLength(0);
      } else {
        line.append((char) bytes[i]);
      }
    }
  }

  private void take(List<String> words) {
    heardAt = System.nanoTime();
    List<String> rest = words.subList(1, words.size());
    switch (words.getFirst()) {
      case Wire.STOP_IS -> stop = rest.stream().findFirst().flatMap(Wire::press);
      case Wire.EVERYWHERE -> {
        everywhere = Wire.presses(rest);
        within.clear();
      }
      case Wire.WITHIN ->
          within.put(Long.parseLong(rest.getFirst()), Wire.presses(rest.subList(1, rest.size())));
      case Wire.NEXT -> {
        next = Wire.presses(rest);
        if (everything != !next.isEmpty()) {
          everything = !next.isEmpty();
          grabs.everything(everything);
        }
      }
      case Wire.DONE -> {
        grab();
        out.println(Wire.DONE);
      }
      case Wire.KEEP -> answer(true);
      case Wire.PASS -> answer(false);
      case Wire.SEND -> rest.stream().findFirst().flatMap(Wire::press).ifPresent(this::send);
      default -> {} // a sign of life
    }
  }

  private void answer(boolean keep) {
    if (asked.isPresent()) {
      Press press = asked.get();
      asked = Optional.empty();
      if (!loose) {
        if (keep) {
          grabs.keep();
        } else {
          grabs.pass();
        }
      } else if (!keep) {
        send(press);
      }
      if (keep) {
        out.println(Wire.KEPT);
      }
    }
  }

  /** Sends a press that was kept before and turned out not to be anybody's. */
  private void send(Press press) {
    if (everything) {
      grabs.everything(false);
    }
    Set<Press> without = wanted();
    without.remove(press);
    grabs.catching(without);
    display.strike(press);
    grab();
    if (everything) {
      grabs.everything(true);
    }
  }

  private Set<Press> wanted() {
    Set<Press> wanted = new HashSet<>(everywhere);
    wanted.addAll(within.getOrDefault(front, Set.of()));
    stop.ifPresent(wanted::add);
    return wanted;
  }

  private void grab() {
    Set<Press> taken = grabs.catching(wanted());
    if (!taken.equals(told)) {
      told = taken;
      out.println((Wire.TAKEN + " " + Wire.write(taken)).strip());
    }
  }

  /** One key after the other: the next is looked at when the one before is answered. */
  private void keys() {
    while (asked.isEmpty() && !over) {
      Optional<Grabs.Heard> heard = grabs.heard();
      if (heard.isEmpty()) {
        return;
      }
      switch (heard.get()) {
        case Grabs.Heard.Elsewhere e -> front();
        case Grabs.Heard.Up(Press press) -> {
          held.removeIf(p -> p.code() == press.code());
          out.println(Wire.LIFT + " " + Wire.write(press));
        }
        case Grabs.Heard.Down(Press press) -> down(press);
      }
    }
  }

  private void front() {
    long now = process();
    if (now != front) {
      front = now;
      out.println(Wire.FRONT + " " + front);
      grab();
    }
  }

  private void down(Press press) {
    if (press.code().isModifier()) {
      return; // it comes with the key it changes
    }
    if (stop.filter(press::equals).isPresent()) {
      grabs.keep();
      grabs.everything(false);
      grabs.catching(Set.of());
      out.println(Wire.STOP);
      over = true;
    } else if (!held.add(press)) {
      grabs.keep(); // it repeats while it is down
    } else {
      asked = Optional.of(press);
      loose = everything;
      askedAt = System.nanoTime();
      out.println(Wire.DOWN + " " + Wire.write(press) + " " + front);
    }
  }
}
