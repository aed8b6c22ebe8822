package foldtwice.live.bus;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import java.util.function.Predicate;
import org.freedesktop.dbus.connections.impl.DBusConnection;
import org.freedesktop.dbus.connections.impl.DBusConnectionBuilder;
import org.freedesktop.dbus.exceptions.DBusException;
import org.freedesktop.dbus.exceptions.DBusExecutionException;
import org.freedesktop.dbus.messages.Message;
import org.freedesktop.dbus.messages.MethodCall;
import org.freedesktop.dbus.types.UInt32;
import org.freedesktop.dbus.types.Variant;

/**
 * A connection to the accessibility bus. Calls may be made from any thread but one that draws an
 * interface: each waits for its answer, at most as long as its limit.
 */
public final class Bus implements AutoCloseable {

  /** How long a call waits for its answer, in milliseconds. */
  public static final long LIMIT = 1_000;

  private static final String A11Y = "org.a11y.atspi.";
  private static final int FAILED = 3;

  private final DBusConnection connection;

  private Bus(DBusConnection connection) {
    this.connection = connection;
  }

  /**
   * The accessibility bus of this session.
   *
   * @param session the address of the session's bus; empty for that of the environment
   */
  public static Bus open(Optional<String> session) throws BusException {
    try {
      String address;
      try (DBusConnection desk =
          (session.isPresent()
                  ? DBusConnectionBuilder.forAddress(session.get())
                  : DBusConnectionBuilder.forSessionBus())
              .withShared(false)
              .build()) {
        Ref bus = new Ref("org.a11y.Bus", "/org/a11y/bus");
        address = new Bus(desk).ask(5 * LIMIT, bus, "org.a11y.Bus", "GetAddress", "")[0].toString();
      }
      return new Bus(DBusConnectionBuilder.forAddress(address).withShared(false).build());
    } catch (DBusException | IOException | RuntimeException e) {
      throw new BusException(BusException.Why.NO_BUS, "no accessibility bus: " + e.getMessage(), e);
    }
  }

  /** The programs that are on it, each once. */
  public List<Seen> programs() throws BusException {
    return look(children(Ref.DESKTOP)).stream().filter(s -> !s.name().isEmpty()).toList();
  }

  /** The number of a program's process. */
  public long process(Ref of) throws BusException {
    Ref bus = new Ref("org.freedesktop.DBus", "/org/freedesktop/DBus");
    Object[] answer =
        ask(LIMIT, bus, "org.freedesktop.DBus", "GetConnectionUnixProcessID", "s", of.bus());
    return ((Number) answer[0]).longValue();
  }

  /** What lies in something. */
  public List<Seen> inside(Ref of) throws BusException {
    return look(children(of));
  }

  /** Something as it is now. */
  public Seen look(Ref ref) throws BusException {
    List<Seen> seen = look(List.of(ref));
    if (seen.isEmpty()) {
      throw new BusException(BusException.Why.GONE, "it is not there any more");
    }
    return seen.getFirst();
  }

  /** Several at once, as they are now; those that are gone are left out. */
  public List<Seen> look(List<Ref> refs) throws BusException {
    record Asked(Ref ref, MethodCall role, MethodCall name, MethodCall marks, MethodCall offers) {}
    List<Asked> asked = new ArrayList<>();
    for (Ref ref : refs) {
      asked.add(
          new Asked(
              ref,
              send(ref, A11Y + "Accessible", "GetRole", ""),
              send(
                  ref, "org.freedesktop.DBus.Properties", "Get", "ss", A11Y + "Accessible", "Name"),
              send(ref, A11Y + "Accessible", "GetState", ""),
              send(ref, A11Y + "Accessible", "GetInterfaces", "")));
    }
    List<Seen> seen = new ArrayList<>();
    for (Asked a : asked) {
      try {
        Role role = Role.of(((Number) answer(LIMIT, a.role)[0]).intValue());
        String name = String.valueOf(bare(answer(LIMIT, a.name)[0]));
        var marks = Mark.of(numbers(answer(LIMIT, a.marks)[0]));
        List<String> offers =
            list(answer(LIMIT, a.offers)[0]).stream()
                .map(o -> o.toString().substring(o.toString().lastIndexOf('.') + 1))
                .toList();
        if (!marks.contains(Mark.DEFUNCT)) {
          seen.add(new Seen(a.ref, role, name, marks, Set.copyOf(offers)));
        }
      } catch (BusException e) {
        if (e.why() == BusException.Why.SILENT) {
          throw e;
        } // gone while it was looked at
      }
    }
    return seen;
  }

  /**
   * Something with all that lies in it, level by level.
   *
   * @param deeper what is looked into
   * @param most how many are looked at in all
   */
  public Seen.Tree tree(Ref top, Predicate<Seen> deeper, int most) throws BusException {
    return new Trees(this, deeper, most).of(look(top));
  }

  /** What lies in each of several, asked at once; those that are gone have nothing in them. */
  List<List<Ref>> children(List<Ref> of) throws BusException {
    List<MethodCall> calls = new ArrayList<>();
    for (Ref ref : of) {
      calls.add(send(ref, A11Y + "Accessible", "GetChildren", ""));
    }
    List<List<Ref>> all = new ArrayList<>();
    for (MethodCall call : calls) {
      try {
        all.add(refs(answer(LIMIT, call)[0]));
      } catch (BusException e) {
        if (e.why() == BusException.Why.SILENT) {
          throw e;
        }
        all.add(List.of());
      }
    }
    return all;
  }

  private List<Ref> children(Ref of) throws BusException {
    return refs(ask(LIMIT, of, A11Y + "Accessible", "GetChildren", "")[0]);
  }

  private static List<Ref> refs(Object answer) {
    return list(answer).stream().map(Bus::ref).filter(Ref::isThere).toList();
  }

  private static Ref ref(Object pair) {
    Object[] both = (Object[]) pair;
    return new Ref(both[0].toString(), both[1].toString());
  }

  /** What something is labelled by, if anything. */
  public Optional<Ref> labelOf(Ref of) throws BusException {
    for (Object relation : list(ask(LIMIT, of, A11Y + "Accessible", "GetRelationSet", "")[0])) {
      Object[] parts = (Object[]) relation;
      if (((Number) parts[0]).intValue() == 2) { // ATSPI_RELATION_LABELLED_BY
        return refs(parts[1]).stream().findFirst();
      }
    }
    return Optional.empty();
  }

  /** Does the first thing that can be done with something: chooses, presses, ticks. */
  public void act(Ref on) throws BusException {
    if (!Boolean.TRUE.equals(ask(LIMIT, on, A11Y + "Action", "DoAction", "i", 0)[0])) {
      throw new BusException(BusException.Why.REFUSED, "it does nothing now");
    }
  }

  /** The keys of several that can be chosen, as their programs write them; empty where none. */
  public List<String> keys(List<Ref> of) throws BusException {
    List<MethodCall> calls = new ArrayList<>();
    for (Ref ref : of) {
      calls.add(send(ref, A11Y + "Action", "GetKeyBinding", "i", 0));
    }
    List<String> keys = new ArrayList<>();
    for (MethodCall call : calls) {
      try {
        keys.add(answer(LIMIT, call)[0].toString());
      } catch (BusException e) {
        if (e.why() == BusException.Why.SILENT) {
          throw e;
        }
        keys.add("");
      }
    }
    return keys;
  }

  /** Puts the keys on something. */
  public boolean focus(Ref on) throws BusException {
    return Boolean.TRUE.equals(ask(LIMIT, on, A11Y + "Component", "GrabFocus", "")[0]);
  }

  /** Where something is in its window, in pixels. */
  public record Area(int x, int y, int width, int height) {}

  /** Counted from the corner of its window, which may move between two questions. */
  private static final int IN_WINDOW = 1;

  /** Where several are in their windows, each in its place of the list. */
  public List<Area> areas(List<Ref> of) throws BusException {
    List<MethodCall> calls = new ArrayList<>();
    for (Ref ref : of) {
      calls.add(send(ref, A11Y + "Component", "GetExtents", "u", new UInt32(IN_WINDOW)));
    }
    List<Area> areas = new ArrayList<>();
    for (MethodCall call : calls) {
      Object[] e = (Object[]) answer(LIMIT, call)[0];
      areas.add(new Area(whole(e[0]), whole(e[1]), whole(e[2]), whole(e[3])));
    }
    return areas;
  }

  /** The text in something. */
  public String text(Ref of) throws BusException {
    return ask(LIMIT, of, A11Y + "Text", "GetText", "ii", 0, -1)[0].toString();
  }

  /** How long the text in something is, in characters. */
  public int length(Ref of) throws BusException {
    return whole(property(of, "Text", "CharacterCount"));
  }

  /** Where the next letter would go. */
  public int caret(Ref of) throws BusException {
    return whole(property(of, "Text", "CaretOffset"));
  }

  /** What of a text is selected: from, to; empty when nothing is. */
  public Optional<int[]> selection(Ref of) throws BusException {
    if (whole(ask(LIMIT, of, A11Y + "Text", "GetNSelections", "")[0]) == 0) {
      return Optional.empty();
    }
    Object[] both = ask(LIMIT, of, A11Y + "Text", "GetSelection", "i", 0);
    int from = whole(both[0]);
    int to = whole(both[1]);
    return from == to ? Optional.empty() : Optional.of(new int[] {from, to});
  }

  /** Selects a part of a text, in place of what is selected. */
  public void select(Ref in, int from, int to) throws BusException {
    boolean had = whole(ask(LIMIT, in, A11Y + "Text", "GetNSelections", "")[0]) > 0;
    Object[] answer =
        had
            ? ask(LIMIT, in, A11Y + "Text", "SetSelection", "iii", 0, from, to)
            : ask(LIMIT, in, A11Y + "Text", "AddSelection", "ii", from, to);
    if (!Boolean.TRUE.equals(answer[0])) {
      throw new BusException(BusException.Why.REFUSED, "it lets nothing be selected");
    }
  }

  /** Writes a text into something, in place of what stands there. */
  public void write(Ref into, String text) throws BusException {
    if (!Boolean.TRUE.equals(
        ask(LIMIT, into, A11Y + "EditableText", "SetTextContents", "s", text)[0])) {
      throw new BusException(BusException.Why.REFUSED, "it lets nothing be written");
    }
  }

  /** Puts a text where the next letter would go. */
  public void insert(Ref into, int at, String text) throws BusException {
    int length = text.codePointCount(0, text.length());
    if (!Boolean.TRUE.equals(
        ask(LIMIT, into, A11Y + "EditableText", "InsertText", "isi", at, text, length)[0])) {
      throw new BusException(BusException.Why.REFUSED, "it lets nothing be written");
    }
  }

  /** Takes a part of a text away. */
  public void delete(Ref from, int first, int end) throws BusException {
    if (!Boolean.TRUE.equals(
        ask(LIMIT, from, A11Y + "EditableText", "DeleteText", "ii", first, end)[0])) {
      throw new BusException(BusException.Why.REFUSED, "it lets nothing be taken away");
    }
  }

  /** A number that goes up and down, and how far. */
  public record Range(double now, double least, double most, double step) {}

  public Range range(Ref of) throws BusException {
    return new Range(
        real(property(of, "Value", "CurrentValue")),
        real(property(of, "Value", "MinimumValue")),
        real(property(of, "Value", "MaximumValue")),
        real(property(of, "Value", "MinimumIncrement")));
  }

  /** Sets a number that goes up and down. */
  public void set(Ref of, double to) throws BusException {
    ask(
        LIMIT,
        of,
        "org.freedesktop.DBus.Properties",
        "Set",
        "ssv",
        A11Y + "Value",
        "CurrentValue",
        new Variant<>(to));
  }

  /** Which of what lies in something is chosen, by number; empty when none is. */
  public Optional<Seen> chosen(Ref in) throws BusException {
    if (whole(property(in, "Selection", "NSelectedChildren")) == 0) {
      return Optional.empty();
    }
    Object pair = ask(LIMIT, in, A11Y + "Selection", "GetSelectedChild", "i", 0)[0];
    Ref ref = ref(pair);
    return ref.isThere() ? Optional.of(look(ref)) : Optional.empty();
  }

  /** Chooses what lies in something, by number. */
  public void choose(Ref in, int which) throws BusException {
    if (!Boolean.TRUE.equals(ask(LIMIT, in, A11Y + "Selection", "SelectChild", "i", which)[0])) {
      throw new BusException(BusException.Why.REFUSED, "it lets nothing be chosen");
    }
  }

  private Object property(Ref of, String face, String name) throws BusException {
    return bare(
        ask(LIMIT, of, "org.freedesktop.DBus.Properties", "Get", "ss", A11Y + face, name)[0]);
  }

  private Object[] ask(
      long limit, Ref of, String face, String member, String signature, Object... arguments)
      throws BusException {
    return answer(limit, send(of, face, member, signature, arguments));
  }

  private MethodCall send(Ref of, String face, String member, String signature, Object... arguments)
      throws BusException {
    try {
      MethodCall call =
          connection
              .getMessageFactory()
              .createMethodCall(
                  null,
                  of.bus(),
                  of.path(),
                  face,
                  member,
                  (byte) 0,
                  signature.isEmpty() ? null : signature,
                  arguments);
      connection.sendMessage(call);
      return call;
    } catch (DBusException | DBusExecutionException e) {
      throw new BusException(BusException.Why.GONE, e.getMessage(), e);
    }
  }

  private static Object[] answer(long limit, MethodCall call) throws BusException {
    Message reply = call.getReply(limit);
    if (reply == null) {
      throw new BusException(
          BusException.Why.SILENT,
          "no answer to "
              + call.getName()
              + " within "
              + TimeUnit.MILLISECONDS.toSeconds(limit)
              + " s");
    }
    try {
      Object[] parameters = reply.getParameters();
      if (reply.getType() == FAILED) {
        String what = parameters == null || parameters.length == 0 ? "" : " " + parameters[0];
        String name = reply.getName() == null ? "" : reply.getName();
        boolean gone =
            name.contains("UnknownObject")
                || name.contains("ServiceUnknown")
                || name.contains("NoReply")
                || name.contains("Disconnected");
        throw new BusException(
            gone ? BusException.Why.GONE : BusException.Why.REFUSED, call.getName() + ":" + what);
      }
      return parameters == null ? new Object[] {null} : parameters;
    } catch (DBusException e) {
      throw new BusException(BusException.Why.REFUSED, e.getMessage(), e);
    }
  }

  private static Object bare(Object value) {
    return value instanceof Variant<?> v ? bare(v.getValue()) : value;
  }

  private static int whole(Object n) {
    return ((Number) n).intValue();
  }

  private static double real(Object n) {
    return ((Number) n).doubleValue();
  }

  private static List<?> list(Object answer) {
    return switch (answer) {
      case List<?> l -> l;
      case Object[] a -> List.of(a);
      default -> List.of();
    };
  }

  private static List<? extends Number> numbers(Object answer) {
    List<Number> numbers = new ArrayList<>();
    switch (answer) {
      case int[] all -> {
        for (int n : all) {
          numbers.add(n & 0xffffffffL);
        }
      }
      case Map<?, ?> m -> {}
      default -> list(answer).forEach(n -> numbers.add((Number) n));
    }
    return numbers;
  }

  @Override
  public void close() {
    connection.disconnect();
  }
}
