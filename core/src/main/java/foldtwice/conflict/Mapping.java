package foldtwice.conflict;

import foldtwice.trigger.Platform;
import java.util.List;

/**
 * What becomes of a library's triggers on a computer whose modifiers have other parts: all are
 * carried over as {@link Platform} says, and some of them break by it.
 *
 * @param triggers how many keyboard triggers of bindings are carried over
 * @param breaks the conflicts that are there because of it, the heaviest first
 */
public record Mapping(long triggers, List<Conflict> breaks) {

  /**
   * Compares two audits of one library.
   *
   * @param here on the station
   * @param plain on the same station, if its modifiers were as the library is written for
   */
  public static Mapping of(Audit here, Audit plain) {
    return new Mapping(
        here.subject().library().bindings().values().stream()
            .flatMap(b -> b.triggers().stream())
            .filter(t -> t.keyStrokes().stream().anyMatch(s -> !s.modifiers().isEmpty()))
            .count(),
        here.unlike(plain).stream().filter(c -> c.kind().isAboutTrigger()).toList());
  }
}
