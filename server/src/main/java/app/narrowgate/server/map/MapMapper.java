package app.narrowgate.server.map;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** Maps, their revisions and their parts in the database. */
@Mapper
interface MapMapper {

    @Select("select id, title, head, created_at, archived_at, copied_from from map order by created_at, id")
    List<MapRow> all();

    @Select("select id, title, head, created_at, archived_at, copied_from from map where id = #{id}")
    Optional<MapRow> byId(UUID id);

    /** Locks the map until the transaction ends, so that edits come one after the other. */
    @Select("select id, title, head, created_at, archived_at, copied_from from map where id = #{id} for update")
    Optional<MapRow> lock(UUID id);

    @Insert("insert into map (id, title, head, created_at) values (#{id}, #{title}, #{head}, #{createdAt})")
    void insert(MapRow row);

    @Update("update map set head = #{head}, title = #{title} where id = #{id}")
    void advance(@Param("id") UUID id, @Param("head") int head, @Param("title") String title);

    @Update("update map set archived_at = #{at} where id = #{id}")
    void archive(@Param("id") UUID id, @Param("at") Instant at);

    @Update("update map set copied_from = #{from} where id = #{id}")
    void copied(@Param("id") UUID id, @Param("from") UUID from);

    @Insert("""
            insert into map_version (id, map_id, revision, name, author, at)
            values (#{row.id}, #{mapId}, #{row.revision}, #{row.name}, #{row.author}, #{row.at})""")
    void insertVersion(@Param("mapId") UUID mapId, @Param("row") VersionRow row);

    @Select("""
            select v.id, v.revision, v.name, v.author, a.display_name as author_name, v.at
            from map_version v
            join account a on a.id = v.author
            where v.map_id = #{mapId}
            order by v.at desc, v.id""")
    List<VersionRow> versions(UUID mapId);

    @Delete("delete from map_version where map_id = #{mapId} and id = #{id}")
    int deleteVersion(@Param("mapId") UUID mapId, @Param("id") UUID id);

    @Insert("""
            insert into map_revision (map_id, number, kind, target, author, at, summary, undo_next, redo_next)
            values (#{mapId}, #{row.number}, #{row.kind}, #{row.target}, #{row.author}, #{row.at}, #{row.summary},
                #{undo.undoNext}, #{undo.redoNext})""")
    void insertRevision(@Param("mapId") UUID mapId, @Param("row") RevisionRow row, @Param("undo") UndoRow undo);

    @Select("select undo_next, redo_next from map_revision where map_id = #{mapId} and number = #{revision}")
    /** Empty for a revision after which there is nothing to undo nor to redo. */
    Optional<UndoRow> undoState(@Param("mapId") UUID mapId, @Param("revision") int revision);

    /** What an undo would take back while {@code revision} is the newest. */
    Optional<RevisionRow> undoTarget(@Param("mapId") UUID mapId, @Param("revision") int revision);

    /** The undo that a redo would bring back while {@code revision} is the newest. */
    Optional<RevisionRow> redoTarget(@Param("mapId") UUID mapId, @Param("revision") int revision);

    /** Newest first. */
    List<RevisionRow> revisions(@Param("mapId") UUID mapId, @Param("after") int after, @Param("most") int most);

    /** The parts as they stood at a revision, in the file's order. */
    List<PartRow> partsAt(@Param("mapId") UUID mapId, @Param("revision") int revision);

    /** Parts whose state began or ended in a revision. */
    List<PartKey> changedIn(@Param("mapId") UUID mapId, @Param("revision") int revision);

    void endParts(@Param("mapId") UUID mapId, @Param("keys") List<PartKey> keys, @Param("until") int until);

    void insertParts(@Param("mapId") UUID mapId, @Param("rows") List<PartRow> rows);
}
