package foldtwice.run;

import foldtwice.binding.Binding;
import foldtwice.library.Library;
import foldtwice.place.Place;
import foldtwice.resolve.Claim;
import foldtwice.resolve.Explanation;
import foldtwice.resolve.Keymap;
import foldtwice.resolve.Outcome;
import foldtwice.resolve.Owner;
import foldtwice.resolve.Resolver;
import foldtwice.routine.Routine;
import foldtwice.surface.Device;
import foldtwice.surface.Page;
import foldtwice.surface.Summoned;
import foldtwice.trigger.KeyCode;
import foldtwice.trigger.Lift;
import foldtwice.trigger.Modifiers;
import foldtwice.trigger.Motion;
import foldtwice.trigger.Press;
import foldtwice.trigger.Signal;
import foldtwice.trigger.Trigger;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.stream.Stream;

/**
 * A computer and its keyboard: presses are resolved where the program in front is, and what they
 * set off is really done.
 */
public final class Trial {

  /** What a press came to. */
  public sealed interface Effect {

    /** A binding fired and its routine ran. */
    record Ran(Binding binding, Routine routine, Run run) implements Effect {
      public Trace trace() {
        return run.trace();
      }
    }

    /** A binding fired, but its routine, or the program the routine acts on, is not here. */
    record Lacking(Binding binding, String what) implements Effect {}

    /** The program's own command was done. */
    record Native(Owner.Native command, Reply reply) implements Effect {}

    /** The desktop kept it. */
    record Kept(String what) implements Effect {}

    /** A character was typed. */
    record Typed(String text, Reply reply) implements Effect {}

    /** More strokes may follow. */
    record Waits(Optional<Claim> otherwise) implements Effect {}

    /** Several bindings claim it, so none fired. */
    record Undecided(List<Claim> claims) implements Effect {}

    /** A radial menu, or what fits here, comes to the pointer. */
    record Opened(Summoned menu) implements Effect {}

    /** A device shows another page. */
    record Turned(Device device, Page page) implements Effect {}

    /** A device typed keys of itself; what came of them follows. */
    record Sent(Device device, Trigger.Keys keys) implements Effect {}

    /** It means nothing here. */
    record Nothing(Signal signal) implements Effect {}
  }

  /** A signal, why it came out as it did, and what it did. */
  public record Result(Optional<Explanation> explanation, List<Effect> effects) {}

  /** How long a key is down before what repeats begins to. */
  public static final long REPEAT_DELAY_MILLIS = 400;

  /**
   * A binding that fires again and again while something is down, and when it does so next.
   *
   * @param key that is down; none for a key of a device
   */
  private record Repeating(Optional<KeyCode> key, Binding binding, long next) {}

  private final Library library;
  private final Keymap keymap;
  private final Computer computer;
  private final Consumer<Run> driver;
  private final Scripts scripts;
  private final Resolver resolver;
  private final Map<String, String> pages;
  private Resolver.State state;
  private Optional<Repeating> repeating = Optional.empty();

  /** A trial in which every run is run to its end at once; for simulated time. */
  public Trial(Library library, Keymap keymap, Computer computer, Scripts scripts) {
    this(library, keymap, computer, scripts, new HashMap<>(), Run::toEnd);
  }

  /**
   * A trial of whatever is in front.
   *
   * @param scripts what runs scripts
   * @param pages by device, the id of the page it shows; kept up to date
   * @param driver gets each run that is set off, and takes its steps
   */
  public Trial(
      Library library,
      Keymap keymap,
      Computer computer,
      Scripts scripts,
      Map<String, String> pages,
      Consumer<Run> driver) {
    this.library = library;
    this.keymap = keymap;
    this.computer = computer;
    this.scripts = scripts;
    this.driver = driver;
    this.pages = pages;
    this.resolver = new Resolver(keymap);
    this.state = Resolver.start(computer.front().place());
  }

  /** A key goes down, at a time in milliseconds of any clock that only goes forward. */
  public Result press(Press press, long now) {
    follow();
    computer.hold(press.held());
    List<Signal> together = new ArrayList<>(state.pending());
    together.add(press);
    Explanation explanation = Explanation.of(keymap, state.place(), together);
    Result result = take(resolver.press(state, press, now), Optional.of(explanation));
    repeating = repeating(result, Optional.of(press.code()), now);
    if (!underway(result)) {
      computer.hold(Modifiers.NONE);
    }
    return result;
  }

  private static Optional<Repeating> repeating(Result result, Optional<KeyCode> key, long now) {
    return result.effects().stream()
        .flatMap(e -> e instanceof Effect.Ran r ? Stream.of(r.binding()) : Stream.empty())
        .filter(b -> b.fitting().repeats() > 0)
        .map(b -> new Repeating(key, b, now + REPEAT_DELAY_MILLIS))
        .findFirst();
  }

  /** Whatever is down comes up, and nobody hears of it: what repeats does so no more. */
  public void letGo() {
    repeating = Optional.empty();
  }

  /** Whatever is down comes up, and time passes. */
  public Result rest(long now) {
    letGo();
    return tick(now);
  }

  /** Something is done with another thing than a key, or a key goes up. */
  public Result signal(Signal signal, long now) {
    if (signal instanceof Press press) {
      return press(press, now);
    }
    if (signal instanceof Lift(Press up)) {
      repeating = repeating.filter(r -> !r.key().equals(Optional.of(up.code())));
    }
    follow();
    Explanation explanation = Explanation.of(keymap, state.place(), List.of(signal));
    return take(resolver.press(state, signal, now), Optional.of(explanation));
  }

  /**
   * A key of a device is pressed. What the page that shows has it do of itself comes before what is
   * bound to it. What repeats does so from then on, until {@link #letGo}.
   */
  public Result key(Device device, String key, Trigger.Duration way, long now) {
    Page page = page(device);
    Optional<Page.Sends> sends = way == Trigger.Duration.TAP ? page.sends(key) : Optional.empty();
    if (sends.isEmpty()) {
      Result result = signal(new Motion(new Trigger.PadKey(device.id(), page.id(), key, way)), now);
      repeating =
          way == Trigger.Duration.TAP ? repeating(result, Optional.empty(), now) : Optional.empty();
      return result;
    }
    return switch (sends.get()) {
      case Page.Sends.Turn(String to) -> {
        Page next = device.page(to).orElse(page);
        pages.put(device.id(), next.id());
        yield new Result(Optional.empty(), List.of(new Effect.Turned(device, next)));
      }
      case Page.Sends.Chord(Trigger.Keys keys) -> send(device, keys, now);
    };
  }

  private Result send(Device device, Trigger.Keys keys, long now) {
    List<Effect> effects = new ArrayList<>(List.of(new Effect.Sent(device, keys)));
    Optional<Explanation> last = Optional.empty();
    for (Signal s : keymap.paths(keys).stream().findFirst().orElse(List.of())) {
      Result result = signal(s, now);
      last = result.explanation();
      effects.addAll(result.effects());
    }
    return new Result(last, List.copyOf(effects));
  }

  /** A dial is turned by one notch, or pushed. */
  public Result dial(Device device, String dial, Trigger.Turn turn, long now) {
    return signal(new Motion(new Trigger.Dial(device.id(), page(device).id(), dial, turn)), now);
  }

  /** A program was started: what is bound to that fires in it, in front or not. */
  public Result started(String application, long now) {
    Optional<Program> program = computer.program(application);
    if (program.isEmpty()) {
      return new Result(Optional.empty(), List.of());
    }
    Signal start = new Motion(new Trigger.AtStart());
    Place place = program.get().place();
    Resolver.Answer answer = resolver.press(Resolver.start(place), start, now);
    List<Effect> effects =
        answer.outcomes().stream()
            .filter(o -> !(o instanceof Outcome.Unclaimed))
            .map(this::effect)
            .toList();
    return new Result(Optional.of(Explanation.of(keymap, place, List.of(start))), effects);
  }

  /** The page a device shows. */
  public Page page(Device device) {
    return Optional.ofNullable(pages.get(device.id()))
        .flatMap(device::page)
        .orElse(device.firstPage());
  }

  private static boolean underway(Result result) {
    return result.effects().stream()
        .anyMatch(e -> e instanceof Effect.Ran ran && !(ran.run().status() instanceof Status.Over));
  }

  /** Time passes; what a sequence held back may fire, and what repeats does. */
  public Result tick(long now) {
    Result result = take(resolver.tick(state, now), Optional.empty());
    if (repeating.isEmpty() || now < repeating.get().next()) {
      return result;
    }
    List<Effect> effects = new ArrayList<>(result.effects());
    while (repeating.filter(r -> r.next() <= now).isPresent()) {
      Repeating r = repeating.get();
      Effect effect = fire(new Owner.Yours(r.binding().id()));
      effects.add(effect);
      long next = r.next() + 1000 / r.binding().fitting().repeats();
      boolean goesOn =
          effect instanceof Effect.Ran ran
              && ran.run().status() instanceof Status.Over
              && !ran.trace().endedBadly(); // else it would run into the same again and again
      repeating =
          goesOn ? Optional.of(new Repeating(r.key(), r.binding(), next)) : Optional.empty();
    }
    return new Result(Optional.empty(), List.copyOf(effects));
  }

  /** When what repeats does so next, in the time presses are told in; empty while nothing does. */
  public Optional<Long> repeatsNext() {
    return repeating.map(Repeating::next);
  }

  /** The strokes that may still become a sequence. */
  public List<Signal> pending() {
    return state.pending();
  }

  /** When the program has gone elsewhere, strokes pressed before mean nothing any more. */
  private void follow() {
    if (!state.place().equals(computer.front().place())) {
      state = Resolver.start(computer.front().place());
    }
  }

  private Result take(Resolver.Answer answer, Optional<Explanation> explanation) {
    state = answer.next();
    List<Effect> effects = answer.outcomes().stream().map(this::effect).toList();
    return new Result(explanation, effects);
  }

  private Effect effect(Outcome outcome) {
    return switch (outcome) {
      case Outcome.Fired(Claim claim) -> fire(claim.owner());
      case Outcome.Waiting(Optional<Claim> otherwise) -> new Effect.Waits(otherwise);
      case Outcome.Undecided(List<Claim> claims) -> new Effect.Undecided(claims);
      case Outcome.Typed(String text) -> new Effect.Typed(text, computer.front().type(text));
      case Outcome.Unclaimed(Signal signal) -> new Effect.Nothing(signal);
    };
  }

  private Effect fire(Owner owner) {
    return switch (owner) {
      case Owner.Desktop(String what) -> new Effect.Kept(what);
      case Owner.Native n -> new Effect.Native(n, computer.front().fire(n.command()));
      case Owner.Menu(String id) ->
          library.summoned().stream()
              .filter(m -> m.id().equals(id))
              .findFirst()
              .<Effect>map(Effect.Opened::new)
              .orElseThrow();
      case Owner.Key k -> throw new IllegalArgumentException("no claim of the keymap: " + k);
      case Owner.Yours(String id) -> {
        Binding binding = library.bindings().get(id);
        Optional<Routine> routine = library.routineOf(binding);
        yield routine.isPresent()
            ? run(binding, routine.get())
            : new Effect.Lacking(binding, binding.routine());
      }
    };
  }

  private Effect run(Binding binding, Routine routine) {
    if (Aim.program(routine, computer).isEmpty()) {
      return new Effect.Lacking(binding, routine.application());
    }
    Run run = Run.of(binding.asked(routine), binding.arguments(), around());
    driver.accept(run);
    return new Effect.Ran(binding, routine, run);
  }

  /** What surrounds the runs of this trial. */
  public Around around() {
    return new Around(
        computer,
        id -> Optional.ofNullable(library.routines().get(id)),
        id -> Optional.ofNullable(library.applications().get(id)),
        new Strikes(library, keymap),
        scripts,
        false);
  }
}
