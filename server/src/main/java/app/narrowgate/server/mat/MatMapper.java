package app.narrowgate.server.mat;

import app.narrowgate.core.check.Coded;
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

/** Running classes and the links to them in the database. */
@Mapper
interface MatMapper {

    /** A link as it stands in the table. */
    record LinkRow(UUID id, UUID gym, UUID lesson, String kind, String madeBy, Instant madeAt, Instant expiresAt, Instant withdrawnAt) {

        MatLink toLink() {
            return new MatLink(id, gym, lesson, Coded.require(MatLink.Kind.class, "kind", kind), madeBy, madeAt, expiresAt, withdrawnAt);
        }
    }

    String RUN = "select m.lesson_id as lesson, m.gym_id as gym, m.map_id as map, m.version, m.body, m.at from mat m "
            + "join lesson l on l.id = m.lesson_id and l.removed_at is null where m.lesson_id = #{lesson}";

    String LINK = """
            select l.id, l.gym_id as gym, l.lesson_id as lesson, l.kind, a.display_name as made_by, l.made_at, l.expires_at, l.withdrawn_at
            from mat_link l join account a on a.id = l.made_by
            """;

    @Select(RUN)
    Optional<MatRow> byLesson(UUID lesson);

    /** The same, held until the end of the transaction: whoever steers at the same time comes after. */
    @Select(RUN + " for update of m")
    Optional<MatRow> held(UUID lesson);

    /** One that is there already stays as it is: two have begun it at once. */
    @Insert("""
            insert into mat (lesson_id, map_id, version, body, at) values (#{lesson}, #{map}, 1, #{body}, #{at})
            on conflict (lesson_id) do nothing""")
    int insert(@Param("lesson") UUID lesson, @Param("map") UUID map, @Param("body") String body, @Param("at") Instant at);

    @Update("update mat set version = version + 1, body = #{body}, at = #{at} where lesson_id = #{lesson}")
    int update(@Param("lesson") UUID lesson, @Param("body") String body, @Param("at") Instant at);

    @Delete("delete from mat where lesson_id = #{lesson}")
    int delete(UUID lesson);

    @Select(LINK + "where l.lesson_id = #{lesson} order by l.made_at desc, l.id")
    List<LinkRow> links(UUID lesson);

    @Select(LINK + "where l.token_hash = #{hash}")
    Optional<LinkRow> byToken(String hash);

    @Insert("""
            insert into mat_link (id, lesson_id, kind, token_hash, made_by, made_at, expires_at)
            values (#{id}, #{lesson}, #{kind}, #{hash}, #{by}, #{at}, #{expires})""")
    void insertLink(@Param("id") UUID id, @Param("lesson") UUID lesson, @Param("kind") String kind, @Param("hash") String hash,
            @Param("by") UUID by, @Param("at") Instant at, @Param("expires") Instant expires);

    @Update("update mat_link set withdrawn_at = #{at} where id = #{id} and lesson_id = #{lesson} and withdrawn_at is null")
    int withdraw(@Param("id") UUID id, @Param("lesson") UUID lesson, @Param("at") Instant at);

    @Delete("delete from mat_link where expires_at < #{before}")
    void throwAwayLinks(Instant before);
}
