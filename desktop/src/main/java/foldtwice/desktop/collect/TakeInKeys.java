package foldtwice.desktop.collect;

import foldtwice.binding.Binding;
import foldtwice.collecting.Collecting;
import foldtwice.collecting.Found;
import foldtwice.desktop.parts.AdviceLines;
import foldtwice.desktop.parts.Skins;
import foldtwice.desktop.session.Advised;
import foldtwice.desktop.session.Background.Lane;
import foldtwice.desktop.session.Question;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.trigger.Notation;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import javafx.geometry.Insets;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.layout.VBox;

/** Whether what is taken in is bound to the keys it came with, and what would follow. */
final class TakeInKeys {

  private final Session session;
  private final Map<Found.Item, CheckBox> bound = new LinkedHashMap<>();
  private final Map<Found.Item, VBox> told = new LinkedHashMap<>();
  private final Question<Map<Found.Item, List<Advised>>> advising;

  TakeInKeys(Session session) {
    this.session = session;
    advising = session.background().question(Lane.WORK, this::showAdvice);
  }

  void clear() {
    advising.drop();
    bound.clear();
    told.clear();
  }

  /** What is to be taken in: with its keys, or bound to nothing. */
  Found.Item wanted(Found.Item item) {
    return bound.containsKey(item) && !bound.get(item).isSelected() ? item.withoutTriggers() : item;
  }

  /** Whether it is bound to the keys it came with; first it is looked what would follow. */
  Node row(Found.Item item) {
    CheckBox box =
        Skins.on(
            new CheckBox(
                Ui.text(
                    "takein.keys",
                    item.triggers().stream()
                        .map(Notation::write)
                        .collect(Collectors.joining(", ")))));
    box.setId("keys-" + item.routine().id());
    box.setSelected(true);
    bound.put(item, box);
    VBox advice = new VBox(3);
    advice.setId("advice-" + item.routine().id());
    advice.setPadding(new Insets(0, 0, 0, 26));
    told.put(item, advice);
    return new VBox(2, box, advice);
  }

  /** Asks what would follow if these had their keys, others that want the same among them. */
  void advise() {
    Snapshot now = session.now();
    Collecting collecting = new Collecting(now.library());
    List<Found.Item> withKeys = List.copyOf(bound.keySet());
    advising.anew(
        asked -> {
          Map<Found.Item, List<Advised>> all = new LinkedHashMap<>();
          for (Found.Item item : withKeys) {
            if (asked.isWanted()) {
              all.put(item, advice(now, collecting, item, withKeys));
            }
          }
          return all;
        });
  }

  private static List<Advised> advice(
      Snapshot now, Collecting collecting, Found.Item item, List<Found.Item> all) {
    List<Found.Item> first = new ArrayList<>(List.of(item.withoutTriggers()));
    all.stream()
        .filter(i -> !i.equals(item) && !Collections.disjoint(i.triggers(), item.triggers()))
        .forEach(first::add);
    Binding binding = collecting.binding(item);
    return item.triggers().stream()
        .map(t -> Advised.of(now.subject(), collecting.take(first), binding, t))
        .toList();
  }

  private void showAdvice(Map<Found.Item, List<Advised>> all) {
    all.forEach(
        (item, advice) -> {
          told.get(item)
              .getChildren()
              .setAll(
                  advice.stream()
                      .flatMap(a -> AdviceLines.of(a.advice(), a.words()).stream())
                      .toList());
          if (advice.stream().anyMatch(a -> AdviceLines.isSerious(a.advice()))) {
            bound.get(item).setSelected(false);
          }
        });
  }
}
