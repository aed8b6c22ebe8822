package foldtwice.cli;

/** Exit codes. */
final class Exit {
  static final int WELL = 0;
  static final int NO = 1;
  static final int UNUSABLE = 2;

  private Exit() {}
}
