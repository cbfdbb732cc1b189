import type { Router } from "express";
import { routes } from "@mechanon/contract";
import { mount, type ScopeOf } from "../http/mount";
import { search } from "./service";

export function searchRoutes(router: Router, scopeOf: ScopeOf): void {
  mount(router, routes.search, scopeOf, ({ scope, query }) => search(scope, query.q));
}
