package app.narrowgate.exchange.map;

import app.narrowgate.core.check.Coded;
import app.narrowgate.core.map.Aim;
import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.Fact;
import app.narrowgate.core.map.Family;
import app.narrowgate.core.map.Feeder;
import app.narrowgate.core.map.Hold;
import app.narrowgate.core.map.House;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.Likelihood;
import app.narrowgate.core.map.Matchup;
import app.narrowgate.core.map.Movement;
import app.narrowgate.core.map.Outcome;
import app.narrowgate.core.map.Part;
import app.narrowgate.core.map.PartKind;
import app.narrowgate.core.map.Principle;
import app.narrowgate.core.map.RateRule;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.map.Requirement;
import app.narrowgate.core.map.Response;
import app.narrowgate.core.map.Segment;
import app.narrowgate.core.map.Situation;
import app.narrowgate.core.map.Technique;
import app.narrowgate.core.map.ThinkingTime;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Writes a map as the tree of a map file. What is absent or empty is left out. */
final class MapWriter {

    private static final JsonNodeFactory JSON = JsonNodeFactory.instance;

    private MapWriter() {
    }

    static ObjectNode write(EscapeMap map) {
        ObjectNode root = head(map);
        PartKind.ALL.forEach(kind -> list(root, kind, map));
        return root;
    }

    /** What stands outside the lists. */
    static ObjectNode head(EscapeMap map) {
        ObjectNode root = JSON.objectNode();
        root.put("format", MapJson.FORMAT);
        root.put("title", map.title());
        text(root, "about", map.about());
        house(root, map.house());
        return root;
    }

    private static <T extends Part> void list(ObjectNode root, PartKind<T> kind, EscapeMap map) {
        list(root, kind.list(), map.parts(kind), PartWriters.of(kind));
    }

    static ObjectNode named(Id id, String title) {
        return JSON.objectNode().put("id", id.value()).put("title", title);
    }

    static ObjectNode family(Family family) {
        return posture(named(family.id(), family.title()), family.posture());
    }

    private static ObjectNode posture(ObjectNode node, Optional<Id> posture) {
        posture.ifPresent(id -> node.put("posture", id.value()));
        return node;
    }

    static ObjectNode movement(Movement movement) {
        ObjectNode node = named(movement.id(), movement.title());
        texts(node, "alsoCalled", movement.alsoCalled());
        codes(node, "uses", movement.uses());
        codes(node, "risks", movement.risks());
        texts(node, "steps", movement.steps());
        list(node, "faults", movement.faults(), MapWriter::fault);
        if (!movement.bothSides()) {
            node.put("bothSides", false);
        }
        if (movement.repetitions() > 0) {
            node.put("repetitions", movement.repetitions());
        }
        return node;
    }

    static ObjectNode fact(Fact fact) {
        ObjectNode node = named(fact.id(), fact.title());
        fact.measured().ifPresent(measured ->
                number(node.putObject("measured").put("gauge", measured.gauge().code()), "from", measured.from()));
        return node;
    }

    private static ObjectNode fault(Technique.Fault fault) {
        ObjectNode node = JSON.objectNode().put("sign", fault.sign());
        text(node, "cause", fault.cause());
        text(node, "fix", fault.fix());
        return node;
    }

    static ObjectNode outcome(Outcome outcome) {
        ObjectNode node = named(outcome.id(), outcome.title()).put("kind", outcome.kind().code());
        outcome.then().ifPresent(situation -> node.put("then", situation.value()));
        return posture(node, outcome.posture());
    }

    /** What is as it would be without saying so is not said. */
    private static void house(ObjectNode root, House house) {
        if (house.equals(House.USUAL)) {
            return;
        }
        ObjectNode node = root.putObject("house");
        house.matchup().ifPresent(matchup -> node.put("matchup", matchup.value()));
        if (!house.thinking().equals(ThinkingTime.USUAL)) {
            ObjectNode thinking = node.putObject("thinking");
            number(thinking, "base", house.thinking().base());
            number(thinking, "perBit", house.thinking().perBit());
        }
        if (!house.grips().equals(House.USUAL_GRIPS)) {
            ArrayNode grips = node.putArray("grips");
            house.grips().forEach(grip -> number(grips.addObject().put("title", grip.title()), "grade", grip.grade()));
        }
    }

    static ObjectNode principle(Principle principle) {
        ObjectNode node = named(principle.id(), principle.title());
        text(node, "condition", principle.condition());
        list(node, "stances", principle.stances(), s -> {
            ObjectNode stance = named(s.id(), s.title());
            text(stance, "wants", s.wants());
            return stance;
        });
        principle.house().ifPresent(house -> node.put("house", house.value()));
        return node;
    }

    static ObjectNode hold(Hold hold) {
        ObjectNode node = named(hold.id(), hold.title()).put("kind", hold.kind().code());
        texts(node, "at", hold.at().stream().map(Id::value).toList());
        node.set("needs", requirement(hold.requirement()));
        texts(node, "cautions", hold.cautions());
        feeder(node, hold.feeder());
        list(node, "arms", hold.arms(), arms -> {
            ObjectNode one = named(arms.id(), arms.title());
            ids(one, "denies", arms.denies());
            ids(one, "gives", arms.gives());
            return one;
        });
        return node;
    }

    private static ObjectNode requirement(Requirement requirement) {
        ObjectNode node = JSON.objectNode();
        if (requirement instanceof Requirement.Need need) {
            node.put("id", need.id().value()).put("title", need.title());
            number(node, "work", need.work());
            ids(node, "denied", need.denied());
            need.built().stage().ifPresent(stage -> node.put("stage", stage.code()));
            need.built().likely().ifPresent(likely -> likelihood(node, "likely", likely));
            if (!need.built().seenFrom().isEmpty()) {
                ObjectNode seen = node.putObject("seenFrom");
                need.built().seenFrom().forEach((stage, likely) -> likelihood(seen, stage.code(), likely));
            }
            text(node, "sign", need.sign());
            list(node, "openings", need.openings(), opening ->
                    JSON.objectNode().put("fault", opening.fault()).put("leaves", opening.leaves()));
        } else if (requirement instanceof Requirement.All all) {
            list(node, "all", all.parts(), MapWriter::requirement);
        } else if (requirement instanceof Requirement.Any any) {
            list(node, "any", any.parts(), MapWriter::requirement);
        }
        return node;
    }

    static ObjectNode technique(Technique technique) {
        ObjectNode node = named(technique.id(), technique.title());
        texts(node, "alsoCalled", technique.alsoCalled());
        texts(node, "movements", technique.movements().stream().map(Id::value).toList());
        texts(node, "checkpoints", technique.checkpoints());
        list(node, "faults", technique.faults(), MapWriter::fault);
        list(node, "questions", technique.questions(), question -> {
            ObjectNode q = JSON.objectNode().put("ask", question.ask());
            text(q, "answer", question.answer());
            return q;
        });
        texts(node, "cautions", technique.cautions());
        technique.stance().ifPresent(stance -> node.put("stance", stance.toString()));
        node.put("level", technique.level().code());
        node.put("children", technique.children());
        codes(node, "avoidWith", technique.avoidWith());
        codes(node, "leansOn", technique.leansOn());
        return node;
    }

    static ObjectNode situation(Situation situation) {
        ObjectNode node = named(situation.id(), situation.title());
        texts(node, "alsoCalled", situation.notes().alsoCalled());
        node.put("family", situation.family().value());
        situation.stage().ifPresent(stage -> node.put("stage", stage.code()));
        situation.bearing().ifPresent(bearing -> node.put("where", bearing.code()));
        segments(node, "held", situation.held());
        segments(node, "yours", situation.notes().yours());
        flags(node, "facts", situation.facts());
        situation.clock().ifPresent(clock -> number(node.putObject("clock"), "seconds", clock.seconds())
                .put("becomes", clock.becomes().value()));
        if (situation.entry() > 0) {
            number(node, "entry", situation.entry());
        }
        situation.rest().ifPresent(kind -> node.put("rest", kind.code()));
        texts(node, "feeds", situation.feeds().stream().map(Id::value).toList());
        text(node, "oneAnswer", situation.notes().oneAnswer());
        feeder(node, situation.notes().feeder());
        return posture(node, situation.posture());
    }

    private static void feeder(ObjectNode node, Feeder feeder) {
        if (!feeder.equals(Feeder.NONE)) {
            ObjectNode brief = node.putObject("feeder");
            text(brief, "weight", feeder.weight());
            text(brief, "care", feeder.care());
            text(brief, "gives", feeder.gives());
        }
    }

    private static void segments(ObjectNode node, String field, Map<Segment, String> said) {
        if (!said.isEmpty()) {
            ObjectNode object = node.putObject(field);
            said.forEach((segment, text) -> object.put(segment.code(), text));
        }
    }

    static ObjectNode reaction(Reaction reaction) {
        ObjectNode node = JSON.objectNode().put("id", reaction.id().value());
        node.put("from", reaction.from().value());
        node.put("technique", reaction.technique().value());
        text(node, "when", reaction.when());
        text(node, "doNot", reaction.doNot());
        flags(node, "needs", reaction.needs());
        number(node, "seconds", reaction.seconds());
        likelihood(node, "works", reaction.works());
        reaction.source().ifPresent(source -> {
            ObjectNode told = node.putObject("source");
            number(told, "chance", source.chance());
            likelihood(told, "before", source.before());
            number(told, "tries", source.tries());
            number(told, "noted", source.noted());
            told.put("until", source.until().toString());
        });
        reaction.stuffed().ifPresent(place -> node.put("stuffed", place.value()));
        list(node, "responses", reaction.responses(), MapWriter::response);
        return node;
    }

    private static ObjectNode response(Response response) {
        ObjectNode node = JSON.objectNode().put("id", response.id().value()).put("cue", response.cue());
        likelihood(node, "often", response.often());
        response.leads().ifPresent(place -> node.put("leads", place.value()));
        return node;
    }

    static ObjectNode aim(Aim aim) {
        ObjectNode node = named(aim.id(), aim.title());
        ObjectNode worth = node.putObject("worth");
        aim.worth().forEach((kind, value) -> number(worth, kind.code(), value));
        if (!aim.places().isEmpty()) {
            ObjectNode places = node.putObject("places");
            aim.places().forEach((place, value) -> number(places, place.value(), value));
        }
        return node;
    }

    static ObjectNode matchup(Matchup matchup) {
        ObjectNode node = named(matchup.id(), matchup.title());
        number(node, "weightGap", matchup.weightGap());
        number(node, "heightGap", matchup.heightGap());
        node.put("jacket", matchup.jacket());
        node.put("setting", matchup.setting().code());
        node.put("age", matchup.age().code());
        node.put("level", matchup.level().code());
        codes(node, "injuries", matchup.injuries());
        flags(node, "facts", matchup.facts());
        return node;
    }

    static ObjectNode rule(RateRule rule) {
        ObjectNode node = named(rule.id(), rule.title()).put("gauge", rule.gauge().code());
        number(node, "above", rule.above());
        number(node, "most", rule.most());
        rule.target().ifPresent(lean -> node.put("target", lean.code()));
        node.put("effect", rule.effect().code());
        number(node, "amount", rule.amount());
        return node.put("reason", rule.reason()).put("source", rule.source());
    }

    private static void likelihood(ObjectNode node, String field, Likelihood likelihood) {
        if (likelihood instanceof Likelihood.Said said) {
            node.put(field, said.word().code());
        } else if (likelihood instanceof Likelihood.Counted counted) {
            number(node, field, counted.number());
        }
    }

    /** Whole numbers without a decimal point, as a person would write them. */
    private static ObjectNode number(ObjectNode node, String field, double value) {
        if (value == Math.rint(value) && Math.abs(value) < 1e9) {
            return node.put(field, (long) value);
        }
        return node.put(field, value);
    }

    private static void text(ObjectNode node, String field, String text) {
        if (!text.isEmpty()) {
            node.put(field, text);
        }
    }

    private static void texts(ObjectNode node, String field, List<String> texts) {
        if (!texts.isEmpty()) {
            ArrayNode array = node.putArray(field);
            texts.forEach(array::add);
        }
    }

    /** Sets have no order; ids are written in the alphabet's. */
    private static void ids(ObjectNode node, String field, Set<Id> ids) {
        texts(node, field, ids.stream().map(Id::value).sorted().toList());
    }

    /** Sets have no order; codes are written in the alphabet's. */
    private static void codes(ObjectNode node, String field, Set<? extends Coded> codes) {
        texts(node, field, codes.stream().map(Coded::code).sorted().toList());
    }

    private static void flags(ObjectNode node, String field, Map<Id, Boolean> flags) {
        if (!flags.isEmpty()) {
            ObjectNode object = node.putObject(field);
            flags.forEach((id, flag) -> object.put(id.value(), flag));
        }
    }

    private static <T> void list(ObjectNode node, String field, List<T> parts, Function<T, ObjectNode> writer) {
        if (!parts.isEmpty()) {
            ArrayNode array = node.putArray(field);
            parts.forEach(part -> array.add(writer.apply(part)));
        }
    }
}
