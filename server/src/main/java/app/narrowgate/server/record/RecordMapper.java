package app.narrowgate.server.record;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** Events in the database. */
@Mapper
interface RecordMapper {

    String EVENT = """
            select e.id, e.kind, e.at, e.kept_at, e.author, e.person, e.partner, e.situation, e.side, e.ending, e.ended_in, e.seconds, e.reaction,
                e.response, e.nothing, e.gap, e.voids, e.technique, e.role, e.many, e.clean, e.fault, e.level, e.shown, e.reason
            from record_event e
            """;

    /** What nobody has taken out. */
    String NOT_VOID = """
            not exists (select 1 from record_event v where v.map_id = e.map_id and v.voids = e.id
                and not exists (select 1 from record_import i where i.map_id = v.map_id and i.id = v.import and i.undone_at is not null))
            and not exists (select 1 from record_import i where i.map_id = e.map_id and i.id = e.import and i.undone_at is not null)
            """;

    /** Another word whenever a file was read in, taken back or read in again. */
    String IMPORTS = """
            (select count(*) || ' ' || coalesce(md5(string_agg(i.id::text, ' ' order by i.id) filter (where i.undone_at is not null)), '')
                from record_import i where i.map_id = #{mapId})
            """;

    /** Rounds that nobody has taken out. */
    String STANDING = "e.kind = 'round' and " + NOT_VOID;

    /**
     * An event that is there already stays as it is: the same one, sent again over a bad connection. Where it came in with a file that was taken back,
     * it counts again with this one.
     *
     * @param importId the file with which they come; null where they come from the mat
     * @return how many count that did not before
     */
    @Insert("""
            <script>
            insert into record_event (id, map_id, kind, at, kept_at, author, person, partner, situation, side, ending, ended_in, seconds, reaction,
                response, nothing, gap, voids, technique, role, many, clean, fault, level, shown, reason, import)
            values
            <foreach collection="rows" item="row" separator=",">
                (#{row.id}, #{mapId}, #{row.kind}, #{row.at}, #{row.keptAt}, #{row.author}, #{row.person}, #{row.partner}, #{row.situation},
                #{row.side}, #{row.ending}, #{row.endedIn}, #{row.seconds}, #{row.reaction}, #{row.response}, #{row.nothing}, #{row.gap}, #{row.voids},
                #{row.technique}, #{row.role}, #{row.many}, #{row.clean}, #{row.fault}, #{row.level}, #{row.shown}, #{row.reason}, #{importId})
            </foreach>
            on conflict (map_id, id) do update set import = excluded.import
            where exists (select 1 from record_import i
                where i.map_id = record_event.map_id and i.id = record_event.import and i.undone_at is not null)
            </script>""")
    int insert(@Param("mapId") UUID mapId, @Param("importId") UUID importId, @Param("rows") List<EventRow> rows);

    @Select("select e.kind from record_event e where e.id = #{id} and e.map_id = #{mapId}")
    Optional<String> kind(@Param("mapId") UUID mapId, @Param("id") UUID id);

    @Select("select exists (select 1 from record_event e where e.id = #{id} and e.map_id = #{mapId} and e.kind <> 'void')")
    boolean mayBeVoided(@Param("mapId") UUID mapId, @Param("id") UUID id);

    /** Rounds, repetitions and decisions on gates that stand, the newest first. */
    @Select(EVENT + "where e.map_id = #{mapId} and e.at >= #{since} and e.kind in ('round', 'repetitions', 'gate') and " + NOT_VOID
            + "order by e.at desc, e.id limit #{most}")
    List<EventRow> logged(@Param("mapId") UUID mapId, @Param("since") Instant since, @Param("most") int most);

    /** What stands of somebody's rounds and repetitions, or of everybody's where nobody is named; in the order in which it happened, before an instant. */
    @Select(EVENT + """
            where e.map_id = #{mapId} and (cast(#{person} as uuid) is null or e.person = #{person}) and e.person is not null
                and e.kind in ('round', 'repetitions') and e.at < #{until} and
            """ + NOT_VOID + "order by e.at, e.id")
    List<EventRow> of(@Param("mapId") UUID mapId, @Param("person") UUID person, @Param("until") Instant until);

    /** What was decided last on each gate of somebody, or of everybody where nobody is named, before an instant. */
    @Select("""
            select distinct on (e.person, e.level, e.situation, e.side) e.id, e.person, e.level, e.situation as place, e.side, e.shown, e.reason, e.at,
                a.display_name as author
            from record_event e left join account a on a.id = e.author
            where e.map_id = #{mapId} and (cast(#{person} as uuid) is null or e.person = #{person}) and e.kind = 'gate' and e.at < #{until} and
            """ + NOT_VOID + "order by e.person, e.level, e.situation, e.side, e.at desc, e.kept_at desc")
    List<RecordStore.Decided> decided(@Param("mapId") UUID mapId, @Param("person") UUID person, @Param("until") Instant until);

    /** Everything of a map, in the order in which it happened; without what came in with a file that was taken back. */
    @Select(EVENT + """
            where e.map_id = #{mapId} and e.at >= #{from} and e.at < #{until}
                and not exists (select 1 from record_import i where i.map_id = e.map_id and i.id = e.import and i.undone_at is not null)
            order by e.at, e.kept_at, e.id""")
    List<EventRow> every(@Param("mapId") UUID mapId, @Param("from") Instant from, @Param("until") Instant until);

    /** Who came on which day, as far as it was read in. */
    @Select(EVENT + "where e.map_id = #{mapId} and e.kind = 'attendance' and e.at >= #{from} and e.at < #{until} and " + NOT_VOID + "order by e.at, e.id")
    List<EventRow> attendance(@Param("mapId") UUID mapId, @Param("from") Instant from, @Param("until") Instant until);

    /** Those of some events that are on the map and count. */
    @Select("""
            <script>
            select e.id from record_event e where e.map_id = #{mapId} and e.id in
            <foreach collection="ids" item="id" open="(" separator="," close=")">#{id}</foreach>
                and not exists (select 1 from record_import i where i.map_id = e.map_id and i.id = e.import and i.undone_at is not null)
            </script>""")
    List<UUID> there(@Param("mapId") UUID mapId, @Param("ids") Collection<UUID> ids);

    /** Everything in which somebody was below or on top, on whatever map. */
    @Select(EVENT + "where e.person = #{person} or e.partner = #{person} order by e.at, e.id")
    List<EventRow> with(UUID person);

    /**
     * Rounds that stand, those that count the same together.
     *
     * @param person whose; everybody's where it is null
     * @param halfLife days after which half of what something says is left
     * @param step kilograms by which gaps are told apart
     */
    @Select("""
            select round(coalesce(e.gap, 0) / #{step}) * #{step} as gap, e.situation, e.ending, e.ended_in, e.reaction, e.response, e.nothing,
                case when e.ended_in is not null then e.seconds end as seconds,
                sum(power(0.5, greatest(0, extract(epoch from (#{now} - e.at))) / 86400.0 / #{halfLife})) as times
            from record_event e
            where e.map_id = #{mapId} and (cast(#{person} as uuid) is null or e.person = #{person}) and
            """ + STANDING + "group by 1, 2, 3, 4, 5, 6, 7, 8")
    List<KindRow> kinds(@Param("mapId") UUID mapId, @Param("person") UUID person, @Param("now") Instant now, @Param("halfLife") double halfLife,
            @Param("step") double step);

    /** How many rounds stand that began in each place. */
    record Begun(String situation, int rounds) {
    }

    @Select("""
            select e.situation, count(*) as rounds from record_event e
            where e.map_id = #{mapId} and (cast(#{person} as uuid) is null or e.person = #{person}) and
            """ + STANDING + "group by e.situation")
    List<Begun> begun(@Param("mapId") UUID mapId, @Param("person") UUID person);

    /** Rounds of one person from one place that ended alike. */
    record Ended(String situation, double gap, UUID person, String ending, int rounds) {
    }

    /** Rounds that stand and ended out or with a tap. */
    @Select("""
            select e.situation, round(coalesce(e.gap, 0) / #{step}) * #{step} as gap, e.person, e.ending, count(*) as rounds from record_event e
            where e.map_id = #{mapId} and e.ending in ('reversal', 'counter', 'standing', 'guard', 'tap') and
            """ + STANDING + "group by 1, 2, 3, 4 order by 1, 2, 3, 4")
    List<Ended> ended(@Param("mapId") UUID mapId, @Param("step") double step);

    @Select("select min(e.at) from record_event e where e.map_id = #{mapId} and " + STANDING)
    Optional<Instant> since(UUID mapId);

    /** That what the map says of an answer is kept. */
    record Kept(UUID id, String reaction, Instant at, String author) {
    }

    @Select("""
            select distinct on (e.reaction) e.id, e.reaction, e.at, a.display_name as author
            from record_event e left join account a on a.id = e.author
            where e.map_id = #{mapId} and e.kind = 'keep' and
            """ + NOT_VOID + "order by e.reaction, e.at desc, e.id")
    List<Kept> kept(UUID mapId);

    /** Another word whenever anything that happened before an instant was kept, and whenever anything was taken out or erased. */
    @Select("select count(*) || ' ' || coalesce(max(e.kept_at), 'epoch') || ' ' || count(e.person) || ' ' || " + IMPORTS
            + "from record_event e where e.map_id = #{mapId} and (e.at < #{until} or e.voids is not null)")
    String stateBefore(@Param("mapId") UUID mapId, @Param("until") Instant until);

    /** Another word whenever a round was kept, taken out or erased. */
    @Select("""
            select count(*) || ' ' || coalesce(max(e.kept_at), 'epoch') || ' ' || count(e.person) || ' ' ||
            """ + IMPORTS + """
            from record_event e
            where e.map_id = #{mapId}
                and (e.kind = 'round' or exists (select 1 from record_event r where r.map_id = e.map_id and r.id = e.voids and r.kind = 'round'))""")
    String state(UUID mapId);
}
