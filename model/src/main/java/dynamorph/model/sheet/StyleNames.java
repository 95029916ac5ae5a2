package dynamorph.model.sheet;

import dynamorph.model.Project;
import dynamorph.model.edit.Target;
import dynamorph.model.message.Messages;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleId;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.TextRange;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;

/**
 * The names of the styles that rows take: of a text those that it takes as a whole, the last added
 * first; of a part those of its own, or where it has none those of the text around it. Safe on any
 * thread.
 */
final class StyleNames {
  private final Project project;
  private final Map<List<StyleId>, String> known = new ConcurrentHashMap<>();

  StyleNames(Project project) {
    this.project = project;
  }

  String of(SheetRow row) {
    List<StyleId> own = own(row);
    return known.computeIfAbsent(own.isEmpty() ? project.taken(row.layer()) : own, this::names);
  }

  private static List<StyleId> own(SheetRow row) {
    Paragraph first = row.layer().story().paragraphs().getFirst();
    return switch (row.words().map(Target.Words::range).orElse(null)) {
      case null -> List.of();
      case TextRange range when range.isEmpty() -> first.follows().stream().toList();
      case TextRange _ -> first.spans().getFirst().follows();
    };
  }

  private String names(List<StyleId> taken) {
    String names =
        taken.reversed().stream()
            .flatMap(id -> project.styles().find(id).stream())
            .map(Style::name)
            .collect(Collectors.joining(", "));
    return names.isEmpty() ? Messages.of("sheet.no-style") : names;
  }
}
