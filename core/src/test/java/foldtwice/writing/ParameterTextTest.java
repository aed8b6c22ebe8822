package foldtwice.writing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import foldtwice.library.Library;
import foldtwice.library.RandomLibraries;
import foldtwice.outline.ParameterText;
import foldtwice.routine.Kind;
import foldtwice.routine.Parameter;
import foldtwice.routine.Routine;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class ParameterTextTest {

  /** Law: what is written for a parameter reads back as that parameter. */
  @Property(tries = 50)
  void whatIsWrittenReadsBack(@ForAll long seed) throws ParameterText.FieldException {
    Library library = RandomLibraries.of(seed);
    for (Routine r : library.routines().values()) {
      for (Parameter p : r.parameters()) {
        Parameter back = ParameterText.of(p).read();
        assertThat(back.name()).isEqualTo(p.name());
        assertThat(back.kind()).isEqualTo(p.kind());
        assertThat(back.otherwise()).isEqualTo(p.otherwise());
      }
    }
  }

  @ParameterizedTest
  @EnumSource(ParameterText.Sort.class)
  void aFreshOneOfEachSortCanBeKept(ParameterText.Sort sort) throws ParameterText.FieldException {
    Parameter p = ParameterText.fresh("p", sort).read();
    assertThat(ParameterText.of(p).sort()).isEqualTo(sort);
  }

  /** The field at fault is named, with what it should hold. */
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "'' | DISTANCE | 1 mm | '' | '' | '' | '' | name | a name",
        "a\u203ab | TEXT | x | '' | '' | '' | '' | name | a name",
        "p | DISTANCE | 1 | '' | '' | '' | '' | default | needs its unit",
        "p | DISTANCE | 1 ell | '' | '' | '' | '' | default | no unit here",
        "p | DISTANCE | 1 mm | 2 mm | '' | '' | '' | default | a distance from 2 mm",
        "p | DISTANCE | 1 mm | 9 mm | 2 mm | '' | '' | most | not less than 9 mm",
        "p | DISTANCE | 1 mm | low | '' | '' | '' | least | a number with a unit",
        "p | DISTANCE | 1 mm | '' | '' | wide | '' | step | a number with a unit",
        "p | COUNT | 1.5 | '' | '' | '' | '' | default | a whole number",
        "p | COUNT | 1 | 9 | 3 | '' | '' | most | not less than 9",
        "p | COUNT | 7 | 1 | 3 | '' | '' | default | from 1 to 3",
        "p | COUNT | 1 | 99999999999 | '' | '' | '' | least | a whole number",
        "p | MEASURE | 1 | '' | '' | '' | '' | default | EV",
        "p | MEASURE | 1 EV | 0 K | '' | '' | '' | least | EV",
        "p | CHOICE | one | '' | '' | '' | ' , ' | options | parted by commas",
        "p | CHOICE | third | '' | '' | '' | 'one, other' | default | one of one, other",
        "p | YES_NO | maybe | '' | '' | '' | '' | default | yes or no",
        "p | KEYS | Ctrl+Ctrl+ | '' | '' | '' | '' | default | ''",
        "p | COLOUR | red | '' | '' | '' | '' | default | a colour"
      })
  void theFieldAtFaultIsNamed(
      String name,
      ParameterText.Sort sort,
      String otherwise,
      String least,
      String most,
      String step,
      String options,
      String field,
      String expected) {
    ParameterText text = new ParameterText(name, sort, otherwise, least, most, step, options);
    ParameterText.FieldException why =
        catchThrowableOfType(ParameterText.FieldException.class, text::read);
    assertThat(why).as("refused").isNotNull();
    assertThat(why.field()).isEqualTo(field);
    assertThat(why.getMessage()).contains(expected).startsWith("expected ");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {"5 EV | 0 EV | 10 EV | 0.3 EV", "5 % | '' | '' | ''", "12 px | 1 px | '' | 2 px"})
  void anAmountTakesItsScaleFromItsDefault(String otherwise, String least, String most, String step)
      throws ParameterText.FieldException {
    Parameter p =
        new ParameterText("p", ParameterText.Sort.MEASURE, otherwise, least, most, step, "").read();
    assertThat(p.otherwise().shown().replace("%", " %").replace("  ", " ")).isEqualTo(otherwise);
    Kind.Measure kind = (Kind.Measure) p.kind();
    assertThat(kind.least().scale()).isEqualTo(kind.step().scale());
  }
}
