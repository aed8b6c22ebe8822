package foldtwice.table;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.MappingIterator;
import foldtwice.binding.Binding;
import foldtwice.library.Edit;
import foldtwice.library.Ids;
import foldtwice.library.Library;
import foldtwice.library.file.FormatException;
import foldtwice.place.Place;
import foldtwice.routine.Parameter;
import foldtwice.routine.Routine;
import foldtwice.routine.Value;
import foldtwice.routine.ValueException;
import foldtwice.text.Csv;
import foldtwice.text.Encoding;
import foldtwice.text.Refusals;
import foldtwice.trigger.Notation;
import foldtwice.trigger.NotationException;
import foldtwice.trigger.Trigger;
import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.math.BigDecimal;
import java.nio.charset.CharacterCodingException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Bindings as a table (RFC 4180) that can be edited in a spreadsheet and read again. A row without
 * an id is a new binding; one that is left out stays as it is. A cell holds several triggers or
 * arguments in lines of their own.
 *
 * <p>Law: reading what {@link #write} wrote changes nothing.
 */
public final class BindingTable {

  private static final List<String> HEADING =
      List.of("binding", "routine", "does", "place", "triggers", "arguments", "times a week");

  /** More rows are no table a person edits. */
  private static final int MOST = 200_000;

  private BindingTable() {}

  /** What a row comes to. */
  public sealed interface Outcome {

    /** It says what is so. */
    record Same() implements Outcome {}

    /** It says otherwise. */
    record Changed(Binding was, Binding is) implements Outcome {}

    /** A binding that is not there yet. */
    record New(Binding is) implements Outcome {}

    /** It cannot be taken, and why. */
    record Wrong(String why) implements Outcome {}
  }

  /**
   * A row.
   *
   * @param number counted from 2, as spreadsheets do: the heading is 1
   * @param text its cells
   */
  public record Row(int number, String text, Outcome outcome) {}

  /** All bindings of a library. */
  public static String write(Library library) {
    List<List<String>> rows = new ArrayList<>(List.of(HEADING));
    for (Binding b : library.bindings().values()) {
      rows.add(
          List.of(
              Csv.cell(b.id()),
              Csv.cell(b.routine()),
              Csv.cell(library.routineOf(b).map(Routine::name).orElse("")),
              Csv.cell(b.place().id()),
              Csv.cell(triggers(b)),
              Csv.cell(arguments(b)),
              number(b.usesPerWeek())));
    }
    return Csv.write(rows);
  }

  private static String number(double n) {
    return new BigDecimal(Double.toString(n)).stripTrailingZeros().toPlainString();
  }

  private static String triggers(Binding b) {
    return String.join("\n", b.triggers().stream().map(Notation::write).toList());
  }

  private static String arguments(Binding b) {
    List<String> all = new ArrayList<>();
    b.arguments()
        .forEach((name, value) -> all.add(name + "=" + value.shown().replace("\n", "\\n")));
    return String.join("\n", all);
  }

  /**
   * Reads a file with a table, in UTF-8 or UTF-16, against a library.
   *
   * @throws FormatException when it is no table of bindings
   */
  public static List<Row> read(byte[] file, Library library) throws FormatException {
    try {
      return read(Encoding.decoded(file), library);
    } catch (CharacterCodingException e) {
      throw new FormatException(
          Refusals.says("table.table"), Refusals.says("table.expected-text-utf-or"));
    }
  }

  /**
   * Reads a table against a library.
   *
   * @throws FormatException when it is no table of bindings
   */
  public static List<Row> read(String text, Library library) throws FormatException {
    List<Row> rows = new ArrayList<>();
    try (MappingIterator<String[]> in = Csv.read(new StringReader(text))) {
      Map<String, Integer> columns = columns(in.hasNextValue() ? in.nextValue() : new String[0]);
      Reading reading = new Reading(library, columns);
      int number = 2;
      while (in.hasNextValue()) {
        String[] cells = in.nextValue();
        if (rows.size() >= MOST) {
          throw new FormatException(
              Refusals.says("table.row", number),
              Refusals.says("table.expected-at-most-rows", MOST));
        }
        if (!String.join("", cells).isBlank()) {
          rows.add(new Row(number, String.join(", ", cells), reading.row(cells)));
        }
        number++;
      }
    } catch (JsonProcessingException e) {
      throw FormatException.ofTable(e);
    } catch (IOException e) {
      throw new UncheckedIOException("a text is in memory", e);
    }
    return rows;
  }

  private static Map<String, Integer> columns(String[] heading) throws FormatException {
    Map<String, Integer> columns = new HashMap<>();
    for (int i = 0; i < heading.length; i++) {
      columns.putIfAbsent(heading[i].strip().toLowerCase(Locale.ROOT), i);
    }
    if (!columns.containsKey("binding")) {
      throw new FormatException(
          Refusals.says("table.first-row"),
          Refusals.says("table.expected-heading-such-as", String.join(",", HEADING)));
    }
    return columns;
  }

  /** The rows that change something, as one edit. */
  public static Edit taken(List<Row> rows) {
    List<Edit> edits = new ArrayList<>();
    for (Row r : rows) {
      switch (r.outcome()) {
        case Outcome.Changed(Binding was, Binding is) -> edits.add(new Edit.PutBinding(is));
        case Outcome.New(Binding is) -> edits.add(new Edit.PutBinding(is));
        case Outcome.Same s -> {}
        case Outcome.Wrong w -> {}
      }
    }
    return new Edit.Together(edits);
  }

  /** A refusal of a cell. */
  private static final class Refused extends Exception {
    private static final long serialVersionUID = 1;

    Refused(String why) {
      super(why);
    }
  }

  private static final class Reading {
    private final Library library;
    private final Map<String, Integer> columns;
    private final Map<String, Place> places = new HashMap<>();
    private final Set<String> seen = new HashSet<>();

    Reading(Library library, Map<String, Integer> columns) {
      this.library = library;
      this.columns = columns;
      places.put(new Place.Everywhere().id(), new Place.Everywhere());
      library.applications().values().forEach(a -> a.places().forEach(p -> places.put(p.id(), p)));
    }

    private Optional<String> cell(String[] cells, String column) {
      Integer at = columns.get(column);
      return at == null || at >= cells.length ? Optional.empty() : Optional.of(Csv.text(cells[at]));
    }

    Outcome row(String[] cells) {
      try {
        String id = cell(cells, "binding").orElse("");
        Binding was = library.bindings().get(id);
        if (!id.isBlank() && was == null) {
          throw new Refused(Refusals.says("table.there-no-binding-leave", id));
        }
        if (was != null && !seen.add(id)) {
          throw new Refused(Refusals.says("table.row-stands-above-already", id));
        }
        return was == null ? fresh(cells) : changed(was, cells);
      } catch (Refused e) {
        return new Outcome.Wrong(e.getMessage());
      }
    }

    private Outcome changed(Binding was, String[] cells) throws Refused {
      Binding is = was;
      Optional<String> triggers = cell(cells, "triggers");
      if (triggers.isPresent() && !same(triggers.get(), BindingTable.triggers(was))) {
        is = is.withTriggers(triggers(triggers.get(), was));
      }
      Optional<String> place = cell(cells, "place");
      if (place.isPresent() && !place.get().equals(was.place().id())) {
        is = is.withPlace(place(place.get()));
      }
      Optional<String> arguments = cell(cells, "arguments");
      if (arguments.isPresent() && !same(arguments.get(), BindingTable.arguments(was))) {
        is = is.withRoutine(was.routine(), arguments(arguments.get(), routine(was.routine())));
      }
      Optional<String> uses = cell(cells, "times a week");
      if (uses.isPresent() && !uses.get().equals(number(was.usesPerWeek()))) {
        is = is.used(uses(uses.get()));
      }
      String routine = cell(cells, "routine").orElse(was.routine());
      if (!routine.equals(was.routine())) {
        throw new Refused(Refusals.says("table.binding-keeps-its-routine", routine));
      }
      return is.equals(was) ? new Outcome.Same() : new Outcome.Changed(was, is);
    }

    private static boolean same(String a, String b) {
      return a.replace("\r\n", "\n").equals(b.replace("\r\n", "\n"));
    }

    private Outcome fresh(String[] cells) throws Refused {
      Routine routine = routine(cell(cells, "routine").orElse(""));
      Place place = place(cell(cells, "place").orElse(routine.application()));
      String id = Ids.free("b", i -> library.bindings().containsKey(i) || seen.contains(i));
      seen.add(id);
      Binding b =
          Binding.fresh(
              id,
              routine.id(),
              place,
              triggers(cell(cells, "triggers").orElse(""), null),
              arguments(cell(cells, "arguments").orElse(""), routine));
      return new Outcome.New(b.used(uses(cell(cells, "times a week").orElse("0"))));
    }

    private Routine routine(String named) throws Refused {
      Routine byId = library.routines().get(named.strip());
      if (byId != null) {
        return byId;
      }
      List<Routine> byName =
          library.routines().values().stream()
              .filter(r -> r.name().equalsIgnoreCase(named.strip()))
              .toList();
      if (byName.size() != 1) {
        throw new Refused(
            byName.isEmpty()
                ? Refusals.says("table.no-routine", named)
                : Refusals.says("table.several-routines", named));
      }
      return byName.getFirst();
    }

    private Place place(String id) throws Refused {
      Place found = places.get(id.strip());
      if (found == null) {
        throw new Refused(
            Refusals.says("table.there-no-place-expected", id, places.keySet().iterator().next()));
      }
      return found;
    }

    /** Keys as they are written; what is no keys only where the binding has it already. */
    private static List<Trigger> triggers(String text, Binding was) throws Refused {
      List<Trigger> all = new ArrayList<>();
      for (String line : text.lines().map(String::strip).filter(l -> !l.isEmpty()).toList()) {
        Optional<Trigger> known =
            was == null
                ? Optional.empty()
                : was.triggers().stream().filter(t -> Notation.write(t).equals(line)).findFirst();
        try {
          all.add(known.isPresent() ? known.get() : Notation.read(line));
        } catch (NotationException e) {
          throw new Refused(Refusals.says("table.triggers", e.getMessage()));
        }
      }
      return all;
    }

    private static Map<String, Value> arguments(String text, Routine routine) throws Refused {
      Map<String, Value> all = new LinkedHashMap<>();
      for (String line : text.lines().filter(l -> !l.isBlank()).toList()) {
        int equals = line.indexOf('=');
        Optional<Parameter> parameter =
            routine.parameter(equals < 0 ? line : line.substring(0, equals));
        if (equals < 0 || parameter.isEmpty()) {
          throw new Refused(
              Refusals.says("table.arguments-expected-line-such", routine.name(), line));
        }
        try {
          all.put(
              parameter.get().name(),
              parameter.get().kind().read(line.substring(equals + 1).replace("\\n", "\n")));
        } catch (ValueException e) {
          throw new Refused(Refusals.says("table.arguments", e.getMessage()));
        }
      }
      return all;
    }

    private static double uses(String text) throws Refused {
      try {
        double uses = Double.parseDouble(text.strip().replace(',', '.'));
        if (uses >= 0 && uses < 1e9) {
          return uses;
        }
        throw new NumberFormatException(text);
      } catch (NumberFormatException e) {
        throw new Refused(Refusals.says("table.times-week-expected-number", text));
      }
    }
  }
}
