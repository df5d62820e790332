-- Takes can be taken away and brought back; versions are states of a take that never change.
alter table take add column removed_at timestamptz;

create table version (
    id uuid primary key default gen_random_uuid(),
    workspace_id uuid not null,
    take_id uuid not null,
    number integer not null check (number >= 1),
    note text not null default '' check (length(note) <= 200),
    -- by hand, or by itself before something large
    is_automatic boolean not null default false,
    document jsonb not null,
    created_at timestamptz not null default clock_timestamp(),
    foreign key (workspace_id, take_id) references take (workspace_id, id),
    unique (workspace_id, take_id, number)
);

create function refuse_change() returns trigger language plpgsql as $$
begin
    raise exception 'a version is never changed';
end
$$;
create trigger version_is_never_changed before update or delete on version
    for each row execute function refuse_change();
