import type { MeasureKind, PowerGroup } from "@mechanon/core";

/** What decides what a measure means. */
export const MEASURE_WORDS: Readonly<Record<MeasureKind, string>> = {
  tread: "Tread",
  dotDate: "DOT date",
  pressure: "Tire pressure",
  pad: "Pad or shoe",
  rotor: "Rotor",
  fluidWater: "Water in fluid",
  freezePoint: "Freeze point",
  ratedAmps: "Rated amps",
  crankingAmps: "Measured amps",
  temperature: "Temperature",
  restVolts: "Volts at rest",
  loadVolts: "Volts under load",
  chargingVolts: "Charging volts",
  other: "Something else",
};

/** Cars a point is only for. */
export const POWER_WORDS: Readonly<Record<PowerGroup, string>> = {
  combustion: "With an engine",
  spark: "With spark plugs",
  diesel: "Diesel",
  hybrid: "Hybrid",
  highVoltage: "With high voltage",
  plug: "With a plug",
  electric: "Electric only",
};
