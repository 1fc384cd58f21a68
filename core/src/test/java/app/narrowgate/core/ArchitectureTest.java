package app.narrowgate.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.assertj.core.api.Assertions.assertThat;

import app.narrowgate.core.fixture.MapFixture;
import com.tngtech.archunit.core.domain.Dependency;
import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchCondition;
import com.tngtech.archunit.lang.ArchRule;
import com.tngtech.archunit.lang.ConditionEvents;
import com.tngtech.archunit.lang.SimpleConditionEvent;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** The arrows between the core's packages run downwards only. */
@AnalyzeClasses(packages = "app.narrowgate.core", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {

    @ArchTest
    static final ArchRule KNOWS_NO_FRAMEWORK = noClasses().should().dependOnClassesThat().resideInAnyPackage(
            "org.springframework..", "org.apache.ibatis..", "jakarta..", "java.sql..", "tools.jackson..",
            "app.narrowgate.server..", "app.narrowgate.exchange..");

    @ArchTest
    static final ArchRule NO_CYCLES = slices().matching("app.narrowgate.core.(*)..").should().beFreeOfCycles();

    /** Each package and what it may import; lower ones first, so every arrow runs downwards. */
    private static final Map<String, Set<String>> MAY_IMPORT = new LinkedHashMap<>();

    static {
        MAY_IMPORT.put("", Set.of());
        MAY_IMPORT.put("check", Set.of());
        MAY_IMPORT.put("progress", Set.of());
        MAY_IMPORT.put("revision", Set.of());
        MAY_IMPORT.put("trait", Set.of("check"));
        MAY_IMPORT.put("right", Set.of("check"));
        MAY_IMPORT.put("password", Set.of());
        MAY_IMPORT.put("person", Set.of("check", "trait", "map"));
        MAY_IMPORT.put("body", Set.of("check"));
        MAY_IMPORT.put("weight", Set.of("body", "check"));
        MAY_IMPORT.put("lever", Set.of("check"));
        MAY_IMPORT.put("map", Set.of("body", "trait", "check"));
        MAY_IMPORT.put("picture", Set.of("body", "map", "trait", "check"));
        MAY_IMPORT.put("solve", Set.of("progress", "check"));
        MAY_IMPORT.put("odds", Set.of("solve", "map", "trait", "progress", "check"));
        MAY_IMPORT.put("gate", Set.of("odds", "solve", "map", "trait", "progress", "check"));
        MAY_IMPORT.put("round", Set.of("odds", "solve", "map", "trait", "progress", "check"));
        MAY_IMPORT.put("advice", Set.of("odds", "solve", "map", "trait", "progress", "check"));
        MAY_IMPORT.put("held", Set.of("map", "trait", "check"));
        MAY_IMPORT.put("finish", Set.of("odds", "map", "trait", "check"));
        MAY_IMPORT.put("review", Set.of("gate", "advice", "odds", "solve", "map", "trait", "progress", "check"));
        MAY_IMPORT.put("drill", Set.of("gate", "advice", "odds", "solve", "map", "trait", "progress", "check"));
        MAY_IMPORT.put("mat", Set.of("lesson", "drill", "map", "trait", "check"));
        MAY_IMPORT.put("memory", Set.of("check"));
        MAY_IMPORT.put("term", Set.of("lesson", "memory", "drill", "odds", "person", "map", "trait", "check"));
        MAY_IMPORT.put("record", Set.of("drill", "advice", "odds", "solve", "map", "trait", "check"));
        MAY_IMPORT.put("ledger", Set.of("lesson", "drill", "map", "trait", "check"));
        MAY_IMPORT.put("due", Set.of("ledger", "memory", "lesson", "map", "check"));
        MAY_IMPORT.put("movingup", Set.of("ledger", "odds", "map", "trait", "check"));
        MAY_IMPORT.put("lesson", Set.of("drill", "person", "advice", "odds", "solve", "map", "trait", "check"));
    }

    private static String packageOf(JavaClass type) {
        return type.getPackageName().substring("app.narrowgate.core".length()).replaceFirst("^\\.", "");
    }

    private static ArchCondition<JavaClass> importOnlyWhatIsDrawn() {
        return new ArchCondition<>("import only what is drawn for their package") {
            @Override
            public void check(JavaClass type, ConditionEvents events) {
                String own = packageOf(type);
                if (!MAY_IMPORT.containsKey(own)) {
                    events.add(SimpleConditionEvent.violated(type, "%s lies in “%s”, which no rule names; draw its arrows here."
                            .formatted(type.getName(), own)));
                    return;
                }
                for (Dependency dependency : type.getDirectDependenciesFromSelf()) {
                    JavaClass target = dependency.getTargetClass();
                    if (target.getPackageName().startsWith("app.narrowgate.core") && !packageOf(target).equals(own)
                            && !MAY_IMPORT.get(own).contains(packageOf(target))) {
                        events.add(SimpleConditionEvent.violated(type, dependency.getDescription()));
                    }
                }
            }
        };
    }

    @ArchTest
    static final ArchRule DOWNWARDS = classes().should(importOnlyWhatIsDrawn());

    /** The rule is worth something only if it fails: the tests' own package is drawn nowhere. */
    @Test
    void aClassInNoNamedPackageFails() {
        JavaClasses stranger = new ClassFileImporter().importClasses(MapFixture.class);
        assertThat(DOWNWARDS.evaluate(stranger).getFailureReport().getDetails()).anyMatch(d -> d.contains("no rule names"));
    }
}
