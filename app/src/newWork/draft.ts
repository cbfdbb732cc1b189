import { v7 as uuid } from "uuid";
import { create } from "zustand";
import { persist } from "zustand/middleware";
import type { FoundCustomer, Vehicle, VehicleGuess } from "@mechanon/contract";
import type { PickedConcern } from "../concerns/pickedConcern";
import type { Slot } from "./SlotPicker";

/** What the call needs of a customer we know. */
export type KnownCaller = Pick<
  FoundCustomer["customer"],
  "id" | "name" | "phones" | "serviceAddresses" | "billingAddress"
>;

export type CarWay = "plate" | "vin" | "pick" | "hand";

/** A car we keep, and what happens to it: it stays whose it is, becomes the caller's, or the caller drives it. */
export interface KeptCar {
  kind: "kept";
  vehicle: Vehicle;
  then: "nothing" | "move" | "link";
}

/** A call being written down. It survives a reload; its ids make saving it twice save it once. */
export interface Draft {
  customerId: string;
  vehicleId: string;
  workOrderId: string;
  visitId: string;
  openCommandId: string;
  bookCommandId: string;
  /** The caller, when we know them already. */
  known: KnownCaller | null;
  name: string;
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
  carWay: CarWay;
  plate: string;
  plateRegion: string;
  vin: string;
  /** Of what is typed by hand: from before 1981, or no car at all. */
  serial: string;
  year: string;
  make: string;
  model: string;
  /** The car somebody confirmed: one we keep, or a look-up's. */
  car: KeptCar | { kind: "new"; guess: VehicleGuess; vinNote: string | null } | null;
  /** What becomes of a quote that is open on the car: a new one beside it, or its jobs copied; null: not said yet. */
  openQuote: { workOrderId: string; way: "anew" | "copy" } | null;
  /** Work put off that is taken along, by library job. */
  takeAlong: string[];
  slot: Slot | null;
}

function emptyDraft(): Draft {
  return {
    customerId: uuid(),
    vehicleId: uuid(),
    workOrderId: uuid(),
    visitId: uuid(),
    openCommandId: uuid(),
    bookCommandId: uuid(),
    known: null,
    name: "",
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
    carWay: "plate",
    plate: "",
    plateRegion: "",
    vin: "",
    serial: "",
    year: "",
    make: "",
    model: "",
    car: null,
    openQuote: null,
    takeAlong: [],
    slot: null,
  };
}

interface DraftStore {
  draft: Draft;
  change: (part: Partial<Draft>) => void;
  clear: () => void;
}

export const useDraft = create<DraftStore>()(
  persist(
    (set) => ({
      draft: emptyDraft(),
      change: (part) => set((state) => ({ draft: { ...state.draft, ...part } })),
      clear: () => set({ draft: emptyDraft() }),
    }),
    {
      name: "mechanon-new-work",
      // A draft of an older shape is let go.
      version: 3,
      migrate: () => ({ draft: emptyDraft() }),
    },
  ),
);
