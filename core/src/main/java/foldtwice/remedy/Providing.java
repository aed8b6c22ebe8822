package foldtwice.remedy;

import foldtwice.binding.Binding;
import foldtwice.conflict.Conflict;
import foldtwice.conflict.Detail;
import foldtwice.conflict.Subject;
import foldtwice.known.Facts;
import foldtwice.library.Edit;
import foldtwice.library.Ids;
import foldtwice.library.Library;
import foldtwice.library.Removing;
import foldtwice.place.AddOn;
import foldtwice.place.Application;
import foldtwice.place.Station;
import foldtwice.place.Versions;
import foldtwice.reading.Hindrance;
import foldtwice.resolve.Keymap;
import foldtwice.resolve.Owned;
import foldtwice.routine.Head;
import foldtwice.routine.Routine;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** What is missing is put there: arguments, devices, ways in, add-ons, versions. */
final class Providing {

  private final Subject subject;

  private final Library library;
  private final Keymap keymap;
  private final List<Idea> all;

  Providing(Subject subject, List<Idea> all) {
    this.subject = subject;
    this.library = subject.library();
    this.keymap = subject.keymap();
    this.all = all;
  }

  void missing(Conflict c) {
    Optional<Binding> binding = Owned.binding(library, c.about().owner());
    switch (c.detail()) {
      case Detail.NoRoutine r ->
          binding.ifPresent(
              b -> all.add(new Idea(new Way.Remove(b.id()), Removing.of(library, List.of(b)))));
      case Detail.NoParameter(String parameter) -> argument(binding, parameter);
      case Detail.Argument(String parameter, var given, var allowed) ->
          argument(binding, parameter);
      case Detail.NoDevice(String device) -> plugIn(device);
      case Detail.NoWay n -> binding.ifPresent(this::usualWay);
      case Detail.Hindered(String routine, List<Hindrance> by) -> {
        by.forEach(h -> provide(routine, h));
        byAction(routine);
      }
      default -> {}
    }
  }

  private void argument(Optional<Binding> binding, String parameter) {
    binding.ifPresent(
        b ->
            all.add(
                new Idea(
                    new Way.Argument(b.id(), parameter, Optional.empty()),
                    new Edit.PutBinding(b.withoutArgument(parameter)))));
  }

  private void plugIn(String device) {
    if (library.device(device).isPresent()) {
      Station s = keymap.station();
      List<String> devices = new ArrayList<>(s.devices());
      devices.add(device);
      all.add(new Idea(new Way.PlugIn(device), new Edit.PutStation(s.withDevices(devices))));
    }
  }

  /** A way in that is not there is left for the usual one. */
  private void usualWay(Binding binding) {
    binding
        .place()
        .applicationId()
        .map(library.applications()::get)
        .flatMap(a -> a.ways().stream().findFirst())
        .ifPresent(
            w ->
                all.add(
                    new Idea(
                        new Way.Register(binding.id(), w.name()),
                        new Edit.PutBinding(binding.withFitting(binding.fitting().by(""))))));
  }

  /** What a routine misses is put on the station: an add-on, or the version it was made for. */
  private void provide(String routine, Hindrance hindrance) {
    Routine of = library.routines().get(routine);
    if (of == null) {
      return;
    }
    switch (hindrance) {
      case Hindrance.NoAddOn(String name) -> install(of.application(), name);
      case Hindrance.AddOnTooOld(AddOn needed, String found) ->
          install(of.application(), needed.name());
      case Hindrance.NoAction(String addOn, String action) -> install(of.application(), addOn);
      case Hindrance.TooOld(String application, String needed, String found) -> update(application);
      case Hindrance.Step s -> update(of.application());
      case Hindrance.NoProgram p -> {}
      case Hindrance.NoStatement s -> {}
      case Hindrance.Unreadable u -> {} // only a person knows what was meant
    }
  }

  private void install(String application, String name) {
    Optional<AddOn> latest =
        subject.known().otherVersions().stream()
            .filter(f -> f.application().equals(application))
            .flatMap(f -> f.addOn(name).stream())
            .max((a, b) -> Versions.compare(a.version(), b.version()));
    Optional<Facts> here = subject.known().program(application);
    if (latest.isPresent() && here.isPresent()) {
      List<AddOn> addOns = new ArrayList<>(here.get().addOns());
      addOns.removeIf(a -> a.name().equals(name));
      addOns.add(latest.get());
      station(
          new Way.Install(application, latest.get()),
          new Station.Installed(application, here.get().version(), addOns));
    }
  }

  private void update(String application) {
    Optional<Facts> here = subject.known().program(application);
    Application made = library.applications().get(application);
    if (here.isPresent() && made != null && !made.version().equals(here.get().version())) {
      station(
          new Way.Update(application, made.version()),
          new Station.Installed(application, made.version(), List.copyOf(here.get().addOns())));
    }
  }

  private void station(Way way, Station.Installed installed) {
    Edit edit = new Edit.PutStation(keymap.station().with(installed));
    Idea idea = new Idea(way, edit);
    if (!all.contains(idea)) {
      all.add(idea);
    }
  }

  /** An add-on that is there may do what the routine, which cannot work here, is for. */
  private void byAction(String routine) {
    Routine of = library.routines().get(routine);
    if (of == null) {
      return;
    }
    subject.known().program(of.application()).stream()
        .flatMap(f -> f.actions().stream())
        .filter(a -> a.parameters().isEmpty() && a.name().equalsIgnoreCase(of.name().strip()))
        .forEach(a -> all.add(instead(of, a)));
  }

  /** All that is bound to the routine fires the action. */
  private Idea instead(Routine of, Facts.Action action) {
    Routine.PluginAction fresh =
        new Routine.PluginAction(
            Head.of(
                Ids.free(Ids.of(action.name(), "routine"), library.routines()::containsKey),
                action.name(),
                of.application(),
                List.of()),
            action.from().name(),
            action.id());
    List<Edit> edits = new ArrayList<>(List.of(new Edit.PutRoutine(fresh)));
    library.bindings().values().stream()
        .filter(b -> b.routine().equals(of.id()))
        .forEach(b -> edits.add(new Edit.PutBinding(b.withRoutine(fresh.id(), Map.of()))));
    return new Idea(
        new Way.ByAction(of.id(), action.from(), action.name()), new Edit.Together(edits));
  }
}
