package foldtwice.effort;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.MappingIterator;
import foldtwice.binding.Binding;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.library.file.FormatException;
import foldtwice.text.Csv;
import foldtwice.text.Refusals;
import foldtwice.trigger.Notation;
import foldtwice.trigger.NotationException;
import foldtwice.trigger.Trigger;
import java.io.IOException;
import java.io.Reader;
import java.nio.charset.CharacterCodingException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.LongPredicate;
import java.util.stream.LongStream;

/**
 * How often bindings were fired, read from a table: a heading, then a row for each firing or for
 * each day. Columns in any order: "when" (ISO 8601, a day or a moment), "binding" (an id), or
 * "place" and "trigger" instead, "count" (1 unless said), "station". Cells are parted by commas,
 * semicolons, tabs or bars, whichever the heading has most.
 *
 * @param counts by the id of the binding
 * @param weekly how often in each whole week (from Monday on, UTC) the log is of, by the id of the
 *     binding
 * @param first the earliest moment in it
 * @param last the latest, wherever they stand
 * @param rows that were counted
 * @param repeated rows that stand in it twice, counted once
 * @param unknown what rows could not be counted, and why, the first {@value #TOLD} of them
 * @param uncounted how many rows those are
 */
public record UseLog(
    Map<String, Long> counts,
    Map<String, List<Long>> weekly,
    Optional<Instant> first,
    Optional<Instant> last,
    long rows,
    long repeated,
    List<String> unknown,
    long uncounted) {

  private static final int TOLD = 8;

  /** Trends are looked for in so many weeks at most: four years. */
  private static final long LONGEST = 208;

  /** Counts beyond reason are no counts. */
  private static final long MOST = 1_000_000_000L;

  public UseLog {
    counts = Map.copyOf(counts);
    weekly = Map.copyOf(weekly);
    unknown = List.copyOf(unknown);
  }

  /**
   * Reads a log. A million rows take a few seconds.
   *
   * @param goesOn asked now and then with how many rows were read; false ends it, with what there
   *     is
   * @throws FormatException when the heading names no column that is needed, or it is no table
   */
  public static UseLog read(Reader in, Library library, LongPredicate goesOn)
      throws IOException, FormatException {
    Reading reading = new Reading(library);
    try (MappingIterator<String[]> rows = Csv.read(in)) {
      reading.columns(rows.hasNextValue() ? rows.nextValue() : new String[0]);
      long n = 0;
      while (rows.hasNextValue()) {
        reading.row(rows.nextValue());
        if (++n % 4096 == 0 && !goesOn.test(n)) {
          break;
        }
      }
    } catch (JsonProcessingException e) {
      throw FormatException.ofTable(e);
    } catch (CharacterCodingException e) {
      throw new FormatException(
          Refusals.says("effort.table"), Refusals.says("effort.expected-text-utf-found"));
    }
    return reading.result();
  }

  /**
   * A binding that is used ever less.
   *
   * @param before how often a week in the first half of the log
   * @param now in the second
   */
  public record Fading(String binding, double before, double now) {}

  /** What is used ever less, what has lost most first; nothing in a log of few weeks. */
  public List<Fading> fading() {
    return weekly.entrySet().stream()
        .filter(e -> Trend.falls(e.getValue()))
        .map(
            e -> {
              int half = e.getValue().size() / 2;
              return new Fading(
                  e.getKey(),
                  mean(e.getValue().subList(0, half)),
                  mean(e.getValue().subList(half, e.getValue().size())));
            })
        .sorted(Comparator.comparingDouble((Fading f) -> f.now() - f.before()))
        .toList();
  }

  private static double mean(List<Long> some) {
    return some.stream().mapToLong(Long::longValue).average().orElse(0);
  }

  /** How many weeks it is of, at least one. */
  public double weeks() {
    return first.isEmpty()
        ? 1
        : Math.max(
            1,
            (last.orElseThrow().toEpochMilli() - first.get().toEpochMilli()) / (7 * 86_400_000.0));
  }

  /** How often a week a binding was fired; nothing for one that is not in it. */
  public OptionalDouble perWeek(String binding) {
    Long count = counts.get(binding);
    return count == null ? OptionalDouble.empty() : OptionalDouble.of(count / weeks());
  }

  /** Gives every binding that is in it the uses a week that were counted; reading twice is once. */
  public Edit taken(Library library) {
    List<Edit> edits = new ArrayList<>();
    for (Binding b : library.bindings().values()) {
      OptionalDouble uses = perWeek(b.id());
      if (uses.isPresent()) {
        double rounded = Math.round(uses.getAsDouble() * 10) / 10.0;
        if (rounded != b.usesPerWeek()) {
          edits.add(new Edit.PutBinding(b.used(rounded)));
        }
      }
    }
    return new Edit.Together(edits);
  }

  /** A log being read. */
  private static final class Reading {
    private final Map<String, Long> counts = new HashMap<>();
    private final Map<String, Map<Long, Long>> byWeek = new HashMap<>();
    private final Set<String> seen = new HashSet<>();
    private final List<String> unknown = new ArrayList<>();
    private final Library library;
    private final Map<String, String> byTrigger = new LinkedHashMap<>();
    private final Map<String, Instant> days = new HashMap<>();
    private int when = -1;
    private int binding = -1;
    private int place = -1;
    private int trigger = -1;
    private int count = -1;
    private Instant first;
    private Instant last;
    private long rows;
    private long repeated;
    private long uncounted;

    Reading(Library library) {
      this.library = library;
    }

    void columns(String[] heading) throws FormatException {
      for (int i = 0; i < heading.length; i++) {
        switch (heading[i].strip().toLowerCase(Locale.ROOT)) {
          case "when" -> when = i;
          case "binding" -> binding = i;
          case "place" -> place = i;
          case "trigger" -> trigger = i;
          case "count" -> count = i;
          default -> {} // a station, and what others keep
        }
      }
      if (when < 0 || (binding < 0 && (place < 0 || trigger < 0))) {
        throw new FormatException(
            Refusals.says("effort.first-row"),
            Refusals.says("effort.expected-heading-with-when", String.join(", ", heading)));
      }
    }

    void row(String[] cells) {
      if (cells.length == 0 || (cells.length == 1 && cells[0].isBlank())) {
        return;
      }
      if (!seen.add(Arrays.toString(cells))) {
        repeated++;
        return;
      }
      Optional<Instant> at = moment(cell(cells, when));
      long times = times(cell(cells, count));
      Optional<String> id =
          binding >= 0 && !cell(cells, binding).isEmpty()
              ? Optional.of(cell(cells, binding)).filter(library.bindings()::containsKey)
              : byTrigger(cell(cells, place), cell(cells, trigger));
      if (at.isEmpty() || times < 0 || id.isEmpty()) {
        uncounted++;
        if (unknown.size() < TOLD) {
          unknown.add(String.join(", ", cells));
        }
        return;
      }
      rows++;
      counts.merge(id.get(), times, (a, b) -> Math.min(MOST, a + b));
      byWeek
          .computeIfAbsent(id.get(), b -> new HashMap<>())
          .merge(week(at.get()), times, (a, b) -> Math.min(MOST, a + b));
      first = first == null || at.get().isBefore(first) ? at.get() : first;
      last = last == null || at.get().isAfter(last) ? at.get() : last;
    }

    /** Since a Monday; a week is over when the next begins. */
    private static long week(Instant at) {
      return Math.floorDiv(Math.floorDiv(at.getEpochSecond(), 86_400L) + 3, 7L);
    }

    /** The weeks all of which the log is of: it begins and ends somewhere within one. */
    private Map<String, List<Long>> wholeWeeks() {
      if (first == null) {
        return Map.of();
      }
      boolean begins = Math.floorMod(Math.floorDiv(first.getEpochSecond(), 86_400L) + 3, 7L) == 0;
      boolean ends = Math.floorMod(Math.floorDiv(last.getEpochSecond(), 86_400L) + 3, 7L) == 6;
      long from = week(first) + (begins ? 0 : 1);
      long to = week(last) - (ends ? 0 : 1);
      if (to - from + 1 < Trend.FEWEST || to - from > LONGEST) {
        return Map.of();
      }
      Map<String, List<Long>> all = new HashMap<>();
      byWeek.forEach(
          (b, its) ->
              all.put(
                  b,
                  LongStream.rangeClosed(from, to)
                      .mapToObj(w -> its.getOrDefault(w, 0L))
                      .toList()));
      return all;
    }

    private static String cell(String[] cells, int column) {
      return column < 0 || column >= cells.length ? "" : Csv.text(cells[column].strip());
    }

    private static long times(String text) {
      try {
        long n = text.isEmpty() ? 1 : Long.parseLong(text);
        return n >= 0 && n <= MOST ? n : -1;
      } catch (NumberFormatException e) {
        return -1;
      }
    }

    private Optional<String> byTrigger(String in, String pressed) {
      String key = in + "\n" + pressed;
      if (byTrigger.containsKey(key)) {
        return Optional.ofNullable(byTrigger.get(key)).filter(id -> !id.isEmpty());
      }
      String found = "";
      try {
        Trigger t = Notation.read(pressed);
        found =
            library.bindings().values().stream()
                .filter(b -> b.place().id().equals(in) && b.triggers().contains(t))
                .map(Binding::id)
                .findFirst()
                .orElse("");
      } catch (NotationException e) {
        found = ""; // told with the row
      }
      byTrigger.put(key, found);
      return Optional.of(found).filter(id -> !id.isEmpty());
    }

    private Optional<Instant> moment(String text) {
      if (text.length() == 10) {
        Instant known = days.get(text);
        if (known != null) {
          return Optional.of(known);
        }
      }
      try {
        if (text.length() == 10) {
          Instant day = LocalDate.parse(text).atStartOfDay(ZoneOffset.UTC).toInstant();
          days.put(text, day);
          return Optional.of(day);
        }
        boolean placed =
            text.endsWith("Z") || text.lastIndexOf('+') > 10 || text.lastIndexOf('-') > 10;
        return Optional.of(
            placed
                ? OffsetDateTime.parse(text).toInstant()
                : LocalDateTime.parse(text.replace(' ', 'T')).toInstant(ZoneOffset.UTC));
      } catch (DateTimeParseException e) {
        return Optional.empty();
      }
    }

    UseLog result() {
      return new UseLog(
          counts,
          wholeWeeks(),
          Optional.ofNullable(first),
          Optional.ofNullable(last),
          rows,
          repeated,
          unknown,
          uncounted);
    }
  }
}
