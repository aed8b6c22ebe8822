package foldtwice.place;

import foldtwice.extras.Extras;
import java.util.List;

/**
 * A state of an application in which triggers may mean something of their own.
 *
 * @param id unique within the application
 * @param inner contexts that are this one and something more
 * @param groupOnly true when the application is always in one of the inner contexts, never in this
 *     one alone
 * @param takesText true when plain keys type here
 */
public record Context(
    String id,
    String name,
    List<Context> inner,
    boolean groupOnly,
    boolean takesText,
    Extras extras) {

  public Context {
    inner = List.copyOf(inner);
  }

  /** The same context with others inside it. */
  public Context with(List<Context> others) {
    return new Context(id, name, others, groupOnly, takesText, extras);
  }

  /** The same context under another name, alone or only a group, with text or without. */
  public Context named(String other, boolean onlyGroup, boolean text) {
    return new Context(id, other, inner, onlyGroup, text, extras);
  }
}
