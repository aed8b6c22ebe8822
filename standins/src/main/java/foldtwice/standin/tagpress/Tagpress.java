package foldtwice.standin.tagpress;

import foldtwice.place.Place;
import foldtwice.routine.LengthUnit;
import foldtwice.routine.Step;
import foldtwice.routine.Value;
import foldtwice.run.Change;
import foldtwice.run.Dialog;
import foldtwice.run.Program;
import foldtwice.run.Reply;
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

  private static final int DECIMALS = 4;
  private static final String RIGHT = "Right by";
  private static final String DOWN = "Down by";

  private boolean editingText;
  private String tool = "arrow";
  private int zoom = 100;
  private int saves;
  private int prints;

  public Tagpress() {
    super(ID, Sheet.first());
    setting(UNIT, new Value.Text(LengthUnit.MM.symbol()));
    sheetCommands();
    boxCommands();
    viewCommands();
  }

  private void sheetCommands() {
    command(
        "save",
        "Sheet \u203a Save",
        () -> counted("saves", Integer.toString(saves), Integer.toString(++saves)));
    command(
        "print",
        "Sheet \u203a Print",
        () -> counted("prints", Integer.toString(prints), Integer.toString(++prints)));
    command(
        "proof",
        "Sheet \u203a Proof sheet",
        () -> counted("zoom", zoom + " %", (zoom = 60) + " %"));
    command("undo", "Edit \u203a Undo", this::undo);
    command("redo", "Edit \u203a Redo", this::redo);
    command("duplicate", "Edit \u203a Duplicate", () -> onSelected(this::duplicate));
    command("delete", "Edit \u203a Delete", () -> onSelected(s -> become(s.without(s.selected()))));
    command("select-all", "Edit \u203a Select all", () -> become(document().selecting(all())));
    command(
        "select-none", "Edit \u203a Select nothing", () -> become(document().selecting(List.of())));
    command("next-box", "Edit \u203a Next box", () -> select(1, 0, Step.Edge.CLAMP));
    command("previous-box", "Edit \u203a Previous box", () -> select(-1, 0, Step.Edge.CLAMP));
  }

  private void boxCommands() {
    command("shift", "Box \u203a Shift \u2026", () -> onSelected(s -> open(shiftDialog())));
    command("size", "Box \u203a Size \u2026", () -> onSelected(s -> open(sizeDialog())));
    command(
        "align-left",
        "Box \u203a Align \u203a Left edges",
        () -> align(b -> last -> b.at(last.x(), b.y())));
    command(
        "align-top",
        "Box \u203a Align \u203a Top edges",
        () -> align(b -> last -> b.at(b.x(), last.y())));
    command(
        "spread-across",
        "Box \u203a Spread \u203a Across",
        () -> spread(Box::x, (b, x) -> b.at(x, b.y())));
    command(
        "spread-down",
        "Box \u203a Spread \u203a Down",
        () -> spread(Box::y, (b, y) -> b.at(b.x(), y)));
    command(
        "lock",
        "Box \u203a Lock",
        () -> onSelected(s -> become(s.changing(b -> b.locked(!b.locked())))));
    command("nudge-left", "", () -> nudge(-1, 0));
    command("nudge-right", "", () -> nudge(1, 0));
    command("nudge-up", "", () -> nudge(0, -1));
    command("nudge-down", "", () -> nudge(0, 1));
    command("edit-text", "Text \u203a Edit text", this::editText);
    command("leave-text", "Text \u203a Leave text", this::leaveText);
    command("mid-dot", "Text \u203a Middle dot", () -> type("\u00b7"));
    command("erase", "", this::erase);
    command("leave-dialog", "", this::cancel);
  }

  private void viewCommands() {
    command("line-tool", "Draw \u203a Line tool", () -> tool("line"));
    command("box-tool", "Draw \u203a Box tool", () -> tool("box"));
    command("arrow-tool", "Draw \u203a Arrow tool", () -> tool("arrow"));
    for (LengthUnit unit : LengthUnit.values()) {
      command(
          "unit-" + unit.symbol(),
          "View \u203a Unit \u203a " + name(unit),
          () -> change(UNIT, new Value.Text(unit.symbol())));
    }
    command(
        "zoom-in",
        "View \u203a Larger",
        () -> counted("zoom", zoom + " %", (zoom = Math.min(400, zoom + 20)) + " %"));
    command(
        "zoom-out",
        "View \u203a Smaller",
        () -> counted("zoom", zoom + " %", (zoom = Math.max(20, zoom - 20)) + " %"));
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

  /** The mouse clicks a box, or with {@code 0} the bare sheet. */
  public Reply click(int number, boolean add) {
    editingText = false;
    List<Integer> selected = new ArrayList<>(add ? document().selected() : List.of());
    if (number != 0 && !selected.remove(Integer.valueOf(number))) {
      selected.add(number);
    }
    return become(document().selecting(selected));
  }

  private List<Integer> all() {
    return document().boxes().stream().map(Box::number).toList();
  }

  private static Reply counted(String what, String before, String after) {
    return before.equals(after)
        ? Reply.QUIET
        : new Reply.Done(List.of(new Change(what, before, after)));
  }

  private Reply tool(String next) {
    String before = tool;
    tool = next;
    return counted("tool", before, next);
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
        .button("Shift", on((p, d) -> p.onUnlocked(b -> b.shifted(grid(d, RIGHT), grid(d, DOWN)))))
        .button("Close", on((p, d) -> p.cancel()));
  }

  private OpenDialog sizeDialog() {
    Box first = document().selectedBoxes().getFirst();
    Dialog.Field width = field("Width", shown(first.wide(unit())));
    Dialog.Field height = field("Height", shown(first.high(unit())));
    return OpenDialog.of("Size of boxes", width, height)
        .button(
            "Set",
            on(
                (p, d) ->
                    p.onUnlocked(
                        b ->
                            b.sized(
                                isTouched(d, width) ? grid(d, "Width") : b.width(),
                                isTouched(d, height) ? grid(d, "Height") : b.height()))))
        .button("Close", on((p, d) -> p.cancel()));
  }

  private static OpenDialog.Action on(BiFunction<Tagpress, Dialog, Reply> action) {
    return (program, dialog) -> action.apply((Tagpress) program, dialog);
  }

  /** What nobody typed into is not set: it is shown rounded, and the box may be exact. */
  private static boolean isTouched(Dialog dialog, Dialog.Field shown) {
    return !dialog.field(shown.label()).orElseThrow().text().equals(shown.text());
  }

  private Dialog.Field field(String label, String text) {
    return new Dialog.Field(label, text, Optional.of(unit()), DECIMALS);
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
    editingText = false;
    return Reply.QUIET;
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
    Optional<Box> box = editing().flatMap(document()::box);
    return box.map(b -> become(document().replacing(b.saying(b.text() + text))))
        .orElseGet(() -> new Reply.Refused("a text being edited", "none"));
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
    return new Place.Within(ID, context);
  }

  @Override
  public Reply enter(Place state) {
    if (state.equals(place())) {
      return Reply.QUIET;
    }
    cancel();
    leaveText();
    if (!(state instanceof Place.Within(String id, String context)) || !id.equals(ID)) {
      return new Reply.Refused("a state of Tagpress", state.id());
    }
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
  public boolean somethingSelected() {
    return !document().selected().isEmpty();
  }

  /** Rows go through the boxes in the order they were made; columns have no meaning here. */
  @Override
  public Reply select(int rows, int columns, Step.Edge edge) {
    if (columns != 0) {
      return new Reply.Refused("an offset by rows only", columns + " columns");
    }
    List<Integer> order = all();
    if (order.isEmpty()) {
      return new Reply.Refused("a box on the sheet", "none");
    }
    int from = somethingSelected() ? order.indexOf(document().selected().getLast()) : -1;
    int to = from + rows;
    if (to < 0 || to >= order.size()) {
      if (edge != Step.Edge.CLAMP) {
        return new Reply.Refused("a box " + rows + " further", "the end of the sheet");
      }
      to = Math.clamp(to, 0, order.size() - 1);
    }
    return become(document().selecting(List.of(order.get(to))));
  }

  @Override
  protected Optional<Reply> refusal(String setting, Value value) {
    boolean known = value instanceof Value.Text(String symbol) && LengthUnit.of(symbol).isPresent();
    return known
        ? Optional.empty()
        : Optional.of(new Reply.Refused("a unit, one of " + LengthUnit.symbols(), value.shown()));
  }

  @Override
  protected List<Change> differences(Sheet before, Sheet after) {
    return SheetWords.differences(before, after, unit());
  }

  @Override
  public Program copy() {
    Tagpress copy = new Tagpress();
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
    state.put("selection", SheetWords.selection(document()));
    state.put("tool", tool);
    state.put("zoom", zoom + " %");
    state.put("saves", Integer.toString(saves));
    state.put("prints", Integer.toString(prints));
    return state;
  }
}
