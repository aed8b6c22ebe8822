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

  /** The application, unless the place is everywhere. */
  default Optional<String> applicationId() {
    return switch (this) {
      case Everywhere() -> Optional.empty();
      case Whole(String application) -> Optional.of(application);
      case Within(String application, String context) -> Optional.of(application);
    };
  }

  /** As files hold it: {@code everywhere}, {@code tagpress}, {@code tagpress/box-selected}. */
  default String id() {
    return switch (this) {
      case Everywhere() -> "everywhere";
      case Whole(String application) -> application;
      case Within(String application, String context) -> application + "/" + context;
    };
  }
}
