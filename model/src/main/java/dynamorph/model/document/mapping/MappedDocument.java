package dynamorph.model.document.mapping;

import dynamorph.model.Project;
import dynamorph.model.document.Mapped;
import dynamorph.model.document.StyleMapping;
import dynamorph.model.document.WrittenDocument;
import dynamorph.model.document.WrittenParagraph;
import dynamorph.model.document.WrittenSpan;
import dynamorph.model.document.WrittenStyle;
import dynamorph.model.property.Level;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.StyleLevel;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import dynamorph.model.text.Story;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;

/** A document in the styles of a project, new ones included. */
public final class MappedDocument {
  private final Project project;
  private final WrittenDocument document;
  private final StyleMapping mapping;
  private final Map<String, WrittenStyle> written = new HashMap<>();
  private final Map<String, Style> made = new LinkedHashMap<>();
  private final StyleBook styles;

  private final Optional<String> bodyKey;

  /** Looks as they stand to the body text, where that takes its look from the project. */
  private final Optional<RelativeLook> body;

  public MappedDocument(Project project, WrittenDocument document, StyleMapping mapping) {
    this.project = project;
    this.document = document;
    this.mapping = mapping;
    document.styles().forEach(style -> written.put(style.key(), style));
    Optional<WrittenStyle> bodyText = document.body();
    this.bodyKey = bodyText.map(WrittenStyle::key);
    this.body =
        bodyText
            .filter(style ->
                mapping.of(style.key()) instanceof Mapped.WordsOnly
                    || mapping.of(style.key()) instanceof Mapped.Follow)
            .map(style -> new RelativeLook(style.look()));
    Set<String> used = new LinkedHashSet<>();
    document.used().forEach(one -> used.add(one.style().key()));
    used.forEach(key -> chain(key, used).forEach(this::make));
    StyleBook book = project.styles();
    for (Style style : made.values()) {
      book = book.with(style);
    }
    this.styles = book;
  }

  public WrittenDocument document() {
    return document;
  }

  public StyleMapping mapping() {
    return mapping;
  }

  /** The styles that it brings; those that others are based on come first. */
  public List<Style> newStyles() {
    return List.copyOf(made.values());
  }

  /** The mapping that holds once the new styles are there. */
  public StyleMapping settled() {
    StyleMapping settled = mapping;
    for (Map.Entry<String, Style> one : made.entrySet()) {
      settled = settled.with(one.getKey(), new Mapped.Follow(one.getValue().id()));
    }
    return settled;
  }

  /** The project with the styles that it brings. */
  public Project project() {
    return made.isEmpty() ? project : project.withStyles(styles);
  }

  /** Styles that others are based on come first. */
  private List<String> chain(String key, Set<String> used) {
    Set<String> chain = new LinkedHashSet<>();
    Optional<String> next = Optional.of(key);
    while (next.isPresent() && used.contains(next.get()) && chain.add(next.get())) {
      next = Optional.ofNullable(written.get(next.get())).flatMap(WrittenStyle::basedOn);
    }
    return List.copyOf(chain).reversed();
  }

  private void make(String key) {
    WrittenStyle style = written.get(key);
    if (style == null
        || made.containsKey(key)
        || !(mapping.of(key) instanceof Mapped.NewStyle(String name))) {
      return;
    }
    Optional<StyleId> parentHere = style.basedOn().flatMap(parent -> base(parent, style.level()));
    // sizes as multiples of the body text are of what that follows here
    Optional<StyleId> base =
        parentHere.or(() -> bodyKey.flatMap(text -> base(text, style.level())));
    Optional<RelativeLook> relative = body.filter(_ -> style.level() != StyleLevel.CHARACTER);
    PropertySet look = relative.map(one -> one.of(style.look())).orElse(style.look());
    PropertySet taken =
        parentHere
            .flatMap(_ -> style.basedOn())
            .map(this::look)
            .map(parent -> relative.map(one -> one.of(parent)).orElse(parent))
            .orElse(PropertySet.EMPTY);
    PropertySet own =
        look.where(property ->
            style.level().carries(property.property())
                && !look.get(property).equals(taken.get(property)));
    made.put(
        key,
        new Style(
            new StyleId(free(StyleId.stem(name, "style"), "-", this::isIdTaken)),
            free(name, " ", this::isNameTaken),
            "",
            style.level(),
            base,
            own,
            ""));
  }

  /** What a style that is based on another in the document is based on here. */
  private Optional<StyleId> base(String key, StyleLevel level) {
    if (made.containsKey(key)) {
      return Optional.of(made.get(key)).filter(style -> style.level() == level).map(Style::id);
    }
    return mapping.of(key) instanceof Mapped.Follow(StyleId id)
        ? project.styles().find(id).filter(style -> style.level() == level).map(Style::id)
        : Optional.empty();
  }

  private boolean isIdTaken(String id) {
    return project.styles().find(new StyleId(id)).isPresent()
        || made.values().stream().anyMatch(style -> style.id().value().equals(id));
  }

  private boolean isNameTaken(String name) {
    return project.styles().named(name).isPresent()
        || made.values().stream().anyMatch(style -> style.name().equalsIgnoreCase(name));
  }

  private static String free(String wanted, String gap, Predicate<String> taken) {
    String free = wanted;
    for (int number = 2; taken.test(free); number++) {
      free = wanted + gap + number;
    }
    return free;
  }

  /** The style that the words of a key follow, of whatever level. */
  private Optional<StyleId> followed(String key) {
    return switch (mapping.of(key)) {
      case Mapped.Follow(StyleId id) -> Optional.of(id).filter(one -> styles.find(one).isPresent());
      case Mapped.NewStyle _ -> Optional.ofNullable(made.get(key)).map(Style::id);
      case Mapped.Local _, Mapped.WordsOnly _ -> Optional.empty();
    };
  }

  private Optional<StyleId> followed(String key, StyleLevel level) {
    return followed(key).filter(id -> styles.get(id).level() == level);
  }

  /** The text style that a paragraph wants the whole text that it stands in to follow. */
  public Optional<StyleId> textStyle(WrittenParagraph paragraph) {
    return followed(standingFor(paragraph), StyleLevel.TEXT);
  }

  /** What keeps its own look differs from the body text, so it follows what that follows here. */
  private String standingFor(WrittenParagraph paragraph) {
    return mapping.of(paragraph.style()) instanceof Mapped.Local
        ? bodyKey.orElse(paragraph.style())
        : paragraph.style();
  }

  /** Paragraphs as the words of a text. */
  public Story story(List<WrittenParagraph> paragraphs) {
    return paragraphs.isEmpty()
        ? Story.of("")
        : new Story(paragraphs.stream().map(this::paragraph).toList());
  }

  public Paragraph paragraph(WrittenParagraph paragraph) {
    PropertySet local = mapping.direct().kept(paragraph.local());
    if (mapping.of(paragraph.style()) instanceof Mapped.Local) {
      PropertySet look = look(paragraph.style());
      local = body.map(one -> one.of(look)).orElse(look).overlaidBy(local);
    }
    List<Span> spans = paragraph.spans().stream().map(this::span).toList();
    return new Paragraph(
        spans.isEmpty() ? List.of(Span.of("")) : spans,
        followed(standingFor(paragraph), StyleLevel.PARAGRAPH),
        withoutOwnLanguage(local).where(key -> key.property().countsOn(Level.PARAGRAPH)));
  }

  private Span span(WrittenSpan span) {
    PropertySet local = PropertySet.EMPTY;
    List<StyleId> follows = new ArrayList<>();
    for (String key : span.styles()) {
      if (mapping.of(key) instanceof Mapped.Local) {
        local = local.overlaidBy(look(key));
      }
      followed(key, StyleLevel.CHARACTER)
          .filter(id -> !follows.contains(id))
          .ifPresent(follows::add);
    }
    local = local.overlaidBy(mapping.direct().kept(span.local()));
    return new Span(
        span.text(),
        follows,
        withoutOwnLanguage(local).where(key -> key.property().countsOn(Level.SPAN)),
        span.ruby());
  }

  private PropertySet look(String key) {
    WrittenStyle style = written.get(key);
    return style == null ? PropertySet.EMPTY : style.look();
  }

  /** Without a language that the words have anyway. */
  private PropertySet withoutOwnLanguage(PropertySet local) {
    return local.where(key ->
        !key.equals(Properties.LANGUAGE.key())
            || !isOwn(local.get(Properties.LANGUAGE.key()).orElse("")));
  }

  /** Whether a language is that of the project; programs set regions without being asked. */
  private boolean isOwn(String language) {
    return Locale.forLanguageTag(language)
        .getLanguage()
        .equals(Locale.forLanguageTag(project.language()).getLanguage());
  }
}
