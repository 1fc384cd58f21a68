-- A class as it runs: where it stood at one instant, from which every screen works out where it is. At most one for each class.
create table mat (
    lesson_id uuid primary key references lesson on delete cascade,
    gym_id    uuid not null default narrowgate_gym() references gym on delete cascade,
    map_id    uuid not null references map on delete cascade,
    version   integer not null check (version >= 1),
    body      text not null,
    at        timestamptz not null
);

-- A link by which a screen in the hall, a clicker or a feeder's phone follows one class. Only a hash of what stands in it is kept.
create table mat_link (
    id           uuid primary key,
    gym_id       uuid not null default narrowgate_gym() references gym on delete cascade,
    lesson_id    uuid not null references lesson on delete cascade,
    kind         text not null check (kind in ('screen', 'clicker', 'feeder')),
    token_hash   text not null unique,
    made_by      uuid not null references account,
    made_at      timestamptz not null,
    expires_at   timestamptz not null,
    withdrawn_at timestamptz
);
create index mat_link_lesson on mat_link (lesson_id, made_at);

alter table mat enable row level security;
alter table mat force row level security;
create policy gym_only on mat using (gym_id = (select narrowgate_gym()) or (select narrowgate_house()));
alter table mat_link enable row level security;
alter table mat_link force row level security;
create policy gym_only on mat_link using (gym_id = (select narrowgate_gym()) or (select narrowgate_house()));
