-- A link by which whoever has it reads one card, without a sign-in. Only a hash of what stands in it is kept.
create table shared_link (
    id           uuid primary key,
    gym_id       uuid not null default narrowgate_gym() references gym on delete cascade,
    token_hash   text not null unique,
    map_id       uuid not null references map on delete cascade,
    place        text not null,
    -- What the place was called when the link was made, for the list of links.
    title        text not null,
    -- Under what it is reckoned; two people are never among it.
    aim          text,
    read         double precision not null check (read between 0 and 1),
    late         double precision not null check (late between 0 and 30),
    matchup      text,
    stances      text not null,
    made_by      uuid not null references account,
    made_at      timestamptz not null,
    expires_at   timestamptz not null,
    withdrawn_at timestamptz
);
create index shared_link_gym on shared_link (gym_id, made_at);

alter table shared_link enable row level security;
alter table shared_link force row level security;
create policy gym_only on shared_link using (gym_id = (select narrowgate_gym()) or (select narrowgate_house()));
