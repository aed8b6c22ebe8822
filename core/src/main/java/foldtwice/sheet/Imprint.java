package foldtwice.sheet;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import foldtwice.library.file.FormatException;
import foldtwice.library.file.Json;
import foldtwice.text.Refusals;
import java.io.IOException;
import java.io.StringReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;

/**
 * What a sheet was made of, kept within the file so that it can be told later whether it is still
 * right. A PDF keeps it among the information on the document, HTML in its head.
 *
 * @param library its name then
 * @param station the id of the station it was made for
 * @param asOf the day, as it is written on the sheet
 * @param lines what it says
 */
public record Imprint(
    String library, String station, String asOf, Wanted wanted, List<Line> lines) {

  /** The name it has among the information on a document. */
  static final String NAME = "foldtwice-sheet";

  private static final int VERSION = 1;

  /** Files larger than this are not looked into, in bytes. */
  private static final long MOST = 200L * 1024 * 1024;

  /**
   * One thing a sheet says.
   *
   * @param where what is pressed and where, or the number of a step
   * @param does what it does
   */
  public record Line(String where, String does) {}

  /** A difference between what a sheet says and what it would say now. */
  public sealed interface Difference {

    /** It is not on the sheet. */
    record New(Line line) implements Difference {}

    /** It is not so any more. */
    record Gone(Line line) implements Difference {}

    /** It does something else now. */
    record Other(String where, String before, String now) implements Difference {}
  }

  public Imprint {
    lines = List.copyOf(lines);
  }

  static Imprint of(Contents contents, String station, Wanted wanted, HowTo howTo) {
    List<Line> lines = new ArrayList<>();
    for (Contents.Line l : contents.lines()) {
      lines.add(new Line(l.says() + ", " + l.place(), l.does()));
    }
    if (howTo != null) {
      for (int i = 0; i < howTo.stages().size(); i++) {
        HowTo.Stage s = howTo.stages().get(i);
        String does =
            s.does() + (s.changes().isEmpty() ? "" : ": " + String.join("; ", s.changes()));
        lines.add(new Line(Sheet.TEXTS.get("sheet.howto.step", i + 1), does));
      }
    }
    return new Imprint(contents.library(), station, contents.asOf(), wanted, lines);
  }

  /** As it is kept. */
  String text() {
    ObjectNode out = Json.object();
    out.put("sheet", VERSION);
    out.put("library", library).put("station", station).put("asOf", asOf);
    out.put("about", wanted.about().key()).put("as", wanted.kind().id());
    out.put("paper", wanted.paper().name()).put("natives", wanted.natives());
    out.put("onlyWorking", wanted.onlyWorking());
    ArrayNode all = out.putArray("lines");
    lines.forEach(l -> all.addArray().add(l.where()).add(l.does()));
    return out.toString();
  }

  /**
   * Looks for it in a file.
   *
   * @throws FormatException when the file is no sheet of this application, or one without an
   *     imprint
   */
  public static Imprint in(Path file) throws IOException, FormatException {
    if (Files.size(file) > MOST) {
      throw none(file);
    }
    String name = String.valueOf(file.getFileName()).toLowerCase(Locale.ROOT);
    String text = name.endsWith(".pdf") ? inPdf(file) : inHtml(file);
    if (text == null) {
      throw none(file);
    }
    return read(text);
  }

  private static FormatException none(Path file) {
    return new FormatException(
        String.valueOf(file.getFileName()), Refusals.says("sheet.this-no-sheet-can"));
  }

  private static String inPdf(Path file) throws IOException, FormatException {
    try (PDDocument document = Loader.loadPDF(file.toFile())) {
      return document.getDocumentInformation().getCustomMetadataValue(NAME);
    } catch (IOException e) {
      if (!Files.isReadable(file)) {
        throw e;
      }
      throw none(file);
    }
  }

  private static String inHtml(Path file) throws IOException, FormatException {
    String all = Files.readString(file, StandardCharsets.UTF_8);
    XMLInputFactory safe = XMLInputFactory.newFactory();
    safe.setProperty(XMLInputFactory.SUPPORT_DTD, false);
    safe.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
    try {
      XMLStreamReader in =
          safe.createXMLStreamReader(
              new StringReader(all.replaceFirst("^\\s*<!DOCTYPE html>", "")));
      while (in.hasNext()) {
        int event = in.next();
        if (event == XMLStreamConstants.START_ELEMENT && in.getLocalName().equals("body")) {
          return null;
        }
        if (event == XMLStreamConstants.START_ELEMENT
            && in.getLocalName().equals("meta")
            && NAME.equals(in.getAttributeValue(null, "name"))) {
          return in.getAttributeValue(null, "content");
        }
      }
      return null;
    } catch (XMLStreamException e) {
      throw none(file);
    }
  }

  /** Reads what {@link #text} wrote. */
  static Imprint read(String text) throws FormatException {
    JsonNode in = Json.parse(text.getBytes(StandardCharsets.UTF_8));
    if (in.path("sheet").asInt(0) != VERSION) {
      throw unknown("a sheet of version " + VERSION);
    }
    About about =
        About.keyed(in.path("about").asText())
            .orElseThrow(() -> unknown("what the sheet is about"));
    SheetKind kind =
        Arrays.stream(SheetKind.values())
            .filter(k -> k.id().equals(in.path("as").asText()))
            .findFirst()
            .orElseThrow(() -> unknown("a kind of sheet"));
    Paper paper =
        Arrays.stream(Paper.values())
            .filter(p -> p.name().equals(in.path("paper").asText()))
            .findFirst()
            .orElseThrow(() -> unknown("a size of paper"));
    List<Line> lines = new ArrayList<>();
    for (JsonNode line : in.path("lines")) {
      lines.add(new Line(line.path(0).asText(), line.path(1).asText()));
    }
    return new Imprint(
        in.path("library").asText(),
        in.path("station").asText(),
        in.path("asOf").asText(),
        new Wanted(
            about,
            kind,
            paper,
            in.path("natives").asBoolean(false),
            in.path("onlyWorking").asBoolean(true)),
        lines);
  }

  private static FormatException unknown(String expected) {
    return new FormatException(
        Refusals.says("sheet.what-sheet-keeps-itself"),
        Refusals.says("sheet.expected-sheet-was-made", expected));
  }

  /** What is different now, in the order of this sheet; what is new comes last. */
  public List<Difference> since(Imprint now) {
    Map<String, List<Line>> there = new LinkedHashMap<>();
    now.lines.forEach(l -> there.computeIfAbsent(l.where(), w -> new ArrayList<>()).add(l));
    List<Line> unmatched = new ArrayList<>();
    for (Line l : lines) {
      List<Line> same = there.get(l.where());
      if (same == null || !same.remove(l)) {
        unmatched.add(l);
      }
    }
    List<Difference> all = new ArrayList<>();
    for (Line l : unmatched) {
      List<Line> others = there.getOrDefault(l.where(), List.of());
      all.add(
          others.isEmpty()
              ? new Difference.Gone(l)
              : new Difference.Other(l.where(), l.does(), others.removeFirst().does()));
    }
    there.values().forEach(some -> some.forEach(l -> all.add(new Difference.New(l))));
    return all;
  }
}
