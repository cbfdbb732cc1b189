import { fireEvent, screen } from "@testing-library/react-native";
import { agreedByAnswer, answerWords, seal, type WorkOrderState } from "@mechanon/core";
import { BUSINESS, fakeServer, givenCommands, resetSync, show } from "../testing/harness";
import { customerSample, jobSample, LIBRARY_SAMPLE, stateSample, viewSample } from "../testing/samples";
import { givenWords } from "./agreedWords";
import { AskPart } from "./AskPart";

const job = jobSample({ id: "j", title: "Wiper blades", answer: null, lines: LIBRARY_SAMPLE[0]?.lines ?? [] });
const draw = (over: Partial<WorkOrderState> = {}, customer = customerSample()): void => {
  const view = viewSample({ customer, state: stateSample({ jobs: [job], ...over }) });
  resetSync({ "order-1": view });
  show(<AskPart view={view} business={BUSINESS} />);
};

it("a spoken yes to all is two taps: who, over which number, with what was read back and shown", () => {
  draw();
  fireEvent.press(screen.getByTestId("spoken"));
  expect(screen.getByTestId("read-back")).toHaveTextContent(
    /^You agree to Wiper blades, \$42.00. That is \$45.20 in all/,
  );
  fireEvent.press(screen.getByTestId("record-spoken"));
  expect(givenCommands()).toMatchObject([
    {
      ...{ type: "recordAnswers", way: "spoken", name: "Maren Oyelaran", signature: [], totalCents: 4520 },
      ...{ answers: [{ jobId: "j", answer: "yes", totalCents: 4200 }], shown: { version: 1, jobs: [{ id: "j" }] } },
    },
  ]);
});

describe("the number it was told over", () => {
  const contact = {
    ...{ id: "i", name: "Ilse Oyelaran", role: "spouse", email: null, mayPay: true, mayHandOverKeys: true },
    ...{ phone: { number: "+13605550144", extension: null, label: "mobile" }, approvalLimitCents: null },
  };
  const tell = (): void => {
    draw({}, customerSample({ contacts: [contact] }));
    fireEvent.press(screen.getByTestId("spoken"));
    fireEvent.press(screen.getByRole("radio", { name: "Ilse Oyelaran" }));
  };

  it("is the contact’s own where a contact told us", () => {
    tell();
    fireEvent.press(screen.getByTestId("record-spoken"));
    expect(givenCommands()).toMatchObject([{ name: "Ilse Oyelaran", phone: "+13605550144" }]);
  });

  it("or another, which has to be one, or none face to face", () => {
    tell();
    fireEvent.press(screen.getByRole("radio", { name: "Another" }));
    fireEvent.changeText(screen.getByLabelText("The number"), "12");
    fireEvent.press(screen.getByTestId("record-spoken"));
    expect(screen.getByText(/^That is no phone number/)).toBeTruthy();
    fireEvent.changeText(screen.getByLabelText("The number"), "360 555 0188");
    fireEvent.press(screen.getByTestId("record-spoken"));
    expect(givenCommands()).toMatchObject([{ name: "Ilse Oyelaran", phone: "+13605550188" }]);
  });
});

it("each job may be answered otherwise, and the words to read back follow", () => {
  draw();
  fireEvent.press(screen.getByTestId("spoken"));
  fireEvent.press(screen.getByRole("radio", { name: "No" }));
  expect(screen.getByTestId("read-back")).toHaveTextContent("You decline Wiper blades. Is that right?");
  fireEvent.press(screen.getByRole("button", { name: "Keep their answer" }));
  expect(givenCommands()).toMatchObject([{ answers: [{ answer: "no" }], totalCents: 0 }]);
});

it("is read back in the customer’s language", () => {
  const given = [{ title: "Frenos", answer: "yes" as const, totalCents: 100 }];
  expect(answerWords("es", given, 108, true)).toBe("Usted autoriza Frenos, $1.00. Son $1.08 en total, con impuestos.");
}); // prettier-ignore

it("what led to nothing is closed with why, and gone on with", () => {
  draw();
  fireEvent.press(screen.getByRole("button", { name: "Close without a sale" }));
  fireEvent.changeText(screen.getByLabelText("In their words, if you like"), "a neighbor does it");
  fireEvent.press(screen.getByRole("radio", { name: "Done elsewhere" }));
  expect(givenCommands()).toMatchObject([
    { type: "closeWithoutSale", reason: "elsewhere", words: "a neighbor does it" },
  ]);
  screen.unmount();
  draw({ noSale: { at: "2026-11-27T10:00:00.000Z", by: "me", reason: "price", words: "" } });
  expect(screen.getByText("Closed without a sale: Too dear")).toBeTruthy();
  expect(screen.queryByTestId("spoken")).toBeNull();
  fireEvent.press(screen.getByRole("button", { name: "Go on with it" }));
  expect(givenCommands()).toMatchObject([{ type: "goOnSelling" }]);
});

it("tells every answer, and opens its frozen copy", async () => {
  const at = "2026-11-27T10:00:00.000Z";
  const given = { jobId: "j", title: "Wiper blades", answer: "no" as const, totalCents: 4200, reason: "too dear" };
  const approval = { id: "a", at, by: "x", way: "page" as const, name: "Maren Oyelaran", signature: [[1, 2, 3, 4]], answers: [given], totalCents: 0 };
  const copy = seal(agreedByAnswer({ ...approval, approvalId: "a" }, null, { workOrderId: "order-1", at, language: "en" }), null, { facts: "1", person: "2", photos: "3" });
  fakeServer({ "GET /api/work-orders/order-1/agreed": { body: { copies: [copy] } } });
  draw({ approvals: [approval], takenBack: [{ id: "t", at, by: "x", name: "Maren", jobId: "k", title: "Brakes", totalCents: 9000, costCents: 6000 }] });
  fireEvent.press(screen.getByRole("button", { name: /^What was answered, 1 answer, 1 yes taken back/ }));
  expect(screen.getByText("Maren Oyelaran, on their page")).toBeTruthy();
  expect(screen.getByText("No: Wiper blades (too dear)")).toBeTruthy();
  expect(screen.getByText(/took the yes to Brakes back; \$60.00 stays to pay/)).toBeTruthy();
  fireEvent.press(await screen.findByRole("button", { name: /^Frozen copy 1/ }));
  expect(screen.getByText("Agreed in all, with taxes")).toBeTruthy();
  expect(givenWords({ ...given, answer: "later", reason: "", askOn: "2027-02-01", wayTitle: "Better" })).toBe("Later: Wiper blades (Better, ask again 2027-02-01)");
}); // prettier-ignore
