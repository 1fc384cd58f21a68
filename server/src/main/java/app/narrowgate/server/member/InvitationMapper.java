package app.narrowgate.server.member;

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

/** Invitations in the database. */
@Mapper
interface InvitationMapper {

    String INVITATION = """
            select i.id, i.gym_id as gym, i.kind, i.role, i.account, a.display_name, i.whom, m.display_name as made_by, i.made_at,
                i.expires_at, i.used_at, i.withdrawn_at
            from invitation i
            join account m on m.id = i.made_by
            left join account a on a.id = i.account
            """;

    @Select(INVITATION + "where i.token_hash = #{hash}")
    Optional<Invitation> byToken(String hash);

    @Select(INVITATION + "order by i.made_at desc, i.id")
    List<Invitation> all();

    @Insert("""
            insert into invitation (id, token_hash, kind, role, account, whom, made_by, made_at, expires_at)
            values (#{id}, #{hash}, #{kind}, #{role}, #{account}, #{whom}, #{madeBy}, #{madeAt}, #{expiresAt})""")
    void insert(@Param("id") UUID id, @Param("hash") String hash, @Param("kind") String kind, @Param("role") String role,
            @Param("account") UUID account, @Param("whom") String whom, @Param("madeBy") UUID madeBy, @Param("madeAt") Instant madeAt,
            @Param("expiresAt") Instant expiresAt);

    /** One who is quicker uses it; for everybody else nothing is changed. */
    @Update("""
            update invitation set used_at = #{at}, whom = ''
            where id = #{id} and used_at is null and withdrawn_at is null and expires_at > #{at}""")
    int use(@Param("id") UUID id, @Param("at") Instant at);

    @Update("update invitation set account = #{account} where id = #{id}")
    void cameIn(@Param("id") UUID id, @Param("account") UUID account);

    @Update("""
            update invitation set withdrawn_at = #{at}, whom = ''
            where id = #{id} and used_at is null and withdrawn_at is null""")
    int withdraw(@Param("id") UUID id, @Param("at") Instant at);

    /** Links for a password that are not used yet; there is one at a time. */
    @Update("""
            update invitation set withdrawn_at = #{at}
            where account = #{account} and kind = 'password' and used_at is null and withdrawn_at is null""")
    void withdrawPasswords(@Param("account") UUID account, @Param("at") Instant at);

    @Delete("delete from invitation where expires_at < #{before}")
    void throwAway(Instant before);
}
