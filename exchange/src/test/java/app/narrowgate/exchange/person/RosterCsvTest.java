package app.narrowgate.exchange.person;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.narrowgate.core.check.ProblemsException;
import app.narrowgate.core.person.Person;
import app.narrowgate.core.person.PersonLine;
import java.util.List;
import org.junit.jupiter.api.Test;

class RosterCsvTest {

    @Test
    void whatIsWrittenIsRead() {
        List<Person> people = List.of(PersonLine.read("Wren Askeby, 62.5 kg, 171 cm, beginner, left, child, 2025-09-14"),
                Person.named("Joss \"the lamp\" Tillender"), Person.named("=1+1"), Person.named("-anna; +bert"));
        assertThat(RosterCsv.read(RosterCsv.write(people))).isEqualTo(people);
    }

    /** OWASP, CSV Injection: what begins with one of = + - @ is computed when the file is opened. */
    @Test
    void noCellBeginsAFormula() {
        assertThat(RosterCsv.write(List.of(Person.named("=HYPERLINK(1)"), Person.named("@sum")))).contains("'=HYPERLINK", "'@sum");
    }

    @Test
    void semicolonsAndAMarkAreReadToo() {
        assertThat(RosterCsv.read("\uFEFFName;weight-kg\r\nWren;62,5\r\n").get(0).weight()).contains(62.5);
    }

    @Test
    void everyFaultIsToldByItsLineAndColumn() {
        assertThatThrownBy(() -> RosterCsv.read("""
                name,level,weight-kg,joined,colour
                Wren,purple,62,
                ,novice,62,
                Joss,novice,heavy,yesterday
                Odd,novice,NaN,
                """)).isInstanceOfSatisfying(ProblemsException.class, e -> assertThat(e.problems()).extracting("place", String.class)
                .containsExactly("line 1", "line 2, level", "line 3, name", "line 4, weight-kg", "line 4, joined", "line 5, weight-kg"));
        assertThatThrownBy(() -> RosterCsv.read("")).isInstanceOf(ProblemsException.class);
        assertThatThrownBy(() -> RosterCsv.read("weight-kg\n62\n")).isInstanceOf(ProblemsException.class)
                .hasMessageContaining("name");
    }
}
