package foldtwice.standin;

import foldtwice.describe.Description;
import foldtwice.known.Facts;
import foldtwice.library.Library;
import foldtwice.library.Surroundings;
import foldtwice.place.AddOn;
import foldtwice.place.Application;
import foldtwice.place.Labels;
import foldtwice.place.Station;
import foldtwice.place.Versions;
import foldtwice.run.Program;
import foldtwice.standin.base.Edition;
import foldtwice.standin.base.StandIn;
import foldtwice.standin.copystand.Copystand;
import foldtwice.standin.desk.Desk;
import foldtwice.standin.muniment.Muniment;
import foldtwice.standin.sketch.Sketch;
import foldtwice.standin.tagpress.Tagpress;
import foldtwice.standin.trackway.Trackway;
import foldtwice.standin.vasculum.Vasculum;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Stream;

/** The stand-ins that ship. */
public final class StandIns {

  /**
   * One that ships.
   *
   * @param versions the earliest first
   * @param usual the version it is of unless said otherwise
   */
  private record Kind(
      String id,
      Function<Edition, StandIn<?>> make,
      List<String> versions,
      String usual,
      List<AddOn> addOns) {

    StandIn<?> fresh() {
      return make.apply(usualEdition());
    }

    /** That version, or the nearest before it that is simulated; the first, before all of them. */
    String simulates(String version) {
      return versions.stream()
          .filter(v -> Versions.atLeast(version, v))
          .reduce((a, b) -> b)
          .orElse(versions.getFirst());
    }

    Edition usualEdition() {
      return Edition.of(usual, addOns);
    }
  }

  private static final List<Kind> KINDS =
      List.of(
          new Kind(
              Vasculum.ID,
              Vasculum::new,
              Vasculum.VERSIONS,
              Vasculum.VERSIONS.getFirst(),
              List.of(Vasculum.SYMBOLS)),
          new Kind(
              Tagpress.ID,
              Tagpress::new,
              Tagpress.VERSIONS,
              Tagpress.VERSIONS.getFirst(),
              List.of(Tagpress.FITTER)),
          new Kind(
              Copystand.ID,
              Copystand::new,
              Copystand.VERSIONS,
              Copystand.VERSIONS.getLast(),
              List.of(Copystand.STRAIGHTENER)),
          new Kind(
              Muniment.ID,
              Muniment::new,
              Muniment.VERSIONS,
              Muniment.VERSIONS.getFirst(),
              List.of(Muniment.LISTER)),
          new Kind(
              Trackway.ID,
              Trackway::new,
              Trackway.VERSIONS,
              Trackway.VERSIONS.getLast(),
              List.of(Trackway.CHAINER)),
          new Kind(
              Desk.ID, Desk::new, Desk.VERSIONS, Desk.VERSIONS.getFirst(), List.of(Desk.DATER)));

  private StandIns() {}

  /** The ids of those that ship. */
  public static List<String> ids() {
    return KINDS.stream().map(Kind::id).toList();
  }

  /** A fresh one of each, by application id. */
  public static Map<String, StandIn<?>> all() {
    Map<String, StandIn<?>> all = new LinkedHashMap<>();
    KINDS.forEach(k -> all.put(k.id(), k.fresh()));
    return all;
  }

  /**
   * A fresh one of each application of a library, as it is on a station: the stand-in where one
   * ships, else a sketch of what the library says of it.
   */
  public static Map<String, StandIn<?>> on(Station station, Library library) {
    Map<String, StandIn<?>> all = new LinkedHashMap<>();
    for (Kind k : KINDS) {
      if (library.applications().containsKey(k.id())) {
        all.put(k.id(), of(library.applications().get(k.id()), library, station));
      }
    }
    for (Application a : library.applications().values()) {
      all.computeIfAbsent(a.id(), id -> of(a, library, station));
    }
    return all;
  }

  /** A fresh one of an application, as it is on a station. */
  static StandIn<?> of(Application application, Library library, Station station) {
    Optional<Station.Installed> installed =
        station.installed().stream()
            .filter(i -> i.application().equals(application.id()))
            .findFirst();
    Description said = library.description(application.id());
    Labels labels = installed.map(i -> said.labels(i.language())).orElse(Labels.AS_DESCRIBED);
    return KINDS.stream()
        .filter(k -> k.id().equals(application.id()))
        .findFirst()
        .<StandIn<?>>map(
            k ->
                k.make()
                    .apply(
                        installed
                            .map(
                                i ->
                                    Edition.of(k.simulates(i.version()), i.addOns())
                                        .standingFor(i.version()))
                            .orElseGet(k::usualEdition)
                            .in(labels)))
        .orElseGet(
            () ->
                new Sketch(
                    application,
                    said,
                    installed
                        .map(i -> Edition.of(i.version(), i.addOns()))
                        .orElseGet(() -> new Edition(application.version(), said.addOns()))
                        .in(labels)));
  }

  /**
   * The version that stands in for one nobody simulates; empty where that one is simulated, or
   * nobody simulates the application at all.
   */
  public static Optional<String> standsFor(String application, String version) {
    return KINDS.stream()
        .filter(k -> k.id().equals(application) && !k.versions().contains(version))
        .findFirst()
        .map(k -> k.simulates(version));
  }

  /** True when it is made of what the library says of an application. */
  static boolean isSketched(String application) {
    return KINDS.stream().noneMatch(k -> k.id().equals(application));
  }

  /** What is known of each program of a library, as it is on a station. */
  public static Function<Application, Facts> facts(Station station, Library library) {
    Map<String, StandIn<?>> programs = on(station, library);
    return a -> programs.get(a.id()).facts();
  }

  /** A fresh one for this application, if one ships. */
  public static Optional<Program> of(String application) {
    return KINDS.stream().filter(k -> k.id().equals(application)).findFirst().map(Kind::fresh);
  }

  /** What every version offers, with all its add-ons. */
  public static List<Facts> everyVersion() {
    List<Facts> all = new ArrayList<>();
    for (Kind k : KINDS) {
      for (String version : k.versions()) {
        all.add(k.make().apply(Edition.of(version, k.addOns())).facts());
      }
    }
    return List.copyOf(all);
  }

  /** Asked for once: the programs that ship do not change. */
  private static final class Every {
    private static final List<Facts> VERSION = everyVersion();
  }

  /** A library in front of programs. */
  public static Surroundings around(Map<String, StandIn<?>> programs, Library library) {
    return new Surroundings(
        programs.values().stream().map(StandIn::facts).toList(),
        Stream.concat(Every.VERSION.stream(), described(library).stream()).toList(),
        library);
  }

  /**
   * The same, made from another of the same library before: what is said of programs is read anew
   * only where that has changed, and it is the very same where routines have not changed either.
   */
  public static Surroundings around(
      Map<String, StandIn<?>> programs, Library library, Surroundings before) {
    return before.saysTheSame(library)
        ? before.with(programs.values().stream().map(StandIn::facts).toList(), library)
        : around(programs, library);
  }

  /** Programs that are described, in the versions and languages in which they differ. */
  private static List<Facts> described(Library library) {
    List<Facts> all = new ArrayList<>();
    for (Description d : library.descriptions().values()) {
      Application a = library.applications().get(d.application());
      List<Labels> languages = new ArrayList<>(d.labels());
      if (!languages.isEmpty()) {
        languages.add(Labels.AS_DESCRIBED);
      }
      if (isSketched(d.application()) && !d.versions().isEmpty()) {
        Set<String> versions = new LinkedHashSet<>(d.versions());
        versions.add(a.version());
        versions.forEach(v -> all.add(new Sketch(a, d, new Edition(v, d.addOns())).facts()));
      }
      for (Labels labels : languages) {
        all.add(in(labels, a, d).facts());
      }
    }
    return all;
  }

  private static StandIn<?> in(Labels labels, Application a, Description d) {
    return KINDS.stream()
        .filter(k -> k.id().equals(a.id()))
        .findFirst()
        .<StandIn<?>>map(k -> k.make().apply(k.usualEdition().in(labels)))
        .orElseGet(() -> new Sketch(a, d, new Edition(a.version(), d.addOns()).in(labels)));
  }

  /** A library in front of the programs of a station. */
  public static Surroundings around(Station station, Library library) {
    return around(on(station, library), library);
  }
}
