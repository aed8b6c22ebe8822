package foldtwice.desktop.bind;

import foldtwice.binding.Binding;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.parts.Styles;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Ui;
import foldtwice.library.Library;
import foldtwice.routine.Kind;
import foldtwice.routine.LengthUnit;
import foldtwice.routine.Parameter;
import foldtwice.routine.Routine;
import foldtwice.routine.Value;
import foldtwice.routine.ValueException;
import foldtwice.words.Words;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** The arguments a binding gives its routine, each in a field of its kind. */
final class ArgumentFields extends VBox {

  private static final double SPACING = 6;

  private final Session session;
  private final Several several;
  private Binding binding;
  private Routine shown;

  /** True while an argument is given by the field that shows it already, and keeps the keys. */
  private boolean putting;

  /** Empty. */
  ArgumentFields(Session session, Several several) {
    super(SPACING);
    this.session = session;
    this.several = several;
  }

  /**
   * Shows those of a binding.
   *
   * @param of its routine; null for none
   */
  void show(Binding b, Routine of) {
    boolean same =
        of != null
            && of.equals(shown)
            && b.id().equals(binding.id())
            && (putting || b.arguments().equals(binding.arguments()));
    binding = b;
    shown = of;
    if (of == null) {
      getChildren().clear();
    } else if (!same || (putting && !isFocusWithin())) {
      getChildren().setAll(of.parameters().stream().map(this::row).toList());
    }
  }

  private Node row(Parameter p) {
    Value value = Library.argument(binding, p);
    Label hint = Parts.label(hint(value), "soft", "mono");
    Label wrong = Parts.wrapped("", "blocks");
    Parts.there(wrong, false);
    wrong.setId("wrong-" + p.name());
    Node field =
        p.kind() instanceof Kind.Choice(List<String> options)
            ? choice(p, options, value)
            : field(p, value, hint, wrong);
    HBox row = Parts.fact(p.name(), field, hint);
    row.setAlignment(Pos.CENTER_LEFT);
    return new VBox(2, row, wrong);
  }

  private Node choice(Parameter p, List<String> options, Value value) {
    ComboBox<String> box = new ComboBox<>();
    box.setId("arg-" + p.name());
    box.getItems().setAll(options);
    box.setValue(value.shown());
    box.setAccessibleText(p.name());
    String of = binding.id();
    Parts.onChosen(box, () -> put(of, p, new Value.Text(box.getValue())));
    return box;
  }

  private TextField field(Parameter p, Value value, Label hint, Label wrong) {
    TextField field = Skins.on(new TextField(Words.value(p, value)));
    field.setId("arg-" + p.name());
    field.getStyleClass().add("value");
    field.setPrefColumnCount(9);
    field.setAccessibleText(p.name());
    String of = binding.id();
    Runnable take = () -> take(of, p, field, hint, wrong);
    Parts.onKept(field, take);
    field.setOnKeyPressed(
        e -> {
          if (e.getCode() == KeyCode.UP || e.getCode() == KeyCode.DOWN) {
            step(p, field, e.getCode() == KeyCode.UP ? 1 : -1);
            take.run();
            e.consume();
          }
        });
    return field;
  }

  private void take(String of, Parameter p, TextField field, Label hint, Label wrong) {
    try {
      Value value = p.kind().read(field.getText());
      Styles.set(field, "wrong", false);
      Parts.there(wrong, false);
      hint.setText(hint(value));
      field.setText(Words.value(p, value));
      put(of, p, value);
    } catch (ValueException e) {
      Styles.set(field, "wrong", true);
      wrong.setText(e.getMessage());
      Parts.there(wrong, true);
    }
  }

  /** One step of the parameter's kind, as far as its range goes. */
  private static void step(Parameter p, TextField field, int direction) {
    try {
      Value now = p.kind().read(field.getText());
      Value next =
          switch (p.kind()) {
            case Kind.Distance(Value.Length least, Value.Length most, Value.Length step) ->
                ((Value.Length) now).plus(direction > 0 ? step : step.negated());
            case Kind.Count c -> moved(now, BigDecimal.valueOf(c.step()), direction);
            case Kind.Decimal d -> moved(now, d.step(), direction);
            case Kind.Measure(var least, var most, var step) -> {
              Value.Quantity q = (Value.Quantity) now;
              yield q.plus(
                  direction > 0 ? step : new Value.Quantity(step.amount().negate(), step.scale()));
            }
            default -> now;
          };
      field.setText(Words.value(p, p.kind().check(next)));
    } catch (ValueException e) {
      field.selectAll(); // at the end of the range, or not a number yet: what stands there stays
    }
  }

  private static Value moved(Value now, BigDecimal step, int direction) {
    return new Value.Amount(
        ((Value.Amount) now).amount().add(step.multiply(BigDecimal.valueOf(direction))));
  }

  /** Gives a binding an argument: the one its field was made for, whichever is chosen by now. */
  private void put(String of, Parameter p, Value value) {
    Binding target = session.now().library().bindings().get(of);
    if (target == null || Library.argument(target, p).equals(value)) {
      return;
    }
    putting = true; // the field that asks shows it already, and keeps the keys
    try {
      several.change(
          target,
          b -> b.routine().equals(target.routine()),
          b -> given(b, p, value),
          Ui.text("said.changed", session.now().words().binding(given(target, p, value))));
    } finally {
      putting = false;
    }
  }

  private static Binding given(Binding b, Parameter p, Value value) {
    return value.equals(p.otherwise())
        ? b.withoutArgument(p.name())
        : b.withArgument(p.name(), value);
  }

  private static String hint(Value value) {
    if (!(value instanceof Value.Length length)) {
      return "";
    }
    Value.Length other = length.in(length.unit() == LengthUnit.MM ? LengthUnit.PT : LengthUnit.MM);
    BigDecimal rounded = other.amount().setScale(3, RoundingMode.HALF_EVEN).stripTrailingZeros();
    return Ui.text(
        "does.equals",
        (rounded.scale() < 0 ? rounded.setScale(0) : rounded).toPlainString().replace("-", "\u2212")
            + " "
            + other.unit().symbol());
  }
}
