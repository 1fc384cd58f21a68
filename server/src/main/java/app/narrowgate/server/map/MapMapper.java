package app.narrowgate.server.map;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** Maps, their revisions and their parts in the database. */
@Mapper
interface MapMapper {

    @Select("select id, title, head, created_at from map order by created_at, id")
    List<MapRow> all();

    @Select("select id, title, head, created_at from map where id = #{id}")
    Optional<MapRow> byId(UUID id);

    /** Locks the map until the transaction ends, so that edits come one after the other. */
    @Select("select id, title, head, created_at from map where id = #{id} for update")
    Optional<MapRow> lock(UUID id);

    @Insert("insert into map (id, title, head, created_at) values (#{id}, #{title}, #{head}, #{createdAt})")
    void insert(MapRow row);

    @Update("update map set head = #{head}, title = #{title} where id = #{id}")
    void advance(@Param("id") UUID id, @Param("head") int head, @Param("title") String title);

    @Insert("""
            insert into map_revision (map_id, number, kind, target, author, at, summary)
            values (#{mapId}, #{row.number}, #{row.kind}, #{row.target}, #{row.author}, #{row.at}, #{row.summary})""")
    void insertRevision(@Param("mapId") UUID mapId, @Param("row") RevisionRow row);

    /** Newest first. */
    List<RevisionRow> revisions(@Param("mapId") UUID mapId, @Param("after") int after, @Param("most") int most);

    /** The parts as they stood at a revision, in the file's order. */
    List<PartRow> partsAt(@Param("mapId") UUID mapId, @Param("revision") int revision);

    /** Parts whose state began or ended after a revision. */
    List<PartKey> changedAfter(@Param("mapId") UUID mapId, @Param("revision") int revision);

    /** Parts whose state began or ended in a revision. */
    List<PartKey> changedIn(@Param("mapId") UUID mapId, @Param("revision") int revision);

    void endParts(@Param("mapId") UUID mapId, @Param("keys") List<PartKey> keys, @Param("until") int until);

    void insertParts(@Param("mapId") UUID mapId, @Param("rows") List<PartRow> rows);
}
