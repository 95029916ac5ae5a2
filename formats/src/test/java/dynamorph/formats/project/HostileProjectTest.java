package dynamorph.formats.project;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dynamorph.formats.html.HtmlText;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Files that were made to do harm, or by a program that is broken. */
class HostileProjectTest {
  @TempDir Path folder;

  private Path file;
  private final Map<String, String> documents = new LinkedHashMap<>();

  @BeforeEach
  void documents() throws IOException {
    file = folder.resolve("hour.dmorph");
    ProjectFile.write(SmallProject.project(), file);
    try (ZipFile zip = new ZipFile(file.toFile())) {
      for (ZipEntry entry : zip.stream().toList()) {
        documents.put(
            entry.getName(),
            new String(zip.getInputStream(entry).readAllBytes(), StandardCharsets.UTF_8));
      }
    }
  }

  private void spoil(String entry, String from, String to) {
    assertThat(documents.get(entry)).contains(from);
    documents.computeIfPresent(entry, (_, text) -> text.replace(from, to));
  }

  private void write() throws IOException {
    try (ZipOutputStream zip = new ZipOutputStream(Files.newOutputStream(file))) {
      for (Map.Entry<String, String> document : documents.entrySet()) {
        zip.putNextEntry(new ZipEntry(document.getKey()));
        zip.write(document.getValue().getBytes(StandardCharsets.UTF_8));
        zip.closeEntry();
      }
    }
  }

  /** Refused in one short line that names the place. */
  private void assertRefused(String... words) {
    assertThatThrownBy(() -> ProjectFile.read(file))
        .isInstanceOf(ProjectReadException.class)
        .hasMessageContainingAll(words)
        .message()
        .hasLineCount(1)
        .hasSizeLessThan(400);
  }

  @Test
  void numbersBeyondAllNumbers() throws IOException {
    spoil("dynamorph.json", "\"version\" : 1", "\"version\" : 1e999999");
    write();
    assertRefused("dynamorph.json /version");
  }

  @Test
  void namesOfAHundredThousandLetters() throws IOException {
    spoil("artboards/a.json", "\"loan\"", "\"" + "n".repeat(100_000) + "\"");
    write();
    assertRefused("artboards/a.json /layers/0/follows/0", "n".repeat(70), "…");
  }

  @Test
  void deepJson() throws IOException {
    documents.put("styles.json", "[".repeat(200_000));
    write();
    assertRefused("styles.json");
  }

  @Test
  void anEmptyDocument() throws IOException {
    documents.put("styles.json", "");
    write();
    assertRefused("styles.json");
    documents.put("styles.json", "\u0000");
    write();
    assertRefused("styles.json");
  }

  @Test
  void oneArtboardTwice() throws IOException {
    spoil("project.json", "\"artboards/a.json\"", "\"artboards/a.json\", \"artboards/b.json\"");
    documents.put(
        "artboards/b.json",
        documents.get("artboards/a.json").replace("\"t1\"", "\"u1\"").replace("\"t2\"", "\"u2\""));
    write();
    assertRefused("artboards/b.json", "two artboards have the id \"a\"");
  }

  /** The library does not write such a file, so a name is changed in its bytes. */
  @Test
  void oneAssetTwice() throws IOException {
    documents.put("assets/images/one.png", "1");
    documents.put("assets/images/two.png", "2");
    write();
    byte[] bytes = Files.readAllBytes(file);
    byte[] two = "two.png".getBytes(StandardCharsets.US_ASCII);
    for (int at = 0; at + two.length < bytes.length; at++) {
      if (Arrays.equals(bytes, at, at + two.length, two, 0, two.length)) {
        System.arraycopy("one.png".getBytes(StandardCharsets.US_ASCII), 0, bytes, at, 7);
      }
    }
    Files.write(file, bytes);
    assertRefused("assets/images/one.png", "twice");
  }

  /** Small as a file, larger than the memory when unpacked. */
  @Test
  void muchInLittle() throws IOException {
    byte[] zeros = new byte[1 << 20];
    try (ZipOutputStream zip = new ZipOutputStream(Files.newOutputStream(file))) {
      for (Map.Entry<String, String> document : documents.entrySet()) {
        zip.putNextEntry(new ZipEntry(document.getKey()));
        zip.write(document.getValue().getBytes(StandardCharsets.UTF_8));
      }
      for (int asset = 0; asset < 8; asset++) {
        zip.putNextEntry(new ZipEntry("assets/images/" + asset + ".png"));
        for (int written = 0; written < 10; written++) {
          zip.write(zeros);
        }
      }
    }
    Budget small = new Budget(50L << 20, 1000);
    assertThatThrownBy(() -> ProjectFile.read(file, small))
        .isInstanceOf(ProjectReadException.class)
        .hasMessageContainingAll("hour.dmorph", "assets/images/4.png", "50 MB");
    assertThat(ProjectFile.read(file, new Budget(100L << 20, 1000)).assets()).hasSize(8);
    assertThatThrownBy(() -> ProjectFile.read(file, new Budget(100L << 20, 5)))
        .hasMessageContaining("5 entries");
  }

  @Test
  void manyElementsInside() {
    String deep = "<div>".repeat(40_000) + "<b>bell</b>" + "</div>".repeat(40_000);
    assertThat(HtmlText.read(deep).orElseThrow().text()).isEqualTo("bell");
    String marked = "<b>".repeat(40_000) + "bell" + "</b>".repeat(40_000);
    assertThat(HtmlText.read(marked).orElseThrow().text()).isEqualTo("bell");
  }
}
