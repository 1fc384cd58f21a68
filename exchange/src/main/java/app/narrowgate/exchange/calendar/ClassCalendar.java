package app.narrowgate.exchange.calendar;

import app.narrowgate.core.lesson.Lesson;
import app.narrowgate.core.lesson.Section;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.util.List;
import java.util.UUID;
import java.util.stream.Collectors;
import net.fortuna.ical4j.data.CalendarOutputter;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.property.Description;
import net.fortuna.ical4j.model.property.DtStamp;
import net.fortuna.ical4j.model.property.DtStart;
import net.fortuna.ical4j.model.property.Location;
import net.fortuna.ical4j.model.property.ProdId;
import net.fortuna.ical4j.model.property.Summary;
import net.fortuna.ical4j.model.property.Uid;
import net.fortuna.ical4j.model.property.immutable.ImmutableCalScale;
import net.fortuna.ical4j.model.property.immutable.ImmutableVersion;

/**
 * Classes as a calendar (RFC 5545): when and how long, and what is new in each. Times float: they are by the clock of the gym, wherever
 * somebody reads them. Nobody's name stands in it. An event keeps its UID, so that a calendar that is read in again changes it.
 */
public final class ClassCalendar {

    private static final String PRODUCT = "-//Narrow Gate//Classes//EN";
    /** Characters after which a line is folded: below the 75 octets of the standard for what is written in Latin letters with accents. */
    private static final int FOLDED = 60;

    /**
     * A class with what it is known by.
     *
     * @param changed when it was changed last
     */
    public record Dated(UUID id, Instant changed, Lesson lesson) {
    }

    private ClassCalendar() {
    }

    /**
     * The text of a calendar file.
     *
     * @param gym what the place is called
     */
    public static String of(MapIndex index, String gym, List<Dated> classes) {
        Calendar calendar = new Calendar();
        calendar.add(new ProdId(PRODUCT));
        calendar.add(ImmutableVersion.VERSION_2_0);
        calendar.add(ImmutableCalScale.GREGORIAN);
        classes.forEach(one -> calendar.add(event(index, gym, one)));
        StringWriter text = new StringWriter();
        try {
            new CalendarOutputter(true, FOLDED).output(calendar, text);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return text.toString();
    }

    private static VEvent event(MapIndex index, String gym, Dated one) {
        Lesson lesson = one.lesson();
        VEvent event = new VEvent(false);
        event.add(new Uid(one.id() + "@narrow-gate"));
        event.add(new DtStamp(one.changed()));
        event.add(new DtStart<>(LocalDateTime.of(lesson.day(), lesson.starts())));
        event.add(new net.fortuna.ical4j.model.property.Duration(Duration.ofMinutes(lesson.minutes())));
        event.add(new Summary(lesson.title()));
        event.add(new Location(gym));
        String fresh = fresh(index, lesson);
        if (!fresh.isEmpty()) {
            event.add(new Description("New: " + fresh + "."));
        }
        return event;
    }

    private static String fresh(MapIndex index, Lesson lesson) {
        return lesson.planned().stream().filter(one -> one.section() == Section.NEW).flatMap(one -> one.reactions().stream()).distinct()
                .map(id -> title(index, id)).collect(Collectors.joining("; "));
    }

    private static String title(MapIndex index, Id reaction) {
        return index.reaction(reaction).map(one -> index.reactionTitle(one) + " (" + index.placeTitle(one.from()) + ")").orElse(reaction.value());
    }
}
