package foldtwice.live.survey;

import foldtwice.live.bus.Bus;
import foldtwice.live.bus.BusException;
import foldtwice.live.bus.Late;
import foldtwice.live.bus.Mark;
import foldtwice.live.bus.Ref;
import foldtwice.live.bus.Role;
import foldtwice.live.bus.Seen;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Reads a running program: one look at everything it has, which changes nothing in it. */
public final class Surveyor {

  /** More of one program is not looked at. */
  public static final int MOST = 20_000;

  /** A longer label is cut. */
  private static final int LONGEST = 200;

  /** Of these what is inside is the document's, or of no use. */
  private static final Set<Role> CLOSED =
      EnumSet.of(
          Role.TEXT,
          Role.DOCUMENT_TEXT,
          Role.TERMINAL,
          Role.TABLE,
          Role.TREE,
          Role.TREE_TABLE,
          Role.SPIN_BUTTON);

  private final Bus bus;

  public Surveyor(Bus bus) {
    this.bus = bus;
  }

  /** All a program has. Costs a dozen waits for it, whatever it has. */
  public Survey survey(Ref program) throws BusException {
    Seen.Tree tree = bus.tree(program, s -> !CLOSED.contains(s.role()), MOST);
    Map<List<String>, Survey.Item> items = new LinkedHashMap<>();
    Set<List<String>> twins = new HashSet<>();
    List<Survey.Form> forms = new ArrayList<>();
    List<String> tools = new ArrayList<>();
    List<Survey.Dial> dials = new ArrayList<>();
    boolean text = false;
    for (Seen.Tree window : tree.inside()) {
      if (window.top().role().isDialog()) {
        if (window.top().isShown()) {
          forms.add(form(window));
        }
        continue;
      }
      List<Seen> menus = of(window, Role.MENU_BAR);
      for (Survey.Item item : items(window)) {
        if (items.putIfAbsent(item.path(), item) != null && menus.size() == 1) {
          twins.add(item.path());
        }
      }
      tools(window, false, tools);
      for (Seen s : window.all().toList()) {
        if (s.role().isValue() && s.offers("Value") && !s.name().isEmpty()) {
          Bus.Range r = bus.range(s.ref());
          dials.add(new Survey.Dial(label(s), r.now(), r.least(), r.most(), r.step()));
        }
        text |= s.role().isText() && s.is(Mark.EDITABLE);
      }
    }
    boolean whole = !cut(tree);
    return new Survey(
        tree.top().name(),
        List.copyOf(items.values()),
        List.copyOf(twins),
        tools.stream().distinct().toList(),
        forms,
        dials,
        text,
        whole);
  }

  /** The dialogs of a program that are open, once they stay as they are. */
  public List<Survey.Form> forms(Ref program) throws BusException {
    return Late.settled(() -> formsNow(program));
  }

  private List<Survey.Form> formsNow(Ref program) throws BusException {
    List<Survey.Form> forms = new ArrayList<>();
    for (Seen s : bus.inside(program)) {
      if (s.role().isDialog() && s.isShown()) {
        forms.add(form(bus.tree(s.ref(), t -> !CLOSED.contains(t.role()), MOST)));
      }
    }
    return forms;
  }

  private static boolean cut(Seen.Tree tree) {
    return tree.cut() || tree.inside().stream().anyMatch(Surveyor::cut);
  }

  private static List<Seen> of(Seen.Tree in, Role role) {
    return in.all().filter(s -> s.role() == role).toList();
  }

  private static String label(Seen s) {
    String name = s.name();
    return name.length() > LONGEST ? name.substring(0, LONGEST) : name;
  }

  private List<Survey.Item> items(Seen.Tree window) throws BusException {
    List<Seen> seen = new ArrayList<>();
    List<List<String>> paths = new ArrayList<>();
    menus(window, false, List.of(), seen, paths);
    List<String> keys = bus.keys(seen.stream().map(Seen::ref).toList());
    List<Survey.Item> items = new ArrayList<>();
    for (int i = 0; i < seen.size(); i++) {
      Survey.Ticking ticking =
          switch (seen.get(i).role()) {
            case CHECK_MENU_ITEM -> Survey.Ticking.TURNS;
            case RADIO_MENU_ITEM -> Survey.Ticking.ONE_OF;
            default -> Survey.Ticking.NONE;
          };
      items.add(new Survey.Item(paths.get(i), ticking, keys.get(i), seen.get(i).is(Mark.CHECKED)));
    }
    return items;
  }

  private static void menus(
      Seen.Tree at, boolean inBar, List<String> path, List<Seen> items, List<List<String>> paths) {
    boolean bar = inBar || at.top().role() == Role.MENU_BAR;
    for (Seen.Tree t : at.inside()) {
      Role role = t.top().role();
      boolean named = bar && !t.top().name().isEmpty();
      List<String> deeper = path;
      if (named && (role == Role.MENU || role.isItem())) {
        deeper = new ArrayList<>(path);
        deeper.add(label(t.top()));
      }
      if (named && role.isItem() && t.inside().isEmpty()) {
        items.add(t.top());
        paths.add(deeper);
      } else {
        menus(t, bar, deeper, items, paths);
      }
    }
  }

  private static void tools(Seen.Tree at, boolean inBar, List<String> names) {
    for (Seen.Tree t : at.inside()) {
      Role role = t.top().role();
      boolean bar = inBar || role == Role.TOOL_BAR;
      if (bar
          && (role == Role.PUSH_BUTTON || role == Role.TOGGLE_BUTTON)
          && !t.top().name().isEmpty()) {
        names.add(label(t.top()));
      }
      tools(t, bar, names);
    }
  }

  private Survey.Form form(Seen.Tree dialog) throws BusException {
    List<Survey.Field> fields = new ArrayList<>();
    List<String> buttons = new ArrayList<>();
    Optional<Seen> label = Optional.empty();
    for (Fields.Found found : Fields.of(bus, dialog)) {
      Seen s = found.seen();
      if (s.role() == Role.PUSH_BUTTON) {
        buttons.add(label(s));
      } else if (found.isField()) {
        field(found, Fields.label(bus, found, label)).ifPresent(fields::add);
        label = Optional.empty();
      } else {
        label = Optional.of(s);
      }
    }
    return new Survey.Form(label(dialog.top()), fields, buttons.reversed(), List.of());
  }

  private Optional<Survey.Field> field(Fields.Found found, String label) throws BusException {
    Seen s = found.seen();
    if (label.isEmpty()) {
      return Optional.empty();
    }
    return Optional.of(
        switch (s.role()) {
          case CHECK_BOX, TOGGLE_BUTTON ->
              new Survey.Field(
                  label,
                  Survey.Takes.YES_NO,
                  s.is(Mark.CHECKED) ? "yes" : "no",
                  List.of(),
                  0,
                  0,
                  0);
          case COMBO_BOX -> {
            List<String> options = found.options().stream().map(Surveyor::label).toList();
            String now = bus.chosen(s.ref()).map(Seen::name).orElse(s.name());
            yield new Survey.Field(label, Survey.Takes.CHOICE, now, options, 0, 0, 0);
          }
          case SPIN_BUTTON, SLIDER, DIAL -> {
            Bus.Range r = bus.range(s.ref());
            yield new Survey.Field(
                label,
                Survey.Takes.NUMBER,
                Double.toString(r.now()),
                List.of(),
                r.least(),
                r.most(),
                r.step());
          }
          case PASSWORD_TEXT -> Survey.Field.text(label, "");
          default -> Survey.Field.text(label, s.offers("Text") ? bus.text(s.ref()) : "");
        });
  }
}
