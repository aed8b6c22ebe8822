package foldtwice.desktop.session;

import foldtwice.live.Firing;
import foldtwice.surface.Device;
import foldtwice.surface.Page;
import foldtwice.trigger.Motion;
import foldtwice.trigger.Trigger;
import java.util.Optional;

/** What is done on devices goes to the real programs while keys are listened for. */
record LivePads(Session session, Firing to) implements PadHand {

  @Override
  public void key(Device device, String key, Trigger.Duration way) {
    Page page = page(device);
    Optional<Page.Sends> sends = way == Trigger.Duration.TAP ? page.sends(key) : Optional.empty();
    if (sends.isEmpty()) {
      to.signal(new Motion(new Trigger.PadKey(device.id(), page.id(), key, way)));
      return;
    }
    switch (sends.get()) {
      case Page.Sends.Turn(String next) -> {
        session.pages().put(device.id(), next);
        session.say(Ui.text("said.liveturned", device.name(), page(device).name()));
      }
      case Page.Sends.Chord(Trigger.Keys keys) -> to.strike(keys);
    }
  }

  @Override
  public void dial(Device device, String dial, Trigger.Turn turn) {
    to.signal(new Motion(new Trigger.Dial(device.id(), page(device).id(), dial, turn)));
  }

  private Page page(Device device) {
    return Optional.ofNullable(session.pages().get(device.id()))
        .flatMap(device::page)
        .orElse(device.firstPage());
  }
}
