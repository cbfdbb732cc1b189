import { createHash } from "node:crypto";
import { DateTime } from "luxon";
import { LAYOUT_TITLES, VEHICLE_CLASS_TITLES, type SpecSheet, type VehicleClass } from "@mechanon/core";

/** Said with everything made up here. */
const SOURCE = "Driveway Data (stand-in)";

export interface AskedCar {
  year: number | null;
  make: string | null;
  model: string | null;
  engine: string | null;
}

/** Numbers that are always the same for the same words. */
class Lot {
  private readonly bytes: Buffer;
  private place = 0;

  constructor(words: string) {
    this.bytes = createHash("sha256").update(words.toUpperCase()).digest();
  }

  below(most: number): number {
    this.place = (this.place + 2) % 30;
    return this.bytes.readUInt16BE(this.place) % most;
  }

  pick<T>(from: readonly [T, ...T[]]): T {
    return from[this.below(from.length)] ?? from[0];
  }
}

/** A spec sheet that could be true, always the same for the same car: made up. */
export function specsOf({ year, make, model, engine }: AskedCar): SpecSheet {
  const lot = new Lot(`${year ?? ""}/${make ?? ""}/${model ?? ""}/${engine ?? ""}`);
  const words = `${make ?? ""} ${model ?? ""}`;
  const liters = Number(/(\d\.\d) L/.exec(engine ?? "")?.[1] ?? 2.4);
  const isElectric = /electric/i.test(engine ?? "");
  const isHeavy = liters >= 4.5;
  const built = year ?? 2012;
  const rim = 15 + lot.below(3) + (isHeavy ? 2 : 0);
  const width = (isHeavy ? 245 : 195) + 10 * lot.below(4);
  const aspect = lot.pick([50, 55, 60, 65]);
  const size = `${width}/${aspect}R${rim} ${isHeavy ? 111 : 91 + lot.below(6)}${lot.pick(["H", "V", "T"])}`;
  const front = 32 + lot.below(4);
  const oilMiles = built >= 2012 ? lot.pick([7500, 10_000]) : 5000;
  const oil: SpecSheet["values"] = isElectric
    ? {}
    : {
        oilCapacityQuarts: (Math.round((1.9 * liters + 0.6) * 10) / 10).toFixed(1),
        oilGrade: built >= 2010 ? lot.pick(["0W-20", "5W-20", "5W-30"]) : lot.pick(["5W-30", "10W-30"]),
        drainPlugTorqueLbFt: String(lot.pick([22, 27, 30])),
        sparkPlugTorqueLbFt: String(lot.pick([13, 15, 18])),
        transmissionFluid: lot.pick(["Automatic, low viscosity", "Continuously variable", "Automatic, full synthetic"]),
        transmissionFluidQuarts: (3 + lot.below(16) / 10).toFixed(1),
        sparkPlugs: `Iridium, gap 0.0${lot.pick([40, 43, 44])} in`,
      };
  return {
    source: SOURCE,
    simulated: true,
    values: {
      ...oil,
      coolant: lot.pick(["Long-life, pink", "Long-life, blue", "Extended, orange", "Universal, green"]),
      refrigerant: `${built >= 2018 ? "R-1234yf" : "R-134a"}, ${16 + lot.below(14)} oz`,
      tireFront: size,
      tireRear: size,
      pressureFrontPsi: String(front),
      pressureRearPsi: String(front - lot.below(3) + (isHeavy ? 4 : 0)),
      wheelTorqueLbFt: String(isHeavy ? 140 : lot.pick([76, 80, 89, 100])),
      batteryGroup: lot.pick(["24F", "35", "47 (H5)", "48 (H6)", "51R"]),
      brakeFluid: "DOT 4",
      caliperTorqueLbFt: String(isHeavy ? 136 : 79),
      coolantQuarts: (Math.round((2.6 * liters + 1.1) * 10) / 10).toFixed(1),
      vehicleClass: classOf(words, isHeavy),
      engineLayout: layoutOf(words),
      rearBrakes: width <= 205 ? "Drum" : "Disc",
      rotorMinimumFrontMm: String(isHeavy ? 28 : 21 + (rim % 3)),
      ...(width <= 205 ? {} : { rotorMinimumRearMm: String(8 + (rim % 3)) }),
      coldCrankingAmps: String(isHeavy ? 760 : 520 + 10 * (width % 8)),
    },
    intervals: [
      ...(isElectric ? [] : [{ id: "oil", title: "Oil and filter", miles: oilMiles, months: 12 }]),
      { id: "rotation", title: "Tire rotation", miles: 7500, months: null },
      { id: "brake-fluid", title: "Brake fluid", miles: null, months: 36 },
      { id: "coolant", title: "Coolant", miles: 100_000, months: 120 },
      { id: "cabin-filter", title: "Cabin filter", miles: 20_000, months: 24 },
    ],
  };
}

/** The class of a model by its name: what is none of these is a car. */
function classOf(words: string, isHeavy: boolean): string {
  const found = CLASSES.find(([names]) => names.test(words))?.[1];
  return VEHICLE_CLASS_TITLES[found ?? (isHeavy ? "largeCar" : "car")];
}

const CLASSES: readonly (readonly [RegExp, VehicleClass])[] = [
  [/[FE]-?[2-5]50|2500|3500/i, "heavy"],
  [/F-?150|1500|Tacoma|Ranger|Frontier|Silverado/i, "pickup"],
  [/Transit|Odyssey|Sienna|Express|Sprinter|ProMaster/i, "van"],
  [/CR-V|Rogue|Outback|Forester|RAV4|Escape|Explorer/i, "largeCar"],
  [/Soul|Fit|Yaris|Versa|Spark/i, "smallCar"],
];

function layoutOf(words: string): string {
  if (/Subaru/i.test(words)) return LAYOUT_TITLES.flat;
  return /F-?\d50|1500|2500|Transit|Express|Tacoma|BMW/i.test(words)
    ? LAYOUT_TITLES.lengthwise
    : LAYOUT_TITLES.transverse;
}

const FAULTS_CALLED_BACK = [
  ["Fuel pump may stop", "Replace the pump module"],
  ["Rear camera may go dark", "Update the software, replace the harness if needed"],
  ["Driver's air bag inflator", "Replace the inflator"],
  ["Hood latch may not hold", "Replace the latch"],
  ["Brake booster may lose vacuum", "Inspect and replace the booster"],
] as const;

/** Campaigns of a model, some of them done on this car: made up. */
export function recallsOf(vin: string, { year, make, model }: Omit<AskedCar, "engine">): object {
  const lot = new Lot(`recall/${year ?? ""}/${make ?? ""}/${model ?? ""}`);
  const own = new Lot(`recall/${vin}`);
  const start = lot.below(FAULTS_CALLED_BACK.length);
  const recalls = Array.from({ length: lot.below(3) }, (_, index) => {
    const [title, remedy] = FAULTS_CALLED_BACK[(start + index) % FAULTS_CALLED_BACK.length] ?? FAULTS_CALLED_BACK[0];
    const since = (year ?? 2012) + 1 + lot.below(5);
    return {
      campaign: `SIM-${String(since).slice(2)}-${String(lot.below(900) + 100)}`,
      title,
      remedy,
      since: `${since}-0${1 + lot.below(9)}-15`,
      open: own.below(2) === 0,
    };
  });
  return { source: SOURCE, simulated: true, recalls };
}

const PLACES = ["Cove Lube, Tidewater Mills", "Northpoint Tire", "Breakwater Auto Care"] as const;
const WORK = [
  "Oil and filter",
  "Four tires, aligned",
  "Battery",
  "Brake inspection",
  "State inspection",
  "Cabin and air filter",
] as const;

/** What others did to a car: made up, with rising miles. */
export function elsewhereOf(
  vin: string,
  today: DateTime,
): { source: string; simulated: boolean; entries: { at: string; miles: number; place: string; work: string }[] } {
  const lot = new Lot(`history/${vin}`);
  const count = lot.below(5);
  const perYear = 8000 + 500 * lot.below(14);
  const entries = Array.from({ length: count }, (_, index) => {
    const monthsAgo = 7 + index * (5 + lot.below(6));
    return {
      at: new Date(
        today
          .startOf("month")
          .minus({ months: monthsAgo })
          .plus({ days: lot.below(27) })
          .toMillis(),
      ).toISOString(),
      miles: Math.max(0, 90_000 - Math.round((monthsAgo / 12) * perYear)),
      place: PLACES[lot.below(PLACES.length)] ?? PLACES[0],
      work: WORK[lot.below(WORK.length)] ?? WORK[0],
    };
  });
  return { source: SOURCE, simulated: true, entries };
}
