import type { Position } from "../laborGuide/position";
import type { SpecKey } from "../vehicles/specs/specSheet";
import type { PowerGroup } from "../vehicles/build";
import type { z } from "zod";
import type { measure } from "./measure";
import { inspectionPoint, type InspectionPoint, type InspectionPointInput } from "./point";
import type { Topic } from "./topics";

type MeasureInput = z.input<typeof measure>;
type About = Partial<Omit<InspectionPointInput, "id" | "title" | "titleEs" | "area" | "topic">>;

function point(id: string, area: string, topic: Topic | null, title: string, titleEs: string, about: About = {}): InspectionPoint {
  return inspectionPoint.parse({ measures: [], ...about, id, area, topic, title, titleEs } satisfies InspectionPointInput);
} // prettier-ignore

const COMBUSTION = { onlyFor: { power: "combustion" as PowerGroup, rearBrakes: null } };
const HIGH_VOLTAGE = { onlyFor: { power: "highVoltage" as PowerGroup, rearBrakes: null } };
const PLUG = { onlyFor: { power: "plug" as PowerGroup, rearBrakes: null } };
const DISC = { onlyFor: { power: null, rearBrakes: "disc" as const } };
const DRUM = { onlyFor: { power: null, rearBrakes: "drum" as const } };

const tread = (key: string, name: string, isMust = false): MeasureInput => ({
  ...{ key, name, kind: "tread", unit: "/32 in", step: 1, start: 7, most: 13, watchBelow: 5, actBelow: 4, isMust },
});
const pad = (key: string, name: string, isMust = false): MeasureInput => ({
  ...{ key, name, kind: "pad", unit: "mm", step: 0.5, start: 7, most: 14, watchBelow: 5, actBelow: 3, isMust },
});
const rotor = (carLimit: SpecKey): MeasureInput => ({
  ...{ key: "thickness", name: "Thickness", kind: "rotor", unit: "mm", step: 0.1, start: 24, most: 45, carLimit },
});
const rest: MeasureInput = {
  ...{ key: "rest", name: "At rest", kind: "restVolts", unit: "V", step: 0.1, start: 12.6, most: 15 },
  ...{ watchBelow: 12.4, actBelow: 12 },
};
const charging: MeasureInput = {
  ...{ key: "charging", name: "Charging", kind: "chargingVolts", unit: "V", step: 0.1, start: 14.2, most: 16 },
  ...{ watchBelow: 13.7, actBelow: 13.2, watchAbove: 14.9, actAbove: 15.3 },
};
const NEW_TIRE_PSI = 60;

function tire(position: Position, id: string, title: string, titleEs: string): InspectionPoint {
  const isFront = position === "leftFront" || position === "rightFront";
  return point(id, "Tires", "tires", title, titleEs, {
    position,
    measures: [
      tread("inner", "Inner"),
      tread("middle", "Middle", true),
      tread("outer", "Outer"),
      { key: "pressure", name: "Pressure", kind: "pressure", unit: "psi", step: 1, start: 33, most: NEW_TIRE_PSI, carLimit: isFront ? "pressureFrontPsi" : "pressureRearPsi" },
      { key: "dot", name: "DOT week and year", kind: "dotDate", unit: "", step: 1, start: 2320, most: 5399 },
    ],
    notes: ["Worn on the inner edge", "Worn in the middle", "Cracked sidewall", "Bulge in the sidewall", "Nail in the tread", "Cords show"],
  });
} // prettier-ignore

const PAD_NOTES = ["Worn to the metal", "Worn unevenly", "Outer pad thinner", "Slides stuck", "Cracked lining"];
function pads(position: Position, id: string, title: string, titleEs: string): InspectionPoint {
  const isRear = position === "leftRear" || position === "rightRear";
  return point(id, "Brakes", "brakes", title, titleEs, {
    ...(isRear ? DISC : {}),
    position,
    measures: [pad("pad", "Pad", true)],
    notes: PAD_NOTES,
  });
}

/** Points we ship, in our own words: whoever begins has them, and changes what they like. */
export const USUAL_POINTS: readonly InspectionPoint[] = [
  point("tread", "Tires", "tires", "Tire tread, lowest", "Dibujo de llantas, el más bajo", { measures: [{ ...tread("value", "Tread"), most: 14 }], notes: ["Front pair", "Rear pair", "Worn on the inner edge"] }),
  point("frontPads", "Brakes", "brakes", "Front brake pads", "Pastillas delanteras", { measures: [pad("value", "Pad")], notes: PAD_NOTES }),
  point("rearPads", "Brakes", "brakes", "Rear brake pads", "Pastillas traseras", { measures: [pad("value", "Pad")], notes: PAD_NOTES }),
  point("battery", "Under the hood", "battery", "Battery at rest", "Batería en reposo", { measures: [{ ...rest, key: "value", name: "Voltage" }], notes: ["Terminals corroded", "Case swollen", "Over five years old"] }),
  point("oil", "Under the hood", "oil", "Engine oil", "Aceite de motor", { ...COMBUSTION, notes: ["Low", "Dark, due", "Smells of fuel", "Milky"] }),
  point("coolant", "Under the hood", "coolant", "Coolant", "Refrigerante", { measures: [{ key: "freeze", name: "Freezes at", kind: "freezePoint", unit: "°F", step: 1, start: -34, most: 50, watchAbove: -20, actAbove: 10 }], notes: ["Low", "Rusty", "Mixed kinds"] }),
  point("steering", "Underneath", "steering", "Steering and suspension", "Dirección y suspensión", { notes: ["Play in the links", "Boot torn", "Strut leaks"] }),
  point("wipers", "Outside", "wipers", "Wipers and washers", "Limpiaparabrisas", { notes: ["Streaks", "Torn", "Washer empty"] }),
  point("lights", "Outside", "lights", "Lights all around", "Luces", { notes: ["Brake light out", "Headlamp out", "Lens cloudy"] }),
  point("leaks", "Underneath", "leaks", "Leaks under the car", "Fugas debajo del auto", { notes: ["Oil", "Coolant", "Brake fluid", "Damp, no drops"] }),
  point("headlamps", "Outside", "lights", "Headlamps, low and high", "Faros, bajas y altas", { notes: ["Low beam out", "High beam out", "Lens cloudy", "Aimed too high"] }),
  point("signals", "Outside", "lights", "Turn signals and hazards", "Direccionales y luces de emergencia", { notes: ["Front out", "Rear out", "Blinks fast"] }),
  point("brakeLights", "Outside", "lights", "Brake lights", "Luces de freno", { notes: ["One out", "High mount out"] }),
  point("tailLights", "Outside", "lights", "Tail, plate and backup lights", "Luces traseras, de placa y de reversa", { notes: ["Plate light out", "Backup light out", "Lens broken"] }),
  point("windshield", "Outside", "glass", "Windshield and glass", "Parabrisas y vidrios", { notes: ["Chip", "Crack in the driver's view", "Crack at the edge"] }),
  point("mirrors", "Outside", "glass", "Mirrors", "Espejos", { notes: ["Glass broken", "Loose"] }),
  point("horn", "Inside", "safety", "Horn", "Claxon", { notes: ["Weak", "Silent"] }),
  point("seatBelts", "Inside", "safety", "Seat belts", "Cinturones de seguridad", { notes: ["Frayed", "Does not lock", "Slow to roll up"] }),
  point("warningLamps", "Inside", "safety", "Warning lamps go out", "Los testigos se apagan", { notes: ["Engine lamp stays on", "Airbag lamp stays on", "Brake lamp stays on"] }),
  point("pedal", "Inside", "brakes", "Brake pedal", "Pedal de freno", { notes: ["Soft", "Sinks slowly", "Low"] }),
  point("parkingBrake", "Inside", "brakes", "Parking brake", "Freno de mano", { notes: ["Does not hold", "Travel too long"] }),
  point("steeringPlay", "Inside", "steering", "Steering play", "Juego de la dirección", { notes: ["More than an inch", "Knocks"] }),
  point("heatAndAir", "Inside", "climate", "Heat, air and defrost", "Calefacción, aire y desempañador", { notes: ["Blows warm", "Blower slow", "No defrost"] }),
  point("brakeFluid", "Under the hood", "brakeFluid", "Brake fluid", "Líquido de frenos", { measures: [{ key: "water", name: "Water", kind: "fluidWater", unit: "%", step: 0.5, start: 1, most: 6, watchAbove: 2, actAbove: 3 }], notes: ["Dark", "Low"] }),
  point("powerSteering", "Under the hood", "fluids", "Power steering fluid", "Líquido de dirección", { ...COMBUSTION, notes: ["Low", "Burnt", "Electric, has none"] }),
  point("transmissionFluid", "Under the hood", "fluids", "Transmission fluid", "Líquido de transmisión", { ...COMBUSTION, notes: ["Dark", "Smells burnt", "Sealed, no stick"] }),
  point("washerFluid", "Under the hood", "wipers", "Washer fluid", "Líquido limpiaparabrisas", { notes: ["Filled up", "Leaks"] }),
  point("belt", "Under the hood", "belts", "Accessory belt", "Banda de accesorios", { ...COMBUSTION, notes: ["Cracked", "Frayed", "Squeals", "Loose"] }),
  point("hoses", "Under the hood", "coolant", "Coolant hoses", "Mangueras", { notes: ["Soft", "Swollen", "Seeps at the clamp"] }),
  point("airFilter", "Under the hood", "filters", "Engine air filter", "Filtro de aire", { ...COMBUSTION, notes: ["Dirty", "Mouse nest"] }),
  point("cabinFilter", "Under the hood", "filters", "Cabin filter", "Filtro de cabina", { notes: ["Dirty", "Smells", "Missing"] }),
  point("battery12", "Under the hood", "battery", "12 volt battery", "Batería de 12 voltios", { measures: [{ ...rest, isMust: true }, { key: "rated", name: "Rated", kind: "ratedAmps", unit: "A", step: 10, start: 600, most: 1500, carLimit: null }, { key: "measured", name: "Measured", kind: "crankingAmps", unit: "A", step: 10, start: 550, most: 1700 }, { key: "load", name: "Under load", kind: "loadVolts", unit: "V", step: 0.1, start: 10.2, most: 13 }, { key: "degrees", name: "Temperature", kind: "temperature", unit: "°F", step: 1, start: 60, most: 140 }], notes: ["Terminals corroded", "Case swollen", "Loose", "Over five years old"] }),
  point("charging", "Under the hood", "charging", "Charging", "Carga del alternador", { measures: [charging], notes: ["Weak under load", "Ripple", "Belt slips"] }),
  point("plugs", "Under the hood", "drive", "Spark plugs and coils", "Bujías y bobinas", { onlyFor: { power: "spark", rearBrakes: null }, notes: ["Worn gap", "Oily", "By age due"] }),
  tire("leftFront", "tireLeftFront", "Tire, left front", "Llanta delantera izquierda"),
  tire("rightFront", "tireRightFront", "Tire, right front", "Llanta delantera derecha"),
  tire("leftRear", "tireLeftRear", "Tire, left rear", "Llanta trasera izquierda"),
  tire("rightRear", "tireRightRear", "Tire, right rear", "Llanta trasera derecha"),
  point("spare", "Tires", "tires", "Spare or sealant", "Refacción o sellador", { notes: ["Flat", "Missing", "Sealant out of date"] }),
  point("wheels", "Tires", "tires", "Wheels and nuts", "Rines y tuercas", { notes: ["Nut missing", "Rim bent", "Corroded"] }),
  pads("leftFront", "padLeftFront", "Pads, left front", "Pastillas, delantera izquierda"),
  pads("rightFront", "padRightFront", "Pads, right front", "Pastillas, delantera derecha"),
  pads("leftRear", "padLeftRear", "Pads, left rear", "Pastillas, trasera izquierda"),
  pads("rightRear", "padRightRear", "Pads, right rear", "Pastillas, trasera derecha"),
  point("shoes", "Brakes", "brakes", "Rear drums and shoes", "Tambores y zapatas", { ...DRUM, measures: [{ ...pad("shoe", "Shoe", true), start: 4, most: 8, watchBelow: 2.5, actBelow: 1.6 }], notes: ["Cylinder leaks", "Drum scored"] }),
  point("rotorsFront", "Brakes", "brakes", "Front rotors", "Discos delanteros", { measures: [rotor("rotorMinimumFrontMm")], notes: ["Grooved", "Heat cracks", "Rust lip", "Runs out"] }),
  point("rotorsRear", "Brakes", "brakes", "Rear rotors", "Discos traseros", { ...DISC, measures: [{ ...rotor("rotorMinimumRearMm"), start: 10 }], notes: ["Grooved", "Rusted", "Rust lip"] }),
  point("brakeLines", "Brakes", "brakes", "Brake lines and hoses", "Líneas y mangueras de freno", { notes: ["Rusted", "Hose cracked", "Wet"] }),
  point("ballJoints", "Underneath", "steering", "Ball joints", "Rótulas", { notes: ["Play left", "Play right", "Boot torn"] }),
  point("tieRods", "Underneath", "steering", "Tie rods", "Terminales de dirección", { notes: ["Play left", "Play right", "Boot torn"] }),
  point("bushings", "Underneath", "suspension", "Control arms and bushings", "Horquillas y bujes", { notes: ["Bushing torn", "Bent"] }),
  point("struts", "Underneath", "suspension", "Front struts", "Amortiguadores delanteros", { notes: ["Leaks left", "Leaks right", "Spring broken"] }),
  point("shocks", "Underneath", "suspension", "Rear shocks", "Amortiguadores traseros", { notes: ["Leaks left", "Leaks right", "Worn"] }),
  point("boots", "Underneath", "drive", "Axle boots", "Cubrepolvos de flechas", { notes: ["Torn, outer", "Torn, inner", "Grease thrown"] }),
  point("bearings", "Underneath", "suspension", "Wheel bearings", "Baleros de rueda", { notes: ["Hums left front", "Hums right front", "Play"] }),
  point("exhaust", "Underneath", "exhaust", "Exhaust", "Escape", { ...COMBUSTION, notes: ["Leaks", "Hanger broken", "Rusted through"] }),
  point("engineLeaks", "Underneath", "leaks", "Engine and transmission leaks", "Fugas de motor y transmisión", { notes: ["Oil pan", "Valve cover", "Seal", "Damp, no drops"] }),
  point("fuelLines", "Underneath", "leaks", "Fuel tank and lines", "Tanque y líneas de combustible", { ...COMBUSTION, notes: ["Seeps", "Strap rusted"] }),
  point("roadFeel", "On the road", "drive", "Pulls, shifts and stops straight", "Avanza, cambia y frena derecho", { notes: ["Pulls left", "Pulls right", "Shifts hard", "Shakes when braking"] }),
  point("roadNoise", "On the road", "suspension", "No noise over bumps and with speed", "Sin ruidos en baches ni a velocidad", { notes: ["Clunks", "Hums", "Squeaks"] }),
  point("bodyHistory", "The car itself", "safety", "Paint, gaps and signs of a crash", "Pintura y señales de choque", { isPhotoMust: true, notes: ["Repainted", "Gaps differ", "Welds seen"] }),
  point("vinMatches", "The car itself", "safety", "VIN the same on dash, door and papers", "VIN igual en tablero, puerta y papeles", { notes: ["Door label missing", "Does not match"] }),
  point("rustBelow", "The car itself", "safety", "Rust underneath", "Óxido por debajo", { isPhotoMust: true, notes: ["Surface only", "Frame scaled", "Holes"] }),
  point("everyButton", "The car itself", "safety", "Windows, locks, seats, radio", "Vidrios, seguros, asientos, radio", { notes: ["Window stuck", "Lock dead"] }),
  point("coldStart", "The car itself", "drive", "Starts cold, idles, no smoke", "Arranca en frío, sin humo", { ...COMBUSTION, notes: ["Blue smoke", "White smoke", "Rattles at start"] }),
  point("ventTemperature", "Air conditioning", "climate", "Air at the vent", "Aire en la rejilla", { measures: [{ key: "vent", name: "Vent", kind: "temperature", unit: "°F", step: 1, start: 45, most: 110, watchAbove: 50, actAbove: 60, isMust: true }], notes: ["One side warm", "Cycles fast"] }),
  point("lowSide", "Air conditioning", "climate", "Low side pressure", "Presión del lado bajo", { measures: [{ key: "low", name: "Low side", kind: "other", unit: "psi", step: 1, start: 35, most: 150, watchBelow: 25, actBelow: 15, watchAbove: 45, actAbove: 60 }] }),
  point("highSide", "Air conditioning", "climate", "High side pressure", "Presión del lado alto", { measures: [{ key: "high", name: "High side", kind: "other", unit: "psi", step: 5, start: 220, most: 600, watchBelow: 150, actBelow: 100, watchAbove: 300, actAbove: 350 }] }),
  point("compressor", "Air conditioning", "climate", "Compressor and clutch", "Compresor y embrague", { notes: ["Does not engage", "Noisy", "Oily"] }),
  point("condenser", "Air conditioning", "climate", "Condenser and fan", "Condensador y ventilador", { notes: ["Stone hit", "Fan dead", "Dirty"] }),
  point("drain", "Charging and starting", "battery", "Drain with everything off", "Consumo con todo apagado", { measures: [{ key: "drain", name: "Drain", kind: "other", unit: "A", step: 0.01, start: 0.03, most: 20, watchAbove: 0.05, actAbove: 0.2 }] }),
  point("terminals", "Charging and starting", "battery", "Terminals and grounds", "Terminales y tierras", { notes: ["Corroded", "Loose", "Cleaned"] }),
  point("cranking", "Charging and starting", "battery", "Cranks strong", "Gira con fuerza", { ...COMBUSTION, measures: [{ key: "cranking", name: "While cranking", kind: "other", unit: "V", step: 0.1, start: 10.5, most: 13, watchBelow: 10, actBelow: 9.6 }], notes: ["Slow", "Clicks"] }),
  point("driveBattery", "High voltage", "highVoltage", "Drive battery health", "Salud de la batería de tracción", { ...HIGH_VOLTAGE, measures: [{ key: "health", name: "Health", kind: "other", unit: "%", step: 1, start: 90, most: 100, watchBelow: 80, actBelow: 70 }], notes: ["Cells apart", "Fan dirty"] }),
  point("highVoltageCables", "High voltage", "highVoltage", "High voltage cables and covers", "Cables y tapas de alto voltaje", { ...HIGH_VOLTAGE, notes: ["Cover loose", "Sheath chafed"] }),
  point("chargePort", "High voltage", "highVoltage", "Charge port and cord", "Puerto y cable de carga", { ...PLUG, notes: ["Pin burnt", "Door broken"] }),
  point("batteryCooling", "High voltage", "highVoltage", "Battery cooling", "Enfriamiento de la batería", { ...HIGH_VOLTAGE, notes: ["Low", "Filter dirty"] }),
  point("reductionGear", "High voltage", "highVoltage", "Reduction gear", "Engrane reductor", { ...HIGH_VOLTAGE, notes: ["Seeps", "Whines"] }),
]; // prettier-ignore
