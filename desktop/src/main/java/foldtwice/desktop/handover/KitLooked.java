package foldtwice.desktop.handover;

import foldtwice.conflict.Audit;
import foldtwice.conflict.Subject;
import foldtwice.desktop.session.DiskWork;
import foldtwice.desktop.session.Session;
import foldtwice.handover.Kit;
import foldtwice.handover.KitShelf;
import foldtwice.handover.Landing;
import foldtwice.handover.Taking;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.merge.Take;
import foldtwice.place.Station;
import foldtwice.remedy.Remedy;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;

/**
 * A kit, and what would come of it on a station.
 *
 * @param then the library with the kit, and with what helps
 * @param edit makes it
 * @param library the file of the library
 * @param station its name
 */
record KitLooked(
    Kit kit,
    Library mine,
    Taking taking,
    Library then,
    Edit edit,
    Landing landing,
    Helping helping,
    Weighing weighing,
    Path library,
    String station) {

  /**
   * Looks. Takes seconds; not on the interface thread.
   *
   * @param audit of the library as it is
   * @param place its file
   * @param choices what was decided, by the path of a contradiction
   * @param with what is done with it against conflicts
   */
  static KitLooked of(
      Kit of,
      Supplier<Audit> audit,
      Path place,
      Map<List<String>, Take> choices,
      List<Remedy> with) {
    return DiskWork.done(
        () -> {
          Audit now = audit.get();
          Subject here = now.subject();
          Library mine = here.library();
          Station station = here.keymap().station();
          Optional<KitShelf.Taken> last = KitShelf.in(mine, place, of.id());
          Weighing.Taken taken =
              chosen ->
                  Taking.of(
                      mine,
                      of,
                      last.map(KitShelf.Taken::library),
                      last.map(KitShelf.Taken::ids).orElse(Map.of()),
                      path -> chosen.getOrDefault(path, Take.BOTH));
          Taking taking = taken.by(choices);
          Library after = Helping.after(taking.merged(), with);
          Audit then =
              now.after(
                  Session.subject(after, station, here.setup().following(here.library(), after)));
          Landing landing = Landing.of(now, then, taking);
          return new KitLooked(
              of,
              mine,
              taking,
              after,
              Helping.with(taking.edit(), with),
              landing,
              Helping.of(then, landing.fresh()),
              Weighing.of(then, taking, choices, with, taken),
              place,
              station.name());
        });
  }
}
