package foldtwice.live.program;

import foldtwice.live.bus.Bus;
import foldtwice.live.bus.BusException;
import foldtwice.live.bus.Ref;
import foldtwice.live.bus.Seen;
import foldtwice.live.say.Say;
import foldtwice.routine.Whom;
import foldtwice.run.Reply;
import java.util.List;
import java.util.Optional;

/** Writes into the text a program is worked at, and selects in it. */
final class Writing {

  private final Bus bus;
  private final Page page;
  private final Looking looking;
  private final String name;

  /**
   * @param name what the program is called
   */
  Writing(Bus bus, Page page, Looking looking, String name) {
    this.bus = bus;
    this.page = page;
    this.looking = looking;
    this.name = name;
  }

  /** In place of what is selected, or else where the next letter would go. */
  Reply type(Seen into, String text) throws BusException {
    Ref ref = into.ref();
    return looking.doing(
        () -> {
          Optional<int[]> selected = bus.selection(ref);
          if (selected.isPresent()) {
            bus.delete(ref, selected.get()[0], selected.get()[1]);
          }
          bus.insert(ref, bus.caret(ref), text);
        },
        false);
  }

  /** The text that is selected; empty for none. */
  String selected() throws BusException {
    Optional<Seen> at = page.find();
    if (at.isEmpty()) {
      return "";
    }
    Optional<int[]> selected = bus.selection(at.get().ref());
    if (selected.isEmpty()) {
      return "";
    }
    String text = bus.text(at.get().ref());
    int from = text.offsetByCodePoints(0, selected.get()[0]);
    return text.substring(
        from, text.offsetByCodePoints(from, selected.get()[1] - selected.get()[0]));
  }

  /** Everything, or nothing; the interface knows no other way. */
  Reply select(Whom.Group whom) throws BusException {
    Optional<Seen> at = page.find();
    boolean can = whom == Whom.Group.ALL || whom == Whom.Group.NOTHING;
    if (!can || at.isEmpty()) {
      return new Reply.Refused(Say.text("offers", name), Say.text("selecting"));
    }
    String before = selected();
    Ref text = at.get().ref();
    if (whom == Whom.Group.ALL) {
      bus.select(text, 0, bus.length(text));
    } else {
      int caret = bus.caret(text);
      bus.select(text, caret, caret);
    }
    return changed(before);
  }

  private Reply changed(String before) throws BusException {
    String after = selected();
    return before.equals(after)
        ? Reply.QUIET
        : new Reply.Done(List.of(Excerpt.of("selection", before, after)));
  }

  /** The next place where something is written; from the beginning after the last. */
  Reply selectNext(String what) throws BusException {
    Optional<Seen> at = page.find();
    if (at.isEmpty() || what.isEmpty()) {
      return new Reply.Refused(Say.text("offers", name), Say.text("selecting"));
    }
    Ref into = at.get().ref();
    String text = bus.text(into);
    int caret = Math.min(bus.caret(into), text.codePointCount(0, text.length()));
    int found = text.indexOf(what, text.offsetByCodePoints(0, caret));
    found = found < 0 ? text.indexOf(what) : found;
    if (found < 0) {
      return new Reply.Refused(Say.text("written", what), Say.text("notthere"));
    }
    String before = selected();
    int start = text.codePointCount(0, found);
    bus.select(into, start, start + what.codePointCount(0, what.length()));
    return changed(before);
  }
}
