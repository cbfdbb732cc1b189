import { z } from "zod";
import { rights } from "@mechanon/core";
import { idParams, textField } from "../fields";
import { route } from "../route";

export const me = z
  .object({
    id: z.string(),
    name: z.string(),
    role: z.string(),
    isMechanic: z.boolean(),
    rights,
    business: z.object({ id: z.string(), name: z.string(), timeZone: z.string() }),
  })
  .meta({ id: "Me" });
export type Me = z.infer<typeof me>;

export const signInBody = z.strictObject({
  login: textField(200).min(1, "who are you?"),
  password: z.string().min(1, "a password is needed").max(200),
});
export const demoAccount = z.object({ login: z.string(), password: z.string(), name: z.string(), role: z.string() });

/** A device on which a person is signed in. */
export const ownSession = z
  .object({
    id: z.string(),
    device: z.string(),
    startedAt: z.string(),
    seenAt: z.string(),
    /** The one that asks. */
    isThis: z.boolean(),
  })
  .meta({ id: "OwnSession" });
export type OwnSession = z.infer<typeof ownSession>;

export const accessRoutes = {
  signIn: route({
    method: "post",
    path: "/api/session",
    area: "access",
    summary: "Sign in",
    open: true,
    mostBytes: 4 * 1024,
    body: signInBody,
    answer: me,
  }),
  deviceKey: route({
    method: "get",
    path: "/api/session/device-key",
    area: "access",
    summary: "The key, in base64, that seals on a device what one person could not send before signing out",
    answer: z.object({ key: z.string() }),
  }),
  whoAmI: route({ method: "get", path: "/api/session", area: "access", summary: "The person signed in", answer: me }),
  signOut: route({
    method: "delete",
    path: "/api/session",
    area: "access",
    summary: "Sign out",
    open: true,
    status: 204,
  }),
  ownSessions: route({
    method: "get",
    path: "/api/sessions",
    area: "access",
    summary: "Where the person is signed in",
    answer: z.object({ sessions: z.array(ownSession) }),
  }),
  endOwnSession: route({
    method: "delete",
    path: "/api/sessions/:id",
    area: "access",
    summary: "Sign out on another device",
    params: idParams,
    status: 204,
  }),
  demoAccounts: route({
    method: "get",
    path: "/api/demo-accounts",
    area: "access",
    summary: "Accounts of the demo business; none on a real one",
    open: true,
    answer: z.object({ accounts: z.array(demoAccount) }),
  }),
};
