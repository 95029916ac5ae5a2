package dynamorph.formats.captions;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.model.edit.importing.CaptionList;
import dynamorph.model.property.Properties;
import dynamorph.model.value.Anchor;
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
