package foldtwice.desktop.collect;

import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.known.Touch;
import foldtwice.library.Edit;
import foldtwice.place.Application;
import foldtwice.reading.Reading;
import foldtwice.routine.Card;
import foldtwice.routine.Routine;
import foldtwice.routine.Yardstick;
import foldtwice.run.Learnt;
import foldtwice.words.StepWords;
import foldtwice.words.Words;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** What there is to know about a routine: parameters, what it changes, what sets it off. */
final class FactsPanel extends VBox {

  private final Session session;
  private final ParameterList parameters;
  private final VBox changes = section();
  private final VBox needs = section();
  private final BoundRows bindings;
  private final VBox yardstick = section();
  private final VBox card = section();
  private Routine shown;
  private Application in;

  /** What it changes, as it was told last. */
  private Reading read;

  /** A row of what it changes. */
  private record Told(String key, String says, List<String> styles) {}

  FactsPanel(Session session, Consumer<String> onBinding) {
    this.session = session;
    bindings = new BoundRows(session, onBinding);
    this.parameters = new ParameterList(session);
    setId("facts");
    setSpacing(5);
    getChildren()
        .addAll(heading("facts.parameters"), parameters, changes, needs, bindings, yardstick, card);
  }

  private static VBox section() {
    return new VBox(5);
  }

  void show(Snapshot now, Routine macro) {
    parameters.show(now, macro);
    changes(now, macro);
    bindings.show(now, macro);
    Application of = now.library().applications().get(macro.application());
    boolean same = shown != null && macro.head().equals(shown.head()) && Objects.equals(of, in);
    shown = macro;
    in = of;
    if (same) {
      return; // what is being typed into a field stays
    }
    needs.getChildren().setAll(new NeedsRows(session, () -> shown));
    yardstick(macro.yardstick());
    card(macro);
  }

  /** What a person keeps about it: heading, tags, a colour to find it by, a note. */
  private void card(Routine macro) {
    card.getChildren().setAll(heading("facts.card"));
    fact(
        card,
        "facts.heading",
        text("category", macro.category(), t -> put(shown.with(shown.head().inCategory(t)))));
    fact(
        card,
        "facts.tags",
        text(
            "tags",
            String.join(", ", macro.card().tags()),
            t ->
                put(
                    shown.withCard(
                        shown
                            .card()
                            .tagged(
                                Arrays.stream(t.split(","))
                                    .map(String::strip)
                                    .filter(tag -> !tag.isEmpty())
                                    .toList())))));
    List<String> colours = new ArrayList<>(Card.COLOURS);
    colours.addFirst("");
    fact(
        card,
        "facts.colour",
        NeedsRows.choice(
            "colour",
            colours.toArray(new String[0]),
            macro.card().colour(),
            c -> c.isEmpty() ? Ui.text("standin.none") : c,
            c -> put(shown.withCard(shown.card().marked(c)))));
    fact(
        card,
        "facts.note",
        text("note", macro.card().note(), t -> put(shown.withCard(shown.card().saying(t)))));
  }

  private static TextField text(String id, String now, Consumer<String> onChanged) {
    TextField field = Skins.on(new TextField(now));
    field.setId("card-" + id);
    field.setMinWidth(0);
    Runnable keep =
        () -> {
          if (!field.getText().strip().equals(now)) {
            onChanged.accept(field.getText().strip());
          }
        };
    Parts.onKept(field, keep);
    return field;
  }

  static Label heading(String key) {
    Label heading = Parts.label(Ui.text(key), "heading");
    heading.setPadding(new javafx.geometry.Insets(8, 0, 0, 0));
    return heading;
  }

  private static void fact(VBox section, String key, Node... facts) {
    HBox row = Parts.fact(Ui.text(key), facts);
    row.getStyleClass().add("why-row");
    row.setAlignment(Pos.CENTER_LEFT);
    section.getChildren().add(row);
  }

  private void changes(Snapshot now, Routine macro) {
    Reading reading = now.readings().of(macro);
    boolean script = reading.beyond().contains(Reading.Beyond.SCRIPT);
    if (!script && reading.equals(read)) {
      return;
    }
    read = reading;
    List<Told> tells = tells(reading);
    changes.getChildren().setAll(heading("facts.changes"));
    if (script) {
      seen(now, macro);
    }
    for (Told t : tells) {
      fact(changes, t.key(), Parts.wrapped(t.says(), t.styles().toArray(String[]::new)));
    }
  }

  private static void tell(List<Told> tells, String key, String says, String... styles) {
    tells.add(new Told(key, says, List.of(styles)));
  }

  private static List<Told> tells(Reading reading) {
    List<Told> tells = new ArrayList<>();
    List<String> touched =
        reading.touches().stream()
            .filter(t -> t != Touch.UNDO_HISTORY)
            .map(Words::touch)
            .collect(Collectors.toCollection(ArrayList::new));
    if (!reading.beyond().contains(Reading.Beyond.SCRIPT)) {
      tell(
          tells,
          "facts.objects",
          touched.isEmpty()
              ? Ui.text(reading.beyond().isEmpty() ? "facts.nothing" : "facts.unread")
              : String.join(", ", touched));
    }
    if (!reading.putBack().isEmpty()) {
      tell(
          tells,
          "facts.settings",
          Ui.text("facts.putback", String.join(", ", reading.putBack())),
          "good");
    }
    if (!reading.leaves().isEmpty()) {
      tell(
          tells,
          "facts.settings",
          Ui.text("facts.leaves", String.join(", ", reading.leaves())),
          reading.onlySettings() ? "plain" : "costs");
    }
    boolean empties = reading.touches().contains(Touch.UNDO_HISTORY);
    tell(
        tells,
        "facts.undo",
        Ui.text(empties ? "facts.empties" : "facts.oneundo"),
        empties ? "costs" : "plain");
    if (!reading.beyond().isEmpty()) {
      tell(
          tells,
          "facts.beyond",
          reading.beyond().stream().map(Words::beyond).collect(Collectors.joining(", ")),
          "costs");
    }
    if (reading.touches().contains(Touch.DATA)) {
      tell(tells, "facts.danger", Ui.text("facts.data"), "costs");
    }
    List<String> wanted = needs(reading);
    if (!wanted.isEmpty()) {
      tell(tells, "facts.needs", String.join(", ", wanted));
    }
    return tells;
  }

  /** What a script changes cannot be read; it is told from runs on copies. */
  private void seen(Snapshot now, Routine routine) {
    if (!routine.origin().seen()) {
      fact(changes, "facts.objects", Parts.wrapped(Ui.text("facts.seen.not"), "soft"));
      return;
    }
    Label says = Parts.wrapped(Ui.text("facts.seen.trying"), "plain");
    says.setId("learnt");
    fact(changes, "facts.objects", says);
    session.learning().of(routine, now, learnt -> says.setText(words(learnt)));
  }

  private static String words(Learnt learnt) {
    List<String> changed =
        learnt.touches().stream()
            .map(Words::touch)
            .collect(Collectors.toCollection(ArrayList::new));
    learnt.leaves().forEach(s -> changed.add(Ui.text("facts.leaves", s)));
    String what = changed.isEmpty() ? Ui.text("facts.nothing") : String.join(", ", changed);
    String said = Ui.text("facts.seen.runs", what, learnt.runs());
    return learnt
        .trouble()
        .map(t -> said + " " + Ui.text("facts.seen.trouble", StepWords.ending(t)))
        .orElse(said);
  }

  private static List<String> needs(Reading reading) {
    List<String> needs = new ArrayList<>();
    if (reading.needsSelection()) {
      needs.add(Ui.text("facts.selection"));
    }
    reading.addOns().forEach(a -> needs.add(Ui.text("facts.addon", a)));
    if (reading.programs().size() > 1) {
      needs.add(String.join(", ", reading.programs()));
    }
    return needs;
  }

  private void put(Routine macro) {
    session.make(new Edit.PutRoutine(macro), Ui.text("said.changed", macro.name()));
  }

  private void yardstick(Yardstick measured) {
    yardstick.getChildren().setAll(heading("facts.yardstick"));
    if (measured.moves().isEmpty()) {
      yardstick.getChildren().add(Parts.wrapped(Ui.text("facts.noyardstick"), "soft"));
      return;
    }
    fact(
        yardstick,
        "facts.byhand",
        Parts.wrapped(
            Ui.text(
                "facts.hand",
                measured.clicks(),
                measured.keys(),
                measured.pointerMoves(),
                measured.menuLevels(),
                measured.handMoves())));
  }
}
