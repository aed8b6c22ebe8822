package foldtwice.script;

import foldtwice.routine.Routine;
import foldtwice.routine.Value;
import foldtwice.run.Scripts;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.SynchronousQueue;
import java.util.concurrent.atomic.AtomicInteger;
import org.graalvm.polyglot.Context;
import org.graalvm.polyglot.Engine;
import org.graalvm.polyglot.HostAccess;
import org.graalvm.polyglot.ResourceLimits;
import org.graalvm.polyglot.SandboxPolicy;
import org.graalvm.polyglot.Source;
import org.graalvm.polyglot.proxy.ProxyArray;

/**
 * The script engine. One warm engine is shared; each run of a script gets a context of its own,
 * made ready before it is wanted, and a thread of its own.
 *
 * <p>A script reaches no class, file, network, process, thread or clock of the machine: only the
 * interface. It is stopped after {@value #MOST_STATEMENTS} statements, after {@value #MOST_MILLIS}
 * ms of computing, or when it has allocated {@value #MOST_BYTES} bytes.
 */
public final class Ecmascript implements Scripts {

  /** The only engine of this machine: warm once, warm for everybody. */
  public static final Ecmascript ENGINE = new Ecmascript();

  /** Statements a script may execute. */
  public static final long MOST_STATEMENTS = 20_000_000;

  /** Processor time a script may take, in milliseconds. */
  public static final long MOST_MILLIS = 5_000;

  /** Memory a script may allocate in all, in bytes. */
  public static final long MOST_BYTES = 1_000_000_000;

  private static final String JS = "js";
  private static final AtomicInteger THREADS = new AtomicInteger();

  /** A context with the interface in it, not used yet. */
  record Ready(Context context, Host host, org.graalvm.polyglot.Value setParameters) {}

  private final SynchronousQueue<Ready> ready = new SynchronousQueue<>();
  private final ExecutorService threads =
      Executors.newCachedThreadPool(
          work -> {
            Thread thread = new Thread(work, "script " + THREADS.incrementAndGet());
            thread.setDaemon(true);
            return thread;
          });
  private Engine engine;
  private boolean preparing;

  private Ecmascript() {}

  /** Makes the engine ready in the background, so that the first script starts at once. */
  public void warmUp() {
    prepare();
  }

  @Override
  public Going start(Routine.Script script, Map<String, Value> arguments) {
    prepare();
    Running running = new Running(script, Map.copyOf(arguments), this);
    threads.execute(running);
    return running;
  }

  /** A context from those that were made ready, or else a new one. */
  Ready take() {
    Ready waiting = ready.poll();
    return waiting == null ? make() : waiting;
  }

  void later(Runnable work) {
    threads.execute(work);
  }

  /** One thread makes contexts and hands them out, one after the other. */
  private synchronized void prepare() {
    if (!preparing) {
      preparing = true;
      threads.execute(this::hand);
    }
  }

  /** Every part of the interface once, so that the first script finds them loaded. */
  private static final String REHEARSAL =
      "'use strict'; for (let i = 0; i < 30; i++) { program.choose('a', 'b'); program.fill('c',"
          + " amount('1 mm')); try { program.press(i); } catch (e) { String(e); } }";

  private void rehearse() {
    Ready stage = make();
    Exchange exchange = new Exchange();
    stage.host().join(exchange);
    exchange.lend(wish -> Optional.of(new Answer.Done(Map.of())));
    stage.setParameters().execute(ProxyArray.fromArray(), ProxyArray.fromArray());
    stage.context().eval(Source.newBuilder(JS, REHEARSAL, Running.SCRIPT).buildLiteral());
    stage.context().close(true);
  }

  private void hand() {
    try {
      rehearse();
      while (true) {
        ready.put(make());
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  private synchronized Engine engine() {
    if (engine == null) {
      engine =
          Engine.newBuilder(JS)
              .sandbox(SandboxPolicy.CONSTRAINED)
              .out(OutputStream.nullOutputStream())
              .err(OutputStream.nullOutputStream())
              .in(InputStream.nullInputStream())
              .option("engine.WarnInterpreterOnly", "false")
              .build();
    }
    return engine;
  }

  private Ready make() {
    Host host = new Host();
    Context context =
        Context.newBuilder(JS)
            .engine(engine())
            .sandbox(SandboxPolicy.CONSTRAINED)
            .allowHostAccess(HostAccess.CONSTRAINED)
            .out(OutputStream.nullOutputStream())
            .err(OutputStream.nullOutputStream())
            .in(InputStream.nullInputStream())
            .resourceLimits(
                ResourceLimits.newBuilder().statementLimit(MOST_STATEMENTS, null).build())
            .build();
    org.graalvm.polyglot.Value setParameters = context.eval(INTERFACE).execute(host);
    return new Ready(context, host, setParameters);
  }

  private static final Source INTERFACE = read();

  private static Source read() {
    try (InputStream in = Ecmascript.class.getResourceAsStream("interface.js")) {
      String text = new String(in.readAllBytes(), StandardCharsets.UTF_8);
      return Source.newBuilder(JS, text, "interface").buildLiteral();
    } catch (IOException e) {
      throw new UncheckedIOException("the interface of scripts ships with the product", e);
    }
  }
}
