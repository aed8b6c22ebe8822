package foldtwice.routine;

import foldtwice.extras.Extras;
import java.util.List;

/**
 * What every routine has, whatever it does.
 *
 * @param id unique within the library
 * @param category the heading it is listed under
 * @param application the application it acts on
 * @param yardstick the manual route it is measured against
 */
public record Head(
    String id,
    String name,
    String category,
    String application,
    Target target,
    List<Parameter> parameters,
    Manner manner,
    Card card,
    Origin origin,
    Yardstick yardstick,
    Extras extras) {

  public Head {
    parameters = List.copyOf(parameters);
  }

  /** A plain one on the selection, made here. */
  public static Head of(String id, String name, String application, List<Parameter> parameters) {
    return new Head(
        id,
        name,
        "",
        application,
        Target.SELECTION,
        parameters,
        Manner.PLAIN,
        Card.BLANK,
        Origin.HERE,
        Yardstick.NONE,
        Extras.NONE);
  }

  /** Under another id and name. */
  public Head named(String newId, String newName) {
    return new Head(
        newId,
        newName,
        category,
        application,
        target,
        parameters,
        manner,
        card,
        origin,
        yardstick,
        extras);
  }

  public Head inCategory(String other) {
    return new Head(
        id, name, other, application, target, parameters, manner, card, origin, yardstick, extras);
  }

  /** The same head, of a routine of another application. */
  public Head inApplication(String other) {
    return new Head(
        id, name, category, other, target, parameters, manner, card, origin, yardstick, extras);
  }

  public Head with(Target other) {
    return new Head(
        id,
        name,
        category,
        application,
        other,
        parameters,
        manner,
        card,
        origin,
        yardstick,
        extras);
  }

  public Head with(List<Parameter> others) {
    return new Head(
        id, name, category, application, target, others, manner, card, origin, yardstick, extras);
  }

  public Head with(Manner other) {
    return new Head(
        id,
        name,
        category,
        application,
        target,
        parameters,
        other,
        card,
        origin,
        yardstick,
        extras);
  }

  public Head with(Card other) {
    return new Head(
        id,
        name,
        category,
        application,
        target,
        parameters,
        manner,
        other,
        origin,
        yardstick,
        extras);
  }

  public Head with(Origin other) {
    return new Head(
        id,
        name,
        category,
        application,
        target,
        parameters,
        manner,
        card,
        other,
        yardstick,
        extras);
  }

  public Head with(Yardstick other) {
    return new Head(
        id, name, category, application, target, parameters, manner, card, origin, other, extras);
  }

  public Head with(Extras other) {
    return new Head(
        id,
        name,
        category,
        application,
        target,
        parameters,
        manner,
        card,
        origin,
        yardstick,
        other);
  }
}
