import { routes } from "@mechanon/contract";
import type { Mounting } from "../http/mount";
import type { Deps } from "../scope";
import { search } from "./service";

export function searchRoutes(mounting: Mounting, { db }: Pick<Deps, "db">): void {
  mounting.route(routes.search, ({ scope, query }) => search(db, scope, query.q));
}
