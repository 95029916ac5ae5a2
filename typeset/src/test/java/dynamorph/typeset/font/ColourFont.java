package dynamorph.typeset.font;

import dynamorph.model.Asset;
import dynamorph.model.value.Slant;
import io.github.humbleui.skija.Data;
import io.github.humbleui.skija.Typeface;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * A small font with colours, made of letters of Caveat: a woman is drawn as A, a computer as B, the
 * two joined as C, a heart as H, a flag of two letters as F, a keycap's figure as itself, a tone as
 * T. All in red (COLR 0).
 */
public final class ColourFont {
  public static final String FAMILY = "Test Colours";

  private static final int RED = 0xFF0000FF;

  private ColourFont() {}

  /** The font as a file of a project. */
  public static Asset asset() {
    return new Asset("fonts/Colours.ttf", bytes());
  }

  private static byte[] bytes() {
    try (FontLibrary fonts = FontLibrary.shipped()) {
      FontFace letters = fonts.match("Caveat", 400, Slant.UPRIGHT).face();
      Typeface typeface = letters.typeface();
      SortedMap<String, byte[]> tables = new TreeMap<>();
      for (String tag : List.of("glyf", "head", "hhea", "hmtx", "loca", "maxp", "OS/2", "post")) {
        try (Data data = typeface.getTableData(tag)) {
          tables.put(tag, data.getBytes());
        }
      }
      tables.put("cmap", characters(letters));
      tables.put("name", name());
      tables.put("GSUB", ligatures(letters));
      tables.put("COLR", colours(letters));
      tables.put("CPAL", palette());
      return FontFile.of(tables);
    }
  }

  /** OpenType, cmap, format 12. */
  private static byte[] characters(FontFace letters) {
    int[][] groups = {
      {'3', letters.glyph('3')},
      {0x200D, letters.glyph('-')},
      {0x2764, letters.glyph('H')},
      {0x1F1E9, letters.glyph('D')},
      {0x1F1EA, letters.glyph('E')},
      {0x1F3FD, letters.glyph('T')},
      {0x1F469, letters.glyph('A')},
      {0x1F4BB, letters.glyph('B')}
    };
    ByteBuffer table = ByteBuffer.allocate(12 + 16 + groups.length * 12);
    table.putShort((short) 0).putShort((short) 1);
    table.putShort((short) 3).putShort((short) 10).putInt(12);
    table.putShort((short) 12).putShort((short) 0).putInt(16 + groups.length * 12);
    table.putInt(0).putInt(groups.length);
    for (int[] group : groups) {
      table.putInt(group[0]).putInt(group[0]).putInt(group[1]);
    }
    return table.array();
  }

  /** OpenType, name, version 0. */
  private static byte[] name() {
    byte[] family = FAMILY.getBytes(StandardCharsets.UTF_16BE);
    int[] ids = {1, 4, 6};
    ByteBuffer table = ByteBuffer.allocate(6 + ids.length * 12 + family.length);
    table.putShort((short) 0).putShort((short) ids.length);
    table.putShort((short) (6 + ids.length * 12));
    for (int id : ids) {
      table.putShort((short) 3).putShort((short) 1).putShort((short) 0x409);
      table.putShort((short) id).putShort((short) family.length).putShort((short) 0);
    }
    return table.put(family).array();
  }

  /** OpenType, GSUB 1.0: one lookup of type 4 in ccmp, for {@code A - B} and {@code D E}. */
  private static byte[] ligatures(FontFace letters) {
    int[][] parts = {
      {letters.glyph('A'), letters.glyph('C'), letters.glyph('-'), letters.glyph('B')},
      {letters.glyph('D'), letters.glyph('F'), letters.glyph('E')}
    };
    java.util.Arrays.sort(parts, java.util.Comparator.comparingInt(part -> part[0]));
    ByteBuffer table = ByteBuffer.allocate(200);
    shorts(table, 1, 0, 10, 30, 44);
    // one script with its default language
    table.position(10);
    shorts(table, 1).put("DFLT".getBytes(StandardCharsets.US_ASCII));
    shorts(table, 8, 4, 0, 0, 0xFFFF, 1, 0);
    table.position(30);
    shorts(table, 1).put("ccmp".getBytes(StandardCharsets.US_ASCII));
    shorts(table, 8, 0, 1, 0);
    table.position(44);
    shorts(table, 1, 4, 4, 0, 1, 8);
    int subtable = table.position();
    shorts(table, 1, 10, 2, 18, 18 + 4 + 8);
    shorts(table, 1, 2, parts[0][0], parts[1][0]);
    for (int index = 0; index < 2; index++) {
      table.position(subtable + 18 + index * (4 + 8));
      int[] part = parts[index];
      shorts(table, 1, 4, part[1], part.length - 1);
      for (int at = 2; at < part.length; at++) {
        shorts(table, part[at]);
      }
    }
    return table.array();
  }

  private static ByteBuffer shorts(ByteBuffer table, int... values) {
    for (int value : values) {
      table.putShort((short) value);
    }
    return table;
  }

  /** OpenType, COLR, version 0: every glyph is one layer of itself. */
  private static byte[] colours(FontFace letters) {
    int[] glyphs = "ABCDEFHT3".chars().map(letters::glyph).sorted().toArray();
    ByteBuffer table = ByteBuffer.allocate(14 + glyphs.length * 10);
    shorts(table, 0, glyphs.length).putInt(14).putInt(14 + glyphs.length * 6);
    shorts(table, glyphs.length);
    for (int index = 0; index < glyphs.length; index++) {
      shorts(table, glyphs[index], index, 1);
    }
    for (int glyph : glyphs) {
      shorts(table, glyph, 0);
    }
    return table.array();
  }

  private static byte[] palette() {
    ByteBuffer table = ByteBuffer.allocate(14 + 4);
    shorts(table, 0, 1, 1, 1).putInt(14);
    return shorts(table, 0).putInt(RED).array();
  }
}
