package dynamorph.cli;

import dynamorph.cli.message.Messages;
import dynamorph.formats.file.SafeFile;
import java.io.BufferedReader;
import java.io.FilterWriter;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Spec;
import tools.jackson.core.JacksonException;
import tools.jackson.core.JsonGenerator;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.ObjectWriter;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

@Command(
    name = "typeset",
    description = "${bundle:typeset-command.sets-a-text-and-prints-its}",
    mixinStandardHelpOptions = true)
final class TypesetCommand implements Callable<Integer> {
  private static final JsonMapper MAPPER = JsonMapper.builder().build();
  private static final ObjectWriter PRETTY =
      JsonMapper.builder().build().writerWithDefaultPrettyPrinter();

  @Option(
      names = "--text",
      paramLabel = "FILE",
      description = "${bundle:typeset-command.the-text-in-utf-8}")
  private Path text;

  @Option(
      names = "--batch",
      paramLabel = "FILE",
      description = "${bundle:typeset-command.requests-one-json-object-a-line}")
  private Path batch;

  @Option(
      names = "--width",
      paramLabel = "PT",
      description = "${bundle:typeset-command.the-measure-in-points-without-it}")
  private Double width;

  @Option(
      names = "--style",
      paramLabel = "FILE.json",
      description = "${bundle:typeset-command.property-values-as-a-project-file}")
  private Path style;

  @Option(
      names = "--font",
      paramLabel = "FONT",
      description = "${bundle:typeset-command.a-font-file-or-the-name}")
  private String font;

  @Option(
      names = "--features",
      paramLabel = "LIST",
      description = "${bundle:typeset-command.opentype-features-such-as-smcp-onum}")
  private String features;

  @Option(
      names = "--breaker",
      paramLabel = "line|paragraph",
      description = "${bundle:typeset-command.how-lines-are-chosen}")
  private String breaker;

  @Option(
      names = "--language",
      paramLabel = "TAG",
      description = "${bundle:typeset-command.the-language-of-the-text}")
  private String language;

  @Option(
      names = "--json",
      description = "${bundle:typeset-command.prints-the-lines-with-all-their}")
  private boolean json;

  @Option(
      names = "--png",
      paramLabel = "FILE",
      description = "${bundle:typeset-command.draws-the-lines}")
  private Path png;

  @Option(
      names = "--scale",
      paramLabel = "S",
      defaultValue = "2",
      description = "${bundle:typeset-command.pixels-per-point-of-the-picture}")
  private double scale;

  @Spec private CommandSpec spec;

  @Override
  public Integer call() throws IOException {
    if ((text == null) == (batch == null)) {
      throw new ParameterException(
          spec.commandLine(), Messages.of("typeset-command.give-either-text-file-or-batch"));
    }
    try (TypesetService service = new TypesetService()) {
      return batch != null ? answerAll(service) : answerOne(service);
    }
  }

  private int answerOne(TypesetService service) throws IOException {
    ObjectNode request = Json.NODES.objectNode();
    request.put("text", Files.readString(text).stripTrailing());
    if (width != null) {
      request.put("width", width);
    }
    put(request, "font", font);
    put(request, "features", features);
    put(request, "breaker", breaker);
    put(request, "language", language);
    if (style != null) {
      request.set("style", parsed(Files.readString(style)));
    }
    TypesetRequest asked = TypesetRequest.of(request);
    if (png != null) {
      byte[] picture = service.picture(asked, scale);
      SafeFile.write(png, stream -> stream.write(picture));
    }
    PrintWriter out = spec.commandLine().getOut();
    if (json) {
      try (JsonGenerator generator = PRETTY.createGenerator(new Unclosed(out))) {
        service.answer(asked, generator);
      }
      out.println();
    } else if (png == null) {
      service.lines(asked).forEach(out::println);
    }
    return 0;
  }

  private JsonNode parsed(String content) {
    try {
      return MAPPER.readTree(content);
    } catch (JacksonException broken) {
      throw new IllegalArgumentException(style + ": " + broken.getOriginalMessage(), broken);
    }
  }

  private static void put(ObjectNode request, String field, String value) {
    if (value != null) {
      request.put(field, value);
    }
  }

  private int answerAll(TypesetService service) throws IOException {
    PrintWriter out = spec.commandLine().getOut();
    try (BufferedReader lines =
        batch.toString().equals("-")
            ? new BufferedReader(new InputStreamReader(System.in, StandardCharsets.UTF_8))
            : Files.newBufferedReader(batch)) {
      for (String line = lines.readLine(); line != null; line = lines.readLine()) {
        if (!line.isBlank()) {
          answer(service, line, out);
          out.println();
          out.flush();
        }
      }
    }
    return 0;
  }

  /** A request that cannot be served says why, and the next one is served all the same. */
  private static void answer(TypesetService service, String line, PrintWriter out) {
    String refused;
    try {
      TypesetRequest request = TypesetRequest.of(MAPPER.readTree(line));
      StringWriter answer = new StringWriter();
      try (JsonGenerator generator = MAPPER.createGenerator(answer)) {
        service.answer(request, generator);
      }
      out.append(answer.getBuffer());
      return;
    } catch (JacksonException broken) {
      refused = Messages.of("typeset-command.no-json", broken.getOriginalMessage());
    } catch (RuntimeException | IOException failed) {
      refused = failed.getMessage() == null ? failed.toString() : failed.getMessage();
    }
    out.print(MAPPER.writeValueAsString(Json.NODES.objectNode().put("error", refused)));
  }

  /** The generator may end, the output goes on. */
  private static final class Unclosed extends FilterWriter {
    Unclosed(Writer out) {
      super(out);
    }

    @Override
    public void close() throws IOException {
      flush();
    }
  }
}
