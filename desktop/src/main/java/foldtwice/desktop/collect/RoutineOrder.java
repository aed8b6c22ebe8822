package foldtwice.desktop.collect;

import foldtwice.binding.Binding;
import foldtwice.desktop.parts.FoundBy;
import foldtwice.desktop.session.Ui;
import foldtwice.library.Library;
import foldtwice.place.Place;
import foldtwice.routine.Routine;
import foldtwice.words.Words;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/** Which routines a list shows, and in which order. */
final class RoutineOrder {

  /** Which ones. */
  enum Shown {
    EVERYTHING,
    IN_USE,
    PINNED,
    UNBOUND,
    SET_ASIDE;

    private boolean shows(Entry e) {
      return switch (this) {
        case EVERYTHING -> true;
        case IN_USE -> e.bindings() > 0 && !e.routine().card().off();
        case PINNED -> e.routine().card().pinned();
        case UNBOUND -> e.bindings() == 0;
        case SET_ASIDE -> e.routine().card().setAside();
      };
    }

    @Override
    public String toString() {
      return Ui.text("collect.show." + name());
    }
  }

  /** By what they are ordered; equal ones as they are in the library. */
  enum By {
    HEADING,
    NAME,
    PROGRAM,
    BINDINGS,
    USES,
    COLOUR;

    private Comparator<Entry> order() {
      return switch (this) {
        case HEADING -> Comparator.comparing((Entry e) -> 0);
        case NAME -> Comparator.comparing(e -> e.routine().name(), String.CASE_INSENSITIVE_ORDER);
        case PROGRAM -> Comparator.comparing(e -> e.routine().application());
        case BINDINGS -> Comparator.comparing((Entry e) -> -e.bindings());
        case USES -> Comparator.comparing((Entry e) -> -e.usesPerWeek());
        case COLOUR ->
            Comparator.comparing((Entry e) -> e.routine().card().colour().isEmpty())
                .thenComparing(e -> e.routine().card().colour());
      };
    }

    /** What a routine stands under; empty when the list has no headings. */
    private String heading(Entry e, Library library) {
      return switch (this) {
        case HEADING ->
            e.routine().category().isEmpty()
                ? Ui.text("collect.noheading")
                : e.routine().category();
        case PROGRAM -> library.nameOf(new Place.Whole(e.routine().application()));
        case COLOUR ->
            e.routine().card().colour().isEmpty()
                ? Ui.text("collect.nocolour")
                : e.routine().card().colour();
        case NAME, BINDINGS, USES -> "";
      };
    }

    @Override
    public String toString() {
      return Ui.text("collect.by." + name());
    }
  }

  /**
   * A routine of the list. How its triggers are written is worked out when somebody looks: some
   * routines have a thousand bindings.
   */
  static final class Entry {

    private final Routine routine;
    private final List<Binding> bound;
    private final Words words;
    private final double usesPerWeek;
    private Optional<List<String>> keys = Optional.empty();

    /**
     * @param bound the bindings of the routine
     */
    Entry(Routine routine, List<Binding> bound, Words words) {
      this.routine = routine;
      this.bound = bound;
      this.words = words;
      this.usesPerWeek = bound.stream().mapToDouble(Binding::usesPerWeek).sum();
    }

    Routine routine() {
      return routine;
    }

    int bindings() {
      return bound.size();
    }

    double usesPerWeek() {
      return usesPerWeek;
    }

    /** Its triggers as they are written, the most used first. */
    List<String> keys() {
      if (keys.isEmpty()) {
        keys = Optional.of(written().distinct().toList());
      }
      return keys.get();
    }

    /** The most used of its triggers that is written with at most so many letters. */
    Optional<String> key(int longest) {
      return written().filter(k -> k.length() <= longest).findFirst();
    }

    private Stream<String> written() {
      return bound.stream()
          .sorted(Comparator.comparingDouble(Binding::usesPerWeek).reversed())
          .flatMap(b -> b.triggers().stream())
          .map(words::trigger);
    }
  }

  private RoutineOrder() {}

  /**
   * The routines to show under their headings, pinned ones first and those set aside last in each.
   *
   * @param entries all of the library
   * @param typed every word of it must be in the name, the heading, the kind, the program, the tags
   *     or the triggers
   */
  static Map<String, List<Entry>> of(
      List<Entry> entries, Library library, String typed, Shown shown, By by) {
    Map<String, List<Entry>> under = new LinkedHashMap<>();
    entries.stream()
        .filter(shown::shows)
        .filter(e -> matches(e, library, typed))
        .sorted(by.order())
        .forEach(e -> under.computeIfAbsent(by.heading(e, library), h -> new ArrayList<>()).add(e));
    if (by == By.HEADING || by == By.PROGRAM) {
      under
          .values()
          .forEach(
              list ->
                  list.sort(
                      Comparator.comparing((Entry e) -> !e.routine().card().pinned())
                          .thenComparing(e -> e.routine().card().setAside())));
    }
    return under;
  }

  private static boolean matches(Entry e, Library library, String typed) {
    if (typed.isBlank()) {
      return true;
    }
    Routine r = e.routine();
    String text =
        String.join(
                " ",
                r.name(),
                FoundBy.of(r),
                library.nameOf(new Place.Whole(r.application())),
                r.card().off() ? Ui.text("collect.off") : "",
                e.keys().isEmpty() ? Ui.text("notrigger") : String.join(" ", e.keys()))
            .toLowerCase(Locale.ROOT);
    for (String word : typed.toLowerCase(Locale.ROOT).split("\\s+")) {
      if (!text.contains(word)) {
        return false;
      }
    }
    return true;
  }
}
