import { createHash, randomBytes } from "node:crypto";
import { QueryTypes, type Sequelize } from "sequelize";
import type { Right } from "@mechanon/core";
import type { OwnSession } from "@mechanon/contract";
import { askPrepared } from "../db/askPrepared";
import { ofBusiness } from "../db/ofBusiness";
import type { SessionPerson } from "../scope";

export const SESSION_COOKIE = "mechanon_session";
const DAY_MS = 24 * 60 * 60 * 1000;
export const SESSION_MS = 30 * DAY_MS;
/** A device is known for so long after its last sign-in. */
export const DEVICE_MS = 365 * DAY_MS;
export const DEVICE_COOKIE = "mechanon_device";
/** When a session was used last is written down so often. */
const SEEN_MS = 10 * 60_000;
/** Hears of sessions that ended, on every server. */
export const ENDED_CHANNEL = "mechanon_ended_sessions";

/** Starts a session. @returns The token for the cookie; the database keeps only its hash. */
export async function startSession(
  db: Sequelize,
  businessId: string,
  personId: string,
  device: string,
): Promise<string> {
  const token = newToken();
  await ofBusiness(businessId, () =>
    askPrepared(
      db,
      "insert into directory.sessions (token_hash, business_id, person_id, expires_at, device) values ($1, $2, $3, $4, $5)",
      [hashOf(token), businessId, personId, new Date(Date.now() + SESSION_MS), device],
    ),
  );
  return token;
}

/** The person behind a token; null for a stranger or an expired session. */
export async function findSession(db: Sequelize, token: string): Promise<SessionPerson | null> {
  const [row] = await askPrepared<{
    session_id: string;
    business_id: string;
    time_zone: string;
    business_name: string;
    id: string;
    name: string;
    rights: Right[];
    role: string;
    is_mechanic: boolean;
    seen_at: Date;
    expires_at: Date;
  }>(db, "select * from directory.find_session($1)", [hashOf(token)]);
  if (!row) return null;
  const { business_id: businessId, session_id: sessionId } = row;
  if (Date.now() - row.seen_at.getTime() > SEEN_MS)
    await ofBusiness(businessId, () =>
      askPrepared(db, "update directory.sessions set seen_at = now() where business_id = $1 and id = $2", [
        businessId,
        sessionId,
      ]),
    );
  return {
    sessionId,
    sessionEndsAt: row.expires_at,
    businessId,
    timeZone: row.time_zone,
    businessName: row.business_name,
    actor: { id: row.id, name: row.name, rights: row.rights },
    role: row.role,
    isMechanic: row.is_mechanic,
  };
}

/** Ends the session of a token, and what listens by it. */
export async function endSession(db: Sequelize, token: string): Promise<void> {
  await db.query("select pg_notify($1, session_id::text) from directory.end_session($2)", {
    bind: [ENDED_CHANNEL, hashOf(token)],
    type: QueryTypes.SELECT,
  });
}

/** Where a person is signed in, the latest used first. */
export async function ownSessions(
  db: Sequelize,
  { businessId, actor, sessionId }: SessionPerson,
): Promise<OwnSession[]> {
  const rows = await askPrepared<{ id: string; device: string; started_at: Date; seen_at: Date }>(
    db,
    `select id, device, started_at, seen_at from directory.sessions
     where business_id = $1 and person_id = $2 and expires_at > now() order by seen_at desc limit 100`,
    [businessId, actor.id],
  );
  return rows.map(({ id, device, started_at: startedAt, seen_at: seenAt }) => ({
    id,
    device,
    startedAt: startedAt.toISOString(),
    seenAt: seenAt.toISOString(),
    isThis: id === sessionId,
  }));
}

/** Ends one of a person's sessions, wherever it is; one that is over already stays so. */
export async function endOwnSession(db: Sequelize, { businessId, actor }: SessionPerson, id: string): Promise<void> {
  await askPrepared(
    db,
    `with ended as (
       delete from directory.sessions where business_id = $1 and person_id = $2 and id = $3 returning id)
     select pg_notify($4, id::text) from ended`,
    [businessId, actor.id, id, ENDED_CHANNEL],
  );
}

/** Remembers that a person signed in on a device. @param known - its token, where it has one. */
export async function keepDevice(
  db: Sequelize,
  businessId: string,
  personId: string,
  known: string | null,
): Promise<string> {
  const token = known ?? newToken();
  await ofBusiness(businessId, () =>
    askPrepared(
      db,
      `insert into directory.devices (token_hash, business_id, person_id) values ($1, $2, $3)
       on conflict (token_hash) do update set used_at = now()`,
      [deviceHash(token, personId), businessId, personId],
    ),
  );
  return token;
}

/** What a device's tries are counted by, if its person signed in on it before; null for any other. */
export async function knownDevice(
  db: Sequelize,
  businessId: string,
  personId: string,
  token: string | null,
): Promise<string | null> {
  if (token === null) return null;
  const hash = deviceHash(token, personId);
  const [row] = await askPrepared<{ known: boolean }>(db, "select directory.is_known_device($1, $2, $3) as known", [
    hash,
    businessId,
    personId,
  ]);
  return row?.known ? hash.toString("base64url") : null;
}

const newToken = (): string => randomBytes(32).toString("base64url");

function hashOf(token: string): Buffer {
  return createHash("sha256").update(token).digest();
}

/** Several people may share a device, each known on it by themselves. */
const deviceHash = (token: string, personId: string): Buffer => hashOf(`${token}/${personId}`);
