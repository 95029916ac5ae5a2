package dynamorph.formats.document;

import dynamorph.formats.message.Messages;
import dynamorph.model.ImportedDocument;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.document.StyleMapping;
import dynamorph.model.document.WrittenDocument;
import dynamorph.model.document.WrittenParagraph;
import dynamorph.model.document.mapping.MappedDocument;
import dynamorph.model.edit.importing.ImportDocument;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Story;
import dynamorph.typeset.caption.CueText;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What a later state of a document would change in the texts that it was imported into. Words that
 * stay keep their look; what was set here stays; where both sides changed words, the person says
 * which count.
 *
 * @param changed paragraphs with other words
 * @param added paragraphs that are new
 * @param removed paragraphs that go
 * @param conflicts paragraphs that were changed here as well
 */
public record DocumentUpdate(
    ImportDocument edit,
    int changed,
    int added,
    int removed,
    List<Conflict> conflicts,
    List<String> remarks) {
  public DocumentUpdate {
    conflicts = List.copyOf(conflicts);
    remarks = List.copyOf(remarks);
  }

  /**
   * A paragraph that was changed on both sides.
   *
   * @param layer the text that it stands in
   * @param mine its words here; empty if it is no longer here
   * @param theirs its words in the document; empty if it is no longer there
   */
  public record Conflict(LayerId layer, String mine, String theirs) {}

  /** Whether nothing would change. */
  public boolean isEmpty() {
    return changed + added + removed == 0 && conflicts.isEmpty();
  }

  /** From this share of its paragraphs on, a document is a later state and not another one. */
  private static final double SAME = 0.3;

  /**
   * Whether a document is a later state of what was imported, and its words still stand somewhere:
   * a file of the same name may be another one.
   */
  public static boolean isLaterState(
      Project project, ImportedDocument imported, WrittenDocument document) {
    boolean stands =
        imported.texts().stream().anyMatch(text -> project.layer(text.layer()).isPresent());
    List<String> before =
        imported.texts().stream()
            .flatMap(text -> text.paragraphs().stream())
            .map(ImportedDocument.Words::text)
            .toList();
    int[] pairs =
        ParagraphPairs.of(
            before, document.paragraphs().stream().map(WrittenParagraph::text).toList());
    long known = Arrays.stream(pairs).filter(one -> one >= 0).count();
    return stands && known > 0 && known >= SAME * before.size();
  }

  /**
   * Compares a document with what was imported of it.
   *
   * @param imported what is remembered of the earlier state
   * @param theirs the conflicts, by their place in the list, that go as the document has it
   */
  public static DocumentUpdate of(
      Project project,
      ImportedDocument imported,
      WrittenDocument document,
      StyleMapping mapping,
      Set<Integer> theirs) {
    return new Updating(project, imported, new MappedDocument(project, document, mapping), theirs)
        .run();
  }

  /** A paragraph as it was imported, and where it is now. */
  private static final class Known {
    private final ImportedDocument.Words words;
    private final Target target;

    /** Index among the paragraphs of the text now, or -1 if it is no longer there. */
    private int here = -1;

    Known(ImportedDocument.Words words, Target target) {
      this.words = words;
      this.target = target;
    }
  }

  /** A text with words of the document, while it changes. */
  private static final class Target {
    private final LayerId id;
    private final Optional<Story> story;
    private final List<Optional<Paragraph>> kept = new ArrayList<>();

    /** What comes behind a paragraph; before the first at 0. */
    private final List<List<Paragraph>> added = new ArrayList<>();

    private final List<ImportedDocument.Words> remembered = new ArrayList<>();

    Target(LayerId id, Optional<Story> story) {
      this.id = id;
      this.story = story;
      added.add(new ArrayList<>());
      story.ifPresent(words -> {
        for (Paragraph paragraph : words.paragraphs()) {
          kept.add(Optional.of(paragraph));
          added.add(new ArrayList<>());
        }
      });
    }

    Optional<Story> changed() {
      List<Paragraph> all = new ArrayList<>(added.getFirst());
      for (int index = 0; index < kept.size(); index++) {
        kept.get(index).ifPresent(all::add);
        all.addAll(added.get(index + 1));
      }
      Story now = all.isEmpty() ? Story.of("") : new Story(all);
      return story.filter(before -> !before.equals(now)).map(_ -> now);
    }
  }

  private static final class Updating {
    private final ImportedDocument imported;
    private final MappedDocument mapped;
    private final StyleMapping before;
    private final Set<Integer> theirs;
    private final List<Target> targets = new ArrayList<>();
    private final List<Known> known = new ArrayList<>();
    private final List<Conflict> conflicts = new ArrayList<>();
    private int changed;
    private int added;
    private int removed;

    Updating(
        Project project, ImportedDocument imported, MappedDocument mapped, Set<Integer> theirs) {
      this.imported = imported;
      this.mapped = mapped;
      this.before = imported.mapping();
      this.theirs = theirs;
      for (ImportedDocument.Text text : imported.texts()) {
        Target target =
            new Target(
                text.layer(), project.layer(text.layer()).filter(Layer::isText).map(Layer::story));
        targets.add(target);
        List<Known> own = text.paragraphs().stream().map(one -> new Known(one, target)).toList();
        target.story.ifPresent(story -> find(own, story));
        known.addAll(own);
      }
    }

    /** Finds the paragraphs of a text as it is now. */
    private static void find(List<Known> own, Story story) {
      int[] pairs =
          ParagraphPairs.withMoved(
              own.stream().map(one -> one.words.text()).toList(),
              story.paragraphs().stream().map(Paragraph::text).toList());
      for (int index = 0; index < pairs.length; index++) {
        if (pairs[index] >= 0) {
          own.get(pairs[index]).here = index;
        }
      }
    }

    DocumentUpdate run() {
      List<WrittenParagraph> now =
          mapped.document().paragraphs().stream()
              .filter(paragraph -> !paragraph.isEmpty())
              .toList();
      int[] pairs =
          ParagraphPairs.of(
              known.stream().map(one -> one.words.text()).toList(),
              now.stream().map(WrittenParagraph::text).toList());
      boolean[] met = new boolean[known.size()];
      Arrays.stream(pairs).filter(one -> one >= 0).forEach(one -> met[one] = true);
      for (int index = 0; index < known.size(); index++) {
        if (!met[index]) {
          remove(known.get(index));
        }
      }
      if (targets.isEmpty()) {
        return done();
      }
      Target target = targets.getFirst();
      int behind = 0;
      for (int index = 0; index < pairs.length; index++) {
        WrittenParagraph paragraph = now.get(index);
        if (pairs[index] < 0) {
          if (target.story.isPresent()) {
            target.added.get(behind).add(mapped.paragraph(paragraph));
            added++;
          }
        } else {
          Known same = known.get(pairs[index]);
          if (same.target != target) {
            target = same.target;
            behind = 0;
          }
          behind = same.here >= 0 ? same.here + 1 : behind;
          change(same, paragraph);
        }
        target.remembered.add(ImportedDocument.Words.of(paragraph));
      }
      return done();
    }

    private void remove(Known gone) {
      if (gone.here < 0) {
        return;
      }
      Paragraph mine = gone.target.kept.get(gone.here).orElseThrow();
      if (mine.text().equals(gone.words.text()) || isTheirs(gone.target, mine.text(), "")) {
        gone.target.kept.set(gone.here, Optional.empty());
        removed++;
      }
    }

    private boolean isTheirs(Target target, String mine, String words) {
      conflicts.add(new Conflict(target.id, mine, words));
      return theirs.contains(conflicts.size() - 1);
    }

    private void change(Known same, WrittenParagraph paragraph) {
      if (same.target.story.isEmpty()) {
        return;
      }
      String words = paragraph.text();
      boolean told = !words.equals(same.words.text());
      if (same.here < 0) {
        if (told && isTheirs(same.target, "", words)) {
          same.target.added.getLast().add(mapped.paragraph(paragraph));
          added++;
        }
        return;
      }
      Paragraph mine = same.target.kept.get(same.here).orElseThrow();
      Paragraph result = restyled(same, paragraph, mine);
      if (told && !mine.text().equals(words)) {
        boolean own = !mine.text().equals(same.words.text());
        if (!own || isTheirs(same.target, mine.text(), words)) {
          result = result.withSpans(retold(result, words));
        }
      }
      if (!result.equals(mine)) {
        same.target.kept.set(same.here, Optional.of(result));
        changed++;
      }
    }

    private static List<dynamorph.model.text.Span> retold(Paragraph paragraph, String words) {
      return CueText.retold(new Story(List.of(paragraph)), words).paragraphs().getFirst().spans();
    }

    /** A paragraph that follows what its style became follows what its new style becomes. */
    private Paragraph restyled(Known same, WrittenParagraph paragraph, Paragraph mine) {
      boolean other =
          !paragraph.style().equals(same.words.style())
              && !before.of(same.words.style()).equals(mapped.mapping().of(paragraph.style()));
      Optional<?> was =
          before.of(same.words.style()) instanceof dynamorph.model.document.Mapped.Follow(var id)
              ? Optional.of(id)
              : Optional.empty();
      return other && mine.follows().equals(was)
          ? mine.withFollows(mapped.paragraph(paragraph).follows())
          : mine;
    }

    private DocumentUpdate done() {
      Map<LayerId, Story> stories = new LinkedHashMap<>();
      List<ImportedDocument.Text> texts = new ArrayList<>();
      int gone = 0;
      for (Target target : targets) {
        target.changed().ifPresent(story -> stories.put(target.id, story));
        texts.add(new ImportedDocument.Text(target.id, target.remembered));
        gone += target.story.isEmpty() ? 1 : 0;
      }
      List<String> remarks = new ArrayList<>(mapped.document().remarks());
      if (gone > 0) {
        remarks.add(Messages.of("document-update.texts-are-gone", gone));
      }
      return new DocumentUpdate(
          new ImportDocument(
              new ImportedDocument(imported.name(), mapped.settled(), texts),
              mapped.newStyles(),
              List.of(),
              Map.of(),
              stories),
          changed,
          added,
          removed,
          conflicts,
          remarks);
    }
  }
}
