import { fireEvent, screen, waitFor } from "@testing-library/react-native";
import { BUSINESS, fakeServer, problemReply, show, type Asked, type Reply } from "../testing/harness";
import { vehicleSample, customerSample, foundSample, sheetSample, viewSample } from "../testing/samples";
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

const outcome = (asked: Asked, refusal: string | null = null): object => {
  const { commands } = asked.body as { commands: { id: string }[] };
  return commands.map(({ id }) => ({ id, outcome: refusal ? "refused" : "applied", refusal, conflicts: [] }));
};
const opened = (asked: Asked): Reply => ({ body: { outcomes: outcome(asked), workOrder: viewSample() } });
/** A server that takes everything, with some of its answers changed. */
function server(over: Parameters<typeof fakeServer>[0] = {}): ReturnType<typeof fakeServer> {
  const { workOrderId } = useDraft.getState().draft;
  return fakeServer({
    "GET /api/search": NOTHING_FOUND,
    "POST /api/customers/likely": { body: { likely: [] } },
    [`GET /api/customers/${CUSTOMER.id}`]: { body: sheetSample({ customer: CUSTOMER, vehicles: [CAR] }) },
    "GET /api/postcodes/98099": { body: { towns: [] } },
    "GET /api/plates/WA/FRY5083": { body: { guesses: [GUESS], known: null } },
    "POST /api/customers": (asked) => ({ status: 201, body: { ...CUSTOMER, id: (asked.body as { id: string }).id } }),
    "POST /api/vehicles": (asked) => ({ status: 201, body: { ...CAR, ...(asked.body as object) } }),
    [`POST /api/work-orders/${workOrderId}/commands`]: opened,
    ...over,
  });
}

beforeEach(() => {
  visited.length = 0;
  useDraft.getState().clear();
});

/** A field whose label is also that of the way to look. */
const field = (label: string) => screen.getAllByLabelText(label).at(-1)!;

async function confirmByPlate(): Promise<void> {
  fireEvent.changeText(field("Plate"), "FRY5083");
  fireEvent.press(screen.getByTestId("look-up-plate"));
  fireEvent.press(await screen.findByTestId("confirm-car"));
}

it("saves customer, car and work order, each under its own key, and goes to the sheet", async () => {
  const { asked } = server();
  show(<NewWork />);
  fireEvent.changeText(screen.getByLabelText("Name or business"), "ottilie brandt");
  fireEvent.changeText(screen.getByLabelText("Phone"), "360 555 0141");
  fireEvent.press(screen.getByRole("checkbox", { name: "Brakes grind" }));
  await confirmByPlate();
  const { workOrderId, customerId, vehicleId } = useDraft.getState().draft;
  fireEvent.press(screen.getByTestId("save-work"));
  await waitFor(() => expect(visited).toEqual([`/work/${workOrderId}`]));
  const sent = asked.filter(({ method, path }) => method === "POST" && !path.endsWith("/likely"));
  expect(sent.map(({ key }) => key)).toEqual([customerId, vehicleId, null]);
  expect(sent[2]?.body).toMatchObject({
    commands: [{ command: { type: "openWorkOrder", customerId, vehicleId, concerns: [{ text: "Brakes grind" }] } }],
  });
  expect(useDraft.getState().draft.name).toBe("");
});

it("keeps what was typed through a lost answer, and sends the same again", async () => {
  server({ "POST /api/vehicles": "down" });
  show(<NewWork />);
  fireEvent.changeText(screen.getByLabelText("Name or business"), "Ottilie Brandt");
  await confirmByPlate();
  fireEvent.press(screen.getByTestId("save-work"));
  await screen.findByText(/No connection to the server/);
  expect(useDraft.getState().draft.name).toBe("Ottilie Brandt");
  const { customerId, openCommandId } = useDraft.getState().draft;
  const { asked } = server();
  fireEvent.press(screen.getByTestId("save-work"));
  await waitFor(() => expect(visited).toHaveLength(1));
  const sent = asked.filter(({ method, path }) => method === "POST" && !path.endsWith("/likely"));
  expect(sent[0]?.key).toBe(customerId);
  expect(sent[2]?.body).toMatchObject({ commands: [{ id: openCommandId }] });
});

it("tells what is missing where it is missing, and sends nothing", () => {
  const { asked } = server();
  show(<NewWork />);
  fireEvent.changeText(screen.getByLabelText("Email"), "ottilie@");
  fireEvent.press(screen.getByTestId("save-work"));
  expect(screen.getByText("✕ a name is needed")).toBeTruthy();
  expect(screen.getByText(/✕ an email looks like/)).toBeTruthy();
  expect(screen.getByText(/confirm the car/)).toBeTruthy();
  expect(asked.filter(({ method, path }) => method === "POST" && !path.endsWith("/likely"))).toEqual([]);
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
    "GET /api/plates/WA/FRY5083": { body: { guesses: [], known: { vehicle: CAR, customerName: CUSTOMER.name } } },
    [`GET /api/customers/${CUSTOMER.id}`]: { body: sheetSample({ customer: CUSTOMER, vehicles: [CAR] }) },
  });
  show(<NewWork />);
  fireEvent.changeText(field("Plate"), "FRY5083");
  fireEvent.press(screen.getByTestId("look-up-plate"));
  fireEvent.press(await screen.findByTestId("confirm-known"));
  expect(useDraft.getState().draft.known?.name).toBe(CUSTOMER.name);
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
  const report = {
    vin: "3FA6P0H76FR193745",
    checkDigit: { expected: "6", actual: "6", ok: true },
    modelYear: 2015,
    maker: "FORD",
    make: "Ford",
    model: "Fusion",
    series: null,
    trim: "SE",
    bodyClass: null,
    doors: 4,
    drive: null,
    transmission: null,
    engine: { displacementL: 2.5, cylinders: 4, configuration: null, fuel: "Gasoline", horsepower: null, turbo: null },
    gvwr: null,
    plant: null,
    country: null,
    problems: [],
    suggestions: [],
  };
  it("counts while it is typed, and asks only when it is whole", async () => {
    const { asked } = server({ "GET /api/vins/3FA6P0H76FR193745": { body: { report, guess: GUESS, known: null } } });
    show(<NewWork />);
    fireEvent.press(screen.getByRole("radio", { name: "VIN" }));
    fireEvent.changeText(field("VIN"), "3fa6 p0h7");
    expect(screen.getByText("8 of 17 characters")).toBeTruthy();
    expect(asked.some(({ path }) => path.includes("/vins/"))).toBe(false);
    fireEvent.changeText(field("VIN"), "3fa6p0h76fr193745");
    fireEvent.press(await screen.findByTestId("confirm-car"));
    expect(useDraft.getState().draft.car).toMatchObject({ kind: "new", guess: { vin: "3FA6P0H76FR193745" } });
  });
  it("tells which character is wrong and puts in what was meant", async () => {
    const problems = [
      { code: "illegal-character", message: 'Character 15 is "O", which no VIN has; it may be 0.', position: 15 },
    ];
    const suggestions = [{ vin: "3FA6P0H76FR193045", changes: [{ position: 15, from: "O", to: "0" }] }];
    server({
      "GET /api/vins/3FA6P0H76FR193O45": {
        body: { report: { ...report, problems, suggestions }, guess: GUESS, known: null },
      },
      "GET /api/vins/3FA6P0H76FR193045": { body: { report, guess: GUESS, known: null } },
    });
    show(<NewWork />);
    fireEvent.press(screen.getByRole("radio", { name: "VIN" }));
    fireEvent.changeText(field("VIN"), "3FA6P0H76FR193O45");
    await screen.findByText(/Character 15 is "O"/);
    expect(screen.queryByTestId("confirm-car")).toBeNull();
    fireEvent.press(screen.getByRole("button", { name: "3FA6P0H76FR193045 (15: O is 0)" }));
    expect(await screen.findByTestId("confirm-car")).toBeTruthy();
  });
});

it("takes by hand what no register knows", () => {
  server();
  show(<NewWork />);
  fireEvent.press(screen.getByRole("radio", { name: "By hand" }));
  fireEvent.press(screen.getByTestId("confirm-hand"));
  expect(screen.getByText("✕ a make or a model is needed")).toBeTruthy();
  fireEvent.changeText(screen.getByLabelText("Year"), "20x6");
  expect(screen.getByText("✕ a year like 2006")).toBeTruthy();
  fireEvent.changeText(screen.getByLabelText("Year"), "2006");
  fireEvent.changeText(screen.getByLabelText("Model or what it is"), "boat trailer");
  fireEvent.press(screen.getByTestId("confirm-hand"));
  expect(useDraft.getState().draft.car).toMatchObject({ guess: { year: 2006, make: null, model: "boat trailer" } });
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

it("says that the mechanic is busy, keeps the work order, and books on purpose", async () => {
  useDraft.getState().change({
    known: CUSTOMER,
    car: { kind: "kept", then: "nothing", vehicle: CAR },
    slot: {
      mechanicId: BUSINESS.people[0]!.id,
      startsAt: "2026-11-24T17:00:00.000Z",
      endsAt: "2026-11-24T18:00:00.000Z",
      dayName: "Tomorrow",
    },
  });
  const { workOrderId, visitId } = useDraft.getState().draft;
  server({
    [`GET /api/customers/${CUSTOMER.id}`]: { body: sheetSample({ customer: CUSTOMER, vehicles: [CAR] }) },
    "GET /api/day": { body: { date: "2026-11-23", visits: [] } },
    [`GET /api/work-orders/${workOrderId}`]: { body: viewSample() },
    [`POST /api/visits/${visitId}/commands`]: (asked) => {
      const { commands } = asked.body as { commands: { command: { allowOverlap: boolean } }[] };
      return {
        body: { outcomes: outcome(asked, commands[0]?.command.allowOverlap ? null : "visit/overlaps"), visit: null },
      };
    },
  });
  show(<NewWork />);
  fireEvent.press(screen.getByRole("button", { name: "Open and book Tomorrow, 9:00 am" }));
  fireEvent.press(await screen.findByRole("button", { name: "Book it anyway" }));
  await waitFor(() => expect(visited).toEqual([`/work/${workOrderId}`]));
});
