package dynamorph.formats.html;

import dynamorph.formats.css.CssLook;
import dynamorph.model.cascade.CharacterLook;
import dynamorph.model.cascade.Coat;
import dynamorph.model.cascade.ResolvedLayer;
import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.RubyBase;
import dynamorph.model.text.Span;
import dynamorph.model.text.Story;
import dynamorph.model.value.Numbers;
import dynamorph.model.value.ScriptPosition;
import dynamorph.model.value.Slant;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Element;
import org.jsoup.nodes.Node;
import org.jsoup.nodes.TextNode;
import org.jsoup.select.NodeFilter;
import org.jsoup.select.NodeTraversor;

/**
 * Writes text with its look as HTML, and reads HTML as text with local changes. Only what letters
 * carry goes over: family, size, weight, slant, colour, lines and small raised letters.
 */
public final class HtmlText {
  private static final double BOLD = 700;

  /** What comes along with words: the look of letters, not where lines stand. */
  private static final Set<PropertyKey<?>> CARRIED =
      Set.of(
          Properties.FONT_FAMILY.key(),
          Properties.SIZE.key(),
          Properties.FONT_WEIGHT.key(),
          Properties.SLANT.key(),
          Properties.UNDERLINE.key(),
          Properties.STRIKE.key(),
          Properties.SCRIPT_POSITION.key(),
          Properties.COAT_COLOUR.at(Address.coat("fill")));

  private HtmlText() {}

  // --- writing

  /**
   * A story as HTML, each paragraph a {@code p}.
   *
   * @param look the resolved look of the story, paragraph by paragraph
   */
  public static String write(Story story, List<ResolvedLayer.ResolvedParagraph> look) {
    StringBuilder html = new StringBuilder("<meta charset=\"utf-8\">");
    for (int index = 0; index < story.paragraphs().size(); index++) {
      html.append("<p>");
      Paragraph paragraph = story.paragraphs().get(index);
      List<Span> spans = paragraph.spans();
      for (int span = 0; span < spans.size(); span++) {
        // neighbours with the same ruby are one base
        String ruby = spans.get(span).ruby();
        boolean begins = span == 0 || !spans.get(span - 1).ruby().equals(ruby);
        boolean ends = span + 1 == spans.size() || !spans.get(span + 1).ruby().equals(ruby);
        html.append(begins && !ruby.isEmpty() ? "<ruby>" : "");
        html.append("<span style=\"").append(css(look.get(index).spans().get(span))).append("\">");
        html.append(escaped(spans.get(span).text())).append("</span>");
        if (ends && !ruby.isEmpty()) {
          html.append("<rt>").append(escaped(ruby)).append("</rt></ruby>");
        }
      }
      html.append("</p>");
    }
    return html.toString();
  }

  private static String css(CharacterLook look) {
    StringBuilder css = new StringBuilder();
    css.append("font-family:'").append(look.type().family().replace("'", "")).append("';");
    css.append("font-size:").append(Numbers.format(look.type().size())).append("pt;");
    css.append("font-weight:").append(Math.round(look.type().weight())).append(';');
    if (look.type().font().slant() == Slant.ITALIC) {
      css.append("font-style:italic;");
    }
    if (look.lines().under() || look.lines().through()) {
      css.append("text-decoration:")
          .append(look.lines().under() ? "underline " : "")
          .append(look.lines().through() ? "line-through" : "")
          .append(';');
    }
    if (look.type().forms().position() != ScriptPosition.NORMAL) {
      boolean raised = look.type().forms().position() == ScriptPosition.SUPERSCRIPT;
      css.append("vertical-align:").append(raised ? "super;" : "sub;");
    }
    look.finish().coats().stream()
        .filter(coat -> coat.shape() instanceof Coat.Fill)
        .reduce((_, last) -> last)
        .ifPresent(fill ->
            css.append("color:").append(fill.paint().colour().toString(), 0, 7).append(';'));
    return css.toString();
  }

  private static String escaped(String text) {
    return text.replace("&", "&amp;")
        .replace("<", "&lt;")
        .replace(">", "&gt;")
        .replace("\u2028", "<br>")
        .replace("\u00A0", "&nbsp;");
  }

  // --- reading

  /** HTML as a story; empty if there are no words in it. */
  public static Optional<Story> read(String html) {
    Reader reader = new Reader();
    // elements may lie in each other deeper than methods can call each other
    NodeTraversor.filter(reader, Jsoup.parse(html).body());
    return reader.story();
  }

  private static final class Reader implements NodeFilter {
    private static final List<String> WITHOUT_WORDS =
        List.of("script", "style", "head", "title", "meta", "rp");

    private final List<Paragraph> paragraphs = new ArrayList<>();
    private final Deque<PropertySet> looks = new ArrayDeque<>(List.of(PropertySet.EMPTY));
    private List<Span> spans = new ArrayList<>();
    private boolean spaceBefore = true;
    private int base;

    @Override
    public FilterResult head(Node node, int depth) {
      return switch (node) {
        case TextNode words -> {
          add(words.getWholeText(), looks.getLast());
          yield FilterResult.CONTINUE;
        }
        case Element element -> begin(element);
        default -> FilterResult.CONTINUE;
      };
    }

    private FilterResult begin(Element element) {
      String name = element.normalName();
      if (WITHOUT_WORDS.contains(name)) {
        return FilterResult.SKIP_ENTIRELY;
      }
      if (name.equals("rt")) {
        read(RubyBase.cleaned(element.text()));
        return FilterResult.SKIP_ENTIRELY;
      }
      if (name.equals("br")) {
        spans.add(new Span("\u2028", List.of(), looks.getLast()));
        spaceBefore = true;
        return FilterResult.SKIP_ENTIRELY;
      }
      if (name.equals("ruby")) {
        base = spans.size();
      }
      if (element.isBlock()) {
        endParagraph();
      }
      looks.addLast(styled(element, looks.getLast()));
      return FilterResult.CONTINUE;
    }

    @Override
    public FilterResult tail(Node node, int depth) {
      if (node instanceof Element element) {
        looks.removeLast();
        if (element.isBlock()) {
          endParagraph();
        }
      }
      return FilterResult.CONTINUE;
    }

    /** Puts a ruby over what came since the one before, in the element that holds both. */
    private void read(String ruby) {
      for (int index = Math.min(base, spans.size()); index < spans.size(); index++) {
        spans.set(index, spans.get(index).withRuby(ruby));
      }
      base = spans.size();
    }

    /** White is one space, as HTML has it. */
    private void add(String words, PropertySet look) {
      String plain = words.replaceAll("[ \\t\\n\\r\\f]+", " ");
      if (spaceBefore && plain.startsWith(" ")) {
        plain = plain.substring(1);
      }
      if (!plain.isEmpty()) {
        spans.add(new Span(plain, List.of(), look));
        spaceBefore = plain.endsWith(" ");
      }
    }

    private void endParagraph() {
      while (!spans.isEmpty() && spans.getLast().text().isBlank()) {
        spans.removeLast();
      }
      if (!spans.isEmpty()) {
        Span last = spans.removeLast();
        spans.add(last.withText(last.text().stripTrailing()));
        paragraphs.add(Paragraph.of(spans.toArray(Span[]::new)));
      }
      spans = new ArrayList<>();
      base = 0;
      spaceBefore = true;
    }

    Optional<Story> story() {
      endParagraph();
      return paragraphs.isEmpty() ? Optional.empty() : Optional.of(new Story(paragraphs));
    }
  }

  private static PropertySet styled(Element element, PropertySet look) {
    PropertySet styled =
        switch (element.normalName()) {
          case "b", "strong", "h1", "h2", "h3", "th" -> look.with(Properties.FONT_WEIGHT, BOLD);
          case "i", "em", "cite" -> look.with(Properties.SLANT, Slant.ITALIC);
          case "u", "ins" -> look.with(Properties.UNDERLINE, true);
          case "s", "del", "strike" -> look.with(Properties.STRIKE, true);
          case "sup" -> look.with(Properties.SCRIPT_POSITION, ScriptPosition.SUPERSCRIPT);
          case "sub" -> look.with(Properties.SCRIPT_POSITION, ScriptPosition.SUBSCRIPT);
          default -> look;
        };
    return CssLook.with(styled, element.attr("style")).where(CARRIED::contains);
  }
}
