package app.narrowgate.server.drill;

import java.util.List;
import java.util.UUID;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** Readings in the database. */
@Mapper
interface ReadingMapper {

    /** A reading that is there already stays as it is: the same one, sent again over a bad connection. */
    @Insert("""
            insert into reading (id, map_id, account, situation, reaction, chosen, correct, answers, milliseconds, at)
            values (#{row.id}, #{mapId}, #{account}, #{row.situation}, #{row.reaction}, #{row.chosen}, #{row.correct},
                #{row.answers}, #{row.milliseconds}, #{row.at})
            on conflict (id) do nothing""")
    int insert(@Param("mapId") UUID mapId, @Param("account") UUID account, @Param("row") ReadingRow row);

    /** All of somebody's, on whatever map. */
    @Select("""
            select id, situation, reaction, chosen, correct, answers, milliseconds, at from reading
            where account = #{account} order by at, id""")
    List<ReadingRow> every(UUID account);

    /** One's own, the newest first. */
    @Select("""
            select id, situation, reaction, chosen, correct, answers, milliseconds, at from reading
            where map_id = #{mapId} and account = #{account} order by at desc, id limit #{most}""")
    List<ReadingRow> own(@Param("mapId") UUID mapId, @Param("account") UUID account, @Param("most") int most);
}
