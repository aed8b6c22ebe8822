package foldtwice.sheet;

import foldtwice.binding.Binding;
import foldtwice.binding.Family;
import foldtwice.conflict.Conflict;
import foldtwice.conflict.Subject;
import foldtwice.conflict.Weight;
import foldtwice.library.Library;
import foldtwice.library.Procedure;
import foldtwice.place.Application;
import foldtwice.place.NativeCommand;
import foldtwice.place.Place;
import foldtwice.place.Station;
import foldtwice.ready.Outlook;
import foldtwice.ready.Wait;
import foldtwice.routine.Routine;
import foldtwice.surface.Device;
import foldtwice.trigger.Stroke;
import foldtwice.trigger.Trigger;
import foldtwice.words.Words;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** Looks up what a sheet has to tell. One pass over the bindings and the conflicts. */
final class Gathering {

  private static final DateTimeFormatter DAY =
      DateTimeFormatter.ofPattern("d MMMM uuuu", Locale.ENGLISH);

  /** A line and how it is sorted among those of its group. */
  private record Sorted(Contents.Line line, double weight, String kin, int at) {}

  private final Subject subject;
  private final Library library;
  private final Station station;
  private final Words words;
  private final Wanted wanted;
  private final Map<String, List<Conflict>> blocking = new HashMap<>();
  private final Map<String, Double> kinUses = new HashMap<>();
  private final Map<String, List<Sorted>> groups = new LinkedHashMap<>();
  private final List<Contents.Aside> leftOut = new ArrayList<>();
  private final List<Contents.Aside> waiting = new ArrayList<>();

  /**
   * @param conflicts what is wrong on the station
   */
  Gathering(Subject subject, List<Conflict> conflicts, Wanted wanted) {
    this.subject = subject;
    this.wanted = wanted;
    library = subject.library();
    station = subject.keymap().station();
    words = new Words(library, subject.keymap().layout());
    for (Conflict c : conflicts) {
      if (c.weight() == Weight.BLOCKS) {
        c.claims().stream()
            .filter(claim -> claim.owner() instanceof foldtwice.resolve.Owner.Yours)
            .map(claim -> ((foldtwice.resolve.Owner.Yours) claim.owner()).binding())
            .filter(c::isAbout)
            .distinct()
            .forEach(id -> blocking.computeIfAbsent(id, x -> new ArrayList<>()).add(c));
      }
    }
    for (Binding b : library.bindings().values()) {
      kin(b).ifPresent(f -> kinUses.merge(f.id(), b.usesPerWeek(), Math::max));
    }
  }

  Contents contents(LocalDate day) {
    for (Place place : places()) {
      groups.put(groupName(place), new ArrayList<>()); // in the order of places
    }
    library.bindings().values().stream().filter(wanted.about().within(library)).forEach(this::take);
    if (wanted.natives()) {
      natives();
    }
    List<Contents.Group> all = new ArrayList<>();
    groups.forEach(
        (name, lines) -> {
          if (!lines.isEmpty()) {
            lines.sort(
                Comparator.comparingDouble((Sorted s) -> -s.weight)
                    .thenComparing(Sorted::kin)
                    .thenComparingInt(Sorted::at));
            all.add(new Contents.Group(name, lines.stream().map(Sorted::line).toList()));
          }
        });
    return new Contents(
        title(),
        subtitle(),
        library.name(),
        station.name(),
        DAY.format(day),
        all,
        leftOut,
        waiting);
  }

  private List<Place> places() {
    List<Place> all = new ArrayList<>();
    library.applications().values().forEach(a -> all.addAll(a.places()));
    all.add(new Place.Everywhere());
    return all;
  }

  private Optional<Family> kin(Binding b) {
    return library.familyOf(b.id());
  }

  private void take(Binding b) {
    if (b.isDraft()) {
      return; // nothing sets it off yet
    }
    String does = words.binding(b);
    if (b.isOff()) {
      leftOut.add(new Contents.Aside(b.id(), "", does, Sheet.TEXTS.get("sheet.why.off")));
      return;
    }
    Optional<Wait> wait =
        Outlook.of(library, subject.keymap(), subject.known(), subject.setup(), b).next();
    for (Trigger t : b.triggers()) {
      if (wanted.about() instanceof About.OnDevice(String device)
          && !t.deviceId().equals(Optional.of(device))) {
        continue;
      }
      if (!isShown(t)) {
        continue;
      }
      Optional<String> blocked =
          blocking.getOrDefault(b.id(), List.of()).stream()
              .filter(c -> c.claims().stream().anyMatch(claim -> claim.trigger().equals(t)))
              .map(words::brief)
              .findFirst();
      boolean later = blocked.isEmpty() && wait.filter(w -> w instanceof Wait.For).isPresent();
      String why = blocked.orElseGet(() -> wait.map(words::wait).orElse(""));
      if (!why.isEmpty()) {
        (later ? waiting : leftOut).add(new Contents.Aside(b.id(), words.trigger(t), does, why));
      }
      if (why.isEmpty() || later || !wanted.onlyWorking()) {
        put(line(t, does, b.place(), b.usesPerWeek(), b.id(), why), b);
      }
    }
  }

  /** Whether a sheet of that kind has room for such a trigger. */
  private boolean isShown(Trigger t) {
    return switch (wanted.kind()) {
      case TOOLBARS -> t instanceof Trigger.Button || t instanceof Trigger.Radial;
      case PAD_LABELS -> t.deviceId().isPresent();
      case POCKET_CARD, LIST, KEYBOARD, INSTALL_NOTES, HOW_TO -> true;
    };
  }

  private void put(Contents.Line line, Binding b) {
    Optional<Family> kin = kin(b);
    groups
        .computeIfAbsent(groupName(b.place()), x -> new ArrayList<>())
        .add(
            new Sorted(
                line,
                kin.map(f -> kinUses.get(f.id())).orElse(b.usesPerWeek()),
                kin.map(Family::id).orElse(""),
                kin.map(f -> f.members().indexOf(b.id())).orElse(0)));
  }

  private Contents.Line line(
      Trigger t, String does, Place place, double uses, String binding, String note) {
    List<List<String>> strokes =
        t instanceof Trigger.Keys(List<Stroke> all)
            ? all.stream().map(words::caps).toList()
            : List.of();
    String says = words.trigger(t);
    return new Contents.Line(
        strokes,
        strokes.isEmpty() ? says : "",
        says,
        does,
        words.place(place),
        uses,
        t,
        binding,
        note);
  }

  /** The keys programs have of their own. */
  private void natives() {
    for (Application a : library.applications().values()) {
      if (!isMeant(a)) {
        continue;
      }
      for (NativeCommand c : a.commands()) {
        for (Trigger t : c.triggers()) {
          groups
              .computeIfAbsent(
                  Sheet.TEXTS.get("sheet.group.natives", a.name()), x -> new ArrayList<>())
              .add(
                  new Sorted(
                      line(t, Words.command(a, c), c.place(), c.usesPerWeek(), "", ""),
                      c.usesPerWeek(),
                      "",
                      0));
        }
      }
    }
  }

  private boolean isMeant(Application a) {
    return switch (wanted.about()) {
      case About.Everything() -> true;
      case About.Program(String id) -> a.id().equals(id);
      case About.MostUsed m -> false;
      case About.AtPlace p -> false;
      case About.OnDevice d -> false;
      case About.OfRoutine r -> false;
      case About.OfFamily f -> false;
      case About.OfProcedure p -> false;
    };
  }

  /** A context by its own name on the sheet of its program. */
  private String groupName(Place place) {
    if (wanted.about() instanceof About.Program && place instanceof Place.Within within) {
      String name = words.place(within);
      int cut = name.indexOf(" \u203a ");
      return cut < 0 ? name : upper(name.substring(cut + 3));
    }
    return upper(words.place(place));
  }

  private static String upper(String name) {
    return name.isEmpty()
        ? name
        : name.substring(0, name.offsetByCodePoints(0, 1)).toUpperCase(Locale.ROOT)
            + name.substring(name.offsetByCodePoints(0, 1));
  }

  private String title() {
    return switch (wanted.about()) {
      case About.Everything() -> library.name();
      case About.MostUsed m -> m.name(library);
      case About.OfProcedure(String id) ->
          Optional.ofNullable(library.procedures().get(id)).map(Procedure::name).orElse(id);
      case About.AtPlace p -> upper(p.name(library));
      case About.Program(String id) -> words.application(id);
      case About.OnDevice(String id) -> library.device(id).map(Device::name).orElse(id);
      case About.OfRoutine(String id) ->
          Optional.ofNullable(library.routines().get(id)).map(Routine::name).orElse(id);
      case About.OfFamily(String id) ->
          Optional.ofNullable(library.families().get(id)).map(Family::name).orElse(id);
    };
  }

  private String subtitle() {
    return switch (wanted.about()) {
      case About.Program(String id) -> {
        String version =
            station.installed().stream()
                .filter(i -> i.application().equals(id))
                .map(Station.Installed::version)
                .findFirst()
                .orElse("");
        yield version.isEmpty() ? "" : Sheet.TEXTS.get("sheet.version", version);
      }
      case About.OfRoutine(String id) ->
          Optional.ofNullable(library.routines().get(id))
              .map(r -> words.application(r.application()))
              .orElse("");
      case About.Everything e -> "";
      case About.MostUsed m -> library.name();
      case About.AtPlace p -> "";
      case About.OnDevice d -> Sheet.TEXTS.get("sheet.ondevice");
      case About.OfFamily f -> Sheet.TEXTS.get("sheet.family");
      case About.OfProcedure p -> Sheet.TEXTS.get("sheet.procedure");
    };
  }
}
