package app.narrowgate.browser;

import static com.tngtech.archunit.base.DescribedPredicate.not;
import static com.tngtech.archunit.core.domain.JavaClass.Predicates.resideInAnyPackage;
import static com.tngtech.archunit.core.domain.properties.HasName.Predicates.nameMatching;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.core.importer.Location;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

/**
 * The packages that are compiled for browsers, and what they may lean on. What is forbidden here either is missing in the
 * compiler's class library or brings tables with it that are larger than all the rest.
 */
@AnalyzeClasses(packages = "app.narrowgate", importOptions = {ImportOption.DoNotIncludeTests.class, CompilableTest.NoTestJar.class})
class CompilableTest {

    /** Where the modules are packed, the core's fixtures come in a jar, which nothing else tells from what ships. */
    static final class NoTestJar implements ImportOption {
        @Override
        public boolean includes(Location location) {
            return !location.contains("-tests.jar");
        }
    }

    private static final String[] COMPILED = {"app.narrowgate.core.check", "app.narrowgate.core.progress", "app.narrowgate.core.trait",
        "app.narrowgate.core.map", "app.narrowgate.core.solve", "app.narrowgate.core.odds", "app.narrowgate.core.held",
        "app.narrowgate.core.round", "app.narrowgate.exchange.fields", "app.narrowgate.exchange.parts", "app.narrowgate.browser"};
    /** Of drills only this is compiled; the rest stands on more than browsers have. */
    private static final String PRACTICE = "app\\.narrowgate\\.core\\.drill\\."
            + "(CallOrder|ReadingDeck|ReadingCard|LookAlikes?|PracticeGraph|HouseTimes|Lot)(\\$.*)?";

    /** Of pictures what is drawn under a hand; what is solved and stored stays on the server. */
    private static final String HANDLED = "(\\[+L)?app\\.narrowgate\\.(core\\.body|core\\.picture|exchange\\.posture)\\..*";
    private static final String NOT_HANDLED = ".*\\.(Transition|Touch|Postures|Nudged|PostureJson)(\\$.*)?";

    @ArchTest
    static final ArchRule STANDS_ON_ITSELF = classes().that().resideInAnyPackage(COMPILED)
            // A map is handed over without postures; one is on its own.
            .and().haveNameNotMatching(".*\\.Posture(\\$.*)?").and().haveNameNotMatching(".*\\.(Hand|HandledPacked)(\\$.*)?").should().onlyDependOnClassesThat()
            .resideInAnyPackage("java.lang..", "java.util", "java.util.function", "java.util.stream", "java.util.concurrent..",
                    "java.time", "java.text", "org.teavm.jso..", "app.narrowgate.core.body", "app.narrowgate.core.check",
                    "app.narrowgate.core.progress", "app.narrowgate.core.trait", "app.narrowgate.core.map", "app.narrowgate.core.solve",
                    "app.narrowgate.core.odds", "app.narrowgate.core.held", "app.narrowgate.core.round", "app.narrowgate.core.drill",
                    "app.narrowgate.exchange.fields", "app.narrowgate.exchange.parts", "app.narrowgate.browser");

    @ArchTest
    static final ArchRule PRACTICE_STANDS_ON_THAT = classes().that().haveNameMatching(PRACTICE).should()
            .onlyDependOnClassesThat(resideInAnyPackage(COMPILED).or(resideInAnyPackage("app.narrowgate.core.drill"))
                    .or(resideInAnyPackage("java.lang..", "java.util", "java.util.function", "java.util.stream")
                            .and(not(nameMatching("java\\.util\\.SplittableRandom")))));

    @ArchTest
    static final ArchRule HANDS_STAND_ON_THAT = classes().that().haveNameMatching(HANDLED).and().haveNameNotMatching(NOT_HANDLED).should()
            .onlyDependOnClassesThat(resideInAnyPackage(COMPILED).or(nameMatching(HANDLED))
                    .or(nameMatching("org\\.apache\\.commons\\.geometry\\.euclidean\\.threed\\.Vector3D(\\$Unit)?"))
                    .or(resideInAnyPackage("java.lang..", "java.util", "java.util.function", "java.util.stream")));

    @ArchTest
    static final ArchRule WITHOUT_PATTERNS_AND_LONG_NUMBERS = noClasses().that().resideInAnyPackage("app.narrowgate.core.check",
            "app.narrowgate.core.solve", "app.narrowgate.core.odds", "app.narrowgate.exchange.fields", "app.narrowgate.exchange.parts",
            "app.narrowgate.browser").should().dependOnClassesThat().haveNameMatching("java\\.(util\\.regex|math|time\\.format)\\..*")
            .because("these are a large part of what a browser would have to fetch");

    /** Normalization is the platform's: {@code Composed} is replaced as a whole; {@code Id} makes ids on the server only. */
    @ArchTest
    static final ArchRule COMPOSES_IN_ONE_PLACE = noClasses().that().resideInAnyPackage(COMPILED)
            .and().doNotHaveSimpleName("Composed").and().doNotHaveSimpleName("Id")
            .should().dependOnClassesThat().resideInAPackage("java.text");
}
