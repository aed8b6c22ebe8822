package foldtwice.library;

import foldtwice.binding.Proof;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A library and the way to it: what can be taken back and done again. Immutable; both ways are
 * linked lists that share their tails, so that a step costs the edit alone.
 *
 * <p>Facts, such as that a binding was seen to fire, are not edits: they stay when an edit is taken
 * back.
 */
public final class History {

  /**
   * An edit somebody made.
   *
   * @param says what it was, in the words of the one who was told; empty when nobody was
   */
  public record Done(Edit edit, Instant at, String who, String says) {
    public Done(Edit edit, Instant at, String who) {
      this(edit, at, who, "");
    }
  }

  /** An edit, and the one that takes it back. */
  public record Step(Done done, Edit inverse) {}

  /**
   * @param before true for one that was made before the library was opened
   */
  private record Past(Done done, Edit inverse, Past earlier, boolean before) {}

  private final Library library;
  private final Past past;
  private final Past future;

  private History(Library library, Past past, Past future) {
    this.library = library;
    this.past = past;
    this.future = future;
  }

  /** Nothing to take back yet. */
  public static History of(Library library) {
    return new History(library, null, null);
  }

  /**
   * With what led here before it was opened.
   *
   * @param made the first one first
   * @param undone those that redo would make, in that order
   */
  public History remembering(List<Step> made, List<Done> undone) {
    Past back = null;
    for (Step s : made) {
      back = new Past(s.done, s.inverse, back, true);
    }
    Past forth = null;
    for (Done d : undone.reversed()) {
      forth = new Past(d, d.edit(), forth, true);
    }
    return new History(library, back, forth);
  }

  /** The edit undo would make, when that takes back something from before it was opened. */
  public Optional<Edit> backBefore() {
    return Optional.ofNullable(past).filter(Past::before).map(Past::inverse);
  }

  /** The edit redo would make, when that was made and undone before it was opened. */
  public Optional<Edit> againFromBefore() {
    return Optional.ofNullable(future).filter(Past::before).map(p -> p.done.edit());
  }

  /** The same way with another library at its end, which an edit that is no step of it made. */
  public History moved(Edit edit) {
    return new History(edit.on(library), past, future);
  }

  /** The edits since it was opened, the first one first, each with what takes it back. */
  public List<Step> steps() {
    List<Step> all = new ArrayList<>();
    for (Past p = past; p != null && !p.before; p = p.earlier) {
      all.add(new Step(p.done, p.inverse));
    }
    return all.reversed();
  }

  /** All edits that can be taken back, the first one first, each with what takes it back. */
  public List<Step> allSteps() {
    List<Step> all = new ArrayList<>();
    for (Past p = past; p != null; p = p.earlier) {
      all.add(new Step(p.done, p.inverse));
    }
    return all.reversed();
  }

  public Library library() {
    return library;
  }

  /** After one more edit; what was taken back before can no longer be done again. */
  public History with(Done done) {
    Past now = new Past(done, done.edit().inverse(library), past, false);
    return new History(done.edit().on(library), now, null);
  }

  /** With a binding seen to fire. */
  public History with(String binding, Proof proof) {
    return new History(library.withProof(binding, proof), past, future);
  }

  /** With what stands in the file of a program. */
  public History with(ProgramFile file) {
    return new History(library.withFile(file), past, future);
  }

  /** The edit that undo would take back. */
  public Optional<Done> last() {
    return Optional.ofNullable(past).map(Past::done);
  }

  /** The edit that redo would make again. */
  public Optional<Done> next() {
    return Optional.ofNullable(future).map(Past::done);
  }

  /** The edits that led here, the first one first. */
  public List<Done> made() {
    List<Done> all = new ArrayList<>();
    for (Past p = past; p != null; p = p.earlier) {
      all.add(p.done);
    }
    return all.reversed();
  }

  /** The edits that redo would make, in that order. */
  public List<Done> undone() {
    List<Done> all = new ArrayList<>();
    for (Past p = future; p != null; p = p.earlier) {
      all.add(p.done);
    }
    return all;
  }

  /** With all edits taken back. Facts stay. */
  public History first() {
    History at = this;
    while (at.past != null) {
      at = at.undo();
    }
    return at;
  }

  /** With the last edit taken back; itself when there is none. */
  public History undo() {
    return past == null
        ? this
        : new History(
            past.inverse.on(library),
            past.earlier,
            new Past(past.done, past.inverse, future, past.before));
  }

  /** With the last undone edit made again; itself when there is none. */
  public History redo() {
    return future == null
        ? this
        : new History(
            future.done.edit().on(library),
            new Past(future.done, future.done.edit().inverse(library), past, future.before),
            future.earlier);
  }
}
