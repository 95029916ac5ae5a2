package dynamorph.typeset.survey;

import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.edit.Edit;
import dynamorph.model.survey.Finding;
import dynamorph.model.survey.Remedy;
import dynamorph.model.survey.Spot;
import dynamorph.model.survey.SurveyedText;
import dynamorph.model.survey.TextFindings;
import dynamorph.model.survey.rule.Rule;
import dynamorph.model.survey.rule.RuleSet;
import dynamorph.model.text.Story;
import dynamorph.model.text.TextRange;
import dynamorph.typeset.language.QuotationMarks;
import dynamorph.typeset.message.Messages;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Spaces, quotation marks and dashes that were typed the quick way. */
public final class WordFindings implements TextFindings {
  private static final Pattern SPACES = Pattern.compile("(?<=\\S) {2,}(?=\\S)");
  private static final Pattern QUOTES = Pattern.compile("[\"']");

  /**
   * Hyphens between spaces, two in a row, and between numbers of which neither is part of a longer
   * row, as telephone numbers and dates are.
   */
  private static final Pattern DASHES =
      Pattern.compile(
          "(?<=\\S) -{1,3} (?=\\S)|(?<=[^\\s-])--(?=[^\\s-])"
              + "|(?<![\\d-]|\\d[.,/])(\\d{1,4})-(\\d{1,4})(?![\\d-]|[.,/]\\d)");

  private static final String EN_DASH = "\u2013";
  private static final String EM_DASH = "\u2014";
  private static final int SHOWN = 16;

  /** A place and what should stand there. */
  private record Slip(TextRange range, String instead) {}

  /** The rules that are looked at here. */
  private static final List<Rule> RULES =
      List.of(Rule.DOUBLE_SPACE, Rule.STRAIGHT_QUOTES, Rule.WRONG_DASH);

  @Override
  public List<Finding> in(SurveyedText text, RuleSet rules) {
    List<Finding> found = new ArrayList<>();
    for (Rule rule : RULES) {
      if (rules.has(rule)) {
        add(found, rules, rule, text);
      }
    }
    return found;
  }

  private static List<Slip> slips(Rule rule, SurveyedText of) {
    String text = of.story().text();
    return switch (rule) {
      case DOUBLE_SPACE -> spaces(text);
      case STRAIGHT_QUOTES -> quotes(of, text);
      case WRONG_DASH -> dashes(of, text);
      default -> List.of();
    };
  }

  /**
   * Mends the words of a text as they are when it is done, which may be after other rules have
   * mended them or somebody has written on.
   */
  private record Mend(Rule rule, LayerId layer) implements Edit {
    @Override
    public Project applyTo(Project before) {
      Cascade cascade = Cascade.of(before);
      return before.mapLayers(
          Set.of(layer),
          one -> one.withStory(mended(one.story(), SurveyedText.of(before, cascade, one))));
    }

    private Story mended(Story story, SurveyedText text) {
      Story mended = story;
      // from the end, so that the places before stay where they are
      for (Slip slip : slips(rule, text).reversed()) {
        mended = mended.replace(slip.range(), slip.instead());
      }
      return mended;
    }

    @Override
    public String label(Project before) {
      return Messages.of("word-findings.mend-in-a-text", rule.label());
    }
  }

  private static List<Slip> spaces(String text) {
    return matches(SPACES, text).stream().map(range -> new Slip(range, " ")).toList();
  }

  private static List<Slip> quotes(SurveyedText of, String text) {
    List<Slip> slips = new ArrayList<>();
    StringBuilder before = new StringBuilder();
    boolean quoted = false;
    int at = 0;
    for (TextRange range : matches(QUOTES, text)) {
      before.append(text, at, range.start());
      at = range.end();
      char typed = text.charAt(range.start());
      if (!quoted && isMeasure(text, range)) {
        before.append(typed);
        continue;
      }
      quoted ^= typed == '"';
      String mark = QuotationMarks.of(of.languageAt(range.start())).mark(typed, before);
      slips.add(new Slip(range, mark));
      before.append(mark);
    }
    return slips;
  }

  /** Inches, feet, minutes and seconds are written with straight marks. */
  private static boolean isMeasure(String text, TextRange range) {
    boolean number = range.start() > 0 && Character.isDigit(text.charAt(range.start() - 1));
    boolean word = range.end() < text.length() && Character.isLetter(text.charAt(range.end()));
    return number && !word;
  }

  private static List<Slip> dashes(SurveyedText of, String text) {
    List<Slip> slips = new ArrayList<>();
    Matcher matcher = DASHES.matcher(text);
    while (matcher.find()) {
      TextRange range = new TextRange(matcher.start(), matcher.end());
      if (matcher.group(1) != null) {
        slips.add(new Slip(range, matcher.group(1) + EN_DASH + matcher.group(2)));
      } else if (matcher.group().startsWith(" ")) {
        slips.add(new Slip(range, " " + EN_DASH + " "));
      } else {
        boolean english =
            Locale.forLanguageTag(of.languageAt(range.start())).getLanguage().equals("en");
        slips.add(new Slip(range, english ? EM_DASH : " " + EN_DASH + " "));
      }
    }
    return slips;
  }

  private static List<TextRange> matches(Pattern pattern, String text) {
    List<TextRange> found = new ArrayList<>();
    Matcher matcher = pattern.matcher(text);
    while (matcher.find()) {
      found.add(new TextRange(matcher.start(), matcher.end()));
    }
    return found;
  }

  private static void add(List<Finding> found, RuleSet rules, Rule rule, SurveyedText text) {
    List<Slip> slips = slips(rule, text);
    if (slips.isEmpty()) {
      return;
    }
    LayerId id = text.layer();
    String detail = near(text.story().text(), slips.getFirst().range());
    found.add(
        new Finding(
            rule,
            rules.severity(rule),
            slips.size() == 1
                ? detail
                : Messages.of("word-findings.and-more", detail, slips.size() - 1),
            slips.stream()
                .<Spot>map(slip -> new Spot.InText(id, Optional.of(slip.range())))
                .toList(),
            Optional.of(new Remedy(Messages.of("word-findings.mend"), new Mend(rule, id), true))));
  }

  /** Some words around a place. */
  static String near(String text, TextRange range) {
    int from = Math.max(0, range.start() - SHOWN);
    int to = Math.min(text.length(), range.end() + SHOWN);
    return (from > 0 ? "\u2026" : "")
        + text.substring(from, to).replace('\n', ' ')
        + (to < text.length() ? "\u2026" : "");
  }
}
