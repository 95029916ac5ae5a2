package dynamorph.formats.html;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.model.Layer;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.RubyBase;
import dynamorph.model.text.Span;
import dynamorph.model.text.Story;
import dynamorph.model.value.Colour;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.ScriptPosition;
import dynamorph.model.value.Slant;
import org.junit.jupiter.api.Test;

class HtmlTextTest {
  @Test
  void pagesBecomeParagraphsWithTheirEmphasis() {
    Story story =
        HtmlText.read(
                "<html><body><h2>Eight  days</h2>\n<p>to <b>wind</b> it<br>twice, <i>4<sup>th</sup></i>"
                    + " <span style='color:#1f4a37; font-size:20px; text-decoration: underline'>now"
                    + "</span></p><script>no</script></body></html>")
            .orElseThrow();
    assertThat(story.text()).isEqualTo("Eight days\nto wind it\u2028twice, 4th now");
    Paragraph second = story.paragraphs().get(1);
    assertThat(look(second, "wind").get(Properties.FONT_WEIGHT.key())).contains(700.0);
    assertThat(look(second, "th").get(Properties.SCRIPT_POSITION.key()))
        .contains(ScriptPosition.SUPERSCRIPT);
    assertThat(look(second, "th").get(Properties.SLANT.key())).contains(Slant.ITALIC);
    assertThat(look(second, "now").get(Properties.SIZE.key())).contains(FontSize.points(15));
    assertThat(look(second, "now").get(Properties.UNDERLINE.key())).contains(true);
    assertThat(look(second, "now").get(Properties.COAT_COLOUR.at(Address.coat("fill"))))
        .contains(Colour.hex("#1f4a37"));
  }

  private static PropertySet look(Paragraph paragraph, String words) {
    return paragraph.spans().stream()
        .filter(span -> span.text().strip().equals(words))
        .findFirst()
        .orElseThrow()
        .local();
  }

  @Test
  void rubyStandsOverItsBase() {
    Story read =
        HtmlText.read(
                "<p>a <ruby>\u6642<rp>(</rp><rt>to</rt><rp>)</rp><b>\u8a08</b><rt>kei</rt></ruby> b</p>")
            .orElseThrow();
    assertThat(read.text()).isEqualTo("a \u6642\u8a08 b");
    assertThat(read.paragraphs().getFirst().spans().stream().map(Span::ruby))
        .containsExactly("", "to", "kei", "");
    PropertySet heavy = PropertySet.EMPTY.with(Properties.FONT_WEIGHT, 700.0);
    Story story =
        Story.of(
            Paragraph.of(
                Span.of("a"),
                Span.of("\u6642").withRuby("tokei"),
                Span.of("\u8a08").withRuby("tokei").withLocal(heavy)));
    Layer layer = Layer.of("t", "T", "").withStory(story);
    String html = HtmlText.write(story, Cascade.of(Project.empty("p")).resolve(layer).paragraphs());
    assertThat(html).containsOnlyOnce("<rt>tokei</rt>");
    assertThat(HtmlText.read(html).orElseThrow().paragraphs().getFirst().rubyBases())
        .containsExactly(new RubyBase(1, 3, "tokei"));
  }

  @Test
  void whatIsWrittenIsReadAgain() {
    PropertySet heavy =
        PropertySet.EMPTY.with(Properties.FONT_WEIGHT, 700.0).with(Properties.SLANT, Slant.ITALIC);
    Story story =
        Story.of(
            Paragraph.of(Span.of("a < b & "), Span.of("c").withLocal(heavy)),
            Paragraph.of("\u201Cd\u201D"));
    Layer layer = Layer.of("t", "T", "").withStory(story);
    String html = HtmlText.write(story, Cascade.of(Project.empty("p")).resolve(layer).paragraphs());
    Story again = HtmlText.read(html).orElseThrow();
    assertThat(again.text()).isEqualTo(story.text());
    assertThat(look(again.paragraphs().getFirst(), "c").get(Properties.FONT_WEIGHT.key()))
        .contains(700.0);
    assertThat(look(again.paragraphs().getFirst(), "c").get(Properties.SLANT.key()))
        .contains(Slant.ITALIC);
  }

  @Test
  void brokenHtmlAndNoWordsDoNoHarm() {
    assertThat(HtmlText.read("")).isEmpty();
    assertThat(HtmlText.read("<p><b>")).isEmpty();
    assertThat(
            HtmlText.read("<p style='color:nonsense;font-size:-3px;font-weight:x'>a")
                .orElseThrow()
                .text())
        .isEqualTo("a");
  }
}
