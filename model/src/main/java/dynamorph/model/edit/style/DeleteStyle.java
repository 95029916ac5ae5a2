package dynamorph.model.edit.style;

import static java.util.Objects.requireNonNull;

import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.EditRefused;
import dynamorph.model.edit.KeptLook;
import dynamorph.model.edit.Tidy;
import dynamorph.model.message.Messages;
import dynamorph.model.property.Properties;
import dynamorph.model.reach.Followers;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleBook;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.StyleLevel;
import dynamorph.model.style.StyleReferences;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Story;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Takes a style out of the project.
 *
 * <p>With a replacement its followers follow that, and what was derived from it is derived from the
 * replacement. Without one they keep their look: followers by local changes, derived styles by
 * taking its values into themselves, words that it was nested on by local changes. Styles that nest
 * it do so no longer.
 *
 * @param replacement has the level of the deleted style
 */
public record DeleteStyle(StyleId style, Optional<StyleId> replacement) implements Edit {
  @Override
  public Project applyTo(Project before) {
    Style gone =
        before
            .styles()
            .find(style)
            .orElseThrow(() -> new EditRefused(Messages.of("common.the-style-is-no-longer-in")));
    check(before, gone);
    Project without =
        before
            .withBaseStyle(before.baseStyle().flatMap(this::replaced))
            .mapArtboards(board ->
                board.baseStyle().filter(style::equals).isPresent()
                    ? board.withBaseStyle(replacement)
                    : board)
            .mapCaptions(track -> track.mapFollows(this::replaced))
            .mapLayers(layer ->
                Followers.followed(layer).contains(style)
                        || layer
                            .locals()
                            .anyMatch(local -> StyleReferences.in(local).contains(style))
                    ? layer.mapFollows(this::replaced)
                    : layer);
    Project changed = without.withStyles(remaining(before.styles(), gone));
    return replacement.isPresent() ? changed : withLooksKept(before, changed);
  }

  private void check(Project before, Style gone) {
    if (replacement.filter(style::equals).isPresent()) {
      throw new EditRefused(Messages.of("delete-style.a-style-cannot-be-replaced-by"));
    }
    replacement
        .map(before.styles()::get)
        .filter(other -> other.level() != gone.level())
        .ifPresent(other -> {
          throw new EditRefused(
              Messages.of(
                  "delete-style.is-a-style-and-cannot-stand",
                  other.name(),
                  other.level().label(),
                  gone.level().label()));
        });
  }

  /** A replacement that is itself derived from the deleted style takes its values into itself. */
  private StyleBook remaining(StyleBook styles, Style gone) {
    Optional<Style> other = replacement.map(styles::get);
    Set<StyleId> absorbing =
        styles
            .derivedFrom(style)
            .map(Style::id)
            .filter(id -> other.isEmpty() || styles.family(id).contains(other.get().id()))
            .collect(Collectors.toSet());
    StyleBook changed = styles;
    for (Style derived : styles.derivedFrom(style).toList()) {
      changed =
          changed.with(
              absorbing.contains(derived.id())
                  ? derived
                      .withProperties(CombineStyles.over(gone.properties(), derived.properties()))
                      .withBasedOn(gone.basedOn())
                  : derived.withBasedOn(replacement));
    }
    changed = changed.without(style);
    for (Style nesting : changed.list()) {
      if (StyleReferences.in(nesting.properties()).contains(style)) {
        changed =
            changed.with(
                nesting.withProperties(
                    StyleReferences.mapped(nesting.properties(), this::replaced)));
      }
    }
    return changed;
  }

  /** Where the base style goes all plain text is touched, so every layer is looked at. */
  private Project withLooksKept(Project before, Project changed) {
    boolean wasBase =
        !before.baseStyle().equals(changed.baseStyle())
            || before.artboards().stream()
                .anyMatch(board -> board.baseStyle().filter(style::equals).isPresent());
    Followers followers = Followers.of(before);
    Set<LayerId> direct =
        followers.direct(style).stream()
            .map(follower -> follower.layer().id())
            .collect(Collectors.toSet());
    Cascade cascade = Cascade.of(before);
    boolean ofWords = before.styles().get(style).level() == StyleLevel.CHARACTER;
    Set<LayerId> touched =
        before
            .layers()
            .filter(layer ->
                wasBase
                    || direct.contains(layer.id())
                    || ofWords && Followers.followed(cascade.dressed(layer)).contains(style))
            .map(Layer::id)
            .collect(Collectors.toSet());
    Map<LayerId, Layer> were = before.layersOf(touched);
    // rules without the style are no local change of those that had it
    KeptLook look =
        new KeptLook(
            cascade,
            Cascade.of(changed),
            key -> !ofWords || !key.property().equals(Properties.NESTED_STYLES));
    Project kept =
        changed.mapLayers(
            touched,
            layer -> withLookKept(look, cascade, requireNonNull(were.get(layer.id())), layer));
    return Tidy.layers(kept, touched);
  }

  /** Words that were in the style because another nests it keep the look, too. */
  private Layer withLookKept(KeptLook look, Cascade before, Layer was, Layer now) {
    Layer dressed = before.dressed(was);
    if (dressed == was) {
      return look.of(was, now);
    }
    Layer kept = look.of(dressed, dressed.mapFollows(this::replaced));
    List<Paragraph> paragraphs = new ArrayList<>();
    for (int index = 0; index < now.story().paragraphs().size(); index++) {
      Paragraph with = kept.story().paragraphs().get(index);
      Paragraph plain = now.story().paragraphs().get(index).withLocal(with.local());
      paragraphs.add(
          plain.withSpans(
              KeptLook.pieces(with, plain).stream()
                  .map(piece -> piece.now().withLocal(piece.was().local()))
                  .toList()));
    }
    return kept.withStory(new Story(paragraphs));
  }

  private Optional<StyleId> replaced(StyleId id) {
    return id.equals(style) ? replacement : Optional.of(id);
  }

  @Override
  public String label(Project before) {
    return Messages.of(
        "delete-style.delete-style", before.styles().find(style).map(Style::name).orElse(""));
  }
}
