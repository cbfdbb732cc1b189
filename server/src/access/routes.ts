import type { Request, Response, Router } from "express";
import { routes, type Me } from "@mechanon/contract";
import { Person } from "../db/models";
import { AppError } from "../http/errors";
import { anyone, mount } from "../http/mount";
import type { Deps } from "../scope";
import { QueryTypes } from "sequelize";
import { verifyPassword } from "./passwords";
import { SESSION_COOKIE, SESSION_MS, endSession, findSession, startSession, type SessionPerson } from "./sessions";
import type { SignInTries } from "./tries";

/** Gives who asks. @throws {AppError} `session/missing` for a stranger. */
export function sessionScope({ db }: Pick<Deps, "db">): (req: Request) => Promise<SessionPerson> {
  return async (req) => {
    const token = tokenOf(req);
    const person = token === null ? null : await findSession(db, token);
    if (!person)
      throw new AppError("session/missing", "You are not signed in. Sign in; what you did on this device is kept.");
    return person;
  };
}

export function accessRoutes(router: Router, deps: Deps, tries: SignInTries, dummyHash: string): void {
  const { db } = deps;
  mount(router, routes.signIn, anyone, async ({ body, req, res }) => {
    const login = body.login.toLowerCase();
    const address = req.ip ?? "";
    await tries.requireFree(login, address);
    const [found] = await db.query<{ business_id: string; id: string; password_hash: string }>(
      "select p.business_id, p.id, p.password_hash from directory.logins l join people p on p.business_id = l.business_id and p.id = l.person_id where l.login = $1",
      {
        bind: [login],
        type: QueryTypes.SELECT,
      },
    );
    // An unknown name costs the same time as a wrong password, so that names cannot be guessed.
    const isRight = await verifyPassword(body.password, found?.password_hash ?? dummyHash);
    if (!found || !isRight) {
      await tries.countWrong(login, address);
      throw new AppError(
        "session/wrong-password",
        "That name and password do not belong together. Check both and try again.",
      );
    }
    await tries.forget(login);
    const token = await startSession(db, found.business_id, found.id);
    setCookie(req, res, token, SESSION_MS);
    const person = await findSession(db, token);
    if (!person) throw new AppError("session/missing", "The session could not be started. Try again.");
    return toMe(person);
  });
  mount(router, routes.whoAmI, sessionScope(deps), async ({ scope }) => toMe(scope));
  mount(router, routes.signOut, anyone, async ({ req, res }) => {
    const token = tokenOf(req);
    if (token !== null) await endSession(db, token);
    setCookie(req, res, "", 0);
  });
  mount(router, routes.demoAccounts, anyone, async () => {
    const accounts = await db.query<{ login: string; password: string; name: string; role: string }>(
      "select p.login, p.demo_password as password, p.name, p.role from people p join businesses b on b.id = p.business_id where b.is_demo and p.demo_password is not null order by p.login",
      { type: QueryTypes.SELECT },
    );
    return { accounts };
  });
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

function tokenOf(req: Request): string | null {
  const cookies = req.cookies as Record<string, unknown>;
  const token = cookies[SESSION_COOKIE];
  return typeof token === "string" && token.length > 0 && token.length < 200 ? token : null;
}

function setCookie(req: Request, res: Response, token: string, maxAge: number): void {
  res.cookie(SESSION_COOKIE, token, { httpOnly: true, sameSite: "strict", secure: req.secure, path: "/", maxAge });
}
