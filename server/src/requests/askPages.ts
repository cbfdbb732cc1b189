import type { AskPage } from "@mechanon/contract";
import type { Sequelize } from "sequelize";
import { UniqueConstraintError } from "sequelize";
import { askPrepared } from "../db/askPrepared";
import { ofBusiness } from "../db/ofBusiness";
import { AppError } from "../errors/appError";
import type { Deps, Scope } from "../scope";

/** The business that is asked for visits under a name. @throws {AppError} `ask/page-not-found`. */
export async function businessOfSlug(db: Sequelize, slug: string): Promise<string> {
  const [page] = await askPrepared<{ businessId: string }>(
    db,
    'select business_id as "businessId" from directory.find_ask_page($1)',
    [slug],
  );
  if (!page)
    throw new AppError(
      "ask/page-not-found",
      "Nobody is asked for a visit at this address. Check that it was copied whole.",
    );
  return page.businessId;
}

/** What the public page of a business says. @throws {AppError} `ask/page-not-found`. */
export async function openAskPage({ db, rules }: Pick<Deps, "db" | "rules">, slug: string): Promise<AskPage> {
  const businessId = await businessOfSlug(db, slug);
  const { name, timeZone, settings } = await ofBusiness(businessId, () => rules.now(businessId));
  const { requests, visits, phone, regions } = settings;
  return {
    businessName: name,
    businessPhone: phone,
    timeZone,
    isOpen: requests.isOpen,
    wishes: requests.wishes.map(({ id, en, es }) => ({ id, en, es })),
    regions,
    callOutCents: visits.callOutCents,
    diagnosisCents: requests.diagnosisCents,
    callOffFeeCents: visits.callOffFeeCents,
    callOffHours: visits.callOffHours,
    terms: { en: visits.callOffTerms, es: requests.termsSpanish || visits.callOffTerms },
  };
}

/** The name under which a business is asked for visits; it has one from its beginning. */
export async function askAddress(
  { db, config }: Pick<Deps, "db" | "config">,
  { businessId }: Pick<Scope, "businessId">,
): Promise<{ slug: string; url: string }> {
  const [page] = await askPrepared<{ slug: string }>(
    db,
    `insert into directory.ask_pages (slug, business_id) values ('visit-' || substr(md5(random()::text), 1, 10), $1)
     on conflict (business_id) do update set business_id = excluded.business_id returning slug`,
    [businessId],
  );
  const slug = page?.slug ?? "";
  return { slug, url: `${config.publicUrl}/ask/${slug}` };
}

/** Gives the page another name. @throws {AppError} `slug/taken`. */
export async function changeAskAddress(
  deps: Pick<Deps, "db" | "config">,
  scope: Pick<Scope, "businessId">,
  slug: string,
): Promise<{ slug: string; url: string }> {
  try {
    await askPrepared(
      deps.db,
      `insert into directory.ask_pages (slug, business_id) values ($2, $1)
       on conflict (business_id) do update set slug = excluded.slug`,
      [scope.businessId, slug],
    );
  } catch (error) {
    if (error instanceof UniqueConstraintError)
      throw new AppError(
        "slug/taken",
        `“${slug}” is another business's already. Nothing was changed; pick another name.`,
      );
    throw error;
  }
  return askAddress(deps, scope);
}
