package dynamorph.model.edit.sheet;

import dynamorph.model.Layer;
import dynamorph.model.LayerId;
import dynamorph.model.Project;
import dynamorph.model.cascade.Cascade;
import dynamorph.model.cascade.Coats;
import dynamorph.model.edit.Edit;
import dynamorph.model.edit.EditRefused;
import dynamorph.model.edit.Target;
import dynamorph.model.edit.layer.SetValues;
import dynamorph.model.message.Messages;
import dynamorph.model.property.Level;
import dynamorph.model.property.PropertyKey;
import dynamorph.model.property.PropertySet;
import dynamorph.model.text.Paragraph;
import dynamorph.model.text.Span;
import dynamorph.model.text.Story;
import dynamorph.model.text.TextRange;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.Leading;
import dynamorph.model.value.Length;
import dynamorph.model.value.Numbers;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SequencedSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Sets a value on many texts, paragraphs or runs of letters by what was typed: the same for all, or
 * each from its own: {@code +2}, {@code -1 pt}, {@code ×1.1}, {@code /2}, {@code +10%}.
 */
public record SetInRows(Target target, PropertyKey<?> key, String typed) implements Edit {
  /** On whole texts. */
  public SetInRows(SequencedSet<LayerId> layers, PropertyKey<?> key, String typed) {
    this(new Target.Layers(layers), key, typed);
  }

  /** A sign before a number makes it a step, but a number below zero is written {@code =-5}. */
  private static final Pattern STEP =
      Pattern.compile("\\s*([+\\-\u2212\u00d7*x/\u00f7])\\s*(\\d+(?:[.,]\\d+)?)\\s*(%|pt|em)?\\s*");

  /** What a step does to a number. */
  private record Step(char sign, double amount, boolean percent) {
    double of(double own) {
      double by = percent ? own * amount / 100 : amount;
      return switch (sign) {
        case '+' -> own + by;
        case '-' -> own - by;
        case '/' -> percent ? own / (amount / 100) : own / amount;
        default -> percent ? own * amount / 100 : own * amount;
      };
    }
  }

  private static Optional<Step> step(String typed) {
    Matcher matcher = STEP.matcher(typed);
    if (!matcher.matches()) {
      return Optional.empty();
    }
    char sign =
        switch (matcher.group(1)) {
          case "+" -> '+';
          case "-", "\u2212" -> '-';
          case "/", "\u00f7" -> '/';
          default -> '*';
        };
    return Optional.of(
        new Step(sign, Numbers.parse(matcher.group(2)), "%".equals(matcher.group(3))));
  }

  @Override
  public Project applyTo(Project before) {
    return set(before, key);
  }

  private <T> Project set(Project before, PropertyKey<T> wanted) {
    Optional<Step> step = step(typed);
    if (target.isWithinText()) {
      return setWithin(before, wanted, step);
    }
    Map<T, List<LayerId>> byValue = new LinkedHashMap<>();
    List<Part<T>> parts = new ArrayList<>();
    if (step.isEmpty()) {
      byValue.put(parsed(wanted), new ArrayList<>(target.layers()));
    } else {
      Cascade cascade = Cascade.of(before);
      Map<LayerId, Layer> there = before.layersOf(target.layers());
      for (LayerId id : target.layers()) {
        Layer layer = there.get(id);
        if (layer != null && layer.isText()) {
          List<Part<T>> own = parts(cascade, layer, wanted, layer.story().all());
          if (own.stream().map(Part::value).distinct().count() > 1) {
            own.forEach(part ->
                parts.add(new Part<>(part.words(), stepped(wanted, part.value(), step.get()))));
          } else {
            byValue
                .computeIfAbsent(
                    stepped(wanted, own.getFirst().value(), step.get()), _ -> new ArrayList<>())
                .add(id);
          }
        }
      }
    }
    Project project = before;
    for (Part<T> part : parts) {
      project = SetValues.of(part.words(), wanted, part.value()).applyTo(project);
    }
    for (Map.Entry<T, List<LayerId>> entry : byValue.entrySet()) {
      project =
          SetValues.of(new Target.Layers(entry.getValue()), wanted, entry.getKey())
              .applyTo(project);
    }
    return project;
  }

  private <T> Project setWithin(Project before, PropertyKey<T> wanted, Optional<Step> step) {
    if (step.isEmpty()) {
      return SetValues.of(target, wanted, parsed(wanted)).applyTo(before);
    }
    Cascade cascade = Cascade.of(before);
    List<Target.Words> passages =
        switch (target) {
          case Target.Layers _ -> List.<Target.Words>of();
          case Target.Words words -> List.of(words);
          case Target.Passages several -> several.passages();
        };
    Project project = before;
    for (Target.Words passage : passages) {
      Optional<Layer> layer = before.layer(passage.layer());
      if (layer.isPresent()) {
        List<Part<T>> own = parts(cascade, layer.get(), wanted, letters(layer.get(), passage));
        boolean mixed = own.stream().map(Part::value).distinct().count() > 1;
        List<Part<T>> changed = mixed ? own : List.of(new Part<>(passage, own.getFirst().value()));
        for (Part<T> part : changed) {
          project =
              SetValues.of(part.words(), wanted, stepped(wanted, part.value(), step.get()))
                  .applyTo(project);
        }
      }
    }
    return project;
  }

  /** Those of a paragraph if that is named as a whole. */
  private static TextRange letters(Layer layer, Target.Words passage) {
    Story story = layer.story();
    return passage.range().isEmpty()
        ? story.rangeOf(story.paragraphAt(passage.range().start()))
        : passage.range();
  }

  /** Words with a value; in a text that has several each takes the step from its own. */
  private record Part<T>(Target.Words words, T value) {}

  private static <T> List<Part<T>> parts(
      Cascade cascade, Layer layer, PropertyKey<T> wanted, TextRange among) {
    List<Part<T>> parts = new ArrayList<>();
    int at = 0;
    for (Paragraph paragraph : layer.story().paragraphs()) {
      int start = at;
      if (wanted.countsOn(Level.SPAN)) {
        for (Span span : paragraph.spans()) {
          parts.add(
              new Part<>(
                  new Target.Words(layer.id(), new TextRange(at, at + span.length())),
                  Coats.value(cascade.values(layer, paragraph, span), wanted)));
          at += span.length();
        }
      } else {
        at += paragraph.length();
        PropertySet values =
            wanted.countsOn(Level.PARAGRAPH)
                ? cascade.values(layer, paragraph)
                : cascade.values(layer);
        parts.add(
            new Part<>(
                new Target.Words(layer.id(), new TextRange(start, at)),
                Coats.value(values, wanted)));
      }
      at++;
    }
    List<Part<T>> said =
        parts.stream().filter(part -> part.words().range().overlaps(among)).toList();
    return said.isEmpty() ? parts.subList(0, 1) : said;
  }

  private <T> T parsed(PropertyKey<T> wanted) {
    String value = typed.strip();
    try {
      return wanted.property().type().parse(value.startsWith("=") ? value.substring(1) : value);
    } catch (IllegalArgumentException wrong) {
      throw new EditRefused(
          Messages.of(
              "set-in-rows.cannot-be-set",
              wanted.property().label(),
              typed,
              String.valueOf(wrong.getMessage())));
    }
  }

  @SuppressWarnings("unchecked") // a stepped value has the type of its own
  private <T> T stepped(PropertyKey<T> wanted, T own, Step step) {
    Object after =
        switch (own) {
          case Double number -> (Object) rounded(step.of(number));
          case FontSize size -> FontSize.points(checkedSize(rounded(step.of(size.over(0)))));
          case Length length -> new Length(rounded(step.of(length.amount())), length.unit());
          case Leading.Absolute leading -> new Leading.Absolute(rounded(step.of(leading.points())));
          case Leading.Relative leading ->
              new Leading.Relative(
                  rounded(
                      step.percent() || "*/".indexOf(step.sign()) >= 0
                          ? step.of(leading.share())
                          : step.of(leading.share() * 100) / 100));
          default ->
              throw new EditRefused(
                  Messages.of("set-in-rows.is-no-number", wanted.property().label(), typed));
        };
    try {
      // the type knows what is out of range
      return wanted.property().type().parse(wanted.property().type().format((T) after));
    } catch (IllegalArgumentException wrong) {
      throw new EditRefused(
          Messages.of(
              "set-in-rows.cannot-be-set",
              wanted.property().label(),
              typed,
              String.valueOf(wrong.getMessage())));
    }
  }

  private double checkedSize(double points) {
    if (points <= 0) {
      throw new EditRefused(Messages.of("set-in-rows.would-be-no-size", typed));
    }
    return points;
  }

  /** Without the dust of arithmetic. */
  private static double rounded(double number) {
    return Math.rint(number * 1e6) / 1e6;
  }

  @Override
  public String label(Project before) {
    return Messages.of("set-in-rows.set", key.property().label(), typed.strip(), target.label());
  }
}
