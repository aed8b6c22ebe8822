package foldtwice.library.file;

import foldtwice.binding.Binding;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Random;

/** A process that changes a library and is killed in the midst of it. */
public final class Kills {

  static final String ID = "mine box Alt+L";

  /** What came of so many kills. */
  public record Sum(int kills, int acknowledged, int lost) {}

  private Kills() {}

  static int number(Library library) {
    return (int) library.bindings().get(ID).usesPerWeek();
  }

  static Edit numbered(Library library, int number) {
    Binding b = library.bindings().get(ID);
    return new Edit.PutBinding(
        new Binding(
            b.id(), b.routine(), b.place(), b.triggers(), b.arguments(), number, b.extras()));
  }

  /** Kills a writer so many times and looks each time whether what it had said is there. */
  public static Sum make(Path folder, int kills, long seed)
      throws IOException, InterruptedException, FormatException {
    Path file = folder.resolve("library.json");
    Files.writeString(file, LibraryJson.write(foldtwice.Fixture.library(ID)));
    Random random = new Random(seed);
    int acknowledged = 0;
    int lost = 0;
    for (int i = 0; i < kills; i++) {
      int before = number(LibraryFile.look(file));
      Path says = folder.resolve("says");
      Process writer = Processes.start(says, "edit", file.toString());
      int lines = 1 + random.nextInt(20);
      while (said(says).size() < lines && writer.isAlive()) {
        Thread.sleep(1);
      }
      Thread.sleep(random.nextInt(3));
      writer.destroyForcibly().waitFor();
      int last = said(says).getLast();
      acknowledged += last - before;
      lost += Math.max(0, last - number(LibraryFile.look(file)));
    }
    return new Sum(kills, acknowledged, lost);
  }

  /** The numbers it said, the last line left out where it was cut short. */
  private static List<Integer> said(Path says) throws IOException {
    String text = Files.readString(says);
    String whole = text.substring(0, text.lastIndexOf('\n') + 1);
    return whole.lines().map(Integer::valueOf).toList();
  }
}
