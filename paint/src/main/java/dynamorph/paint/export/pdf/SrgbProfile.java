package dynamorph.paint.export.pdf;

import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;

/**
 * The colours of screens (IEC 61966-2-1) as an ICC profile (ICC.1:2010, version 4.3): three
 * primaries seen under D50, and the curve that their numbers lie on.
 */
final class SrgbProfile {
  private static final int HEADER = 128;
  private static final int ENTRY = 12;
  private static final String NAME = "sRGB IEC61966-2.1";

  /** The white of D50 (ICC.1, 7.2.16). */
  private static final double[] WHITE = {0.9642, 1, 0.8249};

  /** Red, green and blue of BT.709, adapted to D50 after Bradford. */
  private static final double[][] PRIMARIES = {
    {0.43607, 0.22249, 0.01392}, {0.38515, 0.71687, 0.09708}, {0.14307, 0.06061, 0.71410}
  };

  /** From D65 to D50 after Bradford. */
  private static final double[] ADAPTATION = {
    1.04788, 0.02292, -0.05022, 0.02959, 0.99048, -0.01707, -0.00925, 0.01508, 0.75168
  };

  /** Gamma and the four numbers of a curve that begins with a line (10.16, type 3). */
  private static final double[] CURVE = {2.4, 1 / 1.055, 0.055 / 1.055, 1 / 12.92, 0.04045};

  private static final int LINE_THEN_POWER = 3;

  /** A tag of the profile and where its data begins. */
  private record Tag(String name, byte[] data) {}

  private SrgbProfile() {}

  /** The profile as a file has it. */
  static byte[] bytes() {
    byte[] curve = curve();
    List<Tag> tags = new ArrayList<>();
    tags.add(new Tag("desc", text(NAME)));
    tags.add(new Tag("cprt", text("No copyright, use freely")));
    tags.add(new Tag("wtpt", numbers("XYZ ", WHITE)));
    tags.add(new Tag("chad", numbers("sf32", ADAPTATION)));
    String[] colours = {"r", "g", "b"};
    for (int colour = 0; colour < colours.length; colour++) {
      tags.add(new Tag(colours[colour] + "XYZ", numbers("XYZ ", PRIMARIES[colour])));
      tags.add(new Tag(colours[colour] + "TRC", curve));
    }
    return profile(tags);
  }

  private static byte[] profile(List<Tag> tags) {
    ByteBuffer table = ByteBuffer.allocate(4 + ENTRY * tags.size()).putInt(tags.size());
    ByteArrayOutputStream data = new ByteArrayOutputStream();
    int start = HEADER + table.capacity();
    for (Tag tag : tags) {
      table.put(ascii(tag.name)).putInt(start + data.size()).putInt(tag.data.length);
      data.writeBytes(tag.data);
      while (data.size() % 4 != 0) {
        data.write(0);
      }
    }
    int size = start + data.size();
    return ByteBuffer.allocate(size)
        .put(header(size))
        .put(table.array())
        .put(data.toByteArray())
        .array();
  }

  private static byte[] header(int size) {
    ByteBuffer header = ByteBuffer.allocate(HEADER);
    header.putInt(size).position(8);
    header.putInt(0x04300000).put(ascii("mntr")).put(ascii("RGB ")).put(ascii("XYZ "));
    // the first second of 2026, so that every file has the same
    header.putShort((short) 2026).putShort((short) 1).putShort((short) 1);
    header.position(36);
    header.put(ascii("acsp"));
    header.position(68);
    for (double part : WHITE) {
      header.putInt(fixed(part));
    }
    return header.array();
  }

  private static byte[] text(String words) {
    byte[] utf = words.getBytes(StandardCharsets.UTF_16BE);
    return ByteBuffer.allocate(28 + utf.length)
        .put(ascii("mluc"))
        .putInt(0)
        .putInt(1)
        .putInt(12)
        .put(ascii("enUS"))
        .putInt(utf.length)
        .putInt(28)
        .put(utf)
        .array();
  }

  private static byte[] numbers(String type, double[] values) {
    ByteBuffer data = ByteBuffer.allocate(8 + 4 * values.length).put(ascii(type)).putInt(0);
    for (double value : values) {
      data.putInt(fixed(value));
    }
    return data.array();
  }

  private static byte[] curve() {
    ByteBuffer data = ByteBuffer.allocate(12 + 4 * CURVE.length).put(ascii("para")).putInt(0);
    data.putShort((short) LINE_THEN_POWER).putShort((short) 0);
    for (double value : CURVE) {
      data.putInt(fixed(value));
    }
    return data.array();
  }

  /** Signed, 16 bits before and behind the point. */
  private static int fixed(double value) {
    return (int) Math.round(value * 65536);
  }

  private static byte[] ascii(String text) {
    return text.getBytes(StandardCharsets.US_ASCII);
  }
}
