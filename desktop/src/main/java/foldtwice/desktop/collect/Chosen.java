package foldtwice.desktop.collect;

import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Ui;
import foldtwice.library.Edit;
import foldtwice.library.Switching;
import foldtwice.place.Application;
import foldtwice.routine.Card;
import foldtwice.routine.Line;
import foldtwice.routine.Routine;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;

/** The routine that is shown, the step that is chosen in it, and how both are changed. */
final class Chosen {

  final Session session;

  /** Empty for none. */
  private String id = "";

  /** The numbers of the chosen steps, the one chosen last at the end. */
  private List<String> steps = List.of();

  Chosen(Session session) {
    this.session = session;
  }

  String id() {
    return id;
  }

  /** Another routine, with no step chosen. */
  void choose(String routine) {
    id = routine;
    steps = List.of();
  }

  /** The number of the step that was chosen last; empty for none. */
  String step() {
    return steps.isEmpty() ? "" : steps.getLast();
  }

  List<String> steps() {
    return steps;
  }

  void chooseStep(String number) {
    steps = number.isEmpty() ? List.of() : List.of(number);
  }

  void chooseSteps(List<String> numbers) {
    steps = List.copyOf(numbers);
  }

  Optional<Routine> routine() {
    return Optional.ofNullable(session.now().library().routines().get(id));
  }

  /** The routine, if it has steps. */
  Optional<Routine.Macro> macro() {
    return routine().filter(r -> r instanceof Routine.Macro).map(r -> (Routine.Macro) r);
  }

  Optional<Application> application() {
    return routine().map(r -> session.now().library().applications().get(r.application()));
  }

  void put(Routine routine, String said) {
    session.make(new Edit.PutRoutine(routine), said);
  }

  /** Changes the steps, if that changes anything. */
  void put(UnaryOperator<List<Line>> change, String said) {
    macro()
        .ifPresent(
            m -> {
              List<Line> next = change.apply(m.steps());
              if (!next.equals(m.steps())) {
                put(m.withSteps(next), said);
              }
            });
  }

  void card(UnaryOperator<Card> change) {
    routine()
        .ifPresent(r -> put(r.withCard(change.apply(r.card())), Ui.text("said.changed", r.name())));
  }

  /** Switches the routine off with all that is bound to it, or on again. */
  void turn() {
    routine()
        .ifPresent(
            r ->
                session.make(
                    Switching.routine(session.now().library(), r, r.card().off()),
                    Ui.text("said.changed", r.name())));
  }
}
