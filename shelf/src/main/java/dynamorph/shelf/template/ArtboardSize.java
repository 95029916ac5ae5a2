package dynamorph.shelf.template;

import dynamorph.model.LengthUnit;
import dynamorph.shelf.message.Messages;
import java.util.List;
import java.util.stream.Stream;

/**
 * A size that artboards often have.
 *
 * @param width in its unit
 * @param height in its unit
 */
public record ArtboardSize(
    Purpose purpose, String name, double width, double height, LengthUnit unit) {
  /** What an artboard is for. */
  public enum Purpose {
    PRINT(Messages.of("artboard-size.print")),
    SCREEN(Messages.of("artboard-size.screen")),
    FILM(Messages.of("artboard-size.film"));

    private final String label;

    Purpose(String label) {
      this.label = label;
    }

    public String label() {
      return label;
    }
  }

  /**
   * The usual sizes: paper by ISO 216 and ANSI/ASME Y14.1, frames of films by ITU-R BT.709 and
   * BT.2020 and by SMPTE ST 2048-1.
   */
  public static final List<ArtboardSize> ALL =
      List.of(
          paper(Messages.of("artboard-size.a4"), 210, 297),
          paper(Messages.of("artboard-size.a3"), 297, 420),
          paper(Messages.of("artboard-size.a2"), 420, 594),
          paper(Messages.of("artboard-size.a1"), 594, 841),
          paper(Messages.of("artboard-size.a0"), 841, 1189),
          paper(Messages.of("artboard-size.b1"), 707, 1000),
          paper(Messages.of("artboard-size.a5"), 148, 210),
          paper(Messages.of("artboard-size.postcard"), 148, 105),
          paper(Messages.of("artboard-size.card"), 85, 55),
          paper(Messages.of("artboard-size.panel"), 900, 1200),
          new ArtboardSize(
              Purpose.PRINT, Messages.of("artboard-size.letter"), 8.5, 11, LengthUnit.INCH),
          new ArtboardSize(
              Purpose.PRINT, Messages.of("artboard-size.tabloid"), 11, 17, LengthUnit.INCH),
          screen(Messages.of("artboard-size.square"), 1080, 1080),
          screen(Messages.of("artboard-size.portrait"), 1080, 1350),
          screen(Messages.of("artboard-size.upright"), 1080, 1920),
          screen(Messages.of("artboard-size.link-picture"), 1200, 630),
          screen(Messages.of("artboard-size.slide"), 1920, 1080),
          screen(Messages.of("artboard-size.wide-page"), 1440, 900),
          screen(Messages.of("artboard-size.phone"), 390, 844),
          screen(Messages.of("artboard-size.banner"), 1584, 396),
          film(Messages.of("artboard-size.hd"), 1920, 1080),
          film(Messages.of("artboard-size.uhd"), 3840, 2160),
          film(Messages.of("artboard-size.upright"), 1080, 1920),
          film(Messages.of("artboard-size.square"), 1080, 1080),
          film(Messages.of("artboard-size.two-k"), 2048, 1080),
          film(Messages.of("artboard-size.four-k"), 4096, 2160));

  private static ArtboardSize paper(String name, double width, double height) {
    return new ArtboardSize(Purpose.PRINT, name, width, height, LengthUnit.MILLIMETRE);
  }

  private static ArtboardSize screen(String name, double width, double height) {
    return new ArtboardSize(Purpose.SCREEN, name, width, height, LengthUnit.PIXEL);
  }

  private static ArtboardSize film(String name, double width, double height) {
    return new ArtboardSize(Purpose.FILM, name, width, height, LengthUnit.PIXEL);
  }

  /** The usual sizes for a purpose. */
  public static Stream<ArtboardSize> of(Purpose purpose) {
    return ALL.stream().filter(size -> size.purpose() == purpose);
  }

  /** The first of its name, among those for print first. */
  public static java.util.Optional<ArtboardSize> named(String name) {
    return ALL.stream().filter(size -> size.name().equalsIgnoreCase(name.strip())).findFirst();
  }

  /** The same lying instead of standing, or the other way. */
  public ArtboardSize turned() {
    return new ArtboardSize(purpose, name, height, width, unit);
  }

  /** Such as {@code 210 × 297 mm}. */
  public String words() {
    return dynamorph.model.value.Numbers.format(width, 2)
        + " \u00d7 "
        + dynamorph.model.value.Numbers.format(height, 2)
        + " "
        + unit.symbol();
  }
}
