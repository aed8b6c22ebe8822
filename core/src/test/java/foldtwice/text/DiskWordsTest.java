package foldtwice.text;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.AccessDeniedException;
import java.nio.file.FileSystemLoopException;
import java.nio.file.Files;
import java.nio.file.NotDirectoryException;
import java.nio.file.Path;
import java.nio.file.SimpleFileVisitor;
import java.nio.file.StandardOpenOption;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What really goes wrong on a disk, told without the names of classes. */
class DiskWordsTest {

  @TempDir Path folder;

  private interface Doing {
    void run() throws IOException;
  }

  private static IOException fault(Doing what) {
    try {
      what.run();
    } catch (IOException e) {
      return e;
    }
    throw new AssertionError("nothing went wrong");
  }

  @Test
  void whatGoesWrongIsSaidInWordsWithTheFile() throws IOException {
    Path text = Files.writeString(folder.resolve("a.txt"), "a");
    Path bytes = Files.write(folder.resolve("b.txt"), new byte[] {(byte) 0xff, 0x41});
    Path none = folder.resolve("none.json");
    List<IOException> faults =
        List.of(
            fault(() -> Files.readString(none)),
            fault(() -> Files.writeString(none.resolve("deeper"), "x")),
            fault(() -> Files.walkFileTree(text.resolve("x"), new SimpleFileVisitor<>() {})),
            new NotDirectoryException(text.toString()),
            fault(() -> Files.delete(folder)),
            fault(() -> Files.createDirectory(folder)),
            fault(() -> Files.writeString(text, "x", StandardOpenOption.CREATE_NEW)),
            new AccessDeniedException("/etc/shadow"),
            new FileSystemLoopException("/round"));
    for (IOException e : faults) {
      for (Throwable told : List.of(e, new UncheckedIOException(e))) {
        assertThat(DiskWords.says(told))
            .as("%s", e)
            .doesNotContain("Exception")
            .startsWith(((java.nio.file.FileSystemException) e).getFile() + ": ")
            .matches("(?s).*: .*[a-z]{2}.* .*");
        assertThat(DiskWords.reason(told)).as("%s", e).isNotBlank().doesNotContain("/");
      }
    }
    assertThat(faults.stream().flatMap(e -> Stream.of(DiskWords.reason(e))).distinct().count())
        .as("told apart")
        .isGreaterThan(5);
    assertThat(DiskWords.says(fault(() -> Files.readString(bytes, StandardCharsets.UTF_8))))
        .isEqualTo("it is no text in UTF-8");
  }

  @Test
  void whatSomebodyHasSaidAlreadyStays() {
    IOException none = fault(() -> Files.readString(folder.resolve("none")));
    assertThat(DiskWords.says(new UncheckedIOException("the sheet cannot be written", none)))
        .isEqualTo("the sheet cannot be written");
    assertThat(DiskWords.says(new IOException())).contains("IOException");
    assertThat(DiskWords.says(new IOException("the pipe is broken")))
        .isEqualTo("the pipe is broken");
  }
}
