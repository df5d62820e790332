-- Brands are listed a page at a time, in the order in which they were made.
create index brand_by_age on brand (workspace_id, created_at, id);
