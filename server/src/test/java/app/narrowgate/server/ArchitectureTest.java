package app.narrowgate.server;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.core.importer.Location;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchCondition;
import com.tngtech.archunit.lang.ArchRule;
import com.tngtech.archunit.lang.ConditionEvents;
import com.tngtech.archunit.lang.SimpleConditionEvent;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import org.junit.jupiter.api.Test;

/** Features do not go round in circles and keep their mappers to themselves. */
@AnalyzeClasses(packages = "app.narrowgate", importOptions = {ImportOption.DoNotIncludeTests.class, ArchitectureTest.OnlyWhatIsWritten.class})
class ArchitectureTest {

    /** Without the wiring that a build before has left there. */
    static class OnlyWhatIsWritten implements ImportOption {
        @Override
        public boolean includes(Location location) {
            return !location.contains("__") && !location.contains("$$");
        }
    }

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

    @ArchTest
    static final ArchRule ROWS_STAY_IN_THEIR_FEATURE = classes().that().haveSimpleNameEndingWith("Row")
            .and().resideInAPackage("app.narrowgate.server..").should(beUsedInTheirPackageOnly());

    /** Each feature and those it may know; one that is not drawn here fails. */
    private static final Map<String, Set<String>> MAY_KNOW = new LinkedHashMap<>();

    static {
        MAY_KNOW.put("", Set.of());
        MAY_KNOW.put("problem", Set.of());
        MAY_KNOW.put("limit", Set.of());
        MAY_KNOW.put("config", Set.of("limit", "problem"));
        MAY_KNOW.put("metrics", Set.of("config"));
        MAY_KNOW.put("door", Set.of());
        MAY_KNOW.put("gym", Set.of());
        MAY_KNOW.put("audit", Set.of("door"));
        MAY_KNOW.put("download", Set.of());
        MAY_KNOW.put("backup", Set.of("account", "audit", "gym", "download", "door", "limit", "problem"));
        MAY_KNOW.put("mail", Set.of("door"));
        MAY_KNOW.put("account", Set.of("audit", "gym", "door", "limit", "problem"));
        MAY_KNOW.put("member", Set.of("account", "audit", "mail", "gym", "door", "problem"));
        MAY_KNOW.put("person", Set.of("account", "audit", "door", "problem"));
        MAY_KNOW.put("revision", Set.of("account", "problem"));
        MAY_KNOW.put("map", Set.of("audit", "door", "revision", "account", "config", "problem"));
        MAY_KNOW.put("history", Set.of("door", "map", "revision", "account", "problem"));
        MAY_KNOW.put("odds", Set.of("person", "account", "gym", "door", "map", "config", "limit", "problem"));
        MAY_KNOW.put("exchange", Set.of("download", "door", "map", "account", "problem"));
        MAY_KNOW.put("finish", Set.of("door", "odds", "map", "problem"));
        MAY_KNOW.put("picture", Set.of("gym", "door", "map", "config", "problem"));
        MAY_KNOW.put("weight", Set.of("door", "picture", "map", "config", "problem"));
        MAY_KNOW.put("lever", Set.of("door", "map"));
        MAY_KNOW.put("held", Set.of("door", "odds", "map", "problem"));
        MAY_KNOW.put("drill", Set.of("download", "door", "odds", "map", "revision", "account", "problem"));
        MAY_KNOW.put("lesson", Set.of("drill", "odds", "person", "map", "revision", "account", "gym", "door", "problem"));
        MAY_KNOW.put("term", Set.of("lesson", "odds", "person", "map", "revision", "account", "door", "problem"));
        MAY_KNOW.put("event", Set.of());
        MAY_KNOW.put("mat", Set.of("event", "lesson", "picture", "person", "map", "account", "limit", "gym", "door", "problem"));
        MAY_KNOW.put("record", Set.of("download", "drill", "lesson", "mat", "odds", "person", "map", "account", "door", "problem"));
        MAY_KNOW.put("question", Set.of("door", "odds", "map", "revision", "account", "problem"));
        MAY_KNOW.put("review", Set.of("door", "odds", "map", "revision", "account", "problem"));
        MAY_KNOW.put("run", Set.of("gym", "door", "review", "odds", "map", "account", "limit", "problem"));
        MAY_KNOW.put("link", Set.of("odds", "picture", "map", "account", "audit", "gym", "door", "problem"));
        MAY_KNOW.put("standing", Set.of("record", "drill", "lesson", "odds", "person", "map", "revision", "account", "door", "problem"));
        MAY_KNOW.put("demo", Set.of("standing", "record", "term", "lesson", "person", "gym", "drill", "question", "map", "account", "problem"));
    }

    @ArchTest
    static final ArchRule FEATURES_KNOW_EACH_OTHER_AS_DRAWN = classes().that()
            .resideInAPackage("app.narrowgate.server..").should(knowOnlyWhatIsDrawn());

    /** The rule is worth something only if it fails: the map knows nothing of the odds. */
    @Test
    void anArrowThatIsNotDrawnFails() {
        JavaClasses classes = new ClassFileImporter().importPackages("app.narrowgate.server.odds");
        ArchRule asIfOddsWereTheMap = classes().should(knowOnlyWhatIsDrawn(type -> "map"));
        assertThat(asIfOddsWereTheMap.evaluate(classes).hasViolation()).isTrue();
        ArchRule inNoNamedPackage = classes().should(knowOnlyWhatIsDrawn(type -> "nowhere"));
        assertThat(inNoNamedPackage.evaluate(classes).getFailureReport().getDetails())
                .anyMatch(detail -> detail.contains("no rule names"));
    }

    private static String feature(JavaClass type) {
        return type.getPackageName().substring("app.narrowgate.server".length()).replaceFirst("^\\.", "");
    }

    private static ArchCondition<JavaClass> knowOnlyWhatIsDrawn() {
        return knowOnlyWhatIsDrawn(ArchitectureTest::feature);
    }

    private static ArchCondition<JavaClass> knowOnlyWhatIsDrawn(Function<JavaClass, String> featureOf) {
        return new ArchCondition<>("know only the features that are drawn for theirs") {
            @Override
            public void check(JavaClass type, ConditionEvents events) {
                String own = featureOf.apply(type);
                if (!MAY_KNOW.containsKey(own)) {
                    events.add(SimpleConditionEvent.violated(type, "%s lies in “%s”, which no rule names; draw its arrows here."
                            .formatted(type.getName(), own)));
                    return;
                }
                type.getDirectDependenciesFromSelf().stream()
                        .filter(use -> use.getTargetClass().getPackageName().startsWith("app.narrowgate.server"))
                        .filter(use -> !feature(use.getTargetClass()).equals(own)
                                && !MAY_KNOW.get(own).contains(feature(use.getTargetClass())))
                        .forEach(use -> events.add(SimpleConditionEvent.violated(type, use.getDescription())));
            }
        };
    }

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
