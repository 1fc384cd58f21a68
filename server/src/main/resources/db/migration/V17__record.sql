-- What happened on the mat. Events stay as they were kept: a mistake is taken out by another event, and an event goes only with its person or
-- its map. Their ids are made on the device that logs them: sent twice, kept once.
create table record_event (
    id        uuid primary key,
    gym_id    uuid not null default narrowgate_gym() references gym on delete cascade,
    map_id    uuid not null references map on delete cascade,
    kind      text not null check (kind in ('round', 'void')),
    at        timestamptz not null,
    kept_at   timestamptz not null,
    author    uuid references account,
    person    uuid references person on delete cascade,
    partner   uuid references person on delete set null,
    situation text,
    side      text check (side in ('left', 'right')),
    ending    text,
    ended_in  text,
    seconds   integer check (seconds between 1 and 3600),
    reaction  text,
    response  text,
    nothing   boolean not null default false,
    gap       double precision check (gap between -150 and 150),
    voids     uuid unique references record_event on delete cascade,
    check ((kind = 'round') = (person is not null and situation is not null and ending is not null)),
    check ((kind = 'void') = (voids is not null))
);
create index record_event_of on record_event (map_id, at desc, id);
create index record_event_person on record_event (person, map_id, at desc);
create index record_event_partner on record_event (partner) where partner is not null;

alter table record_event enable row level security;
alter table record_event force row level security;
create policy gym_only on record_event using (gym_id = (select narrowgate_gym()) or (select narrowgate_house()));

-- Only who was the partner is taken out, where they are erased.
create function narrowgate_event_stays() returns trigger language plpgsql
    as $$ begin
        if to_jsonb(new) - 'partner' is distinct from to_jsonb(old) - 'partner' or new.partner is not null then
            raise exception 'What happened on the mat stays as it was kept';
        end if;
        return new;
    end $$;
create trigger record_event_stays before update on record_event for each row execute function narrowgate_event_stays();
