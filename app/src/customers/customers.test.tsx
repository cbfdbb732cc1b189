import { fireEvent, screen, waitFor } from "@testing-library/react-native";
import { noAccessNotes } from "@mechanon/core";
import { useDraft } from "../newWork/draft";
import { FindScreen } from "../search/FindScreen";
import { fakeServer, givenActs, show, resetSync } from "../testing/harness";
import { useSync } from "../sync/state";
import { customerSample, foundSample, sheetSample, messageSample } from "../testing/samples";
import { visited } from "../testing/router";
import { contactLinks } from "./contactLinks";
import { CustomerSheet } from "./CustomerSheet";
import { withoutBlanks } from "./form/withoutBlanks";
import { NewCustomer } from "./NewCustomer";

const SEARCH_FIELD = "Name, phone, plate, VIN, email, street or number";
const OTHER_ID = "0190a000-0000-7000-8000-0000000000aa";

beforeEach(() => {
  visited.length = 0;
  resetSync();
  useDraft.getState().clear();
});

describe("find", () => {
  it("asks for what was typed, marks it, and shows cars and open work", async () => {
    const openWork = [
      { id: "w", number: 1001, waitsFor: "answer" as const, dueCents: 1000, vehicleName: "2019 Honda Accord" },
    ];
    const foundBy = [{ what: "contact" as const, text: "Idris Oyelaran, Spouse" }];
    const server = fakeServer({
      "GET /api/search": { body: { customers: [foundSample({ openWork, foundBy, vehicleCount: 3 })], workOrders: [] } },
    });
    show(<FindScreen />);
    expect(server.asked).toEqual([]);
    fireEvent.changeText(screen.getByLabelText(SEARCH_FIELD), "oyel");
    fireEvent.press(await screen.findByRole("link", { name: "Customer Maren Oyelaran" }));
    expect(screen.getAllByText("Oyel")).toHaveLength(2);
    expect(screen.getByText("and 2 more cars")).toBeTruthy();
    fireEvent.press(screen.getByRole("link", { name: /Work order 1001, Maren Oyelaran/ }));
    expect(visited).toEqual(["/customers/customer-1", "/work/w"]);
  });

  it("says that nothing matches, and what to do, without repeating 500 letters", async () => {
    fakeServer({ "GET /api/search": { body: { customers: [], workOrders: [] } } });
    show(<FindScreen />);
    fireEvent.changeText(screen.getByLabelText(SEARCH_FIELD), "z".repeat(500));
    await screen.findByText(/Nothing here matches “z{60}…”/);
  });
});

describe("ways to reach somebody", () => {
  const emails = [{ address: "maren@example.com", label: "" }];
  it("come with the preferred one first", () => {
    const links = contactLinks(customerSample({ emails, preferredContact: "email" }));
    expect(links.map(({ way, url }) => [way, url])).toEqual([
      ["email", "mailto:maren@example.com"],
      ["call", "tel:+13605550111"],
      ["text", "sms:+13605550111"],
    ]);
  });
  it("leave texting out for who said no, and for a desk with an extension", () => {
    const textConsent = { given: false, at: "2026-01-01T00:00:00.000Z", how: "Asked" };
    expect(contactLinks(customerSample({ textConsent })).map(({ way }) => way)).toEqual(["call"]);
    const desk = [{ number: "+13605550111", extension: "4", label: "Desk" }];
    expect(contactLinks(customerSample({ phones: desk })).map(({ url }) => url)).toEqual(["tel:+13605550111;ext=4"]);
  });
});

it("leaves out rows nothing was typed in", () => {
  const place = { street: "", town: "", region: "", postcode: "", latitude: null, longitude: null };
  const contact = { id: OTHER_ID, name: "Idris", phone: { number: " " }, email: "" };
  expect(
    withoutBlanks({
      name: "Maren",
      phones: [{ number: "" }, { number: "360 555 0111" }],
      emails: [{ address: " " }],
      contacts: [contact, { id: OTHER_ID, name: "" }],
      serviceAddresses: [
        { id: OTHER_ID, place },
        { id: OTHER_ID, place, access: { ...noAccessNotes(), dog: "Big" } },
      ],
      billingAddress: place,
      taxExemption: { number: "" },
      usualPayer: { name: " " },
    }),
  ).toMatchObject({
    phones: [{ number: "360 555 0111" }],
    emails: [],
    contacts: [{ name: "Idris", phone: null, email: null }],
    serviceAddresses: [{ access: { dog: "Big" } }],
    billingAddress: null,
    taxExemption: null,
    usualPayer: null,
  });
});

describe("a customer", () => {
  const { customer, vehicles } = sheetSample();
  const SHEET = `GET /api/customers/${customer.id}`;
  const LIKELY = { "POST /api/customers/likely": { body: { likely: [] } } };

  it("starts new work with the only car", async () => {
    fakeServer({ ...LIKELY, [SHEET]: { body: sheetSample() } });
    show(<CustomerSheet id={customer.id} />);
    fireEvent.press(await screen.findByRole("button", { name: "New work order for Maren" }));
    expect(useDraft.getState().draft).toMatchObject({
      known: { id: customer.id },
      car: { kind: "kept", vehicle: { id: vehicles[0]?.id } },
    });
    expect(visited).toEqual(["/new"]);
  });

  it("has all that hangs on them one press away", async () => {
    const visit = {
      id: "v",
      workOrderId: "w",
      startsAt: "2026-11-24T17:00:00.000Z",
      mechanicName: "Odile",
      street: "18 Heron Landing",
      vehicleName: "2019 Honda Accord",
      cancelled: false,
    };
    const later = [
      {
        workOrderId: "w",
        jobId: "j",
        title: "Wiper blades",
        vehicleName: "2019 Honda Accord",
        totalCents: 5474,
        at: "2026-10-01T00:00:00.000Z",
      },
    ];
    const messages = [messageSample({ text: "Odile is on the way.", at: "2026-10-01T00:00:00.000Z" })];
    fakeServer({
      ...LIKELY,
      [SHEET]: {
        body: sheetSample({
          comingVisits: [visit],
          lastVisits: [{ ...visit, id: "o" }],
          later,
          messages,
          owedCents: 12345,
        }),
      },
    });
    show(<CustomerSheet id={customer.id} />);
    expect(await screen.findByText("Owes $123.45")).toBeTruthy();
    expect(screen.getAllByRole("link", { name: /^Visit/ })).toHaveLength(1);
    for (const part of [/^Later list/, /^Last visits/, /^Messages/])
      fireEvent.press(screen.getByRole("button", { name: part }));
    expect(screen.getByRole("link", { name: "Later: Wiper blades, $54.74" })).toBeTruthy();
    expect(screen.getAllByRole("link", { name: /^Visit/ })).toHaveLength(2);
    expect(screen.getByText("Odile is on the way.")).toBeTruthy();
  });

  it("is changed with contacts and notes, by what differs; shown so at once", async () => {
    fakeServer({ ...LIKELY, [SHEET]: { body: sheetSample() } });
    show(<CustomerSheet id={customer.id} />);
    fireEvent.press(await screen.findByRole("button", { name: "Change" }));
    fireEvent.press(screen.getByRole("radio", { name: "Business" }));
    fireEvent.changeText(screen.getByLabelText("Phone 1"), "360 555 0199");
    fireEvent.press(screen.getByRole("button", { name: "Add a contact" }));
    fireEvent.changeText(screen.getByLabelText("Contact 1"), "idris oyelaran");
    fireEvent.press(screen.getByRole("radio", { name: "Spouse" }));
    fireEvent.press(screen.getByRole("radio", { name: "Up to" }));
    fireEvent.press(screen.getByRole("checkbox", { name: "May pay" }));
    fireEvent.press(screen.getByRole("radio", { name: "No texts" }));
    fireEvent.press(screen.getByTestId("save-customer"));
    await waitFor(() => expect(givenActs()).toHaveLength(1));
    const [act] = givenActs();
    expect(act).toMatchObject({
      kind: "customerChange",
      target: customer.id,
      was: { kind: "person" },
      becomes: {
        kind: "business",
        phones: [{ number: "+13605550199" }],
        contacts: [{ name: "Idris Oyelaran", role: "Spouse", approvalLimitCents: 30000, mayPay: true }],
        textConsent: { given: false },
      },
    });
    expect(Object.keys((act as { becomes: object }).becomes).sort()).toEqual([
      "contacts",
      "kind",
      "phones",
      "textConsent",
    ]);
    expect(await screen.findAllByText(/555-0199/)).not.toEqual([]);
  });

  it("tells at the field what does not fit, and sends nothing", async () => {
    fakeServer({ ...LIKELY, [SHEET]: { body: sheetSample() } });
    show(<CustomerSheet id={customer.id} />);
    fireEvent.press(await screen.findByRole("button", { name: "Change" }));
    fireEvent.changeText(screen.getByLabelText("Phone 1"), "12");
    fireEvent.press(screen.getByTestId("save-customer"));
    await screen.findByText(/✕ "12" is no phone number/);
    expect(givenActs()).toEqual([]);
  });

  it("is merged with another after saying what that does, and parted again", async () => {
    const other = foundSample({ customer: customerSample({ id: OTHER_ID, name: "M. Oyelaran" }) });
    const merges = [
      {
        id: "merge",
        mergedName: "M. Oyelaran",
        at: "2026-11-20T10:00:00.000Z",
        by: "Odile Farrow",
        undoUntil: "2026-12-20T10:00:00.000Z",
      },
    ];
    fakeServer({
      ...LIKELY,
      [SHEET]: { body: sheetSample({ merges }) },
      "GET /api/search": { body: { customers: [other], workOrders: [] } },
      "POST /api/merges/merge/undo": { body: { keptId: customer.id, mergedId: OTHER_ID, detailsRestored: false } },
    });
    show(<CustomerSheet id={customer.id} />);
    fireEvent.press(await screen.findByRole("button", { name: /^Kept twice/ }));
    fireEvent.changeText(screen.getByLabelText("Find the other record"), "oyel");
    fireEvent.press(await screen.findByRole("button", { name: "Merge with M. Oyelaran" }));
    expect(screen.getByText(/can be undone for 30 days/)).toBeTruthy();
    fireEvent.press(screen.getByTestId("merge"));
    expect(await screen.findByText(/M. Oyelaran becomes part of this record as soon as it is sent/)).toBeTruthy();
    expect(givenActs()).toEqual([
      { kind: "merge", target: customer.id, mergedId: OTHER_ID, mergedName: "M. Oyelaran" },
    ]);
    fireEvent.press(screen.getByRole("button", { name: "Part from M. Oyelaran again" }));
    await screen.findByText(/keeps what it knows now/);
  });
});

describe("a new customer", () => {
  it("is saved with a name alone, and one that is kept already is offered with why", async () => {
    const likely = [{ customer: customerSample({ id: OTHER_ID }), likenesses: ["phone", "soundAndStreet"], cars: [] }];
    resetSync();
    fakeServer({ "POST /api/customers/likely": { body: { likely } } });
    show(<NewCustomer />);
    fireEvent.changeText(screen.getByLabelText("Name or business"), "Marin Oyelaran");
    await screen.findByRole("button", { name: "Same as Maren Oyelaran, same phone, name sounds alike, same street" });
    fireEvent.press(screen.getByRole("button", { name: "None of these, somebody new" }));
    fireEvent.press(screen.getByTestId("save-customer"));
    await waitFor(() => expect(visited).toHaveLength(1));
    const [given] = useSync.getState().pending;
    expect(given).toMatchObject({
      kind: "customer",
      body: { name: "Marin Oyelaran", phones: [], notTheSameAs: [OTHER_ID] },
    });
    expect(visited).toEqual([`/customers/${given?.target}`]);
  });
});
