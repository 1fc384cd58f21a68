-- Files of the record that were read in. What came in with one does not count while it is taken back.
create table record_import (
    id        uuid not null,
    gym_id    uuid not null default narrowgate_gym() references gym on delete cascade,
    map_id    uuid not null references map on delete cascade,
    author    uuid references account,
    at        timestamptz not null,
    file      text not null,
    events    integer not null check (events >= 0),
    first_at  timestamptz,
    last_at   timestamptz,
    undone_at timestamptz,
    primary key (map_id, id)
);
alter table record_import enable row level security;
alter table record_import force row level security;
create policy gym_only on record_import using (gym_id = (select narrowgate_gym()) or (select narrowgate_house()));

-- Events are told apart within their map: a file that two gyms read in is kept by both. Taking out twice is taking out.
alter table record_event drop constraint record_event_voids_fkey;
alter table record_event drop constraint record_event_voids_key;
alter table record_event drop constraint record_event_pkey;
alter table record_event add primary key (map_id, id);
alter table record_event add foreign key (map_id, voids) references record_event (map_id, id) on delete cascade;
create index record_event_voids on record_event (map_id, voids) where voids is not null;
alter table record_event add column import uuid;
alter table record_event add foreign key (map_id, import) references record_import (map_id, id);
alter table reading drop constraint reading_pkey;
alter table reading add primary key (map_id, id);
alter table reading add column import uuid;

alter table record_event drop constraint record_event_kind_check;
alter table record_event add constraint record_event_kind_check check (kind in ('round', 'void', 'keep', 'repetitions', 'gate', 'attendance'));
alter table record_event add constraint record_event_attendance_check check (kind <> 'attendance' or person is not null);

-- Whoever is forgotten leaves their rounds to the gym, without a name: neither theirs, nor that of who was on top, whose weight and the gap would tell
-- theirs. All else that was kept of them goes.
do $$
declare named text;
begin
    for named in select conname from pg_constraint where conrelid = 'record_event'::regclass and contype = 'c'
        and pg_get_constraintdef(oid) like '%''round''%' and pg_get_constraintdef(oid) like '%ending IS NOT NULL%' loop
        execute format('alter table record_event drop constraint %I', named);
    end loop;
end $$;
alter table record_event add constraint record_event_round_check
    check ((kind = 'round') = (ending is not null) and (ending is null or situation is not null));
alter table record_event drop constraint record_event_person_fkey;
alter table record_event add foreign key (person) references person on delete set null;

create or replace function narrowgate_event_stays() returns trigger language plpgsql
    as $$ begin
        if to_jsonb(new) - array['person', 'partner', 'import'] is distinct from to_jsonb(old) - array['person', 'partner', 'import']
            or new.partner is distinct from old.partner and new.partner is not null
            or new.person is distinct from old.person and (new.person is not null or old.kind <> 'round') then
            raise exception 'What happened on the mat stays as it was kept';
        end if;
        return new;
    end $$;
create function narrowgate_person_forgotten() returns trigger language plpgsql
    as $$ begin
        delete from record_event where person = old.id and kind <> 'round';
        update record_event set person = null, partner = null where person = old.id;
        return old;
    end $$;
create trigger person_forgotten before delete on person for each row execute function narrowgate_person_forgotten();
