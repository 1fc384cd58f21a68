-- Browsers that somebody has signed in with before. Guessing by others does not make them wait.
create table device (
    token_hash text primary key,
    account    uuid not null references account on delete cascade,
    begun_at   timestamptz not null,
    used_at    timestamptz not null
);
create index device_account on device (account);
