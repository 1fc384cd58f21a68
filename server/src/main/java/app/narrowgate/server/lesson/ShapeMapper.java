package app.narrowgate.server.lesson;

import java.util.List;
import java.util.UUID;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

/** The gym's shapes of classes in the database. */
@Mapper
interface ShapeMapper {

    @Select("select id, title, minutes, body, author, at from class_shape order by lower(title), id")
    List<ShapeRow> all();

    /** One that is there already stays as it is: the same one, sent again over a bad connection. */
    @Insert("""
            insert into class_shape (id, title, minutes, body, author, at)
            values (#{id}, #{title}, #{minutes}, #{body}, #{author}, #{at}) on conflict (id) do nothing""")
    int insert(ShapeRow row);

    @Delete("delete from class_shape where id = #{id}")
    int remove(UUID id);
}
