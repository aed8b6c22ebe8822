package foldtwice.desktop.payback;

import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.session.Background.Lane;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Ui;
import foldtwice.effort.Payback;
import foldtwice.library.Edit;
import foldtwice.library.Outlay;
import foldtwice.words.Words;
import java.math.BigDecimal;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.geometry.VPos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;

/** What a routine or a device has cost, and what an hour does; typed by the person. */
final class Outlays extends VBox {

  private final Session session;
  private final TextField minutes = Parts.input("outlay-minutes", Ui.text("payback.minutes"), 5);
  private final TextField price = Parts.input("outlay-price", Ui.text("payback.price"), 9);
  private final TextField hour = Parts.input("outlay-hour", Ui.text("payback.hour"), 9);
  private final Label wrong = Parts.wrapped("", "blocks");
  private final Label what = Parts.label("", "soft");
  private final Button measured =
      Parts.button("outlay-measured", Ui.text("payback.measured"), this::measure, "link");
  private Optional<String> routine = Optional.empty();
  private Optional<String> id = Optional.empty();
  private Payback shown;

  Outlays(Session session) {
    super(4);
    this.session = session;
    wrong.setId("outlay-wrong");
    minutes.setDisable(true); // until it is known whose they are
    price.setDisable(true);
    Parts.onKept(minutes, this::keepMinutes);
    Parts.onKept(price, () -> keepPrice(price, id));
    Parts.onKept(hour, () -> keepPrice(hour, Optional.of(Outlay.HOUR)));
    FlowPane row =
        new FlowPane(
            8,
            4,
            what,
            minutes,
            Parts.label(Ui.text("payback.minutes.unit"), "soft"),
            measured,
            price,
            Parts.label(Ui.text("payback.hour.before"), "soft"),
            hour);
    row.setRowValignment(VPos.CENTER);
    row.setAlignment(Pos.CENTER_LEFT);
    getChildren().addAll(Parts.label(Ui.text("payback.cost"), "heading"), row, wrong);
  }

  void show(Payback payback, Optional<Entry> entry) {
    shown = payback;
    Optional<String> before = id;
    id =
        entry.flatMap(
            e ->
                switch (e.by()) {
                  case ROUTINE -> Optional.of(Outlay.ofRoutine(e.id()));
                  case DEVICE -> Optional.of(Outlay.ofDevice(e.id()));
                  case PROGRAM, PROCEDURE, STATION -> Optional.empty();
                });
    what.setText(
        entry
            .filter(e -> id.isPresent())
            .map(e -> Ui.text("payback.costof", e.name()))
            .orElse(Ui.text("payback.costnone")));
    Outlay of = id.map(payback.library()::outlay).orElse(Outlay.none(""));
    routine = entry.filter(e -> e.by() == Entry.By.ROUTINE).map(Entry::id);
    Parts.there(measured, routine.isPresent());
    minutes.setDisable(id.isEmpty());
    price.setDisable(id.isEmpty());
    boolean other = !before.equals(id);
    Parts.renew(hour, shown(payback.library().outlay(Outlay.HOUR)));
    Map<TextField, String> texts =
        Map.of(minutes, of.minutes() > 0 ? Words.number(of.minutes()) : "", price, shown(of));
    texts.forEach(other ? TextField::setText : Parts::renew);
  }

  private static String shown(Outlay o) {
    return o.price().signum() > 0 ? (o.price().toPlainString() + " " + o.currency()).strip() : "";
  }

  /** Takes the minutes the history tells of; they can be corrected. */
  private void measure() {
    String of = routine.orElseThrow();
    session
        .background()
        .once(
            Lane.READING,
            () -> session.store().chronicle().join().making().getOrDefault(of, 0.0),
            many -> {
              if (!routine.equals(Optional.of(of))) {
                return; // another is looked at by now
              }
              if (many <= 0) {
                session.say(Ui.text("said.notmeasured"));
              } else {
                minutes.setText(Words.number(Math.rint(many * 10) / 10));
                keepMinutes();
              }
            });
  }

  private void keepMinutes() {
    if (id.isEmpty()) {
      return;
    }
    Outlay was = shown.library().outlay(id.get());
    String text = minutes.getText().strip().replace(',', '.');
    try {
      double many = text.isEmpty() ? 0 : Double.parseDouble(text);
      if (!(many >= 0 && many < 1e7)) {
        throw new NumberFormatException(text);
      }
      put(was.took(many));
    } catch (NumberFormatException e) {
      wrong.setText(Ui.text("payback.notminutes", text));
    }
  }

  /**
   * A price and its currency, such as {@code 19.90 EUR}; the hour's currency where none is said.
   */
  private void keepPrice(TextField field, Optional<String> of) {
    if (of.isEmpty()) {
      return;
    }
    String text = field.getText().strip();
    String[] parts = text.split("\\s+");
    try {
      BigDecimal amount =
          text.isEmpty() ? BigDecimal.ZERO : new BigDecimal(parts[0].replace(',', '.'));
      String currency =
          parts.length > 1
              ? parts[1].toUpperCase(Locale.ROOT)
              : shown.library().outlay(Outlay.HOUR).currency();
      if (amount.signum() < 0
          || amount.precision() > 15
          || Math.abs(amount.scale()) > 6
          || parts.length > 2
          || !(currency.isEmpty() || Outlay.isCurrency(currency))
          || (amount.signum() > 0 && currency.isEmpty())) {
        throw new NumberFormatException(text);
      }
      put(shown.library().outlay(of.get()).costs(amount, amount.signum() > 0 ? currency : ""));
    } catch (NumberFormatException e) {
      wrong.setText(Ui.text("payback.notprice", text));
    }
  }

  private void put(Outlay next) {
    wrong.setText("");
    Outlay was = shown.library().outlay(next.id());
    if (next.equals(was) || !session.mayWrite()) {
      return;
    }
    boolean nothing = next.minutes() == 0 && next.price().signum() == 0;
    session.make(
        new Edit.Spend(next.id(), nothing ? Optional.empty() : Optional.of(next)),
        Ui.text("said.outlay"));
  }
}
