package app.narrowgate.server.demo;

import java.time.Instant;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** Which parts of the demo gym the house has been given. */
@Mapper
interface DemoPartMapper {

    @Select("select exists (select 1 from demo_part where name = #{name})")
    boolean isLoaded(String name);

    @Insert("insert into demo_part (name, loaded_at) values (#{name}, #{at})")
    void loaded(@Param("name") String name, @Param("at") Instant at);
}
