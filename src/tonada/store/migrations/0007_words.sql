-- One word for one thing: what a version says of itself is its description. The documents of takes and
-- versions come into their new format with data_migrations.py; that is no change of what they say.
alter table version rename column note to description;
alter table version disable trigger version_is_never_changed;
