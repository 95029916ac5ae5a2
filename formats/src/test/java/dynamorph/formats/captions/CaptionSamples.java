package dynamorph.formats.captions;

/** Sound files, to be spoiled. */
public final class CaptionSamples {
  private static final String SUBRIP =
      """
      1
      00:00:01,000 --> 00:00:02,500
      <i>The clock</i> <font color="#ff8800">stopped</font>.

      2
      00:00:03,000 --> 00:00:04,000
      {\\an8}Twice.

      """;

  private static final String WEBVTT =
      """
      WEBVTT

      STYLE
      ::cue(.loud) { color: red; font-weight: bold; text-shadow: 1px 2px 3px #000 }

      REGION
      id:low
      width:40%
      regionanchor:0%,100%

      one
      00:01.000 --> 00:02.000 line:10% position:30%,line-left align:start region:low
      <v Ilse>The <c.loud>clock</c> <ruby>時<rt>toki</rt></ruby> &amp; more

      00:03.000 --> 00:04.000
      <00:03.500>Twice.
      """;

  private static final String TTML =
      """
      <?xml version="1.0"?>
      <tt xmlns="http://www.w3.org/ns/ttml" xmlns:tts="http://www.w3.org/ns/ttml#styling"
          xmlns:ttp="http://www.w3.org/ns/ttml#parameter" ttp:frameRate="25" ttp:tickRate="10">
        <head><styling><style xml:id="s" tts:color="red" tts:fontSize="5%"/></styling>
        <layout><region xml:id="r" tts:origin="10% 10%" tts:extent="80% 80%"/></layout></head>
        <body style="s"><div>
          <p begin="1s" end="00:00:02:12" region="r">The <span tts:fontStyle="italic">clock</span></p>
          <p begin="30t" dur="1s">Twice<br/>.</p>
        </div></body>
      </tt>
      """;

  /** A sound file of a format, with most of what it can hold. */
  public static String of(CaptionFiles.Format format) {
    return switch (format) {
      case SUBRIP -> SUBRIP;
      case WEBVTT -> WEBVTT;
      case TTML -> TTML;
    };
  }

  private CaptionSamples() {}
}
