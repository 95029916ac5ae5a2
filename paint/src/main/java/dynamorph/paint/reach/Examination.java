package dynamorph.paint.reach;

import dynamorph.model.Artboard;
import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.value.SafeArea;
import dynamorph.paint.film.FootagePainter;
import dynamorph.paint.film.MediaSource;
import dynamorph.paint.layer.LayerPainter;
import dynamorph.paint.message.Messages;
import dynamorph.paint.reach.Problem.Kind;
import dynamorph.paint.scene.PlacedLayer;
import dynamorph.paint.scene.Scene;
import dynamorph.typeset.layout.Box;
import dynamorph.typeset.layout.Overset;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * Looks at texts before and after a change. What can be told from where things stand comes quickly;
 * what has to be seen is painted. Safe on any thread.
 */
public final class Examination {
  /** Boxes that overlap by less than this share of the smaller one only touch. */
  private static final double TOUCHING = 0.02;

  /**
   * Texts of one style that overlap by more than this share of the smaller one lie on each other.
   */
  private static final double COLLIDING = 0.6;

  /** Points by which ink may stand out of an artboard and still be on it. */
  private static final double EDGE = 0.5;

  private final Optional<Scene> before;
  private final Scene after;
  private final Legibility legibility;
  private final SeenChange seen;

  /**
   * @param before the scene without the change, if there is a change
   * @param after the scene with it
   * @param footage gives the pictures under films that the project does not carry
   */
  public Examination(
      Optional<Scene> before, Scene after, LayerPainter painter, MediaSource footage) {
    this.before = before;
    this.after = after;
    this.legibility = new Legibility(painter, FootagePainter.of(after.project(), footage));
    this.seen = new SeenChange(painter);
  }

  /** What can be told without painting. Empty if the text is not there after the change. */
  public Optional<ReachedText> glance(LayerId id) {
    return after
        .find(id)
        .map(now -> {
          Optional<Scene.Found> was = before.flatMap(scene -> scene.find(id));
          return new ReachedText(
              was, now, ordered(placeProblems(was, now)), guessedChange(was, now));
        });
  }

  /** The same, with what has to be painted. */
  public ReachedText look(ReachedText glanced) {
    List<Problem> problems = new ArrayList<>(glanced.problems());
    low(glanced.after())
        .map(low -> low.asNew(before.isPresent() && glanced.before().flatMap(this::low).isEmpty()))
        .ifPresent(problems::add);
    double change =
        glanced.before().map(was -> seen.between(was, glanced.after())).orElse(glanced.change());
    return new ReachedText(glanced.before(), glanced.after(), ordered(problems), change);
  }

  private Optional<Problem> low(Scene.Found found) {
    // a title is looked at in the middle of its time
    Optional<Legibility.Reading> seenNow =
        found.board().artboard().isFilm()
            ? found
                .text()
                .layer()
                .timing()
                .flatMap(own -> legibility.of(found, own.in().plus(own.length().times(1, 2))))
            : legibility.of(found);
    return seenNow
        .filter(Legibility.Reading::isLow)
        .map(reading ->
            new Problem(
                Kind.LOW_CONTRAST,
                String.format(
                    Locale.ROOT, "contrast %.1f, wants %.1f", reading.contrast(), reading.wanted()),
                false));
  }

  private static List<Problem> ordered(List<Problem> problems) {
    return problems.stream()
        .sorted(
            Comparator.comparing((Problem problem) -> !problem.isNew())
                .thenComparing(Problem::kind))
        .toList();
  }

  private List<Problem> placeProblems(Optional<Scene.Found> was, Scene.Found now) {
    List<Problem> problems = new ArrayList<>(alone(now));
    if (before.isPresent()) {
      List<Problem> earlier = was.map(Examination::alone).orElse(List.of());
      problems.replaceAll(problem -> problem.asNew(earlier.stream().noneMatch(problem::isSameAs)));
      was.flatMap(found -> lines(found, now)).ifPresent(problems::add);
      was.flatMap(found -> onAnother(found, now)).ifPresent(problems::add);
    }
    return problems;
  }

  /** What is wrong with a text whatever it was before. */
  private static List<Problem> alone(Scene.Found found) {
    List<Problem> problems = new ArrayList<>();
    PlacedLayer text = found.text();
    text.layout()
        .overset()
        .map(Overset::text)
        .ifPresent(words -> problems.add(new Problem(Kind.OVERSET, words, false)));
    if (!text.layout().missingGlyphs().isEmpty()) {
      String letters =
          text.layout().missingGlyphs().stream()
              .limit(5)
              .map(Character::toString)
              .collect(Collectors.joining(" "));
      problems.add(
          new Problem(Kind.MISSING_GLYPHS, Messages.of("examination.no-font-has", letters), false));
    }
    Box content = content(text);
    Box board =
        new Box(0, 0, found.board().artboard().width(), found.board().artboard().height())
            .grown(EDGE, EDGE);
    if (!text.words().isBlank() && isBeyond(content, board)) {
      problems.add(
          new Problem(
              Kind.OFF_ARTBOARD, Messages.of("examination.stands-out-of-the-artboard"), false));
    } else if (isOutOfSafeArea(found)) {
      problems.add(
          new Problem(
              Kind.OUT_OF_SAFE_AREA, Messages.of("examination.a-screen-may-cut-it-off"), false));
    }
    return problems;
  }

  /** Whether words of a film stand where screens may cut them off. */
  public static boolean isOutOfSafeArea(Scene.Found found) {
    Artboard board = found.board().artboard();
    PlacedLayer text = found.text();
    double share = SafeArea.TITLE.share();
    Box safe =
        new Box(
            board.width() * (1 - share) / 2,
            board.height() * (1 - share) / 2,
            board.width() * share,
            board.height() * share);
    return board.isFilm()
        && !text.words().isBlank()
        && isBeyond(content(text), safe.grown(EDGE, EDGE));
  }

  private static Box content(PlacedLayer text) {
    return text.onArtboard(text.layout().content());
  }

  private static boolean isBeyond(Box box, Box board) {
    return box.x() < board.x()
        || box.y() < board.y()
        || box.right() > board.right()
        || box.bottom() > board.bottom();
  }

  private static Optional<Problem> lines(Scene.Found was, Scene.Found now) {
    int before = was.text().layout().lines().size();
    int after = now.text().layout().lines().size();
    return before == after
        ? Optional.empty()
        : Optional.of(
            new Problem(Kind.LINES, Messages.of("examination.line-was", after, before), true));
  }

  /** Lies on a layer that it did not lie on before. */
  private Optional<Problem> onAnother(Scene.Found found, Scene.Found now) {
    Box content = content(now.text());
    Box earlier = content(found.text());
    for (PlacedLayer other : now.board().texts()) {
      if (other.layer().id().equals(now.text().layer().id())
          || !areSeenTogether(other.layer(), now.text().layer())) {
        continue;
      }
      double share = overlap(content, content(other));
      double was = overlapBefore(earlier, other);
      boolean collides = other.layer().isText() && share > COLLIDING && was <= COLLIDING;
      if (collides || share > TOUCHING && was <= TOUCHING) {
        return Optional.of(
            new Problem(
                collides ? Kind.COLLISION : Kind.OVER_ANOTHER,
                (collides ? Messages.of("examination.on-the-same-place-as") : "over ")
                    + other.layer().name().toLowerCase(Locale.ROOT),
                true));
      }
    }
    return Optional.empty();
  }

  private static boolean areSeenTogether(Layer one, Layer other) {
    return one.timing().isEmpty()
        || other
            .timing()
            .filter(own -> own.overlaps(one.timing().get().in(), one.timing().get().out()))
            .isPresent();
  }

  private double overlapBefore(Box earlier, PlacedLayer other) {
    return before
        .flatMap(scene -> scene.find(other.layer().id()))
        .map(there -> overlap(earlier, content(there.text())))
        .orElse(0.0);
  }

  /** The part of the smaller box that the other covers. */
  private static double overlap(Box one, Box other) {
    double width = Math.min(one.right(), other.right()) - Math.max(one.x(), other.x());
    double height = Math.min(one.bottom(), other.bottom()) - Math.max(one.y(), other.y());
    if (width <= 0 || height <= 0) {
      return 0;
    }
    double smaller = Math.min(one.width() * one.height(), other.width() * other.height());
    return smaller <= 0 ? 0 : width * height / smaller;
  }

  /** A first order before anything is painted: how much the ink's box changes. */
  private static double guessedChange(Optional<Scene.Found> was, Scene.Found now) {
    return was.map(
            found -> {
              Box one = found.text().onArtboard(found.text().ink());
              Box other = now.text().onArtboard(now.text().ink());
              double both = one.with(other).width() * one.with(other).height();
              double common =
                  overlap(one, other)
                      * Math.min(one.width() * one.height(), other.width() * other.height());
              return both <= 0 ? 0 : 1 - common / both;
            })
        .orElse(1.0);
  }
}
