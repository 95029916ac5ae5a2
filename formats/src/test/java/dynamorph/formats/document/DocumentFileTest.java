package dynamorph.formats.document;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dynamorph.model.document.Role;
import dynamorph.model.document.WrittenDocument;
import dynamorph.model.document.WrittenParagraph;
import dynamorph.model.document.WrittenSpan;
import dynamorph.model.document.WrittenStyle;
import dynamorph.model.property.Properties;
import dynamorph.model.value.FontSize;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * The files {@code wall-texts.*} were written by another program, all from one text: what is
 * expected of them stands in that text.
 */
class DocumentFileTest {
  @TempDir private Path folder;

  private WrittenDocument sample(String name) throws IOException {
    Path file = folder.resolve(name);
    try (InputStream in =
        Objects.requireNonNull(DocumentFileTest.class.getResourceAsStream(name), name)) {
      Files.copy(in, file);
    }
    return DocumentFile.read(file);
  }

  private WrittenDocument read(String name, String text) throws IOException {
    return DocumentFile.read(Files.writeString(folder.resolve(name), text));
  }

  private static Role role(WrittenDocument document, WrittenParagraph paragraph) {
    return document.style(paragraph.style()).orElseThrow().role();
  }

  private static List<String> roles(WrittenDocument document) {
    return document.paragraphs().stream()
        .filter(paragraph -> !paragraph.isEmpty())
        .map(paragraph -> role(document, paragraph) + " " + start(paragraph))
        .toList();
  }

  private static String start(WrittenParagraph paragraph) {
    String text = paragraph.text();
    return text.substring(0, Math.min(text.length(), 14));
  }

  private static WrittenParagraph paragraph(WrittenDocument document, String start) {
    return document.paragraphs().stream()
        .filter(paragraph -> paragraph.text().startsWith(start))
        .findFirst()
        .orElseThrow();
  }

  private static List<String> styled(WrittenDocument document, WrittenSpan span) {
    return span.styles().stream()
        .map(key -> document.style(key).orElseThrow().role().name())
        .toList();
  }

  /** Lists of RTF are only words with marks here: the other program wrote none. */
  @Test
  void headingsOfRtfHaveTheirLevelAndRowsNoTabBehindThem() throws IOException {
    WrittenDocument document = sample("wall-texts.rtf");

    assertThat(roles(document))
        .containsSubsequence(
            "HEADING_1 The room of th",
            "HEADING_2 How it keeps t",
            "HEADING_1 Bells over the",
            "HEADING_1 Who wound the ");
    assertThat(paragraph(document, "The room").spans())
        .singleElement()
        .satisfies(span -> assertThat(span.styles()).as("a heading is bold by itself").isEmpty());
    assertThat(paragraph(document, "Quarter\t").text()).isEqualTo("Quarter\t1743\t180 kg");
    assertThat(document.remarks()).anyMatch(line -> line.contains("1 table"));
  }

  @ParameterizedTest
  @ValueSource(strings = {"docx", "odt", "html", "md"})
  void everyFormatGivesTheSameParagraphsForTheSamePurpose(String ending) throws IOException {
    WrittenDocument document = sample("wall-texts." + ending);

    assertThat(roles(document))
        .containsSubsequence(
            "HEADING_1 The room of th",
            "HEADING_2 How it keeps t",
            "BULLETED_LIST Wind the going",
            "BULLETED_LIST Wind the strik",
            "BULLETED_LIST Never wind bot",
            "HEADING_1 Bells over the",
            "HEADING_2 What they say",
            "HEADING_1 Who wound the ",
            "NUMBERED_LIST Climb the 96 s",
            "NUMBERED_LIST Lift the pawl.",
            "NUMBERED_LIST Turn the crank");
    assertThat(paragraph(document, "Quarter\t").text()).isEqualTo("Quarter\t1743\t180 kg");
    assertThat(document.remarks()).anyMatch(line -> line.contains("1 table"));
    assertThat(document.remarks()).anyMatch(line -> line.contains(" link"));
  }

  @ParameterizedTest
  @ValueSource(strings = {"docx", "odt", "html", "md", "rtf"})
  void stressedWordsAreStressed(String ending) throws IOException {
    WrittenDocument document = sample("wall-texts." + ending);

    List<WrittenSpan> ninety = paragraph(document, "The tower clock").spans();
    assertThat(ninety)
        .filteredOn(span -> span.text().equals("ninety years"))
        .singleElement()
        .satisfies(span -> assertThat(styled(document, span)).containsExactly("STRONG"));
    assertThat(paragraph(document, "A pendulum").spans())
        .filteredOn(span -> span.text().startsWith("once in every second"))
        .singleElement()
        .satisfies(span -> assertThat(styled(document, span)).containsExactly("EMPHASIS"));
  }

  @ParameterizedTest
  @ValueSource(strings = {"docx", "odt", "html", "md", "rtf"})
  void noWordIsLostButThoseOfNotes(String ending) throws IOException {
    WrittenDocument document = sample("wall-texts." + ending);

    String all =
        String.join(" ", document.paragraphs().stream().map(WrittenParagraph::text).toList());
    assertThat(all)
        .contains("who wanted to know the hour listened, and counted.")
        .contains("It was never wrong. It was only sometimes early.")
        .contains("I call the late and let the early wait.")
        .contains("winding book")
        .contains("180 kg");
  }

  @Test
  void headingsOfAWordProcessorHaveTheirWholeLook() throws IOException {
    WrittenDocument document = sample("wall-texts.docx");

    WrittenStyle heading = document.style(paragraph(document, "The room").style()).orElseThrow();
    assertThat(heading.name()).isEqualTo("Heading 1");
    // w:sz 32 in half points, w:spacing before 480 in twentieths, after 0 though all others have
    // 200
    assertThat(heading.look().get(Properties.SIZE.key())).contains(FontSize.points(16));
    assertThat(heading.look().get(Properties.SPACE_AFTER.key()).orElseThrow().amount()).isZero();
    assertThat(heading.look().get(Properties.SPACE_BEFORE.key()).orElseThrow().amount())
        .isEqualTo(24);
  }

  @Test
  void sectionsBeginAtTheHighestHeadingThatComesOften() throws IOException {
    WrittenDocument document = sample("wall-texts.odt");

    assertThat(document.style(document.sectionStyles().getFirst()).orElseThrow().role())
        .isEqualTo(Role.HEADING_1);
  }

  @Test
  void classesOfAPageBecomeStylesOfTheirNames() throws IOException {
    WrittenDocument document =
        read(
            "page.html",
            """
            <html lang="de"><head><style>
              .lead-text { font-size: 20pt; color: #aa3300; font-family: "Anton", sans-serif }
              h2 { text-align: center } em.loud { font-weight: 700 }
            </style></head><body><nav>menu</nav>
            <h2>Kopf</h2><p class="lead-text">Eins <em class="loud">zwei</em> drei</p>
            <div><div><p>vier</p></div></div><ul><li>fünf<ul><li>sechs</li></ul></li></ul></body>
            """);

    WrittenParagraph lead = paragraph(document, "Eins");
    WrittenStyle style = document.style(lead.style()).orElseThrow();
    assertThat(style.name()).isEqualTo("Lead text");
    assertThat(style.look().get(Properties.FONT_FAMILY.key())).contains("Anton");
    assertThat(style.look().get(Properties.SIZE.key())).contains(FontSize.points(20));
    assertThat(lead.local().get(Properties.LANGUAGE.key())).contains("de");
    assertThat(document.paragraphs())
        .extracting(WrittenParagraph::text)
        .containsExactly("Kopf", "Eins zwei drei", "vier", "fünf", "sechs");
    assertThat(document.style(paragraph(document, "sechs").style()).orElseThrow().name())
        .isEqualTo("Bulleted list, level 2");
  }

  @Test
  void whatAPageHidesStaysBehind() throws IOException {
    WrittenDocument document =
        read(
            "hidden.html",
            "<style>.ad { display : none; color: red }</style><p>seen</p><p class=ad>bought</p>"
                + "<div style='color:red;display:none'>never</div><p hidden>nor this</p>");

    assertThat(document.paragraphs()).extracting(WrittenParagraph::text).containsExactly("seen");
  }

  @Test
  void rowsAreFoundInContentControlsAndTablesInTablesOnce() throws IOException {
    String w = "xmlns:w=\"http://schemas.openxmlformats.org/wordprocessingml/2006/main\"";
    String cell = "<w:tc><w:p><w:r><w:t>%s</w:t></w:r></w:p></w:tc>";
    WrittenDocument docx =
        zipped(
            "controls.docx",
            Map.of(
                "word/document.xml",
                ("<w:document %s><w:body><w:tbl><w:sdt><w:sdtContent><w:tr>".formatted(w)
                        + cell
                        + "<w:sdt><w:sdtContent>"
                        + cell
                        + "</w:sdtContent></w:sdt></w:tr></w:sdtContent></w:sdt></w:tbl></w:body>"
                        + "</w:document>")
                    .formatted("one", "two")));
    String o =
        "xmlns:office=\"urn:oasis:names:tc:opendocument:xmlns:office:1.0\""
            + " xmlns:t=\"urn:oasis:names:tc:opendocument:xmlns:text:1.0\""
            + " xmlns:table=\"urn:oasis:names:tc:opendocument:xmlns:table:1.0\"";
    WrittenDocument odt =
        zipped(
            "tables.odt",
            Map.of(
                "content.xml",
                "<office:document-content "
                    + o
                    + "><office:body><office:text><table:table><table:table-header-rows>"
                    + "<table:table-row><table:table-cell><t:h>Head</t:h><t:p>below</t:p>"
                    + "</table:table-cell></table:table-row></table:table-header-rows>"
                    + "<table:table-row><table:table-cell><table:table><table:table-row>"
                    + "<table:table-cell><t:p>inner</t:p></table:table-cell></table:table-row>"
                    + "</table:table></table:table-cell><table:table-cell><t:p>right</t:p>"
                    + "</table:table-cell></table:table-row></table:table></office:text>"
                    + "</office:body></office:document-content>"));

    assertThat(docx.paragraphs()).extracting(WrittenParagraph::text).containsExactly("one\ttwo");
    assertThat(odt.paragraphs())
        .extracting(WrittenParagraph::text)
        .containsExactly("Head below", "inner\tright");
  }

  private WrittenDocument zipped(String name, Map<String, String> parts) throws IOException {
    Path file = folder.resolve(name);
    try (ZipOutputStream zip = new ZipOutputStream(Files.newOutputStream(file))) {
      for (Map.Entry<String, String> part : parts.entrySet()) {
        zip.putNextEntry(new ZipEntry(part.getKey()));
        zip.write(part.getValue().getBytes(StandardCharsets.UTF_8));
      }
    }
    return DocumentFile.read(file);
  }

  @Test
  void onlyTheFirstParagraphOfAnItemHasItsMark() throws IOException {
    WrittenDocument document =
        read("list.html", "<ol start=3><li>three<li><p>four</p><p>four goes on</p><li>five</ol>");

    assertThat(document.paragraphs())
        .extracting(one -> one.local().get(Properties.LIST.key()).isPresent())
        .containsExactly(false, false, true, false);
    assertThat(document.paragraphs().getFirst().local().get(Properties.LIST_START.key()))
        .contains(3.0);
  }

  @Test
  void linesThatWereBrokenToAWidthAreJoined() throws IOException {
    String line = "These words run on to about the width that letters had on paper";
    WrittenDocument broken =
        read("letter.txt", line + "\n" + line + "\nand end.\n\nA second paragraph.\n");
    WrittenDocument kept = read("list.txt", "apples\npears\n\nplums\n");

    assertThat(broken.paragraphs())
        .extracting(WrittenParagraph::text)
        .containsExactly(line + " " + line + " and end.", "A second paragraph.");
    assertThat(kept.paragraphs())
        .extracting(WrittenParagraph::text)
        .containsExactly("apples", "pears", "plums");
  }

  @Test
  void whatIsNoDocumentIsRefusedWithAReason() throws IOException {
    assertThatThrownBy(() -> read("empty.txt", " \n\n"))
        .isInstanceOf(IOException.class)
        .hasMessageContaining("no words");
    assertThatThrownBy(() -> read("poster.txt", "%PDF-1.7 and so on")).hasMessageContaining("PDF");
    Path zip = folder.resolve("broken.docx");
    Files.write(zip, "PK\u0003\u0004 and nothing else".getBytes(StandardCharsets.ISO_8859_1));
    assertThatThrownBy(() -> DocumentFile.read(zip)).hasMessageContaining("broken.docx");
    byte[] compound = "\u00D0\u00CF\u0011\u00E0 and so on".getBytes(StandardCharsets.ISO_8859_1);
    Path locked = Files.write(folder.resolve("locked.docx"), compound);
    Path old = Files.write(folder.resolve("old.doc"), compound);
    assertThatThrownBy(() -> DocumentFile.read(locked)).hasMessageContaining("password");
    assertThatThrownBy(() -> DocumentFile.read(old)).hasMessageContaining("2007");
    assertThatThrownBy(() -> DocumentFile.read(folder.resolve("none.odt")))
        .hasMessageContaining("none.odt");
  }

  @Test
  void aPageNestedThousandsDeepIsRead() throws IOException {
    String deep = "<div>".repeat(20_000) + "words" + "</div>".repeat(20_000);

    assertThat(read("deep.html", "<html><body>" + deep).paragraphs())
        .extracting(WrittenParagraph::text)
        .containsExactly("words");
  }
}
