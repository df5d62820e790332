-- Who reads a long picture holds it for some seconds at a time. When they are gone the lease runs out,
-- and whoever finds it reads it again; after a few attempts it has failed.
alter table source
    add column leased_until timestamptz,
    add column attempts integer not null default 0 check (attempts >= 0);
create index source_to_read on source (workspace_id, created_at) where state = 'reading' and removed_at is null;
