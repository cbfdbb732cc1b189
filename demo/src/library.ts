import type { LibraryJob, QuoteLine } from "@mechanon/core";

const RATE_CENTS = 13800;
const WAGE_CENTS = 3900;

function labor(description: string, hours: number): QuoteLine {
  return { id: "", kind: "labor", description, hours, rateCents: RATE_CENTS, wageCents: WAGE_CENTS, paidHours: null };
}
function part(
  description: string,
  brand: string,
  partNumber: string,
  quantity: number,
  costCents: number,
  markup = "standard",
): QuoteLine {
  return { id: "", kind: "part", description, quantity, costCents, markup, priceCents: null, partNumber, brand };
}
function fee(description: string, priceCents: number, quantity = 1): QuoteLine {
  return { id: "", kind: "fee", description, quantity, priceCents };
}
function core(description: string, priceCents: number): QuoteLine {
  return { id: "", kind: "core", description, quantity: 1, priceCents };
}
function job(
  id: string,
  title: string,
  area: string,
  lines: QuoteLine[],
  curesPoints: string[] = [],
  answersConcerns: string[] = [],
): LibraryJob {
  return {
    id,
    title,
    area,
    curesPoints,
    answersConcerns,
    lines: lines.map((line, index) => ({ ...line, id: `${id}-${index + 1}` })),
  };
}

/** The jobs the demo business keeps ready. Brands and part numbers are made up. */
export const LIBRARY: LibraryJob[] = [
  job("front-pads", "Front brake pads", "Brakes", [labor("Replace front pads, clean slides", 1.1), part("Front pad set", "Halyard", "HY-4410", 1, 3420), fee("Brake dust disposal", 250)], ["frontPads"], ["brakes-squeal"]),
  job("front-brakes", "Front pads and rotors", "Brakes", [labor("Replace front pads and rotors", 1.6), part("Front pad set", "Halyard", "HY-4410", 1, 3420), part("Front rotor", "Halyard", "HY-7718", 2, 4180)], ["frontPads"], ["brakes-grind", "brakes-squeal"]),
  job("rear-brakes", "Rear pads and rotors", "Brakes", [labor("Replace rear pads and rotors", 1.7), part("Rear pad set", "Halyard", "HY-4425", 1, 3110), part("Rear rotor", "Halyard", "HY-7731", 2, 3860)], ["rearPads"], ["brakes-grind"]),
  job("battery", "Battery", "Electrics", [labor("Replace battery, register, test charging", 0.5), part("Battery, group 48", "Northlight", "NL-48H6", 1, 11250), core("Battery core", 2200), fee("Battery fee", 300)], ["battery"], ["no-start", "slow-crank"]),
  job("starter", "Starter motor", "Electrics", [labor("Replace starter", 1.8), part("Starter, rebuilt", "Northlight", "NL-S230", 1, 14890), core("Starter core", 4500)], [], ["no-start"]),
  job("oil-service", "Oil and filter", "Service", [labor("Change oil and filter, set reminder", 0.5), part("Oil 0W-20, quart", "Kelpline", "KL-020Q", 5, 480), part("Oil filter", "Kelpline", "KL-F12", 1, 560), fee("Used oil", 350)], ["oil"], ["oil-due"]),
  job("coolant-service", "Coolant exchange", "Fluids", [labor("Exchange coolant, bleed", 0.9), part("Coolant, gallon", "Kelpline", "KL-C1G", 2, 1490)], ["coolant"], ["runs-hot"]),
  job("thermostat", "Thermostat", "Engine", [labor("Replace thermostat", 1.2), part("Thermostat with housing", "Brinewell", "BW-T190", 1, 2870), part("Coolant, gallon", "Kelpline", "KL-C1G", 1, 1490)], ["coolant"], ["runs-hot"]),
  job("wipers", "Wiper blades", "Outside", [labor("Fit wiper blades", 0.1), part("Wiper blade", "Spindrift", "SD-22", 2, 890)], ["wipers"], ["wipers-new"]),
  job("front-tires", "Two front tires", "Wheels", [labor("Mount and balance", 0.8), part("Tire 215/55R17 94V", "Saltroad", "SR-2155517", 2, 8640, "tires"), part("Valve stem", "Saltroad", "SR-V1", 2, 180), fee("Tire disposal", 400, 2)], ["tread"], ["tires-new", "hum-speed"]),
  job("wheel-bearing", "Front wheel bearing", "Wheels", [labor("Replace hub bearing", 1.9), part("Hub bearing", "Brinewell", "BW-H552", 1, 7620)], ["steering"], ["hum-speed"]),
  job("stabilizer-links", "Stabilizer links, front", "Underneath", [labor("Replace both links", 0.8), part("Stabilizer link", "Brinewell", "BW-L08", 2, 1980)], ["steering"], ["clunk-bumps"]),
  job("diagnosis", "Diagnosis, first hour", "Diagnosis", [labor("Diagnose and report", 1)], [], ["warning-light", "no-start", "runs-hot", "hum-speed", "clunk-bumps"]),
  job("check-over", "Check-over, eight points", "Service", [labor("Inspect and report", 0.4)], [], ["check-over"]),
]; // prettier-ignore
