package foldtwice.sheet;

import foldtwice.binding.Binding;
import foldtwice.conflict.Conflict;
import foldtwice.conflict.Subject;
import foldtwice.library.Library;
import foldtwice.library.Procedure;
import foldtwice.routine.Routine;
import foldtwice.routine.Value;
import foldtwice.text.Texts;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * A cheat sheet, ready to be written as PDF, HTML, SVG or CSV.
 *
 * @param wanted what was asked for
 * @param contents what stands on it
 * @param html one XHTML document that needs nothing else: printed as it is, and readable on a
 *     screen
 * @param pictures what is drawn on it, each an SVG document; none on a list
 * @param missing characters no font of the sheets has a glyph for
 * @param left how many lines there was no room for
 * @param compose the texts on it that are typed by keys, for X11
 * @param imprint what it keeps of itself, to be told later whether it is still right
 */
public record Sheet(
    Wanted wanted,
    Contents contents,
    String html,
    List<String> pictures,
    Set<String> missing,
    int left,
    ComposeFile compose,
    Imprint imprint) {

  static final Texts TEXTS = Texts.of("foldtwice.words.Words", Texts.class.getClassLoader());

  /**
   * Makes a sheet.
   *
   * @param conflicts what the audit of the subject found
   * @param day of the library it is made from
   */
  public static Sheet of(Subject subject, List<Conflict> conflicts, Wanted wanted, LocalDate day) {
    return of(subject, conflicts, wanted, day, (routine, arguments) -> Optional.empty());
  }

  /**
   * Makes a sheet.
   *
   * @param shown runs routines and tells how they are done; asked for {@link SheetKind#HOW_TO} only
   */
  public static Sheet of(
      Subject subject, List<Conflict> conflicts, Wanted wanted, LocalDate day, Shown shown) {
    Contents contents = new Gathering(subject, conflicts, wanted).contents(day);
    List<Conflict> open = conflicts.stream().filter(c -> !c.isAccepted(subject.library())).toList();
    Map<String, Object> model = new HashMap<>();
    List<String> pictures = new ArrayList<>();
    int left = 0;
    HowTo howTo = null;
    model.put("sheet", contents);
    model.put("paper", wanted.paper());
    model.put("about", wanted.about());
    switch (wanted.kind()) {
      case POCKET_CARD -> {
        PocketCard card =
            PocketCard.of(
                contents,
                subject.library(),
                new HashSet<>(subject.keymap().station().devices()),
                wanted.paper());
        model.put("card", card);
        model.put("margin", PocketCard.MARGIN);
        left = card.left();
        card.pad().ifPresent(p -> pictures.add(p.document()));
      }
      case LIST -> model.put("withNotes", !wanted.onlyWorking());
      case KEYBOARD -> {
        List<Layers.Of> layers = Layers.of(subject, open, wanted, contents);
        model.put("places", layers);
        model.put("legend", KeyboardDrawing.legend(240).onPage());
        layers.forEach(
            p ->
                p.pages().forEach(page -> page.forEach(l -> pictures.add(l.picture().document()))));
      }
      case INSTALL_NOTES -> {
        List<InstallNotes.Of> notes = InstallNotes.of(subject, wanted.about());
        model.put("programs", notes);
      }
      case TOOLBARS -> {
        List<Buttons.Of> buttons = Buttons.of(subject, wanted.about(), contents);
        model.put("surfaces", buttons);
        buttons.forEach(b -> pictures.add(b.picture().document()));
      }
      case HOW_TO -> {
        howTo = howTo(subject.library(), wanted, shown);
        model.put("howTo", howTo);
        left = howTo.left();
      }
      case PAD_LABELS -> {
        List<Labels.Of> labels = Labels.of(subject, wanted.about(), contents);
        model.put("devices", labels);
        labels.forEach(
            d -> {
              pictures.add(d.whole().document());
              d.labels().forEach(l -> pictures.add(l.document()));
            });
      }
    }
    Imprint imprint = Imprint.of(contents, subject.keymap().station().id(), wanted, howTo);
    model.put("imprint", imprint.text());
    String html = Templates.fill(wanted.kind().id(), model);
    Set<String> missing = Fonts.regular().missing(html);
    return new Sheet(
        wanted,
        contents,
        html,
        pictures,
        missing,
        left,
        ComposeFile.of(subject, contents),
        imprint);
  }

  /** Runs a routine and tells how it is done; nothing where it cannot be. */
  public interface Shown {
    Optional<HowTo> of(Routine routine, Map<String, Value> arguments);
  }

  /** Of a routine as it is bound first, or of the parts of a procedure one after the other. */
  private static HowTo howTo(Library library, Wanted wanted, Shown shown) {
    List<HowTo> all = new ArrayList<>();
    switch (wanted.about()) {
      case About.OfRoutine(String id) -> {
        Map<String, Value> arguments =
            library.bindings().values().stream()
                .filter(b -> b.routine().equals(id) && !b.isOff() && !b.isDraft())
                .findFirst()
                .map(Binding::arguments)
                .orElse(Map.of());
        Optional.ofNullable(library.routines().get(id))
            .flatMap(r -> shown.of(r, arguments))
            .ifPresent(all::add);
      }
      case About.OfProcedure(String id) -> {
        for (Procedure.Part part : library.procedures().get(id).parts()) {
          if (part instanceof Procedure.Part.Bound(String binding)
              && library.bindings().get(binding) != null) {
            Binding b = library.bindings().get(binding);
            library.routineOf(b).flatMap(r -> shown.of(r, b.arguments())).ifPresent(all::add);
          }
        }
      }
      default -> {} // nothing that is done in steps
    }
    return HowTo.together(wanted.about().id(), all);
  }

  /** True when there is nothing to print on it. */
  public boolean isEmpty() {
    return switch (wanted.kind()) {
      case POCKET_CARD, LIST, INSTALL_NOTES -> contents.size() == 0;
      case KEYBOARD, PAD_LABELS, TOOLBARS -> pictures.isEmpty();
      case HOW_TO -> imprint.lines().size() == contents.size(); // no step is told
    };
  }

  /** Writes it as PDF, its fonts in it. Takes about half a second once warm. */
  public void pdf(OutputStream out) throws IOException {
    pdf(out, Watch.NOBODY);
  }

  /**
   * The same, looked on: a list of ten thousand bindings takes seconds.
   *
   * @throws java.util.concurrent.CancellationException when the watch gives it up
   */
  public void pdf(OutputStream out, Watch watch) throws IOException {
    Pdf.write(html, imprint.text(), out, watch);
  }

  /** Its lines as a table, RFC 4180, with a heading. */
  public String csv() {
    return SheetCsv.of(contents);
  }

  /** The HTML in bytes, as a file has it. */
  public byte[] htmlBytes() {
    return html.getBytes(StandardCharsets.UTF_8);
  }
}
