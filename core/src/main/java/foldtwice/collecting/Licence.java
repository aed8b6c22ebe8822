package foldtwice.collecting;

import foldtwice.text.Blanks;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;

/**
 * What a licence asks of somebody who hands a routine on. Told by its SPDX identifier (SPDX License
 * List; the ones known here from memory).
 */
public enum Licence {
  /** None is named: nobody may hand it on without asking the author. */
  NONE,
  /** Name the author and keep the text of the licence. */
  NOTICE,
  /** What is handed on stands under the same licence, its source with it. */
  SAME_LICENCE,
  /** An identifier not known here: read it before handing on. */
  UNKNOWN;

  private static final List<String> NOTICES =
      List.of(
          "mit",
          "mit-0",
          "apache-2.0",
          "bsd-2-clause",
          "bsd-3-clause",
          "isc",
          "zlib",
          "0bsd",
          "unlicense",
          "cc0-1.0",
          "cc-by-4.0",
          "cc-by-3.0",
          "bsl-1.0",
          "ofl-1.1",
          "artistic-2.0");

  private static final List<String> SAME =
      List.of("gpl-", "lgpl-", "agpl-", "mpl-", "epl-", "eupl-", "cddl-", "cc-by-sa-", "osl-");

  /**
   * What a licence expression asks; of several joined by AND the strictest, by OR the mildest.
   *
   * @param spdx such as {@code MIT} or {@code MIT OR GPL-3.0-or-later}
   */
  public static Licence of(String spdx) {
    String text = Blanks.single(spdx.replace('(', ' ').replace(')', ' '));
    if (text.isEmpty()) {
      return NONE;
    }
    return Arrays.stream(text.split("(?i) or "))
        .map(
            any ->
                Arrays.stream(any.split("(?i) and "))
                    .map(Licence::one)
                    .max(java.util.Comparator.comparing(Licence::strictness))
                    .orElse(UNKNOWN))
        .min(java.util.Comparator.comparing(Licence::strictness))
        .orElse(UNKNOWN);
  }

  private static Licence one(String spdx) {
    String small = spdx.strip().toLowerCase(Locale.ROOT);
    int exception = small.indexOf(" with ");
    String id = exception < 0 ? small : small.substring(0, exception);
    if (NOTICES.contains(id)) {
      return NOTICE;
    }
    return SAME.stream().anyMatch(id::startsWith) ? SAME_LICENCE : UNKNOWN;
  }

  private int strictness() {
    return switch (this) {
      case NOTICE -> 0;
      case SAME_LICENCE -> 1;
      case UNKNOWN -> 2;
      case NONE -> 3;
    };
  }

  /** True when handing it on needs more than naming the author. */
  public boolean hasConditions() {
    return this != NOTICE;
  }
}
