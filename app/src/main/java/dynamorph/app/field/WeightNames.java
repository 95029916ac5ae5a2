package dynamorph.app.field;

import dynamorph.app.message.Messages;
import dynamorph.model.value.Numbers;

/** The names of weights, as the OpenType specification gives them for usWeightClass. */
final class WeightNames {
  private WeightNames() {}

  static String of(double weight) {
    String name =
        switch ((int) Math.round(weight)) {
          case 100 -> Messages.of("weight-names.thin");
          case 200 -> Messages.of("weight-names.extra-light");
          case 300 -> Messages.of("weight-names.light");
          case 400 -> Messages.of("weight-names.regular");
          case 500 -> Messages.of("weight-names.medium");
          case 600 -> Messages.of("weight-names.semi-bold");
          case 700 -> Messages.of("weight-names.bold");
          case 800 -> Messages.of("weight-names.extra-bold");
          case 900 -> Messages.of("weight-names.black");
          default -> "";
        };
    return name.isEmpty() ? Numbers.format(weight) : name;
  }
}
