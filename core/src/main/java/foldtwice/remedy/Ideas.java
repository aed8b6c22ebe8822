package foldtwice.remedy;

import foldtwice.binding.Binding;
import foldtwice.conflict.Conflict;
import foldtwice.conflict.Detail;
import foldtwice.conflict.Subject;
import foldtwice.fold.Siblings;
import foldtwice.known.Facts;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.library.Removing;
import foldtwice.place.AddOn;
import foldtwice.place.Application;
import foldtwice.place.Context;
import foldtwice.place.Place;
import foldtwice.place.Station;
import foldtwice.place.Versions;
import foldtwice.place.WayIn;
import foldtwice.reading.Hindrance;
import foldtwice.resolve.Claim;
import foldtwice.resolve.Keymap;
import foldtwice.resolve.Owned;
import foldtwice.resolve.Owner;
import foldtwice.routine.Line;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.source.Rewriting;
import foldtwice.suggest.Suggestions;
import foldtwice.surface.Device;
import foldtwice.surface.Page;
import foldtwice.trigger.Trigger;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** What can be tried about a conflict, by its kind; whether it helps is for {@link Remedies}. */
final class Ideas {

  /** So many other triggers are offered for one claim. */
  private static final int MOVES = 2;

  private final Subject subject;
  private final Library library;
  private final Keymap keymap;
  private final List<Idea> all = new ArrayList<>();

  /** A way, and the edit that makes it. */
  record Idea(Way way, Edit edit) {}

  Ideas(Subject subject) {
    this.subject = subject;
    this.library = subject.library();
    this.keymap = subject.keymap();
  }

  List<Idea> of(Conflict c) {
    switch (c.kind()) {
      case DOUBLE_CLAIM, HOLD_CLASH, CUT_SHORT, COVERED, INTERCEPTED, DISPLACES, ANSWERS_LATER -> {
        c.claims().forEach(this::move);
        c.claims().forEach(claim -> narrow(claim, c.places()));
        c.claims().forEach(this::takeAway);
      }
      case RESERVED, UNTYPEABLE, TYPES_TEXT -> {
        move(c.about());
        narrow(c.about(), c.places());
        takeAway(c.about());
      }
      case NOT_ACCEPTED -> {
        register(c.about());
        move(c.about());
        takeAway(c.about());
      }
      case MODIFIER_DOWN -> {
        release(c.about());
        move(c.about());
        takeAway(c.about());
      }
      case BROKEN_CHAIN -> chain(c);
      case CIRCULAR -> {
        move(c.about());
        takeAway(c.about());
      }
      case MISSING, BAD_ARGUMENT -> missing(c);
      case TWINS -> twins(c);
      case LEAVES_SETTING -> putBack(c);
      case EMPTIES_UNDO -> c.claims().stream().limit(1).forEach(this::takeAway);
      case STALE_ENTRY -> {
        if (c.detail() instanceof Detail.Entry(String application, var entry, var state)) {
          all.add(new Idea(new Way.Copy(application), new Edit.Together(List.of())));
        }
      }
    }
    return all;
  }

  private Optional<Binding> binding(Claim claim) {
    return claim.owner() instanceof Owner.Yours(String id)
        ? Optional.ofNullable(library.bindings().get(id))
        : Optional.empty();
  }

  private static List<Trigger> replaced(List<Trigger> all, Trigger from, List<Trigger> to) {
    List<Trigger> next = new ArrayList<>();
    for (Trigger t : all) {
      if (t.equals(from)) {
        next.addAll(to);
      } else {
        next.add(t);
      }
    }
    return next;
  }

  /** Keys move to the free keys that suit best; what is no key has a place of its own. */
  private void move(Claim claim) {
    switch (claim.owner()) {
      case Owner.Yours y ->
          binding(claim)
              .ifPresent(
                  b -> {
                    for (Trigger to : others(claim.trigger(), b)) {
                      all.add(
                          new Idea(
                              new Way.Move(claim.owner(), claim.trigger(), to),
                              new Edit.PutBinding(
                                  b.withTriggers(
                                      replaced(b.triggers(), claim.trigger(), List.of(to))))));
                    }
                  });
      case Owner.Native n when claim.trigger() instanceof Trigger.Keys ->
          Owned.command(library, n)
              .ifPresent(
                  command -> {
                    Binding like =
                        Binding.fresh("", command.name(), command.place(), List.of(), Map.of());
                    for (Trigger.Keys to : free(like, 1)) {
                      all.add(
                          new Idea(
                              new Way.Move(n, claim.trigger(), to),
                              new Edit.Remap(
                                  n.application(),
                                  n.command(),
                                  replaced(command.triggers(), claim.trigger(), List.of(to)))));
                    }
                  });
      case Owner.Native n -> {}
      case Owner.Menu m -> {}
      case Owner.Key k -> {}
      case Owner.Desktop d -> {}
    }
  }

  /** Other triggers for a binding: of the same kind, or keys where it has keys. */
  private List<? extends Trigger> others(Trigger from, Binding binding) {
    return from instanceof Trigger.Keys
        ? free(binding, MOVES)
        : Elsewhere.of(from, binding, library, keymap, MOVES);
  }

  private List<Trigger.Keys> free(Binding binding, int most) {
    return Suggestions.keys(library, List.of(keymap), binding, most);
  }

  private void takeAway(Claim claim) {
    switch (claim.owner()) {
      case Owner.Yours y ->
          binding(claim)
              .ifPresent(
                  b ->
                      all.add(
                          new Idea(
                              new Way.TakeAway(claim.owner(), claim.trigger()),
                              new Edit.PutBinding(
                                  b.withTriggers(
                                      replaced(b.triggers(), claim.trigger(), List.of()))))));
      case Owner.Native n ->
          Owned.command(library, n)
              .ifPresent(
                  c ->
                      all.add(
                          new Idea(
                              new Way.TakeAway(n, claim.trigger()),
                              new Edit.Remap(
                                  n.application(),
                                  n.command(),
                                  replaced(c.triggers(), claim.trigger(), List.of())))));
      case Owner.Menu m -> {}
      case Owner.Key key -> silence(key);
      case Owner.Desktop d -> {}
    }
  }

  /** The widest contexts inside its place that none of the troubled states lies in. */
  private void narrow(Claim claim, List<Place> troubled) {
    Optional<Binding> binding = binding(claim);
    if (binding.isEmpty()) {
      return;
    }
    int found = 0;
    for (Place inner : inside(claim.place())) {
      List<Place> states = keymap.statesOf(inner);
      if (found < MOVES && !states.isEmpty() && states.stream().noneMatch(troubled::contains)) {
        found++;
        all.add(
            new Idea(
                new Way.Narrow(binding.get().id(), inner),
                new Edit.PutBinding(binding.get().withPlace(inner))));
      }
    }
  }

  /** The places directly inside one. */
  private List<Place> inside(Place place) {
    return switch (place) {
      case Place.Everywhere() ->
          library.applications().keySet().stream().<Place>map(Place.Whole::new).toList();
      case Place.Whole(String id) -> contexts(id, library.applications().get(id).contexts());
      case Place.Within(String id, String context) ->
          Optional.ofNullable(library.applications().get(id))
              .flatMap(a -> a.context(context))
              .map(c -> contexts(id, c.inner()))
              .orElse(List.of());
      case Place.Over o -> List.of();
    };
  }

  private static List<Place> contexts(String application, List<Context> contexts) {
    return contexts.stream().<Place>map(c -> new Place.Within(application, c.id())).toList();
  }

  /** By a way in that the rules of the application do not hold for. */
  private void register(Claim claim) {
    Optional<Application> application =
        claim.place().applicationId().map(library.applications()::get);
    Optional<Binding> binding = binding(claim);
    if (application.isPresent() && binding.isPresent()) {
      application.get().ways().stream()
          .filter(WayIn::freeOfRules)
          .findFirst()
          .ifPresent(
              w ->
                  all.add(
                      new Idea(
                          new Way.Register(binding.get().id(), w.name()),
                          new Edit.PutBinding(
                              binding.get().withFitting(binding.get().fitting().by(w.id()))))));
    }
  }

  private void release(Claim claim) {
    binding(claim)
        .map(b -> library.routines().get(b.routine()))
        .flatMap(Ideas::released)
        .ifPresent(r -> all.add(new Idea(new Way.Release(r.id()), new Edit.PutRoutine(r))));
  }

  /** The same routine, which lets go of held modifiers first; of macros and scripts. */
  private static Optional<Routine> released(Routine routine) {
    return switch (routine) {
      case Routine.Macro m -> {
        List<Line> steps = new ArrayList<>();
        steps.add(new Line(new Step.Modifiers(Step.Holding.RELEASE)));
        steps.addAll(m.steps());
        yield Optional.of(new Routine.Macro(m.head(), steps));
      }
      case Routine.Script s -> Optional.of(s.withSource("program.releaseHeld();\n" + s.source()));
      default -> Optional.empty();
    };
  }

  /** The key and whoever listens change over to keys of the pool; or the key is silenced. */
  private void chain(Conflict c) {
    if (!(c.about().owner() instanceof Owner.Key key)
        || !(c.detail() instanceof Detail.Chain(Optional<Trigger.Keys> sends))) {
      return;
    }
    sends.ifPresent(keys -> resend(key, keys));
    c.claims().stream().skip(1).forEach(this::move);
    silence(key);
  }

  private void resend(Owner.Key key, Trigger.Keys keys) {
    List<Binding> listening =
        keymap.claimsOn(keys).stream().flatMap(claim -> binding(claim).stream()).toList();
    Binding like =
        listening.isEmpty()
            ? Binding.fresh("", "", new Place.Everywhere(), List.of(), Map.of())
            : listening.getFirst();
    List<Trigger.Keys> pool = Suggestions.forDevices(library, List.of(keymap), like, 1);
    if (pool.isEmpty() || listening.isEmpty()) {
      return;
    }
    Trigger.Keys to = pool.getFirst();
    List<Edit> edits = new ArrayList<>();
    sending(key, Optional.of(new Page.Sends.Chord(to))).ifPresent(edits::add);
    for (Binding b : listening) {
      Set<Trigger> next = new LinkedHashSet<>();
      for (Trigger t : b.triggers()) {
        next.add(keymap.paths(t).equals(keymap.paths(keys)) ? to : t);
      }
      edits.add(new Edit.PutBinding(b.withTriggers(List.copyOf(next))));
    }
    all.add(new Idea(new Way.Resend(key, to), new Edit.Together(edits)));
  }

  private void silence(Owner.Key key) {
    sending(key, Optional.empty()).ifPresent(e -> all.add(new Idea(new Way.Silence(key), e)));
  }

  private Optional<Edit> sending(Owner.Key key, Optional<Page.Sends> what) {
    Optional<Device> device = library.device(key.device());
    return device
        .flatMap(d -> d.page(key.page()))
        .map(p -> new Edit.PutSurface(device.get().with(p.sending(key.key(), what))));
  }

  private void missing(Conflict c) {
    Optional<Binding> binding = binding(c.about());
    switch (c.detail()) {
      case Detail.NoRoutine r ->
          binding.ifPresent(
              b -> all.add(new Idea(new Way.Remove(b.id()), Removing.of(library, List.of(b)))));
      case Detail.NoParameter(String parameter) -> argument(binding, parameter);
      case Detail.Argument(String parameter, var given, var allowed) ->
          argument(binding, parameter);
      case Detail.NoDevice(String device) -> plugIn(device);
      case Detail.Dangles d -> move(c.about());
      case Detail.NoWay n -> binding.ifPresent(this::usualWay);
      case Detail.Hindered(String routine, List<Hindrance> by) ->
          by.forEach(h -> provide(routine, h));
      default -> {}
    }
    if (!c.isShared()) {
      takeAway(c.about());
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

  private void twins(Conflict c) {
    List<Binding> both = c.claims().stream().flatMap(claim -> binding(claim).stream()).toList();
    if (both.size() < 2) {
      return;
    }
    if (c.detail() instanceof Detail.Copies(boolean differ) && differ) {
      Siblings.find(library).stream()
          .filter(
              g ->
                  both.stream()
                      .allMatch(
                          b -> g.members().stream().anyMatch(m -> m.id().equals(b.routine()))))
          .findFirst()
          .ifPresent(
              g ->
                  all.add(
                      new Idea(
                          new Way.Fold(g.members().stream().map(Routine::name).toList()),
                          Siblings.fold(library, g))));
      return;
    }
    join(both.getLast(), both.getFirst());
    join(both.getFirst(), both.getLast());
    both.forEach(b -> all.add(new Idea(new Way.Remove(b.id()), Removing.of(library, List.of(b)))));
  }

  /** One stays with what sets off both, in its own place. */
  private void join(Binding keep, Binding drop) {
    Set<Trigger> triggers = new LinkedHashSet<>(keep.triggers());
    triggers.addAll(drop.triggers());
    Edit gone = Removing.of(library, List.of(drop));
    all.add(
        new Idea(
            new Way.Join(keep.id(), drop.id()),
            new Edit.Together(
                List.of(gone, new Edit.PutBinding(keep.withTriggers(List.copyOf(triggers)))))));
  }

  /** Settings that a step changes for good are changed for the run only. */
  private void putBack(Conflict c) {
    if (c.detail() instanceof Detail.Settings(String routine, var names)) {
      Optional.ofNullable(library.routines().get(routine))
          .flatMap(r -> forThisRun(r, names))
          .ifPresent(
              r -> all.add(new Idea(new Way.PutBack(routine, names), new Edit.PutRoutine(r))));
    }
  }

  private static Optional<Routine> forThisRun(Routine routine, Set<String> names) {
    return switch (routine) {
      case Routine.Macro m -> Optional.of(m.withSteps(forThisRun(m.steps(), names)));
      case Routine.Script s -> {
        String source = Rewriting.forThisRun(s.source(), names);
        yield source.equals(s.source()) ? Optional.empty() : Optional.of(s.withSource(source));
      }
      default -> Optional.empty();
    };
  }

  private static List<Line> forThisRun(List<Line> lines, Set<String> names) {
    return lines.stream()
        .map(
            line -> {
              Step step =
                  line.step()
                      .withBodies(
                          line.step().bodies().stream().map(b -> forThisRun(b, names)).toList());
              return line.with(
                  switch (step) {
                    case Step.ChangeSetting(String s, var value, var lasting)
                        when names.contains(s) ->
                        new Step.ChangeSetting(s, value, Step.Lasting.THIS_RUN);
                    case Step.Cycle(String s, var values, var lasting) when names.contains(s) ->
                        new Step.Cycle(s, values, Step.Lasting.THIS_RUN);
                    default -> step;
                  });
            })
        .toList();
  }
}
