package foldtwice.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.desktop.frame.ViewsTest;
import foldtwice.desktop.session.Session;
import foldtwice.library.Edit;
import java.lang.ref.WeakReference;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Libraries are opened and closed all day: what is closed takes no room. */
class ForgottenTest {

  @TempDir Path folder;

  /** Opens a window, looks at everything in it, changes something and closes it again. */
  private WeakReference<Session> openedAndClosed(int number) throws Exception {
    try (Hands hands =
        Hands.open(Files.createDirectory(folder.resolve("library-" + number)), "tester")) {
      hands.hurry();
      for (String view : ViewsTest.ids()) {
        hands.click("#tab-" + view);
      }
      Hands.ask(
          () -> {
            String first = hands.session.now().library().bindings().keySet().iterator().next();
            hands.session.make(new Edit.RemoveBinding(first), "gone");
            hands.session.undo();
            return true;
          });
      hands.quiet();
      return new WeakReference<>(hands.session);
    }
  }

  @Test
  void aWindowThatIsClosedIsForgotten() throws Exception {
    List<WeakReference<Session>> closed = new ArrayList<>();
    for (int i = 0; i < 3; i++) {
      closed.add(openedAndClosed(i));
    }
    // the toolkit of the tests keeps the window that was in front last
    try (Hands last = Hands.open(Files.createDirectory(folder.resolve("last")))) {
      for (int i = 0; i < 100 && closed.stream().anyMatch(c -> c.get() != null); i++) {
        System.gc();
        last.pause(50);
      }
      assertThat(closed).allMatch(c -> c.get() == null);
    }
  }
}
