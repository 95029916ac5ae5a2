package dynamorph.app;

import dynamorph.app.artboards.stage.StageView;
import dynamorph.app.field.ColourChip;
import dynamorph.app.inspector.Inspector;
import dynamorph.app.message.Messages;
import dynamorph.app.render.PictureFrame;
import dynamorph.app.render.PictureService;
import dynamorph.app.render.StatePictures;
import dynamorph.app.session.Workspace;
import dynamorph.app.sheet.SheetPane;
import dynamorph.app.window.SearchResult;
import dynamorph.app.window.SideTabs;
import dynamorph.formats.guide.Guide;
import dynamorph.formats.guide.GuideLink;
import dynamorph.model.Artboard;
import dynamorph.model.property.Facet;
import dynamorph.model.property.Properties;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Supplier;
import java.util.stream.Stream;
import javafx.scene.Node;

/** What the search of the window finds beside actions, styles and texts. */
final class WindowSearch {
  private static final int PICTURE_WIDTH = 36;
  private static final int PICTURE_HEIGHT = 22;
  private static final double CHIP = 14;

  /** Fewer letters stand in nearly every section. */
  private static final int LEAST_LETTERS = 3;

  private static final int MOST_SECTIONS = 4;

  private final Workspace workspace;
  private final StageView stage;
  private final StatePictures states;
  private final PictureService pictures;

  WindowSearch(
      Workspace workspace, StageView stage, StatePictures states, PictureService pictures) {
    this.workspace = workspace;
    this.stage = stage;
    this.states = states;
    this.pictures = pictures;
  }

  /** Artboards and films, each with its picture. */
  Stream<SearchResult> artboards() {
    return workspace.project().artboards().stream()
        .map(board ->
            new SearchResult(
                board.name(),
                board.isFilm()
                    ? Messages.of("command-search.film")
                    : Messages.of("command-search.artboard"),
                Optional.of(() -> picture(board)),
                () -> show(board)));
  }

  private Node picture(Artboard board) {
    PictureFrame frame = new PictureFrame(PICTURE_WIDTH, PICTURE_HEIGHT);
    var project = workspace.project();
    pictures.show(
        frame.view(),
        List.of("found", project.styles(), project.palette(), board),
        () -> states.draw(project, board, Optional.empty(), PICTURE_WIDTH, PICTURE_HEIGHT));
    return frame;
  }

  private void show(Artboard board) {
    workspace.view().sheetProperty().set(false);
    if (board.isFilm()) {
      workspace.playback().open(board.id());
    } else {
      workspace.playback().close();
      stage.show(List.of(board));
    }
  }

  /** Swatches, to be edited. */
  Stream<SearchResult> swatches() {
    return workspace.project().palette().swatches().stream()
        .map(swatch ->
            new SearchResult(
                swatch.name(),
                Messages.of("command-search.swatch"),
                Optional.of(() -> new ColourChip(swatch.colour(), CHIP)),
                () -> workspace.attempts().openSwatch(swatch.id())));
  }

  /** Views of the sheet, to be seen. */
  Stream<SearchResult> sheetViews(Supplier<SheetPane> sheet) {
    return workspace.project().sheetViews().stream()
        .map(view ->
            new SearchResult(
                view.name(),
                Messages.of("command-search.sheet-view"),
                () -> {
                  workspace.view().sheetProperty().set(true);
                  sheet.get().open(view);
                }));
  }

  /** Values of what is selected, to be set. */
  Stream<SearchResult> properties(SideTabs tabs, Inspector inspector) {
    return workspace.selection().isEmpty()
        ? Stream.empty()
        : Properties.all().stream()
            .filter(property -> property.facet() != Facet.FINISH)
            .map(property ->
                new SearchResult(
                    property.label(),
                    Messages.of("command-search.property"),
                    () -> {
                      tabs.showLook();
                      inspector.reveal(property.key());
                    }));
  }

  /** Sections of the guide. */
  static Stream<SearchResult> guide(String words, Supplier<Guide> guide, Consumer<GuideLink> open) {
    if (words.strip().length() < LEAST_LETTERS) {
      return Stream.empty();
    }
    return guide.get().find(words).stream()
        .limit(MOST_SECTIONS)
        .map(found ->
            new SearchResult(
                found.section().title(),
                Messages.of("command-search.guide"),
                () -> open.accept(found.place())));
  }
}
