package dynamorph.formats.export;

import dynamorph.formats.file.SafeFile;
import dynamorph.formats.message.Messages;
import dynamorph.model.Artboard;
import dynamorph.model.export.ExportFormat;
import dynamorph.model.export.ExportPreset;
import dynamorph.model.value.Rgba;
import dynamorph.paint.artwork.Artwork;
import dynamorph.paint.export.ArtboardArtwork;
import dynamorph.paint.export.ArtboardPicture;
import dynamorph.paint.export.SvgWriter;
import dynamorph.paint.export.pdf.PdfPage;
import dynamorph.paint.export.pdf.PdfSettings;
import dynamorph.paint.export.pdf.PdfWriter;
import dynamorph.paint.layer.LayerPainter;
import dynamorph.paint.scene.PlacedLayer;
import dynamorph.paint.scene.Scene;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.ZonedDateTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.BooleanSupplier;
import java.util.function.IntConsumer;

/**
 * Writes artboards as files. A file that would come out as it is stays untouched.
 *
 * @param overwrite whether also that is written again
 */
public record ArtboardExport(
    Scene scene, LayerPainter painter, ExportPreset preset, boolean overwrite) {
  /** The files that some artboards become. */
  public ExportFiles files(List<Artboard> artboards) {
    List<Artboard> all = scene.project().still().toList();
    return ExportFiles.of(scene.project().name(), all, artboards, preset);
  }

  /**
   * Writes some artboards into a folder, which is made if it is missing.
   *
   * @param artboards at least one
   * @param progress is told how many artboards are done after each
   * @param cancelled asked before each artboard
   * @throws IOException if a file cannot be written; those before it stay
   * @throws IllegalArgumentException if an artboard cannot be written so
   */
  public ExportOutcome write(
      List<Artboard> artboards, Path folder, IntConsumer progress, BooleanSupplier cancelled)
      throws IOException {
    Files.createDirectories(folder);
    List<Path> written = new ArrayList<>();
    List<Path> unchanged = new ArrayList<>();
    Set<ExportOutcome.Remark> remarks = new LinkedHashSet<>();
    int done = 0;
    for (ExportFiles.OneFile file : files(artboards).files()) {
      Path path = folder.resolve(file.name());
      List<PdfPage> pages = new ArrayList<>();
      byte[] picture = {};
      for (Artboard artboard : file.artboards()) {
        if (cancelled.getAsBoolean()) {
          return new ExportOutcome(written, unchanged, List.copyOf(remarks), false);
        }
        Scene.Board board = scene.board(artboard.id()).orElseThrow();
        remark(board, remarks);
        try {
          if (preset.format().isRaster()) {
            picture = new ArtboardPicture(painter).file(board, preset);
          } else {
            pages.add(new PdfPage(artboard.name(), artwork(board, remarks)));
          }
        } catch (IllegalArgumentException impossible) {
          throw new IllegalArgumentException(
              Messages.of(
                  "artboard-export.cannot-be-written",
                  artboard.name(),
                  String.valueOf(impossible.getMessage())),
              impossible);
        }
        progress.accept(++done);
      }
      byte[] before = Files.isRegularFile(path) ? Files.readAllBytes(path) : new byte[0];
      byte[] bytes =
          switch (preset.format()) {
            case PNG, JPEG, WEBP -> picture;
            case SVG -> SvgWriter.write(pages.getFirst().artwork());
            case PDF -> document(pages, before);
            default -> throw new IllegalArgumentException(preset.format().id());
          };
      if (Arrays.equals(before, bytes) && !overwrite) {
        unchanged.add(path);
      } else {
        SafeFile.write(path, out -> out.write(bytes));
        written.add(path);
      }
    }
    return new ExportOutcome(written, unchanged, List.copyOf(remarks), true);
  }

  /** A document says when it was made: one that is the same otherwise stays as it was. */
  private byte[] document(List<PdfPage> pages, byte[] before) {
    Optional<ZonedDateTime> then = PdfWriter.made(before);
    if (then.isPresent()) {
      byte[] same = PdfWriter.write(pages, settings(then.get()));
      if (Arrays.equals(before, same)) {
        return same;
      }
    }
    return PdfWriter.write(pages, settings(ZonedDateTime.now().truncatedTo(ChronoUnit.SECONDS)));
  }

  private PdfSettings settings(ZonedDateTime made) {
    return new PdfSettings(
        scene.project().name(), scene.project().language(), preset.document(), made);
  }

  private Artwork artwork(Scene.Board board, Set<ExportOutcome.Remark> remarks) {
    Optional<Rgba> ground =
        preset.background() ? Optional.of(board.background()) : Optional.empty();
    boolean isPdf = preset.format() == ExportFormat.PDF;
    Artwork artwork = ArtboardArtwork.of(board, ground, isPdf, preset.scale());
    if (isPdf && !PdfWriter.canMix(artwork)) {
      artwork =
          ArtboardArtwork.flattened(
              board,
              ground,
              painter,
              Messages.of("artboard-export.pdf-has-no-blend-mode-plus-lighter"),
              preset.scale());
    }
    new LinkedHashSet<>(artwork.pictures())
        .forEach(what -> tell(board, remarks, "artboard-export.rasterised", what));
    return artwork;
  }

  /** Tells what the texts of an artboard lack. */
  static void remark(Scene.Board board, Set<ExportOutcome.Remark> remarks) {
    Set<String> missing = new TreeSet<>();
    for (PlacedLayer text : board.texts()) {
      missing.addAll(text.layout().missingFamilies());
      if (text.layout().overset().isPresent()) {
        tell(board, remarks, "artboard-export.does-not-fit-its-box", text.layer().name());
      }
      if (!text.layout().missingGlyphs().isEmpty()) {
        tell(board, remarks, "artboard-export.no-font-has-letters-of", text.layer().name());
      }
    }
    missing.forEach(
        family -> tell(board, remarks, "artboard-export.is-not-on-this-machine", family));
  }

  private static void tell(
      Scene.Board board, Set<ExportOutcome.Remark> remarks, String key, String what) {
    remarks.add(new ExportOutcome.Remark(board.artboard().name(), Messages.of(key, what)));
  }
}
