package foldtwice.place;

/** Versions such as {@code 4.10}, ordered number by number. */
public final class Versions {

  private Versions() {}

  /** True when {@code version} is {@code least} or later; what is no number counts as 0. */
  public static boolean atLeast(String version, String least) {
    return compare(version, least) >= 0;
  }

  /** As a comparator: 4.2 is before 4.10, and 4 is 4.0. */
  public static int compare(String a, String b) {
    String[] left = a.split("\\.");
    String[] right = b.split("\\.");
    for (int i = 0; i < Math.max(left.length, right.length); i++) {
      int order = Long.compare(part(left, i), part(right, i));
      if (order != 0) {
        return order;
      }
    }
    return 0;
  }

  private static long part(String[] parts, int i) {
    return i < parts.length && parts[i].strip().matches("\\d{1,9}")
        ? Long.parseLong(parts[i].strip())
        : 0;
  }
}
