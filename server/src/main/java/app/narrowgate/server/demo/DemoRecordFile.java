package app.narrowgate.server.demo;

import java.util.List;
import java.util.Map;

/**
 * What the demo gym's record is made from.
 *
 * @param strength how near the hidden map's figures lie to what is written, in trials
 * @param otherwise answers that get going quite otherwise than is written, and how often
 * @param rounds rounds that are logged in an evening
 * @param ofItsFamily share of them that begin in the evening's family
 * @param noted share of them whose last answer was noted
 * @param before evenings before the term
 */
record DemoRecordFile(long seed, double strength, Map<String, Double> otherwise, int rounds, double ofItsFamily, double noted, List<Open> before) {

    /** An evening of which no plan was kept. */
    record Open(int daysAgo, String family, List<String> absent) {
    }
}
