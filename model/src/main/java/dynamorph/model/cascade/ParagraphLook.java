package dynamorph.model.cascade;

import dynamorph.model.value.Alignment;
import dynamorph.model.value.EastAsianBreaks;
import dynamorph.model.value.HyphenationExceptions;
import dynamorph.model.value.LastLine;
import dynamorph.model.value.LineBreaking;
import dynamorph.model.value.ListKind;
import dynamorph.model.value.NumberStyle;
import dynamorph.model.value.OverlongWords;
import dynamorph.model.value.PunctuationSpacing;
import dynamorph.model.value.TabStops;
import dynamorph.model.value.TextDirection;

/** The resolved settings of a paragraph; lengths in points. */
public record ParagraphLook(
    Alignment alignment,
    LastLine lastLine,
    Indents indents,
    double spaceBefore,
    double spaceAfter,
    Breaking breaking,
    Justification justification,
    Hyphenation hyphenation,
    Hanging hanging,
    Tabs tabs,
    ListMark list,
    DropCapital drop) {
  /**
   * The same with nothing said about what is not there: a mark where there is no list, a drop
   * capital, where words that are not divided would be.
   *
   * @param tabs whether the text has tabs
   */
  public ParagraphLook asSeen(boolean tabs) {
    return new ParagraphLook(
        alignment,
        lastLine,
        indents,
        spaceBefore,
        spaceAfter,
        breaking,
        justification,
        hyphenation.on() ? hyphenation : hyphenation.withoutZone(),
        hanging,
        tabs ? this.tabs : new Tabs(TabStops.NONE, 0),
        list.kind() == ListKind.NONE
            ? new ListMark(ListKind.NONE, "", list.numbers(), "", 0, 0)
            : list,
        drop.isThere() ? drop : new DropCapital(0, 0, 0));
  }

  /** Indents from the edges of the measure; that of the first line comes on top of the start's. */
  public record Indents(double first, double start, double end) {}

  /**
   * How lines are chosen.
   *
   * @param balance whether lines are made about equally long
   * @param keepLastWord whether a single word may not stand on the last line
   * @param keep which lines stay in one column
   * @param scriptSpacing whether East Asian letters keep a little distance from others
   */
  public record Breaking(
      LineBreaking breaker,
      boolean balance,
      boolean keepLastWord,
      Keep keep,
      TextDirection direction,
      EastAsianBreaks eastAsian,
      OverlongWords overlong,
      boolean scriptSpacing,
      PunctuationSpacing punctuation) {}

  /**
   * Which lines stay in one column.
   *
   * @param edges whether a single line may not stand at the foot or head of a column
   * @param together whether all lines of the paragraph stay together
   * @param withNext whether its end stays with the beginning of the next paragraph
   * @param breakBefore whether it begins a column
   */
  public record Keep(boolean edges, boolean together, boolean withNext, boolean breakBefore) {
    public static final Keep FREE = new Keep(false, false, false, false);
  }

  /**
   * What may change in a justified line, each with its least, best and most.
   *
   * @param kashida whether words of joined letters may be lengthened at their joins
   */
  public record Justification(Range word, Range letter, Range glyph, boolean kashida) {
    /**
     * Limits; word and glyph are factors of what the font gives, letter is em.
     *
     * @param least never more than best
     * @param most never less than best
     */
    public record Range(double least, double best, double most) {
      public Range {
        least = Math.min(least, best);
        most = Math.max(most, best);
      }
    }
  }

  /**
   * How words are divided.
   *
   * @param shortest letters of the shortest word that is divided
   * @param row how many lines in a row may end in a hyphen; 0 for any number
   * @param zone points; ragged lines that end closer to the edge are left as they are
   * @param capitals whether words all in capitals are divided
   * @param exceptions words that are divided otherwise than their language does
   * @param cost how much a hyphen counts against a choice of lines
   */
  public record Hyphenation(
      boolean on,
      int shortest,
      int before,
      int after,
      int row,
      double zone,
      boolean lastWord,
      boolean capitals,
      HyphenationExceptions exceptions,
      double cost) {
    /** The same, but for what does not decide where words may be divided. */
    public Hyphenation withoutZone() {
      return new Hyphenation(on, shortest, before, after, 0, 0, lastWord, capitals, exceptions, 0);
    }
  }

  /** How far punctuation stands out, 0 to 1 of its full amount. */
  public record Hanging(double start, double end) {
    public boolean none() {
      return start == 0 && end == 0;
    }
  }

  /** Where tabs stop; behind the last stop, at every multiple of {@code every} points. */
  public record Tabs(TabStops stops, double every) {}

  /** What stands before the paragraph; the gap in points. */
  public record ListMark(
      ListKind kind, String bullet, NumberStyle numbers, String after, int start, double gap) {
    /** Whether its paragraph counts on from one that stands directly before it. */
    public boolean countsOn(ListMark before) {
      return kind == ListKind.NUMBERS
          && before.kind == ListKind.NUMBERS
          && before.numbers == numbers
          && before.start == start;
    }
  }

  /** Letters that stand several lines deep; none if {@code lines} is below 2. The gap in points. */
  public record DropCapital(int lines, int letters, double gap) {
    public boolean isThere() {
      return lines > 1;
    }
  }
}
