package foldtwice.table;

import foldtwice.describe.Description;
import foldtwice.describe.DoesNotation;
import foldtwice.extras.Extras;
import foldtwice.library.FreeIds;
import foldtwice.library.Ids;
import foldtwice.place.Application;
import foldtwice.place.Context;
import foldtwice.place.Danger;
import foldtwice.place.NativeCommand;
import foldtwice.place.Place;
import foldtwice.routine.ValueException;
import foldtwice.table.Part.Column;
import foldtwice.table.Tables.Reading;
import foldtwice.text.Refusals;
import foldtwice.trigger.Notation;
import foldtwice.trigger.Trigger;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * Commands as rows. What a command has that no column shows, it keeps; so it keeps what a cell
 * shows that has not been changed.
 */
final class CommandRows {

  private static final String SELECTION = "selection";
  private static final String OR = " or ";

  private CommandRows() {}

  static List<Row> rows(Application application, Description d) {
    Map<String, Description.Command> says = new HashMap<>();
    d.commands().forEach(c -> says.putIfAbsent(c.id(), c));
    return application.commands().stream()
        .map(
            c ->
                row(application, c, says.getOrDefault(c.id(), Description.Command.unknown(c.id()))))
        .toList();
  }

  private static Row row(Application application, NativeCommand c, Description.Command says) {
    Map<Column, String> cells = new EnumMap<>(Column.class);
    cells.put(Column.NAME, c.name());
    cells.put(Column.MENU, menu(c.menuPath()));
    cells.put(Column.KEYS, keys(c.triggers()));
    cells.put(Column.WHERE, where(application, c.place()));
    cells.put(Column.DOES, DoesNotation.write(says.does()));
    cells.put(Column.OPENS, says.opens());
    cells.put(Column.USES, uses(c.usesPerWeek()));
    cells.put(Column.GROUP, c.group());
    cells.put(Column.DANGER, danger(c.danger()));
    cells.put(Column.NEEDS, needs(says));
    cells.put(Column.VERSIONS, Cells.span(says.span()));
    return new Row(c.id(), cells);
  }

  private static String menu(List<String> path) {
    return String.join(" \u203a ", path);
  }

  private static String keys(List<Trigger> triggers) {
    return triggers.stream().map(Notation::write).collect(Collectors.joining(OR));
  }

  private static String where(Application application, Place place) {
    return place instanceof Place.Within(var id, String context)
        ? application.context(context).map(Context::name).orElse(context)
        : "";
  }

  private static String uses(double a) {
    return a == 0 ? "" : a == Math.rint(a) ? Long.toString((long) a) : Double.toString(a);
  }

  private static String danger(Danger danger) {
    return danger == Danger.NONE ? "" : danger.name().toLowerCase(Locale.ROOT);
  }

  private static String needs(Description.Command says) {
    List<String> all = new ArrayList<>();
    if (says.onSelection()) {
      all.add(SELECTION);
    }
    if (!says.addOn().isEmpty()) {
      all.add(says.addOn());
    }
    return Cells.list(all);
  }

  static Read.Made read(List<Row> rows, Application application, Description d, Reading reading) {
    Map<String, NativeCommand> were = new HashMap<>();
    application.commands().forEach(c -> were.put(c.id(), c));
    FreeIds ids = new FreeIds();
    rows.stream().map(Row::id).filter(id -> !id.isEmpty()).forEach(ids::take);
    List<Description.Command> says = new ArrayList<>();
    List<NativeCommand> commands =
        reading.each(
            rows,
            r -> {
              NativeCommand c = command(r, were.get(r.id()), application, ids, reading);
              Description.Command said = says(r, c.id(), reading);
              if (!said.equals(Description.Command.unknown(c.id()))) {
                says.add(said);
              }
              return c;
            });
    return new Read.Made(application.withCommands(commands), d.withCommands(says));
  }

  private static NativeCommand command(
      Row r, NativeCommand was, Application application, FreeIds ids, Reading reading) {
    List<String> menu =
        was != null && r.cell(Column.MENU).equals(menu(was.menuPath()))
            ? was.menuPath()
            : Arrays.stream(r.cell(Column.MENU).split("[>\u203a]"))
                .map(String::strip)
                .filter(l -> !l.isEmpty())
                .toList();
    String name = r.cell(Column.NAME).strip();
    if (was != null && r.cell(Column.NAME).equals(was.name())) {
      name = was.name();
    } else if (name.isEmpty()) {
      name =
          menu.isEmpty() ? reading.needed(r, Column.NAME, "a name or a menu path") : menu.getLast();
    }
    String id = was == null ? ids.take(Ids.of(name, "command")) : was.id();
    List<Trigger> triggers =
        was != null && r.cell(Column.KEYS).equals(keys(was.triggers()))
            ? was.triggers()
            : reading.cell(r, Column.KEYS, CommandRows::triggers, List.of());
    Place place =
        was != null && r.cell(Column.WHERE).equals(where(application, was.place()))
            ? was.place()
            : reading.cell(
                r,
                Column.WHERE,
                text -> place(application, text),
                new Place.Whole(application.id()));
    double uses =
        was != null && r.cell(Column.USES).equals(uses(was.usesPerWeek()))
            ? was.usesPerWeek()
            : reading.cell(r, Column.USES, CommandRows::number, 0.0);
    Danger danger = reading.cell(r, Column.DANGER, CommandRows::danger, Danger.NONE);
    NativeCommand next =
        new NativeCommand(
            id,
            name,
            group(r, was, menu),
            menu,
            was == null ? triggers : was.triggers(),
            was == null ? Optional.empty() : was.defaults(),
            place,
            uses,
            danger,
            was == null ? Optional.empty() : was.finding(),
            was == null ? Extras.NONE : was.extras());
    return was == null || triggers.equals(was.triggers()) ? next : next.withTriggers(triggers);
  }

  private static String group(Row r, NativeCommand was, List<String> menu) {
    return was == null && r.cell(Column.GROUP).isEmpty() && menu.size() > 1
        ? menu.getFirst()
        : r.cell(Column.GROUP);
  }

  private static List<Trigger> triggers(String text) {
    List<Trigger> all = new ArrayList<>();
    for (String one : text.split(OR)) {
      if (!one.isBlank()) {
        try {
          all.add(Notation.read(one));
        } catch (foldtwice.trigger.NotationException e) {
          throw new ValueException(one, Refusals.says("table.keys-such-as-ctrl"));
        }
      }
    }
    return all;
  }

  private static Place place(Application application, String text) {
    String plain = text.strip();
    if (plain.isEmpty()) {
      return new Place.Whole(application.id());
    }
    return application.allContexts().stream()
        .filter(c -> c.name().equalsIgnoreCase(plain) || c.id().equals(plain))
        .findFirst()
        .<Place>map(c -> new Place.Within(application.id(), c.id()))
        .orElseThrow(
            () ->
                new ValueException(
                    plain,
                    application.allContexts().isEmpty()
                        ? "nothing, while the program has no contexts"
                        : "one of "
                            + Cells.list(
                                application.allContexts().stream().map(Context::name).toList())));
  }

  private static double number(String text) {
    if (text.isBlank()) {
      return 0;
    }
    if (!text.strip().matches("\\d{1,9}([.,]\\d{1,6})?")) {
      throw new ValueException(text, Refusals.says("table.uses-week-as-number"));
    }
    return Double.parseDouble(text.strip().replace(',', '.'));
  }

  private static Danger danger(String text) {
    if (text.isBlank()) {
      return Danger.NONE;
    }
    return Arrays.stream(Danger.values())
        .filter(x -> x != Danger.NONE && danger(x).equalsIgnoreCase(text.strip()))
        .findFirst()
        .orElseThrow(
            () -> new ValueException(text, Refusals.says("table.saves-deletes-or-prints")));
  }

  private static Description.Command says(Row r, String id, Reading reading) {
    List<String> needs = new ArrayList<>(reading.cell(r, Column.NEEDS, Cells::list, List.of()));
    boolean selection = needs.remove(SELECTION);
    if (needs.size() > 1) {
      reading.fault(Column.NEEDS, Refusals.says("table.selection-add-on-or"), r.cell(Column.NEEDS));
    }
    return new Description.Command(
        id,
        reading.cell(r, Column.DOES, DoesNotation::readAll, List.of()),
        r.cell(Column.OPENS),
        selection,
        needs.isEmpty() ? "" : needs.getFirst(),
        PartRows.span(r, reading));
  }
}
