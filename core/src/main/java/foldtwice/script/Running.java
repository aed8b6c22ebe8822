package foldtwice.script;

import com.sun.management.ThreadMXBean;
import foldtwice.routine.Routine;
import foldtwice.routine.Value;
import foldtwice.run.Scripts;
import java.lang.management.ManagementFactory;
import java.util.Map;
import org.graalvm.polyglot.Context;
import org.graalvm.polyglot.PolyglotException;
import org.graalvm.polyglot.Source;
import org.graalvm.polyglot.SourceSection;
import org.graalvm.polyglot.proxy.ProxyArray;

/** One run of a script, on a thread of its own. */
final class Running implements Scripts.Going, Runnable {

  /** The name a script's source has, by which its lines are told from the interface's. */
  static final String SCRIPT = "script";

  private static final Scripts.Wish COMPUTING = new Scripts.Wish.Computing();

  private static final ThreadMXBean THREADS = (ThreadMXBean) ManagementFactory.getThreadMXBean();

  private final Routine.Script script;
  private final Map<String, Value> arguments;
  private final Ecmascript engine;
  private final Exchange exchange = new Exchange();
  private volatile Thread thread;
  private volatile Context context;
  private long cpuBefore;
  private long bytesBefore;

  Running(Routine.Script script, Map<String, Value> arguments, Ecmascript engine) {
    this.script = script;
    this.arguments = arguments;
    this.engine = engine;
  }

  @Override
  public void run() {
    Ecmascript.Ready ready = engine.take();
    cpuBefore = THREADS.getThreadCpuTime(Thread.currentThread().threadId());
    bytesBefore = THREADS.getThreadAllocatedBytes(Thread.currentThread().threadId());
    thread = Thread.currentThread();
    context = ready.context();
    ready.host().join(exchange);
    Scripts.Wish end = new Scripts.Wish.Over();
    try {
      Object[] names = arguments.keySet().toArray();
      Object[] values = arguments.values().stream().map(Values::toScript).toArray();
      ready.setParameters().execute(ProxyArray.fromArray(names), ProxyArray.fromArray(values));
      context.eval(
          Source.newBuilder("js", "'use strict';" + script.source(), SCRIPT).buildLiteral());
    } catch (PolyglotException e) {
      end = new Scripts.Wish.Broken(line(e), message(e));
    } finally {
      thread = null;
      exchange.handOver(end);
      ready.context().close(true);
    }
  }

  private static int line(PolyglotException e) {
    SourceSection at = e.getSourceLocation();
    if (at != null && at.getSource().getName().equals(SCRIPT)) {
      return at.getStartLine();
    }
    for (PolyglotException.StackFrame frame : e.getPolyglotStackTrace()) {
      SourceSection section = frame.getSourceLocation();
      if (section != null && section.getSource().getName().equals(SCRIPT)) {
        return section.getStartLine();
      }
    }
    return 1;
  }

  private static String message(PolyglotException e) {
    if (e.isResourceExhausted()) {
      return "an end within " + Ecmascript.MOST_STATEMENTS + " statements was expected";
    }
    return e.getMessage() == null ? e.getClass().getSimpleName() : e.getMessage();
  }

  @Override
  public Scripts.Wish next(long nanos, Scripts.Helper helper) {
    Scripts.Wish wish = exchange.next(nanos, helper);
    if (wish != null) {
      return wish;
    }
    Thread at = thread;
    if (at == null) {
      return COMPUTING;
    }
    String beyond = beyond(at.threadId());
    if (beyond.isEmpty()) {
      return COMPUTING;
    }
    stop();
    return new Scripts.Wish.Broken(1, beyond);
  }

  /** Which limit it is beyond; empty for none. */
  private String beyond(long id) {
    if (THREADS.getThreadCpuTime(id) - cpuBefore > Ecmascript.MOST_MILLIS * 1_000_000) {
      return "an end within " + Ecmascript.MOST_MILLIS + " ms of computing was expected";
    }
    return THREADS.getThreadAllocatedBytes(id) - bytesBefore > Ecmascript.MOST_BYTES
        ? "an end within " + Ecmascript.MOST_BYTES / 1_000_000 + " MB of memory was expected"
        : "";
  }

  @Override
  public void answer(Scripts.Answer answer) {
    exchange.answer(answer);
  }

  /** Whoever stops it does not wait until it has stopped. */
  @Override
  public void stop() {
    exchange.stop();
    Context at = context;
    if (at != null && thread != null) {
      engine.later(() -> at.close(true));
    }
  }
}
