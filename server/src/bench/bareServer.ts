import { createHash } from "node:crypto";
import express from "express";
import pg from "pg";
import { BARE_DAY, BARE_OPEN, BARE_VIEW } from "./bareStatements";

/**
 * What the reads are held against: Express and pg alone, the same JSON from the same database after one session query.
 * Needs DATABASE_URL; prints its address.
 */
const pool = new pg.Pool({ connectionString: process.env.DATABASE_URL, max: 12 });
pg.types.setTypeParser(pg.types.builtins.INT8, Number);
const app = express();

const SESSION = {
  name: "session",
  text: `select p.business_id, b.time_zone, p.rights from directory.sessions s
    join people p on p.business_id = s.business_id and p.id = s.person_id join businesses b on b.id = s.business_id
    where s.token_hash = $1 and s.expires_at > now()`,
};

app.use(async (req, res, next) => {
  const token = /mechanon_session=([^;]+)/.exec(req.headers.cookie ?? "")?.[1] ?? "";
  const values = [createHash("sha256").update(token).digest()];
  const { rows } = await pool.query<{ business_id: string }>({ ...SESSION, values });
  const [session] = rows;
  if (!session) return void res.status(401).end();
  res.locals.business = session.business_id;
  next();
});
app.get("/api/work-orders/:id", async (req, res) => {
  const values = [res.locals.business, req.params.id];
  const { rows } = await pool.query<object>({ name: "view", text: BARE_VIEW, values });
  res.json(rows[0]);
});
app.get("/api/day", async (req, res) => {
  const date = typeof req.query.date === "string" ? req.query.date : "";
  const values = [res.locals.business, `${date}T08:00:00Z`, new Date(Date.parse(`${date}T08:00:00Z`) + 86_400_000)];
  const { rows } = await pool.query<object>({ name: "day", text: BARE_DAY, values });
  res.json({ date, visits: rows });
});
app.get("/api/open-work", async (_req, res) => {
  const { rows } = await pool.query<object>({ name: "open", text: BARE_OPEN, values: [res.locals.business] });
  res.json({ groups: rows });
});
const server = app.listen(0, "127.0.0.1", () => {
  const address = server.address();
  const port = typeof address === "object" && address !== null ? address.port : 0;
  process.stdout.write(`Bare ready: http://127.0.0.1:${port}\n`);
});
