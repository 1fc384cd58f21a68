-- Somebody who trains, whether they can sign in or not.
create table person (
    id         uuid primary key,
    gym_id     uuid not null default narrowgate_gym() references gym on delete cascade,
    version    integer not null check (version >= 1),
    name       text not null,
    level      text,
    weight     double precision,
    height     double precision,
    age        text not null,
    strong     text,
    joined     date,
    notes      text not null,
    account    uuid unique references account on delete set null,
    created_at timestamptz not null
);
create index person_gym on person (gym_id, name);

-- What hurts somebody, kept apart from the rest: fewer may read it, and each reading is noted.
create table person_ailment (
    person     uuid not null references person on delete cascade,
    gym_id     uuid not null default narrowgate_gym() references gym on delete cascade,
    number     integer not null,
    injury     text not null,
    first_day  date,
    last_day   date,
    avoid      text not null,
    primary key (person, number)
);

do $$
declare
    owned text;
begin
    foreach owned in array array ['person', 'person_ailment'] loop
        execute format('alter table %I enable row level security', owned);
        execute format('alter table %I force row level security', owned);
        execute format('create policy gym_only on %I using (gym_id = (select narrowgate_gym()) or (select narrowgate_house()))',
                       owned);
    end loop;
end $$;
