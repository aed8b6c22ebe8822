package foldtwice.desktop.places;

import foldtwice.desktop.parts.Choices;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Refill;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.library.Edit;
import foldtwice.place.Application;
import foldtwice.place.Place;
import foldtwice.place.Rule;
import foldtwice.trigger.Keysym;
import foldtwice.trigger.Modifier;
import foldtwice.trigger.Modifiers;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** What an application accepts, in words; rules are added and taken away. */
final class RulesPane extends VBox {

  private enum Kind {
    MOST_STROKES,
    HOLDS_ONE_OF,
    ALWAYS_HOLDS,
    NEVER_HOLDS,
    NEVER_KEYS
  }

  private final Session session;
  private final VBox rows = new VBox();
  private final ComboBox<Kind> kind = new ComboBox<>();
  private final TextField what = Skins.on(new TextField());
  private final ComboBox<Place> where = new ComboBox<>();
  private final Label wrong = Parts.wrapped("", "blocks");
  private Application application;

  RulesPane(Session session) {
    super(6);
    this.session = session;
    setId("rules-pane");
    kind.setId("rule-kind");
    kind.getItems().setAll(Kind.values());
    kind.setMaxWidth(Double.MAX_VALUE);
    Parts.prompt(kind, Ui.text("rules.add"));
    Parts.shows(kind, k -> Ui.text("rules." + k));
    Parts.onChosen(kind, this::asked);
    what.setId("rule-what");
    what.setOnAction(e -> add());
    HBox.setHgrow(what, Priority.ALWAYS);
    where.setId("rule-where");
    where.setAccessibleText(Ui.text("rules.where"));
    Parts.shows(where, p -> session.now().words().place(p));
    where.setMaxWidth(Double.MAX_VALUE);
    HBox last = new HBox(8, what, Parts.button("rule-add", Ui.text("rules.take"), this::add));
    VBox row = new VBox(6, where, last);
    row.visibleProperty().bind(kind.valueProperty().isNotNull());
    row.managedProperty().bind(row.visibleProperty());
    wrong.setId("rule-wrong");
    wrong.managedProperty().bind(wrong.textProperty().isNotEmpty());
    getChildren().addAll(rows, kind, row, wrong);
  }

  void show(Snapshot now, Application shown) {
    application = shown;
    if (!where.getItems().equals(shown.places())) { // what is being said stays
      where.getItems().setAll(shown.places());
      where.getSelectionModel().selectFirst();
    }
    Choices.renew(where);
    List<String> says =
        shown.rules().stream().map(r -> now.words().rule(r, new Place.Whole(shown.id()))).toList();
    Refill.by(rows, List.of(shown.id(), shown.rules(), says), () -> fill(shown.rules(), says));
  }

  private void fill(List<Rule> rules, List<String> says) {
    if (Parts.hasKeys(rows)) {
      kind.requestFocus(); // what had the keys is gone now
    }
    rows.getChildren().clear();
    if (rules.isEmpty()) {
      rows.getChildren().add(Parts.wrapped(Ui.text("places.norules"), "soft"));
    }
    for (int i = 0; i < rules.size(); i++) {
      rows.getChildren().add(row(i, rules.get(i), says.get(i)));
    }
  }

  private HBox row(int at, Rule rule, String text) {
    Label says = Parts.wrapped(text);
    HBox.setHgrow(says, Priority.ALWAYS);
    says.setMaxWidth(Double.MAX_VALUE);
    HBox row =
        new HBox(
            8,
            says,
            Parts.button(
                "rule-away-" + at,
                Ui.text("rules.away"),
                () -> {
                  List<Rule> rest = new ArrayList<>(application.rules());
                  rest.remove(rule);
                  put(rest);
                },
                "link"));
    row.getStyleClass().add("why-row");
    return row;
  }

  private void asked() {
    wrong.setText("");
    what.clear();
    if (kind.getValue() != null) {
      Parts.prompt(what, Ui.text("rules.hint." + kind.getValue()));
      what.requestFocus();
    }
  }

  private void add() {
    Optional<Rule> rule = read(kind.getValue(), what.getText().strip());
    if (rule.isEmpty()) {
      wrong.setText(Ui.text("rules.wrong." + kind.getValue(), what.getText().strip()));
      return;
    }
    List<Rule> more = new ArrayList<>(application.rules());
    more.add(
        where.getValue() instanceof Place.Within(var id, String context)
            ? new Rule.In(List.of(context), rule.get())
            : rule.get());
    kind.requestFocus();
    kind.setValue(null);
    what.clear();
    wrong.setText("");
    put(more);
  }

  private static Optional<Rule> read(Kind kind, String text) {
    return switch (kind) {
      case MOST_STROKES ->
          text.matches("[1-6]")
              ? Optional.of(new Rule.MostStrokes(Integer.parseInt(text)))
              : Optional.empty();
      case HOLDS_ONE_OF -> modifiers(text).map(Rule.HoldsOneOf::new);
      case ALWAYS_HOLDS -> modifiers(text).map(Rule.AlwaysHolds::new);
      case NEVER_HOLDS -> modifiers(text).map(Rule.NeverHolds::new);
      case NEVER_KEYS -> {
        List<String> names = Arrays.asList(text.split("[,\\s]+"));
        yield !text.isEmpty() && names.stream().allMatch(n -> Keysym.named(n).isPresent())
            ? Optional.of(new Rule.NeverKeys(names))
            : Optional.empty();
      }
    };
  }

  private static Optional<Modifiers> modifiers(String text) {
    Modifiers all = Modifiers.NONE;
    for (String word : text.split("[,+\\s]+")) {
      Optional<Modifier> found =
          Arrays.stream(Modifier.values())
              .filter(m -> m.word().toLowerCase(Locale.ROOT).equals(word.toLowerCase(Locale.ROOT)))
              .findFirst();
      if (found.isEmpty()) {
        return Optional.empty();
      }
      all = all.with(found.get());
    }
    return Optional.of(all);
  }

  private void put(List<Rule> rules) {
    session.make(
        new Edit.PutApplication(application.withRules(rules)),
        Ui.text("said.changed", application.name()));
  }
}
