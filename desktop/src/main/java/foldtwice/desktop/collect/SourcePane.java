package foldtwice.desktop.collect;

import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.session.Background.Lane;
import foldtwice.desktop.session.Question;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Ui;
import foldtwice.known.Facts;
import foldtwice.known.Known;
import foldtwice.library.Edit;
import foldtwice.outline.StepParts;
import foldtwice.reading.SourceChecker;
import foldtwice.reading.SourceMark;
import foldtwice.routine.Parameter;
import foldtwice.routine.Routine;
import foldtwice.routine.Template;
import foldtwice.routine.Value;
import foldtwice.run.Trace;
import foldtwice.source.Source;
import foldtwice.sql.SqlText;
import foldtwice.standin.muniment.Muniment;
import foldtwice.writing.SourceOffers;
import foldtwice.writing.SourceOffers.Offer;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.control.ComboBox;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** What a routine without steps does: its source, its command text, or its add-on's action. */
final class SourcePane extends VBox {

  private final Session session;
  private final Question<Everywhere> everywhere;
  private final Question<List<SourceMark>> checks;
  private final SourceEditor editor = new SourceEditor(this::changed, this::offers);
  private final VBox says = new VBox(6);
  private Routine routine;
  private final ComboBox<Routine.Stored.Language> language = new ComboBox<>();
  private final HBox languageRow;
  private boolean filling;
  private Optional<Trace.Broke> broken = Optional.empty();
  private List<SourceMark> marks = List.of();

  SourcePane(Session session) {
    this.session = session;
    everywhere = session.background().question(Lane.TRIAL, this::show);
    checks = session.background().question(Lane.TRIAL, this::checked);
    setId("source-pane");
    setSpacing(8);
    says.setId("source-says");
    language.setId("stored-language");
    language.getItems().setAll(Routine.Stored.Language.values());
    language.setAccessibleText(Ui.text("source.language"));
    Parts.shows(language, l -> Ui.text("source.language." + l));
    Parts.onChosen(language, this::chooseLanguage);
    languageRow = Parts.fact(Ui.text("source.language"), language);
    languageRow.setAlignment(Pos.CENTER_LEFT);
  }

  /**
   * Shows a routine.
   *
   * @param error where its last run broke
   */
  void show(Routine now, Optional<Trace.Broke> error) {
    boolean other = routine == null || !routine.id().equals(now.id());
    routine = now;
    broken = error;
    switch (now) {
      case Routine.Script s -> {
        getChildren().setAll(editor, says);
        editor.show(s.source(), SourceEditor.Language.SCRIPT, other);
        if (other) {
          marks = List.of();
        }
        Known known = session.known();
        checks.ask(
            List.of(new Question.Same(s), new Question.Same(known)),
            () -> SourceChecker.check(s, known));
        script();
      }
      case Routine.Stored c -> {
        getChildren().setAll(languageRow, editor, says);
        filling = true;
        language.setValue(c.language());
        filling = false;
        editor.show(c.text().source(), SourceEditor.Language.PLAIN, other);
        stored(c);
      }
      case Routine.PluginAction p -> {
        getChildren().setAll(says);
        action(p);
      }
      case Routine.Macro m -> throw new IllegalArgumentException("has steps: " + m.id());
    }
  }

  private void chooseLanguage() {
    if (!filling
        && routine instanceof Routine.Stored c
        && language.getValue() != null
        && language.getValue() != c.language()) {
      put(new Routine.Stored(c.head(), language.getValue(), c.text()));
    }
  }

  private void changed(String text) {
    switch (routine) {
      case Routine.Script s when !s.source().equals(text) -> put(s.withSource(text));
      case Routine.Stored c when !c.text().source().equals(text) ->
          put(c.withText(new Template(text)));
      default -> {}
    }
  }

  private void put(Routine next) {
    session.make(new Edit.PutRoutine(next), Ui.text("said.changed", next.name()));
  }

  private List<Offer> offers(String text, int caret) {
    return routine instanceof Routine.Script s
        ? SourceOffers.at(text, caret, s, session.known())
        : List.of();
  }

  private void checked(List<SourceMark> found) {
    marks = found;
    if (routine instanceof Routine.Script) {
      script();
    }
  }

  private void script() {
    boolean keysHere = Parts.hasKeys(says);
    says.getChildren().clear();
    editor.mark(0);
    broken.ifPresent(this::broke);
    for (int i = 0; i < Math.min(MOST_MARKS, marks.size()); i++) {
      says.getChildren().add(row(marks.get(i), i));
    }
    if (marks.size() > MOST_MARKS) {
      says.getChildren()
          .add(Parts.label(Ui.text("source.moremarks", marks.size() - MOST_MARKS), "soft"));
    }
    says.getChildren().add(Parts.wrapped(Ui.text("source.hint"), "soft"));
    if (keysHere && !Parts.hasKeys(says)) {
      editor.focusText(); // what had the keys is gone
    }
  }

  private static final int MOST_MARKS = 12;

  private void broke(Trace.Broke error) {
    boolean here = error.number().matches("\\d+");
    editor.mark(here ? Integer.parseInt(error.number()) : 0);
    String says = Ui.text("source.broke", error.number(), error.column(), error.message());
    HBox box = said(says, "blocks");
    box.setId("source-broke");
    if (here) {
      Source.Spot at =
          new Source.Spot(Integer.parseInt(error.number()), Math.max(1, error.column()));
      Parts.leads(box, says, () -> editor.goTo(at));
    }
    this.says.getChildren().add(box);
  }

  /** Where something seems wrong, what could stand there, and the nearest right name to take. */
  private HBox row(SourceMark mark, int index) {
    String what =
        mark.found().isEmpty()
            ? Ui.text("source.unread", mark.at().line(), mark.at().column(), mark.expected())
            : Ui.text(
                "source.mark", mark.at().line(), mark.at().column(), mark.expected(), mark.found());
    HBox row = said(what, mark.found().isEmpty() ? "blocks" : "costs");
    row.setId("source-mark-" + index);
    Parts.leads(row, what, () -> editor.goTo(mark.at()));
    mark.nearest().ifPresent(near -> mend(mark, near, index, row));
    return row;
  }

  /** A menu path may stand label by label; then the labels that are others are put right. */
  private void mend(SourceMark mark, String near, int index, HBox row) {
    String source = ((Routine.Script) routine).source();
    List<String> were = List.of(mark.found());
    List<String> are = List.of(near);
    if (!source.contains(mark.found())) {
      were = List.of(mark.found().split(StepParts.UNDER));
      are = List.of(near.split(StepParts.UNDER));
    }
    if (were.size() != are.size() || !were.stream().allMatch(source::contains)) {
      return;
    }
    List<String> from = were;
    List<String> to = are;
    row.getChildren()
        .add(
            Parts.button(
                "source-mend-" + index,
                Ui.text("source.mend", near),
                () -> editor.replace(mark.at(), from, to),
                "link"));
  }

  private static HBox said(String text, String style) {
    HBox box = new HBox(10, Parts.wrapped(text, style));
    box.getStyleClass().addAll("said", style);
    return box;
  }

  private void action(Routine.PluginAction p) {
    says.getChildren().clear();
    says.getChildren().add(Parts.fact(Ui.text("source.addon"), Parts.wrapped(p.addOn())));
    Optional<Facts.Action> action =
        session.known().program(p.application()).flatMap(f -> f.action(p.addOn(), p.action()));
    says.getChildren()
        .add(
            Parts.fact(
                Ui.text("source.action"),
                Parts.wrapped(action.map(Facts.Action::name).orElse(p.action()))));
    says.getChildren()
        .add(
            action.isPresent()
                ? Parts.wrapped(Ui.text("source.here"), "good")
                : said(Ui.text("source.nothere", p.addOn()), "blocks"));
  }

  private void stored(Routine.Stored c) {
    says.getChildren().clear();
    if (c.language() == Routine.Stored.Language.COMMAND_LINE) {
      says.getChildren().add(Parts.wrapped(Ui.text("source.line"), "soft"));
      return;
    }
    switch (SqlText.of(c.text())) {
      case SqlText.Unreadable(String why) ->
          says.getChildren().add(said(Ui.text("source.unreadable", why), "blocks"));
      case SqlText.Several(int count) ->
          says.getChildren().add(said(Ui.text("source.several", count), "blocks"));
      case SqlText.One one -> {
        says.getChildren()
            .add(
                Parts.wrapped(
                    Ui.text(one.changes() ? "source.changes" : "source.reads"),
                    one.changes() ? "costs" : "plain"));
        if (one.dependsOnSchema()) {
          scoped(c, one);
        } else {
          says.getChildren().add(Parts.wrapped(Ui.text("source.anywhere"), "good"));
        }
      }
    }
  }

  /** In which schemas it works, tried on a copy of the data; and the text that works in all. */
  private void scoped(Routine.Stored c, SqlText.One one) {
    says.getChildren()
        .add(said(Ui.text("source.scoped", String.join(", ", one.scoped())), "costs"));
    if (!(session.programs().get(c.application()) instanceof Muniment muniment)) {
      return;
    }
    List<Value> values = new ArrayList<>();
    for (String name : c.text().names()) {
      values.add(c.parameter(name).map(Parameter::otherwise).orElse(new Value.Text("")));
    }
    String sql = c.text().with(n -> "?");
    everywhere.anew(() -> new Everywhere(c, muniment.tryEverywhere(sql, values)));
  }

  /** What came of a statement in every schema. */
  private record Everywhere(Routine.Stored of, Map<String, Muniment.Outcome> outcomes) {}

  private void show(Everywhere tried) {
    if (tried.of().equals(routine)) {
      tried
          .outcomes()
          .forEach((schema, outcome) -> says.getChildren().add(row(tried.of(), schema, outcome)));
    }
  }

  private HBox row(Routine.Stored c, String schema, Muniment.Outcome outcome) {
    HBox row =
        switch (outcome) {
          case Muniment.Outcome.Works(var answer) ->
              Parts.fact(
                  schema,
                  Parts.wrapped(
                      answer.rows().isEmpty()
                          ? Ui.text("source.works", answer.said())
                          : Ui.text(
                              "source.worksfirst",
                              answer.said(),
                              String.join(", ", answer.rows().getFirst()))));
          case Muniment.Outcome.Fails(String why) ->
              Parts.fact(schema, Parts.wrapped(Ui.text("source.fails", why), "blocks"));
        };
    Template qualified = SqlText.qualified(c.text(), schema.toUpperCase(java.util.Locale.ROOT));
    if (outcome instanceof Muniment.Outcome.Works && !qualified.equals(c.text())) {
      row.getChildren()
          .add(
              Parts.button(
                  "qualify-" + schema,
                  Ui.text("source.qualify", schema),
                  () -> put(c.withText(qualified)),
                  "link"));
    }
    row.getStyleClass().add("why-row");
    return row;
  }

  void focusEditor() {
    editor.focusText();
  }
}
