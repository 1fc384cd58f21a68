-- Repetitions that somebody counted, and what a coach decided on a gate for moving up.
alter table record_event
    add column technique text,
    add column role      text check (role in ('first', 'second')),
    add column many      integer check (many between 1 and 10000),
    add column clean     integer check (clean between 0 and many),
    add column fault     text,
    add column level     text check (level in ('novice', 'intermediate', 'advanced')),
    add column shown     boolean,
    add column reason    text;
alter table record_event drop constraint record_event_kind_check;
alter table record_event add constraint record_event_kind_check check (kind in ('round', 'void', 'keep', 'repetitions', 'gate'));
alter table record_event add constraint record_event_repetitions_check
    check ((kind = 'repetitions') = (technique is not null) and (technique is null or person is not null and role is not null and many is not null));
alter table record_event add constraint record_event_gate_check
    check ((kind = 'gate') = (shown is not null) and (shown is null or person is not null and situation is not null and side is not null and level is not null
        and reason is not null));

-- Where an answer is shown before somebody moves up: one list for each level, in order.
create table gate_place (
    gym_id uuid not null default narrowgate_gym() references gym on delete cascade,
    map_id uuid not null references map on delete cascade,
    level  text not null check (level in ('novice', 'intermediate')),
    number integer not null check (number >= 0),
    place  text not null,
    primary key (map_id, level, number),
    unique (map_id, level, place)
);

-- What the gym asks of everybody in a year, in repetitions of one technique.
create table repetition_goal (
    gym_id uuid not null default narrowgate_gym() references gym on delete cascade,
    map_id uuid not null references map on delete cascade,
    many   integer not null check (many between 0 and 100000),
    primary key (map_id)
);

do $$
declare owned text;
begin
    foreach owned in array array ['gate_place', 'repetition_goal'] loop
        execute format('alter table %I enable row level security', owned);
        execute format('alter table %I force row level security', owned);
        execute format('create policy gym_only on %I using (gym_id = (select narrowgate_gym()) or (select narrowgate_house()))', owned);
    end loop;
end $$;
