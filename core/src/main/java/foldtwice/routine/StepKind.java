package foldtwice.routine;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.Function;

/**
 * A kind of step, described once: what of it is written to files, edited in the outline and given
 * in a script's call follows from here. All there are stand in {@link StepKinds}.
 *
 * @param id the word for it in files
 * @param type the steps of this kind
 * @param parts what it is made of, in order
 * @param make makes a step of its parts
 * @param calls what a script calls to have it done; none for what the language of scripts has
 *     itself
 */
public record StepKind<S extends Step>(
    String id, Class<S> type, List<Part<S, ?>> parts, Function<Parts, S> make, List<Call> calls) {

  /**
   * A part.
   *
   * @param name of it in files
   * @param label of it in the outline; empty where it needs none
   */
  public record Part<S extends Step, T>(
      String name, String label, Form<T> form, Function<S, T> of) {}

  /** The parts of one step, in the order of its kind. */
  public record Parts(List<Object> values) {
    /** The part at a place, as what its form says it is. */
    @SuppressWarnings({"unchecked", "TypeParameterUnusedInFormals"})
    public <T> T at(int i) {
      return (T) values.get(i);
    }
  }

  /**
   * A call of the script interface.
   *
   * @param name the host's word for it
   * @param fixed parts that the call itself settles, by name; the others are given in order
   * @param usual what the others are, by name, where they are not given
   */
  public record Call(String name, Map<String, Object> fixed, Map<String, Object> usual) {}

  static <S extends Step> Builder<S> of(String id, Class<S> type) {
    return new Builder<>(id, type);
  }

  /** Its parts, taken out of a step. */
  public Parts parts(Step step) {
    S own = type.cast(step);
    List<Object> values = new ArrayList<>(parts.size());
    parts.forEach(p -> values.add(p.of().apply(own)));
    return new Parts(values);
  }

  /** A step of these parts. */
  public S step(List<Object> values) {
    return make.apply(new Parts(values));
  }

  /** A kind that is being described. */
  static final class Builder<S extends Step> {
    private final String id;
    private final Class<S> type;
    private final List<Part<S, ?>> parts = new ArrayList<>();
    private final List<Call> calls = new ArrayList<>();

    private Builder(String id, Class<S> type) {
      this.id = id;
      this.type = type;
    }

    /** Its next part. */
    <T> Builder<S> part(String name, String label, Form<T> form, Function<S, T> of) {
      parts.add(new Part<>(name, label, form, of));
      return this;
    }

    /** What a script calls. */
    Builder<S> call(String name) {
      return call(name, Map.of());
    }

    Builder<S> call(String name, Map<String, Object> fixed) {
      return call(name, fixed, Map.of());
    }

    Builder<S> call(String name, Map<String, Object> fixed, Map<String, Object> usual) {
      calls.add(new Call(name, fixed, usual));
      return this;
    }

    StepKind<S> made(Function<Parts, S> make) {
      return new StepKind<>(id, type, List.copyOf(parts), make, List.copyOf(calls));
    }
  }
}
