package foldtwice.standin.base;

import foldtwice.known.Facts;
import foldtwice.known.Touch;
import foldtwice.place.Place;
import foldtwice.routine.Kind;
import foldtwice.routine.Parameter;
import foldtwice.routine.Step;
import foldtwice.routine.Value;
import foldtwice.routine.ValueException;
import foldtwice.run.Change;
import foldtwice.run.Dialog;
import foldtwice.run.Reply;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What all stand-ins share: what is done with their commands, their one open dialog, settings and
 * adjustable values, over what they say of themselves and the document they work on.
 *
 * @param <D> the document, the selection included; replaced whole by every change
 */
public abstract class StandIn<D> extends Documented<D> {

  /** Going through the history is nothing to do once more. */
  private static final Set<String> UNDOING = Set.of("undo", "redo");

  /** What was done last: a command, or a button with what stood in its dialog. */
  private record Last(String command, OpenDialog dialog, String button) {}

  private Clipboard clipboard = new Clipboard();
  private Clock clock = Clock.fixed(Instant.EPOCH, ZoneOffset.UTC);
  private OpenDialog dialog;
  private Last last;

  protected StandIn(String application, Edition edition, D document) {
    super(application, edition, document);
  }

  /**
   * Is told to do something with what nobody described.
   *
   * @param what it is, in words
   * @param to what it is to become, empty where it is only done
   */
  protected Optional<Reply> undescribed(Facts.Aspect aspect, String what, String to) {
    return Optional.empty();
  }

  /** Gives an adjustable value, which is in its range, to what is selected. */
  protected Reply setValue(String name, Value.Quantity value) {
    throw new IllegalStateException("no adjustable values: " + name + " " + value);
  }

  /** From now on nobody waits for what takes its time: it is {@linkplain #work work} then. */
  public void hurry() {}

  /** Drops what is half done. */
  protected Reply drop() {
    return Reply.QUIET;
  }

  /** What a change that takes effect later waits for. */
  protected String waitsFor() {
    return "after a restart";
  }

  /** After a restart, what it begins with. */
  protected void restarted() {}

  /** Goes into one of its contexts; what was half done has been dropped. */
  protected abstract Reply goTo(String context);

  protected final Clipboard clipboard() {
    return clipboard;
  }

  /** The time on the computer it runs on. */
  protected final Clock clock() {
    return clock;
  }

  /** From now on this is what it cuts and pastes through, and where it reads the time. */
  public final void attach(Clipboard shared, Clock shown) {
    clipboard = shared;
    clock = shown;
  }

  @Override
  protected final Reply open(OpenDialog opened) {
    dialog = opened.in(edition().labels());
    return new Reply.Done(List.of(new Change("dialog", "none", dialog.view().title())));
  }

  protected final void close() {
    dialog = null;
  }

  /** Takes over everything another one is in. */
  protected final void takeOver(StandIn<D> other) {
    takeDocument(other);
    dialog = other.dialog;
    last = other.last;
    given().takeOver(other.given());
    clipboard.put(other.clipboard.text());
    clock = other.clock;
  }

  @Override
  public final Reply enter(Place state) {
    if (state.equals(place())) {
      return Reply.QUIET;
    }
    if (!state.isOf(application())) {
      return new Reply.Refused("a state of " + application(), state.id());
    }
    return switch (state) {
      case Place.Within(var id, String focus) when !panes().contains(focus) -> goTo(focus, "");
      case Place.Over(var id, String focus, String pane) when panes().contains(pane) ->
          goTo(focus, pane);
      default -> new Reply.Refused("a state of " + application(), state.id());
    };
  }

  private Reply goTo(String focus, String pane) {
    cancel();
    drop();
    Reply there = goTo(focus);
    return there instanceof Reply.Refused || pane().equals(pane) ? there : both(there, point(pane));
  }

  @Override
  public final Reply choose(List<String> menuPath) {
    if (dialog != null) {
      return new Reply.Refused("no open dialog", "the dialog \"" + dialog.view().title() + "\"");
    }
    return commands()
        .at(menuPath)
        .map(this::act)
        .or(() -> undescribed(Facts.Aspect.COMMANDS, "command " + String.join(UNDER, menuPath), ""))
        .orElseGet(
            () ->
                new Reply.Refused(
                    "a menu path" + commands().nearest(menuPath, edition().labels()),
                    String.join(UNDER, menuPath)));
  }

  @Override
  public final Reply fire(String command) {
    return commands().of(command).isPresent()
        ? act(command)
        : new Reply.Refused("a command of " + application(), "no \"" + command + "\"");
  }

  private Reply act(String id) {
    Commands.Command command = commands().of(id).orElseThrow();
    Reply reply = command.action().get();
    boolean repeatable =
        command.opens().isEmpty()
            && command.effects().touches().contains(Touch.OBJECTS)
            && !UNDOING.contains(id);
    if (repeatable && reply instanceof Reply.Done) {
      last = new Last(id, null, "");
    }
    return reply;
  }

  @Override
  public final Reply again() {
    if (last == null) {
      return new Reply.Refused("something done before", "nothing yet");
    }
    return last.dialog() == null
        ? act(last.command())
        : last.dialog().buttons().get(last.button()).action().on(this, last.dialog().view());
  }

  @Override
  public final Reply invoke(String addOn, String id, Map<String, Value> arguments) {
    if (dialog != null) {
      return new Reply.Refused("no open dialog", "the dialog \"" + dialog.view().title() + "\"");
    }
    Optional<Action> action = action(addOn, id);
    if (action.isEmpty()) {
      return undescribed(Facts.Aspect.ADD_ONS, "action " + addOn + ": " + id, "")
          .orElseGet(() -> new Reply.Refused("an action of " + addOn, "no \"" + id + "\""));
    }
    for (Parameter p : action.get().facts().parameters()) {
      try {
        p.kind().check(arguments.get(p.name()));
      } catch (ValueException e) {
        return new Reply.Refused(p.name() + ": " + e.allowed(), e.found());
      }
    }
    return action.get().does().apply(arguments);
  }

  @Override
  public final Optional<Dialog> dialog() {
    return Optional.ofNullable(dialog).map(OpenDialog::view);
  }

  @Override
  public final Reply fill(String field, String text) {
    if (dialog == null) {
      return undescribed(Facts.Aspect.DIALOGS, "field " + field, text)
          .orElseGet(
              () ->
                  new Reply.Refused(
                      "an open dialog with the field \"" + field + "\"", "no dialog"));
    }
    return switch (dialog.filled(field, text)) {
      case OpenDialog.Filled.With(OpenDialog next, Change change) -> {
        dialog = next;
        yield new Reply.Done(List.of(change));
      }
      case OpenDialog.Filled.Not(Reply.Refused refused) -> refused;
    };
  }

  @Override
  public final Reply press(String button) {
    if (dialog == null) {
      return undescribed(Facts.Aspect.DIALOGS, "button " + button, "")
          .orElseGet(
              () ->
                  new Reply.Refused(
                      "an open dialog with the button \"" + button + "\"", "no dialog"));
    }
    OpenDialog pressed = dialog;
    OpenDialog.Button b = pressed.buttons().get(button);
    if (b == null) {
      return new Reply.Refused(
          "a button, one of " + String.join(", ", pressed.buttons().keySet()),
          "no \"" + button + "\"");
    }
    Reply reply = b.action().on(this, pressed.view());
    if (!(reply instanceof Reply.Done(List<Change> changed))) {
      return reply;
    }
    if (b.effects().touches().contains(Touch.OBJECTS)) {
      last = new Last("", pressed, button);
    }
    if (!b.closes() || !pressed.equals(dialog)) {
      return reply;
    }
    dialog = null;
    List<Change> all = new ArrayList<>(changed);
    all.add(new Change("dialog", pressed.view().title(), "none"));
    return new Reply.Done(all);
  }

  @Override
  public final Reply finish() {
    if (dialog != null) {
      return press(dialog.view().buttons().getFirst());
    }
    D before = document();
    settle();
    return new Reply.Done(differences(before, document()));
  }

  @Override
  public final Reply cancel() {
    if (dialog == null) {
      return drop();
    }
    String title = dialog.view().title();
    dialog = null;
    return new Reply.Done(List.of(new Change("dialog", title, "none")));
  }

  @Override
  public final Map<String, Value> settings() {
    return given().values();
  }

  @Override
  public final Reply change(String setting, Value value) {
    return undescribed(Facts.Aspect.SETTINGS, "setting " + setting, value.shown())
        .orElseGet(() -> given().change(setting, value));
  }

  @Override
  public Map<String, Value.Quantity> values() {
    return Map.of();
  }

  @Override
  public abstract StandIn<D> copy();

  @Override
  public final Reply adjust(String name, Step.Adjusting way, Value.Quantity to, Step.Edge edge) {
    Value.Quantity now = values().get(name);
    if (now == null) {
      return undescribed(
              Facts.Aspect.VALUES,
              "value " + name,
              (way == Step.Adjusting.TO ? "" : "by ") + to.shown())
          .orElseGet(
              () -> new Reply.Refused("something selected to adjust", "no \"" + name + "\""));
    }
    Kind.Measure range = range(name);
    if (to.scale() != range.least().scale()) {
      return new Reply.Refused("an amount in " + range.least().scale().symbol(), to.shown());
    }
    Value.Quantity wanted = way == Step.Adjusting.TO ? to : now.plus(to);
    Value.Quantity least = range.least();
    Value.Quantity most = range.most();
    if (wanted.compareTo(least) < 0 || wanted.compareTo(most) > 0) {
      if (edge != Step.Edge.CLAMP) {
        return new Reply.Refused(name + " " + range.allowed(), wanted.shown());
      }
      wanted = wanted.compareTo(least) < 0 ? least : most;
    }
    return setValue(name, wanted);
  }

  @Override
  public List<String> pending() {
    return given().pending(waitsFor());
  }

  @Override
  public final Reply restart() {
    settle();
    List<Change> changes = changes();
    dialog = null;
    last = null;
    anew();
    changes.addAll(takeUp());
    restarted();
    changes.add(new Change("program", "running", "started anew"));
    return new Reply.Done(changes);
  }

  /** What waited takes effect. */
  protected final List<Change> takeUp() {
    return given().takeUp();
  }

  /** The settings and the open dialog, as {@link #state} shows them. */
  protected final Map<String, String> commonState() {
    Map<String, String> state = new LinkedHashMap<>();
    state.put("view place", place().id());
    given().describe(state);
    state.put("selection", String.join(", ", selected()));
    state.put("clipboard", clipboard.text());
    if (!pointed().isEmpty()) {
      state.put("view pointer", pointed());
    }
    dialog()
        .ifPresent(
            d -> {
              state.put("view dialog", d.title());
              d.fields().forEach(f -> state.put("field " + f.label(), f.text()));
            });
    return state;
  }
}
