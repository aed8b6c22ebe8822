package foldtwice.source;

import java.util.Optional;

/** What the calls of a source text call. */
final class Names {

  private Names() {}

  /** The call of the interface it is; empty for any other, and where a variable hides the name. */
  static Optional<Interface.Member> member(Phrase.Call call) {
    return switch (call.what()) {
      case Phrase.Name(String name, Span at) when !call.visible().contains(name) ->
          Interface.of(name);
      case Phrase.Member(Phrase.Name(String root, Span inner), String name, Span at)
          when !call.visible().contains(root) ->
          Interface.of(root + "." + name);
      default -> Optional.empty();
    };
  }
}
