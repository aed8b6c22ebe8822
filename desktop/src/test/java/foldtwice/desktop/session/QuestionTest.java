package foldtwice.desktop.session;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.desktop.Toolkit;
import foldtwice.desktop.session.Background.Lane;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Supplier;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What is asked of the background: the latest wins, nothing twice, no failure swallowed. */
class QuestionTest {

  private Background background;
  private final List<String> said = new ArrayList<>();
  private final List<String> shown = new ArrayList<>();
  private final List<String> failures = new ArrayList<>();
  private Question<String> question;

  @BeforeAll
  static void start() throws InterruptedException {
    Toolkit.start();
  }

  @BeforeEach
  void ask() {
    background = new Background(said::add);
    question = background.question(Lane.WORK, shown::add, failures::add);
  }

  @AfterEach
  void close() {
    background.close();
  }

  private boolean asks(Object about, Supplier<String> work) {
    return Toolkit.ask(() -> question.ask(about, work));
  }

  /** Until all that has been asked in this lane is answered and shown. */
  private void over(Lane lane) {
    CountDownLatch last = new CountDownLatch(1);
    Toolkit.ask(
        () -> {
          background.once(lane, () -> true, done -> last.countDown());
          return true;
        });
    try {
      assertThat(last.await(40, TimeUnit.SECONDS)).isTrue();
    } catch (InterruptedException e) {
      throw new AssertionError(e);
    }
    Toolkit.ask(() -> true);
  }

  /** Asks, and returns once that is under way: it ends when the gate is opened. */
  private void holds(Object about, Semaphore gate, Supplier<String> answer) {
    Semaphore begun = new Semaphore(0);
    asks(
        about,
        () -> {
          begun.release();
          gate.acquireUninterruptibly();
          return answer.get();
        });
    begun.acquireUninterruptibly();
  }

  @Test
  void theLatestAskingIsShownAndNoOther() {
    Semaphore gate = new Semaphore(0);
    AtomicInteger begun = new AtomicInteger();
    holds(1, gate, () -> "one");
    asks(
        2,
        () -> {
          begun.incrementAndGet();
          return "two";
        });
    asks(3, () -> "three");
    gate.release();
    over(Lane.WORK);
    assertThat(shown).containsExactly("three");
    assertThat(begun).as("nobody waits for it: it is not begun").hasValue(0);
  }

  @Test
  void theSameIsNotAskedTwice() {
    assertThat(asks("a", () -> "first")).isTrue();
    assertThat(asks("a", () -> "again")).isFalse();
    over(Lane.WORK);
    assertThat(asks("a", () -> "and again")).as("also once it is answered").isFalse();
    over(Lane.WORK);
    assertThat(shown).containsExactly("first");
    Toolkit.ask(
        () -> {
          question.drop();
          return true;
        });
    assertThat(asks("a", () -> "anew")).as("once it was dropped").isTrue();
    over(Lane.WORK);
    assertThat(shown).containsExactly("first", "anew");
  }

  @Test
  void whatIsLargeIsTheSameOnlyWhenItIsThatVeryOne() {
    List<Integer> large = List.of(1, 2, 3);
    assertThat(asks(new Question.Same(large), () -> "one")).isTrue();
    assertThat(asks(new Question.Same(large), () -> "one")).isFalse();
    assertThat(asks(new Question.Same(new ArrayList<>(large)), () -> "another")).isTrue();
  }

  @Test
  void aFailureIsSaidOnceAndMayBeAskedAgain() {
    asks(
        "a",
        () -> {
          throw new IllegalStateException("the lamp is out");
        });
    over(Lane.WORK);
    assertThat(shown).isEmpty();
    assertThat(failures).singleElement().asString().contains("the lamp is out");
    assertThat(said).isEqualTo(failures);
    assertThat(Toolkit.ask(question::isUnderWay)).isFalse();
    assertThat(asks("a", () -> "well")).isTrue();
    over(Lane.WORK);
    assertThat(shown).containsExactly("well");
  }

  private static int deep(int n) {
    return n < 0 ? 0 : deep(n + 1) + deep(n + 2);
  }

  /** What is drawn too deep ends that work, not the lane. */
  @Test
  void whatGoesTooDeepIsAFailureLikeOthers() {
    asks("deep", () -> "" + deep(0));
    over(Lane.WORK);
    assertThat(failures).hasSize(1);
    asks("next", () -> "still here");
    over(Lane.WORK);
    assertThat(shown).containsExactly("still here");
  }

  /** The failure of what nobody waits for any more is nobody's business. */
  @Test
  void theFailureOfWhatWasDroppedIsNotSaid() {
    Semaphore gate = new Semaphore(0);
    holds(
        1,
        gate,
        () -> {
          throw new IllegalStateException("too late");
        });
    asks(2, () -> "two");
    gate.release();
    over(Lane.WORK);
    assertThat(failures).isEmpty();
    assertThat(said).isEmpty();
    assertThat(shown).containsExactly("two");
  }

  @Test
  void longWorkSeesThatNobodyWaitsAndIsHeardWhileSomebodyDoes() throws Exception {
    AtomicReference<Question.Asked> mine = new AtomicReference<>();
    Semaphore begun = new Semaphore(0);
    Semaphore gate = new Semaphore(0);
    List<String> progress = new ArrayList<>();
    Toolkit.ask(
        () ->
            question.ask(
                "long",
                asked -> {
                  mine.set(asked);
                  asked.tell(() -> progress.add("half"));
                  begun.release();
                  gate.acquireUninterruptibly();
                  asked.tell(() -> progress.add("whole"));
                  return asked.isWanted() ? "done" : "given up";
                }));
    begun.acquire();
    Toolkit.ask(() -> true);
    assertThat(progress).containsExactly("half");
    assertThat(mine.get().isWanted()).isTrue();
    Toolkit.ask(
        () -> {
          question.drop();
          return true;
        });
    assertThat(mine.get().isWanted()).isFalse();
    gate.release();
    over(Lane.WORK);
    assertThat(progress).as("nobody listens any more").containsExactly("half");
    assertThat(shown).isEmpty();
  }

  @Test
  void noLaneWaitsForAnother() {
    Semaphore gate = new Semaphore(0);
    holds("slow", gate, () -> "slow");
    for (Lane lane : Lane.values()) {
      if (lane != Lane.WORK) {
        over(lane);
      }
    }
    assertThat(shown).isEmpty();
    gate.release();
    over(Lane.WORK);
    assertThat(shown).containsExactly("slow");
  }

  @Test
  void whatIsAskedOfAClosedWindowIsPassedOver() {
    background.close();
    assertThat(asks("late", () -> "late")).isTrue();
    assertThat(said).isEmpty();
    assertThat(shown).isEmpty();
  }

  private record Happening(int kind, int about) {}

  /**
   * Whatever is asked, dropped and answered in whatever order: what is shown last is what was asked
   * last, if it was not dropped, and everything shown was asked, in that order.
   */
  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 5, 8, 13, 21, 34, 55, 89})
  void whatIsShownFollowsWhatIsAsked(long seed) {
    Random random = new Random(seed);
    Background own = new Background(why -> {});
    List<Integer> answers = new ArrayList<>();
    List<Integer> asked = new ArrayList<>();
    Question<Integer> of = own.question(Lane.WORK, answers::add);
    Optional<Integer> waiting = Optional.empty();
    Semaphore gate = new Semaphore(0);
    try {
      Object last = null;
      for (int i = 0; i < 40; i++) {
        Happening h = new Happening(random.nextInt(4), random.nextInt(5));
        int number = i;
        switch (h.kind()) {
          case 0, 1 -> {
            boolean mine =
                Toolkit.ask(
                    () ->
                        of.ask(
                            h.about(),
                            () -> {
                              gate.acquireUninterruptibly();
                              return number;
                            }));
            assertThat(mine).isEqualTo(!Integer.valueOf(h.about()).equals(last));
            if (mine) {
              asked.add(number);
              waiting = Optional.of(number);
              last = h.about();
            }
          }
          case 2 -> {
            Toolkit.ask(
                () -> {
                  of.drop();
                  return true;
                });
            if (!answers.contains(waiting.orElse(-1))) {
              waiting = Optional.empty();
            }
            last = null;
          }
          default -> gate.release();
        }
        Toolkit.ask(() -> true);
      }
      gate.release(asked.size());
      CountDownLatch over = new CountDownLatch(1);
      Toolkit.ask(
          () -> {
            own.once(Lane.WORK, () -> true, done -> over.countDown());
            return true;
          });
      assertThat(over.await(40, TimeUnit.SECONDS)).isTrue();
      List<Integer> seen = Toolkit.ask(() -> List.copyOf(answers));
      assertThat(seen).isSorted().doesNotHaveDuplicates();
      assertThat(asked).containsAll(seen);
      waiting.ifPresent(w -> assertThat(seen.getLast()).isEqualTo(w));
    } catch (InterruptedException e) {
      throw new AssertionError(e);
    } finally {
      own.close();
    }
  }
}
