package foldtwice.routine;

/** What an <em>if</em> step looks at. */
public sealed interface Condition {

  /** How two values compare. */
  record Compare(Expr left, Relation relation, Expr right) implements Condition {}

  /** A setting of the program has this value. */
  record SettingIs(String setting, Expr value) implements Condition {}

  /** Something is selected in the program. */
  record SomethingSelected() implements Condition {}

  /** How two values compare. Lengths compare by size, whatever their units. */
  enum Relation {
    IS("is"),
    IS_NOT("is not"),
    LESS("is less than"),
    MORE("is more than");

    private final String words;

    Relation(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }
  }
}
