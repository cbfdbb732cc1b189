import inspectionBefore from "../testing/samples/inspection.v1.json";
import { NO_FACTS } from "../laborGuide/carFacts";
import { LIBRARY, POINTS, SETTINGS, run, start } from "../testing/sampleWorkOrder";
import { upgradeSettings } from "../settings/businessSettings";
import { appliesTo } from "./appliesTo";
import { jobsToTie, offersForConcerns, offersForFindings, positionsOfCure } from "./offers";
import { inspectionPoint, pointFault } from "./point";
import { openPoints, pointsAtHand, restThatCanBeSound, sheetsAtHand } from "./sheetsAtHand";
import { standingUnsafe } from "./standingUnsafe";
import { USUAL_POINTS, USUAL_SHEETS } from "./usualSheets";
import { wearAhead } from "./wearAhead";
import type { Grade } from "./slice";

const [pads, oil] = POINTS;
const grade = (pointId: string, is: Grade, over: object = {}) => ({
  ...{ type: "gradePoint" as const, pointId, grade: is, measures: {}, note: "" },
  ...over,
});
const TOMAS = { id: "tomas", name: "Tomas Quill", rights: [] };
const none = (): number => 0;

describe("what is offered", () => {
  const state = run(start(), grade("pads", "act", { measures: { value: 2 } }));
  const onQuote = run(state, {
    ...{ type: "addJob", jobId: "j", libraryJobId: "brakes", lineIds: ["x", "y"] },
    ...{ concernId: "c1", pointIds: ["pads"] },
  });
  it("is the cure for a bad point and the answer to a concern, once", () => {
    expect(offersForFindings(state, LIBRARY)).toMatchObject([{ pointIds: ["pads"], libraryJob: { id: "brakes" } }]);
    expect(offersForConcerns(state, LIBRARY)).toMatchObject([{ concernId: "c1" }]);
    expect([...offersForFindings(onQuote, LIBRARY), ...offersForConcerns(onQuote, LIBRARY)]).toEqual([]);
  });
  it("takes all findings of a job together, the worst first, and ties those that come later", () => {
    const library = LIBRARY.map((job) => ({ ...job, curesPoints: ["pads", "oil"] }));
    const both = run(run(start(), grade("oil", "watch")), grade("pads", "unsafe"));
    expect(offersForFindings(both, library)).toMatchObject([{ pointIds: ["pads", "oil"] }]);
    const later = run(onQuote, grade("oil", "watch"));
    expect(jobsToTie(later, "oil", library).map(({ id }) => id)).toEqual(["j"]);
    const tied = run(later, { type: "tieFindings", jobId: "j", pointIds: ["oil", "pads"] });
    expect(tied.jobs[0]?.pointIds).toEqual(["pads", "oil"]);
    expect(jobsToTie(tied, "oil", library)).toEqual([]);
  });
  it("is done where it was found, or at the axle it is on", () => {
    const job = { ...LIBRARY[0]!, per: "wheel" as const, positions: [] };
    expect(positionsOfCure(job, [{ position: "leftRear" }])).toEqual(["leftRear"]);
    expect(positionsOfCure(job, [{ position: null }])).toEqual([]);
    const axle = { ...job, per: "corner" as const, positions: ["leftFront" as const, "rightFront" as const] };
    expect(positionsOfCure(axle, [{ position: "rightFront" }, { position: "leftFront" }])).toHaveLength(2);
    expect(positionsOfCure({ ...job, per: "job" }, [{ position: "leftFront" }])).toEqual([]);
  });
});

describe("a sheet", () => {
  const lists = { inspection: SETTINGS.inspection, sheets: SETTINGS.sheets };
  it("comes by its rule, once, and not where it was left out", () => {
    const state = start();
    expect(sheetsAtHand(state, lists, null)).toMatchObject([{ sheetId: "quick", isStarted: false }]);
    const begun = run(state, { type: "startSheet", sheetId: "quick" });
    expect(sheetsAtHand(begun, lists, null)).toMatchObject([{ sheetId: "quick", isStarted: true }]);
    expect(run(begun, { type: "startSheet", sheetId: "quick" })).toBe(begun);
    expect(sheetsAtHand(run(state, { type: "leaveOutSheet", sheetId: "quick" }), lists, null)).toEqual([]);
  });
  it.each([
    [{ firstVisit: true }, { sheets: [], visits: 0, measures: [] }, 1],
    [{ firstVisit: true }, { sheets: [], visits: 1, measures: [] }, 0],
    [{ firstVisit: true }, null, 0],
    [{ everyMiles: 5000 }, { sheets: [], visits: 1, measures: [] }, 0],
    [{ everyMiles: 5000 }, { sheets: [], visits: 1, measures: [{ odometer: 56000 }] }, 1],
    [{ everyMiles: 6000 }, { sheets: [], visits: 1, measures: [{ odometer: 56000 }] }, 0],
    [
      { everyMiles: 5000 },
      { sheets: [{ sheetId: "quick", at: "2026-01-01", miles: 58000 }], visits: 1, measures: [] },
      0,
    ],
    [
      { everyMiles: 3000 },
      { sheets: [{ sheetId: "quick", at: "2026-01-01", miles: 58000 }], visits: 1, measures: [] },
      1,
    ],
    [{ libraryJobIds: ["brakes"] }, null, 0],
  ])("%j with %j comes %d times", (rule, before, times) => {
    const state = run(start(), { type: "recordOdometer", miles: 61240 });
    const comes = { always: false, firstVisit: false, libraryJobIds: [], everyMiles: null, ...rule };
    const sheets = SETTINGS.sheets.map((sheet) => ({ ...sheet, comes }));
    expect(sheetsAtHand(state, { ...lists, sheets }, before)).toHaveLength(times);
  });
  it("runs as it was when it began, whatever the owner changes", () => {
    const begun = run(start(), { type: "startSheet", sheetId: "quick" });
    const changed = { ...SETTINGS, inspection: [], sheets: [] };
    const [sheet] = sheetsAtHand(begun, changed, null);
    expect(sheet?.points.map(({ id }) => id)).toEqual(["pads", "oil"]);
    expect(run(begun, grade("oil", "sound"), { settings: changed }).findings).toHaveLength(1);
  });
  it("is closed once, with the points nobody saw and why; what was graded meanwhile stands", () => {
    let state = run(run(start(), { type: "startSheet", sheetId: "quick" }), grade("oil", "watch"));
    const close = { type: "closeSheet" as const, sheetId: "quick", notSeen: ["pads", "oil", "x"], why: "Too hot" };
    state = run(state, close);
    expect(state.findings).toMatchObject([
      { pointId: "oil", grade: "watch" },
      { pointId: "pads", grade: "skipped", note: "Too hot" },
    ]);
    expect(run(state, close)).toBe(state);
    expect(pointsAtHand(sheetsAtHand(state, lists, null), NO_FACTS)).toEqual([]);
    state = run(state, { type: "reopenSheet", sheetId: "quick" });
    expect(state.sheets).toMatchObject([{ closedAt: null }]);
    expect(() => run(state, { ...close, sheetId: "none" })).toThrow("sheet/not-found");
  });
  it("leaves open what must be measured or photographed, in one word for the rest, too", () => {
    const must = inspectionPoint.parse({
      ...{ ...pads, id: "must", isPhotoMust: true },
      measures: pads?.measures.map((each) => ({ ...each, isMust: true })),
    });
    const points = [must, ...(oil ? [oil] : [])];
    expect(restThatCanBeSound(points, []).map(({ id }) => id)).toEqual(["oil"]);
    const at = "2026-11-27T10:00:00.000Z";
    const found = { pointId: "must", grade: "sound" as const, measures: {}, note: "", at, by: "odile" };
    expect(openPoints([must], [found], none)).toHaveLength(1);
    const measured = { ...found, measures: { value: 8 } };
    expect(openPoints([must], [measured], none)).toHaveLength(1);
    expect(openPoints([must], [measured], () => 1)).toEqual([]);
    expect(openPoints([must], [{ ...found, grade: "skipped" }], none)).toEqual([]);
  });
  it("makes the rest sound without touching what was graded", () => {
    const state = run(run(start(), grade("pads", "act")), { type: "gradeRest", pointIds: ["pads", "oil"] });
    expect(state.findings).toMatchObject([{ grade: "act" }, { pointId: "oil", grade: "sound" }]);
    expect(run(state, { type: "ungradePoint", pointIds: ["oil"] }).findings).toHaveLength(1);
  });
});

describe("two people on one point", () => {
  const first = run(start(), grade("pads", "act", { measures: { value: 2 } }), { actor: TOMAS });
  it("keep the worse word, and somebody is told", () => {
    const state = run(first, grade("pads", "sound", { over: null }));
    expect(state.findings).toMatchObject([{ grade: "act", measures: { value: 2 }, by: "tomas" }]);
    expect(state.conflicts).toMatchObject([{ code: "point/graded-twice", detail: "Pads (act, sound)" }]);
    expect(run(first, grade("pads", "unsafe", { over: null })).findings).toMatchObject([
      { grade: "unsafe", by: "odile" },
    ]);
  });
  it("who saw the other's word changes it, and one's own needs no seeing", () => {
    const at = first.findings[0]?.at;
    const state = run(first, grade("pads", "sound", { over: at }));
    expect(state).toMatchObject({ findings: [{ grade: "sound" }], conflicts: [] });
    expect(run(state, grade("pads", "watch", { over: null })).conflicts).toEqual([]);
  });
});

describe("what is not safe", () => {
  const told = { type: "tellUnsafe" as const, id: "t", pointIds: ["pads"], name: "Maren", way: "signed" as const };
  const state = run(start(), grade("pads", "unsafe"));
  it("stands until it is mended, and again when it is found again", () => {
    expect(standingUnsafe(state)).toMatchObject([{ isTold: false, isDeclined: false }]);
    const knows = run(state, { ...told, witness: "", signature: [[1, 1]] });
    expect(standingUnsafe(knows)).toMatchObject([{ isTold: true }]);
    expect(run(knows, { ...told, witness: "", signature: [] }).unsafeTold).toHaveLength(1);
    const mended = run(knows, { type: "mendFinding", pointId: "pads", how: "Mended elsewhere, seen today" });
    expect(standingUnsafe(mended)).toEqual([]);
    expect(standingUnsafe(run(mended, grade("pads", "unsafe")))).toHaveLength(1);
    expect(() => run(state, { type: "mendFinding", pointId: "oil", how: "x" })).toThrow("finding/not-found");
  });
  it("is cleared by the job that cures it once it is finished, not by a yes", () => {
    let quoted = run(state, {
      ...{ type: "addJob", jobId: "j", libraryJobId: "brakes", lineIds: ["x", "y"] },
      ...{ concernId: null, pointIds: ["pads"] },
    });
    expect(standingUnsafe(quoted)).toHaveLength(1);
    quoted = run(quoted, { type: "finishJobs", jobIds: ["j"] });
    expect(standingUnsafe(quoted)).toEqual([]);
  });
  it("a recall is noted once for each campaign", () => {
    const tell = { type: "tellRecall" as const, campaign: "R1", title: "Hose", name: "Maren" };
    expect(run(run(state, tell), { ...tell, name: "Ingrid" }).recallsTold).toMatchObject([{ name: "Ingrid" }]);
  });
});

describe("wear ahead", () => {
  const measure = pads?.measures[0];
  const before = (odometer: number, date: string, value: number) => ({
    ...{ pointId: "pads", key: "value", odometer, date, value },
  });
  const specs = {};
  it("begins where the part was new, and leaves other points out", () => {
    const ahead =
      measure &&
      wearAhead("pads", measure, {
        before: [
          before(30000, "2024-01-10", 3),
          before(40000, "2025-01-10", 9),
          { ...before(41000, "2025-02-10", 1), pointId: "oil" },
        ],
        now: { odometer: 52000, date: "2026-01-10", value: 6 },
        specs,
      });
    expect(ahead).toMatchObject({ limit: 3, wear: { remaining: 3, milesLeft: 12000 } });
    expect(ahead?.readings).toHaveLength(2);
  });
  it("is silent where nothing was measured or nothing wears", () => {
    expect(measure && wearAhead("pads", measure, { before: [], now: null, specs })).toBeNull();
    const volts = measure && { ...measure, kind: "restVolts" as const };
    const now = { odometer: 1, date: "2026-01-10", value: 6 };
    expect(volts && wearAhead("pads", volts, { before: [], now, specs })).toBeNull();
  });
});

describe("the sheets we ship", () => {
  it("have points that are there, limits that hold, and a full look of about fifty", () => {
    const ids = new Set(USUAL_POINTS.map(({ id }) => id));
    expect(ids.size).toBe(USUAL_POINTS.length);
    for (const { pointIds } of USUAL_SHEETS) {
      expect(pointIds.filter((id) => !ids.has(id))).toEqual([]);
      expect(new Set(pointIds).size).toBe(pointIds.length);
    }
    expect(USUAL_POINTS.map(pointFault).filter(Boolean)).toEqual([]);
    const [quick, full] = USUAL_SHEETS;
    expect(quick?.pointIds).toHaveLength(10);
    expect(full?.pointIds.length).toBeGreaterThanOrEqual(50);
  });
  it("ask nothing of a car that it does not have", () => {
    const electric = { ...NO_FACTS, power: { value: "electric" as const, from: "car" as const } };
    const drum = { ...NO_FACTS, specs: { rearBrakes: { value: "Drum", from: "specSheet" as const } } };
    const of = (id: string) => USUAL_POINTS.find((point) => point.id === id)!;
    expect([of("plugs"), of("oil"), of("driveBattery")].map((point) => appliesTo(point, electric))).toEqual([false, false, true]); // prettier-ignore
    expect([of("shoes"), of("padLeftRear")].map((point) => appliesTo(point, drum))).toEqual([true, false]);
    expect(USUAL_POINTS.every((point) => appliesTo(point, NO_FACTS))).toBe(true);
  });
  it("come beside a list of yesterday, which stays what is gone through", () => {
    const { sheets: _sheets, ...rest } = SETTINGS;
    const settings = upgradeSettings({ ...rest, inspection: inspectionBefore });
    expect(settings.sheets[0]).toMatchObject({ id: "own", comes: { always: true } });
    expect(settings.sheets[0]?.pointIds).toEqual(inspectionBefore.map(({ id }) => id));
    expect(settings.sheets.filter(({ comes }) => comes.always)).toHaveLength(1);
    expect(settings.inspection.find(({ id }) => id === "frontPads")?.measures).toMatchObject([
      { key: "value", kind: "pad", watchBelow: 5, actBelow: 3 },
    ]);
    expect(upgradeSettings(settings)).toEqual(settings);
    expect(upgradeSettings({ ...rest, inspection: [] }).sheets.map(({ id }) => id)).toEqual(
      USUAL_SHEETS.map(({ id }) => id),
    );
  });
});
