package dynamorph.model.edit;

import dynamorph.model.Artboard;
import dynamorph.model.ArtboardId;
import dynamorph.model.Asset;
import dynamorph.model.Project;
import dynamorph.model.message.Messages;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.StyleLevel;
import dynamorph.model.survey.rule.SurveySettings;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Changes what belongs to the project as a whole. */
public sealed interface ChangeProject extends Edit {
  /** Chooses the style that plain text takes, or none. */
  record SetBaseStyle(Optional<StyleId> style) implements ChangeProject {
    @Override
    public Project applyTo(Project before) {
      checkLevel(before, style);
      return before.withBaseStyle(style);
    }

    @Override
    public String label(Project before) {
      return style
          .flatMap(before.styles()::find)
          .map(Style::name)
          .map(name -> Messages.of("change-project.make-the-base-style", name))
          .orElse(Messages.of("change-project.remove-the-base-style"));
    }
  }

  /** Chooses the style that plain text on one artboard takes, or that of the project. */
  record SetArtboardBase(ArtboardId artboard, Optional<StyleId> style) implements ChangeProject {
    @Override
    public Project applyTo(Project before) {
      checkLevel(before, style);
      return before.mapArtboards(board ->
          board.id().equals(artboard) && !board.baseStyle().equals(style)
              ? board.withBaseStyle(style)
              : board);
    }

    @Override
    public String label(Project before) {
      String board =
          before
              .artboard(artboard)
              .map(Artboard::name)
              .orElse(Messages.of("change-project.the-artboard"));
      return style
          .flatMap(before.styles()::find)
          .map(base -> Messages.of("change-project.make-the-base-style-of", base.name(), board))
          .orElse(Messages.of("change-project.let-have-the-base-style-of", board));
    }
  }

  private static void checkLevel(Project project, Optional<StyleId> style) {
    style
        .flatMap(project.styles()::find)
        .filter(base -> base.level() != StyleLevel.TEXT)
        .ifPresent(base -> {
          throw new EditRefused(
              Messages.of(
                  "change-project.only-a-text-style-can-be", base.name(), base.level().label()));
        });
  }

  /** Makes it another state as a whole, under a name. */
  record Replace(String name, Project wanted) implements ChangeProject {
    @Override
    public Project applyTo(Project before) {
      return wanted;
    }

    @Override
    public String label(Project before) {
      return name;
    }
  }

  /** Takes a file out of the project. */
  record RemoveAsset(String asset) implements ChangeProject {
    @Override
    public Project applyTo(Project before) {
      return before.withAssets(
          before.assets().stream().filter(one -> !one.name().equals(asset)).toList());
    }

    @Override
    public String label(Project before) {
      return Messages.of("change-project.take-out", asset);
    }
  }

  /** Changes what the survey of the project looks for, or what it leaves alone. */
  record SetSurvey(SurveySettings survey, String name) implements ChangeProject {
    @Override
    public Project applyTo(Project before) {
      return before.survey().equals(survey) ? before : before.withSurvey(survey);
    }

    @Override
    public String label(Project before) {
      return name;
    }
  }

  /** Takes a file into the project, in the place of one with the same name. */
  record PutAsset(Asset asset) implements ChangeProject {
    @Override
    public Project applyTo(Project before) {
      List<Asset> assets = new ArrayList<>(before.assets());
      assets.removeIf(other -> other.name().equals(asset.name()));
      assets.add(asset);
      return before.withAssets(assets);
    }

    @Override
    public String label(Project before) {
      return Messages.of("change-project.import", asset.name());
    }
  }
}
