package dynamorph.paint.export.pdf;

import dynamorph.typeset.font.FontFace;
import io.github.humbleui.skija.Font;
import io.github.humbleui.skija.Path;
import io.github.humbleui.skija.PathBuilder;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSFloat;
import org.apache.pdfbox.cos.COSInteger;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSStream;

/**
 * The letters of one face that a document uses, as an embedded font (ISO 32000-2, 9.7). The same
 * glyph has a code for each text that it stands for, so that every letter can be read back.
 */
final class PdfFont {
  private static final int SYMBOLIC = 4;
  private static final int MOST_CODES = 0xFFFF;

  /** Codes that a block of a character map may hold (Adobe Technical Note 5014). */
  private static final int BLOCK = 100;

  /** A glyph and the letters it stands for. */
  private record Use(int glyph, String text) {}

  private final FontFace face;
  private final boolean drawn;
  private final String name;
  private final COSDictionary dictionary = new COSDictionary();
  private final Map<Use, Integer> codes = new LinkedHashMap<>();
  private final List<Integer> widths = new ArrayList<>();

  /**
   * @param drawn whether letters are painted with it; else they have no contours
   * @param number that tells it from the other fonts of the document
   */
  PdfFont(FontFace face, boolean drawn, int number) {
    this.face = face;
    this.drawn = drawn;
    this.name = tag(number) + "+" + postScriptName(face);
    widths.add(0);
  }

  COSDictionary dictionary() {
    return dictionary;
  }

  /** The code of a glyph that stands for some letters; from 1 on. */
  int code(int glyph, String text) {
    return codes.computeIfAbsent(
        new Use(glyph, text),
        _ -> {
          if (widths.size() >= MOST_CODES) {
            throw new IllegalStateException("more than 65,535 letters of one font");
          }
          widths.add(
              (int)
                  Math.round(face.shaping().advance(glyph) * 1000.0 / face.shaping().unitsPerEm()));
          return widths.size() - 1;
        });
  }

  /** Width of a code, in thousandths of an em. */
  int width(int code) {
    return widths.get(code);
  }

  /** Puts together what belongs to the letters that were used. */
  void finish() throws IOException {
    CffFont program = program();
    COSDictionary descriptor = new COSDictionary();
    descriptor.setItem(COSName.TYPE, COSName.FONT_DESC);
    descriptor.setName(COSName.FONT_NAME, name);
    descriptor.setInt(COSName.FLAGS, SYMBOLIC);
    COSArray box = new COSArray();
    program.box().forEach(side -> box.add(new COSFloat(side)));
    descriptor.setItem(COSName.FONT_BBOX, box);
    descriptor.setInt(COSName.ITALIC_ANGLE, 0);
    descriptor.setInt(COSName.ASCENT, (int) Math.round(face.ascent() * 1000));
    descriptor.setInt(COSName.DESCENT, (int) -Math.round(face.descent() * 1000));
    descriptor.setInt(COSName.CAP_HEIGHT, (int) Math.round(face.lines().capHeight() * 1000));
    descriptor.setInt(COSName.STEM_V, 80);
    COSStream file = stream(program.bytes());
    file.setName(COSName.SUBTYPE, "CIDFontType0C");
    descriptor.setItem(COSName.FONT_FILE3, file);

    COSDictionary system = new COSDictionary();
    system.setString(COSName.REGISTRY, "Adobe");
    system.setString(COSName.ORDERING, "Identity");
    system.setInt(COSName.SUPPLEMENT, 0);

    COSDictionary descendant = new COSDictionary();
    descendant.setItem(COSName.TYPE, COSName.FONT);
    descendant.setItem(COSName.SUBTYPE, COSName.CID_FONT_TYPE0);
    descendant.setName(COSName.BASE_FONT, name);
    descendant.setItem(COSName.CIDSYSTEMINFO, system);
    descendant.setItem(COSName.FONT_DESC, descriptor);
    descendant.setInt(COSName.DW, 0);
    descendant.setItem(COSName.W, widthArray());

    dictionary.setItem(COSName.TYPE, COSName.FONT);
    dictionary.setItem(COSName.SUBTYPE, COSName.TYPE0);
    dictionary.setName(COSName.BASE_FONT, name + "-Identity-H");
    dictionary.setItem(COSName.ENCODING, COSName.IDENTITY_H);
    COSArray descendants = new COSArray();
    descendants.add(descendant);
    dictionary.setItem(COSName.DESCENDANT_FONTS, descendants);
    dictionary.setItem(COSName.TO_UNICODE, stream(toUnicode().getBytes(StandardCharsets.US_ASCII)));
  }

  private CffFont program() {
    CffFont program = new CffFont(name);
    try (PathBuilder builder = new PathBuilder();
        Path empty = builder.detach();
        Font font = face.font(FontFace.METRICS_SIZE)) {
      program.add(empty, 0);
      codes.forEach((use, code) -> {
        try (Path glyph = drawn ? font.getPath((short) use.glyph) : null) {
          program.add(glyph != null && glyph.isFinite() ? glyph : empty, width(code));
        }
      });
    }
    return program;
  }

  private COSArray widthArray() {
    COSArray own = new COSArray();
    widths.forEach(width -> own.add(COSInteger.get(width)));
    COSArray all = new COSArray();
    all.add(COSInteger.ZERO);
    all.add(own);
    return all;
  }

  private String toUnicode() {
    StringBuilder map =
        new StringBuilder(
            """
            /CIDInit /ProcSet findresource begin
            12 dict begin
            begincmap
            /CIDSystemInfo << /Registry (Adobe) /Ordering (UCS) /Supplement 0 >> def
            /CMapName /Adobe-Identity-UCS def
            /CMapType 2 def
            1 begincodespacerange
            <0000> <FFFF>
            endcodespacerange
            """);
    List<Map.Entry<Use, Integer>> all = List.copyOf(codes.entrySet());
    for (int from = 0; from < all.size(); from += BLOCK) {
      List<Map.Entry<Use, Integer>> block = all.subList(from, Math.min(from + BLOCK, all.size()));
      map.append(block.size()).append(" beginbfchar\n");
      for (Map.Entry<Use, Integer> entry : block) {
        map.append("<%04X> <%s>\n".formatted(entry.getValue(), hex(entry.getKey().text)));
      }
      map.append("endbfchar\n");
    }
    return map.append("endcmap\nCMapName currentdict /CMap defineresource pop\nend\nend\n")
        .toString();
  }

  private static String hex(String text) {
    StringBuilder hex = new StringBuilder();
    text.chars().forEach(unit -> hex.append("%04X".formatted(unit)));
    return hex.toString();
  }

  private static COSStream stream(byte[] bytes) throws IOException {
    COSStream stream = new COSStream();
    try (OutputStream out = stream.createOutputStream(COSName.FLATE_DECODE)) {
      out.write(bytes);
    }
    return stream;
  }

  /** Six capital letters before the name of a font that is not whole. */
  private static String tag(int number) {
    StringBuilder tag = new StringBuilder();
    for (int rest = number, place = 0; place < 6; place++, rest /= 26) {
      tag.insert(0, (char) ('A' + rest % 26));
    }
    return tag.toString();
  }

  private static String postScriptName(FontFace face) {
    String plain = face.toString().replaceAll("[^A-Za-z0-9]+", "-");
    return plain.length() > 60 ? plain.substring(0, 60) : plain;
  }
}
