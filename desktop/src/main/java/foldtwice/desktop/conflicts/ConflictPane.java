package foldtwice.desktop.conflicts;

import foldtwice.conflict.Audit;
import foldtwice.conflict.Conflict;
import foldtwice.desktop.parts.KeyCaps;
import foldtwice.desktop.parts.Marks;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.parts.WhyRows;
import foldtwice.desktop.session.Background.Lane;
import foldtwice.desktop.session.Question;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.library.Acceptance;
import foldtwice.remedy.Remedies;
import foldtwice.remedy.Remedy;
import foldtwice.remedy.Way;
import foldtwice.resolve.Explanation;
import foldtwice.resolve.Owner;
import foldtwice.standin.SimulatedComputer;
import foldtwice.standin.StandIns;
import foldtwice.words.Words;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** The chosen conflict: what it is, how to see it, what can be done, or why it may stay. */
final class ConflictPane extends VBox {

  private static final DateTimeFormatter DAY =
      DateTimeFormatter.ofPattern("d MMMM uuuu").withZone(ZoneId.systemDefault());

  private final Session session;
  private final Consumer<String> toBinding;
  private final Button sameCause;
  private final Button settleChosen;
  private final Label kind = Parts.label("", "title");
  private final Label sentence = Parts.wrapped("");
  private final HBox head;
  private final FlowPane involved = new FlowPane(8, 4);
  private final VBox evidence = new VBox(4);
  private final VBox played = new VBox(2);
  private final Button play;
  private final Label remediesHeading = heading("conflicts.remedies");
  private final RemedyRows remedies;
  private final Label looking = Parts.label("", "soft");
  private final TextField reason = Skins.on(new TextField());
  private final Button accept;
  private final VBox accepting;
  private final VBox acceptance = new VBox(4);
  private final VBox body;
  private List<Conflict> chosen = List.of();
  private final Question<List<Playing.Line>> playing;
  private final Question<List<Remedy>> seeking;

  /**
   * Empty.
   *
   * @param toBinding goes to a binding
   * @param sameCause chooses all that come from the same trigger
   * @param settleChosen looks how those that are chosen can be settled together
   */
  ConflictPane(Session session, Consumer<String> toBinding, Button sameCause, Button settleChosen) {
    super(10);
    this.session = session;
    this.toBinding = toBinding;
    this.sameCause = sameCause;
    this.settleChosen = settleChosen;
    playing = session.background().question(Lane.TRIAL, this::showPlayed);
    seeking = session.background().question(Lane.TRIAL, this::showRemedies, looking::setText);
    setId("conflict");
    getStyleClass().add("collect-middle");
    sentence.setId("conflict-sentence");
    head = new HBox(10, kind);
    head.setAlignment(Pos.CENTER_LEFT);
    play = Parts.button("play", Ui.text("conflicts.play"), this::play);
    played.setId("played");
    remedies = new RemedyRows(this::take);
    looking.setId("looking");
    reason.setId("accept-reason");
    Parts.prompt(reason, Ui.text("conflicts.reason"));
    HBox.setHgrow(reason, Priority.ALWAYS);
    accept = Parts.button("accept", Ui.text("conflicts.accept"), this::accept);
    accept.disableProperty().bind(reason.textProperty().isEmpty());
    reason.setOnAction(e -> accept());
    accepting = new VBox(6, heading("conflicts.live"), new HBox(8, reason, accept));
    acceptance.setId("acceptance");
    body =
        new VBox(
            10,
            heading("conflicts.evidence"),
            evidence,
            played,
            remediesHeading,
            looking,
            remedies,
            settleChosen,
            acceptance,
            accepting);
    getChildren().addAll(head, sentence, involved, body);
    looking.managedProperty().bind(looking.textProperty().isNotEmpty());
    played.managedProperty().bind(javafx.beans.binding.Bindings.isNotEmpty(played.getChildren()));
    acceptance
        .managedProperty()
        .bind(javafx.beans.binding.Bindings.isNotEmpty(acceptance.getChildren()));
  }

  private static Label heading(String key) {
    return Parts.label(Ui.text(key), "heading");
  }

  /**
   * Shows the chosen ones: one in full, of several what settles many of them.
   *
   * @param alike how many come from the same trigger as the first, with that one
   */
  void show(Snapshot now, List<Conflict> some, int alike) {
    boolean same = some.equals(chosen);
    chosen = some;
    setVisible(!some.isEmpty());
    if (some.isEmpty()) {
      return;
    }
    boolean one = some.size() == 1;
    List<Node> ofMany = List.of(remediesHeading, looking, remedies, settleChosen, accepting);
    for (Node n : body.getChildren()) {
      boolean shown = n == settleChosen ? !one : one || ofMany.contains(n);
      n.setVisible(shown);
      if (!n.managedProperty().isBound()) {
        n.setManaged(shown);
      }
    }
    if (!same) {
      playing.drop();
      played.getChildren().clear();
      reason.clear();
    }
    Conflict c = some.getFirst();
    involved.getChildren().clear();
    if (one) {
      kind.setText(Words.kind(c.kind()));
      Label weight = Parts.label(Words.weight(c.weight()), c.weight().id());
      head.getChildren().setAll(Marks.of(c.weight()), kind, weight);
      sentence.setText(now.words().sentence(c));
      involved(now, c);
      evidence(now, c);
      acceptance(now, c);
    } else {
      kind.setText(Ui.text("conflicts.many", some.size()));
      head.getChildren().setAll(kind);
      sentence.setText(Ui.text("conflicts.manyhint"));
    }
    if (alike > 1 && some.size() < alike) {
      sameCause.setText(Ui.text("conflicts.samecause", alike));
      involved.getChildren().add(sameCause);
    }
    remedies(now, some, same);
  }

  /** The bindings that have to do with it, each a way to go there. */
  private void involved(Snapshot now, Conflict c) {
    c.claims().stream()
        .filter(claim -> claim.owner() instanceof Owner.Yours)
        .map(claim -> ((Owner.Yours) claim.owner()).binding())
        .filter(now.library().bindings()::containsKey)
        .distinct()
        .limit(6)
        .forEach(
            id ->
                involved
                    .getChildren()
                    .add(
                        Parts.button(
                            "to-" + id,
                            now.words().binding(now.library().bindings().get(id)),
                            () -> toBinding.accept(id),
                            "link")));
  }

  private void evidence(Snapshot now, Conflict c) {
    evidence.getChildren().clear();
    boolean canPlay = !c.evidence().presses().isEmpty() || c.about().owner() instanceof Owner.Key;
    FlowPane how = new FlowPane(8, 6);
    how.setAlignment(Pos.CENTER_LEFT);
    if (!canPlay) {
      how.getChildren().add(Parts.label(Ui.text("conflicts.nopress"), "soft"));
    } else {
      how.getChildren()
          .addAll(
              KeyCaps.of(c.about().trigger(), now.words()),
              Parts.label(Ui.text("conflicts.in", now.words().place(c.evidence().state())), "soft"),
              play);
    }
    evidence.getChildren().add(how);
    if (canPlay
        && !c.evidence().presses().isEmpty()
        && now.keymap().states().contains(c.evidence().state())) {
      evidence
          .getChildren()
          .addAll(
              WhyRows.layers(
                  Explanation.of(now.keymap(), c.evidence().state(), c.evidence().presses()),
                  now.words(),
                  now.keymap().layout()));
    }
  }

  private void play() {
    Conflict c = chosen.getFirst();
    Snapshot now = session.now();
    SimulatedComputer copy = session.computer().copy();
    playing.anew(() -> new Playing(now.subject(), copy).of(c));
  }

  private void acceptance(Snapshot now, Conflict c) {
    acceptance.getChildren().clear();
    Acceptance a = now.library().accepted().get(c.fingerprint());
    boolean holds = c.isAccepted(now.library());
    if (a != null) {
      acceptance
          .getChildren()
          .addAll(
              heading(holds ? "conflicts.isaccepted" : "conflicts.cameback"),
              Parts.wrapped(
                  Ui.text(
                      a.who().isEmpty() ? "conflicts.because" : "conflicts.becausewho",
                      a.reason(),
                      DAY.format(a.at()),
                      a.who())),
              Parts.button(
                  "unaccept",
                  Ui.text("conflicts.unaccept"),
                  () ->
                      session.make(
                          new foldtwice.library.Edit.Accept(
                              c.fingerprint(), java.util.Optional.empty()),
                          Ui.text("said.unaccepted"))));
    }
    accepting.setVisible(!holds);
    accepting.setManaged(!holds);
  }

  /** Computed off the interface thread; shown when it is still asked for. */
  private void remedies(Snapshot now, List<Conflict> some, boolean same) {
    Supplier<Audit> audit = session.audit(now.subject());
    if (seeking.ask(
        List.of(some, new Question.Same(now.subject().library())),
        () -> {
          Remedies all = new Remedies(audit.get(), StandIns::around);
          return some.size() == 1 ? all.of(some.getFirst()) : all.together(some);
        })) {
      looking.setText(Ui.text("remedies.looking"));
      if (!same) {
        remedies.getChildren().clear(); // of the same ones they stay in sight until it is found out
      }
    }
  }

  private void showPlayed(List<Playing.Line> lines) {
    played.getChildren().setAll(Parts.label(Ui.text("conflicts.played"), "soft"));
    lines.forEach(l -> played.getChildren().add(Parts.wrapped(l.says(), l.style())));
  }

  private void showRemedies(List<Remedy> found) {
    looking.setText("");
    remedies.show(found, chosen.size(), session.now(), session.mayWrite());
  }

  private void take(Remedy remedy) {
    if (seeking.isUnderWay()) {
      session.say(Ui.text("remedies.anew"));
      return; // it was found for a library that is another by now
    }
    String says = session.now().words().way(remedy.way());
    if (remedy.way() instanceof Way.Copy(String application)) {
      session.copy(session.now().library().applications().get(application));
    } else {
      session.make(remedy.edit(), Ui.text("said.took", says));
    }
  }

  private void accept() {
    if (!reason.getText().isBlank() && !chosen.isEmpty()) {
      session.accept(chosen, reason.getText().strip());
    }
  }
}
