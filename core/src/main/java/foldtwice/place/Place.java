package foldtwice.place;

import java.util.Optional;

/** Where a trigger is claimed. A wider place reaches every context inside it. */
public sealed interface Place {

  /** On the whole computer, whatever application is in front. */
  record Everywhere() implements Place {}

  /** Anywhere in one application. */
  record Whole(String application) implements Place {}

  /** In one context of an application, and in the contexts inside it. */
  record Within(String application, String context) implements Place {}

  /**
   * While the focus is in one context and the pointer is over another. Nothing is claimed in such a
   * place: it is a state an application can be in.
   *
   * @param focus a context of the focus
   * @param pointer a context of the pointer's
   */
  record Over(String application, String focus, String pointer) implements Place {}

  /**
   * The place an id speaks of, whether there is such a place or not.
   *
   * <p>Law: {@code of(p.id()).equals(p)}, for ids of applications without a slash and of contexts
   * without a plus.
   */
  static Place of(String id) {
    int slash = id.indexOf('/');
    if (slash < 0) {
      Place everywhere = new Everywhere();
      return id.equals(everywhere.id()) ? everywhere : new Whole(id);
    }
    String application = id.substring(0, slash);
    String context = id.substring(slash + 1);
    int plus = context.indexOf('+');
    return plus < 0
        ? new Within(application, context)
        : new Over(application, context.substring(0, plus), context.substring(plus + 1));
  }

  /** True when the focus or the pointer is in one of these contexts. */
  default boolean isIn(java.util.Collection<String> contexts) {
    return switch (this) {
      case Everywhere() -> false;
      case Whole w -> false;
      case Within(var application, String context) -> contexts.contains(context);
      case Over(var application, String focus, String pointer) ->
          contexts.contains(focus) || contexts.contains(pointer);
    };
  }

  /** True when it is in this application. */
  default boolean isOf(String id) {
    return switch (this) {
      case Everywhere() -> false;
      case Whole(String application) -> application.equals(id);
      case Within(String application, var context) -> application.equals(id);
      case Over(String application, var focus, var pointer) -> application.equals(id);
    };
  }

  /** The application, unless the place is everywhere. */
  default Optional<String> applicationId() {
    return switch (this) {
      case Everywhere() -> Optional.empty();
      case Whole(String application) -> Optional.of(application);
      case Within(String application, var context) -> Optional.of(application);
      case Over(String application, var focus, var pointer) -> Optional.of(application);
    };
  }

  /**
   * As files hold it: {@code everywhere}, {@code tagpress}, {@code tagpress/box-selected}, and
   * {@code trackway/stop+shelf} for the focus in one context and the pointer over another.
   */
  default String id() {
    return switch (this) {
      case Everywhere() -> "everywhere";
      case Whole(String application) -> application;
      case Within(String application, String context) -> application + "/" + context;
      case Over(String application, String focus, String pointer) ->
          application + "/" + focus + "+" + pointer;
    };
  }
}
