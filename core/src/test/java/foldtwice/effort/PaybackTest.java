package foldtwice.effort;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import foldtwice.binding.Binding;
import foldtwice.extras.Extras;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.library.Outlay;
import foldtwice.library.Procedure;
import foldtwice.library.RandomEdits;
import foldtwice.library.RandomLibraries;
import foldtwice.library.file.LibraryJson;
import foldtwice.place.Station;
import foldtwice.resolve.Keymap;
import foldtwice.routine.Yardstick;
import foldtwice.routine.Yardstick.Move;
import foldtwice.trigger.Notation;
import foldtwice.trigger.Trigger;
import java.math.BigDecimal;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

class PaybackTest {

  private static final Values PAPER = Values.of(Skill.AVERAGE_SKILLED).pointing(Pointing.PAPER);

  private static Library demo() throws Exception {
    return LibraryJson.read(
        Files.readAllBytes(Path.of(System.getProperty("project.root"), "demo", "fernhollow.json")));
  }

  private static Payback of(Library library) {
    Station station = library.stations().values().iterator().next();
    return Payback.of(library, Keymap.of(library, station), PAPER);
  }

  /** Made of the one before it, it is what it would be anew; the sums are those of the rows. */
  @Property(tries = 120)
  void followingIsTheSameAsAnew(@ForAll long seed) {
    Random random = new Random(seed);
    Library library = RandomLibraries.of(seed);
    if (library.stations().isEmpty()) {
      return;
    }
    Payback before = of(library);
    for (int i = 0; i < 3; i++) {
      Edit edit = RandomEdits.of(library, random, 1);
      try {
        library = edit.on(library);
      } catch (IllegalArgumentException e) {
        continue; // an edit no library takes
      }
      if (library.stations().isEmpty()) {
        return;
      }
      Station station = library.stations().values().iterator().next();
      Keymap keymap = Keymap.of(library, station);
      Payback followed = before.following(library, keymap, PAPER);
      Payback anew = Payback.of(library, keymap, PAPER);
      assertThat(followed.rows()).isEqualTo(anew.rows());
      assertThat(followed.withoutTrigger()).isEqualTo(anew.withoutTrigger());
      double sum =
          anew.rows().stream().flatMap(r -> r.aWeek().stream()).mapToDouble(Span::mid).sum();
      assertThat(anew.aWeek().mid()).isEqualTo(sum, within(1e-6 + Math.abs(sum) * 1e-9));
      double shares = anew.byRoutine().stream().mapToDouble(s -> s.aWeek().mid()).sum();
      assertThat(shares).isEqualTo(sum, within(1e-6 + Math.abs(sum) * 1e-9));
      before = followed;
    }
  }

  /** What a station lacks saves nothing there: keys of devices, and keys its keyboard has not. */
  @Test
  void whatAStationLacksSavesNothingThere() throws Exception {
    Library demo = demo();
    Map<String, Payback> all = Payback.onStations(demo, PAPER);
    assertThat(all.keySet()).containsExactlyElementsOf(demo.stations().keySet());
    int lacking = 0;
    for (Payback p : all.values()) {
      for (Payback.Row r : p.rows()) {
        List<String> devices = p.keymap().station().devices();
        r.trigger().flatMap(Trigger::deviceId).ifPresent(d -> assertThat(devices).contains(d));
        if (r.binding().triggers().stream()
            .allMatch(t -> t.deviceId().filter(d -> !devices.contains(d)).isPresent())) {
          assertThat(r.aWeek()).isEmpty();
          lacking += r.binding().triggers().isEmpty() ? 0 : 1;
        }
      }
      assertThat(p.whole().aWeek()).isEqualTo(p.aWeek());
    }
    assertThat(lacking).isGreaterThan(10);
  }

  /** Common practice, no source: a menu way of three clicks becomes a chord of two keys. */
  @Test
  void aChordIsQuickerThanAMenu() throws Exception {
    Payback payback = of(demo());
    Payback.Row row = payback.row("b01").orElseThrow();
    assertThat(row.recorded()).isTrue();
    assertThat(row.trigger()).contains(Notation.read("Alt+."));
    // Counted by hand: the hand goes over, one thought, Alt and the key, the hand goes back.
    assertThat(row.bound().orElseThrow().plain().mid())
        .isEqualTo(0.4 + 1.35 + 2 * 0.2 + 0.4, within(1e-9));
    assertThat(row.perUse().orElseThrow().low()).isPositive();
    assertThat(row.aWeek().orElseThrow().mid())
        .isEqualTo(row.perUse().orElseThrow().mid() * 410, within(1e-6));
  }

  /**
   * A sequence is one thought; a pad's key is found among its keys, the hand going there and back.
   */
  @Test
  void triggersOfAllKinds() throws Exception {
    Library demo = demo();
    BoundRoute routes =
        new BoundRoute(demo, Keymap.of(demo, demo.stations().values().iterator().next()));
    Trigger sequence = Notation.read("L then B");
    assertThat(Timing.of(routes.of(sequence, Outset.KEYS), PAPER).plain().mid())
        .isEqualTo(1.35 + 2 * 0.2, within(1e-9));
    Trigger left = Notation.read("Ctrl+D"); // both within reach of the left hand
    assertThat(routes.of(left, Outset.POINTER)).noneMatch(m -> m instanceof Move.Hand);
    Trigger right = Notation.read("Ctrl+L");
    assertThat(routes.of(right, Outset.POINTER)).filteredOn(m -> m instanceof Move.Hand).hasSize(2);
    Binding onPad =
        demo.bindings().values().stream()
            .filter(b -> b.triggers().stream().anyMatch(t -> t instanceof Trigger.PadKey))
            .findFirst()
            .orElseThrow();
    Trigger pad =
        onPad.triggers().stream()
            .filter(t -> t instanceof Trigger.PadKey)
            .findFirst()
            .orElseThrow();
    assertThat(routes.of(pad, Outset.KEYS)).filteredOn(m -> m instanceof Move.Hand).hasSize(2);
    assertThat(routes.of(pad, Outset.KEYS)).anyMatch(m -> m instanceof Move.Choose);
    assertThat(routes.of(new Trigger.AtStart(), Outset.KEYS)).isEmpty();
  }

  /** Several in a row are thought of once, and once for as many as are done in one go. */
  @Test
  void aProcedureIsOneThought() throws Exception {
    Library demo = demo();
    List<Procedure.Part> parts =
        List.of(new Procedure.Part.Bound("b01"), new Procedure.Part.Bound("b02"));
    Procedure once = new Procedure("p", "P", parts, 10, 1, Yardstick.NONE, Extras.NONE);
    Library with =
        new Edit.Together(
                List.of(
                    new Edit.PutProcedure(once),
                    new Edit.PutProcedure(
                        new Procedure("q", "Q", parts, 10, 9, Yardstick.NONE, Extras.NONE)),
                    new Edit.PutProcedure(
                        new Procedure(
                            "r",
                            "R",
                            List.of(new Procedure.Part.Bound("gone")),
                            10,
                            1,
                            Yardstick.NONE,
                            Extras.NONE))))
            .on(demo);
    List<Payback.Chain> chains = of(with).chains();
    double each = 2 * (0.4 + 2 * 0.2 + 0.4);
    assertThat(chains.get(0).bound().orElseThrow().mid()).isEqualTo(1.35 + each, within(1e-9));
    assertThat(chains.get(1).bound().orElseThrow().mid()).isEqualTo(1.35 / 9 + each, within(1e-9));
    assertThat(chains.get(0).aWeek().orElseThrow().mid()).isPositive();
    assertThat(chains.get(2).missing()).isEqualTo(1);
    assertThat(chains.get(2).aWeek()).isEmpty();
  }

  @Test
  void whatWasSpentIsEarnedBack() throws Exception {
    Library spent =
        new Edit.Together(
                List.of(
                    spend("hour", 0, "40", "EUR"),
                    spend("routine:shift-boxes", 90, "0", ""),
                    spend("device:rowan", 0, "200", "EUR"),
                    spend("add-on:Symbol shelf", 0, "30", "USD")))
            .on(demo());
    Payback payback = of(spent);
    Payback.Spent all = payback.spentInAll();
    assertThat(all.seconds()).isEqualTo(90 * 60 + 5 * 3600, within(1e-6));
    assertThat(all.untold()).extracting(Outlay::id).containsExactly("add-on:Symbol shelf");
    assertThat(Payback.weeks(7200, new Span(1800, 3600, 7200))).contains(new Span(1, 2, 4));
    assertThat(Payback.weeks(7200, new Span(-1, 3600, 7200)).orElseThrow().high()).isInfinite();
    assertThat(Payback.weeks(7200, new Span(-3, -2, -1))).isEmpty();
  }

  private static Edit spend(String id, double minutes, String price, String currency) {
    return new Edit.Spend(
        id,
        java.util.Optional.of(
            Outlay.none(id).took(minutes).costs(new BigDecimal(price), currency)));
  }
}
