package foldtwice.live.program;

import foldtwice.describe.Description;
import foldtwice.describe.While;
import foldtwice.live.bus.Bus;
import foldtwice.live.bus.BusException;
import foldtwice.live.bus.Mark;
import foldtwice.live.bus.Seen;
import foldtwice.live.say.Say;
import foldtwice.place.Application;
import foldtwice.place.Context;
import foldtwice.place.Labels;
import foldtwice.place.Place;
import foldtwice.run.Reply;
import java.util.List;
import java.util.Optional;

/**
 * Which context of its description a program is in: by its open dialog, or by what has the keys.
 */
final class Spot {

  private final Bus bus;
  private final Application application;
  private final Description description;
  private final Labels labels;
  private final Windows windows;
  private final Page page;

  Spot(
      Bus bus,
      Application application,
      Description description,
      Labels labels,
      Windows windows,
      Page page) {
    this.bus = bus;
    this.application = application;
    this.description = description;
    this.labels = labels;
    this.windows = windows;
    this.page = page;
  }

  /** Where nothing more is known. */
  Place anywhere() {
    return first(false).map(this::within).orElseGet(() -> new Place.Whole(application.id()));
  }

  Place now() throws BusException {
    Optional<Seen> dialog = windows.dialog();
    if (dialog.isPresent()) {
      for (Description.State s : description.states()) {
        if (s.holds() instanceof While.DialogOpen open
            && open.fits(labels.back().of(dialog.get().name()))) {
          return within(s.context());
        }
      }
    }
    boolean writing = dialog.isEmpty() && page.find().filter(s -> s.is(Mark.FOCUSED)).isPresent();
    return writing ? first(true).map(this::within).orElseGet(this::anywhere) : anywhere();
  }

  private Place within(String context) {
    return new Place.Within(application.id(), context);
  }

  /** The first context that one can be in, with text or without, and without more being so. */
  private Optional<String> first(boolean text) {
    return first(application, description, text);
  }

  static Optional<String> first(Application application, Description description, boolean text) {
    List<Context> all =
        application.allContexts().stream()
            .filter(c -> !c.groupOnly() && !application.isByPointer(c.id()))
            .filter(c -> description.states().stream().noneMatch(s -> s.context().equals(c.id())))
            .toList();
    return all.stream()
        .filter(c -> c.takesText() == text)
        .findFirst()
        .or(() -> all.stream().findFirst())
        .map(Context::id);
  }

  /** Goes there, as far as that is a matter of what has the keys. */
  Reply enter(Place state) throws BusException {
    if (now().equals(state)) {
      return Reply.QUIET;
    }
    Optional<Context> context =
        state instanceof Place.Within(String id, String c) && id.equals(application.id())
            ? application.context(c)
            : Optional.empty();
    if (context.filter(Context::takesText).isPresent()) {
      Optional<Seen> text = page.find();
      if (text.isPresent() && bus.focus(text.get().ref())) {
        return Reply.QUIET;
      }
    }
    return new Reply.Refused(Say.text("place", state.id()), now().id());
  }
}
