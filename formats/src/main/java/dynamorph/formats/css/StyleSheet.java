package dynamorph.formats.css;

import java.util.ArrayList;
import java.util.List;

/**
 * The rules of a style sheet (CSS Syntax, level 3, as far as texts need it), found in one pass,
 * since sheets come from anywhere.
 */
public final class StyleSheet {
  /**
   * A rule.
   *
   * @param selectors what it is for
   * @param declarations what stands between its braces
   */
  public record Rule(List<String> selectors, String declarations) {}

  private StyleSheet() {}

  /** The rules that are whole; what lies within an at-rule counts as rules of the sheet. */
  public static List<Rule> rules(String sheet) {
    String plain = withoutComments(sheet);
    List<Rule> rules = new ArrayList<>();
    int from = 0;
    int open = -1;
    for (int at = 0; at < plain.length(); at++) {
      char sign = plain.charAt(at);
      if (sign == '{') {
        if (open >= 0) {
          from = open + 1;
        }
        open = at;
      } else if (sign == '}') {
        if (open > from) {
          rules.add(new Rule(parts(plain.substring(from, open)), plain.substring(open + 1, at)));
        }
        open = -1;
        from = at + 1;
      }
    }
    return rules;
  }

  private static String withoutComments(String sheet) {
    StringBuilder plain = new StringBuilder();
    int from = 0;
    while (true) {
      int begin = sheet.indexOf("/*", from);
      int end = begin < 0 ? -1 : sheet.indexOf("*/", begin + 2);
      if (end < 0) {
        return plain.append(sheet, from, sheet.length()).toString();
      }
      plain.append(sheet, from, begin);
      from = end + 2;
    }
  }

  /** The parts of a list, cut at commas that stand outside of parentheses. */
  public static List<String> parts(String list) {
    List<String> parts = new ArrayList<>();
    int depth = 0;
    int from = 0;
    for (int at = 0; at < list.length(); at++) {
      char sign = list.charAt(at);
      if (sign == '(') {
        depth++;
      } else if (sign == ')') {
        depth = Math.max(0, depth - 1);
      } else if (sign == ',' && depth == 0) {
        parts.add(list.substring(from, at));
        from = at + 1;
      }
    }
    parts.add(list.substring(from));
    return parts;
  }
}
