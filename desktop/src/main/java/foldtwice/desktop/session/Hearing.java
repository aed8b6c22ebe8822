package foldtwice.desktop.session;

import foldtwice.library.Library;
import foldtwice.ready.Heard;
import foldtwice.ready.Setup;
import foldtwice.resolve.Keymap;

/**
 * What programs know of the library, told from what was told last; on whatever thread it is asked.
 */
final class Hearing {

  private volatile Heard last;

  /** What they know at a moment, when somebody asks. */
  Lazy<Heard> at(Library library, Keymap keymap, Setup setup) {
    return new Lazy<>(() -> tell(library, keymap, setup));
  }

  private Heard tell(Library library, Keymap keymap, Setup setup) {
    Heard before = last;
    Heard next =
        before == null
            ? Heard.of(library, keymap, setup)
            : Heard.following(before, library, keymap, setup);
    last = next;
    return next;
  }
}
