package foldtwice.desktop.frame;

import foldtwice.binding.Binding;
import foldtwice.desktop.parts.FoundBy;
import foldtwice.desktop.session.Snapshot;
import foldtwice.desktop.session.Ui;
import foldtwice.desktop.view.Going;
import foldtwice.desktop.view.Target;
import foldtwice.known.Facts;
import foldtwice.place.Application;
import foldtwice.place.Place;
import foldtwice.resolve.Claim;
import foldtwice.resolve.Owner;
import foldtwice.routine.Routine;
import foldtwice.surface.Device;
import foldtwice.surface.Offering;
import foldtwice.surface.RadialMenu;
import foldtwice.surface.Surface;
import foldtwice.surface.Toolbar;
import foldtwice.trigger.Notation;
import foldtwice.trigger.NotationException;
import foldtwice.trigger.Trigger;
import foldtwice.words.Words;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Supplier;
import java.util.stream.Collectors;

/** Finds routines, bindings, keys, commands, places and actions by what a person types. */
final class Finder {

  private static final int MOST = 60;

  /** Triggers of a routine longer than this are cut. */
  private static final int LONG = 40;

  private final Snapshot now;
  private final Words words;
  private final Going going;
  private final CommandTexts texts;
  private final String typed;
  private final String query;
  private final String asWord;
  private final String[] queried;
  private final TreeMap<Integer, List<Hit>> found = new TreeMap<>();
  private final Set<Owner> byKey = new HashSet<>();

  private Finder(Snapshot now, Going going, String query, CommandTexts texts) {
    this.now = now;
    this.texts = texts;
    this.words = now.words();
    this.going = going;
    this.typed = query.strip();
    this.query = typed.toLowerCase(Locale.ROOT);
    this.asWord = " " + this.query;
    this.queried = this.query.split("\\s+");
  }

  /**
   * What is found, the best first.
   *
   * @param commands what is known of the commands of applications from one question to the next
   */
  static List<Hit> find(
      Snapshot now, Going going, List<Deeds.Deed> deeds, CommandTexts commands, String query) {
    Finder finder = new Finder(now, going, query, commands);
    if (!finder.query.isEmpty()) {
      finder.keys();
    }
    finder.actions(deeds);
    finder.routines();
    finder.places();
    finder.surfaces();
    if (!finder.query.isEmpty()) {
      finder.bindings();
      finder.commands();
      finder.offered();
    }
    return finder.found.values().stream().flatMap(List::stream).limit(MOST).toList();
  }

  private void add(String kind, String title, String detail, int base, Target to) {
    match(kind, title, detail, base, () -> going.to(to));
  }

  private void match(String kind, String title, String detail, int base, Runnable go) {
    int match = match(title.toLowerCase(Locale.ROOT), detail.toLowerCase(Locale.ROOT));
    if (match >= 0) {
      found(base + match, () -> new Hit(Ui.text("look." + kind), title, detail, go));
    }
  }

  /** Keeps one of a rank, while there is room for more of it. */
  private void found(int rank, Supplier<Hit> hit) {
    if (hasRoom(rank)) {
      found.computeIfAbsent(rank, r -> new ArrayList<>()).add(hit.get());
    }
  }

  private boolean hasRoom(int rank) {
    List<Hit> alike = found.get(rank);
    return alike == null || alike.size() < MOST;
  }

  /**
   * 0 for the beginning of the title, 10 for that of a word, 20 anywhere, 30 with the detail; else
   * -1.
   */
  private int match(String title, String detail) {
    if (title.startsWith(query)) {
      return 0;
    }
    int at = title.indexOf(query);
    if (at >= 0) {
      return title.charAt(at - 1) == ' ' || title.contains(asWord) ? 10 : 20;
    }
    for (String word : queried) {
      if (!title.contains(word) && !detail.contains(word)) {
        return -1;
      }
    }
    return 30;
  }

  /** When it reads as a trigger: everybody who has it, wherever. */
  private void keys() {
    try {
      Trigger.Keys trigger = Notation.read(typed); // names of positions have capitals
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
        found(
            0,
            () ->
                new Hit(
                    Ui.text("look." + kind), title, words.place(c.place()), () -> going.to(to)));
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
    Map<String, String> keys = new HashMap<>();
    for (Binding b : now.library().bindings().values()) {
      for (Trigger t : b.triggers()) {
        keys.merge(
            b.routine(), words.trigger(t), (a, more) -> a.length() > LONG ? a : a + "; " + more);
      }
    }
    for (Routine r : now.library().routines().values()) {
      String detail =
          String.join(
              ", ",
              keys.getOrDefault(r.id(), Ui.text("notrigger")),
              FoundBy.kind(r),
              r.category(),
              words.place(new Place.Whole(r.application())));
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

  /** Devices, toolbars, and what comes to the pointer. */
  private void surfaces() {
    for (Surface s : now.library().surfaces().values()) {
      String detail =
          switch (s) {
            case Device d -> Ui.text("look.device", d.keys().size(), d.pages().size());
            case Toolbar t ->
                Ui.text("look.toolbar", words.place(new Place.Whole(t.application())));
            case RadialMenu m -> Ui.text("look.radial", words.place(m.place()));
            case Offering o -> Ui.text("look.offering", words.place(o.place()));
          };
      add("surface", s.name(), detail, 3, new Target.Surface(s.id()));
    }
  }

  private void bindings() {
    for (Binding b : now.library().bindings().values()) {
      if (byKey.contains(new Owner.Yours(b.id()))) {
        continue;
      }
      String keys =
          b.isOff()
              ? Ui.text("readiness.OFF")
              : b.isDraft()
                  ? Ui.text("notrigger")
                  : b.triggers().stream().map(Notation::write).collect(Collectors.joining(", "));
      String title = words.binding(b);
      add("binding", title, keys + " in " + words.place(b.place()), 4, new Target.Binding(b.id()));
    }
  }

  private void commands() {
    for (Application a : now.library().applications().values()) {
      for (CommandTexts.Fit fit : texts.fitting(a, query, this::match)) {
        CommandTexts.Text t = fit.text();
        if (!hasRoom(5 + fit.match())) {
          continue; // of a hundred thousand that fit alike, most
        }
        if (!byKey.contains(new Owner.Native(a.id(), t.id()))) {
          found(
              5 + fit.match(),
              () ->
                  new Hit(
                      Ui.text("look.native"),
                      t.title(),
                      t.detail(),
                      () -> going.to(new Target.Command(a.id(), t.id()))));
        }
      }
    }
  }

  /** What programs offer that is no command: found too, with what makes it something to bind. */
  private void offered() {
    for (Facts f : now.known().programs()) {
      Application a = now.library().applications().get(f.application());
      if (a != null) {
        Target at = new Target.Application(a.id());
        f.values()
            .keySet()
            .forEach(v -> add("value", v, Ui.text("look.value.how", a.name()), 6, at));
        f.settings()
            .keySet()
            .forEach(v -> add("setting", v, Ui.text("look.setting.how", a.name()), 6, at));
        f.actions()
            .forEach(
                x ->
                    add(
                        "offered",
                        x.name(),
                        Ui.text("look.offered.how", a.name(), x.from().name()),
                        6,
                        at));
      }
    }
  }
}
