package dynamorph.model.export;

import dynamorph.model.message.Messages;
import dynamorph.model.value.Numbers;
import java.util.Objects;

/**
 * How artboards, or films, are written as files.
 *
 * @param name what people call it
 * @param resolution pixels per inch, of pixel formats and of what other formats keep as pixels,
 *     from {@value #LEAST_RESOLUTION} to {@value #MOST_RESOLUTION}; at 72 a point is a pixel
 * @param quality from 1 to 100; where a format gives up details only
 * @param background whether the colour of the artboard is there, and the footage of a film; where
 *     not it is transparent
 * @param fileName of each file, without its end
 * @param document of PDF only
 * @param film of films only
 */
public record ExportPreset(
    String name,
    ExportFormat format,
    double resolution,
    int quality,
    boolean background,
    FileNamePattern fileName,
    Document document,
    Film film) {
  public static final double LEAST_RESOLUTION = 18;
  public static final double MOST_RESOLUTION = 2400;

  /** Points in an inch, which are pixels in CSS and on artboards. */
  public static final double POINTS_PER_INCH = 72;

  /** The widest bleed, in points. */
  public static final double MOST_BLEED = 144;

  private static final int QUALITY = 90;

  /** Of films: a larger picture hides more. */
  private static final int FILM_QUALITY = 75;

  /**
   * What documents have that pictures have not.
   *
   * @param onePerArtboard whether each artboard is a file of its own; else all are pages of one
   * @param bleed how far pages go on beyond their trim, in points, from 0 to 144
   * @param cropMarks whether the corners of the trim are marked
   */
  public record Document(boolean onePerArtboard, double bleed, boolean cropMarks) {
    /** All artboards in one document that is not trimmed. */
    public static final Document PLAIN = new Document(false, 0, false);

    public Document {
      if (!(bleed >= 0 && bleed <= MOST_BLEED)) {
        throw new IllegalArgumentException(
            Messages.of(
                "export-preset.bleed-expected-points-from-0", told(bleed), told(MOST_BLEED)));
      }
    }
  }

  /**
   * What films have beside their pictures.
   *
   * @param sound whether the sound of the footage is there
   * @param captions whether caption tracks are there as text, which players show on request; those
   *     that are seen in the film are in its pictures too
   * @param chapters the name of the titles that begin chapters; empty for none
   */
  public record Film(boolean sound, boolean captions, String chapters) {
    /** Pictures and sound. */
    public static final Film PLAIN = new Film(true, false, "");

    public Film {
      Objects.requireNonNull(chapters, "chapters");
    }
  }

  /** For artboards. */
  public ExportPreset(
      String name,
      ExportFormat format,
      double resolution,
      int quality,
      boolean background,
      FileNamePattern fileName,
      Document document) {
    this(name, format, resolution, quality, background, fileName, document, Film.PLAIN);
  }

  public ExportPreset {
    Objects.requireNonNull(film, "film");
    if (name.isBlank()) {
      throw new IllegalArgumentException(Messages.of("export-preset.give-it-a-name"));
    }
    if (!(resolution >= LEAST_RESOLUTION && resolution <= MOST_RESOLUTION)) {
      throw new IllegalArgumentException(
          Messages.of(
              "export-preset.resolution-expected",
              told(resolution),
              told(LEAST_RESOLUTION),
              told(MOST_RESOLUTION)));
    }
    if (quality < 1 || quality > 100) {
      throw new IllegalArgumentException(Messages.of("export-preset.quality-expected", quality));
    }
    if (!background && !format.hasTransparency()) {
      throw new IllegalArgumentException(
          Messages.of("export-preset.has-no-transparency", format.label()));
    }
  }

  /** A number for people, also what is none. */
  private static String told(double number) {
    return Double.isFinite(number) ? Numbers.format(number, 2) : String.valueOf(number);
  }

  /** A format as most people want it: pictures at two pixels a point, films at one. */
  public static ExportPreset of(ExportFormat format) {
    return new ExportPreset(
        format.label(),
        format,
        format.isFilm() ? POINTS_PER_INCH : format.isRaster() ? 2 * POINTS_PER_INCH : 300,
        format.isFilm() ? FILM_QUALITY : QUALITY,
        true,
        FileNamePattern.ARTBOARD,
        Document.PLAIN,
        Film.PLAIN);
  }

  public ExportPreset withFilm(Film changed) {
    return new ExportPreset(
        name, format, resolution, quality, background, fileName, document, changed);
  }

  /** Pixels per point. */
  public double scale() {
    return resolution / POINTS_PER_INCH;
  }

  /**
   * How many pixels a length of the artboard has. Films have even numbers, since most of their
   * formats keep the colours of two pixels by two together.
   *
   * @param length in points
   */
  public int pixels(double length) {
    return format.isFilm()
        ? 2 * Math.max(1, (int) Math.round(length * scale() / 2))
        : (int) Math.round(length * scale());
  }

  /** Whether all artboards go into one file. */
  public boolean isOneFile() {
    return format == ExportFormat.PDF && !document.onePerArtboard;
  }

  public ExportPreset withName(String changed) {
    return new ExportPreset(
        changed, format, resolution, quality, background, fileName, document, film);
  }
}
