package foldtwice.cage;

import java.io.BufferedInputStream;
import java.io.BufferedOutputStream;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.util.concurrent.TimeUnit;

/** One process of a {@link Cage}. Whoever has it is alone with it. */
public final class Cell {

  /** With this a process ends that has used up its memory (HotSpot's ExitOnOutOfMemoryError). */
  private static final int OUT_OF_MEMORY = 3;

  private static final int BUFFER = 1 << 14;

  private final Process process;
  private volatile boolean ended;
  private final DataInputStream in;
  private final DataOutputStream out;

  Cell(Process process) {
    this.process = process;
    in = new DataInputStream(new BufferedInputStream(process.getInputStream(), BUFFER));
    out = new DataOutputStream(new BufferedOutputStream(process.getOutputStream(), BUFFER));
  }

  /** What it says. */
  public DataInputStream in() {
    return in;
  }

  /** What it is told; flushed by whoever tells it. */
  public DataOutputStream out() {
    return out;
  }

  /** False as soon as it has been ended, however long the computer takes over that. */
  public boolean isAlive() {
    return !ended && process.isAlive();
  }

  /** Ends it, wherever it is. What it was asked for does not come. */
  public void end() {
    ended = true;
    process.destroyForcibly();
  }

  /** Whether it ended because its memory was used up; waits a moment for its end. */
  public boolean ranOutOfMemory() {
    try {
      return process.waitFor(2, TimeUnit.SECONDS) && process.exitValue() == OUT_OF_MEMORY;
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      return false;
    }
  }
}
