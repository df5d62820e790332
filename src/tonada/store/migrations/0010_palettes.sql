-- Ready-made palettes that the studio keeps of its own, and what it stars and takes of all of them.
create table palette (
    id uuid primary key default gen_random_uuid(),
    workspace_id uuid not null references workspace (id),
    name text not null check (length(name) between 1 and 80),
    tags text[] not null default '{}' check (cardinality(tags) <= 12),
    -- By role, and what is computed of them: see store/palettes.py.
    colors jsonb not null,
    figures jsonb not null,
    -- Null until its page has been proven.
    proof jsonb,
    -- Grows with every change, so that whoever keeps palettes at hand sees what is new.
    revision integer not null default 1 check (revision >= 1),
    removed_at timestamptz,
    created_at timestamptz not null default clock_timestamp(),
    unique (workspace_id, id)
);
create index palette_of_workspace on palette (workspace_id) include (id, revision) where removed_at is null;

create table palette_use (
    workspace_id uuid not null references workspace (id),
    -- The id of one that ships, or of the studio's own.
    palette text not null check (length(palette) between 1 and 80),
    is_starred boolean not null default false,
    taken integer not null default 0 check (taken >= 0),
    primary key (workspace_id, palette)
);

do $$
declare
    owned text;
begin
    foreach owned in array array['palette', 'palette_use'] loop
        execute format('alter table %I enable row level security', owned);
        execute format('alter table %I force row level security', owned);
        execute format(
            'create policy own on %I using (workspace_id::text = current_setting(''tonada.workspace'', true)) '
            'with check (workspace_id::text = current_setting(''tonada.workspace'', true))', owned);
        execute format(
            'create policy whole on %I using (current_setting(''tonada.workspace'', true) = ''*'')', owned);
    end loop;
end
$$;
