package foldtwice.desktop.frame;

import foldtwice.desktop.session.Ui;
import foldtwice.library.Library;
import foldtwice.place.Application;
import foldtwice.place.NativeCommand;
import foldtwice.trigger.Notation;
import foldtwice.words.CommandNames;
import foldtwice.words.Words;
import java.util.ArrayList;
import java.util.Collections;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.function.ToIntBiFunction;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * The commands of applications as texts to be searched, put together once for each state of an
 * application. Costs one pass over the commands of those that changed; 100,000 are no rarity.
 */
final class CommandTexts {

  /**
   * A command, as it is shown and as it is searched.
   *
   * @param has which letters and digits are in it at all, so that most are passed over at a glance
   */
  record Text(
      String id, String title, String detail, String lowTitle, String lowDetail, long has) {}

  /**
   * One that fits what is typed.
   *
   * @param match how well: smaller is better
   */
  record Fit(Text text, int match) {}

  /** Those of an application, and those that fitted what was typed last. */
  private static final class Of {
    private final List<Text> all;
    private String typed = "";
    private List<Fit> fitted = List.of();

    Of(List<Text> all) {
      this.all = all;
    }
  }

  private final IdentityHashMap<Application, Of> known = new IdentityHashMap<>();

  /** More commands than this are not put together while somebody waits. */
  private static final int AT_ONCE = 5_000;

  /** Puts together what is not yet, beside whoever searches meanwhile. */
  void prepare(Library library) {
    Set<Application> there = Collections.newSetFromMap(new IdentityHashMap<>());
    there.addAll(library.applications().values());
    synchronized (this) {
      known.keySet().removeIf(a -> !there.contains(a));
      there.removeAll(known.keySet());
    }
    for (Application a : there) {
      Of made = made(a);
      synchronized (this) {
        known.putIfAbsent(a, made);
      }
    }
  }

  private static Of made(Application a) {
    CommandNames names = new CommandNames(a);
    return new Of(a.commands().stream().map(c -> text(a, c, names.of(c))).toList());
  }

  /** Those of an application; none of many that are being put together yet. */
  private Of of(Application a) {
    Of of = known.get(a);
    if (of == null && a.commands().size() <= AT_ONCE) {
      of = made(a);
      known.put(a, of);
    }
    return of == null ? new Of(List.of()) : of;
  }

  /**
   * Those of an application that fit. Where what is typed goes on from what was typed before, only
   * those that fitted that are looked at: whatever fits more fits less.
   *
   * @param match how well a title and a detail fit, in small letters; negative for not at all
   */
  synchronized List<Fit> fitting(
      Application a, String typed, ToIntBiFunction<String, String> match) {
    Of of = of(a);
    boolean goesOn = !of.typed.isEmpty() && typed.startsWith(of.typed);
    List<Text> among = goesOn ? of.fitted.stream().map(Fit::text).toList() : of.all;
    List<Fit> fits = fitting(among, letters(typed), match);
    of.typed = typed;
    of.fitted = fits;
    return fits;
  }

  /** In parts of so many, side by side. */
  private static final int PART = 4_000;

  private static List<Fit> fitting(
      List<Text> all, long letters, ToIntBiFunction<String, String> match) {
    int parts = (all.size() + PART - 1) / PART;
    return IntStream.range(0, parts)
        .parallel()
        .mapToObj(
            i -> {
              List<Fit> fits = new ArrayList<>();
              for (Text t : all.subList(i * PART, Math.min(all.size(), (i + 1) * PART))) {
                int how = (letters & ~t.has) == 0 ? match.applyAsInt(t.lowTitle, t.lowDetail) : -1;
                if (how >= 0) {
                  fits.add(new Fit(t, how));
                }
              }
              return fits;
            })
        .flatMap(List::stream)
        .toList();
  }

  /** Which letters a to z and digits are in a text. */
  private static long letters(String text) {
    long all = 0;
    for (int i = 0; i < text.length(); i++) {
      char c = text.charAt(i);
      if (c >= 'a' && c <= 'z') {
        all |= 1L << (c - 'a');
      } else if (c >= '0' && c <= '9') {
        all |= 1L << (26 + c - '0');
      }
    }
    return all;
  }

  private static Text text(Application a, NativeCommand c, String title) {
    String keys =
        c.triggers().isEmpty()
            ? Ui.text("notrigger")
            : c.triggers().stream().map(Notation::write).collect(Collectors.joining(", "));
    String menu =
        a.name()
            + (c.menuPath().isEmpty() ? "" : " \u203a " + String.join(" \u203a ", c.menuPath()));
    String detail =
        Stream.of(keys, menu, c.group(), Words.finding(c).orElse(""))
            .filter(s -> !s.isEmpty())
            .collect(Collectors.joining(", "));
    String lowTitle = title.toLowerCase(Locale.ROOT);
    String lowDetail = detail.toLowerCase(Locale.ROOT);
    return new Text(
        c.id(), title, detail, lowTitle, lowDetail, letters(lowTitle) | letters(lowDetail));
  }
}
