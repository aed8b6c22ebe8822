package foldtwice.standin.vasculum;

import foldtwice.place.Place;
import foldtwice.routine.Step;
import foldtwice.routine.Value;
import foldtwice.run.Change;
import foldtwice.run.Program;
import foldtwice.run.Reply;
import foldtwice.standin.base.StandIn;
import foldtwice.standin.vasculum.Register.Cell;
import foldtwice.standin.vasculum.Register.Cells;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Supplier;

/** The specimen register. */
public final class Vasculum extends StandIn<Register> {

  public static final String ID = "vasculum";

  /** The flag colours, in menu order. */
  public static final List<String> COLOURS = List.of("rust", "straw", "moss", "sky");

  private static final String DATES = "date form";

  private Cell editing;
  private String typed = "";
  private boolean finding;
  private boolean inHeader;
  private String clipboard = "";
  private int saves;
  private int prints;

  public Vasculum() {
    super(ID, Register.first());
    setting(DATES, new Value.Text("year first"));
    registerCommands();
    selectCommands();
    textCommands();
  }

  /** Adds a command that takes over a cell being edited before it does its own work. */
  private void working(String id, String menu, Supplier<Reply> action) {
    command(id, menu, () -> settled(action));
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

  private static Reply both(Reply first, Reply second) {
    List<Change> all = changes();
    for (Reply r : List.of(first, second)) {
      if (r instanceof Reply.Done(List<Change> some)) {
        all.addAll(some);
      }
    }
    return new Reply.Done(all);
  }

  private void registerCommands() {
    working("save", "Register \u203a Save", () -> counted("saves", saves, ++saves));
    working("print", "Register \u203a Print list", () -> counted("prints", prints, ++prints));
    working("new-record", "Register \u203a New record", this::newRecord);
    working(
        "sort",
        "Register \u203a Sort by column",
        () -> onSelected(r -> become(r.sortedBy(r.selection().left()))));
    working("undo", "Edit \u203a Undo", this::undo);
    working("redo", "Edit \u203a Redo", this::redo);
    working("copy", "Edit \u203a Copy", this::copyCell);
    working(
        "paste", "Edit \u203a Paste", () -> onSelected(r -> become(r.changing(t -> clipboard))));
    working("clear", "Edit \u203a Clear cells", () -> onSelected(r -> become(r.changing(t -> ""))));
    working("edit-cell", "Edit \u203a Edit cell", () -> onSelected(this::edit));
    command("accept", "", this::accept);
    command("leave", "", this::leave);
    command("erase", "", this::erase);
  }

  private void selectCommands() {
    working(
        "select-all",
        "Select \u203a All",
        () -> become(document().selecting(new Cells(0, 0, lastRow(), lastColumn()))));
    working(
        "select-row",
        "Select \u203a Whole records",
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
        () ->
            onSelected(
                r ->
                    become(
                        r.selecting(
                            new Cells(
                                0, r.selection().left(), lastRow(), r.selection().right())))));
    working("next-record", "Select \u203a Next record", () -> record(1));
    working("previous-record", "Select \u203a Previous record", () -> record(-1));
    working("header", "Select \u203a Column header", () -> keysTo(null, false, true));
    working("leave-header", "", () -> keysTo(null, false, false));
    command("go-left", "", () -> select(0, -1, Step.Edge.CLAMP));
    command("go-right", "", () -> select(0, 1, Step.Edge.CLAMP));
    command("go-up", "", () -> select(-1, 0, Step.Edge.CLAMP));
    command("go-down", "", () -> select(1, 0, Step.Edge.CLAMP));
  }

  private void textCommands() {
    working(
        "capitals",
        "Text \u203a Letter case \u203a Capitals",
        () -> letters(t -> t.toUpperCase(Locale.ROOT)));
    working(
        "small",
        "Text \u203a Letter case \u203a Small letters",
        () -> letters(t -> t.toLowerCase(Locale.ROOT)));
    working(
        "first-capital",
        "Text \u203a Letter case \u203a First capital",
        () -> letters(Vasculum::firstCapital));
    for (String colour : COLOURS) {
      working(
          "flag-" + colour,
          "Flags \u203a " + firstCapital(colour),
          () -> onSelected(r -> become(r.flagging(colour))));
    }
    working("flag-clear", "Flags \u203a Clear", () -> onSelected(r -> become(r.flagging(""))));
    working("look-up", "Tools \u203a Look up taxon", () -> onSelected(this::lookUp));
    working("find", "Tools \u203a Find", () -> keysTo(null, true, false));
    working("find-next", "", this::findNext);
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

  /** The mouse clicks a cell; extending makes a block from where the selection begins. */
  public Reply click(int row, int column, boolean extend) {
    settle();
    keysTo(null, false, false);
    Cells now = document().selection();
    Cells next =
        extend && !now.isEmpty()
            ? new Cells(
                Math.min(now.top(), row),
                Math.min(now.left(), column),
                Math.max(now.bottom(), row),
                Math.max(now.right(), column))
            : new Cells(row, column, row, column);
    return become(document().selecting(next));
  }

  private int lastRow() {
    return document().rows().size() - 1;
  }

  private static int lastColumn() {
    return Register.COLUMNS.size() - 1;
  }

  private static Reply counted(String what, int before, int after) {
    return new Reply.Done(
        List.of(new Change(what, Integer.toString(before), Integer.toString(after))));
  }

  private Reply onSelected(Function<Register, Reply> action) {
    return document().selection().isEmpty()
        ? new Reply.Refused("a selected cell", "nothing selected")
        : action.apply(document());
  }

  private Reply letters(java.util.function.UnaryOperator<String> change) {
    return onSelected(r -> become(r.changing(change)));
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
          String before = clipboard;
          clipboard = r.text(r.selection().top(), r.selection().left());
          List<Change> changes = changes();
          compare(changes, "clipboard", before, clipboard);
          return new Reply.Done(changes);
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
    if (editing != null) {
      context = "cell-edit";
    } else if (finding) {
      context = "find-bar";
    } else if (inHeader) {
      context = "header";
    }
    return new Place.Within(ID, context);
  }

  @Override
  public Reply enter(Place state) {
    if (state.equals(place())) {
      return Reply.QUIET;
    }
    cancel();
    leave();
    if (!(state instanceof Place.Within(String id, String context)) || !id.equals(ID)) {
      return new Reply.Refused("a state of Vasculum", state.id());
    }
    if (!somethingSelected()) {
      become(document().selecting(new Cells(0, 0, 0, 0)));
    }
    return switch (context) {
      case "cell-edit" -> edit(document());
      case "find-bar" -> keysTo(null, true, false);
      case "header" -> keysTo(null, false, true);
      default -> Reply.QUIET;
    };
  }

  @Override
  public boolean somethingSelected() {
    return !document().selection().isEmpty();
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
          "room for " + rows + " rows and " + columns + " columns more",
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
  protected Optional<Reply> refusal(String setting, Value value) {
    List<String> forms = List.of("year first", "day first");
    return forms.contains(value.shown())
        ? Optional.empty()
        : Optional.of(new Reply.Refused("one of " + String.join(", ", forms), value.shown()));
  }

  @Override
  protected List<Change> differences(Register before, Register after) {
    return RegisterWords.differences(before, after);
  }

  @Override
  public Program copy() {
    Vasculum copy = new Vasculum();
    copy.takeOver(this);
    copy.editing = editing;
    copy.typed = typed;
    copy.finding = finding;
    copy.inHeader = inHeader;
    copy.clipboard = clipboard;
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
    state.put("typed", typed);
    state.put("clipboard", clipboard);
    state.put("saves", Integer.toString(saves));
    state.put("prints", Integer.toString(prints));
    return state;
  }
}
