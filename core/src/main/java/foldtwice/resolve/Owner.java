package foldtwice.resolve;

/** Who wants a trigger. */
public sealed interface Owner {

  /** A binding of the library. */
  record Yours(String binding) implements Owner {}

  /** A radial menu or an offering of the library, which it opens. */
  record Menu(String menu) implements Owner {}

  /** A key of a device, of itself: what its page has it send or turn to. */
  record Key(String device, String page, String key) implements Owner {}

  /** A command an application brings along. */
  record Native(String application, String command) implements Owner {}

  /** The desktop of the station. */
  record Desktop(String what) implements Owner {}

  /** What tells most owners apart: an id, or what the desktop does. */
  default String name() {
    return switch (this) {
      case Yours(String id) -> id;
      case Menu(String id) -> id;
      case Key(var device, var page, String key) -> key;
      case Native(var application, String command) -> command;
      case Desktop(String what) -> what;
    };
  }
}
