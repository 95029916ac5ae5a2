package dynamorph.model.value;

import dynamorph.model.message.Messages;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/**
 * Which families are asked for letters that the chosen one lacks, by script (ISO 15924 code, or
 * {@code *} for every script): {@code "Arab: Amiri; *: EB Garamond, Source Sans 3"}. Nothing of
 * one's own is written {@code none}.
 */
public record ScriptFonts(Map<String, List<String>> families) {
  public static final ScriptFonts NONE = new ScriptFonts(Map.of());

  public ScriptFonts {
    families = java.util.Collections.unmodifiableMap(new LinkedHashMap<>(families));
  }

  /**
   * Reads chains.
   *
   * @throws IllegalArgumentException naming the part that is none
   */
  public static ScriptFonts parse(String text) {
    if (text.isBlank() || text.strip().equalsIgnoreCase("none")) {
      return NONE;
    }
    Map<String, List<String>> chains = new LinkedHashMap<>();
    for (String part : text.split(";")) {
      String[] sides = part.split(":", 2);
      String script = sides[0].strip();
      if (sides.length < 2 || !(script.equals("*") || script.matches("[A-Z][a-z]{3}"))) {
        throw new IllegalArgumentException(
            Messages.of("script-fonts.expected-a-script-and-its-families", part.strip()));
      }
      chains.put(script, Arrays.stream(sides[1].split(",")).map(String::strip).toList());
    }
    return new ScriptFonts(chains);
  }

  /** The chain for a script, by its ISO 15924 code: its own, then that for every script. */
  public List<String> of(String script) {
    List<String> own = families.getOrDefault(script, List.of());
    List<String> all = families.getOrDefault("*", List.of());
    return own.isEmpty() ? all : all.isEmpty() ? own : concat(own, all);
  }

  private static List<String> concat(List<String> own, List<String> all) {
    return java.util.stream.Stream.concat(own.stream(), all.stream()).toList();
  }

  @Override
  public String toString() {
    return families.isEmpty()
        ? "none"
        : families.entrySet().stream()
            .map(chain -> chain.getKey() + ": " + String.join(", ", chain.getValue()))
            .collect(Collectors.joining("; "));
  }
}
