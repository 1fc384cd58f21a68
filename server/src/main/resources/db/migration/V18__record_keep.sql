-- That a coach keeps what the map says of an answer, whatever was seen of it so far.
alter table record_event drop constraint record_event_kind_check;
alter table record_event add constraint record_event_kind_check check (kind in ('round', 'void', 'keep'));
alter table record_event add constraint record_event_keep_check check (kind <> 'keep' or reaction is not null);
