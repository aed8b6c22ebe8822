package foldtwice.collecting;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.MappingIterator;
import foldtwice.extras.Extras;
import foldtwice.library.FreeIds;
import foldtwice.library.Ids;
import foldtwice.place.Application;
import foldtwice.place.Danger;
import foldtwice.place.NativeCommand;
import foldtwice.place.Place;
import foldtwice.text.Csv;
import foldtwice.text.DiskWords;
import foldtwice.text.Encoding;
import foldtwice.text.Refusals;
import foldtwice.trigger.Notation;
import foldtwice.trigger.NotationException;
import foldtwice.trigger.Trigger;
import java.io.IOException;
import java.io.StringReader;
import java.nio.charset.CharacterCodingException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import java.util.function.LongConsumer;
import java.util.regex.Pattern;

/**
 * A list of an application's commands from a table (RFC 4180, its fields parted by commas,
 * semicolons, tabs or bars): the first row names the columns. What is wrong is told line by line;
 * the other lines are taken. Costs one pass over the table.
 */
public final class CommandList {

  /** More rows are refused. */
  public static final int MOST_ROWS = 1_000_000;

  /** Larger files are not read, in bytes. */
  public static final long LARGEST = 100_000_000;

  /** More columns, or different fields of objects, are refused. */
  public static final int MOST_COLUMNS = 200;

  /** How many faults are told one by one. */
  public static final int MOST_FAULTS = 100;

  /** What a column can hold. */
  public enum Column {
    NAME,
    MENU,
    KEYS,
    GROUP,
    USES,
    DANGER;

    private static final Map<Column, Pattern> NAMES =
        new EnumMap<>(
            Map.of(
                NAME, Pattern.compile("name|command|title|label"),
                MENU, Pattern.compile("menu.*|path"),
                KEYS, Pattern.compile("keys?|shortcut|trigger"),
                GROUP, Pattern.compile("group|category|heading"),
                USES, Pattern.compile("uses.*|count|frequency"),
                DANGER, Pattern.compile("danger")));

    /** The column a heading most likely is. */
    static Optional<Column> of(String heading) {
      String plain = heading.strip().toLowerCase(Locale.ROOT);
      return Arrays.stream(values()).filter(c -> NAMES.get(c).matcher(plain).matches()).findFirst();
    }
  }

  /** A row that cannot be taken as it is. */
  public record Fault(long line, String expected, String found) {}

  /** A table as it was read. */
  public record Table(char separator, List<String> headings, List<Row> rows) {
    public Table {
      headings = List.copyOf(headings);
      rows = List.copyOf(rows);
    }

    /** Which column is where, guessed from the headings. */
    public Map<Column, Integer> guess() {
      Map<Column, Integer> columns = new EnumMap<>(Column.class);
      for (int i = 0; i < headings.size(); i++) {
        int at = i;
        Column.of(headings.get(i)).ifPresent(c -> columns.putIfAbsent(c, at));
      }
      return columns;
    }
  }

  /** One row. */
  public record Row(long line, List<String> cells) {
    public Row {
      cells = List.copyOf(cells);
    }

    String cell(Integer column) {
      return column == null || column >= cells.size() ? "" : cells.get(column).strip();
    }
  }

  /**
   * What a table comes to.
   *
   * @param faults the first {@value #MOST_FAULTS} of them
   * @param faulty how many lines have one
   */
  public record Commands(List<NativeCommand> commands, List<Fault> faults, int faulty) {
    public Commands {
      commands = List.copyOf(commands);
      faults = List.copyOf(faults);
    }
  }

  /** A table that cannot be read at all. */
  public static final class UnreadableException extends Exception {
    private static final long serialVersionUID = 1L;

    UnreadableException(String what) {
      super(what);
    }
  }

  private CommandList() {}

  /**
   * Reads a table: with separators, or as JSON the way {@link CommandListJson} says.
   *
   * @param progress told the number of rows now and then
   * @param cancelled asked now and then; when it is true, reading ends with an exception
   */
  public static Table read(byte[] bytes, LongConsumer progress, BooleanSupplier cancelled)
      throws UnreadableException {
    if (bytes.length > LARGEST) {
      throw new UnreadableException(Refusals.says("collecting.too-large", LARGEST, bytes.length));
    }
    String text;
    try {
      text = Encoding.decoded(bytes);
    } catch (CharacterCodingException e) {
      throw new UnreadableException(Refusals.says("collecting.expected-text-utf-or"));
    }
    if (text.isBlank()) {
      throw new UnreadableException(Refusals.says("collecting.no-table"));
    }
    if (text.stripLeading().startsWith("{") || text.stripLeading().startsWith("[")) {
      return CommandListJson.read(text, progress, cancelled);
    }
    char separator = Csv.separator(text.lines().findFirst().orElse(""));
    List<Row> rows = new ArrayList<>();
    try (MappingIterator<String[]> all = Csv.read(new StringReader(text), separator)) {
      while (all.hasNextValue()) {
        long line = all.getCurrentLocation().getLineNr();
        String[] cells = all.nextValue();
        if (cells.length > MOST_COLUMNS) {
          throw new UnreadableException(
              Refusals.says("collecting.many-columns", line, MOST_COLUMNS));
        }
        if (Arrays.stream(cells).anyMatch(c -> !c.isBlank())) {
          rows.add(new Row(line, Arrays.asList(cells)));
        }
        if (rows.size() > MOST_ROWS + 1) {
          throw new UnreadableException(Refusals.says("collecting.many-rows", MOST_ROWS));
        }
        if (rows.size() % 5000 == 0) {
          progress.accept(rows.size());
          if (cancelled.getAsBoolean()) {
            throw new UnreadableException(Refusals.says("collecting.given-up", rows.size()));
          }
        }
      }
    } catch (JsonProcessingException e) {
      throw new UnreadableException(
          Refusals.says("collecting.torn-table", where(e), e.getOriginalMessage()));
    } catch (IOException e) {
      throw new UnreadableException(
          Refusals.says("collecting.it-cannot-be-read", DiskWords.reason(e)));
    }
    if (rows.size() < 2) {
      throw new UnreadableException(Refusals.says("collecting.no-rows"));
    }
    return new Table(separator, rows.getFirst().cells(), rows.subList(1, rows.size()));
  }

  /** The line of a complaint, where it has one. */
  static String where(JsonProcessingException e) {
    return e.getLocation() == null ? "" : "line " + e.getLocation().getLineNr() + ": ";
  }

  /**
   * The commands in a table.
   *
   * @param application id of the application they belong to
   * @param columns which column is where; {@link Column#NAME} or {@link Column#MENU} is needed
   */
  public static Commands commands(Table table, Map<Column, Integer> columns, String application) {
    List<NativeCommand> commands = new ArrayList<>();
    List<Fault> faults = new ArrayList<>();
    FreeIds ids = new FreeIds();
    int faulty = 0;
    for (Row row : table.rows()) {
      try {
        commands.add(command(row, columns, application, ids));
      } catch (FaultyRow e) {
        faulty++;
        if (faults.size() < MOST_FAULTS) {
          faults.add(e.fault);
        }
      }
    }
    return new Commands(commands, faults, faulty);
  }

  private static final class FaultyRow extends Exception {
    private static final long serialVersionUID = 1L;
    private final transient Fault fault;

    FaultyRow(Row row, String expected, String found) {
      super(expected, null, false, false);
      fault = new Fault(row.line(), expected, found);
    }
  }

  private static NativeCommand command(
      Row row, Map<Column, Integer> columns, String application, FreeIds ids) throws FaultyRow {
    List<String> menu =
        Arrays.stream(row.cell(columns.get(Column.MENU)).split("[>\u203a]"))
            .map(String::strip)
            .filter(l -> !l.isEmpty())
            .toList();
    String name = row.cell(columns.get(Column.NAME));
    if (name.isEmpty() && !menu.isEmpty()) {
      name = menu.getLast();
    }
    if (name.isEmpty()) {
      throw new FaultyRow(row, "a name or a menu path", "neither");
    }
    List<Trigger> triggers = new ArrayList<>();
    String keys = row.cell(columns.get(Column.KEYS));
    try {
      if (!keys.isEmpty()) {
        triggers.add(Notation.read(keys));
      }
    } catch (NotationException e) {
      throw new FaultyRow(row, "keys such as Ctrl+Shift+M", keys);
    }
    String group = row.cell(columns.get(Column.GROUP));
    return new NativeCommand(
        ids.take(Ids.of(name, "command")),
        name,
        group.isEmpty() && menu.size() > 1 ? menu.getFirst() : group,
        menu,
        triggers,
        new Place.Whole(application),
        uses(row, columns),
        danger(row, columns),
        Optional.empty(),
        Extras.NONE);
  }

  private static double uses(Row row, Map<Column, Integer> columns) throws FaultyRow {
    String uses = row.cell(columns.get(Column.USES));
    if (uses.isEmpty()) {
      return 0;
    }
    if (!uses.matches("\\d{1,9}([.,]\\d{1,6})?")) {
      throw new FaultyRow(row, "uses a week as a number", uses);
    }
    return Double.parseDouble(uses.replace(',', '.'));
  }

  private static Danger danger(Row row, Map<Column, Integer> columns) throws FaultyRow {
    String danger = row.cell(columns.get(Column.DANGER)).toUpperCase(Locale.ROOT);
    if (danger.isEmpty()) {
      return Danger.NONE;
    }
    for (Danger d : Danger.values()) {
      if (d.name().equals(danger)) {
        return d;
      }
    }
    throw new FaultyRow(row, "saves, deletes or prints", danger.toLowerCase(Locale.ROOT));
  }

  /** A new application with these commands; it is one place, has no rules and any version. */
  public static Application application(String id, String name, List<NativeCommand> commands) {
    return new Application(id, name, "", List.of(), commands, List.of(), List.of(), Extras.NONE);
  }
}
