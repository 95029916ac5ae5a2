package dynamorph.formats.captions;

import java.nio.charset.StandardCharsets;

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

  private static final String SCC =
      """
      Scenarist_SCC V1.0

      00:00:01:00\t9420 9420 94ae 94ae 9476 9476 97a2 97a2 c8e9 91ae 91ae 61ec ec80 942f 942f

      00:00:03:10\t942c 942c 9425 9425 94ad 94ad 9470 9470 4f6e e580 9220 9220

      00:00:05;00\t9425 9425 94ad 94ad 5477 ef80 94ad 94ad 942c 942c

      00:00:07:00\t9429 9429 9140 9140 6180 94a1 94a1 6180 942c 942c
      """;

  /** The bytes of a sound file of a format. */
  public static byte[] bytes(CaptionFiles.Format format) {
    boolean binary = format == CaptionFiles.Format.EBU_STL;
    return of(format).getBytes(binary ? StandardCharsets.ISO_8859_1 : StandardCharsets.UTF_8);
  }

  /** A sound file of a format, with most of what it can hold. */
  private static String of(CaptionFiles.Format format) {
    return switch (format) {
      case SUBRIP -> SUBRIP;
      case WEBVTT -> WEBVTT;
      case TTML -> TTML;
      case SUBSTATION -> SUBSTATION;
      case EBU_STL -> stl();
      case SCC -> SCC;
    };
  }

  /** A file of EBU STL whose letters stand for a byte each. */
  private static String stl() {
    StringBuilder file = new StringBuilder(" ".repeat(1024));
    file.replace(0, 16, "850STL25.0110009");
    file.replace(253, 264, "23100000000");
    file.append("\0\0\0\u00ff\0\0\0\1\0\0\0\2\14\24\2\0");
    String words = "\r\13\13The \6clock\12\12\u008a\u008a\r\13\13struck \u00c2etoile\12\12";
    file.append(words).append("\u008f".repeat(112 - words.length()));
    file.append("\1\0\0\u00ff\0\0\0\3\0\0\0\4\0\4\1\0");
    file.append("\u0080Twice\u0081.").append("\u008f".repeat(104));
    return file.toString();
  }

  private CaptionSamples() {}
}
