package dynamorph.formats.project;

import dynamorph.formats.file.SafeFile;
import dynamorph.model.survey.rule.RuleSet;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
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
      return RuleSetJson.rules(new JsonCursor(JsonFile.read(file, LARGEST), ""));
    } catch (JsonCursor.Wrong wrong) {
      throw new ProjectReadException(
          file, wrong.place().strip(), String.valueOf(wrong.getMessage()));
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
