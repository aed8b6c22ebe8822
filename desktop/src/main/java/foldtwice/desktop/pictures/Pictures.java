package foldtwice.desktop.pictures;

import foldtwice.binding.Binding;
import foldtwice.desktop.atlas.AtlasView;
import foldtwice.desktop.begin.Lately;
import foldtwice.desktop.bind.BindView;
import foldtwice.desktop.collect.CollectView;
import foldtwice.desktop.conflicts.ConflictsView;
import foldtwice.desktop.frame.Frame;
import foldtwice.desktop.frame.Libraries;
import foldtwice.desktop.handover.HandOverView;
import foldtwice.desktop.live.LiveView;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Png;
import foldtwice.desktop.parts.Theme;
import foldtwice.desktop.payback.PaybackView;
import foldtwice.desktop.plan.PlanView;
import foldtwice.desktop.session.Faults;
import foldtwice.desktop.session.LiveState;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Ui;
import foldtwice.desktop.session.WorkingCopy;
import foldtwice.desktop.trying.TryView;
import foldtwice.desktop.view.Target;
import foldtwice.library.Edit;
import foldtwice.library.file.FormatException;
import foldtwice.library.file.LibraryStore;
import foldtwice.live.Live;
import foldtwice.routine.Line;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import foldtwice.run.Status;
import foldtwice.sheet.About;
import foldtwice.sheet.SheetKind;
import foldtwice.trigger.KeyCode;
import foldtwice.trigger.Modifier;
import foldtwice.trigger.Notation;
import foldtwice.trigger.Press;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.event.Event;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.image.WritableImage;
import javafx.scene.input.KeyEvent;
import javafx.stage.Stage;
import javafx.util.Duration;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** Works the real window on a fresh copy of the demo library and writes what it shows. */
public final class Pictures extends Application {

  /**
   * Works the window just the same and writes nothing: the launcher learns from it what to load.
   */
  public static final String REHEARSE = "rehearse";

  private static final Logger LOG = LoggerFactory.getLogger(Pictures.class);

  private final Deque<Runnable> script = new ArrayDeque<>();
  private Path folder;
  private boolean rehearsing;
  private Scene scene;
  private Session session;

  private Stage stage;

  /** The window of another library. */
  private Frame other;

  @Override
  public void start(Stage stage) throws Exception {
    this.stage = stage;
    List<String> arguments = getParameters().getRaw();
    rehearsing = arguments.getFirst().equals(REHEARSE);
    folder =
        arguments.size() > 1
            ? Path.of(arguments.get(1))
            : Path.of(System.getProperty("foldtwice.home", "."), "docs", "screenshots");
    if (!rehearsing) {
      Files.createDirectories(folder);
    }
    Path data = Files.createTempDirectory("foldtwice-pictures");
    session =
        new Session(
            LibraryStore.open(
                WorkingCopy.of(WorkingCopy.demo(), data), "pictures", Clock.systemUTC()));
    Theme.install();
    Theme theme = new Theme();
    Frame frame = new Frame(session, theme, new Faults());
    scene = frame.scene(1280, 800);
    stage.setScene(scene);
    stage.show();
    write(frame);
    next();
  }

  /**
   * The first node of this name that is seen: those of views that are out of view are there too.
   */
  private Node seen(String selector) {
    return scene.getRoot().lookupAll(selector).stream()
        .filter(Parts::isSeen)
        .findFirst()
        .orElse(null);
  }

  private void write(Frame frame) {
    BindView bind = frame.show(BindView.class);
    script.add(() -> frame.to(new Target.Application("tagpress")));
    script.add(() -> frame.to(new Target.Command("tagpress", "proof")));
    script.add(() -> picture("places"));
    collect(frame);
    script.add(() -> frame.show(BindView.class));
    script.add(bind::fire);
    script.add(() -> picture("bind"));
    script.add(() -> bind.choose("b02"));
    script.add(bind::pressKeys);
    script.add(() -> key(javafx.scene.input.KeyCode.P));
    script.add(() -> picture("bind-advice"));
    script.add(() -> key(javafx.scene.input.KeyCode.ESCAPE));
    script.add(() -> key(javafx.scene.input.KeyCode.ESCAPE));
    atlas(frame);
    conflicts(frame);
    script.add(() -> frame.show(PlanView.class).look());
    script.add(this::untilPlanned);
    script.add(() -> picture("plan"));
    script.add(() -> frame.show(PaybackView.class));
    script.add(() -> {});
    script.add(() -> picture("payback"));
    script.add(
        () ->
            frame
                .show(HandOverView.class)
                .choose(new About.Program("tagpress"), SheetKind.POCKET_CARD));
    script.add(() -> untilPrinted("76 lines"));
    script.add(() -> picture("handover"));
    script.add(() -> frame.show(HandOverView.class).putIn(new About.OfFamily("flag-colours")));
    script.add(() -> frame.show(HandOverView.class).putIn(new About.OnDevice("rowan")));
    script.add(() -> {});
    script.add(() -> {});
    script.add(() -> picture("handover-kit"));
    history(frame);
    live(frame);
    script.add(() -> frame.show(TryView.class).go("tagpress"));
    script.add(() -> frame.show(TryView.class).press(Press.of(KeyCode.PERIOD, Modifier.ALT)));
    script.add(() -> frame.show(TryView.class).press(Press.of(KeyCode.KEY_D, Modifier.ALT)));
    script.add(() -> frame.show(TryView.class).press(Press.of(KeyCode.ARROW_DOWN, Modifier.ALT)));
    script.add(() -> frame.show(TryView.class).go("vasculum"));
    script.add(() -> frame.show(TryView.class).press(Press.of(KeyCode.DIGIT_3, Modifier.CTRL)));
    script.add(
        () ->
            frame.show(TryView.class).press(Press.of(KeyCode.KEY_L, Modifier.CTRL, Modifier.ALT)));
    script.add(() -> frame.show(TryView.class).go("tagpress"));
    script.add(() -> frame.show(TryView.class).device("rowan"));
    script.add(() -> press("#pad-r1k2"));
    script.add(() -> press("#dial-upper-right"));
    script.add(() -> picture("try-pad"));
    script.add(() -> frame.show(TryView.class).device(""));
    script.add(() -> frame.show(TryView.class).go("copystand"));
    script.add(() -> frame.show(TryView.class).press(Press.of(KeyCode.ARROW_UP, Modifier.SHIFT)));
    script.add(() -> frame.show(TryView.class).press(Press.of(KeyCode.ARROW_RIGHT, Modifier.CTRL)));
    script.add(() -> frame.show(TryView.class).go("muniment"));
    script.add(
        () ->
            frame.show(TryView.class).press(Press.of(KeyCode.KEY_O, Modifier.CTRL, Modifier.ALT)));
    script.add(() -> frame.show(TryView.class).go("trackway"));
    script.add(() -> session.programs().get("trackway").click("Lower weir", false));
    script.add(() -> frame.show(TryView.class).press(Press.of(KeyCode.KEY_C)));
    script.add(() -> frame.show(TryView.class).press(Press.of(KeyCode.KEY_L)));
    script.add(() -> frame.show(TryView.class).checkEverywhere());
    for (int i = 0; i < 12; i++) {
      script.add(() -> {}); // a computer is made for every check
    }
    script.add(() -> picture("try-checks"));
    script.add(() -> frame.show(TryView.class).showPresses());
    script.add(() -> frame.show(TryView.class).go("copystand"));
    script.add(() -> frame.show(TryView.class).press(Press.of(KeyCode.CONTEXT_MENU)));
    script.add(() -> key(javafx.scene.input.KeyCode.ESCAPE));
    script.add(() -> frame.show(TryView.class).go("tagpress"));
    script.add(() -> frame.show(TryView.class).record());
    script.add(() -> picture("try-record"));
    script.add(this::begin);
    script.add(() -> ((TextField) seen("#begin-name")).setText("Fernhollow Seed House"));
    script.add(() -> typed("'"));
    script.add(() -> picture("begin"));
    script.add(this::seedHouse);
    script.add(() -> {});
    script.add(() -> session.programs().get("siftbook").click("Lot 2", false));
    script.add(() -> fire(Press.of(KeyCode.KEY_D, Modifier.CTRL, Modifier.SHIFT)));
    script.add(() -> session.programs().get("siftbook").click("Lot 4", false));
    script.add(() -> fire(Press.of(KeyCode.BRACKET_RIGHT, Modifier.CTRL)));
    script.add(() -> picture("try-sketch"));
    script.add(Platform::exit);
  }

  /** The sheet on which a library is begun, with a few keys pressed. */
  private void begin() {
    System.setProperty("foldtwice.data", "/home/you/libraries"); // said in the picture
    scene = new Libraries(new Faults(), session.files(), Lately.none()).sheet(stage);
    stage.setScene(scene);
  }

  /** A key types something where keyboards are told apart. */
  private void typed(String text) {
    Event.fireEvent(
        seen("#which-keyboard"),
        new KeyEvent(
            KeyEvent.KEY_TYPED,
            text,
            "",
            javafx.scene.input.KeyCode.UNDEFINED,
            false,
            false,
            false,
            false));
  }

  /** The library of a trade whose programs are only described. */
  private void seedHouse() {
    try {
      Path data = Files.createTempDirectory("foldtwice-pictures");
      Path seeds = WorkingCopy.demo().resolveSibling("seedhouse.json");
      session =
          new Session(
              LibraryStore.open(WorkingCopy.of(seeds, data), "pictures", Clock.systemUTC()));
      other = new Frame(session, new Theme(), new Faults());
      scene = other.scene(1280, 800);
      stage.setScene(scene);
      other.show(TryView.class).go("siftbook");
    } catch (IOException | FormatException e) {
      throw new IllegalStateException("the seed house cannot be opened", e);
    }
  }

  private void fire(Press press) {
    other.show(TryView.class).press(press);
  }

  private void atlas(Frame frame) {
    script.add(() -> frame.show(AtlasView.class).look(Press.of(KeyCode.KEY_L, Modifier.ALT)));
    script.add(() -> {});
    script.add(() -> picture("atlas"));
  }

  private void conflicts(Frame frame) {
    script.add(() -> frame.show(ConflictsView.class));
    script.add(() -> press("#play"));
    for (int i = 0; i < 6; i++) {
      script.add(() -> {}); // remedies are tried in the background
    }
    script.add(() -> picture("conflicts"));
  }

  private void collect(Frame frame) {
    script.add(() -> frame.show(CollectView.class).choose("send-reading-copies"));
    script.add(() -> picture("collect"));
    script.add(() -> frame.show(CollectView.class).choose("inch-shift"));
    script.add(() -> frame.show(CollectView.class).chooseStep("3"));
    script.add(() -> frame.show(CollectView.class).stepOnce());
    for (int i = 0; i < 3; i++) {
      script.add(() -> frame.show(CollectView.class).stepOnce());
    }
    script.add(() -> press("#run-close"));
    script.add(() -> frame.show(CollectView.class).choose("stair-boxes"));
    script.add(this::untilLearnt);
    script.add(() -> frame.show(CollectView.class).choose("daylight"));
    script.add(() -> press("#fold-see"));
    script.add(() -> picture("collect-fold"));
  }

  /** Real programs, where some are running ({@code tools/live-desktop}); else these stay. */
  private void live(Frame frame) {
    script.add(() -> frame.show(LiveView.class));
    script.add(() -> untilLooked(frame));
  }

  private void untilLooked(Frame frame) {
    switch (session.live().state().reach()) {
      case LiveState.Reach.Unknown u -> {
        if (!rehearsing) {
          script.addFirst(() -> untilLooked(frame));
        }
      }
      case LiveState.Reach.Not(String why) -> LOG.info("no pictures of real programs: {}", why);
      case LiveState.Reach.There(List<Live.Running> running) ->
          running.stream()
              .findFirst()
              .ifPresent(r -> List.copyOf(worked(frame, r)).reversed().forEach(script::addFirst));
    }
  }

  /** A text editor is read, and a routine runs in it. */
  private List<Runnable> worked(Frame frame, Live.Running editor) {
    Routine tidy =
        Routine.Macro.of(
            "tidy-note",
            "Tidy the note",
            editor.id(),
            List.of(),
            List.of(
                new Line(new Step.TypeText(new Template("bracken, 2 sheets; lady fern, 5"))),
                choose("Edit", "Select All"),
                choose("Edit", "Convert", "To Title Case")));
    return List.of(
        () -> frame.show(LiveView.class).read(editor),
        () -> untilSays("#live-read-says", "new"),
        () -> picture("live-read"),
        () -> press("#live-take"),
        () -> session.make(new Edit.PutRoutine(tidy), tidy.name()),
        () -> press("#live-listen"),
        () -> untilSays("#live-listening", "caught"),
        () -> session.live().byHand().run(tidy),
        () -> untilRan(),
        () -> {},
        () -> picture("live"),
        () -> press("#live-stop"),
        session::undo,
        session::undo);
  }

  private static Line choose(String... path) {
    return new Line(new Step.Choose(Template.all(List.of(path))));
  }

  private void untilRan() {
    boolean ran = session.live().state().fired().stream().anyMatch(f -> !f.isOn());
    if (!ran) {
      script.addFirst(this::untilRan);
    }
  }

  private void untilSays(String label, String words) {
    if (!(seen(label) instanceof Label says && says.getText().contains(words))) {
      script.addFirst(() -> untilSays(label, words));
    }
  }

  /** A few changes, and the history of them. */
  private void history(Frame frame) {
    script.add(() -> rebind("b01", "Ctrl+Alt+F9"));
    script.add(() -> rebind("b58", "Ctrl+Alt+F8"));
    script.add(() -> rebind("b02", "Ctrl+Alt+F10"));
    script.add(session::undo);
    script.add(() -> frame.show(HandOverView.class).showHistory());
    script.add(() -> frame.showSheet(true));
    script.add(() -> {});
    script.add(() -> picture("history"));
    script.add(() -> frame.showSheet(false));
    script.add(session::undo);
    script.add(session::undo);
  }

  private void rebind(String id, String keys) {
    Binding b = session.now().library().bindings().get(id);
    session.make(
        new Edit.PutBinding(b.withTriggers(List.of(Notation.read(keys)))),
        Ui.text("said.moved", session.now().words().binding(b), keys));
  }

  /** A sheet is made in the background: the picture shows the one that was chosen. */
  private void untilPrinted(String lines) {
    boolean there = seen("#sheet-count") instanceof Label says && says.getText().startsWith(lines);
    if (!there && !rehearsing) {
      script.addFirst(() -> untilPrinted(lines));
    } else {
      script.addFirst(() -> {}); // and drawn
      script.addFirst(() -> {});
    }
  }

  /** A plan is looked for in the background. */
  private void untilPlanned() {
    boolean there = seen("#plan-proof") instanceof Label says && !says.getText().isEmpty();
    if (!there && !rehearsing) {
      script.addFirst(this::untilPlanned);
    }
  }

  /** What a script does is tried in the background: the picture shows what was seen. */
  private void untilLearnt() {
    boolean trying =
        seen("#learnt") instanceof Label says
            && says.getText().equals(Ui.text("facts.seen.trying"));
    if (trying && !rehearsing) {
      script.addFirst(this::untilLearnt);
    }
  }

  /**
   * One thing after the other, each with time to be laid out and for what runs in the background.
   */
  private void next() {
    Runnable step = script.poll();
    if (step != null) {
      Timeline pause =
          new Timeline(new KeyFrame(Duration.millis(rehearsing ? 20 : 250), e -> step(step)));
      pause.play();
    }
  }

  private void step(Runnable step) {
    boolean busy =
        session
            .runs()
            .current()
            .filter(run -> run.status() instanceof Status.Waiting && !rehearsing)
            .isPresent();
    if (busy) {
      script.addFirst(step);
      next();
      return;
    }
    try {
      step.run();
    } catch (RuntimeException e) {
      LOG.error("a step of the pictures failed", e);
      Platform.exit();
      return;
    }
    next();
  }

  /** Presses a button, if it is there by now: a machine may be slow. */
  private void press(String button) {
    if (seen(button) instanceof Button b) {
      b.fire();
    }
  }

  /** A real key event with Ctrl held; Escape without. */
  private void key(javafx.scene.input.KeyCode code) {
    boolean ctrl = code != javafx.scene.input.KeyCode.ESCAPE;
    Event.fireEvent(
        scene.getFocusOwner(),
        new KeyEvent(KeyEvent.KEY_PRESSED, "", "", code, false, ctrl, false, false));
  }

  private void picture(String name) {
    WritableImage shot = scene.snapshot(null);
    if (rehearsing) {
      return;
    }
    Path file = folder.resolve(name + ".png");
    try {
      Files.write(file, Png.of(shot));
    } catch (IOException e) {
      throw new UncheckedIOException(file + " cannot be written", e);
    }
    System.err.println(file);
  }

  @Override
  public void stop() throws IOException {
    session.close();
  }
}
