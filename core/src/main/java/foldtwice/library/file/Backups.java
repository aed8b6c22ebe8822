package foldtwice.library.file;

import java.io.IOException;
import java.net.URLDecoder;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
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
import java.time.temporal.ChronoUnit;
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
 * {@value #WEEKS} weeks (by UTC). A state that was given a name stays until somebody removes its
 * file.
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

  /** The bytes a name may take in the name of its file; file systems allow 255 for all of it. */
  private static final int LONGEST = 200;

  /**
   * A former state.
   *
   * @param name what a person called it; empty for one that is kept by the clock
   */
  public record Backup(Instant at, String name, Path file) {}

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
        read(file).ifPresent(all::add);
      }
    } catch (NoSuchFileException e) {
      return List.of();
    }
    all.sort(Comparator.comparing(Backup::at).reversed());
    return all;
  }

  /** What a file's name tells; empty for somebody else's file. */
  private static Optional<Backup> read(Path file) {
    String all = file.getFileName().toString();
    if (!all.endsWith(SUFFIX)) {
      return Optional.empty();
    }
    String stem = all.substring(0, all.length() - SUFFIX.length());
    int dot = stem.indexOf('.');
    try {
      return Optional.of(
          new Backup(
              STAMP.parse(dot < 0 ? stem : stem.substring(0, dot), Instant::from),
              dot < 0 ? "" : URLDecoder.decode(stem.substring(dot + 1), StandardCharsets.UTF_8),
              file));
    } catch (DateTimeParseException | IllegalArgumentException e) {
      return Optional.empty();
    }
  }

  /**
   * Keeps a state under a name, for good.
   *
   * @throws IOException when it cannot be written, or the name is empty or too long for a file
   */
  static Backup keep(Path library, byte[] document, Instant at, String name) throws IOException {
    String called = name.strip();
    String encoded = URLEncoder.encode(called, StandardCharsets.UTF_8).replace("*", "%2A");
    if (called.isEmpty() || encoded.length() > LONGEST) {
      throw new IOException(
          called.isEmpty()
              ? "a state that is kept needs a name"
              : "the name is too long to be kept in a file's name; a shorter one does");
    }
    Path folder = folder(library);
    Files.createDirectories(folder);
    Path file = folder.resolve(STAMP.format(at) + "." + encoded + SUFFIX);
    Disk.replace(file, document);
    return new Backup(at.truncatedTo(ChronoUnit.SECONDS), called, file);
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
      if (!b.name().isEmpty()) {
        continue;
      }
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
