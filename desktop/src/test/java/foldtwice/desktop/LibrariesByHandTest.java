package foldtwice.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.desktop.session.WorkingCopy;
import foldtwice.library.Library;
import foldtwice.library.file.LibraryFile;
import foldtwice.place.Station;
import foldtwice.trigger.KeyboardSearch;
import foldtwice.trigger.KeyboardSearch.Keyboard;
import foldtwice.trigger.KeyboardSearch.Question;
import foldtwice.trigger.Shape;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import java.util.Optional;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Libraries are begun, opened, copied and opened afresh from the window. */
class LibrariesByHandTest {

  @TempDir Path folder;

  private OwnData data;

  @BeforeEach
  void dataInAFolderOfItsOwn() {
    data = new OwnData(folder);
  }

  @AfterEach
  void dataWhereItWas() {
    data.close();
  }

  private static void lookUp(Hands hands, String words) {
    hands.press(KeyCode.F3);
    hands.paste("#look-up", words);
    hands.press(KeyCode.ENTER);
  }

  /** By keys alone: a name, the keyboard by its keys, Begin; it opens in a window of its own. */
  @Test
  void aLibraryIsBegun() throws Exception {
    Keyboard mine = new Keyboard("se", Shape.ISO);
    try (Hands hands = Hands.open(folder)) {
      lookUp(hands, "begin a library");
      Hands begin = hands.window("A library of your own");
      assertThat(begin.focus().getId()).isEqualTo("begin-name");
      begin.type("weaving mill");
      begin.press(KeyCode.TAB);
      assertThat(begin.focus().getId()).isEqualTo("which-keyboard");
      KeyboardSearch search = KeyboardSearch.all();
      for (Optional<Question> next = search.next(); next.isPresent(); next = search.next()) {
        String typed = mine.types(next.get());
        begin.typed(typed);
        search = search.after(next.get(), typed);
      }
      assertThat(begin.text("#keyboard-asks")).isEqualTo("It is a SE keyboard, ISO.");
      assertThat(begin.text("#begin-layout")).contains("SE");
      assertThat(begin.focus().getId()).isEqualTo("begin");
      begin.press(KeyCode.SPACE);
      Hands mill = hands.window("weaving mill");
      assertThat(mill.text("#library")).contains("weaving mill");
      hands.onlyThis();
    }
    Path file = folder.resolve("data/weaving-mill.json");
    Library made = LibraryFile.look(file);
    assertThat(made.name()).isEqualTo("weaving mill");
    Station station = made.stations().values().iterator().next();
    assertThat(station.layout()).isEqualTo("se");
    assertThat(station.shape()).isEqualTo(Shape.ISO);
    assertThat(station.reserved()).as("what desktops of this kind keep").isNotEmpty();
  }

  @Test
  void aKeyNoKeyboardHasLeavesAWayOn() throws Exception {
    try (Hands hands = Hands.open(folder)) {
      lookUp(hands, "begin a library");
      Hands begin = hands.window("A library of your own");
      begin.press(KeyCode.TAB);
      begin.typed("\u0436");
      assertThat(begin.text("#which-keyboard")).contains("No keyboard known here", "Choose layout");
      begin.click("#keyboard-anew");
      assertThat(begin.text("#keyboard-asks")).startsWith("Press the key");
      begin.press(KeyCode.ESCAPE);
      hands.onlyThis();
    }
  }

  /** What has the name already is never written over. */
  @Test
  void aSecondOfTheSameNameHasAFileOfItsOwn() throws Exception {
    Path first = folder.resolve("data/mill.json");
    Files.createDirectories(first.getParent());
    Files.writeString(first, "something else");
    try (Hands hands = Hands.open(folder)) {
      lookUp(hands, "begin a library");
      Hands begin = hands.window("A library of your own");
      begin.type("mill");
      assertThat(begin.text("#begin-file")).endsWith("mill-2.json");
      begin.press(KeyCode.ENTER);
      hands.window("mill");
      hands.onlyThis();
    }
    assertThat(Files.readString(first)).isEqualTo("something else");
    assertThat(LibraryFile.look(folder.resolve("data/mill-2.json")).name()).isEqualTo("mill");
  }

  @Test
  void aCopyIsSavedAndTheDemoOpenedAfresh() throws Exception {
    Path copy = folder.resolve("copy.json");
    try (Hands hands = Hands.open(folder)) {
      hands.choosing(copy);
      lookUp(hands, "save a copy");
      hands.waitUntil("it is there", () -> Files.exists(copy));
      hands.waitForText("#said", "copy.json");
      assertThat(LibraryFile.look(copy)).isEqualTo(hands.session.now().library());
      WorkingCopy.of(WorkingCopy.demo(), WorkingCopy.folder());
      lookUp(hands, "open the demo library afresh");
      Hands demo = hands.window("Fernhollow");
      assertThat(demo.text("#library").toLowerCase(Locale.ROOT)).contains("fernhollow");
      hands.onlyThis();
      lookUp(hands, "begin a library");
      Hands begin = hands.window("A library of your own");
      assertThat(begin.text("#lately-0")).isEqualTo("fernhollow-2.json");
      begin.click("#lately-0");
      hands.window("Fernhollow");
      hands.onlyThis();
    }
    assertThat(folder.resolve("data").toFile().list())
        .contains("fernhollow.json", "fernhollow-2.json");
  }
}
