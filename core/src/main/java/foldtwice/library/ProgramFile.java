package foldtwice.library;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;

/**
 * What stands in the file of a program on one station, since it is no longer simply what the
 * library has.
 *
 * @param entries by binding, in the order of the file
 */
public record ProgramFile(String station, String application, Map<String, Given> entries) {

  public ProgramFile {
    entries = Collections.unmodifiableMap(new LinkedHashMap<>(entries));
  }

  /** What it is kept under. */
  public String id() {
    return id(station, application);
  }

  public static String id(String station, String application) {
    return station + " " + application;
  }
}
