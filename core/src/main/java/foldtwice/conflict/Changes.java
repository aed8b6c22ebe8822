package foldtwice.conflict;

import foldtwice.binding.Binding;
import foldtwice.library.Difference;
import foldtwice.library.Library;
import foldtwice.place.Application;
import foldtwice.place.NativeCommand;
import foldtwice.resolve.Claim;
import foldtwice.resolve.Keymap;
import foldtwice.routine.Routine;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;

/**
 * What is different between two moments of a library on one station.
 *
 * @param everything true when it is not worth telling apart
 * @param bindings those that came, went or changed, as they were and as they are
 * @param claims what those and the native commands that changed claimed and claim
 * @param routines ids of those that came, went or changed
 */
record Changes(
    boolean everything, List<Binding> bindings, List<Claim> claims, Set<String> routines) {

  static final Changes EVERYTHING = new Changes(true, List.of(), List.of(), Set.of());

  /** True when triggers on devices are among them. */
  boolean isOnDevices() {
    return claims.stream().anyMatch(c -> c.trigger().deviceId().isPresent());
  }

  static Changes between(Subject was, Subject is) {
    Library before = was.library();
    Library after = is.library();
    Optional<List<Claim>> remapped = remapped(before, after);
    if (remapped.isEmpty()
        || !after.surfaces().equals(before.surfaces())
        || !is.keymap().station().equals(was.keymap().station())
        || !is.known().programs().equals(was.known().programs())) {
      return EVERYTHING;
    }
    List<Binding> bindings = different(before.bindings(), after.bindings(), Binding::id);
    List<Claim> claims = new ArrayList<>(remapped.get());
    bindings.forEach(b -> claims.addAll(Keymap.claims(b)));
    Set<String> routines = new HashSet<>();
    different(before.routines(), after.routines(), Routine::id).forEach(r -> routines.add(r.id()));
    return new Changes(false, bindings, claims, routines);
  }

  /** The values that came, went or changed, as they were and as they are. */
  private static <T> List<T> different(
      Map<String, T> was, Map<String, T> is, Function<T, String> id) {
    List<T> all = new ArrayList<>();
    for (Difference<T> d : Difference.between(was, is, id)) {
      d.is().ifPresent(all::add);
      d.was().ifPresent(all::add);
    }
    return all;
  }

  /** What native commands with other triggers claimed and claim; empty when more has changed. */
  private static Optional<List<Claim>> remapped(Library was, Library is) {
    List<Claim> claims = new ArrayList<>();
    if (was.applications() == is.applications()) {
      return Optional.of(claims);
    }
    if (!was.applications().keySet().equals(is.applications().keySet())) {
      return Optional.empty();
    }
    for (Application a : is.applications().values()) {
      Application before = was.applications().get(a.id());
      if (!a.equals(before) && !remapped(before, a, claims)) {
        return Optional.empty();
      }
    }
    return Optional.of(claims);
  }

  /** False when the two differ in more than in the triggers of commands. */
  private static boolean remapped(Application was, Application is, List<Claim> claims) {
    if (!was.contexts().equals(is.contexts())
        || !was.rules().equals(is.rules())
        || !was.ways().equals(is.ways())
        || was.commands().size() != is.commands().size()) {
      return false;
    }
    Map<String, NativeCommand> old = new HashMap<>();
    was.commands().forEach(c -> old.put(c.id(), c));
    for (NativeCommand c : is.commands()) {
      NativeCommand before = old.get(c.id());
      if (before == null || !before.withTriggers(List.of()).equals(c.withTriggers(List.of()))) {
        return false;
      }
      if (!before.triggers().equals(c.triggers())) {
        claims.addAll(Keymap.claims(was, before));
        claims.addAll(Keymap.claims(is, c));
      }
    }
    return true;
  }
}
