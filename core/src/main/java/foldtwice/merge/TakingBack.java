package foldtwice.merge;

import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.library.Returning;
import foldtwice.library.file.FormatException;
import java.util.List;

/**
 * One change of long ago taken back by itself: a merge, with what it led to as the base, what it
 * began with as one side, and what has become of the library since as the other.
 */
public sealed interface TakingBack {

  /** It can be: this edit takes it back and leaves all that came later. */
  record Possible(Edit edit) implements TakingBack {}

  /** Nothing of it is there any more. */
  record Gone() implements TakingBack {}

  /**
   * What it made was changed again since.
   *
   * @param now what it has become; of each, {@code base} is what the change made and {@code ours}
   *     what there is
   */
  record Standing(List<Contradiction> now) implements TakingBack {
    public Standing {
      now = List.copyOf(now);
    }
  }

  /**
   * Looks at a change.
   *
   * @param now the library today
   * @param before what it was before the change
   * @param after and right after it
   * @throws FormatException when what comes of it would be no library
   */
  static TakingBack of(Library now, Library before, Library after) throws FormatException {
    Merging merging = Merging.of(after, now, before);
    if (!merging.contradictions().isEmpty()) {
      return new Standing(merging.contradictions());
    }
    Edit edit = Returning.to(now, merging.library());
    return edit.on(now).equals(now) ? new Gone() : new Possible(edit);
  }
}
