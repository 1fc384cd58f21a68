-- Classes of the gym, planned on one of its maps, in the open format narrowgate-class/1. People stand in them by their ids alone, so that
-- whoever is taken off the roster leaves no more than a number behind.
create table lesson (
    id         uuid primary key,
    gym_id     uuid not null default narrowgate_gym() references gym on delete cascade,
    map_id     uuid not null references map on delete cascade,
    version    integer not null check (version >= 1),
    day        date not null,
    body       text not null,
    author     uuid not null references account,
    at         timestamptz not null,
    removed_at timestamptz
);
create index lesson_map on lesson (map_id, day);

alter table lesson enable row level security;
alter table lesson force row level security;
create policy gym_only on lesson using (gym_id = (select narrowgate_gym()) or (select narrowgate_house()));
