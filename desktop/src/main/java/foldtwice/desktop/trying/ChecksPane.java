package foldtwice.desktop.trying;

import foldtwice.check.Checked;
import foldtwice.check.Checked.State;
import foldtwice.cli.JUnitXml;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Refill;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.session.Background.Lane;
import foldtwice.desktop.session.Question;
import foldtwice.desktop.session.Saving;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.extras.Extras;
import foldtwice.library.Edit;
import foldtwice.library.Expected;
import foldtwice.library.Ids;
import foldtwice.library.Library;
import foldtwice.library.PressCheck;
import foldtwice.library.file.CheckFile;
import foldtwice.library.file.FormatException;
import foldtwice.place.Place;
import foldtwice.place.Station;
import foldtwice.ready.Setup;
import foldtwice.standin.Checks;
import foldtwice.text.DiskWords;
import foldtwice.trigger.Trigger;
import foldtwice.words.CheckWords;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** The presses that are checked again and again, and how they came out. */
final class ChecksPane extends VBox {

  private final Session session;
  private final Question<Made> making;
  private final Runnable onGone;
  private final VBox rows = new VBox(10);
  private final Label sum = Parts.wrapped("", "strong");
  private final Label old = Parts.wrapped("", "note");
  private final Label wrong = Parts.wrapped("", "blocks");
  private final Button report =
      Parts.button("checks-junit", Ui.text("act.checks-junit.button"), this::save, "link");

  /** By check, how it came out on each station it was made on. */
  private final Map<String, List<Checked>> results = new HashMap<>();

  /** What the results are of, its checks left aside; null before the first. */
  private Library checked;

  private Library shown;
  private Station station;

  /**
   * @param onGone called before what has the keys here is gone
   */
  ChecksPane(Session session, Runnable onGone) {
    super(8);
    this.session = session;
    making = session.background().question(Lane.TRIAL, this::show);
    this.onGone = onGone;
    setId("checks");
    sum.setId("checks-sum");
    old.setId("checks-old");
    wrong.setId("checks-wrong");
    for (Label l : List.of(sum, old, wrong)) {
      l.managedProperty().bind(l.textProperty().isNotEmpty());
    }
    FlowPane buttons =
        new FlowPane(
            6,
            6,
            Parts.button("checks-here", Ui.text("checks.here"), this::makeHere, "main"),
            Parts.button("checks-everywhere", Ui.text("checks.everywhere"), this::makeEverywhere),
            Parts.button("checks-open", Ui.text("checks.open"), this::open, "link"),
            report);
    report.setVisible(false);
    report.managedProperty().bind(report.visibleProperty());
    getChildren().addAll(buttons, sum, old, wrong, rows);
  }

  void show(Snapshot now) {
    shown = now.library();
    station = now.station();
    results.keySet().retainAll(shown.checks().keySet());
    redraw();
  }

  /** Whether what was checked has changed since. */
  private boolean isOld() {
    return checked != null && !checked.equals(shown.withoutChecks());
  }

  private void redraw() {
    old.setText(isOld() ? Ui.text("checks.old") : "");
    List<Said> all =
        shown.checks().values().stream()
            .sorted(Comparator.comparing(c -> !isFailed(c))) // what failed first
            .map(this::said)
            .toList();
    Refill.with(rows, all, () -> rows(all));
  }

  private List<? extends Node> rows(List<Said> all) {
    if (Parts.hasKeys(rows)) {
      onGone.run(); // before they are replaced
    }
    return all.isEmpty()
        ? List.of(Parts.wrapped(Ui.text("checks.none"), "soft"))
        : all.stream().map(this::row).toList();
  }

  /** All that the row of a check says. */
  private record Said(PressCheck check, String title, String what, String where, List<Came> came) {}

  /** How a check came out, with the style it is said in. */
  private record Came(String text, String style) {}

  private Said said(PressCheck check) {
    CheckWords words = words();
    String what =
        Ui.text(
            "checks.what",
            words.presses(check),
            session.now().words().place(check.place()),
            words.expected(check.expected()));
    List<Checked> made = results.getOrDefault(check.id(), List.of());
    boolean isOld = isOld();
    List<Came> came = new ArrayList<>();
    for (Checked c : made) {
      if (c.state() != State.HOLDS) {
        came.add(
            new Came(
                Ui.text("checks.came", words.station(c), words.verdict(c)),
                isOld ? "soft" : c.state() == State.FAILED ? "blocks" : "note"));
      }
    }
    String held =
        made.stream()
            .filter(c -> c.state() == State.HOLDS)
            .map(words::station)
            .collect(Collectors.joining(", "));
    if (!held.isEmpty()) {
      came.add(new Came(Ui.text("checks.held", held), isOld ? "soft" : "good"));
    }
    return new Said(check, words.title(check), what, where(check), came);
  }

  private VBox row(Said said) {
    PressCheck check = said.check();
    TextField name = Skins.on(new TextField(check.name()));
    name.setId("check-" + check.id());
    Parts.prompt(name, said.title());
    name.getStyleClass().add("check-name");
    HBox.setHgrow(name, Priority.ALWAYS);
    Parts.onKept(name, () -> keep(check, check.named(name.getText().strip())));
    HBox head =
        new HBox(
            6,
            name,
            Parts.button(
                "check-gone-" + check.id(), Ui.text("checks.gone"), () -> remove(check), "link"));
    head.setAlignment(Pos.CENTER_LEFT);
    ToggleButton all = Skins.on(new ToggleButton(said.where()));
    all.setId("check-all-" + check.id());
    all.getStyleClass().addAll("chip", "small-chip");
    all.setSelected(check.station().isEmpty());
    all.setDisable(!session.mayWrite());
    all.setOnAction(e -> keep(check, check.on(all.isSelected() ? "" : station.id())));
    VBox row = new VBox(3, head, Parts.wrapped(said.what(), "soft"), all);
    row.getStyleClass().add("check-row");
    said.came().forEach(c -> row.getChildren().add(Parts.wrapped(c.text(), c.style())));
    return row;
  }

  private CheckWords words() {
    return new CheckWords(session.now().words());
  }

  private boolean isFailed(PressCheck check) {
    return results.getOrDefault(check.id(), List.of()).stream()
        .anyMatch(c -> c.state() == State.FAILED);
  }

  private String where(PressCheck check) {
    if (check.station().isEmpty()) {
      return Ui.text("checks.all");
    }
    Station s = shown.stations().get(check.station());
    return Ui.text("checks.only", s == null ? check.station() : s.name());
  }

  private void keep(PressCheck was, PressCheck is) {
    if (!is.equals(was) && was.equals(session.now().library().checks().get(was.id()))) {
      String title = words().title(is);
      session.make(new Edit.PutCheck(is), Ui.text("said.changed", title));
    }
  }

  private void remove(PressCheck check) {
    String title = words().title(check);
    session.make(new Edit.RemoveCheck(check.id()), Ui.text("said.removed", title));
  }

  /** Keeps a press of the station in view and what came of it, and makes the check at once. */
  void add(Place place, Trigger press, Expected came) {
    Snapshot now = session.now();
    PressCheck fresh =
        new PressCheck(
            Ids.next("c", now.library().checks()::containsKey, now.library().checks().size() + 1),
            "",
            now.station().id(),
            place,
            List.of(press),
            came,
            Extras.NONE);
    String title = words().title(fresh);
    session.make(new Edit.PutCheck(fresh), Ui.text("said.checkkept", title));
    make(
        now.library(),
        List.of(fresh),
        () ->
            Checks.on(now.library(), now.station(), now.setup(), session::beside, List.of(fresh)));
  }

  void makeHere() {
    Snapshot now = session.now();
    List<PressCheck> all = List.copyOf(now.library().checks().values());
    make(
        now.library(),
        all,
        () -> Checks.on(now.library(), now.station(), now.setup(), session::beside, all));
  }

  void makeEverywhere() {
    Library library = session.now().library();
    List<PressCheck> all = List.copyOf(library.checks().values());
    Map<String, Setup> setups = session.setups();
    make(library, all, () -> Checks.everywhere(library, setups::get, session::beside, all));
  }

  /** Makes checks off the interface thread. */
  private void make(Library of, List<PressCheck> checks, Supplier<List<Checked>> work) {
    Library bare = of.withoutChecks();
    wrong.setText("");
    sum.setText(Ui.text("checks.making", checks.size()));
    making.anew(() -> new Made(bare, checks, work.get()));
  }

  /** What came of checks, with the library they were made on. */
  boolean hasResults() {
    return results.values().stream().anyMatch(r -> !r.isEmpty());
  }

  /** Writes how the checks came out, for programs that read JUnit's reports. */
  void save() {
    Library of = shown;
    List<Checked> all =
        of.checks().keySet().stream()
            .flatMap(id -> results.getOrDefault(id, List.of()).stream())
            .toList();
    Saving.text(
        session,
        getScene().getWindow(),
        Ui.text("act.checks-junit"),
        "checks.xml",
        () -> JUnitXml.of(of, all));
  }

  private record Made(Library of, List<PressCheck> checks, List<Checked> results) {}

  private void show(Made made) {
    if (made.of().equals(checked)) {
      made.checks().forEach(c -> results.remove(c.id()));
    } else {
      results.clear();
      checked = made.of();
    }
    made.results()
        .forEach(c -> results.computeIfAbsent(c.check().id(), id -> new ArrayList<>()).add(c));
    sum.setText(CheckWords.sum(made.results()));
    report.setVisible(hasResults());
    session.say(sum.getText());
    redraw();
  }

  /** Takes checks that were written by hand or come from elsewhere; all of a file or nothing. */
  private void open() {
    for (Path file : session.files().files(getScene().getWindow(), Ui.text("checks.open"))) {
      try {
        Library library = session.now().library();
        List<Edit> edits = new ArrayList<>();
        Map<String, PressCheck> taken = new HashMap<>(library.checks());
        for (PressCheck c : CheckFile.read(Files.readAllBytes(file))) {
          String id = Ids.next("c", taken::containsKey, taken.size() + 1);
          PressCheck own = c.withId(id);
          taken.put(id, own);
          edits.add(new Edit.PutCheck(own));
        }
        wrong.setText("");
        session.make(new Edit.Together(edits), Ui.text("said.checksopened", edits.size()));
      } catch (FormatException e) {
        wrong.setText(e.in(file.getFileName().toString()).getMessage());
      } catch (IOException e) {
        wrong.setText(Ui.text("checks.unreadable", file, DiskWords.reason(e)));
      }
    }
  }
}
