package foldtwice.desktop.places;

import foldtwice.desktop.parts.KeyCaps;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.parts.Tips;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.place.Application;
import foldtwice.place.NativeCommand;
import foldtwice.words.CommandNames;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.stream.Collectors;
import javafx.beans.property.SimpleObjectProperty;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TableCell;
import javafx.scene.control.TableColumn;
import javafx.scene.control.TableView;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** The commands of a program: found by words and group, the chosen one with its keys below. */
final class CommandsPane extends VBox {

  private final TextField filter = Skins.on(new TextField());
  private final Label count = Parts.label("", "soft");
  private final Label none = Parts.label("", "soft");
  private final TableView<NativeCommand> commands = new TableView<>();
  private final CommandPane command;
  private final ComboBox<String> group = new ComboBox<>();
  private final Session session;
  private Application application;
  private CommandNames names;
  private Snapshot now;
  private String chosen = "";
  private boolean filling;

  CommandsPane(Session session) {
    super(8);
    this.session = session;
    this.command = new CommandPane(session, this::next);
    filter.setId("command-filter");
    Parts.prompt(filter, Ui.text("places.filter"));
    filter.textProperty().addListener((o, a, b) -> narrow());
    group.setId("command-group");
    group.setAccessibleText(Ui.text("places.group"));
    Parts.shows(group, g -> g.isEmpty() ? Ui.text("places.group.all") : g);
    Parts.onChosen(group, this::narrow);
    HBox.setHgrow(filter, Priority.ALWAYS);
    commands.setId("commands");
    commands.setAccessibleText(Ui.text("names.commands"));
    commands.setFixedCellSize(29);
    commands.setColumnResizePolicy(TableView.CONSTRAINED_RESIZE_POLICY_FLEX_LAST_COLUMN);
    commands.setPlaceholder(none);
    none.setWrapText(true);
    column("command", 160, c -> names.of(c), c -> null);
    column("menu", 200, c -> String.join(" \u203a ", c.menuPath()), c -> null);
    column("keys", 190, c -> keys(c), this::caps);
    column(
        "where",
        104,
        c -> now.library().nameOf(c.place()).replaceFirst("^.* \u203a ", ""),
        c -> null);
    column(
        "uses",
        64,
        c -> c.usesPerWeek() == 0 ? "" : Long.toString(Math.round(c.usesPerWeek())),
        c -> null);
    VBox.setVgrow(commands, Priority.ALWAYS);
    HBox search = new HBox(10, filter, group, count);
    search.setAlignment(Pos.CENTER_LEFT);
    commands
        .getSelectionModel()
        .selectedItemProperty()
        .addListener(
            (o, a, c) -> {
              if (!filling) {
                chosen = c == null ? "" : c.id();
                showCommand();
              }
            });
    getChildren().addAll(search, commands, command);
    VBox.setVgrow(this, Priority.ALWAYS);
  }

  /** Gives the keys to the words they are found by. */
  void takeKeys() {
    filter.requestFocus();
  }

  void show(Snapshot next, Application of) {
    boolean other = application == null || !application.id().equals(of.id());
    boolean same = of.equals(application);
    now = next;
    application = of;
    if (!same) {
      names = new CommandNames(of);
    }
    if (other) {
      filter.clear();
      chosen = "";
    }
    if (!same) {
      groups();
      narrow();
    }
    showCommand();
  }

  private void column(
      String id,
      double width,
      Function<NativeCommand, String> text,
      Function<NativeCommand, Node> graphic) {
    TableColumn<NativeCommand, NativeCommand> column =
        new TableColumn<>(Ui.text("places.col." + id));
    column.setPrefWidth(width);
    column.setCellValueFactory(c -> new SimpleObjectProperty<>(c.getValue()));
    column.setComparator(
        id.equals("uses")
            ? Comparator.comparingDouble(NativeCommand::usesPerWeek)
            : Comparator.comparing(text));
    column.setCellFactory(
        c ->
            new TableCell<>() {
              @Override
              protected void updateItem(NativeCommand command, boolean empty) {
                super.updateItem(command, empty);
                setText(null);
                setGraphic(null);
                if (!empty && command != null) {
                  Node shown = graphic.apply(command);
                  setGraphic(shown);
                  String says = text.apply(command);
                  setText(shown == null ? says : null);
                  Tips.on(this, says);
                } else {
                  Tips.on(this, "");
                }
              }
            });
    commands.getColumns().add(column);
  }

  private String keys(NativeCommand c) {
    return c.triggers().stream().map(now.words()::trigger).collect(Collectors.joining(", "));
  }

  /** Its keys as they are found: by none too. */
  private String found(NativeCommand c) {
    return c.triggers().isEmpty() ? Ui.text("notrigger") : keys(c);
  }

  private Node caps(NativeCommand c) {
    return c.triggers().isEmpty() ? null : KeyCaps.of(c.triggers().getFirst(), now.words());
  }

  /** Works down the list as it is narrowed and sorted: to the next command without keys. */
  private void next() {
    List<NativeCommand> shown = commands.getItems();
    int from = commands.getSelectionModel().getSelectedIndex() + 1;
    for (int i = 0; i < shown.size(); i++) {
      int at = (from + i) % shown.size();
      if (shown.get(at).triggers().isEmpty()) {
        commands.getSelectionModel().clearAndSelect(at);
        commands.scrollTo(Math.max(0, at - 2));
        command.focusKeys();
        return;
      }
    }
    session.say(Ui.text("command.nomore"));
  }

  private void showCommand() {
    command.show(now, application, application.command(chosen).orElse(null));
  }

  /** Goes to one of its commands. */
  void choose(String id) {
    filter.clear();
    group.setValue("");
    narrow();
    commands.getItems().stream()
        .filter(c -> c.id().equals(id))
        .findFirst()
        .ifPresent(
            c -> {
              commands.getSelectionModel().select(c);
              commands.scrollTo(Math.max(0, commands.getItems().indexOf(c) - 2));
              commands.requestFocus();
            });
  }

  /** The groups its commands are in; the chosen one stays chosen while it is one of them. */
  private void groups() {
    Set<String> all = new TreeSet<>(Set.of(""));
    application.commands().forEach(c -> all.add(c.group()));
    String was = group.getValue();
    group.getItems().setAll(all);
    group.setValue(was != null && all.contains(was) ? was : "");
  }

  private void narrow() {
    String of = group.getValue() == null ? "" : group.getValue();
    String[] words = filter.getText().toLowerCase(Locale.ROOT).strip().split("\\s+");
    List<NativeCommand> found =
        application.commands().stream()
            .filter(c -> of.isEmpty() || c.group().equals(of))
            .filter(c -> matches(c, words))
            .toList();
    filling = true;
    commands.getItems().setAll(found);
    found.stream()
        .filter(c -> c.id().equals(chosen))
        .findFirst()
        .ifPresent(commands.getSelectionModel()::select);
    filling = false;
    none.setText(
        Ui.text(application.commands().isEmpty() ? "places.nocommandyet" : "places.nocommand"));
    count.setText(Ui.text("places.count", found.size(), application.commands().size()));
    commands.sort();
  }

  private boolean matches(NativeCommand c, String[] words) {
    String all =
        (c.name() + " " + String.join(" ", c.menuPath()) + " " + c.group() + " " + found(c))
            .toLowerCase(Locale.ROOT);
    for (String word : words) {
      if (!all.contains(word)) {
        return false;
      }
    }
    return true;
  }
}
