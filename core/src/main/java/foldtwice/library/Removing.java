package foldtwice.library;

import foldtwice.binding.Binding;
import java.util.ArrayList;
import java.util.List;

/** Bindings taken out whole: out of their families, and out of the places of native commands. */
public final class Removing {

  private Removing() {}

  /**
   * The edit that takes some bindings out. What they had of commands they replaced, those get back;
   * no family keeps their ids, which later bindings may get.
   */
  public static Edit of(Library library, List<Binding> gone) {
    List<Edit> edits = new ArrayList<>();
    Library then = library;
    for (Binding b : gone) {
      List<Edit> its = new ArrayList<>();
      then.familyOf(b.id()).ifPresent(f -> its.add(new Edit.PutFamily(f.without(b.id()))));
      its.add(Resetting.givingBack(then, b, b.triggers(), new Edit.RemoveBinding(b.id())));
      Edit one = new Edit.Together(its);
      edits.add(one);
      then = one.on(then);
    }
    return new Edit.Together(edits);
  }
}
