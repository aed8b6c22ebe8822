package foldtwice.desktop.begin;

import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.prefs.Preferences;

/** The libraries opened lately, the last one first; kept with the person's preferences. */
public final class Lately {

  private static final int MOST = 8;

  /** Where they are kept; nowhere for somebody of whom nothing is told. */
  private final Optional<Preferences> kept;

  public Lately(Preferences kept) {
    this(Optional.of(kept));
  }

  private Lately(Optional<Preferences> kept) {
    this.kept = kept;
  }

  /** Of somebody who has opened none, and never will have. */
  public static Lately none() {
    return new Lately(Optional.empty());
  }

  /** Those of this person. */
  public static Lately mine() {
    return new Lately(Preferences.userNodeForPackage(Lately.class).node("lately"));
  }

  /** The files that are still there. */
  public List<Path> files() {
    List<Path> all = new ArrayList<>();
    for (int i = 0; i < MOST; i++) {
      String id = Integer.toString(i);
      kept.flatMap(k -> path(k.get(id, ""))).ifPresent(all::add);
    }
    return all.stream().filter(Files::isRegularFile).toList();
  }

  /** Empty for none, and for one of another system, which is none here. */
  private static Optional<Path> path(String file) {
    try {
      return file.isEmpty() ? Optional.empty() : Optional.of(Path.of(file));
    } catch (InvalidPathException e) {
      return Optional.empty();
    }
  }

  /** One was opened. */
  public void opened(Path file) {
    kept.ifPresent(k -> opened(file, k));
  }

  private void opened(Path file, Preferences into) {
    List<Path> all = new ArrayList<>(files());
    Path whole = file.toAbsolutePath();
    all.remove(whole);
    all.addFirst(whole);
    for (int i = 0; i < MOST; i++) {
      String said = i < all.size() ? all.get(i).toString() : "";
      if (said.isEmpty() || said.length() > Preferences.MAX_VALUE_LENGTH) {
        into.remove(Integer.toString(i));
      } else {
        into.put(Integer.toString(i), said);
      }
    }
  }
}
