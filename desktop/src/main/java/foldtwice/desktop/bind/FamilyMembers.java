package foldtwice.desktop.bind;

import foldtwice.binding.Family;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Refill;
import foldtwice.desktop.parts.RoutineField;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.family.Series;
import foldtwice.routine.Kind;
import foldtwice.routine.Parameter;
import foldtwice.routine.Routine;
import foldtwice.routine.Value;
import foldtwice.routine.ValueException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/**
 * Who belongs to a family: its members, the values to make new ones of, and what would go with it.
 */
final class FamilyMembers extends Leaf {

  private final Session session;
  private final Runnable onChanged;
  private final TextField name = Skins.on(new TextField());
  private final ComboBox<Parameter> parameter = new ComboBox<>();
  private final HBox parameterRow;
  private final VBox values = new VBox(4);
  private final VBox there = new VBox(3);
  private final TextField typed = Skins.on(new TextField());
  private final Label wrong = Parts.wrapped("", "blocks");
  private final Set<Value> ticked = new LinkedHashSet<>();
  private final RoutineField further =
      new RoutineField(
          "family-routine", Ui.text("family.further.hint"), Routine::name, this::addRoutine);
  private final VBox added = new VBox(3);
  private final List<Series.Wish> routines = new ArrayList<>();
  private final Set<Series.Wish> offered = new LinkedHashSet<>();
  private final Set<String> out = new LinkedHashSet<>();
  private Family family;
  private Optional<Routine> routine = Optional.empty();
  private Map<String, Value> rest = Map.of();
  private boolean together;
  private boolean filling;

  FamilyMembers(Session session, Runnable onChanged) {
    super("leaf-members", Ui.text("family.belongs"));
    this.session = session;
    this.onChanged = onChanged;
    name.setId("family-name");
    name.setAccessibleText(Ui.text("family.name"));
    Parts.onKept(name, this::changed);
    parameter.setId("family-parameter");
    parameter.setMaxWidth(Double.MAX_VALUE);
    Parts.shows(parameter, p -> p.name());
    Parts.onChosen(
        parameter,
        () -> {
          if (!filling) {
            chosenParameter();
          }
        });
    typed.setId("family-values");
    Parts.prompt(typed, Ui.text("family.values.hint"));
    Parts.onKept(typed, this::changed);
    wrong.setId("family-wrong");
    wrong.managedProperty().bind(wrong.textProperty().isNotEmpty());
    values.setId("family-choices");
    there.setId("family-there");
    parameterRow = Parts.field(Ui.text("family.varies"), parameter);
    parameterRow.managedProperty().bind(parameterRow.visibleProperty());
    added.setId("family-added");
    body(
        Parts.field(Ui.text("family.name"), name),
        parameterRow,
        values,
        wrong,
        Parts.field(Ui.text("family.further"), further),
        added,
        there);
  }

  private void changed() {
    if (!filling) {
      onChanged.run();
    }
  }

  void focusName() {
    name.requestFocus();
  }

  /**
   * Shows a family.
   *
   * @param of the routine new members are made of
   * @param arguments what they have beside the value that varies
   * @param has true when members are there; else some are made of values
   */
  void open(Family shown, Optional<Routine> of, Map<String, Value> arguments, boolean has) {
    filling = true;
    family = shown;
    routine = of;
    rest = arguments;
    together = has;
    ticked.clear();
    offered.clear();
    routines.clear();
    added();
    offerFurther();
    out.clear();
    typed.clear();
    wrong.setText("");
    Parts.write(name, shown.name());
    parameter.getItems().setAll(of.map(Routine::parameters).orElse(List.of()));
    parameterRow.setVisible(!has && !parameter.getItems().isEmpty());
    parameter.getSelectionModel().selectFirst();
    chosenParameter();
    there.getChildren().clear(); // what was ticked in it the last time
    there();
    filling = false;
  }

  /** Shows what has become of the family meanwhile; what is being said about it stays. */
  void follow(Family now, Optional<Routine> of, Map<String, Value> arguments) {
    filling = true;
    if (name.getText().strip().equals(family.name())) {
      Parts.write(name, now.name());
    }
    family = now;
    routine = of;
    rest = arguments;
    offerFurther();
    followParameters();
    there();
    filling = false;
  }

  private void followParameters() {
    List<Parameter> now = routine.map(Routine::parameters).orElse(List.of());
    if (now.equals(parameter.getItems())) {
      return;
    }
    Optional<Parameter> was = Optional.ofNullable(parameter.getValue());
    parameter.getItems().setAll(now);
    parameterRow.setVisible(!together && !now.isEmpty());
    Optional<Parameter> is =
        now.stream()
            .filter(p -> was.isPresent() && p.name().equals(was.get().name()))
            .findFirst()
            .or(() -> now.stream().findFirst());
    parameter.setValue(is.orElse(null));
    if (!is.equals(was)) {
      chosenParameter(); // else what is ticked of its values stays
    }
  }

  private void offerFurther() {
    further.offer(
        session.now().library().routines().values().stream()
            .filter(r -> routine.isEmpty() || r.application().equals(routine.get().application()))
            .toList());
  }

  private void chosenParameter() {
    values.getChildren().clear();
    ticked.clear();
    Parameter p = parameter.getValue();
    if (together || p == null) {
      return;
    }
    if (p.kind() instanceof Kind.Choice(List<String> options)) {
      for (String option : options) {
        Value value = new Value.Text(option);
        ticked.add(value);
        values.getChildren().add(tick(option, value, ticked, true));
      }
    } else {
      values.getChildren().add(Parts.field(Ui.text("family.values"), typed));
    }
    changed();
  }

  private <T> CheckBox tick(String text, T value, Set<T> of, boolean on) {
    CheckBox box = Skins.on(new CheckBox(text));
    box.setId("family-tick-" + text.replaceAll("[^\\p{L}\\d]+", "-"));
    box.setSelected(on);
    box.setOnAction(
        e -> {
          if (box.isSelected()) {
            of.add(value);
          } else {
            of.remove(value);
          }
          changed();
        });
    return box;
  }

  /** A further routine, after all others: the next one of a procedure. */
  private void addRoutine() {
    further
        .chosen()
        .ifPresent(
            next -> {
              further.clear();
              routines.add(new Series.Wish(next.id(), Map.of(), next.name()));
              added();
              changed();
            });
  }

  private void added() {
    if (Parts.hasKeys(added)) {
      further.focus(); // what had the keys is gone now
    }
    added.getChildren().clear();
    for (int i = 0; i < routines.size(); i++) {
      int which = i;
      HBox row =
          new HBox(
              8,
              Parts.label(routines.get(i).name()),
              Parts.button(
                  "family-out-" + i,
                  Ui.text("family.out"),
                  () -> {
                    routines.remove(which);
                    added();
                    changed();
                  },
                  "link"));
      row.setAlignment(Pos.CENTER_LEFT);
      added.getChildren().add(row);
    }
  }

  /** The members that are there, and what would go with them. */
  private void there() {
    Snapshot now = session.now();
    Map<String, String> members = new LinkedHashMap<>();
    Series.members(now.library(), family).forEach(b -> members.put(b.id(), now.words().binding(b)));
    int unbound = Series.unbound(now.library(), family).size();
    List<Series.Wish> more = Series.offered(now.library(), family);
    offered.retainAll(more);
    Refill.with(
        there,
        List.of(members, unbound, more, Set.copyOf(out), Set.copyOf(offered)),
        () -> {
          List<Node> rows = new ArrayList<>();
          if (!members.isEmpty()) {
            rows.add(
                Parts.label(
                    unbound == 0
                        ? Ui.text("family.members", members.size())
                        : Ui.text("family.unbound", members.size(), unbound),
                    "soft"));
            members.forEach((id, says) -> rows.add(member(id, says)));
          }
          if (!more.isEmpty()) {
            rows.add(Parts.label(Ui.text("family.goeswith"), "soft"));
            more.forEach(w -> rows.add(tick(w.name(), w, offered, offered.contains(w))));
          }
          return rows;
        });
  }

  private Node member(String id, String says) {
    CheckBox box = Skins.on(new CheckBox(says));
    box.setId("family-member-" + id);
    box.setSelected(!out.contains(id));
    box.setOnAction(
        e -> {
          if (box.isSelected()) {
            out.remove(id);
          } else {
            out.add(id);
          }
          changed();
        });
    return box;
  }

  /** The family as it is named here, without the members that are ticked off. */
  Family named(Family of) {
    String text = name.getText().strip();
    List<String> members = of.members().stream().filter(m -> !out.contains(m)).toList();
    return new Family(
        of.id(), text.isEmpty() ? of.name() : text, members, of.pattern(), of.extras());
  }

  /**
   * What is to be made.
   *
   * @param steps true when two values are a fine and a coarse step
   */
  List<Series.Wish> wishes(boolean steps) {
    wrong.setText("");
    List<Series.Wish> all = new ArrayList<>();
    Parameter p = parameter.getValue();
    if (!together && routine.isPresent() && p != null) {
      List<Value> wanted = new ArrayList<>(p.kind() instanceof Kind.Choice ? ticked : read(p));
      Map<String, Value> others = new LinkedHashMap<>(rest);
      others.remove(p.name());
      if (steps && wanted.size() == 2) {
        all.addAll(
            Series.steps(routine.get(), others, p.name(), wanted.getFirst(), wanted.getLast()));
      } else if (!steps) {
        all.addAll(Series.wishes(routine.get(), others, p.name(), wanted));
      } else {
        wrong.setText(Ui.text("family.twosteps"));
      }
    } else if (!together && routine.isPresent()) {
      all.add(new Series.Wish(routine.get().id(), Map.of(), routine.get().name()));
    }
    all.addAll(routines);
    all.addAll(offered);
    return List.copyOf(all);
  }

  /** The typed values, parted by semicolons or by commas with a space after them. */
  private List<Value> read(Parameter p) {
    List<Value> all = new ArrayList<>();
    for (String part : typed.getText().split(";|,\\s")) {
      if (!part.isBlank()) {
        try {
          all.add(p.kind().read(part.strip()));
        } catch (ValueException fault) {
          wrong.setText(Ui.text("family.badvalue", part.strip(), fault.getMessage()));
        }
      }
    }
    return all;
  }
}
