import { showDate, showMiles, showVehicle, specLines } from "@mechanon/core";
import type { VehicleSheetView } from "@mechanon/contract";
import { QueryTypes, type Sequelize } from "sequelize";
import { MUTED, letterPaper } from "../paper/letterPaper";
import type { Scope } from "../scope";

const MOST_LINES = 40;
const SPEC_WIDTH = 220;

/** What was done on a car, and what it needs, briefly, on Letter paper. Specs that are made up say so. */
export async function historyPdf(db: Sequelize, scope: Scope, sheet: VehicleSheetView): Promise<Buffer> {
  const { vehicle, specs, corrections, odometer } = sheet;
  const done = await workDone(db, scope, vehicle.id);
  const paper = letterPaper(`History of ${showVehicle(vehicle)}`, scope.businessName);
  paper.say(scope.businessName, 10, "regular", MUTED);
  paper.say(showVehicle(vehicle), 17, "bold");
  paper.say(
    [vehicle.plate, vehicle.vin, vehicle.unitNumber === null ? null : `Unit ${vehicle.unitNumber}`]
      .filter(Boolean)
      .join(" · "),
    10,
    "regular",
    MUTED,
  );
  const last = odometer.readings.at(-1);
  if (last)
    paper.say(
      `${showMiles(last.miles)} on ${showDate(last.at, scope.timeZone)}${odometer.milesPerYear === null ? "" : `, ${showMiles(odometer.milesPerYear)} a year`}`,
    );
  paper.rule();
  paper.say("Work done", 13, "bold");
  if (done.length === 0) paper.say("Nothing yet.");
  for (const { at, number, miles, titles } of done)
    paper.row(
      `${showDate(at, scope.timeZone)}  ${titles.join(", ")}`,
      [miles === null ? "" : showMiles(miles), String(number)].filter(Boolean).join(", "),
      "regular",
      undefined,
      130,
    );
  const lines = specLines(specs, corrections);
  if (lines.length > 0) {
    paper.rule();
    paper.say("Specs", 13, "bold");
    if (specs?.simulated) paper.say(`${SIMULATED} Source: ${specs.source}.`, 10, "bold");
    for (const { label, value, unit, correction } of lines)
      paper.row(
        label,
        `${value}${unit === null ? "" : ` ${unit}`}${correction ? `, found by ${correction.by} ${showDate(correction.at, scope.timeZone)}` : specs?.simulated ? " (simulated)" : ""}`,
        "regular",
        undefined,
        SPEC_WIDTH,
      );
  }
  return paper.finish();
}

/** Said wherever specs come from a stand-in. */
const SIMULATED = "Simulated: these specs are made up and good for trying things out only.";

interface Done {
  at: string;
  number: number;
  miles: number | null;
  titles: string[];
}

/** Finished jobs by work order, newest first. */
async function workDone(db: Sequelize, { businessId }: Scope, vehicleId: string): Promise<Done[]> {
  return db.query<Done>(
    `select number, (state->'odometerMiles'->>'value')::int as miles, max(job->>'finishedAt') as at,
       array_agg(job->>'title' order by job->>'finishedAt') as titles
     from work_orders, jsonb_array_elements(state->'jobs') job
     where business_id = $1 and vehicle_id = $2 and job->>'finishedAt' is not null
     group by id, number, state order by at desc limit ${MOST_LINES}`,
    { bind: [businessId, vehicleId], type: QueryTypes.SELECT },
  );
}
