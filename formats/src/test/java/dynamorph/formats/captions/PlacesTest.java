package dynamorph.formats.captions;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.model.edit.importing.CaptionList;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.value.Anchor;
import dynamorph.model.value.BoxFit;
import dynamorph.model.value.WritingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Where cues stand by what their files say. */
class PlacesTest {
  /**
   * Keys of a numeric block ({@code \an}, Advanced SubStation), and the older numbers: 1 to 3
   * below, 5 to 7 above, 9 to 11 in the middle ({@code \a}, SubStation Alpha 4).
   */
  @ParameterizedTest
  @CsvSource({
    "an1, BOTTOM_LEFT",
    "an3, BOTTOM_RIGHT",
    "an4, LEFT",
    "an5, CENTRE",
    "an6, RIGHT",
    "an7, TOP_LEFT",
    "an8, TOP",
    "an9, TOP_RIGHT",
    "a1, BOTTOM_LEFT",
    "a3, BOTTOM_RIGHT",
    "a5, TOP_LEFT",
    "a6, TOP",
    "a7, TOP_RIGHT",
    "a9, LEFT",
    "a10, CENTRE",
    "a11, RIGHT"
  })
  void placesOfSubRip(String code, Anchor anchor) throws CaptionException {
    assertThat(cue("1\n00:00:01,000 --> 00:00:02,000\n{\\" + code + "}words\n").local())
        .satisfies(
            local -> assertThat(local.get(Properties.ANCHOR.key())).isEqualTo(Optional.of(anchor)));
  }

  @ParameterizedTest
  @CsvSource({"an2", "a2"})
  void theMiddleOfTheFootIsWhereCaptionsStandAnyway(String code) throws CaptionException {
    assertThat(cue("1\n00:00:01,000 --> 00:00:02,000\n{\\" + code + "}words\n").local().isEmpty())
        .isTrue();
  }

  /** W3C, WebVTT, 6.3: a cue with a line, another width or vertical text is in no region. */
  @ParameterizedTest
  @CsvSource({
    "region:r, true", "region:r position:20%, true", "region:r align:left, true",
    "region:r line:3, false", "region:r line:10%, false", "line:0 region:r, false",
    "region:r size:50%, false", "region:r vertical:rl, false", "region:other, false"
  })
  void aCueWithALineOfItsOwnIsInNoRegion(String settings, boolean inRegion) {
    VttRegion region = VttRegion.parse("id:r width:40%");
    assertThat(VttSettings.parse(settings, List.of(region)).region().isPresent())
        .isEqualTo(inRegion);
  }

  /**
   * W3C, WebVTT, 3.1 and 7.2: lines count from the right where they follow each other to the left;
   * positions count down. A line is 5.33 % of 1080, or 3 % of 1920.
   */
  @ParameterizedTest
  @CsvSource({
    "vertical:rl line:0, RIGHT, 0, 0, 1080",
    "vertical:rl line:2, RIGHT, -115.1, 0, 1080",
    "vertical:rl line:-1, LEFT, 0, 0, 1080",
    "vertical:rl, LEFT, 96, 0, 1080",
    "vertical:lr line:0, LEFT, 0, 0, 1080",
    "vertical:lr line:-2, RIGHT, -57.6, 0, 1080",
    "vertical:lr, RIGHT, -96, 0, 1080",
    "vertical:rl line:80% size:40%, LEFT, 1536, 0, 432",
    "'vertical:rl line:80%,end', RIGHT, -384, 0, 1080",
    "vertical:rl line:0 align:start position:10%, TOP_RIGHT, 0, 108, 972",
    "vertical:rl line:0 align:end, BOTTOM_RIGHT, 0, -54, 1026"
  })
  void placesOfVerticalCues(String settings, Anchor anchor, double x, double y, double lines)
      throws CaptionException {
    PropertySet local =
        VttReader.read(
                "WEBVTT\n\n00:01.000 --> 00:02.000 " + settings + "\nwords\n",
                FrameBox.HD,
                new ArrayList<>())
            .cues()
            .getFirst()
            .local();
    assertThat(local.get(Properties.WRITING_MODE.key()))
        .contains(
            settings.contains(":rl")
                ? WritingMode.VERTICAL_RIGHT_TO_LEFT
                : WritingMode.VERTICAL_LEFT_TO_RIGHT);
    assertThat(local.get(Properties.ANCHOR.key())).contains(anchor);
    assertThat(local.get(Properties.POSITION_X.key()).orElseThrow()).isEqualTo(x);
    assertThat(local.get(Properties.POSITION_Y.key()).orElseThrow()).isEqualTo(y);
    // whatever box the track gives: as long as there is room
    assertThat(local.get(Properties.BOX.key())).contains(BoxFit.GROW);
    assertThat(local.get(Properties.BOX_HEIGHT.key()).orElseThrow()).isEqualTo(lines);
  }

  @Test
  void theLastOfTwoRegionsOfANameCounts() {
    VttRegion first = VttRegion.parse("id:r width:40%");
    VttRegion last = VttRegion.parse("id:r width:60%");
    assertThat(VttSettings.parse("region:r", List.of(first, last)).region()).contains(last);
  }

  private static CaptionList.Cue cue(String text) throws CaptionException {
    return SubRip.read(text, FrameBox.HD, new ArrayList<>()).cues().getFirst();
  }
}
