package app.narrowgate.server.drill;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** Drills in the database. */
@Mapper
interface DrillMapper {

    @Select("""
            select d.id, d.map_id, d.version as head, v.version, v.body, v.author, a.display_name as author_name, v.at
            from drill d join drill_version v on v.drill_id = d.id and v.version = d.version join account a on a.id = v.author
            where d.map_id = #{mapId} and d.removed_at is null
            order by v.at desc, d.id""")
    List<DrillRow> all(UUID mapId);

    @Select("""
            select d.id, d.map_id, d.version as head, v.version, v.body, v.author, a.display_name as author_name, v.at
            from drill d join drill_version v on v.drill_id = d.id join account a on a.id = v.author
            where d.map_id = #{mapId} and d.id = #{id} and d.removed_at is null
            order by v.version desc""")
    List<DrillRow> versions(@Param("mapId") UUID mapId, @Param("id") UUID id);

    @Select("select count(*) from drill where map_id = #{mapId} and removed_at is null")
    int count(UUID mapId);

    /** The newest state's number, locked until the transaction ends; empty where there is no such drill or it was removed. */
    @Select("select version from drill where map_id = #{mapId} and id = #{id} and removed_at is null for update")
    Optional<Integer> lock(@Param("mapId") UUID mapId, @Param("id") UUID id);

    /** A drill that is there already stays as it is: the same one, sent again over a bad connection. */
    @Insert("insert into drill (id, map_id, version) values (#{id}, #{mapId}, 1) on conflict (id) do nothing")
    int insert(@Param("mapId") UUID mapId, @Param("id") UUID id);

    @Insert("""
            insert into drill_version (drill_id, version, body, author, at)
            values (#{id}, #{version}, #{body}, #{author}, #{at})""")
    void insertVersion(DrillRow row);

    @Update("update drill set version = #{version} where id = #{id}")
    void advance(@Param("id") UUID id, @Param("version") int version);

    @Update("update drill set removed_at = #{at} where map_id = #{mapId} and id = #{id} and removed_at is null")
    int remove(@Param("mapId") UUID mapId, @Param("id") UUID id, @Param("at") Instant at);

    @Update("update drill set removed_at = null where map_id = #{mapId} and id = #{id} and removed_at is not null")
    int restore(@Param("mapId") UUID mapId, @Param("id") UUID id);
}
