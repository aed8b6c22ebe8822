package foldtwice.desktop.handover;

import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.session.OnDisk;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.desktop.view.Act;
import foldtwice.desktop.view.Acts;
import foldtwice.desktop.view.Going;
import foldtwice.desktop.view.Target;
import foldtwice.desktop.view.View;
import foldtwice.library.file.Backups;
import foldtwice.sheet.About;
import foldtwice.sheet.SheetFile;
import foldtwice.sheet.SheetKind;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;

/** What leaves the library, and what it was: cheat sheets, kits, comparisons, the history. */
public final class HandOverView extends BorderPane implements View {

  public static final List<Act<HandOverView>> ACTS =
      List.of(
          sheet("sheet-pdf", SheetFile.Form.PDF),
          sheet("sheet-html", SheetFile.Form.HTML),
          new Act<>(
              "sheet-svg", v -> v.sheets.hasPictures(), v -> v.onSheets().save(SheetFile.Form.SVG)),
          sheet("sheet-csv", SheetFile.Form.CSV),
          new Act<>(
              "sheet-compose",
              v -> v.sheets.hasTexts(),
              v -> v.onSheets().save(SheetFile.Form.XCOMPOSE)),
          new Act<>("sheet-stop", v -> v.sheets.isMaking(), v -> v.onSheets().giveUp()),
          new Act<>("sheet-make", v -> v.sheets.isGivenUp(), v -> v.onSheets().make()),
          new Act<>("sheet-check", v -> v.onSheets().check()),
          new Act<>("sheet-print", v -> v.sheets.isThere(), v -> v.onSheets().print()),
          new Act<>("sheet-next", v -> v.sheets.canTurn(1), v -> v.onSheets().turn(1)),
          new Act<>("sheet-back", v -> v.sheets.canTurn(-1), v -> v.onSheets().turn(-1)),
          new Act<>("find-sheet", v -> v.onSheets().takeFilter()),
          new Act<>("kit", v -> v.inKits().takeKeys()),
          new Act<>("find-kit", v -> !v.kits.taking().isOpen(), v -> v.inKits().takeFilter()),
          new Act<>("kit-save", v -> v.kits.canSave(), v -> v.inKits().save()),
          new Act<>("kit-take", v -> v.inKits().taking().choose()),
          new Act<>("kit-take-in", v -> v.kits.taking().canTake(), v -> v.inKits().taking().take()),
          new Act<>(
              "kit-guest",
              v -> v.kits.taking().canTake() && v.session.guests().guestProperty().get().isEmpty(),
              v -> v.inKits().taking().beGuest()),
          new Act<>("kit-leave", v -> v.kits.taking().isOpen(), v -> v.inKits().taking().leave()),
          new Act<>("compare", v -> v.inCompare().takeKeys()),
          new Act<>("bindings-save", v -> v.inCompare().saveTable()),
          new Act<>("bindings-read", v -> v.inCompare().chooseTable()),
          new Act<>("bindings-take", v -> v.compare.canTake(), v -> v.inCompare().take()),
          new Act<>("compare-with", v -> v.inCompare().choose()),
          new Act<>("history-compare", v -> v.history.isChosen(), HandOverView::compareThen),
          new Act<>("history", v -> v.inHistory().takeKeys()),
          new Act<>("find-history", v -> v.inHistory().takeFilter()),
          new Act<>(
              "history-back",
              v -> v.session.mayWrite() && v.history.canTakeBack(),
              v -> v.inHistory().takeBack()),
          new Act<>(
              "history-then",
              v -> v.session.mayWrite() && v.history.isChosen(),
              v -> v.inHistory().goBackTo()),
          new Act<>("history-since", v -> v.history.wasHere(), v -> v.inHistory().onlySince()),
          new Act<>("history-keep", v -> v.session.mayWrite(), v -> v.inHistory().keepState()),
          new Act<>("history-save", v -> v.history.isChosen(), v -> v.inHistory().saveThen()));

  private static Act<HandOverView> sheet(String id, SheetFile.Form form) {
    return new Act<>(id, v -> v.sheets.isThere(), v -> v.onSheets().save(form));
  }

  /** What is looked at. */
  private enum Leaf {
    SHEETS,
    KITS,
    COMPARE,
    HISTORY
  }

  private final Session session;
  private final Acts<HandOverView> acts = new Acts<>(this, ACTS);
  private final SheetsLeaf sheets;
  private final KitsLeaf kits;
  private final CompareLeaf compare;
  private final HistoryLeaf history;
  private final MenuButton kept = Skins.on(new MenuButton(Ui.text("history.kept")));
  private final Label which = Parts.label("", "soft");
  private final HBox forSheets;
  private final HBox forKits;
  private final HBox forCompare;
  private final HBox forHistory;
  private final Map<Leaf, ToggleButton> chips;
  private Leaf leaf = Leaf.SHEETS;

  /** A view of the session's library. */
  public HandOverView(Session session, Going going) {
    this.session = session;
    sheets =
        new SheetsLeaf(
            session, going, acts.button("sheet-stop"), acts.button("sheet-make"), this::refresh);
    kits = new KitsLeaf(session, this::refresh);
    compare = new CompareLeaf(session, going, this::refresh);
    history = new HistoryLeaf(session, acts.button("history-keep"), this::refresh);
    chips =
        Parts.chips(
            Leaf.class,
            "handover-",
            l -> Ui.text("handover." + l.name().toLowerCase(Locale.ROOT)),
            this::look);
    chips.get(leaf).setSelected(true);
    forSheets =
        new HBox(
            8,
            which,
            acts.button("sheet-back"),
            acts.button("sheet-next"),
            Parts.gap(),
            acts.menu(
                "sheet-more",
                Ui.text("sheets.asmore"),
                "sheet-html",
                "sheet-svg",
                "sheet-csv",
                "sheet-compose"),
            acts.button("sheet-check"),
            acts.button("sheet-print"),
            acts.button("sheet-pdf", "main"));
    forKits =
        new HBox(
            8,
            Parts.gap(),
            acts.button("kit-leave"),
            acts.button("kit-take"),
            acts.button("kit-save"),
            acts.button("kit-guest"),
            acts.button("kit-take-in", "main"));
    forCompare =
        new HBox(
            8,
            Parts.gap(),
            acts.button("bindings-save"),
            acts.button("bindings-read"),
            acts.button("bindings-take"),
            acts.button("compare-with", "main"));
    kept.setId("history-kept");
    kept.getItems().add(new MenuItem()); // a menu without an item does not open
    kept.setOnShowing(e -> fillKept());
    forHistory =
        new HBox(
            8,
            Parts.gap(),
            kept,
            acts.button("history-compare"),
            acts.button("history-save"),
            acts.button("history-then"),
            acts.button("history-back", "main"));
    HBox top = new HBox(6);
    top.setAlignment(Pos.CENTER_LEFT);
    top.getStyleClass().add("view-top");
    top.getChildren().addAll(chips.values());
    for (HBox of : List.of(forSheets, forKits, forCompare, forHistory)) {
      of.setAlignment(Pos.CENTER_LEFT);
      HBox.setHgrow(of, javafx.scene.layout.Priority.ALWAYS);
      of.managedProperty().bind(of.visibleProperty());
      top.getChildren().add(of);
    }
    setTop(top);
    look(leaf);
  }

  private void look(Leaf at) {
    leaf = at;
    chips.get(at).setSelected(true);
    forSheets.setVisible(at == Leaf.SHEETS);
    forKits.setVisible(at == Leaf.KITS);
    forCompare.setVisible(at == Leaf.COMPARE);
    forHistory.setVisible(at == Leaf.HISTORY);
    setCenter(
        switch (at) {
          case SHEETS -> sheets;
          case KITS -> kits;
          case COMPARE -> compare;
          case HISTORY -> history;
        });
    if (Parts.isSeen(this)) {
      show(session.now());
    }
    refresh();
  }

  private SheetsLeaf onSheets() {
    if (leaf != Leaf.SHEETS) {
      look(Leaf.SHEETS);
    }
    return sheets;
  }

  private KitsLeaf inKits() {
    if (leaf != Leaf.KITS) {
      look(Leaf.KITS);
    }
    return kits;
  }

  private CompareLeaf inCompare() {
    if (leaf != Leaf.COMPARE) {
      look(Leaf.COMPARE);
    }
    return compare;
  }

  /** Holds the library of then, which is chosen in the history, against today. */
  private void compareThen() {
    history.then().ifPresent(t -> inCompare().against(t.when(), t.library()));
  }

  /** The states that are kept, to be held against today; those with a name first. */
  private void fillKept() {
    List<Backups.Backup> all =
        session.disk().backups().stream()
            .sorted(Comparator.comparing(b -> b.name().isEmpty()))
            .toList();
    kept.getItems().clear();
    for (Backups.Backup b : all) {
      String when = OnDisk.when(b);
      MenuItem item = new MenuItem(when);
      item.setMnemonicParsing(false);
      item.setOnAction(e -> session.disk().read(b, then -> inCompare().against(when, then)));
      kept.getItems().add(item);
    }
    if (all.isEmpty()) {
      MenuItem none = new MenuItem(Ui.text("history.nonekept"));
      none.setDisable(true);
      kept.getItems().add(none);
    }
  }

  private HistoryLeaf inHistory() {
    if (leaf != Leaf.HISTORY) {
      look(Leaf.HISTORY);
    }
    return history;
  }

  private void refresh() {
    if (history == null || forHistory == null) {
      return; // not made yet
    }
    which.setText(sheets.which());
    acts.refresh();
  }

  @Override
  public Node node() {
    return this;
  }

  @Override
  public void takeKeys() {
    switch (leaf) {
      case SHEETS -> sheets.takeKeys();
      case KITS -> kits.takeKeys();
      case COMPARE -> compare.takeKeys();
      case HISTORY -> history.takeKeys();
    }
  }

  @Override
  public Target here() {
    return new Target.Sheet("handover");
  }

  @Override
  public void show(Snapshot now) {
    switch (leaf) {
      case SHEETS -> sheets.show(now);
      case KITS -> kits.show(now);
      case COMPARE -> compare.show(now);
      case HISTORY -> history.show(now);
    }
    acts.refresh();
  }

  /** Puts something into the kit that is being made. */
  public void putIn(About about) {
    inKits().toggle(about);
  }

  /** Shows the history. */
  public void showHistory() {
    inHistory();
  }

  /** Chooses a sheet. */
  public void choose(About about, SheetKind kind) {
    onSheets().choose(about, kind);
  }
}
