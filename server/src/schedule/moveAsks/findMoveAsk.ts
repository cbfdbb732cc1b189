import type { Sequelize } from "sequelize";
import { askPrepared } from "../../db/askPrepared";
import { AppError } from "../../errors/appError";

/** A new time somebody was asked about, beside the visit it is for. */
export interface KeptMoveAsk {
  visitId: string;
  startsAt: string;
  endsAt: string;
  mechanicId: string;
  mechanic: string;
  fromStartsAt: string;
  askedBy: string;
  why: string;
  answerBy: string;
  answer: "yes" | "no" | null;
  /** A gap that several were told of, and not the weather. */
  forGap: boolean;
  /** The visit was moved, called off or begun meanwhile, or somebody else took the gap. */
  isOver: boolean;
}

const ASK = `
  select a.visit_id as "visitId", iso(a.starts_at) as "startsAt", iso(a.ends_at) as "endsAt",
    a.mechanic_id as "mechanicId", a.answer, iso(a.answer_by) as "answerBy", iso(a.from_starts_at) as "fromStartsAt",
    a.why, a.asked_by as "askedBy", coalesce(p.name, '') as mechanic,
    a.for_gap as "forGap",
    v.cancelled or v.set_off_at is not null or v.left_at is not null or v.starts_at <> a.from_starts_at
      or a.for_gap and exists (select from visits other where other.business_id = a.business_id and other.id <> v.id
        and other.mechanic_id = a.mechanic_id and not other.cancelled and other.left_at is null
        and tstzrange(other.starts_at, other.ends_at) && tstzrange(a.starts_at, a.ends_at)) as "isOver"
  from move_asks a join visits v on v.business_id = a.business_id and v.id = a.visit_id
  left join people p on p.business_id = a.business_id and p.id = a.mechanic_id
  where a.business_id = $1 and a.id = $2`;

/** @throws {AppError} `ask/not-found`. */
export async function findMoveAsk(db: Sequelize, businessId: string, id: string): Promise<KeptMoveAsk> {
  const [ask] = await askPrepared<KeptMoveAsk>(db, ASK, [businessId, id]);
  if (!ask) throw new AppError("ask/not-found", "Nobody was asked about this new time. Nothing was changed.");
  return ask;
}
