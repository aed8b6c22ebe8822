package foldtwice.desktop.atlas;

import foldtwice.desktop.session.Ui;
import foldtwice.surface.Device;
import foldtwice.surface.Page;
import foldtwice.surface.RadialMenu;
import foldtwice.surface.Toolbar;
import foldtwice.trigger.Trigger;

/** What is looked at as a whole beside the keyboard. */
sealed interface Side {

  record OnPage(Device device, Page page) implements Side {}

  record OnToolbar(Toolbar toolbar) implements Side {}

  record OnMenu(RadialMenu menu) implements Side {}

  record OnPointer() implements Side {}

  /** What tells it apart. */
  default String id() {
    return switch (this) {
      case OnPage(Device d, Page p) -> "page-" + d.id() + "-" + p.id();
      case OnToolbar(Toolbar t) -> "toolbar-" + t.id();
      case OnMenu(RadialMenu m) -> "menu-" + m.id();
      case OnPointer() -> "pointer";
    };
  }

  default String name() {
    return switch (this) {
      case OnPage(Device d, Page p) -> p.name().isEmpty() ? d.name() : d.name() + " " + p.name();
      case OnToolbar(Toolbar t) -> t.name();
      case OnMenu(RadialMenu m) -> m.name();
      case OnPointer() -> Ui.text("atlas.pointer");
    };
  }

  /** True when something is pressed here. */
  default boolean has(Trigger trigger) {
    return switch (this) {
      case OnPage(Device d, Page p) ->
          switch (trigger) {
            case Trigger.PadKey k -> k.device().equals(d.id()) && k.page().equals(p.id());
            case Trigger.Dial t -> t.device().equals(d.id()) && t.page().equals(p.id());
            default -> false;
          };
      case OnToolbar(Toolbar t) ->
          trigger instanceof Trigger.Button b && b.toolbar().equals(t.id());
      case OnMenu(RadialMenu m) -> trigger instanceof Trigger.Radial r && r.menu().equals(m.id());
      case OnPointer() -> trigger instanceof Trigger.Gesture || trigger instanceof Trigger.Pointer;
    };
  }
}
