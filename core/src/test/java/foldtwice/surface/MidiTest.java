package foldtwice.surface;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.extras.Extras;
import foldtwice.trigger.Trigger;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/**
 * Status bytes and meanings: MIDI 1.0 Detailed Specification, channel voice messages (from memory).
 */
class MidiTest {

  private static final Device DEVICE =
      new Device(
          "d",
          "D",
          List.of(
              new Device.Cap("a", "", 0, 0, 1, 1, "note 36", ""),
              new Device.Cap("b", "", 1, 0, 1, 1, "control 64", ""),
              new Device.Cap("c", "", 2, 0, 1, 1, "07/68", "")),
          List.of(new Device.Knob("k", "", 0, 1, true, "control 20", "note 48")),
          List.of(new Page("", "", "", Map.of(), Map.of())),
          Extras.NONE);

  @Test
  void notesAndControlsAreKeys() {
    assertThat(Midi.read(DEVICE, 0x90, 36, 100)).contains(new Midi.Event.Down("a"));
    assertThat(Midi.read(DEVICE, 0x9F, 36, 0))
        .as("a note on without force is a note off, on any channel")
        .contains(new Midi.Event.Up("a"));
    assertThat(Midi.read(DEVICE, 0x80, 36, 64)).contains(new Midi.Event.Up("a"));
    assertThat(Midi.read(DEVICE, 0xB0, 64, 127)).contains(new Midi.Event.Down("b"));
    assertThat(Midi.read(DEVICE, 0xB0, 64, 0)).contains(new Midi.Event.Up("b"));
  }

  @Test
  void dialsTurnAndArePushed() {
    assertThat(Midi.read(DEVICE, 0xB0, 20, 1))
        .contains(new Midi.Event.Turned("k", Trigger.Turn.RIGHT));
    assertThat(Midi.read(DEVICE, 0xB0, 20, 127))
        .contains(new Midi.Event.Turned("k", Trigger.Turn.LEFT));
    assertThat(Midi.read(DEVICE, 0x90, 48, 1))
        .contains(new Midi.Event.Turned("k", Trigger.Turn.PUSH));
    assertThat(Midi.read(DEVICE, 0x80, 48, 0)).isEmpty();
    assertThat(Midi.read(DEVICE, 0xB0, 20, 0)).isEmpty();
  }

  @Test
  void whatTheDeviceHasNotIsPassedOver() {
    assertThat(Midi.read(DEVICE, 0x90, 99, 1)).isEmpty();
    assertThat(Midi.read(DEVICE, 0xE0, 36, 1)).as("pitch bend").isEmpty();
    assertThat(Midi.isMidi(DEVICE)).isTrue();
  }
}
