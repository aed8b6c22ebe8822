package foldtwice.desktop.view;

import foldtwice.place.Place;
import foldtwice.trigger.Press;

/** What one can go to. Things are named by their ids: names may be alike. */
public sealed interface Target {

  /** The id of the view it is shown in. */
  default String view() {
    return switch (this) {
      case Sheet(String view) -> view;
      case Application a -> "places";
      case Command c -> "places";
      case Station s -> "places";
      case Surface s -> "places";
      case Own o -> "places";
      case Routine r -> "collect";
      case Binding b -> "bind";
      case Key k -> "atlas";
      case Conflict c -> "conflicts";
      case Program p -> "try";
      case Recording r -> "try";
    };
  }

  /** A view as it was left. */
  record Sheet(String view) implements Target {}

  record Application(String id) implements Target {}

  /** A native command, where it can be given other keys. */
  record Command(String application, String id) implements Target {}

  record Station(String id) implements Target {}

  /** A device or a toolbar. */
  record Surface(String id) implements Target {}

  /** The keys of this application itself. */
  record Own() implements Target {}

  record Routine(String id) implements Target {}

  record Binding(String id) implements Target {}

  /** A press in a state of a program, on the map of keys. */
  record Key(Place place, Press press) implements Target {}

  /**
   * A conflict.
   *
   * @param station the id of the one it is on
   * @param topic {@link foldtwice.conflict.Conflict#topic}
   */
  record Conflict(String station, Object topic) implements Target {}

  /** A program, where what is bound in it can be tried. */
  record Program(String application) implements Target {}

  /** A recording in a program, begun if none is on. */
  record Recording(String application) implements Target {}
}
