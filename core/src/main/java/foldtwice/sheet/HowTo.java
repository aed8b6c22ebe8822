package foldtwice.sheet;

import java.util.List;
import java.util.Optional;

/**
 * How a routine is done, told from a run of it.
 *
 * @param routine its id, or that of a procedure
 * @param beforehand what has to be so before it is begun; may be empty
 * @param stages what it does, one after the other
 * @param left how many more stages there were that are not told
 * @param ended how the run ended, where it did not go to its end; empty else
 */
public record HowTo(String routine, String beforehand, List<Stage> stages, int left, String ended) {

  /** More stages than this are not told. */
  public static final int MOST = 40;

  public HowTo {
    stages = List.copyOf(stages);
  }

  /** Several as one, each run by itself. */
  static HowTo together(String id, List<HowTo> all) {
    List<Stage> stages = all.stream().flatMap(h -> h.stages().stream()).toList();
    int told = Math.min(MOST, stages.size());
    return new HowTo(
        id,
        all.stream().map(HowTo::beforehand).filter(b -> !b.isEmpty()).findFirst().orElse(""),
        stages.subList(0, told),
        stages.size() - told + all.stream().mapToInt(HowTo::left).sum(),
        all.stream().map(HowTo::ended).filter(e -> !e.isEmpty()).findFirst().orElse(""));
  }

  /**
   * One step.
   *
   * @param number as the outline counts it
   * @param times how often it was taken, in the turns of a loop
   * @param does in words
   * @param changes what was another after the first time, in words
   * @param program where it was done, in words
   * @param picture the program after it, a PNG; none where nothing is seen of it
   */
  public record Stage(
      String number,
      int times,
      String does,
      List<String> changes,
      String program,
      Optional<Shot> picture) {
    public Stage {
      changes = List.copyOf(changes);
    }
  }

  /** A picture in pixels. */
  @SuppressWarnings("ArrayRecordComponent") // it is only ever written out
  public record Shot(byte[] png, int width, int height) {

    /** As a page names it: the picture itself. */
    public String inPage() {
      return "data:image/png;base64," + java.util.Base64.getEncoder().encodeToString(png);
    }
  }
}
