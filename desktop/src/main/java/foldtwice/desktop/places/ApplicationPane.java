package foldtwice.desktop.places;

import foldtwice.describe.Description;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Refill;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.known.Facts;
import foldtwice.library.Edit;
import foldtwice.place.Application;
import foldtwice.place.Labels;
import foldtwice.place.Station;
import foldtwice.table.Part;
import foldtwice.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.control.Toggle;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** An application: its contexts, its commands, what it accepts, and how things get in. */
final class ApplicationPane extends HBox {

  private final Session session;
  private final TextField name = Skins.on(new TextField());
  private final TextField version = Skins.on(new TextField());
  private final TextField language = Skins.on(new TextField());
  private final CommandsPane list;
  private final ContextsPane contexts;
  private final RulesPane rules;
  private final VBox facts = new VBox(5);
  private final WaysPane ways;
  private final ResetsPane resets;
  private final VBox stations = new VBox(2);
  private final OffersPane offers;
  private final TablePane described;
  private final VBox middle;
  private final ToggleGroup parts = new ToggleGroup();
  private final FlowPane chips = new FlowPane(6, 6);
  private Application application;
  private Snapshot now;

  ApplicationPane(Session session) {
    this.session = session;
    this.list = new CommandsPane(session);
    this.ways = new WaysPane(session);
    this.resets = new ResetsPane(session, list::takeKeys);
    this.offers = new OffersPane(session);
    this.described = new TablePane(session);
    this.contexts = new ContextsPane(session, (of, changes) -> resets.show(now, of, changes));
    this.rules = new RulesPane(session);
    setId("application-pane");
    name.setId("application-name");
    name.setAccessibleText(Ui.text("names.application"));
    name.getStyleClass().add("title-field");
    Parts.onKept(name, this::rename);
    version.setId("application-version");
    version.setAccessibleText(Ui.text("names.version"));
    version.setPrefColumnCount(6);
    Parts.onKept(version, this::rename);
    Label of = Parts.label(Ui.text("places.version"), "soft");
    of.setMinWidth(Region.USE_PREF_SIZE);
    language.setId("application-language");
    language.setPrefColumnCount(3);
    Parts.prompt(language, Ui.text("places.language.prompt"));
    language.setAccessibleText(Ui.text("places.language"));
    Parts.onKept(language, this::keepLanguage);
    language.managedProperty().bind(language.visibleProperty());
    Label in = Parts.label(Ui.text("places.language"), "soft");
    in.setMinWidth(Region.USE_PREF_SIZE);
    in.visibleProperty().bind(language.visibleProperty());
    in.managedProperty().bind(language.visibleProperty());
    name.setMinWidth(80);
    version.setMinWidth(Region.USE_PREF_SIZE);
    language.setMinWidth(Region.USE_PREF_SIZE);
    HBox head = new HBox(10, name, of, version, in, language);
    head.setAlignment(Pos.CENTER_LEFT);
    HBox.setHgrow(name, Priority.ALWAYS);
    VBox.setVgrow(described, Priority.ALWAYS);
    chips.setId("parts");
    chip(null);
    for (Part part : Part.values()) {
      chip(part);
    }
    middle = new VBox(8, head, chips, list);
    middle.getStyleClass().add("collect-middle");
    HBox.setHgrow(middle, Priority.ALWAYS);
    facts.setPadding(new Insets(10, 14, 10, 12));
    layOut();
    ScrollPane right = Skins.on(new ScrollPane(facts));
    right.setFitToWidth(true);
    right.setPrefWidth(320);
    right.setMinWidth(260);
    right.setFocusTraversable(false);
    getChildren().addAll(middle, right);
  }

  /** Goes to one of its commands. */
  void chooseCommand(String id) {
    list.choose(id);
  }

  void show(Snapshot next, Application of) {
    boolean other = application == null || !application.id().equals(of.id());
    now = next;
    application = of;
    if (other) {
      resets.clear();
    }
    Parts.renew(name, of.name());
    Parts.renew(version, of.version());
    list.show(now, of);
    facts();
    showPart();
  }

  /** A part of what is said of it, or its commands as they are found and bound. */
  private void chip(Part part) {
    ToggleButton chip = Skins.on(new ToggleButton());
    chip.setId(part == null ? "part-list" : "part-" + part.name().toLowerCase(Locale.ROOT));
    chip.getStyleClass().addAll("chip", "small-chip");
    chip.setToggleGroup(parts);
    chip.setUserData(part);
    chip.setSelected(part == null);
    chip.setOnAction(
        e -> {
          chip.setSelected(true); // one of them always is
          showPart();
        });
    chips.getChildren().add(chip);
  }

  /** The table of the chosen part; a program that is simulated has no parts to describe. */
  private void showPart() {
    boolean whole = session.known().program(application.id()).filter(Facts::whole).isPresent();
    language.setVisible(!whole);
    Parts.renew(language, now.library().description(application.id()).language());
    for (Toggle t : parts.getToggles()) {
      ToggleButton chip = (ToggleButton) t;
      Part part = (Part) chip.getUserData();
      boolean has = part == null || part == Part.COMMANDS || part == Part.LABELS || !whole;
      Parts.there(chip, has);
      chip.setText(
          part == null
              ? Ui.text("part.list")
              : Ui.text(
                  "part.chip",
                  Ui.text("part." + part),
                  count(part, now.library().description(application.id()))));
      if (!has && chip.isSelected()) {
        chips.getChildren().getFirst().requestFocus();
        parts.selectToggle(parts.getToggles().getFirst());
      }
    }
    Part part = (Part) parts.getSelectedToggle().getUserData();
    Region shown = part == null ? list : described;
    if (part != null) {
      described.show(now, application, part);
    }
    if (!middle.getChildren().getLast().equals(shown)) {
      middle.getChildren().set(middle.getChildren().size() - 1, shown);
    }
  }

  /** Gives the keys to its name, to be typed over. */
  void takeName() {
    Parts.retype(name);
  }

  private int count(Part part, Description said) {
    return switch (part) {
      case COMMANDS -> application.commands().size();
      case CONTEXTS -> application.allContexts().size();
      case DIALOGS -> said.dialogs().size();
      case SETTINGS -> said.settings().size();
      case VALUES -> said.values().size();
      case THINGS -> said.things().size();
      case ACTIONS -> said.actions().size();
      case LABELS -> said.labels().stream().mapToInt(l -> l.words().size()).sum();
    };
  }

  /** Goes to a part of what is said of it. */
  void describe(Part part) {
    parts.getToggles().stream()
        .filter(t -> t.getUserData() == part)
        .findFirst()
        .ifPresent(parts::selectToggle);
    showPart();
    described.takeKeys();
  }

  /** The language its labels are written in, as a language tag; anything else is not taken. */
  private void keepLanguage() {
    Description said = now.library().description(application.id());
    String typed = language.getText().strip();
    boolean tag = typed.isEmpty() || Labels.isTag(typed);
    if (!tag) {
      language.setText(said.language());
      session.say(Ui.text("places.language.wrong", typed));
    } else if (!typed.equals(said.language())) {
      session.make(
          new Edit.Describe(application.id(), Optional.of(said.in(typed))),
          Ui.text("said.changed", application.name()));
    }
  }

  private void rename() {
    String named = name.getText().strip();
    String of = version.getText().strip();
    if (named.isEmpty()) {
      name.setText(application.name());
      return;
    }
    Application next = application.named(named, of);
    if (!next.equals(application)) {
      session.make(new Edit.PutApplication(next), Ui.text("said.changed", named));
    }
  }

  /** The headings and what stands under them, laid out once: what is in them follows. */
  private void layOut() {
    heading("places.contexts");
    facts.getChildren().addAll(contexts, resets);
    heading("places.rules");
    facts.getChildren().add(rules);
    heading("places.waysin");
    facts.getChildren().add(ways);
    heading("places.onstations");
    facts.getChildren().add(stations);
    heading("places.offers");
    facts.getChildren().add(offers);
  }

  private void facts() {
    contexts.show(now, application);
    rules.show(now, application);
    ways.show(now, application);
    List<List<String>> says = new ArrayList<>();
    for (Station s : now.library().stations().values()) {
      Optional<Station.Installed> installed =
          s.installed().stream().filter(i -> i.application().equals(application.id())).findFirst();
      String version =
          installed
              .map(
                  i ->
                      i.addOns().isEmpty()
                          ? version(i)
                          : Ui.text("places.with", version(i), Words.addOns(i.addOns())))
              .orElse(
                  application.version().isEmpty()
                      ? Ui.text("places.anyversion")
                      : application.version());
      says.add(List.of(s.name(), version));
    }
    Refill.with(
        stations, says, () -> says.stream().map(f -> fact(f.getFirst(), f.getLast())).toList());
    offers.show(application);
  }

  private static String version(Station.Installed i) {
    return (i.version() + " " + i.language()).strip();
  }

  private static HBox fact(String name, String says) {
    HBox row = Parts.fact(name, Parts.wrapped(says));
    row.getStyleClass().add("why-row");
    return row;
  }

  private void heading(String key) {
    Label heading = Parts.label(Ui.text(key), "heading");
    heading.setPadding(new Insets(6, 0, 0, 0));
    facts.getChildren().add(heading);
  }
}
