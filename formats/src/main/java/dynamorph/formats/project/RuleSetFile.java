package dynamorph.formats.project;

import dynamorph.formats.file.SafeFile;
import dynamorph.formats.message.Messages;
import dynamorph.model.survey.rule.RuleSet;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;

/** A rule set in a file of its own, for a house or a client. */
public final class RuleSetFile {
  /** A rule set is written by people; larger ones are something else. */
  private static final long LARGEST = 1_000_000;

  private RuleSetFile() {}

  /**
   * Reads a rule set.
   *
   * @throws ProjectReadException if the file is missing, too large or not a rule set; it says where
   */
  public static RuleSet read(Path file) throws ProjectReadException {
    try {
      if (Files.size(file) > LARGEST) {
        throw new ProjectReadException(
            file, "", Messages.of("rule-set-file.is-too-large", LARGEST / 1_000_000));
      }
      byte[] bytes = Files.readAllBytes(file);
      return RuleSetJson.rules(new JsonCursor(JsonMapper.builder().build().readTree(bytes), ""));
    } catch (JsonCursor.Wrong wrong) {
      throw new ProjectReadException(
          file, wrong.place().strip(), String.valueOf(wrong.getMessage()));
    } catch (JacksonException notJson) {
      var at = notJson.getLocation();
      throw new ProjectReadException(
          file,
          at == null
              ? ""
              : Messages.of("rule-set-file.line-column", at.getLineNr(), at.getColumnNr()),
          Messages.of("project-file.this-is-not-json", notJson.getOriginalMessage()));
    } catch (NoSuchFileException missing) {
      throw new ProjectReadException(file, "", Messages.of("project-file.there-is-no-such-file"));
    } catch (ProjectReadException told) {
      throw told;
    } catch (IOException unreadable) {
      throw new ProjectReadException(
          file,
          "",
          Messages.of("rule-set-file.cannot-be-read", String.valueOf(unreadable.getMessage())));
    }
  }

  /**
   * Writes a rule set, beside its place first and then moved there.
   *
   * @throws IOException if it cannot be written; what was there before is still there
   */
  public static void write(RuleSet rules, Path file) throws IOException {
    String json =
        JsonMapper.builder()
            .enable(SerializationFeature.INDENT_OUTPUT)
            .build()
            .writeValueAsString(RuleSetJson.node(rules));
    SafeFile.write(file, out -> out.write((json + "\n").getBytes(StandardCharsets.UTF_8)));
  }
}
