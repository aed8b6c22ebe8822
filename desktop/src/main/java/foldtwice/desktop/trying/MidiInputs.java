package foldtwice.desktop.trying;

import foldtwice.desktop.session.Background.Lane;
import foldtwice.desktop.session.Session;
import foldtwice.desktop.session.Snapshot;
import foldtwice.surface.Device;
import foldtwice.surface.Midi;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javax.sound.midi.MidiDevice;
import javax.sound.midi.Receiver;

/** Listens to the MIDI devices of the station in view. */
final class MidiInputs {

  /** One that is listened to, and the ports it has. */
  private record Heard(Device device, MidiInput input, List<MidiDevice> ports) {}

  private final Session session;
  private final DevicesPane.Listener listener;
  private final Map<String, Heard> heard = new LinkedHashMap<>();

  MidiInputs(Session session, DevicesPane.Listener listener) {
    this.session = session;
    this.listener = listener;
  }

  /** Listens to those that are plugged in now, and to no others. */
  void follow(Snapshot now) {
    Map<String, Device> here = new LinkedHashMap<>();
    now.station().devices().stream()
        .flatMap(id -> now.library().device(id).stream())
        .filter(Midi::isMidi)
        .forEach(d -> here.put(d.id(), d));
    heard
        .entrySet()
        .removeIf(
            e -> {
              boolean gone = !e.getValue().device().equals(here.get(e.getKey()));
              if (gone) {
                e.getValue().ports().forEach(MidiDevice::close);
              }
              return gone;
            });
    here.forEach(
        (id, device) -> {
          if (!heard.containsKey(id)) {
            MidiInput input = new MidiInput(device, listener);
            heard.put(id, new Heard(device, input, List.of()));
            session
                .background()
                .once(Lane.WORK, input::connect, ports -> connected(id, device, input, ports));
          }
        });
  }

  private void connected(String id, Device device, MidiInput input, List<MidiDevice> ports) {
    if (heard.containsKey(id) && heard.get(id).input().equals(input)) {
      heard.put(id, new Heard(device, input, ports));
    } else {
      ports.forEach(MidiDevice::close); // it was taken away meanwhile
    }
  }

  /** What takes the messages of a device. */
  Optional<Receiver> receiver(String device) {
    return Optional.ofNullable(heard.get(device)).map(Heard::input);
  }
}
