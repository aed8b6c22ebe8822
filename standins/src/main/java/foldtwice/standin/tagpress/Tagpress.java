package foldtwice.standin.tagpress;

import foldtwice.extras.Extras;
import foldtwice.known.Effects;
import foldtwice.known.Facts;
import foldtwice.known.Touch;
import foldtwice.place.AddOn;
import foldtwice.place.Place;
import foldtwice.routine.Kind;
import foldtwice.routine.LengthUnit;
import foldtwice.routine.Parameter;
import foldtwice.routine.Step;
import foldtwice.routine.Value;
import foldtwice.run.Change;
import foldtwice.run.Dialog;
import foldtwice.run.Reply;
import foldtwice.standin.base.Edition;
import foldtwice.standin.base.OpenDialog;
import foldtwice.standin.base.StandIn;
import java.math.BigDecimal;
import java.math.MathContext;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.UnaryOperator;

/** Label sheets. Dialogs take and show distances in the unit that is set. */
public final class Tagpress extends StandIn<Sheet> {

  public static final String ID = "tagpress";

  /** The setting that says which unit dialogs and rulers use. */
  public static final String UNIT = "unit";

  /** How sheets are marked for cutting; takes effect after a restart. */
  public static final String MARKS = "cutting marks";

  /** The versions there are; in the later one some commands have moved. */
  public static final List<String> VERSIONS = List.of("3.2", "4.0");

  /** The add-on that fits boxes to their text. */
  public static final AddOn FITTER = new AddOn("Label fitter", "1.2");

  private static final Parameter MARGIN =
      new Parameter(
          "margin",
          new Kind.Distance(
              new Value.Length(BigDecimal.ZERO, LengthUnit.MM),
              new Value.Length(BigDecimal.valueOf(20), LengthUnit.MM),
              new Value.Length(new BigDecimal("0.5"), LengthUnit.MM)),
          new Value.Length(BigDecimal.valueOf(2), LengthUnit.MM),
          Extras.NONE);

  private static final String OLD = VERSIONS.getFirst();
  private static final Effects VIEW = Effects.of(Touch.VIEW);
  private static final Effects OBJECTS = Effects.of(Touch.OBJECTS);
  private static final Effects SELECTION = Effects.of(Touch.SELECTION);
  private static final Effects DOCUMENT = Effects.of(Touch.OBJECTS, Touch.SELECTION);
  private static final int DECIMALS = 4;
  private static final String NAME = "box ";
  private static final String RIGHT = "Right by";
  private static final String DOWN = "Down by";

  private boolean editingText;
  private String tool = "arrow";
  private int zoom = 100;
  private int saves;
  private int prints;

  public Tagpress() {
    this(Edition.of(OLD, List.of(FITTER)));
  }

  public Tagpress(Edition edition) {
    super(ID, edition, Sheet.first());
    setting(UNIT, LengthUnit.MM.symbol(), "mm", "cm", "in", "pt", "pica");
    settingFromRestart(MARKS, "corners", "corners", "frame", "none");
    sheetCommands();
    boxCommands();
    viewCommands();
    fitterActions();
  }

  /** What the add-on can do that no menu has. */
  private void fitterActions() {
    action(
        new Facts.Action(
            FITTER,
            "fit-with-margin",
            "Fit with margin",
            List.of(MARGIN),
            List.of("box-selected"),
            OBJECTS.onSelection().from(FITTER)),
        arguments -> {
          BigDecimal room =
              arguments.get(MARGIN.name()) instanceof Value.Length l
                  ? l.unit().toGrid(l.amount())
                  : BigDecimal.ZERO;
          return onUnlocked(b -> b.sized(fitting(b).add(room), b.height()));
        });
    action(
        new Facts.Action(
            FITTER, "fit-sheet", "Fit the whole sheet", List.of(), List.of(), OBJECTS.from(FITTER)),
        arguments -> {
          List<Integer> selected = document().selected();
          Sheet all = document().selecting(all());
          return become(
              all.changing(b -> b.locked() ? b : b.sized(fitting(b), b.height()))
                  .selecting(selected));
        });
  }

  private void sheetCommands() {
    command(
        "save",
        "Sheet \u203a Save",
        Effects.of(Touch.FILES),
        () -> changed("saves", saves, ++saves));
    command(
        "print",
        "Sheet \u203a Print",
        Effects.of(Touch.FILES),
        () -> changed("prints", prints, ++prints));
    command(
        "proof",
        "Sheet \u203a Proof sheet",
        VIEW,
        () -> changed("zoom", zoom + " %", (zoom = 60) + " %"));
    command(
        "take-over",
        "Sheet \u203a Take over as template",
        Effects.of(Touch.OBJECTS, Touch.SELECTION, Touch.UNDO_HISTORY),
        () -> becomeForGood(document().changing(b -> b.locked(false)).selecting(List.of())));
    command("undo", "Edit \u203a Undo", DOCUMENT, this::undo);
    command("redo", "Edit \u203a Redo", DOCUMENT, this::redo);
    command(
        "duplicate",
        "Edit \u203a Duplicate",
        DOCUMENT.onSelection(),
        () -> onSelected(this::duplicate));
    command(
        "delete",
        "Edit \u203a Delete",
        DOCUMENT.onSelection(),
        () -> onSelected(s -> become(s.without(s.selected()))));
    command(
        "select-all",
        "Edit \u203a Select all",
        SELECTION,
        () -> become(document().selecting(all())));
    command(
        "select-none",
        "Edit \u203a Select nothing",
        SELECTION,
        () -> become(document().selecting(List.of())));
    command("next-box", "Edit \u203a Next box", SELECTION, () -> select(1, 0, Step.Edge.CLAMP));
    command(
        "previous-box",
        "Edit \u203a Previous box",
        SELECTION,
        () -> select(-1, 0, Step.Edge.CLAMP));
  }

  private void boxCommands() {
    opening(
        "shift",
        edition().version().equals(OLD)
            ? "Box \u203a Shift \u2026"
            : "Box \u203a Place \u203a Shift \u2026",
        VIEW.onSelection(),
        this::shiftDialog);
    opening("size", "Box \u203a Size \u2026", VIEW.onSelection(), this::sizeDialog);
    command(
        "fit",
        "Box \u203a Fit to text",
        OBJECTS.onSelection().from(FITTER),
        () -> onUnlocked(b -> b.sized(fitting(b), b.height())));
    command(
        "style",
        "Box \u203a Take style of last",
        OBJECTS.onSelection(),
        () -> align(b -> last -> b.sized(last.width(), last.height())));
    command(
        "align-left",
        "Box \u203a Align \u203a Left edges",
        OBJECTS.onSelection(),
        () -> align(b -> last -> b.at(last.x(), b.y())));
    command(
        "align-top",
        "Box \u203a Align \u203a Top edges",
        OBJECTS.onSelection(),
        () -> align(b -> last -> b.at(b.x(), last.y())));
    command(
        "spread-across",
        "Box \u203a Spread \u203a Across",
        OBJECTS.onSelection(),
        () -> spread(Box::x, (b, x) -> b.at(x, b.y())));
    command(
        "spread-down",
        "Box \u203a Spread \u203a Down",
        OBJECTS.onSelection(),
        () -> spread(Box::y, (b, y) -> b.at(b.x(), y)));
    command(
        "lock",
        "Box \u203a Lock",
        OBJECTS.onSelection(),
        () -> onSelected(s -> become(s.changing(b -> b.locked(!b.locked())))));
    command("nudge-left", "", OBJECTS.onSelection(), () -> nudge(-1, 0));
    command("nudge-right", "", OBJECTS.onSelection(), () -> nudge(1, 0));
    command("nudge-up", "", OBJECTS.onSelection(), () -> nudge(0, -1));
    command("nudge-down", "", OBJECTS.onSelection(), () -> nudge(0, 1));
    command(
        "edit-text",
        "Text \u203a Edit text",
        Effects.of(Touch.SELECTION, Touch.VIEW).onSelection(),
        this::editText);
    command(
        "fit-text",
        "Text \u203a Fit to text",
        OBJECTS,
        () -> onEdited(b -> b.sized(fitting(b), b.height())));
    command("leave-text", "Text \u203a Leave text", VIEW, this::leaveText);
    command("mid-dot", "Text \u203a Middle dot", OBJECTS, () -> type("\u00b7"));
    command("erase", "", OBJECTS, this::erase);
    command("leave-dialog", "", VIEW, this::cancel);
  }

  private void viewCommands() {
    command("line-tool", "Draw \u203a Line tool", VIEW, () -> tool("line"));
    command("box-tool", "Draw \u203a Box tool", VIEW, () -> tool("box"));
    command("arrow-tool", "Draw \u203a Arrow tool", VIEW, () -> tool("arrow"));
    for (LengthUnit unit : LengthUnit.values()) {
      command(
          "unit-" + unit.symbol(),
          "View \u203a Unit \u203a " + name(unit),
          Effects.of().setting(UNIT),
          () -> change(UNIT, new Value.Text(unit.symbol())));
      tick("unit-" + unit.symbol(), () -> unit() == unit);
    }
    command(
        "zoom-in",
        "View \u203a Larger",
        VIEW,
        () -> changed("zoom", zoom + " %", (zoom = Math.min(400, zoom + 20)) + " %"));
    command(
        "zoom-out",
        "View \u203a Smaller",
        VIEW,
        () -> changed("zoom", zoom + " %", (zoom = Math.max(20, zoom - 20)) + " %"));
  }

  private static String name(LengthUnit unit) {
    return switch (unit) {
      case MM -> "Millimetres";
      case CM -> "Centimetres";
      case IN -> "Inches";
      case PT -> "Points";
      case PICA -> "Picas";
    };
  }

  /** The unit dialogs and rulers use. */
  public LengthUnit unit() {
    return LengthUnit.of(settings().get(UNIT).shown()).orElseThrow();
  }

  /** How large the sheet is shown, in percent. */
  public int zoom() {
    return zoom;
  }

  /** The drawing tool in hand. */
  public String tool() {
    return tool;
  }

  /** The number of the box whose text is being edited. */
  public Optional<Integer> editing() {
    return editingText ? document().selected().stream().findFirst() : Optional.empty();
  }

  /** A click leaves the text that is being edited. */
  @Override
  public Reply click(String name, boolean adding) {
    editingText = false;
    return super.click(name, adding);
  }

  private List<Integer> all() {
    return document().boxes().stream().map(Box::number).toList();
  }

  private Reply tool(String next) {
    String before = tool;
    tool = next;
    return changed("tool", before, next);
  }

  private Reply onSelected(Function<Sheet, Reply> action) {
    return document().selected().isEmpty()
        ? new Reply.Refused("a selected box", "nothing selected")
        : action.apply(document());
  }

  /** Changes the selected boxes, unless one of them is locked. */
  private Reply onUnlocked(UnaryOperator<Box> change) {
    return onSelected(
        sheet ->
            sheet.selectedBoxes().stream()
                .filter(Box::locked)
                .findFirst()
                .<Reply>map(
                    b ->
                        new Reply.Refused(
                            "boxes that are not locked", "box " + b.number() + " is locked"))
                .orElseGet(() -> become(sheet.changing(change))));
  }

  private Reply duplicate(Sheet sheet) {
    List<Box> copies = new ArrayList<>();
    int number = sheet.nextNumber();
    for (Box b : sheet.selectedBoxes()) {
      copies.add(b.numbered(number++));
    }
    return become(sheet.adding(copies));
  }

  private OpenDialog shiftDialog() {
    return OpenDialog.of("Shift boxes", field(RIGHT, "0"), field(DOWN, "0"))
        .button(
            "Shift",
            OBJECTS.onSelection(),
            on((p, d) -> p.onUnlocked(b -> b.shifted(grid(d, RIGHT), grid(d, DOWN)))))
        .leaving("Close");
  }

  private OpenDialog sizeDialog() {
    Optional<Box> first = document().selectedBoxes().stream().findFirst();
    Dialog.Field width = field("Width", first.map(b -> shown(b.wide(unit()))).orElse("0"));
    Dialog.Field height = field("Height", first.map(b -> shown(b.high(unit()))).orElse("0"));
    return OpenDialog.of("Size of boxes", width, height)
        .button(
            "Set",
            OBJECTS.onSelection(),
            on(
                (p, d) ->
                    p.onUnlocked(
                        b ->
                            b.sized(
                                isTouched(d, width) ? grid(d, "Width") : b.width(),
                                isTouched(d, height) ? grid(d, "Height") : b.height()))))
        .leaving("Close");
  }

  /** Room for the text: 2 mm a letter and 4 mm around. */
  private static BigDecimal fitting(Box box) {
    int letters = box.text().codePointCount(0, box.text().length());
    return LengthUnit.MM.toGrid(BigDecimal.valueOf(2L * letters + 4));
  }

  private static OpenDialog.Action on(BiFunction<Tagpress, Dialog, Reply> action) {
    return (program, dialog) -> action.apply((Tagpress) program, dialog);
  }

  /** What nobody typed into is not set: it is shown rounded, and the box may be exact. */
  private static boolean isTouched(Dialog dialog, Dialog.Field shown) {
    return !dialog.field(shown.label()).orElseThrow().text().equals(shown.text());
  }

  private Dialog.Field field(String label, String text) {
    return Dialog.Field.length(label, text, unit(), DECIMALS);
  }

  /** In the unit the dialog was opened with, whatever is set by now. */
  private static BigDecimal grid(Dialog dialog, String label) {
    Dialog.Field field = dialog.field(label).orElseThrow();
    return field.unit().orElseThrow().toGrid(OpenDialog.number(field.text()).orElseThrow());
  }

  /** As dialogs and rulers show it: at most {@value #DECIMALS} decimals. */
  public static String shown(Value.Length length) {
    BigDecimal rounded =
        length.amount().setScale(DECIMALS, java.math.RoundingMode.HALF_EVEN).stripTrailingZeros();
    return (rounded.scale() < 0 ? rounded.setScale(0) : rounded).toPlainString();
  }

  /** The box selected last is the one the others line up with. */
  private Reply align(Function<Box, Function<Box, Box>> to) {
    return onSelected(
        sheet -> {
          Box last = sheet.selectedBoxes().getLast();
          return onUnlocked(b -> to.apply(b).apply(last));
        });
  }

  private Reply spread(Function<Box, BigDecimal> along, BiFunction<Box, BigDecimal, Box> place) {
    List<Box> boxes =
        document().selectedBoxes().stream().sorted(Comparator.comparing(along)).toList();
    if (boxes.size() < 3) {
      return new Reply.Refused("three selected boxes or more", boxes.size() + " selected");
    }
    BigDecimal from = along.apply(boxes.getFirst());
    BigDecimal step =
        along
            .apply(boxes.getLast())
            .subtract(from)
            .divide(BigDecimal.valueOf(boxes.size() - 1L), MathContext.DECIMAL128);
    return onUnlocked(
        b -> place.apply(b, from.add(step.multiply(BigDecimal.valueOf(boxes.indexOf(b))))));
  }

  private Reply nudge(int right, int down) {
    BigDecimal mm = LengthUnit.MM.toGrid(BigDecimal.ONE);
    return onUnlocked(
        b ->
            b.shifted(
                mm.multiply(BigDecimal.valueOf(right)), mm.multiply(BigDecimal.valueOf(down))));
  }

  private Reply editText() {
    return onSelected(
        s -> {
          editingText = true;
          return become(s.selecting(s.selected().subList(0, 1)));
        });
  }

  private Reply leaveText() {
    boolean before = editingText;
    editingText = false;
    return changed("keys go to", before ? "text" : "sheet", "sheet");
  }

  private Reply onEdited(UnaryOperator<Box> change) {
    return editing()
        .flatMap(document()::box)
        .map(b -> become(document().replacing(change.apply(b))))
        .orElseGet(() -> new Reply.Refused("a text being edited", "none"));
  }

  private Reply erase() {
    Optional<Box> box = editing().flatMap(document()::box);
    if (box.isEmpty() || box.get().text().isEmpty()) {
      return new Reply.Refused("a text to erase from", "none");
    }
    String text = box.get().text();
    return become(
        document()
            .replacing(
                box.get().saying(text.substring(0, text.offsetByCodePoints(text.length(), -1)))));
  }

  @Override
  public Reply type(String text) {
    return onEdited(b -> b.saying(b.text() + text));
  }

  @Override
  public Place place() {
    String context;
    if (dialog().isPresent()) {
      context = "dialog";
    } else if (editing().isPresent()) {
      context = "text-edit";
    } else {
      context = somethingSelected() ? "box-selected" : "nothing-selected";
    }
    return within(context);
  }

  @Override
  protected Reply goTo(String context) {
    Reply selected =
        context.equals("nothing-selected")
            ? become(document().selecting(List.of()))
            : somethingSelected() ? Reply.QUIET : become(document().selecting(all().subList(0, 1)));
    return switch (context) {
      case "text-edit" -> editText();
      case "dialog" -> open(shiftDialog());
      default -> selected;
    };
  }

  @Override
  protected List<String> names() {
    return document().boxes().stream().map(b -> NAME + b.number()).toList();
  }

  @Override
  public List<String> selected() {
    return document().selected().stream().map(n -> NAME + n).toList();
  }

  @Override
  protected Sheet selecting(List<String> names) {
    return document()
        .selecting(names.stream().map(n -> Integer.valueOf(n.substring(NAME.length()))).toList());
  }

  @Override
  public String selectedText() {
    List<Box> boxes = document().selectedBoxes();
    return boxes.isEmpty() ? "" : boxes.getLast().text();
  }

  @Override
  protected void settle() {
    editingText = false;
  }

  @Override
  protected Reply drop() {
    return leaveText();
  }

  @Override
  protected List<Change> differences(Sheet before, Sheet after) {
    return SheetWords.differences(before, after, unit());
  }

  @Override
  public Tagpress copy() {
    Tagpress copy = new Tagpress(edition());
    copy.takeOver(this);
    copy.editingText = editingText;
    copy.tool = tool;
    copy.zoom = zoom;
    copy.saves = saves;
    copy.prints = prints;
    return copy;
  }

  @Override
  public Map<String, String> state() {
    Map<String, String> state = commonState();
    document().boxes().forEach(b -> state.put("box " + b.number(), b.toString()));
    state.put("view tool", tool);
    state.put("view zoom", zoom + " %");
    state.put("file saves", Integer.toString(saves));
    state.put("file prints", Integer.toString(prints));
    return state;
  }
}
