package foldtwice.script;

import foldtwice.routine.ValueException;
import foldtwice.run.Scripts;
import java.util.ArrayList;
import java.util.List;
import org.graalvm.polyglot.Value;
import org.graalvm.polyglot.proxy.ProxyArray;
import org.graalvm.polyglot.proxy.ProxyExecutable;

/** What the interface calls: hands the wish over and waits for what comes of it. */
final class Host implements ProxyExecutable {

  private Exchange exchange;

  void join(Exchange with) {
    exchange = with;
  }

  @Override
  public Object execute(Value... given) {
    int line = given[0].asInt();
    String what = given[1].asString();
    List<Value> rest = new ArrayList<>();
    for (long i = 0; i < given[2].getArraySize(); i++) {
      rest.add(given[2].getArrayElement(i));
    }
    try {
      var atOnce = Wishes.atOnce(what, rest);
      if (atOnce.isPresent()) {
        return Values.toScript(atOnce.get());
      }
      return answer(exchange.want(Wishes.of(line, what, rest)));
    } catch (ValueException e) {
      return refused(e.allowed(), e.found());
    }
  }

  private static Object answer(Scripts.Answer answer) {
    return switch (answer) {
      case Scripts.Answer.Done(var values) ->
          values.isEmpty() ? null : Values.toScript(values.values().iterator().next());
      case Scripts.Answer.Holds(boolean yes) -> yes;
      case Scripts.Answer.Refused(String expected, String found) -> refused(expected, found);
      case null -> throw new Stopped();
    };
  }

  private static Object refused(String expected, String found) {
    return ProxyArray.fromArray("refused", expected, found);
  }

  /** The run is over; the script has no one to ask any more. */
  static final class Stopped extends RuntimeException {
    private static final long serialVersionUID = 1L;

    Stopped() {
      super("the run is over", null, false, false);
    }
  }
}
