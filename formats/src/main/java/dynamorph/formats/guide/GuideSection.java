package dynamorph.formats.guide;

import java.util.List;
import java.util.stream.Collectors;

/**
 * What stands under a heading.
 *
 * @param anchor the heading in lower case, with hyphens for spaces
 * @param level of the heading, 1 for that of the page
 */
public record GuideSection(
    String page, String anchor, String title, int level, List<GuideBlock> blocks) {
  /** All its words. */
  public String text() {
    return blocks.stream().map(GuideBlock::text).collect(Collectors.joining(" "));
  }
}
