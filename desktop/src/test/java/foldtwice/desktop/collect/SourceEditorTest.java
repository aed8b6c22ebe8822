package foldtwice.desktop.collect;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A name that is put right in a source is that name, and no part of another. */
class SourceEditorTest {

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "runRoutine('dance', {a: 1})|a|21",
        "log(parameters.dxx)|dxx|15",
        "program.setting('unit')|unit|17",
        "program.setting('units')|unit|-1",
        "a_b + b|b|6",
        "program.choose('Box', 'Shift …')|Shift …|23",
        "x|x|0",
        "xx|x|-1",
        "x x|x|0",
      })
  void itStandsByItself(String source, String name, int at) {
    assertThat(SourceEditor.standing(source, name, 0)).isEqualTo(at);
  }

  @ParameterizedTest
  @CsvSource({"a = a + a, a, 1, 4", "a = a + a, a, 5, 8", "a = a + a, a, 9, -1"})
  void itIsSoughtFromAPlaceOn(String source, String name, int from, int at) {
    assertThat(SourceEditor.standing(source, name, from)).isEqualTo(at);
  }
}
