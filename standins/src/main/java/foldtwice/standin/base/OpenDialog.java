package foldtwice.standin.base;

import foldtwice.known.Effects;
import foldtwice.known.Facts;
import foldtwice.place.Labels;
import foldtwice.routine.ValueException;
import foldtwice.run.Change;
import foldtwice.run.Dialog;
import foldtwice.run.Program;
import foldtwice.run.Reply;
import foldtwice.text.Counted;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A dialog and what its buttons do with what stands in its fields.
 *
 * @param buttons by label, in order
 */
public record OpenDialog(Dialog view, Map<String, Button> buttons) {

  /** What a button does: to the program it is given, so that a copy's dialog works the copy. */
  public interface Action {
    Reply on(Program program, Dialog dialog);
  }

  /** A button, what it may change, and whether the dialog is gone after it. */
  public record Button(Action action, Effects effects, boolean closes) {}

  /** A dialog whose buttons are added one by one. */
  public static OpenDialog of(String title, Dialog.Field... fields) {
    return new OpenDialog(new Dialog(title, List.of(fields), List.of()), Map.of());
  }

  /** A button that leaves the dialog open. */
  public OpenDialog button(String label, Effects effects, Action action) {
    return with(label, new Button(action, effects, false));
  }

  /** A button after which the dialog is gone, unless it was refused. */
  public OpenDialog closing(String label, Effects effects, Action action) {
    return with(label, new Button(action, effects, true));
  }

  /** The button that does nothing but close; it must be the last. */
  public OpenDialog leaving(String label) {
    return closing(label, Effects.NONE, (program, dialog) -> Reply.QUIET);
  }

  private OpenDialog with(String label, Button button) {
    Map<String, Button> more = new LinkedHashMap<>(buttons);
    more.put(label, button);
    return new OpenDialog(
        new Dialog(view.title(), view.fields(), List.copyOf(more.keySet())), more);
  }

  /** With its labels in a language; what its buttons do knows them as they are described. */
  OpenDialog in(Labels labels) {
    if (labels.words().isEmpty()) {
      return this;
    }
    Labels back = labels.back();
    Map<String, Button> there = new LinkedHashMap<>();
    buttons.forEach(
        (label, b) ->
            there.put(
                labels.of(label),
                new Button(
                    (program, dialog) -> b.action().on(program, labelled(dialog, back)),
                    b.effects(),
                    b.closes())));
    return new OpenDialog(labelled(view, labels), there);
  }

  private static Dialog labelled(Dialog dialog, Labels labels) {
    return new Dialog(
        labels.of(dialog.title()),
        dialog.fields().stream().map(f -> f.called(labels.of(f.label()))).toList(),
        labels.of(dialog.buttons()));
  }

  /** What came of filling a field. */
  sealed interface Filled {
    record With(OpenDialog dialog, Change change) implements Filled {}

    record Not(Reply.Refused refused) implements Filled {}
  }

  /** With another text in a field, if the field is there and takes it. */
  Filled filled(String field, String text) {
    Optional<Dialog.Field> target = view.field(field);
    if (target.isEmpty()) {
      return not(
          "a field, one of "
              + String.join(", ", view.fields().stream().map(Dialog.Field::label).toList()),
          "no \"" + field + "\"");
    }
    Dialog.Field f = target.get();
    if (!f.options().isEmpty() && !f.options().contains(text)) {
      return not("one of " + String.join(", ", f.options()), "\"" + text + "\"");
    }
    if (f.decimals() >= 0) {
      Optional<BigDecimal> number = number(text);
      if (number.isEmpty() || number.get().scale() > f.decimals()) {
        return not(
            "a number with at most " + Counted.of(f.decimals(), "decimal"), "\"" + text + "\"");
      }
    }
    if (f.range().isPresent()) {
      try {
        f.range().get().read(text + " " + f.symbol());
      } catch (ValueException e) {
        return not(e.allowed(), "\"" + text + "\"");
      }
    }
    return new Filled.With(with(field, text), new Change(field, f.text(), text));
  }

  private static Filled not(String expected, String found) {
    return new Filled.Not(new Reply.Refused(expected, found));
  }

  private OpenDialog with(String field, String text) {
    List<Dialog.Field> fields =
        view.fields().stream().map(f -> f.label().equals(field) ? f.with(text) : f).toList();
    return new OpenDialog(new Dialog(view.title(), fields, view.buttons()), buttons);
  }

  /** What can be said of it whatever stands in it. */
  Facts.Dialog facts() {
    List<Facts.Field> fields = new ArrayList<>();
    for (Dialog.Field f : view.fields()) {
      fields.add(new Facts.Field(f.label(), takes(f), f.scale(), f.options(), f.range()));
    }
    List<Facts.Button> all = new ArrayList<>();
    buttons.forEach((label, b) -> all.add(new Facts.Button(label, b.effects(), b.closes())));
    return new Facts.Dialog(view.title(), fields, all);
  }

  private static Facts.Takes takes(Dialog.Field field) {
    if (field.unit().isPresent()) {
      return Facts.Takes.LENGTH;
    }
    if (field.scale().isPresent()) {
      return Facts.Takes.AMOUNT;
    }
    if (!field.options().isEmpty()) {
      return Facts.Takes.CHOICE;
    }
    return field.decimals() >= 0 ? Facts.Takes.NUMBER : Facts.Takes.TEXT;
  }

  /** Reads a number as a dialog does. */
  public static Optional<BigDecimal> number(String text) {
    String plain = text.strip().replace(',', '.').replace('\u2212', '-');
    return plain.matches("[-+]?\\d{1,9}(\\.\\d{1,9})?")
        ? Optional.of(new BigDecimal(plain))
        : Optional.empty();
  }
}
