package foldtwice.surface;

import foldtwice.trigger.Trigger;
import java.util.Optional;

/**
 * What channel voice messages of MIDI 1.0 mean for a device that is described by note and control
 * numbers; the channel does not matter. A note, or a control of 64 and more, is a key going down. A
 * control of a dial tells turns: 1 to 63 to the right, 65 to 127 to the left (common practice, no
 * source).
 */
public final class Midi {

  private static final int NOTE_OFF = 0x80;
  private static final int NOTE_ON = 0x90;
  private static final int CONTROL = 0xB0;

  /** What a hand did. */
  public sealed interface Event {
    record Down(String key) implements Event {}

    record Up(String key) implements Event {}

    record Turned(String dial, Trigger.Turn way) implements Event {}
  }

  private Midi() {}

  /** True when some key or dial of a device is named by MIDI numbers. */
  public static boolean isMidi(Device device) {
    return device.keys().stream().anyMatch(k -> isMidi(k.usage()))
        || device.dials().stream().anyMatch(d -> isMidi(d.usage()) || isMidi(d.pushUsage()));
  }

  private static boolean isMidi(String usage) {
    return usage.startsWith("note ") || usage.startsWith("control ");
  }

  /**
   * Reads one message; empty when it is about nothing the device has.
   *
   * @param status the first byte, 0 to 255
   * @param first the second byte, 0 to 127: a note or a control
   * @param second the third byte, 0 to 127: how hard, or how far
   */
  public static Optional<Event> read(Device device, int status, int first, int second) {
    int kind = status & 0xF0;
    boolean note = kind == NOTE_ON || kind == NOTE_OFF;
    if (!note && kind != CONTROL) {
      return Optional.empty();
    }
    String usage = (note ? "note " : "control ") + first;
    boolean down = note ? kind == NOTE_ON && second > 0 : second >= 64;
    for (Device.Cap key : device.keys()) {
      if (key.usage().equals(usage)) {
        return Optional.of(down ? new Event.Down(key.id()) : new Event.Up(key.id()));
      }
    }
    for (Device.Knob dial : device.dials()) {
      if (dial.pushUsage().equals(usage)) {
        return down
            ? Optional.of(new Event.Turned(dial.id(), Trigger.Turn.PUSH))
            : Optional.empty();
      }
      if (dial.usage().equals(usage) && second != 0 && second != 64) {
        return Optional.of(
            new Event.Turned(dial.id(), second < 64 ? Trigger.Turn.RIGHT : Trigger.Turn.LEFT));
      }
    }
    return Optional.empty();
  }
}
