package foldtwice.standin.trackway;

/**
 * A stop on the map, or a plot inside a site.
 *
 * @param x metres east of the map's corner
 * @param y metres south of it
 * @param in the name of the site it lies in; empty for a stop of the map itself
 */
public record Stop(String name, Kind kind, int x, int y, String in) {

  /** What a stop is. */
  public enum Kind {
    STOP,
    SITE,
    PLOT
  }

  Stop moved(int east, int south) {
    return new Stop(name, kind, x + east, y + south, in);
  }
}
