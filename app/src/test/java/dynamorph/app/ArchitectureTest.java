package dynamorph.app;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.Architectures.layeredArchitecture;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.library.dependencies.SliceAssignment;
import com.tngtech.archunit.library.dependencies.SliceIdentifier;
import com.tngtech.archunit.library.dependencies.SlicesRuleDefinition;
import org.junit.jupiter.api.Test;

/** The floors of the house: each uses only those below it. */
class ArchitectureTest {
  private static final JavaClasses CLASSES =
      new ClassFileImporter()
          .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
          // nor what tests of one module lend to those of another
          .withImportOption(location -> !location.contains("-tests.jar"))
          .importPackages("dynamorph");

  @Test
  void eachFloorUsesOnlyThoseBelow() {
    layeredArchitecture()
        .consideringOnlyDependenciesInLayers()
        .layer("model")
        .definedBy("dynamorph.model..")
        .layer("typeset")
        .definedBy("dynamorph.typeset..")
        .layer("paint")
        .definedBy("dynamorph.paint..")
        .layer("footage")
        .definedBy("dynamorph.footage..")
        .layer("formats")
        .definedBy("dynamorph.formats..")
        .layer("shelf")
        .definedBy("dynamorph.shelf..")
        .layer("demo")
        .definedBy("dynamorph.demo..")
        .layer("cli")
        .definedBy("dynamorph.cli..")
        .layer("app")
        .definedBy("dynamorph.app..")
        .whereLayer("app")
        .mayNotBeAccessedByAnyLayer()
        .whereLayer("cli")
        .mayNotBeAccessedByAnyLayer()
        .whereLayer("demo")
        .mayOnlyBeAccessedByLayers("cli", "app")
        .whereLayer("shelf")
        .mayOnlyBeAccessedByLayers("demo", "cli", "app")
        .whereLayer("formats")
        .mayOnlyBeAccessedByLayers("shelf", "demo", "cli", "app")
        .whereLayer("footage")
        .mayOnlyBeAccessedByLayers("formats", "shelf", "cli", "app")
        .whereLayer("paint")
        .mayOnlyBeAccessedByLayers("footage", "formats", "shelf", "cli", "app")
        .whereLayer("typeset")
        .mayOnlyBeAccessedByLayers("paint", "footage", "formats", "shelf", "cli", "app")
        .check(CLASSES);
  }

  @Test
  void nothingBelowTheWindowKnowsAToolkit() {
    noClasses()
        .that()
        .resideOutsideOfPackage("dynamorph.app..")
        .should()
        .dependOnClassesThat()
        .resideInAnyPackage("javafx..", "java.awt..", "javax.swing..")
        .check(CLASSES);
  }

  @Test
  void theModelKnowsNoGraphicsLibraryAndNoFileFormat() {
    noClasses()
        .that()
        .resideInAPackage("dynamorph.model..")
        .should()
        .dependOnClassesThat()
        .resideInAnyPackage(
            "io.github.humbleui..", "tools.jackson..", "java.nio.file..", "java.io..")
        .check(CLASSES);
  }

  @Test
  void onlyMessagesAndNestedWordsOfTheModelKnowAboutLanguages() {
    noClasses()
        .that()
        .resideInAPackage("dynamorph.model..")
        .and()
        .resideOutsideOfPackages("dynamorph.model.message", "dynamorph.model.nested")
        .should()
        .dependOnClassesThat()
        .resideInAnyPackage("com.ibm.icu..")
        .check(CLASSES);
  }

  @Test
  void nativeObjectsStayOutOfTheViews() {
    noClasses()
        .that()
        .resideInAPackage("dynamorph.app..")
        .should()
        .dependOnClassesThat()
        .resideInAnyPackage("io.github.humbleui..", "org.bytedeco..", "tools.jackson..")
        .check(CLASSES);
  }

  @Test
  void packagesFormNoCircles() {
    SlicesRuleDefinition.slices()
        .assignedFrom(
            new SliceAssignment() {
              @Override
              public SliceIdentifier getIdentifierOf(JavaClass type) {
                return SliceIdentifier.of(type.getPackageName());
              }

              @Override
              public String getDescription() {
                return "packages";
              }
            })
        .should()
        .beFreeOfCycles()
        .check(CLASSES);
  }
}
