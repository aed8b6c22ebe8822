package foldtwice.run;

import foldtwice.place.AddOn;
import foldtwice.place.Application;
import foldtwice.place.Place;
import foldtwice.reading.Hindrance;
import foldtwice.reading.Mark;
import foldtwice.routine.Manner;
import foldtwice.routine.Routine;
import foldtwice.text.Refusals;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Says whether a routine may be run on a program as it is. */
public final class Entry {

  private Entry() {}

  static StepFailure failure(Hindrance hindrance) {
    return switch (hindrance) {
      case Hindrance.NoProgram(String application) ->
          new StepFailure(application, Refusals.says("run.not-there"));
      case Hindrance.TooOld(String application, String needed, String found) ->
          new StepFailure(Refusals.says("run.version", application, needed), found);
      case Hindrance.NoAddOn(String name) ->
          new StepFailure(Refusals.says("run.add-on", name), Refusals.says("run.not-there"));
      case Hindrance.AddOnTooOld(AddOn needed, String found) ->
          new StepFailure(
              Refusals.says("run.add-on-or-later", needed.name(), needed.version()), found);
      case Hindrance.NoAction(String addOn, String action) ->
          new StepFailure(Refusals.says("run.action", addOn), Refusals.says("run.no-such", action));
      case Hindrance.NoStatement(String why) ->
          new StepFailure(Refusals.says("run.statement-sql"), why);
      case Hindrance.Unreadable u ->
          new StepFailure(
              Refusals.says("run.source-text-can-read"),
              Refusals.says("run.in-line", u.expected(), u.line()));
      case Hindrance.Step(Mark mark) -> new StepFailure(mark.expected(), mark.found());
    };
  }

  /** True when a run of it would begin. */
  public static boolean isOpen(
      Routine routine, Program program, Optional<Application> application) {
    return standing(routine, program, application).isEmpty();
  }

  static void mayRun(Routine routine, Program program, Optional<Application> application)
      throws StepFailure {
    List<Standing> standing = standing(routine, program, application);
    if (!standing.isEmpty()) {
      throw standing.getFirst().failure();
    }
  }

  /**
   * All that stands in its way, in the order in which it has to be put out of it.
   *
   * @param application the program as the library knows it, which tells what contexts are inside
   *     others
   */
  public static List<Standing> standing(
      Routine routine, Program program, Optional<Application> application) {
    List<Standing> all = new ArrayList<>();
    Manner manner = routine.manner();
    if (routine.card().off()) {
      all.add(new Standing.Off(routine.name()));
    }
    if (!routine.origin().seen()) {
      all.add(new Standing.Unseen(routine.name()));
    }
    if (routine
        .application()
        .equals(program.application())) { // else it makes do with what is there
      Hindrance.needs(routine, program.facts()).forEach(h -> all.add(new Standing.Lacks(h)));
    }
    String state = program.place().id();
    String context = state.substring(state.indexOf('/') + 1);
    if (!manner.startIn().isEmpty() && !isIn(program.place(), manner.startIn(), application)) {
      all.add(new Standing.Context(manner.startIn(), context));
    }
    Optional<String> open = program.dialog().map(Dialog::title);
    if (!manner.opened().isEmpty() && !open.equals(Optional.of(manner.opened()))) {
      all.add(new Standing.Dialog(manner.opened(), open));
    }
    return all;
  }

  private static boolean isIn(
      Place state, List<String> contexts, Optional<Application> application) {
    return state.isIn(contexts) || application.filter(a -> a.isWithin(state, contexts)).isPresent();
  }

  /** Where one can be in a context: in itself, or in the first one inside it. */
  private static Place state(String id, String context, Optional<Application> application) {
    Place itself = new Place.Within(id, context);
    return application.stream()
        .flatMap(a -> a.states().stream())
        .filter(s -> s.equals(itself))
        .findFirst()
        .or(
            () ->
                application.stream()
                    .flatMap(a -> a.states().stream().filter(s -> a.isWithin(s, List.of(context))))
                    .findFirst())
        .orElse(itself);
  }

  /**
   * Brings a program to where a routine may start, as far as the program can go there by itself: in
   * one of its contexts, and with its dialog open.
   *
   * @return what could not be done; empty when all that was asked for was done
   */
  public static Optional<Reply.Refused> prepare(
      Routine routine, Program program, Optional<Application> application) {
    for (Standing s : standing(routine, program, application)) {
      Reply reply =
          switch (s) {
            case Standing.Context(List<String> contexts, String now) ->
                program.enter(state(program.application(), contexts.getFirst(), application));
            case Standing.Dialog(String title, var open) -> open(program, title);
            default -> Reply.QUIET; // nothing a program does
          };
      if (reply instanceof Reply.Refused refused) {
        return Optional.of(refused);
      }
    }
    return Optional.empty();
  }

  /** By the first command that opens it. */
  private static Reply open(Program program, String title) {
    return program.facts().commands().stream()
        .filter(c -> c.opens().equals(Optional.of(title)) && !c.menu().isEmpty())
        .findFirst()
        .map(c -> program.choose(c.menu()))
        .orElseGet(
            () ->
                new Reply.Refused(
                    Refusals.says("run.command-opens", title), Refusals.says("run.none-known")));
  }
}
