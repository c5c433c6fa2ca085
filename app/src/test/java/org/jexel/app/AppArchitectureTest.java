package org.jexel.app;

import static com.tngtech.archunit.core.domain.JavaAccess.Predicates.target;
import static com.tngtech.archunit.core.domain.JavaClass.Predicates.type;
import static com.tngtech.archunit.core.domain.properties.HasName.Predicates.nameMatching;
import static com.tngtech.archunit.core.domain.properties.HasOwner.Predicates.With.owner;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.Architectures.layeredArchitecture;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import org.jexel.app.job.StationRoom;

@AnalyzeClasses(packages = "org.jexel", importOptions = ImportOption.DoNotIncludeTests.class)
class AppArchitectureTest {
  /** Rooms that hold no station, from the ground up: each may lean on those before it. */
  private static final String[] GROUND = {
    "drawing",
    "exchange",
    "workshop",
    "security",
    "library",
    "device",
    "job",
    "entry",
    "helper",
    "photograph"
  };

  private static final String[] STATIONS = {
    "rig", "harness", "cab", "bench", "breakaway", "road", "handover", "care"
  };

  @ArchTest
  static final ArchRule coreNeverLooksBack =
      noClasses()
          .that()
          .resideInAPackage("org.jexel.core..")
          .should()
          .dependOnClassesThat()
          .resideInAPackage("org.jexel.app..");

  @ArchTest
  static final ArchRule noCircles =
      slices().matching("org.jexel.app.(*)..").should().beFreeOfCycles();

  @ArchTest static final ArchRule roomsStandInOrder = order();

  private static ArchRule order() {
    var house = layeredArchitecture().consideringOnlyDependenciesInLayers();
    for (String room : GROUND) {
      house.layer(room).definedBy("org.jexel.app." + room + "..");
    }
    for (String station : STATIONS) {
      house.layer(station).definedBy("org.jexel.app." + station + "..");
    }
    house.layer("demo").definedBy("org.jexel.app.demo..");
    house.whereLayer("drawing").mayNotAccessAnyLayer();
    house.whereLayer("exchange").mayOnlyAccessLayers("drawing");
    house.whereLayer("workshop").mayNotAccessAnyLayer();
    house.whereLayer("security").mayOnlyAccessLayers("workshop");
    house.whereLayer("library").mayOnlyAccessLayers("drawing", "exchange", "workshop", "security");
    house.whereLayer("device").mayOnlyAccessLayers("workshop");
    house
        .whereLayer("job")
        .mayOnlyAccessLayers("drawing", "exchange", "workshop", "security", "library");
    house
        .whereLayer("entry")
        .mayOnlyAccessLayers("drawing", "exchange", "job", "workshop", "security", "library");
    house.whereLayer("helper").mayOnlyAccessLayers("job", "exchange", "workshop", "security");
    house.whereLayer("photograph").mayOnlyAccessLayers("job", "exchange", "workshop", "security");
    for (String station : STATIONS) {
      house.whereLayer(station).mayOnlyAccessLayers(GROUND);
    }
    return house.whereLayer("demo").mayNotBeAccessedByAnyLayer();
  }

  @ArchTest
  static final ArchRule whatAStationIsToTheJobItSaysInItsRoom =
      classes()
          .that()
          .implement(StationRoom.class)
          .should()
          .haveSimpleNameEndingWith("Room")
          .andShould()
          .notBePublic();

  @ArchTest
  static final ArchRule controllersSpeakToServicesAndNotToTheDatabase =
      noClasses()
          .that()
          .haveSimpleNameEndingWith("Controller")
          .should()
          .dependOnClassesThat()
          .resideInAPackage("jakarta.persistence..");

  @ArchTest
  static final ArchRule drawingsKnowTheCoreAlone =
      noClasses()
          .that()
          .resideInAPackage("..app.drawing..")
          .should()
          .dependOnClassesThat()
          .haveSimpleNameEndingWith("Repository");

  /** Rounding for a page is no arithmetic of the trade; a root or a power is. */
  @ArchTest
  static final ArchRule theTradeIsComputedInTheCore =
      noClasses()
          .that()
          .resideInAPackage("org.jexel.app..")
          .and()
          .resideOutsideOfPackage("..drawing..")
          .and()
          .haveSimpleNameNotEndingWith("Layer")
          .should()
          .callMethodWhere(
              target(nameMatching("sqrt|pow|exp|log|log10|sin|cos|tan|atan2?|hypot|fma"))
                  .and(target(owner(type(Math.class)))));
}
