package foldtwice.standin;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.Seeds;
import foldtwice.routine.ExprNotation;
import foldtwice.routine.Head;
import foldtwice.routine.Line;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.Template;
import foldtwice.run.Around;
import foldtwice.run.Program;
import foldtwice.run.Reply;
import foldtwice.run.Run;
import foldtwice.run.Status;
import foldtwice.run.Trace;
import foldtwice.run.Trial;
import foldtwice.script.Ecmascript;
import foldtwice.standin.base.StandIn;
import foldtwice.standin.muniment.Muniment;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicLong;
import java.util.concurrent.locks.LockSupport;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * Whatever is written in a script, a statement or a macro: it ends, and nothing goes on burning.
 */
class CageTest {

  private final SimulatedComputer computer = SimulatedComputer.fresh();
  private final Around around =
      new Trial(Demo.LIBRARY, Demo.keymap("camera-bench"), computer, Ecmascript.ENGINE).around();

  private static Routine script(String source) {
    return new Routine.Script(Head.of("s", "S", "tagpress", List.of()), source);
  }

  private Trace run(Routine routine) {
    return Run.of(routine, Map.of(), around).toEnd();
  }

  /** Processor time of the processes this one has started. */
  private static Duration burnt() {
    return ProcessHandle.current()
        .children()
        .map(c -> c.info().totalCpuDuration().orElse(Duration.ZERO))
        .reduce(Duration.ZERO, Duration::plus);
  }

  /** The limit, what it takes to notice it on a busy machine, and a fresh process's warm-up; ms. */
  private static final long MOST_BURNT = 4 * Ecmascript.MOST_MILLIS;

  /** Runs it, and looks how much processor time that takes, collections of garbage included. */
  private Trace runWithinLimits(Routine routine) throws InterruptedException {
    long before = burnt().toMillis();
    AtomicLong taken = new AtomicLong();
    Thread looks =
        Thread.ofPlatform()
            .daemon()
            .start(
                () -> {
                  while (!Thread.interrupted()) {
                    taken.accumulateAndGet(burnt().toMillis() - before, Math::max);
                    LockSupport.parkNanos(TimeUnit.MILLISECONDS.toNanos(100));
                  }
                });
    Trace trace = run(routine);
    looks.interrupt();
    looks.join();
    assertThat(taken.get()).as("ms of processor time of " + routine).isLessThan(MOST_BURNT);
    return trace;
  }

  /** The warm-up of a fresh process goes by; then nothing may take more than a fifth of a core. */
  private static void nothingBurns() throws InterruptedException {
    List<Long> taken = new ArrayList<>();
    for (int i = 0; i < 60; i++) { // on a busy machine it takes its time
      Duration before = burnt();
      TimeUnit.MILLISECONDS.sleep(500);
      taken.add(burnt().minus(before).toMillis());
      if (taken.getLast() < 100) {
        return;
      }
    }
    assertThat(taken).as("ms of processor time in each half second").isEmpty();
  }

  /** A tenth of them, others each time; all when asked to be hard. */
  static List<String> scripts() {
    return Seeds.oneOf(
        10,
        List.of(
            "function f() { try { f(); } finally { f(); } } f();",
            "Array.prototype.indexOf.call({length: 2 ** 53 - 1}, 1);",
            "let s = 'a'; for (let i = 0; i < 28; i++) s += s; s.split('').length;",
            "log('x'.repeat(2 ** 24));",
            "for (;;);",
            "try { for (;;); } finally { for (;;); }",
            "Array.prototype.fill.call({length: 2 ** 53 - 1}, 0);",
            "let n = 2n; for (;;) n *= n;",
            "10n ** 3000000n % 7n; let x = 3n ** 2000000n; for (;;) x = x * x % (x - 1n);",
            "const a = []; for (;;) a.push(new Array(1000).fill(1));",
            "/(x+x+)+y/.test('x'.repeat(60));",
            "for (;;) try { program.setting('unit'); } catch (e) {}",
            "JSON.stringify(Array(2 ** 28).join('ab'));",
            "new Array(2 ** 32 - 1).sort();",
            "String.raw({raw: {length: 2 ** 53 - 1}});",
            "const m = new Map(); for (let i = 0; ; i++) m.set(i, 'x'.repeat(i));",
            "(function g() { return g() + g(); })();",
            "const p = new Proxy({}, {get: (t, k, r) => r[k]}); p.x;",
            "Array.from({length: 2 ** 53 - 1}, () => 0);",
            "'x'.padEnd(2 ** 29).toUpperCase().normalize('NFKD');",
            "for (const c of (function* () { for (;;) yield 1; })());",
            "new Function('for(;;);')();",
            "eval('for(;;);');",
            "Promise.resolve().then(function f() { return Promise.resolve().then(f); });",
            "program.choose(...Array(20000).fill('a'));"));
  }

  @ParameterizedTest
  @MethodSource("scripts")
  void aScriptEndsWithAClearLineAndTheNextOneRuns(String source) throws InterruptedException {
    Map<String, String> before = computer.programs().get("tagpress").state();
    Trace trace = runWithinLimits(script(source));
    String why =
        trace.ending() instanceof Trace.Broke b ? b.message() : "Error: none, it just ended";
    assertThat(why)
        .matches(
            "(?s)an end within .+ was expected|.*(Error|Refusal): .*|expected .*|"
                + "something was asked for that the engine cannot do")
        .doesNotContainPattern("\\b(java|com|org)\\.[a-z]");
    assertThat(computer.programs().get("tagpress").state()).isEqualTo(before);
    assertThat(run(script("log('ok');")).ending()).isInstanceOf(Trace.Finished.class);
    nothingBurns();
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "function f() { try { f(); } finally { f(); } } f();",
        "let n = 2n; for (;;) n *= n;"
      })
  void aScriptThatIsGivenUpStopsAtOnce(String source) throws InterruptedException {
    Run run = Run.of(script("log('begun'); " + source), Map.of(), around);
    long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(20);
    while (run.trace().entries().isEmpty() && System.nanoTime() < end) {
      run.go(2_000_000);
    }
    run.giveUp();
    assertThat(run.trace().ending()).isInstanceOf(Trace.GivenUp.class);
    nothingBurns();
  }

  /** The only moment a script knows is when the run began, by the computer's clock. */
  @Test
  void thereIsNoClockOfTheMachine() {
    Trace trace =
        run(
            script(
                """
                const now = Date.now();
                for (let i = 0; i < 300000; i++);
                log([now, Date.now(), new Date().toISOString(), new Date(0).getTime(),
                  new Date(2031, 0, 2).getFullYear(), Date() === new Date().toString(),
                  new Date() instanceof Date, new (new Date().constructor)().getTime() === now,
                  Object.getOwnPropertyNames(globalThis).filter(n =>
                    ['Intl', 'Temporal', 'performance', 'Atomics', 'SharedArrayBuffer',
                     'WebAssembly', 'setTimeout', 'Graal', 'Polyglot', 'load'].includes(n)).join()
                  ].join(' '));
                """));
    assertThat(trace.ending()).isInstanceOf(Trace.Finished.class);
    long now = computer.clock().millis();
    assertThat(((Trace.Taken) trace.entries().getLast()).detail())
        .isEqualTo(
            now
                + " "
                + now
                + " "
                + computer.clock().instant().toString().replace("Z", ".000Z")
                + " 0 2031 true true true ");
  }

  @Test
  void manyScriptsAtOnceDoNotDisturbOneAnother() throws InterruptedException {
    List<String> ends = Collections.synchronizedList(new ArrayList<>());
    List<Thread> threads = new ArrayList<>();
    for (int i = 0; i < 3; i++) {
      String source = i == 1 ? "for (;;);" : "for (let i = 0; i < 200; i++) log(i);";
      threads.add(
          Thread.ofPlatform()
              .start(
                  () -> {
                    Around own =
                        new Trial(
                                Demo.LIBRARY,
                                Demo.keymap("camera-bench"),
                                SimulatedComputer.fresh(),
                                Ecmascript.ENGINE)
                            .around();
                    Trace trace = Run.of(script(source), Map.of(), own).toEnd();
                    ends.add(trace.ending().getClass().getSimpleName());
                  }));
    }
    for (Thread t : threads) {
      t.join();
    }
    assertThat(ends).containsExactlyInAnyOrder("Broke", "Finished", "Finished");
  }

  private Routine.Macro macro(Line... lines) {
    return Routine.Macro.of("m", "M", "muniment", List.of(), List.of(lines));
  }

  private static Line set(String name, String value) {
    return new Line(new Step.SetVariable(name, ExprNotation.read(value)));
  }

  private static Line sixty(Line... body) {
    return new Line(new Step.Repeat(ExprNotation.read("60"), List.of(body)));
  }

  @Test
  void aMacroThatDoublesATextOrANumberEndsAndPutsSettingsBack() {
    StandIn<?> muniment = computer.programs().get("muniment");
    Map<String, String> before = muniment.state();
    Line change =
        new Line(
            new Step.ChangeSetting(
                "schema", ExprNotation.read("'storage'"), Step.Lasting.THIS_RUN));
    Trace text =
        run(macro(change, set("t", "'ab'"), sixty(set("t", "'\u2039t\u203a\u2039t\u203a'"))));
    assertThat(text.ending())
        .isInstanceOfSatisfying(
            Trace.Failed.class,
            f -> assertThat(f.expected()).isEqualTo("a text of at most 200000 characters"));
    assertThat(muniment.state()).isEqualTo(before);
    Trace number =
        run(macro(change, set("n", "7"), sixty(set("n", "\u2039n\u203a * \u2039n\u203a"))));
    assertThat(number.ending())
        .isInstanceOfSatisfying(
            Trace.Failed.class,
            f -> assertThat(f.expected()).isEqualTo("a number of at most 200 digits"));
    Trace length =
        run(macro(set("n", "0.123456789 mm"), sixty(set("n", "\u2039n\u203a * 0.123456789"))));
    assertThat(length.ending()).isInstanceOf(Trace.Failed.class);
    assertThat(muniment.state()).isEqualTo(before);
  }

  /** A long text typed again and again: what the trace keeps of it does not grow without end. */
  @Test
  void aMacroThatTypesForEverKeepsLittle() {
    Line type = new Line(new Step.TypeText(new Template("ab".repeat(2_000))));
    Trace trace =
        run(
            macro(
                new Line(new Step.BringToFront("muniment")),
                new Line(new Step.Repeat(ExprNotation.read("900"), List.of(type)))));
    long kept =
        trace.entries().stream()
            .filter(e -> e instanceof Trace.Taken)
            .flatMap(e -> ((Trace.Taken) e).changes().stream())
            .mapToLong(c -> (long) c.before().length() + c.after().length())
            .sum();
    assertThat(kept).isLessThan(11_000_000);
    assertThat(trace.entries()).hasSizeGreaterThan(100);
  }

  private static final List<String> HOSTILE =
      List.of(
          "CALL HASH('SHA256', 'x', 2000000000)",
          "CALL SECURE_RAND(1000000000)",
          "CALL LENGTH(LPAD('x', 500000000, 'y'))",
          "SELECT 'aaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaa!' REGEXP '^(a+)+$'",
          "CALL LENGTH(REPEAT('x', 1000000000))",
          "CALL LENGTH(SPACE(2000000000))",
          "WITH RECURSIVE R(N) AS (SELECT 1 UNION ALL SELECT N + 1 FROM R) SELECT SUM(N) FROM R",
          "SELECT COUNT(*) FROM SYSTEM_RANGE(1, 999999) A, SYSTEM_RANGE(1, 999999) B WHERE A.X = B.X + 1e9",
          "SELECT REPEAT('x', 9000) FROM SYSTEM_RANGE(1, 1000)");

  /**
   * Each ends, most in a clear line; the next statement works, and what was done before is there.
   */
  @Test
  void everyStatementEndsAndTheNextOneWorks() {
    Muniment console = new Muniment();
    console.run("UPDATE LENDING.ITEM SET BACK = DATE '2031-05-08' WHERE ID = 1");
    for (String sql : Seeds.oneOf(4, HOSTILE)) {
      long began = System.nanoTime();
      Map<String, String> before = console.state();
      if (console.run(sql) instanceof Reply.Refused(String expected, String found)) {
        assertThat(expected).isEqualTo("a statement that works in the schema herbarium");
        assertThat(found).as(sql).isNotBlank().doesNotContain("Exception", "java.");
        assertThat(console.state()).isEqualTo(before);
      } else {
        assertThat(console.document().answer().rows().size()).isLessThanOrEqualTo(1_000);
      }
      assertThat(System.nanoTime() - began).as(sql).isLessThan(TimeUnit.SECONDS.toNanos(15));
      console.run("SELECT COUNT(*) FROM LENDING.ITEM WHERE ID = 1 AND BACK IS NOT NULL");
      assertThat(console.document().answer().rows().getFirst()).as(sql).containsExactly("1");
    }
  }

  /** What changed is told by the database, not by whether rows came back. */
  @ParameterizedTest
  @ValueSource(
      strings = {
        "CALL LENDING.CLOSE_LOAN(1)",
        "SELECT ID FROM OLD TABLE (DELETE FROM LENDING.ITEM WHERE ID = 1)",
        "SELECT ID FROM FINAL TABLE (UPDATE LENDING.ITEM SET BACK = DATE '2031-05-08' WHERE ID = 1)"
      })
  void undoTakesBackWhateverWasChanged(String sql) {
    Muniment console = new Muniment();
    String ask = "SELECT COUNT(*) FROM LENDING.ITEM WHERE ID = 1 AND BACK IS NULL";
    console.run(ask);
    assertThat(console.document().answer().rows().getFirst()).containsExactly("1");
    assertThat(console.run(sql)).isInstanceOf(Reply.Done.class);
    console.run(ask);
    assertThat(console.document().answer().rows().getFirst()).containsExactly("0");
    console.undo();
    console.undo();
    console.run(ask);
    assertThat(console.document().answer().rows().getFirst()).containsExactly("1");
  }

  /** Before somebody who does not wait, a long statement is work, which can be given up. */
  @Test
  void theInterfaceNeverWaitsForAStatement() {
    SimulatedComputer here = SimulatedComputer.fresh().hurried();
    Muniment console = (Muniment) here.programs().get("muniment");
    console.run("SELECT 1");
    console.work().ifPresent(w -> w.done(TimeUnit.SECONDS.toNanos(20)));
    long began = System.nanoTime();
    Reply reply = console.run(HOSTILE.getFirst());
    assertThat(System.nanoTime() - began).isLessThan(TimeUnit.MILLISECONDS.toNanos(500));
    assertThat(reply).isInstanceOf(Reply.Done.class);
    Program.Work work = console.work().orElseThrow();
    assertThat(console.run("SELECT 2")).isInstanceOf(Reply.Refused.class);
    work.giveUp();
    Optional<Reply> came = work.done(TimeUnit.SECONDS.toNanos(5));
    assertThat(came.orElseThrow())
        .isInstanceOfSatisfying(
            Reply.Refused.class, r -> assertThat(r.found()).isEqualTo("it was given up"));
    assertThat(console.work()).isEmpty();
  }

  /** A run goes on when the program is done with its step, and fails there when it refused. */
  @Test
  void aRunWaitsForAProgramAtWork() {
    SimulatedComputer here = SimulatedComputer.fresh().hurried();
    Around there =
        new Trial(Demo.LIBRARY, Demo.keymap("camera-bench"), here, Ecmascript.ENGINE).around();
    Routine slow =
        macro(
            new Line(new Step.BringToFront("muniment")),
            new Line(new Step.TypeText(new Template(HOSTILE.getFirst()))),
            new Line(new Step.Choose(Template.all(List.of("Console", "Run")))),
            new Line(new Step.Note(new Template("never"))));
    Run run = Run.of(slow, Map.of(), there);
    boolean computed = false;
    while (!(run.status() instanceof Status.Over)) {
      long began = System.nanoTime();
      computed |= run.go(2_000_000) instanceof Status.Computing;
      assertThat(System.nanoTime() - began).isLessThan(TimeUnit.MILLISECONDS.toNanos(800));
    }
    assertThat(computed).isTrue();
    assertThat(run.trace().ending())
        .isInstanceOfSatisfying(
            Trace.Failed.class,
            f -> {
              assertThat(f.number()).isEqualTo("3");
              assertThat(f.found()).isEqualTo("no end within 2 seconds: it was stopped");
            });
    Routine two =
        macro(
            new Line(new Step.Choose(Template.all(List.of("Console", "Clear")))),
            new Line(
                new Step.TypeText(
                    new Template(
                        "SELECT COUNT(*) FROM SYSTEM_RANGE(1, 300000) WHERE MOD(X, 7) = 3"))),
            new Line(new Step.Choose(Template.all(List.of("Console", "Run")))),
            new Line(new Step.Note(new Template("after"))));
    assertThat(Run.of(two, Map.of(), there).toEnd().ending()).isInstanceOf(Trace.Finished.class);
    assertThat(((Muniment) here.programs().get("muniment")).document().answer().rows())
        .containsExactly(List.of("42857"));
    String source =
        "program.choose('Console', 'Clear'); program.type('SELECT 7'); program.choose('Console', 'Run'); log('done');";
    Trace script =
        Run.of(
                new Routine.Script(Head.of("s", "S", "muniment", List.of()), source),
                Map.of(),
                there)
            .toEnd();
    assertThat(script.ending()).isInstanceOf(Trace.Finished.class);
  }
}
