package foldtwice.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.library.file.LibraryJson;
import foldtwice.place.Application;
import foldtwice.place.Station;
import foldtwice.routine.Routine;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.Parent;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * Nothing sticks out of the window, whatever things are called and however many there are: what
 * does is cut off, and each time it changes the whole window is painted anew.
 */
class InWindowTest {

  private static final double WIDTH_LEAST = 1024;
  private static final double HEIGHT_LEAST = 700;

  @TempDir Path folder;

  @ParameterizedTest
  @CsvSource({"fernhollow, false", "seedhouse, false", "fernhollow, true"})
  void everythingIsWithin(String library, boolean wordy) throws Exception {
    Library is =
        LibraryJson.read(Files.readAllBytes(Hands.root().resolve("demo/" + library + ".json")));
    Files.writeString(folder.resolve("fernhollow.json"), LibraryJson.write(wordy ? wordy(is) : is));
    List<String> out = new ArrayList<>();
    try (Hands hands = Hands.open(folder)) {
      for (boolean least : List.of(false, true)) {
        if (least) {
          hands.resize(WIDTH_LEAST, HEIGHT_LEAST);
        }
        List<String> views = hands.views();
        assertThat(views).hasSizeGreaterThan(8);
        for (String view : views) {
          hands.click("#" + view);
          hands.settle();
          out.addAll(Hands.ask(() -> sticking(hands, view)));
        }
      }
    }
    assertThat(out).isEmpty();
  }

  /** Each name several times as long. */
  private static Library wordy(Library library) {
    List<Edit> edits = new ArrayList<>();
    for (Application a : library.applications().values()) {
      edits.add(
          new Edit.PutApplication(a.named(a.name() + " for the county archives", a.version())));
    }
    for (Routine r : library.routines().values()) {
      edits.add(
          new Edit.PutRoutine(
              r.with(
                  r.head()
                      .named(r.id(), r.name() + " and everything that belongs to it, in order"))));
    }
    for (Station s : library.stations().values()) {
      edits.add(new Edit.PutStation(s.named(s.name() + " beside the window of the long room")));
    }
    return new Edit.Together(edits).on(library);
  }

  private static List<String> sticking(Hands hands, String view) {
    List<String> out = new ArrayList<>();
    Parent root = hands.scene().getRoot();
    Bounds all = root.getBoundsInParent();
    double width = hands.scene().getWidth();
    double height = hands.scene().getHeight();
    if (all.getMinX() < -0.5
        || all.getMinY() < -0.5
        || all.getMaxX() > width + 0.5
        || all.getMaxY() > height + 0.5) {
      last(root, width, height, view + " at " + width + " x " + height, out);
    }
    for (Node sketch : root.lookupAll(".sketch-ground")) {
      Bounds its = sketch.localToScene(sketch.getLayoutBounds());
      for (Node text : sketch.lookupAll(".text")) {
        Bounds at = text.localToScene(text.getLayoutBounds());
        if (its.getHeight() > 0 && at.getMaxY() > its.getMaxY() + 0.5) {
          out.add(view + " at " + width + " x " + height + ": cut in the sketch: " + text);
        }
      }
    }
    return out;
  }

  /** The innermost of what sticks out. */
  private static boolean last(Node node, double width, double height, String at, List<String> out) {
    Bounds b = node.localToScene(node.getBoundsInLocal());
    if (!node.isVisible()
        || (b.getMinX() >= -0.5
            && b.getMinY() >= -0.5
            && b.getMaxX() <= width + 0.5
            && b.getMaxY() <= height + 0.5)) {
      return false;
    }
    boolean within = false;
    if (node instanceof Parent parent && node.getClip() == null) {
      for (Node child : parent.getChildrenUnmodifiable()) {
        within |= last(child, width, height, at, out);
      }
    }
    if (!within) {
      out.add(at + ": " + node + " to " + b.getMaxX() + ", " + b.getMaxY());
    }
    return true;
  }
}
