package dynamorph.formats.xliff;

import dynamorph.formats.file.SafeFile;
import dynamorph.model.ArtboardId;
import dynamorph.model.Project;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import dynamorph.model.text.Span;
import java.io.IOException;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.Optional;
import java.util.stream.Collectors;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamWriter;

/** Writes the words of a project for translators. */
public final class XliffWriter {
  static final String NAMESPACE = "urn:oasis:names:tc:xliff:document:2.0";

  /** What stands for the end of a line within a paragraph. */
  static final String LINE_BREAK = "xlf:lb";

  private final XMLStreamWriter xml;
  private final Project project;

  private XliffWriter(XMLStreamWriter xml, Project project) {
    this.xml = xml;
    this.project = project;
  }

  /**
   * Writes a file, beside its place first and then moved there.
   *
   * @return how many paragraphs it has
   * @throws IOException if it cannot be written; what was there before is still there
   */
  public static int write(Project project, Path file) throws IOException {
    StringWriter text = new StringWriter();
    int count;
    try {
      XMLStreamWriter xml = XMLOutputFactory.newDefaultFactory().createXMLStreamWriter(text);
      count = new XliffWriter(xml, project).document();
      xml.close();
    } catch (XMLStreamException impossible) {
      throw new IOException(impossible);
    }
    byte[] bytes = text.toString().getBytes(StandardCharsets.UTF_8);
    SafeFile.write(file, out -> out.write(bytes));
    return count;
  }

  private int document() throws XMLStreamException {
    xml.writeStartDocument("UTF-8", "1.0");
    line();
    xml.writeStartElement("xliff");
    xml.writeDefaultNamespace(NAMESPACE);
    xml.writeAttribute("version", "2.1");
    xml.writeAttribute("srcLang", project.language());
    xml.writeAttribute("xml:space", "preserve");
    line();
    xml.writeStartElement("file");
    xml.writeAttribute("id", "f1");
    xml.writeAttribute("original", project.name());
    int number = 0;
    Optional<ArtboardId> open = Optional.empty();
    int groups = 0;
    for (Units.Unit unit : Units.of(project)) {
      if (open.filter(unit.artboard().id()::equals).isEmpty()) {
        if (open.isPresent()) {
          line();
          xml.writeEndElement();
        }
        open = Optional.of(unit.artboard().id());
        line();
        xml.writeStartElement("group");
        xml.writeAttribute("id", "g" + ++groups);
        xml.writeAttribute("name", clean(unit.artboard().name()));
      }
      unit(unit, ++number);
    }
    if (open.isPresent()) {
      line();
      xml.writeEndElement();
    }
    if (number == 0) {
      emptyUnit();
    }
    line();
    xml.writeEndElement();
    line();
    xml.writeEndElement();
    xml.writeEndDocument();
    return number;
  }

  /** A file has a unit at least (XLIFF 2.1, 4.2.2.2). */
  private void emptyUnit() throws XMLStreamException {
    xml.writeStartElement("unit");
    xml.writeAttribute("id", "u0");
    xml.writeStartElement("segment");
    xml.writeEmptyElement("source");
    xml.writeEndElement();
    xml.writeEndElement();
  }

  private void line() throws XMLStreamException {
    xml.writeCharacters("\n");
  }

  private void unit(Units.Unit unit, int number) throws XMLStreamException {
    line();
    xml.writeStartElement("unit");
    xml.writeAttribute("id", "u" + number);
    xml.writeAttribute("name", unit.name());
    xml.writeStartElement("notes");
    note("layer", unit.layer().name());
    Optional<String> style =
        unit.paragraph()
            .follows()
            .or(() ->
                unit.layer().follows().isEmpty()
                    ? Optional.empty()
                    : Optional.of(unit.layer().follows().getLast()))
            .flatMap(this::styleName);
    if (style.isPresent()) {
      note("style", style.get());
    }
    xml.writeEndElement();
    xml.writeStartElement("segment");
    xml.writeStartElement("source");
    int breaks = 0;
    for (int index = 0; index < unit.paragraph().spans().size(); index++) {
      Span span = unit.paragraph().spans().get(index);
      boolean marked = Units.isMarked(span);
      if (marked) {
        xml.writeStartElement("pc");
        xml.writeAttribute("id", String.valueOf(index + 1));
        xml.writeAttribute("type", "fmt");
        String called =
            span.follows().stream()
                .flatMap(id -> styleName(id).stream())
                .collect(Collectors.joining(", "));
        if (!called.isEmpty()) {
          xml.writeAttribute("dispStart", clean(called));
        }
      }
      breaks = words(span.text(), breaks);
      if (marked) {
        xml.writeEndElement();
      }
    }
    xml.writeEndElement();
    xml.writeEndElement();
    xml.writeEndElement();
  }

  private Optional<String> styleName(StyleId id) {
    return project.styles().find(id).map(Style::name);
  }

  private void note(String category, String words) throws XMLStreamException {
    xml.writeStartElement("note");
    xml.writeAttribute("category", category);
    xml.writeCharacters(clean(words));
    xml.writeEndElement();
  }

  /** Words with codes for what XML or its tools would change; gives the number of line breaks. */
  private int words(String text, int breaksBefore) throws XMLStreamException {
    int breaks = breaksBefore;
    StringBuilder plain = new StringBuilder();
    for (int at = 0; at < text.length(); at += Character.charCount(text.codePointAt(at))) {
      int letter = text.codePointAt(at);
      if (letter == '\u2028') {
        xml.writeCharacters(plain.toString());
        plain.setLength(0);
        xml.writeEmptyElement("ph");
        xml.writeAttribute("id", "b" + ++breaks);
        xml.writeAttribute("type", "fmt");
        xml.writeAttribute("subType", LINE_BREAK);
      } else if (!isAllowed(letter)) {
        xml.writeCharacters(plain.toString());
        plain.setLength(0);
        xml.writeEmptyElement("cp");
        xml.writeAttribute("hex", "%04X".formatted(letter));
      } else {
        plain.appendCodePoint(letter);
      }
    }
    xml.writeCharacters(plain.toString());
    return breaks;
  }

  /** What XML 1.0 lets stand in a text. */
  private static boolean isAllowed(int letter) {
    return letter == '\t'
        || letter >= 0x20 && letter <= 0xD7FF
        || letter >= 0xE000 && letter <= 0xFFFD
        || letter >= 0x10000;
  }

  private static String clean(String name) {
    return name.codePoints()
        .filter(XliffWriter::isAllowed)
        .collect(StringBuilder::new, StringBuilder::appendCodePoint, StringBuilder::append)
        .toString();
  }
}
