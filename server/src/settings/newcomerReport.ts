import type { NewcomerReport } from "@mechanon/contract";
import { DateTime } from "luxon";
import { QueryTypes, type Sequelize } from "sequelize";

const MOST_ANSWERS = 20;
const NO_ANSWER = "Not asked";

/** How the newcomers of the last twelve months found the business, and what they answered, the most frequent first. */
export async function newcomerReport(db: Sequelize, businessId: string, now: Date): Promise<NewcomerReport> {
  const since = DateTime.fromJSDate(now).minus({ years: 1 }).toJSDate();
  const ask = <T extends object>(select: string): Promise<T[]> =>
    db.query<T>(select, { bind: [businessId, since], type: QueryTypes.SELECT });
  const from =
    "from customers where business_id = $1 and created_at >= $2 and erased_at is null and merged_into is null";
  const [[total], found, answers] = await Promise.all([
    ask<{ count: number }>(`select count(*)::int as count ${from}`),
    ask<{ answer: string | null; count: number }>(
      `select details->>'foundUsBy' as answer, count(*)::int as count ${from} group by 1 order by 2 desc, 1 limit ${MOST_ANSWERS}`,
    ),
    ask<{ question_id: string; question: string; answer: string; count: number }>(
      `select item->>'questionId' as question_id, max(item->>'question') as question, item->>'answer' as answer, count(*)::int as count
       from (select jsonb_array_elements(details->'newcomerAnswers') as item ${from}) given
       group by 1, 3 order by 1, 4 desc, 3`,
    ),
  ]);
  const ids = [...new Set(answers.map(({ question_id: id }) => id))];
  return {
    since: since.toISOString(),
    newcomers: total?.count ?? 0,
    foundUsBy: found.map(({ answer, count }) => ({ answer: answer ?? NO_ANSWER, count })),
    questions: ids.map((questionId) => {
      const given = answers.filter(({ question_id: id }) => id === questionId);
      return {
        questionId,
        question: given[0]?.question ?? "",
        answers: given.slice(0, MOST_ANSWERS).map(({ answer, count }) => ({ answer, count })),
      };
    }),
  };
}
