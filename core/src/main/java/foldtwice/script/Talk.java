package foldtwice.script;

import foldtwice.cage.Wire;
import foldtwice.routine.Value;
import foldtwice.run.Scripts;
import foldtwice.source.Given;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** What is said between the one who runs a script and the process it runs in. */
final class Talk {

  /** A longer text is not handed over, in characters. */
  static final int LONGEST = 1_000_000;

  /** More is not handed to one call. */
  static final int MOST_GIVEN = 10_000;

  /** A longer list is not handed over. */
  static final int MOST_LISTED = 100_000;

  // what the process says
  static final byte WISH = 'w';
  static final byte OVER = 'o';
  static final byte BROKEN = 'b';

  /** Beyond a limit: the process ends with it. */
  static final byte LIMIT = 'l';

  // what it is told
  private static final byte DONE = 'd';
  private static final byte QUIET = 'q';
  private static final byte HOLDS = 'h';
  private static final byte COMES = 'c';
  private static final byte LISTED = 'm';
  private static final byte REFUSED = 'r';
  private static final byte STOPPED = 's';

  /**
   * A script to be run.
   *
   * @param helpers the sources of the scripts it uses, and that those use, by their ids
   */
  record Start(
      String source, Map<String, Value> arguments, Instant now, Map<String, String> helpers) {}

  /**
   * Something asked of the interface.
   *
   * @param names what is given by name, besides
   * @param seen the values of the variables that are seen where it is asked
   */
  record Asked(
      int line,
      String what,
      List<Given> given,
      Map<String, Given> names,
      Map<String, Given> seen) {}

  private Talk() {}

  /** True for a text that is too long to be handed over. */
  static boolean isTooLong(Value value) {
    return value instanceof Value.Text(String text) && text.length() > LONGEST;
  }

  /** What was expected of a text that is too long. */
  static String shorter() {
    return "a text of at most " + LONGEST + " characters";
  }

  static void write(DataOutputStream out, Start start) throws IOException {
    Wire.text(out, start.source());
    out.writeLong(start.now().toEpochMilli());
    out.writeInt(start.arguments().size());
    for (var e : start.arguments().entrySet()) {
      Wire.text(out, e.getKey());
      Wire.value(out, e.getValue());
    }
    out.writeInt(start.helpers().size());
    for (var e : start.helpers().entrySet()) {
      Wire.text(out, e.getKey());
      Wire.text(out, e.getValue());
    }
    out.flush();
  }

  static Start start(DataInputStream in) throws IOException {
    String source = Wire.text(in);
    Instant now = Instant.ofEpochMilli(in.readLong());
    Map<String, Value> arguments = new LinkedHashMap<>();
    for (int i = Wire.count(in, MOST_GIVEN); i > 0; i--) {
      arguments.put(Wire.text(in), Wire.value(in));
    }
    Map<String, String> helpers = new LinkedHashMap<>();
    for (int i = Wire.count(in, MOST_GIVEN); i > 0; i--) {
      helpers.put(Wire.text(in), Wire.text(in));
    }
    return new Start(source, arguments, now, helpers);
  }

  static void write(DataOutputStream out, Asked asked) throws IOException {
    out.writeByte(WISH);
    out.writeInt(asked.line());
    Wire.text(out, asked.what());
    out.writeInt(asked.given().size());
    for (Given g : asked.given()) {
      write(out, g);
    }
    write(out, asked.names());
    write(out, asked.seen());
    out.flush();
  }

  private static void write(DataOutputStream out, Map<String, Given> named) throws IOException {
    out.writeInt(named.size());
    for (var e : named.entrySet()) {
      Wire.text(out, e.getKey());
      write(out, e.getValue());
    }
  }

  private static void write(DataOutputStream out, Given given) throws IOException {
    switch (given) {
      case Given.Plain(Value value) -> {
        out.writeByte('p');
        Wire.value(out, value);
      }
      case Given.WithUnit(var number, String unit) -> {
        out.writeByte('u');
        Wire.text(out, number.toString());
        Wire.text(out, unit);
      }
      case Given.Other(String shown) -> {
        out.writeByte('x');
        Wire.text(out, shown);
      }
      case Given.Computed c -> throw new IllegalStateException("only in a source text: " + c);
      case Given.Written w -> throw new IllegalStateException("only in a source text: " + w);
    }
  }

  static Asked asked(DataInputStream in) throws IOException {
    int line = in.readInt();
    String what = Wire.text(in);
    List<Given> given = new ArrayList<>();
    for (int i = Wire.count(in, MOST_GIVEN); i > 0; i--) {
      given.add(given(in));
    }
    return new Asked(line, what, given, named(in), named(in));
  }

  private static Map<String, Given> named(DataInputStream in) throws IOException {
    Map<String, Given> named = new LinkedHashMap<>();
    for (int i = Wire.count(in, MOST_GIVEN); i > 0; i--) {
      named.put(Wire.text(in), given(in));
    }
    return named;
  }

  private static Given given(DataInputStream in) throws IOException {
    byte kind = in.readByte();
    return switch (kind) {
      case 'p' -> new Given.Plain(Wire.value(in));
      case 'u' -> new Given.WithUnit(Wire.number(in), Wire.text(in));
      case 'x' -> new Given.Other(Wire.text(in));
      default -> throw new IOException("nothing given begins with " + kind);
    };
  }

  /** Answers; null when the run is over. */
  static void write(DataOutputStream out, Scripts.Answer answer) throws IOException {
    switch (answer) {
      case Scripts.Answer.Done(var values) when values.isEmpty() -> out.writeByte(QUIET);
      case Scripts.Answer.Done(var values) -> {
        out.writeByte(DONE);
        write(out, values.values());
      }
      case Scripts.Answer.Holds(boolean yes) -> {
        out.writeByte(HOLDS);
        out.writeBoolean(yes);
      }
      case Scripts.Answer.Comes(Value value) -> {
        out.writeByte(COMES);
        Wire.value(out, value);
      }
      case Scripts.Answer.Listed(var values) -> {
        out.writeByte(LISTED);
        write(out, values);
      }
      case Scripts.Answer.Refused(String expected, String found) -> {
        out.writeByte(REFUSED);
        Wire.text(out, expected);
        Wire.text(out, found);
      }
      case null -> out.writeByte(STOPPED);
    }
    out.flush();
  }

  private static void write(DataOutputStream out, Collection<Value> values) throws IOException {
    out.writeInt(values.size());
    for (Value v : values) {
      Wire.value(out, v);
    }
  }

  private static List<Value> values(DataInputStream in) throws IOException {
    List<Value> values = new ArrayList<>();
    for (int i = Wire.count(in, MOST_LISTED); i > 0; i--) {
      values.add(Wire.value(in));
    }
    return values;
  }

  private static Map<String, Value> numbered(List<Value> values) {
    Map<String, Value> numbered = new LinkedHashMap<>();
    values.forEach(v -> numbered.put(Integer.toString(numbered.size()), v));
    return numbered;
  }

  /** The answer, with the values it gives under whatever names; null when the run is over. */
  static Scripts.Answer answer(DataInputStream in) throws IOException {
    byte kind = in.readByte();
    return switch (kind) {
      case QUIET -> new Scripts.Answer.Done(Map.of());
      case DONE -> new Scripts.Answer.Done(numbered(values(in)));
      case COMES -> new Scripts.Answer.Comes(Wire.value(in));
      case LISTED -> new Scripts.Answer.Listed(values(in));
      case HOLDS -> new Scripts.Answer.Holds(in.readBoolean());
      case REFUSED -> new Scripts.Answer.Refused(Wire.text(in), Wire.text(in));
      case STOPPED -> null;
      default -> throw new IOException("no answer begins with " + kind);
    };
  }
}
