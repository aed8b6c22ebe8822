package foldtwice.desktop.conflicts;

import foldtwice.binding.Binding;
import foldtwice.conflict.Audit;
import foldtwice.conflict.Conflict;
import foldtwice.desktop.parts.KeyCaps;
import foldtwice.desktop.parts.Marks;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Refill;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.parts.WhyRows;
import foldtwice.desktop.session.Background.Lane;
import foldtwice.desktop.session.Question;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.library.Acceptance;
import foldtwice.library.Edit;
import foldtwice.remedy.Remedies;
import foldtwice.remedy.Remedy;
import foldtwice.remedy.Way;
import foldtwice.resolve.Claim;
import foldtwice.resolve.Explanation;
import foldtwice.resolve.Owner;
import foldtwice.standin.SimulatedComputer;
import foldtwice.standin.StandIns;
import foldtwice.words.Words;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.beans.binding.Bindings;
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

  private static final int MOST_INVOLVED = 6;

  private final Session session;
  private final Consumer<String> toBinding;
  private final Button sameCause;
  private final Button settleChosen;
  private final Label kind = Parts.label("", "title");
  private final Label sentence = Parts.wrapped("");
  private final HBox head;
  private final FlowPane involved = new FlowPane(8, 4);
  private final FlowPane how = new FlowPane(8, 6);
  private final VBox layers = new VBox(4);
  private final VBox played = new VBox(2);
  private final Button play;
  private final Label remediesHeading = heading("conflicts.remedies");
  private final RemedyRows remedies;
  private final Label looking = Parts.wrapped("", "soft");
  private final TextField reason = Skins.on(new TextField());
  private final Button accept;
  private final VBox accepting;
  private final VBox acceptance = new VBox(4);
  private final VBox body;
  private List<Conflict> chosen = List.of();
  private Map<String, String> links = Map.of();
  private int alike;
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
    HBox remediesHead = new HBox(10, remediesHeading, looking); // nothing moves while it is looked
    how.setAlignment(Pos.CENTER_LEFT);
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
            new VBox(4, how, layers),
            played,
            remediesHead,
            remedies,
            settleChosen,
            acceptance,
            accepting);
    getChildren().addAll(head, sentence, involved, body);
    played.managedProperty().bind(Bindings.isNotEmpty(played.getChildren()));
    acceptance.managedProperty().bind(Bindings.isNotEmpty(acceptance.getChildren()));
  }

  private static Label heading(String key) {
    return Parts.label(Ui.text(key), "heading");
  }

  /** Shows the chosen ones: one in full, of several what settles many of them. */
  void show(Snapshot now, List<Conflict> some) {
    boolean same = some.equals(chosen);
    if (!fingerprints(some).equals(fingerprints(chosen))) {
      reason.clear();
    }
    chosen = some;
    alike = same ? alike : 0;
    setVisible(!some.isEmpty());
    if (some.isEmpty()) {
      return;
    }
    boolean one = some.size() == 1;
    List<Node> ofMany = List.of(remediesHeading.getParent(), remedies, settleChosen, accepting);
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
    }
    Conflict c = some.getFirst();
    if (one) {
      kind.setText(Words.kind(c.kind()));
      Refill.with(
          head,
          c.weight(),
          () ->
              List.of(
                  Marks.of(c.weight()),
                  kind,
                  Parts.label(Words.weight(c.weight()), c.weight().id())));
      sentence.setText(now.words().sentence(c));
      evidence(now, c);
      acceptance(now, c);
    } else {
      kind.setText(Ui.text("conflicts.many", some.size()));
      Refill.with(head, kind, () -> List.of(kind));
      sentence.setText(Ui.text("conflicts.manyhint"));
    }
    links = one ? involved(now, c) : Map.of();
    showInvolved();
    remedies(now, some, same);
  }

  private static List<String> fingerprints(List<Conflict> some) {
    return some.stream().map(Conflict::fingerprint).toList();
  }

  /** The bindings that have to do with it, by id, and what they are called. */
  private static Map<String, String> involved(Snapshot now, Conflict c) {
    Map<String, String> some = new LinkedHashMap<>();
    for (Claim claim : c.claims()) {
      if (some.size() < MOST_INVOLVED && claim.owner() instanceof Owner.Yours(String id)) {
        Binding binding = now.library().bindings().get(id);
        if (binding != null) {
          some.put(id, now.words().binding(binding));
        }
      }
    }
    return some;
  }

  /**
   * Tells how many come from the same trigger as the first that is chosen, with that one; as soon
   * as they are counted.
   */
  void alike(int many) {
    alike = many;
    showInvolved();
  }

  private void showInvolved() {
    boolean more = alike > 1 && chosen.size() < alike;
    if (more) {
      sameCause.setText(Ui.text("conflicts.samecause", alike));
    }
    Refill.with(
        involved,
        List.of(links, more),
        () -> {
          List<Node> all = new ArrayList<>();
          links.forEach(
              (id, says) ->
                  all.add(Parts.button("to-" + id, says, () -> toBinding.accept(id), "link")));
          if (more) {
            all.add(sameCause);
          }
          return all;
        });
  }

  private void evidence(Snapshot now, Conflict c) {
    boolean pressed = !c.evidence().presses().isEmpty();
    boolean canPlay = pressed || c.about().owner() instanceof Owner.Key;
    String in = Ui.text("conflicts.in", now.words().place(c.evidence().state()));
    Refill.with(
        how,
        List.of(canPlay, c.about().trigger(), now.words().trigger(c.about().trigger()), in),
        () ->
            canPlay
                ? List.of(
                    KeyCaps.of(c.about().trigger(), now.words()), Parts.label(in, "soft"), play)
                : List.of(Parts.label(Ui.text("conflicts.nopress"), "soft")));
    if (pressed && now.keymap().states().contains(c.evidence().state())) {
      WhyRows.layers(
          layers,
          Explanation.of(now.keymap(), c.evidence().state(), c.evidence().presses()),
          now.words(),
          now.keymap().layout());
    } else {
      layers.getChildren().clear();
    }
  }

  private void play() {
    Conflict c = chosen.getFirst();
    Snapshot now = session.now();
    SimulatedComputer copy = session.computer().copy();
    playing.anew(() -> new Playing(now.subject(), copy).of(c));
  }

  private void acceptance(Snapshot now, Conflict c) {
    Acceptance a = now.library().accepted().get(c.fingerprint());
    boolean holds = c.isAccepted(now.library());
    Refill.with(
        acceptance, Arrays.asList(a, holds), () -> a == null ? List.of() : accepted(a, holds));
    Parts.there(accepting, !holds);
  }

  private List<Node> accepted(Acceptance a, boolean holds) {
    return List.of(
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
                    new Edit.Accept(a.conflict(), Optional.empty()), Ui.text("said.unaccepted"))));
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
        remedies.clear(); // of the same ones they stay in sight until it is found out
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
      session.needs().copy(session.now().library().applications().get(application));
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
