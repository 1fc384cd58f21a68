package app.narrowgate.server.drill;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** Readings in the database. */
@Mapper
interface ReadingMapper {

    /** What came in with a file that was taken back does not count. */
    String COUNTS = " not exists (select 1 from record_import i where i.map_id = reading.map_id and i.id = reading.import and i.undone_at is not null) ";

    /**
     * A reading that is there already stays as it is: the same one, sent again over a bad connection. Where it came in with a file that was taken back, it
     * counts again with this one.
     *
     * @param importId the file with which it comes; null where it comes from the trainer
     */
    @Insert("""
            insert into reading (id, map_id, account, situation, reaction, chosen, correct, answers, milliseconds, at, import)
            values (#{row.id}, #{mapId}, #{account}, #{row.situation}, #{row.reaction}, #{row.chosen}, #{row.correct},
                #{row.answers}, #{row.milliseconds}, #{row.at}, #{importId})
            on conflict (map_id, id) do update set import = excluded.import
            where exists (select 1 from record_import i where i.map_id = reading.map_id and i.id = reading.import and i.undone_at is not null)""")
    int insert(@Param("mapId") UUID mapId, @Param("account") UUID account, @Param("importId") UUID importId, @Param("row") ReadingRow row);

    /** All of somebody's, on whatever map. */
    @Select("""
            select id, situation, reaction, chosen, correct, answers, milliseconds, at from reading
            where account = #{account} and""" + COUNTS + "order by at, id")
    List<ReadingRow> every(UUID account);

    /** One's own, the newest first. */
    @Select("""
            select id, situation, reaction, chosen, correct, answers, milliseconds, at from reading
            where map_id = #{mapId} and account = #{account} and""" + COUNTS + "order by at desc, id limit #{most}")
    List<ReadingRow> own(@Param("mapId") UUID mapId, @Param("account") UUID account, @Param("most") int most);

    /** One's own between two instants, in the order in which they were read. */
    @Select("""
            select id, situation, reaction, chosen, correct, answers, milliseconds, at from reading
            where map_id = #{mapId} and account = #{account} and at >= #{from} and at < #{until} and""" + COUNTS + "order by at, id")
    List<ReadingRow> between(@Param("mapId") UUID mapId, @Param("account") UUID account, @Param("from") Instant from, @Param("until") Instant until);
}
