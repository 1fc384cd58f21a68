package app.narrowgate.server.person;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** The roster in the database. */
@Mapper
interface PersonMapper {

    String PERSON = """
            select p.id, p.version, p.name, p.level, p.weight, p.height, p.age, p.strong, p.joined, p.notes, p.account,
                a.display_name as account_name, p.created_at
            from person p
            left join account a on a.id = p.account and a.left_at is null
            """;

    @Select(PERSON + "order by lower(p.name), p.id")
    List<PersonRow> all();

    /** Those of some ids, in the same order. */
    @Select("<script>" + PERSON + """
            where p.id in <foreach collection="ids" item="id" open="(" separator="," close=")">#{id}</foreach>
            order by lower(p.name), p.id
            </script>""")
    List<PersonRow> these(@Param("ids") Collection<UUID> ids);

    @Select(PERSON + "where p.id = #{id}")
    Optional<PersonRow> byId(UUID id);

    @Select(PERSON + "where p.account = #{account}")
    Optional<PersonRow> byAccount(UUID account);

    @Select("select count(*) from person")
    int count();

    @Insert("""
            insert into person (id, version, name, level, weight, height, age, strong, joined, notes, created_at)
            values (#{id}, #{version}, #{name}, #{level}, #{weight}, #{height}, #{age}, #{strong}, #{joined}, #{notes}, #{createdAt})""")
    void insert(PersonRow row);

    @Update("""
            update person set version = version + 1, name = #{row.name}, level = #{row.level}, weight = #{row.weight},
                height = #{row.height}, age = #{row.age}, strong = #{row.strong}, joined = #{row.joined}, notes = #{row.notes}
            where id = #{row.id} and version = #{version}""")
    int update(@Param("row") PersonRow row, @Param("version") int version);

    @Update("update person set account = null where account = #{account}")
    void unlink(UUID account);

    @Update("update person set account = #{account} where id = #{id}")
    int link(@Param("id") UUID id, @Param("account") UUID account);

    @Delete("delete from person where id = #{id}")
    int delete(UUID id);

    @Delete("delete from person where account = #{account}")
    void deleteByAccount(UUID account);

    @Select("select injury, first_day, last_day, avoid from person_ailment where person = #{person} order by number")
    List<AilmentRow> ailments(UUID person);

    @Select("select person, injury, first_day, last_day, avoid from person_ailment")
    List<HurtRow> everyAilment();

    @Delete("delete from person_ailment where person = #{person}")
    void clearAilments(UUID person);

    @Insert("""
            insert into person_ailment (person, number, injury, first_day, last_day, avoid)
            values (#{person}, #{number}, #{row.injury}, #{row.firstDay}, #{row.lastDay}, #{row.avoid})""")
    void insertAilment(@Param("person") UUID person, @Param("number") int number, @Param("row") AilmentRow row);
}
