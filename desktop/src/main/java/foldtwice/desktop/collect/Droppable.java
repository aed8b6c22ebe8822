package foldtwice.desktop.collect;

import java.nio.file.Path;
import java.util.List;

/** Takes files and folders. */
public interface Droppable {

  /** Looks through them. */
  void look(List<Path> paths);
}
