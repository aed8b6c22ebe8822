package foldtwice.sheet;

import foldtwice.library.Library;
import foldtwice.surface.Device;
import foldtwice.surface.Page;
import foldtwice.trigger.Trigger;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * The lines of a pocket card, laid on its leaves: as large as they can be set, and when even the
 * smallest type leaves no room for all, without those that are used least.
 *
 * @param points the size of the type
 * @param row the height of a row in millimetres
 * @param leaves inside at the left, inside at the right, and the back
 * @param pad a picture of a page of a device, on the back; empty when none is on the card
 * @param padName what it is a picture of
 * @param left how many lines there was no room for
 */
public record PocketCard(
    double points, double row, List<Leaf> leaves, Optional<Picture> pad, String padName, int left) {

  /** The margin of every leaf, in millimetres. */
  static final double MARGIN = 8;

  private static final double[] SIZES = {9, 8, 7, 6};
  private static final double HEADING_ROWS = 1.5;
  private static final double GAP = 2.5;

  /** The name of the pad over its picture, and a gap under it. */
  private static final double BELOW_PAD = 9;

  public PocketCard {
    leaves = List.copyOf(leaves);
  }

  /** One leaf of the card. */
  public record Leaf(List<Row> rows) {
    public Leaf {
      rows = List.copyOf(rows);
    }
  }

  /**
   * A heading, or a trigger and what it does.
   *
   * @param heading empty for a line
   * @param more true when the heading was on the leaf before already
   */
  public record Row(
      String heading, boolean more, List<List<String>> strokes, String tag, String does) {}

  /** Lays out contents. */
  static PocketCard of(Contents contents, Library library, Set<String> plugged, Paper paper) {
    Optional<Shown> pad = pad(contents, library, plugged);
    List<Contents.Group> groups =
        pad.map(p -> without(contents.groups(), p.on())).orElse(contents.groups());
    double width = paper.width() / 2 - 2 * MARGIN;
    double height = paper.height() / 2 - 2 * MARGIN;
    double[] room = {
      height, height, height - pad.map(p -> p.picture(width).outerHeight() + BELOW_PAD).orElse(0.0)
    };
    for (double points : SIZES) {
      Optional<List<Leaf>> laid = laid(groups, room, points, width);
      if (laid.isPresent()) {
        return card(points, laid.get(), pad, width, 0);
      }
    }
    double smallest = SIZES[SIZES.length - 1];
    List<Contents.Line> byUse =
        groups.stream()
            .flatMap(g -> g.lines().stream())
            .sorted(Comparator.comparingDouble((Contents.Line l) -> -l.uses()))
            .toList();
    int fits = 0;
    int tooMany = byUse.size();
    while (tooMany - fits > 1) {
      int middle = (fits + tooMany) / 2;
      if (laid(only(groups, byUse, middle), room, smallest, width).isPresent()) {
        fits = middle;
      } else {
        tooMany = middle;
      }
    }
    return card(
        smallest,
        laid(only(groups, byUse, fits), room, smallest, width).orElseThrow(),
        pad,
        width,
        byUse.size() - fits);
  }

  private static PocketCard card(
      double points, List<Leaf> leaves, Optional<Shown> pad, double width, int left) {
    return new PocketCard(
        points,
        rowHeight(points),
        leaves,
        pad.map(p -> Picture.of(p.picture(width))),
        pad.map(Shown::name).orElse(""),
        left);
  }

  private static double rowHeight(double points) {
    return points * 0.62;
  }

  /** The leaves; empty when there is no room. */
  private static Optional<List<Leaf>> laid(
      List<Contents.Group> groups, double[] room, double points, double width) {
    List<Leaf> done = new ArrayList<>();
    List<Row> leaf = new ArrayList<>();
    double used = 0;
    for (Contents.Group group : groups) {
      boolean first = true;
      for (Contents.Line line : group.lines()) {
        double needs = 1 + (first ? HEADING_ROWS : 0);
        double withNext = needs + (first && group.lines().size() > 1 ? 1 : 0);
        while (used + withNext > room[done.size()] / rowHeight(points)) {
          done.add(new Leaf(leaf));
          leaf = new ArrayList<>();
          used = 0;
          if (done.size() == room.length) {
            return Optional.empty();
          }
          needs = 1 + HEADING_ROWS;
          withNext = needs;
        }
        if (needs > 1) {
          leaf.add(new Row(group.name(), !first, List.of(), "", ""));
        }
        leaf.add(row(line, points, width));
        used += needs;
        first = false;
      }
    }
    done.add(new Leaf(leaf));
    while (done.size() < room.length) {
      done.add(new Leaf(List.of()));
    }
    return Optional.of(done);
  }

  /** A line as it fits on the width of a leaf: the keys whole, what it does as far as it goes. */
  private static Row row(Contents.Line line, double points, double width) {
    Fonts fonts = Fonts.regular();
    double small = points * 0.88;
    double keys = 0;
    for (List<String> stroke : line.strokes()) {
      for (String cap : stroke) {
        keys += fonts.width(cap, small) + points * 0.3;
      }
      keys += points * 0.2;
    }
    String tag = fonts.fitted(line.tag(), small, width * 0.6);
    keys += fonts.width(tag, small);
    return new Row(
        "", false, line.strokes(), tag, fonts.fitted(line.does(), points, width - keys - GAP));
  }

  private static List<Contents.Group> only(
      List<Contents.Group> groups, List<Contents.Line> byUse, int most) {
    Set<Contents.Line> kept =
        java.util.Collections.newSetFromMap(new java.util.IdentityHashMap<>());
    kept.addAll(byUse.subList(0, most));
    return groups.stream()
        .map(g -> new Contents.Group(g.name(), g.lines().stream().filter(kept::contains).toList()))
        .filter(g -> !g.lines().isEmpty())
        .toList();
  }

  // the device on the back

  /** A page of a device, and what is on its keys. */
  private record Shown(Device device, Page page, Map<String, String> does, Set<Contents.Line> on) {

    String name() {
      return page.name().isEmpty() ? device.name() : device.name() + ", " + page.name();
    }

    Svg picture(double width) {
      double right =
          Math.max(
              device.keys().stream().mapToDouble(k -> k.x() + k.width()).max().orElse(1),
              device.dials().stream().mapToDouble(d -> d.x() + 1).max().orElse(1));
      double wide = Math.min(width - 2 * Svg.AROUND, right * 13);
      return PadDrawing.page(device, page, wide, k -> does.getOrDefault(k, ""));
    }
  }

  /** The page with most of it, if any is plugged in. */
  private static Optional<Shown> pad(Contents contents, Library library, Set<String> plugged) {
    Map<List<String>, List<Contents.Line>> pages = new HashMap<>();
    for (Contents.Line line : contents.lines()) {
      if (line.trigger()
              instanceof
              Trigger.PadKey(String device, String page, String key, Trigger.Duration way)
          && way == Trigger.Duration.TAP
          && plugged.contains(device)) {
        pages.computeIfAbsent(List.of(device, page), x -> new ArrayList<>()).add(line);
      }
    }
    return pages.entrySet().stream()
        .max(
            Comparator.comparingInt(
                    (Map.Entry<List<String>, List<Contents.Line>> e) -> e.getValue().size())
                .thenComparing(e -> e.getKey().toString()))
        .flatMap(
            e ->
                library
                    .device(e.getKey().getFirst())
                    .flatMap(
                        d -> d.page(e.getKey().getLast()).map(p -> shown(d, p, e.getValue()))));
  }

  private static Shown shown(Device device, Page page, List<Contents.Line> lines) {
    Map<String, String> does = new HashMap<>();
    for (Contents.Line line : lines) {
      does.merge(((Trigger.PadKey) line.trigger()).key(), line.does(), (a, b) -> a + " / " + b);
    }
    return new Shown(device, page, does, new HashSet<>(lines));
  }

  private static List<Contents.Group> without(
      List<Contents.Group> groups, Set<Contents.Line> some) {
    return groups.stream()
        .map(
            g ->
                new Contents.Group(
                    g.name(), g.lines().stream().filter(l -> !some.contains(l)).toList()))
        .filter(g -> !g.lines().isEmpty())
        .toList();
  }
}
