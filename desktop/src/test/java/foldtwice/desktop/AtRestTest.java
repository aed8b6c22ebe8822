package foldtwice.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.Seeds;
import foldtwice.binding.Binding;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.library.file.LibraryJson;
import foldtwice.trigger.Notation;
import foldtwice.trigger.Trigger;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;
import javafx.beans.value.ChangeListener;
import javafx.scene.Node;
import javafx.scene.Parent;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * A window that is left alone comes to rest: nothing is laid out any more. In half of the views,
 * others each time; in all when asked to be hard.
 */
class AtRestTest {

  /** A view may still measure what it shows. */
  private static final int FEW_FRAMES = 10;

  private static final int QUIET_MILLIS = 150;

  @TempDir Path folder;

  @Test
  void itComesToRestAfterAnEditWhateverIsShown() throws Exception {
    Library demo =
        LibraryJson.read(Files.readAllBytes(Hands.root().resolve("demo/fernhollow.json")));
    Files.writeString(folder.resolve("fernhollow.json"), LibraryJson.write(Copies.twice(demo)));
    Map<String, Integer> frames = new LinkedHashMap<>();
    try (Hands hands = Hands.open(folder)) {
      for (String view : Seeds.oneOf(2, hands.views())) {
        hands.click("#" + view);
        hands.settle();
        Hands.ask(() -> edit(hands, frames.size()));
        hands.waitUntil("it is audited", () -> hands.session.now().audited());
        hands.settle();
        frames.put(view, untilQuiet(hands));
      }
    }
    assertThat(frames).hasSizeGreaterThan(Seeds.HARD ? 8 : 4);
    assertThat(frames).allSatisfy((view, many) -> assertThat(many).isLessThan(FEW_FRAMES));
  }

  /** Gives a binding another trigger. */
  private static boolean edit(Hands hands, int which) {
    Binding b = hands.session.now().library().bindings().values().iterator().next();
    Trigger trigger = Notation.read("Ctrl+Alt+Q then " + (char) ('A' + which));
    hands.session.make(new Edit.PutBinding(b.withTriggers(List.of(trigger))), "another");
    return true;
  }

  /** In so many frames something is laid out until nothing is for a while; or enough of them. */
  private static int untilQuiet(Hands hands) throws InterruptedException {
    AtomicInteger frames = new AtomicInteger();
    AtomicBoolean touched = new AtomicBoolean();
    ChangeListener<Boolean> touch = (o, was, is) -> touched.set(true);
    Runnable frame =
        () -> {
          if (touched.getAndSet(false)) {
            frames.incrementAndGet();
          }
        };
    List<Parent> all = new ArrayList<>();
    Hands.ask(
        () -> {
          parents(hands.scene().getRoot(), all);
          all.forEach(p -> p.needsLayoutProperty().addListener(touch));
          hands.scene().addPostLayoutPulseListener(frame);
          return true;
        });
    int before = -1;
    while (frames.get() > before && frames.get() < 2 * FEW_FRAMES) {
      before = frames.get();
      Thread.sleep(QUIET_MILLIS);
    }
    Hands.ask(
        () -> {
          hands.scene().removePostLayoutPulseListener(frame);
          all.forEach(p -> p.needsLayoutProperty().removeListener(touch));
          return true;
        });
    return frames.get();
  }

  private static void parents(Parent of, List<Parent> all) {
    all.add(of);
    for (Node child : of.getChildrenUnmodifiable()) {
      if (child instanceof Parent parent) {
        parents(parent, all);
      }
    }
  }
}
