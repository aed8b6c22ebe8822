package foldtwice.cage;

import foldtwice.routine.LengthUnit;
import foldtwice.routine.Scale;
import foldtwice.routine.Value;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;

/**
 * How texts and values go from one process to the other. What comes is believed only as far as it
 * is checked: a text is at most {@value #LONGEST} bytes.
 */
public final class Wire {

  /** A longer text ends the talk, in bytes of UTF-8. */
  public static final int LONGEST = 8_000_000;

  private Wire() {}

  public static void text(DataOutputStream out, String text) throws IOException {
    byte[] bytes = text.getBytes(StandardCharsets.UTF_8);
    if (bytes.length > LONGEST) {
      throw new TooLongException(bytes.length);
    }
    out.writeInt(bytes.length);
    out.write(bytes);
  }

  public static String text(DataInputStream in) throws IOException {
    return new String(in.readNBytes(count(in, LONGEST)), StandardCharsets.UTF_8);
  }

  /** A number of things that follow, at most so many. */
  public static int count(DataInputStream in, int most) throws IOException {
    int count = in.readInt();
    if (count < 0 || count > most) {
      throw new TooLongException(count);
    }
    return count;
  }

  public static void value(DataOutputStream out, Value value) throws IOException {
    switch (value) {
      case Value.Text(String text) -> {
        out.writeByte('t');
        text(out, text);
      }
      case Value.Flag(boolean yes) -> {
        out.writeByte('f');
        out.writeBoolean(yes);
      }
      case Value.Amount(BigDecimal n) -> {
        out.writeByte('n');
        text(out, n.toString());
      }
      case Value.Length(BigDecimal n, LengthUnit unit) -> {
        out.writeByte('l');
        text(out, n.toString());
        text(out, unit.symbol());
      }
      case Value.Quantity(BigDecimal n, Scale scale) -> {
        out.writeByte('q');
        text(out, n.toString());
        text(out, scale.symbol());
      }
    }
  }

  public static Value value(DataInputStream in) throws IOException {
    byte kind = in.readByte();
    return switch (kind) {
      case 't' -> new Value.Text(text(in));
      case 'f' -> new Value.Flag(in.readBoolean());
      case 'n' -> new Value.Amount(number(in));
      case 'l' ->
          new Value.Length(number(in), LengthUnit.of(text(in)).orElseThrow(IOException::new));
      case 'q' -> new Value.Quantity(number(in), Scale.of(text(in)).orElseThrow(IOException::new));
      default -> throw new IOException("no value begins with " + kind);
    };
  }

  public static BigDecimal number(DataInputStream in) throws IOException {
    String digits = text(in);
    try {
      return new BigDecimal(digits);
    } catch (NumberFormatException e) {
      throw new IOException("no number: " + digits, e);
    }
  }

  /** More than may go from one process to the other. */
  public static final class TooLongException extends IOException {
    private static final long serialVersionUID = 1L;

    TooLongException(long found) {
      super("expected at most " + LONGEST + " bytes, found " + found);
    }
  }
}
