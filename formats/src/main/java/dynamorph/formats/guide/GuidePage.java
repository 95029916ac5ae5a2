package dynamorph.formats.guide;

import java.util.List;
import java.util.Optional;

/** A page of the guide, which begins with its title. */
public record GuidePage(String id, String title, List<GuideSection> sections) {
  /** The section at an anchor. */
  public Optional<GuideSection> section(String anchor) {
    return sections.stream().filter(section -> section.anchor().equals(anchor)).findFirst();
  }
}
