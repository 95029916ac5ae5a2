package dynamorph.cli;

import dynamorph.model.edit.style.ApplyOptions;
import dynamorph.model.property.Aspect;
import dynamorph.model.property.Facet;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import picocli.CommandLine.Option;

/** How a style is put on text. */
final class ApplyArguments {
  @Option(
      names = "--leave",
      split = ",",
      paramLabel = "PART",
      description = "${bundle:apply-arguments.what-stays-as-it-looks-font}")
  private List<Aspect> leaves = List.of();

  @Option(names = "--drop-local", description = "${bundle:apply-arguments.drops-all-local-changes}")
  private boolean dropLocal;

  @Option(
      names = "--keep-local",
      split = ",",
      paramLabel = "FACET",
      description = "${bundle:apply-arguments.keeps-local-changes-of-these-facets}")
  private List<Facet> keepLocal;

  ApplyOptions options(boolean onTop) {
    Set<Facet> kept =
        dropLocal
            ? Set.of()
            : keepLocal == null ? EnumSet.allOf(Facet.class) : Set.copyOf(keepLocal);
    return new ApplyOptions(onTop, Set.copyOf(leaves), kept);
  }
}
