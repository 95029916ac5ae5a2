package dynamorph.cli;

import dynamorph.cli.message.Messages;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Timeline;
import picocli.CommandLine;
import picocli.CommandLine.ParameterException;

/**
 * Frames of a film.
 *
 * @param first number of the first frame, from 0
 * @param last number of the last frame, which is meant too
 */
record FrameRange(long first, long last) {
  /**
   * Reads two timecodes with a hyphen between.
   *
   * @throws ParameterException saying what is expected
   */
  static FrameRange parse(Timeline line, String text, CommandLine command) {
    int dash = text.indexOf('-', 1);
    if (dash > 0) {
      long first = frame(line, text.substring(0, dash), command);
      long last = frame(line, text.substring(dash + 1), command);
      if (first <= last) {
        return new FrameRange(first, last);
      }
    }
    throw new ParameterException(command, Messages.of("render-command.write-range-as-00-00-01"));
  }

  /** The frame of a timecode, which the film has. */
  static long frame(Timeline line, String code, CommandLine command) {
    try {
      long frame = line.frameOf(code);
      if (frame < 0 || frame >= line.frames()) {
        throw new ParameterException(
            command,
            Messages.of(
                "render-command.the-film-has-no-frame-at",
                code,
                line.codeAt(Time.ZERO),
                line.codeAt(line.rate().at(line.frames() - 1))));
      }
      return frame;
    } catch (IllegalArgumentException wrong) {
      throw new ParameterException(command, wrong.getMessage());
    }
  }
}
