package foldtwice.standin.base;

import foldtwice.routine.Value;
import foldtwice.run.Change;
import foldtwice.run.Dialog;
import foldtwice.run.Program;
import foldtwice.run.Reply;
import java.math.BigDecimal;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Deque;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;

/**
 * What all stand-ins share: commands with menu paths, one open dialog, settings, and an undo
 * history over an immutable document.
 *
 * @param <D> the document, the selection included; replaced whole by every change
 */
public abstract class StandIn<D> implements Program {

  /** Separates the labels of a menu path. */
  public static final String UNDER = " \u203a ";

  private record Command(List<String> menu, Supplier<Reply> action) {}

  private final String application;
  private final Map<String, Command> commands = new LinkedHashMap<>();
  private final Map<List<String>, String> byMenu = new LinkedHashMap<>();
  private final Map<String, Value> settings = new LinkedHashMap<>();
  private final Deque<D> past = new ArrayDeque<>();
  private final Deque<D> future = new ArrayDeque<>();
  private OpenDialog dialog;
  private D document;
  private D beforeRun;

  protected StandIn(String application, D document) {
    this.application = application;
    this.document = document;
  }

  /** Adds a command; {@code menu} is its path, or empty for one that only has a key. */
  protected final void command(String id, String menu, Supplier<Reply> action) {
    List<String> path = menu.isEmpty() ? List.of() : List.of(menu.split(UNDER));
    commands.put(id, new Command(path, action));
    if (!path.isEmpty()) {
      byMenu.put(path, id);
    }
  }

  protected final void setting(String name, Value value) {
    settings.put(name, value);
  }

  /** Takes over everything another one is in. */
  protected final void takeOver(StandIn<D> other) {
    document = other.document;
    beforeRun = other.beforeRun;
    dialog = other.dialog;
    settings.putAll(other.settings);
    past.addAll(other.past);
    future.addAll(other.future);
  }

  /** What this change of the document looks like to a person. */
  protected abstract List<Change> differences(D before, D after);

  /** Says why a setting cannot have a value; nothing when it can. */
  protected abstract Optional<Reply> refusal(String setting, Value value);

  public final D document() {
    return document;
  }

  /** The document becomes another one; one step of undo unless a run is on. */
  protected final Reply become(D next) {
    if (next.equals(document)) {
      return Reply.QUIET;
    }
    D before = document;
    if (beforeRun == null) {
      past.push(before);
      future.clear();
    }
    document = next;
    return new Reply.Done(differences(before, next));
  }

  /** Takes the last change back as if it had not been made. */
  protected final void takeBack() {
    if (beforeRun == null) {
      document = past.pop();
    }
  }

  /**
   * Finishes what is half done, such as a text being typed, before a run, after it and before undo.
   */
  protected void settle() {}

  protected final Reply open(OpenDialog opened) {
    dialog = opened;
    return new Reply.Done(List.of(new Change("dialog", "none", opened.view().title())));
  }

  protected final void close() {
    dialog = null;
  }

  @Override
  public final String application() {
    return application;
  }

  /** The menu paths of all commands, in menu order. */
  public final List<List<String>> menuPaths() {
    return List.copyOf(byMenu.keySet());
  }

  /** The ids of all commands. */
  public final List<String> commandIds() {
    return List.copyOf(commands.keySet());
  }

  /** The menu path of a command; empty for one without. */
  public final List<String> menuPath(String command) {
    return commands.get(command).menu();
  }

  @Override
  public final Reply choose(List<String> menuPath) {
    if (dialog != null) {
      return new Reply.Refused("no open dialog", "the dialog \"" + dialog.view().title() + "\"");
    }
    String id = byMenu.get(menuPath);
    if (id == null) {
      return new Reply.Refused(
          "a menu path, such as " + nearest(menuPath), String.join(UNDER, menuPath));
    }
    return commands.get(id).action().get();
  }

  private String nearest(List<String> path) {
    return byMenu.keySet().stream()
        .min(
            java.util.Comparator.comparingInt(
                p -> Nearness.distance(String.join(UNDER, p), String.join(UNDER, path))))
        .map(p -> String.join(UNDER, p))
        .orElse("none");
  }

  @Override
  public final Reply fire(String command) {
    Command c = commands.get(command);
    return c == null
        ? new Reply.Refused("a command of " + application, "no \"" + command + "\"")
        : c.action().get();
  }

  @Override
  public final Optional<Dialog> dialog() {
    return Optional.ofNullable(dialog).map(OpenDialog::view);
  }

  @Override
  public final Reply fill(String field, String text) {
    if (dialog == null) {
      return new Reply.Refused("an open dialog with the field \"" + field + "\"", "no dialog");
    }
    Optional<Dialog.Field> target = dialog.view().field(field);
    if (target.isEmpty()) {
      return new Reply.Refused(
          "a field, one of "
              + String.join(
                  ", ", dialog.view().fields().stream().map(Dialog.Field::label).toList()),
          "no \"" + field + "\"");
    }
    if (target.get().decimals() >= 0) {
      Optional<BigDecimal> number = OpenDialog.number(text);
      if (number.isEmpty() || number.get().scale() > target.get().decimals()) {
        return new Reply.Refused(
            "a number with at most " + target.get().decimals() + " decimals", "\"" + text + "\"");
      }
    }
    String before = target.get().text();
    dialog = dialog.with(field, text);
    return new Reply.Done(List.of(new Change(field, before, text)));
  }

  @Override
  public final Reply press(String button) {
    if (dialog == null) {
      return new Reply.Refused("an open dialog with the button \"" + button + "\"", "no dialog");
    }
    var action = dialog.actions().get(button);
    return action == null
        ? new Reply.Refused(
            "a button, one of " + String.join(", ", dialog.actions().keySet()),
            "no \"" + button + "\"")
        : action.on(this, dialog.view());
  }

  @Override
  public Reply cancel() {
    if (dialog == null) {
      return Reply.QUIET;
    }
    String title = dialog.view().title();
    dialog = null;
    return new Reply.Done(List.of(new Change("dialog", title, "none")));
  }

  @Override
  public final Map<String, Value> settings() {
    return Collections.unmodifiableMap(settings);
  }

  @Override
  public final Reply change(String setting, Value value) {
    Value before = settings.get(setting);
    if (before == null) {
      return new Reply.Refused(
          "a setting, one of " + String.join(", ", settings.keySet()), "no \"" + setting + "\"");
    }
    Optional<Reply> refusal = refusal(setting, value);
    if (refusal.isPresent()) {
      return refusal.get();
    }
    if (before.equals(value)) {
      return Reply.QUIET;
    }
    settings.put(setting, value);
    return new Reply.Done(List.of(new Change(setting, before.shown(), value.shown())));
  }

  @Override
  public final void beginRun() {
    settle();
    beforeRun = document;
  }

  @Override
  public final void endRun() {
    settle();
    if (beforeRun != null && !beforeRun.equals(document)) {
      past.push(beforeRun);
      future.clear();
    }
    beforeRun = null;
  }

  @Override
  public final Reply undo() {
    return swap(past, future, "something to undo");
  }

  @Override
  public final Reply redo() {
    return swap(future, past, "something to do again");
  }

  private Reply swap(Deque<D> from, Deque<D> to, String expected) {
    settle();
    if (from.isEmpty() || beforeRun != null) {
      return new Reply.Refused(expected, "nothing");
    }
    D before = document;
    to.push(before);
    document = from.pop();
    return new Reply.Done(differences(before, document));
  }

  @Override
  public final int undoDepth() {
    return past.size();
  }

  /** Adds a change where two values differ. */
  public static void compare(List<Change> changes, String what, String before, String after) {
    if (!before.equals(after)) {
      changes.add(new Change(what, before, after));
    }
  }

  /** The settings and the open dialog, as {@link #state} shows them. */
  protected final Map<String, String> commonState() {
    Map<String, String> state = new LinkedHashMap<>();
    state.put("place", place().id());
    settings.forEach((name, value) -> state.put("setting " + name, value.shown()));
    dialog()
        .ifPresent(
            d -> {
              state.put("dialog", d.title());
              d.fields().forEach(f -> state.put("field " + f.label(), f.text()));
            });
    return state;
  }

  /** A list to collect changes in. */
  protected static List<Change> changes() {
    return new ArrayList<>();
  }
}
