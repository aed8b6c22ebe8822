package foldtwice.live;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.binding.Binding;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.live.display.Display;
import foldtwice.live.display.Grabs;
import foldtwice.live.listen.Catching;
import foldtwice.live.listen.Listener;
import foldtwice.live.listen.Listening;
import foldtwice.live.survey.Describing;
import foldtwice.live.survey.Proposal;
import foldtwice.place.Place;
import foldtwice.resolve.Claim;
import foldtwice.trigger.KeyCode;
import foldtwice.trigger.Modifier;
import foldtwice.trigger.Notation;
import foldtwice.trigger.Press;
import foldtwice.trigger.Trigger;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.function.LongSupplier;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/**
 * Keys are really pressed (XTEST) on a display of the test's own; what a program gets is read back
 * from its window, and whether keys are free is asked of the display by catching them again.
 */
class ListenTest {

  private static final Press EVERYWHERE = Press.of(KeyCode.KEY_U, Modifier.CTRL, Modifier.ALT);
  private static final Press STOP = Press.of(KeyCode.ESCAPE, Modifier.CTRL, Modifier.ALT);
  private static final Press L = Press.of(KeyCode.KEY_L, Modifier.CTRL);

  private static Desktop desktop;
  private static Desktop.Window window;
  private static Proposal read;

  private final List<String> heard = new CopyOnWriteArrayList<>();
  private Display keys;
  private long slowness;
  private LongSupplier telling = () -> 0;
  private Listening listening;

  @BeforeAll
  static void begin() throws Exception {
    desktop = Desktop.open();
    window = desktop.window(0);
    try (Live live = Live.open(desktop.where())) {
      read = Describing.anew("w", live.survey(live.running().getFirst()));
    }
  }

  @AfterAll
  static void end() {
    if (desktop != null) {
      desktop.close();
    }
  }

  @BeforeEach
  void connect() throws Exception {
    window.told("clear");
    keys = Display.open(Optional.of(desktop.display()));
    Desktop.await(
        "the window in front",
        () -> keys.front().filter(w -> w.process() == window.process().pid()).isPresent());
  }

  @AfterEach
  void close() {
    if (listening != null) {
      listening.close();
    }
    keys.close();
  }

  private static Binding binding(String id, Place place, String... keys) {
    List<Trigger> triggers = new ArrayList<>();
    for (String k : keys) {
      triggers.add(Notation.read(k));
    }
    return Binding.fresh(id, "m", place, triggers, Map.of());
  }

  private static Library library() {
    List<Edit> edits = new ArrayList<>();
    edits.add(new Edit.PutApplication(read.application(), 0));
    edits.add(new Edit.PutRoutine(Works.macro(List.of(), Works.choose("Ledger", "Stamp")), 0));
    edits.add(new Edit.PutBinding(binding("all", new Place.Everywhere(), "Ctrl+Alt+U")));
    edits.add(new Edit.PutBinding(binding("here", new Place.Whole("w"), "Ctrl+J")));
    edits.add(
        new Edit.PutBinding(binding("writing", new Place.Within("w", "text"), "Ctrl+Shift+J")));
    edits.add(
        new Edit.PutBinding(binding("aside", new Place.Within("w", "window"), "Ctrl+Shift+K")));
    edits.add(
        new Edit.PutBinding(
            Binding.fresh(
                "up",
                "m",
                new Place.Everywhere(),
                List.of(
                    new Trigger.Held(
                        Notation.read("Ctrl+Alt+H").strokes().getFirst(), Trigger.Edge.UP)),
                Map.of())));
    edits.add(new Edit.PutBinding(binding("three", new Place.Whole("w"), "Ctrl+G then H then I")));
    edits.add(new Edit.PutBinding(binding("letters", new Place.Within("w", "text"), "Q then W")));
    edits.add(new Edit.PutBinding(binding("elsewhere", new Place.Within("w", "window"), "Z")));
    edits.add(new Edit.PutBinding(binding("short", new Place.Whole("w"), "Ctrl+P")));
    edits.add(new Edit.PutBinding(binding("long", new Place.Whole("w"), "Ctrl+P then R")));
    edits.add(new Edit.PutBinding(binding("chain", new Place.Whole("w"), "Ctrl+L then B")));
    return new Edit.Together(edits).on(Library.empty("Tests"));
  }

  private Listening.Where where() {
    return new Listening.Where() {
      @Override
      public Optional<Place> state(long process) {
        pause(telling.getAsLong());
        return process == window.process().pid()
            ? Optional.of(new Place.Within("w", "text"))
            : Optional.empty();
      }

      @Override
      public long front() {
        return window.process().pid();
      }

      @Override
      public Optional<Long> process(String application) {
        return Optional.of(window.process().pid());
      }
    };
  }

  private void listen() throws Exception {
    listening =
        Listening.start(
            Optional.of(desktop.display()),
            STOP,
            Catching.of(library(), Desktop.station()),
            where(),
            new Listening.Hears() {
              @Override
              public void fires(String binding, Optional<Press> by) {
                heard.add(binding);
                pause(slowness);
              }

              @Override
              public void undecided(List<Claim> claims) {
                heard.add("undecided");
              }

              @Override
              public void taken(Set<Press> presses) {
                heard.add("taken " + presses.size());
              }

              @Override
              public void stopped() {
                heard.add("stopped");
              }

              @Override
              public void ended(String why) {
                heard.add("ended");
              }
            });
    Desktop.await("the keys to be caught", () -> !desktop.isFree(EVERYWHERE));
  }

  private static void pause(long millis) {
    try {
      Thread.sleep(millis);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  private void strike(Press... presses) throws InterruptedException {
    for (Press p : presses) {
      keys.strike(p);
      Thread.sleep(60); // as a quick hand
    }
  }

  /**
   * Strikes what a program has to be asked about, until it is heard: on a busy machine it may not
   * tell in time where one is, and then the key is passed on.
   */
  private void fires(Press press, String... what) throws InterruptedException {
    for (int i = 0; i < 10 && heard.size() < what.length; i++) {
      strike(press);
      long end = System.nanoTime() + 3_000_000_000L;
      while (heard.size() < what.length && System.nanoTime() < end) {
        Thread.sleep(20);
      }
    }
    hears(what);
  }

  private void hears(String... what) throws InterruptedException {
    Desktop.await(List.of(what) + ", heard " + heard, () -> heard.size() >= what.length);
    Thread.sleep(150);
    assertThat(heard).containsExactly(what);
  }

  @Test
  void aSystemWideKeyFiresWhateverIsInFrontAndNoProgramSeesIt() throws Exception {
    listen();
    strike(EVERYWHERE);
    hears("all");
    assertThat(window.text()).isEmpty();
    Desktop.Window other = desktop.window(0);
    Desktop.await(
        "the other in front",
        () -> keys.front().filter(w -> w.process() == other.process().pid()).isPresent());
    strike(EVERYWHERE, Press.of(KeyCode.KEY_J, Modifier.CTRL));
    hears("all", "all"); // the other is no program of the library's
    other.process().destroyForcibly().waitFor();
  }

  @Test
  void aProgramsKeyFiresWhileItIsInFrontAndInItsContextOnly() throws Exception {
    listen();
    fires(Press.of(KeyCode.KEY_J, Modifier.CTRL), "here");
    fires(Press.of(KeyCode.KEY_J, Modifier.CTRL, Modifier.SHIFT), "here", "writing");
    strike(Press.of(KeyCode.KEY_K, Modifier.CTRL, Modifier.SHIFT));
    hears("here", "writing");
  }

  /** What is not bound reaches the window as it was pressed. */
  @Test
  void otherKeysReachTheirProgram() throws Exception {
    listen();
    strike(Press.of(KeyCode.KEY_A), Press.of(KeyCode.KEY_B), Press.of(KeyCode.KEY_J));
    strike(Press.of(KeyCode.KEY_M, Modifier.CTRL, Modifier.SHIFT)); // the program's own
    Desktop.await("the letters", () -> text().equals("abj[stamp]"));
    assertThat(heard).isEmpty();
  }

  private static String text() {
    try {
      return window.text();
    } catch (java.io.IOException e) {
      throw new java.io.UncheckedIOException(e);
    }
  }

  @Test
  void aSequenceFiresAndOneThatBreaksIsPassedOn() throws Exception {
    listen();
    strike(L, Press.of(KeyCode.KEY_B));
    hears("chain");
    assertThat(text()).isEmpty();
    strike(L, Press.of(KeyCode.KEY_X));
    Desktop.await("the letter, there is " + text(), () -> text().equals("x"));
    hears("chain");
  }

  @Test
  void aSequenceOfThreeFires() throws Exception {
    listen();
    strike(
        Press.of(KeyCode.KEY_G, Modifier.CTRL), Press.of(KeyCode.KEY_H), Press.of(KeyCode.KEY_I));
    hears("three");
    assertThat(text()).isEmpty();
  }

  /** What was held back for a sequence that did not come is typed as it was: in its order. */
  @Test
  void lettersOfABrokenSequenceComeInTheirOrder() throws Exception {
    listen();
    strike(Press.of(KeyCode.KEY_Q), Press.of(KeyCode.KEY_X), Press.of(KeyCode.KEY_Y));
    Desktop.await("the letters, there is " + text(), () -> text().length() == 3);
    assertThat(text()).isEqualTo("qxy");
    strike(Press.of(KeyCode.KEY_Q), Press.of(KeyCode.KEY_W));
    hears("letters");
    assertThat(text()).isEqualTo("qxy");
    window.told("clear");
    for (int i = 0; i < 5; i++) { // faster than any hand
      for (KeyCode k : List.of(KeyCode.KEY_Q, KeyCode.KEY_X, KeyCode.KEY_Y, KeyCode.KEY_Z)) {
        keys.strike(Press.of(k));
        Thread.sleep(25);
      }
    }
    Thread.sleep(2_000);
    assertThat(text()).isEqualTo("qxyz".repeat(5));
  }

  /**
   * Where one is takes long to tell, sometimes too long. What is typed meanwhile waits for it: all
   * comes, in its order, but what fired. Letters fall to the sequence, to nobody, to a binding of
   * another context, and again and again the same.
   */
  @Test
  void howeverLongItTakesWhatIsTypedComesInItsOrder() throws Exception {
    int fired = 0;
    for (long seed = 1; seed <= 4; seed++) {
      Random random = new Random(seed);
      int longest = seed % 2 == 0 ? 500 : 150;
      telling = () -> random.nextInt(4) > 0 ? 0 : random.nextInt(longest);
      listen();
      StringBuilder typed = new StringBuilder();
      for (int i = 0; i < 30; i++) {
        typed.append("qqwxz".charAt(random.nextInt(5)));
        keys.strike(Press.of(KeyCode.of("Key" + Character.toUpperCase(typed.charAt(i))).get()));
        Thread.sleep(random.nextInt(40));
      }
      Desktop.await(
          "all to be typed or fired, of " + typed + " there is " + text(),
          () -> text().length() + 2 * heard.size() == typed.length());
      // what was not told in time was typed
      assertThat(text()).as("seed " + seed).matches(typed.toString().replace("qw", "(qw)?"));
      assertThat(heard).as("seed " + seed).allMatch("letters"::equals);
      fired += heard.size();
      listening.close();
      heard.clear();
      window.told("clear");
    }
    assertThat(fired).isGreaterThan(3);
  }

  /** Whoever hears takes as long as it likes: keys go on being caught and given meanwhile. */
  @Test
  void whoHearsSlowlyHoldsNothingUp() throws Exception {
    slowness = 2_500;
    listen();
    strike(Press.of(KeyCode.KEY_P, Modifier.CTRL)); // held back, and fires when the time is over
    Desktop.await("it is heard", () -> heard.contains("short"));
    strike(Press.of(KeyCode.KEY_A));
    Thread.sleep(2_000);
    assertThat(desktop.isFree(EVERYWHERE)).as("still listening").isFalse();
    assertThat(text()).isEqualTo("a");
  }

  /** A key that does something as it comes up; what the display repeats meanwhile is not heard. */
  @Test
  void aHeldKeyIsHeardAsItComesUp() throws Exception {
    listen();
    keys.key(KeyCode.CONTROL_LEFT, true);
    keys.key(KeyCode.ALT_LEFT, true);
    keys.key(KeyCode.KEY_H, true);
    Thread.sleep(900); // the display repeats it by now
    assertThat(heard).isEmpty();
    keys.key(KeyCode.KEY_H, false);
    keys.key(KeyCode.ALT_LEFT, false);
    keys.key(KeyCode.CONTROL_LEFT, false);
    hears("up");
    Press up = Press.of(KeyCode.KEY_H, Modifier.CTRL, Modifier.ALT);
    strike(up); // sooner than the display repeats anything
    hears("up", "up");
    keys.key(KeyCode.CONTROL_LEFT, true);
    keys.key(KeyCode.ALT_LEFT, true);
    keys.key(KeyCode.KEY_H, true);
    Thread.sleep(100);
    assertThat(heard).hasSize(2);
    keys.key(KeyCode.CONTROL_LEFT, false); // fingers come up in any order
    keys.key(KeyCode.ALT_LEFT, false);
    keys.key(KeyCode.KEY_H, false);
    hears("up", "up", "up");
  }

  /** While a second stroke is awaited its key is caught; when the time is over it types again. */
  @Test
  void afterItsTimeASequenceIsOver() throws Exception {
    listen();
    strike(L);
    Thread.sleep(1_800);
    strike(Press.of(KeyCode.KEY_B));
    Desktop.await("the letter", () -> text().equals("b"));
    assertThat(heard).isEmpty();
  }

  @Test
  void theEmergencyStopGivesAllKeysBackAtOnce() throws Exception {
    listen();
    strike(STOP);
    hears("stopped");
    assertThat(desktop.isFree(EVERYWHERE)).isTrue();
    assertThat(desktop.isFree(STOP)).isTrue();
  }

  @Test
  void closingGivesAllKeysBack() throws Exception {
    listen();
    listening.close();
    assertThat(desktop.isFree(EVERYWHERE)).isTrue();
    strike(EVERYWHERE);
    Thread.sleep(200);
    assertThat(heard).isEmpty();
  }

  @Test
  void whoCatchesSecondIsToldWhatIsTaken() throws Exception {
    try (Display other = Display.open(Optional.of(desktop.display()))) {
      Grabs grabs = new Grabs(other);
      assertThat(grabs.catching(Set.of(Press.of(KeyCode.KEY_J, Modifier.CTRL)))).isEmpty();
      listen();
      Desktop.await("it to be told", () -> heard.contains("taken 1"));
      strike(EVERYWHERE);
      Desktop.await("the others still fire", () -> heard.contains("all"));
    }
    Desktop.await("what is let go is caught", () -> heard.contains("taken 0"));
    strike(Press.of(KeyCode.KEY_J, Modifier.CTRL));
    Desktop.await("it fires", () -> heard.contains("here"));
  }

  @Test
  void keysAreFreeWhenTheListenerIsKilled() throws Exception {
    listen();
    ProcessHandle.of(listening.process()).orElseThrow().destroyForcibly();
    Desktop.await("free keys", () -> desktop.isFree(EVERYWHERE));
    hears("ended");
  }

  /** The parent hangs, or is killed: the listener hears nothing for a second and lets go. */
  @Test
  void keysAreFreeWhenTheParentIsSilent() throws Exception {
    Process listener = listener();
    PrintWriter in = new PrintWriter(listener.outputWriter());
    catches(in);
    Desktop.await("free keys", () -> desktop.isFree(EVERYWHERE));
    assertThat(listener.waitFor()).isZero();
  }

  /** Its output is closed as the death of a parent closes it. */
  @Test
  void keysAreFreeWhenTheParentDies() throws Exception {
    Process listener = listener();
    PrintWriter in = new PrintWriter(listener.outputWriter());
    catches(in);
    in.close();
    Desktop.await("free keys", () -> desktop.isFree(EVERYWHERE));
  }

  /** Has a listener catch a key, and is heard by it until the key is caught. */
  private static void catches(PrintWriter in) throws InterruptedException {
    in.println("everywhere KeyU:" + EVERYWHERE.held().bits());
    in.println("done");
    Desktop.await(
        "the key to be caught",
        () -> {
          in.println("alive");
          in.flush();
          return !desktop.isFree(EVERYWHERE);
        });
  }

  private static Process listener() throws Exception {
    Process listener =
        desktop.start(
            Path.of(System.getProperty("java.home"), "bin", "java").toString(),
            "--enable-native-access=ALL-UNNAMED",
            "-cp",
            System.getProperty("java.class.path"),
            Listener.class.getName(),
            desktop.display());
    assertThat(listener.inputReader().readLine()).isEqualTo("up");
    return listener;
  }
}
