package foldtwice.words;

import static foldtwice.words.Words.TEXTS;

import foldtwice.library.Library;
import foldtwice.place.AddOn;
import foldtwice.place.Application;
import foldtwice.place.Place;
import foldtwice.remedy.Way;
import foldtwice.resolve.Owner;
import foldtwice.routine.Routine;
import foldtwice.surface.Device;
import foldtwice.trigger.Stroke;
import foldtwice.trigger.Trigger;
import java.util.List;
import java.util.Optional;

/** Says what can be done about a conflict. */
final class WayWords {

  private final Words words;
  private final Library library;

  WayWords(Words words, Library library) {
    this.words = words;
    this.library = library;
  }

  String of(Way way) {
    return switch (way) {
      case Way.Move(Owner who, Trigger from, Trigger to) ->
          TEXTS.get("way.move", words.owner(who), words.trigger(from), words.trigger(to));
      case Way.TakeAway(Owner who, Trigger trigger) ->
          TEXTS.get("way.take-away", words.owner(who), words.trigger(trigger));
      case Way.Narrow(String binding, Place to) ->
          TEXTS.get("way.narrow", binding(binding), words.place(to));
      case Way.Register(String binding, String by) ->
          TEXTS.get("way.register", binding(binding), by);
      case Way.Install(String application, AddOn addOn) ->
          TEXTS.get("way.install", addOn.name(), addOn.version(), application(application));
      case Way.Update(String application, String version) ->
          TEXTS.get("way.update", application(application), version);
      case Way.PlugIn(String device) ->
          TEXTS.get("way.plug-in", library.device(device).map(Device::name).orElse(device));
      case Way.Release(String routine) -> TEXTS.get("way.release", routine(routine));
      case Way.PutBack(String routine, var settings) ->
          TEXTS.get("way.put-back", routine(routine), String.join(", ", settings));
      case Way.Argument(String binding, String parameter, var to) ->
          TEXTS.get("way.argument", binding(binding), parameter);
      case Way.Join(String keep, String drop) ->
          TEXTS.get("way.join", triggers(keep), triggers(drop));
      case Way.Fold(List<String> routines) -> TEXTS.get("way.fold", String.join(", ", routines));
      case Way.Resend(Owner.Key key, Trigger.Keys to) ->
          TEXTS.get("way.resend", words.owner(key), words.trigger(to));
      case Way.Silence(Owner.Key key) -> TEXTS.get("way.silence", words.owner(key));
      case Way.Copy(String application) -> TEXTS.get("way.copy", application(application));
      case Way.SwitchOff(String binding) -> TEXTS.get("way.switch-off", binding(binding));
      case Way.FirstStroke(List<String> bindings, Stroke from, Stroke to) ->
          TEXTS.get(
              "way.first-stroke",
              bindings.size(),
              binding(bindings.getFirst()),
              words.trigger(Trigger.Keys.of(from)),
              words.trigger(Trigger.Keys.of(to)));
      case Way.ByAction(String routine, AddOn addOn, String action) ->
          TEXTS.get("way.by-action", routine(routine), action, addOn.name());
      case Way.Remove(String binding) ->
          TEXTS.get("way.remove", binding(binding), triggers(binding));
    };
  }

  private String binding(String id) {
    return words.owner(new Owner.Yours(id));
  }

  /** What sets a binding off. */
  private String triggers(String binding) {
    return Optional.ofNullable(library.bindings().get(binding)).stream()
        .flatMap(b -> b.triggers().stream())
        .map(words::trigger)
        .findFirst()
        .orElse(binding);
  }

  private String application(String id) {
    return Optional.ofNullable(library.applications().get(id)).map(Application::name).orElse(id);
  }

  private String routine(String id) {
    return Optional.ofNullable(library.routines().get(id)).map(Routine::name).orElse(id);
  }
}
