package foldtwice.describe;

import foldtwice.place.Versions;

/**
 * The versions of a program that have something.
 *
 * @param since the first one; empty for all up to the last
 * @param until the first one that has it no more; empty for all from the first on
 */
public record Span(String since, String until) {

  /** In every version. */
  public static final Span ALWAYS = new Span("", "");

  /** Whether a version has it; where the version is not known, it may have it. */
  public boolean has(String version) {
    return version.isEmpty()
        || ((since.isEmpty() || Versions.atLeast(version, since))
            && (until.isEmpty() || !Versions.atLeast(version, until)));
  }
}
