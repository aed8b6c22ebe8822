package foldtwice.desktop.view;

import foldtwice.binding.Binding;
import foldtwice.conflict.Advice;
import foldtwice.conflict.Conflict;
import foldtwice.conflict.Subject;
import foldtwice.desktop.session.Ui;
import foldtwice.extras.Extras;
import foldtwice.library.Ids;
import foldtwice.library.Library;
import foldtwice.place.Application;
import foldtwice.place.Context;
import foldtwice.place.Place;
import foldtwice.place.Station;
import foldtwice.resolve.Keymap;
import foldtwice.routine.Head;
import foldtwice.routine.Routine;
import foldtwice.trigger.Trigger;
import foldtwice.words.Words;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What the application's own keys meet on the stations of a library, told by the very check that
 * everybody's keys pass: the application is made a program of a small library, its actions
 * routines, its keys bindings beside those that hold everywhere.
 */
public final class OwnCheck {

  /** What a key meets on one station. */
  public record Told(Station station, Conflict conflict, String sentence) {}

  private final Library library;
  private final String program;

  /**
   * @param of whose stations, and whose bindings that hold everywhere
   * @param keys by action
   * @param acts the words of each action
   */
  public OwnCheck(Library of, Map<String, Trigger.Keys> keys, Map<String, String> acts) {
    program = Ids.free("fold-twice", of.applications()::containsKey);
    Map<String, Routine> routines = new LinkedHashMap<>();
    Map<String, Binding> bindings = new LinkedHashMap<>();
    acts.forEach(
        (id, says) -> {
          routines.put(id, new Routine.Macro(Head.of(id, says, program, List.of()), List.of()));
          bindings.put(id, binding(id, Optional.ofNullable(keys.get(id))));
        });
    for (Binding b : of.bindings().values()) {
      if (b.place() instanceof Place.Everywhere) {
        String id = Ids.free("other-" + b.id(), bindings::containsKey);
        String routine = Ids.free("other-" + b.routine(), routines::containsKey);
        routines.put(
            routine,
            new Routine.Macro(
                Head.of(routine, new Words(of).routineName(b), program, List.of()), List.of()));
        bindings.put(
            id, Binding.fresh(id, routine, new Place.Everywhere(), b.triggers(), Map.of()));
      }
    }
    Context text =
        new Context("text", Ui.text("own.text"), List.of(), false, true, false, Extras.NONE);
    Application itself = Application.unknown(program).named(Ui.text("app.name"), "");
    library =
        new Library(
            of.name(),
            Map.of(program, itself.withContexts(List.of(text))),
            of.stations(),
            Map.of(),
            routines,
            bindings,
            Map.of(),
            Map.of(),
            Map.of(),
            Map.of(),
            Map.of(),
            Extras.NONE);
  }

  private Binding binding(String action, Optional<Trigger.Keys> keys) {
    return Binding.fresh(
        action,
        action,
        new Place.Whole(program),
        keys.<List<Trigger>>map(List::of).orElse(List.of()),
        Map.of());
  }

  /** What an action's key would meet, on every station; empty when it is free on all. */
  public List<Told> on(String action, Trigger.Keys keys) {
    List<Told> all = new ArrayList<>();
    Words words = new Words(library);
    for (Station station : library.stations().values()) {
      Subject subject = Subject.of(library, Keymap.of(library, station));
      for (Conflict c : Advice.on(subject, binding(action, Optional.empty()), keys).conflicts()) {
        all.add(new Told(station, c, words.sentence(c)));
      }
    }
    return all;
  }
}
