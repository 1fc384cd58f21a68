package app.narrowgate.server.run;

import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** Runs in the database. */
@Mapper
interface RunMapper {

    String ALL = "select id, map_id, owner, about, kind, request, revision, before_revision, state, done, of, result, failure, stop, asked_at, node, "
            + "heard_at from run ";

    @Insert("""
            insert into run (id, map_id, owner, about, kind, request, revision, before_revision, state, done, of, asked_at, node, heard_at)
            values (#{id}, #{mapId}, #{owner}, #{about}, #{kind}, #{request}, #{revision}, #{beforeRevision}, #{state}, #{done}, #{of}, #{askedAt},
                #{node}, #{heardAt})""")
    void insert(RunRow row);

    @Select(ALL + "where id = #{id} and map_id = #{map} and owner = #{owner}")
    Optional<RunRow> find(@Param("id") UUID id, @Param("map") UUID map, @Param("owner") UUID owner);

    @Select(ALL + "where owner = #{owner} and about = #{about} and not stop and state in ('waiting', 'running', 'done') order by heard_at desc limit 1")
    Optional<RunRow> same(@Param("owner") UUID owner, @Param("about") String about);

    @Select("""
            select count(*) from run where owner = #{owner} and node <> #{node} and state in ('waiting', 'running') and not stop
                and heard_at > #{alive}""")
    int goingElsewhere(@Param("owner") UUID owner, @Param("node") UUID node, @Param("alive") Instant alive);

    @Update("update run set asked_at = #{now} where id = #{id}")
    void asked(@Param("id") UUID id, @Param("now") Instant now);

    @Update("update run set stop = true where id = #{id}")
    void stop(UUID id);

    /** One of a node that has died becomes this one's; nothing where another one was faster. */
    @Update("""
            update run set node = #{node}, heard_at = #{now}, asked_at = #{now}, state = 'waiting', done = 0, of = 0
            where id = #{id} and heard_at = #{last} and state in ('waiting', 'running') and not stop""")
    int adopt(@Param("id") UUID id, @Param("node") UUID node, @Param("last") Instant last, @Param("now") Instant now);

    /** Tells how far this node is; gives whether it is still wanted, or nothing where it is another node's by now. */
    @Select(affectData = true, value = """
            update run set state = #{state}, done = #{done}, of = #{of}, heard_at = #{now} where id = #{id} and node = #{node}
            returning id, map_id, owner, about, kind, request, revision, before_revision, state, done, of, result, failure, stop, asked_at, node, heard_at""")
    Optional<RunRow> beat(@Param("id") UUID id, @Param("node") UUID node, @Param("state") String state, @Param("done") int done, @Param("of") int of,
            @Param("now") Instant now);

    @Update("""
            update run set state = #{state}, done = #{done}, of = #{of}, result = #{result}, failure = #{failure}, heard_at = #{now}
            where id = #{id} and node = #{node}""")
    void end(@Param("id") UUID id, @Param("node") UUID node, @Param("state") String state, @Param("done") int done, @Param("of") int of,
            @Param("result") String result, @Param("failure") String failure, @Param("now") Instant now);

    @Delete("delete from run where heard_at < #{before}")
    void throwAway(Instant before);
}
