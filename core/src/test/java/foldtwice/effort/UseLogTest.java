package foldtwice.effort;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import foldtwice.library.Library;
import foldtwice.library.file.FormatException;
import foldtwice.library.file.LibraryJson;
import java.io.BufferedReader;
import java.io.StringReader;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

class UseLogTest {

  private static Library demo() throws Exception {
    return LibraryJson.read(
        Files.readAllBytes(Path.of(System.getProperty("project.root"), "demo", "fernhollow.json")));
  }

  private static UseLog read(String text) throws Exception {
    return UseLog.read(new BufferedReader(new StringReader(text)), demo(), n -> true);
  }

  @Test
  void firingsAreCountedByBindingOrByTrigger() throws Exception {
    UseLog log =
        read(
            """
            when,station,binding,count
            2031-05-01T08:00:00Z,camera-bench,b01,3
            2031-05-15T08:00:00+02:00,camera-bench,b01,4
            2031-05-15T08:00:00+02:00,camera-bench,b01,4
            2031-05-02,camera-bench,b02,
            """);
    assertThat(log.counts()).containsEntry("b01", 7L).containsEntry("b02", 1L);
    assertThat(log.repeated()).isEqualTo(1);
    assertThat(log.weeks()).isEqualTo(2, within(0.02));
    assertThat(log.perWeek("b01").orElseThrow()).isEqualTo(3.5, within(0.05));
    assertThat(log.perWeek("b03")).isEmpty();
    UseLog other = read("trigger;place;when\nAlt+.;tagpress/box-selected;2031-05-01 08:00:00\n");
    assertThat(other.counts()).containsExactly(java.util.Map.entry("b01", 1L));
    assertThat(read("when\tbinding\n2031-05-01\tb01\n").counts()).containsKey("b01");
    assertThat(read("\uFEFFwhen|binding\n2031-05-01|b01\n").counts()).containsKey("b01");
  }

  /**
   * Used ever less, hardly by chance: told by whole weeks, wherever in a week the log begins and
   * ends; in whatever order its rows stand.
   */
  @Test
  void whatIsUsedEverLessIsTold() throws Exception {
    LocalDate monday = LocalDate.of(2031, 3, 3);
    Random random = new Random(4);
    List<String> rows = new ArrayList<>();
    for (int week = 0; week < 12; week++) {
      for (int day = week == 0 ? 2 : 0; day < (week == 11 ? 3 : 7); day++) {
        String when = monday.plusDays(7L * week + day).toString();
        rows.add(when + ",b01," + (30 - 2 * week + random.nextInt(4)));
        rows.add(when + ",b02," + (10 + random.nextInt(4)));
        rows.add(when + ",b04," + (4 + week));
      }
    }
    Collections.shuffle(rows, random);
    UseLog log = read("when,binding,count\n" + String.join("\n", rows) + "\n");
    assertThat(log.weekly().get("b01")).hasSize(10);
    assertThat(log.fading()).hasSize(1);
    UseLog.Fading f = log.fading().getFirst();
    assertThat(f.binding()).isEqualTo("b01");
    assertThat(f.before()).isBetween(7 * 23.0, 7 * 29.0);
    assertThat(f.now()).isBetween(7 * 12.0, 7 * 19.0);
    UseLog few =
        read(
            "when,binding,count\n"
                + rows.stream()
                    .filter(r -> r.compareTo("2031-04-10") < 0)
                    .collect(Collectors.joining("\n")));
    assertThat(few.fading()).as("in five weeks nothing can be told").isEmpty();
  }

  /** By chance one series in twenty is told to fall, and hardly more. */
  @Test
  void chanceIsSeldomATrend() {
    Random random = new Random(11);
    int told = 0;
    for (int i = 0; i < 4_000; i++) {
      if (Trend.falls(random.longs(12, 0, 40).boxed().toList())) {
        told++;
      }
    }
    assertThat(told / 4_000.0).isBetween(0.03, 0.065);
  }

  /** Worked by hand: n (n - 1) (2 n + 5) / 18 is 65.33 of eight, and 28 pairs fall. */
  @Test
  void theTestOfMannAndKendall() {
    assertThat(Trend.z(List.of(8L, 7L, 6L, 5L, 4L, 3L, 2L, 1L)))
        .isEqualTo(-27 / Math.sqrt(8 * 7 * 21 / 18.0), within(1e-9));
    assertThat(Trend.z(List.of(1L, 2L, 3L)))
        .isEqualTo(2 / Math.sqrt(3 * 2 * 11 / 18.0), within(1e-9));
    assertThat(Trend.z(List.of(4L, 4L, 4L, 4L))).isZero();
    // two ties of two and one of three among seven: 7*6*19 - 2*(2*1*9) - 3*2*11 = 696
    assertThat(Trend.z(List.of(3L, 3L, 2L, 2L, 1L, 1L, 1L)))
        .isEqualTo(-15 / Math.sqrt(696 / 18.0), within(1e-9));
  }

  /** Taken twice it is what it is once; what is not in the log keeps its uses. */
  @Test
  void itIsTakenOnce() throws Exception {
    Library demo = demo();
    UseLog log = read("when,binding,count\n2031-05-01,b01,10\n2031-05-29,b01,10\n");
    Library taken = log.taken(demo).on(demo);
    assertThat(taken.bindings().get("b01").usesPerWeek()).isEqualTo(5);
    assertThat(taken.bindings().get("b02")).isEqualTo(demo.bindings().get("b02"));
    assertThat(log.taken(taken).on(taken)).isEqualTo(taken);
  }

  @Test
  void whatCannotBeCountedIsTold() throws Exception {
    UseLog log =
        read(
            """
            when,station,binding,count
            2031-05-09,x,b01,1
            yesterday,x,b01,1
            2031-05-01,x,nobody,1
            2031-05-01,x,b01,-4
            2031-05-01,x,b01,many
            2031-05-01
            """);
    assertThat(log.rows()).isEqualTo(1);
    assertThat(log.uncounted()).isEqualTo(5);
    assertThat(log.unknown())
        .anyMatch(u -> u.contains("yesterday"))
        .anyMatch(u -> u.contains("nobody"));
    for (String bad : List.of("", "a,b,c\n1,2,3\n", "binding,count\nb01,3\n")) {
      assertThatThrownBy(() -> read(bad)).isInstanceOf(FormatException.class);
    }
    assertThat(read("when,binding\n").counts()).isEmpty();
  }

  /** Nobody waits any more: what there is so far. */
  @Test
  void itCanBeStopped() throws Exception {
    StringBuilder many = new StringBuilder("when,binding,count\n");
    for (int i = 0; i < 20_000; i++) {
      many.append("2031-05-01T00:00:")
          .append(String.format("%02d", i % 60))
          .append("Z,b01,")
          .append(i)
          .append('\n');
    }
    UseLog part =
        UseLog.read(new BufferedReader(new StringReader(many.toString())), demo(), n -> n < 8_000);
    assertThat(part.rows()).isBetween(8_000L, 12_400L);
  }
}
