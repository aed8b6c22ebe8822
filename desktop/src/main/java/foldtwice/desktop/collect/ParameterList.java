package foldtwice.desktop.collect;

import foldtwice.desktop.parts.Children;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.library.Edit;
import foldtwice.library.Parameters;
import foldtwice.outline.ParameterText;
import foldtwice.routine.Kind;
import foldtwice.routine.Parameter;
import foldtwice.routine.Routine;
import foldtwice.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** The parameters of a routine; each opens to be changed. */
final class ParameterList extends VBox {

  private final Session session;
  private Snapshot now;
  private Routine routine;

  /** The one that is open; a new one has an empty name; null when none is. */
  private String open;

  /** The form of the one that is open, with what is typed into it; null when none is. */
  private ParameterForm form;

  ParameterList(Session session) {
    this.session = session;
    setId("parameters");
    setSpacing(5);
  }

  void show(Snapshot now, Routine routine) {
    boolean same = this.routine != null && this.routine.id().equals(routine.id());
    boolean equal = same && routine.parameters().equals(this.routine.parameters());
    boolean stays = same && open != null && isStill(open, routine);
    this.now = now;
    this.routine = routine;
    if (equal) {
      return; // what is being typed stays, and so do the keys
    }
    if (!stays) {
      open = null;
      form = null;
    }
    fill();
  }

  /** Whether the one that is open is what it was: a new one, or as it was opened. */
  private boolean isStill(String name, Routine next) {
    return name.isEmpty() || next.parameter(name).equals(routine.parameter(name));
  }

  private void fill() {
    if (Parts.hasKeys(this) && (form == null || !Parts.hasKeys(form))) {
      requestFocus(); // before the node that has the keys is gone
    }
    List<Node> rows = new ArrayList<>();
    if (routine.parameters().isEmpty() && open == null) {
      String hint =
          routine instanceof Routine.Macro ? "facts.noparameters" : "facts.noparameters.source";
      rows.add(Parts.wrapped(Ui.text(hint), "soft"));
    }
    for (Parameter p : routine.parameters()) {
      rows.add(p.name().equals(open) ? form : row(p));
    }
    rows.add(
        "".equals(open)
            ? form
            : Parts.button("add-parameter", Ui.text("parameter.add"), () -> openUp(""), "link"));
    Children.follow(getChildren(), rows, n -> 1);
  }

  private Node row(Parameter p) {
    Label name = Parts.label(p.name(), "argument");
    name.setMinWidth(USE_PREF_SIZE);
    Label kind = Parts.wrapped(range(p), "mono");
    HBox.setHgrow(kind, Priority.ALWAYS);
    kind.setMaxWidth(Double.MAX_VALUE);
    kind.setAlignment(Pos.CENTER_RIGHT);
    HBox row = new HBox(8, name, kind);
    row.setId("parameter-of-" + p.name().replace(' ', '-'));
    row.getStyleClass().add("why-row");
    row.setAlignment(Pos.CENTER_LEFT);
    Parts.leads(row, Ui.text("parameter.change", p.name()), () -> openUp(p.name()));
    return row;
  }

  private void openUp(String name) {
    open = name;
    form = form(routine.parameter(name));
    fill();
    lookup("#parameter-form").requestFocus();
  }

  /** Closes what is open; the keys go to the row of this name. */
  private void close(String then) {
    open = null;
    form = null;
    fill();
    String id = then.isEmpty() ? "#add-parameter" : "#parameter-of-" + then.replace(' ', '-');
    Platform.runLater(() -> Optional.ofNullable(lookup(id)).ifPresent(Node::requestFocus));
  }

  private ParameterForm form(Optional<Parameter> was) {
    ParameterText text =
        was.map(ParameterText::of)
            .orElseGet(() -> ParameterText.fresh(freeName(), ParameterText.Sort.TEXT));
    return ParameterForm.of(
        text,
        was.isEmpty(),
        new ParameterForm.Ways<Parameter>() {
          @Override
          public void keep(Parameter parameter) {
            if (isTaken(parameter.name(), was)) {
              form.refuse("name", Ui.text("parameter.taken", parameter.name()));
            } else {
              put(was, parameter);
            }
          }

          @Override
          public void remove() {
            Parameter gone = was.orElseThrow();
            String said = Ui.text("said.noparameter", gone.name());
            Edit edit = Parameters.remove(now.library(), routine, gone);
            session.make(edit, said);
            close("");
          }

          @Override
          public void leave() {
            close(open);
          }
        });
  }

  private boolean isTaken(String name, Optional<Parameter> was) {
    return was.filter(p -> p.name().equals(name)).isEmpty() && routine.parameter(name).isPresent();
  }

  private void put(Optional<Parameter> was, Parameter is) {
    Edit edit =
        was.map(
                p ->
                    Parameters.change(
                        now.library(),
                        routine,
                        p,
                        new Parameter(is.name(), is.kind(), is.otherwise(), p.extras())))
            .orElseGet(() -> Parameters.add(routine, is));
    session.make(edit, Ui.text("said.parameter", is.name()));
    close(is.name());
  }

  private String freeName() {
    String name = Ui.text("parameter.fresh");
    for (int i = 2; routine.parameter(name).isPresent(); i++) {
      name = Ui.text("parameter.fresh") + " " + i;
    }
    return name;
  }

  private static String range(Parameter p) {
    String value = Words.value(p, p.otherwise());
    return switch (p.kind()) {
      case Kind.Distance(var least, var most, var step) ->
          Ui.text("facts.range", value, least.shown(), most.shown());
      case Kind.Count(long least, long most, long step) ->
          Ui.text("facts.range", value, least, most);
      case Kind.Decimal(var least, var most, var step) ->
          Ui.text("facts.range", value, least.toPlainString(), most.toPlainString());
      case Kind.Measure(var least, var most, var step) ->
          Ui.text("facts.range", value, least.shown(), most.shown());
      case Kind.Choice(List<String> options) -> String.join(", ", options);
      default -> value.isEmpty() ? p.kind().allowed() : value;
    };
  }
}
