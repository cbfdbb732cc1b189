import { fireEvent, screen } from "@testing-library/react-native";
import { Linking } from "react-native";
import { USUAL_PAPERS, type WorkOrderState } from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import { BUSINESS, fakeServer, givenCommands, problemReply, resetSync, show } from "../testing/harness";
import { customerSample, jobSample, messageSample, stateSample, viewSample } from "../testing/samples";
import { useSync } from "../sync/state";
import { PaperScreen } from "./PaperScreen";
import { printPdf } from "./printPdf";
import { reachesFor } from "./reachesFor";

const CONCERN = { id: "c1", text: "It hums", kind: "fault" as const, phraseId: null, at: "2026-11-23T17:00:00.000Z" };
const draw = (
  paper: "quote" | "mechanicsSheet",
  state: Partial<WorkOrderState> = {},
  over: Partial<WorkOrderView> = {},
  replies: Parameters<typeof fakeServer>[0] = {},
) => {
  const server = fakeServer(replies);
  const view = viewSample({ state: stateSample({ jobs: [jobSample()], concerns: [CONCERN], ...state }), ...over });
  resetSync({ "order-1": view });
  useSync.setState({ asOf: { "order-1": "2026-11-23T17:00:00.000Z" } });
  show(<PaperScreen id="order-1" paper={paper} />);
  return server;
};

describe("the page", () => {
  it("shows a quote with its prices in the customer's language or another, and opens it as PDF", () => {
    const opened = jest.spyOn(Linking, "openURL").mockResolvedValue(true);
    draw("quote", {}, { customer: customerSample({ language: "es" }) });
    expect(screen.getByText("Su presupuesto")).toBeTruthy();
    expect(screen.getByText("Usted nos dijo: «It hums»")).toBeTruthy();
    fireEvent.press(screen.getByRole("radio", { name: "English" }));
    expect(screen.getByText("Your quote")).toBeTruthy();
    fireEvent.press(screen.getByRole("button", { name: "Open as PDF" }));
    expect(opened).toHaveBeenCalledWith("/api/work-orders/order-1/papers/quote?language=en");
  });

  it("shows a mechanic's sheet with room to write, and no price", () => {
    draw("mechanicsSheet");
    expect(screen.getByText("Cause")).toBeTruthy();
    expect(screen.getByText("Not agreed yet: do not begin")).toBeTruthy();
    expect(screen.queryByText(/\$/)).toBeNull();
  });
});

describe("words for this paper alone", () => {
  const openWords = () => fireEvent.press(screen.getByRole("button", { name: /^Words on this paper/ }));

  it("are kept through the queue as the field is left, a concern's too", () => {
    draw("quote");
    openWords();
    const field = screen.getByLabelText("What it opens with");
    fireEvent.changeText(field, " Dear Maren ");
    fireEvent(field, "blur");
    const said = screen.getByLabelText("Instead of “It hums”");
    fireEvent.changeText(said, "Noise at 40");
    fireEvent(said, "blur");
    expect(givenCommands()).toEqual([
      { type: "wordPaper", paper: "quote", concernId: null, text: "Dear Maren" },
      { type: "wordPaper", paper: "quote", concernId: "c1", text: "Noise at 40" },
    ]);
  });

  it("stand typed where one goes before the field is left, and are as usual again at a touch", () => {
    draw("quote", { paperWordings: [{ paper: "quote", concernId: null, text: "Dear Maren" }] });
    openWords();
    fireEvent.changeText(screen.getByLabelText("What it opens with"), "Dear");
    screen.unmount();
    show(<PaperScreen id="order-1" paper="quote" />);
    expect(screen.getByDisplayValue("Dear")).toBeTruthy();
    fireEvent.press(screen.getByRole("button", { name: "As usual again: What it opens with" }));
    expect(givenCommands()).toEqual([{ type: "wordPaper", paper: "quote", concernId: null, text: null }]);
  });
});

describe("sending", () => {
  it("goes to the customer at a touch, or to whoever is typed, and says what became of it", async () => {
    const sent = messageSample({ id: "m", kind: "quoted", recipient: "+13605550177", status: "delivered" });
    const server = draw(
      "quote",
      {},
      { messages: [sent] },
      { "POST /api/work-orders/order-1/quote-messages": problemReply(422, "message/no-reach", "This is no phone.") },
    );
    expect(screen.getByText("To +13605550177: Text, arrived")).toBeTruthy();
    fireEvent.changeText(screen.getByLabelText("Phone or email"), "nobody@example.com");
    expect(screen.getByRole("button", { name: "Mail it" })).toBeTruthy();
    fireEvent.press(screen.getByTestId("send-paper"));
    expect(await screen.findByText("This is no phone.")).toBeTruthy();
    expect(server.asked.find(({ method }) => method === "POST")?.body).toMatchObject({ to: "nobody@example.com" });
    expect(screen.getByDisplayValue("nobody@example.com")).toBeTruthy();
  });

  it("offers a quote to the customer and their contacts, a sheet to none of them", () => {
    const contact = {
      ...{ name: "Ilse", role: "driver", phone: { number: "+13605550144", extension: null, label: "mobile" } },
      ...{ id: "ilse", email: "ilse@example.com", approvalLimitCents: null, mayPay: false, mayHandOverKeys: false },
    };
    const customer = customerSample();
    const known = { ...customer, contacts: [contact] };
    expect(reachesFor("quote", known).map(({ value }) => value)).toEqual(
      expect.arrayContaining(["(360) 555-0144", "ilse@example.com"]),
    );
    expect(reachesFor("mechanicsSheet", known)).toEqual([]);
    expect(reachesFor("quote", null)).toEqual([]);
  });
});

it("prints the PDF, and says why where it cannot", async () => {
  draw(
    "quote",
    {},
    {},
    { "GET /api/work-orders/order-1/papers/quote": problemReply(404, "work-order/not-found", "Gone.") },
  );
  fireEvent.press(screen.getByTestId("print"));
  expect(await screen.findByText(/kept here|Gone/)).toBeTruthy();
});

it("hands the PDF to the print dialog of the browser", async () => {
  const frames: { src: string; onload?: () => void; contentWindow: { focus: () => void; print: jest.Mock } }[] = [];
  const print = jest.fn();
  const made = { style: {}, dataset: {}, src: "", contentWindow: { focus: () => undefined, print } };
  globalThis.document = {
    createElement: () => made,
    querySelectorAll: () => [],
    body: { append: () => void frames.push(made) },
  } as never;
  URL.createObjectURL = () => "blob:1";
  globalThis.fetch = (() => Promise.resolve({ ok: true, status: 200, blob: () => Promise.resolve("pdf") })) as never;
  try {
    await printPdf("/paper");
    expect(frames.map(({ src }) => src)).toEqual(["blob:1"]);
    frames[0]?.onload?.();
    expect(print).toHaveBeenCalledTimes(1);
  } finally {
    Reflect.deleteProperty(globalThis, "document");
  }
});

it("shows the logo where there is one", () => {
  const { papers } = BUSINESS.settings;
  BUSINESS.settings.papers = { ...USUAL_PAPERS, logo: "AAAA" };
  draw("quote");
  expect(screen.getByLabelText("Larkhaven Driveway Garage")).toBeTruthy();
  BUSINESS.settings.papers = papers;
});
