import { AppError } from "../errors/appError";
import { ofBusiness } from "../db/ofBusiness";
import type { Deps } from "../scope";
import { businessOfSlug } from "./askPages";

/** Fronts of the pages that may show the page of this name inside; none for a name nobody has. */
export async function framersOf({ db, rules }: Pick<Deps, "db" | "rules">, slug: string): Promise<readonly string[]> {
  try {
    const businessId = await businessOfSlug(db, slug);
    const { settings } = await ofBusiness(businessId, () => rules.now(businessId));
    return settings.requests.allowedOrigins;
  } catch (error) {
    if (error instanceof AppError) return [];
    throw error;
  }
}
