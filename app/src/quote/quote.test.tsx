import { act, fireEvent, screen, waitFor } from "@testing-library/react-native";
import type { Job, QuoteLine, Right, StockItem, WorkOrderState } from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import { BUSINESS, fakeServer, givenCommands as given, resetSync, show } from "../testing/harness";
import { jobSample, stateSample, viewSample } from "../testing/samples";
import { visited } from "../testing/router";
import { dropAct, endOf } from "./dropAct";
import { CompareScreen } from "./CompareScreen";
import { QuoteSection } from "./QuoteSection";

const job = jobSample();
const RULES = BUSINESS.settings.rules;
const view = (state: Partial<WorkOrderState>, over: Partial<WorkOrderView> = {}): WorkOrderView =>
  viewSample({ state: stateSample(state), ...over });
const open = (state: Partial<WorkOrderState> = { jobs: [job] }, business = BUSINESS, rights?: Right[]): void => {
  show(
    <QuoteSection view={view(state)} business={business} isUnsent={false} />,
    rights === undefined ? {} : { rights },
  );
};
const press = (name: string | RegExp): void => fireEvent.press(screen.getByRole("button", { name }));
const choose = (name: string | RegExp): void => fireEvent.press(screen.getByRole("radio", { name }));
const type = (label: string, value: string): void => {
  fireEvent.changeText(screen.getByLabelText(label), value);
  fireEvent(screen.getByLabelText(label), "blur");
};
const openBlade = (): void => press(/^2 × Wiper blade/);

beforeEach(() => {
  fakeServer({});
  visited.length = 0;
  resetSync();
});

describe("a line", () => {
  it("says how its price came about, rule by rule, and what is left of it", () => {
    open();
    openBlade();
    choose("Why");
    expect(screen.getByText(/Cost \$8.00 × 2, table “standard”/)).toBeTruthy();
    expect(screen.getByText("2 × $16.00")).toBeTruthy();
    expect(screen.getAllByText("50 %, $16.00").length).toBeGreaterThan(0);
  });
  it("takes a share or an amount off, and says when that is no discount", () => {
    open();
    openBlade();
    choose("Less");
    type("Less on Wiper blade", "10%");
    type("Less on Wiper blade", "a lot");
    expect(screen.getByText("✕ 10% or 25.00; empty for none")).toBeTruthy();
    // What does not fit is not left behind.
    expect(screen.getByRole("button", { name: "Done" }).props.accessibilityState).toMatchObject({ disabled: true });
    type("Less on Wiper blade", "5.50");
    expect(given()).toMatchObject([{ change: { off: { percent: 10 } } }, { change: { off: { amountCents: 550 } } }]);
  });
  it("is free only where more comes off than it costs", () => {
    const off = (amountCents: number): Job[] => [
      { ...job, lines: job.lines.map((line) => (line.kind === "part" ? { ...line, off: { amountCents } } : line)) },
    ];
    // More than is left of it, and less than it costs.
    open({ jobs: off(2000) });
    openBlade();
    choose("Less");
    expect(screen.getAllByText("$20.00 off").length).toBeGreaterThan(1);
    screen.unmount();
    open({ jobs: off(9000) });
    openBlade();
    choose("Less");
    expect(screen.getByText("more than the price: it is free")).toBeTruthy();
  });
  it("is typed with the keys it takes: a share and a name are no digits", () => {
    open();
    openBlade();
    choose("Less");
    expect(screen.getByLabelText("Less on Wiper blade").props.inputMode).toBe("text");
    choose("Notes");
    expect(screen.getByLabelText("What it is called").props.inputMode).toBe("text");
    type("What it is called", " ");
    expect(screen.getByText("✕ say what it is")).toBeTruthy();
    expect(given()).toEqual([]);
  });
  it("is taxed or not", () => {
    open();
    openBlade();
    choose("Less");
    fireEvent.press(screen.getByRole("checkbox", { name: "No tax on it" }));
    expect(given()).toMatchObject([{ change: { taxIds: [] } }]);
  });
  it("has a note for the customer and one for us alone, each once it is left", () => {
    open();
    openBlade();
    choose("Notes");
    type("Note for the customer", "quieter ones");
    type("Note for us alone", "margin is thin");
    type("Note for us alone", "");
    expect(given()).toMatchObject([
      { change: { noteForCustomer: "quieter ones" } },
      { change: { noteForUs: "margin is thin" } },
    ]);
  });
  it("is copied, split, moved and put back", () => {
    open({
      jobs: [job, { ...job, id: "k", title: "Other", lines: [] }],
      takenOff: [{ of: "line", at: 0, jobId: job.id, line: { ...(job.lines[0] as QuoteLine), id: "gone" } }],
    });
    openBlade();
    choose("More");
    press("Copy this line");
    press("Move up");
    press("Move to Other");
    fireEvent.changeText(screen.getByLabelText("How many to split off"), "2");
    expect(screen.getByText("✕ more than 0 and less than 2")).toBeTruthy();
    fireEvent.changeText(screen.getByLabelText("How many to split off"), "0.5");
    press("Split this line");
    press("Put back Fit blades");
    expect(given()).toMatchObject(
      ["copyLine", "moveLine", "moveLine", "splitLine", "putBack"].map((what) => ({ type: what })),
    );
  });
  it("says new, rebuilt or used, and which kind it is", () => {
    open();
    openBlade();
    choose("Rebuilt");
    choose("Battery");
    expect(given()).toMatchObject([{ change: { condition: "rebuilt" } }, { change: { partKind: "battery" } }]);
  });
  it("shows no cost and no margin to who may not see them", () => {
    open({ jobs: [job] }, BUSINESS, ["changePrices"]);
    openBlade();
    expect(screen.queryByLabelText("Cost each")).toBeNull();
    choose("Why");
    expect(screen.queryByText(/Cost|Left|costs us/)).toBeNull();
  });
});

describe("a new line", () => {
  it("is work bought in, with what is put on top", async () => {
    open();
    press("Add a line");
    choose("Bought in");
    fireEvent.changeText(screen.getByLabelText("What"), "Alignment");
    press("Add the line");
    expect(await screen.findByText("✕ an amount looks like 84.50")).toBeTruthy();
    fireEvent.changeText(screen.getByLabelText("It costs us"), "80");
    fireEvent.changeText(screen.getByLabelText("Percent on top"), "12.5");
    press("Add the line");
    await waitFor(() =>
      expect(given()).toMatchObject([{ line: { kind: "sublet", costCents: 8000, percent: 12.5, priceCents: null } }]),
    );
  });
  it("is a part of the van by one tap, also for who may not change prices", () => {
    const item: StockItem = {
      ...{ id: "s", personId: "me", title: "Coolant, gallon", brand: null, partNumber: "C1", codes: [] },
      ...{ partKind: "fluid", costCents: null, priceCents: 2400, count: 3 },
    };
    open({ jobs: [job] }, { ...BUSINESS, settings: { ...BUSINESS.settings, stock: [item] } }, []);
    press("Add a line");
    choose("Part");
    fireEvent.changeText(screen.getByLabelText("What"), "cool");
    expect(screen.queryByRole("button", { name: "Add the line" })).toBeNull();
    press("Coolant, gallon: 3 on the van, $24.00");
    expect(given()).toMatchObject([{ type: "addStockPart", itemId: "s", quantity: 1 }]);
  });
  it("names what is missing of a part without price or cost", async () => {
    open();
    press("Add a line");
    choose("Part");
    fireEvent.changeText(screen.getByLabelText("What"), "Clip");
    fireEvent.changeText(screen.getByLabelText("How many"), "1.00001");
    press("Add the line");
    expect(await screen.findByText("✕ a number like 1 or 1.5")).toBeTruthy();
    fireEvent.changeText(screen.getByLabelText("How many"), "3");
    fireEvent.changeText(screen.getByLabelText("Cost each"), "2.10");
    press("Add the line");
    await waitFor(() =>
      expect(given()).toMatchObject([{ line: { quantity: 3, costCents: 210, markup: "standard", priceCents: null } }]),
    );
  });
});

describe("a job as a whole", () => {
  const openJob = (): void => press(/^Wiper blades, \$42.00/);
  it("has one price with what is included", () => {
    open();
    openJob();
    choose("Set price");
    type("One price for Wiper blades", "79.95");
    expect(given()).toMatchObject([{ change: { setPrice: { priceCents: 7995, included: [] } } }]);
  });
  it("includes so much of a line and charges beyond", () => {
    open({ jobs: [{ ...job, setPrice: { priceCents: 7995, included: [] } }] });
    press(/^Wiper blades, \$79.95/);
    choose("Set price");
    fireEvent.press(screen.getByRole("checkbox", { name: "Only so much of Wiper blade is included" }));
    expect(given()).toMatchObject([
      { change: { setPrice: { included: [{ lineId: "w2", quantity: 2, extraEachCents: 0 }] } } },
    ]);
  });
  it("is paid by somebody else, who may be exempt", () => {
    open();
    openJob();
    choose("Who pays");
    fireEvent.changeText(screen.getByLabelText("Somebody else"), "Harbor Bread");
    fireEvent.press(screen.getByRole("checkbox", { name: "Exempt from tax" }));
    press("Harbor Bread pays for it");
    expect(given()).toMatchObject([{ change: { payer: { name: "Harbor Bread", isExempt: true } } }]);
  });
  it("answers another concern, or stands alone", () => {
    const concern = {
      id: "c",
      text: "Streaks",
      kind: "fault" as const,
      phraseId: null,
      at: "2026-11-23T17:00:00.000Z",
    };
    open({ jobs: [job], concerns: [concern] });
    openJob();
    choose("Name and place");
    choose("Answers “Streaks”");
    type("Name of the job", "Blades");
    expect(given()).toMatchObject([{ change: { concernId: "c" } }, { change: { title: "Blades" } }]);
  });
  it("with nothing in it says so", () => {
    open({ jobs: [{ ...job, lines: [] }] });
    expect(screen.getByText(/Nothing in it yet: it costs nothing/)).toBeTruthy();
  });
});

describe("the whole", () => {
  it("takes something off by a code, by hand, and for how the customer came", () => {
    const offers = [
      {
        id: "o",
        title: "Ferry",
        on: "labor" as const,
        off: { percent: 10 },
        code: null,
        foundUsBy: "Ferry paper",
        until: null,
      },
      {
        id: "l",
        title: "Low tide",
        on: "all" as const,
        off: { amountCents: 2000 },
        code: "LOW",
        foundUsBy: null,
        until: null,
      },
      {
        id: "e",
        title: "Ended",
        on: "all" as const,
        off: { percent: 50 },
        code: null,
        foundUsBy: null,
        until: "2020-01-01",
      },
    ];
    const settings = { ...BUSINESS.settings, rules: { ...RULES, offers } };
    const shown = view({ jobs: [job] });
    const customer = shown.customer && { ...shown.customer, foundUsBy: "ferry paper" };
    show(<QuoteSection view={{ ...shown, customer }} business={{ ...BUSINESS, settings }} isUnsent={false} />);
    press("Ferry: 10 % off, take it off");
    press("Take something off the whole");
    expect(screen.queryByText("Ended")).toBeNull();
    fireEvent.changeText(screen.getByLabelText("Code"), "low");
    press("Use the code");
    press("Take something off the whole");
    fireEvent.changeText(screen.getByLabelText("How much"), "5%");
    press("Take it off");
    expect(given()).toMatchObject([
      { type: "useOffer", offer: { id: "o" } },
      { type: "useOffer", offer: { code: "low" } },
      { type: "addDiscount", on: "all", off: { percent: 5 }, title: "Discount" },
    ]);
  });
  it("says what is below the margin to reach, by shape and figure", () => {
    open({ jobs: [job], rules: { ...RULES, targetMarginPercent: 60 } });
    expect(screen.getByText(/below the target of 60 %/)).toBeTruthy();
    expect(screen.getAllByText(/^▼ 50 %/).length).toBeGreaterThan(0);
  });
  it("says when it ended and what it comes to by the rules of today", () => {
    const dearer = { ...BUSINESS, settings: { ...BUSINESS.settings, rules: { ...RULES, laborRateCents: 30_000 } } };
    const lines = job.lines.map((line): QuoteLine =>
      line.kind === "labor" ? { ...line, rate: { id: null, because: [] } } : line,
    );
    open({ jobs: [{ ...job, lines }], validUntil: "2020-01-01" }, dearer);
    expect(
      screen.getByText(/It was good until .* By the rules of today it would come to \$65.20, \$20.00 more/),
    ).toBeTruthy();
    press(/^Use the prices of today, \$65.20/);
    press(/^Good until/);
    choose("30 days");
    expect(given()).toMatchObject([{ type: "useTodaysRules" }, { type: "setValidUntil" }]);
  });
  it("says from which price to which while not all of the car is known", () => {
    const lines = job.lines.map((line): QuoteLine =>
      line.kind === "labor" ? { ...line, hours: 1, hoursFrom: 0.5 } : line,
    );
    open({ jobs: [{ ...job, lines }] });
    expect(screen.getByText("$82.00 to $132.00")).toBeTruthy();
  });
  it("takes what is on the van, and asks no supplier for that", () => {
    const stock: StockItem[] = [
      {
        ...{
          id: "s",
          personId: "me",
          title: "Blade",
          brand: "x",
          partNumber: "sd 22",
          codes: [],
          partKind: "aftermarket",
        },
        ...{ costCents: 700, priceCents: null, count: 2 },
      },
    ];
    open({ jobs: [job] }, { ...BUSINESS, settings: { ...BUSINESS.settings, stock } });
    expect(screen.queryByRole("button", { name: /^Ask Gull Harbor/ })).toBeNull();
    press("Take 1 part from the van");
    expect(given()).toMatchObject([{ type: "takeFromVan", parts: [{ lineId: "w2", itemId: "s" }] }]);
  });
  it("asks whether ours is to cost what the supplier asks by now", async () => {
    const item: StockItem = {
      ...{ id: "s", personId: "me", title: "Wiper blade", brand: null, partNumber: "SD-22", codes: [] },
      ...{ partKind: "aftermarket", costCents: 700, priceCents: null, count: 0 },
    };
    const server = fakeServer({ "PATCH /api/business/stock": { body: { stock: [] } } });
    const from = { of: "offer" as const, supplierId: "gull-harbor", at: "2026-11-27T17:00:00.000Z" };
    const lines = job.lines.map((line) => (line.kind === "part" ? { ...line, from } : line));
    const business = { ...BUSINESS, settings: { ...BUSINESS.settings, stock: [item] } };
    open({ jobs: [{ ...job, lines }] }, business, ["seeCost", "changePrices", "settings"]);
    expect(screen.getByText(/the supplier asks \$8.00, ours is kept at \$7.00/)).toBeTruthy();
    await act(async () => press("Keep ours at $8.00"));
    expect(server.asked[0]?.body).toMatchObject({ stock: [{ from: item, to: { costCents: 800 } }] });
  });
  it("says what a supplier has not, and keeps the costs when it does not answer", async () => {
    const ask = "POST /api/work-orders/order-1/offers";
    const server = fakeServer({ [ask]: { body: { workOrder: view({ jobs: [job] }), without: ["w2"] } } });
    open();
    await act(async () => press("Ask Gull Harbor Parts for 1 part"));
    expect(await screen.findByText(/Gull Harbor Parts has nothing for 1 part/)).toBeTruthy();
    expect(server.asked[0]?.body).toMatchObject({ lineIds: ["w2"], supplierId: "gull-harbor" });
  });
});

describe("a line that is dropped", () => {
  const [one, two] = job.lines as [QuoteLine, QuoteLine];
  const jobs: Job[] = [
    { ...job, lines: [one, two, { ...one, id: "w3" }] },
    { ...job, id: "k", lines: [{ ...one, id: "k1" }] },
  ];
  it.each([
    ["down its job", "w1", "w2", { jobId: "j", beforeLineId: "w3" }],
    ["up its job", "w3", "w1", { jobId: "j", beforeLineId: "w1" }],
    ["to the end", "w1", endOf("j"), { jobId: "j", beforeLineId: null }],
    ["into another job", "w1", "k1", { jobId: "k", beforeLineId: "k1" }],
    ["on itself", "w1", "w1", null],
    ["where nothing is", "w1", "gone", null],
    ["at the end where it is", "w3", endOf("j"), null],
  ])("%s goes there", (_name, lineId, on, to) => {
    const act = dropAct(jobs, lineId, on);
    if (to === null) expect(act).toBeNull();
    else expect(act?.command).toMatchObject(to);
  });
});

it("two quotes stand beside each other, and which is cheaper is said", async () => {
  const other: Job = {
    ...job,
    lines: job.lines.map((line) => (line.kind === "part" ? { ...line, priceCents: 1000 } : line)),
  };
  fakeServer({
    "GET /api/work-orders/order-1": { body: view({ jobs: [job] }, { number: 1 }) },
    "GET /api/work-orders/order-2": {
      body: viewSample({ number: 2, state: stateSample({ id: "order-2", jobs: [other] }) }),
    },
    "GET /api/business": { body: BUSINESS },
  });
  show(<CompareScreen id="order-1" otherId="order-2" />);
  expect(await screen.findByText("Quote 2 is $13.20 cheaper.")).toBeTruthy();
  // The total, and the line that differs.
  expect([screen.getAllByText("$45.20").length, screen.getAllByText("$20.00").length]).toEqual([1, 1]);
});

it("a copy of a quote opens beside it, with what the customer said answered there, too", async () => {
  const concern = { id: "c", text: "Streaks", kind: "fault" as const, phraseId: null, at: "2026-11-23T17:00:00.000Z" };
  open({ jobs: [{ ...job, concernId: "c" }], concerns: [concern] });
  press(/^Other quotes/);
  await act(async () => press("Copy as another quote of this car"));
  const [opened, added] = given() as unknown as [{ concerns: { id: string; text: string }[] }, { concernId: string }];
  expect(opened).toMatchObject({ type: "openWorkOrder", concerns: [{ text: "Streaks" }] });
  expect(added).toMatchObject({ type: "addJob", libraryJobId: "wipers", concernId: opened.concerns[0]?.id });
  expect(added.concernId).not.toBe("c");
});
