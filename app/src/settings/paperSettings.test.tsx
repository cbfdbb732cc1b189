import { fireEvent, screen, waitFor } from "@testing-library/react-native";
import { USUAL_PAPERS } from "@mechanon/core";
import { BUSINESS, fakeServer, problemReply, show } from "../testing/harness";
import { SETTINGS_SAMPLE } from "../testing/samples";
import { PaperSettings } from "./PaperSettings";

const SAVE = "PATCH /api/business/papers";
const LOGO = "POST /api/business/logo";
const words = ({ quote, mechanicsSheet, terms }: typeof USUAL_PAPERS) => ({ quote, mechanicsSheet, terms });

it("saves words and terms, and keeps what is typed until then", async () => {
  const server = fakeServer({ [SAVE]: { body: USUAL_PAPERS }, "GET /api/business": { body: BUSINESS } });
  show(<PaperSettings />);
  fireEvent.changeText(screen.getByLabelText("Terms beneath it"), "Twelve months.");
  screen.unmount();
  show(<PaperSettings />);
  expect(await screen.findByDisplayValue("Twelve months.")).toBeTruthy();
  fireEvent.press(screen.getByTestId("save-papers"));
  await waitFor(() => expect(server.asked.some(({ method }) => method === "PATCH")).toBe(true));
  const usual = words(USUAL_PAPERS);
  expect(server.asked.find(({ method }) => method === "PATCH")?.body).toEqual({
    version: SETTINGS_SAMPLE.versions.papers,
    papers: [{ from: usual, to: { ...usual, terms: { en: "Twelve months.", es: "" } } }],
  });
  expect(await screen.findByText(/^Saved\./)).toBeTruthy();
});

it("takes in what another owner changed meanwhile, and saves nothing over it", async () => {
  const newest = {
    ...BUSINESS,
    settings: { ...SETTINGS_SAMPLE, versions: { ...SETTINGS_SAMPLE.versions, papers: 9 } },
  };
  fakeServer({ [SAVE]: problemReply(409, "version/changed", "x"), "GET /api/business": { body: newest } });
  show(<PaperSettings />);
  fireEvent.changeText(screen.getByLabelText("A sheet opens with"), "Chock it.");
  fireEvent.press(screen.getByTestId("save-papers"));
  expect(await screen.findByText(/Somebody else changed the same meanwhile/)).toBeTruthy();
  expect(screen.getByDisplayValue("Chock it.")).toBeTruthy();
});

it("keeps a logo as soon as it is picked, and says why one is not taken", async () => {
  const server = fakeServer({ [LOGO]: problemReply(422, "photo/unreadable", "This file is no picture.") });
  show(<PaperSettings />);
  const file = { type: "image/png" };
  fireEvent(screen.UNSAFE_getByProps({ type: "file" }), "change", { target: { files: [file], value: "x" } });
  expect(await screen.findByText("This file is no picture.")).toBeTruthy();
  expect(server.asked.find(({ method }) => method === "POST")?.body).toBe(file);
  expect(screen.queryByRole("button", { name: "Take the logo off" })).toBeNull();
});
