package app.narrowgate.server.demo;

import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** Which parts of the demo gym the house has been given. */
@Mapper
interface DemoPartMapper {

    @Select("select exists (select 1 from demo_part where name = #{name})")
    boolean isLoaded(String name);

    /** To which gym they were given; empty where the house has been given none, or that gym is gone. */
    @Select("select gym from demo_part where gym is not null limit 1")
    Optional<UUID> gym();

    @Insert("insert into demo_part (name, loaded_at, gym) values (#{name}, #{at}, #{gym})")
    void loaded(@Param("name") String name, @Param("at") Instant at, @Param("gym") UUID gym);
}
