import type { Router } from "express";
import { routes } from "@mechanon/contract";
import { mount, type ScopeOf } from "../http/mount";
import type { Deps } from "../scope";
import { search } from "./service";

export function searchRoutes(router: Router, { db }: Pick<Deps, "db">, scopeOf: ScopeOf): void {
  mount(router, routes.search, scopeOf, ({ scope, query }) => search(db, scope, query.q));
}
