package app.narrowgate.server.term;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** Terms in the database. */
@Mapper
interface TermMapper {

    String TERM = "select id, map_id, version, title, first_day, last_day, author, at from term where map_id = #{mapId} ";

    @Select(TERM + "order by first_day, id")
    List<TermRow> all(UUID mapId);

    @Select(TERM + "and id = #{id}")
    Optional<TermRow> byId(@Param("mapId") UUID mapId, @Param("id") UUID id);

    /** One that is there already stays as it is: the same one, sent again over a bad connection. */
    @Insert("""
            insert into term (id, map_id, version, title, first_day, last_day, author, at)
            values (#{id}, #{mapId}, #{version}, #{title}, #{firstDay}, #{lastDay}, #{author}, #{at}) on conflict (id) do nothing""")
    int insert(TermRow row);

    @Update("""
            update term set version = version + 1, title = #{title}, first_day = #{firstDay}, last_day = #{lastDay}, author = #{author}, at = #{at}
            where map_id = #{mapId} and id = #{id} and version = #{version}""")
    int update(TermRow row);

    @Delete("delete from term where map_id = #{mapId} and id = #{id}")
    int remove(@Param("mapId") UUID mapId, @Param("id") UUID id);
}
