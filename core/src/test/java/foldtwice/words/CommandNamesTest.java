package foldtwice.words;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.library.RandomLibraries;
import foldtwice.place.Application;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;

class CommandNamesTest {

  /** Many at once are called as each by itself. */
  @Property(tries = 100)
  void theyAreCalledAsEachByItself(@ForAll long seed) {
    for (Application a : RandomLibraries.of(seed).applications().values()) {
      CommandNames names = new CommandNames(a);
      a.commands().forEach(c -> assertThat(names.of(c)).isEqualTo(Words.command(a, c)));
    }
  }
}
