package app.narrowgate.server.account;

import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** Accounts in the database. */
@Mapper
interface AccountMapper {

    @Select("select id, gym_id as gym, name, display_name, password_hash, role, created_at from account where name = #{name}")
    Optional<Account> byName(String name);

    @Select("select id, gym_id as gym, name, display_name, password_hash, role, created_at from account where id = #{id}")
    Optional<Account> byId(UUID id);

    @Select("select begun_at is not null from account where id = #{id}")
    Optional<Boolean> hasBegun(UUID id);

    @Update("update account set begun_at = coalesce(begun_at, #{at}) where id = #{id}")
    void begin(@Param("id") UUID id, @Param("at") Instant at);

    @Update("update account set password_hash = #{hash} where id = #{id}")
    void rehash(@Param("id") UUID id, @Param("hash") String hash);

    @Insert("""
            insert into account (id, gym_id, name, display_name, password_hash, role, created_at)
            values (#{id}, #{gym}, #{name}, #{displayName}, #{passwordHash}, #{role}, #{createdAt})""")
    void insert(Account account);
}
