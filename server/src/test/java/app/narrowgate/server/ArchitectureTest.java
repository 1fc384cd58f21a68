package app.narrowgate.server;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchCondition;
import com.tngtech.archunit.lang.ArchRule;
import com.tngtech.archunit.lang.ConditionEvents;
import com.tngtech.archunit.lang.SimpleConditionEvent;

/** Features do not go round in circles and keep their mappers to themselves. */
@AnalyzeClasses(packages = "app.narrowgate", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {

    @ArchTest
    static final ArchRule NO_CYCLES = slices().matching("app.narrowgate.server.(*)..").should().beFreeOfCycles();

    @ArchTest
    static final ArchRule NOTHING_BELOW_KNOWS_THE_SERVER = noClasses()
            .that().resideInAnyPackage("app.narrowgate.core..", "app.narrowgate.exchange..")
            .should().dependOnClassesThat().resideInAPackage("app.narrowgate.server..");

    @ArchTest
    static final ArchRule EXCHANGE_KNOWS_NO_WEB_OR_DATABASE = noClasses()
            .that().resideInAPackage("app.narrowgate.exchange..")
            .should().dependOnClassesThat().resideInAnyPackage("org.springframework..", "java.sql..",
                    "org.apache.ibatis..", "jakarta..");

    @ArchTest
    static final ArchRule MAPPERS_STAY_IN_THEIR_FEATURE = classes().that().haveSimpleNameEndingWith("Mapper")
            .and().areInterfaces().should(beUsedInTheirPackageOnly());

    private static ArchCondition<JavaClass> beUsedInTheirPackageOnly() {
        return new ArchCondition<>("be used in their own package only") {
            @Override
            public void check(JavaClass mapper, ConditionEvents events) {
                mapper.getDirectDependenciesToSelf().stream()
                        .filter(use -> !use.getOriginClass().getPackageName().equals(mapper.getPackageName()))
                        .forEach(use -> events.add(SimpleConditionEvent.violated(mapper, use.getDescription())));
            }
        };
    }
}
