package foldtwice.binding;

import foldtwice.extras.Extras;
import java.util.ArrayList;
import java.util.List;

/**
 * Bindings made and kept as one series.
 *
 * @param members ids of bindings, in order, each once; one that is not there any more is passed
 *     over
 * @param pattern how their triggers follow from the first
 */
public record Family(String id, String name, List<String> members, Pattern pattern, Extras extras) {

  public Family {
    members = members.stream().distinct().toList();
  }

  /** The same series, laid out otherwise. */
  public Family with(Pattern other) {
    return new Family(id, name, members, other, extras);
  }

  /** The same series with more members at its end. */
  public Family plus(List<String> more) {
    List<String> all = new ArrayList<>(members);
    all.addAll(more);
    return new Family(id, name, all, pattern, extras);
  }

  /** The same series without a member. */
  public Family without(String member) {
    return new Family(
        id, name, members.stream().filter(m -> !m.equals(member)).toList(), pattern, extras);
  }
}
