package app.narrowgate.server.account;

import java.time.Instant;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** Tries to sign in, in the database, where every node counts them. */
@Mapper
interface SignInMapper {

    /** Until the transaction ends nobody else counts or begins a try by this key. */
    @Select("select 1 from pg_advisory_xact_lock(hashtextextended(#{key}, 0))")
    int lock(String key);

    @Select("select count(*) from sign_in_try where key = #{key} and at > #{since} and at < #{until}")
    int count(@Param("key") String key, @Param("since") Instant since, @Param("until") Instant until);

    @Insert("insert into sign_in_try (key, at) values (#{key}, #{at})")
    void insert(@Param("key") String key, @Param("at") Instant at);

    @Delete("delete from sign_in_try where id = (select id from sign_in_try where key = #{key} order by at desc limit 1)")
    void takeBack(String key);

    /** Those that another node is throwing away already are left to it. */
    @Delete("delete from sign_in_try where id in (select id from sign_in_try where at <= #{until} limit 1000 for update skip locked)")
    void throwAway(Instant until);
}
