alter table map add column archived_at timestamptz;
-- The map this one was copied from, so that a copy can be compared with the house map.
alter table map add column copied_from uuid references map on delete set null;

alter table map_revision drop constraint map_revision_kind_check;
alter table map_revision add constraint map_revision_kind_check check (kind in ('edit', 'undo', 'redo', 'restore'));
alter table map_revision drop constraint map_revision_check;
alter table map_revision add constraint map_revision_check check ((kind = 'edit') = (target is null));

-- A name for a revision, such as "before the spring term".
create table map_version (
    id       uuid primary key,
    map_id   uuid not null references map on delete cascade,
    revision integer not null check (revision >= 1),
    name     text not null,
    author   uuid not null references account,
    at       timestamptz not null
);
create index map_version_map on map_version (map_id);

-- A finding that the coach has looked at and knows better about.
create table finding_dismissal (
    map_id   uuid not null references map on delete cascade,
    kind     text not null,
    place    text not null,
    response text not null default '',
    reason   text not null,
    author   uuid not null references account,
    at       timestamptz not null,
    primary key (map_id, kind, place, response)
);

-- "What if they ...?" asked before anyone knows where it belongs on the map.
create table question (
    id        uuid primary key,
    map_id    uuid not null references map on delete cascade,
    words     text not null,
    situation text,
    author    uuid not null references account,
    at        timestamptz not null
);
create index question_map on question (map_id);
