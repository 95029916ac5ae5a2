package dynamorph.formats.captions;

import dynamorph.formats.file.PlainText;
import dynamorph.formats.message.Messages;
import dynamorph.model.Artboard;
import dynamorph.model.Project;
import dynamorph.model.edit.importing.CaptionList;
import dynamorph.model.text.TextRange;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Timeline;
import dynamorph.model.timeline.Track;
import java.io.IOException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** Reads and writes files of captions, in the format that their endings or contents tell. */
public final class CaptionFiles {
  /** Far above any real file, and far below what fills the memory. */
  private static final long LARGEST = 64L << 20;

  /** The most cues that one file may bring: a thousand hours have fewer. */
  public static final int MOST_CUES = 200_000;

  /** The longest words of one cue, in characters; what is longer is cut. */
  private static final int LONGEST_CUE = 10_000;

  /** The endings of all formats, with their dots. */
  public static final List<String> ENDINGS =
      Arrays.stream(Format.values())
          .flatMap(format -> format.endings.stream())
          .map(ending -> "." + ending)
          .toList();

  private CaptionFiles() {}

  /** The formats. */
  public enum Format {
    SUBRIP("srt"),
    WEBVTT("vtt"),
    TTML("ttml", "xml", "dfxp", "itt"),
    SUBSTATION("ass", "ssa"),
    EBU_STL("stl"),
    SCC("scc");

    private final List<String> endings;

    Format(String... endings) {
      this.endings = List.of(endings);
    }

    /** The usual ending of its files, without a dot. */
    public String ending() {
      return endings.getFirst();
    }

    /** Whether the ending of a name is one of captions. */
    public static boolean isOne(String name) {
      return Arrays.stream(values()).anyMatch(format -> format.endings.contains(ending(name)));
    }

    private static String ending(String name) {
      return name.substring(name.lastIndexOf('.') + 1).toLowerCase(Locale.ROOT);
    }

    /**
     * The format that the ending of a name tells.
     *
     * @throws IllegalArgumentException listing the endings
     */
    public static Format of(String name) {
      String ending = ending(name);
      return Arrays.stream(values())
          .filter(format -> format.endings.contains(ending))
          .findFirst()
          .orElseThrow(() ->
              new IllegalArgumentException(
                  Messages.of("caption-files.captions-are-in-files-that-end", name)));
    }
  }

  /**
   * What was read.
   *
   * @param remarks what was repaired, left out or cannot be carried over
   */
  public record Read(CaptionList captions, List<Remark> remarks) {
    /**
     * The track of a film that takes them: in the language that they or the name of their file
     * tell, with the styles of its first captions where they bring none.
     *
     * @param usual the language where nothing tells it
     */
    public Track.Captions track(String id, Timeline line, String fileName, String usual) {
      String language =
          captions.language().isBlank() ? language(fileName).orElse(usual) : captions.language();
      return Track.Captions.of(id, line.freeName(language), language)
          .withFollows(
              captions.follows().isEmpty()
                  ? line.captions().findFirst().map(Track.Captions::follows).orElse(List.of())
                  : List.of());
    }

    /** Counted from the start of a film, and in its frames, which is told. */
    public Read inTimeOf(Timeline line) {
      List<Remark> told = new ArrayList<>(remarks);
      CaptionList counted = captions.fromStart(line.startOfDay());
      if (!counted.equals(captions)) {
        told.add(new Remark(0, Messages.of("caption-files.counted-from", line.codeAt(Time.ZERO))));
      }
      CaptionList.InFrames frames = counted.inFrames(line.rate());
      if (frames.moved() > 0) {
        told.add(new Remark(0, Messages.of("caption-files.set-to-frames", frames.moved())));
      }
      return new Read(frames.captions(), told);
    }
  }

  /**
   * What was written.
   *
   * @param charset that its letters become bytes by
   * @param remarks what the format does not carry
   */
  public record Written(String text, Charset charset, List<Remark> remarks) {
    public byte[] bytes() {
      return text.getBytes(charset);
    }
  }

  /**
   * Reads a file.
   *
   * @param frame of the film that it is for
   * @throws CaptionException naming what is wrong and where
   */
  public static Read read(Path file, FrameBox frame) throws IOException {
    return read(file, frame, Optional.empty());
  }

  /**
   * Reads a file.
   *
   * @param frame of the film that it is for
   * @param encoding of its letters; empty to find it out
   * @throws CaptionException naming what is wrong and where
   */
  public static Read read(Path file, FrameBox frame, Optional<Charset> encoding)
      throws IOException {
    return read(file, frame, encoding, CellHeights.USUAL);
  }

  /**
   * Reads a file.
   *
   * @param frame of the film that it is for
   * @param encoding of its letters; empty to find it out
   * @param cells of the fonts that are at hand
   * @throws CaptionException naming what is wrong and where
   */
  public static Read read(Path file, FrameBox frame, Optional<Charset> encoding, CellHeights cells)
      throws IOException {
    if (!Files.exists(file)) {
      throw new CaptionException(
          Messages.of("caption-files.there-is-no-such-file", file.getFileName()));
    }
    if (Files.size(file) > LARGEST) {
      throw new CaptionException(
          Messages.of("caption-files.it-is-larger-than-64-mb", file.getFileName()));
    }
    try {
      byte[] bytes = Files.readAllBytes(file);
      return read(bytes, file.getFileName().toString(), frame, encoding, cells);
    } catch (CaptionException wrong) {
      throw new CaptionException(file.getFileName() + ": " + wrong.getMessage());
    }
  }

  /** Reads the bytes of a file; its contents tell the format, its name where they do not. */
  public static Read read(byte[] bytes, String name, FrameBox frame) throws CaptionException {
    return read(bytes, name, frame, Optional.empty(), CellHeights.USUAL);
  }

  private static Read read(
      byte[] bytes, String name, FrameBox frame, Optional<Charset> encoding, CellHeights cells)
      throws CaptionException {
    if (EbuStl.isOne(bytes)) {
      Remarks remarks = new Remarks();
      return checked(EbuStlReader.read(bytes, frame, remarks), remarks);
    }
    PlainText.Decoded decoded =
        encoding
            .map(charset -> new PlainText.Decoded(new String(bytes, charset), Optional.empty()))
            .orElseGet(() -> PlainText.decoded(bytes));
    String text = decoded.text();
    if (text.isBlank()) {
      throw new CaptionException(Messages.of("caption-files.the-file-is-empty"));
    }
    Remarks remarks = new Remarks();
    decoded
        .guessed()
        .ifPresent(charset ->
            remarks.add(
                new Remark(
                    0, Messages.of("caption-files.its-letters-are-read-as", charset.name()))));
    CaptionList captions =
        switch (format(text, name)) {
          case WEBVTT -> VttReader.read(text, frame, remarks);
          case TTML -> TtmlReader.read(text, frame, remarks);
          case SUBRIP -> SubRip.read(text, frame, remarks);
          case SUBSTATION -> SubstationReader.read(text, frame, cells, remarks);
          case SCC -> SccReader.read(text, frame, remarks);
          case EBU_STL -> throw new CaptionException(Messages.of("ebu-stl.no-head"));
        };
    return checked(captions, remarks);
  }

  private static Read checked(CaptionList captions, Remarks remarks) throws CaptionException {
    if (captions.cues().size() > MOST_CUES) {
      throw new CaptionException(
          Messages.of("caption-files.it-has-cues-is-the-most", captions.cues().size(), MOST_CUES));
    }
    if (captions.cues().isEmpty()) {
      String first = remarks.isEmpty() ? "" : "; " + remarks.getFirst();
      throw new CaptionException(Messages.of("caption-files.it-has-no-cue-that-can", first));
    }
    CaptionList sound = capped(captions, remarks);
    return new Read(sound, remarks.all());
  }

  private static Format format(String text, String name) throws CaptionException {
    if (VttReader.isOne(text)) {
      return Format.WEBVTT;
    }
    if (TtmlReader.isOne(text)) {
      return Format.TTML;
    }
    if (SubstationScript.isOne(text)) {
      return Format.SUBSTATION;
    }
    if (SccReader.isOne(text)) {
      return Format.SCC;
    }
    if (SubRip.isOne(text)) {
      return Format.SUBRIP;
    }
    try {
      return Format.of(name);
    } catch (IllegalArgumentException unknown) {
      throw new CaptionException(Messages.of("caption-files.this-is-neither-subrip-webvtt-nor"));
    }
  }

  private static CaptionList capped(CaptionList captions, List<Remark> remarks) {
    boolean tooLong = captions.cues().stream().anyMatch(cue -> cue.story().length() > LONGEST_CUE);
    if (!tooLong) {
      return captions;
    }
    List<CaptionList.Cue> cues = new ArrayList<>();
    for (CaptionList.Cue cue : captions.cues()) {
      if (cue.story().length() <= LONGEST_CUE) {
        cues.add(cue);
      } else {
        remarks.add(
            new Remark(
                0,
                Messages.of(
                    "caption-files.the-cue-at-has-characters-and",
                    cue.in(),
                    cue.story().length(),
                    LONGEST_CUE)));
        cues.add(cue.withStory(cue.story().slice(new TextRange(0, LONGEST_CUE))));
      }
    }
    return captions.withCues(cues);
  }

  /** A track of a film as the text of a file. */
  public static Written write(Project project, Artboard film, Track.Captions track, Format format) {
    return write(project, film, track, format, CellHeights.USUAL);
  }

  /**
   * A track of a film as the text of a file.
   *
   * @param cells of the fonts that are at hand
   */
  public static Written write(
      Project project, Artboard film, Track.Captions track, Format format, CellHeights cells) {
    CaptionExport captions = export(project, film, track, format);
    return switch (format) {
      case SUBRIP -> text(SubRip.write(captions.cues()), captions, format);
      case WEBVTT -> text(VttWriter.write(captions), captions, format);
      case TTML -> text(TtmlWriter.write(captions), captions, format);
      case SUBSTATION -> text(SubstationWriter.write(captions, cells), captions, format);
      case SCC -> SccWriter.write(captions);
      case EBU_STL -> EbuStlWriter.write(captions);
    };
  }

  private static Written text(String text, CaptionExport captions, Format format) {
    return new Written(text, StandardCharsets.UTF_8, captions.losses(format));
  }

  /** A track whose lines are no longer than the format has room for. */
  private static CaptionExport export(
      Project project, Artboard film, Track.Captions track, Format format) {
    return switch (format) {
      case SCC -> new CaptionExport(project, film, track, Cea608.COLUMNS);
      case EBU_STL -> {
        CaptionExport whole = new CaptionExport(project, film, track);
        yield EbuStlWriter.isTeletext(whole)
            ? new CaptionExport(project, film, track, EbuStlWriter.TELETEXT_LETTERS)
            : whole;
      }
      case SUBRIP, WEBVTT, TTML, SUBSTATION -> new CaptionExport(project, film, track);
    };
  }

  /**
   * What a cue says, without its look.
   *
   * @param text whose lines are parted by line feeds
   */
  public record PlainCue(Time in, Time out, String text) {}

  /** What a track says, in the order of time. */
  public static List<PlainCue> plain(Project project, Artboard film, Track.Captions track) {
    return new CaptionExport(project, film, track)
        .cues().stream()
            .map(cue -> new PlainCue(cue.in(), cue.out(), cue.text().replace('\u2028', '\n')))
            .toList();
  }

  /**
   * Writes a track into a file, beside its place first and then moved there.
   *
   * @param cells of the fonts that are at hand
   * @return what the format does not carry
   */
  public static List<Remark> write(
      Project project, Artboard film, Track.Captions track, Path file, CellHeights cells)
      throws IOException {
    Written written = write(project, film, track, Format.of(file.getFileName().toString()), cells);
    dynamorph.formats.file.SafeFile.write(file, stream -> stream.write(written.bytes()));
    return written.remarks();
  }

  /** The language that a name tells, as in {@code film.de.srt}. */
  public static Optional<String> language(String name) {
    String[] parts = name.split("\\.");
    return parts.length > 2 && parts[parts.length - 2].matches("[a-z]{2,3}(-[A-Za-z]{2,4})?")
        ? Optional.of(parts[parts.length - 2])
        : Optional.empty();
  }
}
