package foldtwice.hostile;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.collecting.Collecting;
import foldtwice.collecting.CommandList;
import foldtwice.collecting.Found;
import foldtwice.collecting.Licence;
import foldtwice.library.Library;
import foldtwice.library.file.CheckFile;
import foldtwice.library.file.CollectedJson;
import foldtwice.library.file.DeviceFile;
import foldtwice.library.file.FormatException;
import foldtwice.library.file.LibraryJson;
import foldtwice.outline.StepFields;
import foldtwice.place.Versions;
import foldtwice.routine.ExprNotation;
import foldtwice.routine.Kind;
import foldtwice.routine.Template;
import foldtwice.routine.ValueException;
import foldtwice.sql.SqlText;
import foldtwice.surface.IconShape;
import foldtwice.trigger.Notation;
import foldtwice.trigger.NotationException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * Whatever is read: no uncaught exception, no hang, no work that grows with the square. The limits
 * of time are for hangs, not for speed.
 */
class ReadersTest {

  private static final String BLANKS = " ".repeat(400_000);

  private static String commands(String text) {
    try {
      CommandList.Table table =
          CommandList.read(text.getBytes(StandardCharsets.UTF_8), n -> {}, () -> false);
      CommandList.Commands all = CommandList.commands(table, table.guess(), "app");
      return all.commands().size() + " commands, " + all.faulty() + " faulty";
    } catch (CommandList.UnreadableException e) {
      return e.getMessage();
    }
  }

  @Test
  @Timeout(value = 60, unit = TimeUnit.SECONDS, threadMode = Timeout.ThreadMode.SEPARATE_THREAD)
  void commandsAsJsonThatAreDeepOrHuge() {
    String deep = "[".repeat(100_000) + "]".repeat(100_000);
    assertThat(commands("[{\"name\": " + deep + "}]")).contains("this is no JSON that can be read");
    assertThat(commands(deep)).contains("expected a command as an object");
    assertThat(commands("{\"a\":".repeat(50_000))).contains("no JSON that can be read");
    assertThat(commands("[{\"uses\": 1" + "0".repeat(200_000) + ", \"name\": \"a\"}]"))
        .contains("no JSON that can be read");
    assertThat(commands("[{\"name\": \"" + "n".repeat(21_000_000) + "\"}]"))
        .contains("no JSON that can be read");
    assertThat(commands("[{\"uses\": 1e999999999, \"name\": \"a\"}]")).contains("1 faulty");
    assertThat(commands("[{\"name\": \"a\"}, 5]")).contains("expected a command as an object");
  }

  @Test
  @Timeout(value = 60, unit = TimeUnit.SECONDS, threadMode = Timeout.ThreadMode.SEPARATE_THREAD)
  void manyOfOneNameAndManyOfNone() {
    StringBuilder same = new StringBuilder("name;keys\n");
    StringBuilder signs = new StringBuilder("name;keys\n");
    for (int i = 0; i < 60_000; i++) {
      same.append("Stamp;\n");
      signs.append("\u2605").append(i % 2 == 0 ? "\u2606" : "").append(";\n");
    }
    assertThat(commands(same.toString())).isEqualTo("60000 commands, 0 faulty");
    assertThat(commands(signs.toString())).isEqualTo("60000 commands, 0 faulty");
  }

  @Test
  @Timeout(value = 60, unit = TimeUnit.SECONDS, threadMode = Timeout.ThreadMode.SEPARATE_THREAD)
  void manyObjectsThatHaveNothingInCommon() {
    StringBuilder sparse = new StringBuilder("[");
    for (int i = 0; i < 30_000; i++) {
      sparse.append(i == 0 ? "" : ",").append("{\"f").append(i).append("\": 1}");
    }
    assertThat(commands(sparse + "]")).contains("at most 200 different fields");
    assertThat(commands("a;".repeat(5_000) + "\n1;2\n")).contains("at most 200 columns");
  }

  @Test
  @Timeout(value = 60, unit = TimeUnit.SECONDS, threadMode = Timeout.ThreadMode.SEPARATE_THREAD)
  void longRunsOfBlanks() {
    assertThat(Licence.of("MIT" + BLANKS + "or" + BLANKS + "x")).isEqualTo(Licence.NOTICE);
    assertThat(Licence.of(BLANKS + "x" + BLANKS)).isEqualTo(Licence.UNKNOWN);
    assertThat(commands("name;menu\nA;File" + BLANKS + "> Save" + BLANKS + "\n"))
        .isEqualTo("1 commands, 0 faulty");
    assertThat(new Collecting(Library.empty("x")).text("a.js", "// name: " + BLANKS + "x\nlog(1);"))
        .isInstanceOf(Found.Refused.class);
    assertThat(refused(() -> Notation.read("Ctrl+M" + BLANKS + "x"))).contains("at most");
    assertThat(refused(() -> new Kind.Count(0, 9).read(BLANKS + "x"))).contains("a whole number");
    assertThat(refused(() -> Kind.length("1" + BLANKS + "?"))).contains("a number with a unit");
    assertThat(
            StepFields.with(
                new foldtwice.routine.Step.Choose(Template.all(List.of("a"))),
                0,
                "a" + BLANKS + "b"))
        .isNotNull();
    assertThat(SqlText.of(new Template("SELECT 1" + BLANKS)))
        .isInstanceOf(SqlText.Unreadable.class);
  }

  private static String refused(Runnable what) {
    try {
      what.run();
      return "";
    } catch (NotationException e) {
      return e.getMessage();
    } catch (ValueException e) {
      return e.getMessage();
    }
  }

  @Test
  @Timeout(value = 60, unit = TimeUnit.SECONDS, threadMode = Timeout.ThreadMode.SEPARATE_THREAD)
  void expressionsOfManyTerms() {
    assertThat(refused(() -> ExprNotation.read("1" + " + 1".repeat(20_000))))
        .contains("an expression of at most 500 terms");
    assertThat(refused(() -> ExprNotation.read("(".repeat(20_000)))).contains("at most 50 deep");
    assertThat(refused(() -> ExprNotation.read("-".repeat(20_000) + "1"))).contains("50 deep");
    var most = ExprNotation.read("1" + " + 1".repeat(500));
    assertThat(ExprNotation.read(ExprNotation.write(most))).isEqualTo(most);
  }

  @Test
  @Timeout(value = 60, unit = TimeUnit.SECONDS, threadMode = Timeout.ThreadMode.SEPARATE_THREAD)
  void versionsOfAnyLength() {
    assertThat(Versions.atLeast("1.20260101123", "1.20260101122")).isTrue();
    assertThat(Versions.atLeast("1.20260101121", "1.20260101122")).isFalse();
    assertThat(Versions.atLeast("1.9999999999", "1.10000000000")).isFalse();
    assertThat(Versions.compare("2." + "9".repeat(100_000), "2." + "8".repeat(100_000)))
        .isPositive();
    assertThat(Versions.compare("4.010", "4.10")).isZero();
    assertThat(Versions.compare("4", "4.0.0")).isZero();
    assertThat(Versions.compare("4.x", "4.0")).isZero();
  }

  @Test
  @Timeout(value = 60, unit = TimeUnit.SECONDS, threadMode = Timeout.ThreadMode.SEPARATE_THREAD)
  void unknownFieldsThatAreDeepAreWrittenInOneGo() throws FormatException {
    String deep = "[".repeat(900) + "1" + ",1".repeat(20_000) + "]".repeat(900);
    String document =
        "{\"format\": \"fold-twice-library\", \"version\": 1, \"name\": \"x\", \"later\": "
            + deep
            + "}";
    Library library = LibraryJson.read(document.getBytes(StandardCharsets.UTF_8));
    String written = LibraryJson.write(library);
    assertThat(LibraryJson.write(LibraryJson.read(written.getBytes(StandardCharsets.UTF_8))))
        .isEqualTo(written);
  }

  @Test
  @Timeout(value = 60, unit = TimeUnit.SECONDS, threadMode = Timeout.ThreadMode.SEPARATE_THREAD)
  void aLibraryOfManyDraftsAndLongNamesOpens() throws FormatException {
    StringBuilder json =
        new StringBuilder(
            "{\"format\": \"fold-twice-library\", \"version\": 1, \"name\": \""
                + "n".repeat(3_000_000)
                + "\", \"bindings\": [");
    for (int i = 0; i < 200_000; i++) {
      json.append(i == 0 ? "" : ",")
          .append("{\"id\": \"b" + i + "\", \"routine\": \"r\", \"place\": \"everywhere\"}");
    }
    Library library = LibraryJson.read((json + "]}").getBytes(StandardCharsets.UTF_8));
    assertThat(library.bindings()).hasSize(200_000);
    assertThat(LibraryJson.write(library)).contains("b199999");
  }

  static LongStream seeds() {
    return foldtwice.Seeds.both();
  }

  private static final int TIMES = Integer.getInteger("fuzz", 200);

  /** Documents with a few bytes changed, cut, doubled or put somewhere else. */
  @ParameterizedTest
  @MethodSource("seeds")
  void anythingElseIsReadOrRefused(long seed) throws Exception {
    Path root = Path.of(System.getProperty("project.root"));
    List<byte[]> documents = new ArrayList<>();
    byte[] demo = Files.readAllBytes(root.resolve("demo/fernhollow.json"));
    try (var files = Files.walk(root.resolve("demo"))) {
      for (Path p : files.filter(Files::isRegularFile).toList()) {
        if (Files.size(p) < 100_000) {
          documents.add(Files.readAllBytes(p));
        }
      }
    }
    documents.add("name,keys,menu\nSave,Ctrl+S,File > Save\n".getBytes(StandardCharsets.UTF_8));
    documents.add("Ctrl+Shift+M then [KeyQ]".getBytes(StandardCharsets.UTF_8));
    documents.add("-\u2039dx\u203a * (2 + 0.5 mm) + 'it''s'".getBytes(StandardCharsets.UTF_8));
    documents.add("M 0 0 L 10 10 C 1 2 3 4 5 6 Z".getBytes(StandardCharsets.UTF_8));
    documents.add("GPL-2.0 WITH x OR (MIT AND ISC)".getBytes(StandardCharsets.UTF_8));
    Random random = new Random(seed);
    int read = 0;
    for (int i = 0; i < TIMES; i++) {
      byte[] document =
          i % 40 == 0
              ? mutated(demo, random)
              : mutated(documents.get(random.nextInt(documents.size())), random);
      read += read(document);
    }
    System.out.println("hard: " + TIMES + " documents, each to 12 readers, " + read + " read");
    assertThat(read).as("not all is refused").isGreaterThan(TIMES);
  }

  private static byte[] mutated(byte[] document, Random random) {
    byte[] bytes = document.clone();
    for (int i = random.nextInt(4); i >= 0 && bytes.length > 2; i--) {
      int at = random.nextInt(bytes.length);
      int length = random.nextInt(Math.min(30, bytes.length - at));
      switch (random.nextInt(5)) {
        case 0 -> bytes[at] = (byte) random.nextInt(256);
        case 1 -> bytes = java.util.Arrays.copyOf(bytes, at + 1);
        case 2 -> System.arraycopy(bytes, at, bytes, random.nextInt(bytes.length - length), length);
        case 3 -> bytes[at] ^= 0x20;
        default -> {
          byte[] twice = java.util.Arrays.copyOf(bytes, bytes.length + length);
          System.arraycopy(bytes, at, twice, at + length, bytes.length - at);
          bytes = twice;
        }
      }
    }
    return bytes;
  }

  /** Something that reads. */
  private interface Reader {
    void read() throws Exception;
  }

  /** How many readers could make something of it; whatever they throw else is a fault. */
  private static int read(byte[] document) throws Exception {
    String text = new String(document, StandardCharsets.UTF_8);
    List<Reader> readers =
        List.of(
            () -> LibraryJson.write(LibraryJson.read(document)),
            () -> CollectedJson.read(document, "x"),
            () -> CheckFile.read(document),
            () -> DeviceFile.read(document),
            () -> Notation.read(text),
            () -> ExprNotation.read(text),
            () -> IconShape.read(document),
            () -> commands(text),
            () -> Licence.of(text),
            () -> SqlText.of(new Template(text)),
            () -> new Collecting(Library.empty("x")).text("x.js", text),
            () -> new Collecting(Library.empty("x")).text("x", text));
    int well = 0;
    for (Reader r : readers) {
      try {
        r.read();
        well++;
      } catch (FormatException e) {
        assertThat(e.where()).isNotBlank();
        assertThat(e.what()).isNotBlank();
      } catch (NotationException | ValueException e) {
        assertThat(e.getMessage()).isNotBlank();
      } catch (IconShape.Refused e) {
        assertThat(e.getMessage()).isNotBlank();
      }
    }
    return well;
  }
}
