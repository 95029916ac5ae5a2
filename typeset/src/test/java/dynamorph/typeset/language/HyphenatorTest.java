package dynamorph.typeset.language;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.BitSet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Words as the TeX patterns divide them, at least two letters before a hyphen and three behind. */
class HyphenatorTest {
  private final Hyphenators languages = new Hyphenators();

  private String divided(String language, String word, int before, int after) {
    BitSet points = new BitSet();
    languages.of(language).orElseThrow().points(word, 0, before, after, points);
    StringBuilder divided = new StringBuilder();
    for (int at = 0; at < word.length(); at++) {
      divided.append(points.get(at) ? "-" : "").append(word.charAt(at));
    }
    return divided.toString();
  }

  @ParameterizedTest
  @CsvSource({
    "en-GB, ac-cept-ably",
    "en-GB, coun-ter-part",
    "en-GB, god-less-ness",
    "en-GB, mor-pho-lo-gical",
    "en-GB, pro-cras-tin-ator",
    "en-US, ac-cep-tance",
    "en-US, cus-to-di-an-ship",
    "en-US, hep-tag-o-nal",
    "en-US, mi-cro-cir-cuit",
    "en-US, pro-fun-dity",
    "de, sil-ben-tren-nung",
    "de, do-nau-dampf-schiff",
    "de, ge-schwin-dig-keit",
    "de, wis-sen-schaft",
    "de, stra-ßen-bahn",
    "fr, aca-gnar-der",
    "fr, cy-clo-nage",
    "fr, fré-quem-ment",
    "fr, mo-li-no-sisme",
    "fr, re-mor-quer",
    "es, acae-cie-sen",
    "es, ci-ber-café",
    "es, emas-cu-lar",
    "es, ili-be-ri-tano",
    "es, pri-vi-le-giado",
    "it, ab-brac-ciata",
    "it, com-pia-ci-mento",
    "it, im-pli-ci-tis-sima",
    "it, ope-ra-zion-cina",
    "it, sal-da-tore",
    "nl, aan-hit-ser",
    "nl, du-a-lis-tisch",
    "nl, kas-te-loos",
    "nl, op-ge-zette",
    "nl, te-rug-vond",
    "pt, abe-lo-ni-ano",
    "pt, co-no-pí-deo",
    "pt, fan-ta-si-a-ção",
    "pt, ma-la-lanza",
    "pt, psi-ca-gogo",
    "pl, agro-fi-zyka",
    "pl, kur-so-rowy",
    "pl, nie-po-cie-niany",
    "pl, ny-sta-tyna",
    "pl, si-na-wo-zie-lony",
    "sv, ade-no-vi-rus",
    "sv, full-vär-dig",
    "sv, kom-men-te-ring",
    "sv, pap-pers-ar-be-tare",
    "sv, svin-ak-tig",
    "en-US, as-so-ciate",
    "en-US, ta-ble",
    "en-US, project"
  })
  void wordsAreDividedAsThePatternsSay(String language, String divided) {
    assertThat(divided(language, divided.replace("-", ""), 2, 3)).isEqualTo(divided);
  }

  @Test
  void limitsAndCapitalsAreKept() {
    assertThat(divided("en-US", "Hyphenation", 1, 1)).isEqualTo("Hy-phen-ation");
    assertThat(divided("en-US", "hyphenation", 3, 6)).isEqualTo("hyphenation");
    assertThat(divided("en-US", "hyphenation", 3, 5)).isEqualTo("hyphen-ation");
  }

  @Test
  void everyLanguageListedCanBeRead() {
    assertThat(Hyphenators.languages())
        .hasSizeGreaterThan(20)
        .allSatisfy(language -> assertThat(languages.of(language)).isPresent());
    assertThat(languages.of("de-AT")).isEqualTo(languages.of("de"));
    assertThat(languages.of("en-AU")).isEqualTo(languages.of("en-GB"));
    assertThat(languages.of("ja")).isEmpty();
  }
}
