package app.narrowgate.server.mail;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** Letters in the database. */
@Mapper
interface MailMapper {

    @Insert("insert into mail (at, address, subject, body) values (#{at}, #{address}, #{subject}, #{body})")
    void insert(@Param("at") Instant at, @Param("address") String address, @Param("subject") String subject,
            @Param("body") String body);

    @Delete("delete from mail where at < #{before}")
    void throwAway(Instant before);

    @Select("select id, at, address, subject, body from mail order by id desc limit #{most}")
    List<Letter> newest(int most);
}
