package dynamorph.cli;

import dynamorph.cli.message.Messages;
import dynamorph.formats.file.SafeFile;
import dynamorph.model.Asset;
import dynamorph.model.Layer;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.FontRequest;
import dynamorph.model.cascade.ResolvedLayer;
import dynamorph.model.export.ExportPreset;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.text.Story;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.NestedStyles;
import dynamorph.model.value.Rgba;
import dynamorph.paint.artwork.Artwork;
import dynamorph.paint.export.SpecimenSheet;
import dynamorph.paint.export.SvgWriter;
import dynamorph.paint.export.pdf.PdfPage;
import dynamorph.paint.export.pdf.PdfSettings;
import dynamorph.paint.export.pdf.PdfWriter;
import dynamorph.typeset.font.FontLibrary;
import dynamorph.typeset.layout.Typesetter;
import java.io.IOException;
import java.nio.file.Path;
import java.time.ZonedDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

@Command(
    name = "specimen",
    description = "${bundle:specimen-command.draws-words-in-a-finish-as}",
    mixinStandardHelpOptions = true)
final class SpecimenCommand implements Callable<Integer> {
  /** The margin around the words, in em. */
  private static final double MARGIN = 0.25;

  private enum Form {
    PNG,
    PDF,
    SVG
  }

  @Option(
      names = "--finish",
      required = true,
      paramLabel = "FILE.json",
      description = "${bundle:specimen-command.the-finish-as-property-values-of}")
  private Path finish;

  @Option(
      names = "--text",
      required = true,
      paramLabel = "WORDS",
      description = "${bundle:specimen-command.what-is-drawn}")
  private String text;

  @Option(
      names = "--font",
      paramLabel = "FONT",
      description = "${bundle:specimen-command.a-font-file-or-the-name}")
  private String font;

  @Option(
      names = "--size",
      paramLabel = "PT",
      description = "${bundle:specimen-command.the-size-in-points}")
  private Double size;

  @Option(
      names = "--background",
      paramLabel = "COLOUR",
      description = "${bundle:specimen-command.what-the-words-lie-on-such}")
  private String background;

  @Option(
      names = "--scale",
      paramLabel = "S",
      defaultValue = "1",
      description = "${bundle:specimen-command.pixels-per-point-of-a-png}")
  private double scale;

  @Option(
      names = "--outline",
      description = "${bundle:specimen-command.draws-letter-contours-moved-edges-and}")
  private boolean outline;

  @Option(
      names = {"-o", "--output"},
      required = true,
      paramLabel = "FILE",
      description = "${bundle:specimen-command.what-to-write-a-name-that}")
  private Path output;

  @Spec private CommandSpec spec;

  @Override
  public Integer call() throws IOException {
    Form form = form();
    PropertySet values = JsonValues.read(finish);
    if (!(scale > 0) || !Double.isFinite(scale)) {
      throw new IllegalArgumentException(
          Messages.of("specimen-command.scale-expected-a-number-above-0", scale));
    }
    Optional<Rgba> ground = Optional.ofNullable(background).map(Rgba::parse);
    values = sized(values);
    List<Asset> files = new ArrayList<>();
    values = withFont(values, files);
    try (FontLibrary fonts =
        files.isEmpty() ? FontLibrary.installed() : FontLibrary.forProject(files)) {
      Layer layer =
          Layer.of("specimen", Messages.of("specimen-command.specimen"), "")
              .withStory(Story.of(text.replace("\\n", "\n")))
              .withLocal(values.with(Properties.NESTED_STYLES, NestedStyles.NONE));
      ResolvedLayer look =
          Cascade.of(Project.empty(Messages.of("specimen-command.specimen"))).resolve(layer);
      var layout = new Typesetter(fonts).layout(layer.story(), look);
      double em = look.paragraphs().getFirst().spans().getFirst().type().size();
      SpecimenSheet sheet = new SpecimenSheet(layout, look, ground, outline, em * MARGIN, scale);
      byte[] bytes = written(sheet, form);
      SafeFile.write(output, stream -> stream.write(bytes));
      tell(
          layout.missingFamilies().stream().toList(),
          Messages.of("specimen-command.not-on-this-machine-drawn-in"));
    }
    return 0;
  }

  private Form form() {
    String name = output.getFileName().toString().toLowerCase(Locale.ROOT);
    for (Form form : Form.values()) {
      if (name.endsWith("." + form.name().toLowerCase(Locale.ROOT))) {
        return form;
      }
    }
    throw new IllegalArgumentException(
        Messages.of("specimen-command.o-the-name-must-end-in", output));
  }

  private PropertySet sized(PropertySet values) {
    if (size == null) {
      return values;
    }
    if (!(size > 0 && size <= 10_000)) {
      throw new IllegalArgumentException(
          Messages.of("specimen-command.size-expected-points-from-above-0", size));
    }
    return values.with(Properties.SIZE, FontSize.points(size));
  }

  private PropertySet withFont(PropertySet values, List<Asset> files) throws IOException {
    if (font == null) {
      return values;
    }
    if (!FontFile.isOne(font)) {
      return values.with(Properties.FONT_FAMILY, font);
    }
    FontFile file = FontFile.read(font);
    FontRequest own = file.wish();
    files.add(file.asset());
    PropertySet withFamily = values.with(Properties.FONT_FAMILY, own.family());
    return values.get(Properties.FONT_WEIGHT.key()).isPresent()
        ? withFamily
        : withFamily.with(Properties.FONT_WEIGHT, own.weight()).with(Properties.SLANT, own.slant());
  }

  private byte[] written(SpecimenSheet sheet, Form form) {
    if (form == Form.PNG) {
      return sheet.png();
    }
    Artwork artwork = sheet.artwork();
    if (form == Form.PDF && !PdfWriter.canMix(artwork)) {
      artwork = sheet.flattened(Messages.of("specimen-command.pdf-has-no-blend-mode-plus"));
    }
    tell(artwork.pictures(), Messages.of("specimen-command.kept-as-pixels-at-scale", scale));
    return form == Form.PDF
        ? PdfWriter.write(List.of(new PdfPage(text, artwork)), settings())
        : SvgWriter.write(artwork);
  }

  private PdfSettings settings() {
    return new PdfSettings(
        Messages.of("specimen-command.specimen"),
        "en",
        ExportPreset.Document.PLAIN,
        ZonedDateTime.now());
  }

  private void tell(List<String> things, String what) {
    for (String thing : things) {
      spec.commandLine().getErr().println(Messages.of("specimen-command.dynamorph", what, thing));
    }
  }
}
