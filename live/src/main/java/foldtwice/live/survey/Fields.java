package foldtwice.live.survey;

import foldtwice.live.bus.Bus;
import foldtwice.live.bus.BusException;
import foldtwice.live.bus.Ref;
import foldtwice.live.bus.Role;
import foldtwice.live.bus.Seen;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** The fields, labels and buttons of a dialog, in the order in which they are read. */
public final class Fields {

  /**
   * A field, a label or a button.
   *
   * @param options of a choice
   */
  public record Found(Seen seen, List<Seen> options) {
    public Found {
      options = List.copyOf(options);
    }

    /** True for what something can be written, chosen or ticked in. */
    public boolean isField() {
      return switch (seen.role()) {
        case TEXT,
            ENTRY,
            PASSWORD_TEXT,
            SPIN_BUTTON,
            SLIDER,
            DIAL,
            COMBO_BOX,
            CHECK_BOX,
            TOGGLE_BUTTON ->
            true;
        default -> false;
      };
    }
  }

  private Fields() {}

  /** All of a dialog, row by row. */
  public static List<Found> of(Bus bus, Seen.Tree dialog) throws BusException {
    List<Found> found = new ArrayList<>();
    gather(dialog, found);
    List<Bus.Area> areas = bus.areas(found.stream().map(f -> f.seen().ref()).toList());
    List<Integer> order = new ArrayList<>();
    for (int i = 0; i < areas.size(); i++) {
      order.add(i);
    }
    order.sort(Comparator.comparingInt(i -> middle(areas.get(i))));
    List<Found> all = new ArrayList<>();
    for (int i = 0; i < order.size(); ) {
      Bus.Area first = areas.get(order.get(i));
      int end = i;
      while (end < order.size()
          && middle(areas.get(order.get(end))) - middle(first) <= first.height() / 2) {
        end++;
      }
      order.subList(i, end).stream()
          .sorted(Comparator.comparingInt(k -> areas.get(k).x()))
          .forEach(k -> all.add(found.get(k)));
      i = end;
    }
    return all;
  }

  private static int middle(Bus.Area area) {
    return area.y() + area.height() / 2;
  }

  private static void gather(Seen.Tree at, List<Found> found) {
    for (Seen.Tree t : at.inside()) {
      Seen s = t.top();
      Found one =
          new Found(
              s,
              s.role() == Role.COMBO_BOX
                  ? t.all()
                      .filter(o -> o.role() == Role.MENU_ITEM || o.role() == Role.LIST_ITEM)
                      .toList()
                  : List.of());
      boolean told =
          (s.role() == Role.PUSH_BUTTON || s.role() == Role.LABEL) && !s.name().isEmpty();
      if (s.isShown() && (one.isField() || told)) {
        found.add(one);
      }
      if (!one.isField() && s.role() != Role.PUSH_BUTTON) {
        gather(t, found);
      }
    }
  }

  /**
   * What a field is called: by what labels it, or itself, or else by the label read before it.
   *
   * @param before that label
   */
  public static String label(Bus bus, Found field, Optional<Seen> before) throws BusException {
    Optional<Ref> by = bus.labelOf(field.seen().ref());
    if (by.isPresent()) {
      String name = bus.look(by.get()).name();
      if (!name.isEmpty()) {
        return bare(name);
      }
    }
    boolean itself =
        field.seen().role() != Role.COMBO_BOX
            || field.options().stream().noneMatch(o -> same(o, field));
    if (itself && !field.seen().name().isEmpty()) {
      return bare(field.seen().name());
    }
    return before.map(Seen::name).map(Fields::bare).orElse("");
  }

  private static boolean same(Seen option, Found field) {
    return option.name().equals(field.seen().name());
  }

  /** A label without the colon after it. */
  private static String bare(String name) {
    String plain = name.strip();
    return plain.endsWith(":") ? plain.substring(0, plain.length() - 1).strip() : plain;
  }
}
