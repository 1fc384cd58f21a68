package app.narrowgate.server.review;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** Dismissed findings in the database. */
@Mapper
interface DismissalMapper {

    @Select("""
            select d.kind, d.place, d.response, d.reason, a.display_name as author_name, d.at
            from finding_dismissal d
            join account a on a.id = d.author
            where d.map_id = #{mapId}""")
    List<Dismissals.Row> of(UUID mapId);

    @Select("""
            select d.kind, d.place, d.response, d.reason, a.display_name as author_name, d.at
            from finding_dismissal d
            join account a on a.id = d.author
            where d.map_id = #{mapId} and d.kind = #{key.kind} and d.place = #{key.place}
                and d.response = #{key.response}""")
    Optional<Dismissals.Row> byKey(@Param("mapId") UUID mapId, @Param("key") Dismissals.Key key);

    @Insert("""
            insert into finding_dismissal (map_id, kind, place, response, reason, author, at)
            values (#{mapId}, #{key.kind}, #{key.place}, #{key.response}, #{reason}, #{author}, #{at})
            on conflict (map_id, kind, place, response)
            do update set reason = excluded.reason, author = excluded.author, at = excluded.at""")
    void put(@Param("mapId") UUID mapId, @Param("key") Dismissals.Key key, @Param("reason") String reason,
            @Param("author") UUID author, @Param("at") Instant at);

    @Delete("""
            delete from finding_dismissal
            where map_id = #{mapId} and kind = #{key.kind} and place = #{key.place} and response = #{key.response}""")
    void delete(@Param("mapId") UUID mapId, @Param("key") Dismissals.Key key);
}
