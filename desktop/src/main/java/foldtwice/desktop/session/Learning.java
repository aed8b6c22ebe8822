package foldtwice.desktop.session;

import foldtwice.binding.Binding;
import foldtwice.library.Bound;
import foldtwice.routine.Routine;
import foldtwice.routine.Value;
import foldtwice.run.Learnt;
import foldtwice.run.Trial;
import foldtwice.script.Ecmascript;
import foldtwice.standin.SimulatedComputer;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import java.util.stream.Stream;

/**
 * Learns in the background what scripts change, by running them on copies with their defaults and
 * with what their bindings give. What was learnt is kept while the routine stays as it is.
 */
public final class Learning {

  private static final int KEPT = 64;

  private record Key(Routine routine, String station, List<Map<String, Value>> arguments) {}

  private final Map<Key, Learnt> learnt =
      new LinkedHashMap<>(KEPT, 0.75f, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<Key, Learnt> eldest) {
          return size() > KEPT;
        }
      };
  private final Map<Key, List<Consumer<Learnt>>> waiting = new HashMap<>();
  private final Background background;

  Learning(Background background) {
    this.background = background;
  }

  /** Tells what a routine was seen to change, at once or when it is known. */
  public void of(Routine routine, Snapshot now, Consumer<Learnt> tell) {
    List<Map<String, Value>> arguments =
        Stream.concat(
                Stream.of(Map.<String, Value>of()),
                Bound.to(now.library(), routine.id()).stream().map(Binding::arguments))
            .distinct()
            .limit(Learnt.MOST_RUNS / 2)
            .toList();
    Key key = new Key(routine, now.station().id(), arguments);
    Learnt known = learnt.get(key);
    if (known != null) {
      tell.accept(known);
      return;
    }
    List<Consumer<Learnt>> others = waiting.get(key);
    if (others != null) {
      others.add(tell); // it is being found out
      return;
    }
    waiting.put(key, new ArrayList<>(List.of(tell)));
    background
        .<Learnt>question(
            Background.Lane.IDLE, found -> tell(key, found), why -> waiting.remove(key))
        .ask(key, () -> learn(routine, now, arguments));
  }

  private void tell(Key key, Learnt found) {
    learnt.put(key, found);
    waiting.remove(key).forEach(w -> w.accept(found));
  }

  private static Learnt learn(Routine routine, Snapshot now, List<Map<String, Value>> arguments) {
    return Learnt.of(
        routine,
        arguments,
        now.library().applications().keySet(),
        () ->
            new Trial(
                    now.library(),
                    now.keymap(),
                    SimulatedComputer.of(
                        now.library(), now.station(), SimulatedComputer.standingClock()),
                    Ecmascript.ENGINE)
                .around());
  }
}
