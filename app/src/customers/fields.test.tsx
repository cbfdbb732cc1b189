import { fireEvent, screen, waitFor } from "@testing-library/react-native";
import { useState } from "react";
import type { Consent } from "@mechanon/core";
import { fakeServer, problemReply, show } from "../testing/harness";
import { SETTINGS_SAMPLE, customerSample } from "../testing/samples";
import { MarkedWords } from "../ui/MarkedWords";
import { Tick } from "../ui/Tick";
import { CustomerFacts } from "./CustomerFacts";
import { DirectoryOffer } from "./DirectoryOffer";
import { ConsentField } from "./form/ConsentField";
import { CustomerForm, type ReadFields } from "./form/CustomerForm";
import { NewcomerQuestions } from "./NewcomerQuestions";
import { TownOffer } from "./TownOffer";

const ENTRY = {
  name: "Ottilie Brandt",
  street: "27 Heron Landing",
  town: "Larkhaven",
  region: "WA",
  postcode: "98099",
};

describe("the directory", () => {
  it("is asked for whole phones only, and offers what it says", async () => {
    const server = fakeServer({ "GET /api/directory/%2B13605550141": { body: { entry: ENTRY } } });
    const use = jest.fn();
    const queries = show(<DirectoryOffer phone="360 555" onUse={use} />);
    expect(server.asked).toEqual([]);
    queries.clear();
    show(<DirectoryOffer phone="(360) 555-0141" onUse={use} />);
    fireEvent.press(await screen.findByRole("button", { name: /Directory: Ottilie Brandt, 27 Heron Landing/ }));
    expect(use).toHaveBeenCalledWith(ENTRY);
  });
  it("stays silent when it does not answer", async () => {
    const server = fakeServer({ "GET /api/directory/%2B13605550141": problemReply(503, "directory/unreachable", "x") });
    show(<DirectoryOffer phone="(360) 555-0141" onUse={jest.fn()} />);
    await waitFor(() => expect(server.asked).toHaveLength(1));
    expect(screen.queryByRole("button")).toBeNull();
  });
});

describe("a postcode", () => {
  const towns = [
    { town: "Tidewater Mills", region: "WA" },
    { town: "Millrace", region: "WA" },
  ];
  it("fills the only town once, and nothing that was typed", async () => {
    fakeServer({ "GET /api/postcodes/98099": { body: { towns: towns.slice(0, 1) } } });
    const fill = jest.fn();
    show(<TownOffer postcode="98099" town="" onFill={fill} />);
    await waitFor(() => expect(fill).toHaveBeenCalledWith(towns[0]));
    expect(fill).toHaveBeenCalledTimes(1);
    const other = jest.fn();
    show(<TownOffer postcode="98099" town="Elsewhere" onFill={other} />);
    expect(other).not.toHaveBeenCalled();
  });
  it("of several towns offers them", async () => {
    fakeServer({ "GET /api/postcodes/98098": { body: { towns } } });
    const fill = jest.fn();
    show(<TownOffer postcode="98098" town="" onFill={fill} />);
    fireEvent.press(await screen.findByRole("button", { name: "Millrace, WA" }));
    expect(fill).toHaveBeenCalledWith(towns[1]);
  });
});

it("consent has its moment and how it was given, and is taken back by a second press", () => {
  const seen: (Consent | null)[] = [];
  function Shown() {
    const [value, setValue] = useState<Consent | null>(null);
    seen.push(value);
    return <ConsentField value={value} onChange={setValue} />;
  }
  show(<Shown />);
  fireEvent.press(screen.getByRole("radio", { name: "Texts welcome" }));
  fireEvent.press(screen.getByRole("radio", { name: "Wrote it" }));
  expect(seen.at(-1)).toMatchObject({ given: true, how: "Wrote it", at: expect.stringMatching(/^20\d\d-/) as string });
  fireEvent.press(screen.getByRole("radio", { name: "Texts welcome" }));
  expect(seen.at(-1)).toBeNull();
});

it("newcomers are asked by choice or in words, and an answer can be taken back", () => {
  const change = jest.fn();
  const answers = [{ questionId: "parking", question: "Where is it parked?", answer: "Street" }];
  const { newcomers } = SETTINGS_SAMPLE;
  show(<NewcomerQuestions settings={newcomers} isNewcomer foundUsBy={null} answers={answers} onChange={change} />);
  fireEvent.press(screen.getByRole("radio", { name: "Web search" }));
  expect(change).toHaveBeenLastCalledWith({ foundUsBy: "Web search", answers });
  fireEvent.press(screen.getByRole("radio", { name: "Driveway" }));
  expect(change).toHaveBeenLastCalledWith({ foundUsBy: null, answers: [{ ...answers[0], answer: "Driveway" }] });
  fireEvent.press(screen.getByRole("radio", { name: "Street" }));
  expect(change).toHaveBeenLastCalledWith({ foundUsBy: null, answers: [] });
  fireEvent.changeText(screen.getByLabelText("What was last done?"), "Brakes, by a friend");
  expect(change).toHaveBeenLastCalledWith({
    foundUsBy: null,
    answers: [...answers, { questionId: "last-work", question: "What was last done?", answer: "Brakes, by a friend" }],
  });
});

it("facts say all that is known and nothing that is not", () => {
  show(<CustomerFacts customer={customerSample({ phones: [] })} />);
  expect(screen.getByText(/Nothing but the name/)).toBeTruthy();
  const full = customerSample({
    emails: [{ address: "a@example.com", label: "Work" }],
    preferredContact: "text",
    contacts: [
      {
        id: "c",
        name: "Idris",
        role: "Spouse",
        phone: null,
        email: null,
        approvalLimitCents: null,
        mayPay: true,
        mayHandOverKeys: false,
      },
    ],
    taxExemption: { number: "EX-1" },
    usualPayer: { name: "The county", customerId: null },
  });
  show(<CustomerFacts customer={full} />);
  for (const line of [
    "(360) 555-0111, mobile",
    "a@example.com, work",
    "Rather texted",
    "approves anything, pays",
    "EX-1",
    "The county",
  ])
    expect(screen.getByText(line)).toBeTruthy();
});

it("marks stand out without color, and a tick says whether it is on", () => {
  show(
    <MarkedWords
      text="Maren Oyelaran"
      marks={[
        { start: 0, end: 2 },
        { start: 6, end: 9 },
      ]}
    />,
  );
  expect(screen.getByText("Ma")).toHaveProp("style", expect.objectContaining({ textDecorationLine: "underline" }));
  expect(screen.getByText("Oye")).toBeTruthy();
  const change = jest.fn();
  show(<Tick label="May pay" value={false} onChange={change} />);
  fireEvent.press(screen.getByRole("checkbox", { name: "May pay", checked: false }));
  expect(change).toHaveBeenCalledWith(true);
});

it("the form gives what was typed, read, and stays when saving fails", async () => {
  const saved: ReadFields[] = [];
  show(
    <CustomerForm
      form="customer/new"
      title="New customer"
      initial={{ name: "" }}
      saveLabel="Save"
      onSave={(fields) => {
        saved.push(fields);
        return Promise.reject(new Error("x"));
      }}
    />,
  );
  fireEvent.changeText(screen.getByLabelText("Name or business"), "idris oyelaran");
  fireEvent.press(screen.getByRole("button", { name: "Add a phone" }));
  fireEvent.changeText(screen.getByLabelText("Phone 1"), "360.555.0131 x2");
  fireEvent.press(screen.getByRole("button", { name: "Add a place for work" }));
  fireEvent.changeText(screen.getByLabelText("Street and number"), "27 her");
  fireEvent.press(screen.getByRole("button", { name: "27 Heron Landing, Larkhaven" }));
  fireEvent.press(screen.getByRole("button", { name: "Bills go elsewhere" }));
  fireEvent.press(screen.getByRole("checkbox", { name: "Somebody else usually pays" }));
  fireEvent.changeText(screen.getByLabelText("Who pays"), "the county");
  fireEvent.press(screen.getByTestId("save-customer"));
  await waitFor(() => expect(saved).toHaveLength(1));
  expect(saved[0]).toMatchObject({
    kind: "person",
    name: "Idris Oyelaran",
    phones: [{ number: "+13605550131", extension: "2" }],
    serviceAddresses: [{ place: { street: "27 Heron Landing", town: "Larkhaven" } }],
    billingAddress: null,
    usualPayer: { name: "The County" },
  });
  await screen.findByText(/Something went wrong on this device/);
  expect(screen.getByLabelText("Phone 1").props).toMatchObject({ value: "360.555.0131 x2" });
});
