package dynamorph.app.finish;

import dynamorph.app.field.NumberText;
import dynamorph.app.field.Tips;
import dynamorph.app.field.ValueEditor;
import dynamorph.app.message.Messages;
import dynamorph.app.property.Subject;
import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.value.Length;
import dynamorph.model.value.Numbers;
import java.util.Optional;
import java.util.function.Supplier;

/**
 * The offset of a shadow told as an angle and a distance: 0 degrees is to the right, 90 downwards.
 * Lengths stay in the unit that they are in.
 */
final class ShadowDirection {
  private final Supplier<Subject> subject;
  private final Address effect;
  private final NumberText<Double> angle;
  private final NumberText<Double> distance;

  /** A shadow of no offset keeps the angle it had. */
  private double lastAngle = 45;

  ShadowDirection(Supplier<Subject> subject, Address effect) {
    this.subject = subject;
    this.effect = effect;
    angle = new NumberText<>(values(" \u00b0", 1, -3600), sink(true));
    angle.setId("cast-angle");
    Tips.on(angle, Messages.of("shadow-direction.where-the-shadow-falls-0-is"));
    distance = new NumberText<>(values("", 0.01, 0), sink(false));
    distance.setId("cast-distance");
    Tips.on(distance, Messages.of("shadow-direction.how-far-it-falls-in-the"));
  }

  NumberText<Double> angle() {
    return angle;
  }

  NumberText<Double> distance() {
    return distance;
  }

  private NumberText.Values<Double> values(String unit, double step, double least) {
    return new NumberText.Values<>() {
      @Override
      public String format(Double value) {
        return Numbers.format(value, 3) + (unit.isEmpty() ? " " + unit().symbol() : unit);
      }

      @Override
      public Double parse(String text) {
        return Math.max(least, Numbers.parse(text.replaceAll("[^0-9.+-]", "")));
      }

      @Override
      public Double nudged(Double value, double steps) {
        double by = unit.isEmpty() && unit() == Length.Unit.POINT ? 0.5 : step;
        return Math.max(least, Math.rint((value + steps * by) * 1e6) / 1e6);
      }
    };
  }

  private Length across() {
    return subject.get().shown(Properties.SHADOW_X.at(effect)).value().orElse(Length.ZERO);
  }

  private Length down() {
    return subject.get().shown(Properties.SHADOW_Y.at(effect)).value().orElse(Length.ZERO);
  }

  private Length.Unit unit() {
    return across().amount() == 0 ? down().unit() : across().unit();
  }

  /** Offsets in two units have no angle. */
  private boolean isTold() {
    return across().unit() == down().unit() || across().amount() == 0 || down().amount() == 0;
  }

  void update() {
    if (!isTold()) {
      angle.show(Optional.empty());
      distance.show(Optional.empty());
      return;
    }
    double x = across().amount();
    double y = down().amount();
    if (x != 0 || y != 0) {
      lastAngle = Math.toDegrees(Math.atan2(y, x));
    }
    angle.show(Optional.of(Math.rint(lastAngle * 1e3) / 1e3));
    distance.show(Optional.of(Math.hypot(x, y)));
  }

  private ValueEditor.Sink<Double> sink(boolean turns) {
    return new ValueEditor.Sink<>() {
      @Override
      public void set(Double value, Optional<Object> gesture) {
        double far = turns ? Math.hypot(across().amount(), down().amount()) : value;
        double turn = Math.toRadians(turns ? value : lastAngle);
        lastAngle = turns ? value : lastAngle;
        Length.Unit unit = unit();
        subject
            .get()
            .set(
                PropertySet.EMPTY
                    .with(
                        Properties.SHADOW_X.at(effect),
                        new Length(rounded(far * Math.cos(turn)), unit))
                    .with(
                        Properties.SHADOW_Y.at(effect),
                        new Length(rounded(far * Math.sin(turn)), unit)),
                gesture);
      }

      @Override
      public void refuse(String why) {
        update();
      }
    };
  }

  private static double rounded(double amount) {
    return Math.rint(amount * 1e6) / 1e6;
  }
}
