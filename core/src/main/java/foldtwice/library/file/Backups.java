package foldtwice.library.file;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.time.DayOfWeek;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeParseException;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * Former states of a library in a folder beside it: the last {@value #MOST_OF_A_DAY} of the last 24
 * hours, the last one of each of the last {@value #DAYS} days, and the last one of each of the last
 * {@value #WEEKS} weeks (by UTC).
 */
public final class Backups {

  /** More of the last 24 hours are not kept. */
  public static final int MOST_OF_A_DAY = 12;

  /** Days, today among them, of which the last one is kept. */
  public static final int DAYS = 7;

  /** Weeks, from Monday on, this one among them, of which the last one is kept. */
  public static final int WEEKS = 52;

  private static final DateTimeFormatter STAMP =
      DateTimeFormatter.ofPattern("uuuu-MM-dd'T'HHmmss'Z'").withZone(ZoneOffset.UTC);
  private static final String SUFFIX = ".json";

  /** A former state. */
  public record Backup(Instant at, Path file) {}

  private Backups() {}

  /** The folder of a library's backups. */
  static Path folder(Path library) {
    return library.resolveSibling(library.getFileName() + ".backups");
  }

  /** All there are, the last one first. */
  public static List<Backup> of(Path library) throws IOException {
    Path folder = folder(library.toRealPath());
    List<Backup> all = new ArrayList<>();
    try (Stream<Path> files = Files.list(folder)) {
      for (Path file : files.toList()) {
        at(file).ifPresent(at -> all.add(new Backup(at, file)));
      }
    } catch (NoSuchFileException e) {
      return List.of();
    }
    all.sort(Comparator.comparing(Backup::at).reversed());
    return all;
  }

  /** Of when a backup is, by its name; empty for somebody else's file. */
  private static Optional<Instant> at(Path file) {
    String name = file.getFileName().toString();
    try {
      return name.endsWith(SUFFIX)
          ? Optional.of(
              STAMP.parse(name.substring(0, name.length() - SUFFIX.length()), Instant::from))
          : Optional.empty();
    } catch (DateTimeParseException e) {
      return Optional.empty();
    }
  }

  /** Keeps a state, and no more of the older ones than is said above. */
  static void add(Path library, byte[] document, Instant at) throws IOException {
    Path folder = folder(library);
    Files.createDirectories(folder);
    Disk.replace(folder.resolve(STAMP.format(at) + SUFFIX), document);
    for (Backup b : superfluous(of(library), at)) {
      Files.deleteIfExists(b.file());
    }
  }

  private static LocalDate monday(LocalDate day) {
    return day.with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
  }

  private static List<Backup> superfluous(List<Backup> all, Instant now) {
    Instant dayAgo = now.minus(Duration.ofDays(1));
    LocalDate today = LocalDate.ofInstant(now, ZoneOffset.UTC);
    LocalDate oldest = today.minusDays(DAYS);
    LocalDate oldestWeek = monday(today).minusWeeks(WEEKS);
    Set<LocalDate> weeks = new HashSet<>();
    Set<LocalDate> days = new HashSet<>();
    List<Backup> superfluous = new ArrayList<>();
    int recent = 0;
    for (Backup b : all) {
      LocalDate day = LocalDate.ofInstant(b.at(), ZoneOffset.UTC);
      boolean last = day.isAfter(oldest) && days.add(day);
      boolean ofWeek = monday(day).isAfter(oldestWeek) && weeks.add(monday(day));
      boolean fresh = b.at().isAfter(dayAgo) && ++recent <= MOST_OF_A_DAY;
      if (!last && !ofWeek && !fresh) {
        superfluous.add(b);
      }
    }
    return superfluous;
  }
}
