import { act, fireEvent, screen } from "@testing-library/react-native";
import { type Finding, refusalWords, type Signature } from "@mechanon/core";
import { paymentWords } from "@mechanon/core";
import { ReceiptPaper } from "../receipts/ReceiptPaper";
import { Refusals } from "../sync/Refusals";
import { SyncLine } from "../sync/SyncLine";
import { useSync } from "../sync/state";
import type { Pending, Refusal } from "../sync/pending";
import { syncWords, type Standing } from "../sync/syncWords";
import { WaitingScreen } from "../sync/WaitingScreen";
import { fakeServer, givenCommands, resetSync, show } from "../testing/harness";
import { LIBRARY_SAMPLE, customerSample, stateSample, receiptSample, viewSample } from "../testing/samples";
import { visited } from "../testing/router";
import { CustomerFace } from "./CustomerFace";
import { toStrokes } from "../answer/strokes";

let sign: (strokes: Signature) => void = () => undefined;
jest.mock("../answer/SignatureField", () => ({
  SignatureField: ({ onChange }: { onChange: (strokes: Signature) => void }) => {
    sign = onChange;
    return null;
  },
}));

const AT = "2026-11-23T17:00:00.000Z";
const job = {
  id: "j",
  title: "Wiper blades",
  libraryJobId: "wipers",
  concernId: null,
  pointIds: [],
  lines: LIBRARY_SAMPLE[0]?.lines ?? [],
  addedAt: AT,
  answer: null,
  finishedAt: null,
};
const findings: Finding[] = [
  { pointId: "pads", grade: "act", measures: { value: 2.5 }, note: "worn to the metal", at: AT, by: "me" },
  { pointId: "oil", grade: "sound", measures: {}, note: "", at: AT, by: "me" },
];

beforeEach(() => {
  visited.length = 0;
  fakeServer({});
  const view = viewSample({ state: stateSample({ jobs: [job], findings }) });
  resetSync({ "order-1": view });
});

describe("turned to the customer", () => {
  it("shows what was found and what it takes, and nothing of cost", () => {
    show(<CustomerFace id="order-1" />);
    expect(screen.getByText("Front brake pads")).toBeTruthy();
    expect(screen.getByText("Needs work now")).toBeTruthy();
    expect(screen.getByText(/Brakes stop the car/)).toBeTruthy();
    expect(screen.getByText("Engine oil")).toBeTruthy();
    expect(screen.getByText("Brake pad 2.5 mm · limit 3 mm")).toBeTruthy();
    expect(screen.getByText("worn to the metal")).toBeTruthy();
    expect(screen.queryByText(/[Mm]argin|[Cc]ost|\$8\.00/)).toBeNull();
  });

  it("asks for an answer to each job, a name and a signature", () => {
    show(<CustomerFace id="order-1" />);
    fireEvent.press(screen.getByTestId("agree"));
    expect(screen.getByText(/Please answer wiper blades/)).toBeTruthy();
    fireEvent.press(screen.getByRole("radio", { name: "Yes" }));
    fireEvent.changeText(screen.getByLabelText("Name"), " ");
    fireEvent.press(screen.getByTestId("agree"));
    expect(screen.getByText("Please give a name with the signature.")).toBeTruthy();
    fireEvent.changeText(screen.getByLabelText("Name"), "Maren Oyelaran");
    fireEvent.press(screen.getByTestId("agree"));
    expect(screen.getByText("Please sign in the field above.")).toBeTruthy();
    expect(useSync.getState().pending).toEqual([]);
  });

  it("records exactly what was agreed to, at the price that was seen", () => {
    show(<CustomerFace id="order-1" />);
    fireEvent.press(screen.getByRole("radio", { name: "Yes" }));
    expect(screen.getByRole("button", { name: "Agree to $45.20" })).toBeTruthy();
    act(() => sign([[0, 0, 500, 500]]));
    fireEvent.press(screen.getByTestId("agree"));
    expect(givenCommands()).toMatchObject([
      {
        type: "recordAnswers",
        way: "signed",
        name: "Maren Oyelaran",
        signature: [[0, 0, 500, 500]],
        answers: [{ jobId: "j", answer: "yes", totalCents: 4200 }],
        totalCents: 4520,
      },
    ]);
    fireEvent.press(screen.getByTestId("hand-back"));
    expect(visited).toEqual(["/work/order-1"]);
  });

  it("takes a contact's yes beyond what was agreed with the owner's beside it", () => {
    const idris = {
      id: "c",
      name: "Idris Oyelaran",
      role: "Spouse",
      phone: null,
      email: null,
      approvalLimitCents: 100,
      mayPay: false,
      mayHandOverKeys: false,
    };
    const view = viewSample({ state: stateSample({ jobs: [job] }), customer: customerSample({ contacts: [idris] }) });
    useSync.setState({ views: { "order-1": view } });
    show(<CustomerFace id="order-1" />);
    fireEvent.press(screen.getByRole("radio", { name: "Yes" }));
    fireEvent.press(screen.getByRole("radio", { name: "Idris Oyelaran" }));
    expect(
      screen.getByText(/Idris Oyelaran may agree to up to \$1.00: the yes of Maren Oyelaran is needed/),
    ).toBeTruthy();
    act(() => sign([[1, 2, 3, 4]]));
    fireEvent.press(screen.getByTestId("agree"));
    expect(givenCommands()).toMatchObject([{ name: "Idris Oyelaran", needsAlso: "Maren Oyelaran" }]);
  });

  it("takes later and no without a price", () => {
    show(<CustomerFace id="order-1" />);
    fireEvent.press(screen.getByRole("radio", { name: "Later" }));
    expect(screen.getByRole("button", { name: "Sign my answer" })).toBeTruthy();
    act(() => sign([[0, 0, 1, 1]]));
    fireEvent.press(screen.getByTestId("agree"));
    expect(givenCommands()[0]).toMatchObject({ answers: [{ answer: "later" }], totalCents: 0 });
  });
});

describe("strokes", () => {
  it("become thousandths of the field, kept inside it", () => {
    expect(
      toStrokes(
        [
          {
            points: [
              { x: 50, y: 25 },
              { x: 500, y: -4 },
            ],
          },
        ],
        100,
        50,
      ),
    ).toEqual([[500, 500, 1000, 0]]);
    expect(toStrokes([], 0, 0)).toEqual([]);
  });
});

describe("whether work is safe", () => {
  const act = (id: string, target = "order-1", refusal?: Refusal): Pending => ({
    by: "me",
    kind: "workOrder",
    id,
    at: AT,
    target,
    command: { type: "recordOdometer", miles: 1200 },
    ...(refusal ? { refusal } : {}),
  });
  const fine: Standing = { waiting: 0, refused: 0, online: true, keeping: "kept", halted: null };
  it.each<[Partial<Standing>, string]>([
    [{}, "Saved"],
    [{ waiting: 1 }, "Saving 1 change"],
    [{ online: false }, "No connection; everything so far is saved"],
    [{ waiting: 3, online: false }, "No connection; 3 changes kept here, sent when there is signal"],
    [{ refused: 2 }, "Saved. 2 changes not taken"],
    [{ waiting: 1, halted: "You are not signed in." }, "You are not signed in. 1 change kept here."],
    [
      { waiting: 1, online: false, keeping: "none" },
      "No connection; 1 change kept here, sent when there is signal. This browser keeps nothing: leave this page open until it is sent",
    ],
    [{ keeping: "full" }, "Saved"],
    [{ online: false, asOf: "9:42 am" }, "No connection; everything so far is saved. As of 9:42 am"],
    [{ asOf: "9:42 am" }, "Saved"],
  ])("%p: %p", (over, words) => {
    expect(syncWords({ ...fine, ...over })).toBe(words);
  });

  it("leads to what waits and what was not taken", () => {
    useSync.setState({ pending: [act("1")], refused: [act("2", "order-2", { code: "x", words: "It does not fit." })] });
    show(<SyncLine />);
    fireEvent.press(screen.getByRole("link", { name: "Saving 1 change. 1 change not taken. See what waits" }));
    expect(visited).toEqual(["/waiting"]);
    screen.unmount();
    show(<WaitingScreen />);
    expect(screen.getByText("The odometer, 1,200 mi")).toBeTruthy();
    expect(screen.getByText("The odometer, 1,200 mi, was not taken. It does not fit.")).toBeTruthy();
    fireEvent.press(screen.getByRole("button", { name: "Let go" }));
    expect(useSync.getState().refused).toEqual([]);
  });

  it("tells a refusal on its own work order only, and offers to overlap on purpose", () => {
    const overlaps = { code: "visit/overlaps", words: refusalWords("visit/overlaps") };
    const ordered = { code: "line/ordered", words: refusalWords("line/ordered") };
    useSync.setState({ refused: [act("1", "order-1", overlaps), act("2", "order-2", ordered)] });
    show(<Refusals of="order-1" />);
    expect(screen.getByText(/has another visit then/)).toBeTruthy();
    expect(screen.getByRole("button", { name: "Do it anyway" })).toBeTruthy();
    expect(screen.queryByText(/That part is on order/)).toBeNull();
    fireEvent.press(screen.getByRole("button", { name: "Let go" }));
    expect(useSync.getState().refused.map(({ id }) => id)).toEqual(["2"]);
  });
});

describe("the receipt", () => {
  const cash = { method: "cash" as const, at: AT, amountCents: 4520, tenderedCents: 5000, card: null };
  const card = {
    method: "card" as const,
    at: AT,
    amountCents: 4520,
    tenderedCents: null,
    card: { lastFour: "4407", authorization: "A1" },
  };
  it.each([
    [cash, "Cash, Nov 23, 2026, $50.00 given, $4.80 back"],
    [{ ...cash, tenderedCents: 4520 }, "Cash, Nov 23, 2026"],
    [card, "Card ending 4407, Nov 23, 2026"],
  ])("names a payment", (payment, words) => {
    expect(paymentWords("en", payment, "America/Los_Angeles")).toBe(words);
  });

  it("reads as paper: jobs, taxes, payments, what was put off, the signature", () => {
    show(<ReceiptPaper receipt={receiptSample()} />);
    for (const text of [
      "Receipt 1001",
      "2 × Wiper blade",
      "Tax, state",
      "Paid in full",
      "Declined: Front brake pads",
      "Approved by Maren Oyelaran",
    ])
      expect(screen.getByText(text)).toBeTruthy();
  });
});
