package foldtwice.describe;

import foldtwice.place.Application;
import foldtwice.routine.ValueException;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * Something in a description that does not go with the rest of it. The description is kept as it
 * is; what the slip is about is taken as not described.
 *
 * @param kind what is wrong
 * @param where the part of the description, such as a command's id or {@code dialog › button}
 * @param what the name that does not go with the rest
 */
public record Slip(Kind kind, String where, String what) {

  /** What can be wrong. */
  public enum Kind {
    NO_COMMAND,
    NO_DIALOG,
    NO_SETTING,
    NO_OPTION,
    NO_VALUE,
    NO_THING,
    NO_CONTEXT,
    NO_FIELD,
    NOBODY_OPENS,
    TWICE,
    NEVER_THERE,
    OUT_OF_RANGE
  }

  /** All of a description, with the application it is of. */
  public static List<Slip> of(Application application, Description d) {
    return new Looking(application, d).all();
  }

  /** One look through a description. */
  private static final class Looking {
    private final Application application;
    private final Description d;
    private final List<Slip> slips = new ArrayList<>();

    Looking(Application application, Description d) {
      this.application = application;
      this.d = d;
    }

    List<Slip> all() {
      twice();
      Set<String> ids = new HashSet<>();
      application.commands().forEach(c -> ids.add(c.id()));
      Set<String> titles = new HashSet<>();
      d.dialogs().forEach(x -> titles.add(x.title()));
      Set<String> opened = new HashSet<>();
      for (Description.Command c : d.commands()) {
        if (!ids.contains(c.id())) {
          add(Kind.NO_COMMAND, c.id(), c.id());
        }
        if (!c.opens().isEmpty() && !titles.contains(c.opens())) {
          add(Kind.NO_DIALOG, c.id(), c.opens());
        }
        opened.add(c.opens());
        never(c.span(), c.id());
        does(c.does(), c.id(), Set.of());
      }
      for (Description.Dialog x : d.dialogs()) {
        if (!opened.contains(x.title())) {
          add(Kind.NOBODY_OPENS, x.title(), x.title());
        }
        never(x.span(), x.title());
        Set<String> labels = new HashSet<>();
        for (Description.Field f : x.fields()) {
          labels.add(f.label());
          if (!f.unitOf().isEmpty()
              && d.settings().stream().noneMatch(s -> s.name().equals(f.unitOf()))) {
            add(Kind.NO_SETTING, x.title() + " \u203a " + f.label(), f.unitOf());
          }
        }
        x.buttons().forEach(b -> does(b.does(), x.title() + " \u203a " + b.label(), labels));
      }
      for (Description.Action a : d.actions()) {
        Set<String> names = new HashSet<>();
        a.parameters().forEach(p -> names.add(p.name()));
        does(a.does(), a.name(), names);
        a.contexts().stream()
            .filter(c -> application.context(c).isEmpty())
            .forEach(c -> add(Kind.NO_CONTEXT, a.name(), c));
      }
      d.things()
          .forEach(
              t ->
                  t.values().stream()
                      .filter(v -> d.values().stream().noneMatch(a -> a.name().equals(v)))
                      .forEach(v -> add(Kind.NO_VALUE, t.kind(), v)));
      d.states().forEach(s -> state(s, titles));
      d.settings().forEach(s -> never(s.span(), s.name()));
      d.values().forEach(v -> never(v.span(), v.name()));
      return List.copyOf(slips);
    }

    private void state(Description.State state, Set<String> titles) {
      if (application.context(state.context()).isEmpty()
          || application.isByPointer(state.context())) {
        add(Kind.NO_CONTEXT, state.context(), state.context());
      }
      switch (state.holds()) {
        case While.Selected(String kind) -> {
          if (!kind.isEmpty() && d.things().stream().noneMatch(t -> t.kind().equals(kind))) {
            add(Kind.NO_THING, state.context(), kind);
          }
        }
        case While.DialogOpen(String title) -> {
          if (!title.isEmpty() && !titles.contains(title)) {
            add(Kind.NO_DIALOG, state.context(), title);
          }
        }
        case While.NothingSelected n -> {}
        case While.Document x -> {}
      }
    }

    private void twice() {
      twice(d.states().stream().map(Description.State::context).toList());
      twice(d.commands().stream().map(c -> c.id() + " " + c.span()).toList());
      twice(d.dialogs().stream().map(x -> x.title() + " " + x.span()).toList());
      twice(d.settings().stream().map(s -> s.name() + " " + s.span()).toList());
      twice(d.values().stream().map(v -> v.name() + " " + v.span()).toList());
      twice(d.things().stream().map(Description.Thing::kind).toList());
      d.dialogs()
          .forEach(
              x -> {
                twice(x.fields().stream().map(Description.Field::label).toList());
                twice(x.buttons().stream().map(Description.Button::label).toList());
              });
    }

    private void twice(List<String> names) {
      Set<String> seen = new HashSet<>();
      names.stream()
          .filter(n -> !seen.add(n))
          .forEach(n -> add(Kind.TWICE, n.replaceFirst(" Span\\[.*$", ""), n));
    }

    private void never(Span span, String where) {
      if (!span.since().isEmpty() && !span.until().isEmpty() && !span.has(span.since())) {
        add(Kind.NEVER_THERE, where, span.since() + " \u2026 " + span.until());
      }
    }

    private void does(List<Does> all, String where, Set<String> fields) {
      for (Does one : all) {
        switch (one) {
          case Does.Sets(String setting, Does.Given to) -> {
            field(to, where, fields);
            d.settings().stream()
                .filter(s -> s.name().equals(setting))
                .findFirst()
                .ifPresentOrElse(
                    s -> option(s, to, where), () -> add(Kind.NO_SETTING, where, setting));
          }
          case Does.Turns(String setting) -> {
            if (d.settings().stream().noneMatch(s -> s.name().equals(setting))) {
              add(Kind.NO_SETTING, where, setting);
            }
          }
          case Does.Gives(String value, Does.Given to) -> value(value, to, true, where, fields);
          case Does.Raises(String value, Does.Given by) -> value(value, by, false, where, fields);
          case Does.Adds(String kind) -> {
            if (d.things().stream().noneMatch(t -> t.kind().equals(kind))) {
              add(Kind.NO_THING, where, kind);
            }
          }
          case Does.Leads(String context) -> {
            if (application.context(context).filter(c -> !c.groupOnly()).isEmpty()
                || application.isByPointer(context)) {
              add(Kind.NO_CONTEXT, where, context);
            }
          }
          case Does.Selects s -> {}
          case Does.Removes r -> {}
          case Does.Undoes u -> {}
          case Does.Redoes r -> {}
          case Does.Changes c -> {}
        }
      }
    }

    private void option(Description.Setting setting, Does.Given to, String where) {
      if (to instanceof Does.Given.Is(String text) && !setting.options().contains(text)) {
        add(Kind.NO_OPTION, where, text);
      }
    }

    private void value(
        String value, Does.Given given, boolean whole, String where, Set<String> fields) {
      field(given, where, fields);
      Description.Adjustable of =
          d.values().stream().filter(v -> v.name().equals(value)).findFirst().orElse(null);
      if (of == null) {
        add(Kind.NO_VALUE, where, value);
      } else if (given instanceof Does.Given.Is(String text)) {
        try {
          var amount = foldtwice.routine.Kind.quantity(text, of.range().least().scale());
          if (whole) {
            of.range().check(amount);
          }
        } catch (ValueException e) {
          add(Kind.OUT_OF_RANGE, where, text);
        }
      }
    }

    private void field(Does.Given given, String where, Set<String> fields) {
      if (given instanceof Does.Given.Field(String label) && !fields.contains(label)) {
        add(Kind.NO_FIELD, where, label);
      }
    }

    private void add(Kind kind, String where, String what) {
      slips.add(new Slip(kind, where, what));
    }
  }
}
