package foldtwice.standin.sketch;

import foldtwice.describe.Description;
import foldtwice.describe.Does;
import foldtwice.describe.While;
import foldtwice.known.Touch;
import foldtwice.routine.Kind;
import foldtwice.routine.Value;
import foldtwice.routine.ValueException;
import foldtwice.run.Reply;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;

/**
 * What something described does, worked out before anything is changed, so that what is refused has
 * changed nothing. What it does is not described whole, it does by name.
 *
 * @param page what the document becomes
 * @param settings what settings become
 * @param focus where the keys go
 * @param steps through the history, back or forth, after the rest
 * @param refused why nothing comes of it
 */
record Deed(
    Page page,
    Map<String, String> settings,
    String focus,
    List<Does> steps,
    Optional<Reply.Refused> refused) {

  /** What a program is, as far as deeds need to know. */
  interface On {
    /** The values it has in its version. */
    List<Description.Adjustable> values();

    default Optional<Description.Adjustable> value(String name) {
      return values().stream().filter(v -> v.name().equals(name)).findFirst();
    }

    /** The setting of this name that it has in its version. */
    Optional<Description.Setting> setting(String name);

    Optional<Description.Thing> thing(String kind);

    /** True for a context the keys can go to. */
    boolean isContext(String id);

    /** While it is in a context, where that is said. */
    Optional<While> holds(String context);
  }

  /**
   * True for what can be done as it is described: all that it names is there. Anything else is done
   * by name.
   *
   * @param fields the labels of the fields of its dialog
   */
  static boolean isKnown(Does one, On on, Set<String> fields) {
    return switch (one) {
      case Does.Sets(String setting, Does.Given to) ->
          on.setting(setting).isPresent() && isThere(to, fields);
      case Does.Turns(String setting) -> on.setting(setting).isPresent();
      case Does.Gives(String value, Does.Given to) ->
          on.value(value).isPresent() && isThere(to, fields);
      case Does.Raises(String value, Does.Given by) ->
          on.value(value).isPresent() && isThere(by, fields);
      case Does.Adds(String kind) -> on.thing(kind).isPresent();
      case Does.Leads(String context) -> on.isContext(context);
      case Does.Selects s -> true;
      case Does.Removes r -> true;
      case Does.Undoes u -> true;
      case Does.Redoes r -> true;
      case Does.Changes c -> true;
    };
  }

  private static boolean isThere(Does.Given given, Set<String> fields) {
    return !(given instanceof Does.Given.Field(String label)) || fields.contains(label);
  }

  /** Nothing done yet. */
  static Deed on(Page page, Map<String, String> settings, String focus) {
    return new Deed(page, settings, focus, List.of(), Optional.empty());
  }

  /**
   * After all of these.
   *
   * @param all each {@linkplain #isKnown known}
   * @param name of what does them, such as {@code command Mirror}
   * @param fields what stands in the fields of its dialog, by label
   */
  Deed after(List<Does> all, String name, On on, Function<String, String> fields) {
    if (all.isEmpty()) {
      return byName(name);
    }
    Deed next = this;
    for (Does one : all) {
      if (next.refused.isPresent()) {
        return next;
      }
      next = next.after(one, name, on, fields);
    }
    return next;
  }

  private Deed after(Does one, String name, On on, Function<String, String> fields) {
    return switch (one) {
      case Does.Sets(String setting, Does.Given to) ->
          set(on.setting(setting).orElseThrow(), said(to, fields));
      case Does.Turns(String setting) -> turned(on.setting(setting).orElseThrow());
      case Does.Gives(String value, Does.Given to) ->
          given(on.value(value).orElseThrow(), said(to, fields), true);
      case Does.Raises(String value, Does.Given by) ->
          given(on.value(value).orElseThrow(), said(by, fields), false);
      case Does.Selects(Does.Which which) -> selected(which);
      case Does.Adds(String kind) -> with(page.adding(on.thing(kind).orElseThrow(), on.values()));
      case Does.Removes r -> onSelection().orElseGet(() -> with(page.removing()));
      case Does.Leads(String context) -> led(context, on.holds(context));
      case Does.Undoes u -> then(u);
      case Does.Redoes r -> then(r);
      case Does.Changes(Touch touch) -> byName(word(touch) + name);
    };
  }

  private Deed led(String context, Optional<While> holds) {
    Optional<Page> then = holds.isEmpty() ? Optional.of(page) : page.during(holds.get());
    return then.isEmpty()
        ? refused(While.write(holds.get()), "nothing of that kind")
        : new Deed(then.get(), settings, context, steps, refused);
  }

  private Deed then(Does step) {
    List<Does> more = new ArrayList<>(steps);
    more.add(step);
    return new Deed(page, settings, focus, more, refused);
  }

  /** How the state names what was done to something of a kind. */
  private static String word(Touch touch) {
    return switch (touch) {
      case VIEW -> "view ";
      case FILES -> "file ";
      case WINDOWS -> "window ";
      case CLIPBOARD -> "clipboard ";
      case SELECTION -> "selection ";
      case DATA -> "data ";
      case UNDO_HISTORY -> "undo history ";
      case OBJECTS -> "";
    };
  }

  /** What is given. */
  private static String said(Does.Given given, Function<String, String> fields) {
    return switch (given) {
      case Does.Given.Is(String text) -> text;
      case Does.Given.Field(String label) -> fields.apply(label);
    };
  }

  private Deed set(Description.Setting setting, String to) {
    if (!setting.options().contains(to)) {
      return refused("one of " + String.join(", ", setting.options()), to);
    }
    Map<String, String> next = new LinkedHashMap<>(settings);
    next.put(setting.name(), to);
    return new Deed(page, next, focus, steps, refused);
  }

  private Deed turned(Description.Setting setting) {
    List<String> options = setting.options();
    int now = options.indexOf(settings.get(setting.name()));
    return set(setting, options.get((now + 1) % options.size()));
  }

  private Deed given(Description.Adjustable of, String said, boolean whole) {
    Optional<Deed> nothing = onSelection();
    if (nothing.isPresent()) {
      return nothing.get();
    }
    try {
      Value.Quantity amount = Kind.quantity(said, of.range().least().scale());
      if (whole) {
        of.range().check(amount);
      }
      Page next = page;
      for (Page.Thing t : page.chosen()) {
        Value.Quantity now = t.values().get(of.name());
        if (now != null) {
          next =
              next.with(t.with(of.name(), whole ? amount : within(of.range(), now.plus(amount))));
        }
      }
      return with(next);
    } catch (ValueException e) {
      return refused(e.allowed(), e.found());
    }
  }

  private static Value.Quantity within(Kind.Measure range, Value.Quantity amount) {
    if (amount.compareTo(range.least()) < 0) {
      return range.least();
    }
    return amount.compareTo(range.most()) > 0 ? range.most() : amount;
  }

  private Deed selected(Does.Which which) {
    List<String> names = page.names();
    int at = page.selected().isEmpty() ? -1 : names.indexOf(page.selected().getLast());
    return switch (which) {
      case ALL -> with(page.selecting(names));
      case NOTHING -> with(page.selecting(List.of()));
      case NEXT ->
          at + 1 < names.size()
              ? with(page.selecting(List.of(names.get(at + 1))))
              : refused("one more", "the end");
      case PREVIOUS ->
          at > 0
              ? with(page.selecting(List.of(names.get(at - 1))))
              : refused("one before", "the beginning");
    };
  }

  /** A refusal where nothing is selected. */
  Optional<Deed> onSelection() {
    return page.selected().isEmpty()
        ? Optional.of(refused("something selected", "nothing selected"))
        : Optional.empty();
  }

  private Deed with(Page next) {
    return new Deed(next, settings, focus, steps, refused);
  }

  private Deed byName(String name) {
    return with(page.doing(name));
  }

  private Deed refused(String expected, String found) {
    return new Deed(page, settings, focus, steps, Optional.of(new Reply.Refused(expected, found)));
  }
}
