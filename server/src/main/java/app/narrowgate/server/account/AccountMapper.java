package app.narrowgate.server.account;

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

/** Accounts in the database; those of people who have left are in none of the answers. */
@Mapper
interface AccountMapper {

    String ACCOUNT = "select id, gym_id as gym, name, display_name, password_hash, role, created_at from account ";

    @Select(ACCOUNT + "where name = #{name} and left_at is null")
    Optional<Account> byName(String name);

    @Select(ACCOUNT + "where id = #{id} and left_at is null")
    Optional<Account> byId(UUID id);

    @Select(ACCOUNT + "where left_at is null order by created_at, name")
    List<Account> all();

    /** Locks who the owners are until the transaction ends, so that the last two do not leave at once. */
    @Select(ACCOUNT + "where role = 'owner' and left_at is null order by id for update")
    List<Account> lockOwners();

    @Select("select begun_at is not null from account where id = #{id}")
    Optional<Boolean> hasBegun(UUID id);

    @Update("update account set begun_at = coalesce(begun_at, #{at}) where id = #{id}")
    void begin(@Param("id") UUID id, @Param("at") Instant at);

    @Update("update account set password_hash = #{hash} where id = #{id}")
    void rehash(@Param("id") UUID id, @Param("hash") String hash);

    @Update("update account set display_name = #{displayName} where id = #{id}")
    void rename(@Param("id") UUID id, @Param("displayName") String displayName);

    @Update("update account set role = #{role} where id = #{id} and left_at is null")
    int give(@Param("id") UUID id, @Param("role") String role);

    @Insert("""
            insert into account (id, gym_id, name, display_name, password_hash, role, created_at)
            values (#{id}, #{gym}, #{name}, #{displayName}, #{passwordHash}, #{role}, #{createdAt})""")
    void insert(Account account);

    /** The name to sign in with is free again, and no password fits any more. */
    @Update("update account set left_at = #{at}, name = 'left ' || id, password_hash = 'none' where id = #{id} and left_at is null")
    int leave(@Param("id") UUID id, @Param("at") Instant at);

    @Update("update account set forgotten_at = #{at}, display_name = 'Somebody who left' where id = #{id} and forgotten_at is null")
    int forget(@Param("id") UUID id, @Param("at") Instant at);

    @Delete("delete from device where account = #{id}")
    void forgetDevices(UUID id);
}
