package dynamorph.app.survey;

import dynamorph.app.artboards.stage.StageView;
import dynamorph.app.field.Controls;
import dynamorph.app.field.Tips;
import dynamorph.app.message.Messages;
import dynamorph.app.session.Workspace;
import dynamorph.app.styles.specimen.Specimens;
import dynamorph.model.Project;
import dynamorph.model.edit.Target;
import dynamorph.model.survey.Finding;
import dynamorph.model.survey.hidden.HiddenStyle;
import dynamorph.model.survey.hidden.Tolerance;
import dynamorph.model.survey.rule.Rule;
import dynamorph.paint.survey.SurveyReport;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.Label;
import javafx.scene.control.MenuItem;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.Slider;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.pcollections.TreePVector;

/** What could be in better order: styles that hide, then all else by what it is about. */
public final class SurveyPane extends VBox {
  /**
   * Hidden styles that are shown at first, and more at each asking: those that most would follow.
   */
  private static final int STEP = 12;

  private final Workspace workspace;
  private final SurveyWatch watch;
  private final Specimens specimens;
  private final Remedies remedies;
  private final Label texts = new Label();
  private final Label title = new Label();
  private final Label tolerance = new Label();
  private final Button adoptAll = new Button(Messages.of("survey.adopt-all"));
  private final VBox found = new VBox(8);
  private final Hyperlink ignored = new Hyperlink();
  private final Set<String> open = new HashSet<>();
  private final Map<String, Set<Target.Words>> snapped = new HashMap<>();
  private final ScrollPane scroll = new ScrollPane(found);
  private int shown = STEP;
  private boolean postponed;

  public SurveyPane(
      Workspace workspace,
      StageView stage,
      SurveyWatch watch,
      Specimens specimens,
      SurveyFiles files) {
    this.workspace = workspace;
    this.watch = watch;
    this.specimens = specimens;
    this.remedies = new Remedies(workspace, stage);
    getStyleClass().add("survey-pane");
    setId("survey");
    setSpacing(8);
    scroll.setFitToWidth(true);
    scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
    VBox.setVgrow(scroll, Priority.ALWAYS);
    found.getStyleClass().add("survey-found");
    HBox foot =
        new HBox(
            8, new RulesMenu(workspace, remedies, files), ignored, Controls.gap(), report(files));
    foot.setAlignment(Pos.CENTER_LEFT);
    foot.getStyleClass().add("survey-foot");
    ignored.setMinWidth(Region.USE_PREF_SIZE);
    ignored.setId("ignored");
    ignored.setOnAction(_ -> listIgnored());
    getChildren().addAll(head(), slider(), scroll, foot);
    watch.reportProperty().addListener((_, _, report) -> report.ifPresent(this::show));
    watch.reportProperty().get().ifPresent(this::show);
    found
        .focusWithinProperty()
        .addListener((_, _, within) -> {
          if (!within && postponed) {
            // after what is going on with the focus, which a new list would disturb
            Platform.runLater(() -> watch.reportProperty().get().ifPresent(this::show));
          }
        });
    workspace
        .openedProperty()
        .addListener((_, _, _) -> {
          open.clear();
          snapped.clear();
          shown = STEP;
        });
  }

  private Node head() {
    title.getStyleClass().add("survey-title");
    title.setWrapText(true);
    title.setMinHeight(Region.USE_PREF_SIZE);
    title.setText(Messages.of("survey.is-being-made"));
    texts.getStyleClass().add("quiet");
    return new VBox(Controls.titled(title, "survey#what-could-be-in-better-order"), texts);
  }

  private Button report(SurveyFiles files) {
    Button report = new Button(Messages.of("survey.report"));
    report.setId("survey-report");
    report.setMinWidth(Region.USE_PREF_SIZE);
    Tips.on(report, Messages.of("survey.report-help"));
    report.setOnAction(_ ->
        watch
            .reportProperty()
            .get()
            .ifPresent(known -> watch.scene().ifPresent(scene -> files.writeReport(known, scene))));
    return report;
  }

  private Node slider() {
    Slider slider = new Slider(0, Tolerance.WIDEST_STEP, watch.stepProperty().get());
    slider.setId("survey-tolerance");
    slider.setAccessibleText(Messages.of("survey.tolerance"));
    Tips.on(slider, Messages.of("survey.tolerance-help"));
    slider.setBlockIncrement(0.25);
    HBox.setHgrow(slider, Priority.ALWAYS);
    slider.setMinWidth(60);
    slider
        .valueProperty()
        .addListener(
            (_, _, now) -> watch.stepProperty().set(Math.rint(now.doubleValue() * 20) / 20));
    watch
        .stepProperty()
        .addListener((_, _, now) -> {
          if (Math.abs(slider.getValue() - now.doubleValue()) > 0.05) {
            slider.setValue(now.doubleValue());
          }
          tolerance.setText(Tolerance.ofStep(now.doubleValue()).label());
        });
    tolerance.setText(Tolerance.ofStep(watch.stepProperty().get()).label());
    tolerance.getStyleClass().add("quiet");
    tolerance.setMinWidth(84);
    tolerance.setAlignment(Pos.CENTER_RIGHT);
    Label words = new Label(Messages.of("survey.tolerance"));
    words.getStyleClass().add("quiet");
    words.setMinWidth(Region.USE_PREF_SIZE);
    HBox line = new HBox(8, words, slider, tolerance);
    line.setAlignment(Pos.CENTER_LEFT);
    return line;
  }

  private void show(SurveyReport report) {
    if (isAnswered()) {
      // what is being typed is not taken away; the report is shown when that has ended
      postponed = true;
      return;
    }
    postponed = false;
    // before all is looked at it is not known that none hides
    title.setText(
        report.hidden().isEmpty() && !report.isComplete()
            ? Messages.of("survey.is-being-made")
            : Messages.of("survey.hide-in", report.hidden().size(), report.hiddenPieces()));
    texts.setText(
        report.isComplete()
            ? Messages.of("survey.texts-findings", report.texts(), report.findings().size())
            : Messages.of("survey.so-far", report.lookedAt(), report.texts()));
    int count = report.ignored().size() + ignoredStyles(report);
    ignored.setText(Messages.of("survey.ignored-count", count));
    ignored.setVisible(!report.project().survey().ignored().isEmpty());
    double above = beyond() * scroll.getVvalue();
    List<Node> nodes = new ArrayList<>();
    Project bare = report.project().withArtboards(TreePVector.empty());
    report.hidden().stream().limit(shown).forEach(hidden -> nodes.add(card(hidden, report, bare)));
    int left = report.hidden().size() - shown;
    if (left > 0) {
      Hyperlink more = new Hyperlink(Messages.of("survey.more-hidden", left));
      more.setId("more-hidden");
      more.setOnAction(_ -> {
        shown += STEP;
        show(report);
      });
      nodes.add(more);
    }
    if (report.hidden().size() > 1) {
      adoptAll.setId("adopt-all");
      adoptAll.setMaxWidth(Double.MAX_VALUE);
      Tips.on(adoptAll, Messages.of("survey.adopt-changes-no-look"));
      adoptAll.setOnAction(_ -> remedies.adoptAll(report.hidden()));
      nodes.add(adoptAll);
    }
    Map<Rule.Group, List<Map.Entry<SurveyReport.Kind, List<Finding>>>> groups =
        report.byRule().entrySet().stream()
            .collect(
                Collectors.groupingBy(
                    entry -> entry.getKey().rule().group(),
                    java.util.TreeMap::new,
                    Collectors.toList()));
    groups.forEach((group, entries) -> {
      Label name = new Label(group.label());
      name.getStyleClass().addAll("section-title", "survey-group");
      nodes.add(name);
      entries.forEach(entry -> nodes.add(group(entry.getKey(), entry.getValue(), report)));
    });
    if (nodes.isEmpty() && report.isComplete()) {
      Label none = new Label(Messages.of("survey.nothing-found"));
      none.getStyleClass().add("quiet");
      none.setWrapText(true);
      nodes.add(none);
    }
    found.getChildren().setAll(nodes);
    scroll.applyCss();
    scroll.layout();
    scrollTo(above);
    // a pane that gets the focus scrolls to what has it
    Platform.runLater(() -> scrollTo(above));
  }

  /** How much of the list there is no room for, in units of the window. */
  private double beyond() {
    return Math.max(
        0, found.getBoundsInLocal().getHeight() - scroll.getViewportBounds().getHeight());
  }

  private void scrollTo(double above) {
    double room = beyond();
    scroll.setVvalue(room == 0 ? 0 : Math.min(1, above / room));
  }

  /** Whether somebody is writing why a finding is to stay. */
  private boolean isAnswered() {
    return getScene() != null
        && getScene().getFocusOwner() instanceof TextField field
        && found.isFocusWithin()
        && field.isFocused();
  }

  private static int ignoredStyles(SurveyReport report) {
    return (int)
        report.project().survey().ignored().stream()
            .filter(one -> one.mark().startsWith(Rule.HIDDEN_STYLE.id() + ":"))
            .count();
  }

  /**
   * @param bare the project without its artboards, which a specimen does not ask for
   */
  private HiddenCard card(HiddenStyle hidden, SurveyReport report, Project bare) {
    String key = hidden.style().name();
    return new HiddenCard(
        hidden,
        report.hidden(),
        report.project(),
        bare,
        specimens,
        remedies,
        snapped.computeIfAbsent(key, _ -> new HashSet<>()),
        open.contains(key),
        () -> flip(key, "hidden-" + hidden.style().id().value()));
  }

  private FindingGroup group(SurveyReport.Kind kind, List<Finding> findings, SurveyReport report) {
    String key = kind.rule().id() + kind.house();
    return new FindingGroup(
        kind,
        findings,
        report.project(),
        remedies,
        open.contains(key),
        () -> flip(key, FindingGroup.id(kind)));
  }

  /**
   * @param id of the node that shows it
   */
  private void flip(String key, String id) {
    if (!open.remove(key)) {
      open.add(key);
    }
    watch.reportProperty().get().ifPresent(this::show);
    // whoever goes on by keyboard stays where this was asked for
    Node asked = found.lookup("#" + id);
    Node button = asked == null ? null : asked.lookup(".button");
    if (button != null) {
      button.requestFocus();
    }
  }

  /** Opens a proposal, so that what deviates from it shows. */
  public void open(String style) {
    open.add(style);
    watch.reportProperty().get().ifPresent(this::show);
  }

  private void listIgnored() {
    ContextMenu menu = new ContextMenu();
    workspace
        .project()
        .survey()
        .ignored()
        .forEach(one -> {
          String note = one.note().isEmpty() ? "" : " \u2013 " + one.note();
          MenuItem item = new MenuItem(Messages.of("survey.tell-again", name(one.mark()) + note));
          item.setMnemonicParsing(false);
          item.setOnAction(_ -> remedies.tellAgain(one.mark()));
          menu.getItems().add(item);
        });
    menu.show(ignored, javafx.geometry.Side.TOP, 0, 0);
  }

  /** What an ignored finding was about, as far as it is still known. */
  private String name(String mark) {
    Optional<Finding> known =
        watch.reportProperty().get().stream()
            .flatMap(report -> report.ignored().stream())
            .filter(one -> one.mark().equals(mark))
            .findFirst();
    String rule = mark.substring(0, Math.max(0, mark.indexOf(':')));
    String label = Rule.of(rule).map(Rule::label).orElse(rule);
    return known.map(one -> label + ": " + one.detail()).orElse(label);
  }
}
