package dynamorph.app.survey;

import dynamorph.app.field.Controls;
import dynamorph.app.field.Tips;
import dynamorph.app.message.Messages;
import dynamorph.app.styles.specimen.Specimens;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.Coats;
import dynamorph.model.edit.Target;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.style.StyleLevel;
import dynamorph.model.survey.hidden.HiddenStyle;
import dynamorph.model.survey.hidden.HiddenStyle.Deviating;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.Numbers;
import dynamorph.model.value.Rgba;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.Label;
import javafx.scene.image.ImageView;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** A style that hides: its specimen, who would follow it, and what those deviate in. */
final class HiddenCard extends VBox {
  private static final int WIDTH = 244;
  private static final int HEIGHT = 46;

  /** Pieces that deviate, shown one by one. */
  private static final int MOST_SHOWN = 8;

  private final HiddenStyle hidden;
  private final List<HiddenStyle> all;
  private final Remedies remedies;
  private final Project project;
  private final VBox details = new VBox(4);
  private final HBox buttons = new HBox(6);
  private final Set<Target.Words> snapped;

  /**
   * @param bare the project without its artboards, which a specimen does not ask for
   * @param snapped pieces that are to be made equal, which outlives the card
   */
  HiddenCard(
      HiddenStyle hidden,
      List<HiddenStyle> all,
      Project project,
      Project bare,
      Specimens specimens,
      Remedies remedies,
      Set<Target.Words> snapped,
      boolean open,
      Runnable flip) {
    super(4);
    this.hidden = hidden;
    this.all = all;
    this.remedies = remedies;
    // with another tolerance others deviate
    snapped.retainAll(hidden.all());
    this.snapped = snapped;
    this.project = project;
    getStyleClass().add("hidden-card");
    setId("hidden-" + hidden.style().id().value());
    Project adopted = withStyles(bare, hidden);
    ImageView picture = new ImageView();
    picture.setFitWidth(WIDTH);
    picture.setFitHeight(HEIGHT);
    specimens.show(
        picture,
        adopted,
        Cascade.of(adopted),
        hidden.style(),
        ground(project, hidden),
        WIDTH,
        HEIGHT);
    Button specimen = new Button("", picture);
    specimen.getStyleClass().add("hidden-specimen");
    specimen.setAccessibleText(hidden.style().name());
    Tips.on(specimen, Messages.of("survey.selects-and-opens"));
    specimen.setOnAction(_ -> {
      remedies.show(hidden);
      flip.run();
    });
    getChildren().addAll(specimen, name(), buttons());
    if (open) {
      fillDetails();
      getChildren().add(details);
    }
  }

  /** What the first text that would follow it stands on. */
  private static Rgba ground(Project project, HiddenStyle hidden) {
    return project
        .artboardOf(hidden.all().getFirst().layer())
        .map(board -> project.palette().colour(board.background()))
        .orElse(Rgba.WHITE);
  }

  private static Project withStyles(Project project, HiddenStyle hidden) {
    List<Style> styles = new ArrayList<>(project.styles().list());
    styles.addAll(hidden.beside());
    styles.add(hidden.style());
    return project.withStyles(StyleBook.of(styles));
  }

  private HBox name() {
    Label name = new Label(hidden.style().name());
    name.getStyleClass().add("section-title");
    name.setMinWidth(40);
    Label count = new Label(count());
    count.getStyleClass().add("quiet");
    count.setMinWidth(Region.USE_PREF_SIZE);
    HBox line = new HBox(8, name, Controls.gap(), count);
    if (!hidden.outliers().isEmpty()) {
      Label outliers = new Label(Messages.of("survey.outliers", hidden.outliers().size()));
      outliers.getStyleClass().add("problem-text");
      outliers.setMinWidth(Region.USE_PREF_SIZE);
      line.getChildren().add(outliers);
    }
    line.setAlignment(Pos.BASELINE_LEFT);
    return line;
  }

  private String count() {
    return switch (hidden.style().level()) {
      case TEXT -> Messages.of("count.text", hidden.size());
      case PARAGRAPH -> Messages.of("survey.paragraphs", hidden.size());
      case CHARACTER -> Messages.of("survey.places", hidden.size());
    };
  }

  private HBox buttons() {
    Label what = new Label(what());
    what.getStyleClass().add("quiet");
    what.setMinWidth(40);
    Tips.on(what, what());
    Button adopt = new Button(Messages.of("survey.adopt"));
    adopt.getStyleClass().add("adopt");
    adopt.setId("adopt-" + hidden.style().id().value());
    adopt.setMinWidth(Region.USE_PREF_SIZE);
    Tips.on(adopt, Messages.of("survey.adopt-changes-no-look"));
    adopt.setOnAction(_ -> remedies.adopt(hidden, all, snapped));
    Button ignore = new Button(Messages.of("survey.ignore"));
    ignore.setMinWidth(Region.USE_PREF_SIZE);
    ignore.setOnAction(_ -> askWhy());
    buttons.getChildren().setAll(what, Controls.gap(), adopt, ignore);
    buttons.setAlignment(Pos.CENTER_LEFT);
    return buttons;
  }

  private void askWhy() {
    IgnoreField field = new IgnoreField(note -> remedies.ignore(hidden, note), this::buttons);
    buttons.getChildren().setAll(field);
    HBox.setHgrow(field, javafx.scene.layout.Priority.ALWAYS);
    field.begin();
  }

  /** What the style is, in few words: {@code EB Garamond italic 24 pt}, {@code ×1.5 of Body}. */
  private String what() {
    Style style = hidden.style();
    PropertySet own = style.properties();
    String size =
        own.get(Properties.SIZE.key())
            .filter(FontSize.Times.class::isInstance)
            .map(FontSize::toString)
            .orElse("");
    if (!hidden.beside().isEmpty()) {
      String base = hidden.beside().getFirst().name();
      return size.isEmpty()
          ? Messages.of("survey.based-on", base)
          : Messages.of("survey.times-of", size, base);
    }
    if (style.level() == StyleLevel.CHARACTER) {
      return own.keys().stream().map(PropertyKey::label).limit(3).collect(Collectors.joining(", "));
    }
    PropertySet values = Cascade.of(withStyles(project, hidden)).values(style);
    return Stream.of(
            Coats.value(values, Properties.FONT_FAMILY.key()),
            Numbers.format(Coats.value(values, Properties.FONT_WEIGHT.key()), 0),
            Messages.of(
                "survey.points",
                Numbers.format(Coats.value(values, Properties.SIZE.key()).over(0), 1)))
        .collect(Collectors.joining(" "));
  }

  // --- details --------------------------------------------------------------------------------

  private void fillDetails() {
    details.getStyleClass().add("hidden-details");
    Label purity =
        new Label(
            Messages.of(
                "survey.purity", hidden.equal().size(), Numbers.format(100 * hidden.purity(), 0)));
    purity.getStyleClass().add("quiet");
    purity.setWrapText(true);
    details.getChildren().add(purity);
    List<Deviating> deviating = new ArrayList<>(hidden.outliers());
    deviating.addAll(hidden.near());
    deviating.stream().limit(MOST_SHOWN).forEach(one -> details.getChildren().add(line(one)));
    if (deviating.size() > MOST_SHOWN) {
      Label more = new Label(Messages.of("survey.and-more", deviating.size() - MOST_SHOWN));
      more.getStyleClass().add("quiet");
      details.getChildren().add(more);
    }
    if (!deviating.isEmpty()) {
      CheckBox snapAll = new CheckBox(Messages.of("survey.snap-all", deviating.size()));
      snapAll.setId("snap-all");
      Tips.on(snapAll, Messages.of("survey.snap-help"));
      snapAll.setOnAction(_ -> {
        snapped.clear();
        if (snapAll.isSelected()) {
          deviating.forEach(one -> snapped.add(one.member()));
        }
        details.getChildren().stream()
            .filter(DeviatingLine.class::isInstance)
            .forEach(line -> ((DeviatingLine) line).choose(snapAll.isSelected()));
      });
      details.getChildren().add(snapAll);
    }
  }

  /** One piece that deviates, and whether it is to be made equal. */
  private final class DeviatingLine extends HBox {
    private final CheckBox snap = new CheckBox(Messages.of("survey.snap"));

    DeviatingLine(Deviating one, String where, String how) {
      super(8);
      Hyperlink name = new Hyperlink(where);
      name.setMinWidth(40);
      name.setOnAction(_ -> remedies.show(one.member().layer()));
      Label differs = new Label(how);
      differs.getStyleClass().add("quiet");
      differs.setMinWidth(30);
      Tips.on(differs, how);
      snap.setMinWidth(Region.USE_PREF_SIZE);
      snap.setSelected(snapped.contains(one.member()));
      snap.setOnAction(_ -> {
        if (snap.isSelected()) {
          snapped.add(one.member());
        } else {
          snapped.remove(one.member());
        }
      });
      setAlignment(Pos.CENTER_LEFT);
      getChildren().addAll(name, differs, Controls.gap(), snap);
    }

    void choose(boolean wanted) {
      snap.setSelected(wanted);
    }
  }

  private DeviatingLine line(Deviating one) {
    String where = project.layer(one.member().layer()).map(layer -> layer.name()).orElse("");
    String how =
        one.differences().entrySet().stream()
            .map(entry -> difference(entry.getKey(), entry))
            .collect(Collectors.joining(", "));
    return new DeviatingLine(one, where, how);
  }

  @SuppressWarnings("unchecked") // a value stands under a key of its type
  private <T> String difference(PropertyKey<T> key, Map.Entry<PropertyKey<?>, Object> entry) {
    return Controls.label(key) + " " + key.property().type().format((T) entry.getValue());
  }
}
