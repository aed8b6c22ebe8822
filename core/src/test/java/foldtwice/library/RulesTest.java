package foldtwice.library;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.place.Application;
import foldtwice.place.Place;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class RulesTest {

  /** Whatever an application is called, its id means it and nothing else. */
  @ParameterizedTest
  @CsvSource({
    "Everywhere, everywhere-2",
    "everywhere, everywhere-2",
    "Label sheet, label-sheet-2",
    "a/b, a-b",
    "★, application",
    "İzmir, i-zmir"
  })
  void anIdIsMadeOfAName(String name, String id) {
    Map<String, Application> taken = Map.of("label-sheet", Application.unknown("label-sheet"));
    String made = Rules.applicationId(name, taken);
    assertThat(made).isEqualTo(id);
    assertThat(Place.of(made)).isEqualTo(new Place.Whole(made));
  }

  @ParameterizedTest
  @ValueSource(strings = {"everywhere", "a/b", "/", "", " ", " a", "a ", "\u2003a"})
  void whatIsNoIdOfAnApplication(String id) {
    assertThat(Rules.isApplicationId(id)).isFalse();
  }

  @Test
  void idsAreHandedOutOnceEach() {
    FreeIds ids = new FreeIds();
    assertThat(ids.take("a")).isEqualTo("a");
    assertThat(ids.take("a-2")).isEqualTo("a-2");
    assertThat(ids.take("a")).isEqualTo("a-3");
    assertThat(ids.take("a")).isEqualTo("a-4");
    assertThat(ids.take("b")).isEqualTo("b");
  }
}
