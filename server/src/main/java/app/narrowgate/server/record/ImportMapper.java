package app.narrowgate.server.record;

import jakarta.annotation.Nullable;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** Files that were read into the record, in the database. */
@Mapper
interface ImportMapper {

    /**
     * A file that was read in.
     *
     * @param file what it was called
     * @param events how many of it count that did not before
     * @param author who read it in; null once they are forgotten
     * @param undoneAt since when it is taken back; null while it counts
     */
    record ImportRow(UUID id, Instant at, @Nullable String author, String file, int events, @Nullable Instant firstAt, @Nullable Instant lastAt,
            @Nullable Instant undoneAt) {
    }

    String ROW = """
            select i.id, i.at, a.display_name as author, i.file, i.events, i.first_at, i.last_at, i.undone_at
            from record_import i left join account a on a.id = i.author where i.map_id = #{mapId}
            """;

    @Insert("insert into record_import (id, map_id, author, at, file, events) values (#{id}, #{mapId}, #{author}, #{at}, #{file}, 0) on conflict do nothing")
    int insert(@Param("mapId") UUID mapId, @Param("id") UUID id, @Param("author") UUID author, @Param("at") Instant at, @Param("file") String file);

    @Update("update record_import set events = #{events}, first_at = #{first}, last_at = #{last} where map_id = #{mapId} and id = #{id}")
    int count(@Param("mapId") UUID mapId, @Param("id") UUID id, @Param("events") int events, @Param("first") Instant first, @Param("last") Instant last);

    @Update("update record_import set undone_at = #{at} where map_id = #{mapId} and id = #{id}")
    int undo(@Param("mapId") UUID mapId, @Param("id") UUID id, @Param("at") Instant at);

    @Select(ROW + "and i.id = #{id}")
    Optional<ImportRow> one(@Param("mapId") UUID mapId, @Param("id") UUID id);

    @Select(ROW + "order by i.at desc, i.id limit 100")
    List<ImportRow> all(UUID mapId);
}
