package foldtwice.script;

import foldtwice.run.Scripts;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import org.graalvm.polyglot.Value;
import org.graalvm.polyglot.proxy.ProxyArray;
import org.graalvm.polyglot.proxy.ProxyExecutable;

/** What the interface calls: says what is asked and waits for what comes of it. */
final class Host implements ProxyExecutable {

  private Function<Talk.Asked, Scripts.Answer> asking;

  void join(Function<Talk.Asked, Scripts.Answer> who) {
    asking = who;
  }

  @Override
  public Object execute(Value... given) {
    int line = given[0].asInt();
    String what = given[1].asString();
    if (given[2].getArraySize() > Talk.MOST_GIVEN) {
      return refused("at most " + Talk.MOST_GIVEN + " values", "more");
    }
    List<Given> rest = new ArrayList<>();
    for (long i = 0; i < given[2].getArraySize(); i++) {
      Given one = Values.fromScript(given[2].getArrayElement(i));
      if (one instanceof Given.Plain(var value) && Talk.isTooLong(value)) {
        return refused(Talk.shorter(), "more");
      }
      rest.add(one);
    }
    return answer(asking.apply(new Talk.Asked(line, what, rest)));
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
