package dynamorph.formats.guide;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;

/** All pages, in the order in which they are read. */
public record Guide(List<GuidePage> pages) {
  /** How much is shown around what was found, in characters. */
  private static final int BEFORE = 40;

  private static final int AFTER = 90;
  private static final Pattern WORDS = Pattern.compile("\\s+");

  /**
   * A section that speaks of something.
   *
   * @param excerpt the words around the first place where it does
   */
  public record Found(GuidePage page, GuideSection section, String excerpt) {
    public GuideLink place() {
      return new GuideLink(page.id(), Optional.of(section.anchor()));
    }
  }

  public Optional<GuidePage> page(String id) {
    return pages.stream().filter(page -> page.id().equals(id)).findFirst();
  }

  /** Whether there is such a place. */
  public boolean has(GuideLink place) {
    return page(place.page())
        .filter(page -> place.anchor().isEmpty() || page.section(place.anchor().get()).isPresent())
        .isPresent();
  }

  /**
   * The sections in which all words stand, those first whose titles have them, then those that use
   * them most.
   */
  public List<Found> find(String wanted) {
    List<String> words =
        WORDS.splitAsStream(folded(wanted)).filter(word -> !word.isEmpty()).toList();
    if (words.isEmpty()) {
      return List.of();
    }
    record Ranked(Found found, int rank) {}
    List<Ranked> all = new ArrayList<>();
    for (GuidePage page : pages) {
      for (GuideSection section : page.sections()) {
        String title = folded(section.title());
        String text = section.text();
        String folded = folded(text);
        if (words.stream().allMatch(word -> title.contains(word) || folded.contains(word))) {
          int rank = words.stream().mapToInt(word -> rank(word, title, folded)).sum();
          all.add(new Ranked(new Found(page, section, excerpt(text, folded, words)), rank));
        }
      }
    }
    return all.stream()
        .sorted(Comparator.comparingInt(Ranked::rank).reversed())
        .map(Ranked::found)
        .toList();
  }

  private static final int OF_TITLE = 100;

  private static int rank(String word, String title, String text) {
    int times = 0;
    for (int at = text.indexOf(word); at >= 0; at = text.indexOf(word, at + word.length())) {
      times++;
    }
    return times + (title.contains(word) ? OF_TITLE : 0);
  }

  private static String excerpt(String text, String folded, List<String> words) {
    int first = words.stream().mapToInt(folded::indexOf).filter(at -> at >= 0).min().orElse(0);
    int from = first <= BEFORE ? 0 : text.lastIndexOf(' ', first - BEFORE) + 1;
    int to = Math.min(text.length(), first + AFTER);
    int space = text.lastIndexOf(' ', to);
    int end = to == text.length() || space <= first ? to : space;
    return (from > 0 ? "… " : "") + text.substring(from, end) + (end < text.length() ? " …" : "");
  }

  /** As long as the words themselves, so that places are the same in both. */
  private static String folded(String text) {
    String lower = text.toLowerCase(Locale.ROOT);
    return lower.length() == text.length() ? lower : text;
  }
}
