import { act, fireEvent, screen, waitFor } from "@testing-library/react-native";
import type { VehicleSheetView } from "@mechanon/contract";
import { fakeServer, givenActs, problemReply, resetSync, show } from "../testing/harness";
import { visited } from "../testing/router";
import { useSync } from "../sync/state";
import { carSheetSample, vehicleSample } from "../testing/samples";
import { vinData } from "../testing/vinClient";
import { CarSheet } from "./CarSheet";
import { dueWords, lastServiceLines, odometerLine, putOffWords } from "./carWords";
import { chartPoints } from "./chartPoints";
import { tried } from "./tried";

const CAR = vehicleSample({ drive: "FWD/Front-Wheel Drive", transmission: "Automatic", engine: "1.5 L 4 cyl" });
const SPECS: VehicleSheetView["specs"] = {
  source: "Stand-in",
  simulated: true,
  values: { oilGrade: "0W-20", oilCapacityQuarts: "4.4", tireFront: "215/55R17 94V" },
  intervals: [],
};
const AT = "2026-05-01T17:00:00.000Z";
const DUE: VehicleSheetView["due"] = [
  {
    interval: { id: "oil", title: "Oil and filter", miles: 5000, months: 6, from: "owner" },
    last: { intervalId: "oil", at: AT, miles: 60_000 },
    dueAtMiles: 65_000,
    dueByDate: "2026-11-01",
    dueOn: "2026-10-02",
    by: "miles",
    standing: "overdue",
  },
];

beforeEach(() => {
  visited.length = 0;
  vinData.isMissing = false;
  resetSync();
});

function open(
  over: Partial<VehicleSheetView> = {},
  replies: Parameters<typeof fakeServer>[0] = {},
): ReturnType<typeof fakeServer> {
  const sheet = carSheetSample({ vehicle: CAR, specs: SPECS, ...over });
  const server = fakeServer({ "GET /api/vehicles/car-1/sheet": { body: sheet }, ...replies });
  show(<CarSheet id="car-1" />);
  return server;
}
const unfold = async (part: string): Promise<void> => {
  fireEvent.press(await screen.findByRole("button", { name: new RegExp(`^${part},`) }));
};

describe("a car", () => {
  it("shows what is due, what was put off and how it is driven; its owner is one press away", async () => {
    open({
      due: DUE,
      later: [
        {
          workOrderId: "w",
          number: 1001,
          jobId: "j",
          libraryJobId: null,
          title: "Wiper blades",
          at: AT,
          thenCents: 4120,
          nowCents: null,
          askOn: "2027-03-01",
          reason: "",
          photoIds: [],
        },
      ],
      odometer: {
        readings: [
          { miles: 50_000, at: "2025-05-01T17:00:00.000Z", workOrderId: "order-1", number: 1001 },
          { miles: 62_000, at: AT, workOrderId: "order-1", number: 1001 },
        ],
        doubtful: [{ miles: 900, at: AT, workOrderId: "order-1", number: 1001 }],
        milesPerYear: 12_000,
        predictedMiles: 66_000,
      },
    });
    expect(await screen.findByText("✕ Overdue: Oil and filter")).toBeTruthy();
    expect(screen.getByText("$41.20 then; price it anew, to ask again on 2027-03-01")).toBeTruthy();
    expect(screen.getByText("12,000 mi a year, about 66,000 mi today")).toBeTruthy();
    expect(screen.getByText(/900 mi on .* does not fit the others/)).toBeTruthy();
    fireEvent.press(screen.getAllByRole("button", { name: "Maren Oyelaran" })[0]!);
    expect(visited).toEqual(["/customers/customer-1"]);
  });

  it("shows older work page by page", async () => {
    const order = (number: number): VehicleSheetView["pastWork"][number] => ({
      id: `order-${number}`,
      number,
      customerId: "customer-1",
      customerName: "Maren Oyelaran",
      vehicleName: "2019 Honda Accord",
      concerns: [],
      waitsFor: null,
      plate: null,
      since: AT,
      totalCents: 0,
      dueCents: 0,
      conflicts: 0,
      unclearCents: 0,
      openConcerns: 0,
      openedAt: AT,
      nextVisitAt: null,
    });
    const server = open(
      { pastWork: [order(1003)], pastWorkCount: 2 },
      { "GET /api/vehicles/car-1/work": { body: { workOrders: [order(1002)] } } },
    );
    await unfold("History here");
    fireEvent.press(screen.getByRole("button", { name: "Show more of 2" }));
    expect(await screen.findByText(/1002/)).toBeTruthy();
    expect(server.asked.at(-1)?.path).toBe("/api/vehicles/car-1/work?from=1");
    expect(screen.queryByRole("button", { name: /Show more/ })).toBeNull();
  });

  it("says what happened when it cannot be loaded", async () => {
    fakeServer({
      "GET /api/vehicles/car-1/sheet": problemReply(404, "vehicle/not-found", "This car is not kept here."),
    });
    show(<CarSheet id="car-1" />);
    expect(await screen.findByText("This car is not kept here.")).toBeTruthy();
  });

  it("asks once what is not known of it, and keeps the answer", async () => {
    open({ vehicle: vehicleSample({ vin: "JF2SJAEC4EH430915", engine: "2.5 L 4 cyl" }) });
    fireEvent.press(await screen.findByRole("radio", { name: "AWD" }));
    await waitFor(() =>
      expect(givenActs()).toEqual([
        {
          kind: "vehicleChange",
          target: "car-1",
          was: { drive: null },
          becomes: { drive: "AWD/All-Wheel Drive" },
        },
      ]),
    );
    expect(screen.queryByRole("radio", { name: "AWD" })).toBeNull();
  });
});

describe("specs", () => {
  it("are labeled as simulated, and corrected with a value that fits", async () => {
    open();
    await unfold("Specs");
    expect(screen.getByText(/Simulated by Stand-in/)).toBeTruthy();
    fireEvent.press(screen.getByRole("button", { name: "Engine oil with filter: 4.4 qt, correct it" }));
    fireEvent.changeText(screen.getByLabelText(/as found on the car/), "lots");
    expect(screen.getByText("✕ a number of qt is needed")).toBeTruthy();
    fireEvent.changeText(screen.getByLabelText(/as found on the car/), "4.7");
    fireEvent.press(screen.getByTestId("save-correction"));
    expect(await screen.findByText(/Found by Odile Farrow, .*; the source says 4.4/)).toBeTruthy();
    expect(givenActs()).toEqual([{ kind: "specCorrection", target: "car-1", key: "oilCapacityQuarts", value: "4.7" }]);
  });

  it("are asked for once by themselves, and it is said when the source does not answer", async () => {
    const server = open(
      { specs: null },
      {
        "POST /api/vehicles/car-1/specs": problemReply(
          503,
          "vehicle/source-unreachable",
          "The source of specs does not answer.",
        ),
      },
    );
    await unfold("Specs");
    expect(await screen.findByText("The source of specs does not answer.")).toBeTruthy();
    expect(server.asked.filter(({ path }) => path.endsWith("/specs"))).toHaveLength(1);
    expect(screen.getByRole("button", { name: "Write down: oil grade" })).toBeTruthy();
  });
});

it("compares a tire size with the car's own, and tells a tire's age", async () => {
  open();
  await unfold("Tires");
  fireEvent.changeText(screen.getByLabelText("Size to compare"), "225/50R17 94W");
  expect(screen.getByText("-11.5 mm, -1.7 %")).toBeTruthy();
  fireEvent.changeText(screen.getByLabelText("Size to compare"), "no");
  expect(screen.getByText(/✕ "no" is not a tire size/)).toBeTruthy();
  fireEvent.changeText(screen.getByLabelText(/DOT code/), "0110");
  expect(screen.getByText(/Made in week 1 of 2010: 1\d years .*too old to keep/)).toBeTruthy();
});

it("tells open recalls from done ones, and what others did", async () => {
  open(
    {},
    {
      "GET /api/vehicles/car-1/recalls": {
        body: {
          source: "S",
          simulated: true,
          recalls: [
            { campaign: "SIM-1", title: "Pump", remedy: "Replace it", since: "2020-01-01", open: true },
            { campaign: "SIM-2", title: "Camera", remedy: "Update it", since: "2020-01-01", open: false },
          ],
        },
      },
      "GET /api/vehicles/car-1/elsewhere": { body: { source: "S", simulated: true, entries: [] } },
    },
  );
  await unfold("Recalls");
  expect(await screen.findByText("✕ Open: Pump")).toBeTruthy();
  expect(screen.getByText("✓ Done: Camera")).toBeTruthy();
  await unfold("Done elsewhere");
  expect(await screen.findByText(/Nobody else has reported/)).toBeTruthy();
});

it("agrees on another interval with the customer, and goes back to the usual", async () => {
  const interval = { ...DUE[0]!.interval, from: "customer" as const };
  open({ due: [{ ...DUE[0]!, interval }] });
  fireEvent.press(await screen.findByRole("button", { name: "Agree otherwise: oil and filter" }));
  fireEvent.changeText(screen.getByLabelText("Miles"), "12,000");
  fireEvent.press(screen.getByTestId("agree-interval"));
  expect(await screen.findByText(/what is due follows once it is sent/)).toBeTruthy();
  fireEvent.press(screen.getByRole("button", { name: "Agree otherwise: oil and filter" }));
  fireEvent.press(screen.getByRole("button", { name: "Go by the usual again" }));
  const agreed = { kind: "agreement", target: "customer-1" };
  expect(givenActs()).toMatchObject([
    { ...agreed, interval: { id: "oil", miles: 12_000, months: 6 } },
    { ...agreed, interval: { id: "oil", miles: null, months: null } },
  ]);
});

it("changes a car by what differs, and says at the field what does not fit", async () => {
  open();
  fireEvent.press(await screen.findByTestId("change-car"));
  fireEvent.changeText(screen.getByLabelText("Year"), "20x9");
  fireEvent.press(screen.getByTestId("save-car"));
  expect(await screen.findByText("✕ a year like 2006")).toBeTruthy();
  fireEvent.changeText(screen.getByLabelText("Year"), "2018");
  fireEvent.changeText(screen.getByLabelText("Plate"), "- -");
  fireEvent.press(screen.getByTestId("save-car"));
  expect(await screen.findByText(/✕ .*plate/)).toBeTruthy();
  fireEvent.changeText(screen.getByLabelText("Plate"), "lrk-1299");
  fireEvent.changeText(screen.getByLabelText("Nickname"), "Bluebell");
  fireEvent.press(screen.getByTestId("save-car"));
  await waitFor(() =>
    expect(givenActs()).toEqual([
      {
        kind: "vehicleChange",
        target: "car-1",
        was: { year: CAR.year, plate: CAR.plate, nickname: null },
        becomes: { year: 2018, plate: "LRK1299", nickname: "Bluebell" },
      },
    ]),
  );
  expect(await screen.findByText(/Bluebell/)).toBeTruthy();
  expect(screen.getByText(/waits to be sent/)).toBeTruthy();
});

it("opens with what the server did not take, beside what others changed meanwhile", async () => {
  open({ vehicle: { ...CAR, plate: "NEW9001", color: "Blue" } });
  const refusal = { code: "version/changed", words: "Somebody else changed the plate meanwhile." };
  act(() =>
    useSync.setState({
      refused: [
        {
          kind: "vehicleChange",
          target: "car-1",
          was: { plate: CAR.plate },
          becomes: { plate: "LRK1299" },
          id: "r",
          at: AT,
          by: "me",
          refusal,
        },
      ],
    }),
  );
  expect(await screen.findByText(/The change of the car's plate was not taken/)).toBeTruthy();
  fireEvent.press(screen.getByTestId("change-car"));
  expect(screen.getByLabelText("Plate")).toHaveDisplayValue("LRK1299");
  expect(screen.getByLabelText("Color")).toHaveDisplayValue("Blue");
  fireEvent.press(screen.getByTestId("save-car"));
  await waitFor(() =>
    expect(givenActs()).toMatchObject([{ was: { plate: "NEW9001" }, becomes: { plate: "LRK1299" } }]),
  );
  expect(useSync.getState().refused).toEqual([]);
});

it("checks a changed VIN as it is typed, and keeps one that does not check with a reason only", async () => {
  open();
  fireEvent.press(await screen.findByTestId("change-car"));
  expect(screen.queryByLabelText(/Why the VIN is kept/)).toBeNull();
  fireEvent.changeText(screen.getByLabelText("VIN"), "3FA6P0H76FR193746");
  expect(await screen.findByLabelText(/Look again at character/)).toBeTruthy();
  fireEvent.press(screen.getByTestId("save-car"));
  expect(await screen.findByText("✕ read the VIN again, or say why it is kept")).toBeTruthy();
  expect(givenActs()).toEqual([]);
  fireEvent.changeText(screen.getByLabelText("VIN"), "3FA6POH76FR193745");
  fireEvent.press(await screen.findByRole("button", { name: /^3FA6P0H76FR193745/ }));
  await waitFor(() => expect(screen.queryByLabelText(/Look again at character/)).not.toBeOnTheScreen());
  fireEvent.changeText(screen.getByLabelText("VIN"), "3FA6P0H76FR193746");
  fireEvent.changeText(await screen.findByLabelText(/Why the VIN is kept/), "Stamped so in the door");
  fireEvent.press(screen.getByTestId("save-car"));
  await waitFor(() =>
    expect(givenActs()).toMatchObject([{ becomes: { vin: "3FA6P0H76FR193746", vinNote: "Stamped so in the door" } }]),
  );
});

it("lets a car be changed whose VIN was kept as it was, though it does not check", async () => {
  open({ vehicle: { ...CAR, vin: "3FA6P0H76FR193746" } });
  fireEvent.press(await screen.findByTestId("change-car"));
  await screen.findByLabelText(/Why the VIN is kept/);
  fireEvent.changeText(screen.getByLabelText("Nickname"), "Bluebell");
  fireEvent.press(screen.getByTestId("save-car"));
  await waitFor(() => expect(givenActs()).toMatchObject([{ becomes: { nickname: "Bluebell" } }]));
});

describe("words about a car", () => {
  it("say what was used last, and nothing where nothing is known", () => {
    const oil = { description: "Oil 0W-20, quart", brand: "Kelpline", partNumber: "KL-020Q", quantity: 5, at: AT };
    expect(lastServiceLines({ oil, oilFilter: null, pressures: { frontPsi: 34, rearPsi: 32, at: AT } }, "UTC")).toEqual(
      ["5 × Oil 0W-20, quart, Kelpline KL-020Q, May 1, 2026", "Tires 34 psi front, 32 rear, May 1, 2026"],
    );
    expect(lastServiceLines({ oil: null, oilFilter: null, pressures: null }, "UTC")).toEqual([]);
  });
  it("say how a due date came about", () => {
    expect(dueWords(DUE[0]!, "UTC")).toBe(
      "Due at 65,000 mi, about Oct 2, 2026; every 5,000 mi or 6 months, last May 1, 2026 at 60,000 mi",
    );
    expect(dueWords({ ...DUE[0]!, last: null, standing: "unknown" }, "UTC")).toMatch(/not known when it was last done/);
  });
  it("say the odometer with what is known of it", () => {
    const none = { readings: [], doubtful: [], milesPerYear: null, predictedMiles: null };
    expect(odometerLine(none)).toBe("Never read");
    expect(
      odometerLine({
        ...none,
        readings: [{ miles: 61_240, at: AT, workOrderId: "order-1", number: 1001 }],
        predictedMiles: 61_300,
      }),
    ).toBe("61,240 mi");
    expect(
      putOffWords({
        workOrderId: "w",
        number: 1,
        jobId: "j",
        libraryJobId: null,
        title: "x",
        at: AT,
        thenCents: 100,
        nowCents: 100,
        askOn: null,
        reason: "",
        photoIds: [],
      }),
    ).toBe("$1.00, as then");
  });
});

it("draws readings from left to right, one alone in the middle", () => {
  expect(chartPoints([{ miles: 5, at: AT }], 100, 50)).toEqual([{ x: 50, y: 25 }]);
  const [first, last] = chartPoints(
    [
      { miles: 0, at: "2025-01-01T00:00:00.000Z" },
      { miles: 10, at: AT },
    ],
    100,
    50,
  );
  expect([first, last]).toEqual([
    { x: 6, y: 44 },
    { x: 94, y: 6 },
  ]);
});

it("passes on faults that are none of the person's", () => {
  expect(() =>
    tried(() => {
      throw new TypeError("a bug");
    }),
  ).toThrow(TypeError);
});
