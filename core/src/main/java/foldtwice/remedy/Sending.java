package foldtwice.remedy;

import foldtwice.binding.Binding;
import foldtwice.conflict.Conflict;
import foldtwice.conflict.Detail;
import foldtwice.conflict.Subject;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.place.Place;
import foldtwice.resolve.Keymap;
import foldtwice.resolve.Owned;
import foldtwice.resolve.Owner;
import foldtwice.suggest.Suggestions;
import foldtwice.surface.Device;
import foldtwice.surface.Page;
import foldtwice.trigger.Trigger;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Keys of devices that type: what they send goes over to other keys, or is sent no more. */
final class Sending {

  private final Library library;
  private final Keymap keymap;
  private final List<Idea> all;

  Sending(Subject subject, List<Idea> all) {
    this.library = subject.library();
    this.keymap = subject.keymap();
    this.all = all;
  }

  /** The key and whoever listens change over to keys of the pool; or the key is silenced. */
  void chain(Conflict c) {
    if (!(c.about().owner() instanceof Owner.Key key)
        || !(c.detail() instanceof Detail.Chain(Optional<Trigger.Keys> sends))) {
      return;
    }
    sends.ifPresent(keys -> resend(key, keys));
    silence(key);
  }

  private void resend(Owner.Key key, Trigger.Keys keys) {
    List<Binding> listening =
        keymap.claimsOn(keys).stream()
            .flatMap(claim -> Owned.binding(library, claim.owner()).stream())
            .toList();
    Binding like =
        listening.isEmpty()
            ? Binding.fresh("", "", new Place.Everywhere(), List.of(), Map.of())
            : listening.getFirst();
    List<Trigger.Keys> pool = Suggestions.forDevices(library, List.of(keymap), like, 1);
    if (pool.isEmpty() || listening.isEmpty()) {
      return;
    }
    Trigger.Keys to = pool.getFirst();
    List<Edit> edits = new ArrayList<>();
    sending(key, Optional.of(new Page.Sends.Chord(to))).ifPresent(edits::add);
    for (Binding b : listening) {
      Set<Trigger> next = new LinkedHashSet<>();
      for (Trigger t : b.triggers()) {
        next.add(keymap.paths(t).equals(keymap.paths(keys)) ? to : t);
      }
      edits.add(new Edit.PutBinding(b.withTriggers(List.copyOf(next))));
    }
    all.add(new Idea(new Way.Resend(key, to), new Edit.Together(edits)));
  }

  void silence(Owner.Key key) {
    sending(key, Optional.empty()).ifPresent(e -> all.add(new Idea(new Way.Silence(key), e)));
  }

  private Optional<Edit> sending(Owner.Key key, Optional<Page.Sends> what) {
    Optional<Device> device = library.device(key.device());
    return device
        .flatMap(d -> d.page(key.page()))
        .map(p -> new Edit.PutSurface(device.get().with(p.sending(key.key(), what))));
  }
}
