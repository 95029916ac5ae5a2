package dynamorph.cli;

import dynamorph.model.value.Slant;
import dynamorph.typeset.font.FeatureNames;
import dynamorph.typeset.font.FontFace;
import dynamorph.typeset.font.FontFamily;
import dynamorph.typeset.font.FontLibrary;
import java.io.PrintWriter;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

@Command(
    name = "fonts",
    description = "${bundle:fonts-command.lists-the-font-families-that-there}",
    mixinStandardHelpOptions = true)
final class FontsCommand implements Callable<Integer> {
  @Option(names = "--json", description = "${bundle:fonts-command.prints-json}")
  private boolean json;

  @Option(
      names = "--family",
      paramLabel = "NAME",
      description = "${bundle:fonts-command.only-families-whose-name-holds-this}")
  private String family;

  @Option(
      names = "--shipped",
      description = "${bundle:fonts-command.only-the-families-that-come-with}")
  private boolean shipped;

  @Spec private CommandSpec spec;

  @Override
  public Integer call() {
    PrintWriter out = spec.commandLine().getOut();
    try (FontLibrary fonts = shipped ? FontLibrary.shipped() : FontLibrary.installed()) {
      List<FontFamily> families =
          fonts.families().stream().filter(candidate -> isWanted(candidate.name())).toList();
      if (json) {
        ObjectNode answer = Json.NODES.objectNode();
        ArrayNode array = answer.putArray("families");
        families.forEach(candidate -> put(array.addObject(), fonts, candidate));
        Json.print(out, answer);
      } else {
        families.forEach(candidate -> out.println(candidate.name()));
      }
    }
    return 0;
  }

  private boolean isWanted(String name) {
    return family == null
        || name.toLowerCase(Locale.ROOT).contains(family.toLowerCase(Locale.ROOT));
  }

  private static void put(ObjectNode node, FontLibrary fonts, FontFamily family) {
    FontFace face = fonts.match(family.name(), 400, Slant.UPRIGHT).face();
    node.put("family", family.name());
    node.put("origin", family.origin().name().toLowerCase(Locale.ROOT));
    ArrayNode weights = node.putArray("weights");
    (face.axes().isEmpty() ? family.weights() : fonts.weights(family.name())).forEach(weights::add);
    node.put("italic", family.hasItalic());
    ArrayNode features = node.putArray("features");
    face.features()
        .forEach((tag, own) ->
            features
                .addObject()
                .put("tag", tag)
                .put("name", FeatureNames.of(tag, own))
                .put("chosen", FeatureNames.isChosen(tag)));
    ArrayNode axes = node.putArray("axes");
    face.axes()
        .forEach(axis ->
            axes.addObject()
                .put("tag", axis.tag())
                .put("name", axis.name())
                .put("least", axis.least())
                .put("normal", axis.normal())
                .put("most", axis.most()));
    ArrayNode instances = node.putArray("instances");
    face.instances()
        .forEach(instance -> {
          ObjectNode own = instances.addObject().put("name", instance.name());
          ObjectNode place = own.putObject("place");
          instance.place().forEach(place::put);
        });
  }
}
