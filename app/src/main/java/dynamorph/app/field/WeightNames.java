package dynamorph.app.field;

import dynamorph.model.value.Numbers;

/** The names of weights, as the OpenType specification gives them for usWeightClass. */
final class WeightNames {
  private WeightNames() {}

  static String of(double weight) {
    String name =
        switch ((int) Math.round(weight)) {
          case 100 -> "Thin";
          case 200 -> "Extra light";
          case 300 -> "Light";
          case 400 -> "Regular";
          case 500 -> "Medium";
          case 600 -> "Semi bold";
          case 700 -> "Bold";
          case 800 -> "Extra bold";
          case 900 -> "Black";
          default -> "";
        };
    return name.isEmpty() ? Numbers.format(weight) : name;
  }
}
