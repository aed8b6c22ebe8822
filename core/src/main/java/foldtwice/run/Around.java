package foldtwice.run;

import foldtwice.place.Application;
import foldtwice.routine.Routine;
import foldtwice.text.Refusals;
import java.util.Optional;
import java.util.function.Function;

/**
 * What surrounds a run.
 *
 * @param routines the routines of the library, by id, for steps that run another
 * @param applications the programs as the library knows them, by id
 * @param keys what presses of keys come to
 * @param scripts what runs scripts
 * @param watched true when scripts shall tell the values of their variables
 */
public record Around(
    Computer computer,
    Function<String, Optional<Routine>> routines,
    Function<String, Optional<Application>> applications,
    Keys keys,
    Scripts scripts,
    boolean watched) {

  public Around(
      Computer computer, Function<String, Optional<Routine>> routines, Keys keys, Scripts scripts) {
    this(computer, routines, id -> Optional.empty(), keys, scripts, false);
  }

  /** The same, for somebody who looks at each step. */
  public Around watching() {
    return new Around(computer, routines, applications, keys, scripts, true);
  }

  /** Says what a press of keys comes to, and does it unless it is a routine. */
  public interface Keys {
    Struck strike(foldtwice.trigger.Trigger.Keys keys, Computer computer);
  }

  /** What struck keys came to. */
  public sealed interface Struck {

    /** The program in front, or the desktop, did something, or refused. */
    record Done(String what, Reply reply) implements Struck {}

    /** They fire a routine; the run that struck them runs it. */
    record Fires(Routine routine, java.util.Map<String, foldtwice.routine.Value> arguments)
        implements Struck {}
  }

  /** One program, no library. */
  public static Around alone(Program program) {
    return new Around(
        new Alone(program),
        id -> Optional.empty(),
        (keys, computer) ->
            new Struck.Done(
                "",
                new Reply.Refused(
                    Refusals.says("run.library-says-what-keys"), Refusals.says("run.none"))),
        Scripts.NONE);
  }
}
