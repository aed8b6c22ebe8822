package foldtwice.handover;

import com.fasterxml.jackson.databind.node.ObjectNode;
import foldtwice.library.Edit;
import foldtwice.library.Ids;
import foldtwice.library.Library;
import foldtwice.library.Returning;
import foldtwice.library.file.FormatException;
import foldtwice.merge.Contradiction;
import foldtwice.merge.Differing;
import foldtwice.merge.Merging;
import foldtwice.merge.Take;
import foldtwice.routine.Origin;
import foldtwice.routine.Routine;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;

/**
 * A kit taken into a library, before it is: a merge by meaning, whose base is the version of the
 * kit that was taken before, or what is the same in both.
 *
 * <p>Laws: nothing the library has is lost; taking a kit a second time changes nothing; what a kit
 * brings does not run before a person has looked through it.
 *
 * @param edit makes it, as one change that can be undone
 * @param rows what is new and what changes
 * @param contradictions what both changed since; the library's own is kept
 * @param renamed what is under another id because the library has something else under it: list and
 *     id, and the id it gets
 * @param bindings the ids the bindings of the kit have in the library
 * @param same how many parts of the kit the library has already, as they are
 */
public record Taking(
    Library merged,
    Edit edit,
    List<Differing.Row> rows,
    List<Contradiction> contradictions,
    Map<String, String> renamed,
    List<String> bindings,
    int same) {

  /** Programs and what describes them have the ids all libraries know them by. */
  private static final List<String> RENAMED =
      Parts.LISTS.stream()
          .filter(l -> !l.equals("applications") && !l.equals("descriptions"))
          .toList();

  public Taking {
    rows = List.copyOf(rows);
    contradictions = List.copyOf(contradictions);
    bindings = List.copyOf(bindings);
  }

  /**
   * Looks what would come of it.
   *
   * @param before the version of this kit that was taken before, as it was renamed then
   * @param ids under which ids its parts were taken then; list and id, and the other id
   * @throws FormatException when what comes of it would be no library
   */
  public static Taking of(Library mine, Kit kit, Optional<Library> before, Map<String, String> ids)
      throws FormatException {
    return of(mine, kit, before, ids, path -> Take.BOTH);
  }

  /**
   * The same, somebody having decided.
   *
   * @param taking what is taken at the {@linkplain Contradiction#path path} of a contradiction:
   *     what is here, what the kit has, or both where that is possible
   */
  public static Taking of(
      Library mine,
      Kit kit,
      Optional<Library> before,
      Map<String, String> ids,
      Function<List<String>, Take> taking)
      throws FormatException {
    Library theirs = named(unseen(kit), mine);
    theirs = alike(theirs, mine, before);
    Parts brought = new Parts(theirs);
    Map<Parts.Part, String> renamed = new LinkedHashMap<>();
    for (Map.Entry<String, String> e : ids.entrySet()) {
      int slash = e.getKey().indexOf('/');
      renamed.put(
          new Parts.Part(e.getKey().substring(0, slash), e.getKey().substring(slash + 1)),
          e.getValue());
    }
    renamed.keySet().removeIf(p -> !Parts.LISTS.contains(p.list()) || brought.get(p).isEmpty());
    theirs = clashes(theirs, new Parts(mine), before, renamed);
    Library base =
        before.isPresent() ? named(before.get(), mine) : common(new Parts(mine), new Parts(theirs));
    Merging merging = Merging.of(base, mine, theirs, taking);
    Map<String, String> told = new LinkedHashMap<>();
    renamed.forEach((part, id) -> told.put(part.list() + "/" + part.id(), id));
    return new Taking(
        merging.library(),
        Returning.to(mine, merging.library()),
        Differing.between(mine, merging.library()).rows(),
        merging.contradictions(),
        told,
        List.copyOf(theirs.bindings().keySet()),
        same(new Parts(mine), new Parts(theirs)));
  }

  /** The kit as it was taken, to be the base of a later version. */
  public static Library asTaken(Kit kit, Map<String, String> ids) throws FormatException {
    Library library = unseen(kit);
    Map<Parts.Part, String> renamed = new LinkedHashMap<>();
    ids.forEach(
        (k, v) ->
            renamed.put(
                new Parts.Part(k.substring(0, k.indexOf('/')), k.substring(k.indexOf('/') + 1)),
                v));
    return new Parts(library).renamed(renamed);
  }

  /** Its routines as somebody else's, which nobody here has looked through. */
  private static Library unseen(Kit kit) {
    Library library = kit.library();
    for (Routine r : kit.library().routines().values()) {
      Origin of = r.origin();
      Origin theirs =
          new Origin(
              kit.card().name(),
              of.author().isEmpty() ? kit.card().from() : of.author(),
              of.licence().isEmpty() ? kit.card().licence() : of.licence(),
              kit.card().release(),
              false);
      library = new Edit.PutRoutine(r.with(r.head().with(theirs))).on(library);
    }
    return library;
  }

  /** What the library has already but for where it is from is left as the library has it. */
  private static Library alike(Library theirs, Library mine, Optional<Library> before) {
    Library next = theirs;
    for (Routine r : theirs.routines().values()) {
      Routine own = mine.routines().get(r.id());
      boolean known = before.isPresent() && before.get().routines().containsKey(r.id());
      if (own != null && !known && own.equals(r.with(r.head().with(own.origin())))) {
        next = new Edit.PutRoutine(own).on(next);
      }
    }
    return next;
  }

  private static Library named(Library library, Library like) {
    return new Library(
        like.name(),
        library.applications(),
        library.stations(),
        library.surfaces(),
        library.routines(),
        library.bindings(),
        library.families(),
        library.accepted(),
        library.proofs(),
        library.files(),
        library.checks(),
        library.descriptions(),
        library.procedures(),
        library.outlays(),
        library.live(),
        like.extras());
  }

  /**
   * What has an id under which the library has something else gets another one, and so does what is
   * something else because of that.
   */
  private static Library clashes(
      Library theirs, Parts mine, Optional<Library> before, Map<Parts.Part, String> renamed)
      throws FormatException {
    Parts known = new Parts(before.orElseGet(() -> Library.empty("nothing")));
    Parts brought = new Parts(theirs);
    Library next = brought.renamed(renamed);
    boolean more = true;
    while (more) {
      Parts now = new Parts(next);
      more = false;
      for (String list : RENAMED) {
        for (Map.Entry<String, ObjectNode> e : now.of(list).entrySet()) {
          Parts.Part part = new Parts.Part(list, e.getKey());
          boolean fresh = brought.get(part).isPresent() && !renamed.containsKey(part);
          boolean clash =
              fresh
                  && known.get(part).isEmpty()
                  && mine.rival(part).filter(own -> !own.equals(e.getValue())).isPresent();
          if (clash) {
            renamed.put(part, free(part, renamed, mine, brought));
            more = true;
          }
        }
      }
      next = brought.renamed(renamed);
    }
    return next;
  }

  private static String free(
      Parts.Part part, Map<Parts.Part, String> renamed, Parts mine, Parts brought) {
    return Ids.free(
        part.id(),
        id -> {
          Parts.Part other = new Parts.Part(part.list(), id);
          return renamed.containsValue(id)
              || mine.rival(other).isPresent()
              || brought.rival(other).isPresent();
        });
  }

  /** What is the same in both. */
  private static Library common(Parts mine, Parts theirs) throws FormatException {
    Set<Parts.Part> same = new LinkedHashSet<>();
    for (String list : Parts.LISTS) {
      theirs
          .of(list)
          .forEach(
              (id, node) -> {
                if (Objects.equals(mine.of(list).get(id), node)) {
                  same.add(new Parts.Part(list, id));
                }
              });
    }
    Set<Parts.Part> whole = new LinkedHashSet<>(same);
    whole.removeIf(p -> !same.containsAll(mine.needs(p))); // what it needs is not the same
    return mine.only(whole);
  }

  /** How many parts of one are in the other as they are. */
  static int same(Parts mine, Parts theirs) {
    int same = 0;
    for (String list : Parts.LISTS) {
      for (Map.Entry<String, ObjectNode> e : theirs.of(list).entrySet()) {
        same += Objects.equals(mine.of(list).get(e.getKey()), e.getValue()) ? 1 : 0;
      }
    }
    return same;
  }
}
