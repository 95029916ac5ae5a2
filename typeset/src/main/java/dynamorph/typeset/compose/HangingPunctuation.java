package dynamorph.typeset.compose;

/**
 * How much of a sign's width stands out of the column when punctuation hangs by its full amount:
 * light signs wholly, heavier ones in part, so that the edge looks straight.
 */
final class HangingPunctuation {
  private HangingPunctuation() {}

  /** For a sign at the start of a line, a share of its width. */
  static double atStart(char sign) {
    return switch (sign) {
      case '"',
          '\'',
          '\u2018',
          '\u2019',
          '\u201A',
          '\u201B',
          '\u201C',
          '\u201D',
          '\u201E',
          '\u201F',
          '\u2039',
          '\u203A',
          '\u00AB',
          '\u00BB',
          '*',
          '\u2020' ->
          1;
      case '-', '\u2010', '\u2013' -> 0.6;
      case '(', '[', '{', '\u00BF', '\u00A1' -> 0.3;
      case '\u300C', '\u300E', '\u3008', '\u300A', '\uFF08' -> 0.5;
      case '\u2014' -> 0.3;
      case 'A', 'J', 'T', 'V', 'W', 'Y' -> 0.06;
      default -> 0;
    };
  }

  /** For a sign at the end of a line, a share of its width. */
  static double atEnd(char sign) {
    return switch (sign) {
      case '.',
          ',',
          '-',
          '\u2010',
          '\u00AD',
          '\u2026',
          '"',
          '\'',
          '\u2018',
          '\u2019',
          '\u201C',
          '\u201D',
          '\u2039',
          '\u203A',
          '\u00AB',
          '\u00BB',
          '*',
          '\u2020',
          '\u060C',
          '\u06D4' ->
          1;
      case ':', ';', '\u2013', '\u061B' -> 0.6;
      case '\u2014' -> 0.4;
      case '!', '?', ')', ']', '}', '\u061F' -> 0.3;
      case '\u3001', '\u3002', '\uFF0C', '\uFF0E', '\u300D', '\u300F', '\uFF09' -> 0.5;
      case 'A', 'K', 'L', 'T', 'V', 'W', 'Y' -> 0.06;
      default -> 0;
    };
  }
}
