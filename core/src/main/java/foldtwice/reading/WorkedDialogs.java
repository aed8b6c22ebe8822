package foldtwice.reading;

import foldtwice.known.Facts;
import foldtwice.known.Known;
import foldtwice.outline.StepParts;
import foldtwice.place.Finding;
import foldtwice.reading.Types.ValueType;
import foldtwice.routine.Expr;
import foldtwice.routine.ExprNotation;
import foldtwice.routine.Kind;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import foldtwice.routine.Value;
import foldtwice.routine.ValueException;
import foldtwice.text.Refusals;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;

/**
 * Follows which dialog stands open while a macro is walked through, and marks menu paths, fields
 * and buttons that are not there.
 */
final class WorkedDialogs {

  private final Routine.Macro macro;
  private final Known known;
  private final Slips slips;
  private final Optional<Facts> facts;
  private final Map<List<String>, Facts.Command> menu;
  private Facts.Dialog open;
  private boolean unsure;

  WorkedDialogs(Routine.Macro macro, Known known, Slips slips) {
    this.macro = macro;
    this.known = known;
    this.slips = slips;
    this.facts = known.program(macro.application());
    this.menu = facts.map(Facts::menu).orElse(Map.of());
  }

  Optional<Facts.Dialog> open() {
    return Optional.ofNullable(open);
  }

  /** From here on this dialog is open, or none. */
  void stands(Optional<Facts.Dialog> dialog) {
    open = dialog.orElse(null);
  }

  /** What is open from here on cannot be told by reading. */
  void unsure() {
    unsure = true;
  }

  /** A field of the open dialog is read. */
  void readField(String label, Function<String, Step> mend) {
    if (open != null && !unsure && open.field(label).isEmpty()) {
      slips.mark(
          Mark.Fault.NO_SUCH_FIELD,
          label,
          "a field of \"" + open.title() + "\"",
          open.fields().stream().map(Facts.Field::label).toList(),
          mend);
    }
  }

  void closed() {
    open = null;
    unsure = false;
  }

  /** A command is chosen by its menu path. */
  void choose(List<Template> path) {
    boolean plain = true;
    for (Template label : path) {
      plain &= label.names().isEmpty();
      for (String name : label.names()) {
        slips.known(name);
      }
    }
    if (facts.isEmpty()) {
      return;
    }
    if (open != null && !unsure) {
      slips.mark(
          Mark.Fault.NO_SUCH_MENU,
          StepParts.path(path),
          "no open dialog; \"" + open.title() + "\" is open");
    }
    List<Facts.Command> may =
        plain
            ? Optional.ofNullable(menu.get(path.stream().map(Template::source).toList())).stream()
                .toList()
            : facts.get().commands().stream().filter(c -> Reading.mayBe(path, c.menu())).toList();
    if (may.isEmpty()) {
      if (facts.get().tells(Facts.Aspect.COMMANDS)) {
        noMenu(path, Step.Choose::new);
      }
      closed();
      unsure(); // what it would have opened is not marked again in every step after it
      return;
    }
    if (may.size() == 1) {
      foundOut(may.getFirst());
    }
    open =
        may.size() == 1 ? may.getFirst().opens().flatMap(facts.get()::dialog).orElse(null) : null;
    unsure =
        !tellsDialogs() || (may.size() > 1 && may.stream().anyMatch(c -> c.opens().isPresent()));
  }

  /** Marks a command a person found not to work, and offers its namesake that does. */
  private void foundOut(Facts.Command command) {
    Optional<Finding> fails =
        known.finding(macro.application(), command.menu()).filter(f -> !f.works());
    if (fails.isEmpty()) {
      return;
    }
    Optional<List<String>> works =
        menu.keySet().stream()
            .filter(path -> path.getLast().equals(command.menu().getLast()))
            .filter(
                path -> known.finding(macro.application(), path).filter(Finding::works).isPresent())
            .findFirst();
    String note = fails.get().note();
    slips.add(
        new Mark(
            slips.number(),
            Mark.Fault.KNOWN_NOT_TO_WORK,
            String.join(StepParts.UNDER, command.menu()),
            note.isEmpty()
                ? Refusals.says("reading.command-known-work")
                : Refusals.says("reading.command-known-work-note", note),
            works.map(path -> new Step.Choose(Template.all(path))),
            works.map(path -> String.join(StepParts.UNDER, path))));
  }

  /**
   * Says in which version a menu path is, or which path is near.
   *
   * @param mend the step with another path in its place
   */
  void noMenu(List<Template> path, Function<List<Template>, Step> mend) {
    String text = StepParts.path(path);
    for (Facts other : known.otherVersions()) {
      if (!other.application().equals(macro.application())) {
        continue;
      }
      Optional<Facts.Command> there =
          other.commands().stream().filter(c -> Reading.mayBe(path, c.menu())).findFirst();
      if (there.isEmpty()) {
        continue;
      }
      Optional<String> addOn =
          there.get().effects().addOn().filter(a -> facts.get().addOn(a).isEmpty());
      if (addOn.isPresent()) {
        slips.mark(
            Mark.Fault.NEEDS_ADD_ON,
            text,
            "the add-on " + addOn.get() + ", which is not on this computer");
        return;
      }
      Optional<Facts.Command> here = facts.get().command(there.get().id());
      boolean language = !other.labels().language().equals(facts.get().labels().language());
      slips.add(
          new Mark(
              slips.number(),
              language ? Mark.Fault.OTHER_LANGUAGE : Mark.Fault.OTHER_VERSION,
              text,
              language
                  ? "a menu path in the language it has here" + named(facts.get())
                  : "a menu path of version "
                      + facts.get().version()
                      + "; this one is of "
                      + other.version(),
              here.map(c -> mend.apply(Template.all(c.menu()))),
              here.map(c -> String.join(StepParts.UNDER, c.menu()))));
      return;
    }
    slips.mark(
        Mark.Fault.NO_SUCH_MENU,
        text,
        "a menu path of " + known.nameOf(macro.application()) + " " + facts.get().version(),
        menu.keySet().stream().map(p -> String.join(StepParts.UNDER, p)).toList(),
        near -> mend.apply(StepParts.menu(near)));
  }

  private static String named(Facts facts) {
    String language = facts.labels().language();
    return language.isEmpty() ? "" : ", " + language;
  }

  private boolean tellsDialogs() {
    return facts.filter(f -> f.tells(Facts.Aspect.DIALOGS)).isPresent();
  }

  /** A field is filled. */
  void fill(String label, Expr value) {
    ValueType type = slips.expr(value);
    if (!tellsDialogs() || unsure) {
      return;
    }
    if (open == null) {
      slips.mark(Mark.Fault.NO_SUCH_DIALOG, label, "an open dialog with this field");
      return;
    }
    Optional<Facts.Field> field = open.field(label);
    if (field.isEmpty()) {
      slips.mark(
          Mark.Fault.NO_SUCH_FIELD,
          label,
          "a field of \"" + open.title() + "\"",
          open.fields().stream().map(Facts.Field::label).toList(),
          near -> new Step.Fill(near, value));
      return;
    }
    ValueType wanted = wanted(field.get());
    boolean bare = type.equals(ValueType.NUMBER) && field.get().takes() == Facts.Takes.AMOUNT;
    if (!type.fits(wanted) && !bare && !wanted.equals(ValueType.TEXT)) {
      slips.mark(Mark.Fault.WRONG_KIND, ExprNotation.write(value), wanted.words());
    }
    field.get().range().ifPresent(range -> inRange(range, value));
    Reading.constant(value)
        .filter(text -> !field.get().options().isEmpty() && !field.get().options().contains(text))
        .ifPresent(
            text ->
                slips.mark(
                    Mark.Fault.OUT_OF_RANGE,
                    text,
                    "one of " + String.join(", ", field.get().options()),
                    field.get().options(),
                    near -> new Step.Fill(label, new Expr.Literal(new Value.Text(near)))));
  }

  private void inRange(Kind range, Expr value) {
    value
        .constant()
        .ifPresent(
            constant -> {
              try {
                range.read(constant.shown());
              } catch (ValueException e) {
                slips.mark(Mark.Fault.OUT_OF_RANGE, constant.shown(), e.allowed());
              }
            });
  }

  private static ValueType wanted(Facts.Field field) {
    return switch (field.takes()) {
      case TEXT, CHOICE -> ValueType.TEXT;
      case NUMBER -> ValueType.NUMBER;
      case LENGTH -> ValueType.LENGTH;
      case AMOUNT -> ValueType.amount(field.scale().orElseThrow());
    };
  }

  /** A button is pressed. */
  void press(String label) {
    if (!tellsDialogs() || unsure) {
      return;
    }
    if (open == null) {
      slips.mark(Mark.Fault.NO_SUCH_DIALOG, label, "an open dialog with this button");
      return;
    }
    Optional<Facts.Button> button = open.button(label);
    if (button.isEmpty()) {
      slips.mark(
          Mark.Fault.NO_SUCH_BUTTON,
          label,
          "a button of \"" + open.title() + "\"",
          open.buttons().stream().map(Facts.Button::label).toList(),
          Step.PressButton::new);
    } else if (button.get().closes()) {
      closed();
    }
  }
}
