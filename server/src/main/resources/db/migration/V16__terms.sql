-- Terms of the gym: some weeks of classes that belong together. What is planned in them stands in the classes.
create table term (
    id        uuid primary key,
    gym_id    uuid not null default narrowgate_gym() references gym on delete cascade,
    map_id    uuid not null references map on delete cascade,
    version   integer not null check (version >= 1),
    title     text not null,
    first_day date not null,
    last_day  date not null check (last_day >= first_day),
    author    uuid not null references account,
    at        timestamptz not null
);
create index term_map on term (map_id, first_day);

alter table term enable row level security;
alter table term force row level security;
create policy gym_only on term using (gym_id = (select narrowgate_gym()) or (select narrowgate_house()));

-- Shapes of classes that the gym plans by, beside those of the house.
create table class_shape (
    id      uuid primary key,
    gym_id  uuid not null default narrowgate_gym() references gym on delete cascade,
    title   text not null,
    minutes integer not null check (minutes between 20 and 180),
    body    text not null,
    author  uuid not null references account,
    at      timestamptz not null
);

alter table class_shape enable row level security;
alter table class_shape force row level security;
create policy gym_only on class_shape using (gym_id = (select narrowgate_gym()) or (select narrowgate_house()));
