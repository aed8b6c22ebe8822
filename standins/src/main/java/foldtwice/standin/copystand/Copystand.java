package foldtwice.standin.copystand;

import foldtwice.extras.Extras;
import foldtwice.known.Effects;
import foldtwice.known.Facts;
import foldtwice.known.Touch;
import foldtwice.place.AddOn;
import foldtwice.place.Place;
import foldtwice.routine.Kind;
import foldtwice.routine.Parameter;
import foldtwice.routine.Scale;
import foldtwice.routine.Value;
import foldtwice.routine.Value.Quantity;
import foldtwice.run.Change;
import foldtwice.run.Dialog;
import foldtwice.run.Reply;
import foldtwice.standin.base.Edition;
import foldtwice.standin.base.OpenDialog;
import foldtwice.standin.base.StandIn;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.BiFunction;
import java.util.function.UnaryOperator;

/** Sheet photographs: a strip of shots, adjustable values, stored looks, sending out. */
public final class Copystand extends StandIn<Strip> {

  public static final String ID = "copystand";

  /** The versions there are; the later one turns further, and sends out from a menu of its own. */
  public static final List<String> VERSIONS = List.of("4.0", "4.1");

  private static final Parameter LIMIT =
      new Parameter(
          "limit",
          new Kind.Measure(
              Quantity.of("0", Scale.DEGREE),
              Quantity.of("5", Scale.DEGREE),
              Quantity.of("0.1", Scale.DEGREE)),
          Quantity.of("0.5", Scale.DEGREE),
          Extras.NONE);

  /** The add-on that straightens by itself. */
  public static final AddOn STRAIGHTENER = new AddOn("Straightener", "2.0");

  /** How long sending out one shot takes, in milliseconds. */
  public static final long SENDING = 400;

  private static final Effects VIEW = Effects.of(Touch.VIEW);
  private static final Effects OBJECTS = Effects.of(Touch.OBJECTS);
  private static final Effects ON_SHOTS = OBJECTS.onSelection();
  private static final Effects SELECTION = Effects.of(Touch.SELECTION);
  private static final Effects DOCUMENT = Effects.of(Touch.OBJECTS, Touch.SELECTION);
  private static final String QUEUE = "export queue";

  private enum Pane {
    STRIP,
    ADJUST,
    CROP
  }

  private Pane pane = Pane.STRIP;
  private final Map<String, Map<String, Quantity>> looks = Values.looks();
  private Map<String, Quantity> copied = Map.of();
  private final List<String> sent = new ArrayList<>();
  private long queueEmptyAt;

  public Copystand() {
    this(Edition.of(VERSIONS.getLast(), List.of(STRAIGHTENER)));
  }

  public Copystand(Edition edition) {
    super(ID, edition, Strip.first());
    Values.ranges(later()).forEach(this::adjustable);
    setting("ruler", "mm", "mm", "cm", "in", "px");
    setting("shown", "as adjusted", "as adjusted", "as taken");
    settingFromRestart("colour profile", "wide", "wide", "narrow");
    stripCommands();
    valueCommands();
    sendingCommands();
    straightenerActions();
  }

  /** What the add-on can do that no menu has. */
  private void straightenerActions() {
    action(
        new Facts.Action(
            new AddOn(STRAIGHTENER.name(), "1.4"),
            "level",
            "Level what is tilted",
            List.of(LIMIT),
            List.of(),
            ON_SHOTS.from(STRAIGHTENER)),
        arguments -> {
          Quantity limit = (Quantity) arguments.get(LIMIT.name());
          return onShots(
              s ->
                  s.values().get(Values.TILT).amount().abs().compareTo(limit.amount()) > 0
                      ? s.with(Values.TILT, Quantity.of("0", Scale.DEGREE))
                      : s);
        });
    Parameter value =
        new Parameter(
            "value",
            new Kind.Choice(List.copyOf(Values.ranges(later()).keySet())),
            new Value.Text(Values.EXPOSURE),
            Extras.NONE);
    action(
        new Facts.Action(
            STRAIGHTENER,
            "value-of-last",
            "Value of the last for all",
            List.of(value),
            List.of(),
            ON_SHOTS.from(STRAIGHTENER)),
        arguments -> {
          String name = arguments.get(value.name()).shown();
          return document()
              .last()
              .map(last -> onShots(s -> s.with(name, last.values().get(name))))
              .orElseGet(() -> new Reply.Refused("a selected shot", "nothing selected"));
        });
  }

  private boolean later() {
    return edition().version().equals(VERSIONS.getLast());
  }

  private void stripCommands() {
    command("save", "Strip \u203a Save", Effects.of(Touch.FILES), () -> sendOff("strip saved"));
    command(
        "import",
        "Strip \u203a Take in shots",
        Effects.of(Touch.OBJECTS, Touch.SELECTION, Touch.UNDO_HISTORY),
        this::takeIn);
    command(
        "remove",
        "Strip \u203a Remove",
        DOCUMENT.onSelection(),
        () -> onSelected(() -> become(document().withoutSelected())));
    command("undo", "Edit \u203a Undo", DOCUMENT, this::undo);
    command("redo", "Edit \u203a Redo", DOCUMENT, this::redo);
    command(
        "select-all",
        "Edit \u203a Select all",
        SELECTION,
        () -> become(document().selecting(names())));
    command(
        "select-none",
        "Edit \u203a Select nothing",
        SELECTION,
        () -> become(document().selecting(List.of())));
    command(
        "next",
        "Strip \u203a Next",
        SELECTION,
        () -> select(1, 0, foldtwice.routine.Step.Edge.CLAMP));
    command(
        "previous",
        "Strip \u203a Previous",
        SELECTION,
        () -> select(-1, 0, foldtwice.routine.Step.Edge.CLAMP));
    command("to-strip", "View \u203a Strip", VIEW, () -> pane(Pane.STRIP));
    command(
        "to-values",
        "View \u203a Values",
        VIEW.onSelection(),
        () -> onSelected(() -> pane(Pane.ADJUST)));
    tick("to-values", () -> pane == Pane.ADJUST);
    command(
        "as-taken",
        "View \u203a As taken",
        Effects.of().setting("shown"),
        () ->
            change(
                "shown",
                new Value.Text(
                    settings().get("shown").shown().equals("as taken")
                        ? "as adjusted"
                        : "as taken")));
    tick("as-taken", () -> settings().get("shown").shown().equals("as taken"));
  }

  private void valueCommands() {
    command(
        "reset",
        "Adjust \u203a Reset values",
        ON_SHOTS,
        () -> onShots(s -> s.with(Values.neutral()).looking("")));
    command(
        "copy-values",
        "Adjust \u203a Copy values",
        Effects.of(Touch.CLIPBOARD).onSelection(),
        this::copyValues);
    command("paste-values", "Adjust \u203a Paste values", ON_SHOTS, this::pasteValues);
    command(
        "straighten",
        "Adjust \u203a Straighten",
        ON_SHOTS.from(STRAIGHTENER),
        () -> onShots(s -> s.with(Values.TILT, Quantity.of("0", Scale.DEGREE))));
    looks
        .keySet()
        .forEach(
            look ->
                command(
                    "look-" + look.toLowerCase(java.util.Locale.ROOT).replace(' ', '-'),
                    "Looks \u203a " + look,
                    ON_SHOTS,
                    () -> onShots(s -> s.with(looks.get(look)).looking(look))));
    opening(
        "store-look",
        "Looks \u203a Store look \u2026",
        VIEW.onSelection(),
        () ->
            OpenDialog.of("Store look", Dialog.Field.choice("As", "Reading", lookNames()))
                .closing("Store", VIEW, on(Copystand::store))
                .leaving("Cancel"));
    command(
        "crop", "Crop \u203a Begin", VIEW.onSelection(), () -> onSelected(() -> pane(Pane.CROP)));
    command("crop-sheet", "Crop \u203a To sheet", ON_SHOTS, () -> onShots(s -> s.cropped(8)));
    command("crop-label", "Crop \u203a To label", ON_SHOTS, () -> onShots(s -> s.cropped(30)));
    command("crop-none", "Crop \u203a None", ON_SHOTS, () -> onShots(s -> s.cropped(0)));
    opening(
        "size",
        "Image \u203a Size \u2026",
        VIEW.onSelection(),
        () ->
            OpenDialog.of(
                    "Size",
                    Dialog.Field.amount(
                        "Long side",
                        Integer.toString(document().last().map(Shot::longSide).orElse(6000)),
                        Scale.PIXEL,
                        0))
                .closing("Apply", ON_SHOTS, on(Copystand::size))
                .leaving("Cancel"));
  }

  private void sendingCommands() {
    opening(
        "export",
        later() ? "Send out \u203a To folder \u2026" : "Strip \u203a Send out \u2026",
        VIEW.onSelection(),
        () ->
            OpenDialog.of(
                    "Send out",
                    Dialog.Field.text("Name", document().last().map(Shot::name).orElse("")),
                    Dialog.Field.choice("Format", "JPEG", "JPEG", "PNG", "TIFF"),
                    Dialog.Field.amount("Quality", "85", Scale.PERCENT, 0))
                .closing("Send", Effects.of(Touch.FILES).onSelection(), on(Copystand::send))
                .leaving("Cancel"));
    command(
        "clear-sent", "Strip \u203a Clear list of files", Effects.of(Touch.FILES), this::clearSent);
    command("leave", "", VIEW, () -> dialog().isPresent() ? cancel() : pane(Pane.STRIP));
  }

  private static OpenDialog.Action on(BiFunction<Copystand, Dialog, Reply> action) {
    return (program, dialog) -> action.apply((Copystand) program, dialog);
  }

  private String[] lookNames() {
    return looks.keySet().toArray(new String[0]);
  }

  private interface Deed {
    Reply now();
  }

  private Reply onSelected(Deed action) {
    return document().selected().isEmpty()
        ? new Reply.Refused("a selected shot", "nothing selected")
        : action.now();
  }

  private Reply onShots(UnaryOperator<Shot> change) {
    return onSelected(() -> become(document().changing(change)));
  }

  private Reply pane(Pane next) {
    Pane before = pane;
    pane = next;
    return changed("keys go to", word(before), word(next));
  }

  private static String word(Pane pane) {
    return switch (pane) {
      case STRIP -> "strip";
      case ADJUST -> "values";
      case CROP -> "crop";
    };
  }

  /** A shot more from the camera; what was done before can no longer be taken back. */
  private Reply takeIn() {
    int next =
        document().shots().stream()
                .mapToInt(s -> Integer.parseInt(s.name().substring(3)))
                .max()
                .orElse(2410)
            + 1;
    return becomeForGood(document().with(Shot.fresh(String.format("FH-%05d", next))));
  }

  private Reply copyValues() {
    return onSelected(
        () -> {
          String before = clipboard().text();
          Map<String, Quantity> old = copied;
          copied = document().last().orElseThrow().values();
          clipboard().put("[values of " + document().selected().getLast() + "]");
          List<Change> changes = changes();
          compare(changes, "clipboard", before, clipboard().text());
          compare(changes, "copied values", old.toString(), copied.toString());
          return new Reply.Done(changes);
        });
  }

  private Reply pasteValues() {
    return copied.isEmpty()
        ? new Reply.Refused("copied values", "none")
        : onShots(s -> s.with(copied));
  }

  private Reply store(Dialog dialog) {
    if (document().last().isEmpty()) {
      return new Reply.Refused("a selected shot", "nothing selected");
    }
    String look = dialog.field("As").orElseThrow().text();
    Map<String, Quantity> before = looks.get(look);
    Map<String, Quantity> now = new LinkedHashMap<>(document().last().orElseThrow().values());
    now.remove(Values.TILT);
    looks.put(look, now);
    return changed("look " + look, before, now);
  }

  private Reply size(Dialog dialog) {
    int pixels =
        OpenDialog.number(dialog.field("Long side").orElseThrow().text()).orElseThrow().intValue();
    return pixels < 64 || pixels > 12000
        ? new Reply.Refused("a long side from 64 px to 12000 px", pixels + " px")
        : onShots(s -> s.sized(pixels));
  }

  private Reply send(Dialog dialog) {
    if (document().selected().isEmpty()) {
      return new Reply.Refused("a selected shot", "nothing selected");
    }
    String name = dialog.field("Name").orElseThrow().text().strip();
    if (!name.matches("[\\w .\\-]{1,80}")) {
      return new Reply.Refused(
          "a file name of letters, digits, spaces, - and _", "\"" + name + "\"");
    }
    String format = dialog.field("Format").orElseThrow().text();
    List<Change> changes = changes();
    for (String shot : document().selected()) {
      String file = document().selected().size() == 1 ? name : name + " " + shot;
      sent.add(file + "." + format.toLowerCase(java.util.Locale.ROOT));
      changes.add(new Change("file", "none", sent.getLast()));
    }
    long now = clock().millis();
    queueEmptyAt = Math.max(queueEmptyAt, now) + SENDING * document().selected().size();
    return new Reply.Done(changes);
  }

  private Reply sendOff(String what) {
    sent.add(what);
    return changed("files", sent.size() - 1, sent.size());
  }

  private Reply clearSent() {
    int before = sent.size();
    sent.clear();
    return changed("files", before, 0);
  }

  /** The files sent out, in order. */
  public List<String> sent() {
    return Collections.unmodifiableList(sent);
  }

  /** How many shots still wait to be written. */
  public int queue() {
    long left = queueEmptyAt - clock().millis();
    return left <= 0 ? 0 : (int) ((left + SENDING - 1) / SENDING);
  }

  @Override
  public Map<String, Value> indicators() {
    return Map.of(QUEUE, Value.Amount.of(queue()), "files", Value.Amount.of(sent.size()));
  }

  @Override
  public Map<String, Quantity> values() {
    return document().last().map(Shot::values).orElse(Map.of());
  }

  @Override
  protected Reply setValue(String name, Quantity value) {
    return onShots(s -> s.with(name, value));
  }

  @Override
  protected List<String> names() {
    return document().shots().stream().map(Shot::name).toList();
  }

  @Override
  public List<String> selected() {
    return document().selected();
  }

  @Override
  protected Strip selecting(List<String> names) {
    return document().selecting(names);
  }

  @Override
  public String selectedText() {
    return document().selected().isEmpty() ? "" : document().selected().getLast();
  }

  @Override
  public Reply type(String text) {
    return new Reply.Refused("a field to type into", "none");
  }

  @Override
  protected Reply drop() {
    return pane(Pane.STRIP);
  }

  @Override
  protected void restarted() {
    pane = Pane.STRIP;
    copied = Map.of();
  }

  @Override
  public Place place() {
    if (dialog().isPresent()) {
      return within("dialog");
    }
    boolean none = document().selected().isEmpty();
    return within(
        switch (none ? Pane.STRIP : pane) {
          case STRIP -> "strip";
          case ADJUST -> "adjust";
          case CROP -> "crop";
        });
  }

  @Override
  protected Reply goTo(String context) {
    if (!somethingSelected() && !document().shots().isEmpty()) {
      become(document().selecting(names().subList(0, 1)));
    }
    return switch (context) {
      case "adjust" -> pane(Pane.ADJUST);
      case "crop" -> pane(Pane.CROP);
      case "dialog" -> fire("export");
      default -> pane(Pane.STRIP);
    };
  }

  @Override
  protected List<Change> differences(Strip before, Strip after) {
    return Strip.differences(before, after);
  }

  @Override
  public Copystand copy() {
    Copystand copy = new Copystand(edition());
    copy.takeOver(this);
    copy.pane = pane;
    copy.looks.putAll(looks);
    copy.copied = copied;
    copy.sent.addAll(sent);
    copy.queueEmptyAt = queueEmptyAt;
    return copy;
  }

  @Override
  public Map<String, String> state() {
    Map<String, String> state = commonState();
    document().shots().forEach(s -> state.put("shot " + s.name(), s.toString()));
    looks.forEach((name, look) -> state.put("view look " + name, look.toString()));
    state.put("view keys", word(pane));
    state.put("clipboard values", copied.toString());
    state.put("file list", String.join(", ", sent));
    return state;
  }
}
