package dynamorph.app.survey;

import dynamorph.app.artboards.stage.StageView;
import dynamorph.app.message.Messages;
import dynamorph.app.session.Notice;
import dynamorph.app.session.Review;
import dynamorph.app.session.Workspace;
import dynamorph.model.LayerId;
import dynamorph.model.edit.ChangeProject;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.Target;
import dynamorph.model.edit.style.AdoptStyles;
import dynamorph.model.style.StyleId;
import dynamorph.model.survey.Finding;
import dynamorph.model.survey.Remedy;
import dynamorph.model.survey.Spot;
import dynamorph.model.survey.hidden.HiddenStyle;
import dynamorph.model.survey.rule.Ignored;
import dynamorph.model.survey.rule.RuleSet;
import dynamorph.paint.survey.Survey;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Does what mends findings: at once where nothing looks different, else it is looked at first. */
final class Remedies {
  private final Workspace workspace;
  private final StageView stage;

  Remedies(Workspace workspace, StageView stage) {
    this.workspace = workspace;
    this.stage = stage;
  }

  // --- hidden styles --------------------------------------------------------------------------

  /**
   * Lets texts follow a style that was hiding, with those it is based on.
   *
   * @param snapped pieces that take on all of its values
   */
  void adopt(HiddenStyle hidden, List<HiddenStyle> all, Set<Target.Words> snapped) {
    AdoptStyles edit = new AdoptStyles(adoptions(hidden, all, snapped));
    String name = hidden.style().name();
    if (snapped.isEmpty()) {
      done(
          edit,
          hidden.beside().isEmpty()
              ? Messages.of("survey.adopted", name, hidden.size())
              : Messages.of(
                  "survey.adopted-with-base",
                  name,
                  hidden.size(),
                  hidden.beside().getFirst().name()));
      workspace.pickedStyleProperty().set(Optional.of(hidden.style().id()));
    } else {
      workspace
          .attempts()
          .review(
              new Review(
                  Messages.of("survey.adopt-and-snap", name, snapped.size()),
                  edit,
                  Messages.of("survey.adopt")));
    }
  }

  private static List<AdoptStyles.Adoption> adoptions(
      HiddenStyle hidden, List<HiddenStyle> all, Set<Target.Words> snapped) {
    Map<StyleId, AdoptStyles.Adoption> adoptions = new LinkedHashMap<>();
    for (var base : hidden.beside()) {
      all.stream()
          .filter(one -> one.style().id().equals(base.id()))
          .findFirst()
          .ifPresent(one ->
              adoptions.put(
                  base.id(),
                  new AdoptStyles.Adoption(one.style(), Set.copyOf(one.members()), Set.of())));
    }
    Set<Target.Words> pieces = new HashSet<>(hidden.members());
    pieces.addAll(snapped);
    adoptions.put(hidden.style().id(), new AdoptStyles.Adoption(hidden.style(), pieces, snapped));
    return List.copyOf(adoptions.values());
  }

  /** Lets texts follow all styles that hide. */
  void adoptAll(List<HiddenStyle> all) {
    List<AdoptStyles.Adoption> adoptions = new ArrayList<>();
    all.forEach(one ->
        adoptions.add(new AdoptStyles.Adoption(one.style(), Set.copyOf(one.members()), Set.of())));
    done(new AdoptStyles(adoptions), Messages.of("survey.adopted-all", all.size()));
  }

  private void done(Edit edit, String told) {
    if (workspace.apply(edit)) {
      workspace.tell(Notice.offering(told, Messages.of("common.undo"), workspace::undo));
    }
  }

  // --- findings -------------------------------------------------------------------------------

  /** Mends one or more findings in one step. */
  void mend(List<Finding> findings) {
    List<Remedy> remedies =
        findings.stream().flatMap(finding -> finding.remedy().stream()).distinct().toList();
    if (remedies.isEmpty()) {
      return;
    }
    String label =
        remedies.size() == 1
            ? remedies.getFirst().label()
            : Messages.of("survey.mend-findings", remedies.size());
    Edit edit = Edit.together(label, remedies.stream().map(Remedy::edit).toArray(Edit[]::new));
    if (remedies.stream().anyMatch(Remedy::changesLooks)) {
      workspace.attempts().review(new Review(label, edit, Messages.of("survey.do-it")));
    } else {
      done(edit, label);
    }
  }

  // --- showing --------------------------------------------------------------------------------

  /** Selects the texts that findings are about, and shows the first of them. */
  void show(List<Finding> findings) {
    Set<LayerId> layers = new LinkedHashSet<>();
    findings.forEach(finding -> layers.addAll(finding.layers()));
    findings.stream()
        .flatMap(finding -> finding.spots().stream())
        .filter(Spot.OfStyle.class::isInstance)
        .findFirst()
        .ifPresent(spot ->
            workspace.pickedStyleProperty().set(Optional.of(((Spot.OfStyle) spot).style())));
    if (!layers.isEmpty()) {
      select(layers);
    }
  }

  /** Selects the texts that would follow a style. */
  void show(HiddenStyle hidden) {
    Set<LayerId> layers = new LinkedHashSet<>();
    hidden.all().forEach(member -> layers.add(member.layer()));
    select(layers);
  }

  void show(LayerId layer) {
    select(Set.of(layer));
  }

  private void select(Set<LayerId> layers) {
    if (!workspace.view().sheetProperty().get()) {
      stage.reveal(layers.iterator().next());
    }
    workspace.select(layers);
  }

  // --- ignoring -------------------------------------------------------------------------------

  void ignore(Finding finding, String note) {
    ignore(finding.mark(), note);
  }

  void ignore(HiddenStyle hidden, String note) {
    ignore(Survey.mark(hidden), note);
  }

  private void ignore(String mark, String note) {
    String label = Messages.of("survey.ignore-a-finding");
    done(
        new ChangeProject.SetSurvey(
            workspace.project().survey().ignoring(new Ignored(mark, note.strip())), label),
        Messages.of("survey.is-ignored"));
  }

  /** Tells a finding again. */
  void tellAgain(String mark) {
    workspace.apply(
        new ChangeProject.SetSurvey(
            workspace.project().survey().telling(mark), Messages.of("survey.tell-it-again")));
  }

  /** Changes what is looked for. */
  void setRules(RuleSet rules) {
    workspace.apply(
        new ChangeProject.SetSurvey(
            workspace.project().survey().withRules(rules), Messages.of("survey.change-the-rules")));
  }
}
