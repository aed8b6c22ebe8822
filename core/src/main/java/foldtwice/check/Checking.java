package foldtwice.check;

import foldtwice.check.Checked.Lack;
import foldtwice.check.Checked.Verdict;
import foldtwice.conflict.Makeable;
import foldtwice.library.Dangling;
import foldtwice.library.Expected;
import foldtwice.library.Library;
import foldtwice.library.PressCheck;
import foldtwice.ready.Heard;
import foldtwice.resolve.Claim;
import foldtwice.run.Computer;
import foldtwice.run.Program;
import foldtwice.run.Reply;
import foldtwice.run.Run;
import foldtwice.run.Scripts;
import foldtwice.run.Trace;
import foldtwice.run.Trial;
import foldtwice.run.Trial.Effect;
import foldtwice.surface.Device;
import foldtwice.trigger.Signal;
import foldtwice.trigger.Trigger;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;

/** Makes the presses of a check on a computer and compares. */
public final class Checking {

  /** Between two presses of a check, long enough for every sequence to be over. */
  private static final long PAUSE_MILLIS = 5000;

  private final Heard heard;
  private final Scripts scripts;

  /**
   * @param heard what the programs of the station know of the library
   */
  public Checking(Heard heard, Scripts scripts) {
    this.heard = heard;
    this.scripts = scripts;
  }

  /**
   * Makes a check.
   *
   * @param computer one that nothing has been done to; it is changed
   */
  public Checked check(PressCheck check, Computer computer) {
    return new Checked(check, heard.keymap().station().id(), verdict(check, computer));
  }

  /**
   * What keeps a check from being made on any station of a library; empty when nothing does.
   *
   * @param words what a trigger points at that is not there
   */
  public static Optional<Verdict.Cannot> nowhere(
      PressCheck check, Library library, Function<Dangling, String> words) {
    if (!check.station().isEmpty() && !library.stations().containsKey(check.station())) {
      return Optional.of(new Verdict.Cannot(Lack.NO_STATION, check.station()));
    }
    boolean isState =
        library.applications().values().stream().anyMatch(a -> a.states().contains(check.place()));
    if (!isState) {
      return Optional.of(new Verdict.Cannot(Lack.NO_PLACE, check.place().id()));
    }
    return check.presses().stream()
        .flatMap(t -> Dangling.of(t, check.place(), library).stream())
        .findFirst()
        .map(d -> new Verdict.Cannot(Lack.NO_SURFACE, words.apply(d)));
  }

  private Verdict verdict(PressCheck check, Computer computer) {
    Optional<Verdict.Cannot> nowhere =
        nowhere(check, heard.library(), d -> d.of() + " " + d.named());
    if (nowhere.isPresent()) {
      return nowhere.get();
    }
    String application = check.place().applicationId().orElse("");
    Optional<Program> program = computer.program(application);
    if (program.isEmpty() || !heard.library().applications().containsKey(application)) {
      return new Verdict.Cannot(Lack.NO_PROGRAM, application);
    }
    computer.bringToFront(application);
    if (!heard.keymap().states().contains(check.place())
        || program.get().enter(check.place()) instanceof Reply.Refused) {
      return new Verdict.Cannot(Lack.NO_STATE, check.place().id());
    }
    Map<String, String> pages = new HashMap<>();
    Trial trial = new Trial(heard.library(), heard.keymap(), computer, scripts, pages, Run::toEnd);
    List<Effect> last = List.of();
    long now = 0;
    for (Trigger t : check.presses()) {
      Optional<Verdict> lack = lack(t);
      if (lack.isPresent()) {
        return lack.get();
      }
      List<Effect> effects = new ArrayList<>(press(trial, t, pages, now));
      now += PAUSE_MILLIS;
      effects.addAll(trial.rest(now).effects());
      last = effects;
    }
    List<Expected> came = came(last);
    return came.equals(List.of(check.expected()))
        ? new Verdict.Holds()
        : new Verdict.Differs(came, badEnding(last));
  }

  private Optional<Verdict> lack(Trigger trigger) {
    Optional<String> absent =
        trigger.deviceId().filter(d -> !heard.keymap().station().devices().contains(d));
    if (absent.isPresent()) {
      return Optional.of(new Verdict.Cannot(Lack.NO_DEVICE, absent.get()));
    }
    return Makeable.isMade(trigger, heard.library(), heard.keymap())
        ? Optional.empty()
        : Optional.of(new Verdict.Cannot(Lack.NO_KEY, heard.keymap().station().layout()));
  }

  private List<Effect> press(Trial trial, Trigger trigger, Map<String, String> pages, long now) {
    Optional<Device> pad =
        trigger instanceof Trigger.PadKey p ? heard.library().device(p.device()) : Optional.empty();
    if (trigger instanceof Trigger.PadKey(String device, String page, String key, var way)
        && pad.isPresent()) {
      pages.put(device, page);
      return trial.key(pad.get(), key, way, now).effects();
    }
    List<Effect> effects = new ArrayList<>();
    for (Signal s : heard.keymap().paths(trigger).getFirst()) {
      effects.addAll(trial.signal(s, now).effects());
    }
    return effects;
  }

  /**
   * What some effects come to in the words of an expectation; characters typed one after the other
   * are one text, and what only leads on to something is left out.
   */
  public static List<Expected> came(List<Effect> effects) {
    List<Expected> came = new ArrayList<>();
    for (Effect e : effects) {
      Optional<Expected> one = came(e);
      if (one.isEmpty()) {
        continue;
      }
      if (one.get() instanceof Expected.Types(String more)
          && !came.isEmpty()
          && came.getLast() instanceof Expected.Types(String text)) {
        came.set(came.size() - 1, new Expected.Types(text + more));
      } else {
        came.add(one.get());
      }
    }
    return List.copyOf(came);
  }

  private static Optional<Expected> came(Effect effect) {
    return switch (effect) {
      case Effect.Ran ran ->
          Optional.of(new Expected.Fires(ran.binding().id(), !ran.trace().endedBadly()));
      case Effect.Lacking(var binding, var what) -> Optional.of(new Expected.Lacks(binding.id()));
      case Effect.Native(var command, var reply) ->
          Optional.of(new Expected.Does(command.application(), command.command()));
      case Effect.Kept(String what) -> Optional.of(new Expected.Keeps(what));
      case Effect.Typed(String text, var reply) -> Optional.of(new Expected.Types(text));
      case Effect.Undecided(List<Claim> claims) ->
          Optional.of(
              new Expected.Undecided(
                  claims.stream().map(c -> c.owner().name()).distinct().toList()));
      case Effect.Opened(var menu) -> Optional.of(new Expected.Opens(menu.id()));
      case Effect.Turned(var device, var page) ->
          Optional.of(new Expected.Turns(device.id(), page.id()));
      case Effect.Nothing n -> Optional.of(new Expected.Nothing());
      case Effect.Waits w -> Optional.empty();
      case Effect.Sent s -> Optional.empty();
    };
  }

  /** How the last run that did not go well ended. */
  private static Optional<Trace.Ending> badEnding(List<Effect> effects) {
    for (Effect e : effects.reversed()) {
      if (e instanceof Effect.Ran ran && ran.trace().endedBadly()) {
        return Optional.of(ran.trace().ending());
      }
    }
    return Optional.empty();
  }
}
