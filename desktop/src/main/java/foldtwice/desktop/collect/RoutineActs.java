package foldtwice.desktop.collect;

import foldtwice.binding.Binding;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Ui;
import foldtwice.fold.TooLongToFoldException;
import foldtwice.fold.Unfolding;
import foldtwice.library.Bound;
import foldtwice.library.Edit;
import foldtwice.library.History;
import foldtwice.routine.Head;
import foldtwice.routine.Parameter;
import foldtwice.routine.Routine;
import foldtwice.routine.Template;
import foldtwice.routine.Value;
import foldtwice.source.ToMacro;
import foldtwice.source.ToScript;
import foldtwice.source.Turned;
import foldtwice.writing.CutOut;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Function;

/** Makes routines, and does to the chosen one what is done to it as a whole. */
final class RoutineActs {

  private final Chosen chosen;
  private final Session session;
  private final Consumer<String> onFresh;
  private final Consumer<String> onOther;

  /**
   * @param onFresh gets the id of a routine that still wants a name
   * @param onOther gets the id of the one to be shown now
   */
  RoutineActs(Chosen chosen, Consumer<String> onFresh, Consumer<String> onOther) {
    this.chosen = chosen;
    this.session = chosen.session;
    this.onFresh = onFresh;
    this.onOther = onOther;
  }

  /** A new macro for the application of the chosen routine. */
  void macro() {
    make("routine", head -> new Routine.Macro(head, List.of()));
  }

  void script() {
    make("script", head -> new Routine.Script(head, Ui.text("source.begin")));
  }

  /** A stored command: a statement where the program has others, else a command line. */
  void command() {
    make(
        "command",
        head ->
            hasStatements(head.application())
                ? new Routine.Stored(head, Routine.Stored.Language.SQL, new Template("SELECT 1"))
                : new Routine.Stored(
                    head, Routine.Stored.Language.COMMAND_LINE, new Template(head.application())));
  }

  private boolean hasStatements(String application) {
    return session.now().library().routines().values().stream()
        .anyMatch(
            r ->
                r.application().equals(application)
                    && r instanceof Routine.Stored s
                    && s.language() == Routine.Stored.Language.SQL);
  }

  private void make(String kind, Function<Head, Routine> make) {
    Optional<String> application =
        chosen
            .routine()
            .map(Routine::application)
            .or(() -> session.now().library().applications().keySet().stream().findFirst());
    if (application.isEmpty()) {
      session.say(Ui.text("collect.noapplication"));
      return;
    }
    String title = Ui.text("collect.fresh." + kind);
    Routine fresh =
        make.apply(
            Head.of(session.freeRoutineId(title), title, application.get(), List.of())
                .inCategory(chosen.routine().map(Routine::category).orElse("")));
    chosen.put(fresh, Ui.text("said.newroutine", title));
    onFresh.accept(fresh.id());
  }

  void copy() {
    chosen
        .routine()
        .ifPresent(
            r -> {
              String title = Ui.text("collect.copyof", r.name());
              Routine copy = r.with(r.head().named(session.freeRoutineId(title), title));
              chosen.put(copy, Ui.text("said.newroutine", title));
              onOther.accept(copy.id());
            });
  }

  void remove() {
    chosen
        .routine()
        .ifPresent(
            r -> {
              int used = Bound.to(session.now().library(), r.id()).size();
              session.make(
                  new Edit.RemoveRoutine(r.id()),
                  used == 0
                      ? Ui.text("said.removed", r.name())
                      : Ui.text("said.removedrafts", r.name(), used));
              session.now().library().routines().keySet().stream().findFirst().ifPresent(onOther);
            });
  }

  /** Cuts steps out of the chosen macro into a routine of their own, which is shown then. */
  void cutOut(List<String> numbers) {
    chosen
        .macro()
        .ifPresent(
            m -> {
              String title = Ui.text("several.cutname", m.name());
              String id = session.freeRoutineId(title);
              switch (CutOut.of(m, numbers, id, title, session.known())) {
                case CutOut.Made(Routine.Macro rest, Routine.Macro own) -> {
                  session.make(
                      new Edit.Together(
                          List.of(new Edit.PutRoutine(own), new Edit.PutRoutine(rest))),
                      Ui.text("said.cutout", own.name()));
                  onFresh.accept(own.id());
                }
                case CutOut.Refused(CutOut.Reason reason, String about, String step) ->
                    session.say(Ui.text("several.nocut." + reason, about, step));
              }
            });
  }

  /** A macro as a script, a script as a macro. */
  Turned turned(Routine routine) {
    return switch (routine) {
      case Routine.Macro m -> ToScript.of(m);
      case Routine.Script s -> ToMacro.of(s);
      default -> throw new IllegalArgumentException("is turned into nothing: " + routine.id());
    };
  }

  /** Puts a routine that was turned in its own place; its bindings stay. */
  void turn(Turned turned) {
    chosen.put(
        turned.routine(),
        Ui.text(
            "said.turned",
            turned.routine().name(),
            turned.routine() instanceof Routine.Macro ? 1 : 0));
  }

  /** Writes the loops out again. */
  void unfold() {
    chosen
        .macro()
        .ifPresent(
            m -> {
              try {
                chosen.put(
                    m.withSteps(Unfolding.unfold(m.steps())), Ui.text("said.unfolded", m.name()));
              } catch (TooLongToFoldException e) {
                session.say(Ui.text("said.toolong", e.limit()));
              }
            });
  }

  /** Keeps the values a run was asked for: with the binding it is tried with, or as defaults. */
  void keepValues(Map<String, Value> values, Optional<Binding> with) {
    if (with.isPresent()) {
      session.keepArguments(with.get().id(), values);
      return;
    }
    chosen
        .routine()
        .ifPresent(
            r -> {
              List<Parameter> parameters =
                  r.parameters().stream()
                      .map(p -> p.withDefault(values.getOrDefault(p.name(), p.otherwise())))
                      .toList();
              chosen.put(r.with(r.head().with(parameters)), Ui.text("said.keptdefaults", r.name()));
            });
  }

  /**
   * What can be held against each other: the routine as it is and as it was, then the others, those
   * of its application first.
   */
  List<ComparePanel.State> comparable(Routine routine) {
    List<ComparePanel.State> states = new ArrayList<>();
    states.add(new ComparePanel.State(routine.name(), routine));
    states.addAll(earlier(routine));
    session.now().library().routines().values().stream()
        .filter(r -> !r.id().equals(routine.id()))
        .sorted(Comparator.comparing((Routine r) -> !r.application().equals(routine.application())))
        .forEach(r -> states.add(new ComparePanel.State(r.name(), r)));
    return states;
  }

  private static final int MOST_EARLIER = 20;

  /** The routine as it was before each of its last changes that can be undone. */
  private List<ComparePanel.State> earlier(Routine routine) {
    List<ComparePanel.State> states = new ArrayList<>();
    History history = session.store().history();
    Routine last = routine;
    while (history.last().isPresent() && states.size() < MOST_EARLIER) {
      String at = TIME.format(history.last().get().at().atZone(ZoneId.systemDefault()));
      history = history.undo();
      Routine then = history.library().routines().get(routine.id());
      if (then == null) {
        break; // it was made then
      }
      if (!then.equals(last)) {
        states.add(new ComparePanel.State(Ui.text("compare.before", at), then));
        last = then;
      }
    }
    return states;
  }

  private static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("d MMM HH:mm:ss");
}
