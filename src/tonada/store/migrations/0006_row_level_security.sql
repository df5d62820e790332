-- A second wall behind the workspace that every statement names: a transaction says which workspace it
-- is for (tonada.workspace), and sees and writes nothing of another one, whatever its statements say.
-- “*” is for migrations and backups, which are for all of them; the application never says it.
-- The owner of the tables is held to it as well, since an operator's database may have one role for all.

alter table workspace enable row level security;
alter table workspace force row level security;
create policy own on workspace
    using (id::text = current_setting('tonada.workspace', true))
    with check (id::text = current_setting('tonada.workspace', true));
create policy whole on workspace using (current_setting('tonada.workspace', true) = '*');
-- It is found by its name, before its id is known.
create policy named on workspace using (name = current_setting('tonada.workspace_name', true));

do $$
declare
    owned text;
begin
    foreach owned in array array['brand', 'file', 'source', 'source_file', 'take', 'version', 'handoff',
                                 'destination'] loop
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
