package dynamorph.app.files;

import static org.assertj.core.api.Assertions.assertThat;

import dynamorph.model.Project;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class UserFolderTest {
  @TempDir private Path folder;

  @Test
  void recentFilesAreRememberedLatestFirst() throws IOException {
    UserFolder user = new UserFolder(folder.resolve("data"));
    assertThat(user.recent()).isEmpty();
    Path one = Files.createFile(folder.resolve("one.dmorph"));
    Path two = Files.createFile(folder.resolve("two.dmorph"));
    user.remember(one);
    user.remember(two);
    user.remember(one);
    assertThat(user.recent()).containsExactly(one.toAbsolutePath(), two.toAbsolutePath());
    Files.delete(two);
    assertThat(new UserFolder(folder.resolve("data")).recent())
        .containsExactly(one.toAbsolutePath());
  }

  @Test
  void onlyTenAreKept() throws IOException {
    UserFolder user = new UserFolder(folder.resolve("data"));
    for (int index = 0; index < 14; index++) {
      user.remember(Files.createFile(folder.resolve(index + ".dmorph")));
    }
    assertThat(user.recent()).hasSize(10);
    assertThat(user.recent().getFirst()).hasFileName("13.dmorph");
  }

  @Test
  void theWelcomeIsClosedForGood() {
    UserFolder user = new UserFolder(folder.resolve("data"));
    assertThat(user.isWelcomed()).isFalse();
    user.setWelcomed();
    assertThat(new UserFolder(folder.resolve("data")).isWelcomed()).isTrue();
  }

  @Test
  void aFolderThatCannotBeWrittenIsNoCatastrophe() throws IOException {
    Path file = Files.createFile(folder.resolve("in-the-way"));
    UserFolder user = new UserFolder(file.resolve("data"));
    user.setWelcomed();
    user.remember(file);
    assertThat(user.recent()).isEmpty();
  }

  /** A line with a null character once stopped every start. */
  @Test
  void whatIsDamagedHindersNoStart() throws IOException {
    Path one = Files.createFile(folder.resolve("one.dmorph"));
    UserFolder user = new UserFolder(folder);
    Files.writeString(folder.resolve("recent.txt"), "\u0000\n\n" + one + "\n/no/such/file\n");
    assertThat(user.recent()).containsExactly(one);

    Files.write(folder.resolve("recent.txt"), new byte[] {(byte) 0xC3, 0x28, (byte) 0xFF});
    assertThat(user.recent()).isEmpty();
    assertThat(folder.resolve("recent.txt.damaged")).exists();
    user.remember(one);
    assertThat(user.recent()).containsExactly(one);

    Files.delete(folder.resolve("recent.txt"));
    Files.createDirectory(folder.resolve("recent.txt"));
    assertThat(user.recent()).isEmpty();
    user.remember(one);
    assertThat(user.recent()).as("the folder is out of the way").containsExactly(one);
  }

  @Test
  void aBlankProjectHasABaseStyleThatSuitsItsArtboard() {
    Project blank = FileActions.blank();
    assertThat(blank.artboards()).hasSize(1);
    assertThat(blank.baseStyle()).isPresent();
    assertThat(blank.styles().get(blank.baseStyle().orElseThrow()).properties().toString())
        .contains("36 pt");
  }
}
