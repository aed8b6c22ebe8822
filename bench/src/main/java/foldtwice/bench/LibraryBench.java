package foldtwice.bench;

import foldtwice.binding.Binding;
import foldtwice.conflict.Advice;
import foldtwice.conflict.Auditor;
import foldtwice.conflict.Subject;
import foldtwice.library.Library;
import foldtwice.resolve.Keymap;
import foldtwice.trigger.Notation;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;

/** A library of 10,000 bindings over 200 contexts: audited and asked for advice. */
@State(Scope.Thread)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
public class LibraryBench {

  private Library library;
  private Keymap warm;
  private Binding binding;
  private int i;

  @Setup
  public void compile() {
    library = Big.library(10_000, 200, 1);
    warm = keymap();
    binding = library.bindings().get("b17");
  }

  private Keymap keymap() {
    return Keymap.of(library, library.stations().values().iterator().next());
  }

  /** From the library alone: compiling included. */
  @Benchmark
  public Object audit() {
    return Auditor.audit(Subject.of(library, keymap()));
  }

  /** What is said of one stroke while it is pressed. */
  @Benchmark
  public Object advice() {
    i = (i + 1) % 12;
    String keys = "Ctrl+Alt+F" + (i + 1);
    return Advice.on(Subject.of(library, warm), binding, Notation.read(keys));
  }
}
