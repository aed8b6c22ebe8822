package foldtwice.desktop.parts;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.stream.IntStream;
import javafx.collections.FXCollections;
import javafx.collections.ListChangeListener;
import javafx.collections.ObservableList;
import javafx.collections.transformation.FilteredList;
import javafx.collections.transformation.SortedList;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Lists that follow: whoever hears of their changes has what they have. */
class ListsTest {

  private static void hear(ListChangeListener.Change<? extends Integer> c, List<Integer> heard) {
    while (c.next()) {
      for (int i = 0; i < c.getRemovedSize(); i++) {
        heard.remove(c.getFrom());
      }
      heard.addAll(c.getFrom(), c.getAddedSubList());
    }
  }

  private static List<Integer> some(Random random) {
    return random.ints(random.nextInt(12), 0, 9).boxed().toList();
  }

  /** Values put in many places are one change; a view that is filtered and sorted follows it. */
  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5})
  void manyAreOneChange(long seed) {
    Random random = new Random(seed);
    Batched<Integer> all = new Batched<>();
    List<Integer> model = new ArrayList<>();
    List<Integer> heard = new ArrayList<>();
    int[] told = new int[1];
    all.addListener(
        (ListChangeListener<Integer>)
            c -> {
              told[0]++;
              hear(c, heard);
            });
    FilteredList<Integer> odd = new FilteredList<>(all, n -> n % 2 == 1);
    SortedList<Integer> sorted = new SortedList<>(odd, Comparator.reverseOrder());
    for (int round = 0; round < 400; round++) {
      told[0] = 0;
      if (model.size() > 3 && random.nextInt(3) > 0) {
        Map<Integer, Integer> put = new TreeMap<>();
        for (int i = random.nextInt(4); i >= 0; i--) {
          put.put(random.nextInt(model.size()), random.nextInt(50));
        }
        all.put(put);
        put.forEach(model::set);
        assertThat(told[0]).as("told at once").isEqualTo(1);
      } else if (model.size() > 20) {
        int from = random.nextInt(10);
        int to = from + random.nextInt(8);
        all.remove(from, to);
        model.subList(from, to).clear();
      } else {
        int at = random.nextInt(model.size() + 1);
        int value = random.nextInt(50);
        all.add(at, value);
        model.add(at, value);
      }
      assertThat(all).isEqualTo(model);
      assertThat(heard).isEqualTo(model);
      assertThat(sorted)
          .isEqualTo(
              model.stream().filter(n -> n % 2 == 1).sorted(Comparator.reverseOrder()).toList());
    }
  }

  /** What is before the first difference and after the last is not touched. */
  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5})
  void anyListBecomesAnyOther(long seed) {
    Random random = new Random(seed);
    ObservableList<Integer> shown = FXCollections.observableArrayList();
    List<Integer> heard = new ArrayList<>();
    List<int[]> touched = new ArrayList<>();
    shown.addListener(
        (ListChangeListener<Integer>)
            c -> {
              while (c.next()) {
                touched.add(new int[] {c.getFrom(), c.getRemovedSize()});
              }
              c.reset();
              hear(c, heard);
            });
    for (int round = 0; round < 400; round++) {
      List<Integer> before = List.copyOf(shown);
      List<Integer> next =
          random.nextInt(3) == 0 || before.isEmpty() ? some(random) : changed(before, random);
      touched.clear();
      Lists.follow(shown, next);
      assertThat(shown).isEqualTo(next);
      assertThat(heard).isEqualTo(next);
      if (before.equals(next)) {
        assertThat(touched).isEmpty();
      }
      int same =
          (int)
              IntStream.range(0, Math.min(before.size(), next.size()))
                  .takeWhile(i -> before.get(i).equals(next.get(i)))
                  .count();
      assertThat(touched).allMatch(t -> t[0] >= same);
    }
  }

  /** Of a long list little is touched, wherever it changes, and a batched one tells it at once. */
  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5})
  void whatStaysIsNotTouched(long seed) {
    Random random = new Random(seed);
    Batched<Integer> shown = new Batched<>();
    shown.addAll(IntStream.range(0, 5_000).boxed().toList());
    List<Integer> heard = new ArrayList<>(shown);
    int[] touched = new int[2];
    shown.addListener(
        (ListChangeListener<Integer>)
            c -> {
              touched[0]++;
              while (c.next()) {
                touched[1] += c.getRemovedSize() + c.getAddedSize();
              }
              c.reset();
              hear(c, heard);
            });
    int fresh = 10_000;
    for (int round = 0; round < 60; round++) {
      List<Integer> next = new ArrayList<>(shown);
      int changes = 1 + random.nextInt(6);
      for (int i = 0; i < changes; i++) {
        int at = random.nextInt(next.size());
        switch (random.nextInt(3)) {
          case 0 -> next.remove(at);
          case 1 -> next.add(at, fresh++);
          default -> next.set(at, fresh++);
        }
      }
      touched[0] = 0;
      touched[1] = 0;
      Lists.follow(shown, next);
      assertThat(shown).isEqualTo(next);
      assertThat(heard).isEqualTo(next);
      assertThat(touched[0]).isEqualTo(1);
      assertThat(touched[1]).isLessThan(changes * 150);
    }
  }

  private static List<Integer> changed(List<Integer> before, Random random) {
    List<Integer> next = new ArrayList<>(before);
    int at = random.nextInt(next.size());
    switch (random.nextInt(3)) {
      case 0 -> next.remove(at);
      case 1 -> next.add(at, random.nextInt(9));
      default -> next.set(at, random.nextInt(9));
    }
    return next;
  }
}
