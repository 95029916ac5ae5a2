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

  private static final String SUBSTATION =
      """
      [Script Info]
      ; by hand
      ScriptType: v4.00+
      PlayResX: 640
      PlayResY: 360

      [V4+ Styles]
      Format: Name, Fontname, Fontsize, PrimaryColour, SecondaryColour, OutlineColour, BackColour, \
      Bold, Italic, Underline, StrikeOut, ScaleX, ScaleY, Spacing, Angle, BorderStyle, Outline, \
      Shadow, Alignment, MarginL, MarginR, MarginV, Encoding
      Style: Default,Anton,30,&H00FFFFFF,&H000000FF,&H00202020,&H80000000,-1,0,0,0,100,100,0,0,1,2,1,2,10,10,20,1
      Style: Sign,Lora,24,&H0000FFFF,&H000000FF,&H00000000,&H00000000,0,-1,0,0,90,100,1,0,3,4,0,8,10,10,20,1

      [Events]
      Format: Layer, Start, End, Style, Name, MarginL, MarginR, MarginV, Effect, Text
      Dialogue: 0,0:00:01.00,0:00:02.50,Default,Ilse,0,0,0,,{\\i1}The clock{\\i0}, {\\c&H0088FF&}stopped{\\rSign}.
      Dialogue: 0,0:00:03.00,0:00:04.00,Sign,,0,0,0,,{\\an8\\pos(320,40)\\fad(200,300)}Twice\\Nor more
      """;

  /** A sound file of a format, with most of what it can hold. */
  public static String of(CaptionFiles.Format format) {
    return switch (format) {
      case SUBRIP -> SUBRIP;
      case WEBVTT -> WEBVTT;
      case TTML -> TTML;
      case SUBSTATION -> SUBSTATION;
    };
  }

  private CaptionSamples() {}
}
