package foldtwice.fold;

import foldtwice.outline.StepFields;
import foldtwice.outline.StepParts;
import foldtwice.routine.Expr;
import foldtwice.routine.ExprNotation;
import foldtwice.routine.Line;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import foldtwice.routine.Value;
import foldtwice.routine.Whom;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * A line taken apart: its shape, and the slots in which lines of one shape differ.
 *
 * @param shape equal for lines that are equal but for what is in their slots
 * @param slots what is in them
 */
record Token(Line line, String shape, List<Slot> slots) {

  /** What stands in a slot. */
  sealed interface Slot {

    /** A constant. */
    record Fixed(Constant constant) implements Slot {}

    /** What a loop around gives from turn to turn, as it is written. */
    record Given(String text) implements Slot {}

    /** What a loop around counts; it may not be inside another loop, whose turns it would count. */
    record Counted(String text) implements Slot {}
  }

  Token {
    slots = List.copyOf(slots);
  }

  /** Takes a line apart. A line with others inside is whole: its shape is all of it. */
  static Token of(Line line) {
    boolean holds = line.step().bodies().stream().anyMatch(b -> !b.isEmpty());
    if (!line.on() || holds || line.step() instanceof Step.Cycle) {
      return new Token(line, line.toString(), List.of());
    }
    StringBuilder shape = new StringBuilder(line.step().getClass().getSimpleName());
    shape.append('#').append(line.comment()).append('#').append(line.extras());
    List<Slot> slots = new ArrayList<>();
    for (StepFields.Field field : StepFields.of(line.step())) {
      String fixed = slot(line.step(), field, slots);
      shape.append('\u0000').append(fixed);
    }
    return new Token(line, shape.toString(), slots);
  }

  /** Adds the field's slot, if it has one; what of the field belongs to the shape. */
  private static String slot(Step step, StepFields.Field field, List<Slot> slots) {
    String text = field.text();
    return switch (field.holds()) {
      case VALUE -> {
        Expr e = ExprNotation.read(text);
        Optional<Value> value = e.constant();
        if (value.isEmpty()) {
          yield text;
        }
        slots.add(new Slot.Fixed(new Constant(Constant.Place.VALUE, text, value.get())));
        yield "\u2039\u203a";
      }
      case TEXT -> {
        boolean group =
            step instanceof Step.Select(Whom whom, boolean adding, var edge)
                && whom instanceof Whom.Group;
        if (group || !new Template(text).names().isEmpty()) {
          yield text;
        }
        slots.add(new Slot.Fixed(Constant.of(Constant.Place.TEXT, text)));
        yield "\u2039\u203a";
      }
      case MENU -> {
        int last = text.lastIndexOf(StepParts.UNDER);
        if (last < 0 || !new Template(text).names().isEmpty()) {
          yield text;
        }
        slots.add(
            new Slot.Fixed(
                Constant.of(
                    Constant.Place.LABEL, text.substring(last + StepParts.UNDER.length()))));
        yield text.substring(0, last);
      }
      case NAME -> text;
    };
  }

  /** A name for what is in each slot. */
  List<String> names() {
    List<String> names = new ArrayList<>();
    for (StepFields.Field field : StepFields.of(line.step())) {
      List<Slot> own = new ArrayList<>();
      slot(line.step(), field, own);
      if (!own.isEmpty()) {
        names.add(name(field));
      }
    }
    return names;
  }

  private String name(StepFields.Field field) {
    String name =
        switch (line.step()) {
          case Step.Choose(List<Template> menu) -> menu.get(menu.size() - 2).source();
          case Step.Fill(String label, Expr value) -> label;
          case Step.ChangeSetting(String setting, Expr value, var lasting) -> setting;
          case Step.Adjust(String value, var way, Expr to, var edge) -> value;
          case Step.SetVariable(String variable, Expr value) -> variable;
          case Step.Select s -> "object";
          default -> field.label();
        };
    String plain = name.toLowerCase(Locale.ROOT).replaceAll("[\u2026\u2039\u203a]", "").strip();
    return plain.isEmpty() ? "value" : plain;
  }

  /** With other things in its slots. */
  Token with(List<Slot> others) {
    return new Token(line, shape, others);
  }

  /** The line, with what is in the slots written into it. */
  Line written() {
    if (slots.isEmpty()) {
      return line;
    }
    Step step = line.step();
    List<StepFields.Field> fields = StepFields.of(step);
    int slot = 0;
    for (int i = 0; i < fields.size() && slot < slots.size(); i++) {
      List<Slot> own = new ArrayList<>();
      slot(line.step(), fields.get(i), own);
      if (!own.isEmpty()) {
        step = StepFields.with(step, i, text(fields.get(i), slots.get(slot++)));
      }
    }
    return line.with(step);
  }

  private static String text(StepFields.Field field, Slot slot) {
    String text =
        switch (slot) {
          case Slot.Fixed(Constant constant) -> constant.text();
          case Slot.Given(String written) -> written;
          case Slot.Counted(String written) -> written;
        };
    return field.holds() == StepFields.Holds.MENU
        ? field.text().substring(0, field.text().lastIndexOf(StepParts.UNDER))
            + StepParts.UNDER
            + text
        : text;
  }

  /** True when nothing of a loop around is counted in it. */
  boolean mayRepeat() {
    return slots.stream().noneMatch(s -> s instanceof Slot.Counted);
  }

  /** Equal for tokens that fold alike. */
  String key() {
    return shape + '\u0001' + slots;
  }
}
