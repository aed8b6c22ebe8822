package foldtwice.desktop.session;

import foldtwice.desktop.session.Background.Lane;
import foldtwice.surface.Device;
import foldtwice.surface.Midi;
import foldtwice.trigger.Trigger;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javax.sound.midi.MidiDevice;
import javax.sound.midi.Receiver;

/**
 * Listens to the MIDI devices of the station in view. What is done on them goes to the real
 * programs while keys are listened for there, else to those that are tried.
 */
public final class MidiInputs {

  /** One that is listened to, and the ports it has. */
  private record Heard(Device device, MidiInput input, List<MidiDevice> ports) {}

  /** While nobody takes what is done. */
  private static final PadHand NOBODY =
      new PadHand() {
        @Override
        public void key(Device device, String key, Trigger.Duration way) {}

        @Override
        public void dial(Device device, String dial, Trigger.Turn turn) {}
      };

  private final Session session;
  private final Map<String, Heard> heard = new LinkedHashMap<>();
  private PadHand tried = NOBODY;
  private Optional<PadHand> live = Optional.empty();

  MidiInputs(Session session) {
    this.session = session;
  }

  /** Who takes what is done while programs are tried. */
  public void tried(PadHand hand) {
    tried = hand;
  }

  /** Who takes it instead, as long as somebody does. */
  void live(Optional<PadHand> hand) {
    live = hand;
  }

  private PadHand taking() {
    return live.orElse(tried);
  }

  /** Listens to those that are plugged in now, and to no others. */
  public void follow(Snapshot now) {
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
            MidiInput input = new MidiInput(device, this::taking);
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
  public Optional<Receiver> receiver(String device) {
    return Optional.ofNullable(heard.get(device)).map(Heard::input);
  }
}
