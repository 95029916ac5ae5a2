package dynamorph.formats.document;

import dynamorph.formats.css.CssLook;
import dynamorph.model.document.Role;
import dynamorph.model.document.WrittenDocument;
import dynamorph.model.property.Level;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.value.ListKind;
import dynamorph.model.value.ScriptPosition;
import dynamorph.model.value.TextDirection;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Set;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jsoup.nodes.Node;
import org.jsoup.nodes.TextNode;
import org.jsoup.select.NodeFilter;
import org.jsoup.select.NodeTraversor;

/**
 * Reads pages of the web (HTML, living standard) with their headings, lists, classes and stress.
 */
final class HtmlReader implements NodeFilter {
  private static final Set<String> WITHOUT_WORDS =
      Set.of(
          "script",
          "style",
          "head",
          "title",
          "meta",
          "rp",
          "template",
          "noscript",
          "nav",
          "button",
          "select",
          "input",
          "textarea",
          "iframe",
          "object",
          "canvas",
          "dialog");

  private static final Set<String> FRAMES =
      Set.of("table", "thead", "tbody", "tfoot", "tr", "ul", "ol", "dl");

  private static final Set<String> PICTURES = Set.of("img", "svg", "picture", "video", "audio");

  /** What holds for the words within an element. */
  private record Within(
      Role role,
      List<String> styles,
      PropertySet direct,
      PropertySet language,
      boolean preformatted,
      int lists) {}

  private final DocumentBuilder into;
  private final HtmlStyles styles;
  private final Deque<Within> open = new ArrayDeque<>();

  /** Rows of tables that are open: whether a cell was met in them. */
  private final Deque<Boolean> rows = new ArrayDeque<>();

  private HtmlReader(Document page, String name) {
    this.into = new DocumentBuilder(name);
    this.styles = new HtmlStyles(page);
    PropertySet language = language(page.child(0), PropertySet.EMPTY);
    open.push(new Within(Role.BODY, List.of(), PropertySet.EMPTY, language, false, 0));
  }

  static WrittenDocument read(String html, String name) throws IOException {
    Document page = Jsoup.parse(html);
    HtmlReader reader = new HtmlReader(page, name);
    Element main = page.selectFirst("main, article");
    try {
      // elements may lie in each other deeper than methods can call each other
      NodeTraversor.filter(reader, main == null || main.text().isBlank() ? page.body() : main);
    } catch (UncheckedIOException refused) {
      throw refused.getCause();
    }
    return reader.into.build();
  }

  @Override
  public FilterResult head(Node node, int depth) {
    try {
      return switch (node) {
        case TextNode words -> {
          if (!(words.isBlank() && words.parent() instanceof Element around && isFrame(around))) {
            words(words.getWholeText());
          }
          yield FilterResult.CONTINUE;
        }
        case Element element -> begin(element);
        default -> FilterResult.CONTINUE;
      };
    } catch (IOException refused) {
      throw new UncheckedIOException(refused);
    }
  }

  @Override
  public FilterResult tail(Node node, int depth) {
    if (node instanceof Element element) {
      open.pop();
      String name = element.normalName();
      if (name.equals("tr")) {
        rows.poll();
      }
      if (isBlock(element) && rows.isEmpty()) {
        endParagraph();
      }
    }
    return FilterResult.CONTINUE;
  }

  /** Whether only other elements stand in it, and white between them says nothing. */
  private static boolean isFrame(Element element) {
    return FRAMES.contains(element.normalName());
  }

  private static boolean isBlock(Element element) {
    return element.isBlock() || element.normalName().equals("figcaption");
  }

  private void endParagraph() {
    into.endWritten();
  }

  private FilterResult begin(Element element) throws IOException {
    String name = element.normalName();
    if (PICTURES.contains(name)) {
      into.omit(Omitted.PICTURE);
      return FilterResult.SKIP_ENTIRELY;
    }
    if (WITHOUT_WORDS.contains(name) || styles.isHidden(element)) {
      return FilterResult.SKIP_ENTIRELY;
    }
    switch (name) {
      case "br" -> {
        if (into.isOpen() && into.hasWords()) {
          into.words("\u2028", open.getFirst().styles(), open.getFirst().direct());
        }
        return FilterResult.SKIP_ENTIRELY;
      }
      case "ruby" -> {
        ruby(element);
        return FilterResult.SKIP_ENTIRELY;
      }
      case "del" -> {
        into.omit(Omitted.DELETED_TEXT);
        return FilterResult.SKIP_ENTIRELY;
      }
      default -> open.push(within(element, name));
    }
    if (name.equals("table")) {
      into.omit(Omitted.TABLE);
    } else if (name.equals("tr") && rows.isEmpty()) {
      endParagraph();
      into.begin(into.standard(Role.TABLE), PropertySet.EMPTY);
      rows.push(false);
    } else if ((name.equals("td") || name.equals("th")) && !rows.isEmpty()) {
      if (rows.pop()) {
        into.words("\t", List.of(), PropertySet.EMPTY);
      }
      rows.push(true);
    } else if (isBlock(element)) {
      if (rows.isEmpty()) {
        endParagraph();
        paragraph(element);
      } else if (!into.endsWithSpace()) {
        into.words(" ", List.of(), PropertySet.EMPTY);
      }
    }
    return FilterResult.CONTINUE;
  }

  private Within within(Element element, String name) {
    Within around = open.getFirst();
    Role role = role(name, around.role());
    List<String> named = new ArrayList<>(around.styles());
    PropertySet direct = around.direct();
    if (!isBlock(element)) {
      standard(name, named);
      styles.words(element, into).ifPresent(named::add);
      direct =
          CssLook.with(marked(name, direct), element.attr("style"))
              .where(key -> key.property().countsOn(Level.SPAN));
    }
    PropertySet language = language(element, around.language());
    if (!isBlock(element) && !language.equals(around.language())) {
      direct = direct.overlaidBy(language);
    }
    boolean list = name.equals("ul") || name.equals("ol");
    return new Within(
        role,
        isBlock(element) ? List.of() : named,
        isBlock(element) ? PropertySet.EMPTY : direct,
        language,
        around.preformatted() || name.equals("pre"),
        around.lists() + (list ? 1 : 0));
  }

  private static PropertySet language(Element element, PropertySet around) {
    String tag = element.attr("lang");
    return tag.matches("[A-Za-z]{2,3}(-[A-Za-z0-9]{2,8})*")
        ? PropertySet.EMPTY.with(Properties.LANGUAGE, tag)
        : around;
  }

  private void standard(String name, List<String> named) {
    switch (name) {
      case "b", "strong" -> named.add(into.standard(Role.STRONG));
      case "i", "em", "cite", "dfn", "var" -> named.add(into.standard(Role.EMPHASIS));
      case "code", "kbd", "samp", "tt" -> named.add(into.standard(Role.CODE));
      case "a" -> {
        into.omit(Omitted.LINK_ADDRESS);
        named.add(into.standard(Role.LINK));
      }
      default -> {}
    }
  }

  private static PropertySet marked(String name, PropertySet direct) {
    return switch (name) {
      case "u", "ins" -> direct.with(Properties.UNDERLINE, true);
      case "s", "strike" -> direct.with(Properties.STRIKE, true);
      case "sup" -> direct.with(Properties.SCRIPT_POSITION, ScriptPosition.SUPERSCRIPT);
      case "sub" -> direct.with(Properties.SCRIPT_POSITION, ScriptPosition.SUBSCRIPT);
      default -> direct;
    };
  }

  private static Role role(String name, Role around) {
    return switch (name) {
      case "h1", "h2", "h3", "h4", "h5", "h6" -> Role.heading(name.charAt(1) - '0');
      case "blockquote" -> Role.QUOTATION;
      case "pre" -> Role.PREFORMATTED;
      case "figcaption", "caption" -> Role.CAPTION;
      case "ul" -> Role.BULLETED_LIST;
      case "ol" -> Role.NUMBERED_LIST;
      case "section", "header", "footer", "figure", "dl" -> Role.BODY;
      default -> around;
    };
  }

  private void paragraph(Element element) throws IOException {
    Within within = open.getFirst();
    String name = element.normalName();
    if (name.equals("ul") || name.equals("ol")) {
      return;
    }
    boolean list = within.role().isList();
    Element holder = element.parent();
    boolean item = list && name.equals("li");
    // only the first paragraph of an item has its mark
    boolean goesOn =
        list
            && !item
            && holder != null
            && holder.normalName().equals("li")
            && holder.children().stream()
                .takeWhile(other -> other != element)
                .anyMatch(Element::isBlock);
    String style =
        list
            ? into.list(
                within.role() == Role.NUMBERED_LIST,
                Math.max(0, within.lists() - 1),
                PropertySet.EMPTY)
            : styles.paragraph(element, within.role(), into);
    PropertySet direct =
        CssLook.with(PropertySet.EMPTY, element.attr("style")).overlaidBy(within.language());
    String start = element.parent() == null ? "" : element.parent().attr("start");
    if (item && element.elementSiblingIndex() == 0 && start.matches("\\d{1,6}")) {
      direct = direct.with(Properties.LIST_START, Double.valueOf(start));
    }
    if (goesOn) {
      direct = direct.with(Properties.LIST, ListKind.NONE);
    }
    if (element.attr("dir").equals("rtl")) {
      direct = direct.with(Properties.DIRECTION, TextDirection.RIGHT_TO_LEFT);
    }
    into.begin(style, direct);
  }

  /** White is one space, as HTML has it, but not in preformatted text. */
  private void words(String text) throws IOException {
    Within within = open.getFirst();
    if (!within.preformatted()) {
      String plain = text.replaceAll("[ \\t\\n\\r\\f]+", " ");
      if (plain.startsWith(" ") && into.endsWithSpace()) {
        plain = plain.substring(1);
      }
      if (plain.isEmpty()) {
        return;
      }
      ready();
      into.words(plain, within.styles(), within.direct());
      return;
    }
    List<String> lines = List.of(text.split("\r\n|\r|\n", -1));
    for (int line = 0; line < lines.size(); line++) {
      if (line > 0 && (line + 1 < lines.size() || !lines.get(line).isEmpty())) {
        into.words("\u2028", within.styles(), within.direct());
      }
      if (!lines.get(line).isEmpty()) {
        ready();
        into.words(lines.get(line), within.styles(), within.direct());
      }
    }
  }

  /** Words that stand in no paragraph make one of their own. */
  private void ready() throws IOException {
    if (!into.isOpen()) {
      Role role = open.getFirst().role();
      into.begin(into.standard(role), open.getFirst().language());
    }
  }

  private void ruby(Element element) throws IOException {
    ready();
    Within within = open.getFirst();
    StringBuilder base = new StringBuilder();
    for (Node child : element.childNodes()) {
      switch (child) {
        case TextNode words -> base.append(words.text().strip());
        case Element inner when inner.normalName().equals("rt") -> {
          into.words(base.toString(), within.styles(), within.direct(), inner.text());
          base.setLength(0);
        }
        case Element inner when !inner.normalName().equals("rp") -> base.append(inner.text());
        default -> {}
      }
    }
    into.words(base.toString(), within.styles(), within.direct());
  }
}
