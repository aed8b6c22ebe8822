package foldtwice.standin.vasculum;

import foldtwice.known.Effects;
import foldtwice.known.Touch;
import foldtwice.place.AddOn;
import foldtwice.place.Place;
import foldtwice.routine.Step;
import foldtwice.run.Change;
import foldtwice.run.Dialog;
import foldtwice.run.Reply;
import foldtwice.standin.base.Edition;
import foldtwice.standin.base.OpenDialog;
import foldtwice.standin.base.StandIn;
import foldtwice.standin.vasculum.Register.Cell;
import foldtwice.standin.vasculum.Register.Cells;
import foldtwice.text.Counted;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Supplier;

/** The specimen register. */
public final class Vasculum extends StandIn<Register> {

  public static final String ID = "vasculum";

  /** The flag colours, in menu order. */
  public static final List<String> COLOURS = List.of("rust", "straw", "moss", "sky");

  /** The versions there are; in the later one flags lie deeper in the menus. */
  public static final List<String> VERSIONS = List.of("5.0", "5.2");

  /** The add-on with the symbols. */
  public static final AddOn SYMBOLS = new AddOn("Symbol shelf", "1.3");

  /** The symbols of the add-on, with their names. Source of the code points: Unicode. */
  public static final Map<String, String> SIGNS = signs();

  private static final Effects FILES = Effects.of(Touch.FILES);
  private static final Effects VIEW = Effects.of(Touch.VIEW);
  private static final Effects OBJECTS = Effects.of(Touch.OBJECTS);
  private static final Effects SELECTION = Effects.of(Touch.SELECTION);
  private static final Effects DOCUMENT = Effects.of(Touch.OBJECTS, Touch.SELECTION);
  private static final String DATES = "date form";

  private Cell editing;
  private String typed = "";
  private boolean finding;
  private boolean inHeader;
  private String savedAs = "register";
  private int saves;
  private int prints;

  public Vasculum() {
    this(Edition.of(VERSIONS.getFirst(), List.of(SYMBOLS)));
  }

  public Vasculum(Edition edition) {
    super(ID, edition, Register.first());
    setting(DATES, "year first", "year first", "day first");
    settingFromRestart("column set", "all", "all", "places", "names");
    registerCommands();
    selectCommands();
    textCommands();
  }

  /** What is being typed is taken first, which changes the cell and where keys go. */
  private static Effects finishing(Effects effects) {
    Set<Touch> touches = EnumSet.of(Touch.OBJECTS, Touch.VIEW);
    touches.addAll(effects.touches());
    return new Effects(
        touches, effects.settings(), effects.takesUp(), effects.needsSelection(), effects.addOn());
  }

  /** Adds a command that takes over a cell being edited before it does its own work. */
  private void working(String id, String menu, Effects effects, Supplier<Reply> action) {
    command(id, menu, finishing(effects), () -> settled(action));
  }

  private Reply settled(Supplier<Reply> action) {
    if (editing == null) {
      return action.get();
    }
    Cell cell = editing;
    String text = typed;
    boolean changes = !document().text(cell.row(), cell.column()).equals(text);
    Reply accepted = accept();
    Reply reply = action.get();
    if (reply instanceof Reply.Refused) {
      if (changes) {
        takeBack();
      }
      editing = cell;
      typed = text;
      return reply;
    }
    return both(accepted, reply);
  }

  private void registerCommands() {
    working("save", "Register \u203a Save", FILES, () -> changed("saves", saves, ++saves));
    working(
        "print", "Register \u203a Print list", FILES, () -> changed("prints", prints, ++prints));
    opening(
        "save-as",
        "Register \u203a Save a copy \u2026",
        VIEW,
        () ->
            OpenDialog.of("Save a copy", Dialog.Field.text("Name", savedAs))
                .closing("Save", FILES, (p, d) -> ((Vasculum) p).saveAs(d))
                .leaving("Cancel"));
    command(
        "compact",
        "Register \u203a Compact",
        Effects.of(Touch.OBJECTS, Touch.SELECTION, Touch.UNDO_HISTORY, Touch.VIEW),
        this::compact);
    working("new-record", "Register \u203a New record", DOCUMENT, this::newRecord);
    working(
        "sort",
        "Register \u203a Sort by column",
        OBJECTS.onSelection(),
        () -> onSelected(r -> become(r.sortedBy(r.selection().left()))));
    working("undo", "Edit \u203a Undo", DOCUMENT, this::undo);
    working("redo", "Edit \u203a Redo", DOCUMENT, this::redo);
    working("copy", "Edit \u203a Copy", Effects.of(Touch.CLIPBOARD).onSelection(), this::copyCell);
    working(
        "paste",
        "Edit \u203a Paste",
        OBJECTS.onSelection(),
        () -> onSelected(r -> become(r.changing(t -> clipboard().text()))));
    working(
        "clear",
        "Edit \u203a Clear cells",
        OBJECTS.onSelection(),
        () -> onSelected(r -> become(r.changing(t -> ""))));
    working(
        "edit-cell",
        "Edit \u203a Edit cell",
        SELECTION.onSelection(),
        () -> onSelected(this::edit));
    command("accept", "", finishing(VIEW), this::accept);
    command("leave", "", VIEW, this::leave);
    command("erase", "", VIEW, this::erase);
  }

  private void selectCommands() {
    working(
        "select-all",
        "Select \u203a All",
        SELECTION,
        () -> become(document().selecting(new Cells(0, 0, lastRow(), lastColumn()))));
    working(
        "select-row",
        "Select \u203a Whole records",
        SELECTION.onSelection(),
        () ->
            onSelected(
                r ->
                    become(
                        r.selecting(
                            new Cells(
                                r.selection().top(), 0, r.selection().bottom(), lastColumn())))));
    working(
        "select-column",
        "Select \u203a Whole columns",
        SELECTION.onSelection(),
        () ->
            onSelected(
                r ->
                    become(
                        r.selecting(
                            new Cells(
                                0, r.selection().left(), lastRow(), r.selection().right())))));
    working("next-record", "Select \u203a Next record", SELECTION.onSelection(), () -> record(1));
    working(
        "previous-record",
        "Select \u203a Previous record",
        SELECTION.onSelection(),
        () -> record(-1));
    working("header", "Select \u203a Column header", VIEW, () -> keysTo(null, false, true));
    working("leave-header", "", VIEW, () -> keysTo(null, false, false));
    command("go-left", "", finishing(SELECTION), () -> select(0, -1, Step.Edge.CLAMP));
    command("go-right", "", finishing(SELECTION), () -> select(0, 1, Step.Edge.CLAMP));
    command("go-up", "", finishing(SELECTION), () -> select(-1, 0, Step.Edge.CLAMP));
    command("go-down", "", finishing(SELECTION), () -> select(1, 0, Step.Edge.CLAMP));
  }

  private void textCommands() {
    working(
        "capitals",
        "Text \u203a Letter case \u203a Capitals",
        OBJECTS.onSelection(),
        () -> letters(t -> t.toUpperCase(Locale.ROOT)));
    working(
        "small",
        "Text \u203a Letter case \u203a Small letters",
        OBJECTS.onSelection(),
        () -> letters(t -> t.toLowerCase(Locale.ROOT)));
    working(
        "first-capital",
        "Text \u203a Letter case \u203a First capital",
        OBJECTS.onSelection(),
        () -> letters(Vasculum::firstCapital));
    for (String colour : COLOURS) {
      working(
          "flag-" + colour,
          flags() + firstCapital(colour),
          OBJECTS.onSelection(),
          () -> onSelected(r -> become(r.flagging(colour))));
    }
    working(
        "flag-clear",
        flags() + "Clear",
        OBJECTS.onSelection(),
        () -> onSelected(r -> become(r.flagging(""))));
    SIGNS.forEach(
        (name, sign) ->
            command(
                "sign-" + name,
                "Text \u203a Symbols \u203a " + sign + " " + name.replace('-', ' '),
                Effects.of(Touch.OBJECTS, Touch.VIEW).from(SYMBOLS),
                () -> sign(sign)));
    working(
        "look-up",
        "Tools \u203a Look up taxon",
        VIEW.onSelection(),
        () -> onSelected(this::lookUp));
    working("find", "Tools \u203a Find", VIEW, () -> keysTo(null, true, false));
    working("find-next", "", SELECTION, this::findNext);
  }

  private String flags() {
    return edition().version().equals(VERSIONS.getFirst())
        ? "Flags \u203a "
        : "Edit \u203a Flags \u203a ";
  }

  private static Map<String, String> signs() {
    Map<String, String> signs = new LinkedHashMap<>();
    signs.put("plus-minus", "\u00b1");
    signs.put("times", "\u00d7");
    signs.put("degree", "\u00b0");
    signs.put("minute", "\u2032");
    signs.put("micro", "\u00b5");
    signs.put("female", "\u2640");
    signs.put("male", "\u2642");
    return Collections.unmodifiableMap(signs);
  }

  private static String firstCapital(String text) {
    return text.isEmpty()
        ? text
        : text.substring(0, 1).toUpperCase(Locale.ROOT)
            + text.substring(1).toLowerCase(Locale.ROOT);
  }

  /** The cell being edited. */
  public Optional<Cell> editing() {
    return Optional.ofNullable(editing);
  }

  /** What is typed so far, into the cell or into the find bar. */
  public String typed() {
    return typed;
  }

  /** True while the find bar has the keys. */
  public boolean finding() {
    return finding;
  }

  /** True while the column header has the keys. */
  public boolean inHeader() {
    return inHeader;
  }

  /** A click takes what is being typed; adding makes a block from where the selection begins. */
  @Override
  public Reply click(String name, boolean adding) {
    settle();
    Reply keys = keysTo(null, false, false);
    if (name.isEmpty()) {
      return keys;
    }
    Cell cell = RegisterWords.cell(name);
    return both(keys, become(document().selecting(block(cell.row(), cell.column(), adding))));
  }

  private Cells block(int row, int column, boolean extend) {
    Cells now = document().selection();
    Cell cell = new Cell(row, column);
    return extend ? now.around(cell) : Cells.NONE.around(cell);
  }

  private int lastRow() {
    return document().rows().size() - 1;
  }

  private static int lastColumn() {
    return Register.COLUMNS.size() - 1;
  }

  private Reply onSelected(Function<Register, Reply> action) {
    return document().selection().isEmpty()
        ? new Reply.Refused("a selected cell", "nothing selected")
        : action.apply(document());
  }

  private Reply letters(java.util.function.UnaryOperator<String> change) {
    return onSelected(r -> become(r.changing(change)));
  }

  private Reply saveAs(Dialog dialog) {
    String name = dialog.field("Name").orElseThrow().text().strip();
    if (name.isEmpty() || !name.matches("[^/\\\\:*?\"<>|]+")) {
      return new Reply.Refused("a file name without / \\ : * ? \" < > |", "\"" + name + "\"");
    }
    String before = savedAs;
    savedAs = name;
    return changed("file", before, name);
  }

  /** Records without a taxon and a note go, and with them all that could be undone. */
  private Reply compact() {
    settle();
    return becomeForGood(document().compacted());
  }

  private Reply newRecord() {
    int number =
        1
            + document().rows().stream()
                .map(List::getFirst)
                .filter(accession -> accession.matches("FH-\\d{5}"))
                .mapToInt(accession -> Integer.parseInt(accession.substring(3)))
                .max()
                .orElse(0);
    return become(
        document()
            .withRow(List.of(String.format("FH-%05d", number), "", "", "", "", "", "", "", "")));
  }

  private Reply copyCell() {
    return onSelected(
        r -> {
          String before = clipboard().text();
          clipboard().put(r.text(r.selection().top(), r.selection().left()));
          return changed("clipboard", before, clipboard().text());
        });
  }

  private Reply edit(Register r) {
    Cell cell = new Cell(r.selection().top(), r.selection().left());
    Reply keys = keysTo(cell, false, false);
    typed = r.text(cell.row(), cell.column());
    return both(
        keys, become(r.selecting(new Cells(cell.row(), cell.column(), cell.row(), cell.column()))));
  }

  private Reply accept() {
    if (editing == null) {
      return new Reply.Refused("a cell being edited", "none");
    }
    Cell cell = editing;
    String text = typed;
    return both(keysTo(null, false, false), become(document().with(cell, text)));
  }

  private Reply leave() {
    return keysTo(null, false, false);
  }

  /** Where typed keys go from now on: a cell, the find bar, the header, or, with none, the grid. */
  private Reply keysTo(Cell cell, boolean findBar, boolean header) {
    String before = keys();
    String text = finding ? typed : "";
    editing = cell;
    finding = findBar;
    inHeader = header;
    typed = "";
    List<Change> changes = changes();
    compare(changes, "keys go to", before, keys());
    compare(changes, "find bar", text, "");
    return new Reply.Done(changes);
  }

  private String keys() {
    if (editing != null) {
      return RegisterWords.name(editing);
    }
    return finding ? "find bar" : inHeader ? "header" : "grid";
  }

  private Reply erase() {
    if (typed.isEmpty()) {
      return new Reply.Refused("a text to erase from", "none");
    }
    return retype(typed.substring(0, typed.offsetByCodePoints(typed.length(), -1)));
  }

  private Reply retype(String next) {
    String before = typed;
    typed = next;
    return new Reply.Done(List.of(new Change(finding ? "find bar" : "cell", before, next)));
  }

  private Reply record(int offset) {
    return onSelected(
        r -> {
          int row = Math.clamp(r.selection().top() + offset, 0, lastRow());
          return become(r.selecting(new Cells(row, 0, row, 0)));
        });
  }

  private Reply lookUp(Register r) {
    String taxon = r.text(r.selection().top(), 1);
    long same = r.rows().stream().filter(row -> row.get(1).equals(taxon)).count();
    return new Reply.Done(List.of(new Change("look up", taxon, same + " in the register")));
  }

  /** Into the cell or bar being typed, or after the text of each selected cell. */
  private Reply sign(String sign) {
    return editing != null || finding
        ? retype(typed + sign)
        : onSelected(r -> become(r.changing(t -> t + sign)));
  }

  private Reply findNext() {
    if (!finding || typed.isEmpty()) {
      return new Reply.Refused("something to find", "nothing typed");
    }
    int from = document().selection().isEmpty() ? 0 : document().selection().top() + 1;
    Optional<Cell> found = document().find(typed, from);
    if (found.isPresent()) {
      Cell cell = found.get();
      return become(
          document().selecting(new Cells(cell.row(), cell.column(), cell.row(), cell.column())));
    }
    return new Reply.Refused("a cell with \"" + typed + "\"", "none");
  }

  @Override
  public Reply type(String text) {
    return editing == null && !finding
        ? new Reply.Refused("a cell being edited", "none")
        : retype(typed + text);
  }

  @Override
  public Place place() {
    String context = "grid";
    if (dialog().isPresent()) {
      context = "dialog";
    } else if (editing != null) {
      context = "cell-edit";
    } else if (finding) {
      context = "find-bar";
    } else if (inHeader) {
      context = "header";
    }
    return within(context);
  }

  @Override
  protected Reply goTo(String context) {
    if (!somethingSelected()) {
      become(document().selecting(new Cells(0, 0, 0, 0)));
    }
    return switch (context) {
      case "cell-edit" -> edit(document());
      case "find-bar" -> keysTo(null, true, false);
      case "header" -> keysTo(null, false, true);
      case "dialog" -> fire("save-as");
      default -> Reply.QUIET;
    };
  }

  @Override
  protected List<String> names() {
    List<String> names = new ArrayList<>();
    for (Cell cell : new Cells(0, 0, lastRow(), lastColumn()).list()) {
      names.add(RegisterWords.name(cell));
    }
    return names;
  }

  @Override
  public List<String> selected() {
    return document().selection().list().stream().map(RegisterWords::name).toList();
  }

  /** A block around all of them: a register has no other selection. */
  @Override
  protected Register selecting(List<String> names) {
    Cells block = Cells.NONE;
    for (String name : names) {
      block = block.around(RegisterWords.cell(name));
    }
    return document().selecting(block);
  }

  @Override
  public boolean somethingSelected() {
    return !document().selection().isEmpty();
  }

  @Override
  public String selectedText() {
    Cells cells = document().selection();
    return cells.isEmpty() ? "" : document().text(cells.bottom(), cells.right());
  }

  @Override
  protected Reply drop() {
    return leave();
  }

  @Override
  public Reply select(int rows, int columns, Step.Edge edge) {
    return settled(() -> onSelected(r -> moved(r, rows, columns, edge)));
  }

  private Reply moved(Register r, int rows, int columns, Step.Edge edge) {
    Cells now = r.selection();
    int down = Math.clamp(rows, -now.top(), lastRow() - now.bottom());
    int right = Math.clamp(columns, -now.left(), lastColumn() - now.right());
    if ((down != rows || right != columns) && edge != Step.Edge.CLAMP) {
      return new Reply.Refused(
          "room for " + Counted.of(rows, "more row") + " and " + Counted.of(columns, "more column"),
          "the edge of the register");
    }
    return become(r.selecting(now.shifted(down, right)));
  }

  /** A cell being edited takes what is typed. */
  @Override
  protected void settle() {
    if (editing != null) {
      accept();
    }
  }

  @Override
  protected List<Change> differences(Register before, Register after) {
    return RegisterWords.differences(before, after);
  }

  @Override
  public Vasculum copy() {
    Vasculum copy = new Vasculum(edition());
    copy.takeOver(this);
    copy.editing = editing;
    copy.typed = typed;
    copy.finding = finding;
    copy.inHeader = inHeader;
    copy.savedAs = savedAs;
    copy.saves = saves;
    copy.prints = prints;
    return copy;
  }

  @Override
  public Map<String, String> state() {
    Map<String, String> state = commonState();
    for (int r = 0; r <= lastRow(); r++) {
      state.put("record " + (r + 1), String.join(" | ", document().rows().get(r)));
    }
    document()
        .flags()
        .forEach((cell, colour) -> state.put("flag of " + RegisterWords.name(cell), colour));
    state.put("selection", RegisterWords.of(document().selection()));
    state.put("view typed", typed);
    state.put("view find bar", finding ? typed : "");
    state.put("file saves", Integer.toString(saves));
    state.put("file prints", Integer.toString(prints));
    state.put("file name", savedAs);
    return state;
  }
}
