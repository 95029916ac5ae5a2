package dynamorph.formats.fuzz;

import dynamorph.formats.captions.CaptionFiles;
import dynamorph.formats.captions.CaptionSamples;
import dynamorph.formats.captions.FrameBox;
import dynamorph.formats.document.DocumentFile;
import dynamorph.formats.html.HtmlText;
import dynamorph.formats.journal.Journals;
import dynamorph.formats.journal.RecordFile;
import dynamorph.formats.project.ProjectDifference;
import dynamorph.formats.project.ProjectFile;
import dynamorph.formats.svg.SvgFile;
import dynamorph.formats.table.TableReader;
import dynamorph.formats.tokens.TokenFile;
import dynamorph.formats.xliff.XliffReader;
import dynamorph.model.Artboard;
import dynamorph.model.Asset;
import dynamorph.model.Layer;
import dynamorph.model.LengthUnit;
import dynamorph.model.Project;
import dynamorph.model.cascade.Coat;
import dynamorph.model.document.DirectFormatting;
import dynamorph.model.document.Mapped;
import dynamorph.model.document.StyleMapping;
import dynamorph.model.document.WrittenDocument;
import dynamorph.model.document.drawing.WrittenDrawing;
import dynamorph.model.document.mapping.MappedDocument;
import dynamorph.model.document.mapping.MappingProposal;
import dynamorph.model.document.mapping.Section;
import dynamorph.model.edit.importing.StyleBundle;
import dynamorph.model.property.Properties;
import dynamorph.model.property.Property;
import dynamorph.model.random.RandomProjects;
import dynamorph.model.reach.LayerQuery;
import dynamorph.model.value.ColourText;
import dynamorph.model.value.StrokeJoin;
import dynamorph.paint.geometry.Edges;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.InstantSource;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.Supplier;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/** All that reads what was made elsewhere: it gives a result or says what is wrong. */
public enum Reader {
  /** The documents of a project: JSON of styles, artboards and layers. */
  PROJECT(Reader::project, () -> Stream.of(1L, 2L, 3L).map(Reader::difference).toList()),
  /** The file that they lie in. */
  PROJECT_FILE(
      input -> inFile(input, ProjectFile.ENDING, ProjectFile::read),
      () -> List.of(inFile(new RandomProjects(1).project()))),
  SUBRIP(captions(CaptionFiles.Format.SUBRIP), sample(CaptionFiles.Format.SUBRIP)),
  WEBVTT(captions(CaptionFiles.Format.WEBVTT), sample(CaptionFiles.Format.WEBVTT)),
  TTML(captions(CaptionFiles.Format.TTML), sample(CaptionFiles.Format.TTML)),
  SUBSTATION(captions(CaptionFiles.Format.SUBSTATION), sample(CaptionFiles.Format.SUBSTATION)),
  EBU_STL(captions(CaptionFiles.Format.EBU_STL), sample(CaptionFiles.Format.EBU_STL)),
  SCC(captions(CaptionFiles.Format.SCC), sample(CaptionFiles.Format.SCC)),
  TABLE(
      input -> inFile(input, ".csv", TableReader::read),
      texts("name;role;in\n\"Ilse; Maes\";\"bell\nringer\";00:00:01:00\n", "a\tb\n1\t2\n")),
  HTML(
      input -> HtmlText.read(text(input)),
      texts(
          "<p style='font: italic 12px/1.5 serif; color: rgb(1,2,3)'>a <b>b</b><br>c</p>"
              + "<ul><li>d</ul><span lang=nl style='letter-spacing:.1em'>e</span>")),
  QUERY(
      input -> refusing(() -> LayerQuery.parse(text(input))),
      texts("artboard~Label && size<18 || !(follows=\"Label title\")", "text:bell")),
  /** Values of every property, as they are typed and as they are filed. */
  VALUE(
      Reader::values,
      texts("+2 pt", "×1.6", "140 %", "rgb(1 2 3 / 50%)", "1 pt, 2 pt", "wght 400, opsz 12")),
  /** Design tokens of this program and of others, and documents that put them together. */
  TOKENS(input -> inFile(input, ".tokens", file -> TokenFile.read(file, Map.of())), Reader::tokens),
  /** The words of a document of a word processor, in the archive that they lie in. */
  DOCX(
      input -> document(archive(input, "word/document.xml", "word/styles.xml"), ".docx"),
      () -> List.of(part("wall-texts.docx", "word/document.xml"))),
  /** The same for the styles of one. */
  DOCX_STYLES(
      input -> document(archive(input, "word/styles.xml", "word/document.xml"), ".docx"),
      () -> List.of(part("wall-texts.docx", "word/styles.xml"))),
  ODT(
      input -> document(archive(input, "content.xml", "styles.xml"), ".odt"),
      () -> List.of(part("wall-texts.odt", "content.xml"))),
  RTF(input -> document(input, ".rtf"), () -> List.of(sample("wall-texts.rtf"))),
  PAGE(input -> document(input, ".html"), () -> List.of(sample("wall-texts.html"))),
  MARKDOWN(input -> document(input, ".md"), () -> List.of(sample("wall-texts.md"))),
  /** Drawings, and what comes to stand on an artboard of them. */
  DRAWING(
      input ->
          inFile(
              input,
              ".svg",
              file -> {
                WrittenDrawing drawing = SvgFile.read(file);
                Project project = Project.empty("P");
                StyleMapping mapping = MappingProposal.of(project, drawing.words());
                MappedDocument mapped = new MappedDocument(project, drawing.words(), mapping);
                drawing.words().paragraphs().forEach(one -> mapped.story(List.of(one)));
                return drawing;
              }),
      () -> List.of(resource("svg/opening-card.svg"))),
  /** What translators give back. */
  TRANSLATION(
      input ->
          inFile(
              input,
              ".xlf",
              file ->
                  XliffReader.read(
                      file,
                      Project.empty("P")
                          .plus(
                              Artboard.empty("a", "A", 9, 9, LengthUnit.POINT)
                                  .withLayers(List.of(Layer.of("a", "A", "one two")))))),
      texts(
          "<xliff xmlns='urn:oasis:names:tc:xliff:document:2.0' version='2.1' srcLang='en' trgLang='nl'>"
              + "<file id='f'><unit id='u' name='a#0'><segment><source>one <pc id='1'>two</pc></source>"
              + "<target><pc id='1'>a</pc><ph id='b1' subType='xlf:lb'/><cp hex='0001'/><sc id='1'/>b"
              + "<ec startRef='1'/></target></segment></unit></file></xliff>")),
  /** Outlines, as SVG writes them, united and moved. */
  OUTLINE(
      Reader::outline,
      texts("M10 10h80v80h-80z M1,2 C3 4 5 6 7 8 s1 2 3 4 Q1 2 3 4 A5 5 0 0 1 9 9")),
  /** The records of a journal, each with the right checksum. */
  JOURNAL(
      Reader::journal,
      texts("{\"time\":1,\"keep\":0,\"states\":[{\"step\":\"Type\",\"difference\":{}}],\"at\":0}"));

  /** Takes an input; an exception but {@link IOException} is a fault. */
  private interface Use {
    void of(byte[] input) throws IOException;
  }

  private final Use use;
  private final Supplier<List<byte[]>> seeds;

  Reader(Use use, Supplier<List<byte[]>> seeds) {
    this.use = use;
    this.seeds = seeds;
  }

  /**
   * Reads an input.
   *
   * @throws IOException if it says what is wrong
   */
  void read(byte[] input) throws IOException {
    use.of(input);
  }

  /** Sound inputs to begin with. */
  List<byte[]> seeds() {
    return seeds.get();
  }

  private static String text(byte[] input) {
    return new String(input, StandardCharsets.UTF_8);
  }

  private static Supplier<List<byte[]>> texts(String... texts) {
    return () -> Stream.of(texts).map(text -> text.getBytes(StandardCharsets.UTF_8)).toList();
  }

  private static void refusing(Runnable reading) {
    try {
      reading.run();
    } catch (IllegalArgumentException refused) {
      if (refused.getMessage() == null || refused.getMessage().length() > 400) {
        throw new IllegalStateException("not a message to be read", refused);
      }
    }
  }

  // --- documents

  /** Reads a document and sets its words in a project, new styles for all that it has. */
  private static void document(byte[] input, String ending) throws IOException {
    inFile(
        input,
        ending,
        file -> {
          WrittenDocument document = DocumentFile.read(file);
          Project project = Project.empty("P");
          StyleMapping mapping = MappingProposal.of(project, document);
          for (WrittenDocument.Used used : document.used()) {
            String name = used.style().name();
            mapping = mapping.with(used.style().key(), new Mapped.NewStyle(name));
          }
          MappedDocument mapped =
              new MappedDocument(project, document, mapping.withDirect(DirectFormatting.ALL));
          Section.of(mapped, document.sectionStyles().stream().findFirst())
              .forEach(section -> mapped.story(section.paragraphs()));
          return document;
        });
  }

  private static byte[] sample(String name) {
    return resource("document/" + name);
  }

  private static byte[] resource(String name) {
    try (InputStream in =
        Objects.requireNonNull(
            Reader.class.getResourceAsStream("/dynamorph/formats/" + name), name)) {
      return in.readAllBytes();
    } catch (IOException unreadable) {
      throw new UncheckedIOException(unreadable);
    }
  }

  private static byte[] part(String name, String part) {
    try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(sample(name)))) {
      for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
        if (entry.getName().equals(part)) {
          return zip.readAllBytes();
        }
      }
      throw new IllegalArgumentException(part);
    } catch (IOException unreadable) {
      throw new UncheckedIOException(unreadable);
    }
  }

  /** The sample with one part as given. */
  private static byte[] archive(byte[] input, String part, String other) throws IOException {
    String sample = part.startsWith("word/") ? "wall-texts.docx" : "wall-texts.odt";
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try (ZipOutputStream zip = new ZipOutputStream(bytes)) {
      zip.putNextEntry(new ZipEntry(part));
      zip.write(input);
      zip.putNextEntry(new ZipEntry(other));
      zip.write(part(sample, other));
    }
    return bytes.toByteArray();
  }

  // --- tokens

  private static List<byte[]> tokens() {
    List<byte[]> seeds =
        new ArrayList<>(
            texts(
                    """
                    {"a":{"$type":"color","b":{"$value":{"colorSpace":"oklch","components":[0.5,0.1,"none"]}},
                    "$root":{"$value":"{a.b}"}},"c":{"$extends":"{a}","d":{"$type":"shadow","$value":[{"color":"{a.b}",
                    "offsetX":{"value":1,"unit":"rem"},"offsetY":"{e}","blur":"{e}","spread":"{e}","inset":true}]}},
                    "e":{"$type":"dimension","$value":{"$ref":"#/f/$value"}},"f":{"$value":"2px","$type":"dimension"},
                    "t":{"$type":"typography","$value":{"fontFamily":["A","serif"],"fontSize":"{e}","fontWeight":"bold",
                    "letterSpacing":"{e}","lineHeight":1.2}},"g":{"$type":"gradient","$value":[{"color":"{a.b}","position":0}]},
                    "s":{"$type":"border","$value":{"color":"{a.b}","width":"{e}","style":{"dashArray":["{e}"],"lineCap":"round"}}}}
                    """,
                    """
                    {"version":"2025.10","sets":{"a":{"sources":[{"x":{"$type":"number","$value":1}}]}},
                    "modifiers":{"m":{"default":"l","contexts":{"l":[],"d":[{"$ref":"#/sets/a"}]}}},
                    "resolutionOrder":[{"$ref":"#/sets/a"},{"$ref":"#/modifiers/m"}]}
                    """)
                .get());
    try {
      Path file = Files.createTempFile("seed", ".tokens");
      Project project = new RandomProjects(4).project();
      TokenFile.write("Seed", StyleBundle.all(project), project.baseStyle(), file);
      seeds.add(Files.readAllBytes(file));
      Files.delete(file);
    } catch (IOException impossible) {
      throw new UncheckedIOException(impossible);
    }
    return seeds;
  }

  // --- projects

  private static void project(byte[] input) throws IOException {
    Project nothing = Project.empty("P");
    Project read;
    try {
      read = ProjectDifference.applyTo(nothing, Kept.JSON.readTree(input), Kept.NO_ASSETS);
    } catch (JacksonException noJson) {
      return;
    }
    // what opens can be saved, and opens as the same again
    Project again =
        ProjectDifference.applyTo(
            nothing, ProjectDifference.between(nothing, read, Kept.NO_ASSETS), Kept.NO_ASSETS);
    if (!again.equals(read)) {
      throw new IllegalStateException("not the same again");
    }
  }

  private static byte[] difference(long seed) {
    try {
      return Kept.JSON.writeValueAsBytes(
          ProjectDifference.between(
              Project.empty("P"), new RandomProjects(seed).project(), Kept.NO_ASSETS));
    } catch (IOException impossible) {
      throw new UncheckedIOException(impossible);
    }
  }

  /** Constants of an enum are made before what it holds itself. */
  private static final class Kept {
    private static final JsonMapper JSON = JsonMapper.builder().build();

    private static final Coat.Corner ROUND = new Coat.Corner(StrokeJoin.ROUND, 4);

    private static final ProjectDifference.Assets NO_ASSETS =
        new ProjectDifference.Assets() {
          @Override
          public String keep(Asset asset) {
            return asset.name();
          }

          @Override
          public byte[] find(String hash) throws IOException {
            throw new IOException("no asset is kept here");
          }
        };
  }

  private interface FromFile {
    Object read(Path file) throws IOException;
  }

  private static void inFile(byte[] input, String ending, FromFile reader) throws IOException {
    Path file = Files.createTempFile("fuzz", ending);
    try {
      Files.write(file, input);
      reader.read(file);
    } finally {
      Files.delete(file);
    }
  }

  private static byte[] inFile(Project project) {
    try {
      Path file = Files.createTempFile("fuzz", ProjectFile.ENDING);
      try {
        ProjectFile.write(project, file);
        return Files.readAllBytes(file);
      } finally {
        Files.delete(file);
      }
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
  }

  private static void journal(byte[] input) throws IOException {
    Path folder = Files.createTempDirectory("fuzz");
    Path journal = Files.createDirectory(folder.resolve("open-fuzz"));
    Path log = journal.resolve("log");
    try {
      try (RecordFile records = RecordFile.create(log)) {
        records.append(input);
      }
      new Journals(folder, InstantSource.system()).left();
    } finally {
      try (Stream<Path> all = Files.walk(folder)) {
        for (Path file : all.sorted(java.util.Comparator.reverseOrder()).toList()) {
          Files.deleteIfExists(file);
        }
      }
    }
  }

  // --- captions, values, outlines

  private static Use captions(CaptionFiles.Format format) {
    return input -> CaptionFiles.read(input, "film." + format.ending(), FrameBox.HD);
  }

  private static Supplier<List<byte[]>> sample(CaptionFiles.Format format) {
    return () -> List.of(CaptionSamples.bytes(format));
  }

  private static void values(byte[] input) {
    String text = text(input);
    refusing(() -> ColourText.parse(text));
    for (Property<?> property : Properties.all()) {
      refusing(() -> property.type().decode(text));
    }
  }

  private static void outline(byte[] input) {
    try (io.github.humbleui.skija.Path read =
            io.github.humbleui.skija.Path.makeFromSVGString(text(input));
        io.github.humbleui.skija.Path moved = Edges.moved(read, 2, Kept.ROUND);
        io.github.humbleui.skija.Path both = Edges.union(read, moved)) {
      both.getBounds();
    } catch (IllegalArgumentException refused) {
      // it is none
    }
  }
}
