package foldtwice.desktop.session;

import foldtwice.binding.Binding;
import foldtwice.conflict.Subject;
import foldtwice.extras.Extras;
import foldtwice.library.Edit;
import foldtwice.library.Ids;
import foldtwice.library.Library;
import foldtwice.place.Application;
import foldtwice.place.Place;
import foldtwice.recording.Recording;
import foldtwice.recording.Retracing;
import foldtwice.recording.Route;
import foldtwice.routine.Head;
import foldtwice.routine.Line;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import foldtwice.routine.Value;
import foldtwice.run.Act;
import foldtwice.run.Program;
import foldtwice.run.Reply;
import foldtwice.standin.SimulatedComputer;
import foldtwice.trigger.Trigger;
import foldtwice.words.ShorterWay;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.beans.property.ReadOnlyIntegerProperty;
import javafx.beans.property.ReadOnlyIntegerWrapper;

/** Records what is done by hand in a stand-in, and keeps it as a macro. */
public final class Recorder {

  /** What is being recorded. */
  private record On(Recording recording, Route route, Place place, SimulatedComputer before) {}

  private final Session session;
  private final ReadOnlyIntegerWrapper heard = new ReadOnlyIntegerWrapper(-1);
  private final ByHand byHand;
  private On on;

  Recorder(Session session) {
    this.session = session;
    this.byHand = new ByHand(session);
  }

  /** How many acts have been heard; negative while nothing is recorded. */
  public ReadOnlyIntegerProperty heardProperty() {
    return heard.getReadOnlyProperty();
  }

  public boolean isOn() {
    return on != null;
  }

  public boolean isPaused() {
    return on != null && on.recording().paused();
  }

  /** The id of the application that is recorded. */
  private String application() {
    return on == null ? "" : on.recording().application();
  }

  /** Its name. */
  public String program() {
    return nameOf(application());
  }

  private String nameOf(String id) {
    return Optional.ofNullable(session.now().library().applications().get(id))
        .map(Application::name)
        .orElse(id);
  }

  public void start(Program program) {
    on =
        new On(
            new Recording(program.application()),
            new Route(),
            program.place(),
            session.computer().copy());
    byHand.forget();
    heard.set(0);
    session.say(Ui.text("record.begun", nameOf(program.application())));
  }

  /** Pauses, or goes on. */
  public void pause() {
    on.recording().pause(!on.recording().paused());
    session.say(Ui.text(isPaused() ? "record.paused" : "record.goeson"));
  }

  /** Takes note of an act that was done. */
  public void hear(Act act, Reply reply, Program program) {
    if (on == null) {
      byHand.hear(act, reply, program);
      return;
    }
    on.recording().hear(act, reply, program);
    if (act instanceof Act.Choose(List<String> menu) && !isPaused()) {
      on.route().menu(menu.size());
    }
    heard.set(on.recording().size());
  }

  /** The way the hand goes, while that is heard; empty while it is not. */
  public Optional<Route> route() {
    return on == null || isPaused() ? Optional.empty() : Optional.of(on.route());
  }

  /** The steps so far. */
  public List<Line> steps() {
    return on == null ? List.of() : on.recording().steps();
  }

  /** Stops and keeps nothing. */
  public void dismiss() {
    on = null;
    heard.set(-1);
    session.say(Ui.text("record.dismissed"));
  }

  /**
   * Stops and keeps the macro in the library, bound if a trigger is given.
   *
   * @return its id; empty when nothing was done
   */
  public Optional<String> keep(String name, Optional<Trigger> trigger) {
    List<Line> steps = steps();
    if (steps.isEmpty()) {
      dismiss();
      return Optional.empty();
    }
    Routine.Macro macro = macro(name, steps);
    String title = macro.name();
    List<Edit> edits = new ArrayList<>(List.of(new Edit.PutRoutine(macro)));
    trigger.ifPresent(t -> edits.add(new Edit.PutBinding(binding(macro).withTriggers(List.of(t)))));
    Optional<String> same = same(steps);
    On was = on;
    on = null;
    heard.set(-1);
    session.make(
        new Edit.Together(edits),
        same.map(r -> Ui.text("record.same", title, r))
            .orElseGet(() -> Ui.text("record.kept", title, steps.size())));
    if (same.isEmpty()) {
      sameEffect(was, macro);
    }
    return Optional.of(macro.id());
  }

  private Routine.Macro macro(String name, List<Line> steps) {
    String title = name.isBlank() ? Ui.text("record.unnamed") : name.strip();
    return new Routine.Macro(
        Head.of(freeId(title), title, application(), List.of())
            .inCategory(category())
            .with(on.route().yardstick()),
        steps);
  }

  private Binding binding(Routine macro) {
    return new Binding(
        session.freeBindingId(), macro.id(), on.place(), List.of(), Map.of(), 0, Extras.NONE);
  }

  /** What would follow if what is recorded had this trigger; asked of the library as it is. */
  public Supplier<Advised> advice(String name, Trigger trigger) {
    Routine.Macro macro = macro(name, steps());
    Binding binding = binding(macro);
    Subject now = session.now().subject();
    return () -> Advised.of(now, new Edit.PutRoutine(macro), binding, trigger);
  }

  /** What takes the very same steps: a routine, given these constants, or a command's own keys. */
  private Optional<String> same(List<Line> lines) {
    Library library = session.now().library();
    List<Step> steps = lines.stream().map(Line::step).toList();
    return Retracing.among(library, application(), steps)
        .map(f -> named(f.routine().id(), f.arguments()))
        .or(() -> steps.size() == 1 ? ofCommand(steps.getFirst()) : Optional.empty());
  }

  private Optional<String> ofCommand(Step step) {
    return step instanceof Step.Choose(List<Template> menu)
        ? ShorterWay.toCommand(
            session.now().library(),
            session.now().keymap(),
            application(),
            menu.stream().map(Template::source).toList())
        : Optional.empty();
  }

  private String named(String routine, Map<String, Value> arguments) {
    return session
        .now()
        .words()
        .binding(Binding.fresh("", routine, new Place.Everywhere(), List.of(), arguments));
  }

  /** Looks in the background for what comes to the same by other steps, and says so. */
  private void sameEffect(On was, Routine.Macro macro) {
    Program program = session.programs().get(macro.application());
    if (program == null) {
      return;
    }
    SameEffect same =
        new SameEffect(
            session.now(), macro.application(), was.before(), Map.copyOf(program.state()));
    session
        .background()
        .once(
            Background.Lane.IDLE,
            () -> same.find(macro.id()),
            found ->
                found.ifPresent(
                    b ->
                        session.say(
                            Ui.text(
                                "record.same", macro.name(), named(b.routine(), b.arguments())))));
  }

  /** The heading most routines of the application stand under. */
  private String category() {
    return session.now().library().routines().values().stream()
        .filter(r -> r.application().equals(application()))
        .map(Routine::category)
        .findFirst()
        .orElse("");
  }

  /** An id no routine has yet, made of a name. */
  String freeId(String name) {
    return Ids.free(Ids.of(name, "routine"), session.now().library().routines()::containsKey);
  }
}
