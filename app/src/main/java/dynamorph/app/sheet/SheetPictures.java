package dynamorph.app.sheet;

import dynamorph.app.render.PictureService;
import dynamorph.app.render.Studio;
import dynamorph.model.Artboard;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.sheet.Sheet;
import dynamorph.model.sheet.SheetRow;
import dynamorph.model.value.Rgba;
import dynamorph.paint.film.FootagePainter;
import dynamorph.paint.film.MediaSource;
import dynamorph.paint.scene.PlacedLayer;
import dynamorph.paint.scene.Scene;
import dynamorph.paint.specimen.InPlace;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.scene.image.ImageView;

/** Pictures of texts for a sheet: as set, or where they stand. */
final class SheetPictures {
  private final Supplier<Studio> studio;
  private final PictureService pictures;
  private final MediaSource footage;

  SheetPictures(Supplier<Studio> studio, PictureService pictures, MediaSource footage) {
    this.studio = studio;
    this.pictures = pictures;
    this.footage = footage;
  }

  /** What the picture of a text alone depends on. */
  private record Alone(
      Studio studio,
      Object layout,
      Object look,
      Rgba background,
      int width,
      int height,
      double scale) {}

  /** What the picture of a text in its place depends on: all that stands there. */
  private record Placed(Studio studio, List<Object> there, int width, int height, double scale) {}

  /** A part of a text as if it stood alone on its artboard. */
  PlacedLayer part(Artboard board, SheetRow row, Optional<Sheet> sheet) {
    Cascade cascade = sheet.map(Sheet::cascade).orElseThrow();
    return studio.get().maker().place(board, row.layer(), cascade);
  }

  /** The text as it is set. */
  void showAlone(ImageView view, Scene.Found found, int width, int height) {
    PlacedLayer text = found.text();
    Studio with = studio.get();
    double scale = PictureService.scaleOf(view);
    Rgba background = found.board().background();
    fit(view, width, height);
    pictures.show(
        view,
        new Alone(
            with,
            text.layout(),
            List.of(text.look().plate(), text.look().paragraphs()),
            background,
            width,
            height,
            scale),
        () -> with.specimens().thumbnail(text, background, width, height, scale));
  }

  /** The text where it stands. */
  void showInPlace(ImageView view, Scene scene, Scene.Found found, int width, int height) {
    Studio with = studio.get();
    double scale = PictureService.scaleOf(view);
    fit(view, width, height);
    List<PlacedLayer> around =
        found.board().artboard().isFilm()
            ? found.board().liveAt(InPlace.moment(found)).texts()
            : found.board().texts();
    List<Object> there =
        java.util.stream.Stream.concat(
                java.util.stream.Stream.<Object>of(
                    found.text().layer().id(),
                    found.board().artboard().timeline(),
                    found.board().background()),
                around.stream())
            .toList();
    pictures.show(
        view,
        new Placed(with, there, width, height, scale),
        () ->
            new InPlace(with.maker().painter(), FootagePainter.of(scene.project(), footage))
                .of(found, width, height, scale));
  }

  private static void fit(ImageView view, int width, int height) {
    view.setFitWidth(width);
    view.setFitHeight(height);
  }
}
