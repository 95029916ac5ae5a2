package dynamorph.paint.layer;

import static org.assertj.core.api.Assertions.assertThat;

import io.github.humbleui.skija.Paint;
import io.github.humbleui.types.IRect;
import io.github.humbleui.types.Rect;
import java.util.Random;
import org.junit.jupiter.api.Test;

class RasterSurfaceTest {
  private static final IRect PART = IRect.makeXYWH(-7, 12, 37, 11);

  @Test
  void pixelsAreThoseOfThePartOfThePicture() {
    try (RasterSurface raster = new RasterSurface(PART);
        Paint paint = new Paint().setColor(0xFF102030)) {
      raster.draw(canvas -> canvas.drawRect(Rect.makeXYWH(-6, 13, 2, 1), paint));
      raster.draw(canvas -> canvas.drawRect(Rect.makeXYWH(29, 22, 5, 5), paint));
      byte[] bytes = raster.copy();
      assertThat(bytes).hasSize(4 * 37 * 11);
      assertThat(pixel(bytes, 1, 1)).containsExactly(0x30, 0x20, 0x10, 0xFF);
      assertThat(pixel(bytes, 3, 1)).containsExactly(0, 0, 0, 0);
      assertThat(pixel(bytes, 36, 10)).containsExactly(0x30, 0x20, 0x10, 0xFF);
    }
  }

  private static int[] pixel(byte[] bytes, int x, int y) {
    int[] channels = new int[4];
    for (int channel = 0; channel < 4; channel++) {
      channels[channel] = bytes[4 * (y * PART.getWidth() + x) + channel] & 0xFF;
    }
    return channels;
  }

  /** Every channel times the share, rounded: two at once must not spill into each other. */
  @Test
  void fadingIsTheProductOfEachChannel() {
    Random random = new Random(5);
    byte[] bytes = new byte[4 * 37 * 11];
    random.nextBytes(bytes);
    float[] shares = new float[37 * 11];
    for (int index = 0; index < shares.length; index++) {
      shares[index] = index < 4 ? index / 3f : random.nextFloat();
    }
    shares[4] = -0.5f;
    shares[5] = 1.5f;
    try (RasterSurface raster = new RasterSurface(PART)) {
      raster.put(bytes);
      raster.fade(shares);
      byte[] faded = raster.copy();
      for (int index = 0; index < bytes.length; index++) {
        int level = Math.round(Math.clamp(shares[index / 4], 0f, 1f) * 255);
        int wanted = Math.round((bytes[index] & 0xFF) * level / 255f);
        assertThat(faded[index] & 0xFF).as("byte %d", index).isEqualTo(wanted);
      }
    }
  }
}
