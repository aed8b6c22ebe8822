package foldtwice.desktop.frame;

import foldtwice.binding.Binding;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.desktop.view.Going;
import foldtwice.desktop.view.Target;
import foldtwice.place.Application;
import foldtwice.place.NativeCommand;
import foldtwice.place.Place;
import foldtwice.resolve.Claim;
import foldtwice.resolve.Owner;
import foldtwice.routine.Routine;
import foldtwice.trigger.Notation;
import foldtwice.trigger.NotationException;
import foldtwice.trigger.Trigger;
import foldtwice.words.Words;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Finds routines, bindings, keys, commands, places and actions by what a person types. */
final class Finder {

  private static final int MOST = 60;

  private final Snapshot now;
  private final Words words;
  private final Going going;
  private final String query;
  private final List<Hit> found = new ArrayList<>();
  private final Set<Owner> byKey = new HashSet<>();

  private Finder(Snapshot now, Going going, String query) {
    this.now = now;
    this.words = now.words();
    this.going = going;
    this.query = query.strip().toLowerCase(Locale.ROOT);
  }

  static List<Hit> find(Snapshot now, Going going, List<Deeds.Deed> deeds, String query) {
    Finder finder = new Finder(now, going, query);
    if (!finder.query.isEmpty()) {
      finder.keys();
    }
    finder.actions(deeds);
    finder.routines();
    finder.places();
    if (!finder.query.isEmpty()) {
      finder.bindings();
      finder.commands();
    }
    return finder.found.stream().sorted(Comparator.comparingInt(Hit::rank)).limit(MOST).toList();
  }

  private void add(String kind, String title, String detail, int base, Target to) {
    match(kind, title, detail, base, () -> going.to(to));
  }

  private void match(String kind, String title, String detail, int base, Runnable go) {
    int match = match(title.toLowerCase(Locale.ROOT), detail.toLowerCase(Locale.ROOT));
    if (match >= 0) {
      found.add(new Hit(Ui.text("look." + kind), title, detail, base + match, go));
    }
  }

  /**
   * 0 for the beginning of the title, 10 for that of a word, 20 anywhere, 30 with the detail; else
   * -1.
   */
  private int match(String title, String detail) {
    if (title.startsWith(query)) {
      return 0;
    }
    if (title.contains(" " + query)) {
      return 10;
    }
    if (title.contains(query)) {
      return 20;
    }
    String all = title + " " + detail;
    for (String word : query.split("\\s+")) {
      if (!all.contains(word)) {
        return -1;
      }
    }
    return 30;
  }

  /** When it reads as a trigger: everybody who has it, wherever. */
  private void keys() {
    try {
      Trigger.Keys trigger = Notation.read(query);
      if (trigger.strokes().size() == 1
          && trigger.strokes().getFirst().modifiers().isEmpty()
          && query.length() > 1
          && !query.startsWith("f")) {
        return;
      }
      for (Claim c : now.keymap().claimsOn(trigger)) {
        byKey.add(c.owner());
        String title = words.trigger(c.trigger()) + "  " + words.owner(c.owner());
        Target to =
            switch (c.owner()) {
              case Owner.Yours(String id) -> new Target.Binding(id);
              case Owner.Native(String application, String command) ->
                  new Target.Command(application, command);
              case Owner.Menu m -> program(c.place());
              case Owner.Key k -> station(); // claims nothing a keymap holds
              case Owner.Desktop d -> station();
            };
        String kind =
            switch (c.owner()) {
              case Owner.Yours y -> "binding";
              case Owner.Native n -> "native";
              case Owner.Menu m -> "menu";
              case Owner.Key k -> "desktop";
              case Owner.Desktop d -> "desktop";
            };
        found.add(
            new Hit(Ui.text("look." + kind), title, words.place(c.place()), 0, () -> going.to(to)));
      }
    } catch (NotationException notAKey) {
      return; // then it is words, which the other searches look for
    }
  }

  /** Where a place can be tried, or looked at where nobody simulates it. */
  private Target program(Place place) {
    return place.applicationId().map(this::program).orElseGet(this::station);
  }

  private Target program(String application) {
    return now.known().program(application).isPresent()
        ? new Target.Program(application)
        : new Target.Application(application);
  }

  /** What the desktop keeps is a matter of the station. */
  private Target station() {
    return new Target.Station(now.station().id());
  }

  private void actions(List<Deeds.Deed> deeds) {
    for (Deeds.Deed d : deeds) {
      if (!d.id().equals("look-up")) {
        int base = d.id().isEmpty() ? 7 : 2; // what stands before one's eyes comes later
        match("action", d.title(), d.detail(), base, d.does());
      }
    }
  }

  private void routines() {
    for (Routine r : now.library().routines().values()) {
      String detail = r.category() + ", " + words.place(new Place.Whole(r.application()));
      add("routine", r.name(), detail, 1, new Target.Routine(r.id()));
    }
  }

  private void places() {
    for (Application a : now.library().applications().values()) {
      String contexts =
          a.allContexts().stream().map(c -> c.name()).collect(Collectors.joining(", "));
      add("place", a.name(), contexts, 3, program(a.id()));
    }
  }

  private void bindings() {
    for (Binding b : now.library().bindings().values()) {
      if (byKey.contains(new Owner.Yours(b.id()))) {
        continue;
      }
      String keys = b.triggers().stream().map(Notation::write).collect(Collectors.joining(", "));
      String title = words.binding(b);
      add(
          "binding",
          title,
          Optional.of(keys).filter(k -> !k.isEmpty()).map(k -> k + " in ").orElse("")
              + words.place(b.place()),
          4,
          new Target.Binding(b.id()));
    }
  }

  private void commands() {
    for (Application a : now.library().applications().values()) {
      for (NativeCommand c : a.commands()) {
        if (byKey.contains(new Owner.Native(a.id(), c.id()))) {
          continue;
        }
        String keys = c.triggers().stream().map(Notation::write).collect(Collectors.joining(", "));
        String menu =
            a.name()
                + (c.menuPath().isEmpty()
                    ? ""
                    : " \u203a " + String.join(" \u203a ", c.menuPath()));
        add(
            "native",
            Words.command(a, c),
            String.join(
                ", ",
                Stream.of(keys, menu, Words.finding(c).orElse(""))
                    .filter(s -> !s.isEmpty())
                    .toList()),
            5,
            new Target.Command(a.id(), c.id()));
      }
    }
  }
}
