package foldtwice.desktop.frame;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.desktop.session.Ui;
import foldtwice.desktop.view.Act;
import foldtwice.desktop.view.Kind;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** What a view needs besides its package and its line in {@link Views}. */
public class ViewsTest {

  /** Of all views, in the order of their tabs. */
  public static List<String> ids() {
    return Views.ALL.stream().map(Kind::id).toList();
  }

  static List<Kind<?>> all() {
    return Views.ALL;
  }

  @ParameterizedTest
  @MethodSource("all")
  void hasItsTexts(Kind<?> kind) {
    for (String text : List.of("tab.", "act.", "first.")) {
      assertThat(Ui.text(text + kind.id())).isNotBlank();
    }
    for (Act<?> act : kind.acts()) {
      assertThat(act.says()).isNotBlank();
      assertThat(act.onButton()).isNotBlank();
    }
  }

  @Test
  void nothingHasTheNameOfAnother() {
    Set<String> names = new HashSet<>(ids());
    assertThat(names).hasSameSizeAs(ids());
    for (Kind<?> kind : Views.ALL) {
      for (Act<?> act : kind.acts()) {
        assertThat(names.add(act.id())).as(act.id()).isTrue();
      }
    }
  }
}
