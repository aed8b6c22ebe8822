package foldtwice.desktop.frame;

import foldtwice.binding.Binding;
import foldtwice.desktop.session.OnDisk;
import foldtwice.desktop.session.OwnKeys;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.library.file.Backups;
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
  private final Targets targets;
  private final String query;
  private final List<Found> found = new ArrayList<>();
  private final Set<Owner> byKey = new HashSet<>();

  private Finder(Snapshot now, Targets targets, String query) {
    this.now = now;
    this.words = now.words();
    this.targets = targets;
    this.query = query.strip().toLowerCase(Locale.ROOT);
  }

  /** What a chosen result can do. */
  interface Targets {
    void binding(String id);

    void routine(String name);

    void stand(String application);

    void command(String application, String id);

    void action(OwnKeys own);

    void stations();

    void saveElsewhere();

    void keepAgain();

    List<Backups.Backup> backups();

    void goBackTo(Backups.Backup backup);
  }

  static List<Found> find(Snapshot now, Targets targets, String query) {
    Finder finder = new Finder(now, targets, query);
    if (!finder.query.isEmpty()) {
      finder.keys();
    }
    finder.actions();
    finder.routines();
    finder.places();
    if (!finder.query.isEmpty()) {
      finder.bindings();
      finder.commands();
    }
    return finder.found.stream().sorted(Comparator.comparingInt(Found::rank)).limit(MOST).toList();
  }

  private void add(String kind, String title, String detail, int base, Runnable go) {
    int match = match(title.toLowerCase(Locale.ROOT), detail.toLowerCase(Locale.ROOT));
    if (match >= 0) {
      found.add(new Found(Ui.text("look." + kind), title, detail, base + match, go));
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
        Runnable go =
            switch (c.owner()) {
              case Owner.Yours(String id) -> () -> targets.binding(id);
              case Owner.Native(String application, String command) ->
                  () -> targets.command(application, command);
              case Owner.Menu m -> () -> targets.stand(applicationOf(c.place()));
              case Owner.Key k -> targets::stations; // claims nothing a keymap holds
              case Owner.Desktop d -> targets::stations;
            };
        String kind =
            switch (c.owner()) {
              case Owner.Yours y -> "binding";
              case Owner.Native n -> "native";
              case Owner.Menu m -> "menu";
              case Owner.Key k -> "desktop";
              case Owner.Desktop d -> "desktop";
            };
        found.add(new Found(Ui.text("look." + kind), title, words.place(c.place()), 0, go));
      }
    } catch (NotationException notAKey) {
      return; // then it is words, which the other searches look for
    }
  }

  private String applicationOf(Place place) {
    return place.applicationId().orElse(now.library().applications().keySet().iterator().next());
  }

  private void actions() {
    for (OwnKeys own : OwnKeys.values()) {
      if (own != OwnKeys.LOOK_UP) {
        add("action", own.says(), own.keys(), 2, () -> targets.action(own));
      }
    }
    add("action", Ui.text("disk.elsewhere"), "", 2, targets::saveElsewhere);
    add("action", Ui.text("disk.again"), "", 2, targets::keepAgain);
    for (Backups.Backup b : targets.backups()) {
      add(
          "action",
          Ui.text("disk.back", OnDisk.when(b)),
          Ui.text("disk.backup"),
          7,
          () -> targets.goBackTo(b));
    }
  }

  private void routines() {
    for (Routine r : now.library().routines().values()) {
      String detail = r.category() + ", " + words.place(new Place.Whole(r.application()));
      add("routine", r.name(), detail, 1, () -> targets.routine(r.name()));
    }
  }

  private void places() {
    for (Application a : now.library().applications().values()) {
      String contexts =
          a.allContexts().stream().map(c -> c.name()).collect(Collectors.joining(", "));
      add("place", a.name(), contexts, 3, () -> targets.stand(a.id()));
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
          () -> targets.binding(b.id()));
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
            () -> targets.command(a.id(), c.id()));
      }
    }
  }
}
