package foldtwice.ready;

import foldtwice.binding.Binding;
import foldtwice.binding.Readiness;
import foldtwice.known.Known;
import foldtwice.library.Bound;
import foldtwice.library.Dangling;
import foldtwice.library.Fingerprint;
import foldtwice.library.Given;
import foldtwice.library.Library;
import foldtwice.place.Application;
import foldtwice.place.Need;
import foldtwice.place.WayIn;
import foldtwice.reading.Hindrance;
import foldtwice.resolve.Keymap;
import foldtwice.resolve.Owner;
import foldtwice.routine.Routine;
import foldtwice.trigger.Trigger;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * How ready a binding is on one computer, and what stands between it and working.
 *
 * @param items in the order in which they have to happen
 */
public record Outlook(Readiness stage, List<Item> items) {

  /** One thing, and whether it has happened. An item is done only when those before it are. */
  public record Item(Wait what, boolean done) {}

  public Outlook {
    items = List.copyOf(items);
  }

  /** What has to happen next. */
  public Optional<Wait> next() {
    return items.stream().filter(i -> !i.done()).map(Item::what).findFirst();
  }

  /**
   * Looks at one binding.
   *
   * @param keymap of the library on the station
   * @param here what the station's programs offer
   * @param setup what has been put into them
   */
  public static Outlook of(
      Library library, Keymap keymap, Known here, Setup setup, Binding binding) {
    Readiness plain = library.readiness(binding);
    Optional<Routine> routine = library.routineOf(binding);
    if (plain == Readiness.DRAFT || plain == Readiness.OFF || routine.isEmpty()) {
      return new Outlook(plain, List.of());
    }
    List<Item> items = new ArrayList<>();
    Hindrance.missing(routine.get(), here)
        .forEach(h -> items.add(new Item(new Wait.Lacks(h), false)));
    application(library, binding)
        .ifPresent(a -> items.addAll(wayItems(library, keymap, setup, a, binding, routine.get())));
    dangling(library, binding).ifPresent(d -> items.add(new Item(new Wait.Dangles(d), false)));
    absentDevice(keymap, binding).ifPresent(d -> items.add(new Item(new Wait.Device(d), false)));
    boolean all = items.stream().allMatch(Item::done);
    boolean none = items.stream().noneMatch(Item::done);
    boolean onlyNeeds = items.stream().allMatch(i -> i.what() instanceof Wait.For);
    Readiness stage = all ? plain : none && onlyNeeds ? Readiness.PLACED : Readiness.WAITING;
    return new Outlook(stage, items);
  }

  private static Optional<Application> application(Library library, Binding binding) {
    return binding.place().applicationId().map(library.applications()::get);
  }

  private static List<Item> wayItems(
      Library library,
      Keymap keymap,
      Setup setup,
      Application application,
      Binding binding,
      Routine routine) {
    Optional<WayIn> way = application.way(binding.fitting().way());
    if (way.isEmpty()) {
      return List.of();
    }
    List<Item> items = new ArrayList<>();
    boolean fits = fits(library, application, way.get(), binding);
    if (!fits) {
      items.add(new Item(new Wait.Slot(way.get().slots()), false));
    }
    boolean done = fits;
    Setup.Program program = setup.program(application.id());
    for (Need need : way.get().needs()) {
      if (need == Need.FIRST_CONFIRMED && !displaces(keymap, binding)) {
        continue;
      }
      done = done && met(need, program, application, binding, routine);
      items.add(new Item(new Wait.For(need), done));
    }
    return items;
  }

  private static boolean met(
      Need need, Setup.Program program, Application application, Binding binding, Routine routine) {
    return switch (need) {
      case FILE_COPIED -> has(program.file(), application, binding, routine);
      case RESTART, NEW_WINDOW -> has(program.read(), application, binding, routine);
      case EACH_START -> has(program.on(), application, binding, routine);
      case HELPER_RUNNING, DOCUMENT_OPEN, TOOLBAR_SHOWN -> program.running().contains(need);
      case FIRST_CONFIRMED -> program.confirmed().contains(Fingerprint.of(binding, routine));
    };
  }

  private static boolean has(
      Map<String, Given> puts, Application application, Binding binding, Routine routine) {
    Given put = puts.get(binding.id());
    return put != null && Puts.isStill(application, put, binding, routine);
  }

  /** True when a numbered place is left for it: the bindings before it in the library go first. */
  private static boolean fits(
      Library library, Application application, WayIn way, Binding binding) {
    return way.slots() == 0
        || Bound.in(library, application.id()).stream()
                .takeWhile(b -> !b.id().equals(binding.id()))
                .filter(b -> !b.triggers().isEmpty() && library.routineOf(b).isPresent())
                .filter(b -> Puts.keptWay(application, b).equals(Optional.of(way)))
                .limit(way.slots())
                .count()
            < way.slots();
  }

  /** True when a native command has one of its triggers where it is heard. */
  static boolean displaces(Keymap keymap, Binding binding) {
    Set<Object> states = Set.copyOf(keymap.statesOf(binding.place()));
    return binding.triggers().stream()
        .flatMap(t -> keymap.claimsOn(t).stream())
        .filter(c -> c.owner() instanceof Owner.Native)
        .anyMatch(c -> keymap.statesOf(c.place()).stream().anyMatch(states::contains));
  }

  /** What is not there of the first of its triggers, when that is so of all of them. */
  private static Optional<Dangling> dangling(Library library, Binding binding) {
    Optional<Dangling> first = Optional.empty();
    for (Trigger t : binding.triggers()) {
      Optional<Dangling> one = Dangling.of(t, binding.place(), library);
      if (one.isEmpty()) {
        return Optional.empty();
      }
      first = first.or(() -> one);
    }
    return first;
  }

  /** A device that all its triggers are on and that is not here. */
  private static Optional<String> absentDevice(Keymap keymap, Binding binding) {
    Optional<String> absent = Optional.empty();
    for (Trigger t : binding.triggers()) {
      Optional<String> device =
          switch (t) {
            case Trigger.PadKey p -> Optional.of(p.device());
            case Trigger.Dial d -> Optional.of(d.device());
            default -> Optional.empty();
          };
      if (device.isEmpty() || keymap.station().devices().contains(device.get())) {
        return Optional.empty();
      }
      absent = device;
    }
    return absent;
  }
}
