import { nothingArranged, type Arranged } from "@mechanon/core";
import { v7 as uuid } from "uuid";
import { create } from "zustand";
import { persist } from "zustand/middleware";
import type { FoundCustomer } from "@mechanon/contract";
import { anyTime, type Slot, type SlotWish } from "../booking/slot";
import { emptyCarSearch, typedOfCar, type CarSearch } from "../carFinder/carSearch";
import type { PickedConcern } from "../concerns/pickedConcern";
import { upgradeDraft } from "./upgradeDraft";
import type { WantedJob } from "./wantedJob";

/** What the call needs of a customer we know. */
export type CallerOnFile = Pick<
  FoundCustomer["customer"],
  "id" | "name" | "knownFrom" | "phones" | "serviceAddresses" | "billingAddress"
>;

/** A call being written down. It survives a reload; its ids make saving it twice save it once. */
export interface Draft extends CarSearch {
  customerId: string;
  vehicleId: string;
  workOrderId: string;
  visitId: string;
  openCommandId: string;
  bookCommandId: string;
  /** The caller, when we know them already. */
  known: CallerOnFile | null;
  name: string;
  /** "from the bakery". */
  knownFrom: string;
  phone: string;
  email: string;
  /** When they said that texts are welcome. */
  textsWelcomeAt: string | null;
  foundUsBy: string | null;
  newcomerAnswers: { questionId: string; question: string; answer: string }[];
  /** Likely the same ones that were looked at: another after all. */
  notTheSameAs: string[];
  street: string;
  town: string;
  region: string;
  postcode: string;
  latitude: number | null;
  longitude: number | null;
  concerns: PickedConcern[];
  /** Words of a concern as they stand in the field; they go along. */
  concernTyped: string;
  /** Work the caller wants, whether or not the car is known. */
  jobs: WantedJob[];
  /** What becomes of a quote that is open on the car: a new one beside it, or its jobs copied; null: not said yet. */
  openQuote: { workOrderId: string; way: "anew" | "copy" } | null;
  /** A quote of another car whose jobs are taken over; null: none. */
  copiesFrom: { workOrderId: string; number: number } | null;
  /** Work put off that is taken along, by library job. */
  takeAlong: string[];
  /** The day, length and mechanic wanted, and the time once one is picked. */
  wish: SlotWish;
  slot: Slot | null;
  /** Asked at the call. */
  arranged: Arranged;
}

export function emptyDraft(): Draft {
  return {
    customerId: uuid(),
    vehicleId: uuid(),
    workOrderId: uuid(),
    visitId: uuid(),
    openCommandId: uuid(),
    bookCommandId: uuid(),
    known: null,
    name: "",
    knownFrom: "",
    phone: "",
    email: "",
    textsWelcomeAt: null,
    foundUsBy: null,
    newcomerAnswers: [],
    notTheSameAs: [],
    street: "",
    town: "",
    region: "",
    postcode: "",
    latitude: null,
    longitude: null,
    concerns: [],
    concernTyped: "",
    ...emptyCarSearch(),
    jobs: [],
    openQuote: null,
    copiesFrom: null,
    takeAlong: [],
    wish: anyTime(),
    slot: null,
    arranged: nothingArranged(),
  };
}

/** Whether anything of a call was written down already. */
export function isBegun(draft: Draft): boolean {
  const { known, name, knownFrom, phone, street, email, concerns, concernTyped, jobs, car, wish, copiesFrom } = draft;
  return (
    [name, knownFrom, phone, street, email, concernTyped].some((typed) => typed.trim() !== "") ||
    known !== null ||
    car !== null ||
    concerns.length > 0 ||
    copiesFrom !== null ||
    jobs.length > 0 ||
    wish.day !== null ||
    typedOfCar(draft) !== ""
  );
}

/** For whom and which car a call is begun from their page. */
export type CallFor = Pick<Draft, "known" | "car">;

interface DraftStore {
  draft: Draft;
  /** A call that was begun while another one stood half written: whoever writes says which goes on. */
  asked: CallFor | null;
  change: (part: Partial<Draft>) => void;
  /** Begins a call for somebody. What stands written and is nobody else's comes along. */
  begin: (call: CallFor) => void;
  /** Says whether the call begun last is written down in place of the other. */
  decide: (which: "before" | "asked") => void;
  clear: () => void;
}

export const useDraft = create<DraftStore>()(
  persist(
    (set) => ({
      draft: emptyDraft(),
      asked: null,
      begin: (call) =>
        set(({ draft }) =>
          draft.known !== null && draft.known.id !== call.known?.id && isBegun(draft)
            ? { asked: call }
            : { draft: { ...draft, ...call } },
        ),
      decide: (which) =>
        set(({ asked }) =>
          which === "asked" && asked ? { asked: null, draft: { ...emptyDraft(), ...asked } } : { asked: null },
        ),
      change: (part) => set((state) => ({ draft: { ...state.draft, ...part } })),
      clear: () => set({ draft: emptyDraft(), asked: null }),
    }),
    {
      name: "mechanon-new-work",
      version: 7,
      migrate: (kept) => ({ draft: upgradeDraft(kept, emptyDraft()), asked: null }),
    },
  ),
);
