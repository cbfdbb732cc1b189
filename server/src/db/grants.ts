import { QueryTypes, type Sequelize } from "sequelize";

/** What keeps the database itself forward, and the directory's look-ups, which functions answer. */
const NOT_FOR_THE_SERVER = ["migrations", "behind"];

/** Lets the role the server asks as read and write rows, and nothing else; the rows are those of the policies. */
export async function grantServer(owner: Sequelize, role: string): Promise<void> {
  await owner.query("select set_config('mechanon.server_role', $1, false)", { bind: [role] });
  await owner.query(`
    do $$
    declare
      role text := current_setting('mechanon.server_role');
      kept record;
    begin
      execute format('grant usage on schema public, directory to %I', role);
      for kept in
        select oid::regclass as name from pg_class
        where relkind in ('r', 'p', 'v') and not relispartition and relnamespace::regnamespace::text in ('public', 'directory')
          and relname not in (${NOT_FOR_THE_SERVER.map((name) => `'${name}'`).join(", ")})
          and not exists (select from pg_depend d where d.objid = pg_class.oid and d.deptype = 'e')
          and relowner = current_user::regrole
      loop
        execute format('grant select, insert, update, delete on %s to %I', kept.name, role);
      end loop;
      execute format('grant execute on all functions in schema directory to %I', role);
      execute format('grant execute on function frequent_words(), queue_job(text, json, timestamptz, integer, text, text) to %I', role);
    end $$`);
}

/**
 * Makes sure that the policies hold for who the server asks as.
 * @throws {Error} for a superuser, a role that passes policies by, or the owner of the tables.
 */
export async function requireOwnRowsOnly(db: Sequelize): Promise<void> {
  const [role] = await db.query<{ passes: boolean; owns: boolean }>(
    `select rolsuper or rolbypassrls as passes,
       exists (select from pg_class where relname = 'businesses' and pg_has_role(relowner, 'member')) as owns
     from pg_roles where rolname = current_user`,
    { type: QueryTypes.SELECT },
  );
  if (!role || role.passes || role.owns)
    throw new Error(
      "DATABASE_URL names a role that may see the rows of every business. Give the server a role of its own, neither superuser nor owner of the tables, and name the owner in DATABASE_OWNER_URL.",
    );
}
