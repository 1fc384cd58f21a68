package app.narrowgate.server.lesson;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** Classes in the database. */
@Mapper
interface LessonMapper {

    String LESSON = """
            select l.id, l.map_id, l.version, l.day, l.body, l.author, a.display_name as author_name, l.at
            from lesson l join account a on a.id = l.author
            """;

    @Select(LESSON + "where l.map_id = #{mapId} and l.removed_at is null and l.day between #{from} and #{until} order by l.day, l.at, l.id")
    List<LessonRow> between(@Param("mapId") UUID mapId, @Param("from") LocalDate from, @Param("until") LocalDate until);

    @Select(LESSON + "where l.map_id = #{mapId} and l.id = #{id} and l.removed_at is null")
    Optional<LessonRow> byId(@Param("mapId") UUID mapId, @Param("id") UUID id);

    @Select(LESSON + "where l.removed_at is null and l.body like '%' || #{person} || '%' order by l.day, l.id")
    List<LessonRow> with(String person);

    @Select("select count(*) from lesson where map_id = #{mapId} and removed_at is null")
    int count(UUID mapId);

    /** One that is there already stays as it is: the same one, sent again over a bad connection. */
    @Insert("""
            insert into lesson (id, map_id, version, day, body, author, at)
            values (#{id}, #{mapId}, #{version}, #{day}, #{body}, #{author}, #{at}) on conflict (id) do nothing""")
    int insert(LessonRow row);

    @Update("""
            update lesson set version = version + 1, day = #{row.day}, body = #{row.body}, author = #{row.author}, at = #{row.at}
            where map_id = #{row.mapId} and id = #{row.id} and version = #{row.version} and removed_at is null""")
    int update(@Param("row") LessonRow row);

    @Update("update lesson set removed_at = #{at} where map_id = #{mapId} and id = #{id} and removed_at is null")
    int remove(@Param("mapId") UUID mapId, @Param("id") UUID id, @Param("at") Instant at);

    @Update("update lesson set removed_at = null where map_id = #{mapId} and id = #{id} and removed_at is not null")
    int restore(@Param("mapId") UUID mapId, @Param("id") UUID id);

    /** Another word whenever a class was kept, changed, taken out or put back. */
    @Select("""
            select count(*) || ' ' || coalesce(sum(version), 0) || ' ' || coalesce(max(at), 'epoch') || ' ' || coalesce(max(removed_at), 'epoch')
                || ' ' || count(removed_at)
            from lesson where map_id = #{mapId}""")
    String state(UUID mapId);
}
