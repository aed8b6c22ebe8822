package foldtwice.bench;

import foldtwice.binding.Binding;
import foldtwice.library.Library;
import foldtwice.place.Place;
import foldtwice.resolve.Claim;
import foldtwice.resolve.Keymap;
import foldtwice.resolve.Resolver;
import foldtwice.trigger.Signal;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;

/** One stroke among 100,000 bindings over 200 contexts: the resolver, a plain map, a scan. */
@State(Scope.Thread)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.NANOSECONDS)
public class ResolverBench {

  private static final int STROKES = 1 << 12;

  /** The key of the plain map: where, and what is pressed. */
  private record Pressed(Place place, Signal press) {}

  /** A row of the scan. */
  private record Row(Place place, List<Signal> presses, Binding binding) {}

  private final List<Place> places = new ArrayList<>();
  private final List<Signal> presses = new ArrayList<>();
  private final List<Resolver.State> states = new ArrayList<>();
  private final Map<Pressed, Binding> map = new HashMap<>();
  private final List<Row> rows = new ArrayList<>();
  private Resolver resolver;
  private int i;

  /** Compiles the keymap and every table that is asked, so that strokes alone are measured. */
  @Setup
  public void compile() {
    Library library = Big.library(100_000, 200, 1);
    Keymap keymap = Keymap.of(library, library.stations().values().iterator().next());
    resolver = new Resolver(keymap);
    for (Binding b : library.bindings().values()) {
      for (Claim claim : Keymap.claims(b)) {
        List<Signal> path = keymap.paths(claim.trigger()).getFirst();
        rows.add(new Row(b.place(), path, b));
        if (path.size() == 1) {
          map.put(new Pressed(b.place(), path.getFirst()), b);
        }
      }
    }
    Random random = new Random(2);
    List<Place> all = keymap.states();
    while (presses.size() < STROKES) {
      Row row = rows.get(random.nextInt(rows.size()));
      if (row.presses.size() == 1 && all.contains(row.place)) {
        places.add(row.place);
        presses.add(row.presses.getFirst());
        states.add(Resolver.start(row.place));
        resolver.press(states.getLast(), presses.getLast(), 0);
      }
    }
  }

  private int next() {
    i = (i + 1) % STROKES;
    return i;
  }

  @Benchmark
  public Object resolver() {
    int n = next();
    return resolver.press(states.get(n), presses.get(n), 0);
  }

  @Benchmark
  public Object plainHashMap() {
    int n = next();
    return map.get(new Pressed(places.get(n), presses.get(n)));
  }

  @Benchmark
  public Object linearScan() {
    int n = next();
    Place place = places.get(n);
    Signal press = presses.get(n);
    for (Row row : rows) {
      if (row.presses.size() == 1
          && row.presses.getFirst().equals(press)
          && row.place.equals(place)) {
        return row.binding;
      }
    }
    return null;
  }
}
