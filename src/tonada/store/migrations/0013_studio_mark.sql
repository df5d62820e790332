-- The studio's mark, a PNG as emails show it.
alter table workspace add column mark bytea check (length(mark) between 1 and 500000);
