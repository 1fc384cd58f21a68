package app.narrowgate.server.map;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** Maps in the database; their parts and revisions have a mapper of their own. */
@Mapper
interface MapMapper {

    @Select("select id, title, head, created_at, archived_at, copied_from, shared from map order by created_at, id")
    List<MapRow> all();

    @Select("select id, title, head, created_at, archived_at, copied_from, shared from map where id = #{id}")
    Optional<MapRow> byId(UUID id);

    /** Locks the map until the transaction ends, so that edits come one after the other. */
    @Select("select id, title, head, created_at, archived_at, copied_from, shared from map where id = #{id} for update")
    Optional<MapRow> lock(UUID id);

    @Insert("insert into map (id, title, head, created_at) values (#{id}, #{title}, #{head}, #{createdAt})")
    void insert(MapRow row);

    @Update("update map set head = #{head}, title = #{title} where id = #{id}")
    void advance(@Param("id") UUID id, @Param("head") int head, @Param("title") String title);

    @Update("update map set archived_at = #{at} where id = #{id}")
    void archive(@Param("id") UUID id, @Param("at") Instant at);

    @Update("update map set shared = #{shared} where id = #{id}")
    void share(@Param("id") UUID id, @Param("shared") boolean shared);

    @Update("update map set copied_from = #{from} where id = #{id}")
    void copied(@Param("id") UUID id, @Param("from") UUID from);
}
