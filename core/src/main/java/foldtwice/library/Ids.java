package foldtwice.library;

import java.util.Locale;
import java.util.function.Predicate;

/** Ids made of names. */
public final class Ids {

  private Ids() {}

  /**
   * A name in small letters and digits, joined by hyphens: {@code Nudge label} is {@code
   * nudge-label}.
   *
   * @param otherwise what it is when no letter and no digit is in the name
   */
  public static String of(String name, String otherwise) {
    String id =
        name.toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}\\d]+", "-").replaceAll("^-|-$", "");
    return id.isEmpty() ? otherwise : id;
  }

  /** The first of {@code b07}, {@code b08} … that is not taken, counted from a number. */
  public static String next(String letter, Predicate<String> taken, int from) {
    int n = from;
    while (taken.test(String.format(Locale.ROOT, "%s%02d", letter, n))) {
      n++;
    }
    return String.format(Locale.ROOT, "%s%02d", letter, n);
  }

  /** The first of {@code wanted}, {@code wanted 2}, {@code wanted 3} … that is not taken. */
  public static String freeName(String wanted, Predicate<String> taken) {
    String name = wanted;
    for (int i = 2; taken.test(name); i++) {
      name = wanted + " " + i;
    }
    return name;
  }

  /** One no binding of a library has. */
  public static String ofBinding(Library library) {
    return next("b", library.bindings()::containsKey, library.bindings().size() + 1);
  }

  /** The first of {@code wanted}, {@code wanted-2}, {@code wanted-3} … that is not taken. */
  public static String free(String wanted, Predicate<String> taken) {
    String id = wanted;
    for (int i = 2; taken.test(id); i++) {
      id = wanted + "-" + i;
    }
    return id;
  }
}
