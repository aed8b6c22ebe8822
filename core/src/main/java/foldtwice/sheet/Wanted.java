package foldtwice.sheet;

/**
 * What sheet somebody wants.
 *
 * @param natives true when the keys a program has of its own stand on it too
 * @param onlyWorking true when what does not work on the station is left out; what waits for a
 *     restart and the like stays
 */
public record Wanted(
    About about, SheetKind kind, Paper paper, boolean natives, boolean onlyWorking) {

  /** One with what works, on A4. */
  public static Wanted of(About about, SheetKind kind) {
    return new Wanted(about, kind, Paper.A4, false, true);
  }

  public Wanted on(Paper other) {
    return new Wanted(about, kind, other, natives, onlyWorking);
  }

  public Wanted withNatives(boolean with) {
    return new Wanted(about, kind, paper, with, onlyWorking);
  }

  public Wanted onlyWorking(boolean only) {
    return new Wanted(about, kind, paper, natives, only);
  }
}
