package app.narrowgate.server.account;

import java.time.Instant;
import java.util.UUID;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** Browsers that somebody has signed in with, in the database. */
@Mapper
interface DeviceMapper {

    @Select("""
            select count(*) > 0
            from device d
            join account a on a.id = d.account
            where d.token_hash = #{hash} and a.name = #{name} and d.used_at > #{after}""")
    boolean isKnown(@Param("hash") String hash, @Param("name") String name, @Param("after") Instant after);

    @Insert("insert into device (token_hash, account, begun_at, used_at) values (#{hash}, #{account}, #{at}, #{at})")
    void insert(@Param("hash") String hash, @Param("account") UUID account, @Param("at") Instant at);

    @Update("update device set used_at = #{at} where token_hash = #{hash}")
    void used(@Param("hash") String hash, @Param("at") Instant at);

    @Delete("delete from device where used_at <= #{until}")
    void forget(Instant until);
}
