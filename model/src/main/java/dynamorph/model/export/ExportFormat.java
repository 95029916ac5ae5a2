package dynamorph.model.export;

import dynamorph.model.message.Messages;
import java.util.Arrays;
import java.util.Locale;

/** A file format that artboards are written in. */
public enum ExportFormat {
  PNG("PNG"),
  JPEG("JPEG"),
  WEBP("WebP"),
  PDF("PDF"),
  SVG("SVG");

  private final String label;

  ExportFormat(String label) {
    this.label = label;
  }

  /** What people call it. */
  public String label() {
    return label;
  }

  /** How files name it. */
  public String id() {
    return name().toLowerCase(Locale.ROOT);
  }

  /** The end of a file name, without the full stop. */
  public String extension() {
    return this == JPEG ? "jpg" : id();
  }

  /** Whether an artboard becomes one raster image. */
  public boolean isRaster() {
    return this == PNG || this == JPEG || this == WEBP;
  }

  /** Whether it can be without a background. */
  public boolean hasTransparency() {
    return this != JPEG;
  }

  /** Whether details are given up for small files. */
  public boolean hasQuality() {
    return this == JPEG || this == WEBP;
  }

  /**
   * The format of an id or the end of a file name.
   *
   * @throws IllegalArgumentException if there is none
   */
  public static ExportFormat of(String text) {
    String wanted = text.toLowerCase(Locale.ROOT);
    return Arrays.stream(values())
        .filter(format -> wanted.equals(format.id()) || wanted.equals(format.extension()))
        .findFirst()
        .orElseThrow(() ->
            new IllegalArgumentException(
                Messages.of(
                    "export-format.expected-one-of",
                    text,
                    String.join(", ", Arrays.stream(values()).map(ExportFormat::id).toList()))));
  }
}
