package dynamorph.formats.document;

import dynamorph.formats.message.Messages;
import dynamorph.model.Artboard;
import dynamorph.model.ArtboardId;
import dynamorph.model.IdSource;
import dynamorph.model.ImportedDocument;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.document.Arrangement;
import dynamorph.model.document.WrittenParagraph;
import dynamorph.model.document.mapping.MappedDocument;
import dynamorph.model.document.mapping.Section;
import dynamorph.model.edit.EditRefused;
import dynamorph.model.edit.importing.ImportDocument;
import dynamorph.model.edit.layer.ArrangeArtboards;
import dynamorph.model.text.Story;
import dynamorph.paint.scene.SceneMaker;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What importing a document would do.
 *
 * @param texts how many texts it fills
 * @param remarks what people should know before, a line each
 */
public record DocumentPlan(ImportDocument edit, int texts, List<String> remarks) {
  private static final double A4_WIDTH = 210;
  private static final double A4_HEIGHT = 297;

  /**
   * What is there already.
   *
   * @param artboard the one to import to, or that new ones are like; a new one of A4 if empty
   * @param texts those to fill, in reading order
   */
  public record Around(Optional<ArtboardId> artboard, List<LayerId> texts) {
    public Around {
      texts = List.copyOf(texts);
    }
  }

  /**
   * Plans an import.
   *
   * @param beginning key of the style at which sections begin
   * @param maker sets the texts, to find where they fit
   * @param ids of new texts and artboards
   */
  public static DocumentPlan of(
      MappedDocument mapped,
      Arrangement arrangement,
      Optional<String> beginning,
      Around around,
      SceneMaker maker,
      IdSource ids) {
    List<Section> sections =
        Section.of(mapped, arrangement.inSections() ? beginning : Optional.empty());
    Planning planning = new Planning(mapped, around, maker, ids);
    return switch (arrangement) {
      case ONE_TEXT, TEXT_PER_SECTION -> planning.onArtboard(sections);
      case ARTBOARD_PER_SECTION -> planning.onArtboards(sections);
      case INTO_TEXTS -> planning.intoTexts(sections);
    };
  }

  /** The state of one plan. */
  private static final class Planning {
    private final MappedDocument mapped;
    private final Project project;
    private final Around around;
    private final SceneMaker maker;
    private final IdSource ids;
    private final List<Artboard> artboards = new ArrayList<>();
    private final Map<ArtboardId, List<Layer>> layers = new LinkedHashMap<>();
    private final Map<LayerId, Story> stories = new LinkedHashMap<>();
    private final List<ImportedDocument.Text> texts = new ArrayList<>();
    private final List<String> remarks;

    Planning(MappedDocument mapped, Around around, SceneMaker maker, IdSource ids) {
      this.mapped = mapped;
      this.project = mapped.project();
      this.around = around;
      this.maker = maker;
      this.ids = ids;
      this.remarks = new ArrayList<>(mapped.document().remarks());
    }

    private Optional<Artboard> board() {
      return around.artboard().flatMap(project::artboard);
    }

    private Artboard newBoard(String name) {
      String id = ids.next("artboard");
      return board()
          .map(like ->
              new Artboard(
                  new ArtboardId(id),
                  name,
                  like.width(),
                  like.height(),
                  like.unit(),
                  like.background(),
                  0,
                  0,
                  like.layers().minusAll(like.layers()),
                  like.baseStyle(),
                  Optional.empty()))
          .orElseGet(() -> Artboard.empty(id, name, A4_WIDTH, A4_HEIGHT, LengthUnit.MILLIMETRE));
    }

    DocumentPlan onArtboard(List<Section> sections) {
      List<Layer> made = new ArrayList<>();
      sections.forEach(section -> made.addAll(texts(section)));
      Optional<Artboard> there = board().filter(board -> !board.isFilm());
      if (there.isPresent()) {
        Flow.Flown flown = new Flow(project, there.get(), maker).of(made);
        layers.put(there.get().id(), flown.texts());
        tell(flown, there.get().name());
      } else {
        add(newBoard(sections.getFirst().name()), made);
      }
      return plan();
    }

    DocumentPlan onArtboards(List<Section> sections) {
      for (Section section : sections) {
        add(newBoard(freeName(section.name())), texts(section));
      }
      return plan();
    }

    private String freeName(String wanted) {
      Set<String> taken = new HashSet<>();
      project.artboards().forEach(board -> taken.add(board.name()));
      artboards.forEach(board -> taken.add(board.name()));
      String name = wanted;
      for (int number = 2; taken.contains(name); number++) {
        name = wanted + " " + number;
      }
      return name;
    }

    private void add(Artboard board, List<Layer> made) {
      Flow.Flown flown = new Flow(project, board, maker).of(made);
      tell(flown, board.name());
      Project before = project;
      for (Artboard earlier : artboards) {
        before = before.plus(earlier);
      }
      artboards.add(
          new ArrangeArtboards.Add(board.withLayers(flown.texts()))
              .applyTo(before)
              .artboard(board.id())
              .orElseThrow());
    }

    private void tell(Flow.Flown flown, String board) {
      if (!flown.fits()) {
        remarks.add(Messages.of("document-plan.does-not-fit", board));
      }
    }

    private List<Layer> texts(Section section) {
      List<Layer> made = new ArrayList<>();
      for (Section.Block block : section.blocks()) {
        LayerId id = new LayerId(ids.next("text"));
        made.add(
            Layer.of(id.value(), section.name(), "")
                .withStory(mapped.story(block.paragraphs()))
                .withFollows(block.follows().stream().toList()));
        remember(id, block.paragraphs());
      }
      return made;
    }

    private void remember(LayerId id, List<WrittenParagraph> paragraphs) {
      texts.add(
          new ImportedDocument.Text(
              id, paragraphs.stream().map(ImportedDocument.Words::of).toList()));
    }

    DocumentPlan intoTexts(List<Section> sections) {
      List<LayerId> targets =
          around.texts().stream()
              .filter(id -> project.layer(id).filter(Layer::isText).isPresent())
              .toList();
      if (targets.isEmpty()) {
        throw new EditRefused(Messages.of("document-plan.no-texts"));
      }
      for (int index = 0; index < Math.min(targets.size(), sections.size()); index++) {
        boolean last = index + 1 == targets.size();
        List<Section> poured =
            last ? sections.subList(index, sections.size()) : List.of(sections.get(index));
        List<WrittenParagraph> paragraphs =
            poured.stream().flatMap(section -> section.paragraphs().stream()).toList();
        LayerId target = targets.get(index);
        stories.put(target, mapped.story(paragraphs));
        remember(target, paragraphs);
      }
      boolean textStyles =
          sections.stream()
              .flatMap(section -> section.blocks().stream())
              .anyMatch(block -> block.follows().isPresent());
      if (textStyles) {
        remarks.add(Messages.of("document-plan.text-styles-stay"));
      }
      if (sections.size() > targets.size()) {
        remarks.add(Messages.of("document-plan.more-sections", sections.size(), targets.size()));
      } else if (targets.size() > sections.size()) {
        remarks.add(Messages.of("document-plan.texts-left", targets.size() - sections.size()));
      }
      return plan();
    }

    private DocumentPlan plan() {
      return new DocumentPlan(
          new ImportDocument(
              new ImportedDocument(mapped.document().name(), mapped.settled(), texts),
              mapped.newStyles(),
              artboards,
              layers,
              stories),
          texts.size(),
          remarks);
    }
  }
}
