/** The classes labor guides tell vehicles apart by, the smallest first. */
export const VEHICLE_CLASSES = ["smallCar", "car", "largeCar", "van", "pickup", "heavy"] as const;
export type VehicleClass = (typeof VEHICLE_CLASSES)[number];
export const VEHICLE_CLASS_TITLES = {
  smallCar: "Small car",
  car: "Car",
  largeCar: "Large car or SUV",
  van: "Van",
  pickup: "Pickup",
  heavy: "Heavy pickup or van",
} as const satisfies Record<VehicleClass, string>;

/** What drives a car, as far as the work on it goes. */
export const POWERS = ["gasoline", "diesel", "hybrid", "plugInHybrid", "electric"] as const;
export type Power = (typeof POWERS)[number];
export const POWER_TITLES = {
  gasoline: "Gasoline",
  diesel: "Diesel",
  hybrid: "Hybrid",
  plugInHybrid: "Plug-in hybrid",
  electric: "Electric",
} as const satisfies Record<Power, string>;
export const DRIVES = ["front", "rear", "all"] as const;
export type Drive = (typeof DRIVES)[number];
/** How the engine lies. */
export const LAYOUTS = ["transverse", "lengthwise", "flat"] as const;
export const LAYOUT_TITLES = { transverse: "Across", lengthwise: "Lengthwise", flat: "Flat" } as const;
export const RUSTS = ["none", "some", "heavy"] as const;
export const RUST_TITLES = { none: "None", some: "Some", heavy: "Heavy" } as const;

/** Kinds of power by what they have in common. */
export const POWER_GROUPS = {
  combustion: ["gasoline", "diesel", "hybrid", "plugInHybrid"],
  spark: ["gasoline", "hybrid", "plugInHybrid"],
  diesel: ["diesel"],
  hybrid: ["hybrid", "plugInHybrid"],
  highVoltage: ["hybrid", "plugInHybrid", "electric"],
  plug: ["plugInHybrid", "electric"],
  electric: ["electric"],
} as const satisfies Record<string, readonly Power[]>;
export type PowerGroup = keyof typeof POWER_GROUPS;
