package foldtwice.script;

import com.sun.management.ThreadMXBean;
import foldtwice.cage.Inmate;
import foldtwice.cage.Wire;
import foldtwice.routine.ValueException;
import foldtwice.run.Scripts;
import foldtwice.source.Calls;
import java.io.EOFException;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.lang.management.GarbageCollectorMXBean;
import java.lang.management.ManagementFactory;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ArrayBlockingQueue;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.regex.Pattern;
import org.graalvm.polyglot.Context;
import org.graalvm.polyglot.Engine;
import org.graalvm.polyglot.HostAccess;
import org.graalvm.polyglot.PolyglotException;
import org.graalvm.polyglot.ResourceLimits;
import org.graalvm.polyglot.SandboxPolicy;
import org.graalvm.polyglot.Source;
import org.graalvm.polyglot.SourceSection;
import org.graalvm.polyglot.Value;
import org.graalvm.polyglot.proxy.ProxyArray;

/**
 * The process scripts run in, one after the other, each in a context of its own that was made ready
 * before it came. A script that goes beyond a limit ends the process with it.
 */
public final class ScriptProcess {

  private static final String JS = "js";

  /** What stands before it, on its first line. */
  private static final String STRICT = "'use strict';";

  private static final String USED = "(function(exports){" + STRICT;

  private static final long LOOK_EVERY = 20;

  /** Names of Java's own, which mean nothing to who writes scripts. */
  private static final Pattern JAVA_NAME =
      Pattern.compile("\\b(?:java|javax|com|org|jdk|sun|foldtwice)(?:\\.\\w++)+(?:\\$\\w++)*");

  /** Every part of the interface once, so that the first script finds them loaded. */
  private static final String REHEARSAL =
      "'use strict'; for (let i = 0; i < 30; i++) { program.choose('a', 'b'); program.fill('c',"
          + " amount('1 mm')); try { program.press(i); } catch (e) { String(e); } }";

  /** A context with the interface in it, not used yet. */
  private record Ready(Context context, Host host, Value begin) {}

  /** Contexts that no script has run in; one, and another that waits to be put here. */
  private final BlockingQueue<Ready> ready = new ArrayBlockingQueue<>(1);

  private final Inmate inmate = Inmate.begin();
  private final Engine engine =
      Engine.newBuilder(JS)
          .sandbox(SandboxPolicy.CONSTRAINED)
          .out(OutputStream.nullOutputStream())
          .err(OutputStream.nullOutputStream())
          .in(InputStream.nullInputStream())
          .option("engine.WarnInterpreterOnly", "false")
          .build();
  private final Source program = read();

  /** What was {@link #computed} when the script began; negative for none. */
  private volatile long began = -1;

  private ScriptProcess() {}

  public static void main(String[] args) {
    ScriptProcess process = new ScriptProcess();
    Thread.ofPlatform().daemon().name("limits").start(new Limits(process, Thread.currentThread()));
    try {
      process.rehearse();
      Thread.ofPlatform().daemon().name("contexts").start(process::makeReady);
      while (true) {
        Talk.Start start = Talk.start(process.inmate.in());
        process.run(start, process.ready.take());
      }
    } catch (EOFException e) {
      Inmate.end(); // nobody wants anything any more
    } catch (IOException | InterruptedException e) {
      Inmate.end();
    }
  }

  /** Has the next context ready while a script runs in the one before. */
  private void makeReady() {
    try {
      while (true) {
        ready.put(make());
      }
    } catch (InterruptedException e) {
      Inmate.end();
    }
  }

  private void run(Talk.Start start, Ready ready) throws IOException {
    ready.host().join(this::ask, new Used(start.helpers())::begin);
    String broken = null;
    Spot spot = NOWHERE;
    try {
      ready.begin().execute(arguments(start.arguments(), start.now()));
      began = computed(Thread.currentThread());
      ready
          .context()
          .eval(Source.newBuilder(JS, STRICT + start.source(), Host.SCRIPT).buildLiteral());
    } catch (PolyglotException e) {
      spot = spot(e);
      broken = message(e);
    } finally {
      began = -1;
    }
    synchronized (inmate) {
      if (broken == null) {
        inmate.out().writeByte(Talk.OVER);
      } else {
        inmate.out().writeByte(Talk.BROKEN);
        inmate.out().writeInt(spot.line());
        inmate.out().writeInt(spot.column());
        Wire.text(inmate.out(), broken);
      }
      inmate.out().flush();
    }
    ready.context().close(true);
  }

  /** What needs no program is answered here, the rest by whoever runs the script. */
  private Scripts.Answer ask(Talk.Asked asked) {
    try {
      Optional<foldtwice.routine.Value> atOnce = Calls.atOnce(asked.what(), asked.given());
      if (atOnce.isPresent()) {
        return new Scripts.Answer.Done(Map.of("", atOnce.get()));
      }
      synchronized (inmate) {
        Talk.write(inmate.out(), asked);
      }
      return Talk.answer(inmate.in());
    } catch (ValueException e) {
      return new Scripts.Answer.Refused(e.allowed(), e.found());
    } catch (Wire.TooLongException e) {
      return new Scripts.Answer.Refused("at most " + Wire.LONGEST + " bytes", "more");
    } catch (IOException e) {
      throw new UncheckedIOException(e); // nobody is there any more; the process ends soon
    }
  }

  private static Object[] arguments(Map<String, foldtwice.routine.Value> given, Instant now) {
    Object[] names = given.keySet().toArray();
    Object[] values = given.values().stream().map(Values::toScript).toArray();
    return new Object[] {
      ProxyArray.fromArray(names), ProxyArray.fromArray(values), (double) now.toEpochMilli()
    };
  }

  private void rehearse() {
    Ready stage = make();
    stage.host().join(asked -> new Scripts.Answer.Done(Map.of()), id -> null);
    stage.begin().execute(arguments(Map.of(), Instant.EPOCH));
    stage.context().eval(Source.newBuilder(JS, REHEARSAL, Host.SCRIPT).buildLiteral());
    stage.context().close(true);
  }

  private Ready make() {
    Host host = new Host();
    Context context =
        Context.newBuilder(JS)
            .engine(engine)
            .sandbox(SandboxPolicy.CONSTRAINED)
            .allowHostAccess(HostAccess.CONSTRAINED)
            .out(OutputStream.nullOutputStream())
            .err(OutputStream.nullOutputStream())
            .in(InputStream.nullInputStream())
            .resourceLimits(
                ResourceLimits.newBuilder()
                    .statementLimit(Ecmascript.MOST_STATEMENTS, null)
                    .build())
            .build();
    return new Ready(context, host, context.eval(program).execute(host));
  }

  private static Source read() {
    try (InputStream in = ScriptProcess.class.getResourceAsStream("interface.js")) {
      String text = new String(in.readAllBytes(), StandardCharsets.UTF_8);
      return Source.newBuilder(JS, text, "interface").buildLiteral();
    } catch (IOException e) {
      throw new UncheckedIOException("the interface of scripts ships with the product", e);
    }
  }

  /** The scripts that another one uses, as functions that fill their exports. */
  private record Used(Map<String, String> sources) {
    Object begin(String id) {
      String source = sources.get(id);
      return source == null
          ? Host.refused("a script of the library, named by a text as it stands", id)
          : Context.getCurrent()
              .eval(Source.newBuilder(JS, USED + source + "\n})", HELPER + id).buildLiteral());
    }
  }

  private static final String HELPER = "helper ";

  private record Spot(int line, int column) {
    /** What stands before a script counts for nothing. */
    static Spot of(SourceSection at, String before) {
      int column = at.getStartColumn();
      return new Spot(
          at.getStartLine(), at.getStartLine() == 1 ? column - before.length() : column);
    }
  }

  private static final Spot NOWHERE = new Spot(1, 0);

  private static Spot spot(PolyglotException e) {
    SourceSection at = e.getSourceLocation();
    if (at != null && at.getSource().getName().equals(Host.SCRIPT)) {
      return Spot.of(at, STRICT);
    }
    for (PolyglotException.StackFrame frame : e.getPolyglotStackTrace()) {
      SourceSection section = frame.getSourceLocation();
      if (section != null && section.getSource().getName().equals(Host.SCRIPT)) {
        return Spot.of(section, STRICT);
      }
    }
    return NOWHERE;
  }

  /** Where in a script that is used; empty when it is not there that it broke. */
  private static String inHelper(PolyglotException e) {
    SourceSection at = e.getSourceLocation();
    if (at == null || !at.getSource().getName().startsWith(HELPER)) {
      return "";
    }
    Spot spot = Spot.of(at, USED);
    return "in "
        + at.getSource().getName().substring(HELPER.length())
        + ", line "
        + spot.line()
        + ", column "
        + spot.column()
        + ": ";
  }

  private static String message(PolyglotException e) {
    if (e.isResourceExhausted()) {
      return "an end within " + Ecmascript.MOST_STATEMENTS + " statements was expected";
    }
    if (e.isInternalError() || e.isHostException() || e.getMessage() == null) {
      return "something was asked for that the engine cannot do";
    }
    String text = inHelper(e) + JAVA_NAME.matcher(e.getMessage()).replaceAll("an error");
    return text.length() > Ecmascript.LONGEST_MESSAGE
        ? text.substring(0, Ecmascript.LONGEST_MESSAGE) + "\u2026"
        : text;
  }

  private static final ThreadMXBean THREADS = (ThreadMXBean) ManagementFactory.getThreadMXBean();

  /**
   * Nanoseconds of processor time a script has taken: its thread's, and what collecting its garbage
   * took, which is nearly all once memory is nearly used up.
   */
  private static long computed(Thread script) {
    long collecting = 0;
    for (GarbageCollectorMXBean collector : COLLECTORS) {
      collecting += Math.max(0, collector.getCollectionTime());
    }
    return THREADS.getThreadCpuTime(script.threadId()) + TimeUnit.MILLISECONDS.toNanos(collecting);
  }

  private static final List<GarbageCollectorMXBean> COLLECTORS =
      ManagementFactory.getGarbageCollectorMXBeans();

  /**
   * Ends the process when its script has computed for too long, or nobody waits for it any more.
   */
  private record Limits(ScriptProcess process, Thread script) implements Runnable {

    @Override
    public void run() {
      long parent = parent();
      try {
        while (true) {
          Thread.sleep(LOOK_EVERY);
          if (parent() != parent) {
            Inmate.end();
          }
          long began = process.began;
          long at = computed(script);
          if (began >= 0 && at - began > Ecmascript.MOST_MILLIS * 1_000_000) {
            tell("an end within " + Ecmascript.MOST_MILLIS + " ms of computing was expected");
          }
        }
      } catch (InterruptedException | IOException e) {
        Inmate.end();
      }
    }

    private static long parent() {
      return ProcessHandle.current().parent().map(ProcessHandle::pid).orElse(-1L);
    }

    private void tell(String what) throws IOException {
      synchronized (process.inmate) {
        process.inmate.out().writeByte(Talk.LIMIT);
        Wire.text(process.inmate.out(), what);
        process.inmate.out().flush();
      }
      Inmate.end();
    }
  }
}
