package foldtwice.describe;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class DoesNotationTest {

  /** Whatever the names are, alone and one after the other. */
  @Property(tries = 2000)
  void whatIsWrittenIsReadAsItWas(@ForAll long seed) {
    Random random = new Random(seed);
    List<Does> all = new ArrayList<>();
    for (int i = 0; i < 4; i++) {
      Does one = RandomDescriptions.does(random);
      assertThat(DoesNotation.read(DoesNotation.write(one))).isEqualTo(one);
      all.add(one);
    }
    assertThat(DoesNotation.readAll(DoesNotation.write(all))).isEqualTo(all);
  }

  @Test
  void asAPersonTypesIt() {
    assertThat(DoesNotation.readAll("set Grid to on;  raise Width by -5 % ; go to drawing"))
        .containsExactly(
            new Does.Sets("Grid", new Does.Given.Is("on")),
            new Does.Raises("Width", new Does.Given.Is("-5 %")),
            new Does.Leads("drawing"));
    assertThat(DoesNotation.read("give Width to [New width]"))
        .isEqualTo(new Does.Gives("Width", new Does.Given.Field("New width")));
    assertThat(DoesNotation.readAll(" ")).isEmpty();
  }

  @ParameterizedTest
  @CsvSource({
    "mirror it,expected one of set",
    "set Grid,then \"to\"",
    "turn,expected a name",
    "select some,expected one of all",
    "undo it,nothing more",
    "set \"Grid to on,at the end",
    "set Grid to [Lines,expected ]",
    "go drawing,expected \"to\"",
  })
  void whatCannotBeReadIsSaid(String text, String says) {
    assertThatThrownBy(() -> DoesNotation.read(text))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining(says);
  }
}
