package foldtwice.desktop.view;

import foldtwice.place.Place;
import foldtwice.trigger.Press;

/** What one can go to. Things are named by their ids: names may be alike. */
public sealed interface Target {

  /** The id of the view it is shown in. */
  String view();

  /** A view as it was left. */
  record Sheet(String view) implements Target {}

  record Application(String id) implements Target {
    @Override
    public String view() {
      return "places";
    }
  }

  /** A native command, where it can be given other keys. */
  record Command(String application, String id) implements Target {
    @Override
    public String view() {
      return "places";
    }
  }

  record Station(String id) implements Target {
    @Override
    public String view() {
      return "places";
    }
  }

  /** A device or a toolbar. */
  record Surface(String id) implements Target {
    @Override
    public String view() {
      return "places";
    }
  }

  /** The keys of this application itself. */
  record Own() implements Target {
    @Override
    public String view() {
      return "places";
    }
  }

  record Routine(String id) implements Target {
    @Override
    public String view() {
      return "collect";
    }
  }

  record Binding(String id) implements Target {
    @Override
    public String view() {
      return "bind";
    }
  }

  /** A press in a state of a program, on the map of keys. */
  record Key(Place place, Press press) implements Target {
    @Override
    public String view() {
      return "atlas";
    }
  }

  /**
   * A conflict.
   *
   * @param station the id of the one it is on
   * @param topic {@link foldtwice.conflict.Conflict#topic}
   */
  record Conflict(String station, Object topic) implements Target {
    @Override
    public String view() {
      return "conflicts";
    }
  }

  /** A program, where what is bound in it can be tried. */
  record Program(String application) implements Target {
    @Override
    public String view() {
      return "try";
    }
  }

  /** A recording in a program, begun if none is on. */
  record Recording(String application) implements Target {
    @Override
    public String view() {
      return "try";
    }
  }
}
