package foldtwice.live.bus;

import java.util.Collections;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;

/** A state something of an interface is in, of the states of AT-SPI2 those that are asked for. */
public enum Mark {
  ACTIVE(1),
  CHECKED(4),
  DEFUNCT(6),
  EDITABLE(7),
  ENABLED(8),
  FOCUSABLE(11),
  FOCUSED(12),
  MODAL(16),
  MULTI_LINE(17),
  PRESSED(20),
  SELECTED(23),
  SENSITIVE(24),
  SHOWING(25),
  VISIBLE(30);

  private final int bit;

  Mark(int bit) {
    this.bit = bit;
  }

  /** Those that two words of 32 bits tell. */
  static Set<Mark> of(List<? extends Number> words) {
    Set<Mark> marks = EnumSet.noneOf(Mark.class);
    for (Mark m : values()) {
      int word = m.bit / 32;
      if (word < words.size() && (words.get(word).longValue() >> (m.bit % 32) & 1) == 1) {
        marks.add(m);
      }
    }
    return Collections.unmodifiableSet(marks);
  }
}
