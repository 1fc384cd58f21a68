package app.narrowgate.server.link;

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

/** Links to cards in the database. */
@Mapper
interface SharedLinkMapper {

    /** A link as it stands in the table; stances apart by spaces, which no id has. */
    record Row(UUID id, UUID gym, UUID map, String place, String title, String aim, double read, double late, String matchup,
            String stances, String mapTitle, boolean mapAway, String madeBy, Instant madeAt, Instant expiresAt, Instant withdrawnAt) {

        SharedLink toLink() {
            List<String> each = stances.isEmpty() ? List.of() : List.of(stances.split(" "));
            return new SharedLink(id, gym, map, place, title, new SharedSetting(aim, read, late, matchup, each), mapTitle, mapAway, madeBy,
                    madeAt, expiresAt, withdrawnAt);
        }
    }

    String LINK = """
            select l.id, l.gym_id as gym, l.map_id as map, l.place, l.title, l.aim, l.read, l.late, l.matchup, l.stances,
                m.title as map_title, m.archived_at is not null as map_away, a.display_name as made_by, l.made_at, l.expires_at,
                l.withdrawn_at
            from shared_link l
            join map m on m.id = l.map_id
            join account a on a.id = l.made_by
            """;

    @Select(LINK + "where l.token_hash = #{hash}")
    Optional<Row> byToken(String hash);

    @Select(LINK + "order by l.made_at desc, l.id")
    List<Row> all();

    @Select("select count(*) from shared_link where withdrawn_at is null and expires_at > #{at}")
    int open(Instant at);

    @Insert("""
            insert into shared_link (id, token_hash, map_id, place, title, aim, read, late, matchup, stances, made_by, made_at, expires_at)
            values (#{id}, #{hash}, #{map}, #{place}, #{title}, #{setting.aim}, #{setting.read}, #{setting.late}, #{setting.matchup},
                #{stances}, #{madeBy}, #{madeAt}, #{expiresAt})""")
    void insert(@Param("id") UUID id, @Param("hash") String hash, @Param("map") UUID map, @Param("place") String place,
            @Param("title") String title, @Param("setting") SharedSetting setting, @Param("stances") String stances,
            @Param("madeBy") UUID madeBy, @Param("madeAt") Instant madeAt, @Param("expiresAt") Instant expiresAt);

    @Update("update shared_link set withdrawn_at = #{at} where id = #{id} and withdrawn_at is null and expires_at > #{at}")
    int withdraw(@Param("id") UUID id, @Param("at") Instant at);

    @Delete("delete from shared_link where expires_at < #{before} or withdrawn_at < #{before}")
    void throwAway(Instant before);
}
