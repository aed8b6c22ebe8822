package foldtwice.cage;

import java.io.BufferedInputStream;
import java.io.BufferedOutputStream;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.FileDescriptor;
import java.io.FileOutputStream;
import java.io.OutputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;

/** The inside of a process: its two ends of the talk. Nothing else gets at standard output. */
public final class Inmate {

  private static final int BUFFER = 1 << 14;

  private final DataInputStream in;
  private final DataOutputStream out;

  private Inmate(DataInputStream in, DataOutputStream out) {
    this.in = in;
    this.out = out;
  }

  /** Takes standard input and output for the talk; who else prints prints into nothing. */
  public static Inmate begin() {
    Inmate inmate =
        new Inmate(
            new DataInputStream(new BufferedInputStream(System.in, BUFFER)),
            new DataOutputStream(
                new BufferedOutputStream(new FileOutputStream(FileDescriptor.out), BUFFER)));
    System.setOut(new PrintStream(OutputStream.nullOutputStream(), false, StandardCharsets.UTF_8));
    return inmate;
  }

  public DataInputStream in() {
    return in;
  }

  public DataOutputStream out() {
    return out;
  }

  /** Ends this process at once, whatever its threads do. */
  public static void end() {
    Runtime.getRuntime().halt(0);
  }
}
