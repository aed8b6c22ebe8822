package foldtwice.live.listen;

import com.sun.jna.Library;
import com.sun.jna.Memory;
import com.sun.jna.Native;
import com.sun.jna.Pointer;
import foldtwice.live.display.Display;
import foldtwice.live.display.DisplayException;
import foldtwice.live.display.Grabs;
import foldtwice.trigger.KeyCode;
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
  private static final int WATCHES_EVERY = 10;

  /** What another program had caught is tried again after so long, in nanoseconds. */
  private static final long TRIES_EVERY = 1_000_000_000;

  /** A key of which is asked what it means. */
  private record Question(long number, Press press, boolean loose, long at) {}

  private final Display display;
  private final Grabs grabs;
  private final Strokes strokes;
  private final InputStream in;
  private final PrintStream out;
  private final StringBuilder line = new StringBuilder();
  private final Map<Long, Set<Press>> within = new HashMap<>();

  /** What is down, by whether it is kept from its program. */
  private final Map<Press, Boolean> down = new HashMap<>();

  private Set<Press> everywhere = Set.of();

  /** Those another program has caught, as they were told last. */
  private Set<Press> told = Set.of();

  private Optional<Press> stop = Optional.empty();
  private long tried;
  private long front;
  private long heardAt = System.nanoTime();
  private Optional<Question> asked = Optional.empty();

  /** The number of the last key that was told. */
  private long count;

  private boolean over;

  private Listener(Display display, InputStream in, PrintStream out) {
    this.display = display;
    this.grabs = new Grabs(display);
    this.strokes = new Strokes(display, grabs, this::wanted);
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
      system.poll(descriptors, 2, down.isEmpty() ? LOOKS_EVERY : WATCHES_EVERY);
      read(descriptors.getShort(14) != 0);
      keys();
      watch();
      long now = System.nanoTime();
      asked.filter(q -> now - q.at() > Wire.ANSWERED * 1_000_000).ifPresent(this::late);
      if (!told.isEmpty() && asked.isEmpty() && now - tried > TRIES_EVERY) {
        grab(); // whoever had caught them may have let them go
      }
      if (now - heardAt > Wire.SILENT * 1_000_000 || display.isGone()) {
        over = true; // the parent hangs or is gone: everything is given back
      }
    }
    if (!display.isGone()) {
      asked.ifPresent(this::late);
      strokes.giveBack();
      grabs.catching(Set.of());
    }
  }

  private void late(Question question) {
    asked = Optional.empty();
    strokes.untold(question.press(), question.loose());
    down.put(question.press(), false);
    watch();
    out.println(Wire.LATE);
  }

  /**
   * Which keys that went down are up. The display tells it of those alone that are caught when they
   * come up: of the others it is asked.
   */
  private void watch() {
    if (down.isEmpty()) {
      return;
    }
    Set<KeyCode> still = display.down();
    for (Press p : Set.copyOf(down.keySet())) {
      if (!still.contains(p.code())) {
        up(p);
      }
    }
  }

  /** With the modifiers it went down with: they may have come up before. */
  private void up(Press press) {
    for (Press p : Set.copyOf(down.keySet())) {
      if (p.code() == press.code()) {
        down.remove(p);
        out.println(Wire.LIFT + " " + Wire.write(p));
      }
    }
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
        everywhere = Set.copyOf(Wire.presses(rest));
        within.clear();
      }
      case Wire.WITHIN ->
          within.put(
              Long.parseLong(rest.getFirst()),
              Set.copyOf(Wire.presses(rest.subList(1, rest.size()))));
      case Wire.DONE -> {
        grab();
        out.println(Wire.DONE);
      }
      case Wire.ANSWER ->
          asked
              .filter(q -> q.number() == Long.parseLong(rest.getFirst()))
              .ifPresent(q -> answer(q, rest.subList(1, rest.size())));
      case Wire.OVER -> over(Long.parseLong(rest.getFirst()), rest.subList(1, rest.size()));
      default -> {} // a sign of life
    }
  }

  private void answer(Question question, List<String> words) {
    asked = Optional.empty();
    boolean keep = words.get(0).equals(Wire.KEEP);
    List<Press> send = Wire.presses(words.subList(2, words.size()));
    strokes.told(question.press(), question.loose(), keep, Integer.parseInt(words.get(1)), send);
    down.put(question.press(), keep);
    watch();
    if (keep) {
      out.println(Wire.KEPT + " " + question.number());
    }
  }

  /** Unless it was answered otherwise since: that it was late, or where another is in front. */
  private void over(long number, List<String> send) {
    long answered = count - (asked.isPresent() ? 1 : 0);
    if (number == answered && strokes.isWaiting()) {
      strokes.over(Wire.presses(send));
      watch();
      out.println(Wire.OVER + " " + number);
    }
  }

  private Set<Press> wanted() {
    Set<Press> wanted = new HashSet<>(everywhere);
    wanted.addAll(within.getOrDefault(front, Set.of()));
    stop.ifPresent(wanted::add);
    return wanted;
  }

  private void grab() {
    tried = System.nanoTime();
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
        if (strokes.hasMore()) {
          continue;
        }
        return;
      }
      switch (heard.get()) {
        case Grabs.Heard.Elsewhere e -> front();
        case Grabs.Heard.Up(Press press) -> up(press);
        case Grabs.Heard.Down(Press press, boolean loose) -> down(press, loose);
      }
    }
  }

  private void front() {
    long now = process();
    if (now != front) {
      front = now;
      strokes.forget();
      out.println(Wire.FRONT + " " + front);
      grab();
    }
  }

  private void down(Press press, boolean loose) {
    if (press.code().isModifier()) {
      return; // it comes with the key it changes
    }
    if (stop.filter(press::equals).isPresent()) {
      strokes.forget();
      grabs.keep();
      grabs.everything(false);
      grabs.catching(Set.of());
      out.println(Wire.STOP);
      over = true;
    } else if (down.getOrDefault(press, false)) {
      grabs.keep(); // it repeats
    } else {
      count++;
      down.put(press, true);
      asked = Optional.of(new Question(count, press, loose, System.nanoTime()));
      out.println(Wire.DOWN + " " + count + " " + Wire.write(press) + " " + front);
    }
  }
}
