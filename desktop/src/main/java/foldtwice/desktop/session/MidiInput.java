package foldtwice.desktop.session;

import foldtwice.surface.Device;
import foldtwice.surface.Midi;
import foldtwice.trigger.Trigger;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.Supplier;
import javafx.application.Platform;
import javax.sound.midi.MidiDevice;
import javax.sound.midi.MidiMessage;
import javax.sound.midi.MidiSystem;
import javax.sound.midi.MidiUnavailableException;
import javax.sound.midi.Receiver;
import javax.sound.midi.ShortMessage;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** Hears what a MIDI device sends and hands it over on the interface thread. */
final class MidiInput implements Receiver {

  private static final Logger LOG = LoggerFactory.getLogger(MidiInput.class);

  private final Device device;
  private final Supplier<PadHand> listener;
  private final Map<String, Long> down = new HashMap<>();

  /** Those that acted as they went down. */
  private final Set<String> acted = new HashSet<>();

  MidiInput(Device device, Supplier<PadHand> listener) {
    this.device = device;
    this.listener = listener;
  }

  /**
   * Listens to the ports whose name has the device's name in it. May take a while; call it off the
   * interface thread.
   *
   * @return what to close in the end
   */
  List<MidiDevice> connect() {
    List<MidiDevice> open = new ArrayList<>();
    for (MidiDevice.Info info : MidiSystem.getMidiDeviceInfo()) {
      if (!info.getName()
          .toLowerCase(Locale.ROOT)
          .contains(device.name().toLowerCase(Locale.ROOT))) {
        continue;
      }
      try {
        MidiDevice port = MidiSystem.getMidiDevice(info);
        if (port.getMaxTransmitters() != 0) {
          port.open();
          port.getTransmitter().setReceiver(this);
          open.add(port);
        }
      } catch (MidiUnavailableException taken) {
        LOG.warn("the MIDI port {} cannot be opened: {}", info.getName(), taken.getMessage());
      }
    }
    return open;
  }

  @Override
  public void send(MidiMessage message, long at) {
    if (message instanceof ShortMessage m) {
      Midi.read(device, m.getStatus(), m.getData1(), m.getData2())
          .ifPresent(event -> Platform.runLater(() -> hear(event)));
    }
  }

  private void hear(Midi.Event event) {
    switch (event) {
      case Midi.Event.Down(String key) -> {
        if (listener.get().down(device, key)) {
          acted.add(key);
        } else {
          down.put(key, System.nanoTime());
        }
      }
      case Midi.Event.Up(String key) -> {
        if (acted.remove(key)) {
          listener.get().up();
        }
        Long since = down.remove(key);
        if (since != null) {
          boolean held = System.nanoTime() - since >= Trigger.HOLD_MILLIS * 1_000_000;
          listener.get().key(device, key, held ? Trigger.Duration.HOLD : Trigger.Duration.TAP);
        }
      }
      case Midi.Event.Turned(String dial, Trigger.Turn way) ->
          listener.get().dial(device, dial, way);
    }
  }

  @Override
  public void close() {
    down.clear();
  }
}
