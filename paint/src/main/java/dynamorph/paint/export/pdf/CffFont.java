package dynamorph.paint.export.pdf;

import dynamorph.paint.artwork.Contour;
import io.github.humbleui.skija.Path;
import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;

/**
 * Writes contours as a CID-keyed font in the Compact Font Format (Adobe Technical Notes 5176 and
 * 5177), 1000 units an em. Any font can be written so, at any place on its axes; glyphs are
 * numbered from 0 in the order they were added, and have their number as CID.
 */
final class CffFont {
  private static final int FIRST_CUSTOM_STRING = 391;
  private static final int END_CHAR = 14;
  private static final int R_MOVE_TO = 21;
  private static final int R_LINE_TO = 5;
  private static final int RR_CURVE_TO = 8;
  private static final double FIXED = 65536;

  private final String name;
  private final List<byte[]> charStrings = new ArrayList<>();
  private float left;
  private float bottom;
  private float right;
  private float top;

  CffFont(String name) {
    this.name = name;
  }

  /**
   * Adds a glyph.
   *
   * @param contours in thousandths of an em, y down
   * @param width in thousandths of an em
   */
  void add(Path contours, double width) {
    CharString string = new CharString(width);
    if (!contours.isEmpty()) {
      var box = contours.computeTightBounds();
      left = Math.min(left, box.getLeft());
      right = Math.max(right, box.getRight());
      bottom = Math.min(bottom, -box.getBottom());
      top = Math.max(top, -box.getTop());
      Contour.tell(contours, string);
    }
    charStrings.add(string.ended());
  }

  int size() {
    return charStrings.size();
  }

  /** The box around all glyphs, in thousandths of an em, y up: left, bottom, right, top. */
  List<Float> box() {
    return List.of(
        (float) Math.floor(left),
        (float) Math.floor(bottom),
        (float) Math.ceil(right),
        (float) Math.ceil(top));
  }

  /** The font program. */
  byte[] bytes() {
    byte[] before =
        join(new byte[] {1, 0, 4, 4}, index(List.of(name.getBytes(StandardCharsets.US_ASCII))));
    byte[] strings =
        join(
            index(
                List.of(
                    "Adobe".getBytes(StandardCharsets.US_ASCII),
                    "Identity".getBytes(StandardCharsets.US_ASCII))),
            index(List.of()));
    int top = index(List.of(topDict(0, 0, 0, 0))).length;
    byte[] charset = charset();
    byte[] select = {3, 0, 1, 0, 0, 0, (byte) (size() >> 8), (byte) size()};
    byte[] glyphs = index(charStrings);
    // offsets are of one length, so that a dictionary with zeros takes the same place
    int charsetAt = before.length + top + strings.length;
    int selectAt = charsetAt + charset.length;
    int glyphsAt = selectAt + select.length;
    int privateAt = glyphsAt + glyphs.length;
    byte[] own = privateDict();
    int fontsAt = privateAt + own.length;
    byte[] fonts = index(List.of(fontDict(own.length, privateAt)));
    return join(
        before,
        index(List.of(topDict(charsetAt, selectAt, glyphsAt, fontsAt))),
        strings,
        charset,
        select,
        glyphs,
        own,
        fonts);
  }

  private byte[] topDict(int charset, int select, int glyphs, int fonts) {
    Dict dict = new Dict();
    dict.number(FIRST_CUSTOM_STRING).number(FIRST_CUSTOM_STRING + 1).number(0).escaped(30);
    box().forEach(side -> dict.number(Math.round(side)));
    dict.operator(5);
    dict.number(size()).escaped(34);
    dict.offset(charset).operator(15);
    dict.offset(select).escaped(37);
    dict.offset(glyphs).operator(17);
    dict.offset(fonts).escaped(36);
    return dict.bytes();
  }

  private static byte[] fontDict(int length, int privateAt) {
    return new Dict().number(length).offset(privateAt).operator(18).bytes();
  }

  /** No default width: each glyph says its own. */
  private static byte[] privateDict() {
    return new Dict().number(0).operator(20).number(0).operator(21).bytes();
  }

  /** Format 2: the glyphs after the first have the CIDs from 1 on. */
  private byte[] charset() {
    int rest = size() - 2;
    return rest < 0 ? new byte[] {2} : new byte[] {2, 0, 1, (byte) (rest >> 8), (byte) rest};
  }

  private static byte[] index(List<byte[]> parts) {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    out.write(parts.size() >> 8);
    out.write(parts.size());
    if (parts.isEmpty()) {
      return out.toByteArray();
    }
    out.write(4);
    int offset = 1;
    writeInt(out, offset);
    for (byte[] part : parts) {
      offset += part.length;
      writeInt(out, offset);
    }
    parts.forEach(out::writeBytes);
    return out.toByteArray();
  }

  private static void writeInt(ByteArrayOutputStream out, int value) {
    out.write(value >> 24);
    out.write(value >> 16);
    out.write(value >> 8);
    out.write(value);
  }

  private static byte[] join(byte[]... parts) {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    for (byte[] part : parts) {
      out.writeBytes(part);
    }
    return out.toByteArray();
  }

  /** Whole numbers as dictionaries and charstrings share them (5176, table 3). */
  private static void number(ByteArrayOutputStream out, int value) {
    if (value >= -107 && value <= 107) {
      out.write(value + 139);
    } else if (value >= 108 && value <= 1131) {
      out.write((value - 108 >> 8) + 247);
      out.write(value - 108);
    } else if (value >= -1131 && value <= -108) {
      out.write((-value - 108 >> 8) + 251);
      out.write(-value - 108);
    } else {
      out.write(28);
      out.write(value >> 8);
      out.write(value);
    }
  }

  private static final class Dict {
    private final ByteArrayOutputStream out = new ByteArrayOutputStream();

    Dict number(int value) {
      CffFont.number(out, Math.clamp(value, Short.MIN_VALUE, Short.MAX_VALUE));
      return this;
    }

    Dict offset(int value) {
      out.write(29);
      writeInt(out, value);
      return this;
    }

    Dict operator(int code) {
      out.write(code);
      return this;
    }

    Dict escaped(int code) {
      out.write(12);
      out.write(code);
      return this;
    }

    byte[] bytes() {
      return out.toByteArray();
    }
  }

  /** The contours of a glyph as a Type 2 charstring, y up. */
  private static final class CharString implements Contour.Taker {
    private final ByteArrayOutputStream out = new ByteArrayOutputStream();
    // counted in 65536ths, so that rounding does not add up along a contour
    private long x;
    private long y;

    CharString(double width) {
      fraction(Math.round(width * FIXED));
    }

    @Override
    public void move(float toX, float toY) {
      go(toX, toY);
      out.write(R_MOVE_TO);
    }

    @Override
    public void line(float toX, float toY) {
      go(toX, toY);
      out.write(R_LINE_TO);
    }

    @Override
    public void cubic(float x1, float y1, float x2, float y2, float toX, float toY) {
      go(x1, y1);
      go(x2, y2);
      go(toX, toY);
      out.write(RR_CURVE_TO);
    }

    /** Contours of fonts close by themselves. */
    @Override
    public void close() {}

    byte[] ended() {
      out.write(END_CHAR);
      return out.toByteArray();
    }

    private void go(float toX, float toY) {
      long newX = Math.round(toX * FIXED);
      long newY = Math.round(-toY * FIXED);
      fraction(newX - x);
      fraction(newY - y);
      x = newX;
      y = newY;
    }

    private void fraction(long value) {
      if (value % (long) FIXED == 0 && Math.abs(value / (long) FIXED) <= Short.MAX_VALUE) {
        number(out, (int) (value / (long) FIXED));
      } else {
        out.write(255);
        writeInt(out, (int) Math.clamp(value, Integer.MIN_VALUE, Integer.MAX_VALUE));
      }
    }
  }
}
