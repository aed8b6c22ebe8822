package foldtwice.desktop.session;

import java.io.File;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import javafx.stage.DirectoryChooser;
import javafx.stage.FileChooser;
import javafx.stage.Window;

/** Asks a person for files and folders. */
public interface FileAsking {

  /** The desktop's own dialogs. */
  FileAsking DIALOGS =
      new FileAsking() {
        @Override
        public List<Path> files(Window owner, String title) {
          FileChooser chooser = new FileChooser();
          chooser.setTitle(title);
          List<File> files = chooser.showOpenMultipleDialog(owner);
          return files == null ? List.of() : files.stream().map(File::toPath).toList();
        }

        @Override
        public Optional<Path> folder(Window owner, String title) {
          DirectoryChooser chooser = new DirectoryChooser();
          chooser.setTitle(title);
          return Optional.ofNullable(chooser.showDialog(owner)).map(File::toPath);
        }

        @Override
        public Optional<Path> fresh(Window owner, String title, String name) {
          FileChooser chooser = new FileChooser();
          chooser.setTitle(title);
          chooser.setInitialFileName(name);
          return Optional.ofNullable(chooser.showSaveDialog(owner)).map(File::toPath);
        }
      };

  /** Files to read; empty when the person chose none. */
  List<Path> files(Window owner, String title);

  /** A folder; empty when the person chose none. */
  Optional<Path> folder(Window owner, String title);

  /**
   * A file to write, which is there already only when the person agreed to lose it; empty when the
   * person chose none.
   *
   * @param name what it is called unless the person says otherwise
   */
  Optional<Path> fresh(Window owner, String title, String name);
}
