-- Drills of the gym's library, each with every state that was kept.
create table drill (
    id         uuid primary key,
    map_id     uuid not null references map on delete cascade,
    version    integer not null check (version >= 1),
    removed_at timestamptz
);
create index drill_map on drill (map_id);

-- A state of a drill, in the open format narrowgate-drill/1.
create table drill_version (
    drill_id uuid not null references drill on delete cascade,
    version  integer not null check (version >= 1),
    body     text not null,
    author   uuid not null references account,
    at       timestamptz not null,
    primary key (drill_id, version)
);
