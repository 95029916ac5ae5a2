package dynamorph.formats.captions;

import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.value.Anchor;
import dynamorph.model.value.WritingMode;
import java.util.Arrays;
import java.util.Optional;

/**
 * Where a vertical cue stands (W3C, WebVTT, 3.1 and 7.2): its line counts across the frame, from
 * the right where lines follow each other to the left; its position and size count down the frame.
 */
final class VttVertical {
  /** What an edge of the frame is kept free of where nothing says where, in hundredths. */
  private static final double INSET = 5;

  private final FrameBox frame;
  private final VttSettings settings;
  private final boolean leftwards;

  private VttVertical(FrameBox frame, VttSettings settings) {
    this.frame = frame;
    this.settings = settings;
    this.leftwards = settings.vertical().equals("rl");
  }

  /**
   * The place of a cue.
   *
   * @param line width of a line where lines are counted, in hundredths of the frame's height
   */
  static PropertySet place(FrameBox frame, VttSettings settings, double line) {
    return new VttVertical(frame, settings).placed(line * frame.height() / frame.width());
  }

  static String name(WritingMode mode) {
    return mode == WritingMode.VERTICAL_RIGHT_TO_LEFT ? "rl" : "lr";
  }

  /** A side of a cue and where it lies, in hundredths of the frame. */
  private record Side(double side, double at) {}

  private PropertySet placed(double line) {
    Side across = across(line);
    Side down = down();
    Anchor anchor =
        Arrays.stream(Anchor.values())
            .filter(one -> one.across() == across.side && one.down() == down.side)
            .findFirst()
            .orElseThrow();
    PropertySet placed =
        frame
            .place(anchor, Optional.of(across.at), Optional.of(down.at))
            .with(
                Properties.WRITING_MODE,
                leftwards
                    ? WritingMode.VERTICAL_RIGHT_TO_LEFT
                    : WritingMode.VERTICAL_LEFT_TO_RIGHT);
    // lines are never longer than the frame has room for from where they stand
    double room =
        down.side == 0
            ? 100 - down.at
            : down.side == 1 ? down.at : 2 * Math.min(down.at, 100 - down.at);
    return placed.overlaidBy(frame.height(Math.min(settings.size(), room)));
  }

  private Side across(double width) {
    if (settings.line().isEmpty()) {
      // as the last line: lines begin at the other edge
      return leftwards ? new Side(0, INSET) : new Side(1, 100 - INSET);
    }
    VttSettings.Line line = settings.line().get();
    if (!line.counted()) {
      double side =
          switch (line.align()) {
            case "center" -> 0.5;
            case "end" -> 1;
            default -> 0;
          };
      return new Side(side, line.at());
    }
    boolean fromTheEnd = line.at() < 0;
    double inwards = Math.clamp((fromTheEnd ? -line.at() - 1 : line.at()) * width, 0, 95);
    boolean right = leftwards != fromTheEnd;
    return right ? new Side(1, 100 - inwards) : new Side(0, inwards);
  }

  private Side down() {
    Optional<Double> position = settings.position().map(VttSettings.Position::share);
    return switch (settings.align()) {
      case "start", "left" -> new Side(0, position.orElse(INSET));
      case "end", "right" -> new Side(1, position.orElse(100 - INSET));
      default -> new Side(0.5, position.orElse(50.0));
    };
  }
}
