package foldtwice.conflict;

import foldtwice.binding.Binding;
import foldtwice.known.Touch;
import foldtwice.library.Dangling;
import foldtwice.library.Library;
import foldtwice.place.Application;
import foldtwice.place.Place;
import foldtwice.place.WayIn;
import foldtwice.reading.Hindrance;
import foldtwice.reading.Mark;
import foldtwice.reading.Reading;
import foldtwice.ready.Puts;
import foldtwice.resolve.Claim;
import foldtwice.resolve.Keymap;
import foldtwice.routine.Parameter;
import foldtwice.routine.Routine;
import foldtwice.routine.Value;
import foldtwice.routine.ValueException;
import foldtwice.trigger.Modifiers;
import foldtwice.trigger.Stroke;
import foldtwice.trigger.Trigger;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.concurrent.ConcurrentHashMap;

/**
 * Whether a binding can do what it is there for, and what it leaves behind: its routine, its
 * arguments, its device. Each routine is read once, however many bindings it has.
 */
final class Works {

  private final Subject subject;
  private final Dangers dangers;
  private final Library library;
  private final Map<String, Read> read;

  /** What is to be said of a routine, whatever binding fires it. */
  private record Read(List<Hindrance> hindrances, Reading reading) {}

  Works(Subject subject, Dangers dangers) {
    this(subject, dangers, new ConcurrentHashMap<>());
  }

  private Works(Subject subject, Dangers dangers, Map<String, Read> read) {
    this.subject = subject;
    this.dangers = dangers;
    this.library = subject.library();
    this.read = read;
  }

  /**
   * The same after some changes: routines stay read.
   *
   * @param rewritten ids of those that are to be read again
   */
  Works after(Subject next, Dangers its, Set<String> rewritten) {
    Map<String, Read> kept = rewritten.isEmpty() ? read : new ConcurrentHashMap<>(read);
    kept.keySet().removeAll(rewritten);
    return new Works(next, its, kept);
  }

  /** The conflicts of a binding with its own routine. */
  List<Conflict> of(Binding binding) {
    if (binding.triggers().isEmpty()) {
      return List.of();
    }
    Found found = new Found(binding);
    Optional<Routine> routine = library.routineOf(binding);
    if (routine.isEmpty()) {
      found.blocks(ConflictKind.MISSING, new Detail.NoRoutine(binding.routine()));
      return found.all;
    }
    arguments(binding, routine.get(), found);
    for (Trigger t : binding.triggers()) {
      Dangling.of(t, binding.place(), library)
          .filter(d -> d.what() != Dangling.What.DEVICE || isPluggedIn(t))
          .ifPresent(d -> found.of(t, ConflictKind.MISSING, Weight.BLOCKS, new Detail.Dangles(d)));
      down(t, routine.get()).ifPresent(d -> found.down(t, d));
    }
    way(binding, found);
    starts(binding, routine.get(), found);
    return found.all;
  }

  /** Devices that are not plugged in are told of all their bindings at once. */
  private boolean isPluggedIn(Trigger trigger) {
    return trigger.deviceId().filter(subject.keymap().station().devices()::contains).isPresent();
  }

  /** A way in that is not there counts as the first one, which somebody should know. */
  private void way(Binding binding, Found found) {
    String way = binding.fitting().way();
    binding
        .place()
        .applicationId()
        .map(library.applications()::get)
        .filter(a -> !way.isEmpty() && a.ways().stream().noneMatch(w -> w.id().equals(way)))
        .ifPresent(a -> found.add(ConflictKind.MISSING, Weight.COSTS, new Detail.NoWay(way)));
  }

  /** A routine that starts nowhere where the binding is heard is refused each time. */
  private void starts(Binding binding, Routine routine, Found found) {
    List<String> startIn = routine.manner().startIn();
    if (startIn.isEmpty() || !binding.place().isOf(routine.application())) {
      return;
    }
    List<Place> states = subject.keymap().statesOf(binding.place());
    Application application = library.applications().get(routine.application());
    if (!states.isEmpty() && states.stream().noneMatch(s -> application.isWithin(s, startIn))) {
      found.blocks(ConflictKind.MISSING, new Detail.NeverStarts(startIn));
    }
  }

  /** True when a binding comes by a way in whose numbered slots it may have to share. */
  boolean isNumbered(Binding binding) {
    return numbered(binding).isPresent();
  }

  private Optional<WayIn> numbered(Binding binding) {
    return binding
        .place()
        .applicationId()
        .map(library.applications()::get)
        .flatMap(a -> a.way(binding.fitting().way()))
        .filter(w -> w.slots() > 0);
  }

  /** Bindings for which no numbered slot of their way in is left, those after the first ones. */
  List<Conflict> slots() {
    Set<String> in = Puts.inSlots(library);
    List<Conflict> found = new ArrayList<>();
    for (Binding b : library.bindings().values()) {
      Optional<WayIn> way = numbered(b);
      if (way.isPresent()
          && !b.triggers().isEmpty()
          && library.routineOf(b).isPresent()
          && !in.contains(b.id())) {
        Found its = new Found(b);
        its.blocks(ConflictKind.MISSING, new Detail.NoSlot(way.get().slots()));
        found.addAll(its.all);
      }
    }
    return found;
  }

  /**
   * The conflicts a routine brings to all of its bindings, each told once.
   *
   * @param bindings those it has, with triggers
   */
  List<Conflict> of(Routine routine, List<Binding> bindings) {
    if (bindings.isEmpty()) {
      return List.of();
    }
    Read r = read.computeIfAbsent(routine.id(), id -> read(routine));
    List<Conflict> found = new ArrayList<>();
    for (ConflictKind kind : List.of(ConflictKind.MISSING, ConflictKind.BAD_ARGUMENT)) {
      List<Hindrance> its = r.hindrances.stream().filter(h -> kind(h) == kind).toList();
      if (!its.isEmpty()) {
        boolean blocks = its.stream().anyMatch(h -> weight(h) == Weight.BLOCKS);
        Weight weight = blocks ? Weight.BLOCKS : Weight.COSTS;
        found.add(of(bindings, kind, weight, new Detail.Hindered(routine.id(), its)));
      }
    }
    if (!r.reading.leaves().isEmpty() && !r.reading.onlySettings()) {
      Detail settings = new Detail.Settings(routine.id(), new TreeSet<>(r.reading.leaves()));
      found.add(of(bindings, ConflictKind.LEAVES_SETTING, Weight.COSTS, settings));
    }
    if (r.reading.touches().contains(Touch.UNDO_HISTORY)) {
      Detail undo = new Detail.Undo(routine.id());
      found.add(of(bindings, ConflictKind.EMPTIES_UNDO, Weight.COSTS, undo));
    }
    return found;
  }

  private Conflict of(List<Binding> bindings, ConflictKind kind, Weight weight, Detail detail) {
    List<Claim> claims = new ArrayList<>(bindings.size());
    bindings.forEach(b -> claims.add(Keymap.claims(b).getFirst()));
    return Told.of(subject, dangers, claims, kind, weight, detail);
  }

  /** What a trigger's own modifiers do to the routine, for advice on it. */
  List<Conflict> down(Binding binding, Trigger trigger) {
    Found found = new Found(binding.withTriggers(List.of(trigger)));
    library
        .routineOf(binding)
        .flatMap(r -> down(trigger, r))
        .ifPresent(d -> found.down(trigger, d));
    return found.all;
  }

  private Read read(Routine routine) {
    boolean known = subject.known().program(routine.application()).isPresent();
    List<Hindrance> hindrances =
        known
            ? Hindrance.of(routine, subject.known()).stream().filter(Works::matters).toList()
            : library.applications().containsKey(routine.application())
                ? List.of() // a program nobody simulates: nothing is known against it
                : List.of(new Hindrance.NoProgram(routine.application()));
    return new Read(hindrances, Reading.of(routine, subject.known()));
  }

  /** What is only worth a word while writing does not keep a binding from working. */
  private static boolean matters(Hindrance h) {
    return !(h instanceof Hindrance.Step(var mark))
        || switch (mark.fault()) {
          case UNKNOWN_NAME,
              WRONG_KIND,
              NO_SUCH_MENU,
              NO_SUCH_DIALOG,
              NO_SUCH_FIELD,
              NO_SUCH_BUTTON,
              NO_SUCH_SETTING,
              NO_SUCH_VALUE,
              NO_SUCH_ROUTINE,
              NO_SUCH_PARAMETER,
              NO_SUCH_PROGRAM,
              OUT_OF_RANGE,
              NEEDS_ADD_ON,
              KNOWN_NOT_TO_WORK,
              OTHER_VERSION,
              OTHER_LANGUAGE,
              NOTHING_INSIDE,
              ASKED_TWICE ->
              true;
          case CIRCLE -> false; // circles have a kind of their own
        };
  }

  private static ConflictKind kind(Hindrance h) {
    return h instanceof Hindrance.Step(var mark)
            && switch (mark.fault()) {
              case WRONG_KIND, OUT_OF_RANGE -> true;
              default -> false;
            }
        ? ConflictKind.BAD_ARGUMENT
        : ConflictKind.MISSING;
  }

  /**
   * A step that is known not to work may yet, one with nothing in it does nothing, and what SQL is
   * its program decides; without what it needs a routine cannot run.
   */
  private static Weight weight(Hindrance h) {
    return switch (h) {
      case Hindrance.NoStatement s -> Weight.COSTS;
      case Hindrance.Step(var mark)
          when mark.fault() == Mark.Fault.KNOWN_NOT_TO_WORK
              || mark.fault() == Mark.Fault.NOTHING_INSIDE
              || mark.fault() == Mark.Fault.ASKED_TWICE ->
          Weight.COSTS;
      default -> Weight.BLOCKS;
    };
  }

  private static void arguments(Binding binding, Routine routine, Found found) {
    for (Map.Entry<String, Value> a : binding.arguments().entrySet()) {
      Optional<Parameter> parameter =
          routine.parameters().stream().filter(p -> p.name().equals(a.getKey())).findFirst();
      if (parameter.isEmpty()) {
        found.blocks(ConflictKind.MISSING, new Detail.NoParameter(a.getKey()));
        continue;
      }
      try {
        parameter.get().kind().check(a.getValue());
      } catch (ValueException e) {
        found.blocks(
            ConflictKind.BAD_ARGUMENT,
            new Detail.Argument(a.getKey(), a.getValue().shown(), e.allowed()));
      }
    }
  }

  /** Devices that triggers are on and that are not plugged in, each with all its bindings. */
  List<Conflict> devices() {
    Map<String, List<Claim>> absent = new LinkedHashMap<>();
    List<String> here = subject.keymap().station().devices();
    for (Binding b : library.bindings().values()) {
      for (Trigger t : b.triggers()) {
        t.deviceId()
            .filter(d -> !here.contains(d))
            .ifPresent(
                d ->
                    absent
                        .computeIfAbsent(d, x -> new ArrayList<>())
                        .addAll(Keymap.claims(b.withTriggers(List.of(t)))));
      }
    }
    List<Conflict> found = new ArrayList<>();
    absent.forEach(
        (device, claims) ->
            found.add(
                Told.of(
                    subject,
                    dangers,
                    claims,
                    ConflictKind.MISSING,
                    Weight.BLOCKS,
                    new Detail.NoDevice(device))));
    return found;
  }

  /** What modifiers of a trigger do to the first step they harm. */
  private Optional<Detail.Down> down(Trigger trigger, Routine routine) {
    Modifiers held = held(trigger);
    return held.isEmpty()
        ? Optional.empty()
        : new Harming(subject.known(), held).of(routine).map(h -> new Detail.Down(held, h));
  }

  /** What is still down when a trigger has been made: the modifiers of its last stroke. */
  static Modifiers held(Trigger trigger) {
    return switch (trigger) {
      case Trigger.Keys(List<Stroke> strokes) -> strokes.getLast().modifiers();
      case Trigger.Held(Stroke stroke, Trigger.Edge edge) ->
          edge == Trigger.Edge.DOWN ? stroke.modifiers() : Modifiers.NONE;
      case Trigger.Pointer(var button, Modifiers held) -> held;
      default -> Modifiers.NONE;
    };
  }

  /** Collects what is found of one binding. */
  private final class Found {
    private final Binding binding;
    private final List<Conflict> all = new ArrayList<>();

    Found(Binding binding) {
      this.binding = binding;
    }

    void blocks(ConflictKind kind, Detail detail) {
      add(kind, Weight.BLOCKS, detail);
    }

    void add(ConflictKind kind, Weight weight, Detail detail) {
      of(binding.triggers().getFirst(), kind, weight, detail);
    }

    void of(Trigger trigger, ConflictKind kind, Weight weight, Detail detail) {
      List<Claim> claims = Keymap.claims(binding.withTriggers(List.of(trigger)));
      all.add(Told.of(subject, dangers, claims, kind, weight, detail));
    }

    void down(Trigger trigger, Detail.Down down) {
      Weight weight = down.harm() == Detail.Harm.TYPES ? Weight.BLOCKS : Weight.COSTS;
      of(trigger, ConflictKind.MODIFIER_DOWN, weight, down);
    }
  }
}
