package foldtwice.trigger;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class DrawingTest {

  /** A hand: strokes of some length, bent and trembling. */
  private static List<Drawing.Point> drawn(
      List<Direction> strokes, double length, double bend, double tremble, Random random) {
    List<Drawing.Point> points = new ArrayList<>();
    double x = 300;
    double y = 300;
    points.add(new Drawing.Point(x, y));
    for (Direction d : strokes) {
      double angle = Math.toRadians(d.degrees() + bend);
      for (double way = 0; way < length; way += 3) {
        x += 3 * Math.sin(angle);
        y -= 3 * Math.cos(angle);
        points.add(
            new Drawing.Point(
                x + (random.nextDouble() - 0.5) * tremble,
                y + (random.nextDouble() - 0.5) * tremble));
      }
    }
    return points;
  }

  /** Whatever the hand's bend within the tolerance and its trembling, the gesture is read. */
  @Property(tries = 500)
  void whatIsDrawnIsRead(@ForAll long seed) {
    Random random = new Random(seed);
    List<Direction> strokes = new ArrayList<>();
    for (int i = random.nextInt(3); i >= 0; i--) {
      Direction d = Direction.values()[random.nextInt(8)];
      if (strokes.isEmpty() || strokes.getLast().apart(d) >= 2) {
        strokes.add(d);
      }
    }
    double length = 60 + random.nextInt(200);
    double bend = (random.nextDouble() - 0.5) * 20;
    assertThat(Drawing.read(drawn(strokes, length, bend, 3, random)))
        .isEqualTo(new Drawing.Result.Drawn(strokes));
  }

  @ParameterizedTest
  @CsvSource({"0, -60, UP", "60, 0, RIGHT", "0, 60, DOWN", "-60, 0, LEFT", "50, -50, UP_RIGHT"})
  void directionsAreThoseOfTheScreen(double dx, double dy, Direction direction) {
    assertThat(Direction.of(dx, dy)).contains(direction);
    assertThat(Direction.of(direction.id())).contains(direction);
    assertThat(Direction.of(direction.across(), direction.down())).contains(direction);
  }

  @Test
  void whatIsNoWayHasNoDirection() {
    assertThat(Direction.of(0, 0)).isEmpty();
    assertThat(Direction.of("sideways")).isEmpty();
    assertThat(Direction.UP.apart(Direction.UP_LEFT)).isEqualTo(1);
    assertThat(Direction.RIGHT.apart(Direction.LEFT)).isEqualTo(4);
  }

  @Test
  void aTwitchIsTooShort() {
    List<Drawing.Point> twitch =
        List.of(new Drawing.Point(0, 0), new Drawing.Point(9, 0), new Drawing.Point(18, 1));
    assertThat(Drawing.read(twitch)).isInstanceOf(Drawing.Result.TooShort.class);
    assertThat(Drawing.read(List.of())).isEqualTo(new Drawing.Result.TooShort(0));
  }

  @Test
  void betweenTwoDirectionsIsNotGuessed() {
    double angle = Math.toRadians(22.4);
    List<Drawing.Point> between =
        List.of(
            new Drawing.Point(0, 0),
            new Drawing.Point(100 * Math.sin(angle), -100 * Math.cos(angle)));
    assertThat(Drawing.read(between)).isInstanceOf(Drawing.Result.Unclear.class);
  }

  /** However finely it is drawn, a straight way between two directions stays one way. */
  @Property(tries = 100)
  void aFineLineBetweenTwoDirectionsIsNotTwoStrokes(@ForAll long seed) {
    Random random = new Random(seed);
    Direction d = Direction.values()[random.nextInt(8)];
    List<Drawing.Point> between =
        drawn(List.of(d), 80 + random.nextInt(200), 22 + random.nextDouble(), 2, random);
    assertThat(Drawing.read(between)).isInstanceOf(Drawing.Result.Unclear.class);
  }

  @Test
  void manyPointsAreThinnedOut() {
    List<Drawing.Point> slow = new ArrayList<>();
    for (int i = 0; i <= 50_000; i++) {
      slow.add(new Drawing.Point(i / 250.0, i % 2));
    }
    assertThat(Drawing.read(slow)).isEqualTo(new Drawing.Result.Drawn(List.of(Direction.RIGHT)));
  }

  @Test
  void aScribbleIsTooMany() {
    List<Direction> scribble =
        List.of(
            Direction.UP,
            Direction.DOWN,
            Direction.UP,
            Direction.DOWN,
            Direction.UP,
            Direction.DOWN);
    assertThat(Drawing.read(drawn(scribble, 90, 0, 0, new Random(1))))
        .isEqualTo(new Drawing.Result.TooMany(6));
  }

  /** A hand rounds a corner; the rounding is no stroke. */
  @Test
  void aRoundedCornerIsNoStroke() {
    List<Drawing.Point> points = new ArrayList<>();
    for (int i = 0; i <= 40; i++) {
      points.add(new Drawing.Point(i * 4, 0));
    }
    for (int i = 1; i <= 9; i++) {
      double a = Math.toRadians(i * 10);
      points.add(new Drawing.Point(160 + 40 * Math.sin(a), 40 - 40 * Math.cos(a)));
    }
    for (int i = 1; i <= 40; i++) {
      points.add(new Drawing.Point(200, 40 + i * 4));
    }
    assertThat(Drawing.read(points))
        .isEqualTo(new Drawing.Result.Drawn(List.of(Direction.RIGHT, Direction.DOWN)));
  }
}
