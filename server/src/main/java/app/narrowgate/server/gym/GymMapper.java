package app.narrowgate.server.gym;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** Gyms in the database. */
@Mapper
interface GymMapper {

    @Select("select id, name, created_at from gym order by created_at, id")
    List<Gym> all();

    @Select("select id, name, created_at from gym where id = #{id}")
    Optional<Gym> byId(UUID id);

    @Select("select rolsuper or rolbypassrls from pg_roles where rolname = current_user")
    boolean isAboveRowRules();

    @Insert("insert into gym (id, name, created_at) values (#{id}, #{name}, #{createdAt})")
    void insert(Gym gym);

    @Update("update gym set name = #{name} where id = #{id}")
    void rename(@Param("id") UUID id, @Param("name") String name);
}
