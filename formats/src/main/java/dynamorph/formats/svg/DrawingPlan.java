package dynamorph.formats.svg;

import dynamorph.formats.document.DocumentPlan;
import dynamorph.formats.message.Messages;
import dynamorph.model.Artboard;
import dynamorph.model.ArtboardId;
import dynamorph.model.Asset;
import dynamorph.model.IdSource;
import dynamorph.model.ImportedDocument;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.document.Mapped;
import dynamorph.model.document.WrittenParagraph;
import dynamorph.model.document.drawing.WrittenDrawing;
import dynamorph.model.document.mapping.MappedDocument;
import dynamorph.model.edit.importing.ImportDocument;
import dynamorph.model.edit.layer.ArrangeArtboards;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.value.Anchor;
import dynamorph.paint.scene.PlacedLayer;
import dynamorph.paint.scene.PlanePoint;
import dynamorph.paint.scene.Scene;
import dynamorph.paint.scene.SceneMaker;
import dynamorph.typeset.layout.Line;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.pcollections.TreePVector;

/** What importing a drawing would do. */
public final class DrawingPlan {
  private final MappedDocument mapped;
  private final WrittenDrawing drawing;
  private final SceneMaker maker;
  private final IdSource ids;
  private final List<ImportedDocument.Text> texts = new ArrayList<>();
  private final Map<LayerId, WrittenDrawing.Text> places = new LinkedHashMap<>();

  private DrawingPlan(
      MappedDocument mapped, WrittenDrawing drawing, SceneMaker maker, IdSource ids) {
    this.mapped = mapped;
    this.drawing = drawing;
    this.maker = maker;
    this.ids = ids;
  }

  /**
   * Plans an import.
   *
   * @param mapped the words of the drawing
   * @param onto the artboard in whose middle it comes to stand, above what is there; a new one of
   *     its size if empty
   * @param maker sets the texts, to find where their lines stand
   * @param ids of new texts, shapes and artboards
   */
  public static DocumentPlan of(
      MappedDocument mapped,
      WrittenDrawing drawing,
      Optional<ArtboardId> onto,
      SceneMaker maker,
      IdSource ids) {
    DrawingPlan plan = new DrawingPlan(mapped, drawing, maker, ids);
    Project project = mapped.project();
    Optional<Artboard> there = onto.flatMap(project::artboard).filter(board -> !board.isFilm());
    return there.isPresent() ? plan.onto(there.get()) : plan.alone();
  }

  private DocumentPlan alone() {
    Project project = mapped.project();
    Artboard board =
        new Artboard(
            new ArtboardId(ids.next("artboard")),
            freeName(),
            drawing.width(),
            drawing.height(),
            drawing.unit(),
            drawing
                .background()
                .orElseGet(() -> Artboard.empty("a", "", 1, 1, drawing.unit()).background()),
            0,
            0,
            TreePVector.empty(),
            Optional.empty(),
            Optional.empty());
    Artboard filled = board.withLayers(placed(board, layers(), 0, 0));
    Artboard arranged =
        new ArrangeArtboards.Add(filled).applyTo(project).artboard(board.id()).orElseThrow();
    return plan(List.of(arranged), Map.of());
  }

  private DocumentPlan onto(Artboard board) {
    double x = (board.width() - drawing.width()) / 2;
    double y = (board.height() - drawing.height()) / 2;
    return plan(List.of(), Map.of(board.id(), placed(board, layers(), x, y)));
  }

  private DocumentPlan plan(List<Artboard> artboards, Map<ArtboardId, List<Layer>> layers) {
    List<String> remarks = new ArrayList<>(mapped.document().remarks());
    if (!artboards.isEmpty() || !layers.isEmpty()) {
      int shapes = drawing.items().size() - drawing.texts();
      if (shapes > 0) {
        remarks.addFirst(Messages.of("svg.shapes", shapes));
      }
    }
    return new DocumentPlan(
        new ImportDocument(
            new ImportedDocument(mapped.document().name(), mapped.settled(), texts),
            mapped.newStyles(),
            artboards,
            layers,
            Map.of(),
            drawing.images()),
        texts.size(),
        remarks);
  }

  private String freeName() {
    Set<String> taken = new HashSet<>();
    mapped.project().artboards().forEach(board -> taken.add(board.name()));
    String name = drawing.title();
    for (int number = 2; taken.contains(name); number++) {
      name = drawing.title() + " " + number;
    }
    return name;
  }

  private List<Layer> layers() {
    List<Layer> layers = new ArrayList<>();
    for (WrittenDrawing.Item item : drawing.items()) {
      switch (item) {
        case WrittenDrawing.Form(Layer shape) ->
            layers.add(shape.withId(new LayerId(ids.next("shape"))));
        case WrittenDrawing.Text text -> layers.add(text(text));
      }
    }
    return layers;
  }

  private Layer text(WrittenDrawing.Text text) {
    WrittenParagraph paragraph = drawing.words().paragraphs().get(text.paragraph());
    LayerId id = new LayerId(ids.next("text"));
    PropertySet frame = PropertySet.EMPTY.with(Properties.ANCHOR, anchor(text));
    if (text.rotation() != 0) {
      frame = frame.with(Properties.ROTATION, text.rotation());
    }
    Layer layer =
        Layer.of(id.value(), text.name(), "")
            .withStory(mapped.story(List.of(paragraph)))
            .withFollows(mapped.textStyle(paragraph).stream().toList())
            .withFrame(frame);
    if (mapped.mapping().of(paragraph.style()) instanceof Mapped.Local) {
      layer = layer.withLocal(drawing.words().style(paragraph.style()).orElseThrow().look());
    }
    texts.add(new ImportedDocument.Text(id, List.of(ImportedDocument.Words.of(paragraph))));
    places.put(id, text);
    return layer;
  }

  /** Where the first line begins, so that a text grows away from it. */
  private static Anchor anchor(WrittenDrawing.Text text) {
    double along = text.across();
    return switch (text.mode()) {
      case HORIZONTAL -> along == 0 ? Anchor.TOP_LEFT : along == 1 ? Anchor.TOP_RIGHT : Anchor.TOP;
      case VERTICAL_RIGHT_TO_LEFT ->
          along == 0 ? Anchor.TOP_RIGHT : along == 1 ? Anchor.BOTTOM_RIGHT : Anchor.RIGHT;
      case VERTICAL_LEFT_TO_RIGHT ->
          along == 0 ? Anchor.TOP_LEFT : along == 1 ? Anchor.BOTTOM_LEFT : Anchor.LEFT;
    };
  }

  /** Puts the first line of each text where it was drawn. */
  private List<Layer> placed(Artboard board, List<Layer> layers, double x, double y) {
    List<Layer> shifted =
        layers.stream().map(layer -> layer.isText() ? layer : moved(layer, x, y)).toList();
    Artboard tried = board.withLayers(shifted);
    Project project =
        mapped.project().withAssets(assets()).withArtboards(TreePVector.singleton(tried));
    Scene scene = maker.make(project);
    return shifted.stream()
        .map(layer -> layer.isText() ? settled(layer, scene, x, y) : layer)
        .toList();
  }

  private List<Asset> assets() {
    return ImportDocument.withMore(mapped.project().assets(), drawing.images());
  }

  private Layer settled(Layer layer, Scene scene, double x, double y) {
    WrittenDrawing.Text wanted = places.get(layer.id());
    PlacedLayer set = scene.find(layer.id()).orElseThrow().text();
    if (wanted == null || set.layout().lines().isEmpty()) {
      return moved(layer, x, y);
    }
    Line first = set.layout().lines().getFirst();
    double along = first.left() + first.width() * wanted.across();
    PlanePoint now =
        set.toArtboard(
            first.axes().x(along, first.baseline()), first.axes().y(along, first.baseline()));
    return moved(layer, wanted.x() + x - now.x(), wanted.y() + y - now.y());
  }

  private static Layer moved(Layer layer, double x, double y) {
    PropertySet frame = layer.frame();
    return layer.withFrame(
        frame
            .with(Properties.POSITION_X, frame.get(Properties.POSITION_X.key()).orElse(0.0) + x)
            .with(Properties.POSITION_Y, frame.get(Properties.POSITION_Y.key()).orElse(0.0) + y));
  }
}
