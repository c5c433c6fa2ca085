package org.jexel.app;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

@AnalyzeClasses(packages = "org.jexel", importOptions = ImportOption.DoNotIncludeTests.class)
class AppArchitectureTest {
  @ArchTest
  static final ArchRule coreNeverLooksBack =
      noClasses()
          .that()
          .resideInAPackage("org.jexel.core..")
          .should()
          .dependOnClassesThat()
          .resideInAPackage("org.jexel.app..");

  @ArchTest
  static final ArchRule controllersSpeakToServicesAndNotToTheDatabase =
      noClasses()
          .that()
          .haveSimpleNameEndingWith("Controller")
          .should()
          .dependOnClassesThat()
          .resideInAPackage("jakarta.persistence..");

  @ArchTest
  static final ArchRule drawingsChangeNothing =
      noClasses()
          .that()
          .resideInAPackage("..app.drawing..")
          .should()
          .dependOnClassesThat()
          .haveSimpleNameEndingWith("Repository");
}
