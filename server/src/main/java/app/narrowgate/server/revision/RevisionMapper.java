package app.narrowgate.server.revision;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** Revisions, the states of parts and the names of versions in the database. */
@Mapper
interface RevisionMapper {

    @Insert("""
            insert into map_version (id, map_id, revision, name, author, at)
            values (#{row.id}, #{mapId}, #{row.revision}, #{row.name}, #{row.author}, #{row.at})""")
    void insertVersion(@Param("mapId") UUID mapId, @Param("row") NamedVersion row);

    @Select("""
            select v.id, v.revision, v.name, v.author, a.display_name as author_name, v.at
            from map_version v
            join account a on a.id = v.author
            where v.map_id = #{mapId}
            order by v.at desc, v.id""")
    List<NamedVersion> versions(UUID mapId);

    /** Deletes it, and gives what it was; empty where there was none. */
    @Select(value = """
            delete from map_version v using account a
            where v.map_id = #{mapId} and v.id = #{id} and a.id = v.author
            returning v.id, v.revision, v.name, v.author, a.display_name as author_name, v.at""", affectData = true)
    Optional<NamedVersion> deleteVersion(@Param("mapId") UUID mapId, @Param("id") UUID id);

    @Insert("""
            insert into map_revision (map_id, number, kind, target, author, at, summary, undo_next, redo_next)
            values (#{mapId}, #{row.number}, #{row.kind}, #{row.target}, #{row.author}, #{row.at}, #{row.summary},
                #{undo.undoNext}, #{undo.redoNext})""")
    void insertRevision(@Param("mapId") UUID mapId, @Param("row") Revision row, @Param("undo") UndoRow undo);

    /** Empty for a revision after which there is nothing to undo nor to redo. */
    @Select("select undo_next, redo_next from map_revision where map_id = #{mapId} and number = #{revision}")
    Optional<UndoRow> undoState(@Param("mapId") UUID mapId, @Param("revision") int revision);

    @Select("select summary from map_revision where map_id = #{mapId} and number = #{revision}")
    Optional<String> summary(@Param("mapId") UUID mapId, @Param("revision") int revision);

    /** The last revision not after {@code at}; empty when there was none yet. */
    @Select("select max(number) from map_revision where map_id = #{mapId} and at <= #{at}")
    Optional<Integer> lastAt(@Param("mapId") UUID mapId, @Param("at") Instant at);

    /** What an undo would take back while {@code revision} is the newest. */
    Optional<Revision> undoTarget(@Param("mapId") UUID mapId, @Param("revision") int revision);

    /** The undo that a redo would bring back while {@code revision} is the newest. */
    Optional<Revision> redoTarget(@Param("mapId") UUID mapId, @Param("revision") int revision);

    /** Newest first. */
    List<Revision> revisions(@Param("mapId") UUID mapId, @Param("after") int after, @Param("most") int most);

    /** The parts as they stood at a revision, in the file's order. */
    List<PartState> partsAt(@Param("mapId") UUID mapId, @Param("revision") int revision);

    /** Parts that have been there once, whether they still are or not. */
    @Select("select distinct list, part_id from map_part where map_id = #{mapId} and until is not null")
    List<PartKey> everEnded(UUID mapId);

    /**
     * Ids that entries of {@code field} have had in ended states of the parts of {@code list}, with those parts' ids.
     */
    @Select("""
            select distinct part_id as list, entry ->> 'id' as part_id
            from map_part
            cross join lateral json_array_elements(body -> #{field}) entry
            where map_id = #{mapId} and list = #{list} and until is not null
                and json_typeof(body -> #{field}) = 'array'""")
    List<PartKey> everWithin(@Param("mapId") UUID mapId, @Param("list") String list, @Param("field") String field);

    /** Parts whose state began or ended in a revision. */
    List<PartKey> changedIn(@Param("mapId") UUID mapId, @Param("revision") int revision);

    void endParts(@Param("mapId") UUID mapId, @Param("keys") List<PartKey> keys, @Param("until") int until);

    void insertParts(@Param("mapId") UUID mapId, @Param("rows") List<PartState> rows);
}
