package dynamorph.paint.arrange;

import java.util.List;

/**
 * Where something that is dragged comes to lie.
 *
 * @param across how far it is moved on to the right, in points
 * @param down how far it is moved on downwards, in points
 * @param guides the lines that it then lies on
 * @param gaps the equal gaps that it then makes
 */
public record Snap(double across, double down, List<Guide> guides, List<Gap> gaps) {
  /** It lies on nothing. */
  public static final Snap NONE = new Snap(0, 0, List.of(), List.of());

  public Snap {
    guides = List.copyOf(guides);
    gaps = List.copyOf(gaps);
  }

  /** With only the lines and gaps of the directions in which it may move. */
  public Snap along(boolean sideways, boolean upright) {
    return new Snap(
        sideways ? across : 0,
        upright ? down : 0,
        guides.stream().filter(guide -> guide.axis() == Axis.ACROSS ? sideways : upright).toList(),
        gaps.stream().filter(gap -> gap.axis() == Axis.ACROSS ? sideways : upright).toList());
  }

  /**
   * A line that several things lie on.
   *
   * @param axis the direction in which they were moved onto it; the line runs in the other
   * @param at where it lies along the axis, in points of the artboard
   * @param from where the first of them begins along the line, in points
   * @param to where the last of them ends along the line, in points
   */
  public record Guide(Axis axis, double at, double from, double to) {}

  /**
   * A gap between two things that another pair has too.
   *
   * @param from along the axis, in points of the artboard
   * @param to along the axis, in points
   * @param at where in the other direction both stand, in points
   */
  public record Gap(Axis axis, double from, double to, double at) {
    public double size() {
      return to - from;
    }
  }
}
