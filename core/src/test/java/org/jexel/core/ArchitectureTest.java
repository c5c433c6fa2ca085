package org.jexel.core;

import static com.tngtech.archunit.base.DescribedPredicate.not;
import static com.tngtech.archunit.core.domain.JavaAccess.Predicates.target;
import static com.tngtech.archunit.core.domain.JavaClass.Predicates.resideInAPackage;
import static com.tngtech.archunit.core.domain.JavaClass.Predicates.type;
import static com.tngtech.archunit.core.domain.properties.HasName.Predicates.nameMatching;
import static com.tngtech.archunit.core.domain.properties.HasOwner.Predicates.With.owner;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.Architectures.layeredArchitecture;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import java.time.Clock;

@AnalyzeClasses(packages = "org.jexel.core", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {
  @ArchTest
  static final ArchRule coreKnowsNoFramework =
      noClasses()
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage(
              "org.springframework..",
              "org.hibernate..",
              "jakarta..",
              "org.thymeleaf..",
              "com.fasterxml..",
              "java.sql..",
              "javax..");

  @ArchTest
  static final ArchRule coreReadsNoClock =
      noClasses()
          .should()
          .dependOnClassesThat()
          .belongToAnyOf(Clock.class)
          .orShould()
          .callMethodWhere(
              target(nameMatching("now")).and(target(owner(resideInAPackage("java.time..")))))
          .orShould()
          .callMethod(System.class, "currentTimeMillis")
          .orShould()
          .callMethod(System.class, "nanoTime");

  @ArchTest
  static final ArchRule coreTouchesNoFiles =
      noClasses().should().dependOnClassesThat().resideInAnyPackage("java.io..", "java.nio.file..");

  @ArchTest
  static final ArchRule packagesStandInOrder =
      layeredArchitecture()
          .consideringOnlyDependenciesInLayers()
          .layer("quantity")
          .definedBy("..core.quantity..")
          .layer("connector")
          .definedBy("..core.connector..")
          .layer("rig")
          .definedBy("..core.rig..")
          .layer("harness")
          .definedBy("..core.harness..")
          .layer("network")
          .definedBy("..core.network..")
          .layer("check")
          .definedBy("..core.check..")
          .layer("diagnosis")
          .definedBy("..core.diagnosis..")
          .layer("braking")
          .definedBy("..core.braking..")
          .layer("trace")
          .definedBy("..core.trace..")
          .layer("road")
          .definedBy("..core.road..")
          .layer("cab")
          .definedBy("..core.cab..")
          .layer("breakaway")
          .definedBy("..core.breakaway..")
          .layer("care")
          .definedBy("..core.care..")
          .layer("job")
          .definedBy("..core.job..")
          .layer("report")
          .definedBy("..core.report..")
          .whereLayer("report")
          .mayNotBeAccessedByAnyLayer()
          .whereLayer("job")
          .mayOnlyBeAccessedByLayers("report")
          .whereLayer("quantity")
          .mayNotAccessAnyLayer()
          .whereLayer("connector")
          .mayOnlyAccessLayers("quantity")
          .whereLayer("rig")
          .mayOnlyAccessLayers("quantity", "connector")
          .whereLayer("harness")
          .mayOnlyAccessLayers("quantity", "connector", "rig")
          .whereLayer("network")
          .mayOnlyAccessLayers("quantity", "connector", "rig", "harness", "braking")
          .whereLayer("check")
          .mayOnlyAccessLayers("quantity", "connector", "rig", "harness", "network", "braking")
          .whereLayer("diagnosis")
          .mayOnlyAccessLayers("quantity", "connector", "rig", "harness", "network", "check")
          .whereLayer("braking")
          .mayOnlyAccessLayers("quantity")
          .whereLayer("trace")
          .mayOnlyAccessLayers("quantity")
          .whereLayer("road")
          .mayOnlyAccessLayers("quantity", "rig", "harness", "network", "braking", "check")
          .whereLayer("cab")
          .mayOnlyAccessLayers("quantity", "connector", "rig", "harness", "road")
          .whereLayer("breakaway")
          .mayOnlyAccessLayers("quantity", "connector", "rig", "harness", "network", "braking")
          .whereLayer("care")
          .mayOnlyAccessLayers("quantity", "rig");

  @ArchTest
  static final ArchRule noCircles =
      slices().matching("org.jexel.core.(*)..").should().beFreeOfCycles();

  /** Whoever reads text that people or files give: nobody else takes words apart. */
  private static final String READERS =
      "QuantityParser|PartOutput|NoFigure|CleanText|PinList|CavityMatch|CoastDown|ControllerLines|StopSignal|Fault"
          + "|FieldKey|CheckId|Nodes|Spice|Lamp";

  @ArchTest
  static final ArchRule wordsOfAScreenAreNoKeys =
      noClasses()
          .that(not(nameMatching(".*\\.(" + READERS + ")")))
          .should()
          .callMethodWhere(
              target(nameMatching("startsWith|endsWith|contains|split|matches|replaceFirst"))
                  .and(target(owner(type(String.class)))));
}
