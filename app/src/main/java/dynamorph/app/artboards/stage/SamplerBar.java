package dynamorph.app.artboards.stage;

import dynamorph.app.field.Tips;
import dynamorph.app.message.Messages;
import dynamorph.app.session.Sampling;
import dynamorph.app.session.Tool;
import dynamorph.app.session.Workspace;
import dynamorph.model.property.Facet;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import java.util.EnumSet;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** Tells what the sampler holds and what of it is stamped; shows while the sampler is in hand. */
final class SamplerBar extends VBox {
  private static final double WIDTH = 440;

  private final Workspace workspace;

  SamplerBar(Workspace workspace) {
    this.workspace = workspace;
    getStyleClass().addAll("tools", "sampler-bar");
    setId("sampler-bar");
    setMaxSize(Region.USE_PREF_SIZE, Region.USE_PREF_SIZE);
    setSpacing(5);
    visibleProperty().bind(workspace.tools().toolProperty().isEqualTo(Tool.SAMPLER));
    managedProperty().bind(visibleProperty());
    workspace.tools().samplingProperty().addListener((_, _, held) -> show(held));
    show(workspace.tools().samplingProperty().get());
  }

  private void show(Optional<Sampling> held) {
    pseudoClassStateChanged(javafx.css.PseudoClass.getPseudoClass("loaded"), held.isPresent());
    if (held.isEmpty()) {
      Label words = new Label(Messages.of("sampler-bar.the-sampler-is-empty-click-a"));
      Label hint = new Label(Messages.of("sampler-bar.with-texts-selected-the-sample-goes"));
      hint.getStyleClass().add("quiet");
      getChildren().setAll(words, hint);
      return;
    }
    Sampling sampling = held.get();
    Label title = new Label(Messages.of("sampler-bar.holds-the-look-of", sampling.sample().from()));
    title.getStyleClass().add("section-title");
    title.setMinWidth(Region.USE_PREF_SIZE);
    String styles =
        sampling.sample().followed().stream().map(this::name).collect(Collectors.joining(", "));
    ToggleButton another = new ToggleButton(Messages.of("sampler-bar.take-another"));
    another.setId("sampler-another");
    another.getStyleClass().add("button");
    another.setSelected(sampling.takesAnother());
    Tips.on(
        another, Messages.of("sampler-bar.let-the-next-click-take-another", Tool.SAMPLER.key()));
    another.setOnAction(_ -> set(sampling.takingAnother(another.isSelected())));
    Button empty = new Button(Messages.of("sampler-bar.empty-the-sampler"));
    Tips.on(empty, Messages.of("sampler-bar.empty-the-sampler-esc"));
    empty.setOnAction(_ -> workspace.tools().samplingProperty().set(Optional.empty()));
    HBox head = new HBox(10, title, another, empty);
    head.setAlignment(Pos.CENTER_LEFT);
    FlowPane facets = new FlowPane(4, 4);
    facets.setPrefWrapLength(WIDTH);
    for (Facet facet : Facet.values()) {
      facets.getChildren().add(toggle(facet, sampling));
    }
    ToggleButton follow =
        new ToggleButton(
            styles.isEmpty()
                ? Messages.of("sampler-bar.follows-no-style")
                : Messages.of("sampler-bar.follow", styles));
    follow.setId("sampler-styles");
    follow.getStyleClass().add("pill");
    follow.setSelected(sampling.withStyles() && !styles.isEmpty());
    follow.setDisable(styles.isEmpty());
    Tips.on(follow, Messages.of("sampler-bar.follow-the-sample-s-styles-too"));
    follow.setOnAction(_ -> set(sampling.followingStyles(follow.isSelected())));
    Label hint =
        new Label(
            sampling.takesAnother()
                ? Messages.of("sampler-bar.click-the-text-to-take-the")
                : Messages.of("sampler-bar.click-a-text-shift-a-word"));
    hint.getStyleClass().add("quiet");
    hint.setWrapText(true);
    hint.setPrefWidth(WIDTH);
    facets.getChildren().add(follow);
    getChildren().setAll(head, facets, hint);
  }

  private ToggleButton toggle(Facet facet, Sampling sampling) {
    ToggleButton toggle = new ToggleButton(facet.label());
    toggle.getStyleClass().add("pill");
    toggle.setId("sampler-" + facet.name().toLowerCase(java.util.Locale.ROOT));
    toggle.setSelected(sampling.facets().contains(facet));
    toggle.setOnAction(_ -> {
      EnumSet<Facet> facets = EnumSet.noneOf(Facet.class);
      facets.addAll(sampling.facets());
      if (!facets.remove(facet)) {
        facets.add(facet);
      }
      set(sampling.with(facets));
    });
    return toggle;
  }

  private void set(Sampling changed) {
    workspace.tools().samplingProperty().set(Optional.of(changed));
  }

  private String name(StyleId id) {
    return workspace
        .project()
        .styles()
        .find(id)
        .map(Style::name)
        .orElse(Messages.of("sampler-bar.a-deleted-style"));
  }
}
