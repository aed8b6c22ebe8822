package foldtwice.routine;

/**
 * Where a routine comes from.
 *
 * @param from the file, add-on or text it was taken from; empty for one made in this library
 * @param author who wrote it, as the source says; may be empty
 * @param licence the SPDX identifier or expression the source names; empty when it names none
 * @param version the version of the source; may be empty
 * @param seen true once a person has seen what it may do; before that it does not run
 */
public record Origin(String from, String author, String licence, String version, boolean seen) {

  /** Made here. */
  public static final Origin HERE = new Origin("", "", "", "", true);

  /** The same, seen by a person. */
  public Origin asSeen() {
    return new Origin(from, author, licence, version, true);
  }
}
