import type { Request, Response } from "express";
import { PERSON_HEADER, routes, type Me } from "@mechanon/contract";
import { askPrepared } from "../db/askPrepared";
import { Person } from "./model";
import { AppError } from "../errors/appError";
import type { Mounting } from "../http/mount";
import type { Deps, SessionPerson } from "../scope";
import { deviceName } from "./deviceName";
import { verifyPassword } from "./passwords";
import {
  DEVICE_COOKIE,
  DEVICE_MS,
  SESSION_COOKIE,
  SESSION_MS,
  endOwnSession,
  endSession,
  findSession,
  keepDevice,
  knownDevice,
  ownSessions,
  startSession,
} from "./sessions";
import type { SignInTries } from "./tries";

/**
 * Gives who asks.
 * @throws {AppError} `session/missing` for a stranger, `session/of-another` where the page is somebody else's.
 */
export function sessionScope({ db }: Pick<Deps, "db">): (req: Request) => Promise<SessionPerson> {
  return async (req) => {
    const token = tokenOf(req, SESSION_COOKIE);
    const person = token === null ? null : await findSession(db, token);
    if (!person)
      throw new AppError("session/missing", "You are not signed in. Sign in; what you did on this device is kept.");
    const ofPage = req.get(PERSON_HEADER);
    if (ofPage !== undefined && ofPage !== person.actor.id)
      throw new AppError(
        "session/of-another",
        `${person.actor.name} is signed in in this browser now. Nothing was changed; what you did is kept on this device until you sign in again.`,
      );
    return person;
  };
}

export function accessRoutes(mounting: Mounting, { db, log }: Deps, tries: SignInTries, dummyHash: string): void {
  mounting.open(routes.signIn, async ({ body, req, res }) => {
    const login = body.login.toLowerCase();
    const [found] = await askPrepared<{ business_id: string; person_id: string; password_hash: string }>(
      db,
      "select * from directory.find_login($1)",
      [login],
    );
    const known = tokenOf(req, DEVICE_COOKIE);
    const device = found ? await knownDevice(db, found.business_id, found.person_id, known) : null;
    // An unknown name costs the same time as a wrong password, so that names cannot be guessed.
    const isRight = await tries.attempt({ login, address: req.ip ?? "", device }, () =>
      verifyPassword(body.password, found?.password_hash ?? dummyHash),
    );
    if (!found || !isRight)
      throw new AppError(
        "session/wrong-password",
        "That name and password do not belong together. Check both and try again.",
      );
    const { business_id: businessId, person_id: personId } = found;
    // Whoever was signed in on this device is not any more.
    const before = tokenOf(req, SESSION_COOKIE);
    if (before !== null) await endSession(db, before);
    const token = await startSession(db, businessId, personId, deviceName(req.get("User-Agent") ?? ""));
    setCookie(req, res, SESSION_COOKIE, token, SESSION_MS);
    setCookie(req, res, DEVICE_COOKIE, await keepDevice(db, businessId, personId, known), DEVICE_MS);
    const person = await findSession(db, token);
    if (!person) throw new AppError("session/missing", "The session could not be started. Try again.");
    log.info({ businessId, personId, address: req.ip }, "signed in");
    return toMe(person);
  });
  mounting.route(routes.whoAmI, async ({ scope }) => toMe(scope));
  mounting.route(routes.deviceKey, async ({ scope }) => {
    const [row] = await askPrepared<{ key: string }>(
      db,
      "select encode(device_key, 'base64') as key from people where business_id = $1 and id = $2",
      [scope.businessId, scope.actor.id],
    );
    return { key: row?.key ?? "" };
  });
  mounting.open(routes.signOut, async ({ req, res }) => {
    const token = tokenOf(req, SESSION_COOKIE);
    if (token !== null) await endSession(db, token);
    setCookie(req, res, SESSION_COOKIE, "", 0);
    // Photos and papers that the browser kept belong to whoever was signed in.
    res.set("Clear-Site-Data", '"cache"');
  });
  mounting.route(routes.ownSessions, async ({ scope }) => ({ sessions: await ownSessions(db, scope) }));
  mounting.route(routes.endOwnSession, async ({ scope, params }) => endOwnSession(db, scope, params.id));
  mounting.open(routes.demoAccounts, async () => ({
    accounts: await askPrepared<{ login: string; password: string; name: string; role: string }>(
      db,
      "select * from directory.demo_accounts()",
      [],
    ),
  }));
}

/** People of the business who can be sent. */
export async function listPeople(businessId: string): Promise<Person[]> {
  return Person.findAll({ where: { businessId }, order: ["name"] });
}

function toMe({ actor, role, isMechanic, businessId, businessName, timeZone }: SessionPerson): Me {
  return {
    id: actor.id,
    name: actor.name,
    role,
    isMechanic,
    rights: [...actor.rights],
    business: { id: businessId, name: businessName, timeZone },
  };
}

function tokenOf(req: Request, cookie: string): string | null {
  const cookies = req.cookies as Record<string, unknown>;
  const token = cookies[cookie];
  return typeof token === "string" && token.length > 0 && token.length < 200 ? token : null;
}

function setCookie(req: Request, res: Response, name: string, value: string, maxAge: number): void {
  res.cookie(name, value, { httpOnly: true, sameSite: "strict", secure: req.secure, path: "/", maxAge });
}
