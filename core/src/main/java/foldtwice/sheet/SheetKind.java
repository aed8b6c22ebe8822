package foldtwice.sheet;

/** How a sheet is laid out. */
public enum SheetKind {
  /** One page, printed on one side and folded twice. */
  POCKET_CARD("pocket-card"),
  /** Everything in a table, place by place. */
  LIST("list"),
  /** A picture of the keyboard for each place and what is held. */
  KEYBOARD("keyboard"),
  /** The buttons of toolbars and the choices of radial menus, where they lie. */
  TOOLBARS("toolbars"),
  /** How a routine is done, step by step, from a run of it. */
  HOW_TO("how-to"),
  /** What has to be done on a new computer, to be ticked off. */
  INSTALL_NOTES("install-notes"),
  /** What the keys of devices show, at true size, to be cut out. */
  PAD_LABELS("pad-labels");

  private final String id;

  SheetKind(String id) {
    this.id = id;
  }

  /** As it is named on the command line. */
  public String id() {
    return id;
  }

  /** True when its pages lie on their long side. */
  public boolean lies() {
    return this == KEYBOARD || this == TOOLBARS;
  }

  @Override
  public String toString() {
    return id;
  }
}
