package dynamorph.formats.guide;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * Words of one look.
 *
 * @param look how they are set
 * @param link where they lead: a page of the guide, an anchor, or both
 */
public record GuideRun(String text, Look look, Optional<GuideLink> link) {
  /** How words are set. */
  public enum Look {
    PLAIN,
    STRONG,
    EMPHASIS,
    CODE
  }

  static String text(List<GuideRun> runs) {
    return runs.stream().map(GuideRun::text).collect(Collectors.joining());
  }
}
