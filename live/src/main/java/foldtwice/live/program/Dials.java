package foldtwice.live.program;

import foldtwice.describe.Description;
import foldtwice.live.bus.Bus;
import foldtwice.live.bus.BusException;
import foldtwice.live.bus.Ref;
import foldtwice.live.bus.Seen;
import foldtwice.live.say.Say;
import foldtwice.live.survey.Way;
import foldtwice.routine.Scale;
import foldtwice.routine.Step;
import foldtwice.routine.Value;
import foldtwice.run.Reply;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The numbers of a program's windows that a description knows, told in percent of their way. */
final class Dials {

  private final Bus bus;
  private final Windows windows;
  private final List<Description.Adjustable> described;
  private final Map<String, Ref> known = new HashMap<>();

  Dials(Bus bus, Windows windows, List<Description.Adjustable> described) {
    this.bus = bus;
    this.windows = windows;
    this.described = described;
  }

  /** Where one is; empty for what is not described, or not there. */
  Optional<Ref> find(String name) throws BusException {
    if (described.stream().noneMatch(v -> v.name().equals(name))) {
      return Optional.empty();
    }
    Ref last = known.get(name);
    if (last != null && !bus.look(List.of(last)).isEmpty()) {
      return Optional.of(last);
    }
    known.remove(name);
    for (Seen window : windows.mainFirst()) {
      Seen.Tree tree = windows.parts(window);
      tree.all()
          .filter(s -> s.role().isValue() && s.offers("Value"))
          .forEach(s -> known.putIfAbsent(s.name(), s.ref()));
    }
    return Optional.ofNullable(known.get(name));
  }

  static Value.Quantity quantity(Bus.Range r) {
    return new Value.Quantity(new Way(r.least(), r.most()).percent(r.now()), Scale.PERCENT);
  }

  /** All that are there, by name. */
  Map<String, Value.Quantity> values() throws BusException {
    Map<String, Value.Quantity> all = new LinkedHashMap<>();
    for (Description.Adjustable v : described) {
      Optional<Ref> dial = find(v.name());
      if (dial.isPresent()) {
        all.put(v.name(), quantity(bus.range(dial.get())));
      }
    }
    return all;
  }

  /** Sets one, or moves it. */
  Reply adjust(String value, Step.Adjusting way, Value.Quantity to, Step.Edge edge, Looking looking)
      throws BusException {
    Optional<Ref> dial = find(value);
    if (dial.isEmpty()) {
      return new Reply.Refused(Say.text("value"), value);
    }
    if (to.scale() != Scale.PERCENT) {
      return new Reply.Refused(Say.text("percent"), to.shown());
    }
    Bus.Range range = bus.range(dial.get());
    Value.Quantity wanted = way == Step.Adjusting.TO ? to : quantity(range).plus(to);
    double at = new Way(range.least(), range.most()).at(wanted.amount());
    if (at < range.least() || at > range.most()) {
      if (edge != Step.Edge.CLAMP) {
        return new Reply.Refused(Say.text("within", value, "0 %", "100 %"), wanted.shown());
      }
      at = Math.clamp(at, range.least(), range.most());
    }
    double target = at;
    return looking.doing(() -> bus.set(dial.get(), target), false);
  }
}
