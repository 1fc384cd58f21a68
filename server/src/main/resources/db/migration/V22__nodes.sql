-- What the nodes of one house must know of each other.

-- Long computations that outlast the request that began them, so that every node of the house can tell how far one is, and take over one
-- whose node has died. Kept for minutes.
create table run (
    id              uuid primary key,
    gym_id          uuid not null default narrowgate_gym() references gym on delete cascade,
    map_id          uuid not null references map on delete cascade,
    owner           uuid not null references account on delete cascade,
    -- What it is about, in so few letters that nothing else has them: two of the same for one person are one run.
    about           text not null,
    kind            text not null,
    request         text not null,
    revision        integer not null check (revision >= 1),
    before_revision integer check (before_revision >= 1),
    state           text not null check (state in ('waiting', 'running', 'done', 'stopped', 'failed')),
    done            integer not null,
    of              integer not null,
    result          text,
    failure         text,
    stop            boolean not null default false,
    asked_at        timestamptz not null,
    -- Which start of which server computes it, and when that was last heard of.
    node            uuid not null,
    heard_at        timestamptz not null
);
create index run_owner on run (owner);
create index run_heard on run (heard_at);

alter table run enable row level security;
alter table run force row level security;
create policy gym_only on run using (gym_id = (select narrowgate_gym()) or (select narrowgate_house()));

-- Tries to sign in of the last minute that were not right, or are not over, by what they are counted by, of which only a hash is kept. They
-- belong to no gym: whose they are is not known yet.
create table sign_in_try (
    id  bigint generated always as identity primary key,
    key text not null,
    at  timestamptz not null
);
create index sign_in_try_key on sign_in_try (key, at);
create index sign_in_try_at on sign_in_try (at);
