package foldtwice.bench;

import foldtwice.atlas.Atlas;
import foldtwice.atlas.Troubles;
import foldtwice.binding.Binding;
import foldtwice.conflict.Audit;
import foldtwice.conflict.Conflict;
import foldtwice.conflict.Subject;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.library.Surroundings;
import foldtwice.place.Place;
import foldtwice.place.Station;
import foldtwice.remedy.Remedies;
import foldtwice.resolve.Claim;
import foldtwice.resolve.Keymap;
import foldtwice.trigger.Modifier;
import foldtwice.trigger.Modifiers;
import foldtwice.trigger.Notation;
import foldtwice.trigger.Signal;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.function.LongSupplier;

/**
 * The auditor on large libraries: everything, an edit, remedies, a page of the atlas, memory, and
 * against comparing every claim with every other. Medians, after warming up.
 */
public final class AuditBench {

  private static final List<String> LAYOUTS = List.of("us", "de", "gb", "fr");

  private AuditBench() {}

  /** Measures and prints; about two minutes. */
  public static void main(String[] arguments) {
    Library small = Big.library(10_000, 50, 1);
    Library large = Big.library(100_000, 50, 2);
    double full = median(9, () -> stations(small));
    say("everything, 10,000 bindings x 50 contexts x 4 stations", full, "500 ms");
    double more = median(3, () -> stations(large));
    say("everything, 100,000 bindings", more, "6000 ms");
    System.out.printf("the second to the first: %.1f (under 14)%n", more / full);
    edits(small);
    remedies(small);
    atlas(small);
    naive(small);
    memory(large);
  }

  private static void say(String what, double millis, String limit) {
    System.out.printf("%s: %.2f ms (under %s)%n", what, millis, limit);
  }

  private static double median(int times, LongSupplier work) {
    var unused = work.getAsLong(); // once to warm up
    double[] all = new double[times];
    long kept = 0;
    for (int i = 0; i < times; i++) {
      long began = System.nanoTime();
      kept += work.getAsLong();
      all[i] = (System.nanoTime() - began) / 1e6;
    }
    Arrays.sort(all);
    if (kept < 0) {
      throw new IllegalStateException("a count cannot be negative");
    }
    return all[times / 2];
  }

  private static Station station(Library library, String layout) {
    Station s = library.stations().values().iterator().next();
    return s.withKeyboard(layout, s.shape(), s.platform());
  }

  private static long stations(Library library) {
    long conflicts = 0;
    for (String layout : LAYOUTS) {
      Keymap keymap = Keymap.of(library, station(library, layout));
      conflicts += Audit.of(Subject.of(library, keymap)).conflicts().size();
    }
    return conflicts;
  }

  private static Audit audit(Library library) {
    return Audit.of(Subject.of(library, Keymap.of(library, station(library, "us"))));
  }

  /** What is timed is looking again: the keymap and the audit, not making the next library. */
  private static void edits(Library library) {
    Audit now = audit(library);
    Library of = library;
    Random random = new Random(7);
    double[] all = new double[301];
    for (int i = -300; i < all.length; i++) {
      Binding b = of.bindings().get("b" + random.nextInt(10_000));
      Library next =
          new Edit.PutBinding(
                  b.withTriggers(
                      List.of(Notation.read("Ctrl+Alt+" + (char) ('A' + random.nextInt(26))))))
              .on(of);
      long began = System.nanoTime();
      Subject was = now.subject();
      now = now.after(was.with(next, was.keymap().following(of, next)));
      if (i >= 0) {
        all[i] = (System.nanoTime() - began) / 1e6;
      }
      of = next;
    }
    Arrays.sort(all);
    double one = all[all.length / 2];
    Library last = of;
    double full = median(9, () -> audit(last).conflicts().size());
    say("an edit among 10,000, keymap and audit", one, "5 ms");
    System.out.printf("everything on one station to an edit: %.0f (at least 50)%n", full / one);
  }

  private static void remedies(Library library) {
    Audit audit = audit(library);
    List<Conflict> some = new ArrayList<>();
    Random random = new Random(3);
    for (int i = 0; i < 60; i++) {
      some.add(audit.conflicts().get(random.nextInt(audit.conflicts().size())));
    }
    Remedies remedies = new Remedies(audit, (s, l) -> new Surroundings(List.of(), List.of(), l));
    some.forEach(remedies::of);
    double[] all = new double[some.size()];
    for (int i = 0; i < all.length; i++) {
      long began = System.nanoTime();
      remedies.of(some.get(i));
      all[i] = (System.nanoTime() - began) / 1e6;
    }
    Arrays.sort(all);
    say("remedies of one conflict among 10,000, median", all[all.length / 2], "50 ms");
    say("… 95th percentile", all[all.length * 95 / 100], "50 ms");
  }

  private static void atlas(Library library) {
    Audit audit = audit(library);
    Keymap keymap = audit.subject().keymap();
    Troubles troubles = new Troubles(audit.conflicts());
    Place state = keymap.states().getFirst();
    Modifiers[] held = {
      Modifiers.NONE, Modifiers.of(Modifier.CTRL), Modifiers.of(Modifier.ALT),
    };
    int[] i = {0};
    LongSupplier page =
        () -> {
          i[0] = (i[0] + 1) % held.length;
          return Atlas.of(library, keymap, troubles, state, held[i[0]], List.of()).free();
        };
    for (int n = 0; n < 300; n++) {
      var unused = page.getAsLong();
    }
    say("a page of the atlas, without drawing it", median(301, page), "16 ms");
    say(
        "… of all places at once",
        median(31, () -> Atlas.everywhere(library, keymap, troubles, held[1]).free()),
        "16 ms");
  }

  /**
   * Every claim against every other, in every state both reach: with nothing kept from one pair to
   * the next, and with the presses and states of each claim worked out beforehand.
   */
  private static void naive(Library library) {
    Keymap keymap = Keymap.of(library, station(library, "us"));
    List<Claim> claims = new ArrayList<>();
    library
        .applications()
        .values()
        .forEach(a -> a.commands().forEach(c -> claims.addAll(Keymap.claims(a, c))));
    library.bindings().values().forEach(b -> claims.addAll(Keymap.claims(b)));
    double ours = median(9, () -> audit(library).conflicts().size());
    long began = System.nanoTime();
    long met = 0;
    for (int i = 0; i < claims.size(); i++) {
      Claim a = claims.get(i);
      for (int j = i + 1; j < claims.size(); j++) {
        Claim b = claims.get(j);
        if (begins(keymap.paths(a.trigger()).getFirst(), keymap.paths(b.trigger()).getFirst())) {
          met += meet(keymap.statesOf(a.place()), new HashSet<>(keymap.statesOf(b.place())));
        }
      }
    }
    against("every claim against every other", began, met, ours, "at least 100");
    List<List<Signal>> paths = new ArrayList<>();
    List<Set<Place>> states = new ArrayList<>();
    for (Claim c : claims) {
      paths.add(keymap.paths(c.trigger()).getFirst());
      states.add(new HashSet<>(keymap.statesOf(c.place())));
    }
    began = System.nanoTime();
    met = 0;
    for (int i = 0; i < claims.size(); i++) {
      for (int j = i + 1; j < claims.size(); j++) {
        if (begins(paths.get(i), paths.get(j))) {
          met += meet(states.get(i), states.get(j));
        }
      }
    }
    against("the same, presses worked out beforehand", began, met, ours, "for comparison");
  }

  private static long meet(Collection<Place> some, Set<Place> others) {
    return some.stream().filter(others::contains).count();
  }

  private static void against(String what, long began, long met, double ours, String limit) {
    double millis = (System.nanoTime() - began) / 1e6;
    System.out.printf(
        "%s: %.0f ms (%d meet); ours %.1f ms: %.0f times (%s)%n",
        what, millis, met, ours, millis / ours, limit);
  }

  private static boolean begins(List<Signal> a, List<Signal> b) {
    for (int i = 0; i < Math.min(a.size(), b.size()); i++) {
      if (!a.get(i).equals(b.get(i))) {
        return false;
      }
    }
    return true;
  }

  private static void memory(Library library) {
    Audit audit = audit(library);
    for (int i = 0; i < 4; i++) {
      System.gc();
    }
    Runtime r = Runtime.getRuntime();
    System.out.printf(
        "memory with 100,000 bindings audited: %d MB in use (under 600), %d conflicts%n",
        (r.totalMemory() - r.freeMemory()) >> 20, audit.conflicts().size());
  }
}
