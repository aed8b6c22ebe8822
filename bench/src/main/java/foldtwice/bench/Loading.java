package foldtwice.bench;

import com.fasterxml.jackson.databind.json.JsonMapper;
import foldtwice.library.file.FormatException;
import foldtwice.library.file.LibraryJson;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;

/**
 * Reading a library of 10,000 bindings, and Jackson reading the same bytes as a tree, in turns of
 * one another; the median of several, after as many to warm up.
 *
 * @param library milliseconds for the library
 * @param tree milliseconds for the tree
 */
record Loading(double library, double tree) {

  private static final int TURNS = 40;

  static Loading measure() throws IOException, FormatException {
    byte[] document =
        LibraryJson.write(Big.library(10_000, 200, 1)).getBytes(StandardCharsets.UTF_8);
    JsonMapper mapper = new JsonMapper();
    List<Double> ours = new ArrayList<>();
    List<Double> rivals = new ArrayList<>();
    for (int turn = -TURNS; turn < TURNS; turn++) {
      long began = System.nanoTime();
      int nodes = mapper.readTree(document).size();
      long between = System.nanoTime();
      int bindings = LibraryJson.read(document).bindings().size();
      long end = System.nanoTime();
      if (nodes == 0 || bindings != 10_000) {
        throw new IllegalStateException("the library was not read whole");
      }
      if (turn >= 0) {
        rivals.add((between - began) / 1e6);
        ours.add((end - between) / 1e6);
      }
    }
    return new Loading(Starts.median(ours), Starts.median(rivals));
  }
}
