import { fireEvent, screen, waitFor } from "@testing-library/react-native";
import type { ImportRowView, ImportView, Me } from "@mechanon/contract";
import { NewcomerEditor } from "../settings/NewcomerEditor";
import { BUSINESS, fakeServer, problemReply, show } from "../testing/harness";
import { importLine, isUnderWay } from "./fieldWords";
import { TransferScreen } from "./TransferScreen";

const ID = "0190a000-0000-7000-8000-0000000000f1";
const file = (over: Partial<ImportView> = {}): ImportView => ({
  id: ID,
  fileName: "shop.csv",
  format: "csv",
  status: "read",
  encoding: "utf-8",
  columns: [
    { heading: "Who", samples: ["Maren"] },
    { heading: "Phone", samples: ["360 555 0111"] },
  ],
  mapping: [null, "phone"],
  doubles: "fill",
  rowCount: 3,
  doneCount: 3,
  counts: { new: 0, joins: 0, fills: 0, skips: 0, fault: 0 },
  keptByUndo: null,
  problem: null,
  createdAt: "2026-11-23T10:00:00.000Z",
  ...over,
});
const ROWS: ImportRowView[] = [
  { row: 1, outcome: "new", name: "Thea Winslow", remarks: [], customerId: null },
  { row: 2, outcome: "fills", name: "Maren", remarks: ["kept already: Maren Oyelaran"], customerId: null },
  { row: 3, outcome: "fault", name: "", remarks: ["no name and no business name"], customerId: null },
];
const OWNER: Partial<Me> = { rights: ["settings", "reports"] };

describe("a file on its way in", () => {
  it("is named, tried, chosen from, brought in and taken out", async () => {
    let now = file();
    const server = fakeServer({
      "GET /api/imports": { body: { imports: [now] } },
      [`GET /api/imports/${ID}`]: () => ({ body: now }),
      [`GET /api/imports/${ID}/rows`]: { body: { rows: ROWS, count: 3 } },
      [`POST /api/imports/${ID}/check`]: () => {
        now = file({
          status: "checked",
          mapping: ["name", "phone"],
          counts: { new: 1, joins: 0, fills: 1, skips: 0, fault: 1 },
        });
        return { body: now };
      },
      [`POST /api/imports/${ID}/run`]: () => {
        now = file({
          status: "done",
          mapping: ["name", "phone"],
          counts: { new: 1, joins: 0, fills: 0, skips: 0, fault: 0 },
        });
        return { body: now };
      },
      [`POST /api/imports/${ID}/undo`]: () => {
        now = file({ status: "undone", keptByUndo: 1 });
        return { body: now };
      },
    });
    show(<TransferScreen />, OWNER);
    fireEvent.press(await screen.findByRole("link", { name: /Import of shop.csv/ }));
    await screen.findByText(/Say which column holds the name/);
    fireEvent.press(screen.getByRole("button", { name: "Column Who is Not taken" }));
    fireEvent.press(screen.getByRole("radio", { name: "Name" }));
    fireEvent.press(screen.getByTestId("check-import"));
    await screen.findByText("no name and no business name");
    expect(server.asked.find(({ path }) => path.endsWith("/check"))?.body).toEqual({
      mapping: ["name", "phone"],
      doubles: "fill",
    });
    fireEvent.press(screen.getByRole("button", { name: "Leave out row 2" }));
    expect(screen.getByText("Left out by you")).toBeTruthy();
    fireEvent.press(screen.getByRole("button", { name: "Bring in 1 row" }));
    await screen.findByText("1 of 3 rows brought in");
    expect(server.asked.find(({ path }) => path.endsWith("/run"))?.body).toEqual({ rows: [1, 3] });
    fireEvent.press(screen.getByTestId("undo-import"));
    await screen.findByText("Taken out again, but for 1 that were worked with");
  });

  it("that could not be read says why", async () => {
    const failed = file({ status: "failed", problem: "The file could not be read: the file has no rows." });
    fakeServer({
      "GET /api/imports": { body: { imports: [failed] } },
      [`GET /api/imports/${ID}`]: { body: failed },
    });
    show(<TransferScreen />, OWNER);
    fireEvent.press(await screen.findByRole("link", { name: /Import of shop.csv, Failed/ }));
    await screen.findByText(/the file has no rows/);
  });

  it("is the owner's", async () => {
    fakeServer({});
    show(<TransferScreen />, { rights: [] });
    await screen.findByText(/is the owner's/);
  });
});

it.each<[Partial<ImportView>, string, boolean]>([
  [{ status: "reading", doneCount: 40 }, "Reading, 40 rows so far", true],
  [{ status: "checking", doneCount: 1 }, "Trying 1 of 3", true],
  [{ status: "running", doneCount: 2 }, "Bringing in 2 of 3", true],
  [{ status: "undoing" }, "Taking out again", true],
  [{ status: "undone", keptByUndo: 0 }, "Taken out again", false],
])("%p reads %p", (over, line, underWay) => {
  expect([importLine(file(over)), isUnderWay(file(over))]).toEqual([line, underWay]);
});

describe("what newcomers are asked", () => {
  it("is changed, and what they answered is counted", async () => {
    const report = {
      since: "2025-11-23T00:00:00.000Z",
      newcomers: 4,
      foundUsBy: [{ answer: "A friend", count: 3 }],
      questions: [
        { questionId: "parking", question: "Where is it parked?", answers: [{ answer: "Driveway", count: 2 }] },
      ],
    };
    const server = fakeServer({
      "GET /api/business": { body: BUSINESS },
      "GET /api/reports/newcomers": { body: report },
      "PATCH /api/business/newcomers": { body: BUSINESS.settings.newcomers },
    });
    show(<NewcomerEditor />, OWNER);
    await screen.findByText("4 newcomers since 2025-11-23");
    expect(screen.getByText("Driveway")).toBeTruthy();
    fireEvent.changeText(screen.getByLabelText("How they found us, separated by commas"), "Ferry, Ferry, , Friend");
    fireEvent.press(screen.getByRole("button", { name: "Remove question 1" }));
    fireEvent.press(screen.getByRole("button", { name: "Add a question" }));
    fireEvent.press(screen.getByTestId("save-newcomers"));
    await screen.findByText(/asked from the next newcomer on/);
    // An added question without words is none.
    expect(server.asked.find(({ method }) => method === "PATCH")?.body).toMatchObject({
      foundUsBy: [{ from: BUSINESS.settings.newcomers.foundUsBy, to: ["Ferry", "Friend"] }],
      questions: [{ from: { id: "last-work" }, to: null }],
    });
  });

  it("keeps what was typed when the server says no", async () => {
    fakeServer({
      "GET /api/business": { body: BUSINESS },
      "GET /api/reports/newcomers": problemReply(403, "rights/missing", "You may not see reports."),
      "PATCH /api/business/newcomers": problemReply(403, "rights/missing", "You may not change settings."),
    });
    show(<NewcomerEditor />, OWNER);
    fireEvent.changeText(await screen.findByLabelText("How they found us, separated by commas"), "Ferry");
    fireEvent.press(screen.getByTestId("save-newcomers"));
    await screen.findByText("You may not change settings.");
    await waitFor(() => expect(screen.getByDisplayValue("Ferry")).toBeTruthy());
  });
});
