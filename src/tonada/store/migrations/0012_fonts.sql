-- Fonts of a brand's own: what was read of each, and the font as it is shown, a file.
create table font (
    id uuid primary key default gen_random_uuid(),
    workspace_id uuid not null,
    brand_id uuid not null,
    -- Of the file that was added.
    name text not null check (length(name) between 1 and 200),
    family text not null check (length(family) between 1 and 40),
    kind text not null check (kind in ('sans', 'serif')),
    lightest integer not null check (lightest between 1 and 1000),
    heaviest integer not null check (heaviest between lightest and 1000),
    scripts text[] not null check (cardinality(scripts) <= 40),
    -- The Latin letters that it can't draw.
    lacks text not null check (length(lacks) <= 1000),
    digest bytea not null,
    created_at timestamptz not null default clock_timestamp(),
    removed_at timestamptz,
    foreign key (workspace_id, brand_id) references brand (workspace_id, id),
    foreign key (workspace_id, digest) references file (workspace_id, digest),
    unique (workspace_id, id)
);
-- The same font is there once.
create unique index font_of_brand on font (workspace_id, brand_id, digest) where removed_at is null;

alter table font enable row level security;
alter table font force row level security;
create policy own on font
    using (workspace_id::text = current_setting('tonada.workspace', true))
    with check (workspace_id::text = current_setting('tonada.workspace', true));
create policy whole on font using (current_setting('tonada.workspace', true) = '*');
