package foldtwice.desktop.bind;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.binding.Binding;
import foldtwice.binding.Fitting;
import foldtwice.desktop.Toolkit;
import foldtwice.desktop.parts.Tips;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Snapshots;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.place.Station;
import foldtwice.ready.Setup;
import foldtwice.trigger.Notation;
import foldtwice.trigger.Trigger;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.Scene;
import javafx.scene.control.Label;
import javafx.scene.control.TableCell;
import javafx.scene.control.TableRow;
import javafx.scene.layout.StackPane;
import javafx.scene.shape.Shape;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Law: cells that showed other rows before show what the cells of a fresh register show. */
class RegisterTest {

  private static final List<String> FILTERS =
      List.of("", "shift", "ctrl alt", "waiting", "no trigger", "tagpress box", "blocks", "zzz");

  private static Library demo;

  private Library library;
  private Station station;

  @BeforeAll
  static void read() throws Exception {
    Toolkit.start();
    demo = Snapshots.demo();
  }

  private Snapshot moment(Optional<Snapshot> before) {
    return Snapshots.looked(
        Snapshots.edited(library, station, Setup.of(library, station.id()), before));
  }

  private static Register shownIn(Snapshot now) {
    return shownIn(now, "col-used");
  }

  private static Register shownIn(Snapshot now, String sortedBy) {
    Register register = new Register();
    Scene scene = new Scene(new StackPane(register), 1100, 420);
    register.show(now);
    sorted(register, sortedBy);
    laidOut(scene);
    return register;
  }

  private static void sorted(Register register, String by) {
    register
        .getSortOrder()
        .setAll(register.getColumns().stream().filter(c -> c.getId().equals(by)).toList());
    register.sort();
  }

  private static void laidOut(Scene scene) {
    scene.getRoot().applyCss();
    scene.getRoot().layout();
    scene.getRoot().layout(); // what was made in the first is laid out in the second
  }

  /** All that is seen of the rows, in their order. */
  private static List<String> seen(Register register) {
    return register.lookupAll(".table-row-cell").stream()
        .map(TableRow.class::cast)
        .filter(r -> r.isVisible() && !r.isEmpty())
        .sorted((a, b) -> Integer.compare(a.getIndex(), b.getIndex()))
        .map(RegisterTest::row)
        .toList();
  }

  /** The same of the first rows. */
  private static List<String> seenAbove(Register register) {
    register.scrollTo(0);
    laidOut(register.getScene());
    return seen(register);
  }

  /** What somebody sees there who comes only now. */
  private static List<String> seenAfresh(Snapshot now, String sortedBy, String filter) {
    Register fresh = shownIn(now, sortedBy);
    fresh.filter("", filter);
    return seenAbove(fresh);
  }

  private static String row(TableRow<?> row) {
    StringBuilder all = new StringBuilder();
    for (Node n : row.getChildrenUnmodifiable()) {
      if (n instanceof TableCell<?, ?> cell) {
        all.append(cell.getText() == null ? "" : cell.getText())
            .append('<')
            .append(Tips.of(cell))
            .append('>');
        if (cell.getGraphic() != null) {
          parts(cell.getGraphic(), all);
        }
        all.append(" | ");
      }
    }
    return all.toString();
  }

  private static void parts(Node node, StringBuilder all) {
    if (!node.isVisible() || !node.isManaged()) {
      return;
    }
    switch (node) {
      case Label l ->
          all.append(l.getText())
              .append(l.getStyleClass())
              .append('<')
              .append(Tips.of(l))
              .append('>');
      case Shape s -> all.append(s.getClass().getSimpleName()).append(s.getStyleClass());
      case Parent p -> {
        all.append(p.getOpacity()).append('(');
        p.getChildrenUnmodifiable().forEach(c -> parts(c, all));
        all.append(')');
      }
      default -> all.append(node);
    }
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2})
  void cellsShowWhatFreshOnesShow(long seed) {
    Random random = new Random(seed);
    library = demo;
    station = demo.stations().values().iterator().next();
    Toolkit.ask(
        () -> {
          Snapshot now = moment(Optional.empty());
          Register register = shownIn(now);
          int rows = 0;
          for (int i = 0; i < 8; i++) {
            happen(random);
            now = moment(Optional.of(now));
            String filter = FILTERS.get(random.nextInt(FILTERS.size()));
            register.show(now);
            register.filter("", filter);
            List<String> seen = seenAbove(register);
            assertThat(seen)
                .as("after %s, filter %s", i, filter)
                .isEqualTo(seenAfresh(now, "col-used", filter));
            rows += seen.size();
          }
          assertThat(rows).isGreaterThan(20);
          return true;
        });
  }

  /** What an audit tells moves, hides and shows rows as if it had been known from the start. */
  @ParameterizedTest
  @ValueSource(longs = {3, 4})
  void whatIsWrongIsShownWhenItIsTold(long seed) {
    Random random = new Random(seed);
    library = demo;
    station = demo.stations().values().iterator().next();
    Toolkit.ask(
        () -> {
          Snapshot now = moment(Optional.empty());
          Register register = shownIn(now);
          int other = 0;
          for (int i = 0; i < 8; i++) {
            String by = random.nextBoolean() ? "col-conflict" : "col-used";
            String filter = random.nextBoolean() ? "" : "blocks";
            sorted(register, by);
            register.filter("", filter);
            happen(random);
            Setup setup = Setup.of(library, station.id());
            Snapshot edited = Snapshots.edited(library, station, setup, Optional.of(now));
            register.show(edited);
            List<String> before = seenAbove(register);
            now = Snapshots.looked(edited);
            register.show(now);
            List<String> seen = seenAbove(register);
            assertThat(seen)
                .as("after %s, %s, %s", i, by, filter)
                .isEqualTo(seenAfresh(now, by, filter));
            other += before.equals(seen) ? 0 : 1;
          }
          assertThat(other).as("times an audit told something").isPositive();
          return true;
        });
  }

  private void happen(Random random) {
    List<Binding> all = List.copyOf(library.bindings().values());
    for (int i = random.nextInt(20); i >= 0; i--) {
      Binding b = all.get(random.nextInt(all.size()));
      Edit edit =
          switch (random.nextInt(6)) {
            case 0 -> new Edit.PutBinding(b.withTriggers(List.of()));
            case 1 -> new Edit.PutBinding(b.withTriggers(two(random)));
            case 2 -> new Edit.PutBinding(b.used(random.nextInt(900)));
            case 3 -> new Edit.RemoveBinding(b.id());
            case 4 -> {
              Fitting parked = b.fitting().parking(b.triggers());
              yield new Edit.PutBinding(b.withTriggers(List.of()).withFitting(parked));
            }
            default -> {
              Binding other = all.get(random.nextInt(all.size()));
              yield new Edit.PutBinding(b.withRoutine(other.routine(), other.arguments()));
            }
          };
      library = edit.on(library);
    }
    if (random.nextInt(4) == 0) {
      List<Station> stations = List.copyOf(library.stations().values());
      station = stations.get(random.nextInt(stations.size()));
    }
  }

  private static List<Trigger> two(Random random) {
    List<Trigger> some = new ArrayList<>();
    some.add(Notation.read("Ctrl+Alt+F" + random.nextInt(1, 9)));
    some.add(
        Notation.read(
            random.nextBoolean() ? "Alt+Up" : "K then " + (char) ('A' + random.nextInt(26))));
    return some;
  }

  /** A binding that the filter hides stays chosen, and choosing it leaves the filter. */
  @Test
  void whatIsChosenStaysChosen() {
    library = demo;
    station = demo.stations().values().iterator().next();
    Toolkit.ask(
        () -> {
          Register register = shownIn(moment(Optional.empty()));
          register.setOnHidden(() -> register.filter("", ""));
          String last = register.getItems().getLast().binding().id();
          register.choose(last);
          assertThat(register.chosenProperty().get()).isEqualTo(last);
          register.filter("", "shift boxes");
          assertThat(register.shown()).isPositive().isLessThan(demo.bindings().size());
          assertThat(register.chosenProperty().get()).isEqualTo(last);
          assertThat(register.selected()).extracting(Binding::id).containsExactly(last);
          register.choose(last);
          assertThat(register.shown()).isEqualTo(demo.bindings().size());
          assertThat(register.getSelectionModel().getSelectedItem().binding().id()).isEqualTo(last);
          return true;
        });
  }

  /** The next draft from where one is, and round. */
  @Test
  void draftsComeOneAfterTheOther() {
    library = demo;
    station = demo.stations().values().iterator().next();
    List<Binding> all = List.copyOf(demo.bindings().values());
    List<String> made = List.of(all.get(4).id(), all.get(90).id());
    made.forEach(
        id ->
            library =
                new Edit.PutBinding(library.bindings().get(id).withTriggers(List.of()))
                    .on(library));
    Toolkit.ask(
        () -> {
          Register register = shownIn(moment(Optional.empty()));
          List<String> order =
              register.getItems().stream()
                  .map(Seat::binding)
                  .filter(Binding::isDraft)
                  .map(Binding::id)
                  .toList();
          assertThat(order).containsAll(made);
          register.chooseFirst();
          List<String> met = new ArrayList<>();
          for (int i = 0; i < order.size(); i++) {
            register.chooseNext(Binding::isDraft);
            met.add(register.chosenProperty().get());
          }
          assertThat(met).containsExactlyInAnyOrderElementsOf(order);
          return true;
        });
  }
}
