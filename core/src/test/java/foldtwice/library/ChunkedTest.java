package foldtwice.library;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

/** A map in chunks is, to whoever reads it, the linked map that the same puts make. */
class ChunkedTest {

  /** A value that knows its id, as those of a library do. */
  private record Item(String id, int number) {}

  @Property(tries = 60)
  void isTheMapThatTheSamePutsMake(@ForAll long seed) {
    Random random = new Random(seed);
    LinkedHashMap<String, Item> plain = new LinkedHashMap<>();
    int size = random.nextInt(400);
    for (int i = 0; i < size; i++) {
      plain.put("id" + i, new Item("id" + i, 0));
    }
    Chunked<Item> chunked = Chunked.of(plain);
    List<Chunked<Item>> before = new ArrayList<>();
    List<Map<String, Item>> plainBefore = new ArrayList<>();
    for (int i = 0; i < 90; i++) {
      before.add(chunked);
      plainBefore.add(new LinkedHashMap<>(plain));
      String id = "id" + random.nextInt(size + 20);
      Item item = new Item(id, random.nextInt(3));
      plain.put(id, item);
      chunked = chunked.with(id, item);
      assertThat(new ArrayList<>(chunked.entrySet())).isEqualTo(new ArrayList<>(plain.entrySet()));
    }
    assertThat(chunked).isEqualTo(plain).hasSameHashCodeAs(plain).hasSize(plain.size());
    assertThat(plain).isEqualTo(chunked);
    for (int i = 0; i < size + 30; i++) {
      assertThat(chunked.get("id" + i)).isEqualTo(plain.get("id" + i));
      assertThat(chunked.containsKey("id" + i)).isEqualTo(plain.containsKey("id" + i));
    }
    for (int i = 0; i < before.size(); i++) {
      Map<String, Item> was = plainBefore.get(i);
      assertThat(before.get(i)).as("what was shared is as it was").isEqualTo(was);
      assertThat(before.get(i).equals(chunked)).isEqualTo(was.equals(plain));
      assertThat(Difference.between(before.get(i), chunked, Item::id))
          .as("what differs, by the chunks and by looking at all")
          .containsExactlyInAnyOrderElementsOf(Difference.between(was, plain, Item::id));
      assertThat(Difference.between(chunked, before.get(i), Item::id))
          .containsExactlyInAnyOrderElementsOf(Difference.between(plain, was, Item::id));
      assertThat(Difference.isSameOrder(before.get(i), chunked))
          .as("the same ids in the same order")
          .isEqualTo(List.copyOf(was.keySet()).equals(List.copyOf(plain.keySet())));
    }
  }

  @Test
  void nobodyChangesIt() {
    Map<String, Integer> map = Chunked.of(Map.of("a", 1)).with("b", 2);
    assertThatThrownBy(() -> map.put("c", 3)).isInstanceOf(UnsupportedOperationException.class);
    assertThatThrownBy(() -> map.remove("a")).isInstanceOf(UnsupportedOperationException.class);
    assertThatThrownBy(() -> map.values().removeIf(v -> v == 1))
        .isInstanceOf(UnsupportedOperationException.class);
    assertThat(map).containsExactly(Map.entry("a", 1), Map.entry("b", 2));
  }
}
