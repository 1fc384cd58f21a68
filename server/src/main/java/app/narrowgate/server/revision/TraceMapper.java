package app.narrowgate.server.revision;

import java.util.List;
import java.util.UUID;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** Traces in the database. */
@Mapper
interface TraceMapper {

    @Insert("""
            insert into map_trace (id, map_id, words, author, at)
            values (#{row.id}, #{mapId}, #{row.words}, #{row.author}, #{row.at})""")
    void insert(@Param("mapId") UUID mapId, @Param("row") Trace row);

    @Select("""
            select t.id, t.words, t.author, a.display_name as author_name, t.at
            from map_trace t
            join account a on a.id = t.author
            where t.map_id = #{mapId}
            order by t.at desc, t.id
            limit #{most}""")
    List<Trace> newest(@Param("mapId") UUID mapId, @Param("most") int most);
}
