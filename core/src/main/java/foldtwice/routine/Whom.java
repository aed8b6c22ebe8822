package foldtwice.routine;

/** What a select step selects. */
public sealed interface Whom {

  /** What it takes no name to say. */
  enum Group implements Whom {
    ALL,
    NOTHING,
    NEXT,
    PREVIOUS,
    /** What lies inside the selected ones. */
    CHILDREN,
    /** What the selected ones lie in. */
    PARENT,
    /** What the pointer is over. */
    AT_POINTER
  }

  /** An object by the name the program gives it, such as {@code box 3}. */
  record Named(Template name) implements Whom {}
}
