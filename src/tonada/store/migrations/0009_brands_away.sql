-- Brands can be put away, or deleted with a way back; nothing of theirs is lost either way.
alter table brand
    add column archived_at timestamptz,
    add column removed_at timestamptz;

-- The list begins with what was changed last.
create index take_by_saving on take (workspace_id, brand_id, saved_at);
