package dynamorph.model.edit.importing;

import dynamorph.model.Artboard;
import dynamorph.model.ArtboardId;
import dynamorph.model.Asset;
import dynamorph.model.ImportedDocument;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.EditRefused;
import dynamorph.model.message.Messages;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.text.Story;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * Brings the words of a document, and remembers where they stand.
 *
 * @param styles new ones; those that others are based on come first
 * @param artboards new ones, with their texts
 * @param layers new texts on artboards that are there
 * @param stories other words of texts that are there
 * @param assets what new shapes show
 */
public record ImportDocument(
    ImportedDocument document,
    List<Style> styles,
    List<Artboard> artboards,
    Map<ArtboardId, List<Layer>> layers,
    Map<LayerId, Story> stories,
    List<Asset> assets)
    implements Edit {
  public ImportDocument(
      ImportedDocument document,
      List<Style> styles,
      List<Artboard> artboards,
      Map<ArtboardId, List<Layer>> layers,
      Map<LayerId, Story> stories) {
    this(document, styles, artboards, layers, stories, List.of());
  }

  public ImportDocument {
    styles = List.copyOf(styles);
    artboards = List.copyOf(artboards);
    layers = Map.copyOf(layers);
    stories = Map.copyOf(stories);
    assets = List.copyOf(assets);
  }

  /** Assets with those that are not among them. */
  public static List<Asset> withMore(List<Asset> assets, List<Asset> more) {
    List<Asset> all = new ArrayList<>(assets);
    more.stream().filter(asset -> !all.contains(asset)).forEach(all::add);
    return all;
  }

  @Override
  public Project applyTo(Project before) {
    StyleBook book = before.styles();
    for (Style style : styles) {
      if (book.find(style.id()).isPresent()) {
        throw new EditRefused(Messages.of("import-document.style-is-there", style.name()));
      }
      book = book.with(style);
    }
    Project project = before.withStyles(book);
    if (!assets.isEmpty()) {
      project = project.withAssets(withMore(project.assets(), assets));
    }
    for (ArtboardId board : layers.keySet()) {
      if (project.artboard(board).isEmpty()) {
        throw new EditRefused(Messages.of("import-document.artboard-is-gone", document.name()));
      }
    }
    for (Artboard board : artboards) {
      project = project.plus(board);
    }
    return project
        .mapArtboards(board -> {
          List<Layer> added = layers.getOrDefault(board.id(), List.of());
          return added.isEmpty() ? board : board.withLayers(board.layers().plusAll(added));
        })
        .mapLayers(
            stories.keySet(),
            layer -> layer.withStory(stories.getOrDefault(layer.id(), layer.story())))
        .withDocument(document);
  }

  @Override
  public String label(Project before) {
    boolean updates =
        artboards.isEmpty() && layers.isEmpty() && before.document(document.name()).isPresent();
    return updates
        ? Messages.of("import-document.update", document.name())
        : Messages.of("import-document.import", document.name());
  }
}
