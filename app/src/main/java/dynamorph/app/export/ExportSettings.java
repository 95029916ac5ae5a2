package dynamorph.app.export;

import dynamorph.app.field.Controls;
import dynamorph.app.field.Tips;
import dynamorph.app.message.Messages;
import dynamorph.model.LengthUnit;
import dynamorph.model.export.ExportFormat;
import dynamorph.model.export.ExportPreset;
import dynamorph.model.export.FileNamePattern;
import dynamorph.model.value.Expression;
import dynamorph.model.value.Numbers;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** Format, resolution, trim and names of exported files. Only what a format has is shown. */
final class ExportSettings extends VBox {
  private static final int LABEL_WIDTH = 88;
  private static final int NUMBER_WIDTH = 76;
  private static final int MOST_FORMATS = 5;
  private static final int FORMAT_HEIGHT = 25;
  private static final int FILM_COLUMNS = 3;
  private static final int FILM_FORMAT_WIDTH = 90;

  /** Resolutions that are asked for most: once, twice and three times the points, and for print. */
  private static final double[] USUAL = {72, 144, 216, 300};

  private final Map<ExportFormat, ToggleButton> formats = new EnumMap<>(ExportFormat.class);
  private final TextField resolution = number("export-resolution");
  private final TextField quality = number("export-quality");
  private final TextField bleed = number("export-bleed");
  private final TextField fileName = new TextField();
  private final CheckBox background = new CheckBox();
  private final FilmFields film = new FilmFields();
  private final CheckBox apart = new CheckBox(Messages.of("export-settings.one-per-artboard"));
  private final CheckBox cropMarks = new CheckBox(Messages.of("export-settings.crop-marks"));
  private final Label about = new Label();
  private final Label wrong = new Label();
  private final ReadOnlyObjectWrapper<Optional<ExportPreset>> preset =
      new ReadOnlyObjectWrapper<>(Optional.empty());
  private final Node qualityRow;
  private final Node bleedRow;
  private final Node pages;
  private final Node resolutionRow;
  private final Node stillFormats;
  private final Node filmFormats;
  private ExportFormat chosen = ExportFormat.PDF;
  private String name = "";
  private boolean isShowing;

  ExportSettings() {
    super(10);
    getStyleClass().add("export-settings");
    qualityRow = row(Messages.of("export-settings.quality"), quality);
    bleedRow = row(Messages.of("export-settings.bleed"), bleed, Controls.gap(), cropMarks);
    pages = row("", apart);
    resolutionRow =
        row(
            Messages.of("export-settings.resolution"),
            resolution,
            new Label("ppi"),
            Controls.gap(),
            usual());
    stillFormats = formatRow(false);
    filmFormats = formatRow(true);
    fileName.setId("export-name");
    HBox.setHgrow(fileName, Priority.ALWAYS);
    background.setId("export-background");
    apart.setId("export-apart");
    cropMarks.setId("export-crop-marks");
    wrong.setId("export-wrong");
    wrong.getStyleClass().add("attention");
    wrong.setWrapText(true);
    wrong.setMinHeight(USE_PREF_SIZE);
    about.getStyleClass().add("quiet");
    about.setWrapText(true);
    about.setMinHeight(USE_PREF_SIZE);
    HBox.setHgrow(about, Priority.ALWAYS);
    help();
    getChildren()
        .addAll(
            stillFormats,
            filmFormats,
            row("", about),
            resolutionRow,
            qualityRow,
            row("", background),
            film,
            bleedRow,
            pages,
            row(Messages.of("export-settings.file-names"), fileName),
            wrong);
    for (TextField field : new TextField[] {resolution, quality, bleed, fileName}) {
      field.textProperty().addListener((_, _, _) -> read());
      Controls.onTyped(field, this::tidy);
    }
    for (CheckBox box : new CheckBox[] {background, apart, cropMarks}) {
      box.selectedProperty().addListener((_, _, _) -> read());
    }
    film.changed(this::read);
    show(ExportPreset.of(ExportFormat.PDF));
  }

  private void help() {
    Tips.on(resolution, Messages.of("export-settings.pixels-per-inch"));
    Tips.on(quality, Messages.of("export-settings.from-1-to-100"));
    Tips.on(bleed, Messages.of("export-settings.beyond-the-trim"));
    Tips.on(cropMarks, Messages.of("export-settings.marks-at-the-corners"));
    Tips.on(fileName, Messages.of("export-settings.fields"));
    Tips.on(apart, Messages.of("export-settings.else-one-document"));
    resolution.setAccessibleText(Messages.of("export-settings.resolution"));
    quality.setAccessibleText(Messages.of("export-settings.quality"));
    bleed.setAccessibleText(Messages.of("export-settings.bleed"));
    fileName.setAccessibleText(Messages.of("export-settings.file-names"));
  }

  private static TextField number(String id) {
    TextField field = new TextField();
    field.setId(id);
    field.setPrefWidth(NUMBER_WIDTH);
    field.setMinWidth(NUMBER_WIDTH);
    return field;
  }

  static HBox row(String label, Node... content) {
    Label words = Controls.rowLabel(label);
    words.setMinWidth(LABEL_WIDTH);
    words.setMaxWidth(LABEL_WIDTH);
    HBox row = new HBox(8, words);
    row.setAlignment(Pos.CENTER_LEFT);
    row.getChildren().addAll(content);
    row.managedProperty().bind(row.visibleProperty());
    return row;
  }

  /** The formats of artboards in a row, those of films in two. */
  private Node formatRow(boolean ofFilms) {
    VBox rows = new VBox(4);
    HBox.setHgrow(rows, Priority.ALWAYS);
    HBox row = new HBox();
    for (ExportFormat format : ExportFormat.values()) {
      if (format.isFilm() != ofFilms) {
        continue;
      }
      if (row.getChildren().size() % (ofFilms ? FILM_COLUMNS : MOST_FORMATS) == 0) {
        row = new HBox();
        row.getStyleClass().add("segments");
        rows.getChildren().add(row);
      }
      ToggleButton choose = new ToggleButton(format.label());
      choose.setId("export-as-" + format.id());
      Tips.on(choose, about(format));
      choose.setMaxWidth(Double.MAX_VALUE);
      if (ofFilms) {
        choose.setPrefWidth(FILM_FORMAT_WIDTH);
      }
      HBox.setHgrow(choose, Priority.ALWAYS);
      choose.setOnAction(_ -> choose(format));
      formats.put(format, choose);
      row.getChildren().add(choose);
    }
    HBox both = row(Messages.of("export-settings.format"), rows);
    both.setAlignment(Pos.TOP_LEFT);
    // in the middle of the first row
    ((Label) both.getChildren().getFirst()).setMinHeight(FORMAT_HEIGHT);
    return both;
  }

  private Node usual() {
    HBox row = new HBox();
    row.getStyleClass().add("segments");
    for (double ppi : USUAL) {
      ToggleButton choose = new ToggleButton(Numbers.format(ppi));
      choose.setId("export-ppi-" + Numbers.format(ppi));
      choose.setOnAction(_ -> {
        resolution.setText(Numbers.format(ppi));
        read();
      });
      preset.addListener((_, _, now) ->
          choose.setSelected(now.filter(own -> own.resolution() == ppi).isPresent()));
      row.getChildren().add(choose);
    }
    return row;
  }

  /** Another format begins with its own usual resolution. */
  private void choose(ExportFormat format) {
    ExportFormat before = chosen;
    select(format);
    if (before.isRaster() != format.isRaster() && !format.isFilm()) {
      resolution.setText(Numbers.format(ExportPreset.of(format).resolution()));
    }
    if (!format.hasTransparency()) {
      background.setSelected(true);
    }
    read();
  }

  private static String about(ExportFormat format) {
    return switch (format) {
      case PNG -> Messages.of("export-settings.about-png");
      case JPEG -> Messages.of("export-settings.about-jpeg");
      case WEBP -> Messages.of("export-settings.about-webp");
      case PDF -> Messages.of("export-settings.about-pdf");
      case SVG -> Messages.of("export-settings.about-svg");
      case H264 -> Messages.of("export-settings.about-h264");
      case VP9 -> Messages.of("export-settings.about-vp9");
      case AV1 -> Messages.of("export-settings.about-av1");
      case PRORES_422 -> Messages.of("export-settings.about-prores-422");
      case PRORES_4444 -> Messages.of("export-settings.about-prores-4444");
      case PNG_FILM -> Messages.of("export-settings.about-png-film");
    };
  }

  private void select(ExportFormat format) {
    chosen = format;
    about.setText(about(format));
    formats.forEach((one, button) -> button.setSelected(one == format));
    stillFormats.setVisible(!format.isFilm());
    filmFormats.setVisible(format.isFilm());
    resolutionRow.setVisible(!format.isFilm());
    film.setVisible(format.isFilm());
    background.setText(
        Messages.of(format.isFilm() ? "export-settings.footage" : "export-settings.background"));
    Tips.on(
        background,
        Messages.of(
            format.isFilm()
                ? "export-settings.else-titles-alone"
                : "export-settings.else-transparent"));
  }

  /** Whether the format that is chosen is one of films. */
  boolean isOfFilms() {
    return chosen.isFilm();
  }

  /** Offers these tracks of titles as chapters. */
  void offerChapters(List<String> tracks) {
    film.offerChapters(tracks);
  }

  /** Shows a preset. */
  void show(ExportPreset shown) {
    isShowing = true;
    name = shown.name();
    select(shown.format());
    resolution.setText(Numbers.format(shown.resolution()));
    quality.setText(String.valueOf(shown.quality()));
    background.setSelected(shown.background());
    fileName.setText(shown.fileName().text());
    apart.setSelected(shown.document().onePerArtboard());
    bleed.setText(LengthUnit.MILLIMETRE.format(shown.document().bleed()) + " mm");
    cropMarks.setSelected(shown.document().cropMarks());
    if (shown.format().isFilm()) {
      film.show(shown.scale(), shown.film());
    }
    isShowing = false;
    read();
  }

  /** What the fields say; empty while one of them makes no sense. */
  ReadOnlyObjectProperty<Optional<ExportPreset>> presetProperty() {
    return preset.getReadOnlyProperty();
  }

  private void read() {
    if (isShowing) {
      return;
    }
    boolean isPdf = chosen == ExportFormat.PDF;
    qualityRow.setVisible(chosen.hasQuality());
    bleedRow.setVisible(isPdf);
    pages.setVisible(isPdf);
    background.setDisable(!chosen.hasTransparency());
    try {
      preset.set(Optional.of(told()));
      wrong.setText("");
    } catch (IllegalArgumentException nonsense) {
      preset.set(Optional.empty());
      wrong.setText(Messages.reason(nonsense));
    }
    wrong.setVisible(!wrong.getText().isEmpty());
    wrong.setManaged(wrong.isVisible());
  }

  private ExportPreset told() {
    ExportPreset usual = ExportPreset.of(chosen);
    boolean isPdf = chosen == ExportFormat.PDF;
    return new ExportPreset(
        name.isBlank() ? usual.name() : name,
        chosen,
        chosen.isFilm()
            ? film.scale() * ExportPreset.POINTS_PER_INCH
            : Expression.evaluate(resolution.getText().toLowerCase(Locale.ROOT).replace("ppi", "")),
        chosen.hasQuality()
            ? (int) Math.rint(Expression.evaluate(quality.getText()))
            : usual.quality(),
        background.isSelected(),
        new FileNamePattern(fileName.getText()),
        isPdf
            ? new ExportPreset.Document(apart.isSelected(), bleed(), cropMarks.isSelected())
            : ExportPreset.Document.PLAIN,
        chosen.isFilm() ? film.told() : ExportPreset.Film.PLAIN);
  }

  /** A number without a unit is of millimetres, as the field shows them. */
  private double bleed() {
    String text = bleed.getText().strip();
    return text.matches("[\\d.,]+")
        ? LengthUnit.MILLIMETRE.toPoints(Numbers.parse(text))
        : Expression.evaluate(text);
  }

  /** Shows what was understood. */
  private void tidy() {
    preset.get().ifPresent(this::show);
  }
}
