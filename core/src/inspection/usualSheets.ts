import { inspectionSheet, type InspectionSheet, type InspectionSheetInput } from "./sheet";

export { USUAL_POINTS } from "./usualPoints";

const TIRES = ["tireLeftFront", "tireRightFront", "tireLeftRear", "tireRightRear"];
const PADS = ["padLeftFront", "padRightFront", "padLeftRear", "padRightRear", "shoes"];
const OUTSIDE = ["headlamps", "signals", "brakeLights", "tailLights", "windshield", "mirrors", "wipers"];
const INSIDE = ["horn", "seatBelts", "warningLamps", "pedal", "parkingBrake", "steeringPlay", "heatAndAir"];
const HOOD = ["oil", "coolant", "brakeFluid", "powerSteering", "transmissionFluid", "washerFluid", "belt", "hoses", "airFilter", "cabinFilter", "battery12", "charging"]; // prettier-ignore
const BELOW = ["brakeLines", "ballJoints", "tieRods", "bushings", "struts", "shocks", "boots", "bearings", "exhaust", "engineLeaks", "fuelLines"]; // prettier-ignore
const ROAD = ["roadFeel", "roadNoise"];

const sheet = (given: InspectionSheetInput): InspectionSheet => inspectionSheet.parse(given);

/** Sheets we ship, in our own words. */
export const USUAL_SHEETS: readonly InspectionSheet[] = [
  sheet({
    id: "quick",
    title: "Quick look",
    pointIds: ["tread", "frontPads", "rearPads", "battery", "oil", "coolant", "steering", "wipers", "lights", "leaks"],
    comes: { always: true },
  }),
  sheet({
    id: "full",
    title: "Full look",
    pointIds: [...OUTSIDE, ...INSIDE, ...HOOD, ...TIRES, "spare", "wheels", ...PADS, "rotorsFront", "rotorsRear", ...BELOW, ...ROAD],
  }), // prettier-ignore
  sheet({
    id: "tiresAndBrakes",
    title: "Tires and brakes",
    pointIds: [...TIRES, "spare", "wheels", ...PADS, "rotorsFront", "rotorsRear", "brakeLines", "brakeFluid", "pedal", "parkingBrake"],
  }), // prettier-ignore
  sheet({
    id: "beforeBuying",
    title: "Before buying",
    pointIds: ["vinMatches", "bodyHistory", "rustBelow", "everyButton", "coldStart", ...OUTSIDE, ...INSIDE, ...HOOD, "plugs", ...TIRES, ...PADS, "rotorsFront", "rotorsRear", ...BELOW, ...ROAD],
  }), // prettier-ignore
  sheet({
    id: "air",
    title: "Air conditioning",
    pointIds: [
      "ventTemperature",
      "lowSide",
      "highSide",
      "compressor",
      "condenser",
      "cabinFilter",
      "belt",
      "heatAndAir",
    ],
  }),
  sheet({
    id: "batteryAndCharging",
    title: "Battery and charging",
    pointIds: ["battery12", "terminals", "charging", "drain", "cranking", "belt"],
  }),
  sheet({
    id: "electric",
    title: "Electric and hybrid",
    pointIds: ["driveBattery", "highVoltageCables", "chargePort", "batteryCooling", "reductionGear", "battery12", ...TIRES, ...PADS, "brakeLines", "brakeFluid"],
  }), // prettier-ignore
];
