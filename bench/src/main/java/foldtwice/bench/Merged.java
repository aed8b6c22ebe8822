package foldtwice.bench;

import foldtwice.binding.Binding;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.library.file.FormatException;
import foldtwice.merge.Differing;
import foldtwice.merge.Merging;
import foldtwice.trigger.Notation;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;

/**
 * Two sides of a library of ten thousand bindings, of which each changed two hundred, held against
 * each other and made one. Prints medians in milliseconds.
 */
public final class Merged {

  private static final int ROUNDS = 15;
  private static final int WARM = 5;

  private Merged() {}

  /** Takes no arguments. */
  public static void main(String[] none) throws FormatException {
    Library base = Big.library(10_000, 50, 1);
    Library ours = changed(base, 1);
    Library theirs = changed(base, 2);
    double[] merging = new double[ROUNDS];
    double[] differing = new double[ROUNDS];
    int contradictions = 0;
    int rows = 0;
    for (int i = -WARM; i < ROUNDS; i++) {
      long began = System.nanoTime();
      contradictions = Merging.of(base, ours, theirs).contradictions().size();
      long then = System.nanoTime();
      rows = Differing.between(ours, theirs).rows().size();
      if (i >= 0) {
        merging[i] = (then - began) / 1e6;
        differing[i] = (System.nanoTime() - then) / 1e6;
      }
    }
    Arrays.sort(merging);
    Arrays.sort(differing);
    System.out.printf(
        "merging 10,000 bindings: %.0f ms (%d contradictions)%ndifferences: %.0f ms (%d rows)%n",
        merging[ROUNDS / 2], contradictions, differing[ROUNDS / 2], rows);
  }

  private static Library changed(Library library, long seed) {
    Random random = new Random(seed);
    List<Edit> edits = new ArrayList<>();
    for (int i = 0; i < 200; i++) {
      Binding b = library.bindings().get("b" + random.nextInt(10_000));
      String keys = "Ctrl+Alt+Shift+" + (char) ('A' + random.nextInt(26));
      edits.add(new Edit.PutBinding(b.withTriggers(List.of(Notation.read(keys)))));
    }
    return new Edit.Together(edits).on(library);
  }
}
