package foldtwice.standin.muniment;

import foldtwice.known.Effects;
import foldtwice.known.Touch;
import foldtwice.place.AddOn;
import foldtwice.place.Place;
import foldtwice.routine.Value;
import foldtwice.run.Change;
import foldtwice.run.Dialog;
import foldtwice.run.Reply;
import foldtwice.standin.base.Edition;
import foldtwice.standin.base.OpenDialog;
import foldtwice.standin.base.StandIn;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;

/** The console of the archive database. */
public final class Muniment extends StandIn<Console> {

  public static final String ID = "muniment";

  /** The versions there are; the later one runs statements from a menu of its own. */
  public static final List<String> VERSIONS = List.of("2.4", "3.0");

  /** The add-on that copies answers as text. */
  public static final AddOn LISTER = new AddOn("Lister", "1.0");

  /** The setting that says which schema unqualified names are looked up in. */
  public static final String SCHEMA = "schema";

  private static final List<String> SCHEMAS = List.of("herbarium", "lending", "storage");
  private static final Effects VIEW = Effects.of(Touch.VIEW);

  /** Where the answer comes to nothing the keys go back to the console. */
  private static final Effects DOCUMENT = Effects.of(Touch.OBJECTS, Touch.SELECTION, Touch.VIEW);

  private static final Effects SELECTION = Effects.of(Touch.SELECTION);
  private static final String NAME = "row ";

  /** Most statements are answered within this, in nanoseconds; nobody notices it. */
  private static final long PATIENCE = 25_000_000;

  private final Archive archive = new Archive();
  private Statement statement;
  private boolean hurried;
  private boolean inAnswer;
  private int consoles = 1;

  public Muniment() {
    this(Edition.of(VERSIONS.getFirst(), List.of(LISTER)));
  }

  public Muniment(Edition edition) {
    super(ID, edition, Console.first());
    setting(SCHEMA, "herbarium", SCHEMAS.toArray(new String[0]));
    settingFromRestart("dates", "year first", "year first", "day first");
    consoleCommands();
    storedCommands();
    answerCommands();
  }

  private void consoleCommands() {
    String run =
        edition().version().equals(VERSIONS.getFirst())
            ? "Console \u203a Run"
            : "Run \u203a Statement";
    command("run", run, DOCUMENT, () -> run(document().text()));
    command("clear", "Console \u203a Clear", DOCUMENT, () -> become(document().cleared()));
    command(
        "new-console",
        "Console \u203a New console",
        Effects.of(Touch.WINDOWS, Touch.OBJECTS).takingUp("dates"),
        this::newConsole);
    command("undo", "Edit \u203a Take back", DOCUMENT, this::undo);
    command("redo", "Edit \u203a Do again", DOCUMENT, this::redo);
    command(
        "keep",
        "Console \u203a Keep changes",
        Effects.of(Touch.UNDO_HISTORY, Touch.FILES),
        () -> becomeForGood(document()));
    for (String schema : SCHEMAS) {
      command(
          "schema-" + schema,
          "Schema \u203a " + capital(schema),
          Effects.of().setting(SCHEMA),
          () -> change(SCHEMA, new Value.Text(schema)));
      tick("schema-" + schema, () -> schema().equals(schema));
    }
    command("erase", "", Effects.of(Touch.OBJECTS), this::erase);
    command("leave", "", VIEW, () -> dialog().isPresent() ? cancel() : drop());
  }

  private void storedCommands() {
    stored(
        "overdue",
        "Stored \u203a Overdue loans \u2026",
        "Overdue loans",
        "Days over",
        "0",
        "CALL LENDING.OVERDUE(%s)");
    stored(
        "close-loan",
        "Stored \u203a Close a loan \u2026",
        "Close a loan",
        "Loan",
        "1",
        "CALL LENDING.CLOSE_LOAN(%s)");
    command(
        "open-locks", "Stored \u203a Open locks", DOCUMENT, () -> run("CALL STORAGE.OPEN_LOCKS()"));
    command("stocktake", "Stored \u203a Stocktake", DOCUMENT, () -> run("CALL PUBLIC.STOCKTAKE()"));
  }

  private void stored(
      String id, String menu, String title, String field, String otherwise, String call) {
    opening(
        id,
        menu,
        VIEW,
        () ->
            OpenDialog.of(title, Dialog.Field.number(field, otherwise, 0))
                .closing(
                    "Run",
                    DOCUMENT,
                    (p, d) ->
                        ((Muniment) p)
                            .run(
                                call.formatted(
                                    OpenDialog.number(d.field(field).orElseThrow().text())
                                        .orElseThrow()
                                        .toPlainString())))
                .leaving("Cancel"));
  }

  private void answerCommands() {
    command("to-answer", "View \u203a Answer", VIEW, () -> keysTo(true));
    command("to-console", "View \u203a Console", VIEW, () -> keysTo(false));
    command(
        "select-all",
        "Edit \u203a Select all rows",
        SELECTION,
        () -> select(foldtwice.routine.Whom.Group.ALL, false));
    command(
        "next-row",
        "Edit \u203a Next row",
        SELECTION,
        () -> select(1, 0, foldtwice.routine.Step.Edge.CLAMP));
    command(
        "previous-row",
        "Edit \u203a Row before",
        SELECTION,
        () -> select(-1, 0, foldtwice.routine.Step.Edge.CLAMP));
    command(
        "copy",
        "Edit \u203a Copy",
        Effects.of(Touch.CLIPBOARD).onSelection(),
        () -> copyRows("\t"));
    command(
        "copy-list",
        "Edit \u203a Copy as list",
        Effects.of(Touch.CLIPBOARD).onSelection().from(LISTER),
        () -> copyRows(", "));
  }

  private static String capital(String schema) {
    return schema.substring(0, 1).toUpperCase(Locale.ROOT) + schema.substring(1);
  }

  /** The current schema: where unqualified names are looked up. */
  public String schema() {
    return settings().get(SCHEMA).shown();
  }

  /** True when keys go to the answer's rows, false when to the console. */
  public boolean inAnswer() {
    return inAnswer && !document().answer().rows().isEmpty();
  }

  /** How many consoles have been opened. */
  public int consoles() {
    return consoles;
  }

  private Reply keysTo(boolean answer) {
    boolean before = inAnswer();
    inAnswer = answer;
    return changed("keys go to", before ? "answer" : "console", inAnswer() ? "answer" : "console");
  }

  /** What a statement comes to in one schema. */
  public sealed interface Outcome {
    record Works(Answer answer) implements Outcome {}

    record Fails(String why) implements Outcome {}
  }

  /** Tries a statement in every schema, each on a copy of the data as it is now. */
  public Map<String, Outcome> tryEverywhere(String sql, List<Value> values) {
    Map<String, Outcome> outcomes = new LinkedHashMap<>();
    for (String schema : SCHEMAS) {
      Archive copy = new Archive();
      try {
        outcomes.put(
            schema,
            new Outcome.Works(
                copy.answer(
                    document().done(),
                    new Archive.Said(schema.toUpperCase(Locale.ROOT), sql, values))));
      } catch (SqlRefused e) {
        outcomes.put(schema, new Outcome.Fails(e.getMessage()));
      } finally {
        copy.close();
      }
    }
    return outcomes;
  }

  @Override
  public Reply send(String text, List<Value> values) {
    return dialog().isPresent()
        ? new Reply.Refused("no open dialog", "the dialog \"" + dialog().get().title() + "\"")
        : run(text, values);
  }

  /** Runs a statement in the current schema. */
  public Reply run(String sql) {
    return run(sql, List.of());
  }

  private Reply run(String sql, List<Value> values) {
    if (sql.isBlank()) {
      return new Reply.Refused("a statement to run", "an empty console");
    }
    if (statement != null) {
      return new Reply.Refused("the statement before this one to be over", "it still runs");
    }
    Archive.Said now = new Archive.Said(schema().toUpperCase(Locale.ROOT), sql, values);
    Statement asked = new Statement(now, archive.ask(document().done(), now));
    statement = asked;
    return asked
        .done(hurried ? PATIENCE : Long.MAX_VALUE)
        .orElseGet(() -> changed("statement", "none", "runs"));
  }

  /** A statement that has been said and is not answered yet. */
  private final class Statement implements Work {

    private final Archive.Said said;
    private final Archive.Asking asking;
    private Optional<Reply> reply = Optional.empty();

    Statement(Archive.Said said, Archive.Asking asking) {
      this.said = said;
      this.asking = asking;
    }

    @Override
    public Optional<Reply> done(long nanos) {
      if (reply.isEmpty() && asking.isOver(nanos)) {
        statement = null;
        reply = Optional.of(taken());
      }
      return reply;
    }

    private Reply taken() {
      try {
        return become(document().answered(asking.answer(), said));
      } catch (SqlRefused e) {
        return new Reply.Refused(
            "a statement that works in the schema " + said.schema().toLowerCase(Locale.ROOT),
            e.getMessage());
      }
    }

    @Override
    public void giveUp() {
      asking.giveUp();
    }
  }

  @Override
  public Optional<Work> work() {
    return Optional.ofNullable(statement);
  }

  @Override
  public boolean takesTime() {
    return hurried;
  }

  @Override
  public void hurry() {
    hurried = true;
  }

  /** Gets the database ready, which takes a moment the first time; may be called off any thread. */
  public static void warmUp() {
    Archive.warmUp();
  }

  private Reply newConsole() {
    List<Change> changes = changes();
    changes.addAll(takeUp());
    changes.add(new Change("console", Integer.toString(consoles), Integer.toString(++consoles)));
    if (become(document().saying("")) instanceof Reply.Done(List<Change> some)) {
      changes.addAll(some);
    }
    return new Reply.Done(changes);
  }

  private Reply copyRows(String between) {
    if (document().selected().isEmpty()) {
      return new Reply.Refused("a selected row", "nothing selected");
    }
    String before = clipboard().text();
    List<String> lines = new ArrayList<>();
    document().selected().forEach(r -> lines.add(String.join(between, row(r))));
    clipboard().put(String.join("\n", lines));
    return changed("clipboard", before, clipboard().text());
  }

  private List<String> row(int number) {
    return document().answer().rows().get(number - 1);
  }

  private Reply erase() {
    String text = document().text();
    return text.isEmpty()
        ? new Reply.Refused("a text to erase from", "none")
        : become(document().saying(text.substring(0, text.offsetByCodePoints(text.length(), -1))));
  }

  /** A click on a row gives the keys to the answer, one beside them to the console. */
  @Override
  public Reply click(String name, boolean adding) {
    Reply keys = keysTo(!name.isEmpty());
    return name.isEmpty() ? keys : super.click(name, adding);
  }

  @Override
  public Map<String, Value> indicators() {
    return Map.of("rows found", Value.Amount.of(document().answer().rows().size()));
  }

  @Override
  public Reply type(String text) {
    return inAnswer()
        ? new Reply.Refused("the console in front", "the answer has the keys")
        : become(document().saying(document().text() + text));
  }

  @Override
  protected String waitsFor() {
    return "in a new console";
  }

  @Override
  protected List<String> names() {
    return IntStream.rangeClosed(1, document().answer().rows().size())
        .mapToObj(i -> NAME + i)
        .toList();
  }

  @Override
  public List<String> selected() {
    return document().selected().stream().map(i -> NAME + i).toList();
  }

  @Override
  protected Console selecting(List<String> names) {
    return document()
        .selecting(names.stream().map(n -> Integer.valueOf(n.substring(NAME.length()))).toList());
  }

  @Override
  public String selectedText() {
    return document().selected().isEmpty()
        ? ""
        : String.join("\t", row(document().selected().getLast()));
  }

  @Override
  protected Reply drop() {
    giveUp();
    return keysTo(false);
  }

  private void giveUp() {
    if (statement != null) {
      statement.giveUp();
    }
  }

  @Override
  protected void restarted() {
    giveUp();
    inAnswer = false;
    consoles = 1;
  }

  @Override
  public Place place() {
    if (dialog().isPresent()) {
      return within("dialog");
    }
    return within(inAnswer() ? "answer" : schema());
  }

  @Override
  protected Reply goTo(String context) {
    return switch (context) {
      case "dialog" -> fire("overdue");
      case "answer" -> {
        if (document().answer().rows().isEmpty()) {
          run("CALL PUBLIC.STOCKTAKE()");
          work().ifPresent(w -> w.done(Long.MAX_VALUE)); // the archive's own, and quick
        }
        if (!somethingSelected()) {
          become(document().selecting(List.of(1)));
        }
        yield keysTo(true);
      }
      default -> {
        keysTo(false);
        yield change(SCHEMA, new Value.Text(context));
      }
    };
  }

  @Override
  protected List<Change> differences(Console before, Console after) {
    return Console.differences(before, after);
  }

  @Override
  public Muniment copy() {
    Muniment copy = new Muniment(edition());
    copy.takeOver(this);
    copy.inAnswer = inAnswer;
    copy.consoles = consoles;
    return copy;
  }

  @Override
  public Map<String, String> state() {
    Map<String, String> state = commonState();
    state.put("console", document().text());
    state.put("done", document().done().toString());
    state.put("answer", document().answer().toString());
    state.put("view keys", inAnswer() ? "answer" : "console");
    state.put("window consoles", Integer.toString(consoles));
    if (statement != null) {
      state.put("view statement", "runs");
    }
    return state;
  }
}
