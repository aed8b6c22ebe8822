package foldtwice.standin.trackway;

/** A way from one stop to another. */
public record Leg(String from, String to) {

  /** As people and steps name it. */
  public String name() {
    return "leg " + from + " to " + to;
  }

  boolean touches(String stop) {
    return from.equals(stop) || to.equals(stop);
  }
}
