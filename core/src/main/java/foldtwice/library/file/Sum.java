package foldtwice.library.file;

import com.fasterxml.jackson.databind.node.ObjectNode;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Locale;
import java.util.zip.CRC32C;

/**
 * The checksum that a line of the journal begins with: {@code {"sum":"0a1b2c3d",…}}. It is the
 * CRC-32C (Castagnoli; RFC 3720, appendix B.4) of the number of the line, counted from 0, and of
 * all that follows: every change of up to 32 bits in a row, and a line in the wrong place, is
 * found.
 */
final class Sum {

  private static final byte[] BEGIN = "{\"sum\":\"".getBytes(StandardCharsets.US_ASCII);
  private static final byte[] END = "\",".getBytes(StandardCharsets.US_ASCII);
  private static final int DIGITS = 8;
  private static final int LENGTH = BEGIN.length + DIGITS + END.length;

  /** What a line says of itself. */
  enum Said {
    /** It has no checksum: an older version wrote it. */
    NONE,
    /** It is as it was written. */
    RIGHT,
    /** It is not as it was written. */
    WRONG
  }

  private Sum() {}

  /** A line as it is written, with its line feed. */
  static byte[] line(int number, ObjectNode content) {
    byte[] rest = content.toString().substring(1).getBytes(StandardCharsets.UTF_8);
    byte[] line = new byte[LENGTH + rest.length + 1];
    System.arraycopy(BEGIN, 0, line, 0, BEGIN.length);
    byte[] digits =
        String.format(Locale.ROOT, "%08x", of(number, rest, 0)).getBytes(StandardCharsets.US_ASCII);
    System.arraycopy(digits, 0, line, BEGIN.length, DIGITS);
    System.arraycopy(END, 0, line, BEGIN.length + DIGITS, END.length);
    System.arraycopy(rest, 0, line, LENGTH, rest.length);
    line[line.length - 1] = '\n';
    return line;
  }

  /** Checks a line, given without its line feed. */
  static Said check(int number, byte[] line) {
    boolean summed =
        line.length > LENGTH
            && Arrays.equals(line, 0, BEGIN.length, BEGIN, 0, BEGIN.length)
            && Arrays.equals(line, BEGIN.length + DIGITS, LENGTH, END, 0, END.length);
    if (!summed) {
      return Said.NONE;
    }
    String digits = new String(line, BEGIN.length, DIGITS, StandardCharsets.US_ASCII);
    return digits.equals(String.format(Locale.ROOT, "%08x", of(number, line, LENGTH)))
        ? Said.RIGHT
        : Said.WRONG;
  }

  private static int of(int number, byte[] bytes, int from) {
    CRC32C crc = new CRC32C();
    for (int shift = 0; shift < Integer.SIZE; shift += Byte.SIZE) {
      crc.update(number >> shift & 0xff);
    }
    crc.update(bytes, from, bytes.length - from);
    return (int) crc.getValue();
  }
}
