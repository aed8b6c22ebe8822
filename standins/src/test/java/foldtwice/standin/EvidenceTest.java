package foldtwice.standin;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.binding.Binding;
import foldtwice.conflict.Audit;
import foldtwice.conflict.Auditor;
import foldtwice.conflict.Conflict;
import foldtwice.conflict.ConflictKind;
import foldtwice.conflict.Detail;
import foldtwice.conflict.Subject;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.place.Place;
import foldtwice.place.Station;
import foldtwice.ready.Entries;
import foldtwice.ready.Setup;
import foldtwice.remedy.Remedies;
import foldtwice.remedy.Remedy;
import foldtwice.remedy.Way;
import foldtwice.resolve.Keymap;
import foldtwice.resolve.Owner;
import foldtwice.routine.Line;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import foldtwice.routine.Value;
import foldtwice.routine.Whom;
import foldtwice.run.Program;
import foldtwice.run.Trial;
import foldtwice.run.Trial.Effect;
import foldtwice.script.Ecmascript;
import foldtwice.surface.Device;
import foldtwice.trigger.Notation;
import foldtwice.trigger.Press;
import foldtwice.trigger.Signal;
import foldtwice.trigger.Trigger;
import foldtwice.words.Words;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Every conflict of the demo library, played on the simulated computer of each station. */
class EvidenceTest {

  private static Subject subject(String station) {
    Station s = Demo.LIBRARY.stations().get(station);
    return new Subject(
        Demo.LIBRARY,
        Keymap.of(Demo.LIBRARY, s),
        StandIns.around(s, Demo.LIBRARY),
        Setup.of(Demo.LIBRARY, station));
  }

  @Test
  void thereIsOneOfEveryKind() {
    Set<ConflictKind> kinds = EnumSet.noneOf(ConflictKind.class);
    for (String station : Demo.LIBRARY.stations().keySet()) {
      Auditor.audit(subject(station)).forEach(c -> kinds.add(c.kind()));
    }
    assertThat(kinds).containsExactlyInAnyOrder(ConflictKind.values());
  }

  @ParameterizedTest
  @ValueSource(strings = {"camera-bench", "mounting-table", "register-desk", "label-corner"})
  void everyConflictHappensAsItSays(String station) {
    Subject subject = subject(station);
    List<Conflict> found = Auditor.audit(subject);
    assertThat(found).hasSizeGreaterThan(30);
    for (Conflict c : found) {
      new Played(subject, c).check();
    }
  }

  /** One conflict on a fresh computer. */
  private static final class Played {
    private final Subject subject;
    private final Conflict conflict;
    private final SimulatedComputer computer;
    private final Trial trial;

    Played(Subject subject, Conflict conflict) {
      this.subject = subject;
      this.conflict = conflict;
      computer =
          SimulatedComputer.of(
              subject.library(), subject.keymap().station(), SimulatedComputer.standingClock());
      trial = new Trial(subject.library(), subject.keymap(), computer, Ecmascript.ENGINE);
      if (conflict.evidence().state().applicationId().isPresent()) {
        computer.bringToFront(conflict.evidence().state().applicationId().get());
        prepare();
      }
    }

    private void prepare() {
      Program program = computer.front();
      program.enter(conflict.evidence().state());
      program.select(Whom.Group.ALL, false);
      program.enter(conflict.evidence().state());
    }

    private List<Effect> play() {
      List<Effect> effects = new ArrayList<>();
      for (Signal s : conflict.evidence().presses()) {
        effects.addAll(trial.signal(s, 0).effects());
      }
      effects.addAll(trial.tick(5000).effects());
      return effects;
    }

    private Optional<Effect.Ran> own(List<Effect> effects) {
      return effects.stream()
          .filter(e -> e instanceof Effect.Ran)
          .map(e -> (Effect.Ran) e)
          .filter(r -> conflict.about().owner().equals(new Owner.Yours(r.binding().id())))
          .findFirst();
    }

    void check() {
      switch (conflict.kind()) {
        case CUT_SHORT, COVERED, RESERVED, DOUBLE_CLAIM, HOLD_CLASH, NOT_ACCEPTED ->
            assertThat(own(play())).as(conflict.toString()).isEmpty();
        case TYPES_TEXT ->
            assertThat(own(play()).isPresent())
                .as(conflict.toString())
                .isEqualTo(!(conflict.detail() instanceof Detail.Typed));
        case DISPLACES -> assertThat(own(play())).as(conflict.toString()).isPresent();
        case INTERCEPTED ->
            assertThat(own(play()).isPresent())
                .as(conflict.toString())
                .isEqualTo(conflict.about().place() instanceof Place.Everywhere);
        case ANSWERS_LATER -> assertThat(own(play())).as(conflict.toString()).isPresent();
        case UNTYPEABLE -> untypeable();
        case BROKEN_CHAIN -> chain();
        case CIRCULAR, MODIFIER_DOWN -> fails();
        case MISSING, BAD_ARGUMENT -> missing();
        case TWINS -> twins();
        case LEAVES_SETTING -> leaves();
        case EMPTIES_UNDO -> empties();
        case STALE_ENTRY -> stale();
      }
    }

    private void untypeable() {
      List<List<Signal>> ways = subject.keymap().paths(conflict.about().trigger());
      switch (((Detail.Untyped) conflict.detail()).why()) {
        case NO_KEY, DEAD -> assertThat(ways).isEmpty();
        case NOT_ON_SHAPE ->
            assertThat(ways)
                .isNotEmpty()
                .allMatch(
                    way ->
                        way.stream()
                            .anyMatch(
                                s ->
                                    s instanceof Press p
                                        && !subject.keymap().station().shape().has(p.code())));
      }
    }

    private void chain() {
      Owner.Key key = (Owner.Key) conflict.about().owner();
      Device device = subject.library().device(key.device()).orElseThrow();
      Map<String, String> pages = new HashMap<>(Map.of(key.device(), key.page()));
      Trial on =
          new Trial(
              subject.library(),
              subject.keymap(),
              computer,
              Ecmascript.ENGINE,
              pages,
              run -> run.toEnd());
      List<Effect> effects = on.key(device, key.key(), Trigger.Duration.TAP, 0).effects();
      assertThat(effects).first().isInstanceOf(Effect.Sent.class);
      assertThat(effects).last().as(conflict.toString()).isInstanceOf(Effect.Nothing.class);
    }

    private void fails() {
      Effect.Ran ran = own(play()).orElseThrow();
      assertThat(ran.trace().endedBadly()).as(conflict + ": " + ran.trace().ending()).isTrue();
    }

    private void missing() {
      if (conflict.detail() instanceof Detail.NoDevice(String device)) {
        assertThat(subject.keymap().station().devices()).doesNotContain(device);
        return;
      }
      List<Effect> effects = play();
      boolean lacking = effects.stream().anyMatch(e -> e instanceof Effect.Lacking);
      boolean covered = own(effects).isEmpty(); // something else keeps it from being heard
      assertThat(lacking || covered || own(effects).get().trace().endedBadly())
          .as(conflict.toString())
          .isTrue();
    }

    private void twins() {
      List<Binding> both =
          conflict.claims().stream()
              .map(c -> subject.library().bindings().get(((Owner.Yours) c.owner()).binding()))
              .toList();
      boolean same = both.getFirst().routine().equals(both.getLast().routine());
      assertThat(same).isEqualTo(!((Detail.Copies) conflict.detail()).differ());
    }

    private void leaves() {
      Program program = computer.front();
      Map<String, Value> before = new TreeMap<>(program.settings());
      play();
      Map<String, Value> after = program.settings();
      assertThat(((Detail.Settings) conflict.detail()).names())
          .as(conflict.toString())
          .anySatisfy(s -> assertThat(after.get(s)).isNotEqualTo(before.get(s)));
    }

    private void empties() {
      Program program = computer.front();
      int before = program.undoDepth();
      play();
      assertThat(program.undoDepth()).as(conflict.toString()).isLessThanOrEqualTo(before);
    }

    private void stale() {
      Detail.Entry entry = (Detail.Entry) conflict.detail();
      assertThat(
              Entries.of(
                  subject.library(),
                  subject.setup(),
                  subject.library().applications().get(entry.application())))
          .anyMatch(e -> e.name().equals(entry.entry()) && e.state() == entry.state());
    }
  }

  /** A routine that cannot run here, and an action of an add-on that is called like it. */
  @Test
  void anAddOnsActionIsOfferedForAllThatIsBoundToTheRoutine() {
    Routine cannot =
        Routine.Macro.of(
            "whole",
            "Fit the whole sheet",
            "tagpress",
            List.of(),
            List.of(new Line(new Step.Choose(Template.all(List.of("Sheet", "Fit everything"))))));
    List<Edit> edits = new ArrayList<>(List.of(new Edit.PutRoutine(cannot)));
    for (String key : List.of("Ctrl+Alt+Shift+F7", "Ctrl+Alt+Shift+F8")) {
      edits.add(
          new Edit.PutBinding(
              Binding.fresh(
                  key,
                  "whole",
                  new Place.Whole("tagpress"),
                  List.of(Notation.read(key)),
                  Map.of())));
    }
    Library library = new Edit.Together(edits).on(Demo.LIBRARY);
    Station station = library.stations().get("camera-bench");
    Audit audit =
        Audit.of(
            new Subject(
                library,
                Keymap.of(library, station),
                StandIns.around(station, library),
                Setup.of(library, station.id())));
    Conflict missing =
        audit.conflicts().stream()
            .filter(c -> c.kind() == ConflictKind.MISSING && c.concerns("Ctrl+Alt+Shift+F7"))
            .findFirst()
            .orElseThrow();
    Remedy remedy =
        new Remedies(audit, StandIns::around)
            .of(missing).stream()
                .filter(r -> r.way() instanceof Way.ByAction)
                .findFirst()
                .orElseThrow();
    assertThat(new Words(library).way(remedy.way()))
        .contains("Fit the whole sheet of Label fitter");
    Library then = remedy.edit().on(library);
    assertThat(then.routineOf(then.bindings().get("Ctrl+Alt+Shift+F7")))
        .containsInstanceOf(Routine.PluginAction.class)
        .isEqualTo(then.routineOf(then.bindings().get("Ctrl+Alt+Shift+F8")));
  }
}
