package app.narrowgate.server.audit;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** What is noted, in the database. */
@Mapper
interface AuditMapper {

    @Insert("insert into audit (at, actor, deed, subject, detail) values (#{at}, #{actor}, #{deed}, #{subject}, #{detail})")
    void insert(@Param("at") Instant at, @Param("actor") UUID actor, @Param("deed") String deed, @Param("subject") UUID subject,
            @Param("detail") String detail);

    @Select("""
            select exists (select from audit where actor = #{actor} and deed = #{deed} and subject = #{subject} and at > #{after})""")
    boolean isNoted(@Param("actor") UUID actor, @Param("deed") String deed, @Param("subject") UUID subject, @Param("after") Instant after);

    @Select("""
            select at, deed, detail, actor = #{account} as own from audit
            where actor = #{account} or subject = #{account} or subject in (select id from person where account = #{account})
            order by id""")
    List<Told> about(UUID account);

    @Select("""
            select n.id, n.at, n.deed, n.subject as subject_id, coalesce(s.display_name, p.name) as subject, n.detail,
                case when n.actor = '00000000-0000-0000-0000-000000000000' then 'Whoever runs the house' else a.display_name end as actor
            from audit n
            left join account a on a.id = n.actor and a.forgotten_at is null
            left join account s on s.id = n.subject and s.forgotten_at is null
            left join person p on p.id = n.subject
            where n.id < #{before} order by n.id desc limit #{most}""")
    List<AuditRow> before(@Param("before") long before, @Param("most") int most);
}
