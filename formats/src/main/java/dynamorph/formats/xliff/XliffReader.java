package dynamorph.formats.xliff;

import dynamorph.formats.file.Incoming;
import dynamorph.formats.file.PlainText;
import dynamorph.formats.file.XmlNode;
import dynamorph.formats.file.XmlTree;
import dynamorph.formats.message.Messages;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import dynamorph.model.text.Story;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import javax.xml.stream.XMLStreamException;

/** Reads what translators give back; nothing but words comes from it. */
public final class XliffReader {
  /** What files of translators end with. */
  public static final List<String> ENDINGS = List.of(".xlf", ".xliff");

  private static final long LARGEST = 64L << 20;

  private final Project project;
  private final Map<LayerId, List<Paragraph>> changed = new LinkedHashMap<>();
  private int translated;
  private int untranslated;
  private int unknown;
  private int changedSince;
  private int codes;

  private XliffReader(Project project) {
    this.project = project;
  }

  /** Whether a file is one by its name. */
  public static boolean isXliff(Path file) {
    String name = String.valueOf(file.getFileName()).toLowerCase(Locale.ROOT);
    return ENDINGS.stream().anyMatch(name::endsWith);
  }

  /**
   * Reads a file.
   *
   * @throws IOException saying what is wrong, if it is missing, too large, no XLIFF 2, or says in
   *     no place which language it is in
   */
  public static Translation read(Path file, Project project) throws IOException {
    String name = String.valueOf(file.getFileName());
    byte[] bytes = Incoming.bytes(file, LARGEST);
    XmlNode root;
    try {
      root = new XmlTree(name).read(PlainText.decode(bytes));
    } catch (XMLStreamException | IllegalArgumentException broken) {
      throw new IOException(Messages.of("xliff.is-no-xml", name), broken);
    }
    if (!root.name().equals("xliff:xliff")) {
      throw new IOException(
          Messages.of(
              root.name().endsWith("xliff") ? "xliff.is-older" : "xliff.is-none",
              name,
              root.get("version", "?")));
    }
    String language = root.get("trgLang", "").strip();
    if (Locale.forLanguageTag(language).getLanguage().isEmpty()) {
      throw new IOException(Messages.of("xliff.has-no-language", name));
    }
    XliffReader reader = new XliffReader(project);
    root.all("xliff:unit").forEach(reader::unit);
    return reader.translation(language);
  }

  private Translation translation(String language) {
    Map<LayerId, Story> stories = new LinkedHashMap<>();
    changed.forEach((layer, paragraphs) -> stories.put(layer, new Story(paragraphs)));
    List<String> remarks = new ArrayList<>();
    tell(remarks, "xliff.untranslated", untranslated);
    tell(remarks, "xliff.unknown", unknown);
    tell(remarks, "xliff.changed-since", changedSince);
    tell(remarks, "xliff.codes", codes);
    return new Translation(language, stories, translated, remarks);
  }

  private static void tell(List<String> remarks, String message, int count) {
    if (count > 0) {
      remarks.add(Messages.of(message, count));
    }
  }

  private void unit(XmlNode unit) {
    List<XmlNode> parts =
        unit.elements()
            .filter(
                one -> one.name().equals("xliff:segment") || one.name().equals("xliff:ignorable"))
            .toList();
    boolean any =
        parts.stream()
            .filter(one -> one.name().equals("xliff:segment"))
            .flatMap(one -> one.child("xliff:target").stream())
            .anyMatch(target -> !target.text().isBlank());
    String name = unit.get("name", "");
    int mark = name.lastIndexOf('#');
    if (mark < 0) {
      return;
    }
    Optional<LayerId> layer = id(name.substring(0, mark));
    Optional<List<Paragraph>> there = layer.flatMap(this::paragraphs);
    Optional<Integer> index = number(name.substring(mark + 1));
    if (there.isEmpty() || index.isEmpty() || index.get() >= there.get().size()) {
      unknown++;
      return;
    }
    if (!any) {
      untranslated++;
      return;
    }
    Paragraph before = there.get().get(index.get());
    if (!words(parts, false).equals(before.text())) {
      changedSince++;
    }
    List<Paragraph> now = changed.computeIfAbsent(layer.get(), _ -> new ArrayList<>(there.get()));
    now.set(index.get(), before.withSpans(spans(parts, before)));
    translated++;
  }

  private Optional<List<Paragraph>> paragraphs(LayerId id) {
    return Optional.ofNullable(changed.get(id))
        .or(() ->
            project.layer(id).filter(one -> one.isText()).map(one -> one.story().paragraphs()));
  }

  private static Optional<LayerId> id(String text) {
    try {
      return Optional.of(new LayerId(text));
    } catch (IllegalArgumentException none) {
      return Optional.empty();
    }
  }

  private static Optional<Integer> number(String text) {
    return text.matches("\\d{1,9}") ? Optional.of(Integer.parseInt(text)) : Optional.empty();
  }

  /** What of a part is read: what was translated, else what was to be. */
  private static Stream<XmlNode> side(XmlNode part, boolean target) {
    Optional<XmlNode> source = part.child("xliff:source");
    return (target ? part.child("xliff:target").or(() -> source) : source).stream();
  }

  private String words(List<XmlNode> parts, boolean target) {
    StringBuilder words = new StringBuilder();
    for (Piece piece : pieces(parts, target)) {
      words.append(piece.text());
    }
    return words.toString();
  }

  /**
   * Words within a code.
   *
   * @param code the number of the words whose look they have, from 1; 0 for none
   */
  private record Piece(String text, int code) {}

  private static List<Piece> pieces(List<XmlNode> parts, boolean target) {
    List<Piece> pieces = new ArrayList<>();
    Map<String, Integer> open = new HashMap<>();
    parts.stream()
        .flatMap(part -> side(part, target))
        .forEach(side -> collect(side, 0, open, pieces));
    return pieces;
  }

  /** Gathers words; a tool may have made a pair of codes of one that goes around words. */
  private static void collect(
      XmlNode node, int code, Map<String, Integer> open, List<Piece> pieces) {
    int within = code;
    for (Object child : node.children()) {
      switch (child) {
        case XmlNode inner -> {
          switch (inner.name()) {
            case "xliff:pc" -> collect(inner, code(inner.get("id", ""), within), open, pieces);
            case "xliff:sc" -> {
              open.put(inner.get("id", ""), within);
              within = code(inner.get("id", ""), within);
            }
            case "xliff:ec" -> {
              Integer before = open.remove(inner.get("startRef", inner.get("id", "")));
              within = before == null ? code : before;
            }
            case "xliff:ph" -> {
              if (inner.get("subType", "").equals(XliffWriter.LINE_BREAK)) {
                pieces.add(new Piece("\u2028", within));
              }
            }
            case "xliff:cp" -> {
              String hex = inner.get("hex", "");
              if (hex.matches("[0-9A-Fa-f]{1,4}")) {
                pieces.add(new Piece(Character.toString(Integer.parseInt(hex, 16)), within));
              }
            }
            default -> collect(inner, within, open, pieces);
          }
        }
        default -> pieces.add(new Piece(String.valueOf(child), within));
      }
    }
  }

  private static int code(String id, int otherwise) {
    return number(id).orElse(otherwise);
  }

  private List<Span> spans(List<XmlNode> parts, Paragraph before) {
    Span plain =
        before.spans().stream()
            .filter(span -> !Units.isMarked(span))
            .findFirst()
            .orElseGet(() -> Span.of(""));
    List<Span> spans = new ArrayList<>();
    for (Piece piece : pieces(parts, true)) {
      String text = clean(piece.text());
      Span look = plain;
      if (piece.code() > before.spans().size()) {
        codes++;
      } else if (piece.code() > 0) {
        look = before.spans().get(piece.code() - 1);
      }
      // how other words are read says nothing about these
      Span span = look.withText(text).withRuby(text.equals(look.text()) ? look.ruby() : "");
      if (!spans.isEmpty() && isAlike(spans.getLast(), span)) {
        spans.add(span.withText(spans.removeLast().text() + text));
      } else if (!text.isEmpty()) {
        spans.add(span);
      }
    }
    return spans.isEmpty() ? List.of(plain.withText("")) : spans;
  }

  private static boolean isAlike(Span one, Span other) {
    return one.ruby().isEmpty()
        && other.ruby().isEmpty()
        && one.follows().equals(other.follows())
        && one.local().equals(other.local());
  }

  /** Ends of lines in the file are spaces; what no text can hold goes. */
  private static String clean(String text) {
    StringBuilder plain = new StringBuilder(text.length());
    for (int at = 0; at < text.length(); at++) {
      char unit = text.charAt(at);
      if (unit == '\n' || unit == '\r') {
        plain.append(' ');
      } else if (unit == '\t' || unit == '\u2028' || !Character.isISOControl(unit)) {
        plain.append(unit);
      }
    }
    return plain.toString();
  }
}
