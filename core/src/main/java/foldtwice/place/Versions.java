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
      String a1 = part(left, i);
      String b1 = part(right, i);
      int order =
          a1.length() == b1.length() ? a1.compareTo(b1) : Integer.compare(a1.length(), b1.length());
      if (order != 0) {
        return order;
      }
    }
    return 0;
  }

  /** The digits of a part, however many, without zeros before them: the longer is the greater. */
  private static String part(String[] parts, int i) {
    String digits = i < parts.length ? parts[i].strip() : "";
    int from = 0;
    for (int at = 0; at < digits.length(); at++) {
      if (digits.charAt(at) < '0' || digits.charAt(at) > '9') {
        return "";
      }
      from += digits.charAt(at) == '0' && from == at ? 1 : 0;
    }
    return digits.substring(from);
  }
}
