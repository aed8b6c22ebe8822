package foldtwice.conflict;

import static org.assertj.core.api.Assertions.assertThat;

import foldtwice.Fixture;
import foldtwice.library.Edit;
import foldtwice.library.Library;
import foldtwice.place.Desktops;
import foldtwice.place.Station;
import foldtwice.resolve.Keymap;
import foldtwice.surface.Page;
import foldtwice.trigger.Notation;
import foldtwice.trigger.Platform;
import foldtwice.trigger.Shape;
import foldtwice.words.Words;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** One library on keyboards of other layouts, shapes and platforms. */
class KeyboardsTest {

  /** Common practice, no source, but for the layouts, which are xkb-data's. */
  @ParameterizedTest(name = "{0} on {1}: {2}")
  @CsvSource(
      delimiter = '|',
      value = {
        // claims | layout shape platform | kinds, and words of the first sentence
        "mine box Ctrl+Alt+Q | de iso control | none | ",
        "mine app Ctrl+Alt+Q | de iso control-altgr | types-text | types @ in App \u203a text",
        "mine text Ctrl+Alt+Q | de iso control-altgr | types-text/types-text | can no longer be typed there",
        "mine box Ctrl+Alt+Q, mine box AltGr+Q | de iso control | none | ",
        "mine box Ctrl+Alt+Q, mine box AltGr+Q | de iso control-altgr | double-claim | is claimed twice",
        "mine app Ctrl+Alt+Q | us ansi control-altgr | none | ",
        "mine box Ctrl+L | us ansi command | reserved | Ctrl+L is kept by the desktop for: lock",
        "mine box Logo+L | us ansi command | none | ",
        "native app Ctrl+D, mine app Ctrl+D | us ansi command | displaces | takes the place of",
        "mine app Alt+Q | de iso command | types-text | types @ in App",
        "mine app Alt+Q | us ansi command | none | ",
        "mine box ^ | us ansi control | none | ",
        "mine box ^ | de iso control | untypeable | is a dead key",
        "mine box \u00e4 | us ansi control | untypeable | no key of this keyboard layout makes",
        "mine box [IntlBackslash] | de iso control | none | ",
        "mine box [IntlBackslash] | de ansi control | untypeable | has no key [IntlBackslash]",
        "mine box [IntlRo] | jp jis control | none | ",
        "mine box [IntlRo] | jp iso control | untypeable | has no key [IntlRo]",
        "mine box F5 | us ansi control | none | ",
        "mine box F5 | us compact control | untypeable | has no key F5",
        "mine box Left | us compact control | untypeable | has no key Left",
        "mine box F18 | us iso control | untypeable | no device that is plugged in sends it",
        "mine box Alt+. | fr iso control | none | ",
      })
  void kinds(String claims, String keyboard, String kinds, String says) {
    Library library = on(keyboard, claims);
    List<Conflict> found = Auditor.audit(Subject.of(library, Fixture.keymap(library)));
    assertThat(
            found.isEmpty()
                ? "none"
                : found.stream().map(c -> c.kind().id()).sorted().collect(Collectors.joining("/")))
        .isEqualTo(kinds);
    if (says != null) {
      assertThat(found.stream().map(new Words(library)::sentence).collect(Collectors.joining(" ")))
          .contains(says);
    }
  }

  private static Library on(String keyboard, String claims) {
    String[] k = keyboard.split(" ");
    Library library = Fixture.library(claims.split(", "));
    Station station =
        library
            .stations()
            .get("s")
            .withKeyboard(
                k[0],
                Shape.valueOf(k[1].toUpperCase(Locale.ROOT)),
                Platform.valueOf(k[2].toUpperCase(Locale.ROOT).replace('-', '_')));
    return new Edit.PutStation(station).on(library);
  }

  /** A key no keyboard has is made by a pad that sends it, while that is plugged in. */
  @Test
  void aDeviceMakesWhatNoKeyboardHas() {
    Library library = on("us ansi control", "mine box Ctrl+F18");
    Optional<Page.Sends> keys = Optional.of(new Page.Sends.Chord(Notation.read("Ctrl+F18")));
    Library with = Fixture.withPad(library, false, 1, keys);
    assertThat(Auditor.audit(Subject.of(with, Fixture.keymap(with)))).hasSize(1);
    Library plugged = Fixture.withPad(library, true, 1, keys);
    assertThat(Auditor.audit(Subject.of(plugged, Fixture.keymap(plugged)))).isEmpty();
  }

  /** Only what was whole before is told to be broken by the mapping. */
  @Test
  void aMappingTellsWhatItBreaks() {
    Library library =
        on(
            "us ansi command",
            "mine box Ctrl+L, mine box Ctrl+K, mine bare X then Y, mine box \u00e4");
    Station here = library.stations().get("s");
    Mapping mapping =
        Mapping.of(
            audit(library, here),
            audit(library, here.withKeyboard("us", Shape.ANSI, Platform.CONTROL)));
    assertThat(mapping.triggers()).isEqualTo(2);
    assertThat(mapping.breaks())
        .singleElement()
        .satisfies(c -> assertThat(c.kind()).isEqualTo(ConflictKind.RESERVED))
        .satisfies(c -> assertThat(c.concerns("mine box Ctrl+L")).isTrue());
  }

  private static Audit audit(Library library, Station station) {
    return Audit.of(Subject.of(library, Keymap.of(library, station)));
  }

  /** What ships as kept by desktops: no key twice, and a station takes it whole. */
  @Test
  void desktopsAreWhole() {
    assertThat(Desktops.ALL).hasSizeGreaterThanOrEqualTo(4);
    for (Desktops.Kind kind : Desktops.ALL) {
      assertThat(kind.reserved()).extracting(Station.Reserved::trigger).doesNotHaveDuplicates();
      Station station = kind.on(Fixture.station());
      assertThat(station.platform()).isEqualTo(kind.platform());
      Library library = new Edit.PutStation(station).on(Fixture.library("mine box " + first(kind)));
      assertThat(Auditor.audit(Subject.of(library, Fixture.keymap(library))))
          .as(kind.name())
          .anyMatch(c -> c.kind() == ConflictKind.RESERVED);
    }
  }

  /** Its first key, as a library writes it. */
  private static String first(Desktops.Kind kind) {
    return Notation.write(kind.platform().asLibraryWrites(kind.reserved().getFirst().trigger()));
  }
}
