package foldtwice.desktop.session;

import foldtwice.binding.Binding;
import foldtwice.conflict.Advice;
import foldtwice.conflict.Subject;
import foldtwice.library.Edit;
import foldtwice.trigger.Trigger;
import foldtwice.words.Words;
import java.util.List;

/**
 * Advice on something that the library does not have yet.
 *
 * @param words in which it is called as it will be
 */
public record Advised(Advice advice, Words words) {

  /**
   * What would follow if a binding had a trigger.
   *
   * @param first what brings its routine, and whatever comes with that
   */
  public static Advised of(Subject now, Edit first, Binding binding, Trigger trigger) {
    Edit all =
        new Edit.Together(
            List.of(first, new Edit.PutBinding(binding.withTriggers(List.of(trigger)))));
    return new Advised(
        Advice.on(now, first, binding, trigger),
        new Words(all.on(now.library()), now.keymap().layout()));
  }
}
