package foldtwice.surface;

import foldtwice.extras.Extras;
import java.util.List;
import java.util.Optional;

/**
 * A device with keys of its own.
 *
 * @param keys where they lie, in key widths from the top left; none lies over another
 * @param pages what its keys mean, page by page; a device without pages has one with an empty id
 */
public record Device(
    String id, String name, List<Cap> keys, List<Knob> dials, List<Page> pages, Extras extras)
    implements Surface {

  /**
   * A key.
   *
   * @param label what is printed on it
   * @param usage its USB HID usage, page and usage in hexadecimal such as {@code 07/68}, or for a
   *     MIDI device its {@code note 36} or {@code control 64}; empty when not known
   * @param before what it did before anything was bound to it; empty for nothing
   */
  public record Cap(
      String id,
      String label,
      double x,
      double y,
      double width,
      double height,
      String usage,
      String before) {

    /** True when the two lie over one another. */
    public boolean overlaps(Cap other) {
      return x < other.x + other.width
          && other.x < x + width
          && y < other.y + other.height
          && other.y < y + height;
    }
  }

  /**
   * A dial.
   *
   * @param push true when it can be pushed
   * @param usage for a MIDI device its {@code control 20}; empty when not known
   * @param pushUsage for a MIDI device what its push is, such as {@code note 40}
   */
  public record Knob(
      String id, String label, double x, double y, boolean push, String usage, String pushUsage) {

    /** One that is no part of a MIDI device. */
    public Knob(String id, String label, double x, double y, boolean push) {
      this(id, label, x, y, push, "", "");
    }
  }

  public Device {
    keys = List.copyOf(keys);
    dials = List.copyOf(dials);
    pages = List.copyOf(pages);
    if (pages.isEmpty()) {
      throw new IllegalArgumentException("a device has at least one page");
    }
  }

  /** The page it shows first. */
  public Page firstPage() {
    return pages.getFirst();
  }

  public Optional<Page> page(String id) {
    return pages.stream().filter(p -> p.id().equals(id)).findFirst();
  }

  public Optional<Cap> key(String id) {
    return keys.stream().filter(k -> k.id().equals(id)).findFirst();
  }

  public Optional<Knob> dial(String id) {
    return dials.stream().filter(d -> d.id().equals(id)).findFirst();
  }

  /** Two keys that lie over one another, if any do. */
  public Optional<List<Cap>> overlap() {
    for (int i = 0; i < keys.size(); i++) {
      for (int j = i + 1; j < keys.size(); j++) {
        if (keys.get(i).overlaps(keys.get(j))) {
          return Optional.of(List.of(keys.get(i), keys.get(j)));
        }
      }
    }
    return Optional.empty();
  }

  public Device withPages(List<Page> others) {
    return new Device(id, name, keys, dials, others, extras);
  }

  public Device named(String other) {
    return new Device(id, other, keys, dials, pages, extras);
  }

  /** The same device with a page instead of the one with its id. */
  public Device with(Page page) {
    return withPages(pages.stream().map(p -> p.id().equals(page.id()) ? page : p).toList());
  }
}
