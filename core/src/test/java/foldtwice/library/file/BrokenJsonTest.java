package foldtwice.library.file;

import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is said of a document that cannot be read: of the document, not of who reads it. */
class BrokenJsonTest {

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      quoteCharacter = '~',
      value = {
        "{\"a\": 1, \"a\": 2}|the field \"a\" stands here twice",
        "{\"a\": [1|it ends before everything that was begun is closed",
        "{\"a\": \"b|it ends before everything that was begun is closed",
        "{a: 1}|Unexpected character ('a')",
        "[nul]|Unrecognized token 'nul'",
        "{\"format\": \"fold-twice-library\", \"version\": 0}|no version was ever numbered so",
        "{\"format\": \"fold-twice-library\", \"version\": 2}|open it with the newer Fold Twice",
      })
  void itIsToldPlainly(String document, String says) {
    assertThatThrownBy(() -> LibraryJson.read(document.getBytes(StandardCharsets.UTF_8)))
        .isInstanceOf(FormatException.class)
        .hasMessageContaining(says)
        .message()
        .doesNotContainPattern(
            "[A-Z][a-z]+[A-Z]\\w+`|Feature|Constraints|com\\.|\\[Source|code \\d");
  }

  @ParameterizedTest
  @CsvSource({"[,nested deeper than", "1,a number of more than"})
  void limitsAreTold(String repeated, String says) {
    String document = "[" + repeated.repeat(100_000);
    assertThatThrownBy(() -> LibraryJson.read(document.getBytes(StandardCharsets.UTF_8)))
        .isInstanceOf(FormatException.class)
        .hasMessageContaining(says)
        .message()
        .doesNotContainPattern("Feature|Constraints|`");
  }
}
