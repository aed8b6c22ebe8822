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
import java.util.stream.Stream;

/**
 * The commands of applications as texts to be searched, put together once for each state of an
 * application. Costs one pass over the commands of those that changed; 100,000 are no rarity.
 */
final class CommandTexts {

  /** A command, as it is shown and as it is searched. */
  record Text(String id, String title, String detail, String lowTitle, String lowDetail) {}

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
    List<Fit> fits = new ArrayList<>();
    if (goesOn) {
      of.fitted.forEach(f -> add(f.text, match, fits));
    } else {
      of.all.forEach(t -> add(t, match, fits));
    }
    of.typed = typed;
    of.fitted = fits;
    return fits;
  }

  private static void add(Text t, ToIntBiFunction<String, String> match, List<Fit> fits) {
    int how = match.applyAsInt(t.lowTitle, t.lowDetail);
    if (how >= 0) {
      fits.add(new Fit(t, how));
    }
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
    return new Text(
        c.id(), title, detail, title.toLowerCase(Locale.ROOT), detail.toLowerCase(Locale.ROOT));
  }
}
