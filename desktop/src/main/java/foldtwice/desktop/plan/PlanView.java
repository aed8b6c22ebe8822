package foldtwice.desktop.plan;

import foldtwice.conflict.Subject;
import foldtwice.desktop.parts.Choices;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.session.Background.Lane;
import foldtwice.desktop.session.Question;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.desktop.view.Act;
import foldtwice.desktop.view.Acts;
import foldtwice.desktop.view.Going;
import foldtwice.desktop.view.Target;
import foldtwice.desktop.view.View;
import foldtwice.library.Bound;
import foldtwice.library.Library;
import foldtwice.plan.Plan;
import foldtwice.plan.PlanShelf;
import foldtwice.plan.Planning;
import foldtwice.plan.Watcher;
import foldtwice.ready.Setup;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Spinner;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** A better assignment: looked for beside the work, held against today, taken line by line. */
public final class PlanView extends BorderPane implements View {

  public static final List<Act<PlanView>> ACTS =
      List.of(
          new Act<>("plan-look", v -> !v.looking.isUnderWay() && v.hasAny(), PlanView::look),
          new Act<>("plan-stop", v -> v.looking.isUnderWay(), PlanView::stop),
          new Act<>("plan-take", v -> v.canTake(), PlanView::takeChosen),
          new Act<>(
              "plan-take-all",
              v -> !v.left().isEmpty() && v.session.mayWrite(),
              v -> v.take(v.left())),
          new Act<>(
              "plan-lock",
              v -> v.lines.first().filter(PlanView::canLock).isPresent(),
              v -> v.lines.first().ifPresent(v::lock)),
          new Act<>(
              "plan-not",
              v -> v.lines.first().filter(Plan.Line::moves).isPresent() && !v.looking.isUnderWay(),
              v -> v.lines.first().ifPresent(v::refuse)),
          new Act<>(
              "plan-all-again",
              v -> !v.kept.refused().isEmpty() && !v.looking.isUnderWay(),
              PlanView::refuseNothing),
          new Act<>("plan-binding", v -> v.lines.first().isPresent(), PlanView::goToBinding));

  private static final double SECONDS = 10;
  private static final String EVERY = "";

  private final Session session;
  private final Going going;
  private final Acts<PlanView> acts = new Acts<>(this, ACTS);
  private final ComboBox<String> application = new ComboBox<>();
  private final Spinner<Integer> moves = new Spinner<>(0, 500, 8);
  private final CheckBox allStations = Skins.on(new CheckBox(Ui.text("plan.allstations")));
  private final CheckBox displacing = Skins.on(new CheckBox(Ui.text("plan.displacing")));
  private final Gauge gauge = new Gauge();
  private final Lines lines;
  private final Reach today = new Reach(Ui.text("plan.keystoday"), "plan-keys-today");
  private final Reach then = new Reach(Ui.text("plan.keysthen"), "plan-keys-then");
  private final Button stop;
  private final Button look;
  private final Question<PlanShelf.Kept> looking;
  private final KeptPlans kept;
  private Optional<PlanShelf.Kept> made = Optional.empty();
  private double costToday;

  /** A view of the session's library. */
  public PlanView(Session session, Going going) {
    this.session = session;
    this.going = going;
    lines = new Lines(() -> this.refresh(), l -> take(List.of(l)), this::lock, this::refuse);
    looking = session.background().question(Lane.PLAN, this::found, this::failed);
    kept = new KeptPlans(session, this::goOn);
    application.setId("plan-application");
    application.setAccessibleText(Ui.text("plan.of"));
    Parts.shows(
        application,
        a ->
            a == null || a.equals(EVERY)
                ? Ui.text("plan.every")
                : session.now().words().application(a));
    Parts.onChosen(application, this::goOn);
    moves.setId("plan-moves");
    moves.setEditable(true);
    moves.setPrefWidth(80);
    moves.setAccessibleText(Ui.text("plan.moves"));
    moves.getEditor().setAccessibleText(Ui.text("plan.moves"));
    allStations.setId("plan-stations");
    allStations.setSelected(true);
    displacing.setId("plan-displacing");
    stop = acts.button("plan-stop");
    look = acts.button("plan-look");
    for (Button b : List.of(stop, look)) {
      b.managedProperty().bind(b.visibleProperty());
    }
    HBox top = new HBox(8);
    top.setAlignment(Pos.CENTER_LEFT);
    top.getStyleClass().add("view-top");
    top.getChildren()
        .addAll(
            application,
            Parts.label(Ui.text("plan.moves.before"), "soft"),
            moves,
            allStations,
            displacing,
            Parts.gap(),
            stop,
            look,
            acts.button("plan-take"),
            acts.button("plan-take-all", "main"));
    setTop(top);
    HBox keyboards = new HBox(14, today, then);
    for (Reach r : List.of(today, then)) {
      HBox.setHgrow(r, Priority.ALWAYS);
      r.setPrefWidth(100);
    }
    keyboards.setPrefHeight(216);
    keyboards.setMinHeight(130);
    VBox.setVgrow(lines, Priority.ALWAYS);
    VBox whole = new VBox(12, gauge, lines, keyboards);
    whole.getStyleClass().add("payback-grid-pane");
    setCenter(whole);
  }

  private boolean hasAny() {
    return !session.now().library().bindings().isEmpty();
  }

  private void refresh() {
    acts.refresh();
    boolean underWay = looking != null && looking.isUnderWay();
    boolean had = stop.isFocused() || look.isFocused();
    stop.setVisible(underWay);
    look.setVisible(!underWay);
    if (had) {
      (underWay ? stop : look).requestFocus(); // one takes the place of the other
    }
  }

  private void failed(String why) {
    gauge.nothing(why);
    refresh();
  }

  /** Looks for a better assignment, beside the work. */
  public void look() {
    Snapshot now = session.now();
    Map<String, Setup> setups = session.setups();
    boolean everywhere = allStations.isSelected();
    Planning.Wanted wanted =
        new Planning.Wanted(
            chosen(),
            moves.getValue(),
            SECONDS,
            displacing.isSelected(),
            kept.locked(),
            kept.refused());
    gauge.nothing(Ui.text("plan.looking"));
    costToday = Double.NaN;
    looking.anew(
        asked ->
            PlanShelf.Kept.made(
                wanted,
                everywhere,
                now.station().id(),
                now.library(),
                Planning.of(subjects(now, everywhere, setups), wanted, watcher(asked))));
    refresh();
  }

  /** The program that is chosen; nothing for all. */
  private Optional<String> chosen() {
    return Optional.ofNullable(application.getValue()).filter(a -> !a.equals(EVERY));
  }

  private void found(PlanShelf.Kept plan) {
    kept.keep(plan);
    if (plan.application().equals(chosen())) {
      show(plan);
    } else {
      goOn(); // another program was chosen meanwhile
    }
  }

  /** Shows what was planned last for what is chosen. */
  private void goOn() {
    if (looking.isUnderWay()) {
      return;
    }
    Optional<PlanShelf.Kept> last = kept.of(chosen());
    made = last;
    if (last.isPresent()) {
      moves.getValueFactory().setValue(last.get().moves());
      allStations.setSelected(last.get().everywhere());
      displacing.setSelected(last.get().displacing());
      show(last.get());
    } else {
      showNothing(Ui.text("plan.begin"));
    }
  }

  private void showNothing(String why) {
    gauge.nothing(why);
    Snapshot now = session.now();
    lines.show(Plan.NOTHING, now.library(), now.words(), Set.of(), false);
    keyboards(Plan.NOTHING);
    refresh();
  }

  private void keyboards(Plan plan) {
    Snapshot now = session.now();
    today.show(plan, now.library(), now.keymap(), false);
    then.show(plan, now.library(), now.keymap(), true);
  }

  /** The stations on which every trigger has to work; costs compiling the others. */
  private static List<Subject> subjects(
      Snapshot now, boolean everywhere, Map<String, Setup> setups) {
    List<Subject> all = new ArrayList<>(List.of(now.subject()));
    if (everywhere) {
      now.library().stations().values().stream()
          .filter(s -> !s.id().equals(now.station().id()))
          .forEach(s -> all.add(Session.subject(now.library(), s, setups.get(s.id()))));
    }
    return all;
  }

  private Watcher watcher(Question.Asked asked) {
    return new Watcher() {
      @Override
      public boolean isWanted() {
        return asked.isWanted();
      }

      @Override
      public void best(double cost, double bound) {
        asked.tell(
            () -> {
              if (Double.isNaN(costToday)) {
                costToday = cost; // the first there is is today's, or close to it
              }
              gauge.soFar(cost, bound, Math.max(costToday, cost));
            });
      }
    };
  }

  private void stop() {
    looking.drop();
    gauge.nothing(Ui.text("plan.stopped"));
    made.ifPresent(this::show);
    refresh();
  }

  private void show(PlanShelf.Kept plan) {
    made = Optional.of(plan);
    Plan found = plan.plan();
    Library library = session.now().library();
    gauge.show(found, !plan.holds(library, session.now().station().id()));
    lines.show(found, library, session.now().words(), taken(found, library), session.mayWrite());
    keyboards(found);
    refresh();
  }

  private static Set<String> taken(Plan plan, Library library) {
    Set<String> all = new HashSet<>();
    for (Plan.Line l : plan.moved()) {
      var b = library.bindings().get(l.binding());
      if (b != null && b.triggers().contains(l.proposed())) {
        all.add(l.binding());
      }
    }
    return all;
  }

  /** The lines that move and are not taken yet. */
  private List<Plan.Line> left() {
    return made.map(PlanShelf.Kept::plan)
        .map(
            m -> {
              Set<String> done = taken(m, session.now().library());
              return m.moved().stream().filter(l -> !done.contains(l.binding())).toList();
            })
        .orElse(List.of());
  }

  private boolean canTake() {
    List<Plan.Line> left = left();
    return session.mayWrite() && lines.chosen().stream().anyMatch(left::contains);
  }

  private void takeChosen() {
    List<Plan.Line> left = left();
    take(lines.chosen().stream().filter(left::contains).toList());
  }

  /** Takes lines, and those that have to go with them, as one edit. */
  private void take(List<Plan.Line> some) {
    if (made.isEmpty() || some.isEmpty()) {
      return;
    }
    Plan plan = made.get().plan();
    Set<String> ids = new LinkedHashSet<>();
    some.forEach(l -> ids.addAll(plan.with(l.binding())));
    ids.removeAll(taken(plan, session.now().library()));
    session.make(
        plan.take(session.now().library(), ids),
        Ui.text("said.plantaken", ids.size(), ids.size() - some.size()));
    lines.takeKeys();
  }

  private static boolean canLock(Plan.Line l) {
    return switch (l.fate()) {
      case MOVES, STAYS, LESS_TO_GAIN, LOCKED -> true;
      case IN_FAMILY, POINTS, OTHER_KIND -> false;
    };
  }

  private void lock(Plan.Line l) {
    boolean on = kept.lock(l.binding());
    session.say(
        Ui.text(
            on ? "said.locked" : "said.unlocked",
            session.now().words().binding(session.now().library().bindings().get(l.binding()))));
    look();
  }

  /** Not this trigger: looks again from there. */
  private void refuse(Plan.Line l) {
    kept.refuse(l);
    session.say(Ui.text("said.notthis", session.now().words().trigger(l.proposed())));
    look();
  }

  private void refuseNothing() {
    kept.refuseNothing();
    session.say(Ui.text("said.refusenothing"));
    look();
  }

  private void goToBinding() {
    lines.first().ifPresent(l -> going.to(new Target.Binding(l.binding())));
  }

  @Override
  public Node node() {
    return this;
  }

  @Override
  public void show(Snapshot now) {
    List<String> all = new ArrayList<>();
    now.library().applications().keySet().stream()
        .filter(Bound.inEach(now.library())::containsKey)
        .forEach(all::add);
    all.add(EVERY);
    if (!all.equals(application.getItems())) {
      String was = application.getValue();
      application.getItems().setAll(all);
      application.setValue(was != null && all.contains(was) ? was : mostUsed(now, all));
      goOn();
    }
    Choices.renew(application);
    if (made.isPresent()) {
      show(made.get());
    } else {
      keyboards(Plan.NOTHING); // another station has others
    }
    refresh();
  }

  /** The program whose bindings are used most: there is most to gain. */
  private static String mostUsed(Snapshot now, List<String> all) {
    Map<String, Double> uses = new HashMap<>();
    now.library()
        .bindings()
        .values()
        .forEach(
            b ->
                b.place()
                    .applicationId()
                    .ifPresent(a -> uses.merge(a, b.usesPerWeek(), Double::sum)));
    return all.stream()
        .max(Comparator.comparingDouble(a -> uses.getOrDefault(a, -1.0)))
        .orElse(EVERY);
  }

  @Override
  public void takeKeys() {
    if (made.isPresent()) {
      lines.takeKeys();
    } else {
      application.requestFocus();
    }
  }

  @Override
  public Target here() {
    return new Target.Sheet("plan");
  }
}
