package dynamorph.app.field;

import dynamorph.app.message.Messages;
import dynamorph.model.property.Properties;
import dynamorph.model.property.Property;
import dynamorph.model.property.ValueType;
import dynamorph.model.style.Palette;
import dynamorph.model.style.Style;
import dynamorph.model.style.StyleLevel;
import dynamorph.model.value.AxisSettings;
import dynamorph.model.value.Colour;
import dynamorph.model.value.Expression;
import dynamorph.model.value.FeatureSettings;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.GradientStops;
import dynamorph.model.value.Leading;
import dynamorph.model.value.Length;
import dynamorph.model.value.NestedStyles;
import dynamorph.model.value.NextStyle;
import dynamorph.model.value.Numbers;
import dynamorph.model.value.Rgba;
import dynamorph.model.value.StylisticSets;
import dynamorph.typeset.font.FeatureNames;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Stream;
import javafx.collections.FXCollections;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;

/** Makes the editor that fits a property's type of value. */
public final class Editors {
  /** What editors ask the project and the machine for. */
  public interface Surroundings {
    /** Families that can be chosen. */
    Families families();

    /** Weights of the family that shows. */
    List<Integer> weights(Optional<String> family);

    Palette palette();

    /** The face of what is edited. */
    Face face();

    /** Keeps a colour as a swatch and returns its id. */
    String keepSwatch(Rgba colour);

    /** Colours used lately, the latest first. */
    List<Rgba> recentColours();

    /** Remembers a colour as the latest. */
    void usedColour(Rgba colour);

    /** What lies behind what is edited, if that is one colour. */
    Optional<Rgba> background();

    /** Images of the project, by their short names. */
    List<String> images();

    /** The styles of the project that are of a level, as they are listed. */
    List<Style> styles(StyleLevel level);
  }

  private final Surroundings surroundings;

  public Editors(Surroundings surroundings) {
    this.surroundings = surroundings;
  }

  /** The face of what is edited. */
  public Face face() {
    return surroundings.face();
  }

  /** An editor for a property. */
  @SuppressWarnings("unchecked") // the type of a property's values says which editor it takes
  public <T> ValueEditor<T> editor(Property<T> property, ValueEditor.Sink<T> sink) {
    if (property.equals(Properties.FONT_WEIGHT)) {
      return (ValueEditor<T>) weight((ValueEditor.Sink<Double>) sink);
    }
    if (property.equals(Properties.FONT_FAMILY)) {
      return (ValueEditor<T>)
          new FamilyEditor(surroundings.families(), (ValueEditor.Sink<String>) sink);
    }
    if (property.equals(Properties.STYLISTIC_SETS)) {
      return (ValueEditor<T>) stylisticSets((ValueEditor.Sink<StylisticSets>) sink);
    }
    if (property.equals(Properties.FONT_FEATURES)) {
      return (ValueEditor<T>) features((ValueEditor.Sink<FeatureSettings>) sink);
    }
    if (property.equals(Properties.FONT_AXES)) {
      return (ValueEditor<T>)
          new AxisSliders(surroundings.face(), (ValueEditor.Sink<AxisSettings>) sink);
    }
    if (property.equals(Properties.GRADIENT_STOPS)) {
      return (ValueEditor<T>)
          new GradientStrip(surroundings, (ValueEditor.Sink<GradientStops>) sink);
    }
    if (property.equals(Properties.TILE_IMAGE)) {
      return (ValueEditor<T>)
          combo(
              surroundings::images,
              name -> name,
              name -> ((ValueEditor.Sink<String>) sink).set(name, Optional.empty()));
    }
    if (property.equals(Properties.NESTED_STYLES)) {
      return (ValueEditor<T>)
          new NestedStylesEditor(
              () -> surroundings.styles(StyleLevel.CHARACTER),
              (ValueEditor.Sink<NestedStyles>) sink);
    }
    if (property.equals(Properties.NEXT_STYLE)) {
      return (ValueEditor<T>) nextStyle((ValueEditor.Sink<NextStyle>) sink);
    }
    ValueType<T> type = property.type();
    return switch (type) {
      case ValueType.Number number when property.id().endsWith("opacity") ->
          (ValueEditor<T>) text(percent(number), (ValueEditor.Sink<Double>) sink);
      case ValueType.Number number ->
          (ValueEditor<T>) text(number(number), (ValueEditor.Sink<Double>) sink);
      case ValueType.Lengths lengths ->
          (ValueEditor<T>) text(length(lengths), (ValueEditor.Sink<Length>) sink);
      case ValueType.Sizes _ -> (ValueEditor<T>) text(SIZE, (ValueEditor.Sink<FontSize>) sink);
      case ValueType.Leadings _ -> (ValueEditor<T>) text(LEADING, (ValueEditor.Sink<Leading>) sink);
      case ValueType.Words words ->
          (ValueEditor<T>) text(words(words), (ValueEditor.Sink<String>) sink);
      case ValueType.Written<?> written -> (ValueEditor<T>) written(written, sink);
      case ValueType.Flag _ -> (ValueEditor<T>) flag((ValueEditor.Sink<Boolean>) sink);
      case ValueType.Colours _ ->
          (ValueEditor<T>) new ColourEditor(surroundings, (ValueEditor.Sink<Colour>) sink);
      case ValueType.Choice<?> choice ->
          (ValueEditor<T>) choice(choice, (ValueEditor.Sink<Object>) sink);
    };
  }

  // --- numbers
  // -----------------------------------------------------------------------------------------------------

  private static <T> ValueEditor<T> text(NumberText.Values<T> values, ValueEditor.Sink<T> sink) {
    NumberText<T> field = new NumberText<>(values, sink);
    return editor(field, shown -> field.show(shown.value()));
  }

  private static <T> ValueEditor<T> editor(
      Node node, java.util.function.Consumer<ValueEditor.Shown<T>> show) {
    return new ValueEditor<>() {
      @Override
      public Node node() {
        return node;
      }

      @Override
      public void show(Shown<T> shown) {
        show.accept(shown);
      }
    };
  }

  private static <T> NumberText.Values<T> values(
      Function<T, String> format,
      Function<String, T> parse,
      java.util.function.BiFunction<T, Double, T> nudge) {
    return new NumberText.Values<>() {
      @Override
      public String format(T value) {
        return format.apply(value);
      }

      @Override
      public T parse(String text) {
        return parse.apply(text);
      }

      @Override
      public T nudged(T value, double steps) {
        return nudge.apply(value, steps);
      }
    };
  }

  /** Numbers of points, also below zero. */
  public static NumberText.Values<Double> points() {
    return number(new ValueType.Number(-1e6, 1e6, "pt"));
  }

  private static NumberText.Values<Double> number(ValueType.Number type) {
    String unit = type.unit().isEmpty() ? "" : " " + type.unit();
    return values(
        value -> Numbers.format(value, 2) + unit,
        text -> type.parse(plain(text, type.unit())),
        (value, steps) ->
            type.parse(Numbers.format(Math.clamp(value + steps, type.least(), type.most()))));
  }

  private static String plain(String text, String unit) {
    String stripped = text.strip();
    boolean withUnit = !unit.isEmpty() && stripped.endsWith(unit);
    String number = withUnit ? stripped.substring(0, stripped.length() - unit.length()) : stripped;
    return Numbers.format(Expression.evaluate(number));
  }

  private static NumberText.Values<Double> percent(ValueType.Number type) {
    return values(
        value -> Numbers.format(value * 100, 1) + " %",
        text -> type.parse(Numbers.format(Expression.evaluate(text.replace("%", "")) / 100)),
        (value, steps) -> Math.clamp(value + steps / 100, type.least(), type.most()));
  }

  private static NumberText.Values<Length> length(ValueType.Lengths type) {
    return values(
        length -> Numbers.format(length.amount(), 3) + " " + length.unit().symbol(),
        text -> type.parse(lengthText(text)),
        (length, steps) -> {
          double step = length.unit() == Length.Unit.EM ? 0.01 : 0.5;
          double amount = Math.clamp(length.amount() + steps * step, type.least(), type.most());
          return new Length(rounded(amount), length.unit());
        });
  }

  /** Arithmetic in front of a unit is worked out; a length in em stays in em. */
  private static String lengthText(String text) {
    String plain = text.strip();
    if (plain.endsWith("em")) {
      return Numbers.format(Expression.evaluate(plain.substring(0, plain.length() - 2))) + " em";
    }
    return Numbers.format(Expression.evaluate(plain)) + " pt";
  }

  private static double rounded(double amount) {
    return Math.rint(amount * 1e6) / 1e6;
  }

  private static final NumberText.Values<FontSize> SIZE =
      values(
          Editors::sizeText,
          Editors::parseSize,
          (size, steps) ->
              switch (size) {
                case FontSize.Absolute(double points) ->
                    FontSize.points(rounded(Math.max(FontSize.SMALLEST, points + steps)));
                case FontSize.Times(double factor) ->
                    new FontSize.Times(rounded(Math.max(0.01, factor + steps * 0.05)));
                case FontSize.Plus(double points) -> new FontSize.Plus(rounded(points + steps));
              });

  private static String sizeText(FontSize size) {
    return size instanceof FontSize.Absolute(double points)
        ? Numbers.format(points, 2) + " pt"
        : size.toString();
  }

  private static FontSize parseSize(String text) {
    String plain = text.strip();
    boolean arithmetic = plain.matches("\\d.*[-+*/].*|.*\\d\\s*(mm|cm|in)$");
    return arithmetic ? FontSize.points(Expression.evaluate(plain)) : FontSize.parse(plain);
  }

  private static final NumberText.Values<Leading> LEADING =
      values(
          Leading::toString,
          text ->
              text.strip().matches("\\d.*[-+*/].*")
                  ? new Leading.Absolute(Expression.evaluate(text))
                  : Leading.parse(text),
          (leading, steps) ->
              switch (leading) {
                case Leading.Absolute(double points) ->
                    new Leading.Absolute(rounded(Math.max(0, points + steps)));
                case Leading.Relative(double share) ->
                    new Leading.Relative(rounded(Math.max(0, share + steps / 100)));
                case Leading.Automatic _ ->
                    new Leading.Relative(rounded(Leading.AUTOMATIC_SHARE + steps / 100));
              });

  private static NumberText.Values<String> words(ValueType.Words type) {
    return values(text -> text, type::parse, (text, _) -> text);
  }

  @SuppressWarnings("unchecked") // a property's editor takes what its type reads
  private static <V> ValueEditor<V> written(ValueType.Written<V> type, ValueEditor.Sink<?> sink) {
    NumberText.Values<V> values =
        new NumberText.Values<>() {
          @Override
          public String format(V value) {
            return type.format(value);
          }

          @Override
          public V parse(String text) {
            return type.parse(text);
          }

          @Override
          public V nudged(V value, double steps) {
            return value;
          }

          @Override
          public V nudgedAt(V value, double steps, int caret) {
            return parse(NumberInText.nudged(format(value), caret, steps));
          }
        };
    return text(values, (ValueEditor.Sink<V>) sink);
  }

  // --- choices
  // -----------------------------------------------------------------------------------------------------

  private static ValueEditor<Boolean> flag(ValueEditor.Sink<Boolean> sink) {
    CheckBox box = new CheckBox();
    box.setOnAction(_ -> sink.set(box.isSelected(), Optional.empty()));
    return editor(
        box,
        shown -> {
          box.setIndeterminate(shown.value().isEmpty());
          box.setSelected(shown.value().orElse(false));
        });
  }

  private static ValueEditor<?> choice(ValueType.Choice<?> type, ValueEditor.Sink<Object> sink) {
    return choiceOf(type, sink);
  }

  private static <E extends Enum<E>> ValueEditor<E> choiceOf(
      ValueType.Choice<E> type, ValueEditor.Sink<Object> sink) {
    return combo(type::options, type::label, value -> sink.set(value, Optional.empty()));
  }

  private ValueEditor<StylisticSets> stylisticSets(ValueEditor.Sink<StylisticSets> sink) {
    return new FeatureChips<>(
        surroundings.face(),
        sink,
        face -> face.features().keySet().stream().filter(tag -> tag.matches("ss\\d\\d")).toList(),
        (sets, tag) -> sets.numbers().contains(Integer.parseInt(tag.substring(2))),
        (sets, tag) -> sets.toggled(Integer.parseInt(tag.substring(2))),
        StylisticSets.NONE);
  }

  /** Features that no property of their own asks for. */
  private static final Set<String> NAMED =
      Set.of(
          "liga", "clig", "dlig", "hlig", "hist", "calt", "swsh", "onum", "lnum", "pnum", "tnum",
          "frac", "ordn", "zero", "smcp", "c2sc", "sups", "subs", "kern");

  private ValueEditor<FeatureSettings> features(ValueEditor.Sink<FeatureSettings> sink) {
    return new FeatureChips<>(
        surroundings.face(),
        sink,
        face ->
            face.features().keySet().stream()
                .filter(FeatureNames::isChosen)
                .filter(tag -> !NAMED.contains(tag) && !tag.matches("ss\\d\\d"))
                .filter(tag -> face.example(tag).isPresent())
                .toList(),
        FeatureSettings::isOn,
        (settings, tag) -> settings.isOn(tag) ? settings.without(tag) : settings.with(tag, 1),
        FeatureSettings.NONE);
  }

  private ValueEditor<NextStyle> nextStyle(ValueEditor.Sink<NextStyle> sink) {
    return combo(
        () ->
            Stream.concat(
                    Stream.of(NextStyle.SAME),
                    surroundings.styles(StyleLevel.PARAGRAPH).stream()
                        .map(style -> new NextStyle(style.id().value())))
                .toList(),
        next ->
            next.isSame()
                ? Messages.of("editors.the-same-style")
                : surroundings.styles(StyleLevel.PARAGRAPH).stream()
                    .filter(style -> style.id().value().equals(next.style()))
                    .map(Style::name)
                    .findFirst()
                    .orElse(Messages.of("nested-styles-editor.missing", next.style())),
        next -> sink.set(next, Optional.empty()));
  }

  private ValueEditor<Double> weight(ValueEditor.Sink<Double> sink) {
    return combo(
        () -> surroundings.weights(Optional.empty()).stream().map(Integer::doubleValue).toList(),
        WeightNames::of,
        value -> sink.set(value, Optional.empty()));
  }

  /**
   * A box with a list that is asked for when it opens; a value outside the list shows all the same.
   */
  private static <V> ValueEditor<V> combo(
      Supplier<List<V>> options,
      Function<V, String> format,
      java.util.function.Consumer<V> chosen) {
    ComboBox<V> box = Controls.choice(format);
    boolean[] showing = {false};
    box.setOnShowing(_ -> {
      showing[0] = true;
      V value = box.getValue();
      box.setItems(FXCollections.observableArrayList(options.get()));
      box.setValue(value);
      showing[0] = false;
    });
    box.valueProperty()
        .addListener((_, _, value) -> {
          if (value != null && !showing[0]) {
            chosen.accept(value);
          }
        });
    return editor(
        box,
        shown -> {
          showing[0] = true;
          shown
              .value()
              .filter(value -> !box.getItems().contains(value))
              .ifPresent(box.getItems()::add);
          box.setPromptText(shown.value().isEmpty() ? Messages.of("common.mixed") : "");
          box.setValue(shown.value().orElse(null));
          showing[0] = false;
        });
  }
}
