-- Which gym the demo's parts were given to; a house with gyms of its own only is given none.
alter table demo_part add column gym uuid references gym on delete set null;
update demo_part set gym = (select id from gym order by created_at, id limit 1);
