package foldtwice.desktop.session;

import foldtwice.desktop.session.Background.Lane;
import foldtwice.handover.Guest;
import foldtwice.handover.Kit;
import foldtwice.library.Edit;
import foldtwice.library.Returning;
import java.nio.file.Path;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/** A kit put on over the library for a while, and the way back to what it was. */
public final class Guests {

  private final Session session;
  private final ReadOnlyObjectWrapper<Optional<Guest>> guest =
      new ReadOnlyObjectWrapper<>(Optional.empty());

  Guests(Session session) {
    this.session = session;
    Path file = session.store().file();
    session.background().once(Lane.READING, () -> DiskWork.done(() -> Guest.at(file)), guest::set);
  }

  /** Who is a guest now, from the interface thread. */
  public ReadOnlyObjectProperty<Optional<Guest>> guestProperty() {
    return guest.getReadOnlyProperty();
  }

  /**
   * Puts a kit on, as one edit.
   *
   * @param edit made when the library is still the one it was worked out for
   */
  public void putOn(Kit kit, Edit edit, BooleanSupplier stillThat) {
    if (guest.get().isPresent()) {
      session.say(Ui.text("guest.already", guest.get().get().kit()));
      return;
    }
    Path file = session.store().file();
    Guest next =
        new Guest(kit.card().name(), session.store().clock().instant(), session.now().library());
    session
        .background()
        .write(
            () -> next.arrive(file),
            () -> {
              guest.set(Optional.of(next));
              if (stillThat.getAsBoolean()) {
                session.make(edit, Ui.text("said.guest", next.kit()));
              } else {
                gone(file); // the library is another by now: nothing was put on
              }
            });
  }

  /** Takes the guest off: the library is what it was before it came, as one edit. */
  public void takeOff() {
    guest
        .get()
        .filter(g -> session.mayWrite())
        .ifPresent(
            g -> {
              session.make(
                  Returning.to(session.now().library(), g.was()),
                  Ui.text("said.guestgone", g.kit()));
              gone(session.store().file());
            });
  }

  private void gone(Path file) {
    guest.set(Optional.empty());
    session.background().write(() -> Guest.leave(file), () -> {});
  }
}
