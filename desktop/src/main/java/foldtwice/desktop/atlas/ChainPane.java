package foldtwice.desktop.atlas;

import foldtwice.desktop.parts.Contents;
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

  private final Contents chain = new Contents(this);

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
    Words words = now.words();
    String title = Ui.text("chain.title", words.trigger(pad));
    List<Link> links = new ArrayList<>(List.of(new Link(words.trigger(pad), "", "chain-start")));
    List<Link> takers = new ArrayList<>();
    int more = 0;
    if (sends.isPresent() && sends.get() instanceof Page.Sends.Turn(String to)) {
      takers.add(new Link(turns(now, pad, to), "", "chain-box"));
    } else {
      Trigger arrives =
          sends.isPresent() && sends.get() instanceof Page.Sends.Chord(Trigger.Keys keys)
              ? keys
              : pad;
      if (!arrives.equals(pad)) {
        links.add(new Link(words.trigger(arrives), "", "chain-chord"));
      }
      more = takers(now, arrives, sends.isPresent(), takers);
    }
    String beyond = more > 0 ? Ui.text("chain.more", more) : "";
    chain.add(title, () -> Parts.label(title, "heading"));
    chain.add(List.of(links, takers, beyond), () -> row(links, takers, beyond));
    chain.show();
  }

  /** A box of the chain. */
  private record Link(String text, String under, String style) {
    VBox box() {
      return ChainPane.box(text, under, style);
    }
  }

  private static String turns(Snapshot now, Trigger pad, String to) {
    return pad instanceof Trigger.PadKey k
        ? now.library()
            .device(k.device())
            .flatMap(d -> d.page(to))
            .map(p -> Ui.text("device.turns", p.name()))
            .orElse(Ui.text("chain.nopage"))
        : "";
  }

  /** Finds who takes it; returns how many there are beyond those. */
  private static int takers(Snapshot now, Trigger arrives, boolean sent, List<Link> takers) {
    List<Afterwards> all =
        new ArrayList<>(Afterwards.of(now.keymap(), new Place.Everywhere(), arrives));
    all.removeIf(a -> !isTaken(a.outcome()));
    all.sort(Comparator.comparing(a -> !isYours(a.outcome())));
    for (Afterwards a : all.stream().limit(MOST).toList()) {
      boolean yours = isYours(a.outcome());
      String where =
          a.states().size() == now.keymap().states().size()
              ? Ui.text("chain.everywhere")
              : now.words().places(a.states());
      String style = yours || !sent || !anyYours(all) ? "chain-box" : "chain-broken";
      takers.add(new Link(now.words().outcome(a.outcome()), where, style));
    }
    if (all.isEmpty()) {
      takers.add(
          new Link(
              Ui.text(sent ? "chain.nobody" : "device.free"),
              "",
              sent ? "chain-broken" : "chain-box"));
    }
    return Math.max(0, all.size() - MOST);
  }

  private static HBox row(List<Link> links, List<Link> takers, String beyond) {
    VBox last = new VBox(6);
    last.setAlignment(Pos.CENTER_LEFT);
    takers.forEach(t -> last.getChildren().add(t.box()));
    if (!beyond.isEmpty()) {
      last.getChildren().add(Parts.label(beyond, "soft"));
    }
    List<Node> all = new ArrayList<>();
    links.forEach(l -> all.add(l.box()));
    all.add(last);
    return row(all.toArray(Node[]::new));
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
