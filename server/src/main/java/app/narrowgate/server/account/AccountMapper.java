package app.narrowgate.server.account;

import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

/** Accounts in the database. */
@Mapper
interface AccountMapper {

    @Select("select id, name, display_name, password_hash, created_at from account where name = #{name}")
    Optional<Account> byName(String name);

    @Select("select id, name, display_name, password_hash, created_at from account where id = #{id}")
    Optional<Account> byId(UUID id);

    @Select("select count(*) from account")
    int count();

    @Insert("""
            insert into account (id, name, display_name, password_hash, created_at)
            values (#{id}, #{name}, #{displayName}, #{passwordHash}, #{createdAt})""")
    void insert(Account account);
}
