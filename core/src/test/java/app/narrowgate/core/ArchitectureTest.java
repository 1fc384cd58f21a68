package app.narrowgate.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.Architectures.layeredArchitecture;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

/** The arrows between the core's packages run downwards only. */
@AnalyzeClasses(packages = "app.narrowgate.core", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {

    @ArchTest
    static final ArchRule KNOWS_NO_FRAMEWORK = noClasses().should().dependOnClassesThat().resideInAnyPackage(
            "org.springframework..", "org.apache.ibatis..", "jakarta..", "java.sql..", "tools.jackson..",
            "app.narrowgate.server..", "app.narrowgate.exchange..");

    @ArchTest
    static final ArchRule NO_CYCLES = slices().matching("app.narrowgate.core.(*)..").should().beFreeOfCycles();

    @ArchTest
    static final ArchRule DOWNWARDS = layeredArchitecture().consideringOnlyDependenciesInLayers()
            .layer("drill").definedBy("app.narrowgate.core.drill..")
            .layer("review").definedBy("app.narrowgate.core.review..")
            .layer("odds").definedBy("app.narrowgate.core.odds..")
            .layer("finish").definedBy("app.narrowgate.core.finish..")
            .layer("held").definedBy("app.narrowgate.core.held..")
            .layer("map").definedBy("app.narrowgate.core.map..")
            .layer("check").definedBy("app.narrowgate.core.check..")
            .whereLayer("drill").mayNotBeAccessedByAnyLayer()
            .whereLayer("review").mayNotBeAccessedByAnyLayer()
            .whereLayer("odds").mayOnlyBeAccessedByLayers("drill", "review")
            .whereLayer("finish").mayNotBeAccessedByAnyLayer()
            .whereLayer("held").mayNotBeAccessedByAnyLayer()
            .whereLayer("map").mayOnlyBeAccessedByLayers("drill", "review", "odds", "finish", "held");
}
