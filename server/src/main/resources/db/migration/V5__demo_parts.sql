-- Which parts of the demo gym a house has been given; a part that comes with a later version reaches a house that is there.
create table demo_part (
    name      text primary key,
    loaded_at timestamptz not null
);

-- Whoever is there already has been given everything there was.
insert into demo_part (name, loaded_at)
select part, now()
from unnest(array ['people', 'map', 'questions']) as part
where exists (select 1 from account);
