package foldtwice.library;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.stream.IntStream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

class LayeredTest {

  /** A map and what a plain one says it has to hold. */
  private record Both(Layered<Integer, String> ours, Map<Integer, String> plain) {
    Both next() {
      return new Both(ours.next(), new HashMap<>(plain));
    }

    void agree() {
      Map<Integer, String> all = new HashMap<>();
      ours.forEach((key, value) -> assertThat(all.put(key, value)).as("told once").isNull());
      assertThat(all).isEqualTo(plain);
      for (int key = 0; key < KEYS; key++) {
        assertThat(ours.get(key)).isEqualTo(Optional.ofNullable(plain.get(key)));
      }
    }
  }

  private static final int KEYS = 900;

  /** A tree of maps, each begun as another: what is put into one is seen in no other. */
  @Property(tries = 60)
  void eachHoldsWhatAPlainOneHolds(@ForAll long seed) {
    Random random = new Random(seed);
    List<Both> all = new ArrayList<>();
    all.add(new Both(new Layered<>(), new HashMap<>()));
    for (int i = 0; i < 12; i++) {
      Both one = all.get(random.nextInt(all.size())).next();
      for (int n = random.nextInt(random.nextBoolean() ? 8 : KEYS); n > 0; n--) {
        int key = random.nextInt(KEYS);
        if (random.nextInt(3) == 0) {
          one.ours().remove(key);
          one.plain().remove(key);
        } else {
          one.ours().put(key, key + " of " + i);
          one.plain().put(key, key + " of " + i);
        }
      }
      all.add(one);
    }
    all.forEach(Both::agree);
  }

  @Test
  void severalThreadsFillIt() {
    Layered<Integer, String> filled = new Layered<>();
    IntStream.range(0, 5_000).parallel().forEach(i -> filled.put(i, "n" + i));
    Layered<Integer, String> next = filled.next();
    IntStream.range(0, 5_000).forEach(i -> assertThat(next.get(i)).contains("n" + i));
  }
}
