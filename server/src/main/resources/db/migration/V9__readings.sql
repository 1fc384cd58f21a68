-- Cues that somebody read, with ids made on the device: sent twice, kept once.
create table reading (
    id           uuid primary key,
    map_id       uuid not null references map on delete cascade,
    account      uuid not null references account,
    situation    text not null,
    reaction     text not null,
    chosen       text not null,
    correct      boolean not null,
    answers      integer not null check (answers between 1 and 12),
    milliseconds integer not null check (milliseconds between 50 and 30000),
    at           timestamptz not null
);
create index reading_of on reading (map_id, account, at);
