package dynamorph.typeset.font;

import java.nio.ByteBuffer;
import java.util.HashSet;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Finds the features of a font in which the space can take part, by reading its layout tables
 * (OpenType, GSUB and GPOS). Where it takes part in none that is on, words can be shaped one by one
 * with the same result as the whole line, and a word seen before need not be shaped again. In doubt
 * the space counts as taking part.
 */
final class SpaceFeatures {
  /** Numbers that are read of a table; none that is sound takes more. */
  private static final int MOST_READS = 20_000_000;

  private final ByteBuffer table;
  private final boolean positioning;
  private final int space;
  private int reads;

  private SpaceFeatures(byte[] table, boolean positioning, int space) {
    this.table = ByteBuffer.wrap(table);
    this.positioning = positioning;
    this.space = space;
  }

  /**
   * The tags of features in which a glyph takes part; empty if the table is damaged, so that there
   * is no telling.
   *
   * @param table a GSUB or GPOS table
   * @param positioning whether it is GPOS
   */
  static Optional<Set<String>> features(byte[] table, boolean positioning, int glyph) {
    try {
      return Optional.of(new SpaceFeatures(table, positioning, glyph).features());
    } catch (IndexOutOfBoundsException damaged) {
      return Optional.empty();
    }
  }

  private Set<String> features() {
    Set<String> tags = new HashSet<>();
    int features = u16(6);
    int lookups = u16(8);
    Boolean[] known = new Boolean[u16(lookups)];
    for (int index = 0; index < u16(features); index++) {
      int record = features + 2 + index * 6;
      String tag = tag(record);
      int feature = features + u16(record + 4);
      for (int entry = 0; entry < u16(feature + 2); entry++) {
        int lookup = u16(feature + 4 + entry * 2);
        if (lookup >= known.length) {
          continue;
        }
        if (known[lookup] == null) {
          known[lookup] = lookup(lookups + u16(lookups + 2 + lookup * 2));
        }
        if (known[lookup]) {
          tags.add(tag);
        }
      }
    }
    return tags;
  }

  private boolean lookup(int lookup) {
    int type = u16(lookup);
    for (int index = 0; index < u16(lookup + 4); index++) {
      int subtable = lookup + u16(lookup + 6 + index * 2);
      int own = type;
      if (type == (positioning ? 9 : 7)) {
        own = u16(subtable + 2);
        subtable += (int) u32(subtable + 4);
      }
      if (positioning ? positions(own, subtable) : substitutes(own, subtable)) {
        return true;
      }
    }
    return false;
  }

  private boolean substitutes(int type, int at) {
    return switch (type) {
      case 1, 2, 3 -> covers(at + u16(at + 2));
      case 4 -> ligatures(at);
      case 5 -> context(at, false);
      case 6 -> context(at, true);
      case 8 -> reverse(at);
      default -> true;
    };
  }

  private boolean positions(int type, int at) {
    return switch (type) {
      case 1 -> covers(at + u16(at + 2));
      case 2 -> pairs(at);
      // marks are kept with what they stand on, and no mark is a space
      case 3, 4, 5, 6 -> type == 3 && covers(at + u16(at + 2));
      case 7 -> context(at, false);
      case 8 -> context(at, true);
      default -> true;
    };
  }

  private boolean ligatures(int at) {
    if (covers(at + u16(at + 2))) {
      return true;
    }
    for (int set = 0; set < u16(at + 4); set++) {
      int ligatures = at + u16(at + 6 + set * 2);
      for (int index = 0; index < u16(ligatures); index++) {
        int ligature = ligatures + u16(ligatures + 2 + index * 2);
        for (int part = 1; part < u16(ligature + 2); part++) {
          if (u16(ligature + 2 + part * 2) == space) {
            return true;
          }
        }
      }
    }
    return false;
  }

  private boolean pairs(int at) {
    int sizeOne = Integer.bitCount(u16(at + 4)) * 2;
    int sizeTwo = Integer.bitCount(u16(at + 6)) * 2;
    boolean first = covers(at + u16(at + 2));
    if (u16(at) == 1) {
      return first || secondOfPairs(at, sizeOne + sizeTwo);
    }
    int rowCount = u16(at + 12);
    int columnCount = u16(at + 14);
    int row = classOf(at + u16(at + 8));
    int column = classOf(at + u16(at + 10));
    int cell = sizeOne + sizeTwo;
    for (int index = 0; index < rowCount; index++) {
      if (moves(at + 16 + (index * columnCount + column) * cell, cell)) {
        return true;
      }
    }
    return first && moves(at + 16 + row * columnCount * cell, columnCount * cell);
  }

  private boolean secondOfPairs(int at, int size) {
    for (int set = 0; set < u16(at + 8); set++) {
      int pairs = at + u16(at + 10 + set * 2);
      for (int index = 0; index < u16(pairs); index++) {
        if (u16(pairs + 2 + index * (2 + size)) == space) {
          return true;
        }
      }
    }
    return false;
  }

  private boolean moves(int at, int bytes) {
    for (int index = 0; index < bytes; index += 2) {
      if (u16(at + index) != 0) {
        return true;
      }
    }
    return false;
  }

  private boolean context(int at, boolean chained) {
    return switch (u16(at)) {
      case 1 -> covers(at + u16(at + 2)) || rules(at, at + 4, chained, null);
      case 2 -> classContext(at, chained);
      case 3 -> chained ? coverages(at, at + 2, 3) : coverages(at);
      default -> true;
    };
  }

  private boolean classContext(int at, boolean chained) {
    if (covers(at + u16(at + 2))) {
      return true;
    }
    int[] classes =
        chained
            ? new int[] {
              classOf(at + u16(at + 4)), classOf(at + u16(at + 6)), classOf(at + u16(at + 8))
            }
            : new int[] {classOf(at + u16(at + 4))};
    return rules(at, at + (chained ? 10 : 6), chained, classes);
  }

  /**
   * Whether a rule names the space, or the class it belongs to.
   *
   * @param classes the space's class before, in and behind what is matched; null for rules by glyph
   */
  private boolean rules(int at, int sets, boolean chained, int @Nullable [] classes) {
    for (int set = 0; set < u16(sets); set++) {
      int offset = u16(sets + 2 + set * 2);
      if (offset == 0) {
        continue;
      }
      int rules = at + offset;
      for (int index = 0; index < u16(rules); index++) {
        int rule = rules + u16(rules + 2 + index * 2);
        if (chained ? chainedRule(rule, classes) : plainRule(rule, classes)) {
          return true;
        }
      }
    }
    return false;
  }

  private boolean plainRule(int rule, int @Nullable [] classes) {
    int wanted = classes == null ? space : classes[0];
    return holds(rule + 4, u16(rule) - 1, wanted);
  }

  private boolean chainedRule(int rule, int @Nullable [] classes) {
    int before = u16(rule);
    if (holds(rule + 2, before, classes == null ? space : classes[0])) {
      return true;
    }
    int input = rule + 2 + before * 2;
    int matched = u16(input) - 1;
    if (holds(input + 2, matched, classes == null ? space : classes[1])) {
      return true;
    }
    int behind = input + 2 + matched * 2;
    return holds(behind + 2, u16(behind), classes == null ? space : classes[2]);
  }

  private boolean holds(int at, int count, int wanted) {
    for (int index = 0; index < count; index++) {
      if (u16(at + index * 2) == wanted) {
        return true;
      }
    }
    return false;
  }

  private boolean coverages(int at) {
    for (int index = 0; index < u16(at + 2); index++) {
      if (covers(at + u16(at + 6 + index * 2))) {
        return true;
      }
    }
    return false;
  }

  /** Lists of coverages one after the other, each with its count. */
  private boolean coverages(int base, int list, int lists) {
    int from = list;
    for (int number = 0; number < lists; number++) {
      int count = u16(from);
      for (int index = 0; index < count; index++) {
        if (covers(base + u16(from + 2 + index * 2))) {
          return true;
        }
      }
      from += 2 + count * 2;
    }
    return false;
  }

  private boolean reverse(int at) {
    return covers(at + u16(at + 2)) || coverages(at, at + 4, 2);
  }

  private boolean covers(int at) {
    int count = u16(at + 2);
    if (u16(at) == 1) {
      return holds(at + 4, count, space);
    }
    for (int index = 0; index < count; index++) {
      int range = at + 4 + index * 6;
      if (u16(range) <= space && space <= u16(range + 2)) {
        return true;
      }
    }
    return false;
  }

  private int classOf(int at) {
    if (u16(at) == 1) {
      int index = space - u16(at + 2);
      return index >= 0 && index < u16(at + 4) ? u16(at + 6 + index * 2) : 0;
    }
    for (int index = 0; index < u16(at + 2); index++) {
      int range = at + 4 + index * 6;
      if (u16(range) <= space && space <= u16(range + 2)) {
        return u16(range + 4);
      }
    }
    return 0;
  }

  private int u16(int at) {
    if (++reads > MOST_READS) {
      throw new IndexOutOfBoundsException("the table leads in circles");
    }
    return table.getShort(at) & 0xFFFF;
  }

  private long u32(int at) {
    return table.getInt(at) & 0xFFFFFFFFL;
  }

  private String tag(int at) {
    StringBuilder tag = new StringBuilder(4);
    for (int index = 0; index < 4; index++) {
      tag.append((char) (table.get(at + index) & 0xFF));
    }
    return tag.toString();
  }
}
