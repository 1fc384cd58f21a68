-- What was dropped, renamed or overwritten beside the map's revisions, so that nobody wonders where it went.
create table map_trace (
    id     uuid primary key,
    map_id uuid not null references map on delete cascade,
    words  text not null,
    author uuid not null references account,
    at     timestamptz not null
);
create index map_trace_map on map_trace (map_id, at);
