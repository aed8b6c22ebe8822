package foldtwice.desktop.places;

import foldtwice.collecting.CommandList;
import foldtwice.collecting.CommandList.Column;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.session.Background.Lane;
import foldtwice.desktop.session.Question;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Ui;
import foldtwice.library.Edit;
import foldtwice.library.Rules;
import foldtwice.library.file.FormatException;
import foldtwice.library.file.ProgramDescription;
import foldtwice.place.Application;
import foldtwice.place.NativeCommand;
import foldtwice.text.DiskWords;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.Clipboard;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** Makes an application of one's own out of a list of its commands, after showing what it holds. */
final class ImportPane extends VBox {

  private static final int SHOWN = 12;

  private final Session session;
  private final Consumer<String> onTaken;
  private final Runnable onLeft;
  private final TextField name = Skins.on(new TextField());
  private final VBox columns = new VBox(4);
  private final VBox preview = new VBox(3);
  private final Label state = Parts.wrapped("");
  private final Button take;
  private final Button cancel;
  private final Question<Read> reading;
  private final Question<CommandList.Commands> commanding;
  private CommandList.Table table;
  private final Map<Column, Integer> mapping = new EnumMap<>(Column.class);
  private CommandList.Commands commands;
  private boolean shown;

  ImportPane(Session session, Consumer<String> onTaken, Runnable onLeft) {
    this.session = session;
    this.onTaken = onTaken;
    this.onLeft = onLeft;
    reading = session.background().question(Lane.READING, this::show, this::failed);
    commanding = session.background().question(Lane.READING, this::show, this::failed);
    setId("import-pane");
    setSpacing(8);
    getStyleClass().add("collect-middle");
    name.setId("import-name");
    Parts.prompt(name, Ui.text("import.name"));
    name.textProperty().addListener((o, a, b) -> ready());
    state.setId("import-state");
    preview.setId("import-preview");
    columns.setId("import-columns");
    take = Parts.button("import-take", Ui.text("import.take", 0), this::take, "main");
    cancel = Parts.button("import-cancel", Ui.text("import.cancel"), this::giveUp);
    FlowPane buttons =
        new FlowPane(
            8,
            6,
            Parts.button("import-file", Ui.text("import.file"), this::choose),
            Parts.button("import-paste", Ui.text("import.paste"), this::paste),
            take,
            cancel,
            Parts.button("import-leave", Ui.text("sets.leave"), this::leave, "link"));
    getChildren()
        .addAll(
            Parts.label(Ui.text("import.title"), "title"),
            Parts.wrapped(Ui.text("import.hint"), "soft"),
            Parts.fact(Ui.text("import.application"), name),
            buttons,
            state,
            columns,
            preview);
  }

  void open() {
    shown = true;
    table = null;
    commands = null;
    name.clear();
    state.setText("");
    columns.getChildren().clear();
    preview.getChildren().clear();
    cancel.setDisable(true);
    ready();
  }

  boolean isShown() {
    return shown;
  }

  void close() {
    shown = false;
  }

  private void leave() {
    reading.drop();
    close();
    onLeft.run();
  }

  private void ready() {
    int count = commands == null ? 0 : commands.commands().size();
    take.setText(Ui.text("import.take", count));
    take.setDisable(count == 0 || name.getText().isBlank());
  }

  private void choose() {
    session.files().files(getScene().getWindow(), Ui.text("import.file")).stream()
        .findFirst()
        .ifPresent(this::read);
  }

  /** Reads a file in the background; it can be given up. */
  private void read(Path file) {
    cancel.setDisable(false);
    state.setText(Ui.text("import.reading", 0));
    reading.anew(asked -> read(file, asked));
  }

  /** What was copied from a table elsewhere, read as a file of it. */
  private void paste() {
    String copied = Clipboard.getSystemClipboard().getString();
    byte[] text = (copied == null ? "" : copied).getBytes(StandardCharsets.UTF_8);
    cancel.setDisable(false);
    reading.anew(asked -> read(Ui.text("import.pasted"), text, asked));
  }

  private Read read(Path file, Question.Asked asked) {
    String named = file.getFileName().toString();
    try {
      if (Files.size(file) > CommandList.LARGEST) {
        return Read.wrong(
            named, Ui.text("import.toolarge", CommandList.LARGEST / 1_000_000, Files.size(file)));
      }
      return read(named, Files.readAllBytes(file), asked);
    } catch (IOException e) {
      return Read.wrong(named, DiskWords.reason(e));
    }
  }

  private Read read(String named, byte[] bytes, Question.Asked asked) {
    try {
      if (ProgramDescription.is(bytes)) {
        return new Read(named, null, Optional.of(ProgramDescription.read(bytes)), "");
      }
      return new Read(
          named,
          CommandList.read(
              bytes,
              rows -> asked.tell(() -> state.setText(Ui.text("import.reading", rows))),
              () -> !asked.isWanted()),
          Optional.empty(),
          "");
    } catch (CommandList.UnreadableException | FormatException e) {
      return Read.wrong(named, e.getMessage());
    }
  }

  private void show(Read read) {
    cancel.setDisable(true);
    if (read.program.isPresent()) {
      take(read.program.get());
      return;
    }
    if (read.table == null) {
      state.setText(Ui.text("import.wrong", read.named, read.wrong));
      return;
    }
    table = read.table;
    mapping.clear();
    mapping.putAll(table.guess());
    if (name.getText().isBlank()) {
      name.setText(read.named.replaceFirst("\\.[A-Za-z]+$", ""));
    }
    offerColumns();
    look();
  }

  private void giveUp() {
    reading.drop();
    failed(Ui.text("takein.givenup"));
  }

  private void failed(String why) {
    cancel.setDisable(true);
    state.setText(why);
  }

  /** What was read: a table, a whole program, or neither, and why. */
  private record Read(
      String named, CommandList.Table table, Optional<ProgramDescription> program, String wrong) {
    static Read wrong(String named, String why) {
      return new Read(named, null, Optional.empty(), why);
    }
  }

  /** A program as somebody described it, in place of the one of its id, if there is one. */
  private void take(ProgramDescription program) {
    Application a = program.application();
    boolean there = session.now().library().applications().containsKey(a.id());
    session.make(
        new Edit.Together(
            List.of(
                new Edit.PutApplication(a),
                new Edit.Describe(a.id(), Optional.of(program.description())))),
        Ui.text(there ? "said.program.replaced" : "said.program.taken", a.name()));
    onTaken.accept(a.id());
  }

  /** Which column holds what, as guessed, to be changed. */
  private void offerColumns() {
    columns.getChildren().setAll(Parts.label(Ui.text("import.columns"), "heading"));
    FlowPane all = new FlowPane(14, 6);
    List<String> headings = new ArrayList<>(List.of(Ui.text("import.nocolumn")));
    headings.addAll(table.headings());
    for (Column c : Column.values()) {
      ComboBox<String> box = new ComboBox<>();
      box.setId("column-" + c.name().toLowerCase(Locale.ROOT));
      box.getItems().setAll(headings);
      box.getSelectionModel().select(mapping.containsKey(c) ? mapping.get(c) + 1 : 0);
      Parts.onChosen(
          box,
          () -> {
            int at = box.getSelectionModel().getSelectedIndex() - 1;
            if (at < 0) {
              mapping.remove(c);
            } else {
              mapping.put(c, at);
            }
            look();
          });
      all.getChildren().add(Parts.fact(Ui.text("import.column." + c), box));
    }
    columns.getChildren().add(all);
  }

  private void look() {
    Map<Column, Integer> asked = new EnumMap<>(mapping);
    CommandList.Table of = table;
    String id = id();
    commanding.anew(() -> CommandList.commands(of, asked, id));
  }

  private void show(CommandList.Commands read) {
    commands = read;
    preview.getChildren().clear();
    state.setText(
        commands.faulty() == 0
            ? Ui.text("import.good", commands.commands().size())
            : Ui.text("import.some", commands.commands().size(), commands.faulty()));
    for (CommandList.Fault f :
        commands.faults().subList(0, Math.min(SHOWN, commands.faults().size()))) {
      preview
          .getChildren()
          .add(Parts.wrapped(Ui.text("import.fault", f.line(), f.expected(), f.found()), "costs"));
    }
    for (NativeCommand c :
        commands.commands().subList(0, Math.min(SHOWN, commands.commands().size()))) {
      String keys =
          c.triggers().isEmpty() ? "" : session.now().words().trigger(c.triggers().getFirst());
      HBox row =
          Parts.fact(
              c.name(),
              Parts.label(String.join(" \u203a ", c.menuPath())),
              Parts.gap(),
              Parts.label(keys, "mono"));
      row.getStyleClass().add("why-row");
      preview.getChildren().add(row);
    }
    ready();
  }

  private String id() {
    return Rules.applicationId(name.getText(), session.now().library().applications());
  }

  private void take() {
    String id = id();
    String named = name.getText().strip();
    Application made =
        CommandList.application(id, named, CommandList.commands(table, mapping, id).commands());
    session.make(
        new Edit.PutApplication(made), Ui.text("said.application", named, made.commands().size()));
    onTaken.accept(id);
  }

  @Override
  public void requestFocus() {
    name.requestFocus();
  }
}
