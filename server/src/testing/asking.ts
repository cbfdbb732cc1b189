import { v7 as uuid } from "uuid";
import { ASK_SLUG } from "@mechanon/demo";
import type { AskedTime, AskedVisit } from "@mechanon/core";
import type { TestPerson } from "./testServer";

/** Where somebody asks from. */
export const WHERE = {
  street: "18 Heron Landing",
  town: "Larkhaven",
  region: "WA",
  postcode: "98099",
  latitude: null,
  longitude: null,
};
export const ASK = `/api/public/ask/${ASK_SLUG}`;
export const TERMS = "A visit called off less than a day before, or with nobody there, costs $35.00.";

const SPANISH_TERMS = "Una visita cancelada con menos de un día de aviso, o sin nadie presente, cuesta $35.00.";

/** Times that are offered to a stranger for something. */
export async function offeredTo(who: TestPerson, wishIds: string[] = ["oil"]): Promise<AskedTime[]> {
  const { body } = await who.post<{ times: AskedTime[] }>(`${ASK}/times`, { place: WHERE, wishIds });
  return body.times;
}

/** A request as the page sends it. */
export function askedOf(time: AskedTime, over: Partial<AskedVisit> = {}): AskedVisit {
  return {
    language: "en",
    name: "Perpetua Sand",
    phone: "(360) 555-0177",
    email: "",
    place: WHERE,
    car: { plate: "", region: "", vin: "", year: 2014, make: "Fennick", model: "Rover" },
    wishIds: ["oil"],
    words: "",
    photoIds: [],
    isThere: true,
    keyLies: "",
    time,
    terms: over.language === "es" ? SPANISH_TERMS : TERMS,
    mayText: true,
    mayMail: false,
    ...over,
  };
}

/** The first of some times that its customer may still change for hours, whatever the hour it is now. */
export function wellAhead(times: readonly AskedTime[]): AskedTime | undefined {
  return times.find(({ startsAt }) => Date.parse(startsAt) > Date.now() + 30 * 3_600_000);
}

/** Asks for a visit at one of the offered times. @returns its id and the token of its page. */
export async function askFor(
  who: TestPerson,
  over: Partial<AskedVisit> = {},
  pick: number | typeof wellAhead = 0,
): Promise<{ id: string; token: string; time: AskedTime }> {
  const times = await offeredTo(who, over.wishIds);
  const time = typeof pick === "number" ? times[pick] : pick(times);
  if (!time) throw new Error("no time is offered");
  const id = uuid();
  const answer = await who.post<{ page: string }>(`${ASK}/requests/${id}`, askedOf(time, over));
  if (answer.status !== 200) throw new Error(JSON.stringify(answer.body));
  return { id, token: answer.body.page.split("/").at(-1) ?? "", time };
}
