package dynamorph.paint.export.pdf;

import static java.util.Objects.requireNonNull;

import io.github.humbleui.skija.Bitmap;
import io.github.humbleui.skija.ColorAlphaType;
import io.github.humbleui.skija.ColorSpace;
import io.github.humbleui.skija.ColorType;
import io.github.humbleui.skija.Image;
import io.github.humbleui.skija.ImageInfo;
import java.io.IOException;
import java.io.OutputStream;
import java.util.zip.Deflater;
import java.util.zip.DeflaterOutputStream;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.common.PDStream;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;

/**
 * Pictures as image objects (ISO 32000-2, 8.9.5), without loss: colours, and opacity apart from
 * them.
 */
final class PdfImage {
  private static final int CHANNELS = 4;
  private static final int ALPHA = 3;

  /** Each row tells what differs from the one above (RFC 2083, 6.4). */
  private static final int UP = 2;

  private static final int EACH_ROW_SAYS_HOW = 15;

  private final byte[] pixels;
  private final int width;
  private final int height;

  private PdfImage(byte[] pixels, int width, int height) {
    this.pixels = pixels;
    this.width = width;
    this.height = height;
  }

  /** The object of an encoded image. */
  static PDImageXObject of(PDDocument document, byte[] encoded) throws IOException {
    try (Image image = Image.makeDeferredFromEncodedBytes(encoded);
        Bitmap bitmap = new Bitmap()) {
      int width = image.getWidth();
      int height = image.getHeight();
      bitmap.allocPixels(
          new ImageInfo(
              width, height, ColorType.RGBA_8888, ColorAlphaType.UNPREMUL, ColorSpace.getSRGB()));
      image.readPixels(bitmap);
      byte[] pixels = new byte[width * height * CHANNELS];
      requireNonNull(bitmap.peekPixels()).getBuffer().get(pixels);
      return new PdfImage(pixels, width, height).in(document);
    }
  }

  private PDImageXObject in(PDDocument document) throws IOException {
    COSStream colours = stream(0, ALPHA, COSName.DEVICERGB);
    if (hasTransparency()) {
      colours.setItem(COSName.SMASK, stream(ALPHA, 1, COSName.DEVICEGRAY));
    }
    return new PDImageXObject(new PDStream(colours), null);
  }

  private boolean hasTransparency() {
    for (int at = ALPHA; at < pixels.length; at += CHANNELS) {
      if (pixels[at] != -1) {
        return true;
      }
    }
    return false;
  }

  private COSStream stream(int first, int count, COSName space) throws IOException {
    COSStream stream = new COSStream();
    stream.setItem(COSName.TYPE, COSName.XOBJECT);
    stream.setItem(COSName.SUBTYPE, COSName.IMAGE);
    stream.setInt(COSName.WIDTH, width);
    stream.setInt(COSName.HEIGHT, height);
    stream.setInt(COSName.BITS_PER_COMPONENT, 8);
    stream.setItem(COSName.COLORSPACE, space);
    COSDictionary how = new COSDictionary();
    how.setInt(COSName.PREDICTOR, EACH_ROW_SAYS_HOW);
    how.setInt(COSName.COLORS, count);
    how.setInt(COSName.COLUMNS, width);
    stream.setItem(COSName.DECODE_PARMS, how);
    stream.setItem(COSName.FILTER, COSName.FLATE_DECODE);
    Deflater deflater = new Deflater(3);
    try (OutputStream raw = stream.createRawOutputStream();
        OutputStream out = new DeflaterOutputStream(raw, deflater, 1 << 16)) {
      byte[] row = new byte[1 + width * count];
      row[0] = UP;
      for (int y = 0; y < height; y++) {
        fill(row, y, first, count);
        out.write(row);
      }
    } finally {
      deflater.end();
    }
    return stream;
  }

  private void fill(byte[] row, int y, int first, int count) {
    int stride = width * CHANNELS;
    int into = 1;
    for (int at = y * stride + first; at < (y + 1) * stride; at += CHANNELS) {
      for (int channel = 0; channel < count; channel++) {
        int above = y == 0 ? 0 : pixels[at + channel - stride];
        row[into++] = (byte) (pixels[at + channel] - above);
      }
    }
  }
}
