package foldtwice.desktop.session;

import foldtwice.library.file.FormatException;
import foldtwice.text.DiskWords;
import java.io.IOException;
import java.io.UncheckedIOException;

/**
 * Work with files, for the background: what goes wrong ends it with its own words.
 *
 * @param <T> what comes of it
 */
public interface DiskWork<T> {

  T work() throws IOException, FormatException;

  /** Work of which nothing comes but what is on disk then. */
  interface Writing {
    void write() throws IOException, FormatException;
  }

  /** Does it. */
  static <T> T done(DiskWork<T> what) {
    try {
      return what.work();
    } catch (IOException e) {
      throw new UncheckedIOException(DiskWords.says(e), e);
    } catch (FormatException e) {
      throw new IllegalArgumentException(e.getMessage(), e);
    }
  }
}
