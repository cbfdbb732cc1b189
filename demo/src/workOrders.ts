import type { Answer, Grade } from "@mechanon/core";

/** A visit of the demo: days from the day it is loaded, wall-clock times. */
export interface DemoVisit {
  day: number;
  at: string;
  minutes: number;
  mechanic: "odile" | "tomas";
  reached?: "driving" | "onSite" | "over";
  note?: string;
}
export interface DemoWorkOrder {
  car: string;
  /** Days before today it was opened. */
  openedDaysAgo: number;
  concerns: string[];
  ownWords?: string;
  visits: DemoVisit[];
  odometer?: number;
  /** Front and rear, in psi, as they were set. */
  pressures?: [number, number];
  findings?: Record<string, { grade: Grade; measured?: number; note?: string }>;
  jobs?: string[];
  answers?: Record<string, Answer>;
  parts?: "ordered" | "received";
  finished?: boolean;
  paid?: "cash" | "card";
}

const ALL_SOUND: NonNullable<DemoWorkOrder["findings"]> = {
  tread: { grade: "sound", measured: 8 },
  frontPads: { grade: "sound", measured: 8 },
  rearPads: { grade: "sound", measured: 7 },
  battery: { grade: "sound", measured: 12.6 },
  oil: { grade: "sound" },
  coolant: { grade: "sound" },
  steering: { grade: "sound" },
  wipers: { grade: "sound" },
  lights: { grade: "sound" },
  leaks: { grade: "sound" },
};

/** What is going on at the demo business, in the order it was opened. */
export const WORK_ORDERS: DemoWorkOrder[] = [
  { car: "sunniva-crv", openedDaysAgo: 402, concerns: ["oil-due"], visits: [{ day: -401, at: "09:00", minutes: 60, mechanic: "tomas", reached: "over" }], odometer: 45910, findings: ALL_SOUND, jobs: ["oil-service"], answers: { "oil-service": "yes" }, parts: "received", finished: true, paid: "cash" },
  { car: "maren-accord", openedDaysAgo: 310, concerns: ["oil-due"], visits: [{ day: -309, at: "13:00", minutes: 60, mechanic: "odile", reached: "over" }], odometer: 70455, pressures: [33, 32], findings: { ...ALL_SOUND, frontPads: { grade: "sound", measured: 7.5 }, rearPads: { grade: "sound", measured: 8 }, wipers: { grade: "watch", note: "Streaks" } }, jobs: ["oil-service", "wipers"], answers: { "oil-service": "yes", wipers: "later" }, parts: "received", finished: true, paid: "card" },
  { car: "sunniva-crv", openedDaysAgo: 205, concerns: ["oil-due"], visits: [{ day: -204, at: "10:00", minutes: 60, mechanic: "odile", reached: "over" }], odometer: 53380, findings: ALL_SOUND, jobs: ["oil-service"], answers: { "oil-service": "yes" }, parts: "received", finished: true, paid: "card" },
  { car: "maren-accord", openedDaysAgo: 120, concerns: ["tires-new"], visits: [{ day: -119, at: "09:30", minutes: 90, mechanic: "tomas", reached: "over" }], odometer: 77120, pressures: [33, 33], findings: { ...ALL_SOUND, frontPads: { grade: "sound", measured: 5.5 }, rearPads: { grade: "sound", measured: 7 } }, jobs: ["front-tires"], answers: { "front-tires": "yes" }, parts: "received", finished: true, paid: "card" },
  { car: "amparo-odyssey", openedDaysAgo: 9, concerns: ["brakes-grind"], visits: [], jobs: ["front-brakes"] },
  { car: "teodor-outback", openedDaysAgo: 6, concerns: ["clunk-bumps"], visits: [{ day: -5, at: "13:00", minutes: 60, mechanic: "tomas", reached: "over" }], odometer: 148220, findings: { ...ALL_SOUND, steering: { grade: "act", note: "Both front links loose" } }, jobs: ["diagnosis", "stabilizer-links"], answers: { diagnosis: "yes", "stabilizer-links": "yes" }, parts: "ordered" },
  { car: "bram-tahoe", openedDaysAgo: 4, concerns: ["runs-hot"], visits: [{ day: -3, at: "10:00", minutes: 90, mechanic: "odile", reached: "over" }], odometer: 121873, findings: { ...ALL_SOUND, coolant: { grade: "act", note: "Low, thermostat opens late" } }, jobs: ["thermostat"], answers: { thermostat: "yes" }, parts: "received", finished: true },
  { car: "caspian-rogue", openedDaysAgo: 3, concerns: ["warning-light"], ownWords: "Light came on after filling up", visits: [] },
  { car: "sunniva-crv", openedDaysAgo: 2, concerns: ["oil-due", "check-over"], visits: [{ day: -1, at: "09:00", minutes: 60, mechanic: "odile", reached: "over" }], odometer: 61240, findings: { ...ALL_SOUND, wipers: { grade: "watch", note: "Streaks on the left" } }, jobs: ["oil-service", "wipers"], answers: { "oil-service": "yes", wipers: "later" }, parts: "received", finished: true, paid: "card" },
  { car: "delphine-mazda3", openedDaysAgo: 2, concerns: ["no-start"], visits: [{ day: -1, at: "11:00", minutes: 60, mechanic: "tomas", reached: "over" }], odometer: 132410, findings: { ...ALL_SOUND, battery: { grade: "act", measured: 11.7 } }, jobs: ["battery"], answers: { battery: "yes" }, parts: "received", finished: true, paid: "cash" },
  { car: "oskar-soul", openedDaysAgo: 2, concerns: ["tires-new"], visits: [{ day: -1, at: "14:30", minutes: 90, mechanic: "tomas", reached: "over" }], odometer: 97330, findings: { ...ALL_SOUND, tread: { grade: "act", measured: 3 } }, jobs: ["front-tires"] },
  { car: "maren-accord", openedDaysAgo: 1, concerns: ["brakes-grind"], ownWords: "Worse going downhill to the ferry", visits: [{ day: 0, at: "09:00", minutes: 90, mechanic: "odile", note: "Gate code 4410, dog is friendly" }] },
  { car: "bread-transit", openedDaysAgo: 1, concerns: ["oil-due"], visits: [{ day: 0, at: "07:30", minutes: 60, mechanic: "odile", reached: "over" }], odometer: 88102, findings: ALL_SOUND, jobs: ["oil-service"], answers: { "oil-service": "yes" }, parts: "received", finished: true },
  { car: "noor-prius", openedDaysAgo: 1, concerns: ["slow-crank"], visits: [{ day: 0, at: "11:00", minutes: 60, mechanic: "odile" }] },
  { car: "ingrid-malibu", openedDaysAgo: 1, concerns: ["hum-speed"], visits: [{ day: 0, at: "13:30", minutes: 120, mechanic: "odile" }] },
  { car: "jasper-f150", openedDaysAgo: 1, concerns: ["brakes-squeal"], visits: [{ day: 0, at: "10:00", minutes: 90, mechanic: "tomas" }], jobs: ["front-pads"], answers: { "front-pads": "yes" } },
  { car: "jasper-corolla", openedDaysAgo: 1, concerns: ["wipers-new"], visits: [{ day: 0, at: "15:30", minutes: 30, mechanic: "tomas", note: "Key is with the neighbor at number 9" }] },
  { car: "petra-sonata", openedDaysAgo: 0, concerns: ["check-over"], visits: [{ day: 1, at: "09:30", minutes: 60, mechanic: "odile" }] },
  { car: "linus-cherokee", openedDaysAgo: 0, concerns: ["runs-hot", "oil-due"], visits: [{ day: 1, at: "11:30", minutes: 90, mechanic: "odile" }] },
  { car: "bram-silverado", openedDaysAgo: 0, concerns: ["clunk-bumps"], visits: [{ day: 1, at: "10:00", minutes: 120, mechanic: "tomas" }] },
  { car: "bread-caravan", openedDaysAgo: 0, concerns: ["brakes-squeal"], visits: [{ day: 1, at: "13:30", minutes: 60, mechanic: "tomas" }] },
]; // prettier-ignore
