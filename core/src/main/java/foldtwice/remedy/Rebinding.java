package foldtwice.remedy;

import foldtwice.binding.Binding;
import foldtwice.conflict.Subject;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.place.Application;
import foldtwice.place.Context;
import foldtwice.place.Place;
import foldtwice.place.WayIn;
import foldtwice.resolve.Claim;
import foldtwice.resolve.Keymap;
import foldtwice.resolve.Owned;
import foldtwice.resolve.Owner;
import foldtwice.suggest.Suggestions;
import foldtwice.trigger.Stroke;
import foldtwice.trigger.Trigger;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Who is bound gets other triggers, is heard in fewer places, comes in otherwise, or is off. */
final class Rebinding {

  /** So many other triggers are offered for one claim. */
  private static final int MOVES = 2;

  /** So many sequences are moved to another first stroke at once. */
  private static final int MOST_SEQUENCES = 50;

  private final Library library;
  private final Keymap keymap;
  private final List<Idea> all;

  Rebinding(Subject subject, List<Idea> all) {
    this.library = subject.library();
    this.keymap = subject.keymap();
    this.all = all;
  }

  private Optional<Binding> binding(Claim claim) {
    return Owned.binding(library, claim.owner());
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
  void move(Claim claim) {
    switch (claim.owner()) {
      case Owner.Yours y ->
          binding(claim)
              .ifPresent(
                  b -> others(claim.trigger(), b).forEach(to -> all.add(moved(claim, b, to))));
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

  void takeAway(Claim claim) {
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
      case Owner.Key key -> {}
      case Owner.Desktop d -> {}
    }
  }

  /** The widest contexts inside its place that none of the troubled states lies in. */
  void narrow(Claim claim, List<Place> troubled) {
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
  void register(Claim claim) {
    Optional<Application> application =
        claim.place().applicationId().map(library.applications()::get);
    Optional<Binding> binding = binding(claim);
    if (application.isPresent() && binding.isPresent()) {
      application.get().ways().stream()
          .filter(WayIn::freeOfRules)
          .forEach(
              w ->
                  all.add(
                      new Idea(
                          new Way.Register(binding.get().id(), w.name()),
                          new Edit.PutBinding(
                              binding.get().withFitting(binding.get().fitting().by(w.id()))))));
    }
  }

  /** Onto a key of a device, which no rule, layout or desktop has anything against. */
  void toDevice(Claim claim) {
    if (claim.trigger() instanceof Trigger.Keys) {
      binding(claim)
          .ifPresent(
              b ->
                  Suggestions.padKeys(library, List.of(keymap), b, 1)
                      .forEach(to -> all.add(moved(claim, b, to))));
    }
  }

  private static Idea moved(Claim claim, Binding binding, Trigger to) {
    return new Idea(
        new Way.Move(claim.owner(), claim.trigger(), to),
        new Edit.PutBinding(
            binding.withTriggers(replaced(binding.triggers(), claim.trigger(), List.of(to)))));
  }

  /** Switched off it claims nothing, and keeps its triggers for when it is switched on. */
  void switchOff(Claim claim) {
    binding(claim)
        .ifPresent(
            b ->
                all.add(new Idea(new Way.SwitchOff(b.id()), new Edit.PutBinding(b.switchedOff()))));
  }

  /** A sequence, and all of the same application that begin like it, gets another first stroke. */
  void otherFirstStroke(Claim claim) {
    if (!(claim.trigger() instanceof Trigger.Keys keys)
        || !keys.isSequence()
        || binding(claim).isEmpty()) {
      return;
    }
    Stroke from = keys.strokes().getFirst();
    Optional<String> application = claim.place().applicationId();
    Map<Binding, List<Trigger.Keys>> alike = new LinkedHashMap<>();
    for (Binding b : library.bindings().values()) {
      List<Trigger.Keys> begun =
          b.place().applicationId().equals(application) ? beginning(b, from) : List.of();
      if (!begun.isEmpty()) {
        alike.put(b, begun);
      }
    }
    if (alike.size() <= MOST_SEQUENCES) {
      Suggestions.firstStrokes(library, List.of(keymap), alike, from, 1)
          .forEach(to -> all.add(begun(alike, from, to)));
    }
  }

  private static List<Trigger.Keys> beginning(Binding binding, Stroke with) {
    return binding.triggers().stream()
        .filter(t -> t instanceof Trigger.Keys)
        .map(t -> (Trigger.Keys) t)
        .filter(k -> k.isSequence() && k.strokes().getFirst().equals(with))
        .toList();
  }

  private static Idea begun(Map<Binding, List<Trigger.Keys>> alike, Stroke from, Stroke to) {
    List<Edit> edits = new ArrayList<>();
    alike.forEach(
        (b, begun) ->
            edits.add(
                new Edit.PutBinding(
                    b.withTriggers(
                        b.triggers().stream()
                            .map(t -> begun.contains(t) ? ((Trigger.Keys) t).beginning(to) : t)
                            .toList()))));
    return new Idea(
        new Way.FirstStroke(alike.keySet().stream().map(Binding::id).toList(), from, to),
        new Edit.Together(edits));
  }
}
