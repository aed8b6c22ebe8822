package foldtwice.desktop;

import foldtwice.desktop.atlas.AtlasView;
import foldtwice.desktop.begin.Lately;
import foldtwice.desktop.frame.Frame;
import foldtwice.desktop.frame.Libraries;
import foldtwice.desktop.parts.Theme;
import foldtwice.desktop.session.Background.Lane;
import foldtwice.desktop.session.Faults;
import foldtwice.desktop.session.FileAsking;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.trying.TryView;
import foldtwice.library.file.LibraryStore;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.BooleanSupplier;
import javafx.application.Platform;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.Scene;
import javafx.scene.control.Label;
import javafx.scene.control.Labeled;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.scene.input.TransferMode;
import javafx.scene.robot.Robot;
import javafx.scene.text.Text;
import javafx.stage.Stage;
import javafx.stage.Window;

/** The real window, worked with real keys and clicks, and read as it is shown. */
final class Hands implements AutoCloseable {

  private static final long PATIENCE_MILLIS = Toolkit.PATIENCE_MILLIS;
  private static final double WIDTH = 1280;
  private static final double HEIGHT = 800;

  /** What nobody expected to go wrong. */
  static final Faults FAULTS = new Faults();

  private final Stage stage;
  private final Scene scene;
  private final Robot robot;
  final Session session;
  private final Frame frame;

  /** What the person chooses when asked for files. */
  private final Chosen chosen;

  private static final class Chosen implements FileAsking {
    private List<Path> next = List.of();

    @Override
    public List<Path> files(Window owner, String title) {
      return next;
    }

    @Override
    public Optional<Path> folder(Window owner, String title) {
      return next.stream().findFirst();
    }

    @Override
    public Optional<Path> fresh(Window owner, String title, String name) {
      return next.stream().findFirst();
    }
  }

  /** The next time files or a folder are asked for, these are chosen. */
  void choosing(Path... files) {
    chosen.next = List.of(files);
  }

  private Hands(Stage stage, Session session, Robot robot, Chosen chosen, Frame frame) {
    this.frame = frame;
    this.chosen = chosen;
    this.stage = stage;
    this.scene = stage.getScene();
    this.session = session;
    this.robot = robot;
  }

  /** The windows of other libraries, with nobody to ask for files. */
  static Libraries libraries() {
    return new Libraries(FAULTS, new Chosen(), Lately.mine());
  }

  /** A window over a fresh copy of the demo library in this folder, or over the copy there. */
  static Hands open(Path folder) throws Exception {
    return open(folder, "tester");
  }

  static Hands open(Path folder, String who) throws Exception {
    Toolkit.start();
    Path file = folder.resolve("fernhollow.json");
    if (!Files.exists(file)) {
      Files.copy(root().resolve("demo/fernhollow.json"), file);
    }
    LibraryStore store = LibraryStore.open(file, who, Clock.systemUTC());
    Chosen chosen = new Chosen();
    Hands hands =
        ask(
            () -> {
              Session session = new Session(store, chosen);
              Theme theme = new Theme();
              Frame frame = new Frame(session, theme, FAULTS);
              Stage stage = new Stage();
              stage.setScene(frame.scene(WIDTH, HEIGHT));
              stage.setX(0);
              stage.setY(0);
              stage.show();
              stage.requestFocus();
              return new Hands(stage, session, Toolkit.robot(), chosen, frame);
            });
    hands.waitUntil("it is audited", () -> hands.session.now().audited());
    hands.settle();
    return hands;
  }

  static Path root() {
    return Path.of(System.getProperty("project.root"));
  }

  /** Does something on the interface thread. */
  static <T> T ask(Callable<T> what) {
    return Toolkit.ask(what);
  }

  private static void run(Runnable what) {
    ask(
        () -> {
          what.run();
          return true;
        });
  }

  private static int gestures;

  /** How often a hand did something since this was asked last: a chord, a click, a text typed. */
  static int gestures() {
    int so = gestures;
    gestures = 0;
    return so;
  }

  /** How many frames go by after each act. */
  private int frames = 3;

  /** From now on as fast as frames are drawn, whatever has come of an act. */
  void hurry() {
    frames = 1;
  }

  /**
   * Lets what has been asked in the background be answered, and what is asked then. Plans, real
   * programs and what nobody waits for are not waited for.
   */
  void quiet() {
    for (int turn = 0; turn < 2; turn++) {
      for (Lane lane : List.of(Lane.AUDIT, Lane.WORK, Lane.TRIAL, Lane.READING)) {
        CountDownLatch answered = new CountDownLatch(1);
        run(() -> session.background().once(lane, () -> true, all -> answered.countDown()));
        try {
          if (!answered.await(PATIENCE_MILLIS, TimeUnit.MILLISECONDS)) {
            throw new AssertionError("no answer from " + lane);
          }
        } catch (InterruptedException e) {
          throw new AssertionError(e);
        }
      }
    }
    settle();
  }

  /** The ids of the tabs of all views. */
  List<String> views() {
    return ask(() -> scene.getRoot().lookupAll(".tab-leaf").stream().map(Node::getId).toList());
  }

  /** Lets events, layout and frames go by. */
  void settle() {
    for (int i = 0; i < frames; i++) {
      CountDownLatch frame = new CountDownLatch(1);
      run(
          () -> {
            if (!stage.isShowing()) {
              frame.countDown(); // the act has closed the window
              return;
            }
            scene.addPostLayoutPulseListener(
                new Runnable() {
                  @Override
                  public void run() {
                    scene.removePostLayoutPulseListener(this);
                    frame.countDown();
                  }
                });
            Platform.requestNextPulse();
          });
      try {
        if (!frame.await(PATIENCE_MILLIS, TimeUnit.MILLISECONDS)) {
          throw new AssertionError("no frame was drawn");
        }
      } catch (InterruptedException e) {
        throw new AssertionError(e);
      }
    }
  }

  /** Presses keys together, the last one under the others, and lets them go. */
  void press(KeyCode... keys) {
    gestures++;
    run(() -> pressNow(keys));
    settle();
  }

  /**
   * Presses one key after the other with no time between, however slow the machine is: a sequence
   * within its time limit.
   */
  void pressInTurn(KeyCode... keys) {
    run(() -> List.of(keys).forEach(this::pressNow));
    settle();
  }

  /** Presses a key, and something happens before anything that it asked for is answered. */
  void pressAnd(KeyCode key, Runnable then) {
    run(
        () -> {
          pressNow(key);
          then.run();
        });
    settle();
  }

  private void pressNow(KeyCode... keys) {
    List.of(keys).forEach(robot::keyPress);
    List.of(keys).reversed().forEach(robot::keyRelease);
  }

  /** Types a text of small letters, digits and a few signs, key by key. */
  void type(String text) {
    gestures++;
    for (int i = 0; i < text.length(); i++) {
      char c = text.charAt(i);
      KeyCode code =
          switch (c) {
            case ' ' -> KeyCode.SPACE;
            case '.' -> KeyCode.PERIOD;
            case '-' -> KeyCode.MINUS;
            default -> KeyCode.getKeyCode(String.valueOf(c).toUpperCase(java.util.Locale.ROOT));
          };
      run(() -> robot.keyType(code));
    }
    settle();
  }

  /** Gives something the keys, as a click into it does. */
  void giveKeys(String selector) {
    giveKeys(node(selector));
  }

  void giveKeys(Node node) {
    run(node::requestFocus);
    settle();
  }

  /** A key of whatever keyboard types this in what has the keys. */
  void typed(String text) {
    typedNow(text);
    settle();
  }

  /** Types any text into what has the keys, letter by letter. */
  void letters(String text) {
    gestures++;
    text.codePoints().mapToObj(Character::toString).forEach(this::typedNow);
    settle();
  }

  private void typedNow(String letter) {
    run(
        () ->
            javafx.event.Event.fireEvent(
                scene.getFocusOwner(),
                new javafx.scene.input.KeyEvent(
                    javafx.scene.input.KeyEvent.KEY_TYPED,
                    letter,
                    "",
                    KeyCode.UNDEFINED,
                    false,
                    false,
                    false,
                    false)));
  }

  /** Selects all in the field that has the keys and types over it. */
  void retype(String text) {
    press(KeyCode.CONTROL, KeyCode.A);
    type(text);
  }

  /** Narrows the register to what matches the words and chooses the first row. */
  void choose(String words) {
    press(KeyCode.CONTROL, KeyCode.F);
    type(words);
    press(KeyCode.ENTER);
    press(KeyCode.HOME);
  }

  /** What takes the messages of a MIDI device, once it is listened to. */
  javax.sound.midi.Receiver midi(String device) {
    waitUntil("it is listened to", () -> frame.show(TryView.class).midi(device).isPresent());
    return ask(() -> frame.show(TryView.class).midi(device)).orElseThrow();
  }

  /** Gives a button the keys and presses it with the space bar. */
  void space(String selector) {
    gestures++;
    Node there = node(selector);
    run(
        () -> {
          Node node = Optional.ofNullable(found(selector)).orElse(there);
          node.getScene()
              .getRoot()
              .applyCss(); // what was just made does nothing before it is shown
          node.requestFocus(); // as it is now: rows may have been made anew
          pressNow(KeyCode.SPACE);
        });
    settle();
  }

  /** Makes an edit, as something in the window does. */
  void make(foldtwice.library.Edit edit, String what) {
    run(() -> session.make(edit, what));
    settle();
  }

  /** Chooses a station, as its chooser does. */
  void station(String id) {
    run(() -> session.choose(session.now().library().stations().get(id)));
    waitUntil(
        "the station is looked through",
        () -> session.now().station().id().equals(id) && session.now().audited());
    settle();
  }

  /** Goes to Collect and chooses the first routine that matches the words. */
  void routine(String words) {
    press(KeyCode.F2);
    click("#routine-filter");
    retype(words);
    press(KeyCode.ENTER);
  }

  void click(String selector) {
    gestures++;
    Node there = node(selector);
    run(
        () -> {
          Node node = Optional.ofNullable(found(selector)).orElse(there);
          node.getScene().getRoot().applyCss();
          node.getScene().getRoot().layout(); // or it is clicked where it was before
          Bounds b = node.localToScreen(node.getBoundsInLocal());
          robot.mouseMove(b.getCenterX(), b.getCenterY());
          robot.mouseClick(MouseButton.PRIMARY);
        });
    settle();
  }

  /** Clicks a point of the window, in its scene. */
  void clickAt(double x, double y) {
    run(
        () -> {
          robot.mouseMove(stage.getX() + scene.getX() + x, stage.getY() + scene.getY() + y);
          robot.mouseClick(MouseButton.PRIMARY);
        });
    settle();
  }

  void click(String selector, MouseButton button) {
    Bounds b = bounds(selector);
    run(
        () -> {
          robot.mouseMove(b.getCenterX(), b.getCenterY());
          robot.mouseClick(button);
        });
    settle();
  }

  /** Keeps the mouse down on something until it counts as held. */
  void hold(String selector) {
    Bounds b = bounds(selector);
    run(
        () -> {
          robot.mouseMove(b.getCenterX(), b.getCenterY());
          robot.mousePress(MouseButton.PRIMARY);
        });
    try {
      Thread.sleep(foldtwice.trigger.Trigger.HOLD_MILLIS + 60);
    } catch (InterruptedException e) {
      throw new IllegalStateException(e);
    }
    run(() -> robot.mouseRelease(MouseButton.PRIMARY));
    settle();
  }

  /** Puts the mouse down on something and leaves it there. */
  void mouseDown(String selector) {
    Bounds b = bounds(selector);
    run(
        () -> {
          robot.mouseMove(b.getCenterX(), b.getCenterY());
          robot.mousePress(MouseButton.PRIMARY);
        });
    settle();
  }

  void mouseUp() {
    run(() -> robot.mouseRelease(MouseButton.PRIMARY));
    settle();
  }

  /** Lets time go by: what must not happen would. */
  void pause(long millis) {
    try {
      Thread.sleep(millis);
    } catch (InterruptedException e) {
      throw new IllegalStateException(e);
    }
    settle();
  }

  /** Looks words up, and leaves the list open. */
  void find(String words) {
    press(KeyCode.F3);
    paste("#look-up", words);
  }

  /** Looks words up and goes to the first that is found. */
  void lookUp(String words) {
    find(words);
    press(KeyCode.ENTER);
  }

  /** Something was copied elsewhere. */
  static void copied(String text) {
    ask(
        () -> {
          ClipboardContent content = new ClipboardContent();
          content.putString(text);
          return Clipboard.getSystemClipboard().setContent(content);
        });
  }

  /** Draws with a button held, from near the top left of a part: pairs of ways across and down. */
  void draw(String selector, MouseButton button, double... ways) {
    Bounds b = bounds(selector);
    double[] at = {b.getMinX() + b.getWidth() / 4, b.getMinY() + b.getHeight() / 3};
    run(
        () -> {
          robot.mouseMove(at[0], at[1]);
          robot.mousePress(button);
        });
    for (int i = 0; i < ways.length; i += 2) {
      double dx = ways[i] / 10;
      double dy = ways[i + 1] / 10;
      for (int step = 0; step < 10; step++) {
        at[0] += dx;
        at[1] += dy;
        run(() -> robot.mouseMove(at[0], at[1]));
      }
    }
    run(() -> robot.mouseRelease(button));
    settle();
  }

  /** Keys go down and stay down. */
  void down(KeyCode... keys) {
    run(() -> List.of(keys).forEach(robot::keyPress));
    settle();
  }

  void up(KeyCode... keys) {
    run(() -> List.of(keys).forEach(robot::keyRelease));
    settle();
  }

  /** Chooses the next of a list that opens downwards. */
  void next(String selector) {
    Node node = node(selector);
    run(node::requestFocus);
    press(KeyCode.DOWN);
  }

  /** Goes somewhere, as a link that is followed does. */
  void to(foldtwice.desktop.view.Target target) {
    run(() -> frame.to(target));
    settle();
  }

  /** Goes to a place in the atlas. */
  void atlas(foldtwice.place.Place place) {
    run(() -> frame.show(AtlasView.class).go(place));
    settle();
  }

  /** Moves the pointer over the middle of a node. */
  void move(String selector) {
    Bounds at = bounds(selector);
    run(() -> robot.mouseMove(at.getCenterX(), at.getCenterY()));
    settle();
  }

  /** Drags one thing onto another, by mouse, over a few points on the way. */
  void drag(String from, String to) {
    Bounds start = bounds(from);
    Bounds end = bounds(to);
    run(
        () -> {
          robot.mouseMove(start.getCenterX(), start.getCenterY());
          robot.mousePress(MouseButton.PRIMARY);
        });
    settle();
    for (int i = 1; i <= 5; i++) {
      double part = i / 5.0;
      run(
          () ->
              robot.mouseMove(
                  start.getCenterX() + part * (end.getCenterX() - start.getCenterX()),
                  start.getCenterY() + part * (end.getCenterY() - start.getCenterY())));
      settle();
    }
    run(() -> robot.mouseRelease(MouseButton.PRIMARY));
    settle();
  }

  private Bounds bounds(String selector) {
    Node node = node(selector);
    return ask(() -> node.localToScreen(node.getBoundsInLocal()));
  }

  /** Goes down the menus of the stand-in in front, by mouse. */
  void menu(String... path) {
    for (String label : path) {
      Node item = ask(() -> labelled(label));
      run(
          () -> {
            Bounds b = item.localToScreen(item.getBoundsInLocal());
            robot.mouseMove(b.getCenterX(), b.getCenterY());
            robot.mouseClick(MouseButton.PRIMARY);
          });
      settle();
    }
  }

  /** A menu or menu item of this label, in the window or in a menu that is open. */
  private static Node labelled(String label) {
    List<Window> windows = new ArrayList<>(Window.getWindows());
    for (Window window : windows.reversed()) {
      for (Node node : window.getScene().getRoot().lookupAll(".label")) {
        if (node instanceof Labeled l && label.equals(l.getText()) && isMenu(node)) {
          return node;
        }
      }
    }
    throw new AssertionError("no menu shows " + label);
  }

  private static boolean isMenu(Node node) {
    for (Node n = node; n != null; n = n.getParent()) {
      if (n.getStyleClass().contains("menu-item") || n.getStyleClass().contains("menu-button")) {
        return true;
      }
    }
    return false;
  }

  /** The first node of the view that is seen, or around it; null for none. */
  Node found(String selector) {
    return scene.getRoot().lookupAll(selector).stream()
        .filter(Hands::isInView)
        .findFirst()
        .orElse(null);
  }

  /** The views that are not seen stay in the window. */
  private static boolean isInView(Node node) {
    Node at = node;
    while (at != null && (at.isVisible() || !isView(at))) {
      at = at.getParent();
    }
    return at == null;
  }

  private static boolean isView(Node node) {
    return node.getParent() != null && node.getParent().getStyleClass().contains("sheet");
  }

  Node node(String selector) {
    Node found = ask(() -> found(selector));
    if (found == null) {
      throw new AssertionError("nothing on the screen is " + selector);
    }
    return found;
  }

  /** Puts a text into a field, as pasting does. */
  void paste(String selector, String text) {
    gestures++;
    TextInputControl field = (TextInputControl) node(selector);
    run(() -> field.setText(text));
    settle();
  }

  /** Puts a text into a source editor, as pasting does. */
  void write(String selector, String text) {
    org.fxmisc.richtext.CodeArea area = (org.fxmisc.richtext.CodeArea) node(selector);
    run(
        () -> {
          area.requestFocus();
          area.replaceText(text);
        });
    settle();
  }

  /** Drags a file or a folder onto a part of the window, out of another window. */
  void drop(String selector, Path file) {
    AtomicBoolean over = new AtomicBoolean();
    Stage other =
        ask(
            () -> {
              Label icon = new Label("a file");
              icon.setMinSize(60, 40);
              icon.setOnDragDetected(
                  e -> {
                    ClipboardContent content = new ClipboardContent();
                    content.putFiles(List.of(file.toFile()));
                    icon.startDragAndDrop(TransferMode.COPY).setContent(content);
                    e.consume();
                  });
              icon.setOnDragDone(e -> over.set(true));
              Stage folder = new Stage();
              folder.setScene(new Scene(icon, 60, 40));
              folder.setX(0);
              folder.setY(740);
              folder.show();
              return folder;
            });
    settle();
    Bounds to = bounds(selector);
    run(() -> robot.mouseMove(30, 760));
    run(() -> robot.mousePress(MouseButton.PRIMARY));
    for (int i = 1; i <= 8; i++) {
      double part = i / 8.0;
      run(
          () ->
              robot.mouseMove(
                  30 + (to.getCenterX() - 30) * part, 760 + (to.getCenterY() - 760) * part));
      settle();
    }
    run(() -> robot.mouseRelease(MouseButton.PRIMARY));
    waitUntil("the drop is over", over::get); // until then the next click is still part of it
    run(other::close);
    run(stage::requestFocus);
    settle();
  }

  boolean has(String selector) {
    return ask(() -> found(selector) != null);
  }

  /** Every text that is shown in a part of the window, joined by blanks. */
  String text(String selector) {
    return String.join(" ", texts(selector));
  }

  /** The same, text by text. */
  List<String> texts(String selector) {
    Node node = node(selector);
    return ask(() -> shown(node));
  }

  private static List<String> shown(Node node) {
    List<String> texts = new ArrayList<>();
    if (!node.isVisible()) {
      return texts;
    }
    if (node instanceof TextInputControl field) {
      texts.add(field.getText());
    } else if (node instanceof Labeled labeled
        && labeled.getText() != null
        && !labeled.getText().isEmpty()) {
      texts.add(labeled.getText().replace('\n', ' ')); // lines are broken to fit
    } else if (node instanceof Text text) {
      texts.add(text.getText().replace('\n', ' '));
    }
    if (node instanceof Parent parent && !(node instanceof TextInputControl)) {
      boolean own = node instanceof Labeled;
      for (Node child : parent.getChildrenUnmodifiable()) {
        if (!(own && child instanceof Text)) {
          texts.addAll(shown(child));
        }
      }
    }
    return texts;
  }

  /** The rows of a list that are in view, from the top, each with its texts. */
  List<String> rows(String selector) {
    Node list = node(selector);
    return ask(
        () ->
            list.lookupAll(".list-cell").stream()
                .filter(c -> c.isVisible() && !shown(c).isEmpty())
                .sorted(java.util.Comparator.comparing((Node c) -> c.localToScene(0, 0).getY()))
                .map(c -> String.join(" ", shown(c)))
                .toList());
  }

  Scene scene() {
    return scene;
  }

  /** Makes the window another size. */
  void resize(double width, double height) {
    run(
        () -> {
          stage.setWidth(width);
          stage.setHeight(height);
        });
    settle();
  }

  /** The node that has the keys. */
  Node focus() {
    return ask(scene::getFocusOwner);
  }

  /** Waits until the foot says something with these words. */
  void waitForSaid(String words) {
    waitUntil(words + " is said", () -> session.saidProperty().get().contains(words));
  }

  /** Waits until a part of the window shows a text. */
  void waitForText(String selector, String text) {
    long end = System.currentTimeMillis() + PATIENCE_MILLIS;
    while (!has(selector) || !text(selector).contains(text)) {
      if (System.currentTimeMillis() > end) {
        throw new AssertionError(
            selector + " never showed \"" + text + "\": " + (has(selector) ? text(selector) : ""));
      }
      settle();
    }
  }

  void waitUntil(String what, BooleanSupplier holds) {
    long end = System.currentTimeMillis() + PATIENCE_MILLIS;
    while (!ask(holds::getAsBoolean)) {
      if (System.currentTimeMillis() > end) {
        throw new AssertionError("waited in vain until " + what);
      }
      settle();
    }
  }

  /** The other window whose title begins like this, once it is there. */
  Hands window(String title) {
    waitUntil("there is a window " + title, () -> other(title).isPresent());
    Stage found = ask(() -> other(title).orElseThrow());
    run(
        () -> {
          found.toFront();
          found.requestFocus();
        });
    Hands there = new Hands(found, null, robot, chosen, null);
    there.settle();
    return there;
  }

  private Optional<Stage> other(String title) {
    return Window.getWindows().stream()
        .filter(w -> w instanceof Stage s && s != stage && s.isShowing())
        .map(w -> (Stage) w)
        .filter(s -> String.valueOf(s.getTitle()).startsWith(title))
        .findFirst();
  }

  /** Closes every window but this one, as their corners do, and comes back to it. */
  void onlyThis() {
    run(
        () -> {
          for (Window w : List.copyOf(Window.getWindows())) {
            if (w instanceof Stage s && s != stage) {
              s.fireEvent(
                  new javafx.stage.WindowEvent(s, javafx.stage.WindowEvent.WINDOW_CLOSE_REQUEST));
            }
          }
          stage.requestFocus();
        });
    settle();
  }

  @Override
  public void close() throws java.io.IOException {
    run(
        () -> {
          robot.mouseRelease(MouseButton.PRIMARY); // the next window has the same mouse
          stage.hide();
        });
    if (session != null) {
      session.close();
    }
  }
}
