package foldtwice.effort;

import foldtwice.binding.Binding;
import foldtwice.library.Library;
import foldtwice.resolve.Keymap;
import foldtwice.routine.Expr;
import foldtwice.routine.Line;
import foldtwice.routine.Manner;
import foldtwice.routine.Parameter;
import foldtwice.routine.Routine;
import foldtwice.routine.Step;
import foldtwice.routine.Target;
import foldtwice.routine.Yardstick.Meant;
import foldtwice.routine.Yardstick.Move;
import foldtwice.surface.Device;
import foldtwice.surface.Page;
import foldtwice.surface.RadialMenu;
import foldtwice.surface.Toolbar;
import foldtwice.trigger.KeyCode;
import foldtwice.trigger.Modifier;
import foldtwice.trigger.Press;
import foldtwice.trigger.Shape;
import foldtwice.trigger.Signal;
import foldtwice.trigger.Trigger;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What it takes to set a binding off on a station: its trigger, as the station's layout and shape
 * have it, and what its routine asks. One route for each trigger.
 *
 * <p>A chord is one key for each of its keys, modifiers counted; the strokes of a sequence belong
 * together. A hand on the pointer goes to the keys and back, unless all keys lie within reach of
 * the other hand. A key of a pad is looked for among all that its device has; a button of a toolbar
 * among its buttons, and pointed at.
 */
public final class BoundRoute {

  /** Key positions the left hand reaches from its place, in key widths from the left. */
  private static final double LEFT = 6.6;

  /** Where pointing goes when nothing is known of the way: pixels to a thing so wide. */
  static final int FAR = 400;

  static final int BUTTON = 28;
  private static final int STROKE = 80;

  private final Library library;
  private final Keymap keymap;
  private final Map<KeyCode, Double> columns = new EnumMap<>(KeyCode.class);

  /** On the station of a keymap. */
  public BoundRoute(Library library, Keymap keymap) {
    this.library = library;
    this.keymap = keymap;
    for (Shape.Cap cap : keymap.station().shape().caps()) {
      columns.put(cap.code(), cap.x() + cap.width() / 2);
    }
  }

  /**
   * Where the hand is when a binding is used: on the pointer where it acts on what was selected and
   * nothing is typed, else on the keys. Common practice, no source.
   */
  public Outset outset(Binding binding) {
    Optional<Routine> routine = library.routineOf(binding);
    boolean points =
        routine
            .filter(
                r ->
                    r.target() == Target.SELECTION
                        || r.target() == Target.LAST_SELECTED
                        || r.target() == Target.POINTER_OR_DOCUMENT)
            .isPresent();
    return points && !library.takesText(binding.place()) ? Outset.POINTER : Outset.KEYS;
  }

  /** The route of a binding by one of its triggers, with what its routine asks. */
  public List<Move> of(Binding binding, Trigger trigger) {
    List<Move> moves = new ArrayList<>(of(trigger, outset(binding)));
    library.routineOf(binding).ifPresent(r -> asks(binding, r, moves));
    return moves;
  }

  /**
   * The route of a trigger alone.
   *
   * @return empty where the station cannot make it, or nobody has to
   */
  public List<Move> of(Trigger trigger, Outset outset) {
    if (trigger.deviceId().filter(d -> !isHere(d)).isPresent()) {
      return List.of();
    }
    return switch (trigger) {
      case Trigger.Keys keys -> keys(keys, outset);
      case Trigger.Held(var stroke, var edge) -> keys(new Trigger.Keys(List.of(stroke)), outset);
      case Trigger.PadKey(String device, String page, String key, Trigger.Duration way) ->
          pad(device, page, way);
      case Trigger.Dial d ->
          List.of(new Move.Hand(), new Move.Keys(1, Meant.COMMAND), new Move.Hand());
      case Trigger.Gesture(var button, var strokes) -> {
        List<Move> moves = toPointer(outset);
        moves.add(new Move.Clicks(1));
        strokes.forEach(s -> moves.add(new Move.Point(STROKE, STROKE / 2, Meant.ARGUMENT)));
        back(outset, Outset.POINTER, moves);
        yield moves;
      }
      case Trigger.Pointer(var button, var held) -> {
        List<Move> moves = toPointer(outset);
        if (!held.isEmpty()) {
          moves.add(new Move.Keys(held.count(), Meant.COMMAND));
        }
        moves.add(new Move.Clicks(1));
        back(outset, Outset.POINTER, moves);
        yield moves;
      }
      case Trigger.Radial(String menu, var choice) -> radial(menu, outset);
      case Trigger.Button(String toolbar, int slot) -> {
        List<Move> moves = toPointer(outset);
        int among =
            library.surfaces().get(toolbar) instanceof Toolbar bar ? Math.max(1, bar.slots()) : 1;
        moves.add(new Move.Choose(among));
        moves.add(new Move.Point(FAR, BUTTON, Meant.COMMAND));
        moves.add(new Move.Clicks(1));
        back(outset, Outset.POINTER, moves);
        yield moves;
      }
      case Trigger.AtStart s -> List.of();
    };
  }

  private static List<Move> toPointer(Outset outset) {
    List<Move> moves = new ArrayList<>();
    if (outset == Outset.KEYS) {
      moves.add(new Move.Hand());
    }
    return moves;
  }

  private static void back(Outset outset, Outset now, List<Move> moves) {
    if (outset != now) {
      moves.add(new Move.Hand());
    }
  }

  private List<Move> keys(Trigger.Keys keys, Outset outset) {
    Optional<List<Signal>> path =
        keymap.paths(keys).stream().filter(this::isOnKeyboard).findFirst();
    if (path.isEmpty()) {
      return sent(keys);
    }
    int count = 0;
    boolean oneHanded = true;
    for (Signal s : path.get()) {
      if (s instanceof Press p) {
        count += 1 + p.held().count();
        oneHanded &= isLeft(p);
      }
    }
    List<Move> moves = new ArrayList<>();
    boolean go = outset == Outset.POINTER && !oneHanded;
    if (go) {
      moves.add(new Move.Hand());
    }
    moves.add(new Move.Keys(count, Meant.COMMAND));
    if (go) {
      moves.add(new Move.Hand());
    }
    return moves;
  }

  private boolean isHere(String device) {
    return keymap.station().devices().contains(device);
  }

  private boolean isOnKeyboard(List<Signal> path) {
    return path.stream()
        .allMatch(s -> !(s instanceof Press p) || keymap.station().shape().has(p.code()));
  }

  /** What the keyboard lacks and a key of a device sends. */
  private List<Move> sent(Trigger.Keys keys) {
    for (Device d : library.devices()) {
      for (Page p : isHere(d.id()) ? d.pages() : List.<Page>of()) {
        if (p.sends().values().stream()
            .anyMatch(s -> s instanceof Page.Sends.Chord c && c.keys().equals(keys))) {
          return pad(d.id(), p.id(), Trigger.Duration.TAP);
        }
      }
    }
    return List.of();
  }

  /** Within reach of the left hand, its modifiers too: AltGr is right of the space bar. */
  private boolean isLeft(Press p) {
    return !p.held().has(Modifier.ALTGR)
        && columns.getOrDefault(p.code(), Double.MAX_VALUE) <= LEFT;
  }

  private List<Move> pad(String device, String page, Trigger.Duration way) {
    int among =
        library
            .device(device)
            .filter(d -> d.page(page).isPresent())
            .map(d -> Math.max(1, d.keys().size()))
            .orElse(1);
    List<Move> moves = new ArrayList<>(List.of(new Move.Hand(), new Move.Choose(among)));
    moves.add(new Move.Keys(1, Meant.COMMAND));
    if (way == Trigger.Duration.HOLD) {
      moves.add(new Move.Wait((int) Trigger.HOLD_MILLIS));
    }
    moves.add(new Move.Hand());
    return moves;
  }

  private List<Move> radial(String id, Outset outset) {
    List<Move> moves = new ArrayList<>();
    if (library.surfaces().get(id) instanceof RadialMenu menu && !menu.opens().isEmpty()) {
      moves.addAll(of(menu.opens().getFirst(), outset));
    }
    moves.add(new Move.Choose(8));
    moves.add(new Move.Point(STROKE, BUTTON, Meant.ARGUMENT));
    moves.add(new Move.Clicks(1));
    return moves;
  }

  /** What a person is asked before it begins, and on its way. */
  private void asks(Binding binding, Routine routine, List<Move> moves) {
    Manner.Asking asking = binding.fitting().asks().orElse(routine.manner().asking());
    if (asking == Manner.Asking.ALWAYS) {
      for (Parameter p : routine.parameters()) {
        answer(Library.argument(binding, p).shown().length(), moves);
      }
    }
    if (routine instanceof Routine.Macro macro) {
      asks(macro.steps(), moves);
    }
  }

  private static void asks(List<Line> lines, List<Move> moves) {
    for (Line line : lines) {
      if (!line.on()) {
        continue;
      }
      switch (line.step()) {
        case Step.Ask(var text, List<Step.Question> questions) ->
            questions.forEach(q -> answer(length(q.otherwise()), moves));
        case Step.Pause p -> moves.add(new Move.Keys(1, Meant.COMMAND));
        default -> line.step().bodies().forEach(b -> asks(b, moves));
      }
    }
  }

  private static int length(Expr value) {
    return value.constant().map(v -> v.shown().length()).orElse(WorkedOut.TYPICAL);
  }

  private static void answer(int letters, List<Move> moves) {
    moves.add(new Move.Keys(Math.max(1, letters), Meant.ARGUMENT));
    moves.add(new Move.Keys(1, Meant.END));
  }
}
