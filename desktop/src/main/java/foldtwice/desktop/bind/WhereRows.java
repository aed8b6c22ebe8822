package foldtwice.desktop.bind;

import foldtwice.binding.Binding;
import foldtwice.binding.Fitting;
import foldtwice.desktop.parts.Choices;
import foldtwice.desktop.parts.Lists;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.place.Application;
import foldtwice.place.Place;
import foldtwice.place.WayIn;
import foldtwice.trigger.Trigger;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import javafx.geometry.Pos;
import javafx.scene.control.ComboBox;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/**
 * Where a binding holds, by which way it comes in, and whether it repeats while its key is down.
 */
final class WhereRows extends VBox {

  /** How often a second, to choose from. */
  static final List<Integer> RATES = List.of(0, 5, 10, 15, 20, Fitting.MOST_REPEATS);

  private final Session session;
  private final Several several;
  private final ComboBox<Place> where = new ComboBox<>();
  private final ComboBox<WayIn> ways = new ComboBox<>();
  private final ComboBox<Integer> rates = new ComboBox<>();
  private final HBox wayRow;
  private final HBox rateRow;
  private Binding binding;
  private boolean filling;

  /**
   * Empty.
   *
   * @param several what is chosen with the one that is shown
   */
  WhereRows(Session session, Several several) {
    super(8);
    this.session = session;
    this.several = several;
    Parts.shows(where, place -> session.now().library().nameOf(place));
    Parts.shows(ways, WayIn::name);
    Parts.shows(rates, WhereRows::rate);
    HBox whereRow = row("where", "sets.where", where, this::chooseWhere);
    wayRow = row("way", "sets.way", ways, this::chooseWay);
    rateRow = row("repeats", "sets.repeats", rates, this::chooseRate);
    getChildren().addAll(whereRow, wayRow, rateRow);
  }

  /** How often what repeats fires, in words. */
  static String rate(int times) {
    return times == 0 ? Ui.text("family.once") : Ui.text("family.times", times);
  }

  private static HBox row(String id, String name, ComboBox<?> box, Runnable onChosen) {
    box.setId(id);
    box.setAccessibleText(Ui.text(name));
    box.setMaxWidth(Double.MAX_VALUE);
    Parts.onChosen(box, onChosen);
    HBox row = Parts.fact(Ui.text(name), box);
    HBox.setHgrow(box, Priority.ALWAYS);
    row.setAlignment(Pos.CENTER_LEFT);
    row.managedProperty().bind(row.visibleProperty());
    return row;
  }

  void show(Snapshot now, Binding b) {
    binding = b;
    filling = true;
    Lists.follow(where.getItems(), now.library().places());
    Choices.renew(where);
    where.setValue(b.place());
    Optional<Application> application = application(now);
    Lists.follow(ways.getItems(), application.map(Application::ways).orElse(List.of()));
    ways.setValue(application.flatMap(a -> a.way(b.fitting().way())).orElse(null));
    wayRow.setVisible(ways.getItems().size() > 1);
    int rate = b.fitting().repeats();
    Lists.follow(
        rates.getItems(), Stream.concat(RATES.stream(), Stream.of(rate)).distinct().toList());
    rates.setValue(rate);
    rateRow.setVisible(rate > 0 || b.triggers().stream().anyMatch(WhereRows::canRepeat));
    filling = false;
  }

  /** A key that can be kept down, and is one stroke. */
  private static boolean canRepeat(Trigger trigger) {
    return switch (trigger) {
      case Trigger.Keys keys -> !keys.isSequence();
      case Trigger.PadKey pad -> pad.way() == Trigger.Duration.TAP;
      case Trigger.Held h -> false; // it does something once, as it goes down or up
      case Trigger.Dial d -> false;
      case Trigger.Gesture g -> false;
      case Trigger.Pointer p -> false;
      case Trigger.Radial r -> false;
      case Trigger.Button b -> false;
      case Trigger.AtStart s -> false;
    };
  }

  private Optional<Application> application(Snapshot now) {
    return binding.place().applicationId().map(now.library().applications()::get);
  }

  private void change(Predicate<Binding> fit, UnaryOperator<Binding> change, String what) {
    several.change(binding, fit, change, Ui.text("said.changed", what));
  }

  private void chooseWhere() {
    Place place = where.getValue();
    if (!filling && place != null && !place.equals(binding.place())) {
      change(b -> true, b -> b.withPlace(place), session.now().library().nameOf(place));
    }
  }

  private void chooseWay() {
    WayIn way = ways.getValue();
    Optional<Application> application = application(session.now());
    if (filling || way == null || application.isEmpty()) {
      return;
    }
    String id = application.get().ways().getFirst().equals(way) ? "" : way.id();
    if (!id.equals(binding.fitting().way())) {
      change(
          b -> b.place().applicationId().equals(binding.place().applicationId()),
          b -> b.withFitting(b.fitting().by(id)),
          way.name());
    }
  }

  private void chooseRate() {
    Integer rate = rates.getValue();
    if (!filling && rate != null && rate != binding.fitting().repeats()) {
      change(b -> true, b -> b.withFitting(b.fitting().repeating(rate)), rate(rate));
    }
  }
}
