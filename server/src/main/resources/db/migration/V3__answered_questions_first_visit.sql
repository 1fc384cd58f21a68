-- Where an answered question was put. It is open again as soon as that response is not on the map any more.
alter table question add column reaction text;
alter table question add column response text;
alter table question add constraint question_answer check ((reaction is null) = (response is null));

-- When an instructor has been led to the first useful act, or has waved it off.
alter table account add column begun_at timestamptz;
