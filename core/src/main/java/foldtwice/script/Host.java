package foldtwice.script;

import com.oracle.truffle.api.Truffle;
import com.oracle.truffle.api.nodes.Node;
import com.oracle.truffle.api.source.SourceSection;
import foldtwice.run.Scripts;
import foldtwice.source.Given;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import org.graalvm.polyglot.Value;
import org.graalvm.polyglot.proxy.ProxyArray;
import org.graalvm.polyglot.proxy.ProxyExecutable;

/** What the interface calls: says what is asked and waits for what comes of it. */
final class Host implements ProxyExecutable {

  /** The name a script's source has, by which its lines are told from the interface's. */
  static final String SCRIPT = "script";

  private Function<Talk.Asked, Scripts.Answer> asking;
  private Function<String, Object> using;

  /**
   * @param who answers what is asked
   * @param helpers gives what a script that is used consists of, or a refusal
   */
  void join(Function<Talk.Asked, Scripts.Answer> who, Function<String, Object> helpers) {
    asking = who;
    using = helpers;
  }

  @Override
  public Object execute(Value... given) {
    String what = given[0].asString();
    if (given[1].getArraySize() > Talk.MOST_GIVEN) {
      return refused("at most " + Talk.MOST_GIVEN + " values", "more");
    }
    List<Given> rest = new ArrayList<>();
    for (long i = 0; i < given[1].getArraySize(); i++) {
      Given one = Values.fromScript(given[1].getArrayElement(i));
      if (one instanceof Given.Plain(var value) && Talk.isTooLong(value)) {
        return refused(Talk.shorter(), "more");
      }
      rest.add(one);
    }
    if (what.equals("use")) {
      return using.apply(rest.getFirst().shown());
    }
    return answer(
        asking.apply(new Talk.Asked(line(), what, rest, named(given[2]), named(given[3]))));
  }

  /**
   * The line of the script that is being worked, counted from 1; 0 where it cannot be told. Read
   * off the engine's frames: a stack trace in the language itself took three quarters of a call.
   */
  private static int line() {
    Integer line =
        Truffle.getRuntime()
            .iterateFrames(frame -> frame.getCallNode() == null ? null : line(frame.getCallNode()));
    return line == null ? 0 : line;
  }

  private static Integer line(Node call) {
    SourceSection at = call.getEncapsulatingSourceSection();
    return at != null && at.getSource().getName().equals(SCRIPT) ? at.getStartLine() : null;
  }

  /** Names and values by turns. */
  private static Map<String, Given> named(Value list) {
    Map<String, Given> named = new LinkedHashMap<>();
    for (long i = 0; i + 1 < Math.min(list.getArraySize(), 2L * Talk.MOST_GIVEN); i += 2) {
      named.put(list.getArrayElement(i).asString(), Values.fromScript(list.getArrayElement(i + 1)));
    }
    return named;
  }

  private static Object answer(Scripts.Answer answer) {
    return switch (answer) {
      case Scripts.Answer.Done(var values) when values.isEmpty() -> null;
      case Scripts.Answer.Done(var values) when values.size() == 1 ->
          Values.toScript(values.values().iterator().next());
      case Scripts.Answer.Done(var values) -> listed(values.values());
      case Scripts.Answer.Holds(boolean yes) -> yes;
      case Scripts.Answer.Comes(var value) -> Values.toScript(value);
      case Scripts.Answer.Listed(var values) -> listed(values);
      case Scripts.Answer.Refused(String expected, String found) -> refused(expected, found);
      case null -> throw new Stopped();
    };
  }

  private static Object listed(Collection<foldtwice.routine.Value> values) {
    return ProxyArray.fromArray(
        "list", ProxyArray.fromArray(values.stream().map(Values::toScript).toArray()));
  }

  static Object refused(String expected, String found) {
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
