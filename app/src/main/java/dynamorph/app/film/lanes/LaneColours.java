package dynamorph.app.film.lanes;

import dynamorph.app.theme.Theme;
import javafx.scene.paint.Color;

/** What lanes are painted with; the same meanings as everywhere in the window. */
record LaneColours(
    Color ground,
    Color line,
    Color words,
    Color quiet,
    Color style,
    Color styleSoft,
    Color local,
    Color localSoft,
    Color problem,
    Color problemSoft,
    Color plain,
    Color plainSoft,
    Color mark) {
  private static final LaneColours CHALK =
      new LaneColours(
          Color.web("#FFFDF9"),
          Color.web("#EBE5DA"),
          Color.web("#24313C"),
          Color.web("#69757F"),
          Color.web("#0E6B63"),
          Color.web("#DDEEEA"),
          Color.web("#B8470B"),
          Color.web("#FBE6D8"),
          Color.web("#7C2A62"),
          Color.web("#F4E3EE"),
          Color.web("#B9AC96"),
          Color.web("#E8E0D2"),
          Color.web("#24313C"));

  private static final LaneColours LAMP =
      new LaneColours(
          Color.web("#2A2724"),
          Color.web("#3F3A35"),
          Color.web("#F2EADD"),
          Color.web("#A89F92"),
          Color.web("#5FC2B4"),
          Color.web("#24403C"),
          Color.web("#F0935A"),
          Color.web("#4A3021"),
          Color.web("#E08AC4"),
          Color.web("#46273C"),
          Color.web("#8B8073"),
          Color.web("#3C3732"),
          Color.web("#F2EADD"));

  static LaneColours of(Theme theme) {
    return theme == Theme.CHALK ? CHALK : LAMP;
  }
}
