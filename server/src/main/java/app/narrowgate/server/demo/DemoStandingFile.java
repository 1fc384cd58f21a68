package app.narrowgate.server.demo;

import java.util.List;
import java.util.Map;

/**
 * What was counted at the demo gym, and what was decided on gates.
 *
 * @param counting share of the people of an evening of whom somebody counted
 * @param evenings share of the evenings in which somebody did
 * @param least repetitions of one side
 * @param most repetitions of one side
 * @param clean share of clean ones by level
 * @param weaker whose one side is weaker, and which
 * @param weakerBy by how much it is
 * @param fault how often a fault was noted
 * @param far how many of the gates somebody has shown at least and at most, by level
 * @param shown reasons of what was shown
 * @param notYet reasons of what was not
 */
record DemoStandingFile(long seed, double counting, double evenings, int least, int most, Map<String, Double> clean, Map<String, String> weaker,
        double weakerBy, double fault, Map<String, List<Integer>> far, List<String> shown, List<String> notYet) {
}
