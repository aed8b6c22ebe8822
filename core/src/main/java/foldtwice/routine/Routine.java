package foldtwice.routine;

import foldtwice.extras.Extras;
import java.util.List;
import java.util.Optional;

/** Anything that can be fired. */
public sealed interface Routine {

  /** What it has besides what it does. */
  Head head();

  /** The same doing under another head. */
  Routine with(Head other);

  default String id() {
    return head().id();
  }

  default String name() {
    return head().name();
  }

  /** The heading it is listed under. */
  default String category() {
    return head().category();
  }

  /** The application it acts on. */
  default String application() {
    return head().application();
  }

  default Target target() {
    return head().target();
  }

  default List<Parameter> parameters() {
    return head().parameters();
  }

  default Manner manner() {
    return head().manner();
  }

  default Card card() {
    return head().card();
  }

  default Origin origin() {
    return head().origin();
  }

  default Yardstick yardstick() {
    return head().yardstick();
  }

  default Extras extras() {
    return head().extras();
  }

  default Optional<Parameter> parameter(String name) {
    for (Parameter p : parameters()) {
      if (p.name().equals(name)) {
        return Optional.of(p);
      }
    }
    return Optional.empty();
  }

  default Routine withCard(Card other) {
    return with(head().with(other));
  }

  default Routine withManner(Manner other) {
    return with(head().with(other));
  }

  /** Named steps, recorded or built. */
  record Macro(Head head, List<Line> steps) implements Routine {

    public Macro {
      steps = List.copyOf(steps);
    }

    /** A plain macro on the selection. */
    public static Macro of(
        String id, String name, String application, List<Parameter> parameters, List<Line> steps) {
      return new Macro(Head.of(id, name, application, parameters), steps);
    }

    @Override
    public Macro with(Head other) {
      return new Macro(other, steps);
    }

    public Macro withSteps(List<Line> others) {
      return new Macro(head, others);
    }

    public Macro withParameters(List<Parameter> others) {
      return with(head.with(others));
    }
  }

  /** A source text in ECMAScript, run against the interface of its application. */
  record Script(Head head, String source) implements Routine {
    @Override
    public Script with(Head other) {
      return new Script(other, source);
    }

    public Script withSource(String other) {
      return new Script(head, other);
    }
  }

  /** An action that an add-on of the application provides. */
  record PluginAction(Head head, String addOn, String action) implements Routine {
    @Override
    public PluginAction with(Head other) {
      return new PluginAction(other, addOn, action);
    }
  }

  /**
   * A command text kept to be fired as it is.
   *
   * @param text with insertions {@code ‹name›}; arguments are handed over beside it, never pasted
   *     in
   */
  record Stored(Head head, Language language, Template text) implements Routine {

    /** What the text is written in. */
    public enum Language {
      /** A statement for the application's database. */
      SQL,
      /** A program and its arguments, each a word or in quotes; no shell reads it. */
      COMMAND_LINE
    }

    @Override
    public Stored with(Head other) {
      return new Stored(other, language, text);
    }

    public Stored withText(Template other) {
      return new Stored(head, language, other);
    }
  }
}
