package dynamorph.formats.file;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PlainTextTest {
  @ParameterizedTest
  @CsvSource({
    "UTF-8, Halewijn — klokkenmaker 時計 ساعة",
    "UTF-16LE, Halewijn and the tower clock",
    "UTF-16BE, Halewijn and the tower clock",
    "windows-1252, Zwölf Glocken läuten über der Brücke für die Gäste",
    "ISO-8859-1, Le clocher a sonné à midi passé près de la forêt",
    "windows-1251, Часы на башне остановились в десять минут пятого утра",
    "Shift_JIS, 塔の時計は四時十分で止まりました。誰も理由を尋ねませんでした。"
  })
  void textIsReadInTheEncodingThatItIsWrittenIn(String charset, String text) {
    assertThat(PlainText.decode(text.getBytes(Charset.forName(charset)))).isEqualTo(text);
  }

  @ParameterizedTest
  @CsvSource({"UTF-8", "UTF-16LE", "UTF-16BE"})
  void aByteOrderMarkSaysItAndIsNoLetter(String charset) {
    byte[] bytes = "\uFEFFa時".getBytes(Charset.forName(charset));
    assertThat(PlainText.decode(bytes)).isEqualTo("a時");
  }

  @Test
  void nothingIsAnEmptyText() {
    assertThat(PlainText.decode(new byte[0])).isEmpty();
  }

  @Test
  void anyBytesAreSomeText() {
    for (int seed = 0; seed < 300; seed++) {
      SplittableRandom random = new SplittableRandom(seed);
      byte[] bytes = new byte[random.nextInt(200)];
      random.nextBytes(bytes);
      assertThat(PlainText.decode(bytes)).as("seed %d", seed).isNotNull();
    }
  }

  @Test
  void whatIsUtf8IsNeverTakenForAnythingElse() {
    for (int seed = 0; seed < 300; seed++) {
      SplittableRandom random = new SplittableRandom(seed);
      StringBuilder text = new StringBuilder("x");
      for (int letter = 0; letter < 40; letter++) {
        text.appendCodePoint("aé時ä—🔔ع".codePointAt(random.nextInt(5)));
      }
      assertThat(PlainText.decode(text.toString().getBytes(StandardCharsets.UTF_8)))
          .isEqualTo(text.toString());
    }
  }
}
