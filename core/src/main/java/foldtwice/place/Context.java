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
 * @param byPointer true when being in it is a matter of where the pointer is and not of the focus;
 *     looked at on an outermost context only, those inside it are chosen as it is
 */
public record Context(
    String id,
    String name,
    List<Context> inner,
    boolean groupOnly,
    boolean takesText,
    boolean byPointer,
    Extras extras) {

  public Context {
    inner = List.copyOf(inner);
  }

  /** The same context with others inside it. */
  public Context with(List<Context> others) {
    return new Context(id, name, others, groupOnly, takesText, byPointer, extras);
  }

  /** The same context under another name, alone or only a group, with text or without. */
  public Context named(String other, boolean onlyGroup, boolean text) {
    return new Context(id, other, inner, onlyGroup, text, byPointer, extras);
  }

  /** The same context, chosen by the pointer's place or by the focus. */
  public Context chosen(boolean pointer) {
    return new Context(id, name, inner, groupOnly, takesText, pointer, extras);
  }
}
