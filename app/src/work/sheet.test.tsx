import { act, fireEvent, screen, waitFor } from "@testing-library/react-native";
import { Linking } from "react-native";
import { NO_FACTS } from "@mechanon/core";
import type { Job, WorkOrderState } from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import { useReachable } from "../api/reachable";
import { useSync } from "../sync/state";
import { BUSINESS, fakeServer, givenCommands, problemReply, resetSync, show } from "../testing/harness";
import {
  jobSample,
  pictureSample,
  stateSample,
  viewSample,
  visitSample,
  customerSample,
  messageSample,
} from "../testing/samples";
import { visited } from "../testing/router";
import { useUnsavedForms } from "../unsaved/useUnsaved";
import { CheckSection } from "./CheckSection";
import { OdometerField } from "./OdometerField";
import { Concerns } from "./Concerns";
import { AboutWork } from "./AboutWork";
import { WorkHead } from "./WorkHead";
import { JobLibrary } from "../jobLibrary/JobLibrary";
import { MoneySection } from "./MoneySection";
import { PartsSection } from "./PartsSection";
import { QuoteSection } from "../quote/QuoteSection";
import { MessagesSection, messagesSection } from "./MessagesSection";
import { VisitsSection } from "./visits/VisitsSection";
import { WorkSection } from "./WorkSection";

const AT = "2026-11-23T17:00:00.000Z";
const job = jobSample();
/** 0.1 h at 100.00 and two blades at 16.00, before tax. */
const TOTAL = 4200;
const agreed: Job = { ...job, answer: { value: "yes", approvalId: "a", totalCents: TOTAL } };
const view = (state: Partial<WorkOrderState>, over: Partial<WorkOrderView> = {}): WorkOrderView =>
  viewSample({ state: stateSample(state), ...over });
const given = givenCommands;

beforeEach(() => {
  fakeServer({});
  visited.length = 0;
  resetSync();
});

describe("concerns", () => {
  const concern = { id: "c", text: "Brakes grind", kind: "fault" as const, phraseId: "grind", at: AT };
  it("show which one nothing answers yet", () => {
    show(<Concerns view={view({ concerns: [concern] })} business={BUSINESS} />);
    expect(screen.getByText("Open: nobody said what it was")).toBeTruthy();
  });
  it("name the job that answers", () => {
    show(<Concerns view={view({ concerns: [concern], jobs: [{ ...job, concernId: "c" }] })} business={BUSINESS} />);
    expect(screen.getByText("Answered by Wiper blades")).toBeTruthy();
  });
  it("are added from the ready phrases", () => {
    show(<Concerns view={view({})} business={BUSINESS} />);
    fireEvent.press(screen.getByRole("button", { name: "Add a concern" }));
    fireEvent.press(screen.getByRole("checkbox", { name: "Brakes grind" }));
    fireEvent.press(screen.getByTestId("add-concerns"));
    expect(given()).toMatchObject([{ type: "addConcern", text: "Brakes grind", phraseId: "grind" }]);
  });
});

describe("the check on the sheet", () => {
  it("offers the cure of a bad point, linked to it and to the concern it answers", async () => {
    const findings = [{ pointId: "oil", grade: "act" as const, measures: {}, note: "Low", at: AT, by: "me" }];
    const concerns = [{ id: "c", text: "Brakes grind", kind: "fault" as const, phraseId: "grind", at: AT }];
    const pictures = [pictureSample({ photoId: "p", id: "oil" })];
    show(<CheckSection view={view({ findings, concerns, pictures })} business={BUSINESS} isUnsent={false} />);
    expect(await screen.findByLabelText("Engine oil, photo 1")).toBeTruthy();
    fireEvent.press(screen.getByTestId("cure-wipers"));
    expect(given()).toMatchObject([{ type: "addJob", libraryJobId: "wipers", pointIds: ["oil"], concernId: "c" }]);
  });
  it("leads into the check, and says what is open", () => {
    show(<CheckSection view={view({})} business={BUSINESS} isUnsent={false} />);
    expect(screen.getByText("2 points")).toBeTruthy();
    fireEvent.press(screen.getByTestId("open-check"));
    expect(visited).toEqual(["/work/order-1/check"]);
  });
});

describe("the odometer", () => {
  it("takes whole miles only", () => {
    show(<OdometerField view={view({})} />);
    const field = screen.getByLabelText("Odometer, miles");
    fireEvent.changeText(field, "88.5");
    fireEvent(field, "blur");
    expect(screen.getByText(/miles are a whole number/)).toBeTruthy();
    expect(given()).toEqual([]);
    fireEvent.changeText(field, "88,120");
    fireEvent(field, "blur");
    expect(given()).toMatchObject([{ type: "recordOdometer", miles: 88120 }]);
  });
  describe("the odometer of a car read before", () => {
    const before = { odometerBefore: [{ miles: 61_000, at: AT }] };
    const read = (typed: string): void => {
      const field = screen.getByLabelText("Odometer, miles");
      fireEvent.changeText(field, typed);
      fireEvent(field, "blur");
    };
    afterEach(() => useUnsavedForms.setState({ forms: {} }));

    it("asks about ten times as many, and takes what was meant", () => {
      show(<OdometerField view={view({}, before)} />);
      read("612500");
      expect(screen.getByText(/61,000 mi were read on .* Is it 612,500 mi now\?/)).toBeTruthy();
      expect(given()).toEqual([]);
      fireEvent.press(screen.getByRole("button", { name: "It is 61,250 mi" }));
      expect(given()).toMatchObject([{ type: "recordOdometer", miles: 61_250 }]);
    });
    it("asks about nothing at all, and takes it from who is sure", () => {
      show(<OdometerField view={view({}, before)} />);
      read("0");
      fireEvent.press(screen.getByTestId("odometer-sure"));
      expect(given()).toMatchObject([{ type: "recordOdometer", miles: 0 }]);
    });
    it.each(["6100", "60999"])("takes %s, less than before, with a reason only", (typed) => {
      show(<OdometerField view={view({}, before)} />);
      read(typed);
      expect(screen.queryByTestId("odometer-sure")).toBeNull();
      fireEvent.press(screen.getByRole("radio", { name: "The cluster was replaced" }));
      expect(given()).toEqual([{ type: "recordOdometer", miles: Number(typed), reason: "The cluster was replaced" }]);
    });
    it("does not read 1e5 as a number, nor drop what waits for an answer when one leaves", () => {
      show(<OdometerField view={view({}, before)} />);
      read("1e5");
      expect(screen.getByText(/miles are a whole number/)).toBeTruthy();
      read("610000");
      screen.unmount();
      show(<OdometerField view={view({}, before)} />);
      expect(screen.getByLabelText("Odometer, miles")).toHaveDisplayValue("610000");
      expect(screen.getByText(/Is it 610,000 mi now/)).toBeTruthy();
      fireEvent.press(screen.getByRole("button", { name: "Not read after all" }));
      expect(given()).toEqual([]);
      expect(screen.getByLabelText("Odometer, miles")).toHaveDisplayValue("");
    });
    it("takes a wrong one back with a reason", () => {
      const odometerMiles = { value: 610_000, at: AT };
      const taken = { value: 1, at: AT, reason: "Of another car", by: "me", takenBackAt: AT };
      show(<OdometerField view={view({ odometerMiles, odometerTakenBack: [taken] }, before)} />);
      expect(screen.getByText("1 mi was taken back: Of another car")).toBeTruthy();
      fireEvent.press(screen.getByRole("button", { name: "That reading was wrong: 610,000 mi" }));
      fireEvent.press(screen.getByRole("radio", { name: "Misread" }));
      expect(given()).toMatchObject([{ type: "takeBackOdometer", miles: 610_000, reason: "Misread" }]);
    });
  });
});

describe("the quote", () => {
  it("adds a job from the library, what fits first", () => {
    const concerns = [{ id: "c", text: "Brakes grind", kind: "fault" as const, phraseId: "grind", at: AT }];
    show(<JobLibrary view={view({ concerns })} business={BUSINESS} onDone={jest.fn()} />);
    expect(screen.getByText("Answers “Brakes grind”")).toBeTruthy();
    expect(screen.getByText("$42.00")).toBeTruthy();
    fireEvent.press(screen.getByRole("button", { name: "Add Wiper blades" }));
    expect(given()).toMatchObject([{ type: "addJob", concernId: "c" }]);
  });
  it("takes a job of its own where the library has none", () => {
    const done = jest.fn();
    show(<JobLibrary view={view({})} business={BUSINESS} onDone={done} />);
    fireEvent.changeText(screen.getByLabelText("Find a job"), "Fix the squeak");
    expect(screen.queryByRole("button", { name: "Add Wiper blades" })).toBeNull();
    fireEvent.press(screen.getByRole("button", { name: "Add “Fix the squeak” as a job of its own" }));
    expect(given()).toMatchObject([{ type: "addOwnJob", title: "Fix the squeak" }]);
    expect(done).toHaveBeenCalled();
  });
  it("explains its total, and shows the margin to those who may see it", () => {
    show(<QuoteSection view={view({ jobs: [job] })} business={BUSINESS} isUnsent={false} />);
    fireEvent.press(screen.getByRole("button", { name: "Quote total $45.20, how it comes about" }));
    expect(screen.getAllByText("$42.00").length).toBeGreaterThan(1);
    fireEvent.press(screen.getByRole("button", { name: /^Tax, state \$3.20/ }));
    expect(screen.getByText("10% of $32.00")).toBeTruthy();
    expect(screen.getByText("Margin: $23.00 left of $42.00, 54.8 %")).toBeTruthy();
  });
  it("keeps the margin from others", () => {
    show(<QuoteSection view={view({ jobs: [job] })} business={BUSINESS} isUnsent={false} />, { rights: [] });
    expect(screen.queryByText(/Margin/)).toBeNull();
  });
  it("changes hours, an exact quantity and a price", () => {
    show(<QuoteSection view={view({ jobs: [job] })} business={BUSINESS} isUnsent={false} />);
    fireEvent.press(screen.getByRole("button", { name: /^0.1 h Fit blades/ }));
    fireEvent.press(screen.getByRole("button", { name: "Hours of Fit blades more" }));
    fireEvent.press(screen.getByRole("button", { name: "Done" }));
    fireEvent.press(screen.getByRole("button", { name: /^2 × Wiper blade/ }));
    expect(screen.getByLabelText("Cost each").props.value).toBe("8.00");
    fireEvent.changeText(screen.getByLabelText("Exact quantity"), "2.5");
    fireEvent(screen.getByLabelText("Exact quantity"), "blur");
    fireEvent.changeText(screen.getByLabelText("Price each"), "19.99");
    fireEvent(screen.getByLabelText("Price each"), "blur");
    expect(given()).toMatchObject([{ hours: 0.2 }, { quantity: 2.5 }, { priceCents: 1999 }]);
  });
  it("asks what a diagnosis led to, and takes its price off there by one tap", () => {
    const lines = job.lines.map((line) => ({ ...line, id: `d-${line.id}` }));
    const diagnosis: Job = { ...job, id: "d", title: "Diagnosis", isDiagnosis: true, lines };
    const rules = { ...BUSINESS.settings.rules, diagnosisCreditPercent: 50 };
    const jobs = [diagnosis, job];
    show(<QuoteSection view={view({ rules, jobs })} business={BUSINESS} isUnsent={false} />);
    expect(screen.getByText("What did it lead to? Its price comes off there.")).toBeTruthy();
    fireEvent.press(screen.getByRole("checkbox", { name: "Wiper blades" }));
    expect(given()).toMatchObject([{ type: "foundBy", jobId: job.id, diagnosisId: "d" }]);
  });
  it("says what a diagnosis led to, which is taken back by the same tap", () => {
    const lines = job.lines.map((line) => ({ ...line, id: `d-${line.id}` }));
    const diagnosis: Job = { ...job, id: "d", title: "Diagnosis", isDiagnosis: true, lines };
    const rules = { ...BUSINESS.settings.rules, diagnosisCreditPercent: 50 };
    const jobs = [diagnosis, { ...job, foundBy: "d" }];
    show(<QuoteSection view={view({ rules, jobs })} business={BUSINESS} isUnsent={false} />);
    expect(screen.getByText("Less $21.00 of the diagnosis")).toBeTruthy();
    fireEvent.press(screen.getByRole("checkbox", { name: "Wiper blades", checked: true }));
    expect(given()).toMatchObject([{ type: "foundBy", jobId: job.id, diagnosisId: null }]);
  });
  it("has no price field for those who may not change prices", () => {
    show(<QuoteSection view={view({ jobs: [job] })} business={BUSINESS} isUnsent={false} />, { rights: [] });
    fireEvent.press(screen.getByRole("button", { name: /^2 × Wiper blade/ }));
    expect(screen.queryByLabelText("Price each")).toBeNull();
    expect(screen.getByText(/you may not change prices/)).toBeTruthy();
  });
  it("tells at the field when a typed line does not fit", async () => {
    show(<QuoteSection view={view({ jobs: [job] })} business={BUSINESS} isUnsent={false} />);
    fireEvent.press(screen.getByRole("button", { name: "Add a line" }));
    fireEvent.press(screen.getByRole("button", { name: "Add the line" }));
    expect(await screen.findByText("✕ say what it is")).toBeTruthy();
    fireEvent.changeText(screen.getByLabelText("What"), "Clean contacts");
    fireEvent.press(screen.getByRole("button", { name: "Add the line" }));
    await waitFor(() =>
      expect(given()).toMatchObject([{ type: "addLine", line: { kind: "labor", hours: 1, rateCents: 10000 } }]),
    );
  });
});

describe("parts", () => {
  const offer = {
    lineId: "w2",
    partNumber: "SD-22",
    description: "Wiper blade",
    quantity: 2,
    costCents: 800,
    quotedCostCents: 800,
    costChanged: false,
    available: 12,
    readyAt: null,
  };
  const OFFERS = "GET /api/work-orders/order-1/part-offers";
  it("wait for a yes", () => {
    show(<PartsSection view={view({ jobs: [job] })} business={BUSINESS} isUnsent={false} />);
    expect(screen.getByText(/No agreed job needs a part/)).toBeTruthy();
  });
  it("are offered with their cost, and ordered once", async () => {
    const server = fakeServer({
      [OFFERS]: { body: { supplierId: "gull-harbor", supplier: "Gull Harbor Parts", offers: [offer] } },
      "POST /api/work-orders/order-1/part-orders": problemReply(
        503,
        "parts/supplier-unreachable",
        "The supplier does not answer.",
      ),
    });
    show(<PartsSection view={view({ jobs: [agreed] })} business={BUSINESS} isUnsent={false} />);
    const order = await screen.findByRole("button", { name: "Order 1 part, $16.00" });
    fireEvent.press(order);
    await screen.findByText("The supplier does not answer.");
    fireEvent.press(screen.getByRole("button", { name: "Order 1 part, $16.00" }));
    await waitFor(() => expect(server.asked.filter(({ method }) => method === "POST")).toHaveLength(2));
    const ids = server.asked
      .filter(({ method }) => method === "POST")
      .map(({ body }) => (body as { orderId: string }).orderId);
    expect(new Set(ids).size).toBe(1);
  });
  it("say what is short and what became dearer", async () => {
    const offers = [{ ...offer, available: 1 }];
    fakeServer({ [OFFERS]: { body: { supplierId: "gull-harbor", supplier: "Gull Harbor Parts", offers } } });
    show(<PartsSection view={view({ jobs: [agreed] })} business={BUSINESS} isUnsent={false} />);
    await screen.findByText(/Gull Harbor Parts has 1 of 2 wiper blade/);
    expect(screen.queryByTestId("order-parts")).toBeNull();
  });
  it("whose order is not confirmed are asked about under its own id, and not ordered again", async () => {
    const id = "0190a000-0000-7000-8000-00000000000a";
    const request = {
      id,
      kind: "partsOrder" as const,
      status: "asked" as const,
      at: AT,
      amountCents: null,
      lineIds: ["w2"],
    };
    const server = fakeServer({
      "POST /api/work-orders/order-1/part-orders": { body: { workOrder: view({ jobs: [agreed] }) } },
    });
    show(
      <PartsSection view={view({ jobs: [agreed] }, { requests: [request] })} business={BUSINESS} isUnsent={false} />,
    );
    expect(screen.getByText("Being ordered")).toBeTruthy();
    expect(screen.queryByTestId("order-parts")).toBeNull();
    fireEvent.press(screen.getByTestId("ask-supplier"));
    await waitFor(() => expect(server.asked[0]?.body).toMatchObject({ orderId: id, lineIds: ["w2"] }));
  });
  it("whose order never reached the supplier can be ordered, and it is said", async () => {
    fakeServer({ [OFFERS]: { body: { supplierId: "gull-harbor", supplier: "Gull Harbor Parts", offers: [offer] } } });
    const request = {
      id: "r",
      kind: "partsOrder" as const,
      status: "lapsed" as const,
      at: AT,
      amountCents: null,
      lineIds: ["w2"],
    };
    show(
      <PartsSection view={view({ jobs: [agreed] }, { requests: [request] })} business={BUSINESS} isUnsent={false} />,
    );
    expect(screen.getByText(/never reached the supplier. Nothing was ordered by it/)).toBeTruthy();
    await screen.findByTestId("order-parts");
  });
  it("are taken in", () => {
    const items = [{ lineId: "w2", partNumber: "SD-22", quantity: 2, costCents: 800 }];
    const orders = [
      {
        id: "o",
        at: AT,
        by: "me",
        supplierId: "gull-harbor",
        supplier: "Gull Harbor Parts",
        orderNumber: "GH-1",
        readyAt: AT,
        items,
      },
    ];
    show(<PartsSection view={view({ jobs: [agreed], orders })} business={BUSINESS} isUnsent={false} />);
    expect(screen.getByText(/Gull Harbor Parts, GH-1, ready/)).toBeTruthy();
    fireEvent.press(screen.getByTestId("take-in"));
    expect(given()).toEqual([{ type: "receiveParts", items: [{ lineId: "w2", quantity: 2 }] }]);
  });
});

describe("work", () => {
  it("is finished job by job", () => {
    show(
      <WorkSection
        view={view({
          jobs: [
            agreed,
            {
              ...agreed,
              id: "k",
              title: "Done",
              lines: [],
              answer: { ...agreed.answer!, totalCents: 0 },
              finishedAt: AT,
            },
          ],
        })}
        business={BUSINESS}
        isUnsent={false}
      />,
    );
    expect(screen.getByText(/^Finished/)).toBeTruthy();
    fireEvent.press(screen.getByRole("button", { name: "Finish wiper blades" }));
    expect(given()).toEqual([{ type: "finishJobs", jobIds: ["j"] }]);
  });
});

describe("money", () => {
  const finished = { jobs: [{ ...agreed, finishedAt: AT }] };
  const CARD = "POST /api/work-orders/order-1/card-payments";
  it("counts the change of cash, and takes no less than is due", () => {
    show(<MoneySection view={view(finished)} business={BUSINESS} isUnsent={false} />);
    fireEvent.press(screen.getByRole("button", { name: "Cash" }));
    fireEvent.changeText(screen.getByLabelText("Another amount"), "40");
    expect(screen.getByText("✕ at least $45.20 is needed")).toBeTruthy();
    fireEvent.changeText(screen.getByLabelText("Another amount"), "60");
    expect(screen.getByText("$14.80")).toBeTruthy();
    fireEvent.press(screen.getByTestId("take-cash"));
    expect(given()).toMatchObject([{ type: "takeCash", amountCents: 4520, tenderedCents: 6000 }]);
  });
  it("tells a declined card, and charges the next try under an id of its own", async () => {
    const declined = { body: { result: "declined", reason: "The bank refused this card.", workOrder: view(finished) } };
    const server = fakeServer({ [CARD]: declined });
    show(<MoneySection view={view(finished)} business={BUSINESS} isUnsent={false} />);
    fireEvent.press(screen.getByRole("button", { name: "Card" }));
    fireEvent.press(screen.getByTestId("take-card"));
    await screen.findByText(/Card declined: The bank refused this card. Nothing was charged/);
    fireEvent.press(screen.getByTestId("take-card"));
    await waitFor(() => expect(server.asked).toHaveLength(2));
    const ids = server.asked.map(({ body }) => (body as { paymentId: string }).paymentId);
    expect(new Set(ids).size).toBe(2);
  });
  it("asks again about a charge whose outcome is unknown, under its own id", async () => {
    const server = fakeServer({ [CARD]: { body: { result: "taken", reason: null, workOrder: view(finished) } } });
    const id = "0190a000-0000-7000-8000-000000000009";
    const charge = {
      id,
      kind: "cardCharge" as const,
      status: "asked" as const,
      amountCents: 4520,
      at: AT,
      lineIds: [],
    };
    show(<MoneySection view={view(finished, { requests: [charge] })} business={BUSINESS} isUnsent={false} />);
    expect(screen.queryByRole("button", { name: "Card" })).toBeNull();
    fireEvent.press(screen.getByTestId("ask-terminal"));
    await waitFor(() => expect(server.asked[0]?.body).toEqual({ paymentId: id, amountCents: 4520 }));
  });
  it("does not charge before the server has what was done", async () => {
    const server = fakeServer({ [CARD]: { body: { result: "taken", reason: null, workOrder: view(finished) } } });
    show(<MoneySection view={view(finished)} business={BUSINESS} isUnsent />);
    fireEvent.press(screen.getByRole("button", { name: "Card" }));
    expect(screen.getByText(/Sending what was done before/)).toBeTruthy();
    fireEvent.press(screen.getByTestId("take-card"));
    await act(async () => undefined);
    expect(server.asked).toEqual([]);
    screen.rerender(<MoneySection view={view(finished)} business={BUSINESS} isUnsent={false} />);
    fireEvent.press(screen.getByTestId("take-card"));
    await waitFor(() => expect(server.asked).toHaveLength(1));
  });
  it("leads to the receipt once something is paid", () => {
    const payments = [
      {
        id: "p",
        at: AT,
        by: "me",
        method: "cash" as const,
        status: "taken" as const,
        amountCents: 4520,
        tenderedCents: 5000,
        card: null,
        reason: null,
      },
      {
        id: "q",
        at: AT,
        by: "me",
        method: "card" as const,
        status: "declined" as const,
        amountCents: 4520,
        tenderedCents: null,
        card: null,
        reason: "no",
      },
    ];
    show(<MoneySection view={view({ ...finished, payments })} business={BUSINESS} isUnsent={false} />);
    expect(screen.getByText("Paid in full")).toBeTruthy();
    expect(screen.getByText(/^Card declined/)).toBeTruthy();
    fireEvent.press(screen.getByRole("button", { name: "Show receipt" }));
    expect(visited).toEqual(["/work/order-1/receipt"]);
  });
});

describe("messages", () => {
  const WRITE = "POST /api/work-orders/order-1/messages";
  const messages = [
    messageSample({ id: "1", text: "on the way", status: "delivered" }),
    messageSample({ id: "2", kind: null, text: "The gate is open", isIncoming: true, status: "received" }),
    messageSample({ id: "3", text: "receipt", status: "failed", lastError: "No such number" }),
  ];
  it("say where each stands, and what waits for an answer in their line", () => {
    const shown = view({}, { messages });
    show(<MessagesSection view={shown} business={BUSINESS} isUnsent={false} />);
    expect(screen.getByText(/ · Text, arrived$/)).toBeTruthy();
    expect(screen.getByText(/ · Text from them$/)).toBeTruthy();
    expect(screen.getByText(/ · Text, did not arrive$/)).toBeTruthy();
    const line = (each: typeof shown): string =>
      messagesSection.line({ view: each, business: BUSINESS, facts: NO_FACTS, today: "2026-11-23" });
    expect(line(shown)).toBe("1 reply to answer");
    expect(line(view({}, { messages: messages.slice(2) }))).toBe("1 message did not arrive");
    expect(line(view({}))).toBe("Nothing yet");
  });
  it("are answered, the same words once however often it is tried, and stay typed until they are sent", async () => {
    let tries = 0;
    const server = fakeServer({
      [WRITE]: () =>
        tries++ === 0 ? problemReply(503, "database/unreachable", "The database is away.") : { body: {} },
      "GET /api/work-orders/order-1": { body: view({}, { messages }) },
    });
    show(<MessagesSection view={view({}, { messages })} business={BUSINESS} isUnsent={false} />);
    fireEvent.changeText(screen.getByLabelText("Answer them"), "Thank you");
    fireEvent.press(screen.getByTestId("send-message"));
    expect(await screen.findByText("The database is away.")).toBeTruthy();
    expect(screen.getByDisplayValue("Thank you")).toBeTruthy();
    fireEvent.press(screen.getByTestId("send-message"));
    await waitFor(() => expect(screen.queryByDisplayValue("Thank you")).toBeNull());
    const sent = server.asked.filter(({ method }) => method === "POST").map(({ body }) => body);
    expect(sent).toMatchObject([
      { text: "Thank you", answers: "2" },
      { text: "Thank you", answers: "2" },
    ]);
    expect(new Set(sent.map((body) => (body as { messageId: string }).messageId)).size).toBe(1);
  });
  it("cannot be sent to who is reached by neither", () => {
    const customer = customerSample({ phones: [], emails: [] });
    show(<MessagesSection view={view({}, { customer })} business={BUSINESS} isUnsent={false} />);
    expect(screen.getByText(/call them/)).toBeTruthy();
    expect(screen.queryByLabelText("Write to them")).toBeNull();
  });
});

describe("visits", () => {
  const visit = visitSample();
  it("are arrived at, and called off for a reason", () => {
    show(<VisitsSection view={view({}, { visits: [visit] })} business={BUSINESS} isUnsent={false} />);
    expect(screen.getByText("Gate code 4410")).toBeTruthy();
    fireEvent.press(screen.getByRole("button", { name: "I'm there already" }));
    fireEvent.press(screen.getByRole("button", { name: "Call it off" }));
    fireEvent.press(screen.getByRole("radio", { name: "Nobody there" }));
    fireEvent.changeText(screen.getByLabelText("More about it"), " rang twice ");
    fireEvent.press(screen.getByTestId("call-off"));
    expect(given()).toEqual([{ type: "arrive" }, { type: "cancelVisit", why: "nobodyThere", words: "rang twice" }]);
  });
  it("offer the booking at once where there is none", () => {
    fakeServer({ "GET /api/day": { body: { date: "2026-11-23", visits: [] } } });
    show(<VisitsSection view={view({})} business={BUSINESS} isUnsent={false} />);
    fireEvent.press(screen.getByRole("radio", { name: "Tomorrow" }));
    expect(screen.getByRole("radio", { name: "Tomas Quill" })).toBeTruthy();
    expect(screen.queryByRole("radio", { name: "Wren Adeyemi" })).toBeNull();
    expect(screen.getByText("Pick one of the best, or a day and a time.")).toBeTruthy();
  });
  it("are booked at one of the best times, for as long as the jobs take, by who can do it", async () => {
    const long: Job = {
      ...job,
      lines: job.lines.map((line) => (line.kind === "labor" ? { ...line, hours: 2 } : line)),
    };
    const offer = {
      mechanicId: "tomas",
      date: "2026-11-27",
      startsAt: "2026-11-27T18:00:00.000Z",
      latestStartsAt: "2026-11-27T19:30:00.000Z",
      endsAt: "2026-11-27T20:15:00.000Z",
      addedMinutes: 9,
    };
    const same = { ...offer, mechanicId: "me", addedMinutes: 12 };
    const server = fakeServer({ "POST /api/offered-times": { body: { offers: [offer, same], heldUntil: null } } });
    show(<VisitsSection view={view({ jobs: [long] })} business={BUSINESS} isUnsent={false} />);
    fireEvent.press(
      await screen.findByRole("radio", { name: /10:00 am, Tomas, \+9 min driving, to start by 11:30 am$/ }),
    );
    expect(server.asked.find(({ path }) => path === "/api/offered-times")?.body).toMatchObject({
      minutes: 135,
      days: 7,
    });
    // Another who could come at the same time is not the one that is picked.
    expect(screen.getByRole("radio", { name: /Odile, \+12 min driving/, checked: false })).toBeTruthy();
    expect(screen.getByRole("radio", { name: /Tomas, \+9 min driving/, checked: true })).toBeTruthy();
    fireEvent.press(screen.getByTestId("book-visit"));
    expect(useSync.getState().pending.at(-1)).toMatchObject({
      kind: "visit",
      command: { type: "bookVisit", mechanicId: "tomas", startsAt: offer.startsAt, endsAt: offer.endsAt },
    });
  });
  it("can be picked by day where the best times cannot be had", async () => {
    fakeServer({ "POST /api/offered-times": "down", "GET /api/day": { body: { date: "2026-11-23", visits: [] } } });
    show(<VisitsSection view={view({})} business={BUSINESS} isUnsent={false} />);
    expect(await screen.findByText(/^The best times need a signal; a day and a time can be picked below/)).toBeTruthy();
    fireEvent.press(screen.getByRole("radio", { name: "Tomorrow" }));
    expect(screen.getByRole("radio", { name: "Tomas Quill" })).toBeTruthy();
  });
  it("say when nobody has the time", async () => {
    fakeServer({});
    show(<VisitsSection view={view({})} business={BUSINESS} isUnsent={false} />);
    expect(await screen.findByText(/Nobody who can do it has so much time/)).toBeTruthy();
  });
});

describe("without a signal", () => {
  it("says before the supplier is asked that it takes one, and goes on with the rest", async () => {
    fakeServer({});
    show(<PartsSection view={view({ jobs: [agreed] })} business={BUSINESS} isUnsent={false} />);
    expect(await screen.findByText(/Asking the supplier needs a signal/)).toBeTruthy();
    expect(screen.getByText("Needed")).toBeTruthy();
    const called = jest.spyOn(Linking, "openURL").mockResolvedValue(true);
    fireEvent.press(screen.getByRole("button", { name: "Call Gull Harbor Parts, (360) 555-0190" }));
    expect(called).toHaveBeenCalledWith("tel:+13605550190");
  });
  it("says so of the card before it is touched, and cash is taken", () => {
    fakeServer({});
    useReachable.setState({ isReachable: false });
    show(<MoneySection view={view({ jobs: [{ ...agreed, finishedAt: AT }] })} business={BUSINESS} isUnsent={false} />);
    fireEvent.press(screen.getByRole("button", { name: "Card, needs signal" }));
    expect(screen.getByText(/Cash works here/)).toBeTruthy();
    fireEvent.press(screen.getByRole("button", { name: "Cash" }));
    expect(screen.getByRole("button", { name: /^Take .* in cash/ })).toBeEnabled();
  });
});

describe("what the sheet is about", () => {
  it("is customer, car and margin on a wide screen", () => {
    show(<AboutWork view={view({ jobs: [job] })} />);
    expect(screen.getByText("The car")).toBeTruthy();
    fireEvent.press(screen.getByRole("button", { name: "Customer" }));
    expect(visited).toEqual(["/customers/customer-1"]);
  });
  it("is a head of a few lines on a phone, the rest behind a touch", () => {
    show(<WorkHead view={view({ jobs: [job] })} />);
    expect(screen.getByRole("heading", { name: "Maren Oyelaran" })).toBeTruthy();
    expect(screen.queryByTestId("swap-car")).toBeNull();
    fireEvent.press(screen.getByRole("button", { name: "Car" }));
    expect(visited).toEqual(["/cars/car-1"]);
    fireEvent.press(screen.getByRole("button", { name: "More about this work order" }));
    expect(screen.getByTestId("swap-car")).toBeTruthy();
  });
  it("says that one opened here has no number yet", () => {
    show(<WorkHead view={{ ...view({ jobs: [job] }), number: 0 }} />);
    expect(screen.getByText(/^not numbered yet · /)).toBeTruthy();
  });
  it("has no margin for those who may not see it", () => {
    show(<AboutWork view={view({ jobs: [job] })} />, { rights: [] });
    expect(screen.getByText("The car")).toBeTruthy();
    expect(screen.queryByText("Margin")).toBeNull();
  });
});
