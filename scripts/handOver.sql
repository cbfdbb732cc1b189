-- Makes mechanon_owner the owner of a database that a superuser made; what belongs to an extension stays.
do $$
declare
  item record;
begin
  for item in
    select format('alter schema %I owner to mechanon_owner', nspname) as sql from pg_namespace
      where nspname in ('directory', 'graphile_worker')
    union all
    select format('alter %s %s owner to mechanon_owner',
        case relkind when 'v' then 'view' when 'S' then 'sequence' else 'table' end, c.oid::regclass)
      from pg_class c where relnamespace::regnamespace::text in ('public', 'directory', 'graphile_worker')
        and relkind in ('r', 'p', 'v', 'S')
        and not exists (select from pg_depend d where d.objid = c.oid and d.deptype in ('e', 'a', 'i') and d.classid = 'pg_class'::regclass
          and (d.deptype = 'e' or c.relkind = 'S'))
    union all
    select format('alter function %s owner to mechanon_owner', p.oid::regprocedure) from pg_proc p
      where pronamespace::regnamespace::text in ('public', 'directory', 'graphile_worker')
        and not exists (select from pg_depend d where d.objid = p.oid and d.deptype = 'e')
    union all
    select format('alter type %s owner to mechanon_owner', t.oid::regtype) from pg_type t
      where typnamespace::regnamespace::text in ('public', 'directory', 'graphile_worker') and typelem = 0
        and (typtype in ('e', 'd') or (typtype = 'c' and exists (
          select from pg_class c where c.oid = t.typrelid and c.relkind = 'c')))
        and not exists (select from pg_depend d where d.objid = t.oid and d.deptype = 'e')
  loop
    execute item.sql;
  end loop;
  execute format('alter database %I owner to mechanon_owner', current_database());
end $$;
