package foldtwice.script;

import foldtwice.cage.Cage;
import foldtwice.routine.Routine;
import foldtwice.routine.Value;
import foldtwice.run.Scripts;
import foldtwice.source.Helpers;
import foldtwice.source.Watched;
import java.util.Map;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;

/**
 * The script engine. Scripts run in a process of their own, each in a fresh context that was made
 * ready before it came: an engine cannot be stopped from inside while it is in one of its own
 * built-in functions, a process can be ended wherever it is.
 *
 * <p>A script reaches no class, file, network, process, thread or clock of the machine: only the
 * interface. It is stopped after {@value #MOST_STATEMENTS} statements, {@value #MOST_MILLIS} ms of
 * processor time from when its context is ready, that of collecting its garbage included, or when
 * it holds more than {@value #MOST_MEGABYTES} MB.
 */
public final class Ecmascript implements Scripts {

  /** Statements a script may execute. */
  public static final long MOST_STATEMENTS = 20_000_000;

  /** Processor time a script may take, in milliseconds. */
  public static final long MOST_MILLIS = 5_000;

  /** Memory the process may hold, the engine's own included, in megabytes. */
  public static final int MOST_MEGABYTES = 256;

  /** A longer complaint is cut, in characters. */
  static final int LONGEST_MESSAGE = 2_000;

  /** The only engine of this machine: warm once, warm for everybody. */
  public static final Ecmascript ENGINE = new Ecmascript();

  private final Cage cage = new Cage(ScriptProcess.class, MOST_MEGABYTES);
  private final ExecutorService threads =
      Executors.newThreadPerTaskExecutor(Thread.ofPlatform().daemon().name("script ", 1).factory());

  private Ecmascript() {}

  /** Makes a process ready in the background, so that the first script starts at once. */
  public void warmUp() {
    cage.warmUp();
  }

  @Override
  public Going start(Routine.Script script, Map<String, Value> arguments, Setting setting) {
    Watched watched =
        setting.watched() ? Watched.of(script.source()) : Watched.not(script.source());
    Running running =
        new Running(
            new Talk.Start(
                watched.text(), arguments, setting.now(), Helpers.of(script, setting.routines())),
            watched,
            cage);
    threads.execute(running);
    return running;
  }
}
