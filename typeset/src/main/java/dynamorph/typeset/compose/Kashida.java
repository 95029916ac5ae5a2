package dynamorph.typeset.compose;

import com.ibm.icu.lang.UCharacter;
import com.ibm.icu.lang.UProperty;
import dynamorph.model.cascade.TypeLook;
import dynamorph.typeset.font.FontFace;
import dynamorph.typeset.shape.ShapedParagraph;
import dynamorph.typeset.shape.ShapedRun;
import io.github.humbleui.skija.Font;
import io.github.humbleui.skija.Path;
import io.github.humbleui.types.Rect;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.WeakHashMap;
import java.util.concurrent.ConcurrentHashMap;

/**
 * Where words of joined letters may be lengthened by a kashida: at most once in each, where a
 * scribe would first (Benatia, Elyaakoubi, Lazrek: Arabic text justification, TUGboat 27, 2006),
 * and only where both letters of a font join on the line of its tatweel.
 */
final class Kashida {
  static final int TATWEEL = 0x640;

  /** From the edge of a letter to where its join is looked for, in em. */
  private static final float WITHIN = 0.004f;

  private static final Map<FontFace, Optional<Joins>> KNOWN = new WeakHashMap<>();

  /**
   * A join that can be lengthened.
   *
   * @param unit first of the letter behind it
   * @param joins how many joins its word has
   */
  record Place(int unit, int joins) {}

  private Kashida() {}

  /** A cluster where it stands. */
  private record Cluster(ShapedRun run, int index) {
    int start() {
      return run.starts()[index];
    }

    int end() {
      return run.ends()[index];
    }

    /** Whether another is shaped together with it, if in another colour. */
    boolean isShapedWith(Cluster other, List<TypeLook> looks) {
      return run == other.run
          || run.face() == other.run.face()
              && run.level() == other.run.level()
              && looks.get(run.span()).size() == looks.get(other.run.span()).size();
    }
  }

  /**
   * The joins of a paragraph that can be lengthened, in logical order. Words that are cut by
   * colours are one.
   *
   * @param looks of its spans
   */
  static List<Place> places(ShapedParagraph shaped, List<TypeLook> looks) {
    List<Cluster> clusters = clusters(shaped);
    List<Place> places = new ArrayList<>();
    String text = shaped.text();
    Word word = new Word();
    for (int index = 1; index < clusters.size(); index++) {
      Cluster before = clusters.get(index - 1);
      Cluster after = clusters.get(index);
      int left = base(text, before.start(), before.end());
      int right = text.codePointAt(after.start());
      boolean one =
          before.end() == after.start() && UCharacter.isLetter(left) && UCharacter.isLetter(right);
      if (!one) {
        word.end(places);
        word = new Word();
      } else if (joinsBehind(left) && joinsBefore(right)) {
        boolean behind =
            index + 1 < clusters.size() && clusters.get(index + 1).start() == after.end();
        int next = behind ? text.codePointAt(clusters.get(index + 1).start()) : ' ';
        boolean drawn = before.isShapedWith(after, looks) && meet(before, after);
        word.join(after.start(), drawn ? rank(left, right, next) : NEVER);
      }
    }
    word.end(places);
    return places;
  }

  /** Those of joined letters that are written to the left, in logical order. */
  private static List<Cluster> clusters(ShapedParagraph shaped) {
    int last = shaped.text().length();
    List<Cluster> clusters = new ArrayList<>();
    for (ShapedRun run : shaped.runs()) {
      for (int index = 0;
          run.cursive() && run.rightToLeft() && index < run.clusterCount();
          index++) {
        if (run.ends()[index] <= last) {
          clusters.add(new Cluster(run, index));
        }
      }
    }
    clusters.sort(Comparator.comparingInt(Cluster::start));
    return clusters;
  }

  private static boolean meet(Cluster before, Cluster after) {
    return joins(before.run.face())
        .filter(font -> font.meet(before.run, before.index, after.run, after.index))
        .isPresent();
  }

  private static final int NEVER = Integer.MAX_VALUE;

  /** The best join of a word; of equal ones the last. */
  private static final class Word {
    private int best = NEVER;
    private int unit;
    private int joins;

    void join(int at, int rank) {
      joins++;
      if (rank != NEVER && rank <= best) {
        best = rank;
        unit = at;
      }
    }

    void end(List<Place> places) {
      if (best != NEVER) {
        places.add(new Place(unit, joins));
      }
    }
  }

  /** The last letter of a cluster, marks aside. */
  private static int base(String text, int start, int end) {
    int at = end;
    while (at > start) {
      int letter = text.codePointBefore(at);
      at -= Character.charCount(letter);
      if (joining(letter) != UCharacter.JoiningType.TRANSPARENT) {
        return letter;
      }
    }
    return text.codePointAt(start);
  }

  private static int joining(int letter) {
    return UCharacter.getIntPropertyValue(letter, UProperty.JOINING_TYPE);
  }

  private static boolean joinsBehind(int letter) {
    int type = joining(letter);
    return type == UCharacter.JoiningType.DUAL_JOINING
        || type == UCharacter.JoiningType.LEFT_JOINING
        || type == UCharacter.JoiningType.JOIN_CAUSING;
  }

  private static boolean joinsBefore(int letter) {
    int type = joining(letter);
    return type == UCharacter.JoiningType.DUAL_JOINING
        || type == UCharacter.JoiningType.RIGHT_JOINING
        || type == UCharacter.JoiningType.JOIN_CAUSING;
  }

  /** The smaller, the sooner: behind seen and sad, then before final letters by their forms. */
  private static int rank(int before, int after, int next) {
    if (before == TATWEEL || after == TATWEEL) {
      return 0;
    }
    int group = group(before);
    if (group == UCharacter.JoiningGroup.SEEN || group == UCharacter.JoiningGroup.SAD) {
      return 1;
    }
    boolean ends = !(joinsBehind(after) && joinsBefore(next));
    return switch (group(after)) {
      case UCharacter.JoiningGroup.TEH_MARBUTA,
          UCharacter.JoiningGroup.HEH,
          UCharacter.JoiningGroup.HEH_GOAL,
          UCharacter.JoiningGroup.DAL ->
          ends ? 2 : 6;
      case UCharacter.JoiningGroup.ALEF,
          UCharacter.JoiningGroup.TAH,
          UCharacter.JoiningGroup.LAM,
          UCharacter.JoiningGroup.KAF,
          UCharacter.JoiningGroup.GAF ->
          ends ? 3 : 6;
      case UCharacter.JoiningGroup.BEH ->
          group(next) == UCharacter.JoiningGroup.REH || group(next) == UCharacter.JoiningGroup.YEH
              ? 4
              : 6;
      case UCharacter.JoiningGroup.WAW,
          UCharacter.JoiningGroup.AIN,
          UCharacter.JoiningGroup.QAF,
          UCharacter.JoiningGroup.FEH ->
          ends ? 5 : 6;
      default -> 6;
    };
  }

  private static int group(int letter) {
    return UCharacter.getIntPropertyValue(letter, UProperty.JOINING_GROUP);
  }

  private static Optional<Joins> joins(FontFace face) {
    synchronized (KNOWN) {
      return KNOWN.computeIfAbsent(face, Joins::of);
    }
  }

  /** Which glyphs of a face have their joins on the line of its tatweel. */
  private static final class Joins {
    private final java.lang.ref.WeakReference<FontFace> face;
    private final float middle;
    private final Map<Integer, Boolean> rightEdges = new ConcurrentHashMap<>();
    private final Map<Integer, Boolean> leftEdges = new ConcurrentHashMap<>();

    private Joins(FontFace face, float middle) {
      this.face = new java.lang.ref.WeakReference<>(face);
      this.middle = middle;
    }

    static Optional<Joins> of(FontFace face) {
      if (!face.covers(TATWEEL)) {
        return Optional.empty();
      }
      try (Font font = face.font(FontFace.METRICS_SIZE);
          Path path = font.getPath((short) face.glyph(TATWEEL))) {
        if (path == null || !path.isFinite() || path.getBounds().isEmpty()) {
          return Optional.empty();
        }
        Rect bounds = path.getBounds();
        return Optional.of(new Joins(face, (bounds.getTop() + bounds.getBottom()) / 2));
      }
    }

    /** Whether a cluster joins the next, which stands to its left, on that line. */
    boolean meet(ShapedRun right, int before, ShapedRun left, int after) {
      int one = outer(right, before, false);
      int other = outer(left, after, true);
      return one >= 0
          && other >= 0
          && leftEdges.computeIfAbsent(right.glyphs()[one] & 0xFFFF, glyph -> touches(glyph, 0))
          && rightEdges.computeIfAbsent(
              left.glyphs()[other] & 0xFFFF, glyph -> touches(glyph, left.glyphAdvances()[other]));
    }

    /** The first or last glyph of a cluster that has a width, unless it stands off the line. */
    private static int outer(ShapedRun run, int cluster, boolean last) {
      int from = run.clusters()[cluster];
      int to = run.clusters()[cluster + 1];
      for (int step = 0; step < to - from; step++) {
        int glyph = last ? to - 1 - step : from + step;
        if (run.glyphAdvances()[glyph] > 0) {
          return run.y()[glyph] == 0 ? glyph : -1;
        }
      }
      return -1;
    }

    /** Whether a glyph is inked beside its left edge, or its right one at an advance. */
    private boolean touches(int glyph, float advance) {
      FontFace of = face.get();
      if (of == null) {
        return false;
      }
      float edge = advance == 0 ? WITHIN : advance - WITHIN;
      try (Font font = of.font(FontFace.METRICS_SIZE);
          Path path = font.getPath((short) glyph)) {
        return path != null
            && path.isFinite()
            && path.contains(edge * FontFace.METRICS_SIZE, middle);
      }
    }
  }
}
