package foldtwice.desktop.parts;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import javafx.collections.ListChangeListener;
import javafx.scene.Node;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Region;
import org.junit.jupiter.api.Test;

/** One list of nodes made another: whatever they are, with as little taken out as possible. */
class ChildrenTest {

  @Test
  void anyListBecomesAnyOther() {
    Random random = new Random(8);
    List<Node> all = new ArrayList<>();
    for (int i = 0; i < 14; i++) {
      all.add(new Region());
    }
    Node heavy = all.getFirst();
    for (int round = 0; round < 3_000; round++) {
      Pane pane = new Pane();
      pane.getChildren().addAll(some(all, random));
      List<Node> wanted = some(all, random);
      boolean stays = pane.getChildren().contains(heavy) && wanted.contains(heavy);
      List<Node> out = takenOut(pane);
      Children.follow(pane.getChildren(), wanted, n -> n.equals(heavy) ? 100 : 1);
      assertThat(pane.getChildren()).isEqualTo(wanted);
      assertThat(stays && out.contains(heavy)).as("what weighs most stays").isFalse();
    }
  }

  /** Whatever is taken out of a pane from now on. */
  private static List<Node> takenOut(Pane pane) {
    List<Node> out = new ArrayList<>();
    pane.getChildren()
        .addListener(
            (ListChangeListener<Node>)
                c -> {
                  while (c.next()) {
                    out.addAll(c.getRemoved());
                  }
                });
    return out;
  }

  private static List<Node> some(List<Node> all, Random random) {
    List<Node> some = new ArrayList<>(all);
    if (random.nextInt(3) > 0) {
      Collections.shuffle(some, random);
    }
    return some.subList(random.nextInt(4), all.size() - random.nextInt(5));
  }

  /** A row that changes places with the one that is open costs the row alone. */
  @Test
  void oneStepDownTakesOneRowOut() {
    List<Node> rows = List.of(new Region(), new Region(), new Region());
    Node open = new Region();
    Pane pane = new Pane();
    pane.getChildren().addAll(rows.get(0), open, rows.get(1), rows.get(2));
    List<Node> out = takenOut(pane);
    Children.follow(
        pane.getChildren(),
        List.of(rows.get(0), rows.get(1), open, rows.get(2)),
        n -> n.equals(open) ? 9 : 1);
    assertThat(out).containsExactly(rows.get(1));
  }
}
