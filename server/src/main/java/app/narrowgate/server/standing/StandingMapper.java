package app.narrowgate.server.standing;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** What the gym asks of those who train, in the database. */
@Mapper
interface StandingMapper {

    @Select("select place from gate_place where map_id = #{mapId} and level = #{level} order by number")
    List<String> places(@Param("mapId") UUID mapId, @Param("level") String level);

    /** Every list there is, in one word. */
    @Select("select coalesce(string_agg(level || number || ':' || place, ' ' order by level, number), '') from gate_place where map_id = #{mapId}")
    String every(UUID mapId);

    @Delete("delete from gate_place where map_id = #{mapId} and level = #{level}")
    void clear(@Param("mapId") UUID mapId, @Param("level") String level);

    @Insert("insert into gate_place (map_id, level, number, place) values (#{mapId}, #{level}, #{number}, #{place})")
    void insert(@Param("mapId") UUID mapId, @Param("level") String level, @Param("number") int number, @Param("place") String place);

    @Select("select many from repetition_goal where map_id = #{mapId}")
    Optional<Integer> goal(UUID mapId);

    @Insert("""
            insert into repetition_goal (map_id, many) values (#{mapId}, #{many})
            on conflict (map_id) do update set many = excluded.many""")
    void ask(@Param("mapId") UUID mapId, @Param("many") int many);
}
