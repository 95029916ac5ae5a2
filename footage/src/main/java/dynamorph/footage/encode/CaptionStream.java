package dynamorph.footage.encode;

import static org.bytedeco.ffmpeg.global.avcodec.AV_CODEC_ID_MOV_TEXT;
import static org.bytedeco.ffmpeg.global.avcodec.AV_CODEC_ID_WEBVTT;
import static org.bytedeco.ffmpeg.global.avcodec.AV_INPUT_BUFFER_PADDING_SIZE;
import static org.bytedeco.ffmpeg.global.avcodec.av_new_packet;
import static org.bytedeco.ffmpeg.global.avcodec.av_packet_alloc;
import static org.bytedeco.ffmpeg.global.avcodec.av_packet_free;
import static org.bytedeco.ffmpeg.global.avformat.avformat_new_stream;
import static org.bytedeco.ffmpeg.global.avutil.AVMEDIA_TYPE_SUBTITLE;
import static org.bytedeco.ffmpeg.global.avutil.av_dict_set;
import static org.bytedeco.ffmpeg.global.avutil.av_mallocz;

import dynamorph.footage.FootageException;
import dynamorph.model.export.ExportFormat;
import dynamorph.model.timeline.Time;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.MissingResourceException;
import java.util.TreeSet;
import org.bytedeco.ffmpeg.avcodec.AVPacket;
import org.bytedeco.ffmpeg.avformat.AVStream;
import org.bytedeco.ffmpeg.avutil.AVDictionary;
import org.bytedeco.ffmpeg.avutil.AVRational;
import org.bytedeco.javacpp.BytePointer;

/** Captions as text beside the pictures: WebVTT in WebM, timed text (3GPP TS 26.245) elsewhere. */
final class CaptionStream implements AutoCloseable {
  private static final int UNITS_PER_SECOND = 90_000;

  /** The longest text of a sample, whose length is told in 16 bits. */
  private static final int MOST_BYTES = 0xFFFF;

  /** QuickTime has a list of its own, which mixes the two sets of ISO 639-2. */
  private static final Map<String, String> QUICKTIME =
      Map.of(
          "deu", "ger", "nld", "dut", "swe", "sve", "ell", "gre", "isl", "ice", "zho", "chi", "sqi",
          "alb", "mkd", "mac", "gle", "iri");

  private final Packets packets;
  private final AVStream stream;
  private final AVRational unit = new AVRational().num(1).den(UNITS_PER_SECOND);
  private final AVPacket packet = av_packet_alloc();
  private final boolean isWebVtt;
  private final List<FilmSettings.Cue> cues;
  private int written;

  CaptionStream(Packets packets, FilmSettings film, FilmSettings.CaptionTrack track) {
    this.packets = packets;
    this.isWebVtt = film.format() == ExportFormat.VP9;
    this.cues = isWebVtt ? track.cues() : oneAtATime(track.cues());
    this.stream = avformat_new_stream(packets.container(), null);
    stream.time_base(unit);
    stream.codecpar().codec_type(AVMEDIA_TYPE_SUBTITLE);
    stream.codecpar().codec_id(isWebVtt ? AV_CODEC_ID_WEBVTT : AV_CODEC_ID_MOV_TEXT);
    if (!isWebVtt) {
      // QuickTime has a text of its own, of another form
      stream.codecpar().codec_tag('t' | 'x' << 8 | '3' << 16 | 'g' << 24);
      byte[] look = sampleDescription();
      BytePointer extra =
          new BytePointer(av_mallocz(look.length + AV_INPUT_BUFFER_PADDING_SIZE))
              .put(look, 0, look.length);
      stream.codecpar().extradata(extra);
      stream.codecpar().extradata_size(look.length);
    }
    AVDictionary told = new AVDictionary(null);
    String letters = language(track.language());
    boolean isQuickTime = film.format().extension().equals("mov");
    av_dict_set(
        told, "language", isQuickTime ? QUICKTIME.getOrDefault(letters, letters) : letters, 0);
    av_dict_set(told, "title", track.name(), 0);
    av_dict_set(told, "handler_name", track.name(), 0);
    stream.metadata(told);
  }

  /** Three letters by ISO 639-2, of which most containers have no more. */
  private static String language(String tag) {
    try {
      String letters = Locale.forLanguageTag(tag).getISO3Language();
      return letters.isEmpty() ? "und" : letters;
    } catch (MissingResourceException unknown) {
      return "und";
    }
  }

  /** White letters without a ground in the middle of the foot: a text sample entry. */
  private static byte[] sampleDescription() {
    byte[] font = "Sans-Serif".getBytes(StandardCharsets.US_ASCII);
    ByteBuffer entry = ByteBuffer.allocate(4 + 2 + 4 + 8 + 12 + 8 + 2 + 2 + 1 + font.length);
    entry.putInt(0).put((byte) 1).put((byte) -1).putInt(0).putLong(0);
    entry.putShort((short) 0).putShort((short) 0).putShort((short) 1);
    entry.put((byte) 0).put((byte) 18).putInt(0xFFFFFFFF);
    entry.putInt(8 + 2 + 2 + 1 + font.length).put("ftab".getBytes(StandardCharsets.US_ASCII));
    entry.putShort((short) 1).putShort((short) 1).put((byte) font.length).put(font);
    return entry.array();
  }

  /** Cues of which no two are seen at once: where some are, one has the lines of all. */
  static List<FilmSettings.Cue> oneAtATime(List<FilmSettings.Cue> cues) {
    TreeSet<Time> edges = new TreeSet<>();
    cues.forEach(cue -> edges.addAll(List.of(cue.in(), cue.out())));
    List<FilmSettings.Cue> parted = new ArrayList<>();
    List<FilmSettings.Cue> live = new ArrayList<>();
    int next = 0;
    for (Time edge : edges) {
      live.removeIf(cue -> !edge.isBefore(cue.out()));
      for (; next < cues.size() && !cues.get(next).in().isAfter(edge); next++) {
        live.add(cues.get(next));
      }
      Time end = edges.higher(edge);
      if (!live.isEmpty() && end != null) {
        String text = String.join("\n", live.stream().map(FilmSettings.Cue::text).toList());
        boolean goesOn =
            !parted.isEmpty()
                && parted.getLast().out().equals(edge)
                && parted.getLast().text().equals(text)
                && live.size() > 1;
        Time begin = goesOn ? parted.removeLast().in() : edge;
        parted.add(new FilmSettings.Cue(begin, end, text));
      }
    }
    return parted;
  }

  /** Writes the cues that begin before a moment. */
  void writeUntil(Time moment) throws FootageException {
    for (; written < cues.size() && cues.get(written).in().isBefore(moment); written++) {
      FilmSettings.Cue cue = cues.get(written);
      byte[] sample = isWebVtt ? webVtt(cue.text()) : timedText(cue.text());
      packets.check(av_new_packet(packet, sample.length));
      packet.data().put(sample, 0, sample.length);
      packet.pts(units(cue.in()));
      packet.dts(packet.pts());
      packet.duration(units(cue.out()) - units(cue.in()));
      packets.write(packet, unit, stream);
    }
  }

  private static long units(Time time) {
    return Math.floorDiv(
        time.ticks() + Time.TICKS_PER_SECOND / UNITS_PER_SECOND / 2,
        Time.TICKS_PER_SECOND / UNITS_PER_SECOND);
  }

  private static byte[] webVtt(String text) {
    return text.replace("&", "&amp;")
        .replace("<", "&lt;")
        .replace(">", "&gt;")
        .getBytes(StandardCharsets.UTF_8);
  }

  private static byte[] timedText(String text) {
    byte[] words = text.getBytes(StandardCharsets.UTF_8);
    int length = Math.min(words.length, MOST_BYTES);
    // not within a character
    while (length < words.length && (words[length] & 0xC0) == 0x80) {
      length--;
    }
    return ByteBuffer.allocate(2 + length).putShort((short) length).put(words, 0, length).array();
  }

  @Override
  public void close() {
    av_packet_free(packet);
    unit.close();
  }
}
