import { fireEvent, screen, waitFor } from "@testing-library/react-native";
import { useReachable } from "../api/reachable";
import { useSync } from "../sync/state";
import { BUSINESS, fakeServer, givenActs, givenCommands, problemReply, resetSync, show } from "../testing/harness";
import {
  carSheetSample,
  customerSample,
  foundSample,
  sheetSample,
  stateSample,
  vehicleSample,
  viewSample,
} from "../testing/samples";
import { vinData } from "../testing/vinClient";
import { visited } from "../testing/router";
import { useDraft } from "./draft";
import { NewWork } from "./NewWork";

const GUESS = {
  vin: "3FA6P0H76FR193745",
  plate: "FRY5083",
  region: "WA",
  year: 2015,
  make: "Ford",
  model: "Fusion",
  trim: "SE",
  engine: "2.5 L 4 cyl",
  drive: null,
  transmission: null,
  color: "White",
};
const CUSTOMER = customerSample({ id: "0190a000-0000-7000-8000-00000000000c", name: "Noor Haddad-Bell" });
const CAR = vehicleSample({ ...GUESS, id: "0190a000-0000-7000-8000-00000000000d", customerId: CUSTOMER.id });
const NOTHING_FOUND = { body: { customers: [], workOrders: [] } };

const given = () => useSync.getState().pending;
/** A server with nothing special to say, with some of its answers changed. */
function server(over: Parameters<typeof fakeServer>[0] = {}): ReturnType<typeof fakeServer> {
  return fakeServer({
    "GET /api/search": NOTHING_FOUND,
    "POST /api/customers/likely": { body: { likely: [] } },
    [`GET /api/customers/${CUSTOMER.id}`]: { body: sheetSample({ customer: CUSTOMER, vehicles: [CAR] }) },
    "GET /api/postcodes/98099": { body: { towns: [] } },
    "GET /api/plates/WA/FRY5083": { body: { guesses: [GUESS], known: null } },
    ...over,
  });
}

beforeEach(() => {
  visited.length = 0;
  useDraft.getState().clear();
  vinData.isMissing = false;
  resetSync();
});

/** A field whose label is also that of the way to look. */
const field = (label: string) => screen.getAllByLabelText(label).at(-1)!;

async function confirmByPlate(): Promise<void> {
  fireEvent.changeText(field("Plate"), "FRY5083");
  fireEvent.press(screen.getByTestId("look-up-plate"));
  fireEvent.press(await screen.findByTestId("confirm-car"));
}

it("saves customer, car and work order at once on this device, and goes to the sheet", async () => {
  const { asked } = server();
  show(<NewWork />);
  fireEvent.changeText(screen.getByLabelText("Name or business"), "ottilie brandt");
  fireEvent.changeText(screen.getByLabelText("Phone"), "360 555 0141");
  fireEvent.press(screen.getByRole("checkbox", { name: "Brakes grind" }));
  await confirmByPlate();
  const { workOrderId, customerId, vehicleId, openCommandId } = useDraft.getState().draft;
  fireEvent.press(screen.getByTestId("save-work"));
  await waitFor(() => expect(visited).toEqual([`/work/${workOrderId}`]));
  expect(given()).toMatchObject([
    { kind: "customer", id: customerId, target: customerId, body: { name: "ottilie brandt", keepTwice: true } },
    { kind: "vehicle", id: vehicleId, target: vehicleId, body: { customerId, vin: GUESS.vin } },
    {
      kind: "workOrder",
      id: openCommandId,
      target: workOrderId,
      command: { type: "openWorkOrder", customerId, vehicleId, concerns: [{ text: "Brakes grind" }] },
      parties: { customer: { name: "Ottilie Brandt" }, vehicle: { model: "Fusion" } },
    },
  ]);
  expect(
    asked.filter(({ method, path }) => method === "POST" && !path.endsWith("/likely") && path !== "/api/offered-times"),
  ).toEqual([]);
  expect(useDraft.getState().draft.name).toBe("");
});

it("begins with what is wanted: a job before caller and car, priced, which answers a concern and goes along", async () => {
  server();
  show(<NewWork />);
  fireEvent.press(screen.getByRole("button", { name: "Add a job they want" }));
  fireEvent.press(screen.getByRole("button", { name: "Add Wiper blades" }));
  expect(screen.getByText("$42.00")).toBeTruthy();
  fireEvent.press(screen.getByRole("button", { name: "Take off wiper blades" }));
  fireEvent.press(screen.getByRole("checkbox", { name: "Brakes grind" }));
  fireEvent.press(screen.getByRole("button", { name: "Add a job they want" }));
  expect(screen.getByText("Answers “Brakes grind”")).toBeTruthy();
  fireEvent.press(screen.getByRole("button", { name: "Add Wiper blades" }));
  fireEvent.press(screen.getByRole("button", { name: "Add another job" }));
  fireEvent.changeText(screen.getByLabelText("Find a job"), "Fix the squeak");
  fireEvent.press(screen.getByRole("button", { name: "Add “Fix the squeak” as a job of its own" }));
  expect(screen.getByText("Together, before taxes")).toBeTruthy();
  fireEvent.changeText(screen.getByLabelText("Name or business"), "ottilie brandt");
  fireEvent.press(screen.getByTestId("save-work"));
  await waitFor(() => expect(visited).toHaveLength(1));
  const concernId = (givenCommands()[0] as { concerns: { id: string }[] }).concerns[0]?.id;
  expect(givenCommands()).toMatchObject([
    { type: "openWorkOrder" },
    { type: "addJob", libraryJobId: "wipers", concernId, fit: { positions: [] } },
    { type: "addOwnJob", title: "Fix the squeak" },
  ]);
});

it("finds an address that is no street of the area, and books to the house", async () => {
  const found = {
    street: "18 Plover Way",
    town: "Millrace",
    region: "WA",
    postcode: "98098",
    latitude: 48.04,
    longitude: -122.58,
  };
  server({ "GET /api/addresses": { body: { addresses: [found] } } });
  show(<NewWork />);
  fireEvent.changeText(screen.getByLabelText("Street and number"), "18 Pluver Way");
  fireEvent.press(await screen.findByRole("button", { name: "18 Plover Way, Millrace" }));
  expect(useDraft.getState().draft).toMatchObject({ ...found, postcode: "98098" });
  await waitFor(() => expect(screen.queryByRole("button", { name: "18 Plover Way, Millrace" })).toBeNull());
});

it("does not save wanted work that is not there any more, and says which", () => {
  server();
  const gone = { id: "w", kind: "library" as const, libraryJobId: "gone", positions: [], variantId: null };
  useDraft.getState().change({ name: "Ottilie", jobs: [{ ...gone, answers: null }] });
  show(<NewWork />);
  expect(screen.getByText("It is not in the library any more.")).toBeTruthy();
  fireEvent.press(screen.getByTestId("save-work"));
  expect(screen.getByText(/Look at the jobs above/)).toBeTruthy();
  expect(given()).toEqual([]);
});

it("saves without a connection as with one", async () => {
  fakeServer({});
  useDraft.getState().change({ known: CUSTOMER, car: { kind: "kept", then: "nothing", vehicle: CAR } });
  show(<NewWork />);
  fireEvent.press(screen.getByTestId("save-work"));
  await waitFor(() => expect(visited).toHaveLength(1));
  expect(given()).toMatchObject([
    { command: { type: "openWorkOrder" }, parties: { customer: { name: CUSTOMER.name } } },
  ]);
});

it("says of the plate register that it needs a signal, and what works without", () => {
  server();
  useReachable.setState({ isReachable: false });
  show(<NewWork />);
  expect(screen.getByRole("button", { name: "Look up the plate, needs signal" })).toBeTruthy();
  expect(screen.getByText(/read the VIN, pick the model, or type the car by hand/)).toBeTruthy();
});

it("tells what is missing where it is missing, and sends nothing", () => {
  const { asked } = server();
  show(<NewWork />);
  fireEvent.press(screen.getByRole("button", { name: /^More about them/ }));
  fireEvent.changeText(screen.getByLabelText("Email"), "ottilie@");
  fireEvent.changeText(field("Plate"), "FRY5083");
  fireEvent.press(screen.getByTestId("save-work"));
  expect(screen.getByText("✕ a name is needed")).toBeTruthy();
  expect(screen.getByText(/✕ an email looks like/)).toBeTruthy();
  expect(screen.getByText(/“FRY5083” is typed, but no car is confirmed/)).toBeTruthy();
  expect(screen.getByText("Look at the name, the email, the car above; what you typed is kept.")).toBeTruthy();
  fireEvent.changeText(screen.getByLabelText("Name or business"), "Ottilie");
  fireEvent.changeText(screen.getByLabelText("Email"), "");
  fireEvent.changeText(field("Plate"), "");
  expect(screen.queryByText(/what you typed is kept/)).toBeNull();
  expect(
    asked.filter(({ method, path }) => method === "POST" && !path.endsWith("/likely") && path !== "/api/offered-times"),
  ).toEqual([]);
});

it("offers who is known already, with their only car", async () => {
  server({
    "GET /api/search": { body: { customers: [foundSample({ customer: CUSTOMER, vehicles: [CAR] })], workOrders: [] } },
  });
  show(<NewWork />);
  fireEvent.changeText(screen.getByLabelText("Phone"), "555-0113");
  fireEvent.press(await screen.findByRole("button", { name: "Known: Noor Haddad-Bell" }));
  expect(useDraft.getState().draft).toMatchObject({ known: { id: CUSTOMER.id }, car: { kind: "kept" } });
  expect(screen.getByText("2015 Ford Fusion")).toBeTruthy();
  fireEvent.press(screen.getByRole("button", { name: "Somebody else calls" }));
  expect(useDraft.getState().draft).toMatchObject({ known: null, car: null });
});

it("says whose car a known plate is, and goes on for them", async () => {
  server({
    "GET /api/plates/WA/FRY5083": {
      body: { guesses: [], known: { vehicle: CAR, customerName: CUSTOMER.name, people: [], openWork: [] } },
    },
    [`GET /api/customers/${CUSTOMER.id}`]: { body: sheetSample({ customer: CUSTOMER, vehicles: [CAR] }) },
  });
  show(<NewWork />);
  fireEvent.changeText(field("Plate"), "FRY5083");
  fireEvent.press(screen.getByTestId("look-up-plate"));
  fireEvent.press(await screen.findByTestId("confirm-known"));
  expect(useDraft.getState().draft.known?.name).toBe(CUSTOMER.name);
});

it("offers to write down a plate that moved to a car kept here; the other car of the plate can still be chosen", async () => {
  const known = { vehicle: { ...CAR, plate: "LRK9001" }, customerName: CUSTOMER.name, people: [], openWork: [] };
  server({
    "GET /api/plates/WA/FRY5083": {
      body: { guesses: [GUESS, { ...GUESS, vin: "19XFB2F58CE046271", model: "Civic" }], known },
    },
    [`GET /api/customers/${CUSTOMER.id}`]: { body: sheetSample({ customer: CUSTOMER, vehicles: [CAR] }) },
  });
  show(<NewWork />);
  fireEvent.changeText(field("Plate"), "FRY5083");
  fireEvent.press(screen.getByTestId("look-up-plate"));
  expect(await screen.findByText(/Kept with the plate .*; the register says FRY5083 now/)).toBeTruthy();
  expect(screen.getAllByTestId("confirm-car")).toHaveLength(1);
  fireEvent.press(screen.getByTestId("new-plate"));
  await waitFor(() => expect(screen.queryByTestId("new-plate")).not.toBeOnTheScreen());
  expect(givenActs()).toMatchObject([{ kind: "vehicleChange", becomes: { plate: "FRY5083" } }]);
  fireEvent.press(await screen.findByTestId("confirm-known"));
  expect(useDraft.getState().draft.car).toMatchObject({ kind: "kept", vehicle: { plate: "FRY5083" } });
});

it("asks which car it is when a plate has two, and says when it has none", async () => {
  server({
    "GET /api/plates/WA/FRY5083": {
      body: { guesses: [GUESS, { ...GUESS, vin: "19XFB2F58CE046271", model: "Civic" }], known: null },
    },
  });
  show(<NewWork />);
  fireEvent.changeText(field("Plate"), "FRY5083");
  fireEvent.press(screen.getByTestId("look-up-plate"));
  expect(await screen.findAllByTestId("confirm-car")).toHaveLength(2);
  server({
    "GET /api/plates/OR/FRY5083": problemReply(404, "plate/unknown", "The register has no car for FRY5083, OR."),
  });
});

describe("by VIN", () => {
  const REPORT = { report: null, guess: GUESS, variants: { trims: [], engines: [], drives: [] }, known: null };
  const type = (vin: string): void => {
    fireEvent.press(screen.getByRole("radio", { name: "VIN" }));
    fireEvent.changeText(field("VIN"), vin);
  };

  it("counts while it is typed, and asks whether we know the car only when it is whole", async () => {
    const { asked } = server({ "GET /api/vins/3FA6P0H76FR193745": { body: REPORT } });
    show(<NewWork />);
    type("3fa6 p0h7");
    expect(screen.getByText("8 of 17 characters")).toBeTruthy();
    expect(asked.some(({ path }) => path.includes("/vins/"))).toBe(false);
    server();
    type("3fa6p0h76fr193745");
    expect(await screen.findByText("2015 Ford Fusion")).toBeTruthy();
    expect(await screen.findByText(/the VIN was read on this phone/)).toBeTruthy();
    fireEvent.press(screen.getByTestId("confirm-car"));
    expect(useDraft.getState().draft.car).toMatchObject({ kind: "new", guess: { vin: "3FA6P0H76FR193745" } });
  });

  it("marks which character is wrong and puts in what was meant", async () => {
    server();
    show(<NewWork />);
    type("3FA6POH76FR193745");
    await screen.findByText(/Character 6 is "O"/);
    expect(screen.getByLabelText(/Look again at character 6/)).toBeTruthy();
    expect(screen.queryByTestId("confirm-car")).toBeNull();
    fireEvent.press(screen.getByRole("button", { name: "3FA6P0H76FR193745 (6: O is 0)" }));
    expect(await screen.findByTestId("confirm-car")).toBeTruthy();
  });

  it("asks once what the VIN leaves open, and keeps it", async () => {
    server();
    show(<NewWork />);
    type("JF2SJAEC4EH430915");
    fireEvent.press(await screen.findByTestId("confirm-car"));
    expect(screen.queryByRole("radio", { name: "AWD" })).toBeNull();
    fireEvent.press(screen.getByRole("button", { name: "If you know it, drive, transmission" }));
    fireEvent.press(await screen.findByRole("radio", { name: "AWD" }));
    fireEvent.press(screen.getByRole("radio", { name: "CVT" }));
    expect(useDraft.getState().draft.car).toMatchObject({
      guess: { drive: "AWD/All-Wheel Drive", transmission: "Continuously Variable Transmission (CVT)" },
    });
  });

  it("keeps a VIN that does not check with a reason only", async () => {
    server();
    show(<NewWork />);
    type("3FA6P0H76FR193746");
    fireEvent.press(await screen.findByTestId("confirm-car"));
    expect(useDraft.getState().draft.car).toBeNull();
    fireEvent.changeText(screen.getByLabelText(/Why keep it/), "Read twice");
    fireEvent.press(screen.getByTestId("confirm-car"));
    expect(useDraft.getState().draft.car).toMatchObject({ vinNote: "Read twice" });
  });

  it("says when neither this phone nor the server can read it", async () => {
    vinData.isMissing = true;
    server();
    show(<NewWork />);
    type("3FA6P0H76FR193745");
    expect(await screen.findByText(/No connection to the server/)).toBeTruthy();
  });
});

describe("a car of somebody else", () => {
  const known = { vehicle: CAR, customerName: CUSTOMER.name, people: [], openWork: [] };
  const lookUp = async (): Promise<void> => {
    fireEvent.changeText(screen.getByLabelText("Name or business"), "Ottilie Brandt");
    fireEvent.changeText(field("Plate"), "FRY5083");
    fireEvent.press(screen.getByTestId("look-up-plate"));
    await screen.findByText(/it belongs to Noor Haddad-Bell/);
  };
  it.each([
    ["move-car", "owner"],
    ["link-car", "driver"],
  ])("%s: is settled before the work order is opened", async (button, becomes) => {
    server({
      "GET /api/plates/WA/FRY5083": { body: { guesses: [], known } },
      [`GET /api/vehicles/${CAR.id}/sheet`]: { body: carSheetSample({ vehicle: CAR }) },
    });
    show(<NewWork />);
    await lookUp();
    fireEvent.press(screen.getByTestId(button));
    await screen.findByText("All about this car");
    fireEvent.press(screen.getByTestId("save-work"));
    await waitFor(() => expect(visited).toHaveLength(1));
    const [customer, owner, opening] = given();
    expect(owner).toMatchObject({ kind: "vehicleOwner", target: CAR.id, customerId: customer?.target, becomes });
    expect(opening).toMatchObject({ command: { type: "openWorkOrder", vehicleId: CAR.id } });
  });
});

describe("what comes along", () => {
  const quote = {
    id: "0190a000-0000-7000-8000-0000000000f1",
    number: 1007,
    customerId: CUSTOMER.id,
    customerName: CUSTOMER.name,
    vehicleName: "2015 Ford Fusion",
    plate: "FRY5083",
    concerns: ["New tires"],
    waitsFor: "answer" as const,
    since: "2026-11-20T16:00:00.000Z",
    totalCents: 38716,
    dueCents: 0,
    conflicts: 0,
    unclearCents: 0,
    openConcerns: 0,
    openedAt: "2026-11-20T16:00:00.000Z",
    nextVisitAt: null,
  };
  it("an open quote is decided on before a new one is started, and its jobs can be copied", async () => {
    const state = stateSample({
      jobs: [
        {
          id: "j1",
          title: "Wiper blades",
          libraryJobId: "wipers",
          concernId: null,
          pointIds: [],
          lines: [],
          addedAt: quote.since,
          answer: null,
          finishedAt: null,
        },
        {
          id: "j2",
          title: "Own work",
          libraryJobId: null,
          concernId: null,
          pointIds: [],
          lines: [{ id: "l", kind: "fee", description: "Fee", quantity: 1, priceCents: 500 }],
          addedAt: quote.since,
          answer: null,
          finishedAt: null,
        },
        {
          id: "j3",
          title: "Done",
          libraryJobId: "wipers",
          concernId: null,
          pointIds: [],
          lines: [],
          addedAt: quote.since,
          answer: null,
          finishedAt: quote.since,
        },
      ],
    });
    server({
      [`GET /api/vehicles/${CAR.id}/sheet`]: { body: carSheetSample({ vehicle: CAR, openWork: [quote] }) },
      [`GET /api/work-orders/${quote.id}`]: { body: viewSample({ state }) },
    });
    useDraft.getState().change({ known: CUSTOMER, car: { kind: "kept", then: "nothing", vehicle: CAR } });
    show(<NewWork />);
    await screen.findByText(/Quote 1007, \$387\.16/);
    fireEvent.press(screen.getByTestId("save-work"));
    expect((await screen.findAllByText(/go on with it, copy its jobs, or start anew/)).length).toBeGreaterThan(0);
    fireEvent.press(screen.getByRole("radio", { name: "Copy its jobs" }));
    fireEvent.press(screen.getByTestId("save-work"));
    await waitFor(() => expect(visited).toHaveLength(1));
    expect(givenCommands()).toMatchObject([
      { type: "openWorkOrder" },
      { type: "addJob", libraryJobId: "wipers", lineIds: [expect.any(String), expect.any(String)] },
      { type: "addOwnJob", title: "Own work" },
      { type: "addLine", line: { description: "Fee" } },
    ]);
  });

  it("work put off is taken along, with its price then and now", async () => {
    const later = [
      {
        workOrderId: "w",
        number: 1001,
        jobId: "j",
        libraryJobId: "wipers",
        title: "Wiper blades",
        at: quote.since,
        thenCents: 4120,
        nowCents: 4400,
        askOn: null,
        reason: "",
        photoIds: [],
      },
    ];
    server({
      [`GET /api/vehicles/${CAR.id}/sheet`]: { body: carSheetSample({ vehicle: CAR, later }) },
    });
    useDraft.getState().change({ known: CUSTOMER, car: { kind: "kept", then: "nothing", vehicle: CAR } });
    show(<NewWork />);
    fireEvent.press(await screen.findByRole("checkbox", { name: /Wiper blades, \$41\.20 then, \$44\.00 now/ }));
    fireEvent.press(screen.getByTestId("save-work"));
    await waitFor(() => expect(visited).toHaveLength(1));
    expect(givenCommands()).toMatchObject([{ type: "openWorkOrder" }, { type: "addJob", libraryJobId: "wipers" }]);
  });

  it("the work order can be opened without the car's history when that cannot be had", async () => {
    server();
    useDraft.getState().change({ known: CUSTOMER, car: { kind: "kept", then: "nothing", vehicle: CAR } });
    show(<NewWork />);
    await screen.findByText(/can be opened without the car's history/);
    fireEvent.press(screen.getByTestId("save-work"));
    await waitFor(() => expect(visited).toHaveLength(1));
  });
});

it("a model is picked by year, make and model", async () => {
  server();
  show(<NewWork />);
  fireEvent.press(screen.getByRole("radio", { name: "Year, model" }));
  fireEvent.press(screen.getByRole("radio", { name: "2017" }));
  await screen.findByRole("radio", { name: "Toyota" }, { timeout: 30_000 });
  fireEvent.changeText(screen.getByLabelText("Make: first letters"), "hon");
  expect(screen.queryByRole("radio", { name: "Toyota" })).toBeNull();
  fireEvent.press(screen.getByRole("radio", { name: "Honda" }));
  fireEvent.press(screen.getByRole("radio", { name: "Accord" }));
  fireEvent.press(await screen.findByRole("button", { name: /^If you know it, plate, trim/ }));
  fireEvent.press(screen.getByRole("radio", { name: "EX-L V6" }));
  fireEvent.changeText(screen.getByLabelText("Plate, if it has one"), "frz1199");
  expect(useDraft.getState().draft.car).toMatchObject({
    guess: { year: 2017, make: "Honda", model: "Accord", trim: "EX-L V6", plate: "frz1199", region: "WA" },
  });
});

it("takes by hand what no register knows", () => {
  server();
  show(<NewWork />);
  fireEvent.press(screen.getByRole("radio", { name: "Not listed" }));
  fireEvent.press(screen.getByTestId("confirm-hand"));
  expect(screen.getByText("✕ a make or a model is needed")).toBeTruthy();
  fireEvent.changeText(screen.getByLabelText("Year"), "20x6");
  expect(screen.getByText("✕ a year like 2006")).toBeTruthy();
  fireEvent.changeText(screen.getByLabelText("Year"), "2006");
  fireEvent.changeText(screen.getByLabelText(/^Serial number/), "TR-88");
  fireEvent.changeText(screen.getByLabelText(/^Model, or what it is/), "boat trailer");
  fireEvent.press(screen.getByTestId("confirm-hand"));
  expect(useDraft.getState().draft.car).toMatchObject({
    guess: { year: 2006, make: null, model: "boat trailer", vin: "TR-88" },
  });
});

it("fills in town, state, postcode and place from the street", () => {
  server();
  show(<NewWork />);
  fireEvent.changeText(screen.getByLabelText("Street and number"), "27 her");
  fireEvent.press(screen.getByRole("button", { name: "27 Heron Landing, Larkhaven" }));
  expect(useDraft.getState().draft).toMatchObject({
    street: "27 Heron Landing",
    town: "Larkhaven",
    region: "WA",
    postcode: "98099",
    latitude: 48.0412,
  });
});

it("books the time that was picked, and says so on its button", async () => {
  const slot = {
    mechanicId: BUSINESS.people[0]!.id,
    startsAt: "2026-11-24T17:00:00.000Z",
    endsAt: "2026-11-24T18:00:00.000Z",
  };
  useDraft.getState().change({
    known: CUSTOMER,
    car: { kind: "kept", then: "nothing", vehicle: CAR },
    slot: { ...slot, dayName: "Tomorrow" },
  });
  const { visitId, bookCommandId, workOrderId } = useDraft.getState().draft;
  server({ "GET /api/day": { body: { date: "2026-11-23", visits: [] } } });
  show(<NewWork />);
  fireEvent.press(screen.getByRole("button", { name: "Save and book Tomorrow, 9:00 am" }));
  await waitFor(() => expect(visited).toHaveLength(1));
  expect(given().at(-1)).toMatchObject({
    kind: "visit",
    id: bookCommandId,
    target: visitId,
    workOrderId,
    command: { type: "bookVisit", workOrderIds: [workOrderId], ...slot, allowOverlap: false },
  });
});

it("books no visit without its time, and says so for the day that is picked", async () => {
  server({ "GET /api/day": { body: { date: "2026-11-23", visits: [] } } });
  show(<NewWork />);
  fireEvent.changeText(screen.getByLabelText("Name or business"), "Ottilie Brandt");
  fireEvent.press(screen.getByRole("radio", { name: "Tomorrow" }));
  fireEvent.press(screen.getByTestId("save-work"));
  expect(screen.getByText(/pick a time for Tomorrow, .*, or no visit yet/)).toBeTruthy();
  expect(screen.getByRole("radio", { name: "Tomorrow" })).toBeChecked();
  expect(given()).toEqual([]);
  fireEvent.press(screen.getByRole("radio", { name: "No visit yet" }));
  fireEvent.press(screen.getByTestId("save-work"));
  await waitFor(() => expect(visited).toHaveLength(1));
});

it("takes along words of a concern that were not added, where somebody comes from, and no car", async () => {
  server();
  show(<NewWork />);
  fireEvent.changeText(screen.getByLabelText("Name or business"), "june");
  fireEvent.changeText(screen.getByLabelText("How you know them"), "from the bakery");
  fireEvent.changeText(screen.getByLabelText("What is wrong, in their words"), "hums above 40");
  fireEvent.press(screen.getByTestId("save-work"));
  await waitFor(() => expect(visited).toHaveLength(1));
  expect(given()).toMatchObject([
    { kind: "customer", body: { name: "june", knownFrom: "from the bakery" } },
    { command: { vehicleId: null, concerns: [{ text: "hums above 40", kind: "fault", phraseId: null }] } },
  ]);
});

it("asks which call goes on when one of somebody else stands half written, and throws nothing away unasked", () => {
  server();
  const other = { ...CUSTOMER, id: "0190a000-0000-7000-8000-0000000000aa", name: "Petra Sandoval" };
  useDraft.getState().begin({ known: CUSTOMER, car: null });
  useDraft.getState().change({ concernTyped: "hums" });
  useDraft.getState().begin({ known: other, car: null });
  expect(useDraft.getState().draft).toMatchObject({ known: { name: CUSTOMER.name }, concernTyped: "hums" });
  show(<NewWork />);
  fireEvent.press(screen.getByRole("button", { name: "Throw that away, and write down Petra Sandoval" }));
  expect(useDraft.getState().draft).toMatchObject({ known: { name: "Petra Sandoval" }, concernTyped: "" });
  fireEvent.press(screen.getByRole("button", { name: "Start over" }));
  fireEvent.press(screen.getByRole("button", { name: "Keep it" }));
  expect(useDraft.getState().draft.known).not.toBeNull();
});

it("keeps what stands written when the one who called is found and begun for", () => {
  useDraft.getState().change({ name: "nor", concernTyped: "hums" });
  useDraft.getState().begin({ known: CUSTOMER, car: null });
  expect(useDraft.getState().draft).toMatchObject({ known: { name: CUSTOMER.name }, concernTyped: "hums" });
});
