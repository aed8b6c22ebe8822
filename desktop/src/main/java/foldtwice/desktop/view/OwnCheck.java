package foldtwice.desktop.view;

import foldtwice.binding.Binding;
import foldtwice.conflict.Advice;
import foldtwice.conflict.Conflict;
import foldtwice.conflict.Subject;
import foldtwice.desktop.session.Ui;
import foldtwice.extras.Extras;
import foldtwice.library.Edit;
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
    Context text =
        new Context("text", Ui.text("own.text"), List.of(), false, true, false, Extras.NONE);
    List<Edit> edits = new ArrayList<>();
    edits.add(
        new Edit.PutApplication(
            Application.unknown(program)
                .named(Ui.text("app.name"), "")
                .withContexts(List.of(text))));
    of.stations().values().forEach(s -> edits.add(new Edit.PutStation(s)));
    acts.forEach((id, says) -> bind(edits, says, binding(id, Optional.ofNullable(keys.get(id)))));
    for (Binding b : of.bindings().values()) {
      if (b.place() instanceof Place.Everywhere) {
        String id = Ids.free("other-" + b.id(), acts::containsKey);
        bind(
            edits,
            of.routineOf(b).map(Routine::name).orElse(b.routine()),
            Binding.fresh(id, id, b.place(), b.triggers(), Map.of()));
      }
    }
    library = new Edit.Together(edits).on(Library.empty(of.name()));
  }

  /** A binding, and a routine of its own that does nothing. */
  private void bind(List<Edit> edits, String says, Binding binding) {
    Head head = Head.of(binding.routine(), says, program, List.of());
    edits.add(new Edit.PutRoutine(new Routine.Macro(head, List.of())));
    edits.add(new Edit.PutBinding(binding));
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
    for (Station station : library.stations().values()) {
      Subject subject = Subject.of(library, Keymap.of(library, station));
      Words words = new Words(library, subject.keymap().layout());
      for (Conflict c : Advice.on(subject, binding(action, Optional.empty()), keys).conflicts()) {
        all.add(new Told(station, c, words.sentence(c)));
      }
    }
    return all;
  }
}
