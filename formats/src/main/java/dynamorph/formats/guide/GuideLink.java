package dynamorph.formats.guide;

import java.util.Optional;

/**
 * A place in the guide.
 *
 * @param page its id, such as {@code typesetting}
 * @param anchor of a section; without one it is the beginning of the page
 */
public record GuideLink(String page, Optional<String> anchor) {
  private static final String ENDING = ".md";

  /**
   * Reads a place as code and pages write it: {@code finishes}, {@code typesetting#kashida}.
   *
   * @param here the page on which it is written: {@code #kashida} is a place there
   */
  public static GuideLink of(String written, String here) {
    int sharp = written.indexOf('#');
    String page = sharp < 0 ? written : written.substring(0, sharp);
    if (page.endsWith(ENDING)) {
      page = page.substring(0, page.length() - ENDING.length());
    }
    return new GuideLink(
        page.isEmpty() ? here : page,
        sharp < 0 ? Optional.empty() : Optional.of(written.substring(sharp + 1)));
  }
}
