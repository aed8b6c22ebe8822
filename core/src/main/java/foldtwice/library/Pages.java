package foldtwice.library;

import foldtwice.surface.Device;
import foldtwice.surface.Page;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The pages of a device, added and taken away. */
public final class Pages {

  private Pages() {}

  /** A page with nothing on it, under an id that is free on the device. */
  public static Page fresh(Device device, String name) {
    String id = Ids.free("page", wanted -> device.page(wanted).isPresent());
    return new Page(id, name, "", Map.of(), Map.of());
  }

  /** The device with one page more, after the others. */
  public static Device with(Device device, Page page) {
    List<Page> more = new ArrayList<>(device.pages());
    more.add(page);
    return device.withPages(more);
  }

  /**
   * The device without a page; keys that turned to it do so no more. Empty for the only one, which
   * a device keeps.
   */
  public static Optional<Device> without(Device device, String page) {
    List<Page> rest = new ArrayList<>();
    for (Page p : device.pages()) {
      if (!p.id().equals(page)) {
        rest.add(notTurningTo(page, p));
      }
    }
    return rest.isEmpty() ? Optional.empty() : Optional.of(device.withPages(rest));
  }

  private static Page notTurningTo(String gone, Page page) {
    Page kept = page;
    for (Map.Entry<String, Page.Sends> s : page.sends().entrySet()) {
      if (s.getValue().equals(new Page.Sends.Turn(gone))) {
        kept = kept.sending(s.getKey(), Optional.empty());
      }
    }
    return kept;
  }
}
