package foldtwice.collecting;

import foldtwice.text.Blanks;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * What a source says of itself in the comments at its beginning: {@code // name: Lay a stair},
 * {@code // application: tagpress}, {@code author}, {@code version}, {@code needs} (add-ons),
 * {@code keys}, and the licence as SPDX writes it: {@code SPDX-License-Identifier: MIT}.
 */
record Header(Map<String, String> fields) {

  private static final int MOST_LINES = 40;
  private static final int LONGEST = 260;
  private static final Pattern FIELD =
      Pattern.compile("(?://|--|\\*|#) ?([A-Za-z-]{2,30}) ?: ?(.*?) ?(?:\\*/)?");

  static Header of(String source) {
    Map<String, String> fields = new LinkedHashMap<>();
    source
        .lines()
        .limit(MOST_LINES)
        .map(String::strip)
        .takeWhile(l -> l.isEmpty() || l.matches("(//|--|/\\*|\\*|#).*"))
        .forEach(
            l -> {
              Matcher m = FIELD.matcher(l.length() <= LONGEST ? Blanks.single(l) : "");
              if (m.matches()) {
                fields.putIfAbsent(m.group(1).toLowerCase(Locale.ROOT), m.group(2));
              }
            });
    return new Header(fields);
  }

  String text(String name) {
    return fields.getOrDefault(name, "");
  }

  String licence() {
    return Optional.of(text("spdx-license-identifier"))
        .filter(l -> !l.isEmpty())
        .orElse(text("licence"));
  }
}
