import { routes } from "@mechanon/contract";
import type { Mounting } from "../http/mount";
import type { Deps } from "../scope";
import { takeAlong } from "./takeAlong";

export function deviceRoutes(mounting: Mounting, deps: Deps): void {
  mounting.route(routes.takeAlong, ({ scope, body }) => takeAlong(deps, scope, body.known, new Date()));
}
