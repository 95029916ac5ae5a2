package dynamorph.cli;

import dynamorph.cli.message.Messages;
import dynamorph.formats.document.DocumentFile;
import dynamorph.formats.document.DocumentPlan;
import dynamorph.formats.document.DocumentUpdate;
import dynamorph.formats.svg.DrawingPlan;
import dynamorph.formats.svg.SvgFile;
import dynamorph.model.Artboard;
import dynamorph.model.ArtboardId;
import dynamorph.model.IdSource;
import dynamorph.model.ImportedDocument;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.document.Arrangement;
import dynamorph.model.document.DirectFormatting;
import dynamorph.model.document.Mapped;
import dynamorph.model.document.StyleMapping;
import dynamorph.model.document.WrittenDocument;
import dynamorph.model.document.WrittenStyle;
import dynamorph.model.document.drawing.WrittenDrawing;
import dynamorph.model.document.mapping.MappedDocument;
import dynamorph.model.document.mapping.MappingProposal;
import dynamorph.model.edit.Edit;
import dynamorph.paint.layer.LayerPainter;
import dynamorph.paint.scene.SceneMaker;
import dynamorph.typeset.font.FontLibrary;
import dynamorph.typeset.layout.Typesetter;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.security.SecureRandom;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** Brings the words of a document, with its styles mapped to those of the project. */
@Command(
    name = "import",
    description = "${bundle:import-command.brings-the-words}",
    mixinStandardHelpOptions = true)
final class ImportCommand implements Callable<Integer> {
  private static final String NEW = "new";
  private static final String LOCAL = "local";
  private static final String WORDS = "words";

  @Mixin private ProjectArgument file;
  @Mixin private EditOutput output;

  @Parameters(
      index = "1",
      paramLabel = "DOCUMENT",
      description = "${bundle:import-command.document}")
  private Path document;

  @Option(
      names = "--artboard",
      paramLabel = "NAME",
      description = "${bundle:import-command.artboard}")
  private @Nullable String artboard;

  @Option(names = "--arrange", paramLabel = "HOW", description = "${bundle:import-command.arrange}")
  private @Nullable String arrange;

  @Option(
      names = "--section-style",
      paramLabel = "STYLE",
      description = "${bundle:import-command.section-style}")
  private @Nullable String sectionStyle;

  @Option(names = "--text", paramLabel = "LAYER", description = "${bundle:import-command.text}")
  private List<String> texts = new ArrayList<>();

  @Option(names = "--map", paramLabel = "STYLE=STYLE", description = "${bundle:import-command.map}")
  private Map<String, String> maps = new LinkedHashMap<>();

  @Option(names = "--direct", paramLabel = "KEPT", description = "${bundle:import-command.direct}")
  private @Nullable String direct;

  @Option(names = "--update", description = "${bundle:import-command.update}")
  private boolean update;

  @Option(names = "--theirs", description = "${bundle:import-command.theirs}")
  private boolean theirs;

  @Option(names = "--list", description = "${bundle:import-command.list}")
  private boolean list;

  @Spec private CommandSpec spec;

  @Override
  public Integer call() throws IOException {
    Project project = file.read();
    Optional<WrittenDrawing> drawing =
        SvgFile.isDrawing(document) ? Optional.of(SvgFile.read(document)) : Optional.empty();
    WrittenDocument written =
        drawing.isPresent() ? drawing.get().words() : DocumentFile.read(document);
    if (update && drawing.isPresent()) {
      throw new IllegalArgumentException(
          Messages.of("import-command.drawings-are-imported-again", written.name()));
    }
    boolean ofDocuments =
        !texts.isEmpty() || sectionStyle != null || direct != null || theirs || arrange != null;
    if (ofDocuments && drawing.isPresent()) {
      throw new IllegalArgumentException(
          Messages.of("import-command.of-documents", written.name()));
    }
    StyleMapping proposed = mapping(project, written);
    StyleMapping mapping =
        drawing.isPresent() ? proposed.withDirect(DirectFormatting.ALL) : proposed;
    PrintWriter out = spec.commandLine().getOut();
    if (list) {
      written.used().forEach(used -> out.println(line(project, used, mapping)));
      written.remarks().forEach(out::println);
      return 0;
    }
    return output.finish(
        file,
        project,
        update ? updated(project, written, mapping) : imported(project, written, mapping, drawing),
        out);
  }

  private Edit imported(
      Project project,
      WrittenDocument written,
      StyleMapping mapping,
      Optional<WrittenDrawing> drawing) {
    Arrangement how = arrangement();
    List<LayerId> into =
        texts.stream()
            .flatMap(name -> ProjectLookup.layers(project, name).stream())
            .map(Layer::id)
            .distinct()
            .toList();
    try (FontLibrary fonts = FontLibrary.forProject(project.assets())) {
      MappedDocument mapped = new MappedDocument(project, written, mapping);
      SceneMaker maker = new SceneMaker(new Typesetter(fonts), new LayerPainter());
      IdSource ids = IdSource.random(new SecureRandom());
      DocumentPlan plan =
          drawing
              .map(drawn ->
                  DrawingPlan.of(
                      mapped, drawn, near(project).filter(_ -> artboard != null), maker, ids))
              .orElseGet(() ->
                  DocumentPlan.of(
                      mapped,
                      how,
                      beginning(written),
                      new DocumentPlan.Around(near(project), into),
                      maker,
                      ids));
      PrintWriter err = spec.commandLine().getErr();
      plan.remarks().forEach(err::println);
      spec.commandLine()
          .getOut()
          .println(
              Messages.of(
                  "import-command.imported",
                  written.written(),
                  plan.texts(),
                  plan.edit().styles().size()));
      return plan.edit();
    }
  }

  private Edit updated(Project project, WrittenDocument written, StyleMapping mapping) {
    ImportedDocument before =
        project
            .document(written.name())
            .orElseThrow(() ->
                new IllegalArgumentException(
                    Messages.of(
                        "import-command.not-imported",
                        written.name(),
                        project.documents().stream()
                            .map(ImportedDocument::name)
                            .collect(Collectors.joining("; ")))));
    DocumentUpdate mine = DocumentUpdate.of(project, before, written, mapping, Set.of());
    DocumentUpdate done =
        theirs
            ? DocumentUpdate.of(
                project,
                before,
                written,
                mapping,
                IntStream.range(0, mine.conflicts().size()).boxed().collect(Collectors.toSet()))
            : mine;
    PrintWriter err = spec.commandLine().getErr();
    done.remarks().forEach(err::println);
    done.conflicts()
        .forEach(one ->
            err.println(
                Messages.of(
                    theirs ? "import-command.conflict-theirs" : "import-command.conflict-mine",
                    one.mine(),
                    one.theirs())));
    spec.commandLine()
        .getOut()
        .println(
            Messages.of("import-command.updated", done.changed(), done.added(), done.removed()));
    return done.edit();
  }

  private Optional<ArtboardId> near(Project project) {
    Optional<Artboard> board =
        artboard == null
            ? project.still().findFirst()
            : Optional.of(ProjectLookup.artboard(project, artboard));
    return board.map(Artboard::id);
  }

  private Arrangement arrangement() {
    String wanted = arrange;
    if (wanted == null) {
      return Arrangement.ARTBOARD_PER_SECTION;
    }
    return Arrays.stream(Arrangement.values())
        .filter(one -> one.id().equalsIgnoreCase(wanted))
        .findFirst()
        .orElseThrow(() ->
            new IllegalArgumentException(
                Messages.of(
                    "import-command.no-arrangement",
                    wanted,
                    Arrays.stream(Arrangement.values())
                        .map(Arrangement::id)
                        .collect(Collectors.joining(", ")))));
  }

  private Optional<String> beginning(WrittenDocument written) {
    return sectionStyle == null
        ? written.sectionStyles().stream().findFirst()
        : Optional.of(named(written, sectionStyle).key());
  }

  private static WrittenStyle named(WrittenDocument written, String name) {
    return written.used().stream()
        .map(WrittenDocument.Used::style)
        .filter(style -> style.name().equalsIgnoreCase(name) || style.key().equals(name))
        .findFirst()
        .orElseThrow(() ->
            new IllegalArgumentException(
                Messages.of(
                    "import-command.no-style-in-document",
                    name,
                    written.used().stream()
                        .map(used -> used.style().name())
                        .collect(Collectors.joining("; ")))));
  }

  private StyleMapping mapping(Project project, WrittenDocument written) {
    StyleMapping mapping = MappingProposal.of(project, written, near(project));
    for (Map.Entry<String, String> one : maps.entrySet()) {
      WrittenStyle style = named(written, one.getKey());
      mapping = mapping.with(style.key(), mapped(project, style, one.getValue()));
    }
    return direct == null ? mapping : mapping.withDirect(direct());
  }

  private static Mapped mapped(Project project, WrittenStyle style, String to) {
    return switch (to) {
      case NEW -> new Mapped.NewStyle(style.name());
      case LOCAL -> new Mapped.Local();
      case WORDS -> new Mapped.WordsOnly();
      default -> new Mapped.Follow(ProjectLookup.style(project, to).id());
    };
  }

  private DirectFormatting direct() {
    return Arrays.stream(DirectFormatting.values())
        .filter(one -> one.name().equalsIgnoreCase(direct))
        .findFirst()
        .orElseThrow(() ->
            new IllegalArgumentException(
                Messages.of(
                    "import-command.no-direct",
                    String.valueOf(direct),
                    Arrays.stream(DirectFormatting.values())
                        .map(one -> one.name().toLowerCase(Locale.ROOT))
                        .collect(Collectors.joining(", ")))));
  }

  private static String line(Project project, WrittenDocument.Used used, StyleMapping mapping) {
    String becomes =
        switch (mapping.of(used.style().key())) {
          case Mapped.Follow(var id) -> project.styles().get(id).name();
          case Mapped.NewStyle _ -> NEW;
          case Mapped.Local _ -> LOCAL;
          case Mapped.WordsOnly _ -> WORDS;
        };
    return Messages.of(
        "import-command.style-line",
        used.style().name(),
        becomes,
        used.count(),
        used.style().level().label());
  }
}
