package dynamorph.paint.export.pdf;

import static java.util.Objects.requireNonNull;

import dynamorph.model.value.BlendMode;
import dynamorph.model.value.Rgba;
import dynamorph.paint.artwork.Artwork;
import dynamorph.paint.artwork.Mark;
import dynamorph.paint.artwork.TextRun;
import dynamorph.typeset.font.FontFace;
import dynamorph.typeset.layout.Box;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.ZonedDateTime;
import java.util.ArrayList;
import java.util.GregorianCalendar;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdfwriter.compress.CompressParameters;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDFormContentStream;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.PDResources;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.graphics.form.PDFormXObject;
import org.apache.pdfbox.util.Matrix;

/**
 * Writes artworks as PDF (ISO 32000-2): letters stay text in embedded fonts, areas with their
 * paints and transparency stay what they are, pictures are embedded without loss. Words are tagged
 * in reading order, everything else is an artifact, so that documents are PDF/A-3a (ISO 19005-3)
 * and PDF/UA-1 (ISO 14289-1). Colours are those of the screen (sRGB).
 */
public final class PdfWriter implements AutoCloseable {
  /** The longest side of a page that all programs show, in units of the page (Annex C.2). */
  private static final double LONGEST_SIDE = 14_400;

  /** Room for crop marks outside of the bleed, in points: a gap and a line. */
  private static final double MARK_GAP = 6;

  private static final String HEAD = "%PDF-";
  private static final double MARK_LENGTH = 18;
  private static final double MARK_WIDTH = 0.25;

  private final PDDocument document = new PDDocument();
  private final PdfMarks marks = new PdfMarks(document);
  private final Map<FontFace, PdfFont> drawn = new LinkedHashMap<>();
  private final Map<FontFace, PdfFont> unseen = new LinkedHashMap<>();
  private final PdfSettings settings;
  private final PdfStructure structure;

  private PdfWriter(PdfSettings settings) {
    this.settings = settings;
    this.structure = new PdfStructure(document, settings.language());
  }

  /** Whether PDF knows the blend modes of an artwork. */
  public static boolean canMix(Artwork artwork) {
    return artwork.marks().stream().allMatch(PdfMarks::canMix);
  }

  /**
   * The pages as a file.
   *
   * @throws IllegalArgumentException if one mixes in a way that PDF does not know; see {@link
   *     #canMix}
   */
  public static byte[] write(List<PdfPage> pages, PdfSettings settings) {
    for (PdfPage page : pages) {
      if (!canMix(page.artwork())) {
        throw new IllegalArgumentException("PDF has no blend mode \"plus-lighter\"");
      }
    }
    try (PdfWriter writer = new PdfWriter(settings)) {
      for (PdfPage page : pages) {
        writer.add(page);
      }
      return writer.written();
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
  }

  /** When a document was made, as it says itself; empty if it is none. */
  public static Optional<ZonedDateTime> made(byte[] file) {
    if (!new String(file, 0, Math.min(file.length, HEAD.length()), StandardCharsets.US_ASCII)
        .equals(HEAD)) {
      return Optional.empty();
    }
    try (PDDocument document = Loader.loadPDF(file)) {
      return Optional.ofNullable(document.getDocumentInformation().getCreationDate())
          .map(date -> ((GregorianCalendar) date).toZonedDateTime());
    } catch (IOException | ClassCastException damaged) {
      return Optional.empty();
    }
  }

  @Override
  public void close() throws IOException {
    document.close();
  }

  private byte[] written() throws IOException {
    for (PdfFont font : fonts()) {
      font.finish();
    }
    structure.finish();
    PdfMetadata.describe(document, settings);
    document.setDocumentId(settings.made().toInstant().toEpochMilli());
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    document.save(bytes, CompressParameters.DEFAULT_COMPRESSION);
    return bytes.toByteArray();
  }

  private List<PdfFont> fonts() {
    List<PdfFont> fonts = new ArrayList<>(drawn.values());
    fonts.addAll(unseen.values());
    return fonts;
  }

  /** Letters that must not be embedded are only told. */
  private PdfFont font(FontFace face, boolean isDrawn) {
    Map<FontFace, PdfFont> known = isDrawn ? drawn : unseen;
    return known.computeIfAbsent(
        face, _ -> new PdfFont(face, isDrawn, drawn.size() + unseen.size()));
  }

  private void add(PdfPage page) throws IOException {
    Artwork artwork = page.artwork();
    double margin =
        settings.trim().bleed() + (settings.trim().cropMarks() ? MARK_GAP + MARK_LENGTH : 0);
    Box media = new Box(0, 0, artwork.width(), artwork.height()).grown(margin, margin);
    double unit = Math.max(1, Math.ceil(Math.max(media.width(), media.height()) / LONGEST_SIDE));
    PDPage made = new PDPage(rectangle(media, media, unit));
    if (unit > 1) {
      made.setUserUnit((float) unit);
    }
    Box trim = new Box(0, 0, artwork.width(), artwork.height());
    Box bleed = trim.grown(settings.trim().bleed(), settings.trim().bleed());
    made.setTrimBox(rectangle(trim, media, unit));
    made.setBleedBox(rectangle(bleed, media, unit));
    COSDictionary group = new COSDictionary();
    group.setItem(COSName.S, COSName.TRANSPARENCY);
    group.setItem(COSName.CS, COSName.DEVICERGB);
    made.getCOSObject().setItem(COSName.GROUP, group);
    document.addPage(made);
    structure.page(made, page.title());
    try (PDPageContentStream content = new PDPageContentStream(document, made)) {
      float scale = (float) (1 / unit);
      // counted from the top left of the trim, as everything else is
      content.transform(
          new Matrix(
              scale,
              0,
              0,
              -scale,
              (float) (margin / unit),
              (float) ((media.height() - margin) / unit)));
      content.saveGraphicsState();
      if (margin > 0) {
        content.addRect(
            (float) bleed.x(), (float) bleed.y(), (float) bleed.width(), (float) bleed.height());
        content.clip();
      }
      if (artwork.background().isPresent()) {
        artifact(content, background(artwork.background().get(), bleed));
      }
      addMarks(content, artwork.marks(), bleed);
      content.restoreGraphicsState();
      if (settings.trim().cropMarks()) {
        artifact(content, marks.form(media, cropMarks(trim)));
      }
    }
  }

  /** PDF counts from the bottom. */
  private static PDRectangle rectangle(Box box, Box media, double unit) {
    return new PDRectangle(
        (float) ((box.x() - media.x()) / unit),
        (float) ((media.bottom() - box.bottom()) / unit),
        (float) (box.width() / unit),
        (float) (box.height() / unit));
  }

  private PDFormXObject background(Rgba colour, Box all) throws IOException {
    return marks.form(
        all,
        content -> {
          PdfMarks.mix(content, colour.alpha() / 255.0, BlendMode.NORMAL);
          content.setNonStrokingColor(PdfMarks.colour(colour));
          content.addRect(
              (float) all.x(), (float) all.y(), (float) all.width(), (float) all.height());
          content.fill();
        });
  }

  /** Two lines outside of each corner, in the directions of its edges. */
  private PdfMarks.Drawing cropMarks(Box trim) {
    double from = settings.trim().bleed() + MARK_GAP;
    double to = from + MARK_LENGTH;
    return content -> {
      content.setStrokingColor(PdfMarks.colour(Rgba.BLACK));
      content.setLineWidth((float) MARK_WIDTH);
      for (double y : new double[] {trim.y(), trim.bottom()}) {
        line(content, trim.x() - from, y, trim.x() - to, y);
        line(content, trim.right() + from, y, trim.right() + to, y);
      }
      for (double x : new double[] {trim.x(), trim.right()}) {
        line(content, x, trim.y() - from, x, trim.y() - to);
        line(content, x, trim.bottom() + from, x, trim.bottom() + to);
      }
    };
  }

  private static void line(
      PDFormContentStream content, double fromX, double fromY, double toX, double toY)
      throws IOException {
    content.moveTo((float) fromX, (float) fromY);
    content.lineTo((float) toX, (float) toY);
    content.stroke();
  }

  /** Marks in order: what is drawn goes into forms, each paragraph of words is tagged. */
  private void addMarks(PDPageContentStream content, List<Mark> all, Box reach) throws IOException {
    List<Mark> drawing = new ArrayList<>();
    for (Mark mark : all) {
      switch (mark) {
        case Mark.Text text -> {
          artifact(content, drawing, reach);
          addText(content, text, reach);
        }
        case Mark.Placed placed -> {
          artifact(content, drawing, reach);
          addLayer(content, placed, reach);
        }
        case Mark.Area _, Mark.Hairline _, Mark.Picture _, Mark.Group _ -> drawing.add(mark);
      }
    }
    artifact(content, drawing, reach);
  }

  private void addLayer(PDPageContentStream content, Mark.Placed placed, Box reach)
      throws IOException {
    Box own = reach(placed, reach);
    content.saveGraphicsState();
    content.transform(PdfMarks.affine(placed.matrix()));
    structure.beginLayer(placed.layer());
    addMarks(content, placed.marks(), own);
    content.restoreGraphicsState();
  }

  /** What a layer sees of the page: the box around its corners, as the layer counts. */
  private static Box reach(Mark.Placed placed, Box page) {
    float[] m = placed.matrix().getMat();
    double scale = m[0] * m[4] - m[1] * m[3];
    Box reach = null;
    for (double x : new double[] {page.x(), page.right()}) {
      for (double y : new double[] {page.y(), page.bottom()}) {
        double across = (m[4] * (x - m[2]) - m[1] * (y - m[5])) / scale;
        double down = (m[0] * (y - m[5]) - m[3] * (x - m[2])) / scale;
        Box corner = new Box(across, down, 0, 0);
        reach = reach == null ? corner : reach.with(corner);
      }
    }
    return requireNonNull(reach).grown(1, 1);
  }

  private void artifact(PDPageContentStream content, List<Mark> drawing, Box reach)
      throws IOException {
    if (!drawing.isEmpty()) {
      artifact(content, marks.form(reach, List.copyOf(drawing)));
      drawing.clear();
    }
  }

  private static void artifact(PDPageContentStream content, PDFormXObject form) throws IOException {
    content.beginMarkedContent(COSName.ARTIFACT);
    content.drawForm(form);
    content.endMarkedContent();
  }

  private void addText(PDPageContentStream content, Mark.Text text, Box reach) throws IOException {
    Map<Integer, List<TextRun>> paragraphs = new TreeMap<>();
    text.runs()
        .forEach(
            run -> paragraphs.computeIfAbsent(run.paragraph(), _ -> new ArrayList<>()).add(run));
    for (List<TextRun> paragraph : paragraphs.values()) {
      String language = paragraph.getFirst().language();
      content.beginMarkedContent(COSName.P, structure.paragraph(language));
      content.drawForm(words(paragraph, language, reach));
      content.endMarkedContent();
    }
  }

  private PDFormXObject words(List<TextRun> paragraph, String language, Box reach)
      throws IOException {
    PdfText text = new PdfText(this::font);
    String operators = text.operators(paragraph, language);
    PDFormXObject form = new PDFormXObject(document);
    form.setBBox(PdfMarks.rectangle(reach));
    PDResources resources = new PDResources();
    COSDictionary fonts = new COSDictionary();
    text.fonts().forEach((font, name) -> fonts.setItem(name, font.dictionary()));
    resources.getCOSObject().setItem(COSName.FONT, fonts);
    form.setResources(resources);
    try (OutputStream out =
        requireNonNull(form.getContentStream()).createOutputStream(COSName.FLATE_DECODE)) {
      out.write(operators.getBytes(StandardCharsets.US_ASCII));
    }
    return form;
  }
}
