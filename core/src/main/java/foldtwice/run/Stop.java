package foldtwice.run;

/** The run ends here as foreseen; caught by the run and told in the trace. */
final class Stop extends Exception {

  private static final long serialVersionUID = 1L;

  Stop(String reason) {
    super(reason, null, false, false);
  }
}
