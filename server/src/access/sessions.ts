import { createHash, randomBytes } from "node:crypto";
import type { Sequelize } from "sequelize";
import type { Right } from "@mechanon/core";
import { askPrepared } from "../db/askPrepared";
import type { Scope } from "../scope";

export const SESSION_COOKIE = "mechanon_session";
const SESSION_DAYS = 30;
export const SESSION_MS = SESSION_DAYS * 24 * 60 * 60 * 1000;

/** Starts a session. @returns The token for the cookie; the database keeps only its hash. */
export async function startSession(db: Sequelize, businessId: string, personId: string): Promise<string> {
  const token = randomBytes(32).toString("base64url");
  await db.query(
    "insert into directory.sessions (token_hash, business_id, person_id, expires_at) values ($1, $2, $3, $4)",
    {
      bind: [hashOf(token), businessId, personId, new Date(Date.now() + SESSION_MS)],
    },
  );
  await db.query("delete from directory.sessions where expires_at < now()");
  return token;
}

export interface SessionPerson extends Scope {
  role: string;
  isMechanic: boolean;
}

/** The person behind a token; null for a stranger or an expired session. */
export async function findSession(db: Sequelize, token: string): Promise<SessionPerson | null> {
  const [row] = await askPrepared<{
    business_id: string;
    time_zone: string;
    business_name: string;
    id: string;
    name: string;
    rights: Right[];
    role: string;
    is_mechanic: boolean;
  }>(
    db,
    `select p.business_id, b.time_zone, b.name as business_name, p.id, p.name, p.rights, p.role, p.is_mechanic
     from directory.sessions s join people p on p.business_id = s.business_id and p.id = s.person_id join businesses b on b.id = s.business_id
     where s.token_hash = $1 and s.expires_at > now()`,
    [hashOf(token)],
  );
  if (!row) return null;
  return {
    businessId: row.business_id,
    timeZone: row.time_zone,
    businessName: row.business_name,
    actor: { id: row.id, name: row.name, rights: row.rights },
    role: row.role,
    isMechanic: row.is_mechanic,
  };
}

export async function endSession(db: Sequelize, token: string): Promise<void> {
  await db.query("delete from directory.sessions where token_hash = $1", { bind: [hashOf(token)] });
}

function hashOf(token: string): Buffer {
  return createHash("sha256").update(token).digest();
}
