package foldtwice.text;

import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** What a reader of JSON complains about, in words of the document and not of the reader. */
public final class JsonComplaint {

  private static final Pattern DUPLICATE = Pattern.compile("Duplicate field '([^']*)'.*");
  private static final Pattern LIMIT =
      Pattern.compile(
          "(Document nesting depth|String value length|Number value length|Name length)"
              + " \\((\\d+)\\) exceeds the maximum allowed \\((\\d+)[,)].*");

  /** Where in the source, and which option or class said so. */
  private static final Pattern INTERNAL =
      Pattern.compile(
          "\\s*\\(start marker at .*?\\)+$|\\s*\\[Source:.*?\\]|\\s*\\(code \\d+[^)]*\\)"
              + "|\\s*for `[^`]*`.*$|\\s*\\(?(?:from |for )?`[^`]*`\\)?"
              + "|\\s*\\(for com\\.[^)]*\\)|;? *not allowed when.*$");

  private JsonComplaint() {}

  /** The complaint, told plainly. */
  public static String plainly(String said) {
    String text = said == null ? "" : said.lines().findFirst().orElse("");
    Matcher twice = DUPLICATE.matcher(text);
    if (twice.matches()) {
      return "the field \"" + twice.group(1) + "\" stands here twice";
    }
    Matcher limit = LIMIT.matcher(text);
    if (limit.matches()) {
      return switch (limit.group(1)) {
        case "Document nesting depth" -> "nested deeper than " + limit.group(3);
        case "Number value length" -> "a number of more than " + limit.group(3) + " digits";
        default -> "a text of more than " + limit.group(3) + " characters";
      };
    }
    if (text.startsWith("Unexpected end-of-input")) {
      return "it ends before everything that was begun is closed";
    }
    return INTERNAL.matcher(text).replaceAll("").strip();
  }
}
