package dynamorph.app;

import static org.assertj.core.api.Assertions.assertThat;

import com.ibm.icu.text.MessagePattern;
import com.sun.source.tree.CompilationUnitTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.LiteralTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.util.JavacTask;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.io.IOException;
import java.io.Reader;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Properties;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import javax.tools.JavaCompiler;
import javax.tools.StandardJavaFileManager;
import javax.tools.ToolProvider;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Everything that people read stands in a bundle, so that it can be translated. */
class MessagesTest {
  /** A text as people read it: two words, or one that begins like a sentence. */
  private static final Pattern READABLE =
      Pattern.compile("(?s).*\\p{L}{2,}[,.:;]? \\p{L}{2,}.*|[A-Z][a-z]{2,}( .*|\u2026)?");

  /** What programs say to programmers, or to the toolkit. */
  private static final Set<String> FOR_PROGRAMS =
      Set.of(
          "IllegalStateException",
          "UnsupportedOperationException",
          "UncheckedIOException",
          "LOG",
          "font",
          "loadFont",
          "replace");

  /** Names that are the same in every language. */
  private static final Set<String> NAMES =
      Set.of("Source Sans 3", "Source Sans 3 SemiBold", "Anton", "Backspace");

  /** The classes that print to the terminal or stage pictures for the manual. */
  private static final Set<String> NOT_SEEN = Set.of("Program.java", "ScreenshotView.java");

  private record Source(Path file, CompilationUnitTree tree) {}

  @Test
  void theWindowHasNoTextOfItsOwn() throws IOException {
    List<String> found = new ArrayList<>();
    for (Source source : sources("app")) {
      if (!NOT_SEEN.contains(source.file().getFileName().toString())) {
        new TreePathScanner<Void, Void>() {
          @Override
          public Void visitLiteral(LiteralTree literal, Void none) {
            if (literal.getValue() instanceof String text
                && READABLE.matcher(text).matches()
                && !NAMES.contains(text)
                && !isForPrograms(getCurrentPath())) {
              found.add(source.file().getFileName() + ": \"" + text + "\"");
            }
            return null;
          }
        }.scan(source.tree(), null);
      }
    }
    assertThat(found).as("texts that cannot be translated").isEmpty();
  }

  private static boolean isForPrograms(TreePath at) {
    for (TreePath path = at; path != null; path = path.getParentPath()) {
      String name =
          switch (path.getLeaf()) {
            case MethodInvocationTree call -> call.getMethodSelect().toString();
            case NewClassTree made -> made.getIdentifier().toString();
            default -> "";
          };
      if (Stream.of(name.split("\\.")).anyMatch(FOR_PROGRAMS::contains)) {
        return true;
      }
    }
    return false;
  }

  @ParameterizedTest
  @ValueSource(strings = {"model", "typeset", "paint", "footage", "formats", "shelf", "cli", "app"})
  void everyMessageIsUsedAndEveryUseHasItsArguments(String module) throws IOException {
    Properties messages = messages(module);
    Set<String> unused = new TreeSet<>(messages.stringPropertyNames());
    List<String> wrong = new ArrayList<>();
    for (Source source : sources(module)) {
      new TreePathScanner<Void, Void>() {
        @Override
        public Void visitLiteral(LiteralTree literal, Void none) {
          // a key may be chosen between two, or stand in an annotation
          if (literal.getValue() instanceof String text) {
            unused.remove(text);
            Pattern.compile("\\$\\{bundle:([\\w.-]+)}")
                .matcher(text)
                .results()
                .forEach(found -> unused.remove(found.group(1)));
            unused.removeIf(key -> text.endsWith(".") && text.length() > 1 && key.startsWith(text));
          }
          return null;
        }

        @Override
        public Void visitMethodInvocation(MethodInvocationTree call, Void none) {
          List<? extends ExpressionTree> given = call.getArguments();
          if (call.getMethodSelect().toString().endsWith("Messages.of")
              && !given.isEmpty()
              && given.getFirst() instanceof LiteralTree key
              && key.getValue() instanceof String name) {
            String pattern = messages.getProperty(name);
            if (pattern == null) {
              wrong.add(source.file().getFileName() + ": no message \"" + name + "\"");
            } else if (arguments(pattern) != given.size() - 1) {
              wrong.add(source.file().getFileName() + ": \"" + name + "\" takes other arguments");
            }
          }
          return super.visitMethodInvocation(call, none);
        }
      }.scan(source.tree(), null);
    }
    // actions are named by their ids
    unused.removeIf(key -> key.startsWith("action.") || key.startsWith("action-group."));
    assertThat(wrong).isEmpty();
    assertThat(unused).as("messages that nothing says").isEmpty();
  }

  /** How many arguments a pattern takes, by the library that reads the patterns with choices. */
  private static int arguments(String pattern) {
    MessagePattern parts = new MessagePattern(pattern);
    Set<Integer> numbers = new TreeSet<>();
    for (int index = 0; index < parts.countParts(); index++) {
      if (parts.getPartType(index) == MessagePattern.Part.Type.ARG_NUMBER) {
        numbers.add(parts.getPart(index).getValue());
      }
    }
    int most = numbers.stream().mapToInt(number -> number + 1).max().orElse(0);
    assertThat(numbers).as(pattern).hasSize(most);
    return most;
  }

  private static Properties messages(String module) throws IOException {
    Path file =
        root()
            .resolve(module)
            .resolve("src/main/resources/dynamorph")
            .resolve(module)
            .resolve("message/messages.properties");
    Properties messages = new Properties();
    try (Reader reader = Files.newBufferedReader(file)) {
      messages.load(reader);
    }
    return messages;
  }

  private static final Map<String, List<Source>> READ = new HashMap<>();

  private static List<Source> sources(String module) throws IOException {
    List<Source> read = READ.get(module);
    if (read == null) {
      read = parsed(module);
      READ.put(module, read);
    }
    return read;
  }

  private static List<Source> parsed(String module) throws IOException {
    JavaCompiler compiler = ToolProvider.getSystemJavaCompiler();
    try (Stream<Path> found = Files.walk(root().resolve(module).resolve("src/main/java"));
        StandardJavaFileManager manager = compiler.getStandardFileManager(null, null, null)) {
      List<Path> files = found.filter(file -> file.toString().endsWith(".java")).toList();
      // one task reads all: each that is made reads the platform's classes again
      JavacTask task =
          (JavacTask)
              compiler.getTask(
                  null,
                  manager,
                  null,
                  List.of("-proc:none"),
                  null,
                  manager.getJavaFileObjectsFromPaths(files));
      List<Source> sources = new ArrayList<>();
      task.parse()
          .forEach(tree -> sources.add(new Source(Path.of(tree.getSourceFile().toUri()), tree)));
      assertThat(sources).as("files of %s", module).hasSameSizeAs(files);
      return sources;
    }
  }

  private static Path root() {
    Path here = Path.of("").toAbsolutePath();
    return Files.isDirectory(here.resolve("model")) ? here : here.getParent();
  }
}
