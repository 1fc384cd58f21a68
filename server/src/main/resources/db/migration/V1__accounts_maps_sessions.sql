create table account (
    id            uuid primary key,
    name          text not null unique check (name = lower(name)),
    display_name  text not null,
    password_hash text not null,
    created_at    timestamptz not null
);

create table map (
    id         uuid primary key,
    title      text not null,
    head       integer not null check (head >= 1),
    created_at timestamptz not null
);

create table map_revision (
    map_id  uuid not null references map on delete cascade,
    number  integer not null check (number >= 1),
    kind    text not null check (kind in ('edit', 'undo', 'redo')),
    target  integer,
    author  uuid not null references account,
    at      timestamptz not null,
    summary text not null,
    primary key (map_id, number),
    check ((kind = 'edit') = (target is null))
);

-- One row for each state a part has been in; the present one has no end. Any revision can be put together again.
create table map_part (
    map_id   uuid not null references map on delete cascade,
    list     text not null,
    part_id  text not null,
    since    integer not null,
    until    integer,
    position integer not null,
    body     json not null,
    primary key (map_id, list, part_id, since),
    check (until is null or until > since)
);
create index map_part_present on map_part (map_id) where until is null;

create table spring_session (
    primary_id            char(36) not null primary key,
    session_id            char(36) not null unique,
    creation_time         bigint not null,
    last_access_time      bigint not null,
    max_inactive_interval integer not null,
    expiry_time           bigint not null,
    principal_name        varchar(100)
);
create index spring_session_expiry on spring_session (expiry_time);
create index spring_session_principal on spring_session (principal_name);

create table spring_session_attributes (
    session_primary_id char(36) not null references spring_session (primary_id) on delete cascade,
    attribute_name     varchar(200) not null,
    attribute_bytes    bytea not null,
    primary key (session_primary_id, attribute_name)
);
