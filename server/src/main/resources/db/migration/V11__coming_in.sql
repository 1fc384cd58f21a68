-- Who has left cannot sign in any more; the name stays beside what they wrote until they are forgotten.
alter table account add column left_at timestamptz;
alter table account add column forgotten_at timestamptz;

-- A link by which somebody comes in, or gets a new password. Only a hash of what stands in it is kept.
create table invitation (
    id           uuid primary key,
    gym_id       uuid not null default narrowgate_gym() references gym on delete cascade,
    token_hash   text not null unique,
    kind         text not null check (kind in ('join', 'password')),
    role         text not null check (role in ('owner', 'instructor', 'assistant', 'student')),
    -- Who came in by it, or whose password it is about.
    account      uuid references account on delete cascade,
    whom         text not null,
    made_by      uuid not null references account,
    made_at      timestamptz not null,
    expires_at   timestamptz not null,
    used_at      timestamptz,
    withdrawn_at timestamptz
);
create index invitation_gym on invitation (gym_id, made_at);

-- What would be sent, in a house without a mail server.
create table mail (
    id      bigint generated always as identity primary key,
    gym_id  uuid not null default narrowgate_gym() references gym on delete cascade,
    at      timestamptz not null,
    address text not null,
    subject text not null,
    body    text not null
);
create index mail_gym on mail (gym_id, at);

-- Who did what when. Names are looked up when it is read, so that whoever is forgotten is forgotten here, too.
create table audit (
    id      bigint generated always as identity primary key,
    gym_id  uuid not null default narrowgate_gym() references gym on delete cascade,
    at      timestamptz not null,
    actor   uuid not null,
    deed    text not null,
    subject uuid,
    detail  text not null
);
create index audit_gym on audit (gym_id, id);
create index audit_subject on audit (subject, actor, at) where subject is not null;

do $$
declare
    owned text;
begin
    foreach owned in array array ['invitation', 'mail', 'audit'] loop
        execute format('alter table %I enable row level security', owned);
        execute format('alter table %I force row level security', owned);
        execute format('create policy gym_only on %I using (gym_id = (select narrowgate_gym()) or (select narrowgate_house()))',
                       owned);
    end loop;
end $$;

-- What is written stays as it is: nobody changes it, and it goes only with its gym.
create function narrowgate_audit_stays() returns trigger language plpgsql
    as $$ begin raise exception 'What stands in the audit stays'; end $$;
create trigger audit_stays before update or truncate on audit execute function narrowgate_audit_stays();
create policy audit_kept on audit as restrictive for delete using ((select narrowgate_house()));
