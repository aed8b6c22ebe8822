package foldtwice.desktop.handover;

import foldtwice.conflict.Conflict;
import foldtwice.desktop.parts.Parts;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.session.Ui;
import foldtwice.remedy.Remedy;
import foldtwice.words.Words;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Consumer;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.layout.VBox;

/** What a kit would meet on a station: its conflicts, what helps, and what has to be done there. */
final class KitLanding extends VBox {

  private final KitLooked found;
  private final Words words;
  private int helpful;

  /**
   * @param words of the library with the kit
   * @param done what is done with it so far
   * @param ticked what the person has ticked off, in words; changed here
   * @param help does something with it besides
   * @param unhelp leaves it
   */
  KitLanding(
      KitLooked found,
      Words words,
      List<Remedy> done,
      Set<String> ticked,
      Consumer<Remedy> help,
      Consumer<Remedy> unhelp) {
    super(6);
    this.found = found;
    this.words = words;
    conflicts(help);
    done(done, unhelp);
    waits(ticked);
  }

  private void add(Node node) {
    getChildren().add(node);
  }

  private void conflicts(Consumer<Remedy> help) {
    List<Conflict> fresh = found.landing().fresh();
    add(
        Parts.label(
            fresh.isEmpty()
                ? Ui.text("kits.noconflict", found.station())
                : Ui.text("kits.conflicts", fresh.size(), found.station()),
            "heading"));
    for (Conflict c : fresh.stream().limit(Differences.MOST).toList()) {
      add(Parts.wrapped(words.sentence(c), c.weight().id()));
      found.helping().against(c).ifPresent(r -> add(helps(r, help)));
    }
    Differences.more(this, fresh.size());
  }

  private Node helps(Remedy remedy, Consumer<Remedy> help) {
    String does = words.way(remedy.way());
    String says =
        remedy.causes().isEmpty()
            ? Ui.text("kits.helps", does)
            : Ui.text("kits.helpsbut", does, remedy.causes().size());
    return new Row(
        Parts.wrapped(says, "soft"),
        Parts.button(
            "kit-help-" + helpful++, Ui.text("kits.help"), () -> help.accept(remedy), "link"));
  }

  private void done(List<Remedy> done, Consumer<Remedy> unhelp) {
    for (int i = 0; i < done.size(); i++) {
      Remedy remedy = done.get(i);
      add(
          new Row(
              Parts.wrapped(Ui.text("kits.helped", words.way(remedy.way())), "good"),
              Parts.button(
                  "kit-unhelp-" + i, Ui.text("kits.unhelp"), () -> unhelp.accept(remedy), "link")));
    }
  }

  /** What somebody has to do is ticked off by the words for it: they stay the same. */
  private void waits(Set<String> ticked) {
    Map<String, Integer> waits = new LinkedHashMap<>();
    found
        .landing()
        .waits()
        .forEach(w -> w.what().forEach(wait -> waits.merge(words.wait(wait), 1, Integer::sum)));
    if (!waits.isEmpty()) {
      add(Parts.label(Ui.text("kits.waits", found.station()), "heading"));
    }
    int number = 0;
    for (Map.Entry<String, Integer> e : waits.entrySet()) {
      String what = e.getKey();
      CheckBox done = Skins.on(new CheckBox(Ui.text("kits.waitsof", what, e.getValue())));
      done.setId("kit-wait-" + number++);
      done.setWrapText(true);
      done.setSelected(ticked.contains(what));
      done.setOnAction(
          pressed -> {
            if (!ticked.remove(what)) {
              ticked.add(what);
            }
          });
      add(done);
    }
  }

  /** Something said, and what to do about it. */
  private static final class Row extends VBox {
    Row(Node says, Node does) {
      super(2, says, does);
      getStyleClass().add("why-row");
    }
  }
}
