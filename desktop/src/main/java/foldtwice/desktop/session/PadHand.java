package foldtwice.desktop.session;

import foldtwice.surface.Device;
import foldtwice.trigger.Trigger;

/** What a hand did on a device. */
public interface PadHand {

  void key(Device device, String key, Trigger.Duration way);

  /** A key goes down; true when it acts at once, and shall not be told when it comes up. */
  default boolean down(Device device, String key) {
    return false;
  }

  /** A key that acted as it went down comes up. */
  default void up() {}

  void dial(Device device, String dial, Trigger.Turn turn);
}
