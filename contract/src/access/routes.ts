import { z } from "zod";
import { right } from "@mechanon/core";
import { route } from "../route";

export const me = z
  .object({
    id: z.string(),
    name: z.string(),
    role: z.string(),
    isMechanic: z.boolean(),
    rights: z.array(right),
    business: z.object({ id: z.string(), name: z.string(), timeZone: z.string() }),
  })
  .meta({ id: "Me" });
export type Me = z.infer<typeof me>;

export const signInBody = z.strictObject({
  login: z.string().trim().min(1, "who are you?").max(200),
  password: z.string().min(1, "a password is needed").max(200),
});
export const demoAccount = z.object({ login: z.string(), password: z.string(), name: z.string(), role: z.string() });

export const accessRoutes = {
  signIn: route({
    method: "post",
    path: "/api/session",
    area: "access",
    summary: "Sign in",
    open: true,
    body: signInBody,
    answer: me,
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
  demoAccounts: route({
    method: "get",
    path: "/api/demo-accounts",
    area: "access",
    summary: "Accounts of the demo business; none on a real one",
    open: true,
    answer: z.object({ accounts: z.array(demoAccount) }),
  }),
};
