package dynamorph.app.survey;

import dynamorph.app.field.Controls;
import dynamorph.app.field.Tips;
import dynamorph.app.message.Messages;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.style.Style;
import dynamorph.model.style.Swatch;
import dynamorph.model.survey.Finding;
import dynamorph.model.survey.Remedy;
import dynamorph.model.survey.Spot;
import dynamorph.model.survey.rule.Severity;
import dynamorph.paint.survey.SurveyReport;
import java.util.List;
import java.util.function.Predicate;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** What one rule found: how often, then one by one. */
final class FindingGroup extends VBox {
  /** Findings that are listed one by one. */
  private static final int MOST_SHOWN = 12;

  private final Project project;
  private final Remedies remedies;

  FindingGroup(
      SurveyReport.Kind kind,
      List<Finding> findings,
      Project project,
      Remedies remedies,
      boolean open,
      Runnable flip) {
    super(4);
    this.project = project;
    this.remedies = remedies;
    getStyleClass().add("finding-group");
    setId(id(kind));
    getChildren().add(head(kind, findings, open, flip));
    if (open) {
      findings.stream().limit(MOST_SHOWN).forEach(one -> getChildren().add(line(one)));
      if (findings.size() > MOST_SHOWN) {
        Label more = new Label(Messages.of("survey.and-more", findings.size() - MOST_SHOWN));
        more.getStyleClass().add("quiet");
        getChildren().add(more);
      }
    }
  }

  /** By which the findings of a rule are found in the window. */
  static String id(SurveyReport.Kind kind) {
    return "rule-" + (kind.house().isEmpty() ? kind.rule().id() : kind.house());
  }

  private HBox head(SurveyReport.Kind kind, List<Finding> findings, boolean open, Runnable flip) {
    Label count = new Label(String.valueOf(findings.size()));
    count
        .getStyleClass()
        .addAll(
            "finding-count",
            findings.getFirst().severity() == Severity.NOTE ? "finding-note" : "finding-grave");
    count.setAccessibleText(findings.getFirst().severity().label());
    Button name = new Button(kind.label() + (open ? " \u2304" : " \u203a"));
    name.getStyleClass().add("finding-name");
    name.setMinWidth(Region.USE_PREF_SIZE);
    Tips.on(
        name,
        findings.getFirst().severity().label()
            + ". "
            + (kind.house().isEmpty() ? kind.rule().help() : findings.getFirst().detail()));
    name.setOnAction(_ -> flip.run());
    HBox head = new HBox(8, count, name, Controls.gap());
    long mended = findings.stream().filter(one -> one.remedy().isPresent()).count();
    if (findings.stream().anyMatch(one -> !one.layers().isEmpty())) {
      Hyperlink show = new Hyperlink(Messages.of("survey.show"));
      show.setMinWidth(Region.USE_PREF_SIZE);
      Tips.on(show, Messages.of("survey.selects-these-texts"));
      show.setOnAction(_ -> remedies.show(findings));
      head.getChildren().add(show);
    }
    if (mended > 0) {
      Hyperlink mend = new Hyperlink(Messages.of("survey.fix", mended));
      mend.getStyleClass().add("mend");
      mend.setMinWidth(Region.USE_PREF_SIZE);
      mend.setOnAction(_ -> remedies.mend(findings));
      head.getChildren().add(mend);
    }
    head.setAlignment(Pos.CENTER_LEFT);
    return head;
  }

  private Node line(Finding finding) {
    Hyperlink where = new Hyperlink(where(finding));
    where.setMinWidth(40);
    where.setOnAction(_ -> remedies.show(List.of(finding)));
    // of a swatch or a file there is nothing to say but its name
    Label detail = new Label(finding.detail().equals(where(finding)) ? "" : finding.detail());
    detail.getStyleClass().add("quiet");
    detail.setWrapText(true);
    HBox links = new HBox(10, where, Controls.gap());
    links.setAlignment(Pos.CENTER_LEFT);
    HBox what = new HBox(10, detail, Controls.gap());
    what.setAlignment(Pos.BASELINE_LEFT);
    detail.setMinWidth(60);
    finding
        .remedy()
        .map(Remedy::label)
        .ifPresent(label -> {
          Hyperlink mend = new Hyperlink(label);
          mend.setMinWidth(40);
          Tips.on(mend, label);
          mend.setOnAction(_ -> remedies.mend(List.of(finding)));
          what.getChildren().add(mend);
        });
    VBox line = new VBox(1, links, what);
    line.getStyleClass().add("finding-line");
    Hyperlink ignore = new Hyperlink(Messages.of("survey.ignore"));
    ignore.getStyleClass().add("quiet-link");
    ignore.setMinWidth(Region.USE_PREF_SIZE);
    ignore.setOnAction(_ -> {
      IgnoreField[] field = new IgnoreField[1];
      field[0] =
          new IgnoreField(
              note -> remedies.ignore(finding, note), () -> line.getChildren().remove(field[0]));
      line.getChildren().removeIf(isField());
      line.getChildren().add(field[0]);
      field[0].begin();
    });
    links.getChildren().add(ignore);
    return line;
  }

  private static Predicate<Node> isField() {
    return IgnoreField.class::isInstance;
  }

  private String where(Finding finding) {
    return switch (finding.spots().getFirst()) {
      case Spot.InText(LayerId id, var _) ->
          Messages.of(
              "survey.text-and-others",
              project.layer(id).map(Layer::name).orElse(id.value()),
              finding.layers().size() - 1);
      case Spot.OfStyle(var id) -> project.styles().find(id).map(Style::name).orElse(id.value());
      case Spot.OfSwatch(String id) -> project.palette().find(id).map(Swatch::name).orElse(id);
      case Spot.OfAsset(String name) -> name;
    };
  }
}
