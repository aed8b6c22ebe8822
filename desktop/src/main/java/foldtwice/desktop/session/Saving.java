package foldtwice.desktop.session;

import foldtwice.desktop.session.Background.Lane;
import foldtwice.library.file.Disk;
import foldtwice.text.DiskWords;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.function.Supplier;
import javafx.stage.Window;

/** Writes something to a file that a person chooses: whole, or not at all. */
public final class Saving {

  private Saving() {}

  /**
   * Asks where it goes and writes it there; what came of it is said in the foot.
   *
   * @param title of the dialog
   * @param name what the file is called unless the person says otherwise
   * @param content what goes into it, worked out off the interface thread
   */
  public static void text(
      Session session, Window owner, String title, String name, Supplier<String> content) {
    session.files().fresh(owner, title, name).ifPresent(file -> write(session, file, content));
  }

  private static void write(Session session, Path file, Supplier<String> content) {
    session
        .background()
        .once(
            Lane.READING,
            () -> {
              try {
                Disk.replace(file, content.get().getBytes(StandardCharsets.UTF_8));
                return file;
              } catch (IOException e) {
                throw new UncheckedIOException(
                    Ui.text("said.notsaved", file, DiskWords.reason(e)), e);
              }
            },
            there -> session.say(Ui.text("said.saved", there)));
  }
}
