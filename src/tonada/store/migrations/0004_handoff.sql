-- What left the house: which version, as what, when. And destinations that the designer made.
create table handoff (
    id uuid primary key default gen_random_uuid(),
    workspace_id uuid not null,
    take_id uuid not null,
    version_number integer not null,
    what text not null check (length(what) between 1 and 40),
    created_at timestamptz not null default clock_timestamp(),
    foreign key (workspace_id, take_id, version_number) references version (workspace_id, take_id, number)
);
create index handoff_of_take on handoff (workspace_id, take_id, version_number);

create table destination (
    id uuid primary key default gen_random_uuid(),
    workspace_id uuid not null references workspace (id),
    name text not null check (length(name) between 1 and 80),
    revision integer not null default 1 check (revision >= 1),
    slots jsonb not null,
    removed_at timestamptz,
    created_at timestamptz not null default clock_timestamp(),
    unique (workspace_id, id)
);
