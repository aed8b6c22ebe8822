package foldtwice.library.file;

import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.core.JsonToken;
import foldtwice.library.Library;
import foldtwice.text.Refusals;
import java.io.IOException;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.time.format.DateTimeParseException;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Everything that was done to a library, the first event first: who, when, and what in the words it
 * was told in. Reading it looks at the words alone; what an event did is read when somebody asks.
 *
 * @param events those that could be read
 * @param unreadable how many lines could not, because something has changed or cut them
 * @param present the library after the last of them
 */
public record Chronicle(List<Event> events, int unreadable, Library present) {

  /** What an event did. */
  public enum How {
    MADE,
    TAKEN_BACK,
    MADE_AGAIN
  }

  /**
   * One event.
   *
   * @param number counted from 0
   * @param says what it was; empty when nobody was told
   * @param follows true when the event before it led to what this one began with; false when
   *     something else has changed the library between them
   */
  public record Event(
      int number, Instant at, String who, String says, How how, boolean follows, Change change) {}

  /** The line an edit stands in, and whether the event made it or took it back. */
  static final class Change {
    private final byte[] line;
    private final boolean forth;

    private Change(byte[] line, boolean forth) {
      this.line = line;
      this.forth = forth;
    }
  }

  /** A library before an event and after it. */
  public record Around(Library before, Library after) {}

  /** The fields of a line that are words. */
  private static final class Fields {
    private String base = "";
    private String folded = "";
    private String at = "";
    private String who = "";
    private String says = "";
    private String across = "";
    private boolean undo;
    private boolean redo;
    private boolean edit;
  }

  public Chronicle {
    events = List.copyOf(events);
  }

  /** What was done to a library, up to the state it is in now. */
  public static Chronicle of(Path library, Library present) throws IOException {
    return read(HistoryFile.all(library), present);
  }

  /** Reads lines. A few hundred thousand take about a second. */
  static Chronicle read(List<byte[]> lines, Library present) {
    List<Event> events = new ArrayList<>();
    Deque<Event> past = new ArrayDeque<>();
    Deque<Event> future = new ArrayDeque<>();
    String reached = "";
    boolean follows = true;
    int unreadable = 0;
    for (byte[] line : lines) {
      Optional<Fields> read = fields(line);
      if (read.isEmpty()) {
        unreadable += line.length > 0 ? 1 : 0;
        follows = follows && line.length == 0;
        continue;
      }
      Fields f = read.get();
      if (!f.base.isEmpty()) {
        follows = follows && (reached.isEmpty() || reached.equals(f.base));
        past.clear();
        future.clear();
        continue;
      }
      if (!f.folded.isEmpty()) {
        reached = f.folded;
        continue;
      }
      Event next = null;
      if (f.edit) {
        How how =
            f.across.isEmpty()
                ? How.MADE
                : f.across.equals("redo") ? How.MADE_AGAIN : How.TAKEN_BACK;
        next = event(events.size(), f, f.says, how, follows, new Change(line, true));
        if (f.across.isEmpty()) {
          past.push(next);
          future.clear();
        }
      } else if (f.undo && !past.isEmpty()) {
        Event of = past.pop();
        future.push(of);
        next = event(events.size(), f, of.says, How.TAKEN_BACK, follows, turned(of, false));
      } else if (f.redo && !future.isEmpty()) {
        Event of = future.pop();
        past.push(of);
        next = event(events.size(), f, of.says, How.MADE_AGAIN, follows, turned(of, true));
      }
      if (next != null) {
        events.add(next);
        follows = true;
      }
    }
    return new Chronicle(events, unreadable, present);
  }

  private static Change turned(Event of, boolean forth) {
    return new Change(of.change.line, forth);
  }

  private static Event event(
      int number, Fields f, String says, How how, boolean follows, Change change) {
    Instant at;
    try {
      at = f.at.isEmpty() ? Instant.EPOCH : Instant.parse(f.at);
    } catch (DateTimeParseException e) {
      at = Instant.EPOCH; // somebody has changed it; the event itself may be whole
    }
    return new Event(number, at, f.who, says, how, follows, change);
  }

  /** Reads the words of a line and passes over what an edit holds. */
  private static Optional<Fields> fields(byte[] line) {
    Fields f = new Fields();
    try (JsonParser in = Json.parser(line)) {
      if (in.nextToken() != JsonToken.START_OBJECT) {
        return Optional.empty();
      }
      while (in.nextToken() == JsonToken.FIELD_NAME) {
        String name = in.currentName();
        JsonToken value = in.nextToken();
        if (value.isStructStart()) {
          f.edit |= name.equals("edit");
          in.skipChildren();
          continue;
        }
        switch (name) {
          case "base" -> f.base = in.getText();
          case "folded" -> f.folded = in.getText();
          case "at" -> f.at = in.getText();
          case "who" -> f.who = in.getText();
          case "says" -> f.says = in.getText();
          case "across" -> f.across = in.getText();
          case "undo" -> f.undo = true;
          case "redo" -> f.redo = true;
          default -> {}
        }
      }
      return Optional.of(f);
    } catch (IOException e) {
      return Optional.empty();
    }
  }

  /** Nobody works on something that long without a change, in minutes. */
  private static final double IDLE = 5;

  /** What a change costs that nothing goes before: it had to be thought of. */
  private static final double FIRST = 1;

  /**
   * How many minutes each routine was worked on: from one of its changes to the next, longer breaks
   * cut; by the id of the routine. What was done before its first change, such as recording it, is
   * not known.
   */
  public Map<String, Double> making() {
    Map<String, Double> minutes = new HashMap<>();
    Map<String, Instant> last = new HashMap<>();
    for (Event e : events) {
      for (String id : routines(e.change.line)) {
        Instant before = last.put(id, e.at);
        double gap =
            before == null ? IDLE + 1 : Duration.between(before, e.at).toMillis() / 60_000.0;
        minutes.merge(id, gap >= 0 && gap <= IDLE ? gap : FIRST, Double::sum);
      }
    }
    return minutes;
  }

  /** The routines a line puts into the library. */
  private static Set<String> routines(byte[] line) {
    Set<String> ids = new HashSet<>();
    try (JsonParser in = Json.parser(line)) {
      boolean inEdit = false;
      int depth = 0;
      JsonToken token;
      while ((token = in.nextToken()) != null) {
        if (token == JsonToken.FIELD_NAME && depth == 1) {
          inEdit = in.currentName().equals("edit");
        } else if (token.isStructStart()) {
          depth++;
        } else if (token.isStructEnd()) {
          depth--;
        }
        if (inEdit && token == JsonToken.FIELD_NAME && in.currentName().equals("putRoutine")) {
          in.nextToken();
          while (in.nextToken() == JsonToken.FIELD_NAME) {
            String name = in.currentName();
            in.nextToken();
            if (name.equals("id")) {
              ids.add(in.getText());
            }
            in.skipChildren();
          }
        }
      }
    } catch (IOException e) {
      return Set.of(); // told as unreadable already
    }
    return ids;
  }

  /**
   * The library before an event and after it, found by taking back what came later.
   *
   * @throws FormatException when something between then and now cannot be read, or was done by
   *     something else than this application
   */
  public Around around(Event event) throws FormatException {
    Library after = present;
    for (int i = events.size() - 1; i > event.number; i--) {
      after = before(events.get(i), after);
    }
    return new Around(beforeOf(event, after), after);
  }

  private static Library before(Event event, Library after) throws FormatException {
    if (!event.follows) {
      throw new FormatException(
          Refusals.says("library.history"),
          Refusals.says("library.something-else-has-changed", event.at));
    }
    return beforeOf(event, after);
  }

  private static Library beforeOf(Event event, Library after) throws FormatException {
    In line = In.root(Json.parse(event.change.line));
    return JournalEntry.edit(line.at(event.change.forth ? "back" : "edit"), after).on(after);
  }
}
