-- A gym owns everything. Every row carries its gym, and the database itself shows a gym's rows to nobody else: the server says
-- in whose name it asks (narrowgate.gym), and what it does for the house as a whole (narrowgate.house).
create table gym (
    id         uuid primary key,
    name       text not null,
    created_at timestamptz not null
);

-- Evaluated once a statement where it is asked for in a subquery.
create function narrowgate_gym() returns uuid stable language sql
    as $$ select nullif(current_setting('narrowgate.gym', true), '')::uuid $$;
create function narrowgate_house() returns boolean stable language sql
    as $$ select coalesce(current_setting('narrowgate.house', true), '') = 'yes' $$;
-- In the name of somebody who may read no more than what is shared with students.
create function narrowgate_only_shared() returns boolean stable language sql
    as $$ select coalesce(current_setting('narrowgate.only_shared', true), '') = 'yes' $$;

-- Whoever is there already is one gym; the first to come answers for it.
insert into gym (id, name, created_at)
select gen_random_uuid(), 'The house', min(created_at) from account having count(*) > 0;

alter table account add column role text not null default 'instructor'
    check (role in ('owner', 'instructor', 'assistant', 'student'));
update account set role = 'owner' where id = (select id from account order by created_at, name limit 1);
alter table account alter column role drop default;

do $$
declare
    owned text;
begin
    foreach owned in array array ['account', 'device', 'map', 'map_revision', 'map_part', 'map_version', 'map_trace',
        'finding_dismissal', 'question', 'drill', 'drill_version', 'reading'] loop
        execute format('alter table %I add column gym_id uuid references gym on delete cascade', owned);
        execute format('update %I set gym_id = (select id from gym)', owned);
        execute format('alter table %I alter column gym_id set not null', owned);
        execute format('alter table %I alter column gym_id set default narrowgate_gym()', owned);
        execute format('alter table %I enable row level security', owned);
        -- Not even for the owner of the table.
        execute format('alter table %I force row level security', owned);
        execute format('create policy gym_only on %I using (gym_id = (select narrowgate_gym()) or (select narrowgate_house()))',
                       owned);
    end loop;
end $$;

create index account_gym on account (gym_id);
create index map_gym on map (gym_id, created_at);

-- A gym sees itself.
alter table gym enable row level security;
alter table gym force row level security;
create policy gym_only on gym using (id = (select narrowgate_gym()) or (select narrowgate_house()));

-- A map that students may read as well.
alter table map add column shared boolean not null default false;
create policy shared_only on map as restrictive
    using (shared or (select narrowgate_house()) or not (select narrowgate_only_shared()));

-- Who is signed in is told otherwise from now on; everybody signs in once more.
delete from spring_session;
