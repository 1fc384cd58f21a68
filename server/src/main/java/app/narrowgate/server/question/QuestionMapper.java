package app.narrowgate.server.question;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** Questions in the database. */
@Mapper
interface QuestionMapper {

    @Select("""
            select q.id, q.words, q.situation, q.reaction, q.response, q.author, a.display_name as author_name, q.at
            from question q
            join account a on a.id = q.author
            where q.map_id = #{mapId}
            order by q.at, q.id""")
    List<QuestionRow> of(UUID mapId);

    @Select("""
            select q.id, q.words, q.situation, q.reaction, q.response, q.author, a.display_name as author_name, q.at
            from question q
            join account a on a.id = q.author
            where q.map_id = #{mapId} and q.id = #{id}""")
    Optional<QuestionRow> byId(@Param("mapId") UUID mapId, @Param("id") UUID id);

    @Select("""
            select q.id, q.words, q.situation, q.reaction, q.response, q.author, a.display_name as author_name, q.at
            from question q
            join account a on a.id = q.author
            where q.author = #{author}
            order by q.at, q.id""")
    List<QuestionRow> by(UUID author);

    /** A question that is there already stays as it is: the same one, sent again over a bad connection. */
    @Insert("""
            insert into question (id, map_id, words, situation, author, at)
            values (#{row.id}, #{mapId}, #{row.words}, #{row.situation}, #{row.author}, #{row.at})
            on conflict (id) do nothing""")
    void insert(@Param("mapId") UUID mapId, @Param("row") QuestionRow row);

    @Update("""
            update question set reaction = #{reaction}, response = #{response}
            where map_id = #{mapId} and id = #{id}""")
    void answered(@Param("mapId") UUID mapId, @Param("id") UUID id, @Param("reaction") String reaction,
            @Param("response") String response);

    @Delete("delete from question where map_id = #{mapId} and id = #{id}")
    int delete(@Param("mapId") UUID mapId, @Param("id") UUID id);
}
