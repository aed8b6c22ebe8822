package foldtwice.library;

import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.RecordComponent;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;

/**
 * Takes any record apart and puts it together again with something hostile in one of its fields,
 * wherever that is: so no field has to be thought of.
 */
public final class Hostile {

  /**
   * Texts that somebody, somewhere, will cut, trim, quote, normalise or take for something else.
   */
  public static final List<String> TEXTS =
      List.of(
          "",
          " ",
          " a ",
          "\u00a0",
          "\n",
          "a\nb",
          "\t",
          "\u0000",
          "\u001b[31m",
          "\ud800",
          "x\udc00",
          "\ud83c\udf3f",
          "\u202e",
          "e\u0301",
          "\u0130",
          "everywhere",
          "a/b",
          "/",
          "a+b",
          "+",
          "\u2039 name \u203a",
          "\u2039name",
          "\u203a",
          "'",
          "it's",
          "\"",
          "\\",
          "\\u0041",
          "null",
          "true",
          "yes",
          "0",
          "-0",
          "1e400",
          "NaN",
          "0.5 mm",
          "1,5",
          "{}",
          "[]",
          "__proto__",
          "constructor",
          "\u0645\u0631\u062d\u0628\u0627",
          "\u65e5\u672c",
          "a".repeat(5_000));

  private static final double[] NUMBERS = {
    -1, -0.0, 0.1, 1e15, 1e16, 1e300, Double.NaN, Double.POSITIVE_INFINITY, Double.MIN_VALUE
  };

  private final Random random;
  private int target;
  private int seen;

  private Hostile(Random random) {
    this.random = random;
  }

  /**
   * The same value with one field made hostile; the value itself when its type does not allow it.
   */
  @SuppressWarnings("unchecked")
  public static <T> T in(T value, Random random) {
    Hostile h = new Hostile(random);
    h.target = Integer.MAX_VALUE;
    h.changed(value);
    if (h.seen == 0) {
      return value;
    }
    h.target = random.nextInt(h.seen);
    h.seen = 0;
    try {
      return (T) h.changed(value);
    } catch (Impossible e) {
      return value;
    }
  }

  private Object changed(Object value) {
    return switch (value) {
      case String text -> mine() ? TEXTS.get(random.nextInt(TEXTS.size())) : text;
      case Double number -> mine() ? NUMBERS[random.nextInt(NUMBERS.length)] : number;
      case Integer number ->
          mine() ? new int[] {-1, 0, 1, 99, Integer.MAX_VALUE}[random.nextInt(5)] : number;
      case Optional<?> some -> some.map(this::changed);
      case List<?> list -> {
        List<Object> all = new ArrayList<>();
        list.forEach(item -> all.add(changed(item)));
        yield all;
      }
      case Map<?, ?> map -> {
        Map<Object, Object> all = new LinkedHashMap<>();
        map.forEach((k, v) -> all.put(k instanceof Enum<?> ? k : changed(k), changed(v)));
        yield all;
      }
      case foldtwice.extras.Extras e -> e; // what this version does not know it does not touch
      case Record record -> record(record);
      case null, default -> value;
    };
  }

  private boolean mine() {
    return seen++ == target;
  }

  private Record record(Record record) {
    RecordComponent[] parts = record.getClass().getRecordComponents();
    Class<?>[] types = new Class<?>[parts.length];
    Object[] values = new Object[parts.length];
    boolean same = true;
    try {
      for (int i = 0; i < parts.length; i++) {
        types[i] = parts[i].getType();
        var get = parts[i].getAccessor();
        get.setAccessible(true);
        Object was = get.invoke(record);
        values[i] = changed(was);
        same &= values[i] == was || values[i].equals(was);
      }
      if (same) {
        return record;
      }
      var make = record.getClass().getDeclaredConstructor(types);
      make.setAccessible(true);
      return (Record) make.newInstance(values);
    } catch (InvocationTargetException e) {
      throw new Impossible(e.getCause());
    } catch (ReflectiveOperationException e) {
      throw new LinkageError(record.getClass().getName(), e);
    }
  }

  /** The type itself refuses the value: nobody can make it. */
  private static final class Impossible extends RuntimeException {
    private static final long serialVersionUID = 1L;

    Impossible(Throwable cause) {
      super(cause);
    }
  }
}
