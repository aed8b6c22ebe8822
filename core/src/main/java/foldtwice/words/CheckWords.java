package foldtwice.words;

import static foldtwice.words.Words.TEXTS;

import foldtwice.check.Checked;
import foldtwice.check.Checked.Verdict;
import foldtwice.library.Expected;
import foldtwice.library.Library;
import foldtwice.library.PressCheck;
import foldtwice.place.Station;
import foldtwice.resolve.Owner;
import foldtwice.run.Trace;
import foldtwice.surface.Device;
import foldtwice.surface.Page;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/** Says what checks of presses are, and how they came out. */
public final class CheckWords {

  private final Words words;
  private final Library library;

  /** In the words of a library. */
  public CheckWords(Words words) {
    this.words = words;
    library = words.library();
  }

  /** Its name, or what is pressed where. */
  public String title(PressCheck check) {
    return check.name().isEmpty()
        ? TEXTS.get("check.title", presses(check), words.place(check.place()))
        : check.name();
  }

  /** What is pressed, one after the other. */
  public String presses(PressCheck check) {
    return check.presses().stream().map(words::trigger).collect(Collectors.joining(", "));
  }

  /** What is expected, or came: {@code fires Move label: 0.4 mm}. */
  public String expected(Expected e) {
    return switch (e) {
      case Expected.Fires(String binding, boolean well) ->
          TEXTS.get(well ? "check.fires" : "check.fails", words.owner(new Owner.Yours(binding)));
      case Expected.Lacks(String binding) ->
          TEXTS.get("check.lacks", words.owner(new Owner.Yours(binding)));
      case Expected.Does(String application, String command) ->
          TEXTS.get("check.does", words.owner(new Owner.Native(application, command)));
      case Expected.Keeps(String what) -> TEXTS.get("check.keeps", what);
      case Expected.Opens(String menu) ->
          TEXTS.get("check.opens", words.owner(new Owner.Menu(menu)));
      case Expected.Turns(String device, String page) -> {
        Optional<Device> d = library.device(device);
        yield TEXTS.get(
            "check.turns",
            d.map(Device::name).orElse(device),
            d.flatMap(x -> x.page(page)).map(Page::name).orElse(page));
      }
      case Expected.Types(String text) -> TEXTS.get("check.types", text);
      case Expected.Undecided(List<String> among) ->
          TEXTS.get(
              "check.undecided",
              among.stream().map(this::claimant).collect(Collectors.joining(", ")));
      case Expected.Nothing() -> TEXTS.get("check.nothing");
    };
  }

  /** How it came out: what came instead, or what keeps it from being made. */
  public String verdict(Checked checked) {
    return switch (checked.verdict()) {
      case Verdict.Holds h -> TEXTS.get("check.holds");
      case Verdict.Differs(List<Expected> came, Optional<Trace.Ending> ending) ->
          came.stream().map(this::expected).collect(Collectors.joining(TEXTS.get("check.then")))
              + ending.map(e -> ": " + StepWords.ending(e)).orElse("");
      case Verdict.Cannot(Checked.Lack lack, String what) ->
          TEXTS.get("check.cannot." + lack, lacking(lack, what));
    };
  }

  private String lacking(Checked.Lack lack, String what) {
    return lack == Checked.Lack.NO_DEVICE
        ? library.device(what).map(Device::name).orElse(what)
        : what;
  }

  /** How many were made, and how they came out. */
  public static String sum(Collection<Checked> made) {
    return TEXTS.get(
        "check.sum",
        made.size(),
        Checked.count(made, Checked.State.HOLDS),
        Checked.count(made, Checked.State.FAILED),
        Checked.count(made, Checked.State.SKIPPED));
  }

  /** One of several with the same right: a binding, or a menu that opens. */
  private String claimant(String id) {
    return words.owner(
        library.bindings().containsKey(id) ? new Owner.Yours(id) : new Owner.Menu(id));
  }

  /** The station a check was made on. */
  public String station(Checked checked) {
    return Optional.ofNullable(library.stations().get(checked.station()))
        .map(Station::name)
        .orElse(checked.station());
  }
}
