package foldtwice.desktop.bind;

import foldtwice.binding.Binding;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Ui;
import foldtwice.extras.Extras;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.library.Removing;
import foldtwice.library.Switching;
import foldtwice.place.Place;
import foldtwice.routine.Routine;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;

/** What is done with the bindings that are chosen in the register, as a whole. */
final class Chosen {

  private final Session session;
  private final Register register;

  Chosen(Session session, Register register) {
    this.session = session;
    this.register = register;
  }

  /** Makes a new one, like the chosen one where nothing else is said; true when it is made. */
  boolean addNew() {
    Library library = session.now().library();
    Binding like = library.bindings().get(register.chosenProperty().get());
    String application = register.application();
    Optional<Routine> routine =
        library.routines().values().stream()
            .filter(r -> application.isEmpty() || r.application().equals(application))
            .findFirst();
    if (like != null && (application.isEmpty() || like.place().isOf(application))) {
      add(
          like.withRoutine(like.routine(), Map.of())
              .withTriggers(List.of())
              .withFitting(like.fitting().repeating(0)));
    } else if (routine.isPresent()) {
      Place place = new Place.Whole(routine.get().application());
      add(new Binding("", routine.get().id(), place, List.of(), Map.of(), 0, Extras.NONE));
    } else {
      session.say(
          application.isEmpty()
              ? Ui.text("bind.noroutine")
              : Ui.text("bind.noroutinein", session.now().words().application(application)));
      return false;
    }
    return true;
  }

  /** Makes another one like this. */
  void add(Binding like) {
    if (!session.mayWrite()) {
      session.make(new Edit.Together(List.of()), "");
      return;
    }
    Binding fresh =
        new Binding(
            session.freeBindingId(),
            like.routine(),
            like.place(),
            like.triggers(),
            like.arguments(),
            0,
            like.fitting().replacing(Optional.empty()).parking(List.of()),
            Extras.NONE);
    session.make(
        new Edit.PutBinding(fresh), Ui.text("said.made", session.now().words().binding(fresh)));
    register.choose(fresh.id());
  }

  /** The family the chosen binding is in; none where it is in none. */
  private List<Binding> inFamily() {
    Library library = session.now().library();
    return register.selected().stream().findFirst().flatMap(b -> library.familyOf(b.id())).stream()
        .flatMap(f -> f.members().stream())
        .map(library.bindings()::get)
        .filter(Objects::nonNull)
        .toList();
  }

  /** All that is bound where the chosen binding is. */
  private List<Binding> inPlace() {
    return register.selected().stream().findFirst().stream()
        .flatMap(
            b ->
                session.now().library().bindings().values().stream()
                    .filter(other -> other.place().equals(b.place())))
        .toList();
  }

  boolean isInFamily() {
    return !inFamily().isEmpty();
  }

  /** Switches the chosen ones off while some are on, else on again. */
  void turn() {
    turn(register.selected());
  }

  /** The same with the family of the chosen one. */
  void turnFamily() {
    turn(inFamily());
  }

  /** The same with all that is bound where the chosen one is. */
  void turnPlace() {
    turn(inPlace());
  }

  private void turn(List<Binding> some) {
    boolean on = !Switching.isOn(some);
    session.make(Switching.bindings(some, on), Ui.text(on ? "said.on" : "said.off", some.size()));
  }

  /** Removes the chosen ones, and chooses what comes after them. */
  void remove() {
    List<Binding> gone = register.selected();
    if (gone.isEmpty()) {
      return;
    }
    Optional<String> next = register.nextAfterSelected();
    session.make(
        Removing.of(session.now().library(), gone),
        gone.size() == 1
            ? Ui.text("said.removed", session.now().words().binding(gone.getFirst()))
            : Ui.text("said.removedmany", gone.size()));
    if (session.mayWrite()) {
      next.ifPresent(register::choose);
    }
  }
}
