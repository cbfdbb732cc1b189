import { hasRight, type Right } from "@mechanon/core";
import { AppError } from "../errors/appError";
import type { Scope } from "../scope";

const ASKED: Readonly<Record<Right, string>> = {
  seeCost: "see costs",
  changePrices: "change prices",
  reports: "see reports",
  settings: "change settings or take customer data in or out",
};

/** @throws {AppError} `rights/missing` for whoever does not have the right. */
export function requireRight({ actor }: Pick<Scope, "actor">, right: Right): void {
  if (!hasRight(actor, right))
    throw new AppError("rights/missing", `You may not ${ASKED[right]}. Nothing was changed; ask the owner.`);
}
