package foldtwice.handover;

import foldtwice.binding.Binding;
import foldtwice.conflict.Audit;
import foldtwice.conflict.Conflict;
import foldtwice.conflict.Subject;
import foldtwice.ready.Outlook;
import foldtwice.ready.Wait;
import java.util.ArrayList;
import java.util.List;

/**
 * What a kit would meet on one station: the conflicts there would be that are not there now, and
 * what each of its bindings waits for, in the order in which it has to be done.
 *
 * @param fresh the heaviest first
 * @param waits bindings of the kit that do not work at once, taken already or not, and what they
 *     wait for
 */
public record Landing(List<Conflict> fresh, List<Waiting> waits) {

  /** A binding, and all that has to happen before it works. */
  public record Waiting(Binding binding, List<Wait> what) {
    public Waiting {
      what = List.copyOf(what);
    }
  }

  public Landing {
    fresh = List.copyOf(fresh);
    waits = List.copyOf(waits);
  }

  /**
   * Looks at what would be.
   *
   * @param now the library as it is, on the station
   * @param with the library with the kit, on the same one
   */
  public static Landing of(Audit now, Audit with, Taking taking) {
    Subject then = with.subject();
    List<Waiting> waits = new ArrayList<>();
    for (String id : taking.bindings()) {
      Binding b = then.library().bindings().get(id);
      if (b != null) {
        List<Wait> what =
            Outlook.of(then.library(), then.keymap(), then.known(), then.setup(), b)
                .items()
                .stream()
                .filter(i -> !i.done())
                .map(Outlook.Item::what)
                .toList();
        if (!what.isEmpty()) {
          waits.add(new Waiting(b, what));
        }
      }
    }
    return new Landing(with.unlike(now), waits);
  }
}
