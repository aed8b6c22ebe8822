package foldtwice.trigger;

/**
 * What the modifiers of a computer are there for.
 *
 * <p>A library is written once, for computers on which Ctrl carries commands. On another the same
 * trigger is pressed with the modifiers that have that part there: {@link #pressed}.
 */
public enum Platform {
  /** Ctrl carries commands; AltGr is a modifier of its own. */
  CONTROL,

  /** Ctrl carries commands; Ctrl and Alt held together are AltGr, and AltGr is the two of them. */
  CONTROL_ALTGR,

  /**
   * The key with the logo carries commands, and what Ctrl is elsewhere has that key's part; Alt is
   * AltGr, and types.
   */
  COMMAND;

  /**
   * The modifiers to hold here for those a library names.
   *
   * <p>Law: {@code pressed(written(h))} equals {@code h} for all that can be heard here.
   */
  public Modifiers pressed(Modifiers written) {
    return heard(swapped(written));
  }

  /** The modifiers a program sees when these keys are down. */
  public Modifiers heard(Modifiers down) {
    return switch (this) {
      case CONTROL -> down;
      case CONTROL_ALTGR ->
          down.has(Modifier.ALTGR) || (down.has(Modifier.CTRL) && down.has(Modifier.ALT))
              ? down.without(Modifier.CTRL).without(Modifier.ALT).with(Modifier.ALTGR)
              : down;
      case COMMAND ->
          down.has(Modifier.ALT) ? down.without(Modifier.ALT).with(Modifier.ALTGR) : down;
    };
  }

  /** The same press, without what it types, in the words of the library. */
  Modifiers written(Modifiers heard) {
    if (this == CONTROL || !heard.has(Modifier.ALTGR)) {
      return swapped(heard);
    }
    Modifiers others = heard.without(Modifier.ALTGR).with(Modifier.ALT);
    return this == COMMAND ? swapped(others) : others.with(Modifier.CTRL);
  }

  /**
   * A trigger that is written with the modifiers of this computer itself, as its desktop's are, in
   * the words of the library.
   */
  public Trigger.Keys asLibraryWrites(Trigger.Keys onStation) {
    return new Trigger.Keys(
        onStation.strokes().stream()
            .map(s -> new Stroke(swapped(s.modifiers()), s.key()))
            .toList());
  }

  private Modifiers swapped(Modifiers m) {
    if (this != COMMAND || m.has(Modifier.CTRL) == m.has(Modifier.LOGO)) {
      return m;
    }
    return m.has(Modifier.CTRL)
        ? m.without(Modifier.CTRL).with(Modifier.LOGO)
        : m.without(Modifier.LOGO).with(Modifier.CTRL);
  }
}
