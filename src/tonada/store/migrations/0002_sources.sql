-- Sources of every kind: images, lists of colours, stylesheets, moods. A source may have several files.
alter table file alter column preview drop not null;

alter table source
    add column kind text not null default 'image'
        check (kind in ('image', 'list', 'stylesheet', 'mood')),
    -- what the person asked of the reading: how many colours, which part, which words
    add column settings jsonb not null default '{}',
    -- colours picked by hand, in their order
    add column picked jsonb not null default '[]',
    -- a long reading is under way, is done, or failed with what stands in problem
    add column state text not null default 'ready' check (state in ('reading', 'ready', 'failed')),
    add column progress real not null default 1 check (progress between 0 and 1),
    add column problem text,
    add column removed_at timestamptz;

create table source_file (
    workspace_id uuid not null,
    source_id uuid not null,
    position integer not null check (position >= 0),
    name text not null check (length(name) between 1 and 200),
    digest bytea not null,
    primary key (workspace_id, source_id, position),
    foreign key (workspace_id, source_id) references source (workspace_id, id) on delete cascade,
    foreign key (workspace_id, digest) references file (workspace_id, digest)
);
insert into source_file (workspace_id, source_id, position, name, digest)
    select workspace_id, id, 0, name, digest from source;
alter table source drop column digest;

-- What was found before there were steps is one step.
update source set extraction = (extraction - 'colors') || jsonb_build_object(
    'steps', jsonb_build_array(extraction -> 'colors'), 'count', 1);
