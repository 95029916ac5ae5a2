package dynamorph.model.survey;

import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.Coats;
import dynamorph.model.message.Messages;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.Numbers;
import java.util.Comparator;
import java.util.Optional;

/**
 * Proposes the base style of an artboard by its size, so that plain text can be read on the whole
 * of it.
 *
 * @param style the style proposed; empty if the project's base style suits the size
 * @param isNew whether it would have to be put into the project first
 */
public record BaseProposal(Optional<Style> style, boolean isNew) {
  /** Of the shorter side: text that can be read on the whole artboard, at any size of it. */
  private static final double SHARE = 1 / 30.0;

  /** A size that is off by no more than this factor will do. */
  private static final double NEAR = 1.5;

  /** The size of plain text on an artboard, in points. */
  public static double size(double width, double height) {
    return Math.max(1, Math.rint(Math.min(width, height) * SHARE));
  }

  /**
   * The style for an artboard of this size.
   *
   * @param width in points
   * @param height in points
   * @param id that a new style would have
   */
  public static BaseProposal of(Project project, double width, double height, StyleId id) {
    double wanted = size(width, height);
    Cascade cascade = Cascade.of(project);
    Optional<Style> base = project.baseStyle().flatMap(project.styles()::find);
    if (base.filter(style -> off(cascade, style, wanted) <= NEAR).isPresent()) {
      return new BaseProposal(Optional.empty(), false);
    }
    Optional<Style> used =
        project.artboards().stream()
            .flatMap(board -> board.baseStyle().stream())
            .distinct()
            .map(project.styles()::get)
            .filter(style -> off(cascade, style, wanted) <= NEAR)
            .min(Comparator.comparingDouble(style -> off(cascade, style, wanted)));
    if (used.isPresent()) {
      return new BaseProposal(used, false);
    }
    Style fresh =
        Style.text(
                id.value(),
                Messages.of(
                    "base-proposal.pt",
                    base.map(Style::name).orElse(Messages.of("base-proposal.base")),
                    Numbers.format(wanted)),
                base.map(Style::group).orElse(""))
            .withBasedOn(project.baseStyle())
            .withProperties(PropertySet.EMPTY.with(Properties.SIZE, FontSize.points(wanted)));
    return new BaseProposal(Optional.of(fresh), true);
  }

  /** The factor by which the size of a style is off. */
  private static double off(Cascade cascade, Style style, double wanted) {
    double size = Coats.value(cascade.values(style), Properties.SIZE.key()).over(0);
    return Math.max(size / wanted, wanted / size);
  }
}
