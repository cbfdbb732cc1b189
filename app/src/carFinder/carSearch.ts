import { createContext, useContext } from "react";
import type { Customer, Vehicle, VehicleGuess } from "@mechanon/contract";
import type { OpenFact } from "../cars/AskedOnce";

export type CarWay = "plate" | "vin" | "pick" | "hand";

/** A car we keep, and what happens to it: it stays whose it is, becomes the caller's, or the caller drives it. */
export interface KeptCar {
  kind: "kept";
  vehicle: Vehicle;
  then: "nothing" | "move" | "link";
}

/** A car nobody kept yet, as somebody confirmed it, with what can still be said of it. */
export interface NewCar {
  kind: "new";
  guess: VehicleGuess;
  vinNote: string | null;
  /** Likely answers to what is not known of it. */
  open?: Partial<Record<OpenFact, string[]>>;
}

/** What was typed to find a car, and the car once somebody confirmed it. */
export interface CarSearch {
  carWay: CarWay;
  plate: string;
  plateRegion: string;
  vin: string;
  /** Picked from the list of models. */
  pickedYear: number | null;
  pickedMake: string | null;
  /** Of what is typed by hand: from before 1981, or no car at all. */
  serial: string;
  year: string;
  make: string;
  model: string;
  car: KeptCar | NewCar | null;
}

export function emptyCarSearch(): CarSearch {
  return {
    carWay: "plate",
    plate: "",
    plateRegion: "",
    vin: "",
    pickedYear: null,
    pickedMake: null,
    serial: "",
    year: "",
    make: "",
    model: "",
    car: null,
  };
}

/** What stands typed of a car that nobody confirmed; empty where nothing does. */
export function typedOfCar({
  carWay,
  plate,
  vin,
  pickedYear,
  pickedMake,
  serial,
  year,
  make,
  model,
}: CarSearch): string {
  const typed: Record<CarWay, (string | number | null)[]> = {
    plate: [plate],
    vin: [vin],
    pick: [pickedYear, pickedMake],
    hand: [year, make, model, serial],
  };
  const ways: CarWay[] = [carWay, "vin", "plate", "hand", "pick"];
  for (const way of ways) {
    const words = typed[way].map((part) => String(part ?? "").trim()).filter(Boolean);
    if (words.length > 0) return words.join(" ");
  }
  return "";
}

export interface CarSearchHolder {
  search: CarSearch;
  change: (part: Partial<CarSearch>) => void;
  /** For whom the car is looked for. */
  caller: { id: string | null; name: string };
  /** Goes on for the owner of a car instead of the caller; not where whose work it is stands already. */
  onOwner?: (owner: Customer) => void;
}

export const CarSearchContext = createContext<CarSearchHolder | null>(null);

/** The search for a car this part belongs to. */
export function useCarSearch(): CarSearchHolder {
  const holder = useContext(CarSearchContext);
  if (!holder) throw new Error("a part of the car finder stands outside of it");
  return holder;
}
