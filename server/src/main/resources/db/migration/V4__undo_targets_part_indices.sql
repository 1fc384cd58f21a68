-- What an undo and a redo would be about stands with each revision, so that showing a map never reads its history.
alter table map_revision
    add column undo_next integer,
    add column redo_next integer;

comment on column map_revision.undo_next is 'with this revision newest: the one that an undo would take back';
comment on column map_revision.redo_next is 'with this revision newest: the undo that a redo would bring back';

do $$
declare
    r record;
    taken_back integer;
    brought_back integer;
begin
    for r in select map_id, number, kind from map_revision order by map_id, number loop
        if r.kind = 'undo' then
            select undo_next into taken_back from map_revision where map_id = r.map_id and number = r.number - 1;
            update map_revision
            set undo_next = (select undo_next from map_revision where map_id = r.map_id and number = taken_back - 1),
                redo_next = r.number
            where map_id = r.map_id and number = r.number;
        elsif r.kind = 'redo' then
            select redo_next into brought_back from map_revision where map_id = r.map_id and number = r.number - 1;
            update map_revision
            set undo_next = r.number,
                redo_next = (select redo_next from map_revision where map_id = r.map_id and number = brought_back - 1)
            where map_id = r.map_id and number = r.number;
        elsif r.number > 1 then
            update map_revision set undo_next = r.number where map_id = r.map_id and number = r.number;
        end if;
    end loop;
end $$;

create index map_part_since on map_part (map_id, since);
create index map_part_until on map_part (map_id, until) where until is not null;
