-- Workspaces own everything; every statement of the application names one.
create table workspace (
    id uuid primary key default gen_random_uuid(),
    name text not null check (length(name) between 1 and 80),
    created_at timestamptz not null default clock_timestamp()
);

create table brand (
    id uuid primary key default gen_random_uuid(),
    workspace_id uuid not null references workspace (id),
    name text not null check (length(name) between 1 and 80),
    created_at timestamptz not null default clock_timestamp(),
    unique (workspace_id, id)
);

-- The bytes of a file, kept once for each workspace under their digest.
create table file (
    workspace_id uuid not null references workspace (id),
    digest bytea not null check (length(digest) = 32),
    content bytea not null check (length(content) between 1 and 20971520),
    preview bytea not null,
    created_at timestamptz not null default clock_timestamp(),
    primary key (workspace_id, digest)
);

create table source (
    id uuid primary key default gen_random_uuid(),
    workspace_id uuid not null,
    brand_id uuid not null,
    name text not null check (length(name) between 1 and 200),
    digest bytea not null,
    extraction jsonb not null,
    created_at timestamptz not null default clock_timestamp(),
    foreign key (workspace_id, brand_id) references brand (workspace_id, id),
    foreign key (workspace_id, digest) references file (workspace_id, digest),
    unique (workspace_id, id)
);
create index source_of_brand on source (workspace_id, brand_id, created_at);

create table take (
    id uuid primary key default gen_random_uuid(),
    workspace_id uuid not null,
    brand_id uuid not null,
    name text not null check (length(name) between 1 and 80),
    position integer not null check (position >= 0),
    document jsonb not null,
    revision integer not null default 1 check (revision >= 1),
    saved_at timestamptz not null default clock_timestamp(),
    foreign key (workspace_id, brand_id) references brand (workspace_id, id),
    unique (workspace_id, id)
);
create index take_of_brand on take (workspace_id, brand_id, position);
