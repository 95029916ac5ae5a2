package dynamorph.model.export;

import dynamorph.model.message.Messages;
import java.util.Arrays;
import java.util.Locale;

/** A file format that artboards or films are written in. */
public enum ExportFormat {
  PNG("PNG", "png", Kind.RASTER),
  JPEG("JPEG", "jpg", Kind.RASTER),
  WEBP("WebP", "webp", Kind.RASTER),
  PDF("PDF", "pdf", Kind.DOCUMENT),
  SVG("SVG", "svg", Kind.DOCUMENT),
  H264("H.264", "mp4", Kind.FILM),
  VP9("VP9", "webm", Kind.FILM),
  AV1("AV1", "mp4", Kind.FILM),
  PRORES_422("ProRes 422", "mov", Kind.FILM),
  PRORES_4444("ProRes 4444", "mov", Kind.FILM),
  PNG_FILM("PNG MOV", "mov", Kind.FILM);

  private enum Kind {
    RASTER,
    DOCUMENT,
    FILM
  }

  private final String label;
  private final String extension;
  private final Kind kind;

  ExportFormat(String label, String extension, Kind kind) {
    this.label = label;
    this.extension = extension;
    this.kind = kind;
  }

  /** What people call it. */
  public String label() {
    return label;
  }

  /** How files name it. */
  public String id() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  /** The end of a file name, without the full stop. */
  public String extension() {
    return extension;
  }

  /** Whether an artboard becomes one raster image. */
  public boolean isRaster() {
    return kind == Kind.RASTER;
  }

  /** Whether it moves: films are written so, and nothing else. */
  public boolean isFilm() {
    return kind == Kind.FILM;
  }

  /** Whether it can be without a background, or a film without its footage. */
  public boolean hasTransparency() {
    return this != JPEG && this != H264 && this != AV1 && this != PRORES_422;
  }

  /** Whether details are given up for small files, more or less of them as one likes. */
  public boolean hasQuality() {
    return this == JPEG || this == WEBP || this == H264 || this == VP9 || this == AV1;
  }

  /**
   * The format of an id or the end of a file name.
   *
   * @throws IllegalArgumentException if there is none
   */
  public static ExportFormat of(String text) {
    String wanted = text.toLowerCase(Locale.ROOT);
    return Arrays.stream(values())
        .filter(format ->
            wanted.equals(format.id()) || !format.isFilm() && wanted.equals(format.extension()))
        .findFirst()
        .orElseThrow(() ->
            new IllegalArgumentException(
                Messages.of(
                    "export-format.expected-one-of",
                    text,
                    String.join(", ", Arrays.stream(values()).map(ExportFormat::id).toList()))));
  }
}
