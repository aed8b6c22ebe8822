package foldtwice.words;

import foldtwice.library.Library;
import foldtwice.surface.Device;
import foldtwice.surface.Face;
import foldtwice.surface.Page;
import foldtwice.surface.Surface;
import foldtwice.surface.Toolbar;
import foldtwice.trigger.Direction;
import foldtwice.trigger.Modifiers;
import foldtwice.trigger.Stroke;
import foldtwice.trigger.Trigger;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/** Triggers in words: {@code Rowan, Labels, key 2.3}. */
final class TriggerWords {

  private final Library library;
  private final Words words;

  TriggerWords(Library library, Words words) {
    this.library = library;
    this.words = words;
  }

  String of(Trigger trigger) {
    return switch (trigger) {
      case Trigger.Keys(List<Stroke> strokes) -> words.keys(strokes);
      case Trigger.Held(Stroke stroke, Trigger.Edge edge) ->
          Words.TEXTS.get("trigger.held." + edge, words.keys(List.of(stroke)));
      case Trigger.PadKey(String device, String page, String key, Trigger.Duration way) ->
          Words.TEXTS.get("trigger.key." + way, on(device, page), keyName(device, page, key));
      case Trigger.Dial(String device, String page, String dial, Trigger.Turn turn) ->
          Words.TEXTS.get("trigger.dial." + turn, on(device, page), dialName(device, dial));
      case Trigger.Gesture(Trigger.PointerButton button, List<Direction> strokes) ->
          Words.TEXTS.get(
              "trigger.gesture",
              strokes.stream()
                  .map(Words::direction)
                  .collect(Collectors.joining(Words.TEXTS.get("trigger.then"))),
              Words.pointerButton(button));
      case Trigger.Pointer(Trigger.PointerButton button, Modifiers held) ->
          held.list().stream().map(m -> m.word() + "+").collect(Collectors.joining())
              + Words.pointerButton(button);
      case Trigger.Radial(String menu, Direction choice) ->
          Words.TEXTS.get("trigger.radial", surface(menu), Words.direction(choice));
      case Trigger.Button(String toolbar, int slot) ->
          Words.TEXTS.get(
              isInDocument(toolbar) ? "trigger.button.document" : "trigger.button",
              surface(toolbar),
              slot);
      case Trigger.AtStart() -> Words.TEXTS.get("trigger.atstart");
    };
  }

  private boolean isInDocument(String id) {
    return library.surfaces().get(id) instanceof Toolbar t && t.inDocument();
  }

  private String surface(String id) {
    return Optional.ofNullable(library.surfaces().get(id)).map(Surface::name).orElse(id);
  }

  private String on(String device, String page) {
    String name = surface(device);
    return library
        .device(device)
        .flatMap(d -> d.page(page))
        .map(Page::name)
        .filter(n -> !n.isEmpty())
        .map(n -> Words.TEXTS.get("trigger.page", name, n))
        .orElse(name);
  }

  private String keyName(String device, String page, String key) {
    Optional<Device> at = library.device(device);
    String label = at.flatMap(d -> d.page(page)).map(p -> p.face(key)).map(Face::label).orElse("");
    if (!label.isEmpty()) {
      return label;
    }
    return at.flatMap(d -> d.key(key)).map(Device.Cap::label).filter(l -> !l.isEmpty()).orElse(key);
  }

  private String dialName(String device, String dial) {
    return library
        .device(device)
        .flatMap(d -> d.dial(dial))
        .map(Device.Knob::label)
        .filter(l -> !l.isEmpty())
        .orElse(dial);
  }
}
