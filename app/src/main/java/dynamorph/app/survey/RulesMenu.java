package dynamorph.app.survey;

import dynamorph.app.message.Messages;
import dynamorph.app.session.Workspace;
import dynamorph.model.survey.rule.Rule;
import dynamorph.model.survey.rule.RuleSet;
import dynamorph.model.survey.rule.RuleSetting;
import dynamorph.model.survey.rule.Severity;
import javafx.scene.control.CheckMenuItem;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.RadioMenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.control.ToggleGroup;

/** What is looked for. */
final class RulesMenu extends MenuButton {
  private static final double AAA = 7;
  private static final double AAA_LARGE = 4.5;

  private final Workspace workspace;
  private final Remedies remedies;
  private final SurveyFiles files;

  RulesMenu(Workspace workspace, Remedies remedies, SurveyFiles files) {
    super(Messages.of("survey.rules"));
    this.workspace = workspace;
    this.remedies = remedies;
    this.files = files;
    setId("survey-rules");
    setMinWidth(USE_PREF_SIZE);
    setOnShowing(_ -> fill());
    fill();
  }

  private RuleSet rules() {
    return workspace.project().survey().rules();
  }

  private void fill() {
    getItems().clear();
    for (Rule.Group group : Rule.Group.values()) {
      Menu menu = new Menu(group.label());
      for (Rule rule : Rule.values()) {
        if (rule.group() == group) {
          menu.getItems().add(severities(rule));
        }
      }
      getItems().add(menu);
    }
    CheckMenuItem strict = new CheckMenuItem(Messages.of("survey.contrast-of-aaa"));
    strict.setSelected(rules().limit(Rule.LOW_CONTRAST, "ratio") >= AAA);
    strict.setOnAction(_ -> {
      RuleSetting setting = rules().settings().getOrDefault(Rule.LOW_CONTRAST, RuleSetting.USUAL);
      RuleSetting changed =
          strict.isSelected()
              ? setting.withLimit("ratio", AAA).withLimit("large", AAA_LARGE)
              : new RuleSetting(setting.severity(), new java.util.TreeMap<>());
      remedies.setRules(rules().with(Rule.LOW_CONTRAST, changed));
    });
    getItems()
        .addAll(
            strict,
            new SeparatorMenuItem(),
            item(
                Messages.of("survey.import-rules"),
                () -> files.readRules().ifPresent(remedies::setRules)),
            item(Messages.of("survey.export-rules"), () -> files.writeRules(rules())),
            item(Messages.of("survey.usual-rules"), () -> remedies.setRules(RuleSet.USUAL)));
  }

  private Menu severities(Rule rule) {
    Menu menu = new Menu(rule.label());
    ToggleGroup group = new ToggleGroup();
    for (Severity severity : Severity.values()) {
      RadioMenuItem item = new RadioMenuItem(severity.label());
      item.setToggleGroup(group);
      item.setSelected(rules().severity(rule) == severity);
      item.setOnAction(_ ->
          remedies.setRules(
              rules()
                  .with(
                      rule,
                      rules()
                          .settings()
                          .getOrDefault(rule, RuleSetting.USUAL)
                          .withSeverity(severity))));
      menu.getItems().add(item);
    }
    return menu;
  }

  private static MenuItem item(String label, Runnable work) {
    MenuItem item = new MenuItem(label);
    item.setOnAction(_ -> work.run());
    return item;
  }
}
