package foldtwice.cli;

import foldtwice.check.Checked;
import foldtwice.check.Checked.State;
import foldtwice.library.Library;
import foldtwice.words.CheckWords;
import foldtwice.words.Words;
import java.io.StringWriter;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamWriter;

/**
 * Results of checks as JUnit's reports are written, for what reads those: a suite for each station,
 * a case for each check.
 */
public final class JUnitXml {

  private JUnitXml() {}

  /** The report of what was made, one after the other. */
  public static String of(Library library, List<Checked> made) {
    CheckWords words = new CheckWords(new Words(library));
    Map<String, List<Checked>> stations =
        made.stream()
            .collect(
                Collectors.groupingBy(words::station, LinkedHashMap::new, Collectors.toList()));
    StringWriter text = new StringWriter();
    try {
      XMLStreamWriter out = XMLOutputFactory.newFactory().createXMLStreamWriter(text);
      out.writeStartDocument("UTF-8", "1.0");
      out.writeStartElement("testsuites");
      counts(out, library.name(), made);
      for (var suite : stations.entrySet()) {
        out.writeStartElement("testsuite");
        counts(out, suite.getKey(), suite.getValue());
        for (Checked c : suite.getValue()) {
          testCase(out, words, c);
        }
        out.writeEndElement();
      }
      out.writeEndElement();
      out.writeEndDocument();
      out.close();
    } catch (XMLStreamException e) {
      throw new IllegalStateException("a writer into memory cannot fail", e);
    }
    return text + "\n";
  }

  private static void counts(XMLStreamWriter out, String name, List<Checked> made)
      throws XMLStreamException {
    out.writeAttribute("name", clean(name));
    out.writeAttribute("tests", Integer.toString(made.size()));
    out.writeAttribute("failures", Long.toString(Checked.count(made, State.FAILED)));
    out.writeAttribute("errors", "0");
    out.writeAttribute("skipped", Long.toString(Checked.count(made, State.SKIPPED)));
  }

  private static void testCase(XMLStreamWriter out, CheckWords words, Checked c)
      throws XMLStreamException {
    out.writeStartElement("testcase");
    out.writeAttribute("name", clean(words.title(c.check())));
    out.writeAttribute("classname", clean(c.check().place().id()));
    if (c.state() == State.FAILED) {
      out.writeStartElement("failure");
      out.writeAttribute("message", clean(words.verdict(c)));
      out.writeCharacters(
          clean(
              words.presses(c.check())
                  + ": expected "
                  + words.expected(c.check().expected())
                  + ", found "
                  + words.verdict(c)));
      out.writeEndElement();
    } else if (c.state() == State.SKIPPED) {
      out.writeEmptyElement("skipped");
      out.writeAttribute("message", clean(words.verdict(c)));
    }
    out.writeEndElement();
  }

  private static boolean isWritable(int c) {
    return c < 0x20 ? c == '\n' || c == '\t' : c != 0xFFFE && c != 0xFFFF;
  }

  /** Without characters that XML 1.0 has no way to write. */
  private static String clean(String text) {
    return text.codePoints()
        .map(c -> isWritable(c) ? c : 0xFFFD)
        .collect(StringBuilder::new, StringBuilder::appendCodePoint, StringBuilder::append)
        .toString();
  }
}
