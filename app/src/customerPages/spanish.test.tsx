import { screen } from "@testing-library/react-native";
import type { ReactElement } from "react";
import type { ReactTestInstance } from "react-test-renderer";
import { ENGLISH, SPANISH, TOPICS } from "@mechanon/core";
import { fakeServer, problemReply, show, type Reply } from "../testing/harness";
import {
  foundSample,
  ASK_PAGE,
  TIME,
  customerPageSample,
  pageOrderSample,
  pageVisitSample,
} from "../testing/requestSamples";
import { receiptSample } from "../testing/samples";
import { AskPage } from "./ask/AskPage";
import { LanguageProvider } from "./language";
import { MinePage } from "./mine/MinePage";
import { NewTimePage } from "./NewTimePage";
import { ReceiptPage } from "./ReceiptPage";

/** What of our English could be told from the same in Spanish: the parts between what is filled in. */
const ENGLISH_PARTS = (Object.keys(ENGLISH) as (keyof typeof ENGLISH)[])
  .filter((key) => ENGLISH[key] !== SPANISH[key])
  .flatMap((key) => ENGLISH[key].split(/\{[^{}]*(?:\{[^{}]*\}[^{}]*)*\}/))
  .map((part) => part.trim())
  .filter((part) => /[a-z]{3,}/i.test(part));

/** All that is read or read aloud. */
function allWords(): string[] {
  const words: string[] = [];
  const walk = (node: ReactTestInstance | string): void => {
    if (typeof node === "string") return void words.push(node);
    for (const name of ["aria-label", "accessibilityLabel"]) {
      const label: unknown = node.props[name];
      if (typeof label === "string") words.push(label);
    }
    node.children.forEach(walk);
  };
  walk(screen.UNSAFE_root);
  return words;
}

const order = pageOrderSample({
  found: [
    foundSample({
      ...{ title: { en: "Pads", es: "Pastillas" }, grade: "unsafe" },
      pictures: [
        { photoId: "p", media: "photo", moment: "before" },
        { photoId: "c", media: "clip", moment: "after" },
      ],
    }),
    ...TOPICS.map((topic) => foundSample({ title: { en: topic, es: "Discos" }, topic, grade: "watch", measures: [] })),
  ],
  fine: [{ en: "Horn", es: "Claxon" }],
  jobs: (["yes", "later", "no", null] as const).map((answer) => ({
    title: "Frenos",
    totalCents: 100,
    answer,
    isDone: false,
  })),
  ...{ totalCents: 400, dueCents: 300, paidCents: 100, receipt: "/r/x", photoIds: ["q"] },
  words: [
    { id: "w", isOurs: true, text: "Hola", at: TIME.startsAt },
    { id: "v", isOurs: false, text: "Sí", at: TIME.startsAt },
  ],
  visits: (["booked", "driving", "onSite", "over", "cancelled"] as const).map((standing) =>
    pageVisitSample({ id: standing, standing, arrivesAt: standing === "driving" ? TIME.startsAt : null }),
  ),
});
const request = (status: "waiting" | "offered" | "declined" | "withdrawn") => ({
  ...{
    id: status,
    status,
    at: TIME.startsAt,
    car: "",
    wishes: [],
    words: "zumba",
    time: TIME,
    offered: [TIME],
    answer: "",
    photoIds: [],
    said: [],
  },
});
const newTime = {
  ...{ businessName: "Garage", businessPhone: "+13605550100", timeZone: "America/Los_Angeles", mechanic: "Tomas" },
  ...{
    forGap: false,
    language: "es" as const,
    fromStartsAt: TIME.startsAt,
    startsAt: TIME.endsAt,
    answerBy: TIME.startsAt,
    answer: null,
    isOver: false,
  },
};
const page = customerPageSample({
  ...{ language: "es" as const, orders: [order] },
  requests: [request("waiting"), request("offered"), request("declined"), request("withdrawn")],
});

beforeEach(() => localStorage.setItem("mechanon-language", "es"));
afterEach(() => localStorage.removeItem("mechanon-language"));

it.each<[string, ReactElement, Record<string, Reply>, RegExp]>([
  [
    "asking for a visit",
    <AskPage key="a" slug="x" />,
    { "GET /api/public/ask/x": { body: ASK_PAGE } },
    /Pedir una visita/,
  ],
  [
    "a private page at every stage",
    <MinePage key="m" token="x" />,
    { "GET /api/public/pages/x": { body: page } },
    /^Hola, Perpetua$/,
  ],
  [
    "a new time",
    <NewTimePage key="n" token="x" />,
    { "GET /api/public/new-times/x": { body: newTime } },
    /^¿Podemos ir/,
  ],
  [
    "a gap",
    <NewTimePage key="g" token="x" />,
    { "GET /api/public/new-times/x": { body: { ...newTime, forGap: true } } },
    /^¿Podemos ir/,
  ],
  [
    "a new time that is over",
    <NewTimePage key="o" token="x" />,
    { "GET /api/public/new-times/x": { body: { ...newTime, isOver: true } } },
    /^Ya es tarde/,
  ],
  [
    "a receipt",
    <ReceiptPage key="r" token="x" />,
    { "GET /api/public/receipts/x": { body: receiptSample() } },
    /^Recibo \d+$/,
  ],
  [
    "a link that ended",
    <MinePage key="e" token="x" />,
    { "GET /api/public/pages/x": problemReply(410, "page/ended", "This link has ended.") },
    /^Este enlace/,
  ],
  [
    "a fault nobody has words for",
    <MinePage key="f" token="x" />,
    { "GET /api/public/pages/x": problemReply(409, "visit/over", "This visit is over.") },
    /^Algo salió mal/,
  ],
])("%s is said in Spanish, with nothing of ours in English", async (_name, element, replies, shown) => {
  fakeServer(replies);
  show(<LanguageProvider>{element}</LanguageProvider>);
  expect((await screen.findAllByText(shown)).length).toBeGreaterThan(0);
  const all = allWords();
  for (const part of ENGLISH_PARTS) {
    const found = all.filter((words) => new RegExp(`(^|[^\\p{L}])${escaped(part)}($|[^\\p{L}])`, "u").test(words));
    expect([part, found]).toEqual([part, []]);
  }
});

function escaped(text: string): string {
  return text.replace(/[.*+?^${}()|[\]\\]/g, "\\$&");
}
