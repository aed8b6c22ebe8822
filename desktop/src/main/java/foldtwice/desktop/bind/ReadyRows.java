package foldtwice.desktop.bind;

import foldtwice.binding.Binding;
import foldtwice.binding.Proof;
import foldtwice.binding.Readiness;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Styles;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.desktop.view.Target;
import foldtwice.place.Application;
import foldtwice.place.Need;
import foldtwice.place.Place;
import foldtwice.ready.Outlook;
import foldtwice.ready.Wait;
import foldtwice.routine.Routine;
import foldtwice.routine.Whom;
import foldtwice.run.Entry;
import foldtwice.run.Program;
import foldtwice.run.Reply;
import foldtwice.run.Standing;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** How ready a binding is, and each thing that stands in its way with what to do about it. */
final class ReadyRows extends VBox {

  private static final DateTimeFormatter WHEN =
      DateTimeFormatter.ofPattern("yyyy-MM-dd HH:mm").withZone(ZoneId.systemDefault());

  /**
   * Where to go and what to do.
   *
   * @param go goes somewhere
   * @param press asks for keys
   * @param on switches the chosen bindings on
   */
  record Ways(Consumer<Target> go, Runnable press, Runnable on) {}

  private final Session session;
  private final Ways ways;
  private final Runnable keysBack;
  private final Runnable standsOtherwise;
  private final Label readiness = Parts.wrapped("");
  private final VBox rows = new VBox(2);

  /**
   * @param keysBack puts the keys where they are of use, when what had them is gone
   * @param standsOtherwise is called when a program was brought to stand otherwise
   */
  ReadyRows(Session session, Ways ways, Runnable keysBack, Runnable standsOtherwise) {
    super(3);
    this.session = session;
    this.ways = ways;
    this.keysBack = keysBack;
    this.standsOtherwise = standsOtherwise;
    readiness.setId("readiness");
    rows.setId("waits");
    getChildren().addAll(readiness, rows);
  }

  /**
   * Shows how ready a binding is.
   *
   * @param cannot the key of the text that says why it cannot be fired here
   */
  void show(Snapshot now, Binding b, Optional<String> cannot) {
    Outlook outlook = now.outlook(b);
    readiness.setText(stage(now, b, outlook));
    boolean proven = outlook.stage() == Readiness.PROVEN;
    Styles.set(readiness, "costs", outlook.next().isPresent());
    Styles.set(readiness, "good", outlook.next().isEmpty() && proven);
    if (Parts.hasKeys(rows)) {
      keysBack.run();
    }
    rows.getChildren().clear();
    cannot.ifPresent(this::cannot);
    if (!session.live().takenOf(b).isEmpty()) {
      rows.getChildren().add(Parts.wrapped(Ui.text("readiness.taken"), "costs"));
    }
    if (outlook.next().isPresent()) {
      outlook.items().forEach(i -> rows.getChildren().add(item(now, b, outlook, i)));
    }
    now.library().routineOf(b).ifPresent(r -> standing(now, r));
  }

  private static String stage(Snapshot now, Binding b, Outlook outlook) {
    Proof proof = now.library().proofs().get(b.id());
    return outlook.stage() == Readiness.PROVEN
        ? Ui.text("happens.proven", WHEN.format(proof.at()))
        : outlook
            .next()
            .filter(w -> outlook.stage() == Readiness.WAITING)
            .map(w -> Ui.text("readiness.waiting", now.words().wait(w)))
            .orElseGet(() -> Ui.text("readiness." + outlook.stage()));
  }

  private void cannot(String why) {
    switch (why) {
      case "happens.off" -> row(why, Ui.text(why), "standing.on", ways.on());
      case "happens.notrigger", "happens.untypeable" ->
          row(why, Ui.text(why), "standing.press", ways.press());
      default -> {} // said where it would be seen
    }
  }

  private static Optional<Application> known(Snapshot now, Routine r) {
    return Optional.ofNullable(now.library().applications().get(r.application()));
  }

  /** What stands in the way of the routine, in the program as it is. */
  private void standing(Snapshot now, Routine r) {
    Program program = session.programs().get(r.application());
    if (program == null) {
      return;
    }
    for (Standing s : Entry.standing(r, program, known(now, r))) {
      switch (s) {
        case Standing.Off off ->
            row("off", Ui.text("standing.off", r.name()), "standing.routine", () -> to(r));
        case Standing.Unseen unseen ->
            row("unseen", Ui.text("standing.unseen", r.name()), "standing.look", () -> to(r));
        case Standing.Lacks lacks -> {} // one of the items above
        case Standing.Dialog(String title, var open) ->
            row(
                "dialog",
                Ui.text("standing.dialog", title),
                "standing.open",
                () -> done(Entry.prepare(r, program, known(now, r))));
        case Standing.Context(List<String> contexts, String here) ->
            row(
                "context",
                Ui.text("standing.context", names(now, program, contexts)),
                "standing.enter",
                () -> done(Entry.prepare(r, program, known(now, r))));
      }
    }
    if (now.readings().of(r).needsSelection() && !program.somethingSelected()) {
      row(
          "selection",
          Ui.text("standing.selection"),
          "standing.select",
          () ->
              done(
                  program.select(Whom.Group.ALL, false) instanceof Reply.Refused no
                      ? Optional.of(no)
                      : Optional.empty()));
    }
  }

  private void to(Routine r) {
    ways.go().accept(new Target.Routine(r.id()));
  }

  private static String names(Snapshot now, Program program, List<String> contexts) {
    return contexts.stream()
        .map(c -> now.words().place(new Place.Within(program.application(), c)))
        .collect(Collectors.joining(", "));
  }

  private void done(Optional<Reply.Refused> refused) {
    refused.ifPresent(r -> session.say(Ui.text("standing.refused", r.expected(), r.found())));
    standsOtherwise.run();
  }

  private void row(String id, String says, String way, Runnable action) {
    rows.getChildren()
        .add(
            row(
                Parts.wrapped(Ui.text("wait.open", says), "label"),
                Parts.button("stand-" + id.replace("happens.", ""), Ui.text(way), action, "link")));
  }

  private static HBox row(Label says, javafx.scene.Node... more) {
    HBox.setHgrow(says, Priority.ALWAYS);
    HBox row = new HBox(8, says);
    row.getChildren().addAll(more);
    row.setAlignment(Pos.CENTER_LEFT);
    return row;
  }

  private HBox item(Snapshot now, Binding b, Outlook outlook, Outlook.Item item) {
    Label says =
        Parts.wrapped(
            Ui.text(item.done() ? "wait.done" : "wait.open", now.words().wait(item.what())),
            item.done() ? "good" : "label");
    HBox row = row(says);
    boolean next = outlook.next().equals(Optional.of(item.what()));
    Optional<Application> of = b.place().applicationId().map(now.library().applications()::get);
    switch (item.what()) {
      case Wait.For(Need need) when next && of.isPresent() && isSimulated(of.get()) ->
          row.getChildren()
              .add(
                  Parts.button(
                      "meet-" + need.name().toLowerCase(Locale.ROOT),
                      Ui.text("meet." + need),
                      () -> session.needs().meet(need, of.get(), b)));
      case Wait.For f -> {}
      case Wait.Lacks l -> leads(row, "lacks", station(now));
      case Wait.Device(String id) -> leads(row, "device", station(now));
      case Wait.Dangles d ->
          row.getChildren()
              .add(Parts.button("stand-dangles", Ui.text("standing.press"), ways.press(), "link"));
      case Wait.Slot s when of.isPresent() ->
          leads(row, "slot", new Target.Application(of.get().id()));
      case Wait.Slot s -> {}
    }
    return row;
  }

  private static Target station(Snapshot now) {
    return new Target.Station(now.station().id());
  }

  private boolean isSimulated(Application a) {
    return session.programs().containsKey(a.id());
  }

  private void leads(HBox row, String id, Target to) {
    row.getChildren()
        .add(
            Parts.button(
                "stand-" + id,
                Ui.text("standing." + (to instanceof Target.Station ? "station" : "program")),
                () -> ways.go().accept(to),
                "link"));
  }
}
