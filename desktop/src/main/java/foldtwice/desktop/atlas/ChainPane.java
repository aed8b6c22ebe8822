package foldtwice.desktop.atlas;

import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Tips;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.place.Place;
import foldtwice.resolve.Afterwards;
import foldtwice.resolve.Claim;
import foldtwice.resolve.Outcome;
import foldtwice.resolve.Owner;
import foldtwice.surface.Page;
import foldtwice.trigger.Trigger;
import foldtwice.words.Words;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** Where a key of a device goes: what it sends, and who takes that in which places. */
final class ChainPane extends VBox {

  private static final int MOST = 5;

  ChainPane() {
    super(8);
    setId("chain");
  }

  /**
   * Shows the way of something that is pressed.
   *
   * @param sends what a key of a device does of itself
   */
  void show(Snapshot now, Trigger pad, Optional<Page.Sends> sends) {
    getChildren().clear();
    Words words = now.words();
    getChildren().add(Parts.label(Ui.text("chain.title", words.trigger(pad)), "heading"));
    if (sends.isPresent() && sends.get() instanceof Page.Sends.Turn(String to)) {
      String turns =
          pad instanceof Trigger.PadKey k
              ? now.library()
                  .device(k.device())
                  .flatMap(d -> d.page(to))
                  .map(p -> Ui.text("device.turns", p.name()))
                  .orElse(Ui.text("chain.nopage"))
              : "";
      getChildren()
          .add(row(box(words.trigger(pad), "", "chain-start"), box(turns, "", "chain-box")));
      return;
    }
    Trigger arrives =
        sends.isPresent() && sends.get() instanceof Page.Sends.Chord(Trigger.Keys keys)
            ? keys
            : pad;
    List<Afterwards> all =
        new ArrayList<>(Afterwards.of(now.keymap(), new Place.Everywhere(), arrives));
    all.removeIf(a -> !isTaken(a.outcome()));
    all.sort(Comparator.comparing(a -> !isYours(a.outcome())));
    VBox takers = new VBox(6);
    takers.setAlignment(Pos.CENTER_LEFT);
    for (Afterwards a : all.stream().limit(MOST).toList()) {
      boolean yours = isYours(a.outcome());
      String where =
          a.states().size() == now.keymap().states().size()
              ? Ui.text("chain.everywhere")
              : words.places(a.states());
      String style =
          yours ? "chain-box" : sends.isPresent() && anyYours(all) ? "chain-broken" : "chain-box";
      takers.getChildren().add(box(words.outcome(a.outcome()), where, style));
    }
    if (all.size() > MOST) {
      takers.getChildren().add(Parts.label(Ui.text("chain.more", all.size() - MOST), "soft"));
    }
    if (all.isEmpty()) {
      takers
          .getChildren()
          .add(
              box(
                  Ui.text(sends.isPresent() ? "chain.nobody" : "device.free"),
                  "",
                  sends.isPresent() ? "chain-broken" : "chain-box"));
    }
    Node start = box(words.trigger(pad), "", "chain-start");
    getChildren()
        .add(
            arrives.equals(pad)
                ? row(start, takers)
                : row(start, box(words.trigger(arrives), "", "chain-chord"), takers));
  }

  private static boolean anyYours(List<Afterwards> all) {
    return all.stream().anyMatch(a -> isYours(a.outcome()));
  }

  private static boolean isTaken(Outcome outcome) {
    return !(outcome instanceof Outcome.Unclaimed);
  }

  private static boolean isYours(Outcome outcome) {
    return outcome instanceof Outcome.Fired(Claim claim)
        && (claim.owner() instanceof Owner.Yours || claim.owner() instanceof Owner.Menu);
  }

  private static HBox row(Node... parts) {
    HBox row = new HBox();
    row.setAlignment(Pos.CENTER_LEFT);
    for (int i = 0; i < parts.length; i++) {
      if (i > 0) {
        Region line = new Region();
        line.getStyleClass().add("chain-line");
        line.setMinWidth(26);
        line.setMaxHeight(2);
        row.getChildren().add(line);
      }
      row.getChildren().add(parts[i]);
    }
    return row;
  }

  private static VBox box(String text, String under, String style) {
    Label what = Parts.wrapped(text, "strong");
    VBox box = new VBox(1, what);
    if (!under.isEmpty()) {
      Label where = Parts.label(under, "soft");
      Tips.on(where, under);
      where.setMaxWidth(210);
      box.getChildren().add(where);
    }
    box.getStyleClass().add(style);
    box.setMaxWidth(230);
    return box;
  }
}
