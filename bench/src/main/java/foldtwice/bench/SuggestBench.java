package foldtwice.bench;

import foldtwice.binding.Binding;
import foldtwice.binding.Pattern;
import foldtwice.collecting.CommandList;
import foldtwice.family.Series;
import foldtwice.library.Library;
import foldtwice.place.Station;
import foldtwice.resolve.Keymap;
import foldtwice.suggest.Suggestions;
import foldtwice.trigger.Notation;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** Free triggers over four stations, a family of nine, and a list of 100,000 commands. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(
    value = 1,
    jvmArgs = {"--enable-native-access=ALL-UNNAMED", "--sun-misc-unsafe-memory-access=allow"})
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 1)
public class SuggestBench {

  private Library library;
  private List<Keymap> stations;
  private Binding binding;
  private byte[] commands;

  @Setup
  public void make() {
    library = Big.library(10_000, 50, 7);
    Station s = library.stations().get("s");
    stations = new ArrayList<>();
    for (String layout : List.of("us", "de", "fr", "gb")) {
      Station other = s.withKeyboard(layout, s.shape(), s.platform());
      stations.add(Keymap.of(library, other));
    }
    binding = library.bindings().values().iterator().next().withTriggers(List.of());
    StringBuilder csv = new StringBuilder("Command;Menu path;Keys;Uses a week\n");
    for (int i = 0; i < 100_000; i++) {
      csv.append("Command ").append(i).append(";File > Group ").append(i % 100);
      csv.append(" > Command ").append(i).append(";Ctrl+Alt+").append((char) ('A' + i % 26));
      csv.append(';').append(i % 40).append('\n');
    }
    commands = csv.toString().getBytes(StandardCharsets.UTF_8);
  }

  @Benchmark
  public Object suggestions() {
    return Suggestions.of(library, stations, binding, 5);
  }

  @Benchmark
  public Object familyOfNine() {
    List<Series.Wish> wishes = new ArrayList<>();
    for (int i = 0; i < 9; i++) {
      wishes.add(new Series.Wish(binding.routine(), Map.of(), "member " + i));
    }
    Pattern pattern = new Pattern.Neighbours(Notation.read("Ctrl+1").strokes().getFirst());
    return Series.plan(
        library,
        stations.getFirst(),
        Series.begun(library, "nine", pattern),
        binding.place(),
        wishes);
  }

  @Benchmark
  public Object importOf100000() throws CommandList.UnreadableException {
    CommandList.Table table = CommandList.read(commands, n -> {}, () -> false);
    return CommandList.commands(table, table.guess(), "big");
  }
}
