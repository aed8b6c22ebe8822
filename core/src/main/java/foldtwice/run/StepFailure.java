package foldtwice.run;

/** A step that cannot be taken; caught by the interpreter and told in the trace. */
final class StepFailure extends Exception {

  private static final long serialVersionUID = 1L;

  private final String expected;
  private final String found;

  StepFailure(String expected, String found) {
    super("expected " + expected + ", found " + found, null, false, false);
    this.expected = expected;
    this.found = found;
  }

  String expected() {
    return expected;
  }

  String found() {
    return found;
  }
}
