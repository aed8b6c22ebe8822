package foldtwice.library;

import foldtwice.binding.Binding;
import foldtwice.binding.Family;
import foldtwice.binding.Proof;
import foldtwice.binding.Readiness;
import foldtwice.describe.Description;
import foldtwice.extras.Extras;
import foldtwice.place.Application;
import foldtwice.place.Context;
import foldtwice.place.Place;
import foldtwice.place.Station;
import foldtwice.routine.Parameter;
import foldtwice.routine.Routine;
import foldtwice.routine.Value;
import foldtwice.surface.Device;
import foldtwice.surface.RadialMenu;
import foldtwice.surface.Summoned;
import foldtwice.surface.Surface;
import foldtwice.surface.Toolbar;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;

/**
 * Everything a team has collected and bound. Immutable; the maps are by id and keep their order,
 * which is the order of the file.
 *
 * @param accepted conflicts people live with, by the fingerprint of the conflict
 * @param proofs binding id to the last try that fired it
 * @param files what programs have in their files otherwise than the library, by {@link
 *     ProgramFile#id}; one that is not here has all that it is to have
 * @param checks presses that are checked again and again
 * @param descriptions what is said of applications beyond their contexts and commands, by their ids
 * @param procedures several bindings one after another, as one thing
 * @param outlays what was spent on things, by what they are
 * @param live false when nothing of it may run in real programs
 */
public record Library(
    String name,
    Map<String, Application> applications,
    Map<String, Station> stations,
    Map<String, Surface> surfaces,
    Map<String, Routine> routines,
    Map<String, Binding> bindings,
    Map<String, Family> families,
    Map<String, Acceptance> accepted,
    Map<String, Proof> proofs,
    Map<String, ProgramFile> files,
    Map<String, PressCheck> checks,
    Map<String, Description> descriptions,
    Map<String, Procedure> procedures,
    Map<String, Outlay> outlays,
    boolean live,
    Extras extras) {

  public Library {
    applications = Chunked.of(applications);
    stations = Chunked.of(stations);
    surfaces = Chunked.of(surfaces);
    routines = Chunked.of(routines);
    bindings = Chunked.of(bindings);
    families = Chunked.of(families);
    accepted = Chunked.of(accepted);
    proofs = Chunked.of(proofs);
    files = Chunked.of(files);
    checks = Chunked.of(checks);
    descriptions = Chunked.of(descriptions);
    procedures = Chunked.of(procedures);
    outlays = Chunked.of(outlays);
  }

  /** A library of this name with nothing in it. */
  public static Library empty(String name) {
    return new Library(
        name,
        Map.of(),
        Map.of(),
        Map.of(),
        Map.of(),
        Map.of(),
        Map.of(),
        Map.of(),
        Map.of(),
        Map.of(),
        Map.of(),
        Map.of(),
        Map.of(),
        Map.of(),
        true,
        Extras.NONE);
  }

  public Optional<Routine> routineOf(Binding binding) {
    return Optional.ofNullable(routines.get(binding.routine()));
  }

  /** The devices among the surfaces. */
  public List<Device> devices() {
    return of(Device.class);
  }

  /** The toolbars among the surfaces. */
  public List<Toolbar> toolbars() {
    return of(Toolbar.class);
  }

  /** The radial menus among the surfaces. */
  public List<RadialMenu> menus() {
    return of(RadialMenu.class);
  }

  /** What comes to the pointer, among the surfaces. */
  public List<Summoned> summoned() {
    return of(Summoned.class);
  }

  private <T> List<T> of(Class<T> kind) {
    return surfaces.values().stream().filter(kind::isInstance).map(kind::cast).toList();
  }

  public Optional<Device> device(String id) {
    return surfaces.get(id) instanceof Device d ? Optional.of(d) : Optional.empty();
  }

  /** The family a binding is a member of. */
  public Optional<Family> familyOf(String binding) {
    return families.values().stream().filter(f -> f.members().contains(binding)).findFirst();
  }

  /** The program a binding is of: its place's; where that is everywhere, its routine's. */
  public Optional<String> applicationOf(Binding binding) {
    return binding.place().applicationId().or(() -> routineOf(binding).map(Routine::application));
  }

  /** Whether plain keys type where a place is. */
  public boolean takesText(Place place) {
    return place
        .applicationId()
        .map(applications::get)
        .flatMap(a -> a.focused(place))
        .filter(Context::takesText)
        .isPresent();
  }

  /** The argument a binding gives, or the parameter's default. */
  public static Value argument(Binding binding, Parameter parameter) {
    return binding.arguments().getOrDefault(parameter.name(), parameter.otherwise());
  }

  /** How ready a binding is, by what is known now. */
  public Readiness readiness(Binding binding) {
    Routine routine = routines.get(binding.routine());
    if (binding.isOff()) {
      return Readiness.OFF;
    }
    if (routine == null || binding.triggers().isEmpty()) {
      return Readiness.DRAFT;
    }
    Proof proof = proofs.get(binding.id());
    return proof != null && proof.fingerprint().equals(Fingerprint.of(binding, routine))
        ? Readiness.PROVEN
        : Readiness.WORKING;
  }

  /** A place by its names, such as {@code Tagpress › box selected}. */
  public String nameOf(Place place) {
    return switch (place) {
      case Place.Everywhere() -> "everywhere";
      case Place.Whole(String id) -> applicationName(id);
      case Place.Within(String id, String context) ->
          applicationName(id) + " \u203a " + contextName(id, context);
      case Place.Over(String id, String focus, String pointer) ->
          applicationName(id)
              + " \u203a "
              + contextName(id, focus)
              + " + "
              + contextName(id, pointer);
    };
  }

  private String contextName(String application, String context) {
    return Optional.ofNullable(applications.get(application))
        .flatMap(a -> a.context(context))
        .map(Context::name)
        .orElse(context);
  }

  private String applicationName(String id) {
    Application a = applications.get(id);
    return a == null ? id : a.name();
  }

  /**
   * The place a person named: {@code Tagpress}, {@code Tagpress/box selected}, {@code Trackway/stop
   * selected+shelf of places} for the pointer over another context than has the focus, or the ids,
   * whatever the letter case.
   */
  public Optional<Place> placeNamed(String text) {
    if (text.strip().equalsIgnoreCase("everywhere")) {
      return Optional.of(new Place.Everywhere());
    }
    String[] parts = text.split("[/\u203a]", 2);
    return applications.values().stream()
        .filter(a -> named(parts[0], a.id(), a.name()))
        .findFirst()
        .flatMap(
            a ->
                parts.length == 1
                    ? Optional.<Place>of(new Place.Whole(a.id()))
                    : within(a, parts[1]));
  }

  private static Optional<Place> within(Application a, String text) {
    Optional<Context> alone = contextNamed(a, text);
    if (alone.isPresent() || !text.contains("+")) {
      return alone.map(c -> new Place.Within(a.id(), c.id()));
    }
    int plus = text.lastIndexOf('+');
    Optional<Context> focus = contextNamed(a, text.substring(0, plus));
    Optional<Context> pointer = contextNamed(a, text.substring(plus + 1));
    return focus.isPresent() && pointer.isPresent()
        ? Optional.of(new Place.Over(a.id(), focus.get().id(), pointer.get().id()))
        : Optional.empty();
  }

  private static Optional<Context> contextNamed(Application a, String text) {
    return a.allContexts().stream().filter(c -> named(text, c.id(), c.name())).findFirst();
  }

  private static boolean named(String text, String id, String name) {
    return text.strip().equalsIgnoreCase(id) || text.strip().equalsIgnoreCase(name);
  }

  /** Every place a binding can be made in: everywhere, each application, each of its contexts. */
  public List<Place> places() {
    List<Place> all = new java.util.ArrayList<>();
    applications.values().forEach(a -> all.addAll(a.places()));
    all.add(new Place.Everywhere());
    return List.copyOf(all);
  }

  Library with(Application application) {
    return withApplications(Chunked.of(applications).with(application.id(), application));
  }

  Library withBindings(Map<String, Binding> others) {
    return changed(d -> d.bindings = others);
  }

  Library withApplications(Map<String, Application> others) {
    return changed(d -> d.applications = others);
  }

  Library withStations(Map<String, Station> others) {
    return changed(d -> d.stations = others);
  }

  Library withSurfaces(Map<String, Surface> others) {
    return changed(d -> d.surfaces = others);
  }

  Library withFamilies(Map<String, Family> others) {
    return changed(d -> d.families = others);
  }

  Library withAccepted(Map<String, Acceptance> others) {
    return changed(d -> d.accepted = others);
  }

  Library withChecks(Map<String, PressCheck> others) {
    return changed(d -> d.checks = others);
  }

  Library withDescriptions(Map<String, Description> others) {
    return changed(d -> d.descriptions = others);
  }

  Library withProcedures(Map<String, Procedure> others) {
    return changed(d -> d.procedures = others);
  }

  Library withOutlays(Map<String, Outlay> others) {
    return changed(d -> d.outlays = others);
  }

  /** What was spent on something; nothing where nothing is told. */
  public Outlay outlay(String id) {
    Outlay told = outlays.get(id);
    return told == null ? Outlay.none(id) : told;
  }

  /** What is said of an application beyond its contexts and commands. */
  public Description description(String application) {
    Description said = descriptions.get(application);
    return said == null ? Description.none(application) : said;
  }

  /** The same library with nothing kept to be checked. */
  public Library withoutChecks() {
    return changed(d -> d.checks = Map.of());
  }

  Library withRoutines(Map<String, Routine> others) {
    return changed(d -> d.routines = others);
  }

  /** The same library, with a binding seen to fire. */
  public Library withProof(String binding, Proof proof) {
    return withProofs(Chunked.of(proofs).with(binding, proof));
  }

  Library withProofs(Map<String, Proof> others) {
    return changed(d -> d.proofs = others);
  }

  /** The same library, with what stands in the file of a program. */
  public Library withFile(ProgramFile file) {
    return changed(d -> d.files = Chunked.of(files).with(file.id(), file));
  }

  /** The same, allowed to run in real programs or not. */
  Library withLive(boolean allowed) {
    return changed(d -> d.live = allowed);
  }

  private Library changed(Consumer<Draft> change) {
    Draft draft = new Draft(this);
    change.accept(draft);
    return new Library(
        draft.name,
        draft.applications,
        draft.stations,
        draft.surfaces,
        draft.routines,
        draft.bindings,
        draft.families,
        draft.accepted,
        draft.proofs,
        draft.files,
        draft.checks,
        draft.descriptions,
        draft.procedures,
        draft.outlays,
        draft.live,
        draft.extras);
  }

  /** The next library while it is put together. */
  private static final class Draft {
    private final String name;
    private Map<String, Application> applications;
    private Map<String, Station> stations;
    private Map<String, Surface> surfaces;
    private Map<String, Routine> routines;
    private Map<String, Binding> bindings;
    private Map<String, Family> families;
    private Map<String, Acceptance> accepted;
    private Map<String, Proof> proofs;
    private Map<String, ProgramFile> files;
    private Map<String, PressCheck> checks;
    private Map<String, Description> descriptions;
    private Map<String, Procedure> procedures;
    private Map<String, Outlay> outlays;
    private boolean live;
    private final Extras extras;

    Draft(Library of) {
      this.name = of.name;
      this.applications = of.applications;
      this.stations = of.stations;
      this.surfaces = of.surfaces;
      this.routines = of.routines;
      this.bindings = of.bindings;
      this.families = of.families;
      this.accepted = of.accepted;
      this.proofs = of.proofs;
      this.files = of.files;
      this.checks = of.checks;
      this.descriptions = of.descriptions;
      this.procedures = of.procedures;
      this.outlays = of.outlays;
      this.live = of.live;
      this.extras = of.extras;
    }
  }
}
