package dynamorph.shelf.starter;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.formats.project.KitAbout;
import dynamorph.formats.styles.StyleFile;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.edit.importing.ImportStyles;
import dynamorph.model.edit.importing.StyleBundle;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.NamedReferences;
import dynamorph.model.style.Style;
import dynamorph.shelf.Shelf;
import dynamorph.shelf.entry.Kept;
import dynamorph.typeset.font.FontFace;
import dynamorph.typeset.font.FontLibrary;
import java.io.IOException;
import java.nio.file.Path;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class StarterKitsTest {
  static Stream<String> kits() {
    return StarterKits.all().stream().map(StarterKits.Kit::id);
  }

  @Test
  void thereAreEightKitsWithEightyLooks() {
    List<StarterKits.Kit> all = StarterKits.all();
    assertThat(all).hasSizeGreaterThanOrEqualTo(8);
    assertThat(all).allSatisfy(kit -> assertThat(kit.note()).isNotBlank());
    assertThat(all.stream().mapToInt(kit -> StarterKits.read(kit.id()).styles().size()).sum())
        .isGreaterThanOrEqualTo(80);
  }

  /** Every look is whole: its base, its swatches, its letters. */
  @ParameterizedTest
  @MethodSource("kits")
  void everyLookHasWhatItNeeds(String id) {
    Shelf kit = StarterKits.read(id);
    Project drawn = kit.asProject();
    Cascade cascade = Cascade.of(drawn);
    Set<String> names = new HashSet<>();
    try (FontLibrary fonts = FontLibrary.shipped()) {
      for (Kept.OfStyle kept : kit.styles()) {
        Style style = kept.style();
        assertThat(names.add(style.name())).as("%s twice", style.name()).isTrue();
        assertThat(drawn.styles().get(style.id()).basedOn())
            .as("base of %s", style.name())
            .isEqualTo(style.basedOn());
        assertThat(NamedReferences.in(List.of(style.properties())).swatches())
            .as("swatches of %s", style.name())
            .allMatch(swatch -> drawn.palette().find(swatch).isPresent());
        PropertySet values = cascade.values(style);
        values
            .get(Properties.FONT_FAMILY.key())
            .ifPresent(family -> {
              assertThat(fonts.has(family)).as("%s of %s", family, style.name()).isTrue();
              FontFace face = fonts.match(family, 400, dynamorph.model.value.Slant.UPRIGHT).face();
              assertThat(
                      style.sample().codePoints().filter(letter -> !Character.isWhitespace(letter)))
                  .as("letters of %s", style.name())
                  .allMatch(face::covers);
            });
      }
    }
  }

  @ParameterizedTest
  @MethodSource("kits")
  void aKitIsTakenIntoAnEmptyProject(String id) {
    Shelf kit = StarterKits.read(id);
    List<String> all = kit.styles().stream().map(Kept::id).toList();
    Project taken = new ImportStyles(kit.bundle(all), Map.of()).applyTo(Project.empty("New"));
    assertThat(taken.styles().size()).isEqualTo(all.size());
    Cascade there = Cascade.of(taken);
    Cascade here = Cascade.of(kit.asProject());
    for (Style style : taken.styles().list()) {
      Style origin =
          kit.asProject()
              .styles()
              .get(new dynamorph.model.style.StyleId(style.origin().orElseThrow().entry()));
      assertThat(there.values(style)).isEqualTo(here.values(origin));
    }
  }

  /** Eighty looks of every sort lose nothing on the way through design tokens. */
  @ParameterizedTest
  @MethodSource("kits")
  void aKitComesBackFromDesignTokensAsItWas(String id, @TempDir Path folder) throws IOException {
    Shelf kit = StarterKits.read(id);
    StyleBundle bundle =
        kit.bundle(
            Stream.concat(kit.styles().stream(), kit.swatches().stream()).map(Kept::id).toList());
    Path file = folder.resolve("kit.tokens.json");
    StyleFile.write(id, bundle, KitAbout.NOTHING, file);
    StyleFile.Read read = StyleFile.read(file);
    assertThat(read.remarks()).isEmpty();
    assertThat(read.bundle().swatches()).containsExactlyInAnyOrderElementsOf(bundle.swatches());
    assertThat(read.bundle().styles()).containsExactlyInAnyOrderElementsOf(bundle.styles());
    assertThat(StyleFile.write(id, bundle, KitAbout.NOTHING, folder.resolve("kit.css")))
        .allSatisfy(remark -> assertThat(remark).doesNotContain("Size (", "Font family ("));
  }
}
