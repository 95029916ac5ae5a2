package dynamorph.model.message;

import com.ibm.icu.text.CollationKey;
import com.ibm.icu.text.Collator;
import com.ibm.icu.text.RuleBasedCollator;
import java.util.Locale;

/**
 * The order in which people of a language look words up: capitals and marks count for little, and
 * numbers within words are compared as numbers (Unicode collation, UTS #10). Safe on any thread.
 */
public final class WordOrder {
  private static final Collator COLLATOR = collator();

  /** What words are compared by. */
  public record Key(CollationKey key) implements Comparable<Key> {
    @Override
    public int compareTo(Key other) {
      return key.compareTo(other.key);
    }
  }

  private WordOrder() {}

  private static Collator collator() {
    Collator collator = Collator.getInstance(Locale.ENGLISH);
    if (collator instanceof RuleBasedCollator byRules) {
      byRules.setNumericCollation(true);
    }
    return collator.freeze();
  }

  /** What some words are compared by; working it out takes longer than comparing. */
  public static Key key(String words) {
    return new Key(COLLATOR.getCollationKey(words));
  }
}
