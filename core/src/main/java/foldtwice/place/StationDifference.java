package foldtwice.place;

import foldtwice.trigger.Notation;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * Something in which two stations differ.
 *
 * @param what of them
 * @param about which key, device or application; empty where there is only one
 * @param here how it is on the first; empty for not at all
 * @param there how it is on the second; empty for not at all
 */
public record StationDifference(What what, String about, String here, String there) {

  /** What stations can differ in. */
  public enum What {
    LAYOUT,
    SHAPE,
    PLATFORM,
    DEVICE,
    RESERVED,
    INSTALLED
  }

  /** All in which two differ; none between a station and itself. */
  public static List<StationDifference> between(Station a, Station b) {
    List<StationDifference> all = new ArrayList<>();
    compare(all, What.LAYOUT, Map.of("", a.layout()), Map.of("", b.layout()));
    compare(all, What.SHAPE, Map.of("", a.shape().toString()), Map.of("", b.shape().toString()));
    compare(all, What.PLATFORM, Map.of("", a.platform().name()), Map.of("", b.platform().name()));
    compare(all, What.DEVICE, devices(a), devices(b));
    compare(all, What.RESERVED, reserved(a), reserved(b));
    compare(all, What.INSTALLED, installed(a), installed(b));
    return all;
  }

  private static Map<String, String> devices(Station s) {
    return s.devices().stream().collect(Collectors.toMap(d -> d, d -> d, (x, y) -> x));
  }

  private static Map<String, String> reserved(Station s) {
    Map<String, String> all = new LinkedHashMap<>();
    for (Station.Reserved r : s.reserved()) {
      String keys = Notation.write(r.trigger());
      all.putIfAbsent(keys, r.what().isEmpty() ? keys : r.what());
    }
    return all;
  }

  private static Map<String, String> installed(Station s) {
    Map<String, String> all = new LinkedHashMap<>();
    for (Station.Installed i : s.installed()) {
      String addOns =
          i.addOns().stream()
              .map(x -> (x.name() + " " + x.version()).strip())
              .collect(Collectors.joining(", "));
      String says =
          (i.version() + " " + i.language()).strip() + (addOns.isEmpty() ? "" : " + " + addOns);
      all.put(i.application(), says.isEmpty() ? i.application() : says);
    }
    return all;
  }

  private static void compare(
      List<StationDifference> all, What what, Map<String, String> here, Map<String, String> there) {
    here.forEach(
        (about, is) -> {
          String other = Optional.ofNullable(there.get(about)).orElse("");
          if (!is.equals(other)) {
            all.add(new StationDifference(what, about, is, other));
          }
        });
    there.forEach(
        (about, is) -> {
          if (!here.containsKey(about)) {
            all.add(new StationDifference(what, about, "", is));
          }
        });
  }
}
