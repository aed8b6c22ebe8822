package foldtwice.routine;

import foldtwice.extras.Extras;
import java.util.List;
import java.util.Optional;

/** Anything that can be fired. */
public sealed interface Routine {

  /** Unique within the library. */
  String id();

  String name();

  /** The heading it is listed under. */
  String category();

  /** The application it acts on. */
  String application();

  Target target();

  List<Parameter> parameters();

  Manner manner();

  Card card();

  Yardstick yardstick();

  Extras extras();

  default Optional<Parameter> parameter(String name) {
    return parameters().stream().filter(p -> p.name().equals(name)).findFirst();
  }

  Routine withCard(Card other);

  Routine withYardstick(Yardstick other);

  /** Under another id and name. */
  Routine named(String newId, String newName);

  /** Named steps, recorded or built. */
  record Macro(
      String id,
      String name,
      String category,
      String application,
      Target target,
      List<Parameter> parameters,
      List<Line> steps,
      Manner manner,
      Card card,
      Yardstick yardstick,
      Extras extras)
      implements Routine {

    public Macro {
      parameters = List.copyOf(parameters);
      steps = List.copyOf(steps);
    }

    /** A plain macro on the selection. */
    public static Macro of(
        String id, String name, String application, List<Parameter> parameters, List<Line> steps) {
      return new Macro(
          id,
          name,
          "",
          application,
          Target.SELECTION,
          parameters,
          steps,
          Manner.PLAIN,
          Card.BLANK,
          Yardstick.NONE,
          Extras.NONE);
    }

    public Macro withSteps(List<Line> others) {
      return new Macro(
          id,
          name,
          category,
          application,
          target,
          parameters,
          others,
          manner,
          card,
          yardstick,
          extras);
    }

    public Macro withParameters(List<Parameter> others) {
      return new Macro(
          id, name, category, application, target, others, steps, manner, card, yardstick, extras);
    }

    public Macro withTarget(Target other) {
      return new Macro(
          id,
          name,
          category,
          application,
          other,
          parameters,
          steps,
          manner,
          card,
          yardstick,
          extras);
    }

    public Macro withManner(Manner other) {
      return new Macro(
          id,
          name,
          category,
          application,
          target,
          parameters,
          steps,
          other,
          card,
          yardstick,
          extras);
    }

    public Macro inCategory(String other) {
      return new Macro(
          id, name, other, application, target, parameters, steps, manner, card, yardstick, extras);
    }

    @Override
    public Macro withCard(Card other) {
      return new Macro(
          id,
          name,
          category,
          application,
          target,
          parameters,
          steps,
          manner,
          other,
          yardstick,
          extras);
    }

    @Override
    public Macro withYardstick(Yardstick other) {
      return new Macro(
          id, name, category, application, target, parameters, steps, manner, card, other, extras);
    }

    @Override
    public Macro named(String newId, String newName) {
      return new Macro(
          newId,
          newName,
          category,
          application,
          target,
          parameters,
          steps,
          manner,
          card,
          yardstick,
          extras);
    }
  }
}
