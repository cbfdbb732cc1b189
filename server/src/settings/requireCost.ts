import { hasRight } from "@mechanon/core";
import { AppError } from "../errors/appError";
import type { Scope } from "../scope";

/** @throws {AppError} `rights/missing`: without the right costs are not told, and would come back as none. */
export function requireCost(actor: Scope["actor"]): void {
  if (!hasRight(actor, "seeCost"))
    throw new AppError("rights/missing", "That has costs in it. Nothing was changed; ask somebody who may see cost.");
}
