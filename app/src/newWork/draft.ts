import { v7 as uuid } from "uuid";
import { create } from "zustand";
import { persist } from "zustand/middleware";
import type { Customer, Vehicle, VehicleGuess } from "@mechanon/contract";
import type { PickedConcern } from "./ConcernPicker";
import type { Slot } from "./SlotPicker";

export type CarWay = "plate" | "vin" | "hand";

/** A call being written down. It survives a reload; its ids make saving it twice save it once. */
export interface Draft {
  customerId: string;
  vehicleId: string;
  workOrderId: string;
  visitId: string;
  openCommandId: string;
  bookCommandId: string;
  /** The caller, when we know them already. */
  known: Customer | null;
  name: string;
  phone: string;
  email: string;
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
  year: string;
  make: string;
  model: string;
  /** The car somebody confirmed: one we keep, or a look-up's. */
  car: { kind: "kept"; vehicle: Vehicle } | { kind: "new"; guess: VehicleGuess } | null;
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
    year: "",
    make: "",
    model: "",
    car: null,
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
      version: 1,
    },
  ),
);
